package calmpour.app.store;

/** Something that is kept cannot be read by this program; it stays as it is kept. */
public final class UnreadableDocumentException extends RuntimeException {
  UnreadableDocumentException(Formats.Document kind, Throwable cause) {
    super("a kept " + kind + " cannot be read: " + cause.getMessage(), cause);
  }
}
