package calmpour.app.format;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import java.util.Map;

/** The square pattern on a tag that scanners read (ISO/IEC 18004). */
public final class ScanPattern {
  /** A quarter of it may be smeared with resin. */
  private static final Map<EncodeHintType, Object> HINTS =
      Map.of(EncodeHintType.ERROR_CORRECTION, ErrorCorrectionLevel.Q, EncodeHintType.MARGIN, 0);

  private ScanPattern() {}

  /** Rows from the top of dark and light squares. */
  public static boolean[][] of(String code) {
    BitMatrix squares;
    try {
      squares = new QRCodeWriter().encode(code, BarcodeFormat.QR_CODE, 0, 0, HINTS);
    } catch (WriterException tooLong) {
      throw new IllegalArgumentException("too long for a pattern: " + code, tooLong);
    }
    boolean[][] dark = new boolean[squares.getHeight()][squares.getWidth()];
    for (int row = 0; row < dark.length; row++) {
      for (int column = 0; column < dark[row].length; column++) {
        dark[row][column] = squares.get(column, row);
      }
    }
    return dark;
  }

  /** As a picture that is drawn sharp at any size, one unit a square. */
  public static String svg(String code) {
    boolean[][] dark = of(code);
    StringBuilder path = new StringBuilder();
    for (int row = 0; row < dark.length; row++) {
      for (int column = 0; column < dark[row].length; column++) {
        if (dark[row][column]) {
          path.append("M").append(column).append(" ").append(row).append("h1v1h-1z");
        }
      }
    }
    return "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"-2 -2 %1$d %1$d\" shape-rendering=\"crispEdges\">"
            .formatted(dark.length + 4)
        + "<path fill=\"#fff\" d=\"M-2 -2h%1$dv%1$dh-%1$dz\"/>".formatted(dark.length + 4)
        + "<path d=\""
        + path
        + "\"/></svg>";
  }
}
