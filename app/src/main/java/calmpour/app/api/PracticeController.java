package calmpour.app.api;

import calmpour.app.store.ShelfStore;
import calmpour.core.check.Check;
import calmpour.core.check.InvalidValuesException;
import calmpour.core.check.Problem;
import calmpour.core.cure.EngineModel;
import calmpour.core.practice.Comparison;
import calmpour.core.practice.SetUp;
import calmpour.core.practice.Tried;
import calmpour.core.practice.WhatIf;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Tries things out before anything is opened; keeps nothing. */
@RestController
@RequestMapping("/api/practice")
public class PracticeController {
  private final EngineModel model;
  private final ShelfStore shelf;

  PracticeController(EngineModel model, ShelfStore shelf) {
    this.model = model;
    this.shelf = shelf;
  }

  /** Two set-ups to be seen side by side. */
  public record WhatIfRequest(SetUp first, SetUp second) {
    public WhatIfRequest {
      new Check().present("first", first).present("second", second).orThrow();
    }
  }

  @PostMapping("/what-if")
  Comparison whatIf(@RequestBody WhatIfRequest request) {
    WhatIf whatIf = new WhatIf(model, shelf.workshop());
    List<Problem> problems = new ArrayList<>();
    Tried first = tried(whatIf, request.first(), "first", problems);
    Tried second = tried(whatIf, request.second(), "second", problems);
    if (first == null || second == null) {
      throw new InvalidValuesException(problems);
    }
    return Comparison.of(first, second);
  }

  /** What is wrong with either is told at its own fields. */
  private static @Nullable Tried tried(
      WhatIf whatIf, SetUp setUp, String at, List<Problem> problems) {
    try {
      return whatIf.of(setUp);
    } catch (InvalidValuesException wrong) {
      wrong.problems().forEach(p -> problems.add(p.under(at)));
      return null;
    }
  }
}
