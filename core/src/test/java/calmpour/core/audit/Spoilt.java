package calmpour.core.audit;

import calmpour.core.embed.Embed;
import calmpour.core.mould.Mould;
import calmpour.core.mould.MouldMake;
import calmpour.core.mould.MouldState;
import calmpour.core.resin.LabelFacts;
import calmpour.core.resin.ResinKind;
import calmpour.core.resin.ResinSystem;
import calmpour.core.session.Workshop;
import calmpour.core.tint.Colourant;
import calmpour.core.tint.ColourantForm;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Random;
import org.jspecify.annotations.Nullable;

/** A workshop in which things are not as they should be. */
final class Spoilt {
  private Spoilt() {}

  private static @Nullable Boolean maybe(Random random) {
    return switch (random.nextInt(5)) {
      case 0, 1 -> Boolean.TRUE;
      case 2 -> null;
      default -> Boolean.FALSE;
    };
  }

  static Workshop moulds(Workshop w, LocalDateTime start, Random random) {
    List<Mould> moulds =
        w.moulds().stream()
            .map(m -> {
              MouldState.Chemistry[] kinds = MouldState.Chemistry.values();
              LocalDateTime ready = start.plusHours(random.nextInt(48) - 24L);
              MouldState state =
                  new MouldState(
                      List.of(0, 18, 19, 25).get(random.nextInt(4)),
                      20,
                      kinds[random.nextInt(kinds.length)],
                      maybe(random),
                      maybe(random),
                      ready);
              return new Mould(m.id(), m.name(), m.cavities(), make(m.make()), state);
            })
            .toList();
    return new Workshop(
        moulds,
        w.resins(),
        w.colourants(),
        w.colours(),
        w.cups(),
        w.parts(),
        w.embeds(),
        w.tools(),
        w.bookings());
  }

  private static MouldMake make(MouldMake made) {
    return made.withPressureFit(false);
  }

  static Workshop materials(Workshop w, Random random) {
    return new Workshop(
        w.moulds(),
        w.resins().stream().map(r -> labelled(r, random)).toList(),
        w.colourants().stream()
            .map(c -> c.id().equals("tint") ? of(c, ColourantForm.ACRYLIC_PAINT) : c)
            .toList(),
        w.colours(),
        w.cups(),
        w.parts(),
        w.embeds().stream()
            .map(e ->
                new Embed(
                    e.id(),
                    e.name(),
                    e.massG(),
                    e.volumeMl(),
                    e.density(),
                    maybe(random),
                    maybe(random),
                    null,
                    e.left(),
                    e.lengthMm(),
                    e.heightMm(),
                    e.widthMm()))
            .toList(),
        w.tools(),
        w.bookings());
  }

  private static Colourant of(Colourant c, ColourantForm form) {
    return new Colourant(
        c.id(), c.name(), form, c.swatch(), null, null, null, null, null, null, null);
  }

  private static ResinSystem labelled(ResinSystem r, Random random) {
    ResinKind[] kinds = {ResinKind.CASTING, ResinKind.COATING};
    double from = 2 + 6 * random.nextDouble();
    LabelFacts facts =
        new LabelFacts(null, null, null, null, from, from + 6, null, null, null, null, null, null);
    return new ResinSystem(
        r.id(),
        r.name(),
        kinds[random.nextInt(2)],
        r.ratio(),
        r.densityA(),
        r.densityB(),
        r.potLifeMinutes(),
        r.potLifeMassG(),
        r.potLifeTemperatureC(),
        r.largestBatchG(),
        r.mixMinutes(),
        r.gelMinutes(),
        r.loadingLimitPercent(),
        r.loadingBasis(),
        r.times(),
        facts,
        r.partAId(),
        r.partBId());
  }
}
