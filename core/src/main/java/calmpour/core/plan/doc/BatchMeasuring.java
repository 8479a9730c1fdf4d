package calmpour.core.plan.doc;

import calmpour.core.habit.Habits;
import calmpour.core.resin.MixRatio;
import calmpour.core.resin.WeighOut;
import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * What is weighed or measured out.
 *
 * @param needG A + B needed before rounding up
 * @param totalG A + B in the mixing cup
 * @param by what the parts are measured by
 */
@RecordBuilder
public record BatchMeasuring(
    double needG,
    WeighOut.Amount partA,
    WeighOut.Amount partB,
    double totalG,
    Habits.FirstPart firstPart,
    MixRatio.Basis by,
    double divisionUsed,
    double ratioErrorPercent)
    implements BatchMeasuringBuilder.With {}
