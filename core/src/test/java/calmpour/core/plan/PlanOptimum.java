package calmpour.core.plan;

import calmpour.core.cup.CupKind;
import calmpour.core.cup.Residue;
import calmpour.core.habit.Habits;
import calmpour.core.habit.Hands;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Plan;
import calmpour.core.session.Job;
import calmpour.core.session.Resolution;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import calmpour.core.tint.Tint;
import com.google.ortools.sat.BoolVar;
import com.google.ortools.sat.CpModel;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.CpSolverStatus;
import com.google.ortools.sat.IntVar;
import com.google.ortools.sat.IntervalVar;
import com.google.ortools.sat.LinearExpr;
import com.google.ortools.sat.LinearExprBuilder;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * A session as a constraint program, written from docs/rules.md alone. Every batch is weighed
 * (second part), stirred, rested, split into cups of one colour and kind, each tinted, and poured;
 * one pair of hands does one thing at a time, and one batch after the other in whatever order; a
 * pour needs its cup tinted and what lies below it in its cavity poured, or gelled and not yet past
 * bonding; the last pour of a cup ends inside the table's working time less the margin.
 */
final class PlanOptimum {
  /** Until when a contact may be, s; and the longest any cup stays pourable. */
  private static final int HORIZON = 30_000;

  private static final int LONGEST = 1_500;

  enum Status {
    OPTIMAL,
    IMPOSSIBLE,
    UNPROVEN
  }

  /** What plans are compared by, in this order. */
  record Vector(int batches, long wasteSteps, int slackSeconds, int lastPourSeconds) {
    static Vector of(Plan plan) {
      double waste =
          plan.batches().stream()
              .mapToDouble(b ->
                  b.mixing().staysG()
                      + b.cups().stream().mapToDouble(c -> c.amounts().staysG()).sum())
              .sum();
      int last =
          plan.batches().stream()
              .flatMap(b -> b.cups().stream())
              .flatMap(c -> c.pours().stream())
              .mapToInt(Cup.Pour::endSeconds)
              .max()
              .orElse(0);
      return new Vector(
          plan.batches().size(),
          (long) Math.floor(waste / 5 + 1e-9),
          Math.min(600, plan.spareSeconds()),
          last);
    }
  }

  /**
   * @param vector null unless it is optimal
   */
  record Proven(Status status, @Nullable Vector vector) {}

  /** One pour as the words have it. */
  private record Want(
      int cavity, int layer, String colour, long loadMg, long pouredMg, int takes) {}

  private final Habits habits;
  private final Hands hands;
  private final TableModel table;
  private final double resinShare;
  private final long batchMostMg;
  private final CupKind bucket;
  private final List<List<Want>> stages = new ArrayList<>();

  PlanOptimum(Session session, Workshop workshop, TableModel table) {
    this.habits = session.habits();
    this.hands = session.hands();
    this.table = table;
    this.bucket = workshop.cups().get(workshop.cups().size() - 1);
    Job job = Resolution.of(session, workshop);
    // Two per cent of tint by weight of the mix; A and B weigh 1 g/mL each.
    Tint tint = job.tint(job.lines().get(0).level(0), job.lines().get(0).level(0).colour());
    this.resinShare = 1 / (1 + tint.gPerGResin());
    double density = tint.mixDensity();
    double bucketG = bucket.capacityMl() * (1 - habits.headroomPercent() / 100) * 1.0;
    double label = workshop.resins().get(0).largestBatchG() - 2 * habits.scaleDivisionG();
    this.batchMostMg = (long) Math.floor(Math.min(bucketG, label) * 1_000);
    stages.add(new ArrayList<>());
    stages.add(new ArrayList<>());
    int cavity = 0;
    for (Job.Line line : job.lines()) {
      for (int c = 0; c < line.piece().count(); c++) {
        for (int layer = 0; layer < line.levels().size(); layer++) {
          Job.Level level = line.level(layer);
          double massG = level.volumeMl() * density;
          int takes =
              (int)
                  Math.ceil(
                      hands.pourSecondsCavity() + hands.pourSecondsMl() * level.volumeMl() - 1e-9);
          stages
              .get(level.stage())
              .add(
                  new Want(
                      cavity,
                      layer,
                      level.colour().id(),
                      (long) Math.ceil(massG * 1_000 * (1 + habits.overagePercent() / 100)) + 1,
                      (long) Math.ceil(massG * 1_000),
                      takes));
        }
        cavity++;
      }
    }
  }

  // The program.

  private CpModel model = new CpModel();
  private final List<BoolVar> used = new ArrayList<>();
  private final List<IntervalVar> blocks = new ArrayList<>();
  private LinearExprBuilder waste = LinearExpr.newBuilder();
  private IntVar slack;

  /** Of a pour that lies below another: its end, and the contact of its batch. */
  private record Poured(IntVar end, IntVar contact) {}

  private final Map<String, Poured> poured = new HashMap<>();

  Proven solve(double seconds) {
    slack = model.newIntVar(0, 600, "slack");
    for (int stage = 0; stage < 2; stage++) {
      build(stage);
    }
    model.addNoOverlap(blocks);
    IntVar steps = model.newIntVar(0, 10_000, "steps");
    // Steps of 5 g, rounded down.
    model.addLessOrEqual(waste.build(), LinearExpr.affine(steps, 5_000, 4_999));

    LinearExpr batches = LinearExpr.sum(used.toArray(new BoolVar[0]));
    long deadline = System.nanoTime() + (long) (seconds * 1e9);
    Long fewest = minimum(batches, deadline);
    if (fewest == null) {
      return new Proven(impossible ? Status.IMPOSSIBLE : Status.UNPROVEN, null);
    }
    model.addEquality(batches, fewest);
    Long least = minimum(steps, deadline);
    if (least == null) {
      return new Proven(Status.UNPROVEN, null);
    }
    model.addEquality(steps, least);
    Long most = minimum(LinearExpr.term(slack, -1), deadline);
    if (most == null) {
      return new Proven(Status.UNPROVEN, null);
    }
    return new Proven(Status.OPTIMAL, new Vector(fewest.intValue(), least, (int) -most, 0));
  }

  private boolean impossible;

  private @Nullable Long minimum(com.google.ortools.sat.LinearArgument what, long deadline) {
    double left = (deadline - System.nanoTime()) / 1e9;
    if (left < 0.05) {
      return null;
    }
    model.minimize(what);
    CpSolver solver = new CpSolver();
    solver.getParameters().setMaxTimeInSeconds(left).setNumWorkers(2).setRandomSeed(1);
    CpSolverStatus status = solver.solve(model);
    impossible = status == CpSolverStatus.INFEASIBLE;
    return status == CpSolverStatus.OPTIMAL ? Math.round(solver.objectiveValue()) : null;
  }

  private void build(int stage) {
    List<Want> wants = stages.get(stage);
    if (wants.isEmpty()) {
      return;
    }
    int cavities = (int) wants.stream().map(Want::cavity).distinct().count();
    List<Integer> ids = wants.stream().map(Want::cavity).distinct().toList();
    List<String> colours = wants.stream().map(Want::colour).distinct().toList();
    int slots = Math.min(cavities, 4);
    BoolVar[][] in = new BoolVar[cavities][slots];
    BoolVar[] open = new BoolVar[slots];
    for (int b = 0; b < slots; b++) {
      open[b] = model.newBoolVar("open" + stage + b);
      used.add(open[b]);
    }
    for (int b = 1; b < slots; b++) {
      model.addImplication(open[b], open[b - 1]);
    }
    for (int c = 0; c < cavities; c++) {
      for (int b = 0; b < slots; b++) {
        // The first cavity is in the first batch, the second in the first two: batches are alike.
        in[c][b] = b > c ? falseVar() : model.newBoolVar("in" + stage + c + b);
        model.addImplication(in[c][b], open[b]);
      }
      model.addExactlyOne(in[c]);
    }
    for (int b = 0; b < slots; b++) {
      batch(stage, b, wants, ids, colours, in, open[b]);
    }
  }

  private BoolVar falseVar() {
    BoolVar no = model.newBoolVar("no");
    model.addEquality(no, 0);
    return no;
  }

  private void batch(
      int stage,
      int b,
      List<Want> wants,
      List<Integer> ids,
      List<String> colours,
      BoolVar[][] in,
      BoolVar open) {
    String at = stage + "." + b + ".";
    int weigh = (int) hands.weighSecondsPart();
    // Second part, the label's three minutes of stirring, rest: nothing is gained by waiting.
    int rested = weigh + 180 + (int) (habits.restMinutes() * 60);
    IntVar contact = model.newIntVar(weigh, HORIZON, at + "contact");
    // From the first part's weighing to the last pour nobody does anything else.
    IntVar begin = model.newIntVar(0, HORIZON, at + "begin");
    model.addEquality(contact, LinearExpr.affine(begin, 1, weigh));
    IntVar takes = model.newIntVar(0, LONGEST + weigh, at + "takes");
    IntVar finish = model.newIntVar(0, HORIZON + LONGEST + weigh, at + "finish");
    blocks.add(model.newOptionalIntervalVar(begin, takes, finish, open, at + "block"));
    List<IntervalVar> busy = new ArrayList<>();
    LinearExprBuilder work = LinearExpr.newBuilder().add(rested + weigh);

    LinearExprBuilder content = LinearExpr.newBuilder();
    // Split early: all cups are filled before the first is tinted.
    IntVar allSplit = model.newIntVar(rested, LONGEST, at + "split");
    for (String colour : colours) {
      List<Want> its = wants.stream().filter(w -> w.colour.equals(colour)).toList();
      cupsOf(
          at + colour,
          its,
          ids,
          in,
          b,
          contact,
          rested,
          open,
          stage,
          content,
          busy,
          work,
          takes,
          allSplit);
    }
    model.addNoOverlap(busy);
    model.addGreaterOrEqual(takes, work.build()).onlyEnforceIf(open);
    // Two per cent of a cup is tint, the rest resin; and what the bucket keeps goes on top.
    Residue keeps = bucket.residue(habits);
    IntVar contentMg = model.newIntVar(0, 2_000_000, at + "content");
    model.addEquality(contentMg, content.build());
    IntVar resinMg = model.newIntVar(0, 2_000_000, at + "resin");
    // resin · 10000 ≥ content · share · 10000
    model.addGreaterOrEqual(
        LinearExpr.term(resinMg, 100_000),
        LinearExpr.term(contentMg, Math.round(resinShare * 100_000)));
    IntVar mixedMg = model.newIntVar(0, 4_000_000, at + "mixed");
    long reserveMg = (long) (habits.splitting().reserveMl() * 1_000);
    model
        .addGreaterOrEqual(
            LinearExpr.term(mixedMg, Math.round((1 - keeps.share()) * 100_000)),
            LinearExpr.affine(
                resinMg, 100_000, 100_000 * (reserveMg + Math.round(keeps.alwaysG() * 1_000))))
        .onlyEnforceIf(open);
    model.addLessOrEqual(mixedMg, batchMostMg);
    model.addEquality(mixedMg, 0).onlyEnforceIf(open.not());
    // Waste: what stays in the bucket, and in the cups beyond what was poured.
    IntVar kept = model.newIntVar(0, 2_000_000, at + "kept");
    model.addGreaterOrEqual(
        kept, LinearExpr.newBuilder().add(mixedMg).addTerm(resinMg, -1).build());
    waste.add(kept);
    waste.add(contentMg);
    for (int c = 0; c < ids.size(); c++) {
      for (Want want : wants) {
        if (want.cavity == ids.get(c)) {
          waste.addTerm(in[c][b], -want.pouredMg);
        }
      }
    }
  }

  /** Cups of one colour in one batch. */
  private void cupsOf(
      String at,
      List<Want> its,
      List<Integer> ids,
      BoolVar[][] in,
      int b,
      IntVar contact,
      int rested,
      BoolVar open,
      int stage,
      LinearExprBuilder content,
      List<IntervalVar> busy,
      LinearExprBuilder work,
      IntVar takes,
      IntVar allSplit) {
    int most = Math.min(its.size(), 3);
    BoolVar[] cup = new BoolVar[most];
    IntVar[] tinted = new IntVar[most];
    IntVar[] windowEnds = new IntVar[most];
    List<LinearExprBuilder> loads = new ArrayList<>();
    for (int k = 0; k < most; k++) {
      cup[k] = model.newBoolVar(at + "cup" + k);
      model.addImplication(cup[k], open);
      if (k > 0) {
        model.addImplication(cup[k], cup[k - 1]);
      }
      // From here on times count from the first contact.
      int splits = (int) hands.splitSecondsCup();
      int tints = (int) hands.tintSecondsCup();
      IntVar split = model.newIntVar(rested, LONGEST, at + "split" + k);
      busy.add(model.newOptionalFixedSizeIntervalVar(split, splits, cup[k], at + "split" + k));
      IntVar tint = model.newIntVar(rested, LONGEST, at + "tint" + k);
      model.addGreaterOrEqual(allSplit, LinearExpr.affine(split, 1, splits)).onlyEnforceIf(cup[k]);
      model.addGreaterOrEqual(tint, allSplit);
      busy.add(model.newOptionalFixedSizeIntervalVar(tint, tints, cup[k], at + "tint" + k));
      tinted[k] = model.newIntVar(rested, LONGEST + tints, at + "tinted" + k);
      model.addEquality(tinted[k], LinearExpr.affine(tint, 1, tints));
      work.addTerm(cup[k], splits + tints);
      loads.add(LinearExpr.newBuilder());
      windowEnds[k] = model.newIntVar(0, LONGEST, at + "window" + k);
    }
    for (Want want : its) {
      BoolVar[] from = new BoolVar[most + 1];
      int c = ids.indexOf(want.cavity);
      IntVar start = model.newIntVar(rested, LONGEST, at + "pour");
      IntVar end = model.newIntVar(rested, LONGEST, at + "poured");
      model.addEquality(end, LinearExpr.affine(start, 1, want.takes));
      busy.add(model.newOptionalFixedSizeIntervalVar(start, want.takes, in[c][b], at + "pour"));
      for (int k = 0; k < most; k++) {
        from[k] = model.newBoolVar(at + "from" + k);
        model.addImplication(from[k], cup[k]);
        loads.get(k).addTerm(from[k], want.loadMg);
        model.addGreaterOrEqual(start, tinted[k]).onlyEnforceIf(from[k]);
        // Inside the cup's working time less the margin, with the slack that is wanted.
        model
            .addLessOrEqual(LinearExpr.newBuilder().add(end).add(slack).build(), windowEnds[k])
            .onlyEnforceIf(from[k]);
      }
      from[most] = model.newBoolVar(at + "elsewhere");
      model.addEquality(from[most], in[c][b].not());
      model.addExactlyOne(from);
      model
          .addGreaterOrEqual(takes, LinearExpr.affine(end, 1, (int) hands.weighSecondsPart()))
          .onlyEnforceIf(in[c][b]);
      work.addTerm(in[c][b], want.takes);
      below(want, in[c][b], start, end, contact, stage);
    }
    for (int k = 1; k < most; k++) {
      // Cups of a colour are alike: the fuller one first.
      model.addGreaterOrEqual(loads.get(k - 1).build(), loads.get(k).build());
    }
    for (int k = 0; k < most; k++) {
      kind(at + k, cup[k], loads.get(k), windowEnds[k], content);
    }
  }

  /** What lies below is poured before; at gel it has gelled, and still bonds. */
  private void below(Want want, BoolVar here, IntVar start, IntVar end, IntVar contact, int stage) {
    Poured its =
        poured.computeIfAbsent(
            want.cavity + "." + want.layer,
            k ->
                new Poured(
                    model.newIntVar(0, LONGEST, "end of " + k),
                    model.newIntVar(0, HORIZON, "contact of " + k)));
    model.addEquality(its.end, end).onlyEnforceIf(here);
    model.addEquality(its.contact, contact).onlyEnforceIf(here);
    Poured below = poured.get(want.cavity + "." + (want.layer - 1));
    boolean sameStage =
        below != null
            && stages.get(stage).stream()
                .anyMatch(w -> w.cavity == want.cavity && w.layer == want.layer - 1);
    if (below != null && sameStage) {
      model.addGreaterOrEqual(start, below.end).onlyEnforceIf(here);
    } else if (below != null) {
      LinearExpr begins = LinearExpr.newBuilder().add(contact).add(start).build();
      model
          .addGreaterOrEqual(begins, LinearExpr.affine(below.contact, 1, table.gelsSeconds()))
          .onlyEnforceIf(here);
      model
          .addLessOrEqual(begins, LinearExpr.affine(below.contact, 1, table.bondsSeconds()))
          .onlyEnforceIf(here);
    }
  }

  /** One of three kinds: its room, what it keeps, and how long what is in it can be poured. */
  private void kind(
      String at,
      BoolVar cup,
      LinearExprBuilder load,
      IntVar windowEnds,
      LinearExprBuilder content) {
    IntVar loadMg = model.newIntVar(0, 400_000, at + "load");
    model.addEquality(loadMg, load.build());
    model.addEquality(loadMg, 0).onlyEnforceIf(cup.not());
    IntVar contentMg = model.newIntVar(0, 400_000, at + "content");
    content.add(contentMg);
    model.addEquality(contentMg, 0).onlyEnforceIf(cup.not());
    BoolVar[] kinds = new BoolVar[table.kinds().size() + 1];
    long margin = (long) (habits.marginMinutes() * 60);
    for (int k = 0; k < table.kinds().size(); k++) {
      CupKind of = table.kinds().get(k);
      kinds[k] = model.newBoolVar(at + "kind" + k);
      Residue keeps = of.residue(habits);
      long mostMg =
          (long)
              Math.floor(
                  Math.min(of.capacityMl() * (1 - habits.headroomPercent() / 100), 120) * 1_000);
      model.addLessOrEqual(contentMg, mostMg).onlyEnforceIf(kinds[k]);
      // content · (1 − share) ≥ load + always; three milligrams against us for rounding.
      model
          .addGreaterOrEqual(
              LinearExpr.term(contentMg, Math.round((1 - keeps.share()) * 100_000)),
              LinearExpr.affine(
                  loadMg, 100_000, 100_000 * (Math.round(keeps.alwaysG() * 1_000) + 3)))
          .onlyEnforceIf(kinds[k]);
      List<Integer> row = table.seconds().get(k);
      for (int step = 0; step < row.size(); step++) {
        // Up to so many grams it lasts at least so long.
        BoolVar below = model.newBoolVar(at + "below" + k + step);
        boolean last = step == row.size() - 1;
        if (!last) {
          model.addLessOrEqual(contentMg, 5_000L * (step + 1)).onlyEnforceIf(below);
          model.addGreaterOrEqual(contentMg, 5_000L * (step + 1) + 1).onlyEnforceIf(below.not());
        }
        if (step > 0) {
          // Above the step before, the window of this step is the most there is.
          model
              .addLessOrEqual(windowEnds, row.get(step) - margin)
              .onlyEnforceIf(new BoolVar[] {kinds[k], above[step - 1]});
        } else {
          model.addLessOrEqual(windowEnds, row.get(0) - margin).onlyEnforceIf(kinds[k]);
        }
        above[step] = model.newBoolVar(at + "above" + k + step);
        if (last) {
          model.addEquality(above[step], 0);
        } else {
          model.addEquality(above[step], below.not());
        }
      }
    }
    kinds[table.kinds().size()] = model.newBoolVar(at + "none");
    model.addEquality(kinds[table.kinds().size()], cup.not());
    model.addExactlyOne(kinds);
  }

  private final BoolVar[] above = new BoolVar[64];
}
