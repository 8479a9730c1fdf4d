package calmpour.core.run;

/**
 * The whole of a run: what went in is what came out and what is left.
 *
 * @param resinG A + B weighed out
 * @param colourG colourants stirred in
 * @param pouredG into moulds
 * @param leftG in cups
 * @param staysG in mixing cups
 * @param lostG spilled, or tipped out again
 */
public record Masses(
    double resinG, double colourG, double pouredG, double leftG, double staysG, double lostG) {}
