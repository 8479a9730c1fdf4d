package calmpour.core.audit;

import calmpour.core.audit.RandomWork.Work;
import calmpour.core.habit.Habits;
import calmpour.core.habit.Tinting;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.CupAmounts;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.doc.Task;
import calmpour.core.resin.WeighOut;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import calmpour.core.tool.Booking;
import calmpour.core.tool.Tool;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Random;
import java.util.function.UnaryOperator;

/** Ways to spoil a plan, each aimed at some rule; what it breaks besides is found as well. */
enum Breakage {
  NONE {
    @Override
    Work spoil(Work work, Random random) {
      return work;
    }
  },
  SHIFT_A_TASK {
    @Override
    Work spoil(Work work, Random random) {
      return shifted(work, random, EnumSet.allOf(Task.Kind.class));
    }
  },
  SHIFT_A_POUR {
    @Override
    Work spoil(Work work, Random random) {
      return shifted(work, random, EnumSet.of(Task.Kind.POUR));
    }
  },
  SHIFT_AN_EMBED {
    @Override
    Work spoil(Work work, Random random) {
      return shifted(
          work, random, EnumSet.of(Task.Kind.EMBED, Task.Kind.LAY_EMBEDS, Task.Kind.NUDGE));
    }
  },
  SHIFT_WHAT_COMES_AFTER {
    @Override
    Work spoil(Work work, Random random) {
      return shifted(
          work,
          random,
          EnumSet.of(
              Task.Kind.DEMOULD,
              Task.Kind.FINISH,
              Task.Kind.READY,
              Task.Kind.LOOK,
              Task.Kind.CLEAN_UP,
              Task.Kind.LOAD_POT,
              Task.Kind.IN_POT));
    }
  },
  SHIFT_THE_FINISHING {
    @Override
    Work spoil(Work work, Random random) {
      return shifted(work, random, EnumSet.of(Task.Kind.FINISH));
    }
  },
  SHIFT_THE_PREPARATION {
    @Override
    Work spoil(Work work, Random random) {
      return shifted(
          work,
          random,
          EnumSet.of(
              Task.Kind.WIPE_MOULDS,
              Task.Kind.SPRAY_MOULDS,
              Task.Kind.SURFACE_WORK,
              Task.Kind.PREPARE_EMBEDS));
    }
  },
  /** A whole later batch at another time: its joins are too early or too late. */
  SHIFT_A_BATCH {
    @Override
    Work spoil(Work work, Random random) {
      int batches = work.plan().batches().size();
      int number = 1 + random.nextInt(batches);
      int by = seconds(random);
      List<Task> tasks = new ArrayList<>();
      for (Task task : work.plan().tasks()) {
        boolean its = task.batch() == number;
        tasks.add(its ? task.at(Math.max(0, task.startSeconds() + by), false) : task);
      }
      return new Work(work.session(), work.workshop(), with(work.plan(), tasks));
    }
  },
  FORGET_A_TASK {
    @Override
    Work spoil(Work work, Random random) {
      List<Task> tasks = new ArrayList<>(work.plan().tasks());
      tasks.remove(random.nextInt(tasks.size()));
      return new Work(work.session(), work.workshop(), with(work.plan(), tasks));
    }
  },
  ANOTHER_SESSION_WANTS_HANDS {
    @Override
    Work spoil(Work work, Random random) {
      return booked(work, random, Booking.Thing.HANDS, "");
    }
  },
  ANOTHER_SESSION_WANTS_A_MOULD {
    @Override
    Work spoil(Work work, Random random) {
      String mould = work.session().pieces().get(0).mouldId();
      return booked(work, random, Booking.Thing.MOULD, mould + "/main");
    }
  },
  ANOTHER_SESSION_WANTS_THE_POT {
    @Override
    Work spoil(Work work, Random random) {
      return booked(work, random, Booking.Thing.TOOL, random.nextBoolean() ? "pot" : "box");
    }
  },
  SMALLER_TOOLS {
    @Override
    Work spoil(Work work, Random random) {
      return tools(
          work, t -> new Tool(t.id(), t.name(), t.kind(), 1, t.temperatureC(), t.ratedKPa()));
    }
  },
  FEWER_MOULDS {
    @Override
    Work spoil(Work work, Random random) {
      return moulds(work);
    }
  },
  MORE_IN_A_POUR {
    @Override
    Work spoil(Work work, Random random) {
      double factor = random.nextBoolean() ? 1.2 : 0.7;
      return cups(work, random, c -> withPours(c, factor, 1));
    }
  },
  HEAVIER_POURS {
    @Override
    Work spoil(Work work, Random random) {
      return cups(work, random, c -> withPours(c, 1, 1.1));
    }
  },
  OVERDOSE {
    @Override
    Work spoil(Work work, Random random) {
      return cups(work, random, c -> dosed(c, 8));
    }
  },
  MORE_A {
    @Override
    Work spoil(Work work, Random random) {
      return weighed(work, random, 1.15, 1);
    }
  },
  MORE_OF_BOTH {
    @Override
    Work spoil(Work work, Random random) {
      return weighed(work, random, 40, 40);
    }
  },
  EMPTY_SHELF {
    @Override
    Work spoil(Work work, Random random) {
      return shelf(work);
    }
  },
  /** Wet, dirty, worn, new or poisoned moulds, with air in their rubber. */
  SPOILT_MOULDS {
    @Override
    Work spoil(Work work, Random random) {
      return new Work(
          work.session(),
          Spoilt.moulds(work.workshop(), work.session().startsAt(), random),
          work.plan());
    }
  },
  /** Other kinds of resin with narrow labels, paint for tint, damp embeds. */
  SPOILT_MATERIALS {
    @Override
    Work spoil(Work work, Random random) {
      Habits habits = work.session().habits();
      Tinting tinting = habits.tinting();
      Tinting.WaterPaint school =
          random.nextBoolean() ? Tinting.WaterPaint.FORBID : Tinting.WaterPaint.WARN;
      Session session =
          work.session()
              .withHabits(
                  habits.withTinting(
                      new Tinting(tinting.liquids(), tinting.dropsPer10Ml(), school)));
      return new Work(session, Spoilt.materials(work.workshop(), random), work.plan());
    }
  };

  abstract Work spoil(Work work, Random random);

  /** From a minute to two days, either way. */
  private static int seconds(Random random) {
    double seconds = 60 * Math.pow(2_880, random.nextDouble());
    return (int) (random.nextBoolean() ? seconds : -seconds);
  }

  private static Work shifted(Work work, Random random, EnumSet<Task.Kind> kinds) {
    List<Task> tasks = new ArrayList<>(work.plan().tasks());
    List<Integer> among = new ArrayList<>();
    for (int t = 0; t < tasks.size(); t++) {
      if (kinds.contains(tasks.get(t).kind())) {
        among.add(t);
      }
    }
    if (among.isEmpty()) {
      return work;
    }
    int which = among.get(random.nextInt(among.size()));
    Task task = tasks.get(which);
    tasks.set(which, task.at(Math.max(0, task.startSeconds() + seconds(random)), false));
    return new Work(work.session(), work.workshop(), with(work.plan(), tasks));
  }

  static Plan with(Plan plan, List<Task> tasks) {
    return rebuilt(plan, plan.batches(), tasks);
  }

  static Plan rebuilt(Plan plan, List<Batch> batches, List<Task> tasks) {
    return plan.withBatches(batches).withTasks(tasks);
  }

  private static Work booked(Work work, Random random, Booking.Thing what, String id) {
    Booking booking = RandomWork.booking(random, work.session(), what, id);
    return new Work(work.session(), work.workshop().withBookings(List.of(booking)), work.plan());
  }

  private static Work tools(Work work, UnaryOperator<Tool> change) {
    Workshop w = work.workshop();
    Workshop changed =
        new Workshop(
            w.moulds(),
            w.resins(),
            w.colourants(),
            w.colours(),
            w.cups(),
            w.parts(),
            w.embeds(),
            w.tools().stream().map(change).toList(),
            w.bookings());
    return new Work(work.session(), changed, work.plan());
  }

  private static Work moulds(Work work) {
    Workshop w = work.workshop();
    Workshop changed =
        new Workshop(
            w.moulds().stream().map(Breakage::oneCopy).toList(),
            w.resins(),
            w.colourants(),
            w.colours(),
            w.cups(),
            w.parts(),
            w.embeds(),
            w.tools(),
            w.bookings());
    return new Work(work.session(), changed, work.plan());
  }

  private static calmpour.core.mould.Mould oneCopy(calmpour.core.mould.Mould mould) {
    return new calmpour.core.mould.Mould(
        mould.id(),
        mould.name(),
        mould.cavities(),
        new calmpour.core.mould.MouldMake(
            null, null, null, null, null, null, null, true, null, null, null, null, 1),
        mould.state());
  }

  private static Work shelf(Work work) {
    Workshop w = work.workshop();
    Workshop changed =
        new Workshop(
            w.moulds(),
            w.resins(),
            w.colourants(),
            w.colours(),
            w.cups(),
            w.parts().stream()
                .map(p ->
                    new calmpour.core.stock.ResinPart(
                        p.id(),
                        p.name(),
                        p.side(),
                        null,
                        null,
                        null,
                        List.of(new calmpour.core.stock.Lot("1", null, 20.0, null, null))))
                .toList(),
            w.embeds().stream()
                .map(e ->
                    new calmpour.core.embed.Embed(
                        e.id(),
                        e.name(),
                        e.massG(),
                        e.volumeMl(),
                        e.density(),
                        e.dry(),
                        e.pointed(),
                        null,
                        1))
                .toList(),
            w.tools(),
            w.bookings());
    return new Work(work.session(), changed, work.plan());
  }

  /** One cup of the plan changed. */
  private static Work cups(Work work, Random random, UnaryOperator<Cup> change) {
    List<Batch> batches = new ArrayList<>(work.plan().batches());
    int b = random.nextInt(batches.size());
    Batch batch = batches.get(b);
    List<Cup> cups = new ArrayList<>(batch.cups());
    int c = random.nextInt(cups.size());
    cups.set(c, change.apply(cups.get(c)));
    batches.set(b, rebatched(batch, batch.measuring().partA(), batch.measuring().partB(), cups));
    Plan plan = rebuilt(work.plan(), batches, work.plan().tasks());
    return new Work(work.session(), work.workshop(), plan);
  }

  private static Work weighed(Work work, Random random, double a, double b) {
    List<Batch> batches = new ArrayList<>(work.plan().batches());
    int which = random.nextInt(batches.size());
    Batch batch = batches.get(which);
    batches.set(
        which,
        rebatched(
            batch,
            times(batch.measuring().partA(), a),
            times(batch.measuring().partB(), b),
            batch.cups()));
    Plan plan = rebuilt(work.plan(), batches, work.plan().tasks());
    return new Work(work.session(), work.workshop(), plan);
  }

  static WeighOut.Amount times(WeighOut.Amount amount, double factor) {
    return new WeighOut.Amount(amount.massG() * factor, amount.volumeMl() * factor);
  }

  static Batch rebatched(Batch b, WeighOut.Amount partA, WeighOut.Amount partB, List<Cup> cups) {
    return b.withMeasuring(b.measuring().withPartA(partA).withPartB(partB)).withCups(cups);
  }

  static Cup withPours(Cup cup, double volume, double mass) {
    List<Cup.Pour> pours =
        cup.pours().stream()
            .map(p ->
                new Cup.Pour(
                    p.id(),
                    p.line(),
                    p.cavity(),
                    p.layer(),
                    p.part(),
                    p.parts(),
                    p.half(),
                    p.volumeMl() * volume,
                    p.massG() * mass,
                    p.toMm(),
                    p.startSeconds(),
                    p.endSeconds()))
            .toList();
    return recupped(cup, cup.tint().doses(), cup.amounts().contentG(), pours);
  }

  static Cup dosed(Cup cup, double times) {
    List<Cup.Dose> doses =
        cup.tint().doses().stream()
            .map(d ->
                new Cup.Dose(
                    d.colourantId(),
                    d.colourantName(),
                    d.massG() * times,
                    d.wantedG(),
                    d.errorPercent(),
                    d.drops(),
                    d.scoops(),
                    d.implement(),
                    d.by(),
                    d.stock()))
            .toList();
    double more = cup.tint().doses().stream().mapToDouble(Cup.Dose::massG).sum() * (times - 1);
    return recupped(cup, doses, cup.amounts().contentG() + more, cup.pours());
  }

  private static Cup recupped(Cup c, List<Cup.Dose> doses, double contentG, List<Cup.Pour> pours) {
    CupAmounts was = c.amounts();
    return c.withAmounts(
            was.withContentG(contentG).withContentMl(was.contentMl() * contentG / was.contentG()))
        .withTint(c.tint().withDoses(doses))
        .withPours(pours);
  }
}
