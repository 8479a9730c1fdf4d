package calmpour.core.plan.doc;

import calmpour.core.cup.CupKind;
import calmpour.core.resin.LoadingBasis;
import calmpour.core.session.JobInResin;
import calmpour.core.tint.Dosing;
import calmpour.core.tint.LoadingLimit;
import calmpour.core.tint.Look;
import calmpour.core.tint.StockCup;
import calmpour.core.tint.Tint;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * One colour's share of a batch.
 *
 * @param id batch and place, such as {@code 1.3}
 * @param levelMm how high its content stands in it
 * @param contentG resin and colourants
 * @param staysG left in it after the last pour: what clings, and the overage
 * @param tintHeldAt 1, or the share of the recipe's strength that the limits allow
 * @param loading every limit with how near this cup comes to it, the nearest first
 * @param latestPourEndSeconds when the last pour out of it has to be done: its working time less
 *     the margin
 * @param byHand which of the cups put together by hand it is, from 0; null for a cup of the plan's
 * @param inAll all additives together, in the four readings of a percentage
 * @param waterPercent water in the mix, by weight
 * @param solventPercent solvent in the mix, by weight
 * @param strength what stronger and weaker mean here; null for a clear cup
 * @param look of the thinnest layer poured from it; null when nothing is
 * @param thickensSeconds end of its working time
 * @param thickensEarliestSeconds as early as bottle, room and what is known of the resin make it,
 *     19 times in 20
 * @param tooThickSeconds when a drawn thread holds
 * @param peak how warm it would get if it were forgotten full; null where a rule of thumb stands in
 * @param layers what becomes of what is poured from it, by line and layer
 */
public record Cup(
    String id,
    int batch,
    String colourId,
    String colourName,
    String swatch,
    CupKind kind,
    double levelMm,
    double resinG,
    double contentG,
    double contentMl,
    double pouredG,
    double staysG,
    List<Dose> doses,
    double tintHeldAt,
    List<Loading> loading,
    @Nullable Integer byHand,
    Tint.FourReadings inAll,
    double waterPercent,
    double solventPercent,
    @Nullable Strength strength,
    @Nullable Look look,
    List<Pour> pours,
    int filledSeconds,
    int latestPourEndSeconds,
    int thickensSeconds,
    int thickensEarliestSeconds,
    int thickensLatestSeconds,
    int tooThickSeconds,
    int gelsSeconds,
    @Nullable Peak peak,
    List<LayerCure> layers) {
  public Cup {
    layers = List.copyOf(layers);
    doses = List.copyOf(doses);
    loading = List.copyOf(loading);
    pours = List.copyOf(pours);
  }

  /** The same cup with the moments that its amounts and times come to, as named there. */
  public Cup timed(
      int filled,
      int latestPourEnd,
      int thickens,
      int thickensEarliest,
      int thickensLatest,
      int tooThick,
      int gels,
      @Nullable Peak ifForgotten,
      List<LayerCure> follows) {
    return new Cup(
        id,
        batch,
        colourId,
        colourName,
        swatch,
        kind,
        levelMm,
        resinG,
        contentG,
        contentMl,
        pouredG,
        staysG,
        doses,
        tintHeldAt,
        loading,
        byHand,
        inAll,
        waterPercent,
        solventPercent,
        strength,
        look,
        pours,
        filled,
        latestPourEnd,
        thickens,
        thickensEarliest,
        thickensLatest,
        tooThick,
        gels,
        ifForgotten,
        follows);
  }

  /**
   * The same cup with what is really in it.
   *
   * @param really content, g, more than 0
   * @param itsPours with the masses that are really poured
   */
  public Cup holding(double really, List<Pour> itsPours) {
    double times = really / contentG;
    return new Cup(
        id,
        batch,
        colourId,
        colourName,
        swatch,
        kind,
        kind.levelMm(contentMl * times),
        resinG * times,
        really,
        contentMl * times,
        itsPours.stream().mapToDouble(Pour::massG).sum(),
        really - itsPours.stream().mapToDouble(Pour::massG).sum(),
        doses,
        tintHeldAt,
        loading,
        byHand,
        inAll,
        waterPercent,
        solventPercent,
        strength,
        look,
        itsPours,
        filledSeconds,
        latestPourEndSeconds,
        thickensSeconds,
        thickensEarliestSeconds,
        thickensLatestSeconds,
        tooThickSeconds,
        gelsSeconds,
        peak,
        layers);
  }

  /** Its colour as it is in its batch's resin. */
  public Tint tint(JobInResin inResin) {
    return inResin.tints().get(colourId);
  }

  /** The mix as it is dosed in this cup, with the limits of its colour. */
  public Tint stirred(JobInResin inResin) {
    Tint planned = tint(inResin);
    return Tint.asStirred(
        planned.shares().stream()
            .map(s -> new Tint.Share(s.colourant(), massG(s.colourant().id()) / resinG))
            .toList(),
        planned.resinDensity(),
        planned.limits());
  }

  private double massG(String colourantId) {
    return doses.stream()
        .filter(d -> d.colourantId().equals(colourantId))
        .mapToDouble(Dose::massG)
        .sum();
  }

  /**
   * One colourant for one cup, as it is counted into it.
   *
   * @param massG that is brought that way, in whole milligrams
   * @param wantedG by the recipe, as far as the limits allow it, for the resin in the cup
   * @param errorPercent how far {@code massG} is off that
   * @param drops whole drops of a liquid, into the cup or its stock; beside a weight about so many;
   *     null where nothing is counted
   * @param scoops level scoops to a quarter, for what is not liquid; null where they are not
   *     counted
   * @param implement what it is counted with; null where nobody has named it
   * @param by how it is measured best
   * @param stock the stronger mix it is taken from, where it is too small to be measured
   */
  public record Dose(
      String colourantId,
      String colourantName,
      double massG,
      double wantedG,
      double errorPercent,
      @Nullable Integer drops,
      @Nullable Double scoops,
      @Nullable String implement,
      Dosing.By by,
      @Nullable StockCup stock) {}

  /**
   * What stronger and weaker mean for a cup.
   *
   * @param factor of its recipe, as it is
   * @param weaker factor a step weaker; null when it cannot be any weaker
   * @param stronger factor a step stronger; null at a limit
   * @param lastStep whether that step ends at a limit
   * @param stoppedBy the limit met first; null where nothing limits it
   */
  public record Strength(
      double factor,
      @Nullable Double weaker,
      @Nullable Double stronger,
      boolean lastStep,
      @Nullable Loading stoppedBy) {}

  /** A limit and this cup's reading of it, percent on the basis, or drops. */
  public record Loading(
      LoadingLimit.Whose whose,
      @Nullable String colourantId,
      LoadingBasis basis,
      double percent,
      double limitPercent) {}

  /**
   * One pour into one cavity.
   *
   * @param id line, cavity, layer and, where it takes several, part: {@code 1.3.2}
   * @param line index of the session's line of pieces, from 0
   * @param cavity from 1
   * @param layer index from 0
   * @param part from 1
   * @param parts more than 1 where the layer has several colours, an embed goes in between, or one
   *     cup or batch cannot hold the whole pour
   * @param half 1 or 2 where an embed goes in between; 1 otherwise
   */
  public record Pour(
      String id,
      int line,
      int cavity,
      int layer,
      int part,
      int parts,
      int half,
      double volumeMl,
      double massG,
      double toMm,
      int startSeconds,
      int endSeconds) {
    /** The same pour of another mass, g. */
    public Pour of(double grams) {
      return new Pour(
          id,
          line,
          cavity,
          layer,
          part,
          parts,
          half,
          volumeMl * grams / massG,
          grams,
          toMm,
          startSeconds,
          endSeconds);
    }
  }

  /**
   * How warm a cup gets that is forgotten full: a caution, never a breach by itself.
   *
   * @param mostC of which one in ten gets more
   * @param heatUsed heat it makes beside that from which on it drives itself; from 1 on it does
   * @param mostHeatUsed the most of it that is looked at
   */
  public record Peak(
      double peakC, double mostC, int atSeconds, double heatUsed, double mostHeatUsed) {}

  /** When something falls, in seconds from the first step; the latest is null for maybe never. */
  public record StateTime(int seconds, int earliestSeconds, @Nullable Integer latestSeconds) {}

  /**
   * What becomes of one layer of a line after its last cavity was poured from this cup.
   *
   * @param line index of the session's line of pieces, from 0
   * @param layer index from 0
   * @param pourId that last pour
   * @param bondEnds until when a next layer bonds by itself; null when it never cures so far
   * @param demould null when it never cures so far in this room
   * @param fullCure null when it never cures so far in this room
   * @param peakC the warmest it gets in its mould; null where a rule of thumb stands in
   */
  public record LayerCure(
      int line,
      int layer,
      String pourId,
      int pouredSeconds,
      StateTime thick,
      StateTime gels,
      @Nullable StateTime bondEnds,
      @Nullable StateTime demould,
      @Nullable StateTime fullCure,
      @Nullable Double peakC,
      @Nullable Double mostPeakC) {}
}
