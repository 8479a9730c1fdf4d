package calmpour.core.mould;

import static calmpour.core.check.Known.known;

import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import org.jspecify.annotations.Nullable;

/**
 * A cavity, or one part of a stacked one, as a shape with sizes in mm. Which sizes are needed is
 * told by {@link SolidKind#sizes()}; the others stay null.
 *
 * @param lengthMm longer side at the rim; one side of a regular prism; length of a half-cylinder
 * @param widthMm shorter side or diameter at the rim; outer diameter of a ring
 * @param depthMm floor to rim
 * @param floorLengthMm longer side at the floor
 * @param floorWidthMm shorter side or diameter at the floor; 0 for a point
 * @param tubeMm diameter of a ring's own round section
 * @param sides of a regular prism
 * @param draftDegrees how far the walls lean outwards from the upright
 */
public record Solid(
    SolidKind kind,
    @Nullable Double lengthMm,
    @Nullable Double widthMm,
    @Nullable Double depthMm,
    @Nullable Double floorLengthMm,
    @Nullable Double floorWidthMm,
    @Nullable Double tubeMm,
    @Nullable Integer sides,
    @Nullable Double draftDegrees) {
  public static final Range LENGTH_MM = new Range(0.5, 2_000);
  public static final Range WIDTH_MM = new Range(0.5, 2_000);
  public static final Range DEPTH_MM = new Range(0.2, 500);
  public static final Range FLOOR_LENGTH_MM = new Range(0, 2_000);
  public static final Range FLOOR_WIDTH_MM = new Range(0, 2_000);
  public static final Range TUBE_MM = new Range(0.5, 1_000);
  public static final Range SIDES = new Range(3, 24);
  public static final Range DRAFT_DEGREES = new Range(0, 60);

  public Solid {
    Check check = new Check().present("kind", kind);
    if (kind != null) {
      for (SolidKind.Size size : kind.sizes()) {
        check.present(
            size.field(),
            switch (size) {
              case LENGTH -> lengthMm;
              case WIDTH -> widthMm;
              case DEPTH -> depthMm;
              case FLOOR_LENGTH -> floorLengthMm;
              case FLOOR_WIDTH -> floorWidthMm;
              case TUBE -> tubeMm;
              case SIDES -> sides;
            });
      }
    }
    check
        .within("lengthMm", lengthMm, LENGTH_MM)
        .within("widthMm", widthMm, WIDTH_MM)
        .within("depthMm", depthMm, DEPTH_MM)
        .within("floorLengthMm", floorLengthMm, FLOOR_LENGTH_MM)
        .within("floorWidthMm", floorWidthMm, FLOOR_WIDTH_MM)
        .within("tubeMm", tubeMm, TUBE_MM)
        .within("sides", sides, SIDES)
        .within("draftDegrees", draftDegrees, DRAFT_DEGREES)
        .orThrow();
    if (kind == SolidKind.TORUS_RING) {
      double tube = known(tubeMm);
      double half = known(widthMm) / 2;
      double deep = known(depthMm);
      check
          .that(
              tube <= half,
              Problem.outside("tubeMm", Problem.Code.OUT_OF_RANGE, tube, new Range(0.5, half)))
          .that(
              deep <= tube,
              Problem.outside("depthMm", Problem.Code.OUT_OF_RANGE, deep, new Range(0.2, tube)));
    }
    if (kind.drafted() && draftDegrees != null) {
      double shorter =
          switch (kind) {
            case BOX -> Math.min(known(lengthMm), known(widthMm));
            case REGULAR_PRISM -> known(lengthMm) / Math.tan(Math.PI / known(sides));
            default -> known(widthMm);
          };
      double lost = 2 * known(depthMm) * Math.tan(Math.toRadians(draftDegrees));
      check.that(
          lost <= shorter,
          Problem.of("draftDegrees", Problem.Code.DRAFT_TOO_STEEP, Double.toString(draftDegrees)));
    }
    check.orThrow();
  }

  /** Floor to rim, mm. */
  public double heightMm() {
    return switch (kind) {
      case HEMISPHERE, HALF_CYLINDER -> known(widthMm) / 2;
      default -> known(depthMm);
    };
  }

  /** The same solid with one size changed, for judging how much a size matters. */
  Solid with(SolidKind.Size size, double mm) {
    return new Solid(
        kind,
        size == SolidKind.Size.LENGTH ? Double.valueOf(mm) : lengthMm,
        size == SolidKind.Size.WIDTH ? Double.valueOf(mm) : widthMm,
        size == SolidKind.Size.DEPTH ? Double.valueOf(mm) : depthMm,
        size == SolidKind.Size.FLOOR_LENGTH ? Double.valueOf(mm) : floorLengthMm,
        size == SolidKind.Size.FLOOR_WIDTH ? Double.valueOf(mm) : floorWidthMm,
        size == SolidKind.Size.TUBE ? Double.valueOf(mm) : tubeMm,
        sides,
        draftDegrees);
  }

  /** How it is cut by level planes. */
  Slice slice() {
    double h = heightMm();
    double lean = draftDegrees == null ? 0 : 2 * Math.tan(Math.toRadians(draftDegrees));
    return switch (kind) {
      case BOX ->
          new Slice.Sloping(h, 1, length() - h * lean, length(), width() - h * lean, width(), 1);
      case CYLINDER -> round(h, width() - h * lean, width());
      case CONE_FRUSTUM -> round(h, floorWidth(), width());
      case PYRAMID_FRUSTUM ->
          new Slice.Sloping(h, 1, floorLength(), length(), floorWidth(), width(), 1);
      case HEMISPHERE -> new Slice.Cap(h, h);
      // The sphere through the rim: R = (a² + h²) / 2h.
      case SPHERICAL_CAP -> new Slice.Cap((width() * width() / 4 + h * h) / (2 * h), h);
      case REGULAR_PRISM -> prism(h, lean);
      case HALF_CYLINDER -> new Slice.Trough(width() / 2, length());
      case TORUS_RING -> new Slice.Ring((width() - tube()) / 2, tube() / 2, h);
    };
  }

  private static Slice round(double h, double floor, double rim) {
    return new Slice.Sloping(h, Math.PI / 4, floor, rim, floor, rim, 1);
  }

  private Slice prism(double h, double lean) {
    double angle = Math.PI / corners();
    double floor = Math.max(0, length() - h * lean * Math.tan(angle));
    double across = corners() % 2 == 0 ? 1 / Math.sin(angle) : 1 / (2 * Math.sin(angle / 2));
    double area = corners() / (4 * Math.tan(angle));
    return new Slice.Sloping(h, area, floor, length(), floor, length(), across);
  }

  private double length() {
    return known(lengthMm);
  }

  private double width() {
    return known(widthMm);
  }

  private double floorLength() {
    return known(floorLengthMm);
  }

  private double floorWidth() {
    return known(floorWidthMm);
  }

  private double tube() {
    return known(tubeMm);
  }

  private int corners() {
    return known(sides);
  }
}
