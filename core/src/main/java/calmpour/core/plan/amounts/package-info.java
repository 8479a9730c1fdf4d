/** How much: limits, cups, splitting and the masses of a batch. */
@NullMarked
package calmpour.core.plan.amounts;

import org.jspecify.annotations.NullMarked;
