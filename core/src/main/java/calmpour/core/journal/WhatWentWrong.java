package calmpour.core.journal;

import calmpour.core.run.LookOver.Fault;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/**
 * The causes of a fault ranked by what the record says, see docs/rules.md.
 *
 * @param suspects the likeliest first; their shares come to 100 %
 * @param grounded whether any fact of the record speaks for one of them; without one this is only
 *     what is usual
 * @param missing facts nobody noted that would tell the first causes apart
 * @param next what would show the first cause
 */
public record WhatWentWrong(
    Fault fault,
    List<Suspect> suspects,
    boolean grounded,
    List<Clue> missing,
    Cause.NextTest next) {
  /** Facts that are missing are told of so many causes. */
  private static final int FIRST = 3;

  public WhatWentWrong {
    suspects = List.copyOf(suspects);
    missing = List.copyOf(missing);
  }

  /**
   * One cause with what speaks for it and against it.
   *
   * @param sharePercent of all causes of the fault
   * @param spoken whether a fact of the record speaks for it
   */
  public record Suspect(
      Cause cause, double sharePercent, boolean spoken, List<WeighedFact> weighed) {
    public Suspect {
      weighed = List.copyOf(weighed);
    }
  }

  /**
   * A fact and what it is worth here.
   *
   * @param times the odds times so much; below 1 where it speaks against, 1 where it is unknown
   */
  public record WeighedFact(Evidence evidence, double times) {}

  /**
   * @param facts what the record says; what it does not name is unknown
   */
  public static WhatWentWrong of(Fault fault, Map<Clue, Evidence> facts) {
    List<FaultTable.Row> rows = FaultTable.of(fault);
    List<Suspect> raw = rows.stream().map(row -> weighed(row, facts)).toList();
    double all = raw.stream().mapToDouble(Suspect::sharePercent).sum();
    List<Suspect> suspects =
        raw.stream()
            .map(s -> new Suspect(s.cause, 100 * s.sharePercent / all, s.spoken, s.weighed))
            .sorted(Comparator.comparingDouble(Suspect::sharePercent).reversed())
            .toList();
    List<Clue> missing =
        suspects.stream()
            .limit(FIRST)
            .flatMap(s -> s.weighed.stream())
            .map(WeighedFact::evidence)
            .filter(e -> e.told() == Evidence.Told.UNKNOWN)
            .map(Evidence::clue)
            .distinct()
            .toList();
    return new WhatWentWrong(
        fault, suspects, suspects.stream().anyMatch(Suspect::spoken), missing, apart(suspects));
  }

  /** Its odds, not yet shared out. */
  private static Suspect weighed(FaultTable.Row row, Map<Clue, Evidence> facts) {
    List<WeighedFact> weighed = new ArrayList<>();
    double odds = row.usual();
    boolean spoken = false;
    for (FaultTable.Weight weight : row.weights()) {
      Evidence told = facts.getOrDefault(weight.clue(), Evidence.unknown(weight.clue()));
      double times =
          switch (told.told()) {
            case THERE -> weight.by();
            case NOT_THERE -> 1 / weight.against();
            case UNKNOWN -> 1;
          };
      odds *= times;
      spoken |= told.told() == Evidence.Told.THERE;
      weighed.add(new WeighedFact(told, times));
    }
    return new Suspect(row.cause(), odds, spoken, weighed);
  }

  /** The test of the first cause, or of the second where both have the same. */
  private static Cause.NextTest apart(List<Suspect> suspects) {
    Cause.NextTest first = suspects.getFirst().cause.test();
    return Stream.of(first)
        .filter(t -> suspects.size() < 2 || suspects.get(1).cause.test() != t)
        .findFirst()
        .or(() -> suspects.stream().map(s -> s.cause.test()).filter(t -> t != first).findFirst())
        .orElse(first);
  }
}
