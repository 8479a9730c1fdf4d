package calmpour.core.plan;

import calmpour.core.resin.ResinSystem;
import calmpour.core.session.Join;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import calmpour.core.tint.StockCup;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/**
 * Carries a plan out, second by second and gram by gram, as a bench would, written from the rules
 * in words and not from the planner: cups hold what was split into them, age at their own pace, and
 * give out what is poured. What goes wrong is written down.
 */
final class PlanReplay {
  private final Session session;
  private final ResinSystem resin;
  private final List<String> wrong = new ArrayList<>();
  private final Map<String, Bench> cups = new HashMap<>();
  private final Map<String, Double> levels = new HashMap<>();
  private final Map<String, int[]> layers = new HashMap<>();

  /** One body of resin on the bench. */
  private static final class Bench {
    double contentG;
    double age;
    int agedTo;
    double thickAt = Double.NaN;

    /** What can still be poured or stays, as long as nothing else is taken out. */
    double leftG = Double.NaN;

    final Map<String, Integer> poured = new HashMap<>();
  }

  PlanReplay(Session session, Workshop workshop) {
    this.session = session;
    this.resin =
        workshop.resins().stream()
            .filter(r -> r.id().equals(session.resinId()))
            .findFirst()
            .orElseThrow();
  }

  /** Everything that goes wrong, as a list of words; late pours are listed as {@code late ID}. */
  List<String> run(Plan plan) {
    for (Batch batch : plan.batches()) {
      batch(plan, batch);
    }
    for (int line = 0; line < plan.pieces().size(); line++) {
      Plan.PieceView piece = plan.pieces().get(line);
      for (int cavity = 1; cavity <= piece.count(); cavity++) {
        double filled = levels.getOrDefault(line + "." + cavity, 0.0);
        if (Math.abs(filled - piece.pouredMl()) > 1e-6 * piece.pouredMl()) {
          wrong.add("cavity " + line + "." + cavity + " holds " + filled);
        }
      }
    }
    return wrong;
  }

  private void batch(Plan plan, Batch batch) {
    Bench mixing = new Bench();
    Map<String, Cup> byId = new HashMap<>();
    batch.cups().forEach(c -> byId.put(c.id(), c));
    Map<String, Cup.Pour> pours = new HashMap<>();
    batch.cups().forEach(c -> c.pours().forEach(p -> pours.put(p.id(), p)));
    int handsFree = batch.startSeconds();
    int poured = 0;
    for (Task task : plan.tasks()) {
      if (task.batch() != batch.number()) {
        continue;
      }
      if (task.hands() && task.startSeconds() < handsFree) {
        wrong.add("two things at once at " + task.startSeconds());
      }
      handsFree = Math.max(handsFree, task.endSeconds());
      switch (task.kind()) {
        case WEIGH_FIRST -> mixing.contentG = first(batch);
        case WEIGH_SECOND -> {
          mixing.contentG = batch.partA().massG() + batch.partB().massG();
          mixing.agedTo = task.startSeconds();
        }
        case WARM -> {
          if (mixing.contentG > 0) {
            wrong.add("bottles warmed after they were poured out");
          }
        }
        case SECOND_CUP -> mixing.contentG -= batch.firstCupStaysG();
        case STOCK_CUP -> stock(mixing, batch, byId.get(task.cupId()));
        case STIR, REST -> {
          if (mixing.contentG <= 0) {
            wrong.add(task.kind() + " of an empty cup");
          }
        }
        case BUBBLE_PASS, COVER -> {
          // These are for the moulds: by then the cups may be poured out to the last drop.
          if (poured == 0) {
            wrong.add(task.kind() + " before anything is poured");
          }
        }
        case SPLIT -> split(mixing, batch, byId.get(task.cupId()), task);
        case TINT -> {
          if (task.cupId() == null) {
            mixing.contentG += batch.tintedWhole().stream().mapToDouble(Cup.Dose::massG).sum();
          } else {
            tint(mixing, batch, byId.get(task.cupId()));
          }
        }
        case POUR -> {
          pour(mixing, batch, byId.get(task.cupId()), pours.get(task.pourId()), task);
          poured++;
        }
        default -> wrong.add("unknown task " + task.kind());
      }
    }
    double elsewhere = batch.firstCupStaysG() + stocksLeft(batch);
    if (batch.split() && Math.abs(mixing.contentG + elsewhere - batch.staysG()) > 1e-6) {
      wrong.add("mixing cup keeps " + mixing.contentG + ", not " + batch.staysG());
    }
    for (Cup cup : batch.cups()) {
      Bench bench = batch.split() ? cups.get(cup.id()) : mixing;
      late(bench);
      // What a stock cup takes from a lone cup is rounded to a milligram.
      if (Math.abs(bench.contentG - cup.staysG()) > 1e-6 + stocks(cup).size() * 1e-3) {
        wrong.add("cup " + cup.id() + " keeps " + bench.contentG + ", not " + cup.staysG());
      }
    }
  }

  /** Every pour has to be done a margin before its cup is thick, with what was left in it then. */
  private void late(Bench bench) {
    double thick = Double.isNaN(bench.thickAt) ? reach(bench, bench.leftG) : bench.thickAt;
    bench.poured.forEach((pour, end) -> {
      if (end > thick - session.habits().marginMinutes() * 60 + 1) {
        wrong.add("late " + pour);
      }
    });
  }

  private static double first(Batch batch) {
    return batch.firstPart() == calmpour.core.habit.Habits.FirstPart.A
        ? batch.partA().massG()
        : batch.partB().massG();
  }

  private void split(Bench mixing, Batch batch, Cup cup, Task task) {
    // The mix ages in one piece until this cup is filled.
    double ageWhole = ageAt(mixing, batch.totalG(), task.endSeconds());
    Bench own = new Bench();
    double withStock = stocks(cup).stream().mapToDouble(StockCup::resinWithItG).sum();
    boolean tinted = !batch.tintedWhole().isEmpty();
    own.contentG = (tinted ? cup.contentG() : cup.resinG()) - withStock;
    own.age = ageWhole;
    own.agedTo = task.endSeconds();
    if (ageWhole >= 1) {
      own.thickAt = reach(mixing, batch.totalG());
    }
    cups.put(cup.id(), own);
    mixing.contentG -= own.contentG;
    if (mixing.contentG < -1e-6) {
      wrong.add("split more than was mixed");
    }
  }

  private static List<StockCup> stocks(Cup cup) {
    return cup.doses().stream().map(Cup.Dose::stock).filter(Objects::nonNull).toList();
  }

  /** Resin that is still in the stock cups when every cup has had its part of them. */
  private static double stocksLeft(Batch batch) {
    return batch.cups().stream()
        .flatMap(c -> stocks(c).stream())
        .mapToDouble(s -> s.resinG() - s.resinWithItG())
        .sum();
  }

  private void stock(Bench mixing, Batch batch, Cup cup) {
    for (StockCup stock : stocks(cup)) {
      mixing.contentG -= stock.resinG();
      if (mixing.contentG < -1e-6) {
        wrong.add("stock taken from an empty cup in batch " + batch.number());
      }
    }
  }

  private void tint(Bench mixing, Batch batch, Cup cup) {
    double doses =
        cup.doses().stream().mapToDouble(Cup.Dose::massG).sum()
            + stocks(cup).stream().mapToDouble(StockCup::resinWithItG).sum();
    Bench bench = batch.split() ? cups.get(cup.id()) : mixing;
    bench.contentG += doses;
  }

  private void pour(Bench mixing, Batch batch, Cup cup, Cup.Pour pour, Task task) {
    Bench bench = batch.split() ? cups.get(cup.id()) : mixing;
    if (bench == null) {
      wrong.add("pour " + pour.id() + " out of a cup that was never filled");
      return;
    }
    // It ages with what is in it, and that grows less with every pour.
    if (Double.isNaN(bench.leftG)) {
      bench.leftG = cup.contentG();
    }
    double age = ageAt(bench, bench.leftG, task.endSeconds());
    if (Double.isNaN(bench.thickAt)) {
      if (age >= 1) {
        bench.thickAt = reach(bench, bench.leftG);
      }
      bench.age = age;
      bench.agedTo = task.endSeconds();
    }
    // When the last pour is too late is told by the cup with that pour still in it.
    boolean last = bench.poured.size() == cup.pours().size() - 1;
    bench.leftG = last ? bench.leftG : Math.max(1e-3, bench.leftG - pour.massG());
    bench.poured.put(pour.id(), task.endSeconds());
    bench.contentG -= pour.massG();
    if (bench.contentG < -1e-6) {
      wrong.add("cup " + cup.id() + " runs dry");
    }
    join(batch, pour, task);
    levels.merge(pour.line() + "." + pour.cavity(), pour.volumeMl(), Double::sum);
  }

  private void join(Batch batch, Cup.Pour pour, Task task) {
    String cavity = pour.line() + "." + pour.cavity() + ".";
    if (pour.layer() > 0) {
      int[] below = layers.get(cavity + (pour.layer() - 1));
      Join join = session.pieces().get(pour.line()).layers().get(pour.layer()).join();
      int wait =
          below == null
              ? Integer.MAX_VALUE
              : switch (join) {
                case TOGETHER -> below[0];
                case THICK -> below[1] + 35 * 60;
                case GEL -> below[1] + 240 * 60;
                case CURED -> below[0] + 24 * 3_600;
              };
      if (task.startSeconds() < wait) {
        wrong.add("layer " + cavity + pour.layer() + " before its time");
      }
    }
    layers.put(cavity + pour.layer(), new int[] {task.endSeconds(), batch.mixedSeconds()});
  }

  /** Share of its working time that a body has used up at a moment. */
  private double ageAt(Bench body, double massG, int seconds) {
    return body.age + (seconds - body.agedTo) / 60.0 / workingMinutes(massG);
  }

  /** The second in which a body will be thick. */
  private double reach(Bench body, double massG) {
    return body.agedTo + (1 - body.age) * workingMinutes(massG) * 60;
  }

  /**
   * What was warmed is as warm as it was warmed throughout; A alone shares its heat with B by mass.
   */
  private double temperature() {
    double room = session.room().temperatureC();
    double warm =
        switch (session.habits().mixing().warming()) {
          case NONE -> room;
          case BOTH -> 28;
          case TO_TEMPERATURE -> 38;
          case A_ONLY -> {
            double a = resin.massShareA() * (1 + session.habits().mixing().extraAPercent() / 100);
            double b = 1 - resin.massShareA();
            yield (a * 40 + b * room) / (a + b);
          }
        };
    return Math.max(room, warm);
  }

  /**
   * The rule in words: the label's minutes, half of them for ten degrees more, and 49 instead of 40
   * for a quarter of the mass, taken as a straight line on logarithmic paper.
   */
  private double workingMinutes(double massG) {
    double tens = (temperature() - resin.knownPotLifeTemperatureC().value()) / 10;
    double quarters = Math.log(resin.knownPotLifeMassG().value() / massG) / Math.log(4);
    return resin.knownPotLifeMinutes().value()
        * Math.pow(0.5, tens)
        * Math.pow(49.0 / 40, quarters);
  }
}
