/** How this workshop works. */
@NullMarked
package calmpour.core.habit;

import org.jspecify.annotations.NullMarked;
