package calmpour.core.audit;

import calmpour.core.Samples;
import calmpour.core.check.InvalidValuesException;
import calmpour.core.cup.CupKind;
import calmpour.core.design.Fill;
import calmpour.core.design.FinishStep;
import calmpour.core.design.Join;
import calmpour.core.design.Layer;
import calmpour.core.design.PieceSide;
import calmpour.core.design.PieceWork;
import calmpour.core.design.PlacedEmbed;
import calmpour.core.design.SurfaceWork;
import calmpour.core.design.TopCoat;
import calmpour.core.design.WetWork;
import calmpour.core.embed.Embed;
import calmpour.core.habit.Care;
import calmpour.core.habit.FillTo;
import calmpour.core.habit.Habits;
import calmpour.core.habit.Mixing;
import calmpour.core.habit.Planning;
import calmpour.core.habit.Release;
import calmpour.core.mould.Cavity;
import calmpour.core.mould.ChipBed;
import calmpour.core.mould.InnerMould;
import calmpour.core.mould.Mould;
import calmpour.core.mould.MouldMake;
import calmpour.core.mould.Solid;
import calmpour.core.mould.SolidKind;
import calmpour.core.plan.Planner;
import calmpour.core.plan.doc.Plan;
import calmpour.core.resin.MixRatio;
import calmpour.core.resin.ResinSystem;
import calmpour.core.session.Arrangement;
import calmpour.core.session.Available;
import calmpour.core.session.Hours;
import calmpour.core.session.Piece;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import calmpour.core.stock.Lot;
import calmpour.core.stock.ResinPart;
import calmpour.core.tint.Colour;
import calmpour.core.tint.ColourantForm;
import calmpour.core.tool.Booking;
import calmpour.core.tool.Tool;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/** Sessions with everything a design can have, as different as a seed makes them. */
final class RandomWork {
  private static final Planner PLANNER = Samples.planner();

  /** A session, its workshop, and a plan of ours. */
  record Work(Session session, Workshop workshop, Plan plan) {}

  private final Random random;

  private RandomWork(Random random) {
    this.random = random;
  }

  /** Draws until something can be planned. */
  static Work of(Random random) {
    while (true) {
      RandomWork draw = new RandomWork(random);
      Workshop workshop = draw.workshop();
      try {
        Session session = draw.session();
        // Most as they first come: to be judged, not to be good.
        boolean searched = draw.chance(0.1);
        return new Work(session, workshop, PLANNER.plan(session, workshop, tried -> searched));
      } catch (InvalidValuesException cannotBe) {
        // An embed that fills its layer, two resins that should flow together: draw again.
      }
    }
  }

  private boolean chance(double share) {
    return random.nextDouble() < share;
  }

  private double between(double low, double high) {
    return low + (high - low) * random.nextDouble();
  }

  @SafeVarargs
  private <T> T one(T... of) {
    return of[random.nextInt(of.length)];
  }

  private Workshop workshop() {
    List<Mould> moulds = new ArrayList<>();
    for (int m = 0; m < 3; m++) {
      Mould plain = Samples.mould("m" + m, between(4, 40), between(8, 25));
      Integer copies = chance(0.5) ? (Integer) (12 + random.nextInt(6)) : null;
      MouldMake make =
          new MouldMake(
              null, null, null, null, null, null, null, true, null, null, null, null, copies);
      MouldMake made =
          make.withOpening(
                  one(
                      null,
                      null,
                      MouldMake.Opening.OPEN,
                      MouldMake.Opening.CLOSED,
                      MouldMake.Opening.BEZEL,
                      MouldMake.Opening.FLAT))
              .withPace(one(null, null, null, MouldMake.Pace.SLOW, MouldMake.Pace.BY_STICK))
              .withNarrowMouth(chance(0.2))
              .withSurplusMl(chance(0.5) ? null : between(0, 4));
      Cavity only = plain.cavities().getFirst();
      Cavity measured =
          new Cavity(
              only.id(),
              only.name(),
              only.count(),
              only.measure(),
              only.depthMm(),
              chance(0.5) ? null : between(15, 60),
              null,
              chance(0.1) ? new ChipBed(0.4, 0.5, null) : null);
      moulds.add(new Mould(plain.id(), plain.name(), List.of(measured), made, null));
    }
    MixRatio ratio = new MixRatio(one(1.0, 2.0, 3.0), 1, one(MixRatio.Basis.values()));
    ResinSystem plain =
        Samples.resin(ratio, 1.15, 1.01, between(20, 70), chance(0.6) ? 500.0 : null);
    List<ResinPart> parts =
        List.of(
            part("a", ResinPart.Side.A, between(2_000, 4_000)),
            part("b", ResinPart.Side.B, between(2_000, 4_000)));
    List<Tool> tools = new ArrayList<>();
    if (chance(0.9)) {
      tools.add(new Tool("pot", "Pot", Tool.Kind.PRESSURE_POT, 30, null, 400.0));
      tools.add(new Tool("box", "Warm box", Tool.Kind.HOT_BOX, 30, between(28, 40), null));
      tools.add(new Tool("lamp", "Lamp", Tool.Kind.LAMP, 60, null, null));
    }
    if (chance(0.6)) {
      tools.add(new Tool("board", "Board", Tool.Kind.BOARD, 40, null, null));
    }
    return new Workshop(
        moulds,
        List.of(bottled(plain, "resin"), bottled(plain, "other")),
        List.of(
            Samples.liquid("tint"),
            Samples.colourant("mica", ColourantForm.MICA),
            Samples.colourant("ink", ColourantForm.ALCOHOL_INK),
            Samples.colourant(
                "oil",
                one(ColourantForm.OIL_PAINT, ColourantForm.SILICONE_OIL, ColourantForm.DYE))),
        List.of(
            new Colour("blue", "Blue", "#111111", List.of(new Colour.Part("tint", 2))),
            new Colour("shine", "Shine", "#222222", List.of(new Colour.Part("mica", 1))),
            new Colour("inky", "Inky", "#333333", List.of(new Colour.Part("ink", 1))),
            new Colour("oily", "Oily", "#444444", List.of(new Colour.Part("oil", 1)))),
        List.of(
            chance(0.1) ? waxed(Samples.MIXING) : Samples.MIXING,
            chance(0.3) ? counted() : chance(0.1) ? waxed(Samples.SMALL) : Samples.SMALL),
        parts,
        List.of(
            new Embed(
                "brass",
                "Brass",
                1.2,
                null,
                8.45,
                true,
                false,
                null,
                500,
                chance(0.5) ? null : between(5, 60),
                chance(0.5) ? null : between(1, 20),
                chance(0.5) ? null : between(3, 60)),
            new Embed("cork", "Cork", null, 0.4, 0.2, true, true, null, 500),
            new Embed("even", "Even", null, 0.3, 1.1, true, false, null, 500)),
        tools,
        List.of());
  }

  private static CupKind waxed(CupKind c) {
    return c.withMaterial(CupKind.Material.WAXED_PAPER);
  }

  private CupKind counted() {
    return Samples.SMALL.withHave(1 + random.nextInt(4));
  }

  private static ResinPart part(String id, ResinPart.Side side, double leftG) {
    Lot lot = new Lot("1", null, leftG, null, null);
    return new ResinPart(id, id, side, null, null, null, List.of(lot));
  }

  private static ResinSystem bottled(ResinSystem r, String id) {
    return new ResinSystem(
        id,
        id,
        r.kind(),
        r.ratio(),
        r.densityA(),
        r.densityB(),
        r.potLifeMinutes(),
        r.potLifeMassG(),
        r.potLifeTemperatureC(),
        r.largestBatchG(),
        r.mixMinutes(),
        r.gelMinutes(),
        r.loadingLimitPercent(),
        r.loadingBasis(),
        r.times(),
        r.facts(),
        "a",
        "b");
  }

  private Session session() {
    List<Piece> pieces = new ArrayList<>();
    int lines = 1 + random.nextInt(3);
    for (int l = 0; l < lines; l++) {
      pieces.add(piece());
    }
    Session plain = Samples.session(pieces, null, habits()).withSplitInto(1 + random.nextInt(2));
    // Both ends of summer time, and a plain day.
    LocalDateTime start =
        one(
            LocalDateTime.of(2026, 11, 28, 10, 0),
            LocalDateTime.of(2026, 3, 28, 19, 30),
            LocalDateTime.of(2026, 10, 24, 21, 0));
    Hours hours = chance(0.4) ? null : hours(start.toLocalDate());
    return plain
        .withStartsAt(start)
        .withArrangement(Arrangement.FREE.withHours(hours))
        .withAvailable(available(pieces));
  }

  /** Of some what there is was said, in one way or another, and mostly it is not enough. */
  private static Available available(List<Piece> pieces) {
    int all = pieces.stream().mapToInt(Piece::count).sum();
    double some = 11.0 * all;
    return switch (all % 5) {
      case 1 -> Available.ofG(some);
      case 2 -> new Available(null, some, null, null);
      case 3 -> new Available(null, null, some, some / 3);
      default -> null;
    };
  }

  private Hours hours(LocalDate first) {
    int from = one(0, 420, 540);
    int to = one(1_440, 1_380, 1_260);
    List<Hours.OtherDay> otherwise =
        chance(0.3) ? List.of(new Hours.OtherDay(first.plusDays(1), null, null)) : List.of();
    // Late risers have an afternoon of their own and a day off, every week.
    List<Hours.OfWeek> weekly =
        from == 540
            ? List.of(
                new Hours.OfWeek(first.plusDays(1).getDayOfWeek(), 720, 1_320),
                new Hours.OfWeek(first.plusDays(2).getDayOfWeek(), null, null))
            : List.of();
    return new Hours(from, to, otherwise, weekly);
  }

  private Piece piece() {
    List<Layer> layers = new ArrayList<>();
    int count = 1 + random.nextInt(3);
    for (int l = 0; l < count; l++) {
      boolean top = l == count - 1;
      Fill fill = top && chance(0.5) ? null : Fill.ofShare(between(0.15, 0.9 / count));
      String colour = one("clear", "blue", "shine", "inky", "oily");
      String second = one("clear", "blue", "shine");
      List<Layer.BesideColour> beside =
          chance(0.15) && !second.equals(colour)
              ? List.of(new Layer.BesideColour(second, between(0.2, 0.6)))
              : List.of();
      Join join = one(Join.values());
      String resin = chance(0.15) ? "other" : null;
      List<PlacedEmbed> embeds = new ArrayList<>();
      if (chance(0.5)) {
        embeds.add(embed());
      }
      Layer dry = new Layer(colour, fill, join, resin, beside, one(Layer.Meeting.values()), embeds);
      layers.add(
          chance(0.2)
              ? dry.withWet(List.of(new WetWork(one(WetWork.Kind.values()), between(0.2, 4), null)))
              : dry);
    }
    return new Piece("m" + random.nextInt(3), null, 1 + random.nextInt(4), layers, work());
  }

  private PlacedEmbed embed() {
    List<PlacedEmbed.Prepare> prepare =
        chance(0.4) ? List.of(one(PlacedEmbed.Prepare.values())) : List.of();
    return new PlacedEmbed(
        one("brass", "cork", "even"),
        1 + random.nextInt(2),
        one(PlacedEmbed.Moment.values()),
        chance(0.3),
        chance(0.3) ? 40 : 0,
        null,
        prepare);
  }

  private PieceWork work() {
    List<SurfaceWork> surface = new ArrayList<>();
    List<FinishStep> finishing = new ArrayList<>();
    if (chance(0.25)) {
      surface.add(SurfaceWork.usual(SurfaceWork.Kind.DETAIL_PAINT));
      surface.add(SurfaceWork.usual(one(SurfaceWork.Kind.values())));
    }
    if (chance(0.6)) {
      finishing.add(FinishStep.usual(FinishStep.Kind.TRIM_FLASH));
      finishing.add(FinishStep.usual(one(FinishStep.Kind.values())));
    }
    TopCoat coat =
        chance(0.2) ? new TopCoat("clear", null, 2, null, 10, 10, one(PieceSide.values())) : null;
    PieceWork.Curing curing =
        one(
            PieceWork.Curing.BENCH,
            PieceWork.Curing.BENCH,
            PieceWork.Curing.PRESSURE_POT,
            PieceWork.Curing.HOT_BOX);
    FillTo fill =
        one(
            null,
            null,
            FillTo.FLUSH,
            FillTo.DOMED,
            new FillTo(FillTo.Kind.DOMED, between(0.5, 3)),
            new FillTo(FillTo.Kind.SHORT, between(0.3, 2)));
    return new PieceWork(
            null, null, surface, coat, finishing, one(PieceWork.BubbleCare.values()), curing)
        .withFill(fill)
        .withInner(chance(0.2) ? pin() : null);
  }

  /** A thin form that fits into every mould there is. */
  private InnerMould pin() {
    return new InnerMould(
        List.of(new Solid(SolidKind.CYLINDER, null, 3.0, 30.0, null, null, null, null, null)),
        between(0, 6),
        100.0);
  }

  private Habits habits() {
    Care d = Care.DEFAULT;
    Care care =
        new Care(
            one(Care.BubbleMethod.values()),
            one(Care.MouldPrep.values()),
            d.mouldDryMinutes(),
            d.halfFillRestMinutes(),
            d.embedDryMinutes(),
            d.lampMinutes(),
            one(Care.Leaving.values()),
            d.leavingDays());
    Mixing mixing =
        new Mixing(
            one(
                Mixing.Warming.NONE,
                Mixing.Warming.NONE,
                Mixing.Warming.BOTH,
                Mixing.Warming.A_ONLY,
                Mixing.Warming.A_HOT_AIR),
            null,
            null,
            one(Mixing.MixingCups.values()),
            0.75,
            one(0.0, 1.0),
            null,
            chance(0.6) ? null : one(Release.values()));
    return Habits.DEFAULT
        .withCare(care)
        .withMixing(mixing)
        .withPlanning(new Planning(50 + random.nextInt(46), chance(0.15) ? 2 : 1))
        .withRestMinutes(one(0.0, 4.0, 8.0));
  }

  /** Something that another session needs, somewhere in the next two days. */
  static Booking booking(Random random, Session session, Booking.Thing what, String id) {
    Instant from = session.startsAtInstant().plus(Duration.ofMinutes(random.nextInt(60 * 4)));
    return new Booking(
        what, id, 8 + random.nextInt(20), from, from.plus(Duration.ofHours(6)), "Another");
  }
}
