package calmpour.app.work;

import calmpour.app.store.JournalChoices;
import calmpour.app.store.JournalCounts;
import calmpour.app.store.JournalLearned;
import calmpour.app.store.JournalStore;
import jakarta.annotation.PreDestroy;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * Works out behind everybody's back what the journal comes to and what is learned from it, after
 * the start and whenever evenings were read, so that whoever asks for it has it at once.
 */
@Component
class AskedAhead {
  private static final Logger LOG = LoggerFactory.getLogger(AskedAhead.class);

  /** Whoever asks meanwhile goes first; and a step of an evening is seldom told alone, ms. */
  private static final long LET_OTHERS_FIRST = 1_000;

  private final List<Runnable> questions;
  private final AtomicBoolean wanted = new AtomicBoolean();
  private final AtomicBoolean busy = new AtomicBoolean();
  private volatile boolean stopped;

  AskedAhead(
      JournalStore journal,
      JournalChoices choices,
      JournalCounts counts,
      JournalLearned learned,
      PaceDesk paces,
      FillDesk fills,
      StaysDesk stays,
      DosesDesk doses,
      LidDesk lids) {
    this.questions =
        Stream.concat(
                Stream.<Runnable>of(
                    () -> journal.count(JournalStore.Wanted.ALL),
                    choices::all,
                    counts::held,
                    counts::lives,
                    counts::depths,
                    paces::paces,
                    fills::fills,
                    stays::stays,
                    doses::doses,
                    lids::lids,
                    () -> learned.learnedHands(null)),
                Arrays.stream(JournalCounts.By.values()).map(by -> () -> counts.counts(by)))
            .toList();
  }

  /** Returns at once. */
  @EventListener({ApplicationReadyEvent.class, JournalDesk.Read.class})
  void ask() {
    wanted.set(true);
    if (busy.compareAndSet(false, true)) {
      Thread.ofPlatform().daemon().name("asked ahead").start(this::work);
    }
  }

  @PreDestroy
  void stop() {
    stopped = true;
  }

  private void work() {
    try {
      while (!stopped && wanted.getAndSet(false)) {
        Thread.sleep(LET_OTHERS_FIRST);
        for (Runnable question : questions) {
          if (!stopped) {
            question.run();
          }
        }
      }
    } catch (InterruptedException end) {
      Thread.currentThread().interrupt();
    } catch (RuntimeException odd) {
      // Nobody waits for it: whoever asks is told what is wrong, or is answered then.
      LOG.debug("nothing was worked out ahead", odd);
    } finally {
      busy.set(false);
    }
    // Said after the last look and before the thread was free again.
    if (!stopped && wanted.get()) {
      ask();
    }
  }
}
