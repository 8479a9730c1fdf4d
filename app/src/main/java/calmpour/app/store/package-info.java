/** What is kept: shelves and sessions, in H2 through jOOQ. */
@NullMarked
package calmpour.app.store;

import org.jspecify.annotations.NullMarked;
