package calmpour.core.cure;

import calmpour.core.cure.ClockFact.Kind;
import calmpour.core.cure.ClockFact.Said;
import calmpour.core.cure.ClockFact.Side;
import calmpour.core.cure.ClockFact.Source;
import calmpour.core.resin.CureTimes;
import calmpour.core.resin.DemouldRow;
import calmpour.core.resin.LabelFacts;
import calmpour.core.resin.LabelHours;
import calmpour.core.resin.OwnPace;
import calmpour.core.resin.PotLifeRow;
import calmpour.core.resin.ResinSystem;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What a label says of how its resin cures, as facts with their own spread (no source). */
final class ClockFacts {
  /** A pot life that stands alone is what its maker found: it is met. */
  static final double ALONE = 0.005;

  /** One of several, ±15 % being twice that. */
  private static final double ONE_OF_MANY = 0.075;

  /** Hours that a label rounds. */
  private static final double HOURS = 0.1;

  /** A range has nine in ten within it. */
  private static final double NINE_IN_TEN = 1.645;

  private static final double GEL_SD = 0.2;
  private static final double FRESH_SD = 0.1;
  private static final double BY_THEN = 0.15;
  private static final double WARM_SD_K = 5;

  /** A block of the greatest depth stays below that, °C; common practice, no source. */
  private static final double TOO_HOT_C = 90;

  /** The largest batch can be stirred, and poured for so long, min. */
  private static final double LEAST_TO_POUR = 5;

  /** A label's small layer: 40 mm wide, 8 mm deep. */
  private static final double LAYER_MM = 8;

  private static final double LAYER_WIDE_MM = 40;

  private ClockFacts() {}

  /** In the order in which they are told. */
  static List<ClockFact> of(ResinSystem resin) {
    List<ClockFact> facts = new ArrayList<>();
    potLives(resin, facts);
    double atC = resin.knownPotLifeTemperatureC().value();
    Double label = resin.gelMinutes();
    if (label != null) {
      double stirred = resin.mixMinutes() == null ? 0 : resin.mixMinutes();
      double gel = label * OwnPace.times(resin.ownFluid());
      Said said = new Said(gel, null, "min", null, LAYER_MM, atC);
      facts.add(
          new ClockFact(
              Kind.GEL,
              Side.THEN,
              stirred + gel,
              GEL_SD,
              source(resin.ownFluid()),
              layer(atC),
              said));
    }
    times(resin, atC, facts);
    LabelFacts other = resin.facts();
    if (other != null && other.viscosityPaS() != null) {
      double fresh = other.viscosityPaS();
      Said said = new Said(fresh, null, "Pa·s", null, null, 25.0);
      facts.add(new ClockFact(Kind.FRESH, Side.THEN, fresh, FRESH_SD, Source.LABEL, null, said));
    }
    if (other != null && other.depthToMm() != null) {
      double depth = other.depthToMm();
      Said said = new Said(depth, null, "mm", null, depth, atC);
      facts.add(
          new ClockFact(
              Kind.DEEPEST,
              Side.AT_MOST,
              TOO_HOT_C,
              WARM_SD_K,
              Source.LABEL,
              Calibration.labelPiece(resin.kind(), depth, atC),
              said));
    }
    Double batch = resin.largestBatchG();
    if (batch != null) {
      double stirred = resin.mixMinutes() == null ? 0 : resin.mixMinutes();
      Said said = new Said(batch, null, "g", batch, null, atC);
      facts.add(
          new ClockFact(
              Kind.LARGEST_BATCH,
              Side.AT_LEAST,
              stirred + LEAST_TO_POUR,
              BY_THEN,
              Source.LABEL,
              Calibration.asLabelled(batch, atC),
              said));
    }
    return facts;
  }

  private static void potLives(ResinSystem resin, List<ClockFact> facts) {
    List<PotLifeRow> rows = new ArrayList<>(resin.potLifeRows());
    OwnPace.Pace own = resin.ownFluid();
    // Where the label is silent, what is assumed of its kind is what the pace was found beside.
    if (resin.potLifeMinutes() != null || (own != null && rows.isEmpty())) {
      rows.addFirst(
          new PotLifeRow(
              resin.knownPotLifeMassG().value(),
              resin.knownPotLifeTemperatureC().value(),
              resin.knownPotLifeMinutes().value()));
    }
    double told = rows.size() > 1 ? ONE_OF_MANY : ALONE;
    for (PotLifeRow row : rows) {
      double minutes = row.minutes() * OwnPace.times(own);
      facts.add(
          new ClockFact(
              Kind.POT_LIFE,
              Side.THEN,
              minutes,
              own == null ? told : Math.max(told, own.sd()),
              source(own),
              Calibration.asLabelled(row.massG(), row.temperatureC()),
              new Said(minutes, null, "min", row.massG(), null, row.temperatureC())));
    }
  }

  private static Source source(OwnPace.@Nullable Pace own) {
    return own == null ? Source.LABEL : Source.MAKER;
  }

  private static void times(ResinSystem resin, double atC, List<ClockFact> facts) {
    OwnPace.Pace fluid = resin.ownFluid();
    OwnPace.Pace hard = resin.ownHard();
    CureTimes times = resin.times();
    if (times != null) {
      byThen(Kind.TACK_FREE, times.tackFreeHours(), fluid, layer(atC), atC, facts);
      byThen(Kind.RECOAT, times.recoatFromHours(), fluid, Calibration.sheet(atC), atC, facts);
    }
    for (DemouldRow row : demouldRows(resin, hard)) {
      double from = row.fromHours() * OwnPace.times(hard);
      double late = row.lateHours() * OwnPace.times(hard);
      double half = Math.log(late / from) / 2 / NINE_IN_TEN;
      BodyHistory piece = Calibration.labelPiece(resin.kind(), row.depthMm(), atC);
      Double to = row.toHours() == null ? null : (Double) late;
      Said said = new Said(from, to, "h", null, row.depthMm(), atC);
      facts.add(
          new ClockFact(
              Kind.DEMOULD,
              Side.THEN,
              Math.sqrt(from * late) * 60,
              Math.max(hard == null ? HOURS : hard.sd(), half),
              source(hard),
              piece,
              said));
    }
    if (times != null) {
      byThen(Kind.FULL_CURE, times.fullCureHours(), hard, Calibration.sheet(atC), atC, facts);
    }
  }

  /** Of a label that is silent, what is usual for its kind, where its maker knows a pace of it. */
  private static List<DemouldRow> demouldRows(ResinSystem resin, OwnPace.@Nullable Pace hard) {
    List<DemouldRow> rows = LabelHours.rows(resin);
    double depth = LabelHours.USUAL_DEPTH_MM;
    return rows.isEmpty() && hard != null
        ? List.of(new DemouldRow(depth, LabelHours.demould(resin, depth).value(), null))
        : rows;
  }

  private static void byThen(
      Kind kind,
      @Nullable Double label,
      OwnPace.@Nullable Pace own,
      BodyHistory body,
      double atC,
      List<ClockFact> facts) {
    if (label != null) {
      double hours = label * OwnPace.times(own);
      Said said = new Said(hours, null, "h", null, null, atC);
      facts.add(new ClockFact(kind, Side.AT_MOST, hours * 60, BY_THEN, source(own), body, said));
    }
  }

  /** The small layer that a label's next layer is meant for. */
  private static BodyHistory layer(double atC) {
    double floorCm2 = Math.PI / 4 * LAYER_WIDE_MM * LAYER_WIDE_MM / 100;
    double volumeMl = floorCm2 * LAYER_MM / 10;
    BodyShape fill = BodyShape.InMould.round(volumeMl, LAYER_MM, floorCm2, floorCm2);
    return new BodyHistory(
        atC, List.of(new BodyHistory.Segment(0, volumeMl * Calibration.DENSITY, fill, atC)));
  }
}
