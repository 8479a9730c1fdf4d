/** Things on the bench that measure, each behind an interface, and stand-ins for all of them. */
@NullMarked
package calmpour.app.device;

import org.jspecify.annotations.NullMarked;
