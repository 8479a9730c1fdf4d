package calmpour.core.audit;

import calmpour.core.audit.RandomWork.Work;
import calmpour.core.cup.CupKind;
import calmpour.core.design.Join;
import calmpour.core.design.PieceWork;
import calmpour.core.design.PlacedEmbed;
import calmpour.core.design.SurfaceWork;
import calmpour.core.embed.Embed;
import calmpour.core.habit.Care;
import calmpour.core.habit.FillTo;
import calmpour.core.habit.Tinting;
import calmpour.core.mould.Cavity;
import calmpour.core.mould.Mould;
import calmpour.core.mould.MouldMake;
import calmpour.core.mould.MouldState;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Finding.Rule;
import calmpour.core.resin.ResinKind;
import calmpour.core.resin.ResinSystem;
import calmpour.core.session.Job;
import calmpour.core.session.Piece;
import calmpour.core.session.Resolution;
import calmpour.core.tint.Colour;
import calmpour.core.tint.Colourant;
import calmpour.core.tint.ColourantForm;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;

/**
 * Looks at every mould, bottle, jar, cup and embed of a session and says what is wrong with it.
 * Written from the rules in words (docs/rules.md) and not from the audit.
 */
final class Inspection {
  /** What it looks at, whether the audit makes it a breach, a near miss or a note. */
  static final Set<Rule> RULES =
      EnumSet.of(
          Rule.MOULD_NOT_DRY,
          Rule.MOULD_NOT_CLEAN,
          Rule.MOULD_PAST_ITS_END,
          Rule.MOULD_NEAR_ITS_END,
          Rule.MOULD_FIRST_CAST,
          Rule.MOULD_NOT_READY,
          Rule.MOULD_NOT_FOR_POT,
          Rule.URETHANE_BEFORE_EPOXY,
          Rule.DEEPER_THAN_RATED,
          Rule.THINNER_THAN_RATED,
          Rule.COATING_IN_A_MOULD,
          Rule.WATER_FORBIDDEN,
          Rule.WATER_IN_COLOUR,
          Rule.SOLVENT_IN_COLOUR,
          Rule.WAXED_CUP,
          Rule.EMBED_NOT_DRY,
          Rule.EMBED_POKES_THROUGH,
          Rule.EMBED_TOO_LARGE,
          Rule.EMBED_NOT_COVERED,
          Rule.LID_LEAVES_A_VOID,
          Rule.LID_OVERFULL,
          Rule.HEAT_UNDER_LID,
          Rule.OIL_BRINGS_BUBBLES,
          Rule.OIL_AGES_RESIN,
          Rule.DYE_STAINS_MOULD,
          Rule.CHIPS_DENT_POWDER);

  private final Work work;
  private final Job job;
  private final Set<String> found = new TreeSet<>();

  private Inspection(Work work) {
    this.work = work;
    this.job = Resolution.of(work.session(), work.workshop());
  }

  /** Everything wrong, as "RULE place". */
  static Set<String> of(Work work) {
    Inspection inspection = new Inspection(work);
    List<Piece> pieces = work.session().pieces();
    for (int p = 0; p < pieces.size(); p++) {
      inspection.mould(p, pieces.get(p));
      inspection.depths(p);
      inspection.embeds(p, pieces.get(p));
    }
    inspection.poured();
    return inspection.found;
  }

  private void wrong(Rule rule, String place) {
    found.add(rule + " " + place);
  }

  private void mould(int p, Piece piece) {
    String place = "piece/" + (p + 1);
    Mould mould =
        work.workshop().moulds().stream()
            .filter(m -> m.id().equals(piece.mouldId()))
            .findFirst()
            .orElseThrow();
    boolean pot = piece.work() != null && piece.work().curing() == PieceWork.Curing.PRESSURE_POT;
    if (pot && Boolean.FALSE.equals(mould.make().pressureFit())) {
      wrong(Rule.MOULD_NOT_FOR_POT, place);
    }
    if (mould.make().opening() == MouldMake.Opening.CLOSED) {
      lid(p, piece, place);
    }
    MouldState state = mould.state();
    if (state == null) {
      return;
    }
    if (Boolean.FALSE.equals(state.dry())) {
      wrong(Rule.MOULD_NOT_DRY, place);
    }
    if (Boolean.FALSE.equals(state.clean())) {
      wrong(Rule.MOULD_NOT_CLEAN, place);
    }
    if (state.expectedCasts() != null && state.casts() >= state.expectedCasts()) {
      wrong(Rule.MOULD_PAST_ITS_END, place);
    } else if (state.expectedCasts() != null && state.casts() * 10 >= state.expectedCasts() * 9) {
      wrong(Rule.MOULD_NEAR_ITS_END, place);
    }
    if (state.casts() == 0) {
      wrong(Rule.MOULD_FIRST_CAST, place);
    }
    if (state.readyFrom() != null && state.readyFrom().isAfter(work.session().startsAt())) {
      wrong(Rule.MOULD_NOT_READY, place);
    }
    boolean epoxy =
        job.lines().get(p).levels().stream()
            .anyMatch(v -> resin(v.resinId()).kind() != ResinKind.POLYURETHANE);
    if (state.lastCast() == MouldState.Chemistry.URETHANE && epoxy) {
      wrong(Rule.URETHANE_BEFORE_EPOXY, place);
    }
  }

  /** What fills up to the rim of a closed mould goes over it, unless the piece says otherwise. */
  private void lid(int p, Piece piece, String place) {
    FillTo to = piece.work() == null ? null : piece.work().fill();
    boolean over =
        piece.layers().getLast().fill() == null && (to == null || to.kind() == FillTo.Kind.DOMED);
    double holds = job.lines().get(p).measured().volumeMl();
    double in =
        job.lines().get(p).levels().stream()
            .mapToDouble(
                v -> v.volumeMl() + v.embeds().stream().mapToDouble(Job.EmbedIn::displacesMl).sum())
            .sum();
    if (!over || in <= holds * (1 + 1e-9)) {
      wrong(Rule.LID_LEAVES_A_VOID, place);
    } else if (in > holds * 1.1) {
      wrong(Rule.LID_OVERFULL, place);
    }
    if (work.session().habits().care().bubbles() != Care.BubbleMethod.SOFT_TOOL) {
      wrong(Rule.HEAT_UNDER_LID, place);
    }
  }

  private ResinSystem resin(String id) {
    return work.workshop().resins().stream()
        .filter(r -> r.id().equals(id))
        .findFirst()
        .orElseThrow();
  }

  /** What flows together is one depth; a layer that waits begins a new one. */
  private void depths(int p) {
    List<Job.Level> levels = job.lines().get(p).levels();
    double from = 0;
    for (int l = 0; l < levels.size(); l++) {
      Job.Level level = levels.get(l);
      boolean waits = level.coat() || (l > 0 && level.join() != Join.TOGETHER);
      if (waits) {
        from = level.fromMm();
      }
      boolean ends =
          l + 1 == levels.size()
              || levels.get(l + 1).coat()
              || levels.get(l + 1).join() != Join.TOGETHER;
      ResinSystem resin = resin(level.resinId());
      if (resin.kind() == ResinKind.COATING) {
        wrong(Rule.COATING_IN_A_MOULD, "resin");
      }
      if (ends && resin.facts() != null) {
        double depth = level.toMm() - from;
        if (resin.facts().depthToMm() != null && depth > resin.facts().depthToMm()) {
          wrong(Rule.DEEPER_THAN_RATED, "piece/" + (p + 1));
        }
        if (resin.facts().depthFromMm() != null && depth < resin.facts().depthFromMm()) {
          wrong(Rule.THINNER_THAN_RATED, "piece/" + (p + 1));
        }
      }
    }
  }

  private void embeds(int p, Piece piece) {
    boolean powdered =
        piece.work() != null
            && piece.work().surface().stream()
                .anyMatch(
                    s -> s.kind() == SurfaceWork.Kind.DUST || s.kind() == SurfaceWork.Kind.BURNISH);
    if (powdered && job.lines().get(p).cavity().bed() != null) {
      wrong(Rule.CHIPS_DENT_POWDER, "piece/" + (p + 1));
    }
    for (int l = 0; l < piece.layers().size(); l++) {
      for (PlacedEmbed placed : piece.layers().get(l).embeds()) {
        Embed embed =
            work.workshop().embeds().stream()
                .filter(e -> e.id().equals(placed.embedId()))
                .findFirst()
                .orElseThrow();
        if (Boolean.FALSE.equals(embed.dry())) {
          wrong(Rule.EMBED_NOT_DRY, "layer/" + (p + 1) + "." + (l + 1));
        }
        Double wide = job.lines().get(p).cavity().lengthMm();
        if (embed.lengthMm() != null && wide != null && embed.lengthMm() > wide) {
          wrong(Rule.EMBED_TOO_LARGE, "layer/" + (p + 1) + "." + (l + 1));
        }
        Cavity cavity = job.lines().get(p).cavity();
        // Straight walls: what it holds over its depth and its longer side.
        if (embed.widthMm() != null && wide != null && cavity.depthMm() != null) {
          double narrow = cavity.measure().toldMl() * 1_000 / cavity.depthMm() / wide;
          if (embed.widthMm() > narrow) {
            wrong(Rule.EMBED_TOO_LARGE, "layer/" + (p + 1) + "." + (l + 1));
          }
        }
        Job.Level level = job.lines().get(p).levels().get(l);
        double stands = 100 - placed.standsOutPercent();
        if (embed.heightMm() != null
            && embed.heightMm() * stands / 100 > level.toMm() - level.fromMm()) {
          wrong(Rule.EMBED_NOT_COVERED, "layer/" + (p + 1) + "." + (l + 1));
        }
        if (powdered && l == 0 && Boolean.TRUE.equals(embed.pointed())) {
          wrong(Rule.EMBED_POKES_THROUGH, "layer/" + (p + 1) + "." + (l + 1));
        }
      }
    }
  }

  private void poured() {
    for (Batch batch : work.plan().batches()) {
      if (batch.mixing().cup().material() == CupKind.Material.WAXED_PAPER) {
        wrong(Rule.WAXED_CUP, "batch/" + batch.number());
      }
      for (Cup cup : batch.cups()) {
        if (batch.split() && cup.kind().material() == CupKind.Material.WAXED_PAPER) {
          wrong(Rule.WAXED_CUP, "cup/" + cup.id());
        }
        if (!cup.pours().isEmpty() && !cup.colour().id().equals(Colour.CLEAR.id())) {
          colour(cup.colour().id());
        }
      }
    }
  }

  private boolean intoRubber(String colour) {
    for (Batch batch : work.plan().batches()) {
      for (Cup cup : batch.cups()) {
        for (Cup.Pour pour : cup.colour().id().equals(colour) ? cup.pours() : List.<Cup.Pour>of()) {
          MouldMake make = job.lines().get(pour.line()).mould().make();
          // Nobody knows what it is made of: then of rubber.
          if (make == null
              || make.material() == null
              || make.material() == MouldMake.Material.SILICONE
              || make.material() == MouldMake.Material.URETHANE_RUBBER
              || make.material() == MouldMake.Material.LATEX) {
            return true;
          }
        }
      }
    }
    return false;
  }

  private void colour(String id) {
    Colour colour =
        work.workshop().colours().stream().filter(c -> c.id().equals(id)).findFirst().orElseThrow();
    for (Colour.Part part : colour.recipe()) {
      Colourant colourant =
          work.workshop().colourants().stream()
              .filter(c -> c.id().equals(part.colourantId()))
              .findFirst()
              .orElseThrow();
      if (colourant.form() == ColourantForm.OIL_PAINT) {
        wrong(Rule.OIL_BRINGS_BUBBLES, "colour/" + id);
      }
      if (colourant.form() == ColourantForm.SILICONE_OIL) {
        wrong(Rule.OIL_AGES_RESIN, "colour/" + id);
      }
      if (colourant.form() == ColourantForm.DYE && intoRubber(id)) {
        wrong(Rule.DYE_STAINS_MOULD, "colour/" + id);
      }
      if (colourant.form() == ColourantForm.ALCOHOL_INK
          || colourant.form() == ColourantForm.THINNER) {
        wrong(Rule.SOLVENT_IN_COLOUR, "colour/" + id);
      }
      if (colourant.form() == ColourantForm.ACRYLIC_PAINT) {
        boolean never = work.session().habits().tinting().waterPaint() == Tinting.WaterPaint.FORBID;
        wrong(never ? Rule.WATER_FORBIDDEN : Rule.WATER_IN_COLOUR, "colour/" + id);
      }
    }
  }
}
