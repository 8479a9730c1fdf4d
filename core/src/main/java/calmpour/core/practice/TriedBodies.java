package calmpour.core.practice;

import calmpour.core.check.Check;
import calmpour.core.check.InvalidValuesException;
import calmpour.core.check.Problem;
import calmpour.core.cup.CupKind;
import calmpour.core.cure.BodyHistory;
import calmpour.core.cure.BodyHistory.Segment;
import calmpour.core.cure.BodyShape;
import calmpour.core.cure.TintShift;
import calmpour.core.habit.Care;
import calmpour.core.mould.Cavity;
import calmpour.core.mould.DepthProfile;
import calmpour.core.mould.Mould;
import calmpour.core.resin.ResinSystem;
import calmpour.core.session.Workshop;
import calmpour.core.tint.Colour;
import calmpour.core.tint.Colourant;
import calmpour.core.tint.Tint;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** A set-up as bodies of resin. */
final class TriedBodies {
  /**
   * What a lamp or hot air held over a cup puts into it, W: assumed, no source. Half a degree a
   * minute in 300 g.
   */
  static final double LAMP_W = 5;

  private final SetUp setUp;
  private final ResinSystem resin;
  private final @Nullable CupKind mixingCup;
  private final @Nullable CupKind cup;
  private final @Nullable Mould mould;
  private final @Nullable DepthProfile profile;
  private final List<Colourant> colourants = new ArrayList<>();
  private final @Nullable Tint tint;

  /**
   * @throws InvalidValuesException when it names what the workshop lacks, or a cup is too small
   */
  TriedBodies(SetUp setUp, Workshop workshop) {
    this.setUp = setUp;
    this.resin =
        workshop.resins().stream()
            .filter(r -> r.id().equals(setUp.resinId()))
            .findFirst()
            .map(workshop::asBottled)
            .orElseThrow(() -> WhatIf.unknown("resinId", setUp.resinId()));
    this.mixingCup = cup(workshop, "cupId", setUp.cupId());
    String split = setUp.splitInto() == 1 ? null : setUp.splitCupId();
    this.cup = split == null ? mixingCup : cup(workshop, "splitCupId", split);
    this.mould = setUp.lies() == SetUp.Lies.MOULD ? mould(workshop) : null;
    this.profile = mould == null ? null : profile(mould);
    this.tint = setUp.colourId() == null ? null : tint(workshop, setUp.colourId());
    holds("cupId", mixingCup, setUp.massG());
    double each = setUp.massG() / setUp.splitInto();
    holds(split == null ? "cupId" : "splitCupId", cup, each);
    if (profile != null && pieceG() > each) {
      throw new InvalidValuesException(
          List.of(new Problem("mouldId", Problem.Code.MOULD_TAKES_MORE, "" + each, 0.0, pieceG())));
    }
  }

  private static @Nullable CupKind cup(Workshop workshop, String field, @Nullable String id) {
    if (id == null) {
      return null;
    }
    return workshop.cups().stream()
        .filter(c -> c.id().equals(id))
        .findFirst()
        .orElseThrow(() -> WhatIf.unknown(field, id));
  }

  private Mould mould(Workshop workshop) {
    return workshop.moulds().stream()
        .filter(m -> m.id().equals(setUp.mouldId()))
        .findFirst()
        .orElseThrow(() -> WhatIf.unknown("mouldId", setUp.mouldId()));
  }

  private DepthProfile profile(Mould mould) {
    Cavity cavity =
        setUp.cavityId() == null
            ? mould.cavities().get(0)
            : mould.cavities().stream()
                .filter(c -> c.id().equals(setUp.cavityId()))
                .findFirst()
                .orElseThrow(() -> WhatIf.unknown("cavityId", setUp.cavityId()));
    return cavity.measured().profile();
  }

  /** The recipe as it is written; its limits are the plan's business. */
  private Tint tint(Workshop workshop, String id) {
    Colour colour =
        workshop.colours().stream()
            .filter(c -> c.id().equals(id))
            .findFirst()
            .orElseThrow(() -> WhatIf.unknown("colourId", id));
    for (Colour.Part part : colour.recipe()) {
      colourants.add(
          workshop.colourants().stream()
              .filter(c -> c.id().equals(part.colourantId()))
              .findFirst()
              .orElseThrow(() -> WhatIf.unknown("colourId", part.colourantId())));
    }
    return Tint.within(colourants, colour.percentsOfMix(), resin.mixedDensity(), List.of());
  }

  private void holds(String field, @Nullable CupKind kind, double massG) {
    double volume = massG / resin.mixedDensity();
    new Check()
        .that(
            kind == null || volume <= kind.capacityMl(),
            new Problem(
                field,
                Problem.Code.CUP_OVERFLOWS,
                "" + volume,
                0.0,
                kind == null ? 0.0 : kind.capacityMl()))
        .orThrow();
  }

  ResinSystem resin() {
    return resin;
  }

  List<Colourant> colourants() {
    return colourants;
  }

  double mixDensity() {
    return tint == null ? resin.mixedDensity() : tint.mixDensity();
  }

  /** Minutes until it is mixed, rested, and had its lamp. */
  double readyMinutes() {
    return setUp.pouredAfterMinutes() == null
        ? setUp.readyAfterMinutes()
        : setUp.pouredAfterMinutes();
  }

  /** In the mixing cup for good. */
  BodyHistory mixing() {
    List<Segment> segments = upTo(Double.POSITIVE_INFINITY);
    return new BodyHistory(setUp.knownStartC(), segments);
  }

  /** One of the cups for good. */
  BodyHistory cup() {
    if (setUp.splitInto() == 1) {
      BodyHistory mixing = mixing();
      List<Segment> tinted = mixing.segments().stream().map(s -> s.tinted(shift())).toList();
      return new BodyHistory(mixing.startC(), tinted);
    }
    List<Segment> segments = upTo(setUp.readyAfterMinutes());
    segments.add(own());
    return new BodyHistory(setUp.knownStartC(), segments);
  }

  private Segment own() {
    double massG = setUp.massG() / setUp.splitInto();
    return new Segment(0, massG, shape(cup, massG), setUp.roomC()).tinted(shift());
  }

  private TintShift shift() {
    return tint == null ? TintShift.NONE : TintShift.of(tint);
  }

  /** What is poured from one cup, in its mould or spread out; then in another room, perhaps. */
  BodyHistory piece() {
    List<Segment> segments = upTo(setUp.readyAfterMinutes());
    double poured = readyMinutes();
    segments.add(own().lasting(poured - setUp.readyAfterMinutes()));
    Segment lies = new Segment(0, pieceG(), lying(), setUp.roomC()).tinted(shift());
    Double after = setUp.laterAfterHours();
    Double laterC = setUp.laterC();
    if (after == null || laterC == null) {
      segments.add(lies);
    } else {
      segments.add(lies.lasting(Math.max(0, after * 60 - poured)));
      segments.add(new Segment(0, pieceG(), lying(), laterC).tinted(shift()));
    }
    return new BodyHistory(setUp.knownStartC(), segments);
  }

  private double pieceG() {
    return profile == null ? setUp.massG() / setUp.splitInto() : profile.volumeMl() * mixDensity();
  }

  private BodyShape lying() {
    if (profile != null) {
      // What it stands on is a habit of sessions; a board here.
      return BodyShape.InMould.of(profile, 0, profile.depthMm(), profile.volumeMl())
          .in(BodyShape.Around.of(mould, Care.StandsOn.BOARD));
    }
    double volume = pieceG() / mixDensity();
    return new BodyShape.Spread(volume * 10 / pieceDepthMm(), pieceDepthMm());
  }

  double pieceDepthMm() {
    if (profile != null) {
      return profile.depthMm();
    }
    return setUp.sheetMm() == null ? 1 : setUp.sheetMm();
  }

  /** Width of what it lies in, mm. */
  double pieceAcrossMm() {
    return lying() instanceof BodyShape.InMould mould
        ? mould.acrossMm()
        : 10 * Math.sqrt(pieceG() / mixDensity() * 10 / pieceDepthMm());
  }

  double cupLevelMm() {
    return level(cup, setUp.massG() / setUp.splitInto());
  }

  double mixingLevelMm() {
    return level(mixingCup, setUp.massG());
  }

  private double level(@Nullable CupKind kind, double massG) {
    return shape(kind, massG).depthMm();
  }

  /** Mixed, with a lamp on it, and at rest; up to a minute. */
  private List<Segment> upTo(double minutes) {
    BodyShape shape = shape(mixingCup, setUp.massG());
    Segment still = new Segment(0, setUp.massG(), shape, setUp.roomC());
    double lampTo = setUp.mixMinutes() + setUp.lampMinutes();
    List<Segment> segments = new ArrayList<>();
    segments.add(still.lasting(setUp.mixMinutes()));
    if (setUp.lampMinutes() > 0) {
      segments.add(
          new Segment(
              setUp.lampMinutes(), setUp.massG(), shape, setUp.roomC(), LAMP_W, TintShift.NONE));
    }
    if (minutes > lampTo) {
      segments.add(still.lasting(Double.isInfinite(minutes) ? 0 : minutes - lampTo));
    }
    return segments;
  }

  private BodyShape.InCup shape(@Nullable CupKind kind, double massG) {
    double volume = massG / resin.mixedDensity();
    return kind == null ? BodyShape.InCup.asHighAsWide(volume) : kind.holding(volume);
  }
}
