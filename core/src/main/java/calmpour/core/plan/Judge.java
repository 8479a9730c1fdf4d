package calmpour.core.plan;

import calmpour.core.plan.doc.Finding;
import java.util.List;
import java.util.function.Supplier;

/** Finds what is wrong with a plan, or nearly so. */
public interface Judge {
  /**
   * @param facts the plan and what follows from it
   * @param latePours ways out of late pours, asked for only when there are any
   */
  List<Finding> judge(Facts facts, Supplier<List<Finding.Mend>> latePours);

  /** How much is broken because of when things are done, and not of how much of what. */
  int missedInTime(Facts facts);
}
