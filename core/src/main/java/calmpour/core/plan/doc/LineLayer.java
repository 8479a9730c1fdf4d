package calmpour.core.plan.doc;

/** One layer of one line of pieces, both from 0; the top coat is the last layer. */
public record LineLayer(int line, int layer) {
  public static LineLayer of(Cup.Pour pour) {
    return new LineLayer(pour.line(), pour.layer());
  }

  @Override
  public String toString() {
    return (line + 1) + "." + (layer + 1);
  }
}
