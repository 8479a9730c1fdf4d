/** Reading 3D models: STL, OBJ and 3MF. */
package calmpour.app.format.mesh;
