package calmpour.core.plan.doc;

import calmpour.core.design.PieceSide;
import calmpour.core.embed.Embed;
import calmpour.core.mould.Section;
import calmpour.core.session.Job;
import calmpour.core.tint.Look;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * How a session is carried out. Times are whole seconds from the first step; masses are grams in
 * whole milligrams. Every number can be opened by its address, see {@code Planner.explain}.
 *
 * @param spareSeconds the least time between the end of a pour and the end of its cup's working
 *     time less the margin; negative when a pour comes too late
 * @param bench how the moulds stand, rows from the back to the front
 * @param chance that every pour makes it; null where nothing is poured
 * @param arranged how it was found; null for a plan that somebody else made
 * @param sittings numbers of the batches that are worked at in one go; follows from the batches
 */
@RecordBuilder
public record Plan(
    List<PieceView> pieces,
    List<Batch> batches,
    List<Task> tasks,
    List<Finding> findings,
    List<Job.Assumption> assumptions,
    Totals totals,
    int endSeconds,
    int spareSeconds,
    List<List<BenchSpot>> bench,
    @Nullable Chance chance,
    @Nullable Arranged arranged,
    List<List<Integer>> sittings)
    implements PlanBuilder.With {
  /** A pause of so long and the next batch is another sitting, s; common practice, no source. */
  private static final int ANOTHER_SITTING_SECONDS = 5_400;

  public Plan {
    bench = bench == null ? List.of() : bench.stream().map(List::copyOf).toList();
    pieces = List.copyOf(pieces);
    batches = List.copyOf(batches);
    tasks = List.copyOf(tasks);
    findings = List.copyOf(findings);
    assumptions = List.copyOf(assumptions);
    sittings = sittings(batches);
  }

  /** Batches and when what is done, nothing else; for rules that look no further. */
  public static Plan ofTasks(List<Batch> batches, List<Task> tasks) {
    Totals none = new Totals(0, 0, 0, 0, 0, 0, 0, 0);
    return new Plan(
        List.of(), batches, tasks, List.of(), List.of(), none, 0, 0, List.of(), null, null,
        List.of());
  }

  /** The same plan with what was found. */
  public Plan judged(List<Finding> found) {
    return withFindings(found);
  }

  /** The same plan with how likely it is, and how it was found. */
  public Plan arranged(@Nullable Chance likely, Arranged how) {
    return withChance(likely).withArranged(how);
  }

  /** Batches by their numbers, those together between which nobody leaves the bench for long. */
  private static List<List<Integer>> sittings(List<Batch> batches) {
    List<List<Integer>> sittings = new ArrayList<>();
    int until = 0;
    for (Batch batch : batches) {
      boolean goesOn =
          !sittings.isEmpty() && batch.times().startSeconds() - until < ANOTHER_SITTING_SECONDS;
      if (!goesOn) {
        sittings.add(new ArrayList<>());
      }
      sittings.getLast().add(batch.number());
      until = batch.times().endSeconds();
    }
    return sittings;
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

  /**
   * A line of pieces as it is drawn: the mould in section, its layers from the floor up.
   *
   * @param front the side that is looked at
   * @param base the side it stands on; null for none
   * @param coat what lies on the finished piece; null for none
   * @param aboveMm height of a dome above the rim, or of what a closed mould is filled over by;
   *     null for nothing
   * @param finishedMm its surface once it has cured; null where no label says how much it shrinks
   */
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
      List<LayerView> layers,
      PieceSide front,
      @Nullable PieceSide base,
      @Nullable LayerView coat,
      @Nullable Double aboveMm,
      @Nullable Double finishedMm) {
    public PieceView {
      section = List.copyOf(section);
      layers = List.copyOf(layers);
    }
  }

  /**
   * One layer in the section, mm above the floor.
   *
   * @param look how it will look, cured
   * @param massG of the mix in it
   * @param colours its own among them
   */
  public record LayerView(
      String colourId,
      String colourName,
      String swatch,
      double fromMm,
      double toMm,
      double volumeMl,
      int stage,
      Look look,
      double massG,
      String resinId,
      List<ColourView> colours,
      List<InsideView> embeds) {
    public LayerView {
      colours = List.copyOf(colours);
      embeds = List.copyOf(embeds);
    }
  }

  /** One colour of a layer; in the order they are poured. */
  public record ColourView(String colourId, String colourName, String swatch, double share) {}

  /**
   * An embed as it is drawn.
   *
   * @param tendency what it does when it is let go in this mix
   * @param acrossMm of a ball of its volume
   */
  public record InsideView(
      String embedId,
      String embedName,
      int count,
      Embed.Tendency tendency,
      double acrossMm,
      double displacesMl) {}
}
