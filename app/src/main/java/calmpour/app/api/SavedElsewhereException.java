package calmpour.app.api;

/** Somebody, perhaps another window, has saved the same since it was opened here. */
final class SavedElsewhereException extends RuntimeException {
  private static final long serialVersionUID = 1L;

  private final String told;

  private SavedElsewhereException(String told) {
    super(told);
    this.told = told;
  }

  /** In the maker's words. */
  String told() {
    return told;
  }

  static SavedElsewhereException session() {
    return new SavedElsewhereException(
        "Another window has saved this. Open it again, or save a session under another name.");
  }

  static SavedElsewhereException usual() {
    return new SavedElsewhereException("Another window has changed how you work.");
  }
}
