package calmpour.app.work;

import calmpour.app.store.ShelfStore;
import calmpour.app.store.TimingStore;
import calmpour.app.store.UnreadableDocumentException;
import calmpour.app.store.WorkshopClock;
import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import calmpour.core.cure.EngineModel;
import calmpour.core.journal.Looked;
import calmpour.core.practice.SetUp;
import calmpour.core.practice.Timing;
import calmpour.core.run.Felt;
import calmpour.core.session.Workshop;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;

/** Resins that are timed without an evening. */
@Component
public class TimingDesk {
  /** Nobody remembers what was longer ago than a fortnight. */
  public static final Range MINUTES_AGO = new Range(0, 14 * 1_440);

  private final TimingStore kept;
  private final ShelfStore shelf;
  private final WorkshopClock clock;
  private final EngineModel model;
  private final ApplicationEventPublisher publisher;

  TimingDesk(
      TimingStore kept,
      ShelfStore shelf,
      WorkshopClock clock,
      EngineModel model,
      ApplicationEventPublisher publisher) {
    this.kept = kept;
    this.shelf = shelf;
    this.clock = clock;
    this.model = model;
    this.publisher = publisher;
  }

  /**
   * Begins one.
   *
   * @param minutesAgo since A and B met, within {@link #MINUTES_AGO}
   * @throws calmpour.core.check.InvalidValuesException when the set-up names what the shelf lacks,
   *     or a cup too small
   */
  public Told begin(String id, SetUp setUp, double minutesAgo, ZoneId zone) {
    Instant met = ago(minutesAgo);
    Workshop shop = Timing.usedBy(setUp, shelf.workshop());
    new Check()
        .that(
            !shop.resins().isEmpty(),
            Problem.of("resinId", Problem.Code.UNKNOWN_ID, setUp.resinId()))
        .orThrow();
    Timing timing = new Timing(setUp, shop, met, zone.getId(), List.of());
    // Whatever does not fit is told before anything is kept.
    timing.expected(model);
    kept.begin(id, shop.resins().getFirst().name(), timing);
    return told(kept.find(id).orElseThrow());
  }

  /**
   * What happened to one.
   *
   * @param id given by whoever tells it, so that telling it twice is telling it once
   * @param minutesAgo within {@link #MINUTES_AGO}
   */
  public record Happened(
      String id,
      Timing.TimingEvent.Kind kind,
      boolean piece,
      Felt.@Nullable Word word,
      @Nullable String undoes,
      double minutesAgo) {}

  /**
   * Tells what happened to one.
   *
   * @return empty where there is none by that id
   * @throws calmpour.core.check.InvalidValuesException for a moment before A and B met, and for
   *     what was poured where nothing is
   */
  public Optional<Told> tell(String id, Happened happened) {
    TimingStore.Kept before = kept.find(id).orElse(null);
    if (before == null) {
      return Optional.empty();
    }
    Timing.TimingEvent event =
        Timing.event(
            happened.id,
            ago(happened.minutesAgo),
            happened.kind,
            happened.piece,
            happened.word,
            happened.undoes);
    boolean poured = before.timing().setUp().lies() != SetUp.Lies.CUP;
    boolean ofPoured = event.piece() || event.kind() == Timing.TimingEvent.Kind.POURED;
    new Check()
        .that(
            !event.at().isBefore(before.timing().metAt()),
            Problem.outside(
                "minutesAgo",
                Problem.Code.OUT_OF_RANGE,
                happened.minutesAgo,
                new Range(0, Math.floor(before.timing().minutes(clock.instant())))))
        .that(poured || !ofPoured, Problem.of("piece", Problem.Code.UNKNOWN_WORD, "true"))
        .orThrow();
    kept.append(id, event);
    TimingStore.Kept after = kept.find(id).orElseThrow();
    says(after);
    publisher.publishEvent(new JournalDesk.Read());
    return Optional.of(told(after));
  }

  /** By the clock of the workshop. */
  public Instant now() {
    return clock.instant();
  }

  private Instant ago(double minutes) {
    new Check().within("minutesAgo", minutes, MINUTES_AGO).orThrow();
    return clock.instant().minusSeconds(Math.round(minutes * 60));
  }

  /** Works out anew what all of them say. */
  void rebuild() {
    for (String id : kept.ids()) {
      try {
        kept.find(id).ifPresent(this::says);
      } catch (UnreadableDocumentException damaged) {
        // It says nothing any more; the others do.
        kept.says(id, List.of());
      }
    }
  }

  private void says(TimingStore.Kept one) {
    kept.says(one.id(), looks(one.timing(), one.timing().expected(model)));
  }

  private static List<Looked> looks(Timing timing, Timing.Expected expected) {
    List<Looked.Touched> touched = new ArrayList<>();
    for (Timing.TimingEvent event : timing.standing()) {
      if (event.word() != null) {
        touched.add(new Looked.Touched(event.word(), event.piece(), timing.minutes(event.at())));
      }
    }
    return Looked.of(
        timing.ofLot(),
        timing.lot(),
        expected.cup(),
        timing.pouredAt().isEmpty() ? null : expected.piece(),
        expected.pouredMinutes(),
        touched);
  }

  /**
   * One of them as it stands.
   *
   * @param expected when its states are to come, as far as the resin is known
   * @param says what it says of the resin's pace so far
   */
  public record Told(String id, Timing timing, Timing.Expected expected, List<Looked> says) {}

  /**
   * The latest first.
   *
   * @param most of them
   * @param unreadable is told the resins of those that cannot be read
   */
  public List<Told> latest(int most, List<String> unreadable) {
    return kept.latest(most, unreadable).stream().map(this::told).toList();
  }

  private Told told(TimingStore.Kept one) {
    Timing.Expected expected = one.timing().expected(model);
    return new Told(one.id(), one.timing(), expected, looks(one.timing(), expected));
  }
}
