package calmpour.core.plan;

import calmpour.core.cure.BodyHistory;
import calmpour.core.cure.CureModel;
import calmpour.core.cure.CureStates;
import calmpour.core.session.Job;
import calmpour.core.tint.Tint;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * How warm a batch gets: its mixing cup, the hottest of its colour cups, the hottest of its pieces.
 *
 * @param mixing until it is split; the cup it stays in where it is not
 * @param cup until its last planned pour; null where nothing is poured
 * @param piece in its mould; null where nothing is poured
 */
public record BatchHeat(Hot mixing, @Nullable Hot cup, @Nullable Hot piece) {
  /**
   * @param place address of what it is: {@code batch/1}, {@code cup/1.2}, {@code pour/1.1.1}
   * @param plannedC the warmest it gets while the plan is followed
   * @param forgottenC the warmest it gets when it is left where it is, full
   * @param forgottenMostC the same, of which one in ten gets more
   */
  public record Hot(String place, double plannedC, double forgottenC, double forgottenMostC) {}

  /**
   * @param job with the batch's resin at hand
   * @param batch its amounts
   * @return empty where a rule of thumb stands in, which knows no heat
   */
  static Optional<BatchHeat> of(Job job, CureModel cure, Batch batch, Schedule.Laid laid) {
    Times times = laid.times();
    int contact = times.contact(batch.number());
    BatchStates states = laid.states().get(batch.number());
    int split =
        batch.cups().stream()
            .mapToInt(c ->
                batch.split() ? times.filled(batch.number(), c.id()) : lastPour(c, times, contact))
            .max()
            .orElse(contact);
    BodyHistory mixing =
        Bodies.alone(
            job,
            batch.mixingCup(),
            batch.totalG(),
            Tint.within(List.of(), List.of(), job.resin().mixedDensity(), List.of()));
    Optional<Hot> mixed =
        hot(
            "batch/" + batch.number(),
            cure.warmestWithin(job.resin(), mixing, (split - contact) / 60.0),
            cure.states(job.resin(), mixing));
    Optional<Hot> cup =
        batch.cups().stream()
            .filter(c -> !c.pours().isEmpty())
            .flatMap(c -> {
              BatchStates.CupStates of = states.cups().get(c.id());
              double minutes = (lastPour(c, times, contact) - contact) / 60.0;
              return hot(
                  "cup/" + c.id(),
                  cure.warmestWithin(job.resin(), of.body(), minutes),
                  of.forgotten())
                  .stream();
            })
            .max(Comparator.comparingDouble(Hot::forgottenC));
    Optional<Hot> piece =
        states.cups().values().stream()
            .flatMap(c -> c.layers().stream())
            .flatMap(l -> {
              CureStates.Heat heat = l.states().heat();
              String place = "pour/" + l.pour().id();
              return heat == null
                  ? Stream.empty()
                  : Stream.of(new Hot(place, heat.peakC(), heat.peakC(), heat.mostPeakC()));
            })
            .max(Comparator.comparingDouble(Hot::plannedC));
    return mixed.map(m -> new BatchHeat(m, cup.orElse(null), piece.orElse(null)));
  }

  private static int lastPour(Cup cup, Times times, int contact) {
    return cup.pours().stream().mapToInt(p -> times.end(Times.pour(p.id()))).max().orElse(contact);
  }

  private static Optional<Hot> hot(String place, Optional<Double> planned, CureStates forgotten) {
    CureStates.Heat heat = forgotten.heat();
    return heat == null
        ? Optional.empty()
        : planned.map(p -> new Hot(place, p, heat.peakC(), heat.mostPeakC()));
  }
}
