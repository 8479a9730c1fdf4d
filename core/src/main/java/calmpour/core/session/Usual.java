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
 */
@RecordBuilder
public record Usual(
    Habits habits,
    Hands hands,
    Room room,
    @Nullable Hours hours,
    @Nullable String resinId,
    Speaks units)
    implements UsualBuilder.With {

  /** Starting values: common practice, no source. Nights belong to nobody. */
  public static final Usual DEFAULT =
      new Usual(
          Habits.DEFAULT,
          Hands.DEFAULT,
          new Room(22, null),
          Hours.daily(7 * 60, 23 * 60),
          null,
          Speaks.METRIC);

  /** The units that are shown and typed; what is kept is metric either way. */
  public enum Speaks {
    METRIC,
    US
  }

  public Usual {
    habits = habits == null ? Habits.DEFAULT : habits;
    hands = hands == null ? Hands.DEFAULT : hands;
    units = units == null ? Speaks.METRIC : units;
    new Check().present("room", room).atMost("resinId", resinId, Check.NAME_LENGTH).orThrow();
  }
}
