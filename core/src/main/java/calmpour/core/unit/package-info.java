/** Units for display. */
@NullMarked
package calmpour.core.unit;

import org.jspecify.annotations.NullMarked;
