/** What is read at the bench: the card, tallies, rows and bookings. */
@NullMarked
package calmpour.core.plan.bench;

import org.jspecify.annotations.NullMarked;
