package calmpour.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import calmpour.core.Replay;
import calmpour.core.Samples;
import calmpour.core.derive.Formula;
import calmpour.core.design.Fill;
import calmpour.core.design.Join;
import calmpour.core.design.Layer;
import calmpour.core.session.Piece;
import calmpour.core.session.Resolution;
import calmpour.core.tint.Colour;
import java.util.List;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.domains.Domain;

/** Everything that can be opened adds up by the figures that are shown with it. */
@Domain(RandomSessions.class)
class ReplayTest {
  private final Planner planner = Samples.planner();
  private final Replay replay = new Replay();

  @Property(tries = 120, seed = "20261127")
  void everyNumberFollowsFromWhatIsShown(@ForAll RandomSessions.Case given) {
    planner
        .unjudged(Resolution.of(given.session(), given.workshop()), tried -> tried < 4)
        .everyDerivation()
        .forEach(replay::check);
  }

  /** Layers told by depth, by volume and by weight, one on the other. */
  @Example
  void layersByDepthVolumeAndMassFollowToo() {
    Piece piece =
        new Piece(
            "deep",
            2,
            List.of(
                new Layer("clear", Fill.ofDepthMm(4), null),
                new Layer("clear", Fill.ofDepthShare(0.3), Join.GEL),
                new Layer("clear", Fill.ofVolumeMl(3), Join.GEL),
                new Layer("clear", Fill.ofMassG(2), Join.GEL),
                new Layer("clear", null, Join.GEL)));
    planner
        .work(
            Samples.session(List.of(piece)),
            Samples.workshop(
                Samples.slow(), List.of(Samples.mould("deep", 30, 25.0)), List.of(Colour.CLEAR)))
        .everyDerivation()
        .forEach(replay::check);
    assertThat(replay.replayed())
        .contains(Formula.FILL_BY_DEPTH, Formula.FILL_BY_VOLUME, Formula.FILL_THE_REST);
  }
}
