package calmpour.core.mould;

import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * One mould, with what it holds, how it is made and what it has been through.
 *
 * @param cavities at least one; a tray has several
 * @param make how it is made; null when nobody has said
 * @param state what it has been through; null for a mould that nothing is known of
 */
public record Mould(
    String id,
    String name,
    List<Cavity> cavities,
    @Nullable MouldMake make,
    @Nullable MouldState state) {
  public static final Range VOLUME_ML = new Range(0.05, 20_000);
  public static final Range CAVITIES = new Range(1, 40);

  public Mould {
    cavities = cavities == null ? List.of() : List.copyOf(cavities);
    Check check =
        new Check()
            .name("id", id)
            .name("name", name)
            .that(
                CAVITIES.contains(cavities.size()),
                Problem.outside("cavities", Problem.Code.OUT_OF_RANGE, cavities.size(), CAVITIES));
    Set<String> ids = new HashSet<>();
    for (int i = 0; i < cavities.size(); i++) {
      check.that(
          ids.add(cavities.get(i).id()),
          Problem.of("cavities[" + i + "].id", Problem.Code.DUPLICATE_ID, cavities.get(i).id()));
    }
    check.orThrow();
  }

  /** A mould of one cavity, of a volume that somebody told. */
  public static Mould told(
      String id,
      String name,
      double volumeMl,
      @Nullable Double depthMm,
      @Nullable Double plusMinusPercent) {
    Measurement measure = Measurement.told(volumeMl, plusMinusPercent);
    return new Mould(
        id,
        name,
        List.of(new Cavity("main", name, 1, measure, depthMm, null, null, null)),
        null,
        null);
  }

  /**
   * The cavity of that id.
   *
   * @param cavityId null for the first
   * @return null when there is none
   */
  public @Nullable Cavity cavity(@Nullable String cavityId) {
    if (cavityId == null) {
      return cavities.get(0);
    }
    return cavities.stream().filter(c -> c.id().equals(cavityId)).findFirst().orElse(null);
  }

  /** The same with this in place of its cavity of that id. */
  public Mould with(Cavity cavity) {
    return new Mould(
        id,
        name,
        cavities.stream().map(c -> c.id().equals(cavity.id()) ? cavity : c).toList(),
        make,
        state);
  }

  /** The same made like this. */
  public Mould withMake(MouldMake other) {
    return new Mould(id, name, cavities, other, state);
  }

  /** What is written beside a cavity: the mould alone where it has but one kind. */
  public String nameOf(Cavity cavity) {
    return cavities.size() == 1 ? name : name + ", " + cavity.name();
  }

  /** A kind of cavity of this mould, among all the moulds of a workshop. */
  public String keyOf(Cavity cavity) {
    return key(id, cavity.id());
  }

  /** The same by its ids. */
  public static String key(String mouldId, String cavityId) {
    return mouldId + "/" + cavityId;
  }
}
