package calmpour.core.plan.doc;

/** How the tasks of a plan are called; the one place where such names are put together. */
public final class TaskIds {
  private TaskIds() {}

  /** What is done with a whole batch. */
  public static String batch(int number, Task.Kind kind) {
    return "batch/" + number + "/" + kind;
  }

  /** What is done with one cup. */
  public static String cup(String cupId, Task.Kind kind) {
    return "cup/" + cupId + "/" + kind;
  }

  /** A pour. */
  public static String pour(String pourId) {
    return "pour/" + pourId;
  }

  /** What is done for a line of pieces, counted from 0 here and from 1 in the id. */
  public static String line(int line, Task.Kind kind) {
    return "line/" + (line + 1) + "/" + kind;
  }
}
