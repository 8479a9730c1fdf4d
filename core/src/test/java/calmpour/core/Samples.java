package calmpour.core;

import calmpour.core.audit.Audit;
import calmpour.core.cup.CupKind;
import calmpour.core.cure.CureModel;
import calmpour.core.cure.HalvingRule;
import calmpour.core.habit.Habits;
import calmpour.core.habit.Hands;
import calmpour.core.mould.Measurement;
import calmpour.core.mould.Mould;
import calmpour.core.mould.Solid;
import calmpour.core.plan.Planner;
import calmpour.core.resin.CureTimes;
import calmpour.core.resin.LabelFacts;
import calmpour.core.resin.MixRatio;
import calmpour.core.resin.ResinKind;
import calmpour.core.resin.ResinSystem;
import calmpour.core.session.Arrangement;
import calmpour.core.session.JustMix;
import calmpour.core.session.Piece;
import calmpour.core.session.Room;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import calmpour.core.tint.Colour;
import calmpour.core.tint.Colourant;
import calmpour.core.tint.ColourantForm;
import java.time.LocalDateTime;
import java.util.List;

/** Made-up materials for tests. */
public final class Samples {
  public static final CupKind MIXING =
      new CupKind("mix", "Mixing cup", CupKind.Use.MIXING, 70, 92, 88);
  public static final CupKind SMALL =
      new CupKind("small", "Colour cup", CupKind.Use.COLOUR, 40, 54, 48);

  private Samples() {}

  /** Plans by the rule of thumb, judged by every rule. */
  public static Planner planner() {
    return planner(new HalvingRule());
  }

  public static Planner planner(CureModel cure) {
    return new Planner(cure, new Audit());
  }

  public static ResinSystem resin(double a, double b, MixRatio.Basis basis) {
    return resin(a, b, basis, 1.15, 1.01);
  }

  public static ResinSystem resin(
      double a, double b, MixRatio.Basis basis, double densityA, double densityB) {
    return resin(new MixRatio(a, b, basis), densityA, densityB, 40.0, 500.0);
  }

  public static ResinSystem resin(
      MixRatio ratio, Double densityA, Double densityB, Double potLife, Double largestBatchG) {
    return new ResinSystem(
        "resin",
        "Slow casting resin",
        ResinKind.CASTING,
        ratio,
        densityA,
        densityB,
        potLife,
        100.0,
        24.0,
        largestBatchG,
        3.0,
        null,
        null,
        null,
        null,
        null,
        null,
        null);
  }

  /** The same with more on its label. */
  public static ResinSystem withFacts(ResinSystem resin, LabelFacts facts) {
    return new ResinSystem(
        resin.id(),
        resin.name(),
        resin.kind(),
        resin.ratio(),
        resin.densityA(),
        resin.densityB(),
        resin.potLifeMinutes(),
        resin.potLifeMassG(),
        resin.potLifeTemperatureC(),
        resin.largestBatchG(),
        resin.mixMinutes(),
        resin.gelMinutes(),
        resin.loadingLimitPercent(),
        resin.loadingBasis(),
        resin.times(),
        facts,
        resin.partAId(),
        resin.partBId());
  }

  /** 40 minutes for 100 g at 24 °C. */
  public static ResinSystem slow() {
    return resin(2, 1, MixRatio.Basis.WEIGHT);
  }

  /** A resin of 2:1 by weight with a pot life for a mass at a temperature. */
  public static ResinSystem resin(
      ResinKind kind, double potLife, double massG, double meantAtC, CureTimes times) {
    return new ResinSystem(
        "resin",
        "Resin",
        kind,
        new MixRatio(2, 1, MixRatio.Basis.WEIGHT),
        1.15,
        1.01,
        potLife,
        massG,
        meantAtC,
        null,
        3.0,
        null,
        null,
        null,
        times,
        null,
        null,
        null);
  }

  public static Colourant liquid(String id) {
    return colourant(id, ColourantForm.LIQUID_TINT);
  }

  public static Colourant colourant(String id, ColourantForm form) {
    return new Colourant(id, id, form, "#446688", null, null, null, null, null, null, null);
  }

  /** A cavity of solids, from the floor up. */
  public static Measurement solids(Solid... parts) {
    return new Measurement(
        Measurement.Method.SOLID,
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        List.of(parts),
        List.of(),
        null,
        null,
        null);
  }

  public static Mould mould(String id, double volumeMl, Double depthMm) {
    return Mould.told(id, id, volumeMl, depthMm, 0.0);
  }

  public static Workshop workshop(ResinSystem resin, List<Mould> moulds, List<Colour> colours) {
    return new Workshop(
        moulds,
        List.of(resin),
        List.of(liquid("tint"), colourant("mica", ColourantForm.MICA)),
        colours,
        List.of(MIXING, SMALL));
  }

  public static Session session(List<Piece> pieces) {
    return session(pieces, null, Habits.DEFAULT);
  }

  public static Session session(List<Piece> pieces, JustMix mix, Habits habits) {
    return new Session(
        "Test",
        LocalDateTime.of(2026, 11, 28, 10, 0),
        "Europe/London",
        new Room(22, null),
        "resin",
        pieces,
        mix,
        List.of(),
        1,
        List.of(),
        List.of(),
        habits,
        Hands.DEFAULT,
        null,
        Arrangement.FREE);
  }
}
