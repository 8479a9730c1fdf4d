package calmpour.app;

import static org.assertj.core.api.Assertions.assertThat;

import calmpour.app.store.DemoData;
import calmpour.core.audit.Audit;
import calmpour.core.check.InvalidValuesException;
import calmpour.core.cup.OwnStays;
import calmpour.core.cure.CureModel;
import calmpour.core.cure.EngineModel;
import calmpour.core.cure.HalvingRule;
import calmpour.core.mould.Cavity;
import calmpour.core.mould.Mould;
import calmpour.core.mould.MouldMake;
import calmpour.core.mould.OwnFill;
import calmpour.core.plan.Planner;
import calmpour.core.plan.WorkedPlan;
import calmpour.core.plan.doc.Task;
import calmpour.core.resin.OwnPace;
import calmpour.core.run.Run;
import calmpour.core.run.RunEvent;
import calmpour.core.run.RunReader;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import calmpour.core.tint.OwnCount;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Nothing is filled in for nothing: every field of what a workshop keeps and of a session changes
 * plan, findings, step cards, bench or record of at least one evening. It plans some 1,500
 * evenings, some minutes: not in every test run.
 */
@Tag("long")
class EveryFieldTest {
  /** Ways tried of a field until it counts as silent: by the rule of thumb, then by the engine. */
  private static final int MOST_QUICK = 200;

  private static final int MOST_BY_ENGINE = 60;

  private final RunningApp demo = RunningApp.sharedDemo();
  private final JsonMapper json = demo.bean(JsonMapper.class);

  /** An evening's documents. */
  record Papers(Session session, Workshop workshop) {}

  /** Said by screens and papers of their own, or for nobody but the maker. */
  private static final Set<String> SHOWN_ELSEWHERE =
      Set.of(
          "session.name",
          "session.zoneId",
          "session.pieces[].work.finishing[].kind",
          "workshop.moulds[].cavities[].name",
          "workshop.moulds[].cavities[].own.evenings",
          "workshop.moulds[].cavities[].own.since",
          "workshop.moulds[].make.notes",
          "workshop.moulds[].make.benchLengthMm",
          "workshop.moulds[].make.benchWidthMm",
          "workshop.colourants[].shelf.curedSwatch",
          "workshop.colourants[].shelf.own.evenings",
          "workshop.colourants[].shelf.own.sd",
          "workshop.colourants[].shelf.own.since",
          "workshop.colourants[].shelf.swatches.white",
          "workshop.parts[].lots[].boughtG",
          "workshop.parts[].lots[].price",
          "workshop.parts[].side",
          "workshop.resins[].own.fluid.evenings",
          "workshop.resins[].own.fluid.since",
          "workshop.resins[].own.hard.evenings",
          "workshop.resins[].own.hard.since",
          "workshop.tools[].name");

  /** Of use where a measurement, a label or a school is another one than in these evenings. */
  private static final Set<String> ELSEWHERE =
      Set.of(
          "session.habits.gelWaitMinutes",
          "session.habits.stirMinutes",
          "session.habits.splitting.when",
          "session.habits.tinting.dropsPer10Ml",
          "session.habits.tinting.waterPaint",
          "session.pieces[].layers[].meeting",
          "workshop.colourants[].shelf.grainMm",
          "workshop.embeds[].face",
          "workshop.moulds[].cavities[].count",
          "workshop.moulds[].cavities[].measure.divisionMl",
          "workshop.moulds[].cavities[].measure.identical",
          "workshop.moulds[].cavities[].measure.parts[].sides",
          "workshop.moulds[].cavities[].measure.parts[].tubeMm",
          "workshop.moulds[].cavities[].measure.readMl",
          "workshop.moulds[].cavities[].measure.toldMl",
          "workshop.parts[].density",
          "workshop.resins[].loadingBasis");

  @Test
  void everyFieldChangesSomethingThatAMakerSees() {
    Set<String> silent = silent(f -> !listed(f));
    assertThat(silent).isEmpty();
  }

  /** A list that is longer than it has to be hides what the next field does not do. */
  @Test
  void whatIsListedIsStillSilent() {
    Set<String> listed = new TreeSet<>(SHOWN_ELSEWHERE);
    listed.addAll(ELSEWHERE);
    assertThat(silent(EveryFieldTest::listed)).isEqualTo(listed);
  }

  private static boolean listed(String field) {
    return SHOWN_ELSEWHERE.contains(field) || ELSEWHERE.contains(field);
  }

  private Set<String> silent(Predicate<String> which) {
    List<Papers> evenings = evenings();
    Map<String, List<Try>> tries = new LinkedHashMap<>();
    for (Papers papers : evenings) {
      EveryField.of(papers)
          .forEach((field, ways) ->
              ways.forEach(way ->
                  tries
                      .computeIfAbsent(field.substring("Papers.".length()), f -> new ArrayList<>())
                      .add(new Try(papers, way))));
    }
    tries.replaceAll((field, ways) -> inTurn(ways));
    assertThat(tries).hasSizeGreaterThan(200);
    CureModel quick = new HalvingRule();
    CureModel engine = new EngineModel();
    Map<Papers, List<String>> byRule = new LinkedHashMap<>();
    Map<Papers, List<String>> byEngine = new LinkedHashMap<>();
    Set<String> silent = new TreeSet<>();
    tries.forEach((field, ways) -> {
      if (which.test(field)
          && !changes(ways, byRule, quick, MOST_QUICK)
          && !changes(ways, byEngine, engine, MOST_BY_ENGINE)) {
        silent.add(field);
      }
    });
    return silent;
  }

  /** The demo's, and five in which what these leave out is used. */
  private List<Papers> evenings() {
    Workshop workshop = demo.bean(DemoData.class).workshop();
    List<Papers> evenings = new ArrayList<>();
    for (String name :
        List.of("fern-bell-pushes", "pantry-knobs", "garden-row-labels", "late-switch-toggles")) {
      evenings.add(papers(document(name), workshop));
    }
    ObjectNode thick = document("fern-bell-pushes");
    merge(
        thick,
        """
        {"habits": {
          "mixing": {"cups": "TWO", "warming": "BOTH", "warmMinutes": 6, "warmedToC": 29},
          "splitting": {"when": "AFTER_TINTING"},
          "tinting": {"liquids": "DROPS", "waterPaint": "FORBID"},
          "planning": {"surePercent": 99},
          "care": {"bubbles": "LAMP", "moulds": "ALCOHOL_WIPE", "leaving": "AFTER_DAYS"}}}
        """);
    ((ObjectNode) thick.at("/pieces/0/layers/1")).put("join", "THICK");
    ((ObjectNode) thick.at("/pieces/0/layers/0/embeds/0"))
        .set("prepare", json.readTree("[\"GLUE\", \"DRY_FIT\"]"));
    ((ObjectNode) thick.at("/pieces/1/work"))
        .put("curing", "PRESSURE_POT")
        .set(
            "surface",
            json.readTree("[{\"kind\": \"DETAIL_PAINT\", \"minutes\": 3, \"dryingMinutes\": 30}]"));
    evenings.add(papers(thick, workshop));
    ObjectNode cured = document("garden-row-labels");
    merge(
        cured,
        """
        {"habits": {"care": {"bubbles": "FLAME", "moulds": "RELEASE_SPRAY"}, "measureBy": "VOLUME"}}
        """);
    ObjectNode layer = (ObjectNode) cured.at("/pieces/0/layers/0");
    layer.set("fill", json.readTree("{\"massG\": 3.5}"));
    ((ObjectNode) cured.at("/pieces/0/layers/1")).put("join", "CURED");
    ((ObjectNode) cured.at("/pieces/1"))
        .set(
            "work",
            json.readTree(
                """
                {"surface": [], "finishing": [], "bubbles": "USUAL", "curing": "HOT_BOX",
                 "fill": {"kind": "DOMED", "mm": 1.5}}
                """));
    ((ObjectNode) cured.get("room"))
        .set("later", json.readTree("[{\"fromMinutes\": 1320, \"temperatureC\": 14}]"));
    evenings.add(papers(cured, workshop));
    evenings.add(
        papers(
            cured,
            made(
                workshop,
                cured.at("/pieces/0/mouldId").asString(),
                m -> m.withOpening(MouldMake.Opening.CLOSED).withSurplusMl(0.3))));
    evenings.add(papers(document("pantry-knobs"), learned(workshop)));
    ObjectNode knobs = document("pantry-knobs");
    evenings.add(
        papers(
            knobs,
            made(
                workshop,
                knobs.at("/pieces/0/mouldId").asString(),
                m -> m.withOpening(MouldMake.Opening.FLAT).withEdgeMm(4.0).withDripPercent(12.0))));
    return evenings;
  }

  /** The same workshop, one of its moulds made in another way. */
  private static Workshop made(
      Workshop workshop, String mouldId, UnaryOperator<MouldMake> otherwise) {
    return workshop.withMoulds(
        workshop.moulds().stream()
            .map(m ->
                m.id().equals(mouldId) && m.make() != null
                    ? new Mould(
                        m.id(), m.name(), m.cavities(), otherwise.apply(m.make()), m.state())
                    : m)
            .toList());
  }

  /** The same workshop, planned with what its own evenings taught. */
  private static Workshop learned(Workshop workshop) {
    LocalDate day = LocalDate.of(2026, 11, 1);
    OwnPace.Pace pace = new OwnPace.Pace(1.1, 0.05, 5, day);
    return workshop
        .withResins(
            workshop.resins().stream()
                .map(r -> r.withOwn(new OwnPace(pace, pace, List.of())))
                .toList())
        .withMoulds(
            workshop.moulds().stream()
                .map(m -> {
                  Mould now = m;
                  for (Cavity cavity : m.cavities()) {
                    OwnFill own = new OwnFill(1.05, 0.03, 5, day, cavity.bare().volumeMl());
                    now = now.with(cavity.taking(own));
                  }
                  return now;
                })
                .toList())
        .withCups(
            workshop.cups().stream()
                .map(c -> c.withOwn(new OwnStays(1.2, 0.05, 5, day, c.staysG())))
                .toList())
        .withColourants(
            workshop.colourants().stream()
                .map(c -> c.withCount(new OwnCount(1.2, 0.05, 5, day, c.toldG())))
                .toList());
  }

  private static ObjectNode document(String name) {
    return RunningApp.demoDocument("sessions/" + name).deepCopy();
  }

  private Papers papers(ObjectNode document, Workshop workshop) {
    Session session = json.treeToValue(document, Session.class);
    return new Papers(session, Planner.snapshot(session, workshop));
  }

  /** Field by field, as deep as both have an object there. */
  private void merge(ObjectNode into, String more) {
    merge(into, (ObjectNode) json.readTree(more));
  }

  private static void merge(ObjectNode into, ObjectNode more) {
    more.properties()
        .forEach(p -> {
          if (p.getValue() instanceof ObjectNode deeper
              && into.get(p.getKey()) instanceof ObjectNode own) {
            merge(own, deeper);
          } else {
            into.set(p.getKey(), p.getValue());
          }
        });
  }

  /** One way of each evening after the other, so that each is tried before there are too many. */
  private static List<Try> inTurn(List<Try> ways) {
    IdentityHashMap<Papers, Integer> turns = new IdentityHashMap<>();
    Map<Integer, List<Try>> byTurn = new TreeMap<>();
    for (Try way : ways) {
      int turn = turns.merge(way.papers(), 1, Integer::sum);
      byTurn.computeIfAbsent(turn, t -> new ArrayList<>()).add(way);
    }
    return byTurn.values().stream().flatMap(List::stream).toList();
  }

  private record Try(Papers papers, UnaryOperator<Papers> way) {}

  private boolean changes(
      List<Try> ways, Map<Papers, List<String>> before, CureModel cure, int most) {
    int tried = 0;
    for (Try each : ways) {
      Papers other;
      try {
        other = each.way().apply(each.papers());
      } catch (IllegalArgumentException refused) {
        continue;
      }
      if (tried++ >= most) {
        return false;
      }
      List<String> was =
          before.computeIfAbsent(
              each.papers(), p -> List.of(planSeen(p, cure), eveningSeen(p, cure)));
      // The evening is worked out only where its plan says the same.
      if (!planSeen(other, cure).equals(was.get(0))
          || !eveningSeen(other, cure).equals(was.get(1))) {
        return true;
      }
    }
    return false;
  }

  /** All that is shown of a plan, without the papers themselves. */
  private String planSeen(Papers papers, CureModel cure) {
    try {
      WorkedPlan worked = worked(papers, cure);
      StringBuilder all = new StringBuilder(json.writeValueAsString(worked.plan()));
      all.append(json.writeValueAsString(worked.stepCards()));
      for (int batch = 1; batch <= worked.plan().batches().size(); batch++) {
        all.append(json.writeValueAsString(worked.card(batch).orElseThrow()));
      }
      return all.toString();
    } catch (InvalidValuesException refused) {
      return "refused " + refused.problems();
    }
  }

  /** All that is shown at the bench and in the record when half of it is done. */
  private String eveningSeen(Papers papers, CureModel cure) {
    try {
      WorkedPlan worked = worked(papers, cure);
      Instant begun = Instant.parse("2026-12-01T18:00:00Z");
      Run run =
          new Run(
              papers.session(),
              Planner.snapshot(papers.session(), papers.workshop()),
              worked.plan(),
              begun);
      List<RunEvent> events =
          worked.plan().tasks().stream()
              .filter(Task::hands)
              .limit(worked.plan().tasks().size() / 2)
              .map(t ->
                  RunEvent.of(
                      t.id().text(),
                      begun.plusSeconds(t.endSeconds()),
                      RunEvent.Kind.DONE,
                      t.id().text()))
              .toList();
      RunReader runs = new RunReader(cure);
      Instant now = begun.plusSeconds(7_200);
      return json.writeValueAsString(runs.state(run, events, now))
          + json.writeValueAsString(runs.lookBack(run, events, now));
    } catch (InvalidValuesException refused) {
      return "refused " + refused.problems();
    }
  }

  private static WorkedPlan worked(Papers papers, CureModel cure) {
    return new Planner(cure, new Audit()).work(papers.session(), papers.workshop());
  }
}
