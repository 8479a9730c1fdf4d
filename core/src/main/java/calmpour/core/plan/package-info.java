/** How a session is carried out: Planner proposes, Audit judges. */
@NullMarked
package calmpour.core.plan;

import org.jspecify.annotations.NullMarked;
