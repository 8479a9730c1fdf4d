package calmpour.core.practice;

import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.cure.CureStates;
import calmpour.core.cure.EngineModel;
import calmpour.core.resin.ResinSystem;
import calmpour.core.run.Felt;
import calmpour.core.session.Workshop;
import calmpour.core.tint.Colour;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A resin that is mixed to see how long it takes, without an evening: a cure diary of its own. What
 * was told of it is never changed, only added to.
 *
 * @param setUp how it was mixed and where it went
 * @param used what of the workshop that needs, as it was then
 * @param metAt when A and B met
 * @param zoneId of the workshop
 * @param told in the order in which it was told
 */
public record Timing(
    SetUp setUp, Workshop used, Instant metAt, String zoneId, List<TimingEvent> told) {
  public Timing {
    told = List.copyOf(told);
  }

  /**
   * What is told of it.
   *
   * @param id given by whoever tells it, so that telling it twice is telling it once
   * @param piece whether what was poured was touched, and not what stayed in the cup
   * @param word how it was; null unless it was touched
   * @param undoes another one, which is taken back; null unless one is
   */
  public record TimingEvent(
      String id,
      Instant at,
      Kind kind,
      boolean piece,
      Felt.@Nullable Word word,
      @Nullable String undoes) {
    /** What can be told. */
    public enum Kind {
      POURED,
      FELT,
      UNDONE,
      /** Nobody looks at it any more. */
      OVER
    }

    public TimingEvent {
      new Check()
          .name("id", id)
          .present("at", at)
          .present("kind", kind)
          .that(kind != Kind.FELT || word != null, Problem.of("word", Problem.Code.MISSING, null))
          .that(
              kind != Kind.UNDONE || undoes != null,
              Problem.of("undoes", Problem.Code.MISSING, null))
          .orThrow();
    }
  }

  /** See {@link TimingEvent}. */
  public static TimingEvent event(
      String id,
      Instant at,
      TimingEvent.Kind kind,
      boolean piece,
      Felt.@Nullable Word word,
      @Nullable String undoes) {
    return new TimingEvent(id, at, kind, piece, word, undoes);
  }

  /** When its states are to come, as far as the resin is known; since A and B met. */
  public record Expected(CureStates cup, @Nullable CureStates piece, double pouredMinutes) {}

  /** What of a workshop a set-up needs. */
  public static Workshop usedBy(SetUp setUp, Workshop workshop) {
    Set<String> colourants = new HashSet<>();
    List<Colour> colours =
        workshop.colours().stream().filter(c -> c.id().equals(setUp.colourId())).toList();
    colours.forEach(c -> c.recipe().forEach(part -> colourants.add(part.colourantId())));
    List<ResinSystem> resins =
        workshop.resins().stream().filter(r -> r.id().equals(setUp.resinId())).toList();
    return new Workshop(
        workshop.moulds().stream().filter(m -> m.id().equals(setUp.mouldId())).toList(),
        resins,
        workshop.colourants().stream().filter(c -> colourants.contains(c.id())).toList(),
        colours,
        workshop.cups().stream()
            .filter(c -> c.id().equals(setUp.cupId()) || c.id().equals(setUp.splitCupId()))
            .toList(),
        workshop.parts().stream()
            .filter(p ->
                resins.stream()
                    .anyMatch(r -> p.id().equals(r.partAId()) || p.id().equals(r.partBId())))
            .toList(),
        List.of());
  }

  /** What was told and not taken back. */
  public List<TimingEvent> standing() {
    Set<String> undone = new HashSet<>();
    told.stream()
        .filter(e -> e.kind() == TimingEvent.Kind.UNDONE)
        .forEach(e -> undone.add(e.undoes()));
    return told.stream()
        .filter(e -> e.kind() != TimingEvent.Kind.UNDONE && !undone.contains(e.id()))
        .toList();
  }

  /** When it was poured out of its cup; empty while it was not. */
  public Optional<Instant> pouredAt() {
    return standing().stream()
        .filter(e -> e.kind() == TimingEvent.Kind.POURED)
        .map(TimingEvent::at)
        .findFirst();
  }

  /** Whether nobody looks at it any more. */
  public boolean over() {
    return standing().stream().anyMatch(e -> e.kind() == TimingEvent.Kind.OVER);
  }

  /** Minutes from when A and B met. */
  public double minutes(Instant at) {
    return Duration.between(metAt, at).toMillis() / 60_000.0;
  }

  /** The lots of A and B it was mixed from; null where nobody noted them. */
  public @Nullable String lot() {
    LocalDate day = metAt.atZone(ZoneId.of(zoneId)).toLocalDate();
    return used.lotOf(resin(), day);
  }

  /** As it stood on the shelf, with the lot that was at hand. */
  public ResinSystem ofLot() {
    LocalDate day = metAt.atZone(ZoneId.of(zoneId)).toLocalDate();
    return used.asBottled(resin()).ofLot(used.lotOf(resin(), day));
  }

  private ResinSystem resin() {
    return used.resins().getFirst();
  }

  /**
   * When its states are to come: what stays in the cup, and what was poured.
   *
   * @throws calmpour.core.check.InvalidValuesException when the set-up names what the workshop
   *     lacks, or a cup too small
   */
  public Expected expected(EngineModel model) {
    SetUp then = pouredAt().map(at -> setUp.pouredAfter(minutes(at))).orElse(setUp);
    Workshop shop = used.withResins(List.of(ofLot()));
    TriedBodies bodies = new TriedBodies(then, shop);
    boolean poured = then.lies() != SetUp.Lies.CUP;
    return new Expected(
        model.states(bodies.resin(), bodies.cup()),
        poured ? model.states(bodies.resin(), bodies.piece()) : null,
        bodies.readyMinutes());
  }
}
