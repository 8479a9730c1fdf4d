package calmpour.core.session;

import static calmpour.core.check.Known.known;

import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import calmpour.core.design.Fill;
import calmpour.core.design.Join;
import calmpour.core.design.Layer;
import calmpour.core.design.PlacedEmbed;
import calmpour.core.design.TopCoat;
import calmpour.core.embed.Embed;
import calmpour.core.habit.FillTo;
import calmpour.core.mould.DepthProfile;
import calmpour.core.mould.Measured;
import calmpour.core.mould.Meniscus;
import calmpour.core.mould.Mould;
import calmpour.core.mould.MouldMake;
import calmpour.core.resin.ResinSystem;
import calmpour.core.tint.Colour;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What is poured into the cavities of a line, level by level. */
final class Levels {
  /**
   * Shares such as a third, a third and a third may sum to a hair above one; a millionth of the
   * mould is less than any scale shows and more than the arithmetic's noise.
   */
  private static final double HAIR = 1e-6;

  private final Found found;
  private final Tints tints;
  private final FillTo usual;

  /**
   * @param usual how far moulds are filled where a piece does not say
   */
  Levels(Found found, Tints tints, FillTo usual) {
    this.found = found;
    this.tints = tints;
    this.usual = usual;
  }

  /** From the floor of the mould up; ends after noting why a layer does not fit. */
  List<Job.Level> of(
      String at, Piece piece, Mould kind, String name, Measured mould, List<Colour> named) {
    DepthProfile profile = mould.profile();
    FillTo to = fillTo(piece, kind);
    List<Job.Level> levels = new ArrayList<>();
    double filled = 0;
    double depth = 0;
    int stage = 0;
    for (int l = 0; l < piece.layers().size(); l++) {
      Layer layer = piece.layers().get(l);
      String layerAt = at + ".layers[" + l + "]";
      boolean onTop = l == piece.layers().size() - 1;
      ResinSystem resin = found.resinOf(layer.resinId(), layerAt + ".resinId");
      List<Colour> colours = beside(layerAt, layer, named.get(l));
      List<Job.EmbedIn> inside = embeds(layerAt, layer, l);
      if (resin == null || colours.contains(null) || inside.contains(null)) {
        return levels;
      }
      colours.forEach(c -> tints.tint(resin, c));
      double displaced = inside.stream().mapToDouble(Job.EmbedIn::displacesMl).sum();
      double density = known(tints.in(resin).get(layer.colourId())).mixDensity();
      Double room = room(layerAt, layer, onTop, name, mould, filled, depth, displaced, density);
      if (room != null && layer.fill() == null && to.kind() == FillTo.Kind.SHORT) {
        room = shortOfTheRim(at, name, mould, filled, known(to.mm()));
      }
      if (room == null) {
        return levels;
      }
      double top = filled + room;
      double mix = room - displaced;
      if (mix < Fill.VOLUME_ML.minInclusive() && displaced > 0) {
        found.problem(
            Problem.outside(
                layerAt + ".embeds",
                Problem.Code.EMBEDS_FILL_LAYER,
                displaced,
                new Range(0, room)));
        return levels;
      }
      if (top > mould.volumeMl() * (1 + HAIR)) {
        Range legal = new Range(0, mould.volumeMl());
        found.problem(Problem.outside(layerAt + ".fill", Problem.Code.OVERFILLED, top, legal));
        return levels;
      }
      double level = profile.depthAtMm(Math.min(top, mould.volumeMl()));
      Job.Above above =
          layer.fill() == null && to.kind() == FillTo.Kind.DOMED
              ? above(to, kind, mould, resin.mixedDensity(), lost(levels) + mix * lost(resin))
              : null;
      boolean waits = l > 0 && layer.join() != Join.TOGETHER;
      if (l > 0 && !waits && !resin.id().equals(levels.get(l - 1).resinId())) {
        found.problem(Problem.of(layerAt + ".join", Problem.Code.JOIN_OF_TWO_RESINS, null));
        return levels;
      }
      stage += waits ? 1 : 0;
      mix += above == null ? 0 : above.ml();
      levels.add(
          new Job.Level(
              named.get(l),
              layer.join(),
              stage,
              mix,
              depth,
              level,
              resin.id(),
              shares(layer, colours, mix),
              layer.meeting() == Layer.Meeting.ONE_CUP && colours.size() > 1,
              inside,
              0,
              above));
      filled = top;
      depth = level;
    }
    return levels;
  }

  /** What a closed mould's lid presses out is resin too: it is filled over where nobody says. */
  private FillTo fillTo(Piece piece, Mould mould) {
    FillTo own = piece.workOrNone().fill();
    MouldMake.Opening opening = mould.make() == null ? null : mould.make().opening();
    boolean over = opening == MouldMake.Opening.CLOSED || opening == MouldMake.Opening.FLAT;
    return own != null ? own : over ? FillTo.DOMED : usual;
  }

  /** Room of the topmost layer up to so many mm below the rim, mL; null after noting why not. */
  private @Nullable Double shortOfTheRim(
      String at, String name, Measured mould, double filled, double mm) {
    String field = at + ".work.fill.mm";
    double depth = mould.profile().depthMm();
    if (mould.depthAssumed()) {
      found.problem(Problem.of(field, Problem.Code.DEPTH_UNKNOWN, name));
      return null;
    }
    double level = depth - mm;
    double left = level > 0 ? mould.profile().volumeAtMl(level) - filled : 0;
    if (left < Fill.VOLUME_ML.minInclusive()) {
      Range legal = new Range(0, depth - mould.profile().depthAtMm(filled));
      found.problem(Problem.outside(field, Problem.Code.OUT_OF_RANGE, mm, legal));
      return null;
    }
    return left;
  }

  /** A dome may be a millimetre where nobody says more (common practice, no source). */
  private static final double USUAL_DOME_MM = 1;

  private static final double LEAST_OPENING_MM2 = 1;

  /** So much of a closed mould is filled over where it is not known (starting value, no source). */
  private static final double USUAL_SURPLUS = 0.02;

  /**
   * @param lostMl of the piece when it cures
   */
  private static Job.@Nullable Above above(
      FillTo to, Mould kind, Measured mould, double density, double lostMl) {
    DepthProfile profile = mould.profile();
    double area = profile.areaAtMm2(profile.depthMm());
    // What comes to a point has no surface to stand a dome on.
    boolean open = area >= LEAST_OPENING_MM2;
    double length = mould.depthAssumed() ? 0 : mould.section().widthMm();
    Meniscus skin = Meniscus.over(open ? area : LEAST_OPENING_MM2, open ? length : 0, density);
    double most = skin.highestMm();
    MouldMake make = kind.make();
    if (make != null && make.opening() == MouldMake.Opening.FLAT) {
      return new Job.Above(0, runsOff(make, mould), most, skin.fullness());
    }
    if (to.mm() == null && make != null && make.opening() == MouldMake.Opening.CLOSED) {
      double surplus =
          make.surplusMl() == null ? profile.volumeMl() * USUAL_SURPLUS : make.surplusMl();
      return new Job.Above(open ? skin.heightMm(surplus) : 0, surplus, most, skin.fullness());
    }
    if (!open) {
      return null;
    }
    double mm =
        to.mm() == null ? Math.min(most, Math.max(USUAL_DOME_MM, skin.heightMm(lostMl))) : to.mm();
    return new Job.Above(mm, skin.volumeMl(mm), most, skin.fullness());
  }

  /**
   * What flat work takes beyond area × thickness, mL: as thick a film on its edges, and what drips
   * of it all. Round it is taken for round or for a rectangle, by its area and its longer side.
   */
  private static double runsOff(MouldMake make, Measured mould) {
    double area = mould.profile().areaAtMm2(0);
    double thick = mould.profile().depthMm();
    double side = mould.section().widthMm();
    double circle = Math.PI * side * side / 4;
    double round = Math.abs(area / circle - 1) < ROUND ? Math.PI * side : 2 * (side + area / side);
    double edge = make.edgeMm() == null ? 0 : make.edgeMm();
    double drip = make.dripPercent() == null ? USUAL_DRIP : make.dripPercent() / 100;
    double edges = round * edge * thick / 1_000;
    return edges + (area * thick / 1_000 + edges) * drip;
  }

  /** A tenth runs off where nobody says (starting value, no source). */
  private static final double USUAL_DRIP = 0.1;

  /** An outline made of chords is a few per cent inside its circle. */
  private static final double ROUND = 0.06;

  private static double lost(ResinSystem resin) {
    Double lost = resin.facts() == null ? null : resin.facts().volumeLost();
    return lost == null ? 0 : lost;
  }

  /** mL that the layers below lose when they cure. */
  private double lost(List<Job.Level> levels) {
    double all = 0;
    for (Job.Level level : levels) {
      all += level.volumeMl() * lost(known(found.resinOf(level.resinId(), "")));
    }
    return all;
  }

  /** The colours of a layer, its own first; null for one that is unknown. */
  private List<Colour> beside(String at, Layer layer, Colour own) {
    List<Colour> all = new ArrayList<>();
    all.add(own);
    for (int i = 0; i < layer.beside().size(); i++) {
      all.add(
          found.find(
              found.colours, layer.beside().get(i).colourId(), at + ".beside[" + i + "].colourId"));
    }
    return all;
  }

  /** In the order they are poured: what presses the others apart comes last. */
  private static List<Job.ColourShare> shares(Layer layer, List<Colour> colours, double volumeMl) {
    List<Job.ColourShare> shares = new ArrayList<>();
    for (int i = 1; i < colours.size(); i++) {
      double share = layer.beside().get(i - 1).share();
      shares.add(new Job.ColourShare(colours.get(i), volumeMl * share));
    }
    Job.ColourShare own = new Job.ColourShare(colours.get(0), volumeMl * layer.ownShare());
    shares.add(layer.meeting() == Layer.Meeting.PRESSED_APART ? shares.size() : 0, own);
    return shares;
  }

  private List<Job.EmbedIn> embeds(String at, Layer layer, int index) {
    List<Job.EmbedIn> inside = new ArrayList<>();
    for (int e = 0; e < layer.embeds().size(); e++) {
      PlacedEmbed placed = layer.embeds().get(e);
      String embedAt = at + ".embeds[" + e + "]";
      Embed embed = found.find(found.embeds, placed.embedId(), embedAt + ".embedId");
      boolean onFluid = index > 0 && layer.join() == Join.TOGETHER && !placed.anchored();
      if (placed.moment() == PlacedEmbed.Moment.BEFORE_POUR && onFluid) {
        found.problem(Problem.of(embedAt + ".moment", Problem.Code.EMBED_ON_FLUID, null));
      }
      inside.add(embed == null ? null : new Job.EmbedIn(embed, placed));
    }
    return inside;
  }

  /** Room of one layer in its cavity, mL, embeds and all; null after noting why there is none. */
  private @Nullable Double room(
      String at,
      Layer layer,
      boolean onTop,
      String name,
      Measured mould,
      double filled,
      double depth,
      double displaced,
      double density) {
    Fill fill = layer.fill();
    if (fill == null) {
      double left = mould.volumeMl() - filled;
      if (!onTop) {
        found.problem(Problem.of(at + ".fill", Problem.Code.REST_ONLY_ON_TOP, null));
        return null;
      }
      if (left < Fill.VOLUME_ML.minInclusive()) {
        found.problem(Problem.of(at + ".fill", Problem.Code.NOTHING_LEFT_FOR_LAYER, null));
        return null;
      }
      return left;
    }
    if (fill.share() != null) {
      return fill.share() * mould.volumeMl();
    }
    if (fill.volumeMl() != null) {
      return fill.volumeMl() + displaced;
    }
    if (fill.massG() != null) {
      return fill.massG() / density + displaced;
    }
    double known = mould.profile().depthMm();
    // A share of the depth means the same in a cavity whose depth nobody measured.
    double thickness =
        fill.depthShare() == null ? known(fill.depthMm()) : fill.depthShare() * known;
    if (mould.depthAssumed() && fill.depthShare() == null) {
      found.problem(Problem.of(at + ".fill.depthMm", Problem.Code.DEPTH_UNKNOWN, name));
      return null;
    }
    double level = depth + thickness;
    if (level > known * (1 + HAIR)) {
      Range legal = new Range(0, known);
      String field = fill.depthShare() == null ? ".fill.depthMm" : ".fill.depthShare";
      found.problem(Problem.outside(at + field, Problem.Code.OVERFILLED, level, legal));
      return null;
    }
    return mould.profile().volumeAtMl(Math.min(level, known)) - filled;
  }

  /** A coat over the topmost level; null after noting what it lacks. */
  Job.@Nullable Level coat(String at, TopCoat coat, DepthProfile profile, Job.Level top) {
    Colour colour = found.find(found.colours, coat.colourId(), at + ".colourId");
    ResinSystem resin = found.resinOf(coat.resinId(), at + ".resinId");
    if (colour == null || resin == null) {
      return null;
    }
    tints.tint(resin, colour);
    double open =
        switch (coat.side()) {
          case OPEN -> profile.areaAtMm2(top.toMm());
          case FLOOR -> widest(profile, top.toMm());
        };
    double area = coat.areaCm2() == null ? open / 100 : coat.areaCm2();
    double volume = coat.volumeMl(open / 100);
    if (!(area > 0) || volume < Fill.VOLUME_ML.minInclusive()) {
      found.problem(Problem.of(at + ".areaCm2", Problem.Code.MISSING, null));
      return null;
    }
    return new Job.Level(
        colour,
        Join.CURED,
        top.stage() + 1,
        volume,
        top.toMm(),
        top.toMm(),
        resin.id(),
        List.of(new Job.ColourShare(colour, volume)),
        false,
        List.of(),
        area,
        null);
  }

  /** Seen from the floor, a piece is as large as its widest place, mm². */
  private static double widest(DepthProfile profile, double toMm) {
    double widest = 0;
    int steps = 40;
    for (int i = 0; i <= steps; i++) {
      widest = Math.max(widest, profile.areaAtMm2(Math.min(toMm, toMm * i / steps)));
    }
    return widest;
  }
}
