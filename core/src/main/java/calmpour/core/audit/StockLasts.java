package calmpour.core.audit;

import calmpour.core.plan.Facts;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Place;
import calmpour.core.resin.ResinSystem;
import calmpour.core.session.Job;
import calmpour.core.stock.Lot;
import calmpour.core.stock.ResinPart;
import calmpour.core.tint.Colourant;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/** What stands on the shelf is enough, as far as anybody has counted it. */
final class StockLasts implements Rule {
  /** So much of what is left is nearly all: a spill and it is short (starting value). */
  private static final double NEAR = 0.95;

  /** Below a scale's step nobody is short of anything, g. */
  private static final double HAIR_G = 1e-3;

  @Override
  public void judge(Facts facts, Findings told) {
    Map<String, Double> parts = new TreeMap<>();
    Map<String, Double> colourants = new TreeMap<>();
    for (Batch batch : facts.plan().batches()) {
      ResinSystem resin = facts.job(batch).resin();
      add(parts, resin.partAId(), batch.measuring().partA().massG());
      add(parts, resin.partBId(), batch.measuring().partB().massG());
      // Tinted whole, the doses of the cups are within those of the batch.
      for (Cup.Dose dose : batch.mixing().tintedWhole()) {
        add(colourants, dose.colourantId(), dose.massG());
      }
      if (batch.mixing().tintedWhole().isEmpty()) {
        for (Cup cup : batch.cups()) {
          cup.tint().doses().forEach(d -> add(colourants, d.colourantId(), d.massG()));
        }
      }
    }
    for (ResinPart part : facts.job().used().parts()) {
      runsShort(
          told,
          new Place.OnShelf(Place.Shelf.PART, part.id()),
          parts.getOrDefault(part.id(), 0.0),
          left(part));
    }
    for (Colourant colourant : facts.job().used().colourants()) {
      Double left = colourant.shelf() == null ? null : colourant.shelf().leftG();
      double needs = colourants.getOrDefault(colourant.id(), 0.0);
      runsShort(told, new Place.OnShelf(Place.Shelf.COLOURANT, colourant.id()), needs, left);
    }
    embeds(facts, told);
  }

  private static void add(Map<String, Double> needs, @Nullable String id, double grams) {
    if (id != null) {
      needs.merge(id, grams, Double::sum);
    }
  }

  /** Null when a bottle was never weighed. */
  private static @Nullable Double left(ResinPart part) {
    double left = 0;
    for (Lot lot : part.lots()) {
      if (lot.leftG() == null) {
        return null;
      }
      left += lot.leftG();
    }
    return part.lots().isEmpty() ? null : (Double) left;
  }

  private static void runsShort(Findings told, Place place, double needs, @Nullable Double left) {
    if (left != null && needs > left + HAIR_G) {
      told.breach(Finding.Rule.STOCK_SHORT, place, needs, left, "g", Findings.open(place));
    } else if (left != null && needs > NEAR * left) {
      told.near(Finding.Rule.STOCK_SHORT, place, needs, left, "g", Findings.open(place));
    }
  }

  private static void embeds(Facts facts, Findings told) {
    Map<String, Integer> needs = new TreeMap<>();
    for (Job.Line line : facts.job().lines()) {
      for (Job.Level level : line.levels()) {
        for (Job.EmbedIn inside : level.embeds()) {
          int all = inside.placed().count() * line.piece().count();
          needs.merge(inside.embed().id(), all, Integer::sum);
        }
      }
    }
    facts
        .job()
        .used()
        .embeds()
        .forEach(embed -> {
          int wanted = needs.getOrDefault(embed.id(), 0);
          Place place = new Place.OnShelf(Place.Shelf.EMBED, embed.id());
          if (embed.left() != null && wanted > embed.left()) {
            told.breach(
                Finding.Rule.STOCK_SHORT,
                place,
                wanted,
                embed.left(),
                "pieces",
                Findings.open(place));
          }
        });
  }
}
