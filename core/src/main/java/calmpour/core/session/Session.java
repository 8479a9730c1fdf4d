package calmpour.core.session;

import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import calmpour.core.habit.Habits;
import calmpour.core.habit.Hands;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What is to be made. Materials are named by id; those that the reader's workshop may lack travel
 * along in {@code carried}.
 *
 * @param startsAt wall-clock time of the first step, in {@code zoneId}
 * @param pieces may be empty when {@code justMix} is given
 * @param cupIds the cups laid out; empty for every cup of the workshop
 * @param splitInto how many batches each stage is spread over at least
 * @param cupsByHand cups the maker put together; the rest is split as the plan finds best
 * @param strengths colours made stronger or weaker than their recipes
 * @param arrangement what the maker decides about the times
 * @param available what there is of its resin, where no more is to be taken; null for enough
 */
@RecordBuilder
public record Session(
    String name,
    LocalDateTime startsAt,
    String zoneId,
    Room room,
    String resinId,
    List<Piece> pieces,
    @Nullable JustMix justMix,
    List<String> cupIds,
    int splitInto,
    List<HandCup> cupsByHand,
    List<ColourStrength> strengths,
    Habits habits,
    Hands hands,
    @Nullable Workshop carried,
    Arrangement arrangement,
    @Nullable Available available)
    implements SessionBuilder.With {
  private static final Range YEARS = new Range(2000, 2200);

  public static final Range SPLIT_INTO = new Range(1, 20);
  public static final Range PIECES = new Range(0, 200);
  public static final Range CUPS_BY_HAND = new Range(0, 200);

  /** With as much resin as it takes. */
  public Session(
      String name,
      LocalDateTime startsAt,
      String zoneId,
      Room room,
      String resinId,
      List<Piece> pieces,
      @Nullable JustMix justMix,
      List<String> cupIds,
      int splitInto,
      List<HandCup> cupsByHand,
      List<ColourStrength> strengths,
      Habits habits,
      Hands hands,
      @Nullable Workshop carried,
      Arrangement arrangement) {
    this(
        name,
        startsAt,
        zoneId,
        room,
        resinId,
        pieces,
        justMix,
        cupIds,
        splitInto,
        cupsByHand,
        strengths,
        habits,
        hands,
        carried,
        arrangement,
        null);
  }

  public Session {
    pieces = pieces == null ? List.of() : List.copyOf(pieces);
    cupIds = cupIds == null ? List.of() : List.copyOf(cupIds);
    cupsByHand = cupsByHand == null ? List.of() : List.copyOf(cupsByHand);
    strengths = strengths == null ? List.of() : List.copyOf(strengths);
    habits = habits == null ? Habits.DEFAULT : habits;
    hands = hands == null ? Hands.DEFAULT : hands;
    arrangement = arrangement == null ? Arrangement.FREE : arrangement;
    new Check()
        .name("name", name)
        .present("startsAt", startsAt)
        .that(
            startsAt == null || YEARS.contains(startsAt.getYear()),
            Problem.of("startsAt", Problem.Code.NO_SUCH_DAY, "" + startsAt))
        .that(isZone(zoneId), Problem.of("zoneId", Problem.Code.NOT_A_ZONE, zoneId))
        .present("room", room)
        .name("resinId", resinId)
        .within("splitInto", splitInto, SPLIT_INTO)
        .that(
            pieces.size() <= PIECES.maxInclusive(),
            Problem.outside("pieces", Problem.Code.TOO_MANY, pieces.size(), PIECES))
        .that(
            cupsByHand.size() <= CUPS_BY_HAND.maxInclusive(),
            Problem.outside("cupsByHand", Problem.Code.TOO_MANY, cupsByHand.size(), CUPS_BY_HAND))
        .that(
            !pieces.isEmpty() || justMix != null,
            Problem.of("pieces", Problem.Code.NOTHING_TO_MAKE, null))
        .that(
            pieces.isEmpty() || justMix == null,
            Problem.of("justMix", Problem.Code.ONE_OF_THESE, null))
        .orThrow();
  }

  private static boolean isZone(String zoneId) {
    if (zoneId == null) {
      return false;
    }
    try {
      ZoneId.of(zoneId);
      return true;
    } catch (DateTimeException notAZone) {
      return false;
    }
  }

  /** The instant of the first step; a wall time that the clocks skip moves on by the gap. */
  public Instant startsAtInstant() {
    return startsAt.atZone(ZoneId.of(zoneId)).toInstant();
  }

  /** The same session in a room of another temperature, °C. */
  public Session withTemperatureC(double temperatureC) {
    return withRoom(room.at(temperatureC));
  }

  /** The same session with these materials along, so that it can be read anywhere. */
  public Session carrying(Workshop materials) {
    return withCarried(materials);
  }

  /** How much stronger than its recipe a colour is wanted. */
  public double strengthOf(String colourId) {
    return strengths.stream()
        .filter(s -> s.colourId().equals(colourId))
        .mapToDouble(ColourStrength::factor)
        .reduce(1, (before, now) -> now);
  }
}
