package calmpour.core.session;

import calmpour.core.check.InvalidValuesException;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import calmpour.core.derive.Known;
import calmpour.core.design.Fill;
import calmpour.core.design.Join;
import calmpour.core.design.Layer;
import calmpour.core.design.PieceWork;
import calmpour.core.design.PlacedEmbed;
import calmpour.core.design.TopCoat;
import calmpour.core.embed.Embed;
import calmpour.core.habit.Habits;
import calmpour.core.mould.Cavity;
import calmpour.core.mould.DepthProfile;
import calmpour.core.mould.InnerMould;
import calmpour.core.mould.Measured;
import calmpour.core.mould.Mould;
import calmpour.core.resin.ResinSystem;
import calmpour.core.stock.ResinPart;
import calmpour.core.tint.Colour;
import calmpour.core.tint.Colourant;
import calmpour.core.tint.LoadingBasis;
import calmpour.core.tint.LoadingLimit;
import calmpour.core.tint.Tint;
import calmpour.core.tool.Booking;
import calmpour.core.tool.Tool;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Turns a session and a workshop into a {@link Job}, or says everything that is in the way. */
public final class Resolution {
  /** Most cavities in one session; beyond it somebody's finger slipped. */
  public static final Range CAVITIES = new Range(1, 2_000);

  /** A cup that gives out less than that serves for nothing, g. */
  private static final double LEAST_POUR_G = 0.5;

  /** Beyond this a mix is more colourant than resin, whatever the limits. */
  private static final Range STRONGEST_PERCENT = new Range(0, 60);

  /**
   * Shares such as a third, a third and a third may sum to a hair above one; a millionth of the
   * mould is less than any scale shows and more than the arithmetic's noise.
   */
  private static final double HAIR = 1e-6;

  private final Session session;
  private final Map<String, Mould> moulds;
  private final Map<String, ResinSystem> resins;
  private final Map<String, Colourant> colourants;
  private final Map<String, Colour> colours;
  private final Map<String, CupKind> cups;
  private final Map<String, ResinPart> parts;
  private final Map<String, Embed> embeds;
  private final List<Tool> tools;
  private final List<Booking> bookings;

  /** Colours as they are in each resin, by resin and colour. */
  private final Map<String, Map<String, Tint>> tints = new LinkedHashMap<>();

  private final Map<String, ResinSystem> bottled = new LinkedHashMap<>();
  private final List<Problem> problems = new ArrayList<>();
  private final List<Job.Assumption> assumptions = new ArrayList<>();

  private Resolution(Session session, Workshop workshop) {
    this.session = session;
    this.moulds = byId(workshop.moulds(), Mould::id);
    this.resins = byId(workshop.resins(), ResinSystem::id);
    this.colourants = byId(workshop.colourants(), Colourant::id);
    this.colours = byId(workshop.colours(), Colour::id);
    this.cups = byId(workshop.cups(), CupKind::id);
    this.parts = byId(workshop.parts(), ResinPart::id);
    this.embeds = byId(workshop.embeds(), Embed::id);
    this.tools = workshop.tools();
    this.bookings = workshop.bookings();
    colours.putIfAbsent(Colour.CLEAR.id(), Colour.CLEAR);
  }

  /**
   * @throws InvalidValuesException naming every unknown material and every layer that does not fit
   */
  public static Job of(Session session, Workshop workshop) {
    Workshop whole =
        session.carried() == null ? workshop : workshop.overlaidWith(session.carried());
    return new Resolution(session, whole).resolve();
  }

  private Job resolve() {
    ResinSystem resin = resin(session.resinId(), "resinId");
    List<Job.Line> lines = new ArrayList<>();
    int cavities = 0;
    for (int i = 0; i < session.pieces().size(); i++) {
      Piece piece = session.pieces().get(i);
      cavities += piece.count();
      String at = "pieces[" + i + "]";
      Mould mould = find(moulds, piece.mouldId(), at + ".mouldId");
      List<Colour> named = new ArrayList<>();
      for (int l = 0; l < piece.layers().size(); l++) {
        String colourAt = at + ".layers[" + l + "].colourId";
        named.add(find(colours, piece.layers().get(l).colourId(), colourAt));
      }
      Cavity cavity = mould == null ? null : mould.cavity(piece.cavityId());
      if (mould != null && cavity == null) {
        problems.add(Problem.of(at + ".cavityId", Problem.Code.UNKNOWN_ID, piece.cavityId()));
      }
      if (cavity != null && !named.contains(null)) {
        line(at, piece, mould, cavity, named, lines);
      }
    }
    if (cavities > CAVITIES.maxInclusive()) {
      problems.add(Problem.outside("pieces", Problem.Code.TOO_MANY, cavities, CAVITIES));
    }
    List<CupKind> laidOut = laidOutCups();
    if (resin != null) {
      tint(resin, Colour.CLEAR);
    }
    List<Job.CupByHand> byHand =
        problems.isEmpty() ? HandCups.of(session, lines, cups, problems) : List.of();
    if (!problems.isEmpty() || resin == null) {
      throw new InvalidValuesException(problems);
    }
    bottled.values().forEach(this::assumeResin);
    return new Job(
        session,
        resin,
        lines,
        tints.get(resin.id()),
        bottled.values().stream()
            .map(r -> new Job.ResinUse(r, tints.getOrDefault(r.id(), Map.of())))
            .toList(),
        fit(laidOut, CupKind.Use.COLOUR),
        fit(laidOut, CupKind.Use.MIXING),
        byHand,
        tools,
        bookings,
        used(lines, laidOut),
        assumptions);
  }

  /** A resin with its bottles; null after noting that there is none of that id. */
  private @Nullable ResinSystem resin(String id, String at) {
    if (!bottled.containsKey(id)) {
      ResinSystem found = withBottles(find(resins, id, at));
      if (found == null) {
        return null;
      }
      bottled.put(id, found);
    }
    return bottled.get(id);
  }

  private void line(
      String at,
      Piece piece,
      Mould mould,
      Cavity cavity,
      List<Colour> named,
      List<Job.Line> lines) {
    Cavity stood = withInner(at, piece, cavity);
    if (stood == null) {
      return;
    }
    Measured measured = stood.measured();
    List<Job.Level> levels = levels(at, piece, mould.nameOf(cavity), measured, named);
    TopCoat coat = piece.workOrNone().topCoat();
    Job.Level onTop = null;
    if (coat != null && !levels.isEmpty()) {
      onTop = coat(at + ".work.topCoat", coat, measured.profile(), levels.get(levels.size() - 1));
    }
    lines.add(new Job.Line(piece, mould, stood, measured, levels, onTop));
  }

  /** The cavity with the piece's own inner mould in it; null after noting why it does not fit. */
  private @Nullable Cavity withInner(String at, Piece piece, Cavity cavity) {
    InnerMould inner = piece.workOrNone().inner();
    if (inner == null) {
      return cavity;
    }
    try {
      return new Cavity(
          cavity.id(),
          cavity.name(),
          cavity.count(),
          cavity.measure(),
          cavity.depthMm(),
          cavity.lengthMm(),
          inner,
          cavity.bed());
    } catch (InvalidValuesException doesNotFit) {
      doesNotFit.problems().forEach(p -> problems.add(p.under(at + ".work")));
      return null;
    }
  }

  private Job.@Nullable Level coat(String at, TopCoat coat, DepthProfile profile, Job.Level top) {
    Colour colour = find(colours, coat.colourId(), at + ".colourId");
    ResinSystem resin =
        coat.resinId() == null
            ? resin(session.resinId(), "resinId")
            : resin(coat.resinId(), at + ".resinId");
    if (colour == null || resin == null) {
      return null;
    }
    tint(resin, colour);
    double open =
        switch (coat.side()) {
          case OPEN -> profile.areaAtMm2(top.toMm());
          case FLOOR -> widest(profile, top.toMm());
        };
    double area = coat.areaCm2() == null ? open / 100 : coat.areaCm2();
    double volume = coat.volumeMl(open / 100);
    if (!(area > 0) || volume < Fill.VOLUME_ML.minInclusive()) {
      problems.add(Problem.of(at + ".areaCm2", Problem.Code.MISSING, null));
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
        area);
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

  /** What its own bottles say stands in where the system's label says nothing. */
  private @Nullable ResinSystem withBottles(@Nullable ResinSystem resin) {
    if (resin == null) {
      return null;
    }
    ResinPart a = bottle(resin.partAId(), "partAId");
    ResinPart b = bottle(resin.partBId(), "partBId");
    return resin.withDensities(a == null ? null : a.density(), b == null ? null : b.density());
  }

  private @Nullable ResinPart bottle(@Nullable String id, String field) {
    return id == null ? null : find(parts, id, "resinId." + field);
  }

  private List<Job.Level> levels(
      String at, Piece piece, String name, Measured mould, List<Colour> named) {
    DepthProfile profile = mould.profile();
    List<Job.Level> levels = new ArrayList<>();
    double filled = 0;
    double depth = 0;
    int stage = 0;
    for (int l = 0; l < piece.layers().size(); l++) {
      Layer layer = piece.layers().get(l);
      String layerAt = at + ".layers[" + l + "]";
      boolean onTop = l == piece.layers().size() - 1;
      ResinSystem resin =
          layer.resinId() == null
              ? resin(session.resinId(), "resinId")
              : resin(layer.resinId(), layerAt + ".resinId");
      List<Colour> colours = beside(layerAt, layer, named.get(l));
      List<Job.EmbedIn> inside = embeds(layerAt, layer, l);
      if (resin == null || colours.contains(null) || inside.contains(null)) {
        return levels;
      }
      colours.forEach(c -> tint(resin, c));
      double displaced = inside.stream().mapToDouble(Job.EmbedIn::displacesMl).sum();
      double density = tints.get(resin.id()).get(layer.colourId()).mixDensity();
      double room = room(layerAt, layer, onTop, name, mould, filled, depth, displaced, density);
      double top = filled + room;
      if (Double.isNaN(room)) {
        return levels;
      }
      double mix = room - displaced;
      if (mix < Fill.VOLUME_ML.minInclusive() && displaced > 0) {
        problems.add(
            Problem.outside(
                layerAt + ".embeds",
                Problem.Code.EMBEDS_FILL_LAYER,
                displaced,
                new Range(0, room)));
        return levels;
      }
      if (top > mould.volumeMl() * (1 + HAIR)) {
        Range legal = new Range(0, mould.volumeMl());
        problems.add(Problem.outside(layerAt + ".fill", Problem.Code.OVERFILLED, top, legal));
        return levels;
      }
      double level = profile.depthAtMm(Math.min(top, mould.volumeMl()));
      boolean waits = l > 0 && layer.join() != Join.TOGETHER;
      if (l > 0 && !waits && !resin.id().equals(levels.get(l - 1).resinId())) {
        problems.add(Problem.of(layerAt + ".join", Problem.Code.JOIN_OF_TWO_RESINS, null));
        return levels;
      }
      stage += waits ? 1 : 0;
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
              0));
      filled = top;
      depth = level;
    }
    return levels;
  }

  /** The colours of a layer, its own first; null for one that is unknown. */
  private List<Colour> beside(String at, Layer layer, Colour own) {
    List<Colour> all = new ArrayList<>();
    all.add(own);
    for (int i = 0; i < layer.beside().size(); i++) {
      all.add(find(colours, layer.beside().get(i).colourId(), at + ".beside[" + i + "].colourId"));
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
      Embed embed = find(embeds, placed.embedId(), embedAt + ".embedId");
      boolean onFluid = index > 0 && layer.join() == Join.TOGETHER && !placed.anchored();
      if (placed.moment() == PlacedEmbed.Moment.BEFORE_POUR && onFluid) {
        problems.add(Problem.of(embedAt + ".moment", Problem.Code.EMBED_ON_FLUID, null));
      }
      inside.add(embed == null ? null : new Job.EmbedIn(embed, placed));
    }
    return inside;
  }

  /** Room of one layer in its cavity, mL, embeds and all; NaN after noting why there is none. */
  private double room(
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
        problems.add(Problem.of(at + ".fill", Problem.Code.REST_ONLY_ON_TOP, null));
        return Double.NaN;
      }
      if (left < Fill.VOLUME_ML.minInclusive()) {
        problems.add(Problem.of(at + ".fill", Problem.Code.NOTHING_LEFT_FOR_LAYER, null));
        return Double.NaN;
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
    double thickness = fill.depthShare() == null ? fill.depthMm() : fill.depthShare() * known;
    if (mould.depthAssumed() && fill.depthShare() == null) {
      problems.add(Problem.of(at + ".fill.depthMm", Problem.Code.DEPTH_UNKNOWN, name));
      return Double.NaN;
    }
    double level = depth + thickness;
    if (level > known * (1 + HAIR)) {
      Range legal = new Range(0, known);
      String field = fill.depthShare() == null ? ".fill.depthMm" : ".fill.depthShare";
      problems.add(Problem.outside(at + field, Problem.Code.OVERFILLED, level, legal));
      return Double.NaN;
    }
    return mould.profile().volumeAtMl(Math.min(level, known)) - filled;
  }

  private void tint(ResinSystem resin, Colour colour) {
    Map<String, Tint> ofResin = tints.computeIfAbsent(resin.id(), id -> new HashMap<>());
    if (!ofResin.containsKey(colour.id())) {
      ofResin.put(colour.id(), within(resin, colour));
    }
  }

  private Tint within(ResinSystem resin, Colour colour) {
    Habits habits = session.habits();
    List<Colourant> parts = new ArrayList<>();
    List<Double> percents = new ArrayList<>();
    List<LoadingLimit> limits = new ArrayList<>();
    limits.add(
        new LoadingLimit(
            LoadingLimit.Whose.SHOP_ALL, null, habits.capAllPercent(), LoadingBasis.VOLUME_OF_MIX));
    limits.add(liquidLimit(habits));
    if (resin.loadingLimitPercent() != null) {
      limits.add(
          new LoadingLimit(
              LoadingLimit.Whose.RESIN, null, resin.loadingLimitPercent(), resin.loadingBasis()));
    }
    List<Double> shares = strengthened(colour);
    for (Colour.Part part : colour.recipe()) {
      String at = "colours[" + colour.id() + "].recipe";
      Colourant colourant = find(colourants, part.colourantId(), at);
      if (colourant != null) {
        parts.add(colourant);
        percents.add(shares.get(percents.size()));
        assumeColourant(colourant);
        LoadingLimit.ofLabel(colourant).ifPresent(limits::add);
      }
    }
    return Tint.within(parts, percents, resin.mixedDensity(), limits);
  }

  private static LoadingLimit liquidLimit(Habits habits) {
    return switch (habits.tinting().liquids()) {
      case SHARE ->
          new LoadingLimit(
              LoadingLimit.Whose.SHOP_LIQUIDS,
              null,
              habits.capLiquidPercent(),
              LoadingBasis.WEIGHT_OF_MIX);
      case DROPS ->
          new LoadingLimit(
              LoadingLimit.Whose.SHOP_DROPS,
              null,
              habits.tinting().dropsPer10Ml(),
              LoadingBasis.DROPS_IN_10_ML);
    };
  }

  /** The recipe's shares, made stronger or weaker for this session. */
  private List<Double> strengthened(Colour colour) {
    double factor = session.strengthOf(colour.id());
    List<Double> shares = colour.percentsOfMix().stream().map(p -> p * factor).toList();
    double all = shares.stream().mapToDouble(Double::doubleValue).sum();
    if (all <= STRONGEST_PERCENT.maxInclusive()) {
      return shares;
    }
    problems.add(
        Problem.outside("strengths", Problem.Code.RECIPE_TOO_STRONG, all, STRONGEST_PERCENT));
    return colour.percentsOfMix();
  }

  private List<CupKind> laidOutCups() {
    List<CupKind> laidOut = new ArrayList<>();
    for (int i = 0; i < session.cupIds().size(); i++) {
      CupKind cup = find(cups, session.cupIds().get(i), "cupIds[" + i + "]");
      if (cup != null && keepsAll(cup)) {
        problems.add(
            Problem.of("cupIds[" + i + "]", Problem.Code.CUP_HOLDS_TOO_LITTLE, cup.name()));
      } else if (cup != null) {
        laidOut.add(cup);
      }
    }
    if (session.cupIds().isEmpty()) {
      cups.values().stream().filter(c -> !keepsAll(c)).forEach(laidOut::add);
    }
    if (laidOut.isEmpty()) {
      for (CupKind cup : AssumedCups.ALL) {
        laidOut.add(cup);
        assumptions.add(
            new Job.Assumption(cup.id(), cup.name(), "capacity", cup.capacityMl(), "mL"));
      }
    }
    return laidOut;
  }

  /** Whether a cup filled up to its headroom would give out next to nothing. */
  private boolean keepsAll(CupKind cup) {
    double usableG = cup.capacityMl() * (1 - session.habits().headroomPercent() / 100);
    return cup.clings(session.habits()).outOf(usableG) < LEAST_POUR_G;
  }

  /** Kinds that may be used when those kept for {@code notUse} are left out; all if none remain. */
  private static List<CupKind> fit(List<CupKind> laidOut, CupKind.Use notUse) {
    List<CupKind> fit = laidOut.stream().filter(c -> c.use() != notUse).toList();
    return (fit.isEmpty() ? laidOut : fit)
        .stream()
            .sorted(Comparator.comparingDouble(CupKind::capacityMl).thenComparing(CupKind::id))
            .toList();
  }

  private Workshop used(List<Job.Line> lines, List<CupKind> laidOut) {
    Map<String, Mould> usedMoulds = new LinkedHashMap<>();
    Map<String, Colour> usedColours = new LinkedHashMap<>();
    Map<String, Colourant> usedColourants = new LinkedHashMap<>();
    Map<String, Embed> usedEmbeds = new LinkedHashMap<>();
    for (Job.Line line : lines) {
      usedMoulds.put(line.mould().id(), line.mould());
      for (Job.Level level : line.poured()) {
        level.embeds().forEach(e -> usedEmbeds.put(e.embed().id(), e.embed()));
        for (Job.ColourShare share : level.colours()) {
          Colour colour = share.colour();
          usedColours.put(colour.id(), colour);
          for (Colour.Part part : colour.recipe()) {
            Colourant colourant = colourants.get(part.colourantId());
            if (colourant != null) {
              usedColourants.put(colourant.id(), colourant);
            }
          }
        }
      }
    }
    return new Workshop(
        List.copyOf(usedMoulds.values()),
        List.copyOf(bottled.values()),
        List.copyOf(usedColourants.values()),
        List.copyOf(usedColours.values()),
        // By id, so that the order of the shelf makes no difference to a snapshot.
        Stream.concat(laidOut.stream(), chosenByHand())
            .distinct()
            .sorted(Comparator.comparing(CupKind::id))
            .toList(),
        parts.values().stream()
            .filter(p -> bottled.values().stream().anyMatch(r -> isOf(p, r)))
            .sorted(Comparator.comparing(ResinPart::id))
            .toList(),
        List.copyOf(usedEmbeds.values()),
        lines.stream().anyMatch(l -> l.piece().workOrNone().curing() != PieceWork.Curing.BENCH)
            ? tools
            : List.of(),
        List.of());
  }

  private static boolean isOf(ResinPart part, ResinSystem resin) {
    return part.id().equals(resin.partAId()) || part.id().equals(resin.partBId());
  }

  /** Kinds that cups put together by hand ask for, whether they are laid out or not. */
  private Stream<CupKind> chosenByHand() {
    return session.cupsByHand().stream()
        .map(HandCup::cupId)
        .filter(cups::containsKey)
        .map(cups::get);
  }

  private void assumeResin(ResinSystem resin) {
    String id = resin.id();
    String name = resin.name();
    assume(id, name, "densityA", resin.knownDensityA(), "g/mL");
    assume(id, name, "densityB", resin.knownDensityB(), "g/mL");
    assume(id, name, "potLifeMinutes", resin.knownPotLifeMinutes(), "min");
    assume(id, name, "potLifeMassG", resin.knownPotLifeMassG(), "g");
    assume(id, name, "potLifeTemperatureC", resin.knownPotLifeTemperatureC(), "°C");
  }

  private void assumeColourant(Colourant colourant) {
    String id = colourant.id();
    String name = colourant.name();
    if (assumptions.stream().anyMatch(a -> a.subjectId().equals(id))) {
      return;
    }
    assume(id, name, "bulkDensity", colourant.knownBulkDensity(), "g/mL");
    assume(id, name, "trueDensity", colourant.knownTrueDensity(), "g/mL");
    if (colourant.knownWaterPercent().value() > 0) {
      assume(id, name, "waterPercent", colourant.knownWaterPercent(), "%");
    }
    if (colourant.knownSolventPercent().value() > 0) {
      assume(id, name, "solventPercent", colourant.knownSolventPercent(), "%");
    }
    if (colourant.form().liquid()) {
      assume(id, name, "dropG", colourant.knownDropG(), "g");
    } else {
      assume(id, name, "scoopMl", colourant.knownScoopMl(), "mL");
    }
  }

  private void assume(String id, String name, String quantity, Known known, String unit) {
    if (known.assumed()) {
      assumptions.add(Job.Assumption.of(id, name, quantity, known, unit));
    }
  }

  private <T> @Nullable T find(Map<String, T> all, String id, String at) {
    T found = all.get(id);
    if (found == null) {
      problems.add(Problem.of(at, Problem.Code.UNKNOWN_ID, id));
    }
    return found;
  }

  private static <T> Map<String, T> byId(List<T> all, Function<T, String> id) {
    Map<String, T> byId = new LinkedHashMap<>();
    for (T each : all) {
      byId.put(id.apply(each), each);
    }
    return byId;
  }
}
