package calmpour.core.plan.time;

import calmpour.core.plan.doc.Task;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** When each thing that is there once is taken, here and in other sessions. */
final class SharedThings {
  private final Map<String, List<int[]>> taken = new HashMap<>();

  /** A shared thing that a batch needs, from its own start. */
  record ToolUse(String toolId, int from, int to) {}

  void take(String toolId, int from, int to) {
    if (to > from) {
      taken.computeIfAbsent(toolId, k -> new ArrayList<>()).add(new int[] {from, to});
    }
  }

  /** The first start from which hands and shared things are free for all of a chain. */
  int firstFit(List<Timeline> hands, int from, List<Task> chain, List<ToolUse> uses) {
    int start = from;
    for (int tries = 0; tries < 1_000; tries++) {
      int moved = Timeline.firstFit(hands, start, chain);
      for (ToolUse use : uses) {
        for (int[] busy : taken.getOrDefault(use.toolId, List.of())) {
          if (busy[0] < moved + use.to && moved + use.from < busy[1]) {
            moved = busy[1] - use.from;
          }
        }
      }
      if (moved == start) {
        return start;
      }
      start = moved;
    }
    return from;
  }
}
