package calmpour.app.api;

import calmpour.app.store.JournalBehind;
import calmpour.app.store.JournalCounts;
import calmpour.app.store.JournalLearned;
import calmpour.app.store.ShelfStore;
import calmpour.app.store.UsualStore;
import calmpour.app.work.DosesDesk;
import calmpour.app.work.FillDesk;
import calmpour.app.work.JournalDesk;
import calmpour.app.work.LidDesk;
import calmpour.app.work.PaceDesk;
import calmpour.app.work.StaysDesk;
import calmpour.core.habit.Hands;
import calmpour.core.journal.HandSpeeds;
import calmpour.core.journal.Looked;
import calmpour.core.journal.MouldLife;
import calmpour.core.journal.OverageNeeded;
import calmpour.core.journal.ProvenDepth;
import calmpour.core.journal.RoomDrift;
import calmpour.core.journal.RoomFelt;
import calmpour.core.resin.LabelFacts;
import calmpour.core.resin.ResinSystem;
import java.util.List;
import org.jspecify.annotations.Nullable;
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
  private final JournalBehind behind;
  private final ShelfStore shelf;
  private final PaceDesk paces;
  private final FillDesk fills;
  private final StaysDesk stays;
  private final DosesDesk doses;
  private final LidDesk lids;
  private final JournalLearned learned;
  private final UsualStore usual;

  LearnedController(
      JournalDesk desk,
      JournalCounts journal,
      JournalBehind behind,
      ShelfStore shelf,
      PaceDesk paces,
      FillDesk fills,
      StaysDesk stays,
      DosesDesk doses,
      LidDesk lids,
      JournalLearned learned,
      UsualStore usual) {
    this.lids = lids;
    this.learned = learned;
    this.usual = usual;
    this.stays = stays;
    this.doses = doses;
    this.desk = desk;
    this.journal = journal;
    this.behind = behind;
    this.shelf = shelf;
    this.paces = paces;
    this.fills = fills;
  }

  /**
   * How long hands really take, by what was told at the bench.
   *
   * @param person whose; everybody's where it is left out
   */
  @GetMapping("/hands")
  List<HandSpeeds.Learned> hands(@RequestParam(required = false) @Nullable String person) {
    desk.catchUp();
    return learned.learnedHands(person);
  }

  /** Who told evenings in their own name, by name. */
  @GetMapping("/hands/people")
  List<String> people() {
    desk.catchUp();
    return learned.people();
  }

  /** The hands of this workshop with all that enough evenings say of one person. */
  @GetMapping("/hands/of")
  Hands handsLike(@RequestParam String person) {
    desk.catchUp();
    return HandSpeeds.with(usual.find().usual().hands(), learned.learnedHands(person));
  }

  /**
   * The evenings behind how long hands take for a step.
   *
   * @param person whose; everybody's where it is left out
   */
  @GetMapping("/hands/{speed}/evenings")
  List<JournalBehind.Behind> behindHands(
      @PathVariable HandSpeeds.Speed speed,
      @RequestParam(required = false) @Nullable String person) {
    return behind.hands(speed, person);
  }

  /** How much overage was really needed. */
  @GetMapping("/overage")
  OverageNeeded overage() {
    desk.catchUp();
    return OverageNeeded.of(learned.overageNeeded());
  }

  /** The evenings behind how much overage was needed, %. */
  @GetMapping("/overage/evenings")
  List<JournalBehind.Behind> behindOverage() {
    return behind.overage();
  }

  /** How the room gets warmer or cooler while somebody works in it. */
  @GetMapping("/room/drift")
  RoomDrift drift() {
    desk.catchUp();
    return RoomDrift.of(learned.roomsDrift());
  }

  /** The evenings on which the room was read more than once, K/h. */
  @GetMapping("/room/drift/evenings")
  List<JournalBehind.Behind> behindDrift() {
    return behind.drift();
  }

  /** How much closed moulds need to be filled over by, by what their lids squeezed out. */
  @GetMapping("/lids")
  List<LidDesk.LidSurplus> lids() {
    return lids.lids();
  }

  /** The evenings behind what a closed mould needs to be filled over by, mL. */
  @GetMapping("/lids/{mould}/evenings")
  List<JournalBehind.Behind> behindLid(@PathVariable String mould) {
    return behind.lid(mould);
  }

  /**
   * Plans with what was learned of a closed mould, or as assumed again.
   *
   * @param learned false for as assumed
   */
  @PutMapping("/lids/{mould}")
  List<LidDesk.LidSurplus> lidWith(@PathVariable String mould, @RequestParam boolean learned) {
    if (!lids.planWith(mould, learned)) {
      throw new NotFoundException("this closed mould is not on the shelf (any more)");
    }
    return lids.lids();
  }

  /** The evenings on which the room was read. */
  @GetMapping("/room/evenings")
  List<JournalBehind.Behind> behindRoom() {
    return behind.room();
  }

  /** How much warmer the room is than it is told to be. */
  @GetMapping("/room")
  RoomFelt room() {
    desk.catchUp();
    return RoomFelt.of(learned.roomsWarmer());
  }

  /**
   * How deep a resin was poured here in one layer and came out well.
   *
   * @param labelMm what its label allows; null where it says nothing, or the shelf has it no more
   */
  public record DepthHere(
      String resinId, String resinName, ProvenDepth proven, @Nullable Double labelMm) {}

  /** The depths that were proven here, beside what labels allow. */
  @GetMapping("/depths")
  List<DepthHere> depths() {
    desk.catchUp();
    List<ResinSystem> shelved = shelf.workshop().resins();
    return journal.depths().stream()
        .map(d ->
            new DepthHere(
                d.resinId(),
                d.resinName(),
                d.proven(),
                shelved.stream()
                    .filter(r -> r.id().equals(d.resinId()))
                    .findFirst()
                    .map(ResinSystem::facts)
                    .map(LabelFacts::depthToMm)
                    .orElse(null)))
        .toList();
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

  /** The evenings behind a resin's pace. */
  @GetMapping("/paces/{resin}/{of}/evenings")
  List<JournalBehind.Behind> behindPace(@PathVariable String resin, @PathVariable Looked.Of of) {
    return behind.pace(resin, of);
  }

  /** The evenings behind what a mould takes. */
  @GetMapping("/fills/{mould}/{cavity}/evenings")
  List<JournalBehind.Behind> behindFill(@PathVariable String mould, @PathVariable String cavity) {
    return behind.fill(mould, cavity);
  }

  /** What really stays in cups, by those weighed after the pour. */
  @GetMapping("/stays")
  List<StaysDesk.CupStays> stays() {
    return stays.stays();
  }

  /** The evenings behind what stays in a kind of cup. */
  @GetMapping("/stays/{kind}/evenings")
  List<JournalBehind.Behind> behindStays(@PathVariable String kind) {
    return behind.stays(kind);
  }

  /**
   * Plans with what was learned of a kind of cup, or as reckoned again.
   *
   * @param learned false for as reckoned or said
   */
  @PutMapping("/stays/{kind}")
  List<StaysDesk.CupStays> stayWith(@PathVariable String kind, @RequestParam boolean learned) {
    if (!stays.planWith(kind, learned)) {
      throw new NotFoundException("this kind of cup is not on the shelf (any more)");
    }
    return stays.stays();
  }

  /** What a drop or scoop really weighs, by doses that were weighed as they were counted. */
  @GetMapping("/doses")
  List<DosesDesk.CountedDose> doses() {
    return doses.doses();
  }

  /** The evenings behind what a drop or scoop of a colourant weighs. */
  @GetMapping("/doses/{colourant}/evenings")
  List<JournalBehind.Behind> behindDoses(@PathVariable String colourant) {
    return behind.doses(colourant);
  }

  /**
   * Plans with what was learned of a colourant's drop or scoop, or as told again.
   *
   * @param learned false for as told
   */
  @PutMapping("/doses/{colourant}")
  List<DosesDesk.CountedDose> doseWith(
      @PathVariable String colourant, @RequestParam boolean learned) {
    if (!doses.planWith(colourant, learned)) {
      throw new NotFoundException("this colourant is not on the shelf (any more)");
    }
    return doses.doses();
  }

  /** What moulds really take, by pours that were weighed. */
  @GetMapping("/fills")
  List<FillDesk.MouldFill> fills() {
    return fills.fills();
  }

  /**
   * Plans with what was learned of a mould, or with its measurement again.
   *
   * @param learned false for the measurement
   */
  @PutMapping("/fills/{mould}/{cavity}")
  List<FillDesk.MouldFill> fillWith(
      @PathVariable String mould, @PathVariable String cavity, @RequestParam boolean learned) {
    if (!fills.planWith(mould, cavity, learned)) {
      throw new NotFoundException("this mould is not on the shelf (any more)");
    }
    return fills.fills();
  }
}
