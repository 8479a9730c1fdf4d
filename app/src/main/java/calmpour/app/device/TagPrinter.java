package calmpour.app.device;

/** The printer for tags on the bench. */
public interface TagPrinter {
  /**
   * Prints pages as they are.
   *
   * @param name what they are for, in the maker's words
   * @param pdf one page a tag
   * @return where they lie, or what the printer calls them
   */
  String print(String name, byte[] pdf);
}
