package calmpour.core.plan;

import calmpour.core.session.Job;
import java.util.ArrayList;
import java.util.List;

/**
 * One pour before it has a cup and a time.
 *
 * @param hand which of the cups put together by hand holds it, or {@link CupDraft#BY_PLAN}
 */
record PourDraft(
    int line,
    int cavity,
    int layer,
    int part,
    int parts,
    Job.Level level,
    long massMg,
    long mayTakeMoreMg,
    int hand) {

  /**
   * @param uncertainShare how far the cavity's volume may be off, as a share of it
   */
  static PourDraft of(
      int line,
      int cavity,
      int layer,
      Job.Level level,
      double mixDensity,
      double uncertainShare,
      int hand) {
    double massG = level.volumeMl() * mixDensity;
    long massMg = Milligrams.up(massG);
    return new PourDraft(
        line, cavity, layer, 1, 1, level, massMg, Milligrams.up(massG * uncertainShare), hand);
  }

  /** The same pour out of several cups or batches; no milligram is lost in the division. */
  List<PourDraft> inParts(int count) {
    List<PourDraft> all = new ArrayList<>();
    for (int p = 0; p < count; p++) {
      long upTo = massMg * (p + 1) / count;
      long before = massMg * p / count;
      long more = mayTakeMoreMg * (p + 1) / count - mayTakeMoreMg * p / count;
      all.add(new PourDraft(line, cavity, layer, p + 1, count, level, upTo - before, more, hand));
    }
    return all;
  }

  double volumeMl() {
    return level.volumeMl() / parts;
  }

  /** Level that the cavity reaches with this part, mm. */
  double toMm() {
    return level.fromMm() + (level.toMm() - level.fromMm()) * part / parts;
  }

  String id() {
    String whole = (line + 1) + "." + cavity + "." + (layer + 1);
    return parts == 1 ? whole : whole + "." + part;
  }
}
