/** Cups: what they hold, how high it stands and what stays in them. */
@NullMarked
package calmpour.core.cup;

import org.jspecify.annotations.NullMarked;
