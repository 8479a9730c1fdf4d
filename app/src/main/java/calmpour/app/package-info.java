/** The server: what a browser asks for, what is kept, files in and out, and the bench's devices. */
@NullMarked
package calmpour.app;

import org.jspecify.annotations.NullMarked;
