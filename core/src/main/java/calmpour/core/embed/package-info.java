/** What is put into the resin and stays there. */
@NullMarked
package calmpour.core.embed;

import org.jspecify.annotations.NullMarked;
