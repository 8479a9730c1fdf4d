package calmpour.core.plan;

import calmpour.core.session.CupKind;
import calmpour.core.tint.Colour;
import calmpour.core.tint.Tint;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** One colour's cup while pours are gathered. */
final class CupDraft {
  /** Of {@link #hand} when a cup was not put together by hand. */
  static final int BY_PLAN = -1;

  final Colour colour;
  final Tint tint;

  /** Which cup of those put together by hand. */
  final int hand;

  final List<PourDraft> pours = new ArrayList<>();

  /** Null until it is settled. */
  @Nullable CupKind kind;

  long pouredMg;

  /** What the moulds may take beyond that, as far as they were measured. */
  long mayTakeMoreMg;

  CupDraft(Colour colour, Tint tint, int hand) {
    this.colour = colour;
    this.tint = tint;
    this.hand = hand;
  }

  /** The same sums, to try something out on. */
  CupDraft trial() {
    CupDraft copy = new CupDraft(colour, tint, hand);
    copy.pouredMg = pouredMg;
    copy.mayTakeMoreMg = mayTakeMoreMg;
    return copy;
  }

  CupDraft with(List<PourDraft> all, @Nullable CupKind of) {
    CupDraft cup = new CupDraft(colour, tint, hand);
    all.forEach(cup::add);
    cup.kind = of;
    return cup;
  }

  void add(PourDraft pour) {
    count(pour);
    pours.add(pour);
  }

  void count(PourDraft pour) {
    pouredMg += pour.massMg();
    mayTakeMoreMg += pour.mayTakeMoreMg();
  }

  boolean byHand() {
    return hand != BY_PLAN;
  }
}
