package calmpour.core.session;

import java.util.ArrayList;
import java.util.List;

/** Pieces taken off several lines at once, so that each keeps about its share. */
public final class Fewer {
  private Fewer() {}

  /**
   * One piece after the other comes off the line that has most, the last of several; each line
   * keeps one.
   *
   * @param counts pieces of each line, 1 or more
   * @param off pieces to take off in all, 0 or more
   * @return what is left of each line, 1 or more; less is taken off where no line has more
   */
  public static List<Integer> counts(List<Integer> counts, int off) {
    List<Integer> left = new ArrayList<>(counts);
    for (int i = 0; i < off; i++) {
      int most = 0;
      for (int line = 0; line < left.size(); line++) {
        most = left.get(line) >= left.get(most) ? line : most;
      }
      if (left.isEmpty() || left.get(most) <= 1) {
        return left;
      }
      left.set(most, left.get(most) - 1);
    }
    return left;
  }
}
