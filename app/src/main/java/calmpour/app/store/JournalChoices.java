package calmpour.app.store;

import static calmpour.app.store.generated.Tables.JOURNAL_BATCH;

import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
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

  /** Moulds that were cast from, by name: the latest that each of them had. */
  public List<JournalChoice> moulds() {
    return remembered.get(
        "moulds",
        () -> {
          Map<String, String> names = new HashMap<>();
          pieces.all().stream()
              .flatMap(e -> e.pieces().stream())
              .forEach(p -> names.putIfAbsent(p.mouldId(), p.mouldName()));
          return choices(p -> List.of(p.mouldId()), names);
        });
  }

  /** Resins that pieces begin with, by name. */
  public List<JournalChoice> resins() {
    return remembered.get("resins", () -> choices(p -> List.of(p.resinId()), resinNames()));
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

  /** Colours that were poured, by name. */
  public List<JournalChoice> colours() {
    return remembered.get("colours", () -> choices(p -> p.texts().colours(), Map.of()));
  }

  /** Bottles that were mixed from, by name. */
  public List<JournalChoice> lots() {
    return remembered.get("lots", () -> choices(p -> p.texts().lots(), Map.of()));
  }

  /**
   * @param names by what is chosen by; what has none there is a name itself
   */
  private List<JournalChoice> choices(
      Function<AllPieces.Piece, List<String>> by, Map<String, String> names) {
    Map<String, Integer> counts = new HashMap<>();
    pieces.all().stream()
        .flatMap(e -> e.pieces().stream())
        .forEach(p -> by.apply(p).forEach(id -> counts.merge(id, 1, Integer::sum)));
    return counts.entrySet().stream()
        .map(e ->
            new JournalChoice(e.getKey(), names.getOrDefault(e.getKey(), e.getKey()), e.getValue()))
        .sorted(Comparator.comparing(JournalChoice::name).thenComparing(JournalChoice::id))
        .toList();
  }
}
