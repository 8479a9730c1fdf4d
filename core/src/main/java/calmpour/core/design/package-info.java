/** What one piece is: its layers, what is put into them, and what is done before and after. */
@NullMarked
package calmpour.core.design;

import org.jspecify.annotations.NullMarked;
