package calmpour.core.audit;

import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Finding.Mend;
import calmpour.core.plan.doc.Finding.Severity;
import calmpour.core.plan.doc.Place;
import calmpour.core.tool.Booking;
import java.util.ArrayList;
import java.util.List;

/** What the rules have found so far. */
final class Findings {
  private final List<Finding> findings = new ArrayList<>();

  List<Finding> findings() {
    return findings;
  }

  void breach(
      Finding.Rule rule, Place place, double value, double limit, String unit, Mend... mends) {
    add(Severity.BREACH, rule, place, value, limit, unit, mends);
  }

  void near(
      Finding.Rule rule, Place place, double value, double limit, String unit, Mend... mends) {
    add(Severity.NEAR, rule, place, value, limit, unit, mends);
  }

  void note(
      Finding.Rule rule, Place place, double value, double limit, String unit, Mend... mends) {
    add(Severity.NOTE, rule, place, value, limit, unit, mends);
  }

  private void add(
      Severity severity,
      Finding.Rule rule,
      Place place,
      double value,
      double limit,
      String unit,
      Mend... mends) {
    findings.add(new Finding(severity, rule, place, value, limit, unit, List.of(mends)));
  }

  /** What was found last lies at another session. */
  void because(Booking booking) {
    findings.add(findings.removeLast().because(booking));
  }

  void add(Finding finding) {
    findings.add(finding);
  }

  /** What no change to one thing mends: amounts or tasks that are not what a plan of ours has. */
  static final Mend ANEW = new Mend(Mend.Kind.ANEW, 0);

  static Mend open(String target) {
    return new Mend(Mend.Kind.OPEN_SHELF, 0, target);
  }

  static Mend open(Place place) {
    return open(place.toString());
  }

  static Mend openPiece(int line) {
    return new Mend(Mend.Kind.OPEN_PIECE, line);
  }

  static Mend leaveOut(int line) {
    return new Mend(Mend.Kind.LEAVE_OUT, line);
  }

  /** One batch more than there is. */
  static final Mend ANOTHER_BATCH = new Mend(Mend.Kind.MORE_BATCHES, 0);

  static double minutes(int seconds) {
    return seconds / 60.0;
  }
}
