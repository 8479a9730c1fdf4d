package calmpour.core.design;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import calmpour.core.check.InvalidValuesException;
import calmpour.core.check.Problem;
import calmpour.core.embed.Embed;
import calmpour.core.mould.Cavity;
import calmpour.core.mould.InnerMould;
import calmpour.core.mould.Measurement;
import calmpour.core.mould.Mould;
import calmpour.core.mould.Solid;
import calmpour.core.mould.SolidKind;
import calmpour.core.session.Job;
import calmpour.core.session.Piece;
import calmpour.core.session.Resolution;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import calmpour.core.tint.Colour;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A design in moulds of every shape; volumes against the closed forms of any handbook. */
class DesignTest {
  private static final Embed CORK = new Embed("cork", "Cork", null, 0.5, 0.2, true, false, null, 9);

  private static Mould shaped(String id, Solid solid) {
    Measurement measure = Samples.solids(solid);
    Cavity cavity = new Cavity("main", id, 1, measure, null, null, null, null);
    return new Mould(id, id, List.of(cavity), null, null);
  }

  /** A point below, 40 mm wide at the rim, 30 mm deep. */
  private static final Mould CONE =
      shaped(
          "cone", new Solid(SolidKind.CONE_FRUSTUM, null, 40.0, 30.0, null, 0.0, null, null, null));

  private static final Mould BOWL =
      shaped(
          "bowl", new Solid(SolidKind.HEMISPHERE, null, 40.0, null, null, null, null, null, null));

  private static final Mould STRAIGHT =
      shaped(
          "straight",
          new Solid(SolidKind.CYLINDER, null, 40.0, 30.0, null, null, null, null, null));

  private static Job job(Piece piece) {
    Workshop workshop =
        new Workshop(
            List.of(CONE, BOWL, STRAIGHT),
            List.of(Samples.slow()),
            List.of(Samples.liquid("tint")),
            List.of(new Colour("blue", "Blue", "#111111", List.of(new Colour.Part("tint", 2)))),
            List.of(),
            List.of(),
            List.of(CORK));
    return Resolution.of(Samples.session(List.of(piece)), workshop);
  }

  private static Job.Line line(String mould, Layer... layers) {
    return job(new Piece(mould, 1, List.of(layers))).lines().get(0);
  }

  private static Layer half(String colour) {
    return new Layer(colour, Fill.ofDepthShare(0.5), null);
  }

  @Test
  void halfTheDepthOfAConeIsAnEighthAndOfABowlFiveSixteenths() {
    double cone = Math.PI * 20 * 20 * 30 / 3 / 1_000;
    assertThat(line("cone", half("blue")).levels().get(0).volumeMl())
        .isCloseTo(cone / 8, within(cone * 1e-9));
    // A cap of height h: πh²(3r − h)/3; for h = r/2 that is 5/16 of the half ball.
    double ball = 2.0 / 3 * Math.PI * 20 * 20 * 20 / 1_000;
    assertThat(line("bowl", half("blue")).levels().get(0).volumeMl())
        .isCloseTo(ball * 5 / 16, within(ball * 1e-6));
    double straight = Math.PI * 20 * 20 * 30 / 1_000;
    assertThat(line("straight", half("blue")).levels().get(0).volumeMl())
        .isCloseTo(straight / 2, within(straight * 1e-9));
  }

  @Test
  void aKeptDesignReachesTheSameSharesOfTheDepthEverywhere() {
    Job.Line drawn =
        line(
            "straight",
            new Layer("blue", Fill.ofDepthMm(6), null),
            new Layer("clear", Fill.ofShare(0.3), null),
            new Layer("blue", null, Join.GEL));
    List<Layer> kept =
        Design.scalable(
            drawn.piece().layers(),
            drawn.levels().stream().map(Job.Level::toMm).toList(),
            drawn.profile());
    Job.Line poured = line("cone", kept.toArray(Layer[]::new));
    // 6 of 30 mm, and three tenths of a straight mould more.
    assertThat(poured.levels())
        .extracting(Job.Level::toMm)
        .satisfies(tops -> {
          assertThat(tops.get(0)).isCloseTo(6, within(1e-6));
          assertThat(tops.get(1)).isCloseTo(15, within(1e-6));
          assertThat(tops.get(2)).isCloseTo(30, within(1e-6));
        });
    double cone = Math.PI * 20 * 20 * 30 / 3 / 1_000;
    assertThat(poured.levels().get(0).volumeMl()).isCloseTo(cone * 0.008, within(cone * 1e-6));
    assertThat(poured.levels().get(2).volumeMl()).isCloseTo(cone * 0.875, within(cone * 1e-6));
    assertThat(poured.levels().get(2).join()).isEqualTo(Join.GEL);
  }

  /** Archimedes: what lies in the resin takes its room; what stands out of it does not. */
  @Test
  void anEmbedDisplacesWhatIsInTheResin() {
    double straight = Math.PI * 20 * 20 * 30 / 1_000;
    PlacedEmbed two =
        new PlacedEmbed("cork", 2, PlacedEmbed.Moment.AFTER_POUR, true, 40, null, List.of());
    Layer layer = new Layer("blue", null, null, null, List.of(), null, List.of(two));
    assertThat(line("straight", layer).levels().get(0).volumeMl())
        .isCloseTo(straight - 2 * 0.5 * 0.6, within(1e-9));
    // Told in mL it is what is poured, and the level stands higher for it.
    Layer told = layer.withFill(Fill.ofVolumeMl(10));
    Job.Level level = line("straight", told).levels().get(0);
    assertThat(level.volumeMl()).isEqualTo(10);
    assertThat(level.toMm()).isCloseTo(30 * 10.6 / straight, within(1e-9));
  }

  /** A cylinder of 10 mm across that stands 5 mm above the floor keeps its own volume out. */
  @Test
  void anInnerMouldStandsInThePiece() {
    Solid rod = new Solid(SolidKind.CYLINDER, null, 10.0, 40.0, null, null, null, null, null);
    Piece plain = new Piece("straight", 1, List.of(new Layer("blue", null, null)));
    Piece hollow =
        plain.withWork(
            new PieceWork(
                null,
                null,
                List.of(),
                null,
                List.of(),
                null,
                null,
                new InnerMould(List.of(rod), 5, null),
                null));
    double solid = job(plain).lines().get(0).levels().get(0).volumeMl();
    double round = job(hollow).lines().get(0).levels().get(0).volumeMl();
    assertThat(solid - round).isCloseTo(Math.PI * 25 * 25 / 1_000, within(1e-6));
    Solid wide = new Solid(SolidKind.CYLINDER, null, 60.0, 10.0, null, null, null, null, null);
    Piece tooWide =
        plain.withWork(
            new PieceWork(
                null,
                null,
                List.of(),
                null,
                List.of(),
                null,
                null,
                new InnerMould(List.of(wide), 5, null),
                null));
    assertThatThrownBy(() -> job(tooWide))
        .isInstanceOfSatisfying(
            InvalidValuesException.class,
            e ->
                assertThat(e.problems())
                    .extracting(Problem::field, Problem::code)
                    .containsExactly(
                        org.assertj.core.groups.Tuple.tuple(
                            "pieces[0].work.inner.parts", Problem.Code.INNER_TOO_WIDE)));
  }

  @Test
  void gramsAreOfTheTintedMix() {
    Job job = job(new Piece("straight", 1, List.of(new Layer("blue", Fill.ofMassG(11), null))));
    double density = job.in(job.session().resinId()).tints().get("blue").mixDensity();
    assertThat(job.lines().get(0).levels().get(0).volumeMl()).isCloseTo(11 / density, within(1e-9));
  }

  @Test
  void twoColoursShareALayerAndWhatPressesThemApartComesLast() {
    Layer both =
        new Layer(
            "clear",
            null,
            null,
            null,
            List.of(new Layer.BesideColour("blue", 0.25)),
            Layer.Meeting.PRESSED_APART,
            List.of());
    Job.Level level = line("straight", both).levels().get(0);
    assertThat(level.colours()).extracting(c -> c.colour().id()).containsExactly("blue", "clear");
    assertThat(level.colours().get(0).volumeMl()).isCloseTo(level.volumeMl() / 4, within(1e-9));
  }

  /** Area times thickness: 2 mm on a disc of 40 mm is 2.513 mL; edges and drip come on top. */
  @Test
  void aTopCoatIsAreaTimesThicknessWithItsEdges() {
    TopCoat coat = new TopCoat("clear", null, 2, null, 10, 20, PieceSide.OPEN);
    Piece piece =
        new Piece("straight", 1, List.of(new Layer("blue", null, null)))
            .withWork(new PieceWork(null, null, List.of(), coat, List.of(), null, null));
    Job.Level level = job(piece).lines().get(0).coat();
    double plain = Math.PI * 20 * 20 * 2 / 1_000;
    assertThat(level.volumeMl()).isCloseTo(plain * 1.1 * 1.2, within(1e-9));
    assertThat(level.stage()).isEqualTo(1);
  }

  @Test
  void whatCannotBePouredIsToldAtItsPlace() {
    PlacedEmbed many =
        new PlacedEmbed("cork", 80, PlacedEmbed.Moment.AFTER_POUR, true, 0, null, List.of());
    told(
        "pieces[0].layers[0].embeds",
        Problem.Code.EMBEDS_FILL_LAYER,
        new Layer("blue", null, null, null, List.of(), null, List.of(many)));
    told(
        "pieces[0].layers[1].fill.depthShare",
        Problem.Code.OVERFILLED,
        new Layer("blue", Fill.ofDepthShare(0.7), null),
        new Layer("clear", Fill.ofDepthShare(0.5), null));
    PlacedEmbed laid = PlacedEmbed.of("cork", PlacedEmbed.Moment.BEFORE_POUR);
    told(
        "pieces[0].layers[1].embeds[0].moment",
        Problem.Code.EMBED_ON_FLUID,
        half("blue"),
        new Layer("clear", null, Join.TOGETHER, null, List.of(), null, List.of(laid)));
    told(
        "pieces[0].layers[0].embeds[0].embedId",
        Problem.Code.UNKNOWN_ID,
        new Layer(
            "blue",
            null,
            null,
            null,
            List.of(),
            null,
            List.of(PlacedEmbed.of("gone", PlacedEmbed.Moment.AFTER_POUR))));
    assertThatThrownBy(() ->
            new Layer(
                "clear",
                null,
                null,
                null,
                List.of(new Layer.BesideColour("a", 0.6), new Layer.BesideColour("b", 0.5)),
                null,
                List.of()))
        .isInstanceOfSatisfying(
            InvalidValuesException.class,
            e ->
                assertThat(e.problems())
                    .extracting(Problem::code)
                    .containsExactly(Problem.Code.NOTHING_LEFT_FOR_COLOUR));
  }

  private static void told(String field, Problem.Code code, Layer... layers) {
    assertThatThrownBy(() -> line("straight", layers))
        .isInstanceOfSatisfying(
            InvalidValuesException.class,
            e ->
                assertThat(e.problems())
                    .extracting(Problem::field, Problem::code)
                    .contains(org.assertj.core.groups.Tuple.tuple(field, code)));
  }

  /** Any session that says nothing of designs is poured as before. */
  @Test
  void aPieceWithoutWorkHasNone() {
    Session session = Samples.session(List.of(new Piece("cone", 1, List.of(half("blue")))));
    assertThat(session.pieces().get(0).workOrNone()).isEqualTo(PieceWork.NONE);
  }
}
