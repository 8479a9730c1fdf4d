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
import java.util.HashMap;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import org.jooq.DSLContext;

/** Writes the pieces of an evening, with all that hangs on them. */
final class PieceRows {
  private final DSLContext dsl;
  private final Rows rows;
  private final RunStore.KeptRun kept;
  private final AsRun asRun;
  private final double room;

  /** Two texts of a billion workshops would have to be alike in so many bytes. */
  private static final int ID_BYTES = 16;

  private final Map<String, Text> texts = new HashMap<>();

  private record Text(String sought, String keys) {}

  /**
   * @param room as it was read that evening, else as it was told to be, °C
   */
  PieceRows(DSLContext dsl, Rows rows, RunStore.KeptRun kept, AsRun asRun, double room) {
    this.dsl = dsl;
    this.rows = rows;
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
      rows.into(JOURNAL_PIECE)
          .with(JOURNAL_PIECE.RUN_ID, kept.id())
          .with(JOURNAL_PIECE.PIECE, piece.piece().toString())
          .with(JOURNAL_PIECE.LINE, piece.line())
          .with(JOURNAL_PIECE.CAVITY, piece.cavity())
          .with(JOURNAL_PIECE.MOULD_ID, view.mouldId())
          .with(JOURNAL_PIECE.CAVITY_ID, view.cavityId())
          .with(JOURNAL_PIECE.MOULD_NAME, piece.mouldName())
          .with(
              JOURNAL_PIECE.RESIN_ID,
              view.layers().isEmpty() ? "" : view.layers().getFirst().resinId())
          .with(JOURNAL_PIECE.LAYERS, piece.layers())
          .with(JOURNAL_PIECE.POURED, piece.poured())
          .with(JOURNAL_PIECE.GRADE, look == null ? null : look.verdict().name())
          .with(JOURNAL_PIECE.LINE_ABOUT_IT, look == null ? null : look.text())
          .with(JOURNAL_PIECE.BEGUN_AT, kept.run().begunAt().atOffset(ZoneOffset.UTC))
          .with(JOURNAL_PIECE.LOCAL_DAY, day(kept.run(), 0))
          .with(JOURNAL_PIECE.ROOM_C, room)
          .with(JOURNAL_PIECE.WORDS_ID, words(sought.words(piece), sought.keys(piece)))
          .with(JOURNAL_PIECE.TOP_COLOUR, topColour(piece))
          .with(JOURNAL_PIECE.CODE, PieceCode.of(kept.id(), piece.piece()))
          .with(JOURNAL_PIECE.BECAME, became == null ? null : became.what().name())
          .with(
              JOURNAL_PIECE.BECAME_DAY,
              became == null ? null : day(kept.run(), became.atSeconds()));
      marks(piece);
      inside(piece, view);
      for (Joined.JoinMade join : sought.joins(piece)) {
        rows.into(JOURNAL_JOIN)
            .with(JOURNAL_JOIN.RUN_ID, kept.id())
            .with(JOURNAL_JOIN.PIECE, piece.piece().toString())
            .with(JOURNAL_JOIN.LAYER, join.layer())
            .with(JOURNAL_JOIN.PLANNED, join.planned().name())
            .with(JOURNAL_JOIN.MINUTES_AFTER, join.minutesAfter())
            .with(JOURNAL_JOIN.MET, join.met() == null ? null : join.met().name());
      }
      trials.stream()
          .filter(t -> t.line() == piece.line())
          .forEach(t ->
              rows.into(JOURNAL_TRIAL)
                  .with(JOURNAL_TRIAL.RUN_ID, kept.id())
                  .with(JOURNAL_TRIAL.PIECE, piece.piece().toString())
                  .with(JOURNAL_TRIAL.TRIAL, t.trial())
                  .with(JOURNAL_TRIAL.CHANGED, t.changed()));
      for (LookOver.Fault fault : look == null ? List.<LookOver.Fault>of() : look.faults()) {
        rows.into(JOURNAL_FAULT)
            .with(JOURNAL_FAULT.RUN_ID, kept.id())
            .with(JOURNAL_FAULT.PIECE, piece.piece().toString())
            .with(JOURNAL_FAULT.FAULT, fault.name());
      }
    }
    newTexts();
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
    texts.putIfAbsent(id, new Text(sought, keys));
    return id;
  }

  /** Those that no piece was found by before. */
  private void newTexts() {
    texts
        .keySet()
        .removeAll(
            dsl.select(JOURNAL_WORDS.ID)
                .from(JOURNAL_WORDS)
                .where(JOURNAL_WORDS.ID.in(texts.keySet()))
                .fetchSet(JOURNAL_WORDS.ID));
    texts.forEach((id, text) ->
        rows.into(JOURNAL_WORDS)
            .with(JOURNAL_WORDS.ID, id)
            .with(JOURNAL_WORDS.SOUGHT, text.sought())
            .with(JOURNAL_WORDS.KEYS, text.keys()));
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
        rows.into(JOURNAL_EMBED)
            .with(JOURNAL_EMBED.RUN_ID, kept.id())
            .with(JOURNAL_EMBED.PIECE, piece.piece().toString())
            .with(JOURNAL_EMBED.LAYER, layer)
            .with(JOURNAL_EMBED.NUMBER, number)
            .with(JOURNAL_EMBED.EMBED_ID, embed.embedId())
            .with(JOURNAL_EMBED.EMBED_NAME, embed.embedName())
            .with(JOURNAL_EMBED.HOW_MANY, embed.count());
      }
    }
  }

  private void marks(AsRun.PieceOut piece) {
    LookOver look = piece.lookedOver();
    int number = 0;
    for (LookOver.Mark mark : look == null ? List.<LookOver.Mark>of() : look.marks()) {
      number++;
      rows.into(JOURNAL_MARK)
          .with(JOURNAL_MARK.RUN_ID, kept.id())
          .with(JOURNAL_MARK.PIECE, piece.piece().toString())
          .with(JOURNAL_MARK.NUMBER, number)
          .with(JOURNAL_MARK.FAULT, mark.fault().name())
          .with(JOURNAL_MARK.ACROSS_PERCENT, mark.acrossPercent())
          .with(JOURNAL_MARK.UP_PERCENT, mark.upPercent());
    }
  }

  private static LocalDate day(Run run, int seconds) {
    return run.begunAt()
        .plusSeconds(seconds)
        .atZone(ZoneId.of(run.session().zoneId()))
        .toLocalDate();
  }
}
