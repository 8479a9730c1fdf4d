package calmpour.app.api;

import calmpour.app.store.UsualStore;
import calmpour.app.work.AlwaysLearned;
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
  private final AlwaysLearned always;

  UsualController(UsualStore store, AlwaysLearned always) {
    this.store = store;
    this.always = always;
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
    boolean already = store.find().usual().learned() == Usual.Learned.ALWAYS;
    if (store.update(revision, usual).isEmpty()) {
      throw SavedElsewhereException.usual();
    }
    if (already) {
      // Resins, moulds and cups are not touched by this, and are as learned since the last evening.
      always.takeHands();
    } else {
      // Where it is so from now on, what is known by now is planned with at once.
      always.take();
    }
    return UsualView.of(store.find());
  }
}
