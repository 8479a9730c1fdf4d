package calmpour.app.store;

import calmpour.app.format.DrawnPiece;
import calmpour.core.session.Workshop;
import calmpour.core.tint.Chip;
import calmpour.core.tint.Colour;
import calmpour.core.tint.Colourant;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** The demo's swatch book: a chip of each colour, and what months in the light did to it. */
@Component
class DemoSwatches {
  private static final int FIRST_MONTHS_AGO = 8;
  private static final double THICK_MM = 3;

  private final SwatchBook book;
  private final Clock clock;

  DemoSwatches(SwatchBook book, Clock clock) {
    this.book = book;
    this.clock = clock;
  }

  void make(Workshop workshop) {
    LocalDate today = LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC);
    int monthsAgo = FIRST_MONTHS_AGO;
    for (Colour colour : workshop.colours()) {
      if (colour.clear() || monthsAgo <= 0) {
        continue;
      }
      LocalDate made = today.minusMonths(monthsAgo).minusDays(3);
      Map<String, Colourant> its =
          workshop.colourants().stream()
              .collect(Collectors.toMap(Colourant::id, c -> c, (first, again) -> first));
      List<Chip.ChipDose> doses =
          Chip.doses(
              colour, 1, id -> Optional.ofNullable(its.get(id)).map(Colourant::name).orElse(id));
      boolean fades =
          colour.recipe().stream()
              .map(p -> its.get(p.colourantId()))
              .anyMatch(c ->
                  c != null && c.shelf() != null && Boolean.FALSE.equals(c.shelf().lightFast()));
      List<Chip.ChipLook> looks = new ArrayList<>();
      // The latest look of each is still to be taken.
      for (int after : new int[] {1, 3}) {
        if (after < monthsAgo - 2) {
          Chip.Faded was =
              !fades ? Chip.Faded.SAME : after < 3 ? Chip.Faded.A_LITTLE : Chip.Faded.CLEARLY;
          looks.add(new Chip.ChipLook(made.plusMonths(after), was, null));
        }
      }
      String id = "demo-" + colour.id();
      book.keep(new Chip(id, colour.id(), colour.name(), doses, THICK_MM, made, null, looks, null));
      book.picture(id, DrawnPiece.chip(colour.swatch(), monthsAgo));
      monthsAgo -= 2;
    }
  }
}
