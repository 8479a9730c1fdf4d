package calmpour.core.audit;

import calmpour.core.mould.MouldMake;
import calmpour.core.plan.Facts;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Finding.Mend;
import calmpour.core.plan.doc.Place;
import calmpour.core.session.Available;
import calmpour.core.session.Fewer;
import calmpour.core.session.Job;
import calmpour.core.session.Piece;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** No more of the session's resin than the maker says there is; what stays over is told as well. */
final class WhatThereIs implements Rule {
  /** Each part is kept in whole milligrams. */
  private static final double HAIR = 2e-3;

  /** Less of what there is stays over for anything to be made of it (starting value). */
  private static final double LEFT = 0.03;

  private static final int OFFERS = 3;

  /** As many as a line may have. */
  private static final int MOST_PIECES = (int) Piece.COUNT.maxInclusive();

  /** Of a mould that nobody counted there are as many again as stand on the board, no more. */
  private static final int AS_MANY_AGAIN = 2;

  /** A change of one line, and by how many pieces; the smallest comes first. */
  private record Offer(Mend mend, int changes) {}

  /** What is wanted of one thing, and what there is of it. */
  private record Held(double wants, double has, String unit) {
    double share() {
      return has / wants;
    }
  }

  @Override
  public void judge(Facts facts, Findings told) {
    Available available = facts.job().session().available();
    List<Batch> batches =
        facts.plan().batches().stream()
            .filter(b -> b.resinId().equals(facts.job().session().resinId()))
            .toList();
    if (available == null || batches.isEmpty()) {
      return;
    }
    Held scarcest =
        held(available, batches).min(Comparator.comparingDouble(Held::share)).orElseThrow();
    double mixG = batches.stream().mapToDouble(b -> aG(b) + bG(b)).sum();
    // The scarcer part decides; the other one only stays in its bottle.
    double shortG = mixG - mixG * scarcest.share();
    double mixMl =
        batches.stream()
            .mapToDouble(t -> t.measuring().partA().volumeMl() + t.measuring().partB().volumeMl())
            .sum();
    Mend[] offers = offers(facts, batches, mixG, shortG, mixMl);
    if (scarcest.wants > scarcest.has + HAIR) {
      told.breach(
          Finding.Rule.TOO_LITTLE_RESIN,
          Place.Whole.RESIN,
          scarcest.wants,
          scarcest.has,
          scarcest.unit,
          offers);
    } else if (scarcest.has - scarcest.wants > LEFT * scarcest.has) {
      told.note(
          Finding.Rule.RESIN_LEFT_OVER,
          Place.Whole.RESIN,
          scarcest.has - scarcest.wants,
          scarcest.has,
          scarcest.unit,
          offers);
    }
  }

  private static Stream<Held> held(Available available, List<Batch> batches) {
    double a = batches.stream().mapToDouble(WhatThereIs::aG).sum();
    double b = batches.stream().mapToDouble(WhatThereIs::bG).sum();
    double ml =
        batches.stream()
            .mapToDouble(t -> t.measuring().partA().volumeMl() + t.measuring().partB().volumeMl())
            .sum();
    if (available.totalG() != null) {
      return Stream.of(new Held(a + b, available.totalG(), "g"));
    }
    if (available.totalMl() != null) {
      return Stream.of(new Held(ml, available.totalMl(), "mL"));
    }
    return Stream.of(
        new Held(a, known(available.partAG()), "g of A"),
        new Held(b, known(available.partBG()), "g of B"));
  }

  private static double known(@Nullable Double part) {
    return part == null ? 0 : part;
  }

  private static double aG(Batch batch) {
    return batch.measuring().partA().massG();
  }

  private static double bG(Batch batch) {
    return batch.measuring().partB().massG();
  }

  /**
   * Less overage, fewer pieces of a line or a line left out where {@code shortG} is missing; more
   * pieces of a line where so much is over. The grams of a piece are its share of what is mixed.
   */
  private static Mend[] offers(
      Facts facts, List<Batch> batches, double mixG, double shortG, double mixMl) {
    List<Cup.Pour> pours =
        batches.stream().flatMap(b -> b.cups().stream()).flatMap(c -> c.pours().stream()).toList();
    double pouredG = pours.stream().mapToDouble(Cup.Pour::massG).sum();
    if (pouredG <= 0) {
      return new Mend[] {Findings.ANEW};
    }
    List<Mend> offers = new ArrayList<>();
    double overage = facts.job().session().habits().overagePercent();
    double trimmed = Math.floor((overage - 100 * shortG / pouredG) * 2) / 2;
    if (shortG > 0 && trimmed >= 0) {
      offers.add(new Mend(Mend.Kind.OVERAGE, trimmed));
    }
    List<Offer> pieces = new ArrayList<>();
    List<Double> eachG = new ArrayList<>();
    List<Job.Line> lines = facts.job().lines();
    for (int l = 0; l < lines.size(); l++) {
      int line = l;
      double itsG = pours.stream().filter(p -> p.line() == line).mapToDouble(Cup.Pour::massG).sum();
      eachG.add(itsG * mixG / pouredG / lines.get(l).piece().count());
      Offer offer = ofLine(lines.get(l), l, itsG * mixG / pouredG, shortG);
      if (offer != null) {
        pieces.add(offer);
      }
    }
    if (pieces.isEmpty() && offers.isEmpty() && shortG > 0) {
      offers.add(Findings.ANEW);
    }
    pieces.stream()
        .sorted(Comparator.comparingInt(Offer::changes))
        .limit(OFFERS)
        .forEach(o -> offers.add(o.mend));
    if (shortG > 0) {
      int off = offAll(lines, eachG, shortG);
      if (off > 0) {
        offers.add(new Mend(Mend.Kind.FEWER_OF_ALL, off));
      }
    } else {
      offers.add(new Mend(Mend.Kind.FILLER, -shortG / mixG * mixMl));
    }
    return offers.toArray(Mend[]::new);
  }

  /** So many pieces fewer, off several lines, that what is missing is saved; 0 where none would. */
  private static int offAll(List<Job.Line> lines, List<Double> eachG, double shortG) {
    List<Integer> counts = lines.stream().map(l -> l.piece().count()).toList();
    int all = counts.stream().mapToInt(Integer::intValue).sum() - counts.size();
    for (int off = 1; off <= all; off++) {
      List<Integer> left = Fewer.counts(counts, off);
      double saved = 0;
      int changed = 0;
      for (int line = 0; line < left.size(); line++) {
        int fewer = counts.get(line) - left.get(line);
        saved += fewer * eachG.get(line);
        changed += fewer > 0 ? 1 : 0;
      }
      if (saved >= shortG) {
        return changed > 1 ? off : 0;
      }
    }
    return 0;
  }

  private static @Nullable Offer ofLine(Job.Line line, int l, double allG, double shortG) {
    int count = line.piece().count();
    double eachG = allG / count;
    if (eachG <= 0) {
      return null;
    }
    if (shortG > 0) {
      int fewer = (int) Math.ceil(shortG / eachG);
      if (fewer > count) {
        return null;
      }
      return new Offer(fewer == count ? Findings.leaveOut(l) : pieces(l, count - fewer), fewer);
    }
    MouldMake make = line.mould().make();
    Integer copies = make == null ? null : make.copies();
    int room = copies == null ? AS_MANY_AGAIN * count : copies * line.cavity().count();
    int more = Math.min((int) (-shortG / eachG), Math.min(room, MOST_PIECES) - count);
    return more < 1 ? null : new Offer(pieces(l, count + more), more);
  }

  private static Mend pieces(int line, int count) {
    return new Mend(Mend.Kind.PIECES, count, Place.line(line).toString());
  }
}
