/** How long resin stays pourable. */
@NullMarked
package calmpour.core.cure;

import org.jspecify.annotations.NullMarked;
