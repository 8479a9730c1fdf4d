package calmpour.core.journal;

import calmpour.core.cure.CureStates;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.CavityId;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.CupId;
import calmpour.core.resin.OwnPace;
import calmpour.core.resin.ResinSystem;
import calmpour.core.run.AsRun;
import calmpour.core.run.Felt;
import calmpour.core.run.Run;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What an evening's cure diary says of a resin's pace: how many times as long as on its label it
 * took, between two bounds (docs/rules.md, "The cure diary").
 *
 * @param resinId the resin
 * @param lot the bottles of A and B it was mixed from; null where nobody noted them
 * @param of which pace
 * @param lowest more than 0; null where nothing was seen that early
 * @param highest more than 0; null where nothing was seen that late
 * @param looks it is told by, 1 or more
 */
public record Looked(
    String resinId,
    @Nullable String lot,
    Of of,
    @Nullable Double lowest,
    @Nullable Double highest,
    int looks)
    implements Bounds {

  /** Which pace. */
  public enum Of {
    /** Until it thickens and gels. */
    FLUID,
    /** Until it comes out of its mould. */
    HARD
  }

  /** One for each resin and pace that was looked at. */
  public static List<Looked> of(Run run, AsRun asRun) {
    Map<String, Looked> all = new LinkedHashMap<>();
    for (Felt felt : asRun.felt()) {
      Planned planned =
          felt.cup() != null
              ? cup(run, asRun, felt.cup())
              : felt.piece() != null ? piece(run, asRun, felt.piece()).orElse(null) : null;
      if (planned != null) {
        look(planned, felt.word(), felt.atSeconds(), all);
      }
    }
    // Somebody found a cup too thick to pour, whatever the clock said.
    for (AsRun.Deviation otherwise : asRun.deviations()) {
      if (otherwise.code() == AsRun.Code.TOLD_THICK && otherwise.of() != null) {
        Planned planned = CupId.read(otherwise.of()).map(cup -> cup(run, asRun, cup)).orElse(null);
        if (planned != null && planned.thickens != null) {
          List<Bound> thick = List.of(new Bound(Of.FLUID, true, planned.thickens));
          look(planned, thick, otherwise.atSeconds(), all);
        }
      }
    }
    return List.copyOf(all.values());
  }

  /**
   * Something that was touched while a resin was timed for its own sake.
   *
   * @param piece whether it was what was poured, and not what stayed in the cup
   * @param minutes since A and B met, 0 or more
   */
  public record Touched(Felt.Word word, boolean piece, double minutes) {}

  /**
   * The same of a resin that was timed without an evening.
   *
   * @param resin with the lot at hand
   * @param cup when what stayed in its cup was to come to its states
   * @param piece the same of what was poured; null where nothing was
   * @param pouredMinutes when it was poured, since A and B met
   */
  public static List<Looked> of(
      ResinSystem resin,
      @Nullable String lot,
      CureStates cup,
      @Nullable CureStates piece,
      double pouredMinutes,
      List<Touched> touched) {
    Map<String, Looked> all = new LinkedHashMap<>();
    Planned inCup = planned(resin, lot, cup, 0, true);
    Planned poured = piece == null ? null : planned(resin, lot, piece, pouredMinutes, false);
    for (Touched each : touched) {
      Planned planned = each.piece ? poured : inCup;
      if (planned != null) {
        look(planned, each.word, (int) Math.round(each.minutes * 60), all);
      }
    }
    return List.copyOf(all.values());
  }

  private static Planned planned(
      ResinSystem resin, @Nullable String lot, CureStates states, double from, boolean inCup) {
    CureStates.Moment out = inCup ? null : states.demould();
    return new Planned(
        resin.id(),
        lot,
        resin.ownFluid(),
        resin.ownHard(),
        (int) Math.round(from * 60),
        inCup ? (Double) (states.workingTimeEnds().minutes() * 60) : null,
        (states.tooThick().minutes() - from) * 60,
        (states.gels().minutes() - from) * 60,
        out == null ? null : (Double) ((out.minutes() - from) * 60));
  }

  private static void look(
      Planned planned, Felt.Word word, int atSeconds, Map<String, Looked> all) {
    look(planned, planned.bounds(word), atSeconds, all);
  }

  private static void look(
      Planned planned, List<Bound> bounds, int atSeconds, Map<String, Looked> all) {
    double after = atSeconds - planned.since;
    if (after <= 0) {
      return;
    }
    Set<Of> counted = EnumSet.noneOf(Of.class);
    for (Bound bound : bounds) {
      // The plan had taken over what was known by then; its label did not. None is hard sooner in a
      // plan than by its label.
      double took =
          bound.of == Of.FLUID
              ? OwnPace.times(planned.fluid)
              : Math.max(1, OwnPace.times(planned.hard));
      double times = after / bound.seconds * took;
      all.merge(
          planned.resinId + " " + bound.of,
          new Looked(
              planned.resinId,
              planned.lot,
              bound.of,
              bound.passed ? null : (Double) times,
              bound.passed ? (Double) times : null,
              counted.add(bound.of) ? 1 : 0),
          Looked::and);
    }
  }

  private Looked and(Looked other) {
    return new Looked(
        resinId,
        lot,
        of,
        lowest == null
            ? other.lowest
            : other.lowest == null ? lowest : (Double) Math.max(lowest, other.lowest),
        highest == null
            ? other.highest
            : other.highest == null ? highest : (Double) Math.min(highest, other.highest),
        looks + other.looks);
  }

  /**
   * @param passed whether that state had come
   * @param seconds when the plan had it come
   */
  private record Bound(Of of, boolean passed, double seconds) {}

  /**
   * When a body was to come to its states, in seconds from {@code since}; null for never.
   *
   * @param since when it began, in seconds of the run as it really was
   */
  private record Planned(
      String resinId,
      @Nullable String lot,
      OwnPace.@Nullable Pace fluid,
      OwnPace.@Nullable Pace hard,
      int since,
      @Nullable Double thickens,
      double thread,
      double gels,
      @Nullable Double out) {
    List<Bound> bounds(Felt.Word word) {
      List<Bound> bounds = new ArrayList<>();
      switch (word) {
        case DRIPS, SYRUP -> add(bounds, Of.FLUID, false, thickens == null ? thread : thickens);
        case HONEY -> {
          add(bounds, Of.FLUID, true, thickens);
          add(bounds, Of.FLUID, false, thread);
        }
        case THREAD_HOLDS -> {
          add(bounds, Of.FLUID, true, thread);
          add(bounds, Of.FLUID, false, gels);
        }
        case TACKY -> {
          add(bounds, Of.FLUID, true, gels);
          add(bounds, Of.HARD, false, out);
        }
        case NAIL_DENTS, BENDS -> add(bounds, Of.HARD, false, out);
        case HARD, OUT_OF_THE_MOULD -> add(bounds, Of.HARD, true, out);
      }
      return bounds;
    }

    private static void add(List<Bound> to, Of of, boolean passed, @Nullable Double seconds) {
      if (seconds != null && seconds > 0) {
        to.add(new Bound(of, passed, seconds));
      }
    }
  }

  private static @Nullable Planned cup(Run run, AsRun asRun, CupId of) {
    for (Batch batch : run.plan().batches()) {
      for (Cup cup : batch.cups()) {
        if (cup.id().equals(of)) {
          int contact = batch.times().contactSeconds();
          return asRun.batches().stream()
              .filter(b -> b.number() == batch.number())
              .findFirst()
              .map(b -> {
                ResinSystem resin = resin(run, batch);
                return new Planned(
                    batch.resinId(),
                    lot(run, resin),
                    resin == null ? null : resin.ownFluid(),
                    resin == null ? null : resin.ownHard(),
                    b.contactSeconds(),
                    (double) cup.times().thickensSeconds() - contact,
                    (double) cup.times().tooThickSeconds() - contact,
                    (double) cup.times().gelsSeconds() - contact,
                    null);
              })
              .orElse(null);
        }
      }
    }
    return null;
  }

  /** By its layer that was poured last. */
  private static Optional<Planned> piece(Run run, AsRun asRun, CavityId piece) {
    Optional<AsRun.PourIn> last =
        asRun.pours().stream()
            .filter(p -> p.pourId().into().equals(piece) && p.atSeconds() != null)
            .max(Comparator.comparingInt(p -> p.atSeconds() == null ? 0 : p.atSeconds()));
    if (last.isEmpty()) {
      return Optional.empty();
    }
    AsRun.PourIn pour = last.get();
    for (Batch batch : run.plan().batches()) {
      for (Cup cup : batch.cups()) {
        for (Cup.LayerCure layer : cup.follows().layers()) {
          if (layer.line() == pour.line() && layer.layer() == pour.layer()) {
            ResinSystem resin = resin(run, batch);
            int from = layer.pouredSeconds();
            Cup.StateTime out = layer.demould();
            return Optional.of(
                new Planned(
                    batch.resinId(),
                    lot(run, resin),
                    resin == null ? null : resin.ownFluid(),
                    resin == null ? null : resin.ownHard(),
                    pour.atSeconds() == null ? 0 : pour.atSeconds(),
                    null,
                    (double) layer.thick().seconds() - from,
                    (double) layer.gels().seconds() - from,
                    out == null ? null : (double) out.seconds() - from));
          }
        }
      }
    }
    return Optional.empty();
  }

  /** As its plan had it: with the lot that was at hand. */
  private static @Nullable ResinSystem resin(Run run, Batch batch) {
    return run.workshop().resins().stream()
        .filter(r -> r.id().equals(batch.resinId()))
        .findFirst()
        .map(r -> r.ofLot(lot(run, r)))
        .orElse(null);
  }

  private static @Nullable String lot(Run run, @Nullable ResinSystem resin) {
    LocalDate day = run.begunAt().atZone(ZoneId.of(run.session().zoneId())).toLocalDate();
    return resin == null ? null : run.workshop().lotOf(resin, day);
  }
}
