package calmpour.app.store;

import calmpour.core.design.Join;
import calmpour.core.journal.Joined;
import calmpour.core.journal.LotsUsed;
import calmpour.core.plan.doc.Plan;
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

/** What the pieces of an evening are found by. */
final class Sought {
  /** The columns hold no more; nobody finds what is behind that. */
  private static final int LONGEST_WORDS = 4_000;

  private static final int LONGEST_KEYS = 2_000;
  private static final String BAR = "|";
  private static final String COLOUR = "c:";
  private static final String FAULT = "f:";
  private static final String LOT = "l:";
  private static final String JOIN = "j:";

  private final Run run;
  private final AsRun asRun;
  private final List<LotsUsed.LotOfBatch> lots;
  private final List<Joined.JoinMade> joins;

  Sought(Run run, AsRun asRun) {
    this.run = run;
    this.asRun = asRun;
    this.lots = LotsUsed.of(run);
    this.joins = Joined.of(run, asRun);
  }

  /** How the layers of a piece met. */
  List<Joined.JoinMade> joins(AsRun.PieceOut piece) {
    return joins.stream().filter(j -> j.piece().equals(piece.piece())).toList();
  }

  /**
   * Every word about it in small letters: mould, evening, resins, lots, colours, what lies in it,
   * trial, faults, its line.
   */
  String words(AsRun.PieceOut piece) {
    Set<String> words = new LinkedHashSet<>();
    words.add(piece.mouldName());
    words.add(run.session().name());
    asRun.batches().forEach(b -> words.add(b.resinName()));
    words.addAll(lots(piece));
    words.addAll(colours(piece));
    run.plan().pieces().get(piece.line()).layers().stream()
        .flatMap(l -> l.embeds().stream())
        .map(Plan.InsideView::embedName)
        .forEach(words::add);
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

  /** Its colours, faults, lots and joins, each between two bars. */
  String keys(AsRun.PieceOut piece) {
    List<String> keys = new ArrayList<>();
    joins(piece).forEach(j -> keys.add(join(j.planned())));
    LookOver look = piece.lookedOver();
    if (look != null) {
      look.faults().forEach(f -> keys.add(fault(f)));
    }
    lots(piece).forEach(l -> keys.add(lot(l)));
    colours(piece).forEach(c -> keys.add(colour(c)));
    return cut(String.join("", new LinkedHashSet<>(keys)), LONGEST_KEYS);
  }

  /** A colour as it stands among the keys. */
  static String colour(String name) {
    return key(COLOUR, name);
  }

  /** A fault as it stands among the keys. */
  static String fault(LookOver.Fault fault) {
    return key(FAULT, fault.name());
  }

  /** A lot, by its name, as it stands among the keys. */
  static String lot(String name) {
    return key(LOT, name);
  }

  /** A join as it stands among the keys. */
  static String join(Join join) {
    return key(JOIN, join.name());
  }

  /** The colours that stand among the keys of a piece. */
  static List<String> coloursIn(String keys) {
    return in(keys, COLOUR);
  }

  /** The faults that stand among the keys of a piece. */
  static List<String> faultsIn(String keys) {
    return in(keys, FAULT);
  }

  /** The lots that stand among the keys of a piece. */
  static List<String> lotsIn(String keys) {
    return in(keys, LOT);
  }

  /** The joins that stand among the keys of a piece. */
  static List<String> joinsIn(String keys) {
    return in(keys, JOIN);
  }

  /** What a lot is called: its bottle, and what is printed on it. */
  static String lotName(String partName, String code) {
    return (partName + ", lot " + code).replace(BAR, "");
  }

  private static String key(String kind, String name) {
    return BAR + kind + name.replace(BAR, "") + BAR;
  }

  private static List<String> in(String keys, String kind) {
    return List.of(keys.split("\\|", -1)).stream()
        .filter(key -> key.startsWith(kind))
        .map(key -> key.substring(kind.length()))
        .toList();
  }

  private Set<String> colours(AsRun.PieceOut piece) {
    return asRun.pours().stream()
        .filter(p -> p.pourId().into().equals(piece.piece()))
        .map(AsRun.PourIn::colourName)
        .collect(Collectors.toCollection(LinkedHashSet::new));
  }

  /** Of the batches that its cups were mixed from. */
  private Set<String> lots(AsRun.PieceOut piece) {
    Set<Integer> batches =
        asRun.pours().stream()
            .filter(p -> p.pourId().into().equals(piece.piece()))
            .filter(p -> p.outcome() == AsRun.Outcome.POURED)
            .map(p -> p.cupId().batch())
            .collect(Collectors.toSet());
    return lots.stream()
        .filter(l -> batches.contains(l.batch()))
        .map(l -> lotName(l.partName(), l.code()))
        .collect(Collectors.toCollection(LinkedHashSet::new));
  }

  private static String cut(String text, int longest) {
    return text.length() > longest ? text.substring(0, longest) : text;
  }
}
