package calmpour.app.api;

import calmpour.app.work.TimingDesk;
import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.cure.CureStates;
import calmpour.core.journal.Looked;
import calmpour.core.practice.SetUp;
import calmpour.core.practice.Timing;
import calmpour.core.run.Felt;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Resins that are timed without an evening. */
@RestController
@RequestMapping("/api/timings")
public class TimingController {
  /** Nobody looks further back in a list. */
  private static final int MOST = 50;

  private final TimingDesk desk;

  TimingController(TimingDesk desk) {
    this.desk = desk;
  }

  /**
   * What is begun.
   *
   * @param id chosen by whoever begins it, so that beginning it twice is beginning it once
   * @param minutesAgo since A and B met; null for now
   */
  public record BeginTiming(String id, SetUp setUp, @Nullable Double minutesAgo, String zoneId) {
    public BeginTiming {
      new Check()
          .name("id", id)
          .present("setUp", setUp)
          .that(
              zoneId != null && ZoneId.getAvailableZoneIds().contains(zoneId),
              Problem.of("zoneId", Problem.Code.NOT_A_ZONE, zoneId))
          .orThrow();
    }
  }

  /**
   * What is told of it.
   *
   * @param piece whether what was poured was touched, and not what stayed in the cup; null for that
   * @param word how it was; null unless it was touched
   * @param undoes another one, which is taken back; null unless one is
   * @param minutesAgo null for now
   */
  public record TellTiming(
      String id,
      Timing.TimingEvent.Kind kind,
      @Nullable Boolean piece,
      Felt.@Nullable Word word,
      @Nullable String undoes,
      @Nullable Double minutesAgo) {}

  /** One look at it. */
  public record TimedLook(String id, Instant at, boolean piece, Felt.Word word) {}

  /**
   * When its states are to come, as far as the resin is known.
   *
   * @param thick null for what was poured
   * @param hard null for what stays in a cup, and where it never is
   */
  public record TimedStates(
      @Nullable Instant thick, Instant thread, Instant gels, @Nullable Instant hard) {}

  /**
   * What it says of its resin's pace: between so many times as long as told; null where nothing was
   * seen from that side.
   */
  public record TimedPace(
      Looked.Of of, @Nullable Double lowest, @Nullable Double highest, int looks) {}

  /**
   * One of them as it stands.
   *
   * @param lot of A and B; null where nobody noted it
   * @param pouredAt null while it was not poured
   * @param piece null where nothing is poured out of the cup
   */
  public record TimingView(
      String id,
      String resinName,
      @Nullable String lot,
      SetUp setUp,
      Instant metAt,
      String zoneId,
      @Nullable Instant pouredAt,
      boolean over,
      List<TimedLook> looks,
      TimedStates cup,
      @Nullable TimedStates piece,
      List<TimedPace> says) {
    static TimingView of(TimingDesk.Told told) {
      Timing timing = told.timing();
      List<TimedLook> looks = new ArrayList<>();
      for (Timing.TimingEvent event : timing.standing()) {
        if (event.word() != null) {
          looks.add(new TimedLook(event.id(), event.at(), event.piece(), event.word()));
        }
      }
      CureStates piece = told.expected().piece();
      return new TimingView(
          told.id(),
          timing.ofLot().name(),
          timing.lot(),
          timing.setUp(),
          timing.metAt(),
          timing.zoneId(),
          timing.pouredAt().orElse(null),
          timing.over(),
          looks,
          states(timing, told.expected().cup(), true),
          piece == null ? null : states(timing, piece, false),
          told.says().stream()
              .map(l -> new TimedPace(l.of(), l.lowest(), l.highest(), l.looks()))
              .toList());
    }

    private static TimedStates states(Timing timing, CureStates states, boolean cup) {
      CureStates.Moment out = cup ? null : states.demould();
      return new TimedStates(
          cup ? at(timing, states.workingTimeEnds()) : null,
          at(timing, states.tooThick()),
          at(timing, states.gels()),
          out == null ? null : at(timing, out));
    }

    private static Instant at(Timing timing, CureStates.Moment moment) {
      return timing.metAt().plusSeconds(Math.round(moment.minutes() * 60));
    }
  }

  /**
   * All of them.
   *
   * @param now by the clock of the workshop
   * @param unreadable resins of those that cannot be read
   */
  public record Timings(Instant now, List<TimingView> timings, List<String> unreadable) {}

  /** The latest first. */
  @GetMapping
  Timings timings() {
    List<String> unreadable = new ArrayList<>();
    List<TimingView> all = desk.latest(MOST, unreadable).stream().map(TimingView::of).toList();
    return new Timings(desk.now(), all, unreadable);
  }

  /** Begins one: A and B have met. */
  @PostMapping
  TimingView begin(@RequestBody BeginTiming begin) {
    double ago = begin.minutesAgo() == null ? 0 : begin.minutesAgo();
    return TimingView.of(desk.begin(begin.id(), begin.setUp(), ago, ZoneId.of(begin.zoneId())));
  }

  /** Tells what happened to one: poured, touched, taken back, over. */
  @PostMapping("/{id}/events")
  TimingView tell(@PathVariable String id, @RequestBody TellTiming told) {
    return desk.tell(
            id,
            new TimingDesk.Happened(
                told.id(),
                told.kind(),
                Boolean.TRUE.equals(told.piece()),
                told.word(),
                told.undoes(),
                told.minutesAgo() == null ? 0 : told.minutesAgo()))
        .map(TimingView::of)
        .orElseThrow(() -> new NotFoundException("this timing is not kept (any more)"));
  }
}
