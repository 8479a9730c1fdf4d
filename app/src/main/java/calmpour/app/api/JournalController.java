package calmpour.app.api;

import calmpour.app.format.ScanPattern;
import calmpour.app.store.JournalChoices;
import calmpour.app.store.JournalCounts;
import calmpour.app.store.JournalLearned;
import calmpour.app.store.JournalStore;
import calmpour.app.store.Older;
import calmpour.app.store.PiecePhotos;
import calmpour.app.store.RunStore;
import calmpour.app.store.RunStore.KeptRun;
import calmpour.app.work.JournalDesk;
import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import calmpour.core.design.Join;
import calmpour.core.journal.Joined;
import calmpour.core.journal.LeftInCups;
import calmpour.core.journal.LotsUsed;
import calmpour.core.journal.PieceCode;
import calmpour.core.journal.PlansHeld;
import calmpour.core.journal.Proportion;
import calmpour.core.journal.SaidSure;
import calmpour.core.journal.TrialPieces;
import calmpour.core.journal.WhatWentWrong;
import calmpour.core.plan.doc.CavityId;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Plan;
import calmpour.core.run.AsRun;
import calmpour.core.run.LookOver;
import calmpour.core.session.Room;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.http.CacheControl;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What was done and what came of it: found, counted, and looked into. */
@RestController
@RequestMapping("/api/journal")
public class JournalController {
  /** Evenings of one answer; the next one goes on where it ended. */
  private static final int MOST = 25;

  private static final int LONGEST_WORDS = 200;

  /** More points than that are a cloud. */
  private static final int MOST_DRAWN = 600;

  private static final Range PIECES = new Range(1, 1_000_000);

  private final JournalDesk desk;
  private final JournalStore journal;
  private final JournalChoices choices;
  private final JournalCounts counted;
  private final JournalLearned learned;
  private final RunStore runs;
  private final PiecePhotos photos;

  JournalController(
      JournalDesk desk,
      JournalStore journal,
      JournalChoices choices,
      JournalCounts counted,
      JournalLearned learned,
      RunStore runs,
      PiecePhotos photos) {
    this.desk = desk;
    this.journal = journal;
    this.choices = choices;
    this.counted = counted;
    this.learned = learned;
    this.runs = runs;
    this.photos = photos;
  }

  /**
   * Evenings that were found.
   *
   * @param older what asks for the ones before these; null where there are none
   * @param counted all that are like that, however old
   * @param pending evenings that are still being worked out, and not among them yet
   */
  public record JournalFound(
      List<JournalStore.JournalEvening> evenings,
      @Nullable String older,
      JournalStore.FoundCount counted,
      int pending,
      List<JournalChoices.JournalChoice> moulds,
      List<JournalChoices.JournalChoice> resins,
      List<JournalChoices.JournalChoice> colours,
      List<JournalChoices.JournalChoice> lots) {}

  /** Evenings with the pieces that are looked for; all that is said has to hold. */
  @GetMapping
  JournalFound find(
      @RequestParam(required = false) @Nullable String words,
      @RequestParam(required = false) @Nullable String mould,
      @RequestParam(required = false) @Nullable String resin,
      @RequestParam(required = false) @Nullable String colour,
      @RequestParam(required = false) LookOver.@Nullable Fault fault,
      @RequestParam(required = false) @Nullable String grade,
      @RequestParam(required = false) @Nullable String lot,
      @RequestParam(required = false) @Nullable Join join,
      @RequestParam(required = false) @Nullable Double roomFrom,
      @RequestParam(required = false) @Nullable Double roomBelow,
      @RequestParam(required = false) @Nullable LocalDate from,
      @RequestParam(required = false) @Nullable LocalDate to,
      @RequestParam(required = false) @Nullable String older) {
    Older before = older == null ? null : Older.read(older).orElse(null);
    new Check()
        .atMost("words", words, LONGEST_WORDS)
        .within("roomFrom", roomFrom, Room.TEMPERATURE_C)
        .within("roomBelow", roomBelow, Room.TEMPERATURE_C)
        .that(
            older == null || before != null, Problem.of("older", Problem.Code.UNKNOWN_WORD, older))
        .orThrow();
    int pending = desk.catchUp();
    JournalStore.Wanted wanted =
        new JournalStore.Wanted(
            words, mould, resin, colour, fault, grade, lot, join, roomFrom, roomBelow, from, to);
    JournalStore.Found found = journal.find(wanted, before, MOST);
    JournalChoices.AllChoices there = choices.all();
    return new JournalFound(
        found.evenings(),
        found.older() == null ? null : found.older().text(),
        journal.count(wanted),
        pending,
        there.moulds(),
        there.resins(),
        there.colours(),
        there.lots());
  }

  /**
   * One piece with all that is known of it.
   *
   * @param view its mould in section, with its layers
   * @param pours what went into it, in order
   * @param cups the cups that it came out of, with their doses
   * @param batches what they were mixed from
   * @param lots out of which bottles, as far as that is known
   * @param joins how its layers met
   * @param castNumber the so-manieth out of its mould that is in the journal, from 1
   * @param pictures the numbers of the pictures there are of it
   * @param code on its tag
   * @param wrong what may have gone wrong, a ranking for each fault
   */
  public record PiecePage(
      String runId,
      String name,
      Instant begunAt,
      String zoneId,
      AsRun.PieceOut piece,
      Plan.PieceView view,
      List<AsRun.PourIn> pours,
      List<CupOfIt> cups,
      List<AsRun.BatchIn> batches,
      List<LotsUsed.LotOfBatch> lots,
      List<Joined.JoinMade> joins,
      double roomC,
      @Nullable Double humidityPercent,
      int castNumber,
      List<Integer> pictures,
      String code,
      List<TrialPieces.InTrial> trials,
      List<WhatWentWrong> wrong) {}

  /** A cup with what was stirred into it. */
  public record CupOfIt(AsRun.CupIn cup, List<Cup.Dose> doses) {}

  /** Everything about one piece. */
  @GetMapping("/pieces/{run}/{piece}")
  PiecePage piece(@PathVariable String run, @PathVariable String piece) {
    KeptRun kept =
        runs.find(run)
            .orElseThrow(() -> new NotFoundException("this evening is not kept here (any more)"));
    CavityId id =
        CavityId.read(piece)
            .orElseThrow(() -> new NotFoundException("this evening has no piece " + piece));
    JournalDesk.OnePiece one =
        desk.piece(kept, id)
            .orElseThrow(() -> new NotFoundException("this evening has no piece " + piece));
    Plan plan = kept.run().plan();
    List<AsRun.PourIn> pours =
        one.asRun().pours().stream().filter(p -> p.pourId().into().equals(id)).toList();
    List<CupOfIt> cups =
        one.asRun().cups().stream()
            .filter(c -> pours.stream().anyMatch(p -> p.cupId().equals(c.cupId())))
            .map(c -> new CupOfIt(c, doses(plan, c)))
            .toList();
    List<AsRun.BatchIn> batches =
        one.asRun().batches().stream()
            .filter(b -> cups.stream().anyMatch(c -> c.cup().batch() == b.number()))
            .toList();
    return new PiecePage(
        kept.id(),
        kept.run().session().name(),
        kept.run().begunAt(),
        kept.run().session().zoneId(),
        one.piece(),
        plan.pieces().get(id.line() - 1),
        pours,
        cups,
        batches,
        LotsUsed.of(kept.run()).stream()
            .filter(l -> batches.stream().anyMatch(b -> b.number() == l.batch()))
            .toList(),
        Joined.of(kept.run(), one.asRun()).stream().filter(j -> j.piece().equals(id)).toList(),
        kept.run().session().room().temperatureC(),
        kept.run().session().room().humidityPercent(),
        journal.castNumber(
            kept.run().begunAt(),
            run,
            plan.pieces().get(id.line() - 1).mouldId(),
            id.line() - 1,
            id.cavity()),
        photos.of(run).stream()
            .filter(p -> p.piece().equals(piece))
            .map(PiecePhotos.OfPiece::number)
            .toList(),
        PieceCode.of(kept.id(), id),
        TrialPieces.of(kept.run().session(), plan).stream()
            .filter(t -> t.line() == id.line() - 1)
            .toList(),
        one.wrong());
  }

  /** The pattern of a piece's code, for scanners. */
  @GetMapping(path = "/codes/{code}", produces = "image/svg+xml")
  ResponseEntity<String> pattern(@PathVariable String code) {
    new Check().atMost("code", code, PieceCode.LENGTH).orThrow();
    return ResponseEntity.ok()
        .cacheControl(CacheControl.maxAge(Duration.ofDays(1)))
        .body(ScanPattern.svg(code));
  }

  private static List<Cup.Dose> doses(Plan plan, AsRun.CupIn cup) {
    return plan.batches().stream()
        .flatMap(b -> b.cups().stream())
        .filter(c -> c.id().equals(cup.cupId()))
        .flatMap(c -> c.tint().doses().stream())
        .toList();
  }

  /** The usual causes of a fault that nobody kept a record of. */
  @GetMapping("/causes")
  WhatWentWrong causes(@RequestParam LookOver.Fault fault) {
    return WhatWentWrong.of(fault, Map.of());
  }

  /**
   * How many of a kind came out well.
   *
   * @param lowest share that they may really have, 0 to 1
   * @param highest share that they may really have, 0 to 1
   * @param differs whether that is other than for all the others by more than chance
   * @param better whether a larger share of it is good than of all the others
   */
  public record PieceYield(
      String name,
      int looked,
      int good,
      double lowest,
      double highest,
      boolean differs,
      boolean better) {}

  /** How many came out well, counted by mould, resin, colour, lot, join or month. */
  @GetMapping("/yields")
  List<PieceYield> yields(@RequestParam JournalCounts.By by) {
    desk.catchUp();
    JournalCounts.Counted all = counted.counts(by);
    return all.counts().stream()
        .map(c -> {
          Proportion its = Proportion.of(c.good(), c.looked());
          Proportion others = Proportion.of(all.good() - c.good(), all.looked() - c.looked());
          return new PieceYield(
              c.name(),
              c.looked(),
              c.good(),
              its.lowest(),
              its.highest(),
              its.differsFrom(others),
              its.share() > others.share());
        })
        .toList();
  }

  /**
   * How the plans held.
   *
   * @param sure whether they were as sure as they said
   * @param latest pours to be drawn
   * @param left what stayed in cups; null where too few evenings had every pour weighed
   */
  public record HowPlansHeld(
      PlansHeld held,
      List<SureGroup> sure,
      List<JournalCounts.PouredAt> latest,
      @Nullable LeftInCups left) {}

  /**
   * Plans that said to be about as sure.
   *
   * @param lowest share that may really have every pour in time, 0 to 1
   * @param highest likewise
   * @param honest whether what was said lies between them
   */
  public record SureGroup(
      double fromPercent,
      double saidPercent,
      int plans,
      int inTime,
      double lowest,
      double highest,
      boolean honest) {}

  /** How the plans held against what was done. */
  @GetMapping("/plans")
  HowPlansHeld plans() {
    desk.catchUp();
    return new HowPlansHeld(
        counted.held(),
        SaidSure.of(counted.saidSure()).stream()
            .map(s ->
                new SureGroup(
                    s.fromPercent(),
                    s.saidPercent(),
                    s.held().of(),
                    s.held().count(),
                    s.held().lowest(),
                    s.held().highest(),
                    s.honest()))
            .toList(),
        counted.latestPours(MOST_DRAWN),
        learned.left().orElse(null));
  }

  /**
   * Two counts beside each other.
   *
   * @param lowest the first share less the second lies between them in 19 of 20 cases, −1 to 1
   * @param highest likewise
   * @param differs whether by more than chance
   * @param needed how many of each would tell shares like these apart; 0 where they are the same
   */
  public record TwoCounts(double lowest, double highest, boolean differs, int needed) {
    static TwoCounts of(Proportion one, Proportion other) {
      double[] between = one.difference(other);
      return new TwoCounts(
          between[0],
          between[1],
          one.differsFrom(other),
          Proportion.neededOfEach(one.share(), other.share()));
    }
  }

  /** Whether two counts differ by more than chance, and how many more would tell. */
  @GetMapping("/compare")
  TwoCounts compare(
      @RequestParam int count,
      @RequestParam int of,
      @RequestParam int otherCount,
      @RequestParam int otherOf) {
    new Check()
        .within("of", (double) of, PIECES)
        .within("otherOf", (double) otherOf, PIECES)
        .within("count", (double) count, new Range(0, Math.max(1, of)))
        .within("otherCount", (double) otherCount, new Range(0, Math.max(1, otherOf)))
        .orThrow();
    return TwoCounts.of(Proportion.of(count, of), Proportion.of(otherCount, otherOf));
  }
}
