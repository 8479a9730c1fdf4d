package calmpour.app.store;

import calmpour.core.mould.Section;
import calmpour.core.plan.doc.Plan;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What the picture of a session in a list is drawn from.
 *
 * @param resin by name
 * @param resinId null where it was kept before that was noted
 * @param moulds a line of pieces each
 */
public record Board(String resin, @Nullable String resinId, List<MouldOnIt> moulds) {
  /** So many levels of a section tell its outline at the size of a thumb. */
  private static final int ROWS = 16;

  /** More would not be told apart. */
  private static final int MOULDS = 12;

  public Board {
    moulds = List.copyOf(moulds);
  }

  /** One line of pieces in section. */
  public record MouldOnIt(
      String name,
      int count,
      double widthMm,
      double depthMm,
      List<Section.SectionRow> section,
      List<Band> layers) {
    public MouldOnIt {
      section = List.copyOf(section);
      layers = List.copyOf(layers);
    }
  }

  /** One layer of it; with the colour's name, so that it can be looked for. */
  public record Band(double fromMm, double toMm, String swatch, String colour) {}

  static Board of(Plan plan, String resin, String resinId) {
    return new Board(
        resin,
        resinId,
        plan.pieces().stream()
            .limit(MOULDS)
            .map(p ->
                new MouldOnIt(
                    p.mouldName(),
                    p.count(),
                    p.widthMm(),
                    p.depthMm(),
                    thinned(p.section()),
                    p.layers().stream()
                        .map(l -> new Band(l.fromMm(), l.toMm(), l.swatch(), l.colourName()))
                        .toList()))
            .toList());
  }

  private static List<Section.SectionRow> thinned(List<Section.SectionRow> rows) {
    int step = Math.max(1, rows.size() / ROWS);
    return java.util.stream.IntStream.range(0, rows.size())
        .filter(i -> i % step == 0 || i == rows.size() - 1)
        .mapToObj(rows::get)
        .toList();
  }
}
