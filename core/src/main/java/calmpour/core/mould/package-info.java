/** What a mould holds. */
@NullMarked
package calmpour.core.mould;

import org.jspecify.annotations.NullMarked;
