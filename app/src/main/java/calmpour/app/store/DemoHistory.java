package calmpour.app.store;

import static calmpour.app.store.generated.Tables.SAVED_SESSION;
import static calmpour.app.store.generated.Tables.SEEDING;

import calmpour.app.format.DrawnPiece;
import calmpour.core.check.InvalidValuesException;
import calmpour.core.plan.Planner;
import calmpour.core.plan.WorkedPlan;
import calmpour.core.plan.doc.CavityId;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.doc.Task;
import calmpour.core.practice.World;
import calmpour.core.run.LookOver;
import calmpour.core.run.Run;
import calmpour.core.run.RunEvent;
import calmpour.core.session.Piece;
import calmpour.core.session.Room;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import calmpour.core.stock.Lot;
import calmpour.core.stock.ResinPart;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import org.jooq.DSLContext;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * Half a year of evenings for the demo, carried out by the world of the rehearsals: each is planned
 * as it would be, poured with what went wrong on it, and looked over.
 */
@Component
class DemoHistory {
  private static final int EVENINGS = 60;
  private static final int EVERY_DAYS = 3;

  /** The latest of them is over by today, whatever it had to wait for. */
  private static final int AGO_DAYS = 9;

  /** Two in three in the evening, the others in the morning. */
  private static final LocalTime EVENING = LocalTime.of(17, 30);

  private static final LocalTime MORNING = LocalTime.of(9, 30);
  private static final long SEED = 20_261_128;

  /** As many pieces as two people cast in half a year, of what the templates have. */
  private static final double MORE_PIECES = 1.5;

  /** Of pieces that came out well, one in so many is pictured; of the others all are. */
  private static final int PICTURED = 6;

  /** On the later of these half of the first line is a trial. */
  private static final String TRIED_WITH = "Row labels";

  /** Poured a day ago; */
  private static final String OUT_BY_NOW = "Fluted knobs";

  /** poured today. */
  private static final String CURES = "Toggles and back plates";

  private final DSLContext db;
  private final RunStore runs;
  private final PiecePhotos photos;
  private final Planner planner;
  private final Clock clock;

  DemoHistory(DSLContext db, RunStore runs, PiecePhotos photos, Planner planner, Clock clock) {
    this.photos = photos;
    this.db = db;
    this.runs = runs;
    this.planner = planner;
    this.clock = clock;
  }

  /** Tells what was not told yet; one that was interrupted goes on where it was. */
  void tell(List<Session> templates, Workshop workshop) {
    SplittableRandom chance = new SplittableRandom(SEED);
    Map<String, Integer> casts = new HashMap<>();
    for (int i = 0; i < EVENINGS; i++) {
      Session template = templates.get(i % templates.size());
      double roomC = Math.round(2 * chance.nextDouble(20.5, 23.5)) / 2.0;
      long seed = chance.nextLong();
      String what = "evening " + i;
      if (!db.fetchExists(SEEDING, SEEDING.WHAT.eq(what))) {
        carryOut(on(template, i, roomC), workshop, seed, casts, worksOn(i));
        db.insertInto(SEEDING)
            .set(SEEDING.WHAT, what)
            .set(SEEDING.DONE_AT, OffsetDateTime.now(clock))
            .execute();
      }
      more(template).pieces().forEach(p -> casts.merge(p.mouldId(), p.count(), Integer::sum));
    }
  }

  /**
   * Two evenings that are not over, so that whoever opens the demo finds something due and
   * something that still cures. Their moulds are in nobody else's way.
   */
  void tellOpen(List<Session> templates, Workshop workshop) {
    for (Session template : templates) {
      Session one = template.withPieces(List.of(template.pieces().getFirst()));
      if (template.name().startsWith(OUT_BY_NOW)) {
        leaveOpen(one, workshop, Duration.ofHours(-1));
      } else if (template.name().startsWith(CURES)) {
        leaveOpen(one, workshop, Duration.ofHours(7));
      }
    }
  }

  /**
   * @param out from now until the first piece comes out of its mould
   */
  private void leaveOpen(Session session, Workshop workshop, Duration out) {
    ZoneId zone = ZoneId.of(session.zoneId());
    Instant now = clock.instant();
    Session soon = session.withStartsAt(LocalDateTime.ofInstant(now, zone).minusHours(12));
    try {
      WorkedPlan guess = planner.work(soon, workshop);
      int demould =
          guess.plan().tasks().stream()
              .filter(t -> t.kind() == Task.Kind.DEMOULD)
              .mapToInt(Task::startSeconds)
              .min()
              .orElse(0);
      Instant begun = now.plus(out).minusSeconds(demould);
      Session then = session.withStartsAt(LocalDateTime.ofInstant(begun, zone));
      WorkedPlan worked = planner.work(then, workshop);
      Run run = new Run(then, worked.job().used(), worked.plan(), then.startsAtInstant());
      // Nobody has taken anything out of its mould yet.
      Instant beforeOut = begun.plusSeconds(demould - 60L);
      runs.append(
          runs.begin(past(session), run).id(),
          World.carryOutUntil(run, SEED, now.isBefore(beforeOut) ? now : beforeOut));
    } catch (InvalidValuesException cannotBePlanned) {
      // Nothing is due then.
    }
  }

  /** The id of the session by this name that the workshop keeps and that is behind it. */
  private @Nullable String past(Session template) {
    LocalDateTime now = LocalDateTime.now(clock.withZone(ZoneId.of(template.zoneId())));
    return db.select(SAVED_SESSION.ID)
        .from(SAVED_SESSION)
        .where(SAVED_SESSION.NAME.eq(template.name()))
        .and(SAVED_SESSION.STARTS_AT.lt(now))
        .limit(1)
        .fetchOne(SAVED_SESSION.ID);
  }

  /** The two of the workshop share its evenings. */
  private static String worksOn(int evening) {
    return evening % 5 < 2 ? World.SLOW_HANDS : World.QUICK_HANDS;
  }

  private Session on(Session template, int evening, double roomC) {
    LocalDate today = LocalDate.now(clock.withZone(ZoneId.of(template.zoneId())));
    LocalDate day = today.minusDays(AGO_DAYS + (long) EVERY_DAYS * (EVENINGS - 1 - evening));
    Room room = template.room();
    boolean tried = evening >= EVENINGS / 2 && template.name().startsWith(TRIED_WITH);
    Session whole = more(template);
    return (tried ? whole.withPieces(withTrial(whole.pieces())) : whole)
        .withStartsAt(day.atTime(evening % 3 == 0 ? MORNING : EVENING))
        .withRoom(new Room(roomC, room.humidityPercent(), null));
  }

  private static Session more(Session template) {
    return template.withPieces(
        template.pieces().stream()
            .map(p -> p.withCount((int) Math.round(MORE_PIECES * p.count())))
            .toList());
  }

  private static List<Piece> withTrial(List<Piece> pieces) {
    List<Piece> all = new ArrayList<>(pieces);
    Piece whole = all.getFirst();
    int changed = whole.count() / 2;
    if (changed == 0) {
      return pieces;
    }
    all.set(0, whole.withCount(whole.count() - changed));
    all.add(whole.withCount(changed).withTrial(World.LETTERS_TWICE));
    return all;
  }

  /** The shelf on that day: where a bottle was not opened yet, the one before it was. */
  private static Workshop before(Workshop workshop, LocalDate day) {
    return workshop.withParts(
        workshop.parts().stream()
            .map(part -> {
              Optional<Lot> first =
                  part.lots().stream()
                      .filter(lot -> lot.openedOn() != null)
                      .min(Comparator.comparing(Lot::openedOn));
              return first.isEmpty() || !day.isBefore(first.get().openedOn())
                  ? part
                  : new ResinPart(
                      part.id(),
                      part.name(),
                      part.side(),
                      part.density(),
                      part.kitG(),
                      part.pumpMl(),
                      List.of(earlier(first.get(), day)));
            })
            .toList());
  }

  private static Lot earlier(Lot than, LocalDate day) {
    String code = than.code().replaceFirst("\\d+$", "0402");
    return new Lot(code, LocalDate.of(day.getYear(), 4, 2), null, null, null);
  }

  /** Pictures of what went wrong, and of some that did not. */
  private void picture(String id, Run run, List<RunEvent> events) {
    int number = 0;
    for (RunEvent event : events) {
      if (event.kind() == RunEvent.Kind.LOOKED_OVER && event.of() != null) {
        number++;
        // Its verdict comes first.
        List<LookOver.Fault> faults =
            event.codes().stream().skip(1).map(LookOver.Fault::valueOf).toList();
        CavityId piece = CavityId.read(event.of()).orElseThrow();
        if (!faults.isEmpty() || number % PICTURED == 0) {
          Plan.PieceView view = run.plan().pieces().get(piece.line() - 1);
          photos.keep(id, event.of(), 1, DrawnPiece.jpeg(view, faults, number));
        }
      }
    }
  }

  private void carryOut(
      Session session, Workshop now, long seed, Map<String, Integer> casts, String person) {
    try {
      Workshop workshop = before(now, session.startsAt().toLocalDate());
      WorkedPlan worked = planner.work(session, workshop);
      Run run = new Run(session, worked.job().used(), worked.plan(), session.startsAtInstant());
      String id = runs.begin(past(session), run).id();
      List<RunEvent> events = World.carryOut(run, seed, true, casts, person).events();
      runs.append(id, events);
      picture(id, run, events);
    } catch (InvalidValuesException cannotBePlanned) {
      // An evening less.
    }
  }
}
