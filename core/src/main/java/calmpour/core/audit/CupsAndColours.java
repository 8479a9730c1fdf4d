package calmpour.core.audit;

import static calmpour.core.check.Known.known;

import calmpour.core.cup.CupKind;
import calmpour.core.habit.Tinting;
import calmpour.core.plan.Facts;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Place;
import calmpour.core.resin.LabelFacts;
import calmpour.core.resin.ResinKind;
import calmpour.core.resin.ResinSystem;
import calmpour.core.session.JobInResin;
import calmpour.core.tint.ColourantForm;
import calmpour.core.tint.Tint;
import java.util.HashSet;
import java.util.Set;

/** Cups give nothing off into the mix; colours bring no water, and stay where they are. */
final class CupsAndColours implements Rule {
  /** Thinner than that, flakes and coarse glitter sink before it thickens; no source. */
  private static final double THIN_PA_S = 0.5;

  @Override
  public void judge(Facts facts, Findings told) {
    Set<String> seen = new HashSet<>();
    for (Batch batch : facts.plan().batches()) {
      waxed(Place.of(batch), batch.mixing().cup(), told);
      for (Cup cup : batch.cups()) {
        if (batch.split()) {
          waxed(Place.of(cup), cup.kind(), told);
        }
        if (!cup.pours().isEmpty() && seen.add(batch.resinId() + "/" + cup.colour().id())) {
          JobInResin job = facts.job(batch);
          colour(
              job,
              new Place.OnShelf(Place.Shelf.COLOUR, cup.colour().id()),
              known(job.tints().get(cup.colour().id())),
              told);
          if (has(known(job.tints().get(cup.colour().id())), ColourantForm.DYE)
              && inRubber(facts, cup.colour().id())) {
            told.note(
                Finding.Rule.DYE_STAINS_MOULD,
                new Place.OnShelf(Place.Shelf.COLOUR, cup.colour().id()),
                1,
                0,
                "");
          }
        }
      }
    }
  }

  /** Whether a colour goes into a mould of rubber; one that nobody knows is taken for it. */
  private static boolean inRubber(Facts facts, String colourId) {
    return facts.plan().batches().stream()
        .flatMap(b -> b.cups().stream())
        .filter(c -> c.colour().id().equals(colourId))
        .flatMap(c -> c.pours().stream())
        .map(p -> facts.job().lines().get(p.line()).mould().make())
        .anyMatch(m -> m == null || m.material() == null || m.material().rubber());
  }

  private static void waxed(Place place, CupKind cup, Findings told) {
    if (cup.material() == CupKind.Material.WAXED_PAPER) {
      told.near(Finding.Rule.WAXED_CUP, place, 1, 0, "", Findings.open("cup/" + cup.id()));
    }
  }

  private static void colour(JobInResin job, Place place, Tint tint, Findings told) {
    double water = tint.waterPercent();
    if (water > 0) {
      boolean never = job.session().habits().tinting().waterPaint() == Tinting.WaterPaint.FORBID;
      if (never) {
        told.breach(Finding.Rule.WATER_FORBIDDEN, place, water, 0, "%", Findings.open(place));
      } else {
        told.near(Finding.Rule.WATER_IN_COLOUR, place, water, 0, "%", Findings.open(place));
      }
    }
    double solvent = tint.solventPercent();
    if (solvent > 0) {
      told.near(Finding.Rule.SOLVENT_IN_COLOUR, place, solvent, 0, "%", Findings.open(place));
    }
    if (has(tint, ColourantForm.OIL_PAINT)) {
      told.note(Finding.Rule.OIL_BRINGS_BUBBLES, place, 1, 0, "");
    }
    if (has(tint, ColourantForm.SILICONE_OIL)) {
      told.note(Finding.Rule.OIL_AGES_RESIN, place, 1, 0, "");
    }
    boolean fades =
        tint.shares().stream()
            .filter(s -> s.gPerGResin() > 0)
            .map(s -> s.colourant().shelf())
            .anyMatch(jar -> jar != null && Boolean.FALSE.equals(jar.lightFast()));
    if (fades) {
      told.note(Finding.Rule.FADES_IN_LIGHT, place, 1, 0, "");
    }
    boolean coarse =
        tint.shares().stream().anyMatch(s -> s.gPerGResin() > 0 && s.colourant().coarse());
    if (coarse && thin(job.resin())) {
      told.near(Finding.Rule.SINKS_IN_THIN, place, 1, 0, "", Findings.open(place));
    }
  }

  private static boolean has(Tint tint, ColourantForm form) {
    return tint.shares().stream().anyMatch(s -> s.gPerGResin() > 0 && s.colourant().form() == form);
  }

  /** Thin by its label, or by its kind where that says nothing. */
  private static boolean thin(ResinSystem resin) {
    LabelFacts facts = resin.facts();
    Double viscosity = facts == null ? null : facts.viscosityPaS();
    return viscosity == null ? resin.kind() == ResinKind.DEEP : viscosity < THIN_PA_S;
  }
}
