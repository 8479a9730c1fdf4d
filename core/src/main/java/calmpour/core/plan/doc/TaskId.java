package calmpour.core.plan.doc;

import java.util.Optional;

/**
 * What a task is called: the same as long as the pieces are, so that it can be pinned. The one
 * place where such names are put together and read.
 *
 * @param text what it is done to, then what is done: {@code batch/1/STIR}, {@code cup/1.2/TINT},
 *     {@code line/1/READY}; a pour is called {@code pour/1.3.2} alone
 */
public record TaskId(String text) {
  private static final String POUR = "pour/";

  /** What is done once, for the whole session. */
  public static TaskId session(Task.Kind kind) {
    return new TaskId("session/" + kind);
  }

  /** What is done with a whole batch. */
  public static TaskId batch(int number, Task.Kind kind) {
    return new TaskId("batch/" + number + "/" + kind);
  }

  /** What is done with one cup. */
  public static TaskId cup(CupId cup, Task.Kind kind) {
    return new TaskId("cup/" + cup + "/" + kind);
  }

  /** A pour. */
  public static TaskId pour(PourId pour) {
    return new TaskId(POUR + pour);
  }

  /** The pour of that name. */
  static TaskId pourOf(String name) {
    return new TaskId(POUR + name);
  }

  /** What is done for a line of pieces, from 1. */
  public static TaskId line(int line, Task.Kind kind) {
    return new TaskId("line/" + line + "/" + kind);
  }

  /** What is done for one group of a line's pieces, both from 1; the first has the line's name. */
  public static TaskId group(int line, int group, Task.Kind kind) {
    return group == 1 ? line(line, kind) : new TaskId("line/" + line + "." + group + "/" + kind);
  }

  /** The same thing done to a part of what it is done to. */
  public TaskId of(Object part) {
    return new TaskId(text + "/" + part);
  }

  /** Which pour it is; empty for every other task. */
  public Optional<PourId> pour() {
    return text.startsWith(POUR) ? PourId.read(text.substring(POUR.length())) : Optional.empty();
  }

  @Override
  public String toString() {
    return text;
  }
}
