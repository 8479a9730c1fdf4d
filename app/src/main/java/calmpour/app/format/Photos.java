package calmpour.app.format;

import static java.nio.charset.StandardCharsets.US_ASCII;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Iterator;
import java.util.Set;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;

/**
 * Makes a picture small and drops everything that a camera writes into it, such as where it was
 * taken: the pixels are drawn anew, nothing else is carried over.
 */
public final class Photos {
  public static final int LARGEST_BYTES = 25_000_000;

  /** Longer side of a kept picture, pixels. */
  public static final int KEPT_PIXELS = 1_024;

  /** No camera at a bench takes more; a bomb claims more. */
  private static final long MOST_PIXELS = 120_000_000;

  /** A box begins with its length, then its name and its brand of four letters each. */
  private static final int BOX_NAME = 4;

  private static final Set<String> HEIC_BRANDS =
      Set.of("heic", "heix", "hevc", "heim", "heis", "mif1", "msf1");

  private Photos() {}

  /** What was given is no picture that can be kept. */
  public static final class NoPhotoException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    NoPhotoException(String message) {
      super(message);
    }
  }

  /**
   * A small JPEG of the picture.
   *
   * @throws NoPhotoException when it is no JPEG or PNG, or larger than any camera makes
   */
  public static byte[] kept(byte[] given) {
    if (given.length > LARGEST_BYTES) {
      throw new NoPhotoException("This picture is larger than 25 MB; a smaller one will do.");
    }
    try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(given))) {
      Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
      if (heic(given)) {
        throw new NoPhotoException(
            "HEIC pictures cannot be read here. Save it as a JPEG and choose that.");
      }
      if (!readers.hasNext()) {
        throw new NoPhotoException("This is not a picture that can be read. Choose a JPEG or PNG.");
      }
      ImageReader reader = readers.next();
      try {
        reader.setInput(in, true, true);
        return jpeg(read(reader));
      } finally {
        reader.dispose();
      }
    } catch (IOException | IndexOutOfBoundsException broken) {
      throw new NoPhotoException("This picture is damaged. Was it copied to its end?");
    }
  }

  /** By the brand in its first box (ISO/IEC 23008-12, 10.2). */
  private static boolean heic(byte[] given) {
    String begins =
        new String(given, BOX_NAME, Math.max(0, Math.min(8, given.length - BOX_NAME)), US_ASCII);
    return begins.startsWith("ftyp") && HEIC_BRANDS.contains(begins.substring(4));
  }

  private static BufferedImage read(ImageReader reader) throws IOException {
    long width = reader.getWidth(0);
    long height = reader.getHeight(0);
    if (width * height > MOST_PIXELS) {
      throw new NoPhotoException("This picture claims more points than any camera makes.");
    }
    ImageReadParam param = reader.getDefaultReadParam();
    int step = (int) Math.max(1, Math.max(width, height) / (2 * KEPT_PIXELS));
    param.setSourceSubsampling(step, step, 0, 0);
    return reader.read(0, param);
  }

  private static byte[] jpeg(BufferedImage image) throws IOException {
    double scale =
        Math.min(1, (double) KEPT_PIXELS / Math.max(image.getWidth(), image.getHeight()));
    int width = Math.max(1, (int) Math.round(image.getWidth() * scale));
    int height = Math.max(1, (int) Math.round(image.getHeight() * scale));
    BufferedImage small = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    Graphics2D pen = small.createGraphics();
    pen.setRenderingHint(
        RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
    pen.drawImage(image, 0, 0, width, height, Color.WHITE, null);
    pen.dispose();
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(small, "jpeg", out);
    return out.toByteArray();
  }
}
