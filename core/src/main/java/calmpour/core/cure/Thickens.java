package calmpour.core.cure;

/**
 * The two moments of a cup that planning asks for most, in minutes from the first contact of A and
 * B: when it can no longer be poured, and when it gels.
 */
public record Thickens(double workingMinutes, double gelMinutes) {}
