package calmpour.app.api;

import calmpour.app.store.Formats;
import calmpour.app.store.SavedSession;
import calmpour.app.store.SessionStore;
import calmpour.app.store.ShelfStore;
import calmpour.app.work.PlanDesk;
import calmpour.app.work.SettingsDesk;
import calmpour.core.check.Check;
import calmpour.core.check.InvalidValuesException;
import calmpour.core.check.Problem;
import calmpour.core.plan.Planner;
import calmpour.core.plan.WorkedPlan;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import java.time.OffsetDateTime;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** The sessions that are kept. */
@RestController
@RequestMapping("/api/sessions")
public class SessionController {
  private final SessionStore sessions;
  private final ShelfStore shelf;
  private final PlanDesk plans;
  private final SettingsDesk others;
  private final Formats formats;

  SessionController(
      SessionStore sessions,
      ShelfStore shelf,
      PlanDesk plans,
      SettingsDesk others,
      Formats formats) {
    this.sessions = sessions;
    this.shelf = shelf;
    this.plans = plans;
    this.others = others;
    this.formats = formats;
  }

  /**
   * A kept session as it is opened.
   *
   * @param snapshot what its plan was made from
   * @param workshopChanged whether that is no longer what stands on the shelves
   * @param confirmed whether others keep out of its way
   */
  public record OpenedSession(
      String id,
      int revision,
      Session session,
      @Nullable Workshop snapshot,
      boolean workshopChanged,
      OffsetDateTime changedAt,
      boolean confirmed) {}

  @GetMapping
  List<SessionStore.SessionLine> list() {
    return sessions.lines();
  }

  @GetMapping("/bin")
  List<SessionStore.SessionLine> bin() {
    return sessions.bin();
  }

  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  OpenedSession create(@RequestBody Session session) {
    return opened(sessions.create(session, keep(session, null)));
  }

  /**
   * What is sent to somebody else.
   *
   * @param format in which it is written
   */
  public record SessionFile(int format, Session session) {}

  /** The session with every material it names carried inline. */
  @PostMapping("/carrying")
  SessionFile carrying(@RequestBody Session session) {
    return new SessionFile(
        Formats.CURRENT, session.carrying(Planner.snapshot(session, shelf.workshop())));
  }

  /** Keeps a session that came as a file; one without a number is of the first format. */
  @PostMapping("/file")
  @ResponseStatus(HttpStatus.CREATED)
  OpenedSession file(@RequestBody JsonNode file) {
    new Check()
        .that(file.isObject(), Problem.of("file", Problem.Code.NOT_A_SESSION_FILE, null))
        .orThrow();
    boolean numbered = file.has("format") && file.has("session");
    JsonNode document = numbered ? file.get("session") : file;
    // What has neither is some other document, and naming its first missing field helps nobody.
    new Check()
        .that(
            numbered || document.has("resinId") || document.has("pieces"),
            Problem.of("file", Problem.Code.NOT_A_SESSION_FILE, null))
        .orThrow();
    int format = numbered ? file.get("format").asInt(0) : 1;
    new Check()
        .that(format >= 1, Problem.of("file", Problem.Code.NOT_A_SESSION_FILE, null))
        .that(
            format <= Formats.CURRENT,
            Problem.outside("format", Problem.Code.FORMAT_IS_NEWER, format, Formats.FORMATS))
        .orThrow();
    return create(formats.taken(Formats.Document.SESSION, document, format, Session.class));
  }

  @GetMapping("/{id}")
  OpenedSession open(@PathVariable String id) {
    return opened(saved(id));
  }

  /**
   * Saves over what the screen last saw.
   *
   * @param revision the one that was opened; refused when somebody has saved since
   */
  @PutMapping("/{id}")
  OpenedSession update(
      @PathVariable String id, @RequestParam int revision, @RequestBody Session session) {
    SavedSession before = saved(id);
    return sessions
        .update(id, revision, session, keep(session, before))
        .map(this::opened)
        .orElseThrow(SavedElsewhereException::session);
  }

  /** Throws a session away; it lies in the bin until that is emptied. */
  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@PathVariable String id) {
    there(sessions.bin(id, true), id);
  }

  /** Takes a session out of the bin again. */
  @PutMapping("/{id}/back")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void back(@PathVariable String id) {
    there(sessions.bin(id, false), id);
  }

  /** Empties the bin for good. */
  @DeleteMapping("/bin")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void emptyBin() {
    sessions.emptyBin();
  }

  /**
   * Says that a session will be: from now on others keep out of its way.
   *
   * @param confirmed false to take it back
   */
  @PutMapping("/{id}/confirmed")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void confirm(@PathVariable String id, @RequestParam boolean confirmed) {
    there(sessions.confirm(id, confirmed), id);
  }

  private static void there(boolean found, String id) {
    if (!found) {
      throw new NotFoundException("there is no session " + id);
    }
  }

  private SavedSession saved(String id) {
    return sessions
        .find(id)
        .orElseThrow(() -> new NotFoundException("this session is not kept here (any more)"));
  }

  private OpenedSession opened(SavedSession saved) {
    return new OpenedSession(
        saved.id(),
        saved.revision(),
        saved.session(),
        saved.snapshot(),
        changed(saved),
        saved.changedAt(),
        sessions.confirmed(saved.id()));
  }

  /** A session that cannot be planned just now is kept all the same, with its last snapshot. */
  private SessionStore.Kept keep(Session session, @Nullable SavedSession before) {
    try {
      Workshop workshop = shelf.workshop();
      String id = before == null ? null : before.id();
      WorkedPlan worked = plans.shown(session, workshop.withBookings(others.inTheWay(id)));
      return new SessionStore.Kept(worked.job().used(), worked.plan());
    } catch (InvalidValuesException cannotBePlanned) {
      return before == null
          ? new SessionStore.Kept(null, null)
          : new SessionStore.Kept(before.snapshot(), before.plan());
    }
  }

  private boolean changed(SavedSession saved) {
    if (saved.snapshot() == null) {
      return false;
    }
    try {
      return !Planner.snapshot(saved.session(), shelf.workshop()).equals(saved.snapshot());
    } catch (InvalidValuesException somethingIsGone) {
      return true;
    }
  }
}
