package calmpour.app.api;

/** Somebody, perhaps another tab, has saved the session since it was opened here. */
final class SavedElsewhereException extends RuntimeException {
  private static final long serialVersionUID = 1L;

  SavedElsewhereException(int kept, int seen) {
    super("revision " + kept + " is kept, revision " + seen + " was opened here");
  }
}
