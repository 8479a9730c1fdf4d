package calmpour.core.tint;

import java.util.ArrayList;
import java.util.List;

/**
 * What a colour's recipe means in one resin: grams of each colourant per gram of resin, held at the
 * limits, and the density of the mix.
 *
 * <p>All quantities are per gram of resin (A + B), so a cup of any size is this times its resin.
 */
public final class Tint {
  private final List<Share> shares;
  private final double resinDensity;
  private final double heldAt;
  private final List<LoadingLimit> limits;

  /**
   * @param gPerGResin after the limits were applied
   */
  public record Share(Colourant colourant, double gPerGResin) {}

  /** A limit and how near a cup comes to it, both in percent on {@code basis}. */
  public record Reading(
      LoadingLimit limit, LoadingBasis basis, double percent, double limitPercent) {
    /** 1 at the limit. */
    public double fraction() {
      return percent / limitPercent;
    }
  }

  private Tint(List<Share> shares, double resinDensity, double heldAt, List<LoadingLimit> limits) {
    this.shares = List.copyOf(shares);
    this.resinDensity = resinDensity;
    this.heldAt = heldAt;
    this.limits = List.copyOf(limits);
  }

  /**
   * The strongest tint that follows the recipe's proportions, is not stronger than the recipe and
   * keeps every limit.
   *
   * @param colourants those of the recipe, in its order
   * @param percentOfMix by weight, in the same order; together below 100
   * @param resinDensity g/mL of A + B
   */
  public static Tint within(
      List<Colourant> colourants,
      List<Double> percentOfMix,
      double resinDensity,
      List<LoadingLimit> limits) {
    double all = percentOfMix.stream().mapToDouble(Double::doubleValue).sum();
    if (!(all < 100)) {
      throw new IllegalArgumentException("percentOfMix (" + all + ") must stay below 100 in all");
    }
    List<Share> asked = new ArrayList<>();
    for (int i = 0; i < colourants.size(); i++) {
      asked.add(new Share(colourants.get(i), percentOfMix.get(i) / (100 - all)));
    }
    Tint full = new Tint(asked, resinDensity, 1, limits);
    double scale = 1;
    for (LoadingLimit limit : limits) {
      for (LoadingBasis basis : limit.readings()) {
        scale = Math.min(scale, full.largestScale(limit, basis));
      }
    }
    if (scale == 1) {
      return full;
    }
    List<Share> held = new ArrayList<>();
    for (Share share : asked) {
      held.add(new Share(share.colourant, share.gPerGResin * scale));
    }
    return new Tint(held, resinDensity, scale, limits);
  }

  /**
   * How far all shares may be scaled. With s the scale, N the counted additives and D all additives
   * (both per gram or mL of resin), the reading is sN / (1 + sD), of the resin sN; solved for s.
   */
  private double largestScale(LoadingLimit limit, LoadingBasis basis) {
    double counted = 0;
    double all = 0;
    for (Share share : shares) {
      double amount = amount(share, basis);
      all += amount;
      counted += limit.counts(share.colourant) ? amount : 0;
    }
    double allowed = limit.percent() / 100;
    double room = counted - (ofResin(basis) ? 0 : allowed * all);
    return room <= 0 ? 1 : allowed / room;
  }

  /** Grams per gram of resin, or bulk mL per mL of resin. */
  private double amount(Share share, LoadingBasis basis) {
    return byWeight(basis)
        ? share.gPerGResin
        : share.gPerGResin * resinDensity / share.colourant.knownBulkDensity().value();
  }

  private static boolean byWeight(LoadingBasis basis) {
    return basis == LoadingBasis.WEIGHT_OF_MIX || basis == LoadingBasis.WEIGHT_OF_RESIN;
  }

  private static boolean ofResin(LoadingBasis basis) {
    return basis == LoadingBasis.WEIGHT_OF_RESIN || basis == LoadingBasis.VOLUME_OF_RESIN;
  }

  public List<Share> shares() {
    return shares;
  }

  /** 1 when the recipe is followed, less when a limit holds it back. */
  public double heldAt() {
    return heldAt;
  }

  /** Grams of all colourants per gram of resin. */
  public double gPerGResin() {
    return shares.stream().mapToDouble(Share::gPerGResin).sum();
  }

  /** Density of resin and colourants together, g/mL, volumes taken as adding up. */
  public double mixDensity() {
    double volume = 1 / resinDensity;
    for (Share share : shares) {
      volume += share.gPerGResin / share.colourant.knownTrueDensity().value();
    }
    return (1 + gPerGResin()) / volume;
  }

  /** Every limit that counts something in this tint, with its reading; the nearest one first. */
  public List<Reading> readings() {
    List<Reading> readings = new ArrayList<>();
    for (LoadingLimit limit : limits) {
      if (shares.stream().anyMatch(s -> limit.counts(s.colourant))) {
        for (LoadingBasis basis : limit.readings()) {
          readings.add(new Reading(limit, basis, percent(limit, basis), limit.percent()));
        }
      }
    }
    readings.sort((a, b) -> Double.compare(b.fraction(), a.fraction()));
    return readings;
  }

  private double percent(LoadingLimit limit, LoadingBasis basis) {
    double counted = 0;
    double all = 0;
    for (Share share : shares) {
      double amount = amount(share, basis);
      all += amount;
      counted += limit.counts(share.colourant) ? amount : 0;
    }
    return 100 * counted / (ofResin(basis) ? 1 : 1 + all);
  }
}
