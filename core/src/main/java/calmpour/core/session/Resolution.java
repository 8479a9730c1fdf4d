package calmpour.core.session;

import static calmpour.core.check.Known.known;

import calmpour.core.check.InvalidValuesException;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import calmpour.core.cup.CupKind;
import calmpour.core.design.PieceWork;
import calmpour.core.design.TopCoat;
import calmpour.core.embed.Embed;
import calmpour.core.habit.FillTo;
import calmpour.core.mould.Cavity;
import calmpour.core.mould.InnerMould;
import calmpour.core.mould.Measured;
import calmpour.core.mould.Mould;
import calmpour.core.resin.ResinSystem;
import calmpour.core.stock.ResinPart;
import calmpour.core.tint.Colour;
import calmpour.core.tint.Colourant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Turns a session and a workshop into a {@link Job}, or says everything that is in the way. */
public final class Resolution {
  /** Most cavities in one session; beyond it somebody's finger slipped. */
  public static final Range CAVITIES = new Range(1, 2_000);

  private final Session session;
  private final Workshop workshop;
  private final Found found;
  private final Assumptions assumptions = new Assumptions();
  private final Tints tints;
  private final Levels levels;

  private Resolution(Session session, Workshop workshop) {
    this.session = session;
    this.workshop = workshop;
    this.found = new Found(session, workshop);
    this.tints = new Tints(found, assumptions);
    this.levels =
        new Levels(
            found, tints, Objects.requireNonNullElse(session.habits().care().fill(), FillTo.FLUSH));
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
    ResinSystem resin = found.resin(session.resinId(), "resinId");
    List<Job.Line> lines = new ArrayList<>();
    int cavities = 0;
    for (int i = 0; i < session.pieces().size(); i++) {
      Piece piece = session.pieces().get(i);
      cavities += piece.count();
      String at = "pieces[" + i + "]";
      Mould mould = found.find(found.moulds, piece.mouldId(), at + ".mouldId");
      List<Colour> named = new ArrayList<>();
      for (int l = 0; l < piece.layers().size(); l++) {
        String colourAt = at + ".layers[" + l + "].colourId";
        named.add(found.find(found.colours, piece.layers().get(l).colourId(), colourAt));
      }
      Cavity cavity = mould == null ? null : mould.cavity(piece.cavityId());
      if (mould != null && cavity == null) {
        found.problem(Problem.of(at + ".cavityId", Problem.Code.UNKNOWN_ID, piece.cavityId()));
      }
      if (cavity != null && !named.contains(null)) {
        line(at, piece, known(mould), cavity, named, lines);
      }
    }
    if (cavities > CAVITIES.maxInclusive()) {
      found.problem(Problem.outside("pieces", Problem.Code.TOO_MANY, cavities, CAVITIES));
    }
    List<CupKind> laidOut = new LaidOutCups(found, assumptions).all();
    if (resin != null) {
      tints.tint(resin, Colour.CLEAR);
    }
    List<Job.CupByHand> byHand =
        found.problems.isEmpty()
            ? HandCups.of(session, lines, found.cups, found.problems)
            : List.of();
    if (!found.problems.isEmpty() || resin == null) {
      throw new InvalidValuesException(found.problems);
    }
    found.bottled().forEach(assumptions::resin);
    return new Job(
        session,
        lines,
        found.bottled().stream().map(r -> new Job.ResinUse(r, tints.in(r))).toList(),
        LaidOutCups.fit(laidOut, CupKind.Use.COLOUR),
        LaidOutCups.fit(laidOut, CupKind.Use.MIXING),
        byHand,
        workshop.tools(),
        workshop.bookings(),
        used(lines, laidOut),
        assumptions.all(),
        List.of());
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
    List<Job.Level> levels =
        this.levels.of(at, piece, mould, mould.nameOf(cavity), measured, named);
    TopCoat coat = piece.workOrNone().topCoat();
    Job.Level onTop = null;
    if (coat != null && !levels.isEmpty()) {
      onTop =
          this.levels.coat(
              at + ".work.topCoat", coat, measured.profile(), levels.get(levels.size() - 1));
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
      return cavity.around(inner);
    } catch (InvalidValuesException doesNotFit) {
      doesNotFit.problems().forEach(p -> found.problem(p.under(at + ".work")));
      return null;
    }
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
            Colourant colourant = found.colourants.get(part.colourantId());
            if (colourant != null) {
              usedColourants.put(colourant.id(), colourant);
            }
          }
        }
      }
    }
    return new Workshop(
        List.copyOf(usedMoulds.values()),
        List.copyOf(found.bottled()),
        List.copyOf(usedColourants.values()),
        List.copyOf(usedColours.values()),
        // By id, so that the order of the shelf makes no difference to a snapshot.
        Stream.concat(laidOut.stream(), chosenByHand())
            .distinct()
            .sorted(Comparator.comparing(CupKind::id))
            .toList(),
        found.parts.values().stream()
            .filter(p -> found.bottled().stream().anyMatch(r -> isOf(p, r)))
            .sorted(Comparator.comparing(ResinPart::id))
            .toList(),
        List.copyOf(usedEmbeds.values()),
        lines.stream().anyMatch(l -> l.piece().workOrNone().curing() != PieceWork.Curing.BENCH)
            ? workshop.tools()
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
        .filter(found.cups::containsKey)
        .map(found.cups::get);
  }
}
