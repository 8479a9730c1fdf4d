package calmpour.core.plan;

import calmpour.core.cup.CupKind;
import calmpour.core.cure.BodyHistory;
import calmpour.core.cure.BodyShape;
import calmpour.core.cure.Calibrated;
import calmpour.core.cure.CureModel;
import calmpour.core.cure.CureRun;
import calmpour.core.cure.CureStates;
import calmpour.core.cure.WorkingTimes;
import calmpour.core.resin.ResinSystem;
import java.util.List;
import java.util.Optional;

/**
 * Working times from a table, by kind of cup and by 5 g of what is in it when it is filled, rounded
 * up: so that two planners that know nothing of each other can reckon with the same. A piece gels
 * and stops bonding at fixed moments after the first contact.
 *
 * @param kinds cups for colours, told apart by their bottoms
 * @param seconds a row a kind, a figure for each 5 g from 5 g up; the last for all above
 */
record TableModel(
    List<CupKind> kinds, List<List<Integer>> seconds, int gelsSeconds, int bondsSeconds)
    implements CureModel {
  private static final CureStates.Heat COOL = new CureStates.Heat(30, 28, 32, 10, 0.1, 0.1);

  int window(int kind, double massG) {
    int step = (int) Math.ceil(massG / 5 - 1e-9);
    List<Integer> row = seconds.get(kind);
    return row.get(Math.clamp(step - 1L, 0, row.size() - 1));
  }

  @Override
  public CureStates states(ResinSystem resin, BodyHistory body) {
    if (!(body.last().shape() instanceof BodyShape.InCup)) {
      double gels = gelsSeconds / 60.0;
      double bonds = bondsSeconds / 60.0;
      return new CureStates(
          at(gels * 0.5),
          at(gels * 0.8),
          at(gels),
          at(gels),
          at(bonds),
          at(bonds + 60),
          at(bonds + 600),
          COOL);
    }
    for (BodyHistory.Segment segment : body.segments()) {
      BodyShape.InCup cup = (BodyShape.InCup) segment.shape();
      for (int k = 0; k < kinds.size(); k++) {
        if (kinds.get(k).bottomWidthMm() == cup.bottomWidthMm()) {
          double minutes = window(k, segment.massG()) / 60.0;
          return new CureStates(
              at(minutes), at(minutes * 1.2), at(minutes * 6), null, null, null, null, COOL);
        }
      }
    }
    // A mixing cup from which nothing is poured.
    return new CureStates(at(120), at(150), at(200), null, null, null, null, COOL);
  }

  @Override
  public Optional<Double> warmestWithin(ResinSystem resin, BodyHistory body, double minutes) {
    return Optional.empty();
  }

  @Override
  public double pace(ResinSystem resin, double temperatureC) {
    return 1;
  }

  private static CureStates.Moment at(double minutes) {
    return new CureStates.Moment(minutes, minutes, minutes);
  }

  @Override
  public Optional<Calibrated> label(ResinSystem resin) {
    return Optional.empty();
  }

  @Override
  public WorkingTimes workingTimes(ResinSystem resin, BodyHistory cup) {
    return WorkingTimes.of((room, label) -> states(resin, cup).workingTimeEnds().minutes(), 0.075);
  }

  @Override
  public Optional<CureRun> curve(ResinSystem resin, BodyHistory body) {
    return Optional.empty();
  }
}
