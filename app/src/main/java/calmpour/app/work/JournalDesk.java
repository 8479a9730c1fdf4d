package calmpour.app.work;

import calmpour.app.store.JournalWriter;
import calmpour.app.store.RunStore;
import calmpour.app.store.RunStore.KeptRun;
import calmpour.core.journal.Clue;
import calmpour.core.journal.Evidence;
import calmpour.core.journal.PieceFacts;
import calmpour.core.journal.WhatWentWrong;
import calmpour.core.plan.doc.CavityId;
import calmpour.core.run.AsRun;
import calmpour.core.run.LookOver;
import calmpour.core.run.RunEvent;
import calmpour.core.run.RunReader;
import java.time.Instant;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.atomic.AtomicBoolean;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;

/**
 * Keeps the journal's tables as the events have it: a few evenings are caught up with while
 * somebody waits, many behind their back.
 */
@Component
public class JournalDesk {
  private static final Logger LOG = LoggerFactory.getLogger(JournalDesk.class);

  /** Nobody notices the time that so many evenings take. */
  private static final int AT_ONCE = 3;

  private final RunStore runs;
  private final JournalWriter journal;
  private final RunReader reader;
  private final ApplicationEventPublisher told;
  private final AtomicBoolean busy = new AtomicBoolean();

  /** Evenings that cannot be read; they stay as they are and are not tried again and again. */
  private final Set<String> unreadable = new HashSet<>();

  /** Evenings were worked out that were not in the journal before. */
  public record Read() {}

  JournalDesk(
      RunStore runs, JournalWriter journal, RunReader reader, ApplicationEventPublisher told) {
    this.told = told;
    this.runs = runs;
    this.journal = journal;
    this.reader = reader;
  }

  /**
   * Brings the tables up to what was told since.
   *
   * @return how many evenings are still to be worked out, behind whoever asks
   */
  public int catchUp() {
    List<String> stale = stale();
    if (stale.size() <= AT_ONCE && !busy.get()) {
      workOutAll(stale);
      return 0;
    }
    if (busy.compareAndSet(false, true)) {
      Thread.ofPlatform()
          .daemon()
          .name("journal")
          .start(() -> {
            try {
              workOutAll(stale);
            } finally {
              busy.set(false);
            }
          });
    }
    return stale.size();
  }

  /** Throws all tables away and works them out from the events again; waits until it is done. */
  public void rebuild() {
    journal.forget();
    workOutAll(stale());
  }

  private void workOutAll(List<String> stale) {
    stale.forEach(this::workOut);
    if (!stale.isEmpty()) {
      told.publishEvent(new Read());
    }
  }

  private synchronized List<String> stale() {
    return journal.stale().stream().filter(id -> !unreadable.contains(id)).toList();
  }

  private synchronized void workOut(String id) {
    // Somebody else may have worked it out while this one waited.
    if (!journal.isStale(id)) {
      return;
    }
    try {
      runs.look(id).ifPresent(kept -> journal.write(kept, lookedBack(kept)));
    } catch (RuntimeException damaged) {
      // Whatever is odd about one evening takes none of the others with it.
      LOG.warn("evening {} stays out of the journal", id, damaged);
      unreadable.add(id);
    }
  }

  /** As it stood when something was told of it last: the same whenever it is asked. */
  private AsRun lookedBack(KeptRun kept) {
    Instant last =
        kept.events().stream()
            .map(RunEvent::at)
            .max(Comparator.naturalOrder())
            .orElse(kept.run().begunAt());
    return reader.lookBack(kept.run(), kept.events(), last);
  }

  /**
   * What one piece is made of, and what may have gone wrong with it.
   *
   * @param wrong a ranking for each fault that was seen
   */
  public record OnePiece(AsRun asRun, AsRun.PieceOut piece, List<WhatWentWrong> wrong) {
    public OnePiece {
      wrong = List.copyOf(wrong);
    }
  }

  /** Empty where the evening has no such piece. */
  public java.util.Optional<OnePiece> piece(KeptRun kept, CavityId piece) {
    AsRun asRun = lookedBack(kept);
    return asRun.pieces().stream()
        .filter(p -> p.piece().equals(piece))
        .findFirst()
        .map(p -> {
          LookOver look = p.lookedOver();
          Map<Clue, Evidence> facts = PieceFacts.of(kept.run(), kept.events(), asRun, piece);
          List<LookOver.Fault> faults = look == null ? List.of() : look.faults();
          return new OnePiece(
              asRun, p, faults.stream().map(f -> WhatWentWrong.of(f, facts)).toList());
        });
  }
}
