package calmpour.app.api;

import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Screens that look on at a run: each is told how much has happened, and asks for the rest. */
@Component
class Watchers {
  /** So often a line is sent even if nothing happens, so that a broken connection shows, s. */
  private static final int STILL_THERE_SECONDS = 10;

  private final Map<String, List<SseEmitter>> watching = new ConcurrentHashMap<>();
  private final ScheduledExecutorService pulse =
      Executors.newSingleThreadScheduledExecutor(work -> {
        Thread thread = new Thread(work, "still-there");
        thread.setDaemon(true);
        return thread;
      });

  Watchers() {
    var unused =
        pulse.scheduleAtFixedRate(
            this::stillThere, STILL_THERE_SECONDS, STILL_THERE_SECONDS, TimeUnit.SECONDS);
  }

  SseEmitter watch(String run, int told) {
    SseEmitter screen = new SseEmitter(0L);
    List<SseEmitter> its =
        watching.compute(
            run,
            (k, there) -> {
              List<SseEmitter> all = there == null ? new CopyOnWriteArrayList<>() : there;
              all.add(screen);
              return all;
            });
    screen.onCompletion(() -> gone(run, screen));
    screen.onTimeout(() -> gone(run, screen));
    screen.onError(broken -> gone(run, screen));
    send(its, screen, told);
    return screen;
  }

  /** The list of a run goes with its last screen. */
  private void gone(String run, SseEmitter screen) {
    watching.computeIfPresent(
        run,
        (k, its) -> {
          its.remove(screen);
          return its.isEmpty() ? null : its;
        });
  }

  /** Tells every screen that looks on how many events there are now. */
  void tell(String run, int told) {
    List<SseEmitter> its = watching.getOrDefault(run, List.of());
    its.forEach(screen -> send(its, screen, told));
  }

  private static void send(List<SseEmitter> its, SseEmitter screen, int told) {
    try {
      screen.send(SseEmitter.event().name("told").data(told));
    } catch (IOException | IllegalStateException gone) {
      its.remove(screen);
    }
  }

  private void stillThere() {
    watching.forEach((run, its) ->
        its.forEach(screen -> {
          try {
            screen.send(SseEmitter.event().name("there").data(""));
          } catch (IOException | IllegalStateException gone) {
            its.remove(screen);
          }
        }));
  }

  /** A server that waits for its screens to hang up would never stop. */
  @EventListener(ContextClosedEvent.class)
  void hangUp() {
    pulse.shutdownNow();
    watching.values().forEach(its -> its.forEach(SseEmitter::complete));
  }
}
