package calmpour.core.cure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import calmpour.core.resin.ResinKind;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** The quick method beside the explicit one at a thousandfold finer tolerance. */
class QuickRunTest {
  private static final double SOON = 0.005;

  /** Near the glass it goes on so slowly that a ten-thousandth of conversion is an hour. */
  private static final double LATE = 0.02;

  /** Cup, then mould: gel to half a percent, hardness to two, every peak to half a degree. */
  @Property(tries = 60, seed = "20261127")
  void momentsAreThoseOfTheEngine(
      @ForAll @IntRange(min = 0, max = 2) int which,
      @ForAll @DoubleRange(min = 4, max = 60) double depthMm,
      @ForAll @DoubleRange(min = 14, max = 34) double roomC,
      @ForAll @DoubleRange(min = 2, max = 9) double minutes) {
    ResinKind kind = List.of(ResinKind.CASTING, ResinKind.FAST, ResinKind.DEEP).get(which);
    double potLife = new double[] {40, 20, 480}[which];
    Calibrated label = Calibration.of(Samples.resin(kind, potLife, 100, 23, null));
    BodyHistory.Segment cup = Calibration.asLabelled(80, roomC).last();
    BodyHistory.Segment lies = Calibration.piece(kind, depthMm, roomC).last();
    BodyHistory body = new BodyHistory(roomC + 3, List.of(cup.lasting(minutes), lies));
    CureRun fine =
        new CureEngine(label.chemistry(), label.targets()).run(body, CureEngine.MOST_MINUTES);
    QuickRun.Moments quick =
        QuickRun.of(label.chemistry(), label.targets(), body, CureEngine.MOST_MINUTES);
    near("working time", SOON, fine.workingTimeEnds(), quick.workingTimeEnds());
    near("thick", SOON, fine.tooThick(), quick.tooThick());
    near("gel", SOON, fine.gels(), quick.gels());
    near("bond", SOON, fine.bondEnds(), quick.bondEnds());
    near("demould", LATE, fine.demould(), quick.demould());
    near("full cure", LATE, fine.fullCure(), quick.fullCure());
    assertThat(Math.abs(quick.peakC() - fine.peakC())).isLessThan(0.5);
    near("heat used", LATE, fine.heatUsed(), quick.heatUsed());
  }

  /** What is asked for as far as a moment says the same of it as what is asked for whole. */
  @Test
  void asFarAsIsAskedItSaysTheSame() {
    Calibrated label = Calibration.of(Samples.resin(ResinKind.CASTING, 40.0, 100, 23, null));
    BodyHistory.Segment cup = Calibration.asLabelled(100, 25).last();
    BodyHistory.Segment lies = Calibration.piece(ResinKind.CASTING, 20, 22).last();
    BodyHistory body = new BodyHistory(25, List.of(cup.lasting(3), cup.in(24).lasting(4), lies));
    QuickRun.Moments whole = run(label, body, QuickRun.Until.ALL);
    assertThat(run(label, body, QuickRun.Until.THICK).workingTimeEnds())
        .isEqualTo(whole.workingTimeEnds());
    assertThat(run(label, body, QuickRun.Until.THICK).demould()).isNull();
    assertThat(run(label, body, QuickRun.Until.GEL).gels()).isEqualTo(whole.gels());
    assertThat(run(label, body, QuickRun.Until.GEL).tooThick()).isEqualTo(whole.tooThick());
    assertThat(run(label, body, QuickRun.Until.HARD).demould()).isEqualTo(whole.demould());
    assertThat(whole.bondEnds()).isBetween(whole.gels(), whole.demould());
    assertThat(whole.fullCure()).isGreaterThanOrEqualTo(whole.demould());
    // At its end it is as far and as warm as the engine says.
    for (double minutes : new double[] {2, 5, 30, 400}) {
      CureRun fine = new CureEngine(label.chemistry()).runThrough(body, minutes);
      QuickRun.Moments quick = QuickRun.through(label.chemistry(), body, minutes, 0.01);
      assertThat(quick.conversion()).isCloseTo(fine.at(minutes).conversion(), within(1e-4));
      double room = minutes < 3 ? 25 : minutes < 7 ? 24 : 22;
      assertThat(quick.offRoomK())
          .as("after %s min", minutes)
          .isCloseTo(Math.abs(fine.at(minutes).temperatureC() - room), within(0.05));
    }
  }

  private static QuickRun.Moments run(Calibrated label, BodyHistory body, QuickRun.Until until) {
    return QuickRun.of(label.chemistry(), label.targets(), body, CureEngine.MOST_MINUTES, until);
  }

  private static void near(String what, double to, Double fine, Double quick) {
    assertThat(quick == null).as(what).isEqualTo(fine == null);
    if (fine != null) {
      assertThat(Math.abs(quick / fine - 1)).as(what).isLessThan(to);
    }
  }

  /** What is read and poured at the same moment has nothing between, however late it is. */
  @Property(tries = 30, seed = "20261128")
  void aMomentThatIsNoTimeChangesNothing(
      @ForAll @DoubleRange(min = 0.5, max = 3000) double minutes,
      @ForAll @IntRange(min = -16, max = -3) int digits) {
    Calibrated label = Calibration.of(Samples.resin(ResinKind.CASTING, 40.0, 100, 23, null));
    BodyHistory.Segment cup = Calibration.asLabelled(100, 25).last();
    double blink = Math.max(Math.ulp(minutes), Math.pow(10, digits));
    BodyHistory plain = new BodyHistory(25, List.of(cup.lasting(minutes), cup));
    BodyHistory blinked =
        new BodyHistory(25, List.of(cup.lasting(minutes), cup.lasting(blink), cup));
    double gels = QuickRun.of(label.chemistry(), null, plain, 6000).gels();
    assertThat(QuickRun.of(label.chemistry(), null, blinked, 6000).gels())
        .isCloseTo(gels, within(0.01 * gels));
  }

  /** A hundredth of the error that is let pass brings it far nearer. */
  @Test
  void aFinerToleranceIsNearer() {
    Calibrated label = Calibration.of(Samples.resin(ResinKind.CASTING, 40.0, 100, 23, null));
    BodyHistory cup = Calibration.asLabelled(100, 25);
    double fine = new CureEngine(label.chemistry()).run(cup, 600).workingTimeEnds();
    double coarse = QuickRun.through(label.chemistry(), cup, 60, 3).workingTimeEnds();
    double finer = QuickRun.through(label.chemistry(), cup, 60, 0.003).workingTimeEnds();
    assertThat(Math.abs(finer / fine - 1)).isLessThan(2e-5);
    assertThat(Math.abs(finer - fine)).isLessThan(Math.abs(coarse - fine) / 10);
  }

  /** Of a thick piece poured out of its cup as well: every moment, and its peak inside a step. */
  @Test
  void finelyFollowedAThickPieceIsTheEngines() {
    Calibrated label = Calibration.of(Samples.resin(ResinKind.CASTING, 40.0, 100, 23, null));
    BodyHistory.Segment cup = Calibration.asLabelled(300, 25).last();
    for (double depthMm : new double[] {8, 40}) {
      BodyHistory body =
          new BodyHistory(
              25,
              List.of(cup.lasting(6), Calibration.piece(ResinKind.CASTING, depthMm, 22).last()));
      CureRun fine = new CureEngine(label.chemistry()).runThrough(body, 600);
      QuickRun.Moments quick = QuickRun.through(label.chemistry(), body, 600, 0.01);
      assertThat(quick.workingTimeEnds() / fine.workingTimeEnds()).isCloseTo(1, within(2e-4));
      assertThat(quick.tooThick() / fine.tooThick()).isCloseTo(1, within(2e-4));
      assertThat(quick.gels() / fine.gels()).isCloseTo(1, within(2e-4));
      assertThat(quick.peakC()).as("%s mm", depthMm).isCloseTo(fine.peakC(), within(0.1));
      assertThat(quick.conversion()).isCloseTo(fine.at(600).cured(), within(1e-3));
      // As it is asked for usually, half a degree is all that the peak may be off.
      QuickRun.Moments usual = QuickRun.of(label.chemistry(), null, body, 600);
      assertThat(usual.peakC()).isCloseTo(fine.peakC(), within(0.5));
      assertThat(usual.gels() / fine.gels()).isCloseTo(1, within(0.005));
    }
  }
}
