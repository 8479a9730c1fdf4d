/** Which batches and which day: tried out until nothing better is found. */
@NullMarked
package calmpour.core.plan.search;

import org.jspecify.annotations.NullMarked;
