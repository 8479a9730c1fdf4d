package calmpour.core.audit;

import calmpour.core.design.FinishStep;
import calmpour.core.design.Join;
import calmpour.core.design.PieceWork;
import calmpour.core.design.PlacedEmbed;
import calmpour.core.design.PlacedEmbed.Moment;
import calmpour.core.design.SurfaceWork;
import calmpour.core.design.WetWork;
import calmpour.core.embed.Embed;
import calmpour.core.habit.Care;
import calmpour.core.habit.Habits;
import calmpour.core.habit.Mixing;
import calmpour.core.habit.Release;
import calmpour.core.mould.InnerMould;
import calmpour.core.mould.MouldMake;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.Task.Kind;
import calmpour.core.resin.ResinSystem;
import calmpour.core.session.Hours;
import calmpour.core.session.Job;
import calmpour.core.session.JobInResin;
import calmpour.core.session.Resolution;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import calmpour.core.tint.Colourant;
import calmpour.core.tool.Booking;
import calmpour.core.tool.Tool;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/**
 * A workshop that does what a plan says, minute by minute, and complains of what goes wrong.
 * Written from the rules in words (docs/rules.md), with the rule of thumb for how resin ages, and
 * not from the audit: the two have to find the same.
 */
final class Simulator {
  private static final Set<Release> BURNS =
      EnumSet.of(Release.FLAME, Release.HOT_AIR, Release.TRAY);

  private final Session session;
  private final Habits habits;
  private final Job job;
  private final Plan plan;
  private final Instant begin;
  private final Map<String, Task> tasks = new LinkedHashMap<>();
  private final Map<String, Double> found = new TreeMap<>();

  /** What just made it, with the seconds to spare. */
  private final Map<String, Double> nearly = new TreeMap<>();

  private static final Set<String> NEARLY = Set.of("JOIN_TOO_LATE", "EMBED_TOO_LATE", "AFTER_GEL");

  /** The last pour of each batch into each layer of each cavity: line.cavity.layer. */
  private final Map<String, Map<Integer, Lies>> lies = new HashMap<>();

  private record Lies(Batch batch, Cup.Pour pour, int end) {}

  /** A stretch of a body's life. */
  private record Stretch(double minutes, double grams, double celsius) {}

  Simulator(Session session, Workshop workshop, Plan plan) {
    this.session = session;
    this.habits = session.habits();
    this.job = Resolution.of(session, workshop);
    this.plan = plan;
    this.begin = session.startsAt().atZone(ZoneId.of(session.zoneId())).toInstant();
    plan.tasks().forEach(t -> tasks.put(t.id().text(), t));
  }

  /** Every breach as "RULE place", with how far beyond: seconds for times, else its own unit. */
  Map<String, Double> run() {
    beforeAnythingIsMixed();
    for (Batch batch : plan.batches()) {
      batch(batch);
    }
    afterwards();
    hands();
    sharedThings();
    cavities();
    masses();
    stock();
    whatThereIs();
    flames();
    return found;
  }

  /** What came within the margin of its limit, as "RULE place", with the seconds to spare. */
  Map<String, Double> nearMisses() {
    nearly.keySet().removeAll(found.keySet());
    return nearly;
  }

  // What is said.

  private void wrong(String rule, String place, double by) {
    found.merge(rule + " " + place, by, Math::max);
  }

  private static String place(String taskId) {
    return taskId.startsWith("pour/") ? taskId : "task/" + taskId;
  }

  private Optional<Task> must(String id) {
    if (!tasks.containsKey(id)) {
      wrong("TASK_MISSING", place(id), 1e9);
    }
    return Optional.ofNullable(tasks.get(id));
  }

  private void notBefore(String rule, Task task, String other, int wait) {
    Task first = tasks.get(other);
    if (first != null && task.startSeconds() < first.endSeconds() + wait) {
      wrong(rule, place(task.id().text()), first.endSeconds() + wait - task.startSeconds());
    }
  }

  private void notBefore(String rule, Task task, double moment) {
    if (task.startSeconds() < moment) {
      wrong(rule, place(task.id().text()), moment - task.startSeconds());
    }
  }

  private void notAfter(String rule, Task task, int at, double moment) {
    if (at > moment) {
      wrong(rule, place(task.id().text()), at - moment);
    } else if (NEARLY.contains(rule) && at > moment - habits.marginMinutes() * 60) {
      nearly.merge(rule + " " + place(task.id().text()), moment - at, Math::min);
    }
  }

  /** Where A never meets B no clock runs, and nothing is too early or too late by it. */
  private boolean mixes(Batch batch) {
    return tasks.containsKey(b(batch, Kind.WEIGH_FIRST));
  }

  private void notBefore(Batch clock, String rule, Task task, double moment) {
    if (mixes(clock)) {
      notBefore(rule, task, moment);
    }
  }

  private void notAfter(Batch clock, String rule, Task task, int at, double moment) {
    if (mixes(clock)) {
      notAfter(rule, task, at, moment);
    }
  }

  private static int up(double seconds) {
    return (int) Math.ceil(seconds);
  }

  // Before anything is mixed: moulds wiped or sprayed and dry, surfaces done and dry, embeds ready.

  private String wiped() {
    return switch (habits.care().moulds()) {
      case NONE -> null;
      case ALCOHOL_WIPE -> "session/WIPE_MOULDS";
      case RELEASE_SPRAY -> "session/SPRAY_MOULDS";
    };
  }

  private int mouldDry() {
    return up(habits.care().mouldDryMinutes() * 60);
  }

  private void beforeAnythingIsMixed() {
    if (wiped() != null) {
      must(wiped());
    }
    for (int l = 0; l < job.lines().size(); l++) {
      List<SurfaceWork> surface = job.lines().get(l).piece().workOrNone().surface();
      for (int s = 0; s < surface.size(); s++) {
        Task task = must(surfaceId(l, s)).orElse(null);
        if (task != null && s > 0) {
          notBefore(
              "NOT_YET_DRY",
              task,
              surfaceId(l, s - 1),
              up(surface.get(s - 1).dryingMinutes() * 60));
        } else if (task != null && wiped() != null) {
          notBefore("NOT_YET_DRY", task, wiped(), mouldDry());
        }
      }
      if (prepares(l)) {
        must("line/" + (l + 1) + "/PREPARE_EMBEDS");
      }
      if (laidOnFloor(l)) {
        Task lay = must("line/" + (l + 1) + "/LAY_EMBEDS").orElse(null);
        if (lay != null) {
          surfaceDry(lay, l);
          embedsReady(lay, l);
        }
      }
    }
  }

  private static String surfaceId(int line, int which) {
    return "line/" + (line + 1) + "/SURFACE_WORK/" + (which + 1);
  }

  private void surfaceDry(Task task, int l) {
    List<SurfaceWork> surface = job.lines().get(l).piece().workOrNone().surface();
    if (!surface.isEmpty()) {
      int last = surface.size() - 1;
      notBefore(
          "NOT_YET_DRY", task, surfaceId(l, last), up(surface.get(last).dryingMinutes() * 60));
    }
  }

  private boolean prepares(int l) {
    return job.lines().get(l).levels().stream()
        .flatMap(v -> v.embeds().stream())
        .anyMatch(e -> !e.placed().prepare().isEmpty());
  }

  private void embedsReady(Task task, int l) {
    boolean glued =
        job.lines().get(l).levels().stream()
            .flatMap(v -> v.embeds().stream())
            .anyMatch(e -> e.placed().prepare().contains(PlacedEmbed.Prepare.GLUE));
    notBefore(
        "NOT_YET_DRY",
        task,
        "line/" + (l + 1) + "/PREPARE_EMBEDS",
        glued ? up(habits.care().embedDryMinutes() * 60) : 0);
  }

  /** The layer before which an inner mould is set, from 0; -1 without one. */
  private int innerBefore(int l) {
    Job.Line line = job.lines().get(l);
    InnerMould inner = line.piece().work() == null ? null : line.piece().work().inner();
    if (inner == null) {
      return -1;
    }
    List<Job.Level> levels = line.levels();
    for (int i = 0; i < levels.size(); i++) {
      if (levels.get(i).toMm() > inner.clearanceMm() || i == levels.size() - 1) {
        int stage = levels.get(i).stage();
        return (int) levels.stream().takeWhile(v -> v.stage() < stage).count();
      }
    }
    throw new AssertionError("no layers");
  }

  private boolean laidOnFloor(int l) {
    return innerBefore(l) == 0
        || job.lines().get(l).levels().stream()
            .filter(v -> v.stage() == 0)
            .anyMatch(v -> puts(v, Moment.BEFORE_POUR));
  }

  private static boolean puts(Job.Level level, Moment moment) {
    return level.embeds().stream().anyMatch(e -> e.placed().moment() == moment);
  }

  // One batch.

  private int end(String id) {
    return tasks.containsKey(id) ? tasks.get(id).endSeconds() : 0;
  }

  private String b(Batch batch, Kind kind) {
    return "batch/" + batch.number() + "/" + kind;
  }

  private int contact(Batch batch) {
    return end(b(batch, Kind.WEIGH_FIRST));
  }

  private int mixed(Batch batch) {
    String over = b(batch, Kind.SECOND_CUP);
    return tasks.containsKey(over) ? end(over) : end(b(batch, Kind.STIR));
  }

  private JobInResin in(Batch batch) {
    return job.in(batch.resinId());
  }

  private void batch(Batch batch) {
    String before = null;
    List<Kind> chain = new ArrayList<>();
    if (habits.mixing().minutesOfWarming() > 0) {
      chain.add(Kind.WARM);
    }
    chain.addAll(List.of(Kind.WEIGH_FIRST, Kind.WEIGH_SECOND, Kind.STIR));
    if (habits.mixing().twoCups()) {
      chain.add(Kind.SECOND_CUP);
    }
    if (habits.restMinutes() > 0) {
      chain.add(Kind.REST);
    }
    if (habits.mixing().release() != null && habits.mixing().release() != Release.NONE) {
      chain.add(Kind.RELEASE);
    }
    if (!batch.mixing().tintedWhole().isEmpty()) {
      chain.add(Kind.TINT);
    }
    for (Kind kind : chain) {
      before = afterOne(b(batch, kind), before);
    }
    Map<String, String> ready = new HashMap<>();
    for (Cup cup : batch.cups()) {
      String last = before;
      if (batch.split()) {
        last = afterOne("cup/" + cup.id() + "/SPLIT", last);
      }
      if (cup.tint().doses().stream().anyMatch(d -> d.stock() != null)) {
        last = afterOne("cup/" + cup.id() + "/STOCK_CUP", last);
      }
      boolean coloured = !in(batch).tints().get(cup.colour().id()).shares().isEmpty();
      if (coloured && batch.mixing().tintedWhole().isEmpty()) {
        last = afterOne("cup/" + cup.id() + "/TINT", last);
      }
      ready.put(cup.id().toString(), last);
    }
    for (List<Cup.Pour> pours : byLayer(batch).values()) {
      Cup.Pour any = pours.get(0);
      if (oneCup(any)) {
        Task gather = must(gatherId(batch, any)).orElse(null);
        for (Cup cup : batch.cups()) {
          if (gather != null && cup.pours().stream().anyMatch(pours::contains)) {
            notBefore("OUT_OF_ORDER", gather, ready.get(cup.id().toString()), 0);
          }
        }
      }
    }
    if (batch.cups().stream().allMatch(c -> c.pours().isEmpty())) {
      return;
    }
    pours(batch, ready);
    embeds(batch);
    theRest(batch);
    for (Cup cup : batch.cups()) {
      for (Cup.Pour pour : cup.pours()) {
        lies.computeIfAbsent(
                pour.line() + "." + pour.cavity() + "." + pour.layer(), k -> new TreeMap<>())
            .merge(
                batch.number(),
                new Lies(batch, pour, end("pour/" + pour.id())),
                (x, y) -> x.end > y.end ? x : y);
      }
    }
  }

  /** Several colours that are poured at once from one more cup. */
  private boolean oneCup(Cup.Pour pour) {
    List<calmpour.core.design.Layer> layers = job.lines().get(pour.line()).piece().layers();
    if (pour.layer() >= layers.size()) {
      return false;
    }
    calmpour.core.design.Layer layer = layers.get(pour.layer());
    return !layer.beside().isEmpty()
        && layer.meeting() == calmpour.core.design.Layer.Meeting.ONE_CUP;
  }

  private String gatherId(Batch batch, Cup.Pour at) {
    return b(batch, Kind.GATHER) + "/" + (at.line() + 1) + "." + (at.layer() + 1);
  }

  private String afterOne(String id, String before) {
    Task task = must(id).orElse(null);
    if (task != null && before != null) {
      notBefore("OUT_OF_ORDER", task, before, 0);
    }
    return id;
  }

  private void pours(Batch batch, Map<String, String> ready) {
    int margin = up(habits.marginMinutes() * 60);
    Map<String, List<Cup.Pour>> cavities = new TreeMap<>();
    for (Cup cup : batch.cups()) {
      double thick = Math.floor(reach(1, cup(batch, cup)) * 60) + contact(batch);
      for (Cup.Pour pour : cup.pours()) {
        cavities
            .computeIfAbsent(pour.line() + "." + pour.cavity(), c -> new ArrayList<>())
            .add(pour);
        Task task = must("pour/" + pour.id()).orElse(null);
        if (task != null) {
          notBefore("OUT_OF_ORDER", task, ready.get(cup.id().toString()), 0);
          notAfter(batch, "POUR_AFTER_WORKING_TIME", task, task.endSeconds(), thick - margin);
        }
      }
    }
    for (List<Cup.Pour> cavity : cavities.values()) {
      cavity.sort(
          Comparator.comparingInt(Cup.Pour::layer)
              .thenComparingInt(Cup.Pour::half)
              .thenComparingInt(p ->
                  tasks.containsKey("pour/" + p.id())
                      ? tasks.get("pour/" + p.id()).startSeconds()
                      : Integer.MAX_VALUE));
      cavity(batch, cavity);
    }
  }

  /** The pours of one batch into one cavity, from the floor up. */
  private void cavity(Batch batch, List<Cup.Pour> inOrder) {
    Cup.Pour before = null;
    for (Cup.Pour pour : inOrder) {
      Task task = tasks.get("pour/" + pour.id());
      Job.Line line = job.lines().get(pour.line());
      Job.Level level = line.level(pour.layer());
      if (task != null) {
        if (before != null) {
          notBefore("OUT_OF_ORDER", task, "pour/" + before.id(), 0);
        } else {
          join(batch, pour, task, "JOIN");
          if (level.coat()) {
            List<List<Integer>> alike = alike(pour.line());
            int which = 0;
            while (!alike.get(which).contains(pour.cavity())) {
              which++;
            }
            notBefore("OUT_OF_ORDER", task, of(pour.line(), which, "DEMOULD"), 0);
          }
          if (firstEver(pour)) {
            if (wiped() != null) {
              notBefore("NOT_YET_DRY", task, wiped(), mouldDry());
            }
            surfaceDry(task, pour.line());
            if (laidOnFloor(pour.line())) {
              String laid = "line/" + (pour.line() + 1) + "/LAY_EMBEDS";
              notBefore("OUT_OF_ORDER", task, laid, 0);
            }
          }
        }
        if (oneCup(pour)) {
          notBefore("OUT_OF_ORDER", task, gatherId(batch, pour), 0);
        }
        if (pour.half() == 2) {
          notBefore("OUT_OF_ORDER", task, embedId(batch, pour, Moment.HALF_FILL), 0);
        }
        if (level.stage() > 0
            && (puts(level, Moment.BEFORE_POUR) || innerBefore(pour.line()) == pour.layer())) {
          notBefore("OUT_OF_ORDER", task, embedId(batch, pour, Moment.BEFORE_POUR), 0);
        }
      }
      before = pour;
    }
  }

  private boolean firstEver(Cup.Pour pour) {
    for (int layer = 0; layer <= 10; layer++) {
      if (lies.containsKey(pour.line() + "." + pour.cavity() + "." + layer)) {
        return false;
      }
    }
    return true;
  }

  private static String embedId(Batch batch, Cup.Pour at, Moment moment) {
    return "batch/"
        + batch.number()
        + "/EMBED/"
        + (at.line() + 1)
        + "."
        + (at.layer() + 1)
        + "/"
        + moment;
  }

  /** Onto a layer of an earlier batch: neither before its state allows it nor after. */
  private void join(Batch batch, Cup.Pour pour, Task task, String what) {
    String under = pour.line() + "." + pour.cavity() + "." + (pour.layer() - 1);
    for (Lies below : lies.getOrDefault(under, Map.of()).values()) {
      if (below.batch.number() != batch.number() && tasks.containsKey("pour/" + below.pour.id())) {
        join(below, pour, task, what);
      }
    }
  }

  private void join(Lies below, Cup.Pour pour, Task task, String what) {
    Job.Level level = job.lines().get(pour.line()).level(pour.layer());
    List<Layer> parts = layers(below.batch, pour.line(), pour.layer() - 1);
    Double label = in(below.batch).resin().gelMinutes();
    int gel = mixed(below.batch) + up((label == null ? habits.gelWaitMinutes() : label) * 60);
    double from;
    double until = Double.POSITIVE_INFINITY;
    switch (level.coat() ? Join.CURED : level.join()) {
      case TOGETHER -> {
        from = below.end;
        until = first(parts, p -> p.at(reach(1, p.body)));
      }
      case THICK -> {
        from = Math.max(below.end, mixed(below.batch) + up(habits.thickWaitMinutes() * 60));
        until = gel;
      }
      case GEL -> {
        from = Math.max(below.end, gel);
        until = first(parts, p -> p.at(hours(below.batch, p, Step.RECOAT)));
      }
      default -> {
        double hard = last(parts, p -> hardens(below.batch, p, Step.DEMOULD));
        from = Math.max(below.end, hard);
      }
    }
    notBefore(what + "_TOO_EARLY", task, from);
    notAfter(what + "_TOO_LATE", task, task.startSeconds(), until);
  }

  private static double first(List<Layer> parts, java.util.function.ToDoubleFunction<Layer> when) {
    return parts.stream().mapToDouble(when).min().orElseThrow();
  }

  private static double last(List<Layer> parts, java.util.function.ToDoubleFunction<Layer> when) {
    return parts.stream().mapToDouble(when).max().orElseThrow();
  }

  // Embeds, nudges, looks, pots, cleaning up.

  private Map<String, List<Cup.Pour>> byLayer(Batch batch) {
    Map<String, List<Cup.Pour>> layers = new TreeMap<>();
    for (Cup cup : batch.cups()) {
      for (Cup.Pour pour : cup.pours()) {
        layers.computeIfAbsent(pour.line() + "." + pour.layer(), k -> new ArrayList<>()).add(pour);
      }
    }
    return layers;
  }

  private void embeds(Batch batch) {
    for (List<Cup.Pour> pours : byLayer(batch).values()) {
      Cup.Pour any = pours.get(0);
      Job.Level level = job.lines().get(any.line()).level(any.layer());
      List<Layer> parts = layers(batch, any.line(), any.layer());
      double wetsUntil = first(parts, p -> p.at(reach(1.2, p.body)));
      double gels = first(parts, p -> p.at(reach(1.4, p.body)));
      for (Moment moment : Moment.values()) {
        boolean ownTask = moment != Moment.BEFORE_POUR || level.stage() > 0;
        boolean inner = moment == Moment.BEFORE_POUR && innerBefore(any.line()) == any.layer();
        if (!(puts(level, moment) || inner) || !ownTask) {
          continue;
        }
        Task task = must(embedId(batch, any, moment)).orElse(null);
        if (task == null) {
          continue;
        }
        if (prepares(any.line())) {
          embedsReady(task, any.line());
        }
        switch (moment) {
          case BEFORE_POUR -> pours.forEach(p -> join(batch, p, task, "EMBED"));
          case HALF_FILL -> {
            int rest = up(habits.care().halfFillRestMinutes() * 60);
            pours.stream()
                .filter(p -> p.half() == 1)
                .forEach(p -> notBefore("EMBED_TOO_EARLY", task, "pour/" + p.id(), rest));
            notAfter(batch, "EMBED_TOO_LATE", task, task.endSeconds(), wetsUntil);
          }
          case AFTER_POUR -> {
            pours.forEach(p -> notBefore("EMBED_TOO_EARLY", task, "pour/" + p.id(), 0));
            notAfter(batch, "EMBED_TOO_LATE", task, task.endSeconds(), wetsUntil);
          }
          case WHEN_THICK -> {
            double thick =
                last(parts, p -> Math.max(p.poured, contact(batch) + up(reach(1, p.body) * 60)));
            notBefore(batch, "EMBED_TOO_EARLY", task, thick);
            notAfter(batch, "EMBED_TOO_LATE", task, task.startSeconds(), gels);
            if (gels <= thick) {
              // A window that shuts before it opens has no near miss.
              nearly.remove("EMBED_TOO_LATE " + place(task.id().text()));
            }
          }
        }
      }
      nudges(batch, any, level, gels);
    }
  }

  /** 10, 20, 40 … minutes after the last free embed, until gel. */
  private void nudges(Batch batch, Cup.Pour at, Job.Level level, double gels) {
    double density = job.tint(level, level.colour()).mixDensity();
    int from = -1;
    for (Job.EmbedIn inside : level.embeds()) {
      double ratio = inside.embed().knownDensity() / density;
      boolean moves = ratio > 1.02 || ratio < 0.98;
      Task put = tasks.get(embedId(batch, at, inside.placed().moment()));
      if (put != null && moves && !inside.placed().anchored()) {
        from = Math.max(from, put.endSeconds());
      }
    }
    int turn = 1;
    for (int wait = 600; from >= 0 && from + wait < gels; wait *= 2) {
      String id =
          "batch/"
              + batch.number()
              + "/NUDGE/"
              + (at.line() + 1)
              + "."
              + (at.layer() + 1)
              + "/"
              + turn;
      Task task = must(id).orElse(null);
      if (task != null) {
        notBefore(batch, "OUT_OF_ORDER", task, from + (double) wait);
        double latest = Math.min(gels, from + wait + Math.max(600, wait / 2));
        notAfter(batch, "NUDGE_TOO_LATE", task, task.startSeconds(), latest);
      }
      turn++;
    }
  }

  private void theRest(Batch batch) {
    String last = null;
    int lastEnd = 0;
    for (Cup cup : batch.cups()) {
      for (Cup.Pour pour : cup.pours()) {
        if (end("pour/" + pour.id()) >= lastEnd) {
          lastEnd = end("pour/" + pour.id());
          last = "pour/" + pour.id();
        }
      }
    }
    wetWork(batch);
    List<String> inTurn = new ArrayList<>();
    if (session.hands().bubbleSecondsCavity() > 0) {
      inTurn.add(b(batch, Kind.BUBBLE_PASS));
    }
    if (habits.care().bubbles() == Care.BubbleMethod.LAMP) {
      inTurn.add(b(batch, Kind.UNDER_LAMP));
    }
    List<Cup.Pour> under = underLids(batch);
    if (!under.isEmpty()) {
      inTurn.add(b(batch, Kind.LID));
    }
    inTurn.add(b(batch, Kind.COVER));
    String before = last;
    for (String id : inTurn) {
      before = afterOne(id, before);
    }
    Task lid = under.isEmpty() ? null : tasks.get(b(batch, Kind.LID));
    if (lid != null) {
      double gels = Double.POSITIVE_INFINITY;
      for (Cup.Pour pour : under) {
        notBefore("OUT_OF_ORDER", lid, "pour/" + pour.id(), 300);
      }
      for (Layer top : lidTops(batch)) {
        gels = Math.min(gels, top.at(reach(1.4, top.body)));
      }
      notAfter(batch, "AFTER_GEL", lid, lid.endSeconds(), gels);
    }
    Task left = tasks.get(b(batch, Kind.LEFTOVERS));
    if (left != null) {
      notBefore("OUT_OF_ORDER", left, before, 0);
      double lastGel = 0;
      for (Cup cup : batch.cups()) {
        lastGel = Math.max(lastGel, contact(batch) + Math.floor(reach(1.4, cup(batch, cup)) * 60));
      }
      notAfter(batch, "AFTER_GEL", left, left.endSeconds(), lastGel);
    }
    cupsInUse(batch);
    double firstGel = Double.POSITIVE_INFINITY;
    for (Cup cup : batch.cups()) {
      firstGel = Math.min(firstGel, contact(batch) + Math.floor(reach(1.4, cup(batch, cup)) * 60));
    }
    if (session.hands().cleanUpSeconds() > 0) {
      Task clean = must(b(batch, Kind.CLEAN_UP)).orElse(null);
      if (clean != null) {
        notBefore("OUT_OF_ORDER", clean, lastEnd);
        notAfter(batch, "AFTER_GEL", clean, clean.endSeconds(), firstGel);
      }
    }
    for (PieceWork.Curing where :
        List.of(PieceWork.Curing.PRESSURE_POT, PieceWork.Curing.HOT_BOX)) {
      boolean pot = where == PieceWork.Curing.PRESSURE_POT;
      List<Layer> tops = tops(batch, where);
      if (!tops.isEmpty()) {
        String load = b(batch, pot ? Kind.LOAD_POT : Kind.LOAD_BOX);
        Task loading = must(load).orElse(null);
        if (loading != null) {
          notBefore("OUT_OF_ORDER", loading, before, 0);
          Task shut = must(b(batch, pot ? Kind.IN_POT : Kind.IN_BOX)).orElse(null);
          if (shut != null) {
            notBefore("OUT_OF_ORDER", shut, load, 0);
          }
          for (Layer top : tops) {
            if (pot) {
              notAfter(
                  batch, "AFTER_GEL", loading, loading.endSeconds(), top.at(reach(1.4, top.body)));
            }
          }
        }
      }
    }
    looks(batch);
  }

  /** On a layer that has just been poured, while all of it still flows. */
  private void wetWork(Batch batch) {
    for (List<Cup.Pour> pours : byLayer(batch).values()) {
      Cup.Pour any = pours.get(0);
      if (wet(any.line(), any.layer()).isEmpty()) {
        continue;
      }
      String id = b(batch, Kind.WET_WORK) + "/" + (any.line() + 1) + "." + (any.layer() + 1);
      Task task = must(id).orElse(null);
      if (task != null) {
        pours.forEach(p -> notBefore("OUT_OF_ORDER", task, "pour/" + p.id(), 0));
        double flows = Double.POSITIVE_INFINITY;
        for (Layer part : layers(batch, any.line(), any.layer())) {
          flows = Math.min(flows, contact(batch) + Math.floor(reach(1, part.body) * 60));
        }
        notAfter(batch, "WET_TOO_LATE", task, task.endSeconds(), flows);
      }
    }
  }

  private List<WetWork> wet(int line, int layer) {
    List<calmpour.core.design.Layer> layers = job.lines().get(line).piece().layers();
    return layer < layers.size() && layers.get(layer).wet() != null
        ? layers.get(layer).wet()
        : List.of();
  }

  private boolean wet(Task task, WetWork.Kind kind) {
    String[] at = task.id().text().split("[/.]", -1);
    return task.kind() == Kind.WET_WORK
        && wet(Integer.parseInt(at[3]) - 1, Integer.parseInt(at[4]) - 1).stream()
            .anyMatch(w -> w.kind() == kind);
  }

  /** What is poured last into a closed mould. */
  private boolean underLid(Cup.Pour pour) {
    Job.Line line = job.lines().get(pour.line());
    return line.mould().make() != null
        && line.mould().make().opening() == MouldMake.Opening.CLOSED
        && pour.layer() == line.levels().size() - 1;
  }

  private List<Cup.Pour> underLids(Batch batch) {
    return batch.cups().stream().flatMap(c -> c.pours().stream()).filter(this::underLid).toList();
  }

  private List<Layer> lidTops(Batch batch) {
    List<Layer> tops = new ArrayList<>();
    for (List<Cup.Pour> pours : byLayer(batch).values()) {
      if (underLid(pours.get(0))) {
        tops.addAll(layers(batch, pours.get(0).line(), pours.get(0).layer()));
      }
    }
    return tops;
  }

  private boolean setting(int line) {
    MouldMake make = job.lines().get(line).mould().make();
    return make != null
        && (make.opening() == MouldMake.Opening.BEZEL || make.opening() == MouldMake.Opening.FLAT);
  }

  /** Every cup of a batch stands on the bench at once, two for mixing by habit. */
  private void cupsInUse(Batch batch) {
    Map<String, Integer> taken = new TreeMap<>();
    Map<String, Integer> have = new TreeMap<>();
    taken.put(batch.mixing().cup().id(), habits.mixing().twoCups() ? 2 : 1);
    have.put(batch.mixing().cup().id(), batch.mixing().cup().have());
    for (Cup cup : batch.split() ? batch.cups() : List.<Cup>of()) {
      taken.merge(cup.kind().id(), 1, Integer::sum);
      have.put(cup.kind().id(), cup.kind().have());
    }
    for (List<Cup.Pour> pours : byLayer(batch).values()) {
      if (oneCup(pours.get(0))) {
        Cup one =
            batch.cups().stream()
                .filter(c -> c.pours().stream().anyMatch(pours::contains))
                .findFirst()
                .orElseThrow();
        taken.merge(one.kind().id(), 1, Integer::sum);
        have.put(one.kind().id(), one.kind().have());
      }
    }
    taken.forEach((id, count) -> {
      if (have.get(id) != null && count > have.get(id)) {
        wrong("CUPS_SHORT", "batch/" + batch.number(), 1e9);
      }
    });
  }

  private List<Layer> tops(Batch batch, PieceWork.Curing where) {
    List<Layer> tops = new ArrayList<>();
    for (List<Cup.Pour> pours : byLayer(batch).values()) {
      Job.Line line = job.lines().get(pours.get(0).line());
      boolean top = pours.get(0).layer() == line.levels().size() - 1;
      if (top && line.piece().workOrNone().curing() == where) {
        tops.addAll(layers(batch, pours.get(0).line(), pours.get(0).layer()));
      }
    }
    return tops;
  }

  /** 15, 30 and 60 minutes after the last pour that is worth it, where it is a duty. */
  private void looks(Batch batch) {
    boolean duty = false;
    int from = 0;
    for (Cup cup : batch.cups()) {
      for (Cup.Pour pour : cup.pours()) {
        PieceWork work = job.lines().get(pour.line()).piece().workOrNone();
        boolean shut = work.curing() == PieceWork.Curing.PRESSURE_POT || underLid(pour);
        boolean much = work.bubbles() == PieceWork.BubbleCare.MUCH;
        boolean usual =
            work.bubbles() == PieceWork.BubbleCare.USUAL && !cup.tint().doses().isEmpty();
        if (!shut && (much || usual)) {
          duty |= much;
          from = Math.max(from, end("pour/" + pour.id()));
        }
      }
    }
    int turn = 1;
    for (int minutes : new int[] {15, 30, 60}) {
      String id = b(batch, Kind.LOOK) + "/" + turn;
      Task task = duty ? must(id).orElse(null) : tasks.get(id);
      if (task != null) {
        notBefore(batch, "OUT_OF_ORDER", task, from + minutes * 60.0);
        if (duty) {
          notAfter(batch, "LOOK_TOO_LATE", task, task.startSeconds(), from + minutes * 60.0 + 600);
        }
      }
      turn++;
    }
  }

  // After it has cured.

  /** The pieces of a line that were filled by the same batches, by their first cavity. */
  private List<List<Integer>> alike(int l) {
    Map<Set<Integer>, List<Integer>> alike = new LinkedHashMap<>();
    for (int cavity = 1; cavity <= job.lines().get(l).piece().count(); cavity++) {
      Set<Integer> by = new java.util.TreeSet<>();
      for (Batch batch : plan.batches()) {
        for (Cup cup : batch.cups()) {
          for (Cup.Pour pour : cup.pours()) {
            if (pour.line() == l && pour.cavity() == cavity) {
              by.add(batch.number());
            }
          }
        }
      }
      alike.computeIfAbsent(by, k -> new ArrayList<>()).add(cavity);
    }
    return List.copyOf(alike.values());
  }

  /** What is done for such pieces goes by the line, and from the second of them on by number. */
  private static String of(int l, int which, String what) {
    return "line/" + (l + 1) + (which == 0 ? "" : "." + (which + 1)) + "/" + what;
  }

  /** What is taken out of a mould, by its task. */
  private final List<String> out = new ArrayList<>();

  private void afterwards() {
    for (int l = 0; l < job.lines().size(); l++) {
      List<List<Integer>> alike = alike(l);
      for (int which = 0; which < alike.size(); which++) {
        out(l, which, alike.get(which));
      }
    }
    if (!out.isEmpty()) {
      Task away = must("session/MOULDS_AWAY").orElse(null);
      if (away != null) {
        out.forEach(demould -> notBefore("OUT_OF_ORDER", away, demould, 0));
      }
    }
  }

  /** Every layer in these cavities, from each batch that had a part in it. */
  private List<Lies> inside(int l, List<Integer> cavities, int layer) {
    List<Lies> all = new ArrayList<>();
    for (int cavity : cavities) {
      all.addAll(lies.getOrDefault(l + "." + cavity + "." + layer, Map.of()).values());
    }
    return all;
  }

  private void out(int l, int which, List<Integer> cavities) {
    Job.Line line = job.lines().get(l);
    for (int layer = 0; layer < line.levels().size(); layer++) {
      for (int cavity : cavities) {
        if (!lies.containsKey(l + "." + cavity + "." + layer)) {
          return;
        }
      }
    }
    Task task = must(of(l, which, "DEMOULD")).orElse(null);
    if (!setting(l)) {
      out.add(of(l, which, "DEMOULD"));
    }
    for (int layer = 0; task != null && layer < line.levels().size(); layer++) {
      for (Lies in : inside(l, cavities, layer)) {
        if (tasks.containsKey("pour/" + in.pour.id())) {
          hard("NOT_YET_CURED", task, in, l, layer, Step.DEMOULD);
        }
        Kind shut =
            switch (line.piece().workOrNone().curing()) {
              case BENCH -> null;
              case PRESSURE_POT -> Kind.IN_POT;
              case HOT_BOX -> Kind.IN_BOX;
            };
        if (shut != null) {
          notBefore("OUT_OF_ORDER", task, b(in.batch, shut), 0);
        }
      }
    }
    finishing(l, which, cavities, line);
  }

  private void hard(String rule, Task task, Lies in, int l, int layer, Step step) {
    double when = last(layers(in.batch, l, layer), p -> hardens(in.batch, p, step));
    notBefore(rule, task, Math.max(in.end, when));
  }

  private void finishing(int l, int which, List<Integer> cavities, Job.Line line) {
    String before = of(l, which, "DEMOULD");
    int turn = 0;
    for (FinishStep step : line.piece().workOrNone().finishing()) {
      for (int t = 0; t < step.times(); t++) {
        turn++;
        String id = of(l, which, "FINISH/" + turn);
        Task task = must(id).orElse(null);
        if (task != null) {
          notBefore("FINISHED_TOO_EARLY", task, before, up(step.waitHours() * 3_600));
          for (Lies coat : inside(l, cavities, line.levels().size())) {
            if (turn == 1 && tasks.containsKey("pour/" + coat.pour.id())) {
              hard("NOT_YET_CURED", task, coat, l, coat.pour.layer(), Step.DEMOULD);
            }
          }
        }
        before = id;
      }
    }
    for (int layer = 0; layer < line.poured().size(); layer++) {
      if (inside(l, cavities, layer).isEmpty()) {
        return;
      }
    }
    Task ready = must(of(l, which, "READY")).orElse(null);
    if (ready == null) {
      return;
    }
    notBefore("OUT_OF_ORDER", ready, before, 0);
    for (int layer = 0; layer < line.poured().size(); layer++) {
      for (Lies in : inside(l, cavities, layer)) {
        if (tasks.containsKey("pour/" + in.pour.id())) {
          hard("NOT_YET_CURED", ready, in, l, layer, Step.FULL_CURE);
          if (habits.care().leaving() == Care.Leaving.AFTER_DAYS) {
            double days = in.end + up(habits.care().leavingDays() * 86_400);
            notBefore("NOT_YET_CURED", ready, days);
          }
        }
      }
    }
  }

  // How resin ages, by the rule of thumb.

  /** A layer in its mould, with its life so far. */
  private static final class Layer {
    final int contact;
    final int poured;
    final List<Stretch> body;
    final double around;
    int lies;
    double onBench;
    double benchC;

    /**
     * @param around air about it in the end, °C
     */
    Layer(int contact, int poured, List<Stretch> body, double around) {
      this.around = around;
      this.contact = contact;
      this.poured = poured;
      this.body = body;
    }

    /** The second in which so many minutes since the first contact are over. */
    double at(double minutes) {
      return contact + Math.floor(minutes * 60);
    }
  }

  private int filled(Batch batch, Cup cup) {
    String split = "cup/" + cup.id() + "/SPLIT";
    if (tasks.containsKey(split)) {
      return end(split);
    }
    for (Kind kind : List.of(Kind.TINT, Kind.RELEASE, Kind.REST)) {
      if (tasks.containsKey(b(batch, kind))) {
        return end(b(batch, kind));
      }
    }
    return mixed(batch);
  }

  private int inCupFrom(Batch batch, Cup cup) {
    return batch.split() ? Math.max(contact(batch), filled(batch, cup)) : contact(batch);
  }

  private List<Stretch> mixing(Batch batch, Cup cup) {
    List<Stretch> body = new ArrayList<>();
    if (batch.split()) {
      body.add(
          new Stretch(
              (inCupFrom(batch, cup) - contact(batch)) / 60.0,
              batch.measuring().totalG(),
              celsius(batch, session.room().temperatureC())));
    }
    return body;
  }

  /** A cup as it is emptied; its last pour counts with it, for its own deadline. */
  private List<Stretch> cup(Batch batch, Cup cup) {
    List<Stretch> body = mixing(batch, cup);
    double left = cup.amounts().contentG();
    int from = inCupFrom(batch, cup);
    double warm = celsius(batch, session.room().temperatureC());
    List<Cup.Pour> pours = new ArrayList<>(cup.pours());
    pours.sort(Comparator.comparingInt(p -> end("pour/" + p.id())));
    for (int p = 0; p + 1 < pours.size(); p++) {
      int end = Math.max(from, end("pour/" + pours.get(p).id()));
      body.add(new Stretch((end - from) / 60.0, left, warm));
      left = Math.max(1e-3, left - pours.get(p).massG());
      from = end;
    }
    body.add(new Stretch(0, left, warm));
    return body;
  }

  /** A layer as this batch pours it, cup by cup: each as the last of its cavities follows. */
  private List<Layer> layers(Batch batch, int line, int layer) {
    List<Layer> parts = new ArrayList<>();
    for (Cup cup : batch.cups()) {
      Cup.Pour own = null;
      for (Cup.Pour pour : cup.pours()) {
        boolean its = pour.line() == line && pour.layer() == layer;
        if (its && (own == null || end("pour/" + pour.id()) >= end("pour/" + own.id()))) {
          own = pour;
        }
      }
      if (own != null) {
        parts.add(part(batch, cup, own));
      }
    }
    return parts;
  }

  private Layer part(Batch batch, Cup ofCup, Cup.Pour last) {
    int line = last.line();
    int layer = last.layer();
    List<Stretch> body = mixing(batch, ofCup);
    int from = inCupFrom(batch, ofCup);
    int end = Math.max(from, end("pour/" + last.id()));
    double room = session.room().temperatureC();
    body.add(new Stretch((end - from) / 60.0, ofCup.amounts().contentG(), celsius(batch, room)));
    Job.Line of = job.lines().get(line);
    double grams =
        of.level(layer).volumeMl() * ofCup.amounts().contentG() / ofCup.amounts().contentMl();
    Task box = tasks.get(b(batch, Kind.IN_BOX));
    Double warm =
        box == null
            ? null
            : job.tools().stream()
                .filter(t -> t.id().equals(box.toolId()))
                .map(Tool::temperatureC)
                .findFirst()
                .orElse(null);
    boolean boxed =
        warm != null
            && of.piece().workOrNone().curing() == PieceWork.Curing.HOT_BOX
            && layer == of.levels().size() - 1;
    double onBench = 0;
    if (boxed) {
      onBench = Math.max(0, box.startSeconds() - end) / 60.0;
      body.add(new Stretch(onBench, grams, celsius(batch, room)));
      body.add(new Stretch(0, grams, celsius(batch, warm)));
    } else {
      body.add(new Stretch(0, grams, celsius(batch, room)));
    }
    double around = boxed ? warm : room;
    Layer made = new Layer(contact(batch), end("pour/" + last.id()), body, around);
    made.lies = end;
    made.onBench = onBench;
    made.benchC = room;
    return made;
  }

  /**
   * The second in which a layer is hard: by the rule of thumb from the first contact, and never
   * sooner than the label, or common practice where it is silent, from its last pour on; the
   * label's hours pass twice as quickly for ten degrees more, first on the bench and then in the
   * box.
   */
  private double hardens(Batch batch, Layer layer, Step step) {
    double thought = contact(batch) + up(hours(batch, layer, step) * 60);
    double meant = in(batch).resin().knownPotLifeTemperatureC().value();
    double left = labelHours(in(batch).resin(), step) * 60;
    double onBench = Math.pow(2, (layer.benchC - meant) / 10);
    double minutes;
    if (layer.onBench * onBench >= left || layer.around == layer.benchC) {
      minutes = left / onBench;
    } else {
      left -= layer.onBench * onBench;
      minutes = layer.onBench + left / Math.pow(2, (layer.around - meant) / 10);
    }
    // From the first contact, as all clocks of a batch: whole seconds come last.
    double sinceContact = (layer.lies - contact(batch)) / 60.0 + minutes;
    double label = contact(batch) + up(sinceContact * 60);
    // What is fully cured can be taken out as well.
    double cured = step == Step.FULL_CURE ? hardens(batch, layer, Step.DEMOULD) : 0;
    return Math.max(cured, Math.max(thought, label));
  }

  /** No resin here says when it comes out: by kind. */
  private static double labelHours(ResinSystem resin, Step step) {
    double out =
        switch (resin.kind()) {
          case CASTING, COATING -> 24;
          case FAST -> 6;
          case POLYURETHANE -> 2;
          case DEEP -> throw new AssertionError("a deep resin needs its depth");
        };
    return step == Step.FULL_CURE ? Math.max(48, 2 * out) : out;
  }

  private static double warmerBy(Release release) {
    return switch (release) {
      case null -> 0;
      case NONE, VACUUM, MACHINE -> 0;
      case FLAME -> 1;
      case HOT_AIR -> 6;
      case LAMP -> 4;
      case TRAY -> 8;
    };
  }

  /** As warm as it was warmed, or as what it stands in. */
  private double celsius(Batch batch, double around) {
    ResinSystem resin = in(batch).resin();
    Mixing mixing = habits.mixing();
    double room = session.room().temperatureC();
    double mixedAt =
        switch (mixing.warming()) {
          case NONE -> room;
          case BOTH -> Math.max(room, 28);
          case TO_TEMPERATURE -> Math.max(room, 38);
          case A_ONLY, A_HOT_AIR -> {
            double warm = mixing.warming() == Mixing.Warming.A_ONLY ? 40 : 32;
            double a = resin.massShareA() * (1 + mixing.extraAPercent() / 100);
            double b = 1 - resin.massShareA();
            yield Math.max(room, (a * warm + b * room) / (a + b));
          }
        };
    return Math.max(mixedAt + warmerBy(mixing.release()), around);
  }

  /** Minutes from the first contact until a body has used up so many working times. */
  private double reach(double lives, List<Stretch> body) {
    double left = lives;
    double minutes = 0;
    for (int s = 0; ; s++) {
      Stretch stretch = body.get(s);
      double whole = workingMinutes(stretch.grams, stretch.celsius);
      double uses = stretch.minutes / whole;
      if (s == body.size() - 1 || uses >= left) {
        return minutes + left * whole;
      }
      left -= uses;
      minutes += stretch.minutes;
    }
  }

  /**
   * The label's minutes; half of them for ten degrees more; 49 instead of 40 for a quarter of the
   * mass, a straight line on logarithmic paper. Every resin here has the same label.
   */
  private double workingMinutes(double grams, double celsius) {
    ResinSystem resin = job.resin();
    double tens = (celsius - resin.knownPotLifeTemperatureC().value()) / 10;
    double quarters = Math.log(resin.knownPotLifeMassG().value() / grams) / Math.log(4);
    return resin.knownPotLifeMinutes().value()
        * Math.pow(0.5, tens)
        * Math.pow(49.0 / 40, quarters);
  }

  private enum Step {
    RECOAT(12),
    DEMOULD(24),
    FULL_CURE(72);

    final double usual;

    Step(double usual) {
      this.usual = usual;
    }
  }

  /** Minutes until a hardened state: the usual hours, half of them for ten degrees more. */
  private double hours(Batch batch, Layer layer, Step step) {
    double meant = in(batch).resin().knownPotLifeTemperatureC().value();
    return step.usual * 60 * Math.pow(0.5, (layer.around - meant) / 10);
  }

  // Hands, and when they are there.

  private void hands() {
    int helpers = habits.planning().pairsOfHands();
    for (int who = 0; who < helpers; who++) {
      hands(who, helpers);
    }
    if (helpers == 2) {
      elbows();
    }
  }

  /** Two people at one cup, at one cavity, or at the mixing cup. */
  private void elbows() {
    Map<String, Integer> takenUntil = new HashMap<>();
    for (Task task :
        plan.tasks().stream()
            .sorted(Comparator.comparingInt(Task::startSeconds).thenComparingInt(Task::endSeconds))
            .toList()) {
      List<String> at = new ArrayList<>();
      switch (task.kind()) {
        case SPLIT -> {
          at.add("mixing cup " + task.batch());
          at.add("cup " + task.cupId());
        }
        case STOCK_CUP, TINT ->
            at.add(task.cupId() == null ? "mixing cup " + task.batch() : "cup " + task.cupId());
        case POUR -> {
          at.add("cup " + task.cupId());
          String[] cavity = task.pourId().toString().split("\\.", 3);
          at.add("cavity " + cavity[0] + "." + cavity[1]);
          Cup.Pour pour = pour(task.pourId().toString());
          if (pour != null && oneCup(pour)) {
            at.add("gathered " + pour.line() + "." + pour.layer() + " of " + task.batch());
          }
        }
        default -> {}
      }
      int busy = 0;
      for (String where : at) {
        busy = Math.max(busy, takenUntil.getOrDefault(where, 0));
        takenUntil.merge(where, task.endSeconds(), Math::max);
      }
      if (task.startSeconds() < busy) {
        wrong("CUP_TWICE", place(task.id().text()), busy - task.startSeconds());
      }
    }
  }

  private Cup.Pour pour(String id) {
    return plan.batches().stream()
        .flatMap(b -> b.cups().stream())
        .flatMap(c -> c.pours().stream())
        .filter(p -> p.id().toString().equals(id))
        .findFirst()
        .orElse(null);
  }

  private void hands(int who, int helpers) {
    List<Task> work =
        plan.tasks().stream()
            .filter(t -> t.hands() && t.endSeconds() > t.startSeconds())
            .filter(t -> helpers == 1 || t.pair() == who)
            .sorted(Comparator.comparingInt(Task::startSeconds).thenComparingInt(Task::endSeconds))
            .toList();
    int busy = Integer.MIN_VALUE;
    for (Task task : work) {
      if (task.startSeconds() < busy) {
        wrong("HANDS_TWICE", place(task.id().text()), busy - task.startSeconds());
      }
      busy = Math.max(busy, task.endSeconds());
      Instant from = begin.plusSeconds(task.startSeconds());
      Instant to = begin.plusSeconds(task.endSeconds());
      for (Booking booking : job.bookings()) {
        boolean meets = from.isBefore(booking.to()) && booking.from().isBefore(to);
        if (booking.what() == Booking.Thing.HANDS && who < booking.count() && meets) {
          wrong("HANDS_BOOKED", place(task.id().text()), 1e9);
        }
      }
      away(task, from, to);
    }
  }

  private void away(Task task, Instant from, Instant to) {
    Hours hours = session.arrangement().hours();
    if (hours == null) {
      return;
    }
    ZoneId zone = ZoneId.of(session.zoneId());
    LocalDate day = from.atZone(zone).toLocalDate();
    Integer opens = hours.fromMinutes();
    Integer shuts = hours.toMinutes();
    for (Hours.OfWeek other : hours.weekly() == null ? List.<Hours.OfWeek>of() : hours.weekly()) {
      if (other.day() == day.getDayOfWeek()) {
        opens = other.fromMinutes();
        shuts = other.toMinutes();
      }
    }
    for (Hours.OtherDay other : hours.otherwise()) {
      if (other.date().equals(day)) {
        opens = other.fromMinutes();
        shuts = other.toMinutes();
      }
    }
    if (opens == null
        || from.isBefore(clock(day, opens, zone))
        || to.isAfter(clock(day, shuts, zone))) {
      wrong("MAKER_AWAY", place(task.id().text()), 1e9);
    }
  }

  private static Instant clock(LocalDate day, int minutes, ZoneId zone) {
    return day.atStartOfDay().plusMinutes(minutes).atZone(zone).toInstant();
  }

  // Pots, boxes, lamps, boards, moulds.

  private void sharedThings() {
    for (Task task : plan.tasks()) {
      boolean uses =
          task.kind() == Kind.IN_POT
              || task.kind() == Kind.IN_BOX
              || task.kind() == Kind.UNDER_LAMP;
      if (!uses) {
        continue;
      }
      Tool tool =
          job.tools().stream().filter(t -> t.id().equals(task.toolId())).findFirst().orElse(null);
      if (tool == null) {
        wrong("NO_SUCH_TOOL", place(task.id().text()), 1e9);
        continue;
      }
      if (tool.holds() != null && task.places() > tool.holds()) {
        wrong("TOOL_OVERFULL", place(task.id().text()), 1e9);
      }
      for (Task other : plan.tasks()) {
        boolean first =
            other.startSeconds() < task.startSeconds()
                || (other.startSeconds() == task.startSeconds()
                    && other.id().text().compareTo(task.id().text()) < 0);
        if (tool.id().equals(other.toolId())
            && !other.id().equals(task.id())
            && first
            && other.endSeconds() > task.startSeconds()) {
          wrong("TOOL_TWICE", place(task.id().text()), other.endSeconds() - task.startSeconds());
        }
      }
      for (Booking booking : job.bookings()) {
        boolean meets =
            begin.plusSeconds(task.startSeconds()).isBefore(booking.to())
                && booking.from().isBefore(begin.plusSeconds(task.endSeconds()));
        if (booking.what() == Booking.Thing.TOOL && booking.id().equals(tool.id()) && meets) {
          wrong("TOOL_TWICE", place(task.id().text()), 1e9);
        }
      }
    }
  }

  /** Some pieces of a line in their cavities: line, how many, from, to. */
  private List<int[]> stays() {
    List<int[]> stays = new ArrayList<>();
    int last = plan.tasks().stream().mapToInt(Task::endSeconds).max().orElse(0);
    for (int l = 0; l < job.lines().size(); l++) {
      List<List<Integer>> alike = alike(l);
      for (int which = 0; which < alike.size(); which++) {
        Task out = tasks.get(of(l, which, "DEMOULD"));
        int from = Integer.MAX_VALUE;
        for (Task task : plan.tasks()) {
          if (task.kind() == Kind.POUR) {
            String[] at = task.pourId().toString().split("\\.", 3);
            boolean its =
                at[0].equals("" + (l + 1)) && alike.get(which).contains(Integer.valueOf(at[1]));
            from = its ? Math.min(from, task.startSeconds()) : from;
          }
        }
        if (from < Integer.MAX_VALUE) {
          int to = setting(l) ? Integer.MAX_VALUE : out == null ? last : out.endSeconds();
          stays.add(new int[] {l, alike.get(which).size(), from, to});
        }
      }
    }
    return stays;
  }

  /** Second by second where something changes: who has which cavity. */
  private void cavities() {
    List<int[]> stays = stays();
    for (int l = 0; l < job.lines().size(); l++) {
      Job.Line line = job.lines().get(l);
      Integer copies = line.mould().make() == null ? null : line.mould().make().copies();
      if (copies == null) {
        continue;
      }
      Set<Integer> changes = new java.util.TreeSet<>();
      stays.forEach(s -> changes.add(s[2]));
      for (Booking booking : job.bookings()) {
        changes.add((int) java.time.Duration.between(begin, booking.from()).toSeconds());
      }
      for (int now : changes) {
        int wanted = 0;
        boolean own = false;
        for (int[] stay : stays) {
          Job.Line other = job.lines().get(stay[0]);
          boolean same =
              stay[0] <= l
                  && other.mould().id().equals(line.mould().id())
                  && other.cavity().id().equals(line.cavity().id());
          if (same && stay[2] <= now && now < stay[3]) {
            wanted += stay[1];
            own |= stay[0] == l;
          }
        }
        int booked = 0;
        for (Booking booking : job.bookings()) {
          Instant at = begin.plusSeconds(now);
          boolean taken =
              booking.what() == Booking.Thing.MOULD
                  && booking.id().equals(line.mould().id() + "/" + line.cavity().id())
                  && !at.isBefore(booking.from())
                  && at.isBefore(booking.to());
          booked += taken ? booking.count() : 0;
        }
        int have = copies * line.cavity().count();
        if (own && wanted > have) {
          wrong("MOULD_TWICE", "piece/" + (l + 1), 1e9);
        }
        if (own && booked > 0 && wanted + booked > have) {
          wrong("MOULD_BOOKED", "piece/" + (l + 1), 1e9);
        }
      }
    }
    boards(stays);
    for (int l = 0; l < job.lines().size(); l++) {
      levels(l, job.lines().get(l));
    }
  }

  private void boards(List<int[]> stays) {
    int room = 0;
    for (Tool tool : job.tools()) {
      if (tool.kind() == Tool.Kind.BOARD && tool.holds() == null) {
        return;
      }
      room += tool.kind() == Tool.Kind.BOARD ? tool.holds() : 0;
    }
    if (job.tools().stream().noneMatch(t -> t.kind() == Tool.Kind.BOARD)) {
      return;
    }
    for (int[] now : stays) {
      int standing = 0;
      for (int[] other : stays) {
        standing += other[2] <= now[2] && now[2] < other[3] ? other[1] : 0;
      }
      if (standing > room) {
        wrong("BOARD_FULL", "plan", 1e9);
      }
    }
  }

  private void levels(int l, Job.Line line) {
    for (int cavity = 1; cavity <= line.piece().count(); cavity++) {
      for (int layer = 0; layer < line.poured().size(); layer++) {
        double has = 0;
        for (Batch batch : plan.batches()) {
          for (Cup cup : batch.cups()) {
            for (Cup.Pour pour : cup.pours()) {
              boolean its = pour.line() == l && pour.cavity() == cavity && pour.layer() == layer;
              has += its && tasks.containsKey("pour/" + pour.id()) ? pour.volumeMl() : 0;
            }
          }
        }
        double wants = line.level(layer).volumeMl();
        String place = "pour/" + (l + 1) + "." + cavity + "." + (layer + 1);
        if (has < wants - 1e-4 * wants) {
          wrong("CAVITY_SHORT", place, 1e9);
        } else if (has > wants + 1e-4 * wants) {
          wrong("CAVITY_OVERFULL", place, 1e9);
        }
      }
    }
  }

  // Grams.

  private void masses() {
    for (Batch batch : plan.batches()) {
      double a = batch.measuring().partA().massG();
      double b = batch.measuring().partB().massG();
      String place = "batch/" + batch.number();
      ResinSystem resin = in(batch).resin();
      boolean whole = !batch.mixing().tintedWhole().isEmpty();
      double went = batch.mixing().staysG();
      double came =
          a + b + batch.mixing().tintedWhole().stream().mapToDouble(Cup.Dose::massG).sum();
      for (Cup cup : batch.cups()) {
        double doses = cup.tint().doses().stream().mapToDouble(Cup.Dose::massG).sum();
        went += cup.amounts().resinG() + (whole ? doses : 0);
        double poured = cup.pours().stream().mapToDouble(Cup.Pour::massG).sum();
        double off =
            Math.max(
                Math.abs(cup.amounts().resinG() + doses - cup.amounts().contentG()),
                Math.abs(cup.amounts().contentG() - poured - cup.amounts().staysG()));
        if (off > 6e-4 || cup.amounts().staysG() < -6e-4) {
          wrong("MASS_BALANCE", "cup/" + cup.id(), 1e9);
        }
        tooMuchIn(batch, cup);
      }
      if (Math.abs(came - went) > 6e-4) {
        wrong("MASS_BALANCE", place, 1e9);
      }
      // As many grams of A to one of B as the label's ratio means, with the maker's extra A.
      double ratio =
          resin.massShareA()
              * (1 + habits.mixing().extraAPercent() / 100)
              / (1 - resin.massShareA());
      if (Math.abs(a / b / ratio - 1) * 100 > habits.ratioTolerancePercent() + 0.05) {
        wrong("RATIO_OFF", place, 1e9);
      }
      if (resin.largestBatchG() != null && a + b > resin.largestBatchG() + 1e-6) {
        wrong("BATCH_TOO_LARGE", place, 1e9);
      }
      double ml = a / resin.knownDensityA().value() + b / resin.knownDensityB().value();
      if (ml > batch.mixing().cup().capacityMl() + 1e-6) {
        wrong("CUP_TOO_SMALL", place, 1e9);
      }
    }
  }

  private void tooMuchIn(Batch batch, Cup cup) {
    Map<String, Colourant> colourants = new HashMap<>();
    job.used().colourants().forEach(c -> colourants.put(c.id(), c));
    double bulk = 0;
    double liquid = 0;
    double doses = 0;
    for (Cup.Dose dose : cup.tint().doses()) {
      Colourant colourant = colourants.get(dose.colourantId());
      bulk += dose.massG() / colourant.knownBulkDensity().value();
      liquid += colourant.form().liquid() ? dose.massG() : 0;
      doses += dose.massG();
    }
    for (var part : in(batch).tints().get(cup.colour().id()).shares()) {
      String id = part.colourant().id();
      boolean in =
          cup.tint().doses().stream().anyMatch(d -> d.colourantId().equals(id) && d.massG() > 0);
      if (!in && part.gPerGResin() > 0 && batch.mixing().tintedWhole().isEmpty()) {
        wrong("DOSE_TOO_SMALL", "cup/" + cup.id(), 1e9);
      }
    }
    double resinMl = cup.amounts().resinG() / in(batch).resin().mixedDensity();
    if (bulk / (resinMl + bulk) > 0.10 + 1e-7
        || liquid / (cup.amounts().resinG() + doses) > 0.06 + 1e-7) {
      wrong("LOADING_OVER_LIMIT", "cup/" + cup.id(), 1e9);
    }
    double ml = cup.amounts().contentG() / in(batch).tints().get(cup.colour().id()).mixDensity();
    if (ml > cup.kind().capacityMl() + 1e-6) {
      wrong("CUP_TOO_SMALL", "cup/" + cup.id(), 1e9);
    }
  }

  private void stock() {
    Map<String, Double> takes = new TreeMap<>();
    for (Batch batch : plan.batches()) {
      ResinSystem resin = in(batch).resin();
      if (resin.partAId() != null) {
        takes.merge("part/" + resin.partAId(), batch.measuring().partA().massG(), Double::sum);
      }
      if (resin.partBId() != null) {
        takes.merge("part/" + resin.partBId(), batch.measuring().partB().massG(), Double::sum);
      }
    }
    job.used()
        .parts()
        .forEach(part -> {
          double left = part.lots().stream().mapToDouble(lot -> lot.leftG()).sum();
          double wants = takes.getOrDefault("part/" + part.id(), 0.0);
          if (!part.lots().isEmpty() && wants > left + 2e-3) {
            wrong("STOCK_SHORT", "part/" + part.id(), 1e9);
          }
        });
    Map<String, Integer> pieces = new TreeMap<>();
    for (Job.Line line : job.lines()) {
      for (Job.Level level : line.levels()) {
        level
            .embeds()
            .forEach(e ->
                pieces.merge(
                    e.embed().id(), e.placed().count() * line.piece().count(), Integer::sum));
      }
    }
    for (Embed embed : job.used().embeds()) {
      if (embed.left() != null && pieces.getOrDefault(embed.id(), 0) > embed.left()) {
        wrong("STOCK_SHORT", "embed/" + embed.id(), 1e9);
      }
    }
  }

  /** Of the session's own resin no more than was said, by weight, by volume or part by part. */
  private void whatThereIs() {
    var said = session.available();
    if (said == null) {
      return;
    }
    double a = 0;
    double b = 0;
    double ml = 0;
    for (Batch batch : plan.batches()) {
      if (batch.resinId().equals(session.resinId())) {
        a += batch.measuring().partA().massG();
        b += batch.measuring().partB().massG();
        ml += batch.measuring().partA().volumeMl() + batch.measuring().partB().volumeMl();
      }
    }
    boolean tooLittle =
        (said.totalG() != null && a + b > said.totalG() + 2e-3)
            || (said.totalMl() != null && ml > said.totalMl() + 2e-3)
            || (said.partAG() != null && a > said.partAG() + 2e-3)
            || (said.partBG() != null && b > said.partBG() + 2e-3);
    if (tooLittle) {
      wrong("TOO_LITTLE_RESIN", "resin", 1e9);
    }
  }

  /** Alcohol wiped on or stirred in, and later a flame or hot air on the same bench. */
  private void flames() {
    Care.BubbleMethod method = habits.care().bubbles();
    boolean burns = method == Care.BubbleMethod.FLAME || method == Care.BubbleMethod.HOT_AIR;
    boolean hotA = habits.mixing().warming() == Mixing.Warming.A_HOT_AIR;
    boolean hotMix = BURNS.contains(habits.mixing().release());
    int out = Integer.MAX_VALUE;
    for (Batch batch : plan.batches()) {
      for (Cup cup : batch.cups()) {
        if (in(batch).tints().get(cup.colour().id()).solventPercent() > 0) {
          for (String id :
              List.of(
                  "cup/" + cup.id() + "/TINT",
                  "cup/" + cup.id() + "/STOCK_CUP",
                  b(batch, Kind.TINT))) {
            if (tasks.containsKey(id)) {
              out = Math.min(out, tasks.get(id).startSeconds());
            }
          }
        }
      }
    }
    if (tasks.containsKey("session/WIPE_MOULDS")) {
      out = Math.min(out, tasks.get("session/WIPE_MOULDS").startSeconds());
    }
    for (Task task : plan.tasks()) {
      if (wet(task, WetWork.Kind.INK_DROPPED)) {
        out = Math.min(out, task.startSeconds());
      }
    }
    for (Task task : plan.tasks()) {
      boolean passes = task.kind() == Kind.BUBBLE_PASS || task.kind() == Kind.LOOK;
      boolean before =
          (hotA && task.kind() == Kind.WARM) || (hotMix && task.kind() == Kind.RELEASE);
      boolean flame = (burns && passes) || before || wet(task, WetWork.Kind.LACED);
      if (flame && task.endSeconds() > out) {
        wrong("FLAME_NEAR_ALCOHOL", place(task.id().text()), 1e9);
      }
    }
  }
}
