package calmpour.core.run;

import calmpour.core.cure.CureModel;
import java.time.Instant;
import java.util.List;

/**
 * How a run stands: what was done, where everything is, how every cup follows, and the rest planned
 * anew. Depends on nothing but its arguments, so that the same events always come to the same.
 */
public final class Runs {
  private final CureModel cure;

  public Runs(CureModel cure) {
    this.cure = cure;
  }

  /**
   * @param events in the order in which they were told
   * @param now the moment that is looked at; of a run that is over its end
   */
  public RunState state(Run run, List<RunEvent> events, Instant now) {
    Bench bench = new Bench(run, events, now);
    return new Telling(bench, new Replan(bench, cure)).state();
  }
}
