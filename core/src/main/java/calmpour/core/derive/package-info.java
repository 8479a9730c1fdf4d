/** How a number came about. */
@NullMarked
package calmpour.core.derive;

import org.jspecify.annotations.NullMarked;
