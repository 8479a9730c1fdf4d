package calmpour.core.practice;

import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.PourId;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.run.AsRun;
import calmpour.core.run.CupCurve;
import calmpour.core.run.LookOver;
import calmpour.core.run.Run;
import calmpour.core.run.RunEvent;
import calmpour.core.run.RunReader;
import java.time.Duration;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** How the pieces of a rehearsal came out, by what was really so. */
final class Judged {
  /**
   * Off by so many times what is tolerated, a piece stays sticky; below it is a second. No source.
   */
  private static final double STAYS_STICKY = 3;

  /** A cavity that got less than this share of what it should have ran short. No source. */
  private static final double SHORT_SHARE = 0.9;

  /** What nobody can use. */
  private static final Set<Score.Why> LOST =
      EnumSet.of(
          Score.Why.GELLED,
          Score.Why.GIVEN_UP,
          Score.Why.TOO_LATE,
          Score.Why.RAN_SHORT,
          Score.Why.LEAKED);

  private final Run run;
  private final EveningPlan plan;
  private final Befallen befallen;
  private final List<RunEvent> really;
  private final Map<PourId, CupId> planned = new HashMap<>();
  private final Map<CupId, String> colours = new HashMap<>();

  Judged(Run run, Befallen befallen) {
    this.run = run;
    this.plan = new EveningPlan(run);
    this.befallen = befallen;
    this.really = befallen.really();
    run.plan().batches().stream()
        .flatMap(b -> b.cups().stream())
        .forEach(cup -> {
          colours.put(cup.id(), cup.colour().name());
          cup.pours().forEach(p -> planned.put(p.id(), cup.id()));
        });
  }

  static int points(LookOver.Verdict verdict) {
    return switch (verdict) {
      case GOOD -> 2;
      case SECOND -> 1;
      case LOST -> 0;
    };
  }

  List<Score.PieceScore> pieces(AsRun record, List<CupCurve> curves) {
    double tolerancePercent = run.session().habits().ratioTolerancePercent();
    Map<CupId, CupCurve> cups = new HashMap<>();
    curves.forEach(c -> cups.put(c.cupId(), c));
    Map<Integer, Double> off = new HashMap<>();
    record
        .batches()
        .forEach(b -> {
          if (b.ratioErrorPercent() != null) {
            off.put(b.number(), Math.abs(b.ratioErrorPercent()));
          }
        });
    List<Flaw> flaws = flaws();
    List<Score.PieceScore> pieces = new ArrayList<>();
    for (AsRun.PieceOut piece : record.pieces()) {
      Set<Score.Why> why = EnumSet.noneOf(Score.Why.class);
      boolean sticky = false;
      for (AsRun.PourIn pour : record.pours()) {
        if (pour.line() == piece.line() && pour.cavity() == piece.cavity()) {
          CupCurve cup = cups.get(pour.cupId());
          poured(pour, cup, why);
          double error = cup == null ? 0 : off.getOrDefault(cup.batch(), 0.0);
          if (error > tolerancePercent) {
            why.add(Score.Why.OFF_RATIO);
          }
          sticky |= error > tolerancePercent * STAYS_STICKY;
        }
      }
      flaws.stream()
          .filter(f -> f.line() == piece.line() && f.cavity() == piece.cavity())
          .forEach(f -> why.add(f.why()));
      boolean lost = sticky || why.stream().anyMatch(LOST::contains);
      pieces.add(
          new Score.PieceScore(
              piece.piece(),
              piece.mouldName(),
              lost
                  ? LookOver.Verdict.LOST
                  : why.isEmpty() ? LookOver.Verdict.GOOD : LookOver.Verdict.SECOND,
              List.copyOf(why)));
    }
    return pieces;
  }

  private void poured(AsRun.PourIn pour, @Nullable CupCurve cup, Set<Score.Why> why) {
    switch (pour.outcome()) {
      case GIVEN_UP -> why.add(Score.Why.GIVEN_UP);
      case LOST, OPEN -> why.add(Score.Why.TOO_LATE);
      case POURED -> {
        String meant = colours.get(planned.get(pour.pourId()));
        if (!Objects.equals(meant, colours.get(pour.cupId()))) {
          why.add(Score.Why.OTHER_COLOUR);
        }
        if (pour.grams() != null && pour.grams() < SHORT_SHARE * pour.plannedG()) {
          why.add(Score.Why.RAN_SHORT);
        }
        Integer spare = pour.spareSeconds();
        if (spare == null || spare >= 0) {
          return;
        }
        boolean gelled =
            cup != null
                && cup.curve() != null
                && cup.curve().gels() != null
                && pour.atSeconds() != null
                && pour.atSeconds() >= cup.contactSeconds() + cup.curve().gels() * 60;
        why.add(gelled ? Score.Why.GELLED : Score.Why.POURED_THICK);
      }
    }
  }

  /** What is wrong with pieces, whatever the clocks say. */
  private List<Flaw> flaws() {
    List<Flaw> flaws = new ArrayList<>();
    for (Befell befell : befallen.all) {
      Cup.Pour pour = befell.pour();
      boolean seenTo = befallen.seenTo(befell);
      if (befell.mishap().kind() == Mishap.Kind.COLD_RESIN && !seenTo) {
        plan.pours(befell.task().batch())
            .forEach(p -> flaws.add(new Flaw(p.line(), p.cavity(), Score.Why.COLD_RESIN)));
      }
      if (befell.mishap().kind() == Mishap.Kind.LEAK && !seenTo && pour != null) {
        flaws.add(new Flaw(pour.line(), pour.cavity(), Score.Why.LEAKED));
      }
    }
    Set<TaskId> done = RunReader.done(run, really);
    for (Task task : run.plan().tasks()) {
      boolean embeds = task.kind() == Task.Kind.EMBED || task.kind() == Task.Kind.LAY_EMBEDS;
      if (embeds && task.line() != null) {
        Score.Why why = embed(task, done);
        if (why != null) {
          ofLine(task.line(), why, flaws);
        }
      }
    }
    return flaws;
  }

  private void ofLine(int line, Score.Why why, List<Flaw> into) {
    run.plan().batches().stream()
        .flatMap(b -> plan.pours(b.number()).stream())
        .filter(p -> p.line() == line)
        .forEach(p -> into.add(new Flaw(p.line(), p.cavity(), why)));
  }

  private Score.@Nullable Why embed(Task task, Set<TaskId> done) {
    boolean forgotten =
        befallen.all.stream()
            .anyMatch(b ->
                b.mishap().kind() == Mishap.Kind.EMBED_FORGOTTEN
                    && b.task().id().equals(task.id())
                    && !befallen.seenTo(b));
    if (forgotten || !done.contains(task.id())) {
      return Score.Why.EMBED_MISSING;
    }
    int at =
        really.stream()
            .filter(e -> e.kind() == RunEvent.Kind.DONE && task.id().text().equals(e.of()))
            .mapToInt(e -> (int) Duration.between(run.begunAt(), e.at()).toSeconds())
            .max()
            .orElse(0);
    return task.kind() == Task.Kind.EMBED && at > plan.thickSeconds(task, really)
        ? Score.Why.EMBED_TOO_LATE
        : null;
  }

  /** Something that is wrong with a piece. */
  private record Flaw(int line, int cavity, Score.Why why) {}
}
