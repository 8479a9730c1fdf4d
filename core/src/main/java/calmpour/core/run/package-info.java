/** A plan carried out: what happened, and from that what stands and what is still to be done. */
@NullMarked
package calmpour.core.run;

import org.jspecify.annotations.NullMarked;
