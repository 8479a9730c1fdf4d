/** Open formats: reading strictly, and saying what is wrong. */
@NullMarked
package calmpour.app.format;

import org.jspecify.annotations.NullMarked;
