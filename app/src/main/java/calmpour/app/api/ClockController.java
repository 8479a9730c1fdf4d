package calmpour.app.api;

import calmpour.app.store.WorkshopClock;
import java.time.Duration;
import java.time.Instant;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The clock that runs go by; in the demo it can be made to run faster. */
@RestController
@RequestMapping("/api/clock")
public class ClockController {
  private final WorkshopClock clock;
  private final boolean demo;

  ClockController(WorkshopClock clock, @Value("${calmpour.demo}") boolean demo) {
    this.clock = clock;
    this.demo = demo;
  }

  /**
   * @param speed how many seconds of this clock are one of the world
   * @param canRun whether it may be made to run faster
   */
  public record ClockNow(Instant now, int speed, boolean canRun) {}

  /**
   * @param speed how fast it is to run, 1 to 120
   * @param aheadSeconds how far it jumps first, up to a day; null for not at all
   */
  public record Speed(int speed, @Nullable Integer aheadSeconds) {}

  @GetMapping
  ClockNow now() {
    return new ClockNow(clock.instant(), clock.speed(), demo);
  }

  @PutMapping
  ClockNow run(@RequestBody Speed speed) {
    if (!demo) {
      throw new NotFoundException("only the demo's clock can be made to run faster");
    }
    clock.runAt(
        speed.speed(), Duration.ofSeconds(Objects.requireNonNullElse(speed.aheadSeconds(), 0)));
    return now();
  }
}
