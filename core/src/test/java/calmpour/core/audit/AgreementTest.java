package calmpour.core.audit;

import static org.assertj.core.api.Assertions.assertThat;

import calmpour.core.Samples;
import calmpour.core.audit.RandomWork.Work;
import calmpour.core.plan.Finding;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/**
 * The audit and a workshop that carries the plan out, written apart from each other, find the same
 * breaches: none missed, none invented.
 */
class AgreementTest {
  /** Rules that the simulator does not know: they speak of materials, not of how a plan goes. */
  private static final Set<Finding.Rule> OF_MATERIALS =
      Set.of(
          Finding.Rule.DEEPER_THAN_RATED,
          Finding.Rule.WATER_FORBIDDEN,
          Finding.Rule.MOULD_NOT_READY);

  /** Whole seconds are rounded in several places; so near to a limit either may be right, s. */
  private static final double EITHER_S = 3;

  @Test
  void auditAndSimulatorFindTheSame() {
    Map<Finding.Rule, Integer> broken = agree(new Random(20_261_124), 2_700);
    assertThat(JUDGED)
        .as("broken: %s", broken)
        .allMatch(rule -> broken.getOrDefault(rule, 0) >= 50);
  }

  @Tag("long")
  @Test
  void theSameOverManyMorePlans() {
    agree(new Random(), 60_000);
  }

  /** Every rule that makes a breach of how a plan goes. */
  private static final Set<Finding.Rule> JUDGED =
      Set.of(
          Finding.Rule.POUR_AFTER_WORKING_TIME,
          Finding.Rule.OUT_OF_ORDER,
          Finding.Rule.JOIN_TOO_EARLY,
          Finding.Rule.JOIN_TOO_LATE,
          Finding.Rule.EMBED_TOO_EARLY,
          Finding.Rule.EMBED_TOO_LATE,
          Finding.Rule.NUDGE_TOO_LATE,
          Finding.Rule.LOOK_TOO_LATE,
          Finding.Rule.AFTER_GEL,
          Finding.Rule.NOT_YET_DRY,
          Finding.Rule.NOT_YET_CURED,
          Finding.Rule.FINISHED_TOO_EARLY,
          Finding.Rule.TASK_MISSING,
          Finding.Rule.HANDS_TWICE,
          Finding.Rule.HANDS_BOOKED,
          Finding.Rule.MAKER_AWAY,
          Finding.Rule.NO_SUCH_TOOL,
          Finding.Rule.TOOL_OVERFULL,
          Finding.Rule.TOOL_TWICE,
          Finding.Rule.BOARD_FULL,
          Finding.Rule.MOULD_TWICE,
          Finding.Rule.MOULD_BOOKED,
          Finding.Rule.CAVITY_SHORT,
          Finding.Rule.CAVITY_OVERFULL,
          Finding.Rule.MASS_BALANCE,
          Finding.Rule.RATIO_OFF,
          Finding.Rule.BATCH_TOO_LARGE,
          Finding.Rule.CUP_TOO_SMALL,
          Finding.Rule.LOADING_OVER_LIMIT,
          Finding.Rule.CUPS_SHORT,
          Finding.Rule.STOCK_SHORT,
          Finding.Rule.FLAME_NEAR_ALCOHOL);

  /** How many plans broke each rule. */
  private static Map<Finding.Rule, Integer> agree(Random random, int plans) {
    Map<Finding.Rule, Integer> broken = new EnumMap<>(Finding.Rule.class);
    List<Breakage> ways = List.of(Breakage.values());
    List<String> apart = new ArrayList<>();
    for (int i = 0; i < plans; i++) {
      Work good = RandomWork.of(random);
      Breakage breakage = ways.get(i % ways.size());
      Work work = breakage.spoil(good, random);
      Map<String, Double> simulated =
          new Simulator(work.session(), work.workshop(), work.plan()).run();
      Map<String, Double> audited = audited(work);
      String which = "plan " + i + ", " + breakage + ", ";
      simulated.forEach((what, by) -> {
        if (by > EITHER_S && !audited.containsKey(what)) {
          apart.add(which + "missed: " + what + " by " + by);
        }
      });
      audited.forEach((what, by) -> {
        if (by > EITHER_S && !simulated.containsKey(what)) {
          apart.add(which + "invented: " + what + " by " + by);
        }
      });
      Set<Finding.Rule> rules = new TreeSet<>();
      audited
          .keySet()
          .forEach(w -> rules.add(Finding.Rule.valueOf(w.substring(0, w.indexOf(' ')))));
      rules.forEach(r -> broken.merge(r, 1, Integer::sum));
    }
    assertThat(apart).isEmpty();
    return broken;
  }

  /** Breaches as "RULE place", with how far beyond in seconds where the rule is about time. */
  private static Map<String, Double> audited(Work work) {
    Map<String, Double> found = new HashMap<>();
    for (Finding finding : Samples.planner().audit(work.session(), work.workshop(), work.plan())) {
      boolean told =
          finding.severity() == Finding.Severity.BREACH && !OF_MATERIALS.contains(finding.rule());
      if (told) {
        boolean moment = finding.unit().equals("min") && finding.rule() != Finding.Rule.MAKER_AWAY;
        double by = moment ? Math.abs(finding.value() - finding.limit()) * 60 : 1e9;
        found.merge(finding.rule() + " " + finding.place(), by, Math::max);
      }
    }
    return found;
  }
}
