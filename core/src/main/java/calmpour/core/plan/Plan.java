package calmpour.core.plan;

import calmpour.core.mould.Section;
import calmpour.core.session.Job;
import calmpour.core.tint.Look;
import java.util.List;

/**
 * How a session is carried out. Times are whole seconds from the first step; masses are grams in
 * whole milligrams. Every number can be opened by its address, see {@code Planner.explain}.
 *
 * @param spareSeconds the least time between the end of a pour and the end of its cup's working
 *     time less the margin; negative when a pour comes too late
 */
public record Plan(
    List<PieceView> pieces,
    List<Batch> batches,
    List<Task> tasks,
    List<Finding> findings,
    List<Job.Assumption> assumptions,
    Totals totals,
    int endSeconds,
    int spareSeconds) {
  public Plan {
    pieces = List.copyOf(pieces);
    batches = List.copyOf(batches);
    tasks = List.copyOf(tasks);
    findings = List.copyOf(findings);
    assumptions = List.copyOf(assumptions);
  }

  /**
   * @param resinG A + B mixed
   * @param colourantsG stirred in
   * @param pouredG into moulds
   * @param staysG in cups and on sticks, spare resin with it
   */
  public record Totals(
      int cavities,
      double volumeMl,
      double resinG,
      double partAG,
      double partBG,
      double colourantsG,
      double pouredG,
      double staysG) {}

  /** A line of pieces as it is drawn: the mould in section, its layers from the floor up. */
  public record PieceView(
      String mouldId,
      String cavityId,
      String mouldName,
      int count,
      double widthMm,
      double depthMm,
      boolean depthAssumed,
      double mouldMl,
      double plusMinusMl,
      List<Section.SectionRow> section,
      double pouredMl,
      List<LayerView> layers) {
    public PieceView {
      section = List.copyOf(section);
      layers = List.copyOf(layers);
    }
  }

  /**
   * One layer in the section, mm above the floor.
   *
   * @param look how it will look, cured
   */
  public record LayerView(
      String colourId,
      String colourName,
      String swatch,
      double fromMm,
      double toMm,
      double volumeMl,
      int stage,
      Look look) {}
}
