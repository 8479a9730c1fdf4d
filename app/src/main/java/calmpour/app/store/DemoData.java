package calmpour.app.store;

import static calmpour.app.store.generated.Tables.SEEDING;

import calmpour.core.plan.Planner;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import java.io.IOException;
import java.io.InputStream;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.temporal.TemporalAdjusters;
import java.util.List;
import org.jooq.DSLContext;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Fills a new demo workshop once; what the visitor changes or removes afterwards stays so. */
@Component
class DemoData implements ApplicationRunner {
  private static final List<String> SESSIONS =
      List.of("late-switch-toggles", "garden-row-labels", "pantry-knobs");

  private final boolean wanted;
  private final DSLContext db;
  private final ShelfStore shelf;
  private final SessionStore sessions;
  private final JsonMapper json;
  private final Planner planner;
  private final Clock clock;

  DemoData(
      @Value("${calmpour.demo}") boolean wanted,
      DSLContext db,
      ShelfStore shelf,
      SessionStore sessions,
      JsonMapper json,
      Planner planner,
      Clock clock) {
    this.wanted = wanted;
    this.db = db;
    this.shelf = shelf;
    this.sessions = sessions;
    this.json = json;
    this.planner = planner;
    this.clock = clock;
  }

  @Override
  public void run(ApplicationArguments args) {
    if (!wanted || db.fetchExists(SEEDING, SEEDING.WHAT.eq("demo"))) {
      return;
    }
    db.transaction(transaction -> {
      Workshop workshop = read("workshop", Workshop.class);
      workshop.moulds().forEach(m -> shelf.put(ShelfKind.MOULD, m));
      workshop.resins().forEach(r -> shelf.put(ShelfKind.RESIN, r));
      workshop.colourants().forEach(c -> shelf.put(ShelfKind.COLOURANT, c));
      workshop.colours().forEach(c -> shelf.put(ShelfKind.COLOUR, c));
      workshop.cups().forEach(c -> shelf.put(ShelfKind.CUP, c));
      for (String name : SESSIONS) {
        Session session = nextSaturday(read("sessions/" + name, Session.class));
        sessions.create(
            session,
            new SessionStore.Kept(
                Planner.snapshot(session, workshop), planner.plan(session, workshop)));
      }
      transaction
          .dsl()
          .insertInto(SEEDING)
          .set(SEEDING.WHAT, "demo")
          .set(SEEDING.DONE_AT, OffsetDateTime.now(clock))
          .execute();
    });
  }

  /** A demo session always lies ahead, at the hour it was written for. */
  private Session nextSaturday(Session session) {
    LocalDate today = LocalDate.now(clock.withZone(ZoneId.of(session.zoneId())));
    LocalDate saturday = today.with(TemporalAdjusters.next(DayOfWeek.SATURDAY));
    return session.withStartsAt(LocalDateTime.of(saturday, session.startsAt().toLocalTime()));
  }

  private <T> T read(String name, Class<T> type) {
    try (InputStream in = DemoData.class.getResourceAsStream("/demo/" + name + ".json")) {
      return json.readValue(in, type);
    } catch (IOException unreadable) {
      throw new IllegalStateException("bug: demo data " + name + " cannot be read", unreadable);
    }
  }
}
