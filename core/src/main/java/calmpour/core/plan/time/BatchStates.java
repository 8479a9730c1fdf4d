package calmpour.core.plan.time;

import calmpour.core.cure.BodyHistory;
import calmpour.core.cure.CureModel;
import calmpour.core.cure.CureStates;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.LineLayer;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.session.JobInResin;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * How the bodies of one batch follow, from its amounts and times.
 *
 * @param cups by id
 */
public record BatchStates(Map<CupId, CupStates> cups) {
  /**
   * @param states with the mass that is left in it at each moment
   * @param forgotten as if nothing were ever poured from it
   */
  public record CupStates(
      CureStates states,
      BodyHistory body,
      CureStates forgotten,
      BodyHistory forgottenBody,
      List<LayerStates> layers) {}

  /**
   * How a layer follows, after the last pour of this line's layer from this cup.
   *
   * @param poured end of that pour, seconds from the first step
   */
  public record LayerStates(Cup.Pour pour, int poured, CureStates states, BodyHistory body) {}

  /** */
  public static BatchStates of(JobInResin job, CureModel cure, Batch batch, Times times) {
    Bodies bodies = new Bodies(job, batch, times);
    List<CupStates> found = cure.each(batch.cups(), cup -> cup(job, cure, bodies, cup, times));
    Map<CupId, CupStates> cups = new LinkedHashMap<>();
    for (int i = 0; i < found.size(); i++) {
      cups.put(batch.cups().get(i).id(), found.get(i));
    }
    return new BatchStates(cups);
  }

  private static CupStates cup(
      JobInResin job, CureModel cure, Bodies bodies, Cup cup, Times times) {
    BodyHistory body = bodies.emptied(cup);
    BodyHistory full = bodies.forgotten(cup);
    return new CupStates(
        cure.states(job.resin(), body),
        body,
        cure.states(job.resin(), full),
        full,
        layers(job, cure, bodies, cup, times));
  }

  /** One for each layer of each line that this cup fills: the last of its cavities. */
  private static List<LayerStates> layers(
      JobInResin job, CureModel cure, Bodies bodies, Cup cup, Times times) {
    Map<LineLayer, Cup.Pour> last = new LinkedHashMap<>();
    for (Cup.Pour pour : cup.pours()) {
      last.merge(
          LineLayer.of(pour),
          pour,
          (a, b) -> times.end(TaskId.pour(a.id())) > times.end(TaskId.pour(b.id())) ? a : b);
    }
    return cure.each(
        List.copyOf(last.values()),
        pour -> {
          BodyHistory body = bodies.layer(cup, pour);
          return new LayerStates(
              pour, times.end(TaskId.pour(pour.id())), cure.states(job.resin(), body), body);
        });
  }

  /**
   * A layer of a line as this batch pours it, from however many cups and into however many
   * cavities.
   *
   * @param poured end of its last pour, seconds from the first step
   * @param first when the first of it is in each state
   * @param last when all of it is
   */
  record LayerSpan(int poured, CureStates first, CureStates last) {
    private LayerSpan and(LayerSpan other) {
      return new LayerSpan(
          Math.max(poured, other.poured),
          CureStates.first(first, other.first),
          CureStates.last(last, other.last));
    }
  }

  /** The layer of a line as this batch pours it; null when it does not. */
  @Nullable LayerSpan layer(int line, int layer) {
    LayerSpan all = null;
    for (CupStates cup : cups.values()) {
      for (LayerStates each : cup.layers) {
        if (each.pour.line() == line && each.pour.layer() == layer) {
          LayerSpan its = new LayerSpan(each.poured, each.states, each.states);
          all = all == null ? its : all.and(its);
        }
      }
    }
    return all;
  }
}
