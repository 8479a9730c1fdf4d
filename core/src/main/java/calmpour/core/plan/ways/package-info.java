/** What could be changed so that a session fits, and what matters to it. */
@NullMarked
package calmpour.core.plan.ways;

import org.jspecify.annotations.NullMarked;
