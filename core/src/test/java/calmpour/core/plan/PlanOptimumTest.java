package calmpour.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import calmpour.core.Samples;
import calmpour.core.cup.CupKind;
import calmpour.core.design.Fill;
import calmpour.core.design.Join;
import calmpour.core.design.Layer;
import calmpour.core.design.PieceWork;
import calmpour.core.habit.Habits;
import calmpour.core.habit.Hands;
import calmpour.core.habit.Planning;
import calmpour.core.habit.Splitting;
import calmpour.core.mould.Mould;
import calmpour.core.plan.PlanOptimum.Proven;
import calmpour.core.plan.PlanOptimum.Vector;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Plan;
import calmpour.core.resin.MixRatio;
import calmpour.core.session.Arrangement;
import calmpour.core.session.JustMix;
import calmpour.core.session.Piece;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import calmpour.core.tint.Colour;
import com.google.ortools.Loader;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/**
 * Whole plans of small sessions against the optimum that a constraint solver (OR-Tools CP-SAT)
 * proves for the same rules, written down apart from ours in {@link PlanOptimum}: two stages, three
 * kinds of cup, one pair of hands. Batches first, then waste in steps of 5 g, then time to spare up
 * to ten minutes, then the earliest end of the last pour.
 */
@Tag("slow")
class PlanOptimumTest {
  private static final PieceWork NO_LOOKS =
      new PieceWork(
          null,
          null,
          List.of(),
          null,
          List.of(),
          PieceWork.BubbleCare.LITTLE,
          PieceWork.Curing.BENCH);

  /** Nothing but weighing, stirring, splitting, tinting and pouring. */
  private static final Hands HANDS = new Hands(60, 30, 15, 60, 90, 15, 1, 0, 0, 25, 8, 60, 20, 0);

  private static final int STEPS = 24;

  @BeforeAll
  static void solver() {
    Loader.loadNativeLibraries();
  }

  /** A random small session with its table of working times. */
  record Instance(Session session, Workshop workshop, TableModel table) {
    static Instance of(long seed, int mostCavities) {
      Random random = new Random(seed);
      List<CupKind> kinds = new ArrayList<>();
      List<List<Integer>> seconds = new ArrayList<>();
      double[] bottoms = {34, 41, 52};
      for (int k = 0; k < 3; k++) {
        kinds.add(
            new CupKind(
                "k" + k, "Cup " + k, CupKind.Use.COLOUR, bottoms[k], bottoms[k] + 10, 40 + k * 8));
        List<Integer> row = new ArrayList<>();
        seconds.add(row);
        // A wider cup lasts longer, a fuller one less; how much differs from session to session.
        int empty = 900 + 60 * k + random.nextInt(360);
        int less = 8 + random.nextInt(30);
        for (int step = 0; step < STEPS; step++) {
          row.add(Math.max(400, empty - less * step));
        }
      }
      int gels = 60 * (40 + random.nextInt(60));
      int bonds = gels + 60 * (15 + random.nextInt(90));
      List<Mould> moulds = new ArrayList<>();
      List<Piece> pieces = new ArrayList<>();
      int cavities = 2 + random.nextInt(mostCavities - 1);
      String[] colours = {"a", "b", "c"};
      int used = 1 + random.nextInt(3);
      while (cavities > 0) {
        String id = "m" + moulds.size();
        moulds.add(Samples.mould(id, 6 + random.nextInt(30), 20.0));
        int count = Math.min(cavities, 1 + random.nextInt(3));
        cavities -= count;
        String below = colours[random.nextInt(used)];
        String above = colours[random.nextInt(used)];
        int layers = random.nextInt(3);
        List<Layer> all =
            layers == 0
                ? List.of(new Layer(below, null, null))
                : List.of(
                    new Layer(below, Fill.ofShare(0.3 + random.nextInt(5) * 0.1), null),
                    new Layer(above, null, layers == 1 ? Join.TOGETHER : Join.GEL));
        pieces.add(new Piece(id, count, all).withWork(NO_LOOKS));
      }
      Habits habits =
          Habits.DEFAULT
              .withRestMinutes(random.nextInt(3))
              .withSplitting(new Splitting(Splitting.SplitWhen.BEFORE_TINTING, 1, 120))
              .withPlanning(new Planning(50, 1));
      Session session = Samples.session(pieces, (JustMix) null, habits);
      List<CupKind> cups = new ArrayList<>(kinds);
      cups.add(new CupKind("mix", "Bucket", CupKind.Use.MIXING, 90, 110, 120));
      double largest = random.nextInt(3) == 0 ? 60 + random.nextInt(120) : 600;
      return new Instance(
          withHands(session),
          new Workshop(
              moulds,
              List.of(
                  Samples.resin(
                      new MixRatio(2, 1, MixRatio.Basis.WEIGHT), 1.0, 1.0, 40.0, largest)),
              List.of(Samples.liquid("tint")),
              List.of(
                  new Colour("a", "A", "#334455", List.of(new Colour.Part("tint", 2))),
                  new Colour("b", "B", "#554433", List.of(new Colour.Part("tint", 2))),
                  new Colour("c", "C", "#335544", List.of(new Colour.Part("tint", 2)))),
              cups),
          new TableModel(kinds, seconds, gels, bonds));
    }

    private static Session withHands(Session s) {
      return new Session(
          s.name(),
          s.startsAt(),
          s.zoneId(),
          s.room(),
          s.resinId(),
          s.pieces(),
          null,
          s.cupIds(),
          1,
          List.of(),
          List.of(),
          s.habits(),
          HANDS,
          null,
          Arrangement.FREE);
    }
  }

  /** What a campaign found, by how far the terms had to be looked at. */
  private static final class Tally {
    int compared;
    int unproven;
    int bothImpossible;
    int equalBatches;
    int nearWaste;
    int slackTies;
    int equalSlack;
    final List<String> falselyImpossible = new ArrayList<>();
    final List<String> misses = new ArrayList<>();

    /** Of each instance how many times longer proving took than planning, in the same run. */
    final List<Double> provingOverPlanning = new ArrayList<>();

    void compare(long seed, Plan plan, Proven proven) {
      boolean ours =
          plan.findings().stream().noneMatch(f -> f.severity() == Finding.Severity.BREACH);
      if (proven.status() == PlanOptimum.Status.UNPROVEN) {
        unproven++;
        return;
      }
      if (proven.status() == PlanOptimum.Status.IMPOSSIBLE) {
        assertThat(ours).as("a plan where there is none, %d", seed).isFalse();
        bothImpossible++;
        return;
      }
      compared++;
      Vector best = proven.vector();
      if (!ours) {
        falselyImpossible.add(seed + ": a plan exists, " + best);
        return;
      }
      Vector mine = Vector.of(plan);
      if (mine.batches() != best.batches()) {
        misses.add(seed + ": " + mine + " against " + best);
        return;
      }
      equalBatches++;
      if (mine.wasteSteps() > best.wasteSteps() + 1) {
        misses.add(seed + ": " + mine + " against " + best);
        return;
      }
      nearWaste++;
      if (mine.wasteSteps() == best.wasteSteps()) {
        slackTies++;
        equalSlack += mine.slackSeconds() >= best.slackSeconds() - 5 ? 1 : 0;
        if (mine.slackSeconds() < best.slackSeconds() - 5) {
          misses.add(seed + ", slack only: " + mine + " against " + best);
        }
      }
    }

    @Override
    public String toString() {
      provingOverPlanning.sort(null);
      return "plans against the proven optimum: %d compared, %d equal in batches, %d within a step of waste, of %d ties %d equal in slack; %d impossible for both, %d unproven; proving took %.1f (median; %.1f to %.1f) times as long as planning"
          .formatted(
              compared,
              equalBatches,
              nearWaste,
              slackTies,
              equalSlack,
              bothImpossible,
              unproven,
              provingOverPlanning.get(provingOverPlanning.size() / 2),
              provingOverPlanning.getFirst(),
              provingOverPlanning.getLast());
    }
  }

  private static Tally campaign(long from, int instances, int cavities, double seconds) {
    Tally tally = new Tally();
    for (long seed = from; seed < from + instances; seed++) {
      Instance instance = Instance.of(seed, cavities);
      long before = System.nanoTime();
      Plan plan = Samples.planner(instance.table).plan(instance.session, instance.workshop);
      long planned = System.nanoTime();
      Proven proven =
          new PlanOptimum(instance.session, instance.workshop, instance.table).solve(seconds);
      long proved = System.nanoTime();
      tally.provingOverPlanning.add((double) (proved - planned) / (planned - before));
      tally.compare(seed, plan, proven);
    }
    System.out.println(tally);
    tally.misses.forEach(System.out::println);
    return tally;
  }

  private static void holds(Tally tally) {
    assertThat(tally.falselyImpossible).isEmpty();
    assertThat(tally.equalBatches).isGreaterThanOrEqualTo((int) Math.ceil(tally.compared * 0.99));
    assertThat(tally.nearWaste).isGreaterThanOrEqualTo((int) Math.ceil(tally.compared * 0.98));
  }

  @Test
  void thirtySmallSessionsAreAsGoodAsProven() {
    Tally tally = campaign(100, 30, 4, 3);
    holds(tally);
    assertThat(tally.compared).isGreaterThan(15);
  }

  /** Three hundred of up to eight cavities; what it last found is in docs/planner.md. */
  @Tag("long")
  @Test
  void threeHundredSessions() {
    holds(campaign(1_000, 300, 8, 60));
  }
}
