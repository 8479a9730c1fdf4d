package calmpour.core.plan.bench;

import calmpour.core.design.FinishStep;
import calmpour.core.habit.Mixing;
import calmpour.core.mould.MouldMake;
import calmpour.core.plan.doc.Task;
import calmpour.core.resin.LabelFacts;
import calmpour.core.resin.MixRatio;
import calmpour.core.resin.ResinSystem;
import calmpour.core.session.Job;
import calmpour.core.stock.Lot;
import calmpour.core.stock.ResinPart;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** What label, bottles and the make of a mould have to say about a step. */
final class LabelSays {
  /** Open for longer a bottle is tried before it is used (starting value, no source). */
  private static final int OPEN_DAYS = 180;

  /** "Renewed in winter": common practice, no source. */
  private static final double COLD_ROOM_C = 18;

  private static final double DAYS_A_MONTH = 30.4;

  private final Job job;

  LabelSays(Job job) {
    this.job = job;
  }

  /**
   * @param resin of the batch that a task belongs to
   */
  List<StepCard.Say> ofBatch(Task.Kind kind, ResinSystem resin) {
    List<StepCard.Say> says = new ArrayList<>();
    switch (kind) {
      case WARM -> {
        temperature(resin, says);
        boolean hot = mixing().warming() == Mixing.Warming.A_ONLY;
        if (hot && job.session().room().temperatureC() < COLD_ROOM_C) {
          says.add(say(StepCard.Code.WATER_RENEWED));
        }
        if (mixing().warming() == Mixing.Warming.A_HOT_AIR) {
          says.add(say(StepCard.Code.A_HOT_AIR));
        }
      }
      case WEIGH_FIRST -> {
        if (mixing().minutesOfWarming() == 0) {
          temperature(resin, says);
        }
        bottles(resin, says);
        if (byVolume(resin)) {
          says.add(say(StepCard.Code.TILT));
        }
      }
      case STIR -> {
        LabelFacts facts = resin.facts();
        if (facts != null && Boolean.TRUE.equals(facts.twoCups()) && !mixing().twoCups()) {
          says.add(say(StepCard.Code.SECOND_CUP_ASKED));
        }
      }
      default -> {}
    }
    return says;
  }

  private boolean byVolume(ResinSystem resin) {
    return switch (job.session().habits().measureBy()) {
      case VOLUME -> true;
      case WEIGHT -> false;
      case LABEL -> resin.ratio().basis() == MixRatio.Basis.VOLUME;
    };
  }

  /** Before anything is poured into a mould. */
  static List<StepCard.Say> pouredInto(MouldMake make) {
    return switch (make.opening()) {
      case CLOSED -> List.of(say(StepCard.Code.CAP));
      case FLAT -> List.of(say(StepCard.Code.ON_SUPPORTS));
      case OPEN, BEZEL -> List.of();
      case null -> List.of();
    };
  }

  /** When a piece is to come out. */
  List<StepCard.Say> out(Job.Line line) {
    List<StepCard.Say> says = new ArrayList<>();
    MouldMake make = line.mould().make();
    if (make != null
        && (make.opening() == MouldMake.Opening.BEZEL
            || make.opening() == MouldMake.Opening.FLAT)) {
      says.add(say(StepCard.Code.SETTING));
    }
    boolean bends =
        line.levels().stream()
            .map(l -> job.in(l.resinId()).resin().facts())
            .anyMatch(f -> f != null && Boolean.TRUE.equals(f.flexible()));
    if (bends) {
      says.add(say(StepCard.Code.STAYS_FLEXIBLE));
    }
    boolean matte = make != null && make.finish() == MouldMake.Finish.MATTE;
    boolean covered =
        line.piece().workOrNone().topCoat() != null
            || line.piece().workOrNone().finishing().stream()
                .anyMatch(
                    f -> f.kind() == FinishStep.Kind.VARNISH || f.kind() == FinishStep.Kind.POLISH);
    if (matte && !covered) {
      says.add(say(StepCard.Code.MATTE));
    }
    return says;
  }

  private Mixing mixing() {
    return job.session().habits().mixing();
  }

  /** Whether what goes into the cup is as warm as the label wants its parts. */
  private void temperature(ResinSystem resin, List<StepCard.Say> says) {
    LabelFacts facts = resin.facts();
    if (facts == null) {
      return;
    }
    double warmest =
        mixing().minutesOfWarming() > 0
            ? mixing().warmTemperatureC()
            : job.session().room().temperatureC();
    boolean both = !mixing().warmsAOnly();
    double coolest = both ? warmest : job.session().room().temperatureC();
    if (facts.warmFromC() != null && coolest < facts.warmFromC()) {
      says.add(new StepCard.Say(StepCard.Code.BOTTLES_FROM, facts.warmFromC(), null));
    }
    if (facts.warmToC() != null && warmest > facts.warmToC()) {
      says.add(new StepCard.Say(StepCard.Code.BOTTLES_TO, facts.warmToC(), null));
    }
  }

  private void bottles(ResinSystem resin, List<StepCard.Say> says) {
    LabelFacts facts = resin.facts();
    if (facts != null && Boolean.TRUE.equals(facts.coloured())) {
      says.add(say(StepCard.Code.READY_COLOURED));
    }
    List<ResinPart> parts =
        Stream.of(resin.partAId(), resin.partBId())
            .flatMap(id -> job.used().parts().stream().filter(p -> p.id().equals(id)))
            .toList();
    if (parts.stream().anyMatch(p -> p.kitG() != null)) {
      says.add(say(StepCard.Code.DRAIN));
    }
    for (ResinPart part : parts) {
      for (Lot lot : part.lots()) {
        Integer months = openMonths(lot);
        if (months != null) {
          says.add(
              new StepCard.Say(
                  StepCard.Code.OPEN_LONG, (double) months, part.name() + ", " + lot.code()));
        }
      }
    }
  }

  /** How long a bottle that is not empty has been open; null for not long. */
  private @Nullable Integer openMonths(Lot lot) {
    if (lot.openedOn() == null || (lot.leftG() != null && lot.leftG() <= 0)) {
      return null;
    }
    long days = ChronoUnit.DAYS.between(lot.openedOn(), job.session().startsAt().toLocalDate());
    return days < OPEN_DAYS ? null : (int) Math.floor(days / DAYS_A_MONTH);
  }

  private static StepCard.Say say(StepCard.Code code) {
    return new StepCard.Say(code, null, null);
  }
}
