package calmpour.core.plan.doc;

import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * How much is in it.
 *
 * @param levelMm how high its content stands in it
 * @param contentG resin and colourants
 * @param staysG left in it after the last pour: what clings, and the overage
 */
@RecordBuilder
public record CupAmounts(
    double levelMm, double resinG, double contentG, double contentMl, double pouredG, double staysG)
    implements CupAmountsBuilder.With {}
