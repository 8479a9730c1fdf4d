package calmpour.core.audit;

import calmpour.core.Samples;
import calmpour.core.cup.CupKind;
import calmpour.core.cure.EngineModel;
import calmpour.core.design.Fill;
import calmpour.core.design.FinishStep;
import calmpour.core.design.Join;
import calmpour.core.design.Layer;
import calmpour.core.design.PieceWork;
import calmpour.core.design.PlacedEmbed;
import calmpour.core.design.SurfaceWork;
import calmpour.core.embed.Embed;
import calmpour.core.habit.Habits;
import calmpour.core.mould.Cavity;
import calmpour.core.mould.ChipBed;
import calmpour.core.mould.InnerMould;
import calmpour.core.mould.Mould;
import calmpour.core.mould.MouldMake;
import calmpour.core.mould.MouldState;
import calmpour.core.plan.Planner;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.doc.Task;
import calmpour.core.resin.CureTimes;
import calmpour.core.resin.LabelFacts;
import calmpour.core.resin.MixRatio;
import calmpour.core.resin.ResinKind;
import calmpour.core.resin.ResinSystem;
import calmpour.core.session.Arrangement;
import calmpour.core.session.Available;
import calmpour.core.session.HandCup;
import calmpour.core.session.Hours;
import calmpour.core.session.Piece;
import calmpour.core.session.Room;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import calmpour.core.stock.Lot;
import calmpour.core.stock.ResinPart;
import calmpour.core.tint.Colour;
import calmpour.core.tint.Colourant;
import calmpour.core.tint.ColourantForm;
import calmpour.core.tool.Booking;
import calmpour.core.tool.Tool;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;

/** A small session in which nothing is wrong, of which each test spoils one thing. */
final class Scene {
  private static final Planner PLANNER = Samples.planner(new EngineModel());

  double volumeMl = 12;
  double plusMinus;
  Double lengthMm;
  ChipBed bed;
  MouldMake make = made(true, 40);
  MouldState state;
  ResinKind kind = ResinKind.CASTING;
  MixRatio ratio = new MixRatio(2, 1, MixRatio.Basis.WEIGHT);
  double densityA = 1.15;
  Double potLife = 40.0;
  Double largestG = 500.0;
  CureTimes times = new CureTimes(6.0, 4.0, 12.0, 24.0, 10.0, 72.0);
  LabelFacts facts;
  double leftG = 900;
  double recipePercent = 2;
  Colourant.Jar jar;
  ColourantForm form = ColourantForm.LIQUID_TINT;
  Embed embed = new Embed("fern", "Fern", 0.06, 0.14, null, true, true, null, 30);
  CupKind mixing = Samples.MIXING;
  CupKind small = Samples.SMALL;
  List<Tool> tools =
      List.of(
          new Tool("pot", "Pot", Tool.Kind.PRESSURE_POT, 8, null, 400.0),
          new Tool("board", "Board", Tool.Kind.BOARD, 12, null, null));
  List<Booking> bookings = List.of();
  List<Piece> pieces = List.of(plain(2));
  List<HandCup> cupsByHand = List.of();
  int splitInto = 1;
  Room room = new Room(22, 45.0);
  Habits habits = Habits.DEFAULT;
  Hours hours;
  Available available;
  List<Arrangement.Pin> pins = List.of();

  /** Taken as it first comes, so that nothing is mended by another order or another start. */
  boolean asItComes;

  /** What is done to the plan once it is made. */
  private final List<UnaryOperator<Plan>> spoils = new ArrayList<>();

  static Scene with(Consumer<Scene> change) {
    Scene scene = new Scene();
    change.accept(scene);
    return scene;
  }

  static MouldMake made(Boolean pressureFit, int copies) {
    return new MouldMake(
        null, null, null, null, null, null, null, pressureFit, null, null, null, null, copies);
  }

  static Piece plain(int count) {
    return new Piece("m", count, List.of(new Layer("oat", null, null)));
  }

  /** A fern in a clear front with a coloured back at gel, trimmed when it is out. */
  static Piece layered(PlacedEmbed.Moment moment, Join join) {
    PlacedEmbed fern =
        new PlacedEmbed("fern", 1, moment, false, 0, null, List.of(PlacedEmbed.Prepare.DRY_FIT));
    return new Piece(
        "m",
        2,
        List.of(
            new Layer("clear", Fill.ofDepthShare(0.7), null, null, List.of(), null, List.of(fern)),
            new Layer("oat", null, join)));
  }

  static Piece worked(Piece piece, PieceWork.Curing curing, SurfaceWork.Kind... surface) {
    return piece.withWork(
        new PieceWork(
            null,
            null,
            List.of(surface).stream().map(SurfaceWork::usual).toList(),
            null,
            List.of(
                FinishStep.usual(FinishStep.Kind.VARNISH),
                FinishStep.usual(FinishStep.Kind.POLISH)),
            PieceWork.BubbleCare.MUCH,
            curing));
  }

  static Piece hollow(InnerMould inner) {
    return plain(2)
        .withWork(
            new PieceWork(
                null,
                null,
                List.of(),
                null,
                List.of(),
                PieceWork.BubbleCare.USUAL,
                PieceWork.Curing.BENCH,
                inner,
                null));
  }

  Scene then(UnaryOperator<Plan> spoil) {
    spoils.add(spoil);
    return this;
  }

  /** A task of the plan begins so many seconds later than it did. */
  Scene shifted(String taskId, int seconds) {
    return then(plan -> {
      assertThere(plan, taskId);
      return Breakage.with(
          plan,
          plan.tasks().stream()
              .map(t -> t.id().text().equals(taskId) ? t.at(t.startSeconds() + seconds, false) : t)
              .toList());
    });
  }

  Scene without(String taskId) {
    return then(plan -> {
      assertThere(plan, taskId);
      List<Task> kept = plan.tasks().stream().filter(t -> !t.id().text().equals(taskId)).toList();
      return Breakage.with(plan, kept);
    });
  }

  private static void assertThere(Plan plan, String taskId) {
    if (plan.tasks().stream().noneMatch(t -> t.id().text().equals(taskId))) {
      throw new AssertionError(
          "no task " + taskId + " among " + plan.tasks().stream().map(Task::id).toList());
    }
  }

  /** The first cup of the first batch changed. */
  Scene cup(UnaryOperator<Cup> change) {
    return then(plan -> {
      Batch first = plan.batches().get(0);
      List<Cup> cups = new ArrayList<>(first.cups());
      cups.set(0, change.apply(cups.get(0)));
      return batch(
          plan,
          Breakage.rebatched(first, first.measuring().partA(), first.measuring().partB(), cups));
    });
  }

  /** So many times as much A and B weighed out for the first batch. */
  Scene weighed(double a, double b) {
    return then(plan -> {
      Batch first = plan.batches().get(0);
      return batch(
          plan,
          Breakage.rebatched(
              first,
              Breakage.times(first.measuring().partA(), a),
              Breakage.times(first.measuring().partB(), b),
              first.cups()));
    });
  }

  private static Plan batch(Plan plan, Batch first) {
    List<Batch> batches = new ArrayList<>(plan.batches());
    batches.set(0, first);
    return Breakage.rebuilt(plan, batches, plan.tasks());
  }

  /** Everything the audit says of it, the plan as it was spoilt. */
  List<Finding> findings() {
    Plan plan = PLANNER.plan(session(), workshop(), tried -> !asItComes);
    for (UnaryOperator<Plan> spoil : spoils) {
      plan = spoil.apply(plan);
    }
    return spoils.isEmpty() ? plan.findings() : PLANNER.audit(session(), workshop(), plan);
  }

  private Session session() {
    return Samples.session(pieces, null, habits)
        .withSplitInto(splitInto)
        .withRoom(room)
        .withCupsByHand(cupsByHand)
        .withArrangement(new Arrangement(hours, pins, List.of(), List.of()))
        .withAvailable(available);
  }

  private Workshop workshop() {
    Mould told = Mould.told("m", "Push", volumeMl, 14.0, plusMinus);
    ResinSystem resin =
        new ResinSystem(
            "resin", "Resin", kind, ratio, densityA, 1.01, potLife, 100.0, 24.0, largestG, 3.0,
            null, null, null, times, facts, "a", "b");
    return new Workshop(
        List.of(new Mould("m", "Push", List.of(ofLength(told.cavities().get(0))), make, state)),
        List.of(resin),
        List.of(Samples.colourant("tint", form).withShelf(jar)),
        List.of(
            new Colour("oat", "Oat", "#e3d3a8", List.of(new Colour.Part("tint", recipePercent)))),
        List.of(mixing, small),
        List.of(part("a", ResinPart.Side.A), part("b", ResinPart.Side.B)),
        List.of(embed),
        tools,
        bookings);
  }

  private Cavity ofLength(Cavity c) {
    return new Cavity(c.id(), c.name(), c.count(), c.measure(), c.depthMm(), lengthMm, null, bed);
  }

  private ResinPart part(String id, ResinPart.Side side) {
    return new ResinPart(
        id, id, side, null, null, null, List.of(new Lot("1", null, leftG, null, null)));
  }
}
