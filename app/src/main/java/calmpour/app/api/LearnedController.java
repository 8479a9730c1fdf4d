package calmpour.app.api;

import calmpour.app.store.JournalCounts;
import calmpour.app.work.JournalDesk;
import calmpour.app.work.PaceDesk;
import calmpour.core.journal.HandSpeeds;
import calmpour.core.journal.Looked;
import calmpour.core.journal.MouldLife;
import calmpour.core.journal.RoomFelt;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What this workshop has learned from its own evenings, and what it plans with. */
@RestController
@RequestMapping("/api/journal")
public class LearnedController {
  private final JournalDesk desk;
  private final JournalCounts journal;
  private final PaceDesk paces;

  LearnedController(JournalDesk desk, JournalCounts journal, PaceDesk paces) {
    this.desk = desk;
    this.journal = journal;
    this.paces = paces;
  }

  /** How long hands really take, by what was told at the bench. */
  @GetMapping("/hands")
  List<HandSpeeds.Learned> hands() {
    desk.catchUp();
    return HandSpeeds.learn(journal.hands());
  }

  /** How much warmer the room is than it is told to be. */
  @GetMapping("/room")
  RoomFelt room() {
    desk.catchUp();
    return RoomFelt.of(journal.roomsWarmer());
  }

  /** What the moulds have been through, the most used first. */
  @GetMapping("/moulds")
  List<MouldLife> moulds() {
    desk.catchUp();
    return journal.lives();
  }

  /** How slow or quick resins are here, by the cure diaries. */
  @GetMapping("/paces")
  List<PaceDesk.ResinPace> paces() {
    return paces.paces();
  }

  /**
   * Plans with what was learned of a resin, or with its label again.
   *
   * @param learned false for the label
   */
  @PutMapping("/paces/{resin}/{of}")
  List<PaceDesk.ResinPace> planWith(
      @PathVariable String resin, @PathVariable Looked.Of of, @RequestParam boolean learned) {
    if (!paces.planWith(resin, of, learned)) {
      throw new NotFoundException("this resin is not on the shelf (any more)");
    }
    return paces.paces();
  }
}
