package calmpour.app.api;

import calmpour.core.habit.Habits;
import calmpour.core.habit.Hands;
import calmpour.core.plan.doc.Finding;
import calmpour.core.session.Room;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** What counts where a session says nothing of its own. */
@RestController
public class DefaultsController {
  /**
   * The starting habits and hands of every workshop.
   *
   * @param acceptable rules that may be broken on purpose, with a reason that is kept
   * @param coldNight how cold a room gets at night where nobody says more
   */
  public record Defaults(
      Habits habits, Hands hands, List<Finding.Rule> acceptable, Room.ColdNight coldNight) {
    static final Defaults ALL =
        new Defaults(
            Habits.DEFAULT,
            Hands.DEFAULT,
            Stream.of(Finding.Rule.values()).filter(Finding.Rule::acceptable).toList(),
            Room.ColdNight.USUAL);
  }

  @GetMapping("/api/defaults")
  Defaults defaults() {
    return Defaults.ALL;
  }
}
