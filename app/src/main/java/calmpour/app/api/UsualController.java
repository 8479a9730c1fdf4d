package calmpour.app.api;

import calmpour.app.store.UsualStore;
import calmpour.core.session.Usual;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** How this workshop works: what a new session begins with. */
@RestController
@RequestMapping("/api/usual")
public class UsualController {
  private final UsualStore store;

  UsualController(UsualStore store) {
    this.store = store;
  }

  /**
   * What is usual, and what it was before anybody changed it.
   *
   * @param revision 0 while nobody has
   */
  public record UsualView(int revision, Usual usual, Usual starting) {
    static UsualView of(UsualStore.Kept kept) {
      return new UsualView(kept.revision(), kept.usual(), Usual.DEFAULT);
    }
  }

  @GetMapping
  UsualView usual() {
    return UsualView.of(store.find());
  }

  /**
   * Changes it for every session from now on.
   *
   * @param revision the one that was seen; refused when somebody has changed it since
   */
  @PutMapping
  UsualView change(@RequestParam int revision, @RequestBody Usual usual) {
    return store
        .update(revision, usual)
        .map(UsualView::of)
        .orElseThrow(SavedElsewhereException::usual);
  }
}
