/** What is wrong with an input, as data. */
@NullMarked
package calmpour.core.check;

import org.jspecify.annotations.NullMarked;
