package calmpour.core.plan.amounts;

import static calmpour.core.check.Known.known;

import calmpour.core.cup.CupKind;
import calmpour.core.cup.Residue;
import calmpour.core.session.JobInResin;
import calmpour.core.tint.Tint;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * Shares the pours of one colour among cups: as few as possible, then as little waste as possible.
 * A search by branch and bound that gives up after a while and then keeps the best it has found;
 * what it started from is kept unless something is better, so that the order of the session shows.
 */
public final class CupSplit {
  /** Steps of the search before it keeps what it has. */
  private static final int MOST_STEPS = 60_000;

  /** Of more cups than that kinds are not chosen beforehand: there are too many choices. */
  private static final int MOST_CHOSEN = 8;

  /** Half a milligram of content is no gain. */
  private static final double NO_GAIN_G = 5e-4;

  private final Limits limits;
  private final List<CupDraft> given;
  private final Tint tint;

  /** As they stand in the given cups, one cup after the other. */
  private final List<PourDraft> pours;

  /** Their places, the heaviest first. */
  private final List<Integer> heaviest;

  private final List<Kind> kinds = new ArrayList<>();
  private final List<Kind> leastClinging;

  /** Loads of the pours, heaviest first, g. */
  private final double[] loads;

  /** Sum of the loads from each place on, g. */
  private final double[] still;

  private final double largest;
  private final double leastRate;
  private final double leastAlways;
  private int steps;

  /** A kind with what the search needs of it, g. */
  private record Kind(CupKind cup, double mostG, Residue clings) {}

  CupSplit(JobInResin job, Limits limits, List<CupDraft> given) {
    this.limits = limits;
    this.given = given;
    this.tint = given.get(0).tint();
    for (CupKind cup : job.colourCups()) {
      double most = limits.mostLoadG(cup, tint, true);
      if (most > 0) {
        kinds.add(new Kind(cup, most, limits.residue(cup)));
      }
    }
    this.leastClinging =
        kinds.stream().sorted(Comparator.comparingDouble(k -> k.clings.share())).toList();
    this.pours = given.stream().flatMap(c -> c.pours().stream()).toList();
    this.heaviest =
        IntStream.range(0, pours.size())
            .boxed()
            .sorted(Comparator.comparingDouble((Integer i) -> load(pours.get(i))).reversed())
            .toList();
    this.loads = heaviest.stream().mapToDouble(i -> load(pours.get(i))).toArray();
    this.still = new double[loads.length + 1];
    for (int i = loads.length - 1; i >= 0; i--) {
      still[i] = still[i + 1] + loads[i];
    }
    this.largest = kinds.stream().mapToDouble(Kind::mostG).max().orElse(0);
    this.leastRate = kinds.stream().mapToDouble(k -> 1 / (1 - k.clings.share())).min().orElse(1);
    this.leastAlways =
        kinds.stream()
            .mapToDouble(k -> k.clings.alwaysG() / (1 - k.clings.share()))
            .min()
            .orElse(0);
  }

  private double load(PourDraft pour) {
    return limits.loadG(pour.massMg(), pour.mayTakeMoreMg());
  }

  /**
   * The least content that a cup with this load needs, in any kind; infinite when none holds it.
   */
  private double content(double load) {
    double least = Double.POSITIVE_INFINITY;
    for (Kind kind : kinds) {
      if (load <= kind.mostG + 1e-9) {
        least = Math.min(least, kind.clings.contentFor(load));
      }
    }
    return least;
  }

  /**
   * The pours' places, cup by cup, shared out as well as was found; cups in the order of their
   * first pour. Empty where nothing is better than what was given.
   */
  List<List<Integer>> best() {
    double bestContent =
        given.stream()
            .mapToDouble(c ->
                limits
                    .residue(known(c.kind()))
                    .contentFor(limits.loadG(c.pouredMg(), c.mayTakeMoreMg())))
            .sum();
    int fewest = (int) Math.ceil(still[0] / largest - 1e-9);
    for (int count = fewest; count <= given.size(); count++) {
      double toBeat = count < given.size() ? Double.POSITIVE_INFINITY : bestContent - NO_GAIN_G;
      double least = count <= MOST_CHOSEN ? leastContent(0, count, 0, still[0]) : 0;
      Search search = new Search(count, toBeat, least);
      steps = 0;
      search.place(0, 0, 0);
      if (search.found != null) {
        return cups(search.found, count);
      }
    }
    return List.of();
  }

  /**
   * The least content of so many cups, as if the pours could be cut anywhere: of all choices of
   * kinds that hold them, the load where least of it clings.
   *
   * @param kind from which on one is chosen, least clinging share first
   * @param cups still to be chosen
   * @param content of those chosen, as full as they can be, g
   * @param load that is in none of them yet, g
   */
  private double leastContent(int kind, int cups, double content, double load) {
    if (cups == 0) {
      return load <= 1e-9 ? content : Double.POSITIVE_INFINITY;
    }
    if (kind == leastClinging.size()) {
      return Double.POSITIVE_INFINITY;
    }
    Kind its = leastClinging.get(kind);
    double least = Double.POSITIVE_INFINITY;
    double now = content;
    double left = load;
    for (int n = 0; n <= cups; n++) {
      least = Math.min(least, leastContent(kind + 1, cups - n, now, left));
      double into = Math.min(left, its.mostG);
      now += its.clings.contentFor(into);
      left -= into;
    }
    return least;
  }

  /** One search for a given number of cups. */
  private final class Search {
    private final int count;
    private final double least;
    private final double[] inCup;
    private final int[] cupOf;
    private double toBeat;
    private int @Nullable [] found;

    Search(int count, double toBeat, double least) {
      this.count = count;
      this.least = least;
      this.toBeat = toBeat;
      this.inCup = new double[count];
      this.cupOf = new int[loads.length];
    }

    /**
     * @param next place of the pour to put somewhere
     * @param open cups begun so far
     * @param content that they need as they are
     */
    void place(int next, int open, double content) {
      if (++steps > MOST_STEPS) {
        return;
      }
      double atLeast = content + still[next] * leastRate + (count - open) * leastAlways;
      if (Math.max(atLeast, least) >= toBeat || still[next] > room(open)) {
        return;
      }
      if (next == loads.length) {
        toBeat = content - NO_GAIN_G;
        found = Arrays.copyOf(cupOf, cupOf.length);
        return;
      }
      // Of pours alike, a later one never goes into an earlier cup: that would be the same again.
      boolean alike = next > 0 && loads[next] == loads[next - 1];
      int from = alike ? cupOf[next - 1] : 0;
      for (int cup = from; cup < Math.min(count, open + 1); cup++) {
        if (!sameAsBefore(from, cup, open)) {
          put(next, cup, open, content);
        }
      }
    }

    private void put(int next, int cup, int open, double content) {
      double before = cup < open ? content(inCup[cup]) : 0;
      double load = inCup[cup] + loads[next];
      double after = content(load);
      if (after < Double.POSITIVE_INFINITY) {
        double was = inCup[cup];
        inCup[cup] = load;
        cupOf[next] = cup;
        place(next + 1, Math.max(open, cup + 1), content - before + after);
        inCup[cup] = was;
      }
    }

    /** Two cups with the same load are the same cup to the next pour. */
    private boolean sameAsBefore(int from, int cup, int open) {
      for (int other = from; other < cup && cup < open; other++) {
        if (inCup[other] == inCup[cup]) {
          return true;
        }
      }
      return false;
    }

    private double room(int open) {
      double room = (count - open) * largest;
      for (int cup = 0; cup < open; cup++) {
        room += largest - inCup[cup];
      }
      return room + 1e-9;
    }
  }

  private List<List<Integer>> cups(int[] cupOf, int count) {
    List<List<Integer>> cups = new ArrayList<>();
    for (int cup = 0; cup < count; cup++) {
      List<Integer> its = new ArrayList<>();
      for (int i = 0; i < cupOf.length; i++) {
        if (cupOf[i] == cup) {
          its.add(heaviest.get(i));
        }
      }
      its.sort(null);
      cups.add(List.copyOf(its));
    }
    cups.sort(Comparator.comparingInt(its -> its.get(0)));
    return List.copyOf(cups);
  }

  /**
   * The same pours in other cups.
   *
   * @param cups as {@link #best} finds them
   */
  List<CupDraft> drafts(List<List<Integer>> cups) {
    if (cups.isEmpty()) {
      return given;
    }
    List<CupDraft> drafts = new ArrayList<>();
    for (List<Integer> places : cups) {
      List<PourDraft> its = places.stream().map(pours::get).toList();
      double load = its.stream().mapToDouble(this::load).sum();
      CupKind kind =
          limits.bestKind(kinds.stream().map(Kind::cup).toList(), tint, load - 1e-9, true);
      drafts.add(given.get(0).with(its, kind));
    }
    return drafts;
  }
}
