package calmpour.core.session;

import calmpour.core.cup.CupKind;
import calmpour.core.cure.RoomCourse;
import calmpour.core.habit.Mixing;
import calmpour.core.resin.LabelFacts;
import calmpour.core.resin.ResinSystem;
import calmpour.core.resin.WeighOut;
import calmpour.core.tint.Colour;
import calmpour.core.tint.Tint;
import calmpour.core.tool.Tool;
import java.util.List;
import java.util.Map;

/**
 * A job with one of its resins at hand: all that one batch is made from.
 *
 * @param resin of the batch
 * @param tints by colour id in that resin, each held within the limits
 */
public record JobInResin(Job job, ResinSystem resin, Map<String, Tint> tints) {
  public JobInResin {
    tints = Map.copyOf(tints);
  }

  public Session session() {
    return job.session();
  }

  public List<Job.Line> lines() {
    return job.lines();
  }

  /** Kinds fit for the whole mix, smallest first. */
  public List<CupKind> mixingCups() {
    return job.mixingCups();
  }

  /** Kinds fit for one colour, smallest first. */
  public List<CupKind> colourCups() {
    return job.colourCups();
  }

  /** Cups put together by hand, in the order of the session. */
  public List<Job.CupByHand> handCups() {
    return job.handCups();
  }

  public List<Tool> tools() {
    return job.tools();
  }

  /** How warm it is while the work goes on. */
  public RoomCourse room() {
    return job.room();
  }

  /** With another resin at hand. */
  public JobInResin in(String resinId) {
    return resin.id().equals(resinId) ? this : job.in(resinId);
  }

  /** A colour as it is in the resin of a level. */
  public Tint tint(Job.Level level, Colour colour) {
    return job.tint(level, colour);
  }

  /**
   * Temperature that the mix is followed from, °C: as A and B meet, and what bringing its bubbles
   * out adds, taken as there from the beginning.
   */
  public double startC() {
    return meetC() + session().habits().mixing().releaseOrNone().warmerK();
  }

  /** Temperature of A and B when they meet, °C. */
  public double meetC() {
    Mixing mixing = session().habits().mixing();
    double shareA = WeighOut.shareA(resin, mixing.extraAPercent());
    return mixing.startC(session().room().temperatureC(), shareA);
  }

  /** Air is damp for it from that humidity on, %: by its label, else the habit, else its kind. */
  public double dampFromPercent() {
    LabelFacts facts = resin.facts();
    Double label = facts == null ? null : facts.dampFromPercent();
    Double habit = session().habits().care().dampFromPercent();
    return label != null ? label : habit != null ? habit : resin.kind().dampFromPercent();
  }
}
