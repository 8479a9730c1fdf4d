package calmpour.app.store;

import calmpour.core.plan.Planner;
import calmpour.core.practice.Exercise;
import calmpour.core.run.Run;
import calmpour.core.session.Workshop;
import java.io.IOException;
import java.io.InputStream;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** The exercises that ship, with shelves of their own: they are the same in every workshop. */
@Component
public class Exercises {
  private static final String EXERCISES = "/exercises.json";

  private final Planner planner;
  private final List<Exercise> all;
  private final DemoData demo;
  private final Map<String, Prepared> prepared = new ConcurrentHashMap<>();

  Exercises(JsonMapper json, DemoData demo, Planner planner) {
    this.planner = planner;
    this.demo = demo;
    this.all = List.of(read(json));
  }

  private static Exercise[] read(JsonMapper json) {
    try (InputStream in = Exercises.class.getResourceAsStream(EXERCISES)) {
      return json.readValue(in, Exercise[].class);
    } catch (IOException missing) {
      throw new IllegalStateException("bug: the exercises cannot be read", missing);
    }
  }

  /**
   * An exercise that can be begun.
   *
   * @param run planned, with nothing told of it
   */
  public record Prepared(Exercise exercise, Run run) {}

  /** The easiest first. */
  public List<Exercise> all() {
    return all;
  }

  /** Planned when it is first asked for; the same from then on. */
  public Optional<Prepared> find(String id) {
    return all.stream()
        .filter(e -> e.id().equals(id))
        .findFirst()
        .map(e -> prepared.computeIfAbsent(id, k -> prepare(e)));
  }

  private Prepared prepare(Exercise exercise) {
    Workshop workshop = demo.workshop();
    Run run =
        new Run(
            exercise.session(),
            Planner.snapshot(exercise.session(), workshop),
            planner.plan(exercise.session(), workshop),
            exercise
                .session()
                .startsAt()
                .atZone(ZoneId.of(exercise.session().zoneId()))
                .toInstant());
    return new Prepared(exercise, run);
  }
}
