package calmpour.core.journal;

import calmpour.core.run.LookOver;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * What one mould has been through, see "The life of a mould" in docs/rules.md.
 *
 * @param casts pieces that were poured in it
 * @param before of those that were looked over, all but the latest; null while they are too few
 * @param lately the latest third; null while they are too few
 * @param worse whether the latest come out well less often, by more than chance
 * @param fault that was seen most among the latest; null for none
 */
public record MouldLife(
    String mouldId,
    String name,
    int casts,
    @Nullable Proportion before,
    @Nullable Proportion lately,
    boolean worse,
    LookOver.@Nullable Fault fault) {
  private static final int FEWEST_LATELY = 10;
  private static final int FEWEST = 20;
  private static final int SHARE = 3;

  /**
   * One piece out of a mould.
   *
   * @param grade null where nobody looked
   */
  public record Cast(
      String mouldId, String name, LookOver.@Nullable Verdict grade, List<LookOver.Fault> faults) {
    public Cast {
      faults = List.copyOf(faults);
    }

    /** One that nobody has looked at. */
    public static Cast unseen(String mouldId, String name) {
      return new Cast(mouldId, name, null, List.of());
    }
  }

  /**
   * The moulds with the most casts first.
   *
   * @param casts in the order in which they were poured
   */
  public static List<MouldLife> of(List<Cast> casts) {
    Map<String, List<Cast>> by = new LinkedHashMap<>();
    casts.forEach(c -> by.computeIfAbsent(c.mouldId(), k -> new ArrayList<>()).add(c));
    return by.values().stream()
        .map(MouldLife::one)
        .sorted(Comparator.comparingInt(MouldLife::casts).reversed().thenComparing(MouldLife::name))
        .toList();
  }

  private static MouldLife one(List<Cast> casts) {
    Cast last = casts.getLast();
    List<Cast> looked = casts.stream().filter(c -> c.grade() != null).toList();
    if (looked.size() < FEWEST) {
      return new MouldLife(last.mouldId(), last.name(), casts.size(), null, null, false, null);
    }
    int latest = Math.max(FEWEST_LATELY, looked.size() / SHARE);
    List<Cast> then = looked.subList(0, looked.size() - latest);
    List<Cast> now = looked.subList(looked.size() - latest, looked.size());
    Proportion before = good(then);
    Proportion lately = good(now);
    return new MouldLife(
        last.mouldId(),
        last.name(),
        casts.size(),
        before,
        lately,
        lately.share() < before.share() && lately.differsFrom(before),
        most(now));
  }

  private static Proportion good(List<Cast> casts) {
    int good = (int) casts.stream().filter(c -> c.grade() == LookOver.Verdict.GOOD).count();
    return Proportion.of(good, casts.size());
  }

  private static LookOver.@Nullable Fault most(List<Cast> casts) {
    Map<LookOver.Fault, Integer> seen = new EnumMap<>(LookOver.Fault.class);
    casts.forEach(c -> c.faults().forEach(f -> seen.merge(f, 1, Integer::sum)));
    return seen.entrySet().stream()
        .max(Map.Entry.comparingByValue())
        .map(Map.Entry::getKey)
        .orElse(null);
  }
}
