package calmpour.app.store;

import static calmpour.app.store.generated.Tables.SEEDING;

import calmpour.app.format.mesh.MeshFiles;
import calmpour.core.check.InvalidValuesException;
import calmpour.core.design.Design;
import calmpour.core.mould.MeshShape;
import calmpour.core.mould.mesh.MeshMend;
import calmpour.core.mould.mesh.MeshSlicer;
import calmpour.core.mould.mesh.TriangleMesh;
import calmpour.core.plan.Planner;
import calmpour.core.plan.WorkedPlan;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import java.io.IOException;
import java.io.InputStream;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import org.jooq.DSLContext;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Fills a new demo workshop once; what the visitor changes or removes afterwards stays so. */
@Component
public class DemoData implements ApplicationRunner {
  private static final List<String> SESSIONS =
      List.of("fern-bell-pushes", "late-switch-toggles", "garden-row-labels", "pantry-knobs");

  /** Those of them that were poured before, too. */
  private static final List<String> TOLD_OF =
      List.of("fern-bell-pushes", "garden-row-labels", "pantry-knobs");

  /** Models of two moulds, made for the demo. */
  private static final List<String> MODELS = List.of("fluted-knob.stl", "bowed-pull.3mf");

  /** A session of the past two weeks. */
  record Past(int daysAgo, Session session) {}

  private static final SessionStore.Kept NO_PLAN_YET = new SessionStore.Kept(null, null);

  private final boolean wanted;
  private final boolean toldOf;
  private final DemoHistory history;
  private final DemoSwatches swatches;
  private final DSLContext db;
  private final ShelfStore shelf;
  private final SessionStore sessions;
  private final MeshStore meshes;
  private final JsonMapper json;
  private final Planner planner;
  private final Clock clock;

  DemoData(
      @Value("${calmpour.demo}") boolean wanted,
      @Value("${calmpour.history:true}") boolean toldOf,
      DemoHistory history,
      DemoSwatches swatches,
      DSLContext db,
      ShelfStore shelf,
      SessionStore sessions,
      MeshStore meshes,
      JsonMapper json,
      Planner planner,
      Clock clock) {
    this.wanted = wanted;
    this.toldOf = toldOf;
    this.history = history;
    this.swatches = swatches;
    this.db = db;
    this.shelf = shelf;
    this.sessions = sessions;
    this.meshes = meshes;
    this.json = json;
    this.planner = planner;
    this.clock = clock;
  }

  @Override
  public void run(ApplicationArguments args) {
    if (!wanted) {
      return;
    }
    if (!db.fetchExists(SEEDING, SEEDING.WHAT.eq("demo"))) {
      seed();
    }
    if (!db.fetchExists(SEEDING, SEEDING.WHAT.eq("demo plans"))) {
      planBehindTheStart();
    } else {
      tellBehindTheStart();
    }
  }

  /** A plan takes longer than everything else here; the page comes up meanwhile. */
  private void planBehindTheStart() {
    CompletableFuture<Void> done = new CompletableFuture<>();
    sessions.after(done);
    Thread.ofPlatform()
        .daemon()
        .name("demo plans")
        .start(() -> {
          try {
            Workshop workshop = shelf.workshop();
            sessions.unplanned().forEach(id -> sessions.read(id).ifPresent(s -> plan(s, workshop)));
            seeded("demo plans");
          } finally {
            done.complete(null);
          }
          tellBehindTheStart();
        });
  }

  /** What was poured in the last half year; nobody waits for it. */
  private void tellBehindTheStart() {
    if (!toldOf || db.fetchExists(SEEDING, SEEDING.WHAT.eq("demo history"))) {
      return;
    }
    Thread.ofPlatform()
        .daemon()
        .name("demo history")
        .start(() -> {
          List<Session> templates =
              new ArrayList<>(
                  Arrays.stream(read("past", Past[].class)).map(Past::session).toList());
          TOLD_OF.forEach(s -> templates.add(read("sessions/" + s, Session.class)));
          // What is open first: it is what Today shows.
          history.tellOpen(templates, shelf.workshop());
          swatches.make(shelf.workshop());
          history.tell(templates, shelf.workshop());
          seeded("demo history");
        });
  }

  private void plan(SavedSession saved, Workshop workshop) {
    try {
      WorkedPlan worked = planner.work(saved.session(), workshop);
      sessions.plan(
          saved.id(), saved.session(), new SessionStore.Kept(worked.job().used(), worked.plan()));
    } catch (InvalidValuesException cannotBePlanned) {
      // Stays without a plan, as it would when somebody kept it.
    }
  }

  private void seeded(String what) {
    db.insertInto(SEEDING)
        .set(SEEDING.WHAT, what)
        .set(SEEDING.DONE_AT, OffsetDateTime.now(clock))
        .execute();
  }

  private void seed() {
    db.transaction(transaction -> {
      Workshop workshop = workshop();
      workshop.moulds().forEach(m -> shelf.put(ShelfKind.MOULD, m));
      workshop.resins().forEach(r -> shelf.put(ShelfKind.RESIN, r));
      workshop.colourants().forEach(c -> shelf.put(ShelfKind.COLOURANT, c));
      workshop.colours().forEach(c -> shelf.put(ShelfKind.COLOUR, c));
      workshop.cups().forEach(c -> shelf.put(ShelfKind.CUP, c));
      workshop.parts().forEach(p -> shelf.put(ShelfKind.PART, p));
      workshop.embeds().forEach(e -> shelf.put(ShelfKind.EMBED, e));
      workshop.tools().forEach(t -> shelf.put(ShelfKind.TOOL, t));
      for (Design design : read("designs", Design[].class)) {
        shelf.put(ShelfKind.DESIGN, design);
      }
      for (String model : MODELS) {
        meshes.keep(modelId(model), model, bytes("models/" + model));
      }
      for (Past past : read("past", Past[].class)) {
        sessions.create(past.session().withStartsAt(ago(past)), NO_PLAN_YET);
      }
      for (int s = 0; s < SESSIONS.size(); s++) {
        Session session = read("sessions/" + SESSIONS.get(s), Session.class);
        // One pair of hands: a session a day, the last one named on the next Saturday.
        sessions.create(nextSaturday(session, SESSIONS.size() - 1 - s), NO_PLAN_YET);
      }
      seeded("demo");
    });
  }

  private LocalDateTime ago(Past past) {
    LocalDate today = LocalDate.now(clock.withZone(ZoneId.of(past.session().zoneId())));
    return LocalDateTime.of(
        today.minusDays(past.daysAgo()), past.session().startsAt().toLocalTime());
  }

  private static String modelId(String fileName) {
    return "demo-" + fileName.substring(0, fileName.indexOf('.'));
  }

  /** The demo's materials as they ship; moulds from a model are sliced from the shipped file. */
  public Workshop workshop() {
    JsonNode document = json.readTree(bytes("workshop.json"));
    for (JsonNode mould : document.get("moulds")) {
      for (JsonNode cavity : mould.get("cavities")) {
        if (cavity.at("/measure/mesh") instanceof ObjectNode mesh) {
          slice(mesh);
        }
      }
    }
    return json.treeToValue(document, Workshop.class);
  }

  private void slice(ObjectNode mesh) {
    String fileName = mesh.get("fileName").asString();
    TriangleMesh model =
        MeshMend.mend(MeshFiles.read(fileName, bytes("models/" + fileName)).mesh()).mesh();
    double mm = MeshShape.MeshUnit.valueOf(mesh.get("unit").asString()).mm();
    mesh.put("triangles", model.triangles());
    mesh.put("mended", false);
    mesh.set(
        "levels",
        json.valueToTree(
            MeshSlicer.slice(
                model,
                mesh.get("turnXDegrees").asDouble(),
                mesh.get("turnYDegrees").asDouble(),
                mm)));
  }

  /** A demo session always lies ahead, at the hour it was written for. */
  private Session nextSaturday(Session session, int daysLater) {
    LocalDate today = LocalDate.now(clock.withZone(ZoneId.of(session.zoneId())));
    LocalDate saturday = today.with(TemporalAdjusters.next(DayOfWeek.SATURDAY)).plusDays(daysLater);
    return session.withStartsAt(LocalDateTime.of(saturday, session.startsAt().toLocalTime()));
  }

  private <T> T read(String name, Class<T> type) {
    return json.readValue(bytes(name + ".json"), type);
  }

  private static byte[] bytes(String name) {
    try (InputStream in = DemoData.class.getResourceAsStream("/demo/" + name)) {
      return in.readAllBytes();
    } catch (IOException unreadable) {
      throw new IllegalStateException("bug: demo data " + name + " cannot be read", unreadable);
    }
  }
}
