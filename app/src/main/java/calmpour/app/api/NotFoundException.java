package calmpour.app.api;

/** What was asked for is not here (any more). */
final class NotFoundException extends RuntimeException {
  private static final long serialVersionUID = 1L;

  NotFoundException(String detail) {
    super(detail);
  }
}
