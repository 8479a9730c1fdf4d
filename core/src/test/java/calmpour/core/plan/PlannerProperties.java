package calmpour.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import calmpour.core.derive.Derivation;
import calmpour.core.mould.Mould;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.doc.Task;
import calmpour.core.session.Arrangement;
import calmpour.core.session.Piece;
import calmpour.core.session.Resolution;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import calmpour.core.tint.Colourant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import net.jqwik.api.Assume;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Tag;
import net.jqwik.api.domains.Domain;

/** What has to hold for every session. */
@Tag("slow")
@Domain(RandomSessions.class)
class PlannerProperties {
  private final Planner planner = Samples.planner();

  private Plan plan(RandomSessions.Case given) {
    return plan(given.session(), given.workshop());
  }

  private Plan plan(Session session, Workshop workshop) {
    // What has to hold does so however long is searched.
    return planner.plan(session, workshop, tried -> tried < 6);
  }

  private static long mg(double grams) {
    assertThat(grams * 1_000).isCloseTo(Math.rint(grams * 1_000), within(1e-5));
    return Math.round(grams * 1_000);
  }

  @Property(tries = 110, seed = "20261123")
  void whatIsMixedIsPouredOrStays(@ForAll RandomSessions.Case given) {
    Plan plan = plan(given);
    long mixedInAll = 0;
    for (Batch batch : plan.batches()) {
      long mixed = mg(batch.measuring().partA().massG()) + mg(batch.measuring().partB().massG());
      mixedInAll += mixed;
      long tinted = batch.mixing().tintedWhole().stream().mapToLong(d -> mg(d.massG())).sum();
      long inCups =
          batch.cups().stream()
              .flatMap(c -> c.tint().doses().stream())
              .mapToLong(d -> mg(d.massG()))
              .sum();
      // Tinted whole, a part of the colour stays in the mixing cup with the resin.
      long out = mg(batch.mixing().staysG()) - (tinted == 0 ? 0 : tinted - inCups);
      for (Cup cup : batch.cups()) {
        long doses = cup.tint().doses().stream().mapToLong(d -> mg(d.massG())).sum();
        long pours = cup.pours().stream().mapToLong(p -> mg(p.massG())).sum();
        assertThat(mg(cup.amounts().resinG()) + doses).isEqualTo(mg(cup.amounts().contentG()));
        assertThat(pours + mg(cup.amounts().staysG())).isEqualTo(mg(cup.amounts().contentG()));
        assertThat(cup.amounts().staysG()).isNotNegative();
        out += mg(cup.amounts().resinG());
      }
      assertThat(out).isEqualTo(mixed);
      assertThat(batch.mixing().staysG()).isNotNegative();
      assertThat(mixed).isGreaterThanOrEqualTo(mg(batch.measuring().needG()));
    }
    Plan.Totals totals = plan.totals();
    assertThat(mg(totals.resinG())).isEqualTo(mixedInAll);
    assertThat(mg(totals.resinG()) + mg(totals.colourantsG()))
        .isEqualTo(mg(totals.pouredG()) + mg(totals.staysG()));
  }

  @Property(tries = 110, seed = "20261123")
  void noCupIsLoadedBeyondACap(@ForAll RandomSessions.Case given) {
    Map<String, Colourant> colourants = new HashMap<>();
    given.workshop().colourants().forEach(c -> colourants.put(c.id(), c));
    double resinDensity = given.workshop().resins().get(0).mixedDensity();
    for (Batch batch : plan(given).batches()) {
      for (Cup cup : batch.cups()) {
        double liquidG = 0;
        double bulkMl = 0;
        for (Cup.Dose dose : cup.tint().doses()) {
          Colourant colourant = colourants.get(dose.colourantId());
          liquidG += colourant.form().liquid() ? dose.massG() : 0;
          bulkMl += dose.massG() / colourant.knownBulkDensity().value();
        }
        double mixMl = cup.amounts().resinG() / resinDensity + bulkMl;
        assertThat(bulkMl / mixMl).isLessThanOrEqualTo(0.10 + 1e-12);
        assertThat(liquidG / cup.amounts().contentG()).isLessThanOrEqualTo(0.06 + 1e-12);
      }
    }
  }

  @Property(tries = 110, seed = "20261123")
  void onePairOfHandsDoesOneThingAtATime(@ForAll RandomSessions.Case given) {
    int free = 0;
    for (Task task : plan(given).tasks()) {
      assertThat(task.endSeconds()).isGreaterThanOrEqualTo(task.startSeconds());
      if (task.hands()) {
        assertThat(task.startSeconds()).isGreaterThanOrEqualTo(free);
        free = task.endSeconds();
      }
    }
  }

  @Property(tries = 110, seed = "20261123")
  void everyLayerIsPouredInFullAndFromBelow(@ForAll RandomSessions.Case given) {
    Plan plan = plan(given);
    Map<String, Double> poured = new HashMap<>();
    Map<String, int[]> when = new HashMap<>();
    for (Batch batch : plan.batches()) {
      for (Cup cup : batch.cups()) {
        for (Cup.Pour pour : cup.pours()) {
          String at = pour.line() + "." + pour.cavity() + "." + pour.layer();
          poured.merge(at, pour.volumeMl(), Double::sum);
          int[] span = when.computeIfAbsent(at, k -> new int[] {Integer.MAX_VALUE, 0});
          span[0] = Math.min(span[0], pour.startSeconds());
          span[1] = Math.max(span[1], pour.endSeconds());
          assertThat(pour.startSeconds()).isGreaterThanOrEqualTo(cup.times().filledSeconds());
        }
      }
    }
    for (int line = 0; line < plan.pieces().size(); line++) {
      Plan.PieceView piece = plan.pieces().get(line);
      for (int cavity = 1; cavity <= piece.count(); cavity++) {
        for (int layer = 0; layer < piece.layers().size(); layer++) {
          String at = line + "." + cavity + "." + layer;
          double wanted = piece.layers().get(layer).volumeMl();
          assertThat(poured.get(at)).as(at).isCloseTo(wanted, within(wanted * 1e-9));
          if (layer > 0) {
            int[] below = when.get(line + "." + cavity + "." + (layer - 1));
            assertThat(when.get(at)[0]).isGreaterThanOrEqualTo(below[1]);
          }
        }
      }
    }
  }

  @Property(tries = 110, seed = "20261123")
  void noBatchPassesTheLabelAndNoCupItsRoom(@ForAll RandomSessions.Case given) {
    Double most = given.workshop().resins().get(0).largestBatchG();
    double heat = given.session().habits().splitting().cupAtMostMl();
    Plan plan = plan(given);
    for (Batch batch : plan.batches()) {
      boolean byHand = batch.cups().stream().anyMatch(c -> c.byHand() != null);
      if (byHand) {
        // What was put together by hand stays together; that it is too much has to be told.
        boolean tooMuch = most != null && batch.measuring().totalG() > most;
        assertThat(plan.findings().stream().anyMatch(f -> rule(f, batch))).isEqualTo(tooMuch);
        continue;
      }
      if (most != null) {
        assertThat(batch.measuring().totalG()).isLessThanOrEqualTo(most + 1e-9);
      }
      for (Cup cup : batch.cups()) {
        // Headroom is for stirring; what rounding A and B up adds may use a little of it.
        assertThat(cup.amounts().contentMl())
            .isLessThanOrEqualTo(cup.kind().capacityMl() * 0.8 + 3);
        // Marks that are far apart make a lone cup larger, to keep the ratio; then it is told.
        boolean told =
            plan.findings().stream()
                .anyMatch(f ->
                    f.rule() == Finding.Rule.CUP_HEATS
                        && f.place().toString().equals("cup/" + cup.id()));
        assertThat(told || cup.amounts().contentMl() <= heat * 1.03 + 1e-9).isTrue();
        assertThat(!batch.split() || cup.amounts().contentMl() <= heat + 1e-6).isTrue();
      }
    }
  }

  private static boolean rule(Finding finding, Batch batch) {
    return finding.rule() == Finding.Rule.BATCH_TOO_LARGE
        && finding.place().toString().equals("batch/" + batch.number());
  }

  /** Whatever else changes, a cup put together by hand holds its pours and nothing else. */
  @Property(tries = 110, seed = "20261123")
  void cupsByHandHoldWhatTheyWereGiven(@ForAll RandomSessions.Case given) {
    Assume.that(!given.session().cupsByHand().isEmpty());
    List<Piece> more = new ArrayList<>(given.session().pieces());
    more.add(more.get(more.size() - 1));
    for (Session session : List.of(given.session(), withPieces(given.session(), more))) {
      Map<Integer, Set<String>> held = new HashMap<>();
      for (Batch batch : plan(session, given.workshop()).batches()) {
        for (Cup cup : batch.cups()) {
          if (cup.byHand() != null) {
            assertThat(held).doesNotContainKey(cup.byHand());
            held.put(
                cup.byHand(),
                cup.pours().stream()
                    .map(p -> p.line() + "." + p.layer() + "." + p.cavity())
                    .collect(Collectors.toSet()));
          }
        }
      }
      int from = 1;
      for (int i = 0; i < session.cupsByHand().size(); i++) {
        Integer cavities = session.cupsByHand().get(i).layers().get(0).cavities();
        int to = cavities == null ? session.pieces().get(0).count() : from + cavities - 1;
        Set<String> expected =
            IntStream.rangeClosed(from, to)
                .mapToObj(cavity -> "0.0." + cavity)
                .collect(Collectors.toSet());
        assertThat(held.get(i)).isEqualTo(expected);
        from = to + 1;
      }
    }
  }

  private static Session withPieces(Session s, List<Piece> pieces) {
    return new Session(
        s.name(),
        s.startsAt(),
        s.zoneId(),
        s.room(),
        s.resinId(),
        pieces,
        null,
        s.cupIds(),
        s.splitInto(),
        s.cupsByHand(),
        s.strengths(),
        s.habits(),
        s.hands(),
        null,
        Arrangement.FREE);
  }

  @Property(tries = 60, seed = "20261123")
  void theSameSessionGivesTheSamePlanWhateverTheOrderOfTheShelf(@ForAll RandomSessions.Case given) {
    Workshop w = given.workshop();
    List<Mould> turned = new ArrayList<>(w.moulds());
    java.util.Collections.reverse(turned);
    Workshop other =
        new Workshop(turned, w.resins(), w.colourants(), w.colours(), w.cups().reversed());
    assertThat(plan(given.session(), other)).isEqualTo(plan(given));
  }

  @Property(tries = 60, seed = "20261123")
  void everyNumberOfThePlanCanBeOpenedAndIsTheSameNumber(@ForAll RandomSessions.Case given) {
    WorkedPlan worked =
        planner.unjudged(Resolution.of(given.session(), given.workshop()), tried -> tried < 6);
    Plan plan = worked.plan();
    for (Batch batch : plan.batches()) {
      String at = "batch/" + batch.number();
      opens(worked, at + "/partA/massG", batch.measuring().partA().massG());
      opens(worked, at + "/partB/volumeMl", batch.measuring().partB().volumeMl());
      opens(worked, at + "/totalG", batch.measuring().totalG());
      opens(worked, at + "/needG", batch.measuring().needG());
      for (Cup cup : batch.cups()) {
        opens(worked, "cup/" + cup.id() + "/resinG", cup.amounts().resinG());
        opens(worked, "cup/" + cup.id() + "/contentG", cup.amounts().contentG());
        opens(worked, "cup/" + cup.id() + "/staysG", cup.amounts().staysG());
        for (Cup.Dose dose : cup.tint().doses()) {
          String doseAt = "cup/" + cup.id() + "/dose/" + dose.colourantId();
          opens(worked, doseAt + "/massG", dose.massG());
        }
        for (Cup.Pour pour : cup.pours()) {
          opens(worked, "pour/" + pour.id() + "/massG", pour.massG());
        }
      }
    }
  }

  private void opens(WorkedPlan worked, String quantity, double value) {
    Derivation derivation = worked.explain(quantity).orElseThrow();
    assertThat(derivation.value()).as(quantity).isCloseTo(value, within(1e-9));
    endsInWhatWasGiven(derivation);
  }

  private static void endsInWhatWasGiven(Derivation derivation) {
    assertThat(derivation.inputs()).as(derivation.quantity()).isNotEmpty();
    for (Derivation.Input input : derivation.inputs()) {
      assertThat(input.value()).isFinite();
      if (input.from() != null) {
        assertThat(input.from().value()).isCloseTo(input.value(), within(1e-9));
        endsInWhatWasGiven(input.from());
      }
    }
  }

  /** The order in which lines were entered makes no other plan, unless a hand decided something. */
  @Property(tries = 120, seed = "20261127")
  void theOrderOfLinesChangesNothingButNumbers(@ForAll RandomSessions.Case given) {
    Session session = given.session();
    Assume.that(session.pieces().size() > 1 && session.cupsByHand().isEmpty());
    List<Piece> backwards = new ArrayList<>(session.pieces());
    java.util.Collections.reverse(backwards);
    Plan one = plan(given);
    Plan other = plan(session.withPieces(backwards), given.workshop());
    assertThat(other.batches()).hasSameSizeAs(one.batches());
    assertThat(other.totals().resinG()).isCloseTo(one.totals().resinG(), within(1e-9));
    assertThat(breaches(other)).isEqualTo(breaches(one));
    assertThat(other.spareSeconds()).isEqualTo(one.spareSeconds());
    assertThat(last(other)).isEqualTo(last(one));
  }

  private static Map<Finding.Rule, Long> breaches(Plan plan) {
    return plan.findings().stream()
        .filter(f -> f.severity() == Finding.Severity.BREACH)
        .collect(Collectors.groupingBy(Finding::rule, Collectors.counting()));
  }

  private static int last(Plan plan) {
    return plan.tasks().stream()
        .filter(t -> t.kind() == Task.Kind.POUR)
        .mapToInt(Task::endSeconds)
        .max()
        .orElse(0);
  }
}
