package calmpour.core.session;

import calmpour.core.check.Problem;
import calmpour.core.cup.CupKind;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Finds out which pours the cups put together by hand hold, or why one is not possible. */
final class HandCups {
  private final List<Job.Line> lines;
  private final List<Problem> problems;

  /** Cavities of a layer that cups before have taken, by line and layer. */
  private final Map<String, Integer> taken = new HashMap<>();

  private HandCups(List<Job.Line> lines, List<Problem> problems) {
    this.lines = lines;
    this.problems = problems;
  }

  /**
   * @param lines in the order of the session
   * @param problems what is in the way is added to them
   */
  static List<Job.CupByHand> of(
      Session session, List<Job.Line> lines, Map<String, CupKind> kinds, List<Problem> problems) {
    HandCups cups = new HandCups(lines, problems);
    List<Job.CupByHand> all = new ArrayList<>();
    for (int i = 0; i < session.cupsByHand().size(); i++) {
      HandCup cup = session.cupsByHand().get(i);
      String at = "cupsByHand[" + i + "]";
      CupKind kind = cup.cupId() == null ? null : kinds.get(cup.cupId());
      if (cup.cupId() != null && kind == null) {
        problems.add(Problem.of(at + ".cupId", Problem.Code.UNKNOWN_ID, cup.cupId()));
      }
      all.add(new Job.CupByHand(kind, cups.pours(cup, at)));
    }
    return all;
  }

  private Set<Job.CavityLayer> pours(HandCup cup, String at) {
    Set<Job.CavityLayer> pours = new HashSet<>();
    Set<String> colours = new HashSet<>();
    Set<String> sittings = new HashSet<>();
    for (int l = 0; l < cup.layers().size(); l++) {
      HandCup.HandLayer layer = cup.layers().get(l);
      int from = taken.getOrDefault(layer.line() + "." + layer.layer(), 0);
      int there = exists(layer) ? lines.get(layer.line()).piece().count() - from : 0;
      int wanted = layer.cavities() == null ? there : Math.min(there, layer.cavities());
      if (wanted < 1) {
        problems.add(Problem.of(at + ".layers[" + l + "]", Problem.Code.NOTHING_FOR_CUP, null));
        continue;
      }
      taken.put(layer.line() + "." + layer.layer(), from + wanted);
      Job.Level level = lines.get(layer.line()).levels().get(layer.layer());
      colours.add(level.colour().id());
      sittings.add(level.stage() + " " + lines.get(layer.line()).waits(level));
      for (int cavity = from + 1; cavity <= from + wanted; cavity++) {
        pours.add(new Job.CavityLayer(layer.line(), cavity, layer.layer()));
      }
    }
    if (colours.size() > 1) {
      problems.add(Problem.of(at, Problem.Code.CUP_OF_TWO_COLOURS, null));
    }
    if (sittings.size() > 1) {
      problems.add(Problem.of(at, Problem.Code.CUP_OF_TWO_SITTINGS, null));
    }
    return pours;
  }

  private boolean exists(HandCup.HandLayer layer) {
    return layer.line() < lines.size() && layer.layer() < lines.get(layer.line()).levels().size();
  }
}
