package calmpour.app.api;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.BufferedReader;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.Set;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * What is let in at all: only requests addressed to this machine (a page of another site that gets
 * its name to point here must not read the workshop), no change that another site's page sends, and
 * no document larger than any session.
 */
@Component
class Gate extends OncePerRequestFilter {
  /** A session of 200 lines with everything inline is well under a tenth of this. */
  static final int LARGEST_BODY_BYTES = 2_000_000;

  private static final Set<String> LOOKING = Set.of("GET", "HEAD", "OPTIONS");

  private static final Set<String> HERE = Set.of("127.0.0.1", "localhost", "[::1]");

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    response.setHeader(
        "Content-Security-Policy",
        "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data:;"
            + " frame-ancestors 'none'");
    response.setHeader("X-Content-Type-Options", "nosniff");
    if (!HERE.contains(request.getServerName())) {
      refuse(response, 421, "misdirected", "Calm Pour answers on this machine only.");
      return;
    }
    if (!LOOKING.contains(request.getMethod()) && fromElsewhere(request)) {
      refuse(response, 403, "elsewhere", "Only Calm Pour's own pages may change anything here.");
      return;
    }
    if (request.getRequestURI().startsWith("/api/meshes")
        || request.getRequestURI().endsWith("/photo")) {
      // Models and pictures are larger; their own readers stop in good time.
      chain.doFilter(request, response);
      return;
    }
    if (request.getContentLengthLong() > LARGEST_BODY_BYTES) {
      tooLarge(response);
      return;
    }
    byte[] body = request.getInputStream().readNBytes(LARGEST_BODY_BYTES + 1);
    if (body.length > LARGEST_BODY_BYTES) {
      tooLarge(response);
      return;
    }
    chain.doFilter(new Read(request, body), response);
  }

  /**
   * Whether a page of another site sends this. Browsers say so on every request that changes
   * something; what is no browser says neither and is let in.
   */
  private static boolean fromElsewhere(HttpServletRequest request) {
    String site = request.getHeader("Sec-Fetch-Site");
    if (site != null && !site.equals("same-origin") && !site.equals("none")) {
      return true;
    }
    String origin = request.getHeader("Origin");
    String here = request.getScheme() + "://" + request.getHeader("Host");
    return origin != null && !origin.equals(here);
  }

  private static void tooLarge(HttpServletResponse response) throws IOException {
    refuse(
        response,
        413,
        "too-large",
        "This document is larger than 2 MB; a session is a few kilobytes. Is it the right file?");
  }

  private static void refuse(HttpServletResponse response, int status, String type, String detail)
      throws IOException {
    response.setStatus(status);
    response.setContentType("application/problem+json");
    response.setCharacterEncoding("UTF-8");
    response
        .getWriter()
        .write(
            "{\"type\":\"urn:calm-pour:problem:%s\",\"title\":\"Not let in\",\"status\":%d,\"detail\":\"%s\"}"
                .formatted(type, status, detail));
  }

  /** A request whose body has been read already, in full. */
  private static final class Read extends HttpServletRequestWrapper {
    private final byte[] body;

    Read(HttpServletRequest request, byte[] body) {
      super(request);
      this.body = body;
    }

    @Override
    public ServletInputStream getInputStream() {
      ByteArrayInputStream in = new ByteArrayInputStream(body);
      return new ServletInputStream() {
        @Override
        public boolean isFinished() {
          return in.available() == 0;
        }

        @Override
        public boolean isReady() {
          return true;
        }

        @Override
        public void setReadListener(ReadListener listener) {
          throw new UnsupportedOperationException("the body is read at once");
        }

        @Override
        public int read() {
          return in.read();
        }

        @Override
        public int read(byte[] target, int offset, int length) {
          return in.read(target, offset, length);
        }
      };
    }

    @Override
    public BufferedReader getReader() {
      return new BufferedReader(new InputStreamReader(getInputStream(), StandardCharsets.UTF_8));
    }
  }
}
