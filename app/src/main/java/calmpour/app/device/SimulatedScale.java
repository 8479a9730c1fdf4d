package calmpour.app.device;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Random;

/**
 * A bench scale that is not there: it sends what a real one would, with its noise and its slowness,
 * and a hand that pours onto it, slower towards the end and never quite in time.
 */
public final class SimulatedScale implements AutoCloseable {
  private static final int LINES_A_SECOND = 10;

  /** One standard deviation of a reading, g. */
  private static final double NOISE_G = 0.03;

  /** A hand pours so fast, and so slowly at the end, g/s. */
  private static final double FAST = 12;

  private static final double SLOW = 1.5;

  /** From so near to its target a hand pours slowly, g. */
  private static final double NEAR_G = 6;

  /** It stops so late, s. */
  private static final double LATE_S = 0.15;

  /** The scale follows what is on it within so long, s. */
  private static final double SETTLES_S = 0.25;

  /** What is on it moves by less when it rests, g. */
  private static final double RESTS_G = 0.1;

  private final ServerSocket server;
  private final Random random = new Random(7);
  private volatile boolean plugged = true;
  private volatile boolean silent;
  private volatile boolean garbled;
  private double onIt;
  private double shown;
  private double tare;
  private double target;

  public SimulatedScale() {
    try {
      server = new ServerSocket(0, 4, InetAddress.getLoopbackAddress());
    } catch (IOException noPort) {
      throw new UncheckedIOException(noPort);
    }
    Thread.ofVirtual().name("simulated-scale").start(this::accept);
  }

  public InetSocketAddress address() {
    return (InetSocketAddress) server.getLocalSocketAddress();
  }

  /** A hand pours until the scale shows so much, g. */
  public synchronized void pourTo(double grams) {
    target = grams + tare;
  }

  /** Something else stands on it, g, all at once. */
  public synchronized void put(double grams) {
    onIt = grams;
    target = grams;
  }

  /** Pulls the plug, or puts it in again. */
  public void plug(boolean in) {
    plugged = in;
  }

  public void silence(boolean on) {
    silent = on;
  }

  public void garble(boolean on) {
    garbled = on;
  }

  private void accept() {
    while (!server.isClosed()) {
      try {
        Socket client = server.accept();
        Thread.ofVirtual().start(() -> serve(client));
      } catch (IOException closed) {
        return;
      }
    }
  }

  private void serve(Socket client) {
    try (client) {
      Thread.ofVirtual().start(() -> listen(client));
      OutputStream out = client.getOutputStream();
      while (plugged && !server.isClosed()) {
        String line = tick(1.0 / LINES_A_SECOND);
        if (!silent) {
          out.write((garbled ? "#?" + line.hashCode() : line).getBytes(StandardCharsets.US_ASCII));
          out.write('\n');
          out.flush();
        }
        Thread.sleep(1_000 / LINES_A_SECOND);
      }
    } catch (IOException | InterruptedException gone) {
      // The other side hung up.
    }
  }

  private void listen(Socket client) {
    try {
      BufferedReader lines =
          new BufferedReader(
              new InputStreamReader(client.getInputStream(), StandardCharsets.US_ASCII));
      for (String line = lines.readLine(); line != null; line = lines.readLine()) {
        if (line.equals("tare")) {
          synchronized (this) {
            tare = onIt;
            target = onIt;
          }
        }
      }
    } catch (IOException gone) {
      // The other side hung up.
    }
  }

  private synchronized String tick(double seconds) {
    double missing = target - onIt;
    double rate = missing > NEAR_G ? FAST : SLOW;
    boolean pours = missing > 0;
    if (pours) {
      // It stops when it sees the figure, a little after it is there.
      double most = missing + rate * LATE_S * random.nextDouble();
      onIt += Math.min(rate * seconds, most);
      target = onIt >= target ? onIt : target;
    }
    double before = shown;
    shown += (onIt - shown) * Math.min(1, seconds / SETTLES_S);
    double reading = shown - tare + random.nextGaussian() * NOISE_G;
    boolean rests = !pours && Math.abs(shown - before) < RESTS_G * seconds * LINES_A_SECOND;
    return String.format(Locale.ROOT, "%s %.1f g", rests ? "=" : "~", reading);
  }

  @Override
  public void close() {
    plugged = false;
    try {
      server.close();
    } catch (IOException alreadyClosed) {
      // That is what was wanted.
    }
  }
}
