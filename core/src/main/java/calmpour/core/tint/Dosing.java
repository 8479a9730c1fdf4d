package calmpour.core.tint;

import static calmpour.core.check.Known.known;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * How the colour of one cup is measured out: for each colourant a count of drops or quarter scoops,
 * a weight or a part of a stock cup, so that no limit is passed as counted and the recipe keeps its
 * proportions as well as the implements allow. The words are in docs/science.md, Tint.
 */
public final class Dosing {
  /** From here on a dose is told to be off its recipe. */
  public static final double TOLD_PERCENT = 10;

  /** Where counts and scale are further off than this share, stock cups are tried. */
  private static final double COARSE = 0.2;

  /** Nearer than this share no further sets are looked for. */
  private static final double NEAR_ENOUGH = TOLD_PERCENT / 100;

  /** Of a recipe of more colourants only the next counts of each are tried. */
  private static final int MOST_TRIED_WIDELY = 4;

  /** A scale that shows a dose to this share is better than any count. */
  private static final double FINE = 0.05;

  /** Sums of doses carry the noise of their arithmetic. */
  private static final double HAIR = 1e-9;

  /** A dose left out counts for more than any error of the others. */
  private static final double LEFT_OUT = 10;

  /** More sets than this are not compared: each colourant is left fewer ways instead. */
  private static final int MOST_SETS = 4_096;

  /** How a dose is measured. */
  public enum By {
    SCALE,
    COUNT,
    STOCK,
    /** It was stirred into the whole mix before that was split. */
    WITH_MIX,
    /** Nothing here measures so little without passing a limit. */
    NOTHING
  }

  /**
   * One colourant as it is counted into the cup.
   *
   * @param count drops, or quarters of a scoop; 0 where it is not counted
   * @param massG that this brings, g
   * @param wantedG by the recipe, as far as the limits allow it, for the resin in the cup
   * @param stock what it is taken from; null where none is needed
   */
  public record Counted(
      Colourant colourant,
      By by,
      int count,
      double massG,
      double wantedG,
      @Nullable StockCup stock) {
    /** How far it is off what is wanted; −100 where it is left out. */
    public double errorPercent() {
      return wantedG == 0 ? 0 : (massG / wantedG - 1) * 100;
    }
  }

  /**
   * @param error of its own, as a share: against what is wanted, and what its scale cannot tell
   */
  private record Way(Counted counted, double error) {
    double times() {
      return counted.wantedG() == 0 ? 1 : counted.massG() / counted.wantedG();
    }
  }

  private final Tint tint;
  private final double resinG;
  private @Nullable List<Way> best;
  private double leastError = Double.POSITIVE_INFINITY;

  private Dosing(Tint tint, double resinG) {
    this.tint = tint;
    this.resinG = resinG;
  }

  /**
   * @param tint held at its limits
   * @param resinG A + B in the cup, more than 0
   * @param divisionG of the scale
   * @param stocked whether there is resin to make stock cups with
   * @return in the order of the tint's shares
   */
  public static List<Counted> of(Tint tint, double resinG, double divisionG, boolean stocked) {
    if (tint.shares().isEmpty()) {
      return List.of();
    }
    Dosing dosing = new Dosing(tint, resinG);
    List<List<Way>> ways = dosing.ways(divisionG, 1);
    dosing.search(ways);
    if (dosing.leastError > NEAR_ENOUGH && ways.size() > 1 && ways.size() <= MOST_TRIED_WIDELY) {
      // All of them a little weaker or stronger may keep the proportions better.
      dosing.search(dosing.ways(divisionG, 1 + Math.min(1, dosing.leastError)), 0);
    }
    if (dosing.leastError > COARSE && stocked) {
      double room = resinG / ways.size();
      for (int i = 0; i < ways.size(); i++) {
        Tint.Share share = tint.shares().get(i);
        ways.get(i).addAll(stocks(share.colourant(), share.gPerGResin() * resinG, divisionG, room));
      }
      dosing.search(ways);
    }
    return known(dosing.best).stream().map(Way::counted).toList();
  }

  /**
   * Every colourant's ways, none of them to be left out.
   *
   * @param times how far from what is wanted, up and down; 1 for the next counts only
   */
  private List<List<Way>> ways(double divisionG, double times) {
    List<List<Way>> ways = new ArrayList<>();
    for (Tint.Share share : tint.shares()) {
      ways.add(counts(share.colourant(), share.gPerGResin() * resinG, divisionG, times));
    }
    return ways;
  }

  /** Whole counts and divisions about what is wanted, and nothing at all. */
  private static List<Way> counts(
      Colourant colourant, double wantedG, double divisionG, double times) {
    List<Way> ways = new ArrayList<>();
    double half = divisionG / 2 / wantedG;
    if (wantedG > 0 && half > FINE) {
      double unit = colourant.countedG();
      int below = (int) Math.floor(wantedG * Math.max(0, 2 - times) / unit + HAIR);
      int above = (int) Math.floor(wantedG * times / unit + HAIR) + 1;
      for (int count = Math.max(1, below - 1); count <= above; count++) {
        double massG = count * unit;
        ways.add(
            new Way(
                new Counted(colourant, By.COUNT, count, massG, wantedG, null),
                Math.abs(massG / wantedG - 1)));
      }
    }
    if (wantedG > 0 && half <= COARSE) {
      double below = Math.floor(wantedG * Math.max(0, 2 - times) / divisionG + HAIR);
      double above = Math.floor(wantedG * times / divisionG + HAIR) + 1;
      for (double steps = Math.max(1, below - 1); steps <= above; steps++) {
        double massG = WholeSteps.nearest(steps * divisionG, divisionG);
        ways.add(
            new Way(
                new Counted(colourant, By.SCALE, 0, massG, wantedG, null),
                Math.abs(massG / wantedG - 1) + half));
      }
    }
    // What is further off than nothing at all is no way.
    ways.removeIf(w -> w.error >= 1);
    ways.add(new Way(new Counted(colourant, By.NOTHING, 0, 0, wantedG, null), wantedG > 0 ? 1 : 0));
    return ways;
  }

  private static List<Way> stocks(
      Colourant colourant, double wantedG, double divisionG, double roomG) {
    List<Way> ways = new ArrayList<>();
    StockCup.of(colourant, wantedG, divisionG, roomG)
        .ifPresent(stock -> {
          for (StockCup taken : List.of(stock, stock.less(divisionG))) {
            if (taken.takeG() > 0) {
              double massG = taken.takeG() - taken.resinWithItG();
              ways.add(
                  new Way(
                      new Counted(colourant, By.STOCK, taken.counted(), massG, wantedG, taken),
                      Math.abs(massG / wantedG - 1) + divisionG / 2 / taken.takeG()));
            }
          }
        });
    return ways;
  }

  private void search(List<List<Way>> ways) {
    search(ways, Math.max(2, (int) Math.pow(MOST_SETS, 1.0 / ways.size())));
  }

  /**
   * @param each how many ways of each colourant are tried; 0 for all
   */
  private void search(List<List<Way>> ways, int each) {
    List<List<Way>> tried = new ArrayList<>();
    for (List<Way> its : ways) {
      // Nothing at all stays among them: that one passes no limit.
      List<Way> nearest = new ArrayList<>(its);
      nearest.sort(Comparator.comparingDouble(Way::error));
      Way none = its.stream().filter(w -> w.counted.by() == By.NOTHING).findFirst().orElseThrow();
      nearest.remove(none);
      List<Way> kept =
          new ArrayList<>(
              nearest.subList(0, each == 0 ? nearest.size() : Math.min(each - 1, nearest.size())));
      kept.add(none);
      tried.add(kept);
    }
    search(tried, new ArrayList<>(), 0, Double.POSITIVE_INFINITY, 0);
  }

  /**
   * @param worst error so far; each dose left out is worse than any error
   * @param least of what is in against what is wanted, as a ratio
   * @param most the same
   */
  private void search(
      List<List<Way>> ways, List<Way> chosen, double worst, double least, double most) {
    double spread = most == 0 ? 0 : most / least - 1;
    double error = Math.max(worst, Math.floor(worst / LEFT_OUT) * LEFT_OUT + spread);
    if (error >= leastError) {
      return;
    }
    if (chosen.size() == ways.size()) {
      if (keepsLimits(chosen)) {
        leastError = error;
        best = List.copyOf(chosen);
      }
      return;
    }
    for (Way way : ways.get(chosen.size())) {
      chosen.add(way);
      double before = Math.floor(worst / LEFT_OUT) * LEFT_OUT;
      if (way.counted.by() == By.NOTHING && way.error > 0) {
        search(ways, chosen, worst + LEFT_OUT, least, most);
      } else {
        search(
            ways,
            chosen,
            Math.max(worst, before + way.error),
            Math.min(least, way.times()),
            Math.max(most, way.times()));
      }
      chosen.removeLast();
    }
  }

  private boolean keepsLimits(List<Way> chosen) {
    List<Tint.Share> shares =
        chosen.stream()
            .map(w -> new Tint.Share(w.counted.colourant(), w.counted.massG() / resinG))
            .toList();
    return Tint.asStirred(shares, tint.resinDensity(), tint.limits()).readings().stream()
        .allMatch(r -> r.fraction() <= 1 + HAIR);
  }
}
