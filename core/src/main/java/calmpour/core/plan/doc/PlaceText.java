package calmpour.core.plan.doc;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads addresses; what they look like is said at {@link Place}. */
final class PlaceText {
  private static final Pattern NUMBER = Pattern.compile("[1-9]\\d{0,5}");
  private static final Pattern LAYER = Pattern.compile("([1-9]\\d{0,5})\\.([1-9]\\d{0,5})");

  private PlaceText() {}

  static Optional<Place> read(String text) {
    if (text.equals(Place.Whole.PLAN.toString())) {
      return Optional.of(Place.Whole.PLAN);
    }
    if (text.equals(Place.Whole.RESIN.toString())) {
      return Optional.of(Place.Whole.RESIN);
    }
    int slash = text.indexOf('/');
    if (slash < 0 || slash == text.length() - 1) {
      return Optional.empty();
    }
    String rest = text.substring(slash + 1);
    return switch (text.substring(0, slash)) {
      case "batch" -> number(rest).map(Place.OfBatch::new);
      case "cup" -> CupId.read(rest).map(Place.OfCup::new);
      case "pour" -> PourId.read(rest).map(Place.OfPour::new);
      case "piece" -> number(rest).map(Place.OfLine::new);
      case "layer" -> layer(rest);
      case "task" -> Optional.of(new Place.OfTask(new TaskId(rest)));
      case "colour" -> Optional.of(new Place.OnShelf(Place.Shelf.COLOUR, rest));
      case "colourant" -> Optional.of(new Place.OnShelf(Place.Shelf.COLOURANT, rest));
      case "embed" -> Optional.of(new Place.OnShelf(Place.Shelf.EMBED, rest));
      case "part" -> Optional.of(new Place.OnShelf(Place.Shelf.PART, rest));
      default -> Optional.empty();
    };
  }

  private static Optional<Integer> number(String text) {
    return NUMBER.matcher(text).matches() ? Optional.of(Integer.valueOf(text)) : Optional.empty();
  }

  private static Optional<Place> layer(String text) {
    Matcher at = LAYER.matcher(text);
    return at.matches()
        ? Optional.of(
            new Place.OfLayer(Integer.parseInt(at.group(1)), Integer.parseInt(at.group(2))))
        : Optional.empty();
  }
}
