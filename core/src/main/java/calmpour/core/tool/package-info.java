/** Things of the workshop that several pieces share: they have to be booked. */
@NullMarked
package calmpour.core.tool;

import org.jspecify.annotations.NullMarked;
