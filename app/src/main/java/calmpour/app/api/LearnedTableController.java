package calmpour.app.api;

import calmpour.app.store.JournalLearned;
import calmpour.app.work.DosesDesk;
import calmpour.app.work.FillDesk;
import calmpour.app.work.JournalDesk;
import calmpour.app.work.LidDesk;
import calmpour.app.work.PaceDesk;
import calmpour.app.work.StaysDesk;
import calmpour.core.journal.HandSpeeds;
import calmpour.core.journal.LearnedTimes;
import calmpour.core.journal.OverageNeeded;
import calmpour.core.journal.RoomDrift;
import calmpour.core.journal.RoomFelt;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** All that was learned, as a table. */
@RestController
@RequestMapping("/api/journal")
public class LearnedTableController {
  private static final List<String> HEADS =
      List.of("about", "of", "learned", "from", "to", "as", "evenings", "enough");

  private final JournalDesk desk;
  private final JournalLearned learned;
  private final PaceDesk paces;
  private final FillDesk fills;
  private final StaysDesk stays;
  private final DosesDesk doses;
  private final LidDesk lids;

  LearnedTableController(
      JournalDesk desk,
      JournalLearned learned,
      PaceDesk paces,
      FillDesk fills,
      StaysDesk stays,
      DosesDesk doses,
      LidDesk lids) {
    this.desk = desk;
    this.learned = learned;
    this.paces = paces;
    this.fills = fills;
    this.stays = stays;
    this.doses = doses;
    this.lids = lids;
  }

  /** All that this workshop has learned, each figure with its span and its evenings. */
  @GetMapping(path = "/learned.csv", produces = "text/csv")
  ResponseEntity<String> csv() {
    desk.catchUp();
    List<List<String>> rows = new ArrayList<>();
    paces
        .paces()
        .forEach(p -> {
          String about = "resin, " + p.of().name().toLowerCase(Locale.ROOT);
          rows.add(times(about, p.name(), p.learned(), "times the label"));
        });
    fills
        .fills()
        .forEach(f -> rows.add(times("mould", f.name(), f.learned(), "times as measured")));
    stays.stays().forEach(s -> rows.add(times("cup", s.name(), s.learned(), "times as reckoned")));
    doses
        .doses()
        .forEach(d -> rows.add(times("drop or scoop", d.name(), d.learned(), "times as told")));
    lids.lids()
        .forEach(l -> {
          var its = l.learned();
          rows.add(
              row(
                  "closed mould",
                  l.name(),
                  its.enoughMl(),
                  its.middleMl(),
                  null,
                  "mL over, enough on nine evenings of ten",
                  its.evenings(),
                  its.enough()));
        });
    OverageNeeded overage = OverageNeeded.of(learned.overageNeeded());
    rows.add(
        row(
            "overage",
            "",
            overage.enoughPercent(),
            overage.middlePercent(),
            null,
            "%, enough on nine evenings of ten",
            overage.evenings(),
            overage.enough()));
    RoomFelt room = RoomFelt.of(learned.roomsWarmer());
    rows.add(
        row(
            "room",
            "",
            room.warmerK(),
            room.lowestK(),
            room.highestK(),
            "K warmer than told",
            room.evenings(),
            room.enough()));
    RoomDrift drift = RoomDrift.of(learned.roomsDrift());
    rows.add(
        row(
            "room",
            "while somebody works",
            drift.warmerKPerHour(),
            drift.lowest(),
            drift.highest(),
            "K warmer an hour",
            drift.evenings(),
            drift.enough()));
    for (HandSpeeds.Learned hand : learned.learnedHands(null)) {
      rows.add(
          row(
              "hands",
              hand.speed().name().toLowerCase(Locale.ROOT).replace('_', ' '),
              hand.seconds(),
              hand.lowest(),
              hand.highest(),
              "s",
              hand.evenings(),
              hand.enough()));
    }
    return JournalTableController.file("learned", HEADS, rows);
  }

  private static List<String> times(String about, String of, LearnedTimes its, String as) {
    return row(
        about, of, its.times(), its.lowest(), its.highest(), as, its.evenings(), its.enough());
  }

  private static List<String> row(
      String about,
      String of,
      double figure,
      double from,
      @Nullable Double to,
      String as,
      int evenings,
      boolean enough) {
    return List.of(
        about,
        of,
        JournalTableController.text(figure),
        JournalTableController.text(from),
        JournalTableController.text(to),
        as,
        Integer.toString(evenings),
        enough ? "yes" : "no");
  }
}
