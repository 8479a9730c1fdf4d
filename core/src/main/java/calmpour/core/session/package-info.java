/** What is to be made, and the shelves it is made from. */
@NullMarked
package calmpour.core.session;

import org.jspecify.annotations.NullMarked;
