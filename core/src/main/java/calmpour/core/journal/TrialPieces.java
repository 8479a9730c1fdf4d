package calmpour.core.journal;

import calmpour.core.plan.doc.Plan;
import calmpour.core.session.Session;
import java.util.ArrayList;
import java.util.List;

/** Which lines of an evening were a trial, and which stood beside them as its control. */
public final class TrialPieces {
  private TrialPieces() {}

  /**
   * A line of pieces in a trial.
   *
   * @param line index from 0
   * @param trial what was done otherwise, in the maker's words
   * @param changed whether it was done to these; false for the control
   */
  public record InTrial(int line, String trial, boolean changed) {}

  /**
   * The control of a trial are the pieces of the same evening from the same cavity with which
   * nothing was tried; a trial without any is none.
   *
   * @param plan of that session, which says the cavities
   */
  public static List<InTrial> of(Session session, Plan plan) {
    List<InTrial> all = new ArrayList<>();
    for (int line = 0; line < session.pieces().size(); line++) {
      String trial = session.pieces().get(line).trial();
      List<Integer> beside = trial == null ? List.of() : controls(session, plan, line);
      if (trial == null || beside.isEmpty()) {
        continue;
      }
      all.add(new InTrial(line, trial, true));
      for (int control : beside) {
        // Two lines may try the same beside one control, in capitals or not.
        boolean there =
            all.stream()
                .anyMatch(t -> t.line == control && !t.changed && t.trial.equalsIgnoreCase(trial));
        if (!there) {
          all.add(new InTrial(control, trial, false));
        }
      }
    }
    return all;
  }

  private static List<Integer> controls(Session session, Plan plan, int line) {
    List<Integer> beside = new ArrayList<>();
    Plan.PieceView tried = plan.pieces().get(line);
    for (int other = 0; other < session.pieces().size(); other++) {
      Plan.PieceView view = plan.pieces().get(other);
      if (session.pieces().get(other).trial() == null
          && view.mouldId().equals(tried.mouldId())
          && view.cavityId().equals(tried.cavityId())) {
        beside.add(other);
      }
    }
    return beside;
  }
}
