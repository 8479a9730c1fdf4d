package calmpour.core.design;

import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * One layer of a piece, counted from the floor of the mould.
 *
 * @param colourId which colour it is poured in
 * @param fill how much it takes; null for whatever room is left to the rim, on the top layer only
 * @param join how it meets the layer below; has no meaning on the first
 * @param resinId which resin; null for the session's
 * @param beside further colours of the same layer, each with its share of it
 * @param meeting how several colours come together; has no meaning for one
 * @param embeds what is put into it
 * @param wet what is done to its wet face, in this order; null for nothing
 */
@RecordBuilder
public record Layer(
    String colourId,
    @Nullable Fill fill,
    Join join,
    @Nullable String resinId,
    List<BesideColour> beside,
    Meeting meeting,
    List<PlacedEmbed> embeds,
    @Nullable List<WetWork> wet)
    implements LayerBuilder.With {
  public static final Range BESIDE = new Range(0, 4);
  public static final Range EMBEDS = new Range(0, 12);
  public static final Range WET = new Range(0, 4);

  /** How several colours of one layer come together. */
  public enum Meeting {
    /** From two or more sides, until they meet. */
    FROM_SIDES,
    /** Each a little in several spots, between those of the others. */
    IN_SPOTS,
    /** Poured into one cup in turns, and out of it at once. */
    ONE_CUP,
    /** The first of them last, in the middle: it presses the others apart. */
    PRESSED_APART
  }

  /**
   * Another colour of a layer.
   *
   * @param share of the layer
   */
  public record BesideColour(String colourId, double share) {
    public static final Range SHARE = new Range(0.01, 0.99);

    public BesideColour {
      new Check().name("colourId", colourId).within("share", share, SHARE).orThrow();
    }
  }

  /** A layer of one colour in the session's resin, with nothing put into it. */
  public Layer(String colourId, @Nullable Fill fill, @Nullable Join join) {
    this(
        colourId,
        fill,
        join == null ? Join.TOGETHER : join,
        null,
        List.of(),
        Meeting.FROM_SIDES,
        List.of());
  }

  /** A layer whose face is left as it flows. */
  public Layer(
      String colourId,
      @Nullable Fill fill,
      @Nullable Join join,
      @Nullable String resinId,
      List<BesideColour> beside,
      @Nullable Meeting meeting,
      List<PlacedEmbed> embeds) {
    this(
        colourId,
        fill,
        join == null ? Join.TOGETHER : join,
        resinId,
        beside,
        meeting == null ? Meeting.FROM_SIDES : meeting,
        embeds,
        null);
  }

  /** What is done to its wet face. */
  public List<WetWork> wetOrNone() {
    return wet == null ? List.of() : wet;
  }

  public Layer {
    join = join == null ? Join.TOGETHER : join;
    meeting = meeting == null ? Meeting.FROM_SIDES : meeting;
    beside = beside == null ? List.of() : List.copyOf(beside);
    embeds = embeds == null ? List.of() : List.copyOf(embeds);
    wet = wet == null || wet.isEmpty() ? null : List.copyOf(wet);
    int worked = wet == null ? 0 : wet.size();
    Set<String> colours = new HashSet<>();
    colours.add(colourId);
    Check check =
        new Check()
            .name("colourId", colourId)
            .that(
                BESIDE.contains(beside.size()),
                Problem.outside("beside", Problem.Code.TOO_MANY, beside.size(), BESIDE))
            .that(
                EMBEDS.contains(embeds.size()),
                Problem.outside("embeds", Problem.Code.TOO_MANY, embeds.size(), EMBEDS))
            .that(WET.contains(worked), Problem.outside("wet", Problem.Code.TOO_MANY, worked, WET));
    for (int i = 0; i < beside.size(); i++) {
      String id = beside.get(i).colourId();
      check.that(
          colours.add(id), Problem.of("beside[" + i + "].colourId", Problem.Code.DUPLICATE_ID, id));
    }
    double besides = beside.stream().mapToDouble(BesideColour::share).sum();
    check
        .that(
            besides <= MOST_BESIDE,
            Problem.outside(
                "beside", Problem.Code.NOTHING_LEFT_FOR_COLOUR, besides, new Range(0, MOST_BESIDE)))
        .orThrow();
  }

  /** So much at most may the further colours take of a layer. */
  private static final double MOST_BESIDE = 0.99;

  /** What its own colour takes of it, 0 to 1. */
  public double ownShare() {
    return 1 - beside.stream().mapToDouble(BesideColour::share).sum();
  }
}
