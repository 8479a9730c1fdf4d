/** Reading 3D models: STL, OBJ and 3MF. */
@NullMarked
package calmpour.app.format.mesh;

import org.jspecify.annotations.NullMarked;
