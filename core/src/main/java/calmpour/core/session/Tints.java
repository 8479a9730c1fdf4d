package calmpour.core.session;

import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import calmpour.core.habit.Habits;
import calmpour.core.resin.LoadingBasis;
import calmpour.core.resin.ResinSystem;
import calmpour.core.tint.Colour;
import calmpour.core.tint.Colourant;
import calmpour.core.tint.LoadingLimit;
import calmpour.core.tint.Tint;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Colours as they are in each resin of a session, held within every limit. */
final class Tints {
  /** Beyond this a mix is more colourant than resin, whatever the limits. */
  private static final Range STRONGEST_PERCENT = new Range(0, 60);

  private final Found found;
  private final Session session;
  private final Assumptions assumptions;

  /** By resin and colour. */
  private final Map<String, Map<String, Tint>> tints = new LinkedHashMap<>();

  Tints(Found found, Assumptions assumptions) {
    this.found = found;
    this.session = found.session;
    this.assumptions = assumptions;
  }

  /** By colour id; empty for a resin that nothing is tinted in. */
  Map<String, Tint> in(ResinSystem resin) {
    return tints.getOrDefault(resin.id(), Map.of());
  }

  /** A colour in a resin, worked out once. */
  Tint tint(ResinSystem resin, Colour colour) {
    Map<String, Tint> ofResin = tints.computeIfAbsent(resin.id(), id -> new HashMap<>());
    if (!ofResin.containsKey(colour.id())) {
      ofResin.put(colour.id(), within(resin, colour));
    }
    return ofResin.get(colour.id());
  }

  private Tint within(ResinSystem resin, Colour colour) {
    Habits habits = session.habits();
    List<Colourant> parts = new ArrayList<>();
    List<Double> percents = new ArrayList<>();
    List<LoadingLimit> limits = new ArrayList<>();
    limits.add(
        new LoadingLimit(
            LoadingLimit.Whose.SHOP_ALL, null, habits.capAllPercent(), LoadingBasis.VOLUME_OF_MIX));
    limits.add(liquidLimit(habits));
    if (resin.loadingLimitPercent() != null) {
      limits.add(
          new LoadingLimit(
              LoadingLimit.Whose.RESIN, null, resin.loadingLimitPercent(), resin.loadingBasis()));
    }
    List<Double> shares = strengthened(colour);
    for (Colour.Part part : colour.recipe()) {
      String at = "colours[" + colour.id() + "].recipe";
      Colourant colourant = found.find(found.colourants, part.colourantId(), at);
      if (colourant != null) {
        parts.add(colourant);
        percents.add(shares.get(percents.size()));
        assumptions.colourant(colourant);
        LoadingLimit.ofLabel(colourant).ifPresent(limits::add);
      }
    }
    return Tint.within(parts, percents, resin.mixedDensity(), limits);
  }

  private static LoadingLimit liquidLimit(Habits habits) {
    return switch (habits.tinting().liquids()) {
      case SHARE ->
          new LoadingLimit(
              LoadingLimit.Whose.SHOP_LIQUIDS,
              null,
              habits.capLiquidPercent(),
              LoadingBasis.WEIGHT_OF_MIX);
      case DROPS ->
          new LoadingLimit(
              LoadingLimit.Whose.SHOP_DROPS,
              null,
              habits.tinting().dropsPer10Ml(),
              LoadingBasis.DROPS_IN_10_ML);
    };
  }

  /** The recipe's shares, made stronger or weaker for this session. */
  private List<Double> strengthened(Colour colour) {
    double factor = session.strengthOf(colour.id());
    List<Double> shares = colour.percentsOfMix().stream().map(p -> p * factor).toList();
    double all = shares.stream().mapToDouble(Double::doubleValue).sum();
    if (all <= STRONGEST_PERCENT.maxInclusive()) {
      return shares;
    }
    found.problem(
        Problem.outside("strengths", Problem.Code.RECIPE_TOO_STRONG, all, STRONGEST_PERCENT));
    return colour.percentsOfMix();
  }
}
