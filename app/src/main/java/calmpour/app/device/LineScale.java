package calmpour.app.device;

import static calmpour.core.check.Known.known;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * A scale that sends lines of ASCII over TCP, several a second, as described in docs/devices.md:
 * {@code = 12.3 g} at rest, {@code ~ 12.3 g} while it moves. A line that is neither is counted and
 * left; a connection that breaks is tried again.
 */
public final class LineScale implements Scale, AutoCloseable {
  /** So long without a line that can be read, and it is silent, ms. */
  private static final int SILENT_MS = 1_500;

  private static final int AGAIN_MS = 500;

  /** Longer than any reading; what is longer is no line of a scale. */
  private static final int LONGEST_LINE = 64;

  private static final Pattern LINE =
      Pattern.compile("([=~])\\s*([+-]?\\d{1,6}(?:\\.\\d{1,3})?)\\s*g");

  private final InetSocketAddress address;
  private final Thread reader;
  private volatile boolean closed;
  private volatile @Nullable Socket socket;
  private volatile boolean connected;
  private volatile double grams;
  private volatile boolean stable;
  private volatile long heardAt;
  private final AtomicInteger unread = new AtomicInteger();

  public LineScale(InetSocketAddress address) {
    this.address = address;
    this.reader = Thread.ofVirtual().name("scale").start(this::read);
  }

  /** What a line says, grams and whether they stand; null when it says nothing. */
  static @Nullable Reading parse(String line) {
    Matcher found = LINE.matcher(line.strip());
    return found.matches()
        ? new Reading(Link.TELLS, Double.valueOf(found.group(2)), found.group(1).equals("="), 0)
        : null;
  }

  private void read() {
    while (!closed) {
      try (Socket open = new Socket()) {
        open.connect(address, AGAIN_MS);
        socket = open;
        unread.set(0);
        connected = true;
        BufferedReader lines =
            new BufferedReader(
                new InputStreamReader(open.getInputStream(), StandardCharsets.US_ASCII));
        for (String line = next(lines); line != null; line = next(lines)) {
          Reading reading = parse(line);
          if (reading == null) {
            unread.incrementAndGet();
            continue;
          }
          grams = known(reading.grams());
          stable = reading.stable();
          heardAt = System.nanoTime();
        }
      } catch (IOException notThere) {
        // Tried again below; until then it counts as unplugged.
      }
      connected = false;
      heardAt = 0;
      try {
        Thread.sleep(AGAIN_MS);
      } catch (InterruptedException ended) {
        return;
      }
    }
  }

  /** A line, cut off where it is longer than any; null at the end. */
  private static @Nullable String next(BufferedReader lines) throws IOException {
    StringBuilder line = new StringBuilder();
    for (int c = lines.read(); c >= 0; c = lines.read()) {
      if (c == '\n') {
        return line.toString();
      }
      if (line.length() < LONGEST_LINE) {
        line.append((char) c);
      }
    }
    return null;
  }

  @Override
  public Reading now() {
    if (!connected) {
      return new Reading(Link.UNPLUGGED, null, false, unread.get());
    }
    boolean tells = heardAt != 0 && System.nanoTime() - heardAt < SILENT_MS * 1_000_000L;
    return tells
        ? new Reading(Link.TELLS, grams, stable, unread.get())
        : new Reading(Link.SILENT, null, false, unread.get());
  }

  @Override
  public void tare() {
    Socket open = socket;
    if (open != null && connected) {
      try {
        open.getOutputStream().write("tare\n".getBytes(StandardCharsets.US_ASCII));
      } catch (IOException unplugged) {
        // The next reading says so.
      }
    }
  }

  @Override
  public void close() {
    closed = true;
    reader.interrupt();
    Socket open = socket;
    if (open != null) {
      try {
        open.close();
      } catch (IOException alreadyGone) {
        // That is what was wanted.
      }
    }
  }
}
