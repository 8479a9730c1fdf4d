package calmpour.core.tint;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import calmpour.core.check.InvalidValuesException;
import calmpour.core.check.Problem;
import calmpour.core.derive.Origin;
import calmpour.core.resin.LoadingBasis;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A jar: what its label may say, and what was learned of its drop or scoop. */
class ColourantTest {
  private static final LocalDate DAY = LocalDate.of(2026, 11, 29);

  private static Colourant jar(ColourantForm form, Double limit, LoadingBasis basis) {
    return new Colourant("j", "Jar", form, "#446688", null, null, null, null, limit, basis, null);
  }

  private static Colourant.Jar grain(Double mm) {
    return new Colourant.Jar(
        "steel spoon", null, null, null, null, null, null, null, null, mm, null);
  }

  private static List<Problem.Code> refused(ColourantForm form, Double limit, LoadingBasis basis) {
    InvalidValuesException all =
        catchThrowableOfType(InvalidValuesException.class, () -> jar(form, limit, basis));
    return all.problems().stream().map(Problem::code).toList();
  }

  @Test
  void aLabelMayNotForbidItAltogetherNorCountDropsOfAPowder() {
    assertThat(refused(ColourantForm.POWDER, 0.0, LoadingBasis.WEIGHT_OF_MIX))
        .containsExactly(Problem.Code.FORBIDDEN_PERCENT);
    assertThat(refused(ColourantForm.POWDER, 3.0, LoadingBasis.DROPS_IN_10_ML))
        .containsExactly(Problem.Code.DROPS_OF_A_POWDER);
    assertThat(refused(ColourantForm.POWDER, 51.0, null))
        .containsExactly(Problem.Code.OUT_OF_RANGE);
    Colourant ink = jar(ColourantForm.ALCOHOL_INK, 3.0, LoadingBasis.DROPS_IN_10_ML);
    LoadingLimit label = LoadingLimit.ofLabel(ink).orElseThrow();
    assertThat(label.percent()).isEqualTo(3);
    assertThat(label.readings()).containsExactly(LoadingBasis.DROPS_IN_10_ML);
    assertThat(label.counts(ink)).isTrue();
    assertThat(label.counts(Samples.liquid("other"))).isFalse();
    assertThat(LoadingLimit.ofLabel(jar(ColourantForm.POWDER, null, null))).isEmpty();
  }

  @Test
  void flakesAndCoarseGlitterSink() {
    Colourant glitter = Samples.colourant("g", ColourantForm.GLITTER);
    assertThat(glitter.coarse()).as("nobody knows how coarse").isTrue();
    assertThat(glitter.withShelf(grain(0.5)).coarse()).isTrue();
    assertThat(glitter.withShelf(grain(0.49)).coarse()).isFalse();
    assertThat(Samples.colourant("f", ColourantForm.FLAKE).withShelf(grain(0.1)).coarse()).isTrue();
    assertThat(Samples.colourant("m", ColourantForm.MICA).coarse()).isFalse();
    assertThat(glitter.withShelf(grain(2.0)).implement()).isEqualTo("steel spoon");
    assertThat(glitter.implement()).isNull();
  }

  private static OwnCount own(double times, double ofG) {
    return new OwnCount(times, 0.05, 6, DAY, ofG);
  }

  /** What was learned holds for what was told then; who tells it anew is believed. */
  @Test
  void aLearnedDropCountsUntilItIsToldAnew() {
    Colourant told = Samples.liquid("t").withDropG(0.04);
    Colourant learned = told.withCount(own(1.25, 0.04));
    assertThat(learned.knownDropG().value()).isCloseTo(0.05, within(1e-12));
    assertThat(learned.knownDropG().origin()).isEqualTo(Origin.LEARNED);
    assertThat(learned.countedG()).isCloseTo(0.05, within(1e-12));
    assertThat(learned.toldG()).as("as told, whatever was learned").isEqualTo(0.04);
    // Two roundings of one figure are one figure.
    assertThat(told.withCount(own(1.25, 0.04 * (1 + 5e-7))).learnedCount()).isNotNull();
    assertThat(told.withCount(own(1.25, 0.04 * (1 + 5e-6))).learnedCount()).isNull();
    Colourant anew = learned.withDropG(0.03);
    assertThat(anew.learnedCount()).isNull();
    assertThat(anew.knownDropG().value()).isEqualTo(0.03);
    assertThat(learned.withCount(null).knownDropG().value()).isEqualTo(0.04);
  }

  @Test
  void aLearnedScoopIsOneOfItsBulkDensity() {
    Colourant powder =
        Samples.colourant("p", ColourantForm.POWDER)
            .withScoopMl(0.2)
            .withBulkDensity(0.5)
            .withShelf(grain(0.02));
    assertThat(powder.toldG()).isCloseTo(0.1, within(1e-12));
    Colourant learned = powder.withCount(own(0.8, 0.1));
    assertThat(learned.knownScoopMl().value()).isCloseTo(0.16, within(1e-12));
    assertThat(learned.countedG()).as("a quarter of it").isCloseTo(0.02, within(1e-12));
    assertThat(learned.implement()).as("the rest of the shelf stays").isEqualTo("steel spoon");
    assertThat(learned.withBulkDensity(0.6).learnedCount()).isNull();
  }

  @Test
  void whatNoDropCanBeIsNotLearned() {
    assertThatThrownBy(() -> own(6, 0.04)).isInstanceOf(InvalidValuesException.class);
    assertThatThrownBy(() -> new OwnCount(1, 0.05, 0, DAY, 0.04))
        .isInstanceOf(InvalidValuesException.class);
  }
}
