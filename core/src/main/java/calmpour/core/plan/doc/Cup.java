package calmpour.core.plan.doc;

import static calmpour.core.check.Known.known;

import calmpour.core.cup.CupKind;
import calmpour.core.resin.LoadingBasis;
import calmpour.core.session.JobInResin;
import calmpour.core.tint.Dosing;
import calmpour.core.tint.LoadingLimit;
import calmpour.core.tint.StockCup;
import calmpour.core.tint.Tint;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * One colour's share of a batch.
 *
 * @param id batch and place, such as {@code 1.3}
 * @param byHand which of the cups put together by hand it is, from 0; null for a cup of the plan's
 */
@RecordBuilder
public record Cup(
    CupId id,
    int batch,
    @Nullable Integer byHand,
    CupColour colour,
    CupKind kind,
    CupAmounts amounts,
    CupTint tint,
    List<Pour> pours,
    CupTimes times,
    CupFollows follows)
    implements CupBuilder.With {
  public Cup {
    pours = List.copyOf(pours);
  }

  /** A cup that is not laid on the clock yet. */
  public static Cup filled(
      CupId id,
      int batch,
      @Nullable Integer byHand,
      CupColour colour,
      CupKind kind,
      CupAmounts amounts,
      CupTint tint,
      List<Pour> pours) {
    return new Cup(
        id, batch, byHand, colour, kind, amounts, tint, pours, CupTimes.NONE, CupFollows.NOTHING);
  }

  /**
   * The same cup with what is really in it.
   *
   * @param really content, g, more than 0
   * @param itsPours with the masses that are really poured
   */
  public Cup holding(double really, List<Pour> itsPours) {
    double share = really / amounts.contentG();
    double poured = itsPours.stream().mapToDouble(Pour::massG).sum();
    return withPours(itsPours)
        .withAmounts(
            new CupAmounts(
                kind.levelMm(amounts.contentMl() * share),
                amounts.resinG() * share,
                really,
                amounts.contentMl() * share,
                poured,
                really - poured));
  }

  /** Its colour as it is in its batch's resin. */
  public Tint tintIn(JobInResin inResin) {
    return known(inResin.tints().get(colour.id()));
  }

  /** The mix as it is dosed in this cup, with the limits of its colour. */
  public Tint stirred(JobInResin inResin) {
    Tint planned = tintIn(inResin);
    return Tint.asStirred(
        planned.shares().stream()
            .map(s -> new Tint.Share(s.colourant(), massG(s.colourant().id()) / amounts.resinG()))
            .toList(),
        planned.resinDensity(),
        planned.limits());
  }

  private double massG(String colourantId) {
    return tint.doses().stream()
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
   * @param line index of the session's line of pieces, from 0
   * @param cavity from 1
   * @param layer index from 0
   * @param part from 1
   * @param parts more than 1 where the layer has several colours, an embed goes in between, or one
   *     cup or batch cannot hold the whole pour
   * @param half 1 or 2 where an embed goes in between; 1 otherwise
   */
  @RecordBuilder
  public record Pour(
      PourId id,
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
      int endSeconds)
      implements CupPourBuilder.With {
    /** The same pour of another mass, g. */
    public Pour of(double grams) {
      return withMassG(grams).withVolumeMl(volumeMl * grams / massG);
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
      PourId pourId,
      int pouredSeconds,
      StateTime thick,
      StateTime gels,
      @Nullable StateTime bondEnds,
      @Nullable StateTime demould,
      @Nullable StateTime fullCure,
      @Nullable Double peakC,
      @Nullable Double mostPeakC) {}
}
