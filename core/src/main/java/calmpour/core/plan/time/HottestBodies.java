package calmpour.core.plan.time;

import static calmpour.core.check.Known.known;

import calmpour.core.cure.BodyHistory;
import calmpour.core.cure.CureModel;
import calmpour.core.cure.CureStates;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.BatchHeat;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Place;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.session.JobInResin;
import calmpour.core.tint.Tint;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** The warmest that each kind of body of a batch gets. */
public final class HottestBodies {
  private HottestBodies() {}

  /**
   * @param batch its amounts
   * @return empty where a rule of thumb stands in, which knows no heat
   */
  public static Optional<BatchHeat> of(
      JobInResin job, CureModel cure, Batch batch, Schedule.Laid laid) {
    Times times = laid.times();
    int contact = times.contact(batch.number());
    BatchStates states = known(laid.states().get(batch.number()));
    int split =
        batch.cups().stream()
            .mapToInt(c ->
                batch.split() ? times.filled(batch.number(), c.id()) : lastPour(c, times, contact))
            .max()
            .orElse(contact);
    BodyHistory mixing =
        Bodies.alone(
            job,
            batch.mixing().cup(),
            batch.measuring().totalG(),
            Tint.within(List.of(), List.of(), job.resin().mixedDensity(), List.of()));
    Optional<BatchHeat.Hot> mixed =
        hot(
            new Place.OfBatch(batch.number()),
            cure.warmestWithin(job.resin(), mixing, (split - contact) / 60.0),
            cure.states(job.resin(), mixing));
    Optional<BatchHeat.Hot> cup =
        batch.cups().stream()
            .filter(c -> !c.pours().isEmpty())
            .flatMap(c -> {
              BatchStates.CupStates of = known(states.cups().get(c.id()));
              double minutes = (lastPour(c, times, contact) - contact) / 60.0;
              return hot(
                  Place.of(c), cure.warmestWithin(job.resin(), of.body(), minutes), of.forgotten())
                  .stream();
            })
            .max(Comparator.comparingDouble(BatchHeat.Hot::forgottenC));
    Optional<BatchHeat.Hot> piece =
        states.cups().values().stream()
            .flatMap(c -> c.layers().stream())
            .flatMap(l -> {
              CureStates.Heat heat = l.states().heat();
              Place place = Place.of(l.pour());
              return heat == null
                  ? Stream.empty()
                  : Stream.of(
                      new BatchHeat.Hot(place, heat.peakC(), heat.peakC(), heat.mostPeakC()));
            })
            .max(Comparator.comparingDouble(BatchHeat.Hot::plannedC));
    return mixed.map(m -> new BatchHeat(m, cup.orElse(null), piece.orElse(null)));
  }

  private static int lastPour(Cup cup, Times times, int contact) {
    return cup.pours().stream().mapToInt(p -> times.end(TaskId.pour(p.id()))).max().orElse(contact);
  }

  private static Optional<BatchHeat.Hot> hot(
      Place place, Optional<Double> planned, CureStates forgotten) {
    CureStates.Heat heat = forgotten.heat();
    return heat == null
        ? Optional.empty()
        : planned.map(p -> new BatchHeat.Hot(place, p, heat.peakC(), heat.mostPeakC()));
  }
}
