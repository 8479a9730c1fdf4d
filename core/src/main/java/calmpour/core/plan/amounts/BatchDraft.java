package calmpour.core.plan.amounts;

import static calmpour.core.check.Known.known;

import calmpour.core.cup.CupKind;
import calmpour.core.session.JobInResin;
import calmpour.core.tint.Colour;
import calmpour.core.tint.Tint;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * A batch while pours are still being gathered into it. Meanwhile its cups are filled one after the
 * other; which pours share a cup in the end is settled when all are there.
 */
public final class BatchDraft {
  private final JobInResin job;
  private final Limits limits;
  private final CupSplits splits;
  private final int stage;
  private final List<CupDraft> cups = new ArrayList<>();

  /** Its pours as they came, for where all of it stays in one cup. */
  private final List<PourDraft> whole = new ArrayList<>();

  /** One pour out of more cups than that is a matter of batches. */
  private static final int MOST_CUPS = 20;

  public BatchDraft(JobInResin job, Limits limits, int stage) {
    this(job, limits, stage, new CupSplits());
  }

  /**
   * @param splits found for other batches of the same session
   */
  public BatchDraft(JobInResin job, Limits limits, int stage, CupSplits splits) {
    this.job = job;
    this.limits = limits;
    this.splits = splits;
    this.stage = stage;
  }

  /**
   * The cups of a batch.
   *
   * @param lone whether the one cup is the one it was mixed in
   */
  public record Settled(String resinId, int stage, List<CupDraft> cups, boolean lone) {}

  public boolean isEmpty() {
    return cups.isEmpty();
  }

  /** Whether all of {@code pours} can join without a cup or the batch passing a limit. */
  public boolean fits(List<PourDraft> pours) {
    List<CupDraft> trial = new ArrayList<>();
    for (CupDraft cup : cups) {
      trial.add(cup.trial());
    }
    for (PourDraft pour : pours) {
      for (PourDraft part : inCups(pour)) {
        open(trial, part).count(part);
      }
    }
    return loneKind(trial) != null || splitHolds(trial);
  }

  public void add(List<PourDraft> pours) {
    whole.addAll(pours);
    for (PourDraft pour : pours) {
      for (PourDraft part : inCups(pour)) {
        open(cups, part).add(part);
      }
    }
  }

  /**
   * A pour larger than any colour cup comes from as many cups of this batch as it takes: a batch of
   * its own, in which it could stay where it was mixed, is one batch more.
   */
  private List<PourDraft> inCups(PourDraft pour) {
    if (pour.hand() != CupDraft.BY_PLAN || pour.level().gathered()) {
      return List.of(pour);
    }
    Tint tint = known(job.tints().get(pour.colour().id()));
    for (int parts = 1; parts <= MOST_CUPS; parts++) {
      List<PourDraft> all = parts == 1 ? List.of(pour) : pour.inParts(parts);
      // The last part is the largest: it takes what the division of whole milligrams leaves.
      PourDraft last = all.get(parts - 1);
      double loadG = limits.loadG(last.massMg(), last.mayTakeMoreMg());
      if (limits.bestKind(job.colourCups(), tint, loadG, true) != null) {
        return all;
      }
    }
    return List.of(pour);
  }

  private boolean splitHolds(List<CupDraft> among) {
    double resinG = 0;
    for (CupDraft cup : among) {
      CupKind kind = kind(cup);
      if (kind == null) {
        return false;
      }
      resinG += resinG(cup, kind);
    }
    return limits.batchHolds(resinG);
  }

  private double resinG(CupDraft cup, CupKind kind) {
    return limits.residue(kind).contentFor(load(cup)) / (1 + cup.tint().gPerGResin());
  }

  private double load(CupDraft cup) {
    return limits.loadG(cup.pouredMg(), cup.mayTakeMoreMg());
  }

  /** The best kind for a cup as it stands; null when none holds it. */
  private @Nullable CupKind kind(CupDraft cup) {
    if (!cup.byHand()) {
      return limits.bestKind(job.colourCups(), cup.tint(), load(cup), true);
    }
    CupKind chosen = job.handCups().get(cup.hand()).kind();
    if (chosen != null) {
      return chosen;
    }
    CupKind fits = limits.bestKind(job.colourCups(), cup.tint(), load(cup), false);
    if (fits == null) {
      fits = limits.bestKind(job.mixingCups(), cup.tint(), load(cup), false);
    }
    // Put together by hand it stays together, and the plan says that it does not fit.
    return fits == null ? job.mixingCups().get(job.mixingCups().size() - 1) : fits;
  }

  /** The mixing cup that one colour alone can stay in; null when it has to be split. */
  private @Nullable CupKind loneKind(List<CupDraft> among) {
    CupDraft first = among.get(0);
    boolean byHand = first.byHand();
    if (byHand && (among.size() > 1 || job.handCups().get(first.hand()).kind() != null)) {
      return null;
    }
    if (limits.reserveG() > 0 && !first.colour().clear()) {
      return null;
    }
    double loadG = 0;
    for (CupDraft cup : among) {
      if (!cup.colour().id().equals(first.colour().id()) || cup.byHand() != byHand) {
        return null;
      }
      loadG += load(cup);
    }
    double needed = loadG;
    List<CupKind> holding =
        job.mixingCups().stream().filter(k -> limits.loneHolds(k, first.tint(), needed)).toList();
    return limits.bestKind(holding, first.tint(), loadG, !byHand);
  }

  /** The newest cup of the pour's colour that still has room for it, or a new one. */
  private CupDraft open(List<CupDraft> among, PourDraft pour) {
    Colour colour = pour.colour();
    for (int i = among.size() - 1; i >= 0; i--) {
      CupDraft cup = among.get(i);
      if (pour.hand() != CupDraft.BY_PLAN || cup.byHand()) {
        if (cup.hand() == pour.hand()) {
          return cup;
        }
      } else if (cup.colour().id().equals(colour.id())) {
        CupDraft more = cup.trial();
        more.count(pour);
        if (kind(more) != null) {
          return cup;
        }
        break;
      }
    }
    CupDraft fresh = new CupDraft(colour, known(job.tints().get(colour.id())), pour.hand());
    among.add(fresh);
    return fresh;
  }

  /** The cups as they will stand on the bench: fewest of a colour first, least waste next. */
  public Settled settled() {
    CupKind lone = loneKind(cups);
    if (lone != null) {
      return alone(lone);
    }
    List<CupDraft> best = split();
    // Fewer cups may need a little more resin, and so pass the batch's limit by a hair.
    return new Settled(job.resin().id(), stage, holds(best) ? best : cups, false);
  }

  /**
   * The same, if no cup and no batch passes a limit.
   *
   * @param poured whether it has to leave the mixing cup, even if it could stay there
   * @return null when one would
   */
  public @Nullable Settled settledWithinLimits(boolean poured) {
    CupKind lone = poured ? null : loneKind(cups);
    if (lone != null) {
      return alone(lone);
    }
    List<CupDraft> best = split();
    boolean within = best.stream().allMatch(c -> c.kind() != null) && holds(best);
    return within ? new Settled(job.resin().id(), stage, best, false) : null;
  }

  private Settled alone(CupKind lone) {
    return new Settled(job.resin().id(), stage, List.of(cups.get(0).with(whole, lone)), true);
  }

  private List<CupDraft> split() {
    for (CupDraft cup : cups) {
      cup.settle(kind(cup));
    }
    sortByColour();
    return bestSplit();
  }

  /** Whether a batch can be mixed for these cups. */
  public boolean holds(List<CupDraft> split) {
    return limits.batchHolds(split.stream().mapToDouble(c -> resinG(c, known(c.kind()))).sum());
  }

  /** The kinds that hold what a cup of the plan's has, for its own heat too. */
  public List<CupKind> kindsFor(CupDraft cup) {
    return job.colourCups().stream()
        .filter(k -> load(cup) <= limits.mostLoadG(k, cup.tint(), true))
        .toList();
  }

  /** The mixing cups in which all of it can stay. */
  public List<CupKind> loneKindsFor(CupDraft cup) {
    return job.mixingCups().stream()
        .filter(k -> limits.loneHolds(k, cup.tint(), load(cup)))
        .filter(k -> load(cup) <= limits.mostLoadG(k, cup.tint(), true))
        .toList();
  }

  /** Cups of one colour stand side by side, the colours as they first come up. */
  private void sortByColour() {
    List<String> colours = cups.stream().map(c -> c.colour().id()).distinct().toList();
    cups.sort(Comparator.comparingInt(c -> colours.indexOf(c.colour().id())));
  }

  private List<CupDraft> bestSplit() {
    Map<String, List<CupDraft>> byColour = new LinkedHashMap<>();
    for (CupDraft cup : cups) {
      byColour
          .computeIfAbsent(
              cup.byHand() ? "hand " + cup.hand() : cup.colour().id(), c -> new ArrayList<>())
          .add(cup);
    }
    List<CupDraft> best = new ArrayList<>();
    for (List<CupDraft> ofColour : byColour.values()) {
      boolean settled =
          ofColour.get(0).byHand() || ofColour.stream().anyMatch(c -> c.kind() == null);
      best.addAll(settled ? ofColour : splits.best(job, limits, ofColour));
    }
    return best;
  }
}
