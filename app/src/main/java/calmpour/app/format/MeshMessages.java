package calmpour.app.format;

import calmpour.app.format.mesh.MeshFiles;
import calmpour.core.mould.mesh.MeshBuilder;
import calmpour.core.mould.mesh.MeshProblem;
import java.util.Locale;

/** What is said about a 3D model that cannot be used, and what would help. */
public final class MeshMessages {
  private MeshMessages() {}

  public static FieldError of(MeshProblem problem) {
    long where = problem.where();
    String text =
        switch (problem.reason()) {
          case NOT_READABLE ->
              "This is no STL, OBJ or 3MF file that can be read"
                  + (where > 1 ? "; line or triangle " + where + " is the first odd one." : ".")
                  + " Save it again from the drawing program.";
          case CUT_SHORT ->
              "This file ends too early, after "
                  + where
                  + " triangles or lines. Was it copied to its end? Save it again.";
          case NOT_A_NUMBER ->
              "Near triangle or line "
                  + where
                  + " there is a place that is no number. Save the model again from the drawing"
                  + " program.";
          case TOO_LARGE ->
              "This model is too large: at most "
                  + String.format(Locale.UK, "%,d", MeshBuilder.MOST_TRIANGLES)
                  + " triangles and "
                  + MeshFiles.LARGEST_BYTES / 1_000_000
                  + " MB. A tenth of the triangles gives the same volume; let the drawing program"
                  + " reduce them, or save as binary STL.";
          case EMPTY -> "There is nothing in this file.";
          case LEAKY ->
              "The surface is not closed: "
                  + where
                  + " edges are open, so nobody can say what is inside. Close the holes in the"
                  + " drawing program (often called make solid or close holes).";
          case TANGLED ->
              "At "
                  + where
                  + " edges several surfaces meet as no solid does. Join the parts into one solid"
                  + " in the drawing program.";
          case REPEATED ->
              where
                  + " triangles are in this file twice, so its volume would be counted twice. Remove"
                  + " doubled faces in the drawing program.";
          case OVERLAPPING ->
              "Parts of this model run through each other, so the room they share would be counted"
                  + " twice. Join them into one solid in the drawing program.";
          case NESTED ->
              "A part lies inside another and faces the same way, so its room would be counted twice."
                  + " If it is a hollow, turn its faces inwards; if not, remove it.";
          case MORE_THAN_ITS_BOX ->
              "This model holds more than the box it lies in, so some of its room is counted twice."
                  + " Join its parts into one solid in the drawing program.";
          case FLAT -> "This is a flat sheet; it encloses nothing.";
          case HOSTILE ->
              "This 3MF file refers to things outside of itself or unpacks beyond measure, so it"
                  + " was not opened further. Save it again as plain 3MF or STL.";
        };
    return FieldError.of(
        "file", "mesh_" + problem.reason().name().toLowerCase(Locale.ROOT), text, null);
  }
}
