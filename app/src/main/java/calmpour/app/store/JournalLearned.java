package calmpour.app.store;

import static calmpour.app.store.generated.Tables.JOURNAL_DOSED;
import static calmpour.app.store.generated.Tables.JOURNAL_EVENING;
import static calmpour.app.store.generated.Tables.JOURNAL_FILL;
import static calmpour.app.store.generated.Tables.JOURNAL_HAND;
import static calmpour.app.store.generated.Tables.JOURNAL_LOOK;
import static calmpour.app.store.generated.Tables.JOURNAL_SQUEEZED;
import static calmpour.app.store.generated.Tables.JOURNAL_STAYED;
import static calmpour.app.store.generated.Tables.TIMING_LOOK;

import calmpour.core.journal.Dosed;
import calmpour.core.journal.Filled;
import calmpour.core.journal.HandSpeeds;
import calmpour.core.journal.LeftInCups;
import calmpour.core.journal.Looked;
import calmpour.core.journal.Squeezed;
import calmpour.core.journal.Stayed;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.jooq.DSLContext;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/**
 * What each evening says of resins, moulds, cups, doses, hands and the room, to be learned from.
 */
@Repository
public class JournalLearned {
  /** Moulds and cups are known better with time: what was needed long ago says less. */
  private static final int LATELY = 30;

  private final DSLContext db;
  private final UntilChanged remembered;

  JournalLearned(DSLContext db, JournalWriter writer) {
    this.db = db;
    this.remembered = new UntilChanged(writer::version);
  }

  /** What the cure diaries say, evening by evening, and every resin that was timed alone. */
  public List<Looked> looks() {
    return remembered.get("looks", this::readLooks);
  }

  private List<Looked> readLooks() {
    return db.select(
            JOURNAL_LOOK.RESIN_ID,
            JOURNAL_LOOK.LOT,
            JOURNAL_LOOK.PACE,
            JOURNAL_LOOK.LOWEST,
            JOURNAL_LOOK.HIGHEST,
            JOURNAL_LOOK.LOOKS)
        .from(JOURNAL_LOOK)
        .unionAll(
            db.select(
                    TIMING_LOOK.RESIN_ID,
                    TIMING_LOOK.LOT,
                    TIMING_LOOK.PACE,
                    TIMING_LOOK.LOWEST,
                    TIMING_LOOK.HIGHEST,
                    TIMING_LOOK.LOOKS)
                .from(TIMING_LOOK))
        .fetch(row ->
            new Looked(
                row.value1(),
                row.value2(),
                Looked.Of.valueOf(row.value3()),
                row.value4(),
                row.value5(),
                row.value6()));
  }

  /**
   * How much more than planned was needed, on the latest evenings on which every pour was weighed,
   * %.
   */
  public List<Double> overageNeeded() {
    return db.select(JOURNAL_EVENING.OVERAGE_NEEDED_PERCENT)
        .from(JOURNAL_EVENING)
        .where(JOURNAL_EVENING.OVERAGE_NEEDED_PERCENT.isNotNull())
        .orderBy(JOURNAL_EVENING.BEGUN_AT.desc())
        .limit(LATELY)
        .fetch(JOURNAL_EVENING.OVERAGE_NEEDED_PERCENT);
  }

  /** How the room went on while somebody worked in it, on evenings it was read twice, K/h. */
  public List<Double> roomsDrift() {
    return db.select(JOURNAL_EVENING.ROOM_DRIFT_K_PER_HOUR)
        .from(JOURNAL_EVENING)
        .where(JOURNAL_EVENING.ROOM_DRIFT_K_PER_HOUR.isNotNull())
        .fetch(JOURNAL_EVENING.ROOM_DRIFT_K_PER_HOUR);
  }

  /** How much closed moulds needed to be filled over by, evening by evening. */
  public List<Squeezed> squeezed() {
    return remembered.get("squeezed", this::readSqueezed);
  }

  private List<Squeezed> readSqueezed() {
    return db.selectFrom(JOURNAL_SQUEEZED)
        .fetch(row -> new Squeezed(row.getMouldId(), row.getNeededMl(), row.getLooks()));
  }

  /** By how much the room was warmer than it was told to be, on evenings it was read, K. */
  public List<Double> roomsWarmer() {
    return db.select(JOURNAL_EVENING.ROOM_READ_C, JOURNAL_EVENING.ROOM_C)
        .from(JOURNAL_EVENING)
        .where(JOURNAL_EVENING.ROOM_READ_C.isNotNull())
        .fetch(row -> row.value1() - row.value2());
  }

  /** What stayed in cups, on evenings on which every pour was weighed. */
  public Optional<LeftInCups> left() {
    return LeftInCups.of(
        db.select(JOURNAL_EVENING.LEFT_PLANNED_PERCENT, JOURNAL_EVENING.LEFT_PERCENT)
            .from(JOURNAL_EVENING)
            .where(JOURNAL_EVENING.LEFT_PERCENT.isNotNull())
            .fetch(row -> new LeftInCups.OfEvening(row.value1(), row.value2())));
  }

  /** What moulds took of what they were measured to, evening by evening. */
  public List<Filled> fills() {
    return remembered.get("fills", this::readFills);
  }

  private List<Filled> readFills() {
    return db.selectFrom(JOURNAL_FILL)
        .fetch(
            row -> new Filled(row.getMouldId(), row.getCavityId(), row.getTimes(), row.getLooks()));
  }

  /** What stayed in cups of what was reckoned, evening by evening. */
  public List<Stayed> stayed() {
    return remembered.get("stayed", this::readStayed);
  }

  private List<Stayed> readStayed() {
    return db.selectFrom(JOURNAL_STAYED)
        .fetch(
            row -> new Stayed(row.getKindId(), row.getTimes(), row.getContentG(), row.getLooks()));
  }

  /** How heavy counted drops and scoops were of what was told, evening by evening. */
  public List<Dosed> dosed() {
    return remembered.get("dosed", this::readDosed);
  }

  private List<Dosed> readDosed() {
    return db.selectFrom(JOURNAL_DOSED)
        .fetch(row ->
            new Dosed(row.getColourantId(), row.getTimes(), row.getReadShare(), row.getLooks()));
  }

  /** What one evening says of one person's hands. */
  private record OfRun(String runId, HandSpeeds.OfEvening hands) {}

  /** How long hands took, evening by evening: however many worked on it, it is one evening. */
  private List<HandSpeeds.OfEvening> hands() {
    return remembered.get("hands", this::readTogether);
  }

  /** How long one person's hands took, evening by evening. */
  private List<HandSpeeds.OfEvening> handsOf(String person) {
    return HandSpeeds.by(person, handsByPerson().stream().map(OfRun::hands).toList());
  }

  /**
   * What evenings say of how long hands take.
   *
   * @param person whose; null for everybody's
   */
  public List<HandSpeeds.Learned> learnedHands(@Nullable String person) {
    return remembered.get(
        person == null ? "learned hands" : "learned hands of " + person,
        () -> HandSpeeds.learn(person == null ? hands() : handsOf(person)));
  }

  /** Who told evenings in their own name, by name. */
  public List<String> people() {
    return handsByPerson().stream()
        .flatMap(h -> Stream.ofNullable(h.hands().person()))
        .distinct()
        .sorted()
        .toList();
  }

  private List<OfRun> handsByPerson() {
    return remembered.get("hands by person", this::readHands);
  }

  private List<OfRun> readHands() {
    return db.selectFrom(JOURNAL_HAND)
        .fetch(row ->
            new OfRun(
                row.getRunId(),
                new HandSpeeds.OfEvening(
                    HandSpeeds.Speed.valueOf(row.getSpeed()),
                    row.getPerson().isEmpty() ? null : row.getPerson(),
                    row.getSteps(),
                    row.getSeconds())));
  }

  /** By the steps that each of them did. */
  private List<HandSpeeds.OfEvening> readTogether() {
    Map<String, HandSpeeds.OfEvening> together = new LinkedHashMap<>();
    for (OfRun one : readHands()) {
      together.merge(
          one.runId() + "/" + one.hands().speed(),
          one.hands(),
          (a, b) ->
              new HandSpeeds.OfEvening(
                  a.speed(),
                  null,
                  a.steps() + b.steps(),
                  (a.steps() * a.seconds() + b.steps() * b.seconds()) / (a.steps() + b.steps())));
    }
    return List.copyOf(together.values());
  }
}
