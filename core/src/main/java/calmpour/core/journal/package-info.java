/**
 * What the record of many evenings says: the facts of a piece, what may have gone wrong with it,
 * and how sure a count is.
 */
@NullMarked
package calmpour.core.journal;

import org.jspecify.annotations.NullMarked;
