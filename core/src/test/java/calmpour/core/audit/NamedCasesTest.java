package calmpour.core.audit;

import static org.assertj.core.api.Assertions.assertThat;

import calmpour.core.Samples;
import calmpour.core.cure.EngineModel;
import calmpour.core.design.Fill;
import calmpour.core.design.FinishStep;
import calmpour.core.design.Join;
import calmpour.core.design.Layer;
import calmpour.core.design.PieceWork;
import calmpour.core.design.PlacedEmbed;
import calmpour.core.embed.Embed;
import calmpour.core.habit.Care;
import calmpour.core.habit.Habits;
import calmpour.core.plan.Planner;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Place;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.doc.PourId;
import calmpour.core.plan.doc.Task;
import calmpour.core.resin.CureTimes;
import calmpour.core.resin.ResinKind;
import calmpour.core.resin.ResinSystem;
import calmpour.core.session.Arrangement;
import calmpour.core.session.Hours;
import calmpour.core.session.Piece;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import calmpour.core.tint.Colour;
import calmpour.core.tool.Booking;
import calmpour.core.tool.Tool;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Cases of the trade, planned with the cure engine; common practice, no source, unless said. */
class NamedCasesTest {
  private static final Planner PLANNER = Samples.planner(new EngineModel());

  /** 40 minutes for 100 g at 24 °C, out of the mould after a day, hard in three. */
  private static final ResinSystem SLOW =
      Samples.resin(
          ResinKind.CASTING, 40, 100, 24, new CureTimes(6.0, 4.0, 12.0, 24.0, 10.0, 72.0));

  private static Workshop workshop() {
    return new Workshop(
        List.of(Samples.mould("push", 12, 14.0)),
        List.of(SLOW),
        List.of(Samples.liquid("tint")),
        List.of(new Colour("oat", "Oat", "#e3d3a8", List.of(new Colour.Part("tint", 2)))),
        List.of(Samples.MIXING, Samples.SMALL),
        List.of(),
        List.of(new Embed("fern", "Fern", 0.06, 0.14, null, true, true, null, 30)),
        List.of(new Tool("pot", "Pot", Tool.Kind.PRESSURE_POT, 8, null, 400.0)),
        List.of());
  }

  private static Session session(Piece piece) {
    return Samples.session(List.of(piece));
  }

  private static Plan plan(Session session) {
    return PLANNER.plan(session, workshop());
  }

  private static List<Finding> breaches(Plan plan) {
    return plan.findings().stream().filter(f -> f.severity() == Finding.Severity.BREACH).toList();
  }

  private static Task task(Plan plan, Object id) {
    return plan.tasks().stream()
        .filter(t -> t.id().text().equals(id.toString()))
        .findFirst()
        .orElseThrow();
  }

  /** Half fill, 10 min, embed, cover, a back layer at gel, out after a day. */
  private static Piece layered(int count) {
    PlacedEmbed fern =
        new PlacedEmbed(
            "fern",
            1,
            PlacedEmbed.Moment.HALF_FILL,
            false,
            0,
            null,
            List.of(PlacedEmbed.Prepare.DRY_FIT));
    return new Piece(
        "push",
        count,
        List.of(
            new Layer("clear", Fill.ofDepthShare(0.7), null, null, List.of(), null, List.of(fern)),
            new Layer("oat", null, Join.GEL)));
  }

  @Test
  void halfFillTenMinutesEmbedCoverBackLayerAtGelOutAfterADay() {
    Plan plan = plan(session(layered(3)));
    assertThat(breaches(plan)).isEmpty();
    Task embed = task(plan, "batch/1/EMBED/1.1/HALF_FILL");
    for (int cavity = 1; cavity <= 3; cavity++) {
      Task half = task(plan, "pour/1." + cavity + ".1.1");
      Task cover = task(plan, "pour/1." + cavity + ".1.2");
      assertThat(embed.startSeconds() - half.endSeconds()).isGreaterThanOrEqualTo(600);
      assertThat(cover.startSeconds()).isGreaterThanOrEqualTo(embed.endSeconds());
    }
    // "About 4 h for a slow one" until it is tacky and dents.
    int mixed = plan.batches().get(0).times().mixedSeconds();
    double hours = (task(plan, "pour/1.1.2").startSeconds() - mixed) / 3_600.0;
    assertThat(hours).isBetween(2.5, 6.0);
    double out =
        (task(plan, "line/1/DEMOULD").startSeconds() - task(plan, "pour/1.1.2").endSeconds())
            / 3_600.0;
    assertThat(out).isBetween(16.0, 48.0);
  }

  /** A back layer at gel does not wait for another piece's day. */
  @Test
  void whatWaitsForADayIsNoCompanyForWhatWaitsForGel() {
    Piece daily =
        new Piece(
            "push",
            2,
            List.of(
                new Layer("clear", Fill.ofDepthShare(0.5), null),
                new Layer("oat", null, Join.CURED)));
    Plan plan = plan(Samples.session(List.of(layered(2), daily)));
    assertThat(breaches(plan)).isEmpty();
    assertThat(plan.batches()).hasSize(3);
  }

  /** What floats is nudged until gel, again and again. */
  @Test
  void whatFloatsIsNudgedUntilItGels() {
    Plan plan = plan(session(layered(2)));
    List<Task> nudges = plan.tasks().stream().filter(t -> t.kind() == Task.Kind.NUDGE).toList();
    assertThat(nudges).hasSizeGreaterThan(2);
    int gels = plan.batches().get(0).cups().get(0).follows().layers().get(0).gels().seconds();
    assertThat(nudges).allSatisfy(n -> assertThat(n.startSeconds()).isLessThan(gels));
  }

  @Test
  void aCuredLayerADay() {
    Piece three =
        new Piece(
            "push",
            2,
            List.of(
                new Layer("clear", Fill.ofDepthShare(0.3), null),
                new Layer("oat", Fill.ofDepthShare(0.3), Join.CURED),
                new Layer("clear", null, Join.CURED)));
    Session evenings =
        session(three).withArrangement(Arrangement.FREE.withHours(Hours.daily(9 * 60, 18 * 60)));
    Plan plan = plan(evenings);
    assertThat(breaches(plan)).isEmpty();
    assertThat(plan.batches()).hasSize(3);
    for (int b = 1; b < 3; b++) {
      int before = plan.batches().get(b - 1).times().startSeconds();
      assertThat(plan.batches().get(b).times().startSeconds() - before)
          .isBetween(20 * 3_600, 50 * 3_600);
    }
  }

  @Test
  void aPotOvernightIsLoadedBeforeGelAndOpenedWhenItHasCured() {
    Piece potted =
        new Piece("push", 4, List.of(new Layer("oat", null, null)))
            .withWork(
                new PieceWork(
                    null, null, List.of(), null, List.of(), null, PieceWork.Curing.PRESSURE_POT));
    Plan plan = plan(session(potted));
    assertThat(breaches(plan)).isEmpty();
    Task in = task(plan, "batch/1/IN_POT");
    int gels = plan.batches().get(0).cups().get(0).follows().layers().get(0).gels().seconds();
    assertThat(task(plan, "batch/1/LOAD_POT").endSeconds()).isLessThan(gels);
    assertThat(in.endSeconds() - in.startSeconds()).isGreaterThan(8 * 3_600);
    assertThat(task(plan, "line/1/DEMOULD").startSeconds()).isGreaterThanOrEqualTo(in.endSeconds());
    // Nine pieces do not go into a pot for eight.
    Piece nine = new Piece("push", null, 9, potted.layers(), potted.work());
    Plan twice = plan(session(nine));
    assertThat(breaches(twice)).isEmpty();
    assertThat(twice.batches()).hasSize(2);
    assertThat(task(twice, "batch/2/IN_POT").startSeconds())
        .isGreaterThanOrEqualTo(task(twice, "batch/1/IN_POT").endSeconds());
  }

  @Test
  void weeksBeforeAPieceLeavesTheHouse() {
    Piece piece =
        new Piece("push", 1, List.of(new Layer("oat", null, null)))
            .withWork(
                new PieceWork(
                    null,
                    null,
                    List.of(),
                    null,
                    List.of(FinishStep.usual(FinishStep.Kind.POLISH)),
                    null,
                    null));
    int cured = task(plan(session(piece)), "line/1/READY").startSeconds();
    assertThat(cured / 86_400.0).isBetween(2.0, 12.0);
    Care care =
        new Care(
            Care.BubbleMethod.SOFT_TOOL,
            Care.MouldPrep.NONE,
            15,
            10,
            60,
            10,
            Care.Leaving.AFTER_DAYS,
            24);
    Session cautious = session(piece).withHabits(Habits.DEFAULT.withCare(care));
    int later = task(plan(cautious), "line/1/READY").startSeconds();
    assertThat(later / 86_400.0).isBetween(24.0, 25.0);
  }

  @Test
  void noFlameWhereAlcoholIsOrWas() {
    Piece piece = new Piece("push", 2, List.of(new Layer("oat", null, null)));
    Care flame = Care.DEFAULT.withBubbles(Care.BubbleMethod.FLAME);
    Session plain = session(piece).withHabits(Habits.DEFAULT.withCare(flame));
    assertThat(breaches(plan(plain))).isEmpty();
    Session wiped =
        session(piece)
            .withHabits(Habits.DEFAULT.withCare(flame.withMoulds(Care.MouldPrep.ALCOHOL_WIPE)));
    assertThat(breaches(plan(wiped)))
        .extracting(Finding::rule)
        .contains(Finding.Rule.FLAME_NEAR_ALCOHOL);
    assertThat(breaches(plan(wiped)).get(0).mends())
        .extracting(m -> m.kind())
        .contains(Finding.Mend.Kind.SOFT_TOOL);
  }

  /** The clocks go back that night: what takes 24 hours still does. */
  @Test
  void durationsStayWhenTheClocksChange() {
    Piece piece =
        new Piece(
            "push",
            1,
            List.of(
                new Layer("clear", Fill.ofDepthShare(0.5), null),
                new Layer("oat", null, Join.CURED)));
    LocalDateTime saturday = LocalDateTime.of(2026, 10, 24, 12, 0);
    Session session =
        session(piece)
            .withStartsAt(saturday)
            .withArrangement(Arrangement.FREE.withHours(Hours.daily(10 * 60, 20 * 60)));
    Session plainDays = session.withStartsAt(saturday.minusDays(7));
    Plan overTheChange = plan(session);
    Plan plain = plan(plainDays);
    assertThat(breaches(overTheChange)).isEmpty();
    Instant next = Instant.parse("2026-10-25T10:00:00Z");
    Instant poured =
        session
            .startsAtInstant()
            .plusSeconds(overTheChange.batches().get(1).times().startSeconds());
    // 10:00 on Sunday is an hour later than the day before.
    assertThat(poured).isAfterOrEqualTo(next);
    int wait =
        task(overTheChange, "pour/1.1.2").startSeconds()
            - task(overTheChange, "pour/1.1.1").endSeconds();
    assertThat(wait).isGreaterThanOrEqualTo(24 * 3_600);
    assertThat(wait)
        .isEqualTo(
            task(plain, "pour/1.1.2").startSeconds() - task(plain, "pour/1.1.1").endSeconds());
  }

  @Test
  void aJoinInTheNightIsAvoidedByAnotherStartAndADayWithoutAnybodyIsTold() {
    Session late =
        session(layered(2))
            .withStartsAt(LocalDateTime.of(2026, 11, 28, 20, 0))
            .withArrangement(Arrangement.FREE.withHours(Hours.daily(9 * 60, 22 * 60)));
    Plan asItComes = PLANNER.plan(late, workshop(), tried -> false);
    // The gel comes about midnight, and by nine the layer below no longer bonds.
    assertThat(asItComes.batches().get(1).times().startSeconds()).isGreaterThan(12 * 3_600);
    assertThat(breaches(asItComes)).extracting(Finding::rule).contains(Finding.Rule.JOIN_TOO_LATE);
    // Begun the next morning, both layers are poured the same day.
    Plan plan = plan(late);
    assertThat(breaches(plan)).isEmpty();
    assertThat(plan.arranged().beginsSeconds()).isEqualTo(13 * 3_600);
    assertThat(plan.batches().get(1).times().startSeconds()).isLessThan(26 * 3_600);
    Hours never =
        new Hours(
            60,
            120,
            java.util.stream.IntStream.range(0, 130)
                .mapToObj(
                    d -> new Hours.OtherDay(late.startsAt().toLocalDate().plusDays(d), null, null))
                .toList());
    assertThat(breaches(plan(late.withArrangement(Arrangement.FREE.withHours(never)))))
        .extracting(Finding::rule)
        .contains(Finding.Rule.MAKER_AWAY);
  }

  /** What became free as well, and was not needed, was not waited for. */
  @Test
  void aLaterStartNamesTheSessionItWaitsFor() {
    Session wanted = session(layered(1));
    Instant start = wanted.startsAtInstant();
    Booking hands =
        new Booking(Booking.Thing.HANDS, "", 1, start, start.plusSeconds(3_300), "Knobs", "k");
    Booking others =
        new Booking(
            Booking.Thing.MOULD, "other/main", 1, start, start.plusSeconds(3_300), "Pulls", "p");
    Plan plan = PLANNER.plan(wanted, workshop().withBookings(List.of(others, hands)));
    assertThat(plan.arranged().beginsSeconds()).isEqualTo(3_300);
    assertThat(plan.findings())
        .filteredOn(f -> f.rule() == Finding.Rule.BEGINS_LATER)
        .singleElement()
        .satisfies(f -> assertThat(f.other().id()).isEqualTo("k"));
  }

  @Test
  void whatIsMovedByHandStaysAndWhatItBreaksIsTold() {
    Session session = session(layered(2));
    Plan free = plan(session);
    Task back = task(free, "pour/1.1.2");
    // An hour before the layer below has gelled.
    int early = back.startSeconds() - 3_600;
    Plan moved =
        plan(
            session.withArrangement(
                Arrangement.FREE.withPins(List.of(new Arrangement.Pin(back.id().text(), early)))));
    Task pinned = task(moved, back.id());
    assertThat(pinned.startSeconds()).isEqualTo(early);
    assertThat(pinned.pinned()).isTrue();
    assertThat(breaches(moved))
        .filteredOn(f -> f.place().toString().equals(back.id().text()))
        .extracting(Finding::rule)
        .contains(Finding.Rule.JOIN_TOO_EARLY);
    Finding told =
        breaches(moved).stream()
            .filter(f -> f.rule() == Finding.Rule.JOIN_TOO_EARLY)
            .findFirst()
            .orElseThrow();
    assertThat(told.mends())
        .containsExactly(new Finding.Mend(Finding.Mend.Kind.RELEASE_PIN, 0, back.id()));
    Plan lost =
        plan(
            session.withArrangement(
                Arrangement.FREE.withPins(List.of(new Arrangement.Pin("pour/9.9.9", 60)))));
    assertThat(lost.findings()).extracting(Finding::rule).contains(Finding.Rule.PIN_LOST);
    assertThat(lost.tasks()).isEqualTo(free.tasks());
  }

  /** A pour that is moved among the others keeps its place, and they go round it. */
  @Test
  void theOtherPoursGoRoundOneThatWasMoved() {
    Session session = session(new Piece("push", 4, List.of(new Layer("oat", null, null))));
    Plan free = plan(session);
    int last = task(free, "pour/1.4.1").startSeconds();
    Plan moved =
        plan(
            session.withArrangement(
                Arrangement.FREE.withPins(List.of(new Arrangement.Pin("pour/1.1.1", last)))));
    assertThat(breaches(moved)).isEmpty();
    assertThat(task(moved, "pour/1.1.1").startSeconds()).isEqualTo(last);
    assertThat(task(moved, "pour/1.4.1").endSeconds()).isLessThanOrEqualTo(last);
    assertThat(task(moved, "batch/1/BUBBLE_PASS").startSeconds())
        .isGreaterThanOrEqualTo(task(moved, "pour/1.1.1").endSeconds());
  }

  /** Two pins over each other are told of once each; everything else keeps clear of both. */
  @Test
  void pinsThatCannotBothHoldAreToldAndNothingElseIsLaidOverThem() {
    Session session = session(new Piece("push", 4, List.of(new Layer("oat", null, null))));
    Plan free = plan(session);
    int at = task(free, "pour/1.2.1").startSeconds();
    Plan moved =
        plan(
            session.withArrangement(
                Arrangement.FREE.withPins(
                    List.of(
                        new Arrangement.Pin("pour/1.1.1", at),
                        new Arrangement.Pin("pour/1.4.1", at + 5)))));
    assertThat(breaches(moved))
        .extracting(Finding::rule, Finding::place)
        .containsExactly(
            org.assertj.core.groups.Tuple.tuple(
                Finding.Rule.HANDS_TWICE, new Place.OfPour(PourId.of("1.4.1"))));
    assertThat(breaches(moved).get(0).mends())
        .containsExactly(new Finding.Mend(Finding.Mend.Kind.RELEASE_PIN, 0, "pour/1.4.1"));
  }

  @Test
  void anotherSessionsHandsAndMouldsAreMinded() {
    Session session = session(new Piece("push", 2, List.of(new Layer("oat", null, null))));
    Plan alone = plan(session);
    Instant start = session.startsAtInstant();
    Task out = task(alone, "line/1/DEMOULD");
    Booking hands =
        new Booking(
            Booking.Thing.HANDS,
            "",
            1,
            start.plusSeconds(out.startSeconds() - 60),
            start.plusSeconds(out.startSeconds() + 1_800),
            "Another");
    Plan beside = PLANNER.plan(session, workshop().withBookings(List.of(hands)));
    // What can wait keeps out of its way.
    assertThat(breaches(beside)).isEmpty();
    assertThat(task(beside, out.id()).startSeconds()).isEqualTo(out.startSeconds() + 1_800);
    Booking now = new Booking(Booking.Thing.HANDS, "", 1, start, start.plusSeconds(600), "Another");
    Workshop busy = workshop().withBookings(List.of(now));
    assertThat(breaches(PLANNER.plan(session, busy, tried -> false)))
        .extracting(Finding::rule)
        .containsOnly(Finding.Rule.HANDS_BOOKED);
    Plan afterwards = PLANNER.plan(session, busy);
    assertThat(breaches(afterwards)).isEmpty();
    assertThat(afterwards.batches().get(0).times().startSeconds()).isEqualTo(600);
    Booking mould =
        new Booking(
            Booking.Thing.MOULD, "push/main", 2, start, start.plusSeconds(7_200), "Another");
    assertThat(PLANNER.plan(session, workshop().withBookings(List.of(mould))).findings())
        .filteredOn(f -> f.rule() == Finding.Rule.MOULD_BOOKED)
        .extracting(Finding::severity)
        .containsExactly(Finding.Severity.NEAR);
  }

  @Test
  void whatIsBrokenOnPurposeKeepsItsReason() {
    ResinSystem coating =
        Samples.resin(
            ResinKind.COATING, 40, 100, 24, new CureTimes(6.0, 4.0, 12.0, 24.0, 10.0, 72.0));
    Workshop w = workshop();
    Workshop shelf =
        new Workshop(
            w.moulds(),
            List.of(coating),
            w.colourants(),
            w.colours(),
            w.cups(),
            w.parts(),
            w.embeds(),
            w.tools(),
            List.of());
    Session session = session(new Piece("push", 1, List.of(new Layer("oat", null, null))));
    Finding told =
        PLANNER.plan(session, shelf).findings().stream()
            .filter(f -> f.rule() == Finding.Rule.COATING_IN_A_MOULD)
            .findFirst()
            .orElseThrow();
    assertThat(told.severity()).isEqualTo(Finding.Severity.NEAR);
    Session onPurpose =
        session.withArrangement(
            Arrangement.FREE.withAccepted(
                List.of(
                    new Arrangement.Accepted(
                        told.rule().name(),
                        told.place().toString(),
                        "small and thin, few bubbles"))));
    Finding accepted =
        PLANNER.plan(onPurpose, shelf).findings().stream()
            .filter(f -> f.rule() == Finding.Rule.COATING_IN_A_MOULD)
            .findFirst()
            .orElseThrow();
    assertThat(accepted.severity()).isEqualTo(Finding.Severity.NOTE);
    assertThat(accepted.accepted()).isEqualTo("small and thin, few bubbles");
    // A flame near alcohol is never a matter of opinion.
    assertThat(Finding.Rule.FLAME_NEAR_ALCOHOL.acceptable()).isFalse();
  }
}
