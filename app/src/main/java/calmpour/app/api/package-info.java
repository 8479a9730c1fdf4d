/** HTTP in, JSON out. */
@NullMarked
package calmpour.app.api;

import org.jspecify.annotations.NullMarked;
