package calmpour.app.store;

import calmpour.core.journal.PieceCode;
import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Locale;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/** Which pieces of the journal are wanted. */
final class FoundBy {
  private FoundBy() {}

  /** What a piece has to be; every piece where nothing is asked for. */
  static Predicate<AllPieces.Piece> all(JournalStore.Wanted wanted) {
    Predicate<AllPieces.Piece> all = piece -> true;
    if (wanted.mouldId() != null) {
      all = all.and(p -> p.mouldId().equals(wanted.mouldId()));
    }
    if (wanted.resinId() != null) {
      all = all.and(p -> p.resinId().equals(wanted.resinId()));
    }
    String grade = wanted.grade();
    if (grade != null) {
      all = all.and(p -> grade.equals(p.grade() == null ? "NONE" : p.grade().name()));
    }
    Double from = wanted.roomFrom();
    if (from != null) {
      all = all.and(p -> p.roomC() >= from);
    }
    Double below = wanted.roomBelow();
    if (below != null) {
      all = all.and(p -> p.roomC() < below);
    }
    if (wanted.from() != null) {
      all = all.and(p -> !p.day().isBefore(wanted.from()));
    }
    if (wanted.to() != null) {
      all = all.and(p -> !p.day().isAfter(wanted.to()));
    }
    List<Predicate<AllPieces.Texts>> said = new ArrayList<>(keys(wanted));
    for (String word : words(wanted.words())) {
      Predicate<AllPieces.Texts> says = t -> t.sought().contains(word);
      String code = PieceCode.read(word);
      if (code.length() == PieceCode.LENGTH) {
        Predicate<AllPieces.Piece> itself = onceEach(says);
        all = all.and(p -> p.code().equals(code) || itself.test(p));
      } else {
        said.add(says);
      }
    }
    return said.stream().reduce(Predicate::and).map(FoundBy::onceEach).map(all::and).orElse(all);
  }

  private static List<Predicate<AllPieces.Texts>> keys(JournalStore.Wanted wanted) {
    List<Predicate<AllPieces.Texts>> keys = new ArrayList<>();
    if (wanted.colour() != null) {
      keys.add(has(Sought.colour(wanted.colour())));
    }
    if (wanted.fault() != null) {
      keys.add(has(Sought.fault(wanted.fault())));
    }
    if (wanted.lot() != null) {
      keys.add(has(Sought.lot(wanted.lot())));
    }
    if (wanted.join() != null) {
      keys.add(has(Sought.join(wanted.join())));
    }
    return keys;
  }

  private static Predicate<AllPieces.Texts> has(String key) {
    return t -> t.keys().contains(key);
  }

  /** Asked once for every text: thousands of pieces have the same few hundred. */
  private static Predicate<AllPieces.Piece> onceEach(Predicate<AllPieces.Texts> says) {
    IdentityHashMap<AllPieces.Texts, Boolean> known = new IdentityHashMap<>();
    return p -> known.computeIfAbsent(p.texts(), says::test);
  }

  private static List<String> words(@Nullable String words) {
    return words == null || words.isBlank()
        ? List.of()
        : List.of(words.strip().toLowerCase(Locale.ROOT).split("\\s+", -1));
  }
}
