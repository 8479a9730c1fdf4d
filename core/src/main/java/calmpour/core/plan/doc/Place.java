package calmpour.core.plan.doc;

import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;

/** What a finding is about. Everything counts from 1; JSON keeps the text. */
public sealed interface Place {
  /** What has no number: the plan as a whole, and the resin of the session. */
  enum Whole implements Place {
    PLAN,
    RESIN;

    @Override
    public String toString() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  /** {@code batch/1}. */
  record OfBatch(int number) implements Place {
    @Override
    public String toString() {
      return "batch/" + number;
    }
  }

  /** {@code cup/1.2}. */
  record OfCup(CupId id) implements Place {
    @Override
    public String toString() {
      return "cup/" + id;
    }
  }

  /** {@code pour/1.3.2}. */
  record OfPour(PourId id) implements Place {
    @Override
    public String toString() {
      return "pour/" + id;
    }
  }

  /** A line of pieces, {@code piece/1}. */
  record OfLine(int line) implements Place {
    @Override
    public String toString() {
      return "piece/" + line;
    }
  }

  /** A layer of a line of pieces, {@code layer/1.2}; the top coat is the last. */
  record OfLayer(int line, int layer) implements Place {
    @Override
    public String toString() {
      return "layer/" + line + "." + layer;
    }
  }

  /** A task that is no pour, {@code task/batch/1/STIR}. */
  record OfTask(TaskId id) implements Place {
    @Override
    public String toString() {
      return "task/" + id;
    }
  }

  /** Something on the shelf: {@code colour/ID}, {@code embed/ID}. */
  record OnShelf(Shelf shelf, String id) implements Place {
    @Override
    public String toString() {
      return shelf.text + id;
    }
  }

  /** What lies on the shelf. */
  enum Shelf {
    COLOUR("colour/"),
    COLOURANT("colourant/"),
    EMBED("embed/"),
    /** A part of the resin, A or B. */
    PART("part/");

    private final String text;

    Shelf(String text) {
      this.text = text;
    }
  }

  /** A batch. */
  static Place of(Batch batch) {
    return new OfBatch(batch.number());
  }

  /** A cup. */
  static Place of(Cup cup) {
    return new OfCup(cup.id());
  }

  /** A pour. */
  static Place of(Cup.Pour pour) {
    return new OfPour(pour.id());
  }

  /** A layer of a line. */
  static Place of(LineLayer at) {
    return new OfLayer(at.line() + 1, at.layer() + 1);
  }

  /** A line, by its index from 0. */
  static Place line(int index) {
    return new OfLine(index + 1);
  }

  /** Where a task is told of: pours by their own address. */
  static Place of(Task task) {
    PourId pour = task.pourId();
    return pour == null ? new OfTask(task.id()) : new OfPour(pour);
  }

  /** The index, from 0, of the line of pieces that it lies in; empty where in none or many. */
  default OptionalInt lineIndex() {
    return switch (this) {
      case OfPour(PourId id) -> OptionalInt.of(id.line() - 1);
      case OfLine(int line) -> OptionalInt.of(line - 1);
      case OfLayer(int line, int layer) -> OptionalInt.of(line - 1);
      default -> OptionalInt.empty();
    };
  }

  /** Reads what {@code toString} wrote; empty for what is no address. */
  static Optional<Place> read(String text) {
    return PlaceText.read(text);
  }
}
