package calmpour.core.session;

import calmpour.core.check.Check;
import calmpour.core.habit.Habits;
import calmpour.core.habit.Hands;
import io.soabase.recordbuilder.core.RecordBuilder;
import org.jspecify.annotations.Nullable;

/**
 * What is usual in this workshop: what a new session begins with, unless it says otherwise.
 *
 * @param hours when somebody is there; null for any hour, day or night
 * @param resinId the resin mostly taken; null for none in particular
 * @param units in which the screens speak
 * @param learned when what was learned of resins, moulds, lids, cups, doses and hands is planned
 *     with
 */
@RecordBuilder
public record Usual(
    Habits habits,
    Hands hands,
    Room room,
    @Nullable Hours hours,
    @Nullable String resinId,
    Speaks units,
    Learned learned)
    implements UsualBuilder.With {

  /** Starting values: common practice, no source. Nights belong to nobody. */
  public static final Usual DEFAULT =
      new Usual(
          Habits.DEFAULT,
          Hands.DEFAULT,
          new Room(22, null),
          Hours.daily(7 * 60, 23 * 60),
          null,
          Speaks.METRIC,
          Learned.WHEN_ASKED);

  /** The units that are shown and typed; what is kept is metric either way. */
  public enum Speaks {
    METRIC,
    US
  }

  /** When what this workshop has learned is planned with. */
  public enum Learned {
    WHEN_ASKED,
    ALWAYS
  }

  public Usual {
    habits = habits == null ? Habits.DEFAULT : habits;
    hands = hands == null ? Hands.DEFAULT : hands;
    units = units == null ? Speaks.METRIC : units;
    learned = learned == null ? Learned.WHEN_ASKED : learned;
    new Check().present("room", room).atMost("resinId", resinId, Check.NAME_LENGTH).orThrow();
  }
}
