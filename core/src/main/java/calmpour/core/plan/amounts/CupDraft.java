package calmpour.core.plan.amounts;

import calmpour.core.cup.CupKind;
import calmpour.core.tint.Colour;
import calmpour.core.tint.Tint;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** One colour's cup while pours are gathered. */
public final class CupDraft {
  /** Of {@link #hand} when a cup was not put together by hand. */
  public static final int BY_PLAN = -1;

  private final Colour colour;
  private final Tint tint;

  /** Which cup of those put together by hand. */
  private final int hand;

  private final List<PourDraft> pours = new ArrayList<>();

  /** Null until it is settled. */
  private @Nullable CupKind kind;

  private long pouredMg;

  /** What the moulds may take beyond that, as far as they were measured. */
  private long mayTakeMoreMg;

  public CupDraft(Colour colour, Tint tint, int hand) {
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

  public CupDraft with(List<PourDraft> all, @Nullable CupKind of) {
    CupDraft cup = new CupDraft(colour, tint, hand);
    all.forEach(cup::add);
    cup.kind = of;
    return cup;
  }

  public void add(PourDraft pour) {
    count(pour);
    pours.add(pour);
  }

  void count(PourDraft pour) {
    pouredMg += pour.massMg();
    mayTakeMoreMg += pour.mayTakeMoreMg();
  }

  public boolean byHand() {
    return hand != BY_PLAN;
  }

  public Colour colour() {
    return colour;
  }

  public Tint tint() {
    return tint;
  }

  /** Which cup of those put together by hand, or {@link #BY_PLAN}. */
  public int hand() {
    return hand;
  }

  public List<PourDraft> pours() {
    return Collections.unmodifiableList(pours);
  }

  /** Null until it is settled. */
  public @Nullable CupKind kind() {
    return kind;
  }

  public void settle(@Nullable CupKind as) {
    kind = as;
  }

  public long pouredMg() {
    return pouredMg;
  }

  /** What the moulds may take beyond that, as far as they were measured, mg. */
  public long mayTakeMoreMg() {
    return mayTakeMoreMg;
  }
}
