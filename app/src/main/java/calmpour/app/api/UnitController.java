package calmpour.app.api;

import calmpour.core.unit.DisplayUnit;
import java.util.Arrays;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** Display units, so that the screen converts with the same factors as everything else. */
@RestController
public class UnitController {
  /** One reading r of the unit is {@code (r - zeroAt) * scale} in g, mL, mm or °C. */
  public record UnitLine(
      DisplayUnit unit, DisplayUnit.Quantity quantity, double scale, double zeroAt) {}

  @GetMapping("/api/units")
  List<UnitLine> units() {
    return Arrays.stream(DisplayUnit.values())
        .map(u -> new UnitLine(u, u.quantity(), u.scale(), u.zeroAt()))
        .toList();
  }
}
