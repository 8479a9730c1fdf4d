package calmpour.app.store;

import calmpour.core.run.AsRun;
import calmpour.core.run.Became;
import calmpour.core.run.LookOver;
import calmpour.core.run.Run;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;

/** What a piece is found by. */
final class Sought {
  /** The columns hold no more; nobody finds what is behind that. */
  private static final int LONGEST_WORDS = 4_000;

  private static final int LONGEST_KEYS = 2_000;
  private static final String BAR = "|";
  private static final String COLOUR = "c:";
  private static final String FAULT = "f:";

  private Sought() {}

  /**
   * Every word about it in small letters: mould, evening, resins, colours, trial, faults, its line.
   */
  static String words(Run run, AsRun asRun, AsRun.PieceOut piece) {
    Set<String> words = new LinkedHashSet<>();
    words.add(piece.mouldName());
    words.add(run.session().name());
    asRun.batches().forEach(b -> words.add(b.resinName()));
    words.addAll(colours(asRun, piece));
    String trial = run.session().pieces().get(piece.line()).trial();
    words.add(trial == null ? "" : trial);
    LookOver look = piece.lookedOver();
    if (look != null) {
      look.faults().forEach(f -> words.add(f.name().replace('_', ' ')));
      words.add(look.text() == null ? "" : look.text());
    }
    Became became = piece.became();
    if (became != null && became.what() != Became.What.STILL_HERE) {
      words.add(became.what().name().replace('_', ' '));
      words.add(became.text() == null ? "" : became.text());
    }
    return cut(String.join("\n", words).toLowerCase(Locale.ROOT), LONGEST_WORDS);
  }

  /** Its colours and faults, each between two bars. */
  static String keys(AsRun asRun, AsRun.PieceOut piece) {
    List<String> keys = new ArrayList<>();
    colours(asRun, piece).forEach(c -> keys.add(colour(c)));
    LookOver look = piece.lookedOver();
    if (look != null) {
      look.faults().forEach(f -> keys.add(fault(f)));
    }
    return cut(String.join("", keys), LONGEST_KEYS);
  }

  /** A colour as it stands among the keys. */
  static String colour(String name) {
    return BAR + COLOUR + name.replace(BAR, "") + BAR;
  }

  /** A fault as it stands among the keys. */
  static String fault(LookOver.Fault fault) {
    return BAR + FAULT + fault.name() + BAR;
  }

  private static Set<String> colours(AsRun asRun, AsRun.PieceOut piece) {
    return asRun.pours().stream()
        .filter(p -> p.pourId().into().equals(piece.piece()))
        .map(AsRun.PourIn::colourName)
        .collect(Collectors.toCollection(LinkedHashSet::new));
  }

  private static String cut(String text, int longest) {
    return text.length() > longest ? text.substring(0, longest) : text;
  }
}
