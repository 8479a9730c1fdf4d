package calmpour.core.mould.mesh;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.mould.MeshShape;
import java.util.List;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.DoubleRange;

/** Slices of bodies whose volume below any level is known without slicing: boxes set apart. */
class MeshProperties {
  /** A box standing at some height, mm. */
  record Block(double floor, double wide, double deep, double high) {
    double below(double level) {
      return wide * deep * Math.max(0, Math.min(high, level - floor)) / 1_000;
    }

    double areaAt(double level) {
      return level > floor && level < floor + high ? wide * deep : 0;
    }
  }

  @Provide
  Arbitrary<List<Block>> heaps() {
    Arbitrary<Double> size = Arbitraries.doubles().between(0.5, 60);
    return Combinators.combine(Arbitraries.doubles().between(0, 40), size, size, size)
        .as(Block::new)
        .list()
        .ofMinSize(1)
        .ofMaxSize(7);
  }

  private static TriangleMesh mesh(List<Block> heap) {
    MeshBuilder builder = new MeshBuilder();
    double x = 0;
    for (Block block : heap) {
      Meshes.box(builder, x, -3, block.floor, block.wide, block.deep, block.high);
      x += block.wide + 5;
    }
    return builder.build();
  }

  @Property(tries = 200, seed = "20261123")
  void everyLevelHoldsWhatTheBoxesHoldBelowIt(@ForAll("heaps") List<Block> heap) {
    double floor = heap.stream().mapToDouble(Block::floor).min().orElseThrow();
    double whole = heap.stream().mapToDouble(b -> b.below(1e9)).sum();
    for (MeshShape.MeshLevel level : MeshSlicer.slice(mesh(heap), 0, 0, 1)) {
      double at = floor + level.depthMm();
      double held = heap.stream().mapToDouble(b -> b.below(at)).sum();
      assertThat(level.volumeMl()).isCloseTo(held, within(1e-9 * whole + 1e-12));
      boolean onAFace =
          heap.stream()
              .anyMatch(
                  b -> Math.abs(at - b.floor) < 1e-4 || Math.abs(at - b.floor - b.high) < 1e-4);
      if (!onAFace) {
        double open = heap.stream().mapToDouble(b -> b.areaAt(at)).sum();
        assertThat(level.areaMm2()).isCloseTo(open, within(1e-6 * open + 1e-6));
      }
    }
  }

  /** However a body is turned it holds the same, and its area is how its volume grows. */
  @Property(tries = 60, seed = "20261123")
  void turningChangesTheDepthAndNotTheVolume(
      @ForAll @DoubleRange(min = -180, max = 180) double turnX,
      @ForAll @DoubleRange(min = -180, max = 180) double turnY,
      @ForAll @DoubleRange(min = 2, max = 20) double tube) {
    TriangleMesh ring = Meshes.torus(tube + 12, tube / 2, 24);
    List<MeshShape.MeshLevel> levels = MeshSlicer.slice(ring, turnX, turnY, 1);
    double whole = levels.get(levels.size() - 1).volumeMl();
    assertThat(whole).isCloseTo(ring.volume() / 1_000, within(1e-9 * whole));
    double trapezia = 0;
    for (int i = 1; i < levels.size(); i++) {
      MeshShape.MeshLevel below = levels.get(i - 1);
      MeshShape.MeshLevel above = levels.get(i);
      trapezia +=
          (above.depthMm() - below.depthMm()) * (above.areaMm2() + below.areaMm2()) / 2 / 1_000;
      assertThat(above.rightMm()).isGreaterThanOrEqualTo(above.leftMm());
    }
    assertThat(trapezia).isCloseTo(whole, within(0.02 * whole));
  }

  /** Whatever order the triangles come in and however they are turned, the body is found again. */
  @Property(tries = 60, seed = "20261123")
  void aShuffledBodyIsPutRight(
      @ForAll("heaps") List<Block> heap, @ForAll @DoubleRange(min = 0, max = 1e6) double seed) {
    TriangleMesh good = mesh(heap);
    MeshMend.Mended mended = MeshMend.mend(Meshes.spoilt(good, 0, true, 0, (long) seed));
    assertThat(mended.mesh().volume()).isCloseTo(good.volume(), within(1e-9 * good.volume()));
    assertThat(mended.after().sound()).isTrue();
    assertThat(mended.after().shells()).isEqualTo(heap.size());
  }
}
