/** When: tasks, their order, and how the bodies of resin follow. */
@NullMarked
package calmpour.core.plan.time;

import org.jspecify.annotations.NullMarked;
