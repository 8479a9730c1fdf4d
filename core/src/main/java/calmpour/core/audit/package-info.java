/**
 * Judges any plan, ours or made by hand: each rule once, small, on its own. A rule sees the amounts
 * and the times, and what follows from them; it knows nothing of how the plan was made.
 */
@NullMarked
package calmpour.core.audit;

import org.jspecify.annotations.NullMarked;
