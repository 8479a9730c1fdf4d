package calmpour.core.plan.doc;

/** What is stirred into a cup, as it is called and shown. */
public record CupColour(String id, String name, String swatch) {}
