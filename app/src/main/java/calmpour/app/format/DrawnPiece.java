package calmpour.app.format;

import calmpour.core.mould.Section;
import calmpour.core.plan.doc.Plan;
import calmpour.core.run.LookOver.Fault;
import java.awt.AlphaComposite;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.GradientPaint;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.SplittableRandom;
import java.util.function.Consumer;
import java.util.random.RandomGenerator;
import javax.imageio.ImageIO;

/** A picture of a made-up piece, drawn by the program: its shape, its layers, and what is wrong. */
public final class DrawnPiece {
  private static final int WIDE = 480;
  private static final int HIGH = 360;
  private static final int MARGIN = 50;
  private static final double SAME_MM = 1e-6;
  private static final int THREADS = 260;
  private static final int GLOSSY = 90;
  private static final int MATTE = 15;
  private static final Color CLOTH = new Color(0xd9d2c4);

  private final RandomGenerator chance;
  private final Graphics2D pen;

  private DrawnPiece(RandomGenerator chance, Graphics2D pen) {
    this.chance = chance;
    this.pen = pen;
  }

  /**
   * A JPEG of it.
   *
   * @param seed the same always looks the same
   */
  public static byte[] jpeg(Plan.PieceView piece, List<Fault> faults, long seed) {
    return drawn(seed, d -> d.draw(new Shape(piece), piece, faults));
  }

  /**
   * A flat chip of a colour, for the swatch book.
   *
   * @param swatch {@code #rrggbb}
   */
  public static byte[] chip(String swatch, long seed) {
    return drawn(
        seed,
        d -> {
          d.cloth();
          Rectangle2D chip = new Rectangle2D.Double(WIDE * 0.2, HIGH * 0.2, WIDE * 0.6, HIGH * 0.6);
          d.pen.setClip(chip);
          d.pen.setColor(Color.decode(swatch));
          d.pen.fill(chip);
          d.gloss(GLOSSY);
          d.pen.setClip(null);
          d.edge(chip);
        });
  }

  private static byte[] drawn(long seed, Consumer<DrawnPiece> how) {
    BufferedImage image = new BufferedImage(WIDE, HIGH, BufferedImage.TYPE_INT_RGB);
    Graphics2D pen = image.createGraphics();
    pen.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    how.accept(new DrawnPiece(new SplittableRandom(seed), pen));
    pen.dispose();
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try {
      ImageIO.write(image, "jpeg", out);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toByteArray();
  }

  private void cloth() {
    pen.setColor(CLOTH);
    pen.fillRect(0, 0, WIDE, HIGH);
    for (int i = 0; i < THREADS; i++) {
      pen.setColor(new Color(0, 0, 0, 4 + chance.nextInt(8)));
      int at = chance.nextInt(HIGH);
      pen.drawLine(0, at, WIDE, at);
    }
  }

  private void gloss(int light) {
    pen.setPaint(
        new GradientPaint(
            MARGIN, 0, new Color(255, 255, 255, light), WIDE, 0, new Color(0, 0, 0, 70)));
    pen.fillRect(0, 0, WIDE, HIGH);
  }

  private void edge(java.awt.Shape of) {
    pen.setColor(new Color(0, 0, 0, 90));
    pen.setStroke(new BasicStroke(1.5f));
    pen.draw(of);
  }

  private void draw(Shape shape, Plan.PieceView piece, List<Fault> faults) {
    cloth();
    Path2D outline = shape.outline();
    pen.setColor(new Color(0, 0, 0, 60));
    pen.fill(new Ellipse2D.Double(MARGIN, shape.y(0) - 8, WIDE - 2.0 * MARGIN, 26));
    pen.setClip(outline);
    for (Plan.LayerView layer : piece.layers()) {
      pen.setColor(Color.decode(layer.swatch()));
      pen.fill(
          new Rectangle2D.Double(
              0, shape.y(layer.toMm()), WIDE, (layer.toMm() - layer.fromMm()) * shape.scale + 1));
    }
    gloss(faults.contains(Fault.DULL) ? MATTE : GLOSSY);
    faults.forEach(this::fault);
    pen.setClip(null);
    edge(outline);
  }

  /** Its mould in section, to scale, filled as far as its layers reach. */
  private static final class Shape {
    private final Plan.PieceView piece;
    private final double scale;

    Shape(Plan.PieceView piece) {
      this.piece = piece;
      this.scale =
          Math.min(
              (WIDE - 2.0 * MARGIN) / piece.widthMm(), (HIGH - 2.0 * MARGIN) / piece.depthMm());
    }

    private double y(double mm) {
      return HIGH - MARGIN - mm * scale;
    }

    private double x(double mm) {
      return WIDE / 2.0 + mm * scale;
    }

    Path2D outline() {
      double top = piece.layers().isEmpty() ? piece.depthMm() : piece.layers().getLast().toMm();
      Path2D path = new Path2D.Double();
      List<Section.SectionRow> rows =
          piece.section().stream().filter(r -> r.depthMm() <= top + SAME_MM).toList();
      if (rows.size() < 2) {
        return new Path2D.Double(
            new Rectangle2D.Double(
                x(-piece.widthMm() / 2), y(top), piece.widthMm() * scale, top * scale));
      }
      path.moveTo(x(rows.getFirst().leftMm()), y(rows.getFirst().depthMm()));
      rows.forEach(r -> path.lineTo(x(r.leftMm()), y(r.depthMm())));
      rows.reversed().forEach(r -> path.lineTo(x(r.rightMm()), y(r.depthMm())));
      path.closePath();
      return path;
    }
  }

  private void fault(Fault fault) {
    switch (fault) {
      case BUBBLES_AT_EMBEDS_OR_LIPS, FOAM -> bubbles(fault == Fault.FOAM ? 220 : 24, 2, 7);
      case CLOUDY -> {
        bubbles(400, 0.8, 1.6);
        haze(70);
      }
      case DULL, STICKY_ALL_OVER, SOFT_EDGE_OR_TOP -> haze(45);
      case STICKY_SPOTS, PATCHY_COLOUR, LUMPS_OR_SUNK_GLITTER -> patches();
      case CRACKS_OR_RIPPLES, LAST_PIECES_BAD, BENDS, LOPSIDED_OR_SHORT -> ripples();
      case YELLOW -> {
        pen.setColor(new Color(200, 160, 40, 70));
        pen.fillRect(0, 0, WIDE, HIGH);
      }
      case EMBED_MOVED -> patches();
    }
  }

  private void bubbles(int count, double least, double most) {
    for (int i = 0; i < count; i++) {
      double r = chance.nextDouble(least, most);
      double x = chance.nextDouble(MARGIN, WIDE - MARGIN);
      double at = chance.nextDouble(MARGIN, HIGH - MARGIN);
      pen.setColor(new Color(255, 255, 255, 120));
      pen.draw(new Ellipse2D.Double(x - r, at - r, 2 * r, 2 * r));
    }
  }

  private void haze(int alpha) {
    pen.setComposite(AlphaComposite.SrcOver);
    pen.setColor(new Color(235, 235, 230, alpha));
    pen.fillRect(0, 0, WIDE, HIGH);
  }

  private void patches() {
    for (int i = 0; i < 7; i++) {
      double r = chance.nextDouble(12, 34);
      double x = chance.nextDouble(MARGIN, WIDE - MARGIN);
      double at = chance.nextDouble(MARGIN, HIGH - MARGIN);
      pen.setColor(new Color(0, 0, 0, 36));
      pen.fill(new Ellipse2D.Double(x - r, at - r / 2, 2 * r, r));
    }
  }

  private void ripples() {
    pen.setColor(new Color(0, 0, 0, 70));
    for (int i = 0; i < 6; i++) {
      double at = chance.nextDouble(MARGIN, HIGH - MARGIN);
      pen.draw(new Line2D.Double(MARGIN, at, WIDE - MARGIN, at + chance.nextDouble(-40, 40)));
    }
  }
}
