package calmpour.core.audit;

import calmpour.core.plan.Facts;
import calmpour.core.plan.Judge;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Place;
import calmpour.core.session.Arrangement;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;

/** Every rule, one after the other. */
public final class Audit implements Judge {
  @Override
  public List<Finding> judge(Facts facts, Supplier<List<Finding.Mend>> latePours) {
    Findings told = new Findings();
    for (Rule rule : rules(latePours)) {
      rule.judge(facts, told);
    }
    int batches = facts.plan().batches().size();
    if (batches > 1) {
      told.note(Finding.Rule.SEVERAL_BATCHES, Place.Whole.PLAN, batches, 1, "batches");
    }
    return accepted(told.findings(), facts.job().session().arrangement().accepted());
  }

  @Override
  public int missedInTime(Facts facts) {
    Findings told = new Findings();
    OF_THE_DAY.forEach(rule -> rule.judge(facts, told));
    return (int)
        told.findings().stream().filter(f -> f.severity() == Finding.Severity.BREACH).count();
  }

  /** Rules that another order or another start might keep. */
  private static final List<Rule> OF_THE_DAY =
      List.of(
          new Waits(),
          new OneThingAtATime(),
          new MakerIsThere(),
          new SharedTools(),
          new MouldsFree());

  /** In the order in which they are told: what spoils a piece first. */
  private static List<Rule> rules(Supplier<List<Finding.Mend>> latePours) {
    return List.of(
        new Heat(),
        new PoursInTime(latePours),
        new NoFlameNearAlcohol(),
        new Waits(),
        new NothingLeftOut(),
        new OneThingAtATime(),
        new MakerIsThere(),
        new SharedTools(),
        new MouldsFree(),
        new EveryCavity(),
        new PoursInParts(),
        new MassBalance(),
        new Weighing(),
        new CupLimits(),
        new CupsSuffice(),
        new StockLasts(),
        new WhatThereIs(),
        new MouldsFit(),
        new RightResin(),
        new CupsAndColours(),
        new EmbedsFit(),
        new FilledFar(),
        new Warmth(),
        new PinsHold());
  }

  /** What the maker breaks on purpose is told as that, with the reason. */
  private static List<Finding> accepted(
      List<Finding> findings, List<Arrangement.Accepted> onPurpose) {
    List<Finding> all = new ArrayList<>();
    for (Finding finding : findings) {
      String reason =
          onPurpose.stream()
              .filter(a -> finding.rule().acceptable())
              .filter(a -> a.rule().equals(finding.rule().name()))
              .filter(a -> a.place().equals(finding.place().toString()))
              .map(Arrangement.Accepted::reason)
              .findFirst()
              .orElse(null);
      all.add(reason == null ? finding : finding.acceptedFor(reason));
    }
    return all;
  }
}
