/** Memory and threads for what core works out, and the plans that were worked out last. */
@NullMarked
package calmpour.app.work;

import org.jspecify.annotations.NullMarked;
