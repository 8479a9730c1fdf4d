package calmpour.core.plan;

import calmpour.core.Samples;
import calmpour.core.design.Fill;
import calmpour.core.design.Join;
import calmpour.core.design.Layer;
import calmpour.core.habit.Habits;
import calmpour.core.habit.Mixing;
import calmpour.core.habit.Splitting;
import calmpour.core.mould.Mould;
import calmpour.core.resin.MixRatio;
import calmpour.core.session.HandCup;
import calmpour.core.session.Piece;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import calmpour.core.tint.Colour;
import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.Provide;
import net.jqwik.api.domains.DomainContextBase;

/** Sessions as different as makers are, with the workshop they are made in. */
public class RandomSessions extends DomainContextBase {
  public record Case(Session session, Workshop workshop) {}

  @Provide
  Arbitrary<Case> cases() {
    Arbitrary<List<Mould>> moulds =
        Arbitraries.doubles()
            .between(0.5, 70)
            .list()
            .ofMinSize(1)
            .ofMaxSize(6)
            .map(volumes -> {
              List<Mould> all = new ArrayList<>();
              for (double volume : volumes) {
                // Every other one is known only roughly, so that more is mixed for it.
                double plusMinus = all.size() % 2 * 6.0;
                all.add(Mould.told("m" + all.size(), "m", volume, 20.0, plusMinus));
              }
              return all;
            });
    Arbitrary<List<Colour>> colours =
        Combinators.combine(
                Arbitraries.doubles().between(0.1, 14), Arbitraries.doubles().between(0.1, 9))
            .as((tint, mica) ->
                List.of(
                    Colour.CLEAR,
                    new Colour("a", "A", "#111111", List.of(new Colour.Part("tint", tint))),
                    new Colour(
                        "b",
                        "B",
                        "#222222",
                        List.of(
                            new Colour.Part("tint", tint / 2), new Colour.Part("mica", mica)))));
    Arbitrary<MixRatio> ratios =
        Combinators.combine(
                Arbitraries.of(1.0, 2.0, 3.0, 10.0), Arbitraries.of(MixRatio.Basis.values()))
            .as((a, basis) -> new MixRatio(a, 1, basis));
    Arbitrary<Double> largest = Arbitraries.doubles().between(60, 600).injectNull(0.3);
    return Combinators.combine(
            moulds, colours, ratios, largest, Arbitraries.integers().between(1, 3))
        .flatAs((m, c, ratio, most, split) ->
            Combinators.combine(
                    pieces(m),
                    Arbitraries.doubles().between(0, 12).flatMap(o -> schools(habits(o))),
                    Arbitraries.doubles().between(12, 60),
                    Arbitraries.of(0, 0, 1, 3))
                .as((pieces, habits, potLife, hand) ->
                    new Case(
                        byHand(Samples.session(pieces, null, habits).withSplitInto(split), hand),
                        Samples.workshop(Samples.resin(ratio, 1.15, null, potLife, most), m, c))));
  }

  /** A maker who allows for nothing at all is the hardest on the sums. */
  private static Habits habits(double overage) {
    boolean bare = overage < 3;
    Habits d = Habits.DEFAULT;
    return bare ? d.withAllowances(0, 0, 0) : d.withAllowances(overage, 1.5, 2);
  }

  /** Makers of other schools: two cups, warm bottles, a reserve, cooler cups, a little more A. */
  private static Arbitrary<Habits> schools(Habits habits) {
    Arbitrary<Mixing> mixing =
        Combinators.combine(
                Arbitraries.of(Mixing.Warming.values()),
                Arbitraries.of(Mixing.MixingCups.values()),
                Arbitraries.of(0.0, 0.0, 1.0))
            .as((warming, cups, extraA) ->
                new Mixing(warming, null, null, cups, 0.75, extraA, null));
    Arbitrary<Splitting> splitting =
        Combinators.combine(
                Arbitraries.of(Splitting.SplitWhen.values()),
                Arbitraries.of(0.0, 0.0, 15.0),
                Arbitraries.of(40.0, 120.0))
            .as(Splitting::new);
    Arbitrary<Habits> others =
        Combinators.combine(mixing, splitting).as((m, s) -> habits.withMixing(m).withSplitting(s));
    return Arbitraries.oneOf(Arbitraries.just(habits), others);
  }

  /** Some pours of the first line's first layer, put into cups of their own by hand. */
  private static Session byHand(Session session, int cavities) {
    if (cavities == 0) {
      return session;
    }
    int count = Math.min(cavities, session.pieces().get(0).count());
    List<HandCup> cups = new ArrayList<>();
    cups.add(new HandCup(List.of(new HandCup.HandLayer(0, 0, count)), null));
    if (count < session.pieces().get(0).count()) {
      cups.add(new HandCup(List.of(new HandCup.HandLayer(0, 0, null)), "small"));
    }
    return session.withCupsByHand(cups);
  }

  private static Arbitrary<List<Piece>> pieces(List<Mould> moulds) {
    Arbitrary<String> colour = Arbitraries.of("clear", "a", "b");
    return Combinators.combine(
            Arbitraries.of(moulds).map(Mould::id),
            Arbitraries.integers().between(1, 8),
            colour,
            colour,
            Arbitraries.of(Join.values()),
            Arbitraries.doubles().between(0.1, 0.9).injectNull(0.4))
        .as((mould, count, below, above, join, share) ->
            new Piece(
                mould,
                count,
                share == null
                    ? List.of(new Layer(below, null, Join.TOGETHER))
                    : List.of(
                        new Layer(below, Fill.ofShare(share), Join.TOGETHER),
                        new Layer(above, null, join))))
        .list()
        .ofMinSize(1)
        .ofMaxSize(5);
  }
}
