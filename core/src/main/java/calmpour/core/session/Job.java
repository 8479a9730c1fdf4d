package calmpour.core.session;

import static calmpour.core.check.Known.known;

import calmpour.core.cup.CupKind;
import calmpour.core.cure.RoomCourse;
import calmpour.core.derive.Known;
import calmpour.core.design.Design;
import calmpour.core.design.Join;
import calmpour.core.design.Layer;
import calmpour.core.design.PlacedEmbed;
import calmpour.core.embed.Embed;
import calmpour.core.mould.Cavity;
import calmpour.core.mould.DepthProfile;
import calmpour.core.mould.InnerMould;
import calmpour.core.mould.Measured;
import calmpour.core.mould.Mould;
import calmpour.core.mould.MouldMake;
import calmpour.core.resin.ResinSystem;
import calmpour.core.tint.Colour;
import calmpour.core.tint.Tint;
import calmpour.core.tool.Booking;
import calmpour.core.tool.Tool;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A session with every id replaced by the thing itself and every fill turned into volume: all that
 * a plan is made from.
 *
 * @param resins every resin of the session, its own first
 * @param mixingCups kinds fit for the whole mix, smallest first
 * @param colourCups kinds fit for one colour, smallest first
 * @param handCups cups put together by hand, in the order of the session
 * @param tools shared things of the workshop
 * @param bookings what other sessions need
 * @param used the part of the workshop that the session really uses
 * @param assumptions starting values that stand in for what nobody measured
 * @param roomRead what thermometers said of the room since the work began; empty for a plan
 */
@RecordBuilder
public record Job(
    Session session,
    List<Line> lines,
    List<ResinUse> resins,
    List<CupKind> mixingCups,
    List<CupKind> colourCups,
    List<CupByHand> handCups,
    List<Tool> tools,
    List<Booking> bookings,
    Workshop used,
    List<Assumption> assumptions,
    List<RoomCourse.Reading> roomRead)
    implements JobBuilder.With {
  public Job {
    lines = List.copyOf(lines);
    resins = List.copyOf(resins);
    mixingCups = List.copyOf(mixingCups);
    colourCups = List.copyOf(colourCups);
    handCups = List.copyOf(handCups);
    tools = List.copyOf(tools);
    bookings = List.copyOf(bookings);
    assumptions = List.copyOf(assumptions);
    roomRead = List.copyOf(roomRead);
  }

  /**
   * A resin of the session with the colours as they are in it.
   *
   * @param tints by colour id
   */
  public record ResinUse(ResinSystem resin, Map<String, Tint> tints) {
    public ResinUse {
      tints = Map.copyOf(tints);
    }
  }

  /** The resin of the session itself. */
  public ResinSystem resin() {
    return resins.get(0).resin();
  }

  /** With the resin of a batch at hand. */
  public JobInResin in(String resinId) {
    ResinUse use =
        resins.stream().filter(r -> r.resin().id().equals(resinId)).findFirst().orElseThrow();
    return new JobInResin(this, use.resin, use.tints);
  }

  /** The same for a session that differs in its room or its habits alone. */
  public Job of(Session other) {
    return withSession(other);
  }

  /**
   * The same where some layers meet what lies below otherwise than designed.
   *
   * @param joins by layer of a line
   */
  public Job withJoins(Map<LayerAt, Join> joins) {
    List<Line> changed = new ArrayList<>();
    for (int l = 0; l < lines.size(); l++) {
      Line line = lines.get(l);
      List<Level> levels = new ArrayList<>();
      for (int v = 0; v < line.levels().size(); v++) {
        Join join = joins.get(new LayerAt(l, v));
        levels.add(join == null ? line.level(v) : line.level(v).joined(join));
      }
      changed.add(
          new Line(
              line.piece(), line.mould(), line.cavity(), line.measured(), levels, line.coat()));
    }
    return withLines(changed);
  }

  /**
   * A layer of all pieces of a line.
   *
   * @param line from 0
   * @param layer from 0
   */
  public record LayerAt(int line, int layer) {}

  /** How warm it is while the work goes on. */
  public RoomCourse room() {
    return new RoomCourse(
        session.room().temperatureC(),
        session.room().course(session.startsAtInstant(), ZoneId.of(session.zoneId()), roomRead));
  }

  /** A colour as it is in the resin of a level. */
  public Tint tint(Level level, Colour colour) {
    return known(in(level.resinId()).tints().get(colour.id()));
  }

  /**
   * One line of pieces with its mould and its layers in volume.
   *
   * @param coat what lies on the finished piece; null for none
   */
  public record Line(
      Piece piece,
      Mould mould,
      Cavity cavity,
      Measured measured,
      List<Level> levels,
      @Nullable Level coat) {
    public Line {
      levels = List.copyOf(levels);
    }

    /** What is poured, the top coat last. */
    public List<Level> poured() {
      if (coat == null) {
        return levels;
      }
      List<Level> all = new ArrayList<>(levels);
      all.add(coat);
      return all;
    }

    /**
     * What a level waits for: how the first of its stage meets what lies below; together for what
     * is poured first. What waits for a day is no company for what waits for gel.
     */
    public Join waits(Level level) {
      if (level.stage() == 0) {
        return Join.TOGETHER;
      }
      return poured().stream()
          .filter(v -> v.stage() == level.stage())
          .map(Level::join)
          .findFirst()
          .orElseThrow();
    }

    /** A level by its index, the top coat's being the last. */
    public Level level(int index) {
      return index < levels.size() || coat == null ? levels.get(index) : coat;
    }

    /** So many times as long as usual a pour into it takes. */
    public double pourTimes() {
      return mould.make() == null ? 1 : mould.make().pourTimes();
    }

    /** Whether it stays in what it was poured into. */
    public boolean stays() {
      return opening() == MouldMake.Opening.BEZEL || flat();
    }

    /** Whether it is coated where it stands, with edges and what drips. */
    public boolean flat() {
      return opening() == MouldMake.Opening.FLAT;
    }

    private MouldMake.@Nullable Opening opening() {
      return mould.make() == null ? null : mould.make().opening();
    }

    /** Whether a lid is pressed onto it. */
    public boolean lidded() {
      return opening() == MouldMake.Opening.CLOSED;
    }

    /** The form that stands in it and leaves a hollow; null for none. */
    public @Nullable InnerMould inner() {
      InnerMould own = piece.workOrNone().inner();
      return own == null ? cavity.inner() : own;
    }

    /**
     * Whether the inner mould is set before that layer: the first that reaches above its floor,
     * with whatever is poured together with it.
     *
     * @param layer from 0
     */
    public boolean setsInner(int layer) {
      InnerMould inner = inner();
      if (inner == null || layer >= levels.size()) {
        return false;
      }
      int first = 0;
      while (first < levels.size() - 1 && levels.get(first).toMm() <= inner.clearanceMm()) {
        first++;
      }
      while (first > 0 && levels.get(first).stage() == levels.get(first - 1).stage()) {
        first--;
      }
      return layer == first;
    }

    /** Whether something is laid or set before that layer is poured. */
    public boolean laysFirst(int layer) {
      return setsInner(layer)
          || level(layer).embeds().stream()
              .anyMatch(e -> e.placed().moment() == PlacedEmbed.Moment.BEFORE_POUR);
    }

    public DepthProfile profile() {
      return measured.profile();
    }

    /** Sizes of a panel are off by that much together (starting value, no source). */
    private static final double FLAT_UNSURE = 0.02;

    /** What is written beside it. */
    public String name() {
      return mould.nameOf(cavity);
    }

    /** How far the cavity's volume may be off, as a share of it. */
    public double uncertainShare() {
      // How thick a coat is was chosen, not measured: what is left is its area.
      double known = measured.plusMinusMl() / measured.volumeMl();
      return flat() ? Math.min(known, FLAT_UNSURE) : known;
    }
  }

  /**
   * One layer as it lies in the cavity, or a coat on the piece.
   *
   * @param colour its first
   * @param stage 0 for what is poured first; one more for every join that waits
   * @param volumeMl of the mix, without what embeds displace
   * @param toMm its surface; a coat begins and ends where the piece does
   * @param colours every colour with its volume, in the order they are poured
   * @param gathered whether they are poured into one cup first
   * @param coatAreaCm2 what a coat lies on; 0 for a layer
   * @param above what stands above the rim; null for nothing
   */
  public record Level(
      Colour colour,
      Join join,
      int stage,
      double volumeMl,
      double fromMm,
      double toMm,
      String resinId,
      List<ColourShare> colours,
      boolean gathered,
      List<EmbedIn> embeds,
      double coatAreaCm2,
      @Nullable Above above) {
    public Level {
      colours = List.copyOf(colours);
      embeds = List.copyOf(embeds);
    }

    Level joined(Join other) {
      return new Level(
          colour,
          other,
          stage,
          volumeMl,
          fromMm,
          toMm,
          resinId,
          colours,
          gathered,
          embeds,
          coatAreaCm2,
          above);
    }

    public boolean coat() {
      return coatAreaCm2 > 0;
    }

    /** Whether it is poured in two halves, an embed in between. */
    public boolean inHalves() {
      return embeds.stream().anyMatch(e -> e.placed().moment() == PlacedEmbed.Moment.HALF_FILL);
    }
  }

  /**
   * A dome above the rim, or the surplus of a closed mould.
   *
   * @param mm in its middle
   * @param ml of the layer's volume that it is
   * @param mostMm before it runs over
   * @param meanShare its mean height as a share of the highest
   */
  public record Above(double mm, double ml, double mostMm, double meanShare) {}

  /** A colour of a layer and how much of it. */
  public record ColourShare(Colour colour, double volumeMl) {}

  /** An embed and how it is put in. */
  public record EmbedIn(Embed embed, PlacedEmbed placed) {
    /** What those of one piece displace, mL. */
    public double displacesMl() {
      return embed.displacesMl() * placed.count() * placed.inResin();
    }
  }

  /**
   * A cup put together by hand, as it was found to be possible.
   *
   * @param kind null for whichever fits best
   * @param pours which cavities of which layers, from 1
   */
  public record CupByHand(@Nullable CupKind kind, Set<CavityLayer> pours) {
    public CupByHand {
      pours = Set.copyOf(pours);
    }
  }

  /** One layer of one cavity: line and layer from 0, cavity from 1. */
  public record CavityLayer(int line, int cavity, int layer) {}

  /** A starting value that stood in for something unknown. */
  public record Assumption(
      String subjectId, String subject, String quantity, double value, String unit) {
    static Assumption of(String id, String name, String quantity, Known known, String unit) {
      return new Assumption(id, name, quantity, known.value(), unit);
    }
  }

  /**
   * The layers of a line as shares of the depth, good for any mould.
   *
   * @param line from 0
   * @return empty when there is no such line
   */
  public Optional<List<Layer>> design(int line) {
    if (line < 0 || line >= lines.size()) {
      return Optional.empty();
    }
    Line its = lines.get(line);
    List<Double> tops = its.levels().stream().map(Level::toMm).toList();
    return Optional.of(Design.scalable(its.piece().layers(), tops, its.profile()));
  }
}
