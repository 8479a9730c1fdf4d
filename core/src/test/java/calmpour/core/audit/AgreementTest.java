package calmpour.core.audit;

import static org.assertj.core.api.Assertions.assertThat;

import calmpour.core.Samples;
import calmpour.core.audit.RandomWork.Work;
import calmpour.core.habit.Habits;
import calmpour.core.plan.doc.Finding;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
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
@Tag("slow")
class AgreementTest {
  /** Whole seconds are rounded in several places; so near to a limit either may be right, s. */
  private static final double EITHER_S = 3;

  /** No divisor of how many ways there are, so that plans and ways do not go in step. */
  private static final int WAYS_EACH = 3;

  private static final double MARGIN_S = Habits.DEFAULT.marginMinutes() * 60;

  @Test
  void auditAndSimulatorFindTheSame() {
    everyRuleIsBroken(1_600, 10);
  }

  @Tag("long")
  @Test
  void theSameOverFourThousand() {
    everyRuleIsBroken(4_000, 50);
  }

  private static void everyRuleIsBroken(int plans, int atLeast) {
    Map<Finding.Rule, Integer> broken = agree(new Random(20_261_124), plans);
    Set<Finding.Rule> judged = EnumSet.copyOf(JUDGED);
    judged.addAll(Inspection.RULES);
    assertThat(judged)
        .as("broken: %s", broken)
        .allMatch(rule -> broken.getOrDefault(rule, 0) >= atLeast);
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
          Finding.Rule.WET_TOO_LATE,
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
          Finding.Rule.TOO_LITTLE_RESIN,
          Finding.Rule.FLAME_NEAR_ALCOHOL);

  /** How many plans broke each rule. */
  private static Map<Finding.Rule, Integer> agree(Random random, int plans) {
    Map<Finding.Rule, Integer> broken = new EnumMap<>(Finding.Rule.class);
    List<Breakage> ways = List.of(Breakage.values());
    List<String> apart = new ArrayList<>();
    int nearMisses = 0;
    Work good = RandomWork.of(random);
    for (int i = 0; i < plans; i++) {
      // A plan takes far longer to make than to judge, so each is spoilt in several ways.
      if (i % WAYS_EACH == 0) {
        good = RandomWork.of(random);
      }
      Breakage breakage = ways.get(i % ways.size());
      Work work = breakage.spoil(good, random);
      Simulator simulator = new Simulator(work.session(), work.workshop(), work.plan());
      Map<String, Double> simulated = simulator.run();
      List<Finding> findings =
          Samples.planner().audit(work.session(), work.workshop(), work.plan());
      Map<String, Double> audited = audited(findings);
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
      Set<String> near = near(findings);
      simulator
          .nearMisses()
          .forEach((what, spare) -> {
            boolean told = near.contains(what) || audited.containsKey(what);
            if (spare > EITHER_S && spare < MARGIN_S - EITHER_S && !told) {
              apart.add(which + "near miss missed: " + what + " with " + spare);
            }
          });
      near.forEach(what -> {
        if (!simulator.nearMisses().containsKey(what) && !simulated.containsKey(what)) {
          apart.add(which + "near miss invented: " + what);
        }
      });
      nearMisses += near.size();
      Set<String> inspected = Inspection.of(work);
      Set<String> toldOfMaterials = new TreeSet<>();
      findings.stream()
          .filter(f -> Inspection.RULES.contains(f.rule()))
          .forEach(f -> toldOfMaterials.add(f.rule() + " " + f.place()));
      if (!inspected.equals(toldOfMaterials)) {
        apart.add(which + "seen: " + inspected + ", told: " + toldOfMaterials);
      }
      Set<Finding.Rule> rules = new TreeSet<>();
      toldOfMaterials.forEach(w -> rules.add(Finding.Rule.valueOf(w.substring(0, w.indexOf(' ')))));
      audited
          .keySet()
          .forEach(w -> rules.add(Finding.Rule.valueOf(w.substring(0, w.indexOf(' ')))));
      rules.forEach(r -> broken.merge(r, 1, Integer::sum));
    }
    assertThat(apart).isEmpty();
    assertThat(nearMisses).isGreaterThan(plans / 20);
    return broken;
  }

  /** Near misses of windows, as "RULE place"; those at the very edge of the margin left aside. */
  private static Set<String> near(List<Finding> findings) {
    Set<String> near = new TreeSet<>();
    for (Finding finding : findings) {
      double spare = (finding.limit() - finding.value()) * 60;
      boolean told =
          finding.severity() == Finding.Severity.NEAR
              && WINDOWS.contains(finding.rule())
              && spare > EITHER_S
              && spare < MARGIN_S - EITHER_S;
      if (told) {
        near.add(finding.rule() + " " + finding.place());
      }
    }
    return near;
  }

  private static final Set<Finding.Rule> WINDOWS =
      Set.of(Finding.Rule.JOIN_TOO_LATE, Finding.Rule.EMBED_TOO_LATE, Finding.Rule.AFTER_GEL);

  /** Breaches as "RULE place", with how far beyond in seconds where the rule is about time. */
  private static Map<String, Double> audited(List<Finding> findings) {
    Map<String, Double> found = new HashMap<>();
    for (Finding finding : findings) {
      boolean told =
          finding.severity() == Finding.Severity.BREACH
              && !Inspection.RULES.contains(finding.rule());
      if (told) {
        boolean moment = finding.unit().equals("min") && finding.rule() != Finding.Rule.MAKER_AWAY;
        double by = moment ? Math.abs(finding.value() - finding.limit()) * 60 : 1e9;
        found.merge(finding.rule() + " " + finding.place(), by, Math::max);
      }
    }
    return found;
  }
}
