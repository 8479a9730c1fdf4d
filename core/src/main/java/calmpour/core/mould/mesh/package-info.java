/** Closed surfaces of triangles: what they hold, and whether they can be trusted. */
@NullMarked
package calmpour.core.mould.mesh;

import org.jspecify.annotations.NullMarked;
