package calmpour.core.audit;

import static org.assertj.core.api.Assertions.assertThat;

import calmpour.core.Samples;
import calmpour.core.cup.CupKind;
import calmpour.core.design.Join;
import calmpour.core.design.Layer;
import calmpour.core.design.PieceWork;
import calmpour.core.design.PlacedEmbed.Moment;
import calmpour.core.design.SurfaceWork;
import calmpour.core.design.WetWork;
import calmpour.core.embed.Embed;
import calmpour.core.habit.Care;
import calmpour.core.habit.FillTo;
import calmpour.core.habit.Habits;
import calmpour.core.habit.Planning;
import calmpour.core.habit.Release;
import calmpour.core.habit.Splitting;
import calmpour.core.habit.Tinting;
import calmpour.core.mould.ChipBed;
import calmpour.core.mould.InnerMould;
import calmpour.core.mould.MouldMake;
import calmpour.core.mould.MouldState;
import calmpour.core.mould.Solid;
import calmpour.core.mould.SolidKind;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Finding.Rule;
import calmpour.core.plan.doc.Finding.Severity;
import calmpour.core.plan.doc.Plan;
import calmpour.core.resin.CureTimes;
import calmpour.core.resin.LabelFacts;
import calmpour.core.resin.MixRatio;
import calmpour.core.resin.ResinKind;
import calmpour.core.session.Arrangement;
import calmpour.core.session.Available;
import calmpour.core.session.HandCup;
import calmpour.core.session.Hours;
import calmpour.core.session.Piece;
import calmpour.core.session.Room;
import calmpour.core.tint.Colourant;
import calmpour.core.tint.ColourantForm;
import calmpour.core.tool.Booking;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Each rule broken once, as small as can be: told at its place, with what would mend it. */
class EachRuleTest {
  private static final int HOUR = 3_600;
  private static final Instant START = Instant.parse("2026-11-28T10:00:00Z");

  /** What breaks it, and where that has to be told. */
  private record Broken(Scene scene, String place) {}

  @ParameterizedTest
  @EnumSource(Rule.class)
  void isToldAtItsPlaceWithAWayOut(Rule rule) {
    Broken broken = broken(rule);
    List<Finding> all = broken.scene.findings();
    List<Finding> told =
        all.stream()
            .filter(f -> f.rule() == rule && f.place().toString().equals(broken.place))
            .toList();
    assertThat(told).as("%s at %s among %s", rule, broken.place, all).isNotEmpty();
    for (Finding finding : told) {
      assertThat(finding.severity() == Severity.NOTE || !finding.mends().isEmpty())
          .as("a way out of %s", finding)
          .isTrue();
    }
  }

  /** Rules of several batches and of a cup's heat when forgotten speak of every such session. */
  @Test
  void nothingIsToldWhereNothingIsWrong() {
    assertThat(new Scene().findings()).isEmpty();
    Scene layered = Scene.with(s -> s.pieces = List.of(Scene.layered(Moment.HALF_FILL, Join.GEL)));
    assertThat(layered.findings())
        .extracting(Finding::rule)
        .isSubsetOf(Set.of(Rule.SEVERAL_BATCHES));
  }

  private static int begins(Plan plan, String taskId) {
    return plan.tasks().stream()
        .filter(t -> t.id().text().equals(taskId))
        .findFirst()
        .orElseThrow()
        .startSeconds();
  }

  private static Broken at(String place, Scene scene) {
    return new Broken(scene, place);
  }

  private static Broken mould(MouldState state) {
    return at("piece/1", Scene.with(s -> s.state = state));
  }

  private static MouldState used(int casts) {
    return new MouldState(casts, 20, MouldState.Chemistry.EPOXY, true, true, null);
  }

  private static Scene layered(Moment moment, Join join) {
    return Scene.with(s -> s.pieces = List.of(Scene.layered(moment, join)));
  }

  private static Scene fern(Boolean dry, Double massG, SurfaceWork.Kind... surface) {
    return Scene.with(s -> {
      s.embed = new Embed("fern", "Fern", massG, 0.14, null, dry, true, null, 30);
      s.pieces =
          List.of(
              Scene.worked(
                  Scene.layered(Moment.AFTER_POUR, Join.GEL), PieceWork.Curing.BENCH, surface));
    });
  }

  private static Scene filled(MouldMake.Opening opening, FillTo to) {
    return Scene.with(s -> {
      s.make = s.make.withOpening(opening);
      s.pieces = List.of(Scene.plain(2).withWork(PieceWork.NONE.withFill(to)));
    });
  }

  private static Scene sized(Double lengthMm, Double heightMm) {
    return Scene.with(s -> {
      s.embed =
          new Embed(
              "fern", "Fern", 0.06, 0.14, null, true, true, null, 30, lengthMm, heightMm, null);
      s.pieces = List.of(Scene.layered(Moment.HALF_FILL, Join.GEL));
    });
  }

  private static Scene rated(Double from, Double to) {
    return Scene.with(s ->
        s.facts =
            new LabelFacts(null, null, null, null, from, to, null, null, null, null, null, null));
  }

  private static Scene coloured(double percent, ColourantForm form) {
    return Scene.with(s -> {
      s.recipePercent = percent;
      s.form = form;
    });
  }

  private static Scene worked(SurfaceWork.Kind... surface) {
    return Scene.with(
        s -> s.pieces = List.of(Scene.worked(Scene.plain(2), PieceWork.Curing.BENCH, surface)));
  }

  private static Scene potted() {
    return Scene.with(
        s -> s.pieces = List.of(Scene.worked(Scene.plain(2), PieceWork.Curing.PRESSURE_POT)));
  }

  private static Scene booked(Booking.Thing what, String id) {
    Scene scene = what == Booking.Thing.TOOL ? potted() : new Scene();
    scene.bookings = List.of(new Booking(what, id, 40, START, START.plusSeconds(HOUR), "Another"));
    scene.asItComes = true;
    return scene;
  }

  private static InnerMould rod(double bottom, Double massG) {
    return new InnerMould(
        List.of(new Solid(SolidKind.CYLINDER, null, bottom, 40.0, null, null, null, null, null)),
        4,
        massG);
  }

  /** A rule without a case does not compile. */
  private static Broken broken(Rule rule) {
    return switch (rule) {
      case POUR_AFTER_WORKING_TIME -> at("pour/1.2.1", new Scene().shifted("pour/1.2.1", 3 * HOUR));
      case TINT_HELD_BACK -> at("cup/1.1", coloured(9, ColourantForm.LIQUID_TINT));
      case LOADING_NEAR_LIMIT -> at("cup/1.1", coloured(6, ColourantForm.LIQUID_TINT));
      case LOADING_OVER_LIMIT -> at("cup/1.1", new Scene().cup(c -> Breakage.dosed(c, 8)));
      case DOSE_OFF -> at("cup/1.1", new Scene().cup(c -> Breakage.dosed(c, 1.3)));
      case DOSE_TOO_SMALL -> at("cup/1.1", new Scene().cup(c -> Breakage.dosed(c, 0)));
      case BATCH_ENLARGED ->
          at(
              "batch/1",
              Scene.with(s -> s.habits = s.habits.withMeasureBy(Habits.MeasureBy.VOLUME, 20)));
      case RATIO_OFF -> at("batch/1", new Scene().weighed(1.15, 1));
      case CUP_TOO_SMALL -> at("batch/1", new Scene().weighed(40, 40));
      case CUP_HEATS ->
          at(
              "cup/1.1",
              Scene.with(s -> {
                s.habits =
                    s.habits.withSplitting(
                        new Splitting(Splitting.SplitWhen.BEFORE_TINTING, 0, 20));
                s.cupsByHand =
                    List.of(new HandCup(List.of(new HandCup.HandLayer(0, 0, null)), "small"));
                s.pieces = List.of(Scene.plain(3));
              }));
      case BATCH_TOO_LARGE -> at("batch/1", new Scene().weighed(40, 40));
      case STOCK_CUP -> at("cup/1.1", coloured(0.02, ColourantForm.POWDER));
      case POUR_IN_PARTS ->
          at(
              "pour/1.1.1.1",
              Scene.with(s -> {
                s.volumeMl = 190;
                s.pieces = List.of(Scene.plain(1));
                s.leftG = 2_000;
              }));
      case SEVERAL_BATCHES -> at("plan", layered(Moment.HALF_FILL, Join.GEL));
      case MOULD_NOT_DRY ->
          mould(new MouldState(3, 20, MouldState.Chemistry.EPOXY, true, false, null));
      case MOULD_NOT_CLEAN ->
          mould(new MouldState(3, 20, MouldState.Chemistry.EPOXY, false, true, null));
      case MOULD_NOT_READY ->
          mould(
              new MouldState(
                  3,
                  20,
                  MouldState.Chemistry.EPOXY,
                  true,
                  true,
                  LocalDateTime.of(2026, 11, 29, 8, 0)));
      case MOULD_FIRST_CAST -> mould(used(0));
      case MOULD_NEAR_ITS_END -> mould(used(18));
      case MOULD_PAST_ITS_END -> mould(used(20));
      case URETHANE_BEFORE_EPOXY ->
          mould(new MouldState(3, 20, MouldState.Chemistry.URETHANE, true, true, null));
      case VOLUME_UNSURE -> at("piece/1", Scene.with(s -> s.plusMinus = 30));
      case COATING_IN_A_MOULD -> at("resin", Scene.with(s -> s.kind = ResinKind.COATING));
      case DEEPER_THAN_RATED -> at("piece/1", rated(1.0, 10.0));
      case THINNER_THAN_RATED -> at("piece/1", rated(20.0, 40.0));
      case WAXED_CUP ->
          at(
              "batch/1",
              Scene.with(s ->
                  s.mixing =
                      new CupKind(
                          "wax",
                          "Paper cup",
                          CupKind.Use.EITHER,
                          60,
                          70,
                          80,
                          null,
                          CupKind.Material.WAXED_PAPER,
                          null)));
      case WATER_IN_COLOUR -> at("colour/oat", coloured(2, ColourantForm.ACRYLIC_PAINT));
      case WATER_FORBIDDEN ->
          at(
              "colour/oat",
              Scene.with(s -> {
                s.form = ColourantForm.ACRYLIC_PAINT;
                s.habits =
                    s.habits.withTinting(
                        new Tinting(Tinting.LiquidLimit.SHARE, 5, Tinting.WaterPaint.FORBID));
              }));
      case SOLVENT_IN_COLOUR -> at("colour/oat", coloured(2, ColourantForm.ALCOHOL_INK));
      case SINKS_IN_THIN ->
          at(
              "colour/oat",
              Scene.with(s -> {
                s.form = ColourantForm.FLAKE;
                s.kind = ResinKind.DEEP;
              }));
      case LABEL_CONTRADICTS ->
          at(
              "resin",
              Scene.with(s ->
                  s.facts =
                      new LabelFacts(
                          new MixRatio(4, 1, MixRatio.Basis.VOLUME),
                          null,
                          null,
                          null,
                          null,
                          null,
                          null,
                          null,
                          null,
                          null,
                          null,
                          null)));
      case LABEL_NOT_MET ->
          // Gelled in a minute, yet soft for three weeks: no one curve does both.
          at(
              "resin",
              Scene.with(s -> {
                s.potLife = 4.0;
                s.times = new CureTimes(null, null, null, 300.0, 100.0, 330.0);
              }));
      case DAMP_AIR ->
          at(
              "resin",
              Scene.with(s -> {
                s.kind = ResinKind.POLYURETHANE;
                s.room = new Room(22, 70.0);
              }));
      case RESIN_HOT ->
          at(
              "batch/1",
              Scene.with(s -> {
                s.room = new Room(34, 45.0);
                s.volumeMl = 60;
                s.habits = s.habits.withRestMinutes(35);
                s.pieces = List.of(Scene.plain(4));
                s.asItComes = true;
              }));
      case HOT_IF_FORGOTTEN ->
          at(
              "batch/1",
              Scene.with(s -> {
                s.room = new Room(31, 45.0);
                s.volumeMl = 60;
                s.pieces = List.of(Scene.plain(4));
                s.asItComes = true;
              }));
      case PIECE_GETS_HOT ->
          at(
              "pour/1.1.1.4",
              Scene.with(s -> {
                s.volumeMl = 190;
                s.kind = ResinKind.FAST;
                s.potLife = 15.0;
                s.pieces = List.of(Scene.plain(1));
                s.leftG = 2_000;
                s.room = new Room(34, 45.0);
              }));
      case NEVER_FULLY_CURED -> at("plan", Scene.with(s -> s.room = new Room(8, 45.0)));
      case OUT_OF_ORDER -> at("task/batch/1/STIR", new Scene().shifted("batch/1/STIR", -120));
      case JOIN_TOO_EARLY ->
          at("pour/1.1.2", layered(Moment.HALF_FILL, Join.CURED).shifted("pour/1.1.2", -20 * HOUR));
      case JOIN_TOO_LATE ->
          at("pour/1.1.2", layered(Moment.HALF_FILL, Join.GEL).shifted("pour/1.1.2", 30 * HOUR));
      case EMBED_TOO_EARLY ->
          at(
              "task/batch/1/EMBED/1.1/HALF_FILL",
              layered(Moment.HALF_FILL, Join.GEL).shifted("batch/1/EMBED/1.1/HALF_FILL", -420));
      case EMBED_TOO_LATE ->
          at(
              "task/batch/1/EMBED/1.1/AFTER_POUR",
              layered(Moment.AFTER_POUR, Join.GEL)
                  .shifted("batch/1/EMBED/1.1/AFTER_POUR", 2 * HOUR));
      case WET_TOO_LATE ->
          at(
              "task/batch/1/WET_WORK/1.1",
              Scene.with(s ->
                      s.pieces =
                          List.of(
                              new Piece(
                                  "m",
                                  2,
                                  List.of(
                                      new Layer("oat", null, null)
                                          .withWet(
                                              List.of(new WetWork(WetWork.Kind.DRAWN, 1, null)))))))
                  .shifted("batch/1/WET_WORK/1.1", 3 * HOUR));
      case NUDGE_TOO_LATE ->
          at(
              "task/batch/1/NUDGE/1.1/1",
              layered(Moment.AFTER_POUR, Join.GEL).shifted("batch/1/NUDGE/1.1/1", HOUR));
      case LOOK_TOO_LATE -> at("task/batch/1/LOOK/1", worked().shifted("batch/1/LOOK/1", HOUR));
      case AFTER_GEL ->
          at("task/batch/1/CLEAN_UP", new Scene().shifted("batch/1/CLEAN_UP", 6 * HOUR));
      case NOT_YET_DRY ->
          at(
              "pour/1.1.1",
              worked(SurfaceWork.Kind.DETAIL_PAINT).shifted("line/1/SURFACE_WORK/1", 5_000));
      case NOT_YET_CURED ->
          at("task/line/1/DEMOULD", new Scene().shifted("line/1/DEMOULD", -10 * HOUR));
      case FINISHED_TOO_EARLY ->
          at("task/line/1/FINISH/2", worked().shifted("line/1/FINISH/2", -2 * HOUR));
      case TASK_MISSING -> at("task/batch/1/STIR", new Scene().without("batch/1/STIR"));
      case HANDS_TWICE -> at("pour/1.2.1", new Scene().shifted("pour/1.2.1", -10));
      case HANDS_BOOKED -> at("task/batch/1/STIR", booked(Booking.Thing.HANDS, ""));
      case MAKER_AWAY ->
          at(
              "task/batch/1/COVER",
              Scene.with(s -> s.hours = new Hours(9 * 60, 18 * 60, List.of()))
                  .shifted("batch/1/COVER", 9 * HOUR));
      case NO_SUCH_TOOL -> {
        Scene scene = potted();
        scene.tools = List.of();
        yield at("task/batch/1/IN_POT", scene);
      }
      case TOOL_OVERFULL -> {
        Scene scene = potted();
        scene.pieces = List.of(Scene.worked(Scene.plain(9), PieceWork.Curing.PRESSURE_POT));
        // Put together by hand they are not parted.
        scene.cupsByHand = List.of(new HandCup(List.of(new HandCup.HandLayer(0, 0, null)), null));
        yield at("task/batch/1/IN_POT", scene);
      }
      case TOOL_TWICE -> {
        Scene scene = booked(Booking.Thing.TOOL, "pot");
        scene.pins = List.of(new Arrangement.Pin("batch/1/LOAD_POT", HOUR / 2));
        yield at("task/batch/1/IN_POT", scene);
      }
      case BOARD_FULL -> at("plan", Scene.with(s -> s.pieces = List.of(Scene.plain(13))));
      case MOULD_TWICE ->
          at(
              "piece/2",
              Scene.with(s -> {
                s.pieces = List.of(Scene.plain(2), Scene.plain(3));
                s.make = Scene.made(true, 4);
              }));
      case MOULD_BOOKED -> at("piece/1", booked(Booking.Thing.MOULD, "m/main"));
      case MOULD_NOT_FOR_POT -> {
        Scene scene = potted();
        scene.make = Scene.made(false, 40);
        yield at("piece/1", scene);
      }
      case CAVITY_SHORT -> at("pour/1.1.1", new Scene().cup(c -> Breakage.withPours(c, 0.8, 1)));
      case CAVITY_OVERFULL -> at("pour/1.1.1", new Scene().cup(c -> Breakage.withPours(c, 1.2, 1)));
      case MASS_BALANCE -> at("cup/1.1", new Scene().cup(c -> Breakage.withPours(c, 1, 1.2)));
      case STOCK_SHORT -> at("part/b", Scene.with(s -> s.leftG = 5));
      case TOO_LITTLE_RESIN -> at("resin", Scene.with(s -> s.available = Available.ofG(20)));
      case RESIN_LEFT_OVER -> at("resin", Scene.with(s -> s.available = Available.ofG(80)));
      case FLAME_NEAR_ALCOHOL ->
          at(
              "task/batch/1/BUBBLE_PASS",
              Scene.with(s ->
                  s.habits =
                      s.habits.withCare(
                          s.habits
                              .care()
                              .withBubbles(Care.BubbleMethod.FLAME)
                              .withMoulds(Care.MouldPrep.ALCOHOL_WIPE))));
      case PIN_LOST ->
          at(
              "task/batch/7/STIR",
              Scene.with(s -> s.pins = List.of(new Arrangement.Pin("batch/7/STIR", 60))));
      case EMBED_NOT_DRY -> at("layer/1.1", fern(false, 0.06));
      case EMBED_POKES_THROUGH -> at("layer/1.1", fern(true, 0.06, SurfaceWork.Kind.DUST));
      case EMBED_RISES -> at("layer/1.1", fern(true, 0.06));
      case EMBED_SINKS -> at("layer/1.1", fern(true, 1.2));
      case EMBED_TOO_LARGE -> {
        Scene scene = sized(80.0, null);
        scene.lengthMm = 40.0;
        yield at("layer/1.1", scene);
      }
      case EMBED_NOT_COVERED -> at("layer/1.1", sized(null, 12.0));
      case DOME_RUNS_OVER -> at("piece/1", filled(null, new FillTo(FillTo.Kind.DOMED, 4.0)));
      case LID_LEAVES_A_VOID ->
          at("piece/1", filled(MouldMake.Opening.CLOSED, new FillTo(FillTo.Kind.SHORT, 1.0)));
      case LID_OVERFULL -> {
        Scene scene = filled(MouldMake.Opening.CLOSED, null);
        scene.make = scene.make.withSurplusMl(2.0);
        yield at("piece/1", scene);
      }
      case HEAT_UNDER_LID -> {
        Scene scene = filled(MouldMake.Opening.CLOSED, null);
        scene.habits =
            scene.habits.withCare(scene.habits.care().withBubbles(Care.BubbleMethod.ALCOHOL_MIST));
        yield at("piece/1", scene);
      }
      case RESIN_COLD -> at("resin", Scene.with(s -> s.room = new Room(16, 45.0)));
      case REST_TOO_SHORT ->
          at(
              "resin",
              Scene.with(s -> {
                s.room = new Room(16, 45.0);
                s.habits = s.habits.withRestMinutes(1);
              }));
      case OIL_BRINGS_BUBBLES -> at("colour/oat", coloured(2, ColourantForm.OIL_PAINT));
      case FADES_IN_LIGHT ->
          at(
              "colour/oat",
              Scene.with(s ->
                  s.jar =
                      new Colourant.Jar(
                          null, null, null, null, null, false, null, null, null, null, null)));
      case RELEASE_COSTS_TIME, RELEASE_CLEARS ->
          at(
              "batch/1",
              Scene.with(s ->
                  s.habits = s.habits.withMixing(s.habits.mixing().withRelease(Release.LAMP))));
      case DYE_STAINS_MOULD -> at("colour/oat", coloured(2, ColourantForm.DYE));
      case CHIPS_DENT_POWDER -> {
        Scene scene = worked(SurfaceWork.Kind.DUST);
        scene.bed = new ChipBed(1, 1.2, null);
        yield at("piece/1", scene);
      }
      case OIL_AGES_RESIN -> at("colour/oat", coloured(2, ColourantForm.SILICONE_OIL));
      case INNER_MOULD_RISES ->
          at("piece/1", Scene.with(s -> s.pieces = List.of(Scene.hollow(rod(8, null)))));
      case INNER_WALL_THIN ->
          at("piece/1", Scene.with(s -> s.pieces = List.of(Scene.hollow(rod(28, 500.0)))));
      case CUP_TWICE ->
          at(
              "pour/1.2.1",
              Scene.with(s -> s.habits = Habits.DEFAULT.withPlanning(new Planning(95, 2)))
                  .then(plan -> {
                    int begins = begins(plan, "pour/1.1.1");
                    return Breakage.with(
                        plan,
                        plan.tasks().stream()
                            .map(t ->
                                t.id().text().equals("pour/1.2.1")
                                    ? t.at(begins + 1, false).by(1)
                                    : t)
                            .toList());
                  }));
      case NOT_SURE_ENOUGH ->
          at(
              "pour/1.1.1",
              Scene.with(s -> {
                s.pieces = List.of(Scene.plain(1));
                s.potLife = 9.2;
                s.habits = Habits.DEFAULT.withPlanning(new Planning(99.9, 1));
              }));
      case BEGINS_LATER ->
          at(
              "plan",
              Scene.with(s ->
                  s.bookings =
                      List.of(
                          new Booking(
                              Booking.Thing.HANDS, "", 1, START, START.plusSeconds(HOUR), "x"))));
      case CUPS_SHORT ->
          at(
              "batch/1",
              Scene.with(s -> {
                s.small = Samples.SMALL.withHave(1);
                s.pieces = List.of(Scene.layered(Moment.HALF_FILL, Join.TOGETHER));
              }));
    };
  }
}
