/** Colourants, colours and how much of them a cup takes. */
@NullMarked
package calmpour.core.tint;

import org.jspecify.annotations.NullMarked;
