package calmpour.app.store;

import static calmpour.app.store.generated.Tables.JOURNAL_BATCH;

import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;
import org.springframework.stereotype.Repository;

/** What there is in the journal to look for. */
@Repository
public class JournalChoices {
  private final DSLContext db;
  private final AllPieces pieces;
  private final UntilChanged remembered;

  JournalChoices(DSLContext db, JournalWriter writer, AllPieces pieces) {
    this.db = db;
    this.pieces = pieces;
    this.remembered = new UntilChanged(writer::version);
  }

  /** Something that can be chosen to look for, and on how many pieces it is. */
  public record JournalChoice(String id, String name, int pieces) {}

  /**
   * All that there is, each by name.
   *
   * @param moulds that were cast from, by the latest name of each
   * @param resins that pieces begin with
   * @param colours that were poured
   * @param lots bottles that were mixed from
   */
  public record AllChoices(
      List<JournalChoice> moulds,
      List<JournalChoice> resins,
      List<JournalChoice> colours,
      List<JournalChoice> lots) {}

  /** What is counted over all pieces at once. */
  public AllChoices all() {
    return remembered.get("choices", this::count);
  }

  private AllChoices count() {
    Map<String, int[]> moulds = new HashMap<>();
    Map<String, int[]> resins = new HashMap<>();
    Map<String, int[]> colours = new HashMap<>();
    Map<String, int[]> lots = new HashMap<>();
    Map<String, String> names = new HashMap<>();
    for (AllPieces.OfEvening evening : pieces.all()) {
      for (AllPieces.Piece piece : evening.pieces()) {
        names.putIfAbsent(piece.mouldId(), piece.mouldName());
        one(moulds, piece.mouldId());
        one(resins, piece.resinId());
        piece.texts().colours().forEach(c -> one(colours, c));
        piece.texts().lots().forEach(l -> one(lots, l));
      }
    }
    return new AllChoices(
        choices(moulds, names),
        choices(resins, resinNames()),
        choices(colours, Map.of()),
        choices(lots, Map.of()));
  }

  private static void one(Map<String, int[]> counts, String id) {
    counts.computeIfAbsent(id, k -> new int[1])[0]++;
  }

  /**
   * @param names by what is chosen by; what has none there is a name itself
   */
  private static List<JournalChoice> choices(Map<String, int[]> counts, Map<String, String> names) {
    return counts.entrySet().stream()
        .map(e ->
            new JournalChoice(
                e.getKey(), names.getOrDefault(e.getKey(), e.getKey()), e.getValue()[0]))
        .sorted(Comparator.comparing(JournalChoice::name).thenComparing(JournalChoice::id))
        .toList();
  }

  /** Resins that were mixed: their names by their ids. */
  Map<String, String> resinNames() {
    return remembered.get(
        "resin names",
        () ->
            db.select(JOURNAL_BATCH.RESIN_ID, DSL.max(JOURNAL_BATCH.RESIN_NAME))
                .from(JOURNAL_BATCH)
                .groupBy(JOURNAL_BATCH.RESIN_ID)
                .fetchMap(JOURNAL_BATCH.RESIN_ID, DSL.max(JOURNAL_BATCH.RESIN_NAME)));
  }
}
