package calmpour.core.plan;

import calmpour.core.session.Job;
import calmpour.core.tint.Colour;
import calmpour.core.tint.Tint;
import java.util.ArrayList;
import java.util.List;

/** A batch while pours are still being gathered into it. */
final class BatchDraft {
  private final Limits limits;
  private final int stage;
  private final List<CupDraft> cups = new ArrayList<>();

  /** One colour's cup while pours are gathered; closed cups of the colour stay as they are. */
  static final class CupDraft {
    final Colour colour;
    final Tint tint;
    final List<PourDraft> pours = new ArrayList<>();
    long pouredMg;

    /** What the moulds may take beyond that, as far as they were measured. */
    long mayTakeMoreMg;

    CupDraft(Colour colour, Tint tint) {
      this.colour = colour;
      this.tint = tint;
    }
  }

  BatchDraft(Limits limits, int stage) {
    this.limits = limits;
    this.stage = stage;
  }

  int stage() {
    return stage;
  }

  List<CupDraft> cups() {
    return cups;
  }

  boolean isEmpty() {
    return cups.isEmpty();
  }

  /** Whether all of {@code pours} can join without a cup or the batch passing a limit. */
  boolean fits(List<PourDraft> pours, Job job) {
    List<CupDraft> trial = new ArrayList<>();
    for (CupDraft cup : cups) {
      CupDraft copy = new CupDraft(cup.colour, cup.tint);
      copy.pouredMg = cup.pouredMg;
      copy.mayTakeMoreMg = cup.mayTakeMoreMg;
      trial.add(copy);
    }
    for (PourDraft pour : pours) {
      CupDraft cup = open(trial, pour, job);
      cup.pouredMg += pour.massMg();
      cup.mayTakeMoreMg += pour.mayTakeMoreMg();
      if (!limits.cupHolds(cup.tint, cup.pouredMg, cup.mayTakeMoreMg)) {
        return false;
      }
    }
    return limits.batchHolds(trial);
  }

  void add(List<PourDraft> pours, Job job) {
    for (PourDraft pour : pours) {
      CupDraft cup = open(cups, pour, job);
      cup.pouredMg += pour.massMg();
      cup.mayTakeMoreMg += pour.mayTakeMoreMg();
      cup.pours.add(pour);
    }
  }

  /** The newest cup of the pour's colour that still has room for it, or a new one. */
  private CupDraft open(List<CupDraft> among, PourDraft pour, Job job) {
    Colour colour = pour.level().colour();
    for (int i = among.size() - 1; i >= 0; i--) {
      CupDraft cup = among.get(i);
      if (cup.colour.id().equals(colour.id())) {
        long more = cup.mayTakeMoreMg + pour.mayTakeMoreMg();
        if (limits.cupHolds(cup.tint, cup.pouredMg + pour.massMg(), more)) {
          return cup;
        }
        break;
      }
    }
    CupDraft fresh = new CupDraft(colour, job.tints().get(colour.id()));
    among.add(fresh);
    return fresh;
  }
}
