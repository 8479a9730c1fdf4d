package calmpour.app.api;

import calmpour.core.habit.Habits;
import calmpour.core.habit.Hands;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** What counts where a session says nothing of its own. */
@RestController
public class DefaultsController {
  /** The starting habits and hands of every workshop. */
  public record Defaults(Habits habits, Hands hands) {}

  @GetMapping("/api/defaults")
  Defaults defaults() {
    return new Defaults(Habits.DEFAULT, Hands.DEFAULT);
  }
}
