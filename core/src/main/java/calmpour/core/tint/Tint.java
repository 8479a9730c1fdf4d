package calmpour.core.tint;

import calmpour.core.resin.LoadingBasis;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;

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

  /** A limit and how near a cup comes to it, both in percent on {@code basis}, or in drops. */
  public record Reading(
      LoadingLimit limit, LoadingBasis basis, double percent, double limitPercent) {
    /** 1 at the limit. */
    public double fraction() {
      return percent / limitPercent;
    }
  }

  /** All additives together, read in the four ways that labels use, %. */
  public record FourReadings(
      double weightOfMix, double weightOfResin, double volumeOfMix, double volumeOfResin) {}

  /**
   * How much more is possible, and what stands in the way.
   *
   * @param times by which all shares may grow; 1 at a limit, infinite without one
   */
  private record Room(double times, LoadingLimit limit, LoadingBasis basis) {}

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
    double scale = full.room().map(Room::times).orElse(1.0);
    if (scale >= 1) {
      return full;
    }
    List<Share> held = new ArrayList<>();
    for (Share share : asked) {
      held.add(new Share(share.colourant, share.gPerGResin * scale));
    }
    return new Tint(held, resinDensity, scale, limits);
  }

  /**
   * What was really stirred in, whatever the limits say of it.
   *
   * @param shares grams per gram of resin
   */
  public static Tint asStirred(List<Share> shares, double resinDensity, List<LoadingLimit> limits) {
    return new Tint(shares, resinDensity, 1, limits);
  }

  /** By how much all shares may grow until the first limit; empty when none counts anything. */
  private Optional<Room> room() {
    Room least = null;
    for (LoadingLimit limit : limits) {
      for (LoadingBasis basis : limit.readings()) {
        double times = largestScale(limit, basis);
        if (times < Double.POSITIVE_INFINITY && (least == null || times < least.times)) {
          least = new Room(times, limit, basis);
        }
      }
    }
    return Optional.ofNullable(least);
  }

  /** Times that every share may be taken until a limit is met: 1 at a limit. */
  public double mayGrowTimes() {
    return room().map(Room::times).orElse(Double.POSITIVE_INFINITY);
  }

  /** The limit that is met first when everything grows alike; empty when none counts anything. */
  public Optional<Reading> stoppedBy() {
    return room()
        .map(r -> new Reading(r.limit, r.basis, read(r.limit, r.basis), r.limit.percent()));
  }

  /**
   * How far all shares may be scaled. With s the scale, N the counted additives and D all additives
   * (both per gram or mL of resin), the reading is sN / (1 + sD), of the resin sN; solved for s.
   */
  private double largestScale(LoadingLimit limit, LoadingBasis basis) {
    double counted = sum(basis, limit::counts);
    double allowed = allowed(limit, basis);
    double room = counted - (basis.ofMix() ? allowed * sum(basis, c -> true) : 0);
    return room <= 0 ? Double.POSITIVE_INFINITY : allowed / room;
  }

  /**
   * Grams per gram of resin that may still be added of one colourant alone until the first limit;
   * negative when one is passed already, infinite when nothing limits it.
   */
  public double mayAddGPerGResin(Colourant more) {
    double most = Double.POSITIVE_INFINITY;
    for (LoadingLimit limit : limits) {
      for (LoadingBasis basis : limit.readings()) {
        if (!limit.counts(more)) {
          continue;
        }
        double counted = sum(basis, limit::counts);
        double allowed = allowed(limit, basis);
        // (N + x) / (1 + D + x) = p, or N + x = p of the resin, solved for x.
        double x =
            basis.ofMix()
                ? (allowed * (1 + sum(basis, c -> true)) - counted) / (1 - allowed)
                : allowed - counted;
        most = Math.min(most, x / amount(more, 1, basis));
      }
    }
    return most;
  }

  private static double allowed(LoadingLimit limit, LoadingBasis basis) {
    return basis == LoadingBasis.DROPS_IN_10_ML ? limit.percent() : limit.percent() / 100;
  }

  private double sum(LoadingBasis basis, java.util.function.Predicate<Colourant> which) {
    double sum = 0;
    for (Share share : shares) {
      sum += which.test(share.colourant) ? amount(share.colourant, share.gPerGResin, basis) : 0;
    }
    return sum;
  }

  /** Grams per gram of resin, bulk mL per mL of resin, or drops in 10 mL of resin. */
  private double amount(Colourant colourant, double gPerGResin, LoadingBasis basis) {
    if (basis == LoadingBasis.DROPS_IN_10_ML) {
      return gPerGResin * resinDensity * 10 / colourant.knownDropG().value();
    }
    return basis.byWeight()
        ? gPerGResin
        : gPerGResin * resinDensity / colourant.knownBulkDensity().value();
  }

  public List<Share> shares() {
    return shares;
  }

  public double resinDensity() {
    return resinDensity;
  }

  public List<LoadingLimit> limits() {
    return limits;
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
          readings.add(new Reading(limit, basis, read(limit, basis), limit.percent()));
        }
      }
    }
    readings.sort((a, b) -> Double.compare(b.fraction(), a.fraction()));
    return readings;
  }

  private double read(LoadingLimit limit, LoadingBasis basis) {
    double counted = sum(basis, limit::counts);
    if (basis == LoadingBasis.DROPS_IN_10_ML) {
      return counted;
    }
    return 100 * counted / (basis.ofMix() ? 1 + sum(basis, c -> true) : 1);
  }

  /** All additives in the four readings. */
  public FourReadings inAll() {
    double weight = sum(LoadingBasis.WEIGHT_OF_RESIN, c -> true);
    double volume = sum(LoadingBasis.VOLUME_OF_RESIN, c -> true);
    return new FourReadings(
        100 * weight / (1 + weight), 100 * weight, 100 * volume / (1 + volume), 100 * volume);
  }

  /** Water in the mix, % by weight. */
  public double waterPercent() {
    return percentOfMix(c -> c.knownWaterPercent().value());
  }

  /** Solvent in the mix, % by weight. */
  public double solventPercent() {
    return percentOfMix(c -> c.knownSolventPercent().value());
  }

  private double percentOfMix(ToDoubleFunction<Colourant> percentOfIt) {
    double counted = 0;
    for (Share share : shares) {
      counted += share.gPerGResin * percentOfIt.applyAsDouble(share.colourant);
    }
    return counted / (1 + gPerGResin());
  }
}
