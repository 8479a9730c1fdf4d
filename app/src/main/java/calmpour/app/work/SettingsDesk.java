package calmpour.app.work;

import calmpour.app.store.OtherSessions;
import calmpour.app.store.SettingsCounted;
import calmpour.app.store.ShelfStore;
import calmpour.core.mould.Mould;
import calmpour.core.mould.MouldMake;
import calmpour.core.tool.Booking;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What is not there for a session: needed by others, or used up with the pieces it stays with. */
@Component
public class SettingsDesk {
  /** For as long as anybody plans ahead. */
  private static final Duration FOR_GOOD = Duration.ofDays(20 * 365);

  private final ShelfStore shelf;
  private final SettingsCounted counted;
  private final OtherSessions others;
  private final JournalDesk journal;

  SettingsDesk(
      ShelfStore shelf, SettingsCounted counted, OtherSessions others, JournalDesk journal) {
    this.shelf = shelf;
    this.counted = counted;
    this.others = others;
    this.journal = journal;
  }

  /**
   * Bookings of all other sessions, and of settings that were used up on evenings that are over.
   *
   * @param but the session that is being planned; null for one that was never kept
   */
  public List<Booking> inTheWay(@Nullable String but) {
    return Stream.concat(others.bookings(but).stream(), usedUp().stream()).toList();
  }

  /**
   * How many settings there are by the last count.
   *
   * @return how many; null where it is no setting, or where nobody said
   */
  private static @Nullable Integer copies(Mould mould) {
    MouldMake make = mould.make();
    if (make == null) {
      return null;
    }
    boolean stays =
        make.opening() == MouldMake.Opening.BEZEL || make.opening() == MouldMake.Opening.FLAT;
    return stays ? make.copies() : null;
  }

  /** Takes note of a mould as it is kept now. */
  public void kept(Mould mould) {
    Integer copies = copies(mould);
    if (copies == null) {
      counted.forget(mould.id());
    } else {
      counted.counted(mould.id(), copies, false);
    }
  }

  /** A mould that is put on the shelf again later is counted anew. */
  public void gone(String mouldId) {
    counted.forget(mouldId);
  }

  /**
   * There are as many again as are written on the mould.
   *
   * @return false where nobody counts them
   */
  public boolean countedAnew(Mould mould) {
    Integer copies = copies(mould);
    if (copies != null) {
      counted.counted(mould.id(), copies, true);
    }
    return copies != null;
  }

  /** How many settings were used up since they were counted; null where nobody counts them. */
  public @Nullable Integer usedUp(Mould mould) {
    if (copies(mould) == null) {
      return null;
    }
    journal.catchUp();
    return bookings(mould).stream().mapToInt(Booking::count).sum();
  }

  private List<Booking> usedUp() {
    List<Booking> all = new ArrayList<>();
    List<Mould> settings =
        shelf.workshop().moulds().stream().filter(m -> copies(m) != null).toList();
    if (!settings.isEmpty()) {
      journal.catchUp();
    }
    settings.forEach(m -> all.addAll(bookings(m)));
    return all;
  }

  private List<Booking> bookings(Mould mould) {
    List<Booking> used = new ArrayList<>();
    counted
        .countedAt(mould.id())
        .ifPresent(since ->
            counted
                .used(mould.id(), since)
                .forEach((cavity, pieces) ->
                    used.add(
                        new Booking(
                            Booking.Thing.MOULD,
                            Mould.key(mould.id(), cavity),
                            pieces,
                            since,
                            since.plus(FOR_GOOD),
                            ""))));
    return used;
  }
}
