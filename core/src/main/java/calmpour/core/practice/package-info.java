/** Trying things out before anything is opened. */
@NullMarked
package calmpour.core.practice;

import org.jspecify.annotations.NullMarked;
