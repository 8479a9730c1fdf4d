package calmpour.core.session;

import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import org.jspecify.annotations.Nullable;

/** A batch without any mould behind it: a total of A and B together, by weight or by volume. */
public record JustMix(@Nullable Double massG, @Nullable Double volumeMl) {
  public static final Range MASS_G = new Range(0.5, 20_000);
  public static final Range VOLUME_ML = new Range(0.5, 20_000);

  public JustMix {
    new Check()
        .within("massG", massG, MASS_G)
        .within("volumeMl", volumeMl, VOLUME_ML)
        .that(
            (massG == null) != (volumeMl == null), Problem.of("", Problem.Code.ONE_OF_THESE, null))
        .orThrow();
  }
}
