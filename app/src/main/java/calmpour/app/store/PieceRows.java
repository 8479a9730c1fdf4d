package calmpour.app.store;

import static calmpour.app.store.generated.Tables.JOURNAL_EMBED;
import static calmpour.app.store.generated.Tables.JOURNAL_FAULT;
import static calmpour.app.store.generated.Tables.JOURNAL_JOIN;
import static calmpour.app.store.generated.Tables.JOURNAL_MARK;
import static calmpour.app.store.generated.Tables.JOURNAL_PIECE;
import static calmpour.app.store.generated.Tables.JOURNAL_TRIAL;
import static calmpour.app.store.generated.Tables.JOURNAL_WORDS;

import calmpour.core.journal.Joined;
import calmpour.core.journal.PieceCode;
import calmpour.core.journal.TrialPieces;
import calmpour.core.plan.doc.Plan;
import calmpour.core.run.AsRun;
import calmpour.core.run.Became;
import calmpour.core.run.LookOver;
import calmpour.core.run.Run;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.Comparator;
import java.util.HashSet;
import java.util.HexFormat;
import java.util.List;
import java.util.Set;
import org.jooq.DSLContext;

/** Writes the pieces of an evening, with all that hangs on them. */
final class PieceRows {
  private final DSLContext dsl;
  private final RunStore.KeptRun kept;
  private final AsRun asRun;
  private final double room;

  /** Two texts of a billion workshops would have to be alike in so many bytes. */
  private static final int ID_BYTES = 16;

  private final Set<String> written = new HashSet<>();

  /**
   * @param room as it was read that evening, else as it was told to be, °C
   */
  PieceRows(DSLContext dsl, RunStore.KeptRun kept, AsRun asRun, double room) {
    this.dsl = dsl;
    this.kept = kept;
    this.asRun = asRun;
    this.room = room;
  }

  void write() {
    Plan plan = kept.run().plan();
    Sought sought = new Sought(kept.run(), asRun);
    List<TrialPieces.InTrial> trials = TrialPieces.of(kept.run().session(), plan);
    for (AsRun.PieceOut piece : asRun.pieces()) {
      if (piece.poured() == 0) {
        continue;
      }
      Plan.PieceView view = plan.pieces().get(piece.line());
      LookOver look = piece.lookedOver();
      Became became = piece.became();
      became = became == null || became.what() == Became.What.STILL_HERE ? null : became;
      dsl.insertInto(JOURNAL_PIECE)
          .set(JOURNAL_PIECE.RUN_ID, kept.id())
          .set(JOURNAL_PIECE.PIECE, piece.piece().toString())
          .set(JOURNAL_PIECE.LINE, piece.line())
          .set(JOURNAL_PIECE.CAVITY, piece.cavity())
          .set(JOURNAL_PIECE.MOULD_ID, view.mouldId())
          .set(JOURNAL_PIECE.MOULD_NAME, piece.mouldName())
          .set(
              JOURNAL_PIECE.RESIN_ID,
              view.layers().isEmpty() ? "" : view.layers().getFirst().resinId())
          .set(JOURNAL_PIECE.LAYERS, piece.layers())
          .set(JOURNAL_PIECE.POURED, piece.poured())
          .set(JOURNAL_PIECE.GRADE, look == null ? null : look.verdict().name())
          .set(JOURNAL_PIECE.LINE_ABOUT_IT, look == null ? null : look.text())
          .set(JOURNAL_PIECE.BEGUN_AT, kept.run().begunAt().atOffset(ZoneOffset.UTC))
          .set(JOURNAL_PIECE.LOCAL_DAY, day(kept.run(), 0))
          .set(JOURNAL_PIECE.ROOM_C, room)
          .set(JOURNAL_PIECE.WORDS_ID, words(sought.words(piece), sought.keys(piece)))
          .set(JOURNAL_PIECE.TOP_COLOUR, topColour(piece))
          .set(JOURNAL_PIECE.CODE, PieceCode.of(kept.id(), piece.piece()))
          .set(JOURNAL_PIECE.BECAME, became == null ? null : became.what().name())
          .set(
              JOURNAL_PIECE.BECAME_DAY, became == null ? null : day(kept.run(), became.atSeconds()))
          .execute();
      marks(piece);
      inside(piece, view);
      for (Joined.JoinMade join : sought.joins(piece)) {
        dsl.insertInto(JOURNAL_JOIN)
            .set(JOURNAL_JOIN.RUN_ID, kept.id())
            .set(JOURNAL_JOIN.PIECE, piece.piece().toString())
            .set(JOURNAL_JOIN.LAYER, join.layer())
            .set(JOURNAL_JOIN.PLANNED, join.planned().name())
            .set(JOURNAL_JOIN.MINUTES_AFTER, join.minutesAfter())
            .set(JOURNAL_JOIN.MET, join.met() == null ? null : join.met().name())
            .execute();
      }
      trials.stream()
          .filter(t -> t.line() == piece.line())
          .forEach(t ->
              dsl.insertInto(JOURNAL_TRIAL)
                  .set(JOURNAL_TRIAL.RUN_ID, kept.id())
                  .set(JOURNAL_TRIAL.PIECE, piece.piece().toString())
                  .set(JOURNAL_TRIAL.TRIAL, t.trial())
                  .set(JOURNAL_TRIAL.CHANGED, t.changed())
                  .execute());
      for (LookOver.Fault fault : look == null ? List.<LookOver.Fault>of() : look.faults()) {
        dsl.insertInto(JOURNAL_FAULT)
            .set(JOURNAL_FAULT.RUN_ID, kept.id())
            .set(JOURNAL_FAULT.PIECE, piece.piece().toString())
            .set(JOURNAL_FAULT.FAULT, fault.name())
            .execute();
      }
    }
  }

  /** Kept once for all that are found by the same; named by what it says. */
  private String words(String sought, String keys) {
    byte[] digest;
    try {
      digest =
          MessageDigest.getInstance("SHA-256")
              .digest((sought + "\n\n" + keys).getBytes(StandardCharsets.UTF_8));
    } catch (NoSuchAlgorithmException never) {
      throw new IllegalStateException("bug: every JDK has it", never);
    }
    String id = HexFormat.of().formatHex(digest, 0, ID_BYTES);
    if (written.add(id) && !dsl.fetchExists(JOURNAL_WORDS, JOURNAL_WORDS.ID.eq(id))) {
      dsl.insertInto(JOURNAL_WORDS)
          .set(JOURNAL_WORDS.ID, id)
          .set(JOURNAL_WORDS.SOUGHT, sought)
          .set(JOURNAL_WORDS.KEYS, keys)
          .execute();
    }
    return id;
  }

  private String topColour(AsRun.PieceOut piece) {
    return asRun.pours().stream()
        .filter(p -> p.pourId().into().equals(piece.piece()) && p.layer() == piece.layers() - 1)
        .map(AsRun.PourIn::colourName)
        .max(Comparator.naturalOrder())
        .orElse("");
  }

  /** What lies in the layers that were poured. */
  private void inside(AsRun.PieceOut piece, Plan.PieceView view) {
    for (int layer = 0; layer < Math.min(piece.poured(), view.layers().size()); layer++) {
      int number = 0;
      for (Plan.InsideView embed : view.layers().get(layer).embeds()) {
        number++;
        dsl.insertInto(JOURNAL_EMBED)
            .set(JOURNAL_EMBED.RUN_ID, kept.id())
            .set(JOURNAL_EMBED.PIECE, piece.piece().toString())
            .set(JOURNAL_EMBED.LAYER, layer)
            .set(JOURNAL_EMBED.NUMBER, number)
            .set(JOURNAL_EMBED.EMBED_ID, embed.embedId())
            .set(JOURNAL_EMBED.EMBED_NAME, embed.embedName())
            .set(JOURNAL_EMBED.HOW_MANY, embed.count())
            .execute();
      }
    }
  }

  private void marks(AsRun.PieceOut piece) {
    LookOver look = piece.lookedOver();
    int number = 0;
    for (LookOver.Mark mark : look == null ? List.<LookOver.Mark>of() : look.marks()) {
      number++;
      dsl.insertInto(JOURNAL_MARK)
          .set(JOURNAL_MARK.RUN_ID, kept.id())
          .set(JOURNAL_MARK.PIECE, piece.piece().toString())
          .set(JOURNAL_MARK.NUMBER, number)
          .set(JOURNAL_MARK.FAULT, mark.fault().name())
          .set(JOURNAL_MARK.ACROSS_PERCENT, mark.acrossPercent())
          .set(JOURNAL_MARK.UP_PERCENT, mark.upPercent())
          .execute();
    }
  }

  private static LocalDate day(Run run, int seconds) {
    return run.begunAt()
        .plusSeconds(seconds)
        .atZone(ZoneId.of(run.session().zoneId()))
        .toLocalDate();
  }
}
