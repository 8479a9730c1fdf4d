package calmpour.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.derive.Derivation;
import calmpour.core.derive.Derivation.Input;
import calmpour.core.derive.Formula;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/**
 * Works numbers again from what is shown with them: each formula from its inputs alone, with the
 * arithmetic that its words say.
 */
public final class Replay {
  /**
   * What the cure engine, a search or the shape of a mould comes to is no arithmetic; its inputs
   * are shown, not summed.
   */
  private static final Set<Formula> NO_ARITHMETIC =
      EnumSet.of(
          Formula.WORKING_TIME_ENGINE,
          Formula.WORKING_TIME_HALVING,
          Formula.PEAK_FORGOTTEN,
          Formula.STATE_OF_CURE,
          Formula.LAYER_CURE,
          Formula.LAYER_PEAK,
          Formula.CURED_SURFACE);

  /** Masses are whole milligrams. */
  private static final double MILLIGRAMS = 0.002;

  /** A plan's moments are whole seconds. */
  private static final double SECONDS = 1 / 60.0 + 1e-6;

  private final Set<Formula> replayed = EnumSet.noneOf(Formula.class);

  /** Formulas that were worked again so far. */
  public Set<Formula> replayed() {
    return replayed;
  }

  /**
   * @throws AssertionError where it does not add up by its own figures
   */
  public void check(Derivation d) {
    for (Input input : d.inputs()) {
      if (input.from() != null) {
        assertThat(input.from().value())
            .as("%s of %s", input.name(), d.quantity())
            .isCloseTo(input.value(), within(input.unit().equals("min") ? SECONDS : 1e-6));
      }
    }
    if (NO_ARITHMETIC.contains(d.formula())) {
      return;
    }
    double again = new Shown(d).again();
    double off = Math.abs(again - d.value());
    double may = MILLIGRAMS + 1e-6 * Math.abs(d.value());
    if (d.rounding() != null) {
      assertThat(Math.abs(again - d.rounding().exact())).as(told(d, again)).isLessThan(may);
      assertThat(Math.abs(d.value() - d.rounding().exact()))
          .as(told(d, again))
          .isLessThan(steps(d) * d.rounding().step() + may);
    } else {
      assertThat(off).as(told(d, again)).isLessThan(may);
    }
    replayed.add(d.formula());
  }

  /**
   * A and B go on to the next steps that keep the ratio; a dose to the nearest, or next but one.
   */
  private static double steps(Derivation d) {
    return switch (d.formula()) {
      case PART_BY_WEIGHT, PART_BY_VOLUME -> 1_000;
      case DROPS, SCOOPS -> 4;
      default -> 2;
    };
  }

  private static String told(Derivation d, double again) {
    List<String> inputs = new ArrayList<>();
    d.inputs().forEach(i -> inputs.add(i.name() + " = " + i.value() + " " + i.unit()));
    return "%s %s: %s %s said, %s by its figures %s %s"
        .formatted(d.quantity(), d.formula(), d.value(), d.unit(), again, inputs, d.rounding());
  }

  /** One number with what is shown of it. */
  private record Shown(Derivation d) {
    private List<Double> all(String name) {
      return d.inputs().stream().filter(i -> i.name().equals(name)).map(Input::value).toList();
    }

    private double sum(String name) {
      return all(name).stream().mapToDouble(v -> v).sum();
    }

    private double one(String name) {
      List<Double> all = all(name);
      assertThat(all).as("%s of %s", name, d.quantity()).hasSize(1);
      return all.get(0);
    }

    private double or(String name, double otherwise) {
      return all(name).isEmpty() ? otherwise : all(name).get(0);
    }

    private double sumOfAll() {
      return d.inputs().stream().mapToDouble(Input::value).sum();
    }

    double again() {
      return switch (d.formula()) {
        case FILL_BY_SHARE -> filled(one("mould holds") * one("share") / 100);
        case FILL_THE_REST ->
            filled(one("mould holds") - one("filled below") + sum("above the rim"));
        case FILL_BY_VOLUME ->
            filled(
                all("density of the mix").isEmpty()
                    ? one("layer") + sum("displaced by")
                    : one("layer") / one("density of the mix") + sum("displaced by"));
        case FILL_BY_DEPTH -> filled(one("holds up to there") - one("holds below"));
        case DOME_HEIGHT ->
            one("resin above the rim")
                * 1_000
                / (one("opening") * one("mean height, of the highest") / 100);
        case COAT_VOLUME -> one("area") * one("thickness with edges and drip") / 10;
        case POUR_MASS ->
            one("volume") * one("density of the mix") + sum("stays in the cup of all colours");
        case PIECE_VOLUME, SUM_OF_POURS, PARTS_TOGETHER, POUR_END -> sumOfAll();
        case SESSION_VOLUME -> {
          double sum = 0;
          for (int i = 0; i < d.inputs().size(); i += 2) {
            sum += d.inputs().get(i).value() * d.inputs().get(i + 1).value();
          }
          yield sum;
        }
        case RESIN_DENSITY -> {
          double a = one("parts of A");
          double b = one("parts of B");
          boolean byVolume = d.inputs().get(0).unit().equals("by volume");
          double massA = byVolume ? a * one("density of A") : a;
          double massB = byVolume ? b * one("density of B") : b;
          yield (massA + massB) / (massA / one("density of A") + massB / one("density of B"));
        }
        case MIX_DENSITY -> {
          double mass = 1;
          double volume = 1 / one("resin");
          List<Double> shares = all("in 1 g of resin");
          List<Double> densities = all("true density");
          for (int i = 0; i < shares.size(); i++) {
            mass += shares.get(i);
            volume += shares.get(i) / densities.get(i);
          }
          yield mass / volume;
        }
        case CUP_CONTENT ->
            (one("to be poured") * (1 + one("overage") / 100)
                        + one("moulds may take more")
                        + one("stays in the cup, always"))
                    / (1 - one("stays in the cup, of its content") / 100)
                + sum("more, so that doses are whole");
        case CUP_RESIN -> 2 * one("content") - sumOfAll();
        case RESIN_AS_MIXED -> one("A and B mixed") - sum("stays elsewhere");
        case CONTENT_AS_MIXED -> sumOfAll();
        case CUP_STAYS -> one("content") - one("poured");
        case DOSE -> dose();
        case DOSE_IN_DROPS -> one("counted") * one("one drop");
        case DOSE_IN_SCOOPS -> one("counted") * one("one scoop") * one("bulk density");
        case DOSE_WEIGHED -> one("wanted");
        case DOSE_FROM_STOCK ->
            one("taken of the stock")
                * one("colour in the stock")
                / (one("colour in the stock") + one("resin in the stock"));
        case DOSE_WITH_MIX -> one("resin in the cup") * one("in 1 g of resin, as counted");
        case DOSE_LEFT_OUT -> 0;
        case DROPS -> one("wanted") / one("one drop");
        case SCOOPS -> one("wanted") / (one("one scoop") * one("bulk density"));
        case LOADING -> loading();
        case BATCH_NEED -> {
          List<Double> always = all("stays in the cup, always");
          List<Double> shares = all("stays in the cup, of its content");
          double need = sumOfAll() - sum("stays in the cup, always");
          need -= sum("stays in the cup, of its content");
          for (int i = 0; i < always.size(); i++) {
            need = (need + always.get(i)) / (1 - shares.get(i) / 100);
          }
          yield need;
        }
        case PART_BY_WEIGHT -> one("A and B needed") * shareOfThis();
        case PART_BY_VOLUME ->
            one("A and B needed")
                * shareOfThis()
                / one(d.quantity().contains("partA") ? "density of A" : "density of B");
        case PART_MASS_FROM_VOLUME ->
            one("volume") * one(all("density of A").isEmpty() ? "density of B" : "density of A");
        case PART_VOLUME_FROM_MASS ->
            one("mass") / one(all("density of A").isEmpty() ? "density of B" : "density of A");
        case RATIO_ERROR -> {
          double wanted = one("parts of A") / one("parts of B");
          if (unit("parts of A").equals("by volume")) {
            wanted *= one("density of A") / one("density of B");
          }
          yield (one("part A") / one("part B") / wanted - 1) * 100;
        }
        case SPARE ->
            one("A meets B") + one("working time") - one("margin") - one("last pour ends");
        default -> throw new AssertionError("nothing replays " + d.formula());
      };
    }

    private double filled(double room) {
      return (room - sum("displaced by")) * or("of the layer", 100) / 100;
    }

    private double shareOfThis() {
      double a = one("parts of A") * (1 + or("extra A", 0) / 100);
      double b = one("parts of B");
      if (!all("density of A").isEmpty() && unit("parts of A").equals("by volume")) {
        a *= one("density of A");
        b *= one("density of B");
      }
      return (d.quantity().contains("partA") ? a : b) / (a + b);
    }

    private String unit(String name) {
      return d.inputs().stream().filter(i -> i.name().equals(name)).findFirst().get().unit();
    }

    /** A recipe is in grams of the finished mix. */
    private double dose() {
      double held = one("held at, of the recipe") / 100;
      double own = one("recipe, of the mix");
      double all = one("the whole recipe, of the mix");
      return one("resin in the cup") * own / (100 - all) * held;
    }

    /** The words of the limit say what is counted in what. */
    private double loading() {
      String basis = unit("limit");
      double resinG = one("resin in the cup");
      double counted = 0;
      double all = 0;
      for (int i = 3; i < d.inputs().size(); i += 2) {
        double per = basis.contains("weight") ? 1 : d.inputs().get(i + 1).value();
        double amount = d.inputs().get(i).value() / per;
        all += amount;
        counted += d.inputs().get(i).name().endsWith(", not counted") ? 0 : amount;
      }
      double resin = basis.contains("weight") ? resinG : resinG / one("density of the resin");
      if (basis.startsWith("drops")) {
        return counted / resin * 10;
      }
      return counted / (basis.contains("of the mix") ? resin + all : resin) * 100;
    }
  }
}
