package calmpour.app.api;

import calmpour.app.work.RunDesk;
import calmpour.app.work.StandsNow;
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
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Screens that look on at a run: each is told how it stands as soon as something more happened. */
@Component
class Watchers implements RunDesk.Screens {
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

  SseEmitter watch(String run, StandsNow stands) {
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
    send(its, screen, stands);
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

  @Override
  public void told(String run, StandsNow stands) {
    List<SseEmitter> its = watching.getOrDefault(run, List.of());
    its.forEach(screen -> send(its, screen, stands));
  }

  private static void send(List<SseEmitter> its, SseEmitter screen, StandsNow stands) {
    try {
      screen.send(SseEmitter.event().name("told").data(stands, MediaType.APPLICATION_JSON));
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
