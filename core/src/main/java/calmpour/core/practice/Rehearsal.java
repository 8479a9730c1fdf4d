package calmpour.core.practice;

import calmpour.core.check.InvalidValuesException;
import calmpour.core.run.Run;
import calmpour.core.run.RunReader;
import java.util.ArrayList;
import java.util.List;

/**
 * A session carried out by simulated hands: as quick, in such a room and with such a label as its
 * seed says, with its mishaps and what the maker does about them. The hands follow the bench: what
 * it tells from what it knows is what they do next. How the pieces came out is judged by what was
 * really so.
 */
public final class Rehearsal {
  private final Exercise exercise;
  private final Run run;
  private final RunReader runs;
  private final Drawn drawn;

  /**
   * @param run the exercise's session, planned and begun
   */
  public Rehearsal(Exercise exercise, Run run, RunReader runs) {
    this(exercise, run, runs, new Drawn(exercise.seed(), run));
  }

  /**
   * @param drawn what is really so
   */
  Rehearsal(Exercise exercise, Run run, RunReader runs, Drawn drawn) {
    this.exercise = exercise;
    this.run = run;
    this.runs = runs;
    this.drawn = drawn;
  }

  /**
   * @param choices what was done about the mishaps so far, in order
   * @throws InvalidValuesException when a choice is none of those that its mishap has
   */
  public Rehearsed play(List<Mishap.Choice> choices) {
    return new PlayedEvening(exercise, run, drawn, runs, choices).play();
  }

  Drawn drawn() {
    return drawn;
  }

  /** The most points that any choices come to. */
  public int best() {
    return best(List.of());
  }

  private int best(List<Mishap.Choice> soFar) {
    Rehearsed played = play(soFar);
    Rehearsed.Score score = played.score();
    if (score != null) {
      return score.points();
    }
    int best = 0;
    Rehearsed.Question question = played.question();
    for (Mishap.Choice choice : question == null ? List.<Mishap.Choice>of() : question.choices()) {
      List<Mishap.Choice> next = new ArrayList<>(soFar);
      next.add(choice);
      best = Math.max(best, best(next));
    }
    return best;
  }
}
