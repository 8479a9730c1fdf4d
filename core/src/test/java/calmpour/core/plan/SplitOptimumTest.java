package calmpour.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import calmpour.core.Samples;
import calmpour.core.cup.CupKind;
import calmpour.core.cup.Residue;
import calmpour.core.design.Layer;
import calmpour.core.habit.Habits;
import calmpour.core.mould.Mould;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Plan;
import calmpour.core.resin.MixRatio;
import calmpour.core.session.Piece;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import calmpour.core.tint.Colour;
import com.google.ortools.Loader;
import com.google.ortools.sat.BoolVar;
import com.google.ortools.sat.CpModel;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.CpSolverStatus;
import com.google.ortools.sat.IntVar;
import com.google.ortools.sat.LinearExpr;
import com.google.ortools.sat.LinearExprBuilder;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/**
 * How one batch is split, against the optimum that a constraint solver (OR-Tools CP-SAT) proves for
 * the same rules, written down here from the words: a cup holds one colour; of its content its
 * residue stays; with that and the overage it may not pass its room less the headroom, nor the most
 * that one cup may hold for its heat. Fewest cups first, least waste next.
 */
@Tag("slow")
class SplitOptimumTest {
  /** Weights of the solver are whole numbers: shares in ten-thousandths, masses in mg. */
  private static final long SHARE = 10_000;

  @BeforeAll
  static void solver() {
    Loader.loadNativeLibraries();
  }

  /** One random batch of two colours, five to ten pours each, and three kinds of cups. */
  private record Bench(Session session, Workshop workshop, List<CupKind> kinds) {
    static Bench of(long seed) {
      Random random = new Random(seed);
      List<CupKind> kinds = new ArrayList<>();
      for (int k = 0; k < 3; k++) {
        double bottom = 32 + random.nextInt(30);
        CupKind.Material[] materials = CupKind.Material.values();
        kinds.add(
            new CupKind(
                "k" + k,
                "Cup " + k,
                CupKind.Use.COLOUR,
                bottom,
                bottom + random.nextInt(24),
                30 + random.nextInt(45),
                random.nextInt(4) == 0 ? CupKind.Outline.SQUARE : CupKind.Outline.ROUND,
                materials[random.nextInt(materials.length)],
                random.nextInt(5) == 0 ? Double.valueOf(1 + random.nextInt(3)) : null));
      }
      List<Mould> moulds = new ArrayList<>();
      List<Piece> pieces = new ArrayList<>();
      for (String colour : List.of("clear", "a")) {
        int lines = 2 + random.nextInt(3);
        int pours = 5 + random.nextInt(6);
        for (int l = 0; l < lines; l++) {
          String id = colour + l;
          // As large as some of these cups, so that it matters which go together.
          moulds.add(Samples.mould(id, 3 + random.nextInt(220) / 10.0, 20.0));
          int count = l == lines - 1 ? pours : Math.min(pours, 1 + random.nextInt(4));
          pours -= count;
          if (count > 0) {
            pieces.add(new Piece(id, count, List.of(new Layer(colour, null, null))));
          }
        }
      }
      List<CupKind> all = new ArrayList<>(kinds);
      all.add(new CupKind("mix", "Bucket", CupKind.Use.MIXING, 160, 200, 220));
      Workshop workshop =
          new Workshop(
              moulds,
              List.of(
                  Samples.resin(new MixRatio(2, 1, MixRatio.Basis.WEIGHT), 1.15, 1.0, 40.0, null)),
              List.of(Samples.liquid("tint")),
              List.of(
                  Colour.CLEAR,
                  new Colour("a", "A", "#334455", List.of(new Colour.Part("tint", 1.5)))),
              all);
      return new Bench(Samples.session(pieces), workshop, kinds);
    }
  }

  /** Cups and waste in mg, of one colour. */
  private record Split(long cups, long wasteMg) {}

  private static Split ofPlan(Plan plan, String colour) {
    List<Cup> cups =
        plan.batches().get(0).cups().stream().filter(c -> c.colour().id().equals(colour)).toList();
    return new Split(
        cups.size(),
        Math.round(cups.stream().mapToDouble(c -> c.amounts().staysG()).sum() * 1_000));
  }

  /** The proven optimum; null when the solver could not prove one in time. */
  private static Split proven(Bench bench, Plan plan, String colour) {
    List<Cup> cups =
        plan.batches().get(0).cups().stream().filter(c -> c.colour().id().equals(colour)).toList();
    Habits habits = bench.session.habits();
    double density = cups.get(0).amounts().contentG() / cups.get(0).amounts().contentMl();
    List<Long> loads = new ArrayList<>();
    long poured = 0;
    for (Cup cup : cups) {
      for (Cup.Pour pour : cup.pours()) {
        loads.add(Math.round(pour.massG() * 1_000 * (1 + habits.overagePercent() / 100)));
        poured += Math.round(pour.massG() * 1_000);
      }
    }
    // No more cups than the plan has can be better.
    int most = cups.size();
    CpModel model = new CpModel();
    LinearExprBuilder used = LinearExpr.newBuilder();
    LinearExprBuilder content = LinearExpr.newBuilder();
    BoolVar[][] in = new BoolVar[loads.size()][most];
    for (int p = 0; p < loads.size(); p++) {
      BoolVar[] somewhere = new BoolVar[most];
      for (int c = 0; c < most; c++) {
        in[p][c] = model.newBoolVar("in");
        somewhere[c] = in[p][c];
      }
      model.addExactlyOne(somewhere);
    }
    for (int c = 0; c < most; c++) {
      LinearExprBuilder load = LinearExpr.newBuilder();
      for (int p = 0; p < loads.size(); p++) {
        load.addTerm(in[p][c], loads.get(p));
      }
      LinearExprBuilder ofKinds = LinearExpr.newBuilder();
      List<BoolVar> kindsOfCup = new ArrayList<>();
      for (CupKind kind : bench.kinds) {
        Residue clings = kind.residue(habits);
        double roomMl = Math.min(kind.capacityMl() * 0.8, 120);
        long mostMg =
            (long) Math.floor((roomMl * density * (1 - clings.share()) - clings.alwaysG()) * 1_000);
        if (mostMg <= 0) {
          continue;
        }
        BoolVar is = model.newBoolVar("kind");
        kindsOfCup.add(is);
        IntVar its = model.newIntVar(0, mostMg, "load");
        model.addLessOrEqual(its, LinearExpr.term(is, mostMg));
        ofKinds.add(its);
        double perMg = SHARE / (1 - clings.share());
        content.addTerm(its, Math.round(perMg));
        content.addTerm(is, Math.round(perMg * clings.alwaysG() * 1_000));
      }
      model.addEquality(load, ofKinds);
      model.addAtMostOne(kindsOfCup.toArray(new BoolVar[0]));
      kindsOfCup.forEach(used::add);
    }
    model.minimize(used);
    CpSolver solver = new CpSolver();
    solver.getParameters().setMaxTimeInSeconds(20).setNumWorkers(2).setRandomSeed(1);
    if (solver.solve(model) != CpSolverStatus.OPTIMAL) {
      return null;
    }
    long fewest = Math.round(solver.objectiveValue());
    model.addEquality(used, fewest);
    model.minimize(content);
    if (solver.solve(model) != CpSolverStatus.OPTIMAL) {
      return null;
    }
    return new Split(fewest, Math.round(solver.objectiveValue() / SHARE) - poured);
  }

  private static long counted(String colour, Split split) {
    return colour.equals("clear") ? 0 : 55 * split.cups;
  }

  /**
   * @return benches whose split is not the optimum, a line each
   */
  private static List<String> misses(int from, int to) {
    List<String> misses = new ArrayList<>();
    int unproven = 0;
    int several = 0;
    for (long seed = from; seed < to; seed++) {
      Bench bench = Bench.of(seed);
      Plan plan = Samples.planner().plan(bench.session, bench.workshop);
      if (plan.batches().size() > 1) {
        // A pour larger than any cup is a matter of parts, not of splitting.
        continue;
      }
      for (String colour : List.of("clear", "a")) {
        Split ours = ofPlan(plan, colour);
        Split best = proven(bench, plan, colour);
        several += ours.cups > 1 ? 1 : 0;
        if (best == null) {
          unproven++;
          // Rounding to whole mg, in every cup and in the weights above, is no miss; nor is what
          // makes
          // up for a dose counted down to whole drops or tenths of a gram, or counted up.
        } else if (ours.cups != best.cups
            || Math.abs(ours.wasteMg - best.wasteMg)
                > 3 + 2 * ours.cups + ours.wasteMg / 1_000 + counted(colour, ours)) {
          misses.add(seed + " " + colour + ": " + ours + " against " + best);
        }
      }
    }
    assertThat(several).as("splits into several cups").isGreaterThan((to - from) / 2);
    System.out.printf(
        "splits against the proven optimum: %d benches, %d in several cups, %d missed, %d unproven%n",
        to - from, several, misses.size(), unproven);
    return misses;
  }

  @Test
  void ninetyNineInAHundredSplitsAreTheProvenOptimum() {
    assertThat(misses(0, 60)).hasSizeLessThanOrEqualTo(1);
  }

  /** A thousand of them; what it last found is in docs/campaigns.md. */
  @Tag("long")
  @Test
  void aThousandSplits() {
    List<String> misses = misses(1_000, 2_000);
    misses.forEach(System.out::println);
    assertThat(misses).hasSizeLessThanOrEqualTo(20);
  }
}
