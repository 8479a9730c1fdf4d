package calmpour.app;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tools.jackson.databind.JsonNode;

/**
 * What a maker with a pencil would know of an evening: every telling in a book, crossed out where
 * it was taken back. It reads the plan and the tellings, and nothing that the bench works out.
 */
final class MakersBook {
  private final JsonNode plan;
  private final Map<String, Map<String, Object>> told = new LinkedHashMap<>();

  MakersBook(JsonNode plan) {
    this.plan = plan;
  }

  /** A telling; the same one twice is one. */
  void write(Map<String, Object> event) {
    told.putIfAbsent((String) event.get("id"), event);
  }

  int lines() {
    return told.size();
  }

  Set<String> ids() {
    return told.keySet();
  }

  /** In the order in which it happened, without what was crossed out and the crossings. */
  private List<Map<String, Object>> standing() {
    List<Map<String, Object>> stand = new ArrayList<>();
    for (Map<String, Object> event : told.values()) {
      if (!event.get("kind").equals("UNDONE")) {
        stand.add(event);
        continue;
      }
      Map<String, Object> back =
          stand.stream().filter(e -> e.get("id").equals(event.get("of"))).findFirst().orElse(null);
      if (back != null && back.get("kind").equals("DONE")) {
        stand.removeIf(e -> e.get("kind").equals("DONE") && e.get("of").equals(back.get("of")));
      } else if (back != null) {
        stand.remove(back);
      }
    }
    stand.sort(Comparator.comparing(e -> (String) e.get("at")));
    return stand;
  }

  /** What was finished. */
  Set<String> done() {
    Set<String> done = new LinkedHashSet<>();
    for (Map<String, Object> event : standing()) {
      String of = (String) event.get("of");
      if (event.get("kind").equals("DONE")) {
        done.add(of);
      } else if (event.get("kind").equals("TROUBLE") && of.startsWith("WRONG_COLOUR/")) {
        String pour = "pour/" + of.split("/", -1)[1];
        if (codes(event).contains("STAYS")) {
          done.add(pour);
        } else {
          done.remove(pour);
        }
      }
    }
    return done;
  }

  private static String codes(Map<String, Object> event) {
    return String.valueOf(event.get("codes"));
  }

  /** Weights as somebody read them off a scale, by step. */
  Map<String, Double> weights() {
    Map<String, Double> weights = new LinkedHashMap<>();
    Set<String> wiped = new HashSet<>();
    for (Map<String, Object> event : standing()) {
      if (event.get("kind").equals("DONE") && event.get("value") instanceof Double grams) {
        weights.putIfAbsent((String) event.get("of"), grams);
      } else if (event.get("kind").equals("TROUBLE")) {
        // Poured again, or out of another cup: which weight counts is not this book's matter.
        wiped.add("pour/" + ((String) event.get("of")).split("/", -1)[1]);
      }
    }
    weights.keySet().removeAll(wiped);
    return weights;
  }

  /** Whether somebody is away, by what was told last of it. */
  boolean away() {
    boolean away = false;
    for (Map<String, Object> event : standing()) {
      away = event.get("kind").equals("AWAY") || (away && !event.get("kind").equals("BACK"));
    }
    return away;
  }

  /** Cups that were told to be hot, or too thick. */
  Set<String> cups(String kind) {
    Set<String> cups = new LinkedHashSet<>();
    standing().stream()
        .filter(e -> e.get("kind").equals(kind))
        .forEach(e -> cups.add((String) e.get("of")));
    return cups;
  }

  /** Warnings that were answered and not raised again since. */
  boolean answered(String warning, String raises, String of) {
    boolean answered = false;
    for (Map<String, Object> event : standing()) {
      if (event.get("kind").equals("CHECKED") && event.get("of").equals(warning)) {
        answered = true;
      } else if (event.get("kind").equals(raises) && event.get("of").equals(of)) {
        answered = false;
      }
    }
    return answered;
  }

  /**
   * What has to be done just before a step, by the trade: of its batch, its cup and its cavity. Who
   * says that B is in has put A in.
   */
  Set<String> before(JsonNode task) {
    int batch = task.get("batch").asInt();
    String of = "batch/" + batch + "/";
    Set<String> before = new LinkedHashSet<>();
    switch (task.get("kind").asString()) {
      case "WEIGH_SECOND" -> before.add(of + "WEIGH_FIRST");
      case "STIR" -> before.add(of + "WEIGH_SECOND");
      case "SPLIT" -> before.add(of + "STIR");
      case "TINT" -> before.add(ofCup(task, List.of("SPLIT"), of));
      case "POUR" -> {
        before.add(ofCup(task, List.of("TINT", "SPLIT"), of));
        plan.get("tasks")
            .valueStream()
            .filter(t -> t.get("kind").asString().equals("POUR") && lower(t, task))
            .forEach(t -> before.add(t.get("id").asString()));
      }
      default -> {}
    }
    return before;
  }

  /** What was done with the cup last, by the plan; where nothing is, the batch was stirred. */
  private String ofCup(JsonNode task, List<String> kinds, String batch) {
    for (String kind : kinds) {
      for (JsonNode other : plan.get("tasks")) {
        boolean same = task.has("cupId") && task.get("cupId").equals(other.get("cupId"));
        if (same && other.get("kind").asString().equals(kind)) {
          return other.get("id").asString();
        }
      }
    }
    return batch + "STIR";
  }

  private static boolean lower(JsonNode one, JsonNode other) {
    String[] a = one.get("pourId").asString().split("\\.", -1);
    String[] b = other.get("pourId").asString().split("\\.", -1);
    return a[0].equals(b[0])
        && a[1].equals(b[1])
        && Integer.parseInt(a[2]) < Integer.parseInt(b[2]);
  }

  JsonNode task(String id) {
    return plan.get("tasks")
        .valueStream()
        .filter(t -> t.get("id").asString().equals(id))
        .findFirst()
        .orElseThrow();
  }
}
