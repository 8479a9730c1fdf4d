package calmpour.core.cure;

import calmpour.core.derive.Known;

/**
 * Conversions, 0 to 1, at which a label's later times are due; assumed where it says none.
 *
 * @param bond up to which a next layer bonds by itself
 * @param demould from which a piece comes out of its mould
 * @param fullCure from which it is as hard as the label means
 */
public record Targets(Known bond, Known demould, Known fullCure) {}
