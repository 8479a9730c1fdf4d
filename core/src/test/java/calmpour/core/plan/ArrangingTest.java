package calmpour.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import calmpour.core.Samples;
import calmpour.core.cure.EngineModel;
import calmpour.core.design.Fill;
import calmpour.core.design.Join;
import calmpour.core.design.Layer;
import calmpour.core.habit.Habits;
import calmpour.core.habit.Planning;
import calmpour.core.mould.Mould;
import calmpour.core.plan.doc.BenchSpot;
import calmpour.core.plan.doc.CavityId;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.doc.PourId;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.search.Watch;
import calmpour.core.plan.ways.Way;
import calmpour.core.plan.ways.Ways;
import calmpour.core.plan.ways.WaysOut;
import calmpour.core.resin.MixRatio;
import calmpour.core.resin.ResinSystem;
import calmpour.core.session.Arrangement;
import calmpour.core.session.Hours;
import calmpour.core.session.Piece;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import calmpour.core.tint.Colour;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** What the planner decides, and that it decides no more than it has to. */
class ArrangingTest {
  private static final Mould KNOB = Samples.mould("knob", 12, 30.0);
  private static final Mould PULL = Samples.mould("pull", 20, 24.0);
  private static final List<Colour> COLOURS =
      List.of(
          Colour.CLEAR,
          new Colour("oat", "Oat", "#e3d3a8", List.of(new Colour.Part("tint", 2))),
          new Colour("ember", "Ember", "#b4552d", List.of(new Colour.Part("tint", 2))));

  private static Workshop workshop(double potLife) {
    ResinSystem resin =
        Samples.resin(new MixRatio(2, 1, MixRatio.Basis.WEIGHT), 1.15, 1.01, potLife, 500.0);
    return Samples.workshop(resin, List.of(KNOB, PULL), COLOURS);
  }

  private static Piece piece(String mould, int count, String colour) {
    return new Piece(mould, count, List.of(new Layer(colour, null, null)));
  }

  private static Plan plan(Session session, Workshop workshop) {
    return Samples.planner(new EngineModel()).plan(session, workshop);
  }

  private static Set<Set<PourId>> groups(Plan plan) {
    return plan.batches().stream()
        .map(b ->
            b.cups().stream()
                .flatMap(c -> c.pours().stream())
                .map(Cup.Pour::id)
                .collect(Collectors.toSet()))
        .collect(Collectors.toSet());
  }

  private static List<Finding> breaches(Plan plan) {
    return plan.findings().stream().filter(f -> f.severity() == Finding.Severity.BREACH).toList();
  }

  @Test
  void batchesAreAddedUntilHandsKeepUpAndColoursStayTogether() {
    Session session = Samples.session(List.of(piece("knob", 8, "oat"), piece("pull", 8, "ember")));
    Plan plan = plan(session, workshop(16));
    assertThat(breaches(plan)).isEmpty();
    assertThat(plan.batches()).hasSizeGreaterThan(1);
    assertThat(plan.arranged().leastBatches()).isLessThanOrEqualTo(plan.batches().size());
    // One more colour in a batch is one more cup to split, tint and waste.
    long cups = plan.batches().stream().mapToLong(b -> b.cups().size()).sum();
    assertThat(cups).isLessThanOrEqualTo(plan.batches().size() + 1L);
    assertThat(plan(session, workshop(16))).isEqualTo(plan);
  }

  @Test
  void aSecondPairOfHandsSavesBatchesAndNeverMeetsTheFirst() {
    Session one = Samples.session(List.of(piece("knob", 10, "oat"), piece("pull", 10, "ember")));
    Session two = one.withHabits(Habits.DEFAULT.withPlanning(new Planning(95, 2)));
    Plan alone = plan(one, workshop(16));
    Plan helped = plan(two, workshop(16));
    assertThat(breaches(helped)).isEmpty();
    assertThat(helped.batches().size()).isLessThan(alone.batches().size());
    assertThat(helped.tasks()).anyMatch(t -> t.pair() == 1);
  }

  @Test
  void oneMorePieceLeavesTheOthersWhereTheyWere() {
    Workshop workshop = workshop(18);
    Session first = Samples.session(List.of(piece("knob", 9, "oat"), piece("pull", 6, "ember")));
    Plan before = plan(first, workshop);
    assertThat(before.batches().size()).isGreaterThan(1);
    Session more =
        first
            .withPieces(List.of(piece("knob", 10, "oat"), piece("pull", 6, "ember")))
            .withArrangement(Arrangement.FREE.withTogether(WaysOut.together(before)));
    Plan after = plan(more, workshop);
    assertThat(breaches(after)).isEmpty();
    assertThat(after.batches()).hasSameSizeAs(before.batches());
    Set<Set<PourId>> kept = new HashSet<>();
    for (Set<PourId> group : groups(after)) {
      Set<PourId> was = new HashSet<>(group);
      was.removeIf(p -> p.into().equals(new CavityId(1, 10)));
      kept.add(was);
    }
    kept.removeIf(Set::isEmpty);
    assertThat(kept).isEqualTo(groups(before));
  }

  @Test
  void aPieceFewerIsNoReasonToKeepABatchThatIsNotNeeded() {
    Workshop workshop = workshop(16);
    Session first = Samples.session(List.of(piece("knob", 12, "oat")));
    Plan before = plan(first, workshop);
    int many = before.batches().size();
    assertThat(many).isGreaterThan(1);
    Session fewer =
        first
            .withPieces(List.of(piece("knob", 2, "oat")))
            .withArrangement(Arrangement.FREE.withTogether(WaysOut.together(before)));
    assertThat(plan(fewer, workshop).batches()).hasSize(1);
  }

  @Test
  void whatSomebodyHasEnoughOfIsStillAPlan() {
    List<Piece> pieces = new ArrayList<>();
    for (int i = 0; i < 12; i++) {
      pieces.add(piece(i % 2 == 0 ? "knob" : "pull", 3, i % 3 == 0 ? "oat" : "ember"));
    }
    Session session = Samples.session(pieces);
    Plan stopped =
        Samples.planner(new EngineModel()).plan(session, workshop(16), tried -> tried < 2);
    assertThat(stopped.arranged().stopped()).isTrue();
    assertThat(stopped.totals().cavities()).isEqualTo(36);
  }

  @Test
  void waysOutAreFewCheapestFirstAndEachOfThemFits() {
    Workshop workshop = workshop(11);
    Piece deep =
        new Piece(
            "pull",
            2,
            List.of(
                new Layer("oat", Fill.ofShare(0.5), null),
                new Layer("ember", null, Join.TOGETHER)));
    Session session = Samples.session(List.of(deep), null, Habits.DEFAULT.withRestMinutes(14));
    Planner planner = Samples.planner(new EngineModel());
    Ways ways = Planner.ways(session, workshop, planner::plan, Watch.NOBODY);
    assertThat(ways.binding()).isNotNull();
    // So long in the mixing cup that it gets hot; heat is told before what is late.
    assertThat(ways.binding().rule()).isEqualTo(Finding.Rule.RESIN_HOT);
    assertThat(ways.binding().value()).isGreaterThan(ways.binding().limit());
    assertThat(ways.ways()).isNotEmpty().hasSizeLessThanOrEqualTo(3);
    for (Way way : ways.ways()) {
      Plan fresh = Samples.planner(new EngineModel()).plan(way.session(), workshop);
      assertThat(breaches(fresh)).as("%s", way.kind()).isEmpty();
      assertThat(fresh).isEqualTo(way.plan());
    }
    assertThat(ways.ways()).extracting(Way::kind).contains(Way.Kind.SHORTER_REST);
    // The least that does: a minute more of rest, and it is late again or takes a batch more.
    Way shorter =
        ways.ways().stream()
            .filter(w -> w.kind() == Way.Kind.SHORTER_REST)
            .findFirst()
            .orElseThrow();
    Session more =
        shorter
            .session()
            .withHabits(shorter.session().habits().withRestMinutes(shorter.value() + 1));
    Plan then = planner.plan(more, workshop);
    assertThat(!breaches(then).isEmpty() || then.batches().size() > shorter.plan().batches().size())
        .isTrue();
    // Fewest batches first, unless the rest is the cause of it all.
    assertThat(ways.ways().stream().map(w -> w.plan().batches().size()).toList()).isSorted();
  }

  /** In London the hour from one to two does not exist on 28 March 2027. */
  @Test
  void hoursThatTheClocksSkipAreNobodysHours() {
    Session session =
        Samples.session(List.of(piece("knob", 2, "oat")))
            .withStartsAt(java.time.LocalDateTime.of(2027, 3, 28, 0, 30))
            .withArrangement(Arrangement.FREE.withHours(Hours.daily(60, 120)));
    Plan plan = plan(session, workshop(40));
    assertThat(breaches(plan)).isEmpty();
    // One in the morning of the 29th is 23½ hours later: an hour was skipped.
    int first = plan.tasks().stream().mapToInt(Task::startSeconds).min().orElseThrow();
    assertThat(first).isEqualTo((23 * 60 + 30) * 60);
  }

  @Test
  void whereNothingIsInTheWayThereIsNoWayOut() {
    Session session = Samples.session(List.of(piece("knob", 2, "oat")));
    Ways ways =
        Planner.ways(session, workshop(40), Samples.planner(new EngineModel())::plan, Watch.NOBODY);
    assertThat(ways.binding()).isNull();
    assertThat(ways.ways()).isEmpty();
  }

  @Test
  void bigMouldsStandAtTheBackAndEverythingHasItsPlace() {
    Mould big = Samples.mould("big", 200, 80.0);
    Workshop w = workshop(60);
    Workshop workshop =
        new Workshop(List.of(KNOB, PULL, big), w.resins(), w.colourants(), w.colours(), w.cups());
    Session session =
        Samples.session(
            List.of(piece("knob", 9, "oat"), piece("big", 1, "clear"), piece("pull", 9, "ember")));
    List<List<BenchSpot>> rows = plan(session, workshop).bench();
    List<BenchSpot> all = rows.stream().flatMap(List::stream).toList();
    assertThat(all).hasSize(19);
    assertThat(rows.get(0)).anyMatch(s -> s.line() == 1);
    assertThat(all.stream().map(BenchSpot::turn).distinct()).hasSize(19);
    for (List<BenchSpot> row : rows) {
      for (int i = 1; i < row.size(); i++) {
        assertThat(row.get(i).leftMm())
            .isGreaterThanOrEqualTo(row.get(i - 1).leftMm() + row.get(i - 1).acrossMm() - 1e-9);
        assertThat(row.get(i).turn()).isGreaterThan(row.get(i - 1).turn());
      }
    }
  }
}
