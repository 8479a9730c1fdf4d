/** Resin systems and weighing out A and B. */
@NullMarked
package calmpour.core.resin;

import org.jspecify.annotations.NullMarked;
