package calmpour.core.tint;

import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * A chip of a colour in the swatch book: what was in it, how thick it is, and how it looked after
 * months in the light (docs/rules.md, "The swatch book").
 *
 * @param colourName as the colour was called then
 * @param doses as its recipe was then
 * @param note in the maker's words; null for none
 * @param looks in their order
 * @param wall what was dusted or painted on the mould before it, in the maker's words; null for
 *     nothing
 */
public record Chip(
    String id,
    String colourId,
    String colourName,
    List<ChipDose> doses,
    double thicknessMm,
    LocalDate madeOn,
    @Nullable String note,
    List<ChipLook> looks,
    @Nullable String wall) {
  public static final Range THICKNESS_MM = new Range(0.1, 100);
  private static final int NOTE_LENGTH = 300;
  private static final int WALL_LENGTH = 100;
  private static final Range LOOKS = new Range(0, 60);

  /** When a look tells something, months after it was made: common practice, no source. */
  private static final int[] MONTHS = {1, 3, 6, 12};

  /** How it is beside how it was. */
  public enum Faded {
    SAME,
    A_LITTLE,
    CLEARLY
  }

  /**
   * One colourant in it.
   *
   * @param percentOfMix by weight of the finished mix
   */
  public record ChipDose(String colourantName, double percentOfMix) {}

  /**
   * The doses of a colour as its recipe is now.
   *
   * @param times its recipe
   * @param names a colourant's name by its id
   */
  public static List<ChipDose> doses(Colour colour, double times, UnaryOperator<String> names) {
    return IntStream.range(0, colour.recipe().size())
        .mapToObj(i ->
            new ChipDose(
                names.apply(colour.recipe().get(i).colourantId()),
                colour.percentsOfMix().get(i) * times))
        .toList();
  }

  /** One look at it. */
  public record ChipLook(LocalDate on, Faded was, @Nullable String note) {
    public ChipLook {
      new Check().present("on", on).present("was", was).atMost("note", note, NOTE_LENGTH).orThrow();
    }
  }

  public Chip {
    doses = List.copyOf(doses);
    looks = List.copyOf(looks);
    new Check()
        .name("id", id)
        .name("colourId", colourId)
        .name("colourName", colourName)
        .within("thicknessMm", thicknessMm, THICKNESS_MM)
        .present("madeOn", madeOn)
        .atMost("note", note, NOTE_LENGTH)
        .atMost("wall", wall, WALL_LENGTH)
        .that(
            looks.size() <= LOOKS.maxInclusive(),
            Problem.outside("looks", Problem.Code.TOO_MANY, looks.size(), LOOKS))
        .orThrow();
  }

  /** The same with one look more. */
  public Chip seen(ChipLook look) {
    new Check()
        .that(
            !look.on().isBefore(madeOn), Problem.of("on", Problem.Code.NO_SUCH_DAY, "" + look.on()))
        .orThrow();
    return new Chip(
        id,
        colourId,
        colourName,
        doses,
        thicknessMm,
        madeOn,
        note,
        Stream.concat(looks.stream(), Stream.of(look))
            .sorted(Comparator.comparing(ChipLook::on))
            .toList(),
        wall);
  }

  /** The day from which on the next look tells something; empty after a year of looks. */
  public Optional<LocalDate> nextLook() {
    LocalDate last = looks.isEmpty() ? madeOn : looks.getLast().on();
    return IntStream.of(MONTHS)
        .mapToObj(madeOn::plusMonths)
        .filter(d -> d.isAfter(last))
        .findFirst();
  }
}
