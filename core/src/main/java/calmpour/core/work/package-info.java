/** What a calculation may lean on; who runs it says how much memory and how many threads. */
@NullMarked
package calmpour.core.work;

import org.jspecify.annotations.NullMarked;
