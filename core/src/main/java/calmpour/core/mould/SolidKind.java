package calmpour.core.mould;

import java.util.List;

/** Shapes that a cavity, or a part of one, can be reckoned from. */
public enum SolidKind {
  BOX,
  CYLINDER,
  CONE_FRUSTUM,
  PYRAMID_FRUSTUM,
  HEMISPHERE,
  SPHERICAL_CAP,
  REGULAR_PRISM,
  HALF_CYLINDER,
  TORUS_RING;

  /** A size that a maker measures, at the rim unless it says floor. */
  public enum Size {
    LENGTH("lengthMm"),
    WIDTH("widthMm"),
    DEPTH("depthMm"),
    FLOOR_LENGTH("floorLengthMm"),
    FLOOR_WIDTH("floorWidthMm"),
    TUBE("tubeMm"),
    SIDES("sides");

    private final String field;

    Size(String field) {
      this.field = field;
    }

    /** Name of the component of {@link Solid} that holds it. */
    public String field() {
      return field;
    }
  }

  /** The sizes that this shape needs. */
  public List<Size> sizes() {
    return switch (this) {
      case BOX -> List.of(Size.LENGTH, Size.WIDTH, Size.DEPTH);
      case CYLINDER, SPHERICAL_CAP -> List.of(Size.WIDTH, Size.DEPTH);
      case CONE_FRUSTUM -> List.of(Size.WIDTH, Size.FLOOR_WIDTH, Size.DEPTH);
      case PYRAMID_FRUSTUM ->
          List.of(Size.LENGTH, Size.WIDTH, Size.FLOOR_LENGTH, Size.FLOOR_WIDTH, Size.DEPTH);
      case HEMISPHERE -> List.of(Size.WIDTH);
      case REGULAR_PRISM -> List.of(Size.SIDES, Size.LENGTH, Size.DEPTH);
      case HALF_CYLINDER -> List.of(Size.LENGTH, Size.WIDTH);
      case TORUS_RING -> List.of(Size.WIDTH, Size.TUBE, Size.DEPTH);
    };
  }

  /** Whether a wall draft can be given; the other shapes have their slope in their sizes. */
  public boolean drafted() {
    return this == BOX || this == CYLINDER || this == REGULAR_PRISM;
  }
}
