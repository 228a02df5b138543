package outfell.server.gate;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import outfell.consultation.Patience;
import outfell.server.problem.Problem;
import outfell.server.problem.Problems;

/**
 * Lets in this machine's own windows only. A page of another site may have the browser call this server under a name of
 * its own (so the name is looked at), or in the therapist's name (so where a write comes from is looked at).
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class Gate extends OncePerRequestFilter {
    private static final Set<String> HOSTS = Set.of("localhost", "127.0.0.1", "[::1]");
    private static final Set<String> READS = Set.of("GET", "HEAD", "OPTIONS");
    private static final Set<String> OWN_SITE = Set.of("same-origin", "none");
    /** A visit with every field at its longest is under half of it; a judgement of this house. */
    private static final long MOST_BYTES = 2L * 1024 * 1024;
    /** A catalogue of twenty thousand products with long labels. */
    private static final long MOST_FILE_BYTES = 64L * 1024 * 1024;

    /** The longest that a therapist waits with a client in the chair, and some; a judgement of this house. */
    private static final Duration PATIENCE = Duration.ofSeconds(20);

    /** Everything comes from this server; styles are written by the component library as it draws. */
    private static final String POLICY = String.join(
            "; ",
            "default-src 'self'",
            "script-src 'self'",
            "style-src 'self' 'unsafe-inline'",
            "img-src 'self' data: blob:",
            "font-src 'self' data:",
            "connect-src 'self'",
            "worker-src 'self'",
            "object-src 'none'",
            "base-uri 'none'",
            "form-action 'self'",
            "frame-ancestors 'none'");

    private final Asks asks;

    Gate(Asks asks) {
        this.asks = asks;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        boolean api = request.getRequestURI().startsWith("/api");
        guard(response, api);
        if (!isOurs(request.getHeader("Host"))) {
            Problems.write(
                    response,
                    421,
                    "wrong-host",
                    "Outfell answers on this machine only, as http://localhost, and not under another name.");
        } else if (!READS.contains(request.getMethod()) && !comesFromOurPage(request)) {
            Problems.write(
                    response, 403, "wrong-origin", "This came from a page that is not Outfell's, so nothing was done.");
        } else if (request.getContentLengthLong() > most(request)) {
            Problems.write(response, 413, "too-large", tooLarge(most(request)));
        } else {
            within(request, () -> chain.doFilter(new Bounded(request, most(request)), response));
        }
    }

    private interface Handling {
        void run() throws ServletException, IOException;
    }

    /** Nobody waits longer for a plan; what plans asks at every node whether that time is over, or its asker has given it up. */
    private void within(HttpServletRequest request, Handling handling) throws ServletException, IOException {
        long end = System.nanoTime() + PATIENCE.toNanos();
        try (Asks.Ask asked = asks.begin(request.getHeader("X-Ask"))) {
            Patience.until(() -> asked.givenUp() || System.nanoTime() - end > 0, () -> {
                handling.run();
                return true;
            });
        } catch (ServletException | IOException | RuntimeException fault) {
            throw fault;
        } catch (Exception never) {
            throw new ServletException(never);
        }
    }

    private static void guard(HttpServletResponse response, boolean api) {
        response.setHeader("Content-Security-Policy", POLICY);
        response.setHeader("X-Content-Type-Options", "nosniff");
        response.setHeader("X-Frame-Options", "DENY");
        response.setHeader("Referrer-Policy", "no-referrer");
        response.setHeader("Cross-Origin-Opener-Policy", "same-origin");
        response.setHeader("Cross-Origin-Resource-Policy", "same-origin");
        response.setHeader("Permissions-Policy", "camera=(), microphone=(), geolocation=()");
        if (api) {
            response.setHeader("Cache-Control", "no-store");
        }
    }

    private static boolean isOurs(@Nullable String host) {
        if (host == null) {
            // no browser leaves it out, and the web server itself refuses HTTP/1.1 without it
            return true;
        }
        String name = host.toLowerCase(Locale.ROOT);
        int port = name.lastIndexOf(':');
        return HOSTS.contains(port > name.lastIndexOf(']') ? name.substring(0, port) : name);
    }

    /** A program that is no browser sends neither header; a browser sends at least one with every write. */
    private static boolean comesFromOurPage(HttpServletRequest request) {
        String site = request.getHeader("Sec-Fetch-Site");
        String origin = request.getHeader("Origin");
        return (site == null || OWN_SITE.contains(site)) && (origin == null || isOwn(origin, request));
    }

    private static boolean isOwn(String origin, HttpServletRequest request) {
        Optional<String> authority = authority(origin);
        return authority.isPresent() && authority.get().equalsIgnoreCase(request.getHeader("Host"));
    }

    private static Optional<String> authority(String origin) {
        try {
            return Optional.ofNullable(URI.create(origin).getAuthority());
        } catch (IllegalArgumentException noAddress) {
            return Optional.empty();
        }
    }

    private static long most(HttpServletRequest request) {
        return request.getRequestURI().equals("/api/files") ? MOST_FILE_BYTES : MOST_BYTES;
    }

    private static String tooLarge(long most) {
        return "What was sent is larger than %d MB, so nothing was done.".formatted(most / (1024 * 1024));
    }

    /** A body that says no length is counted as it is read. */
    private static final class Bounded extends HttpServletRequestWrapper {
        private final long most;

        Bounded(HttpServletRequest request, long most) {
            super(request);
            this.most = most;
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            ServletInputStream in = super.getInputStream();
            return new Counted(in, most);
        }

        @Override
        public BufferedReader getReader() throws IOException {
            return new BufferedReader(new InputStreamReader(getInputStream(), StandardCharsets.UTF_8));
        }
    }

    private static final class Counted extends ServletInputStream {
        private final ServletInputStream in;
        private final long most;
        private long read;

        Counted(ServletInputStream in, long most) {
            this.in = in;
            this.most = most;
        }

        @Override
        public int read() throws IOException {
            int one = in.read();
            count(one < 0 ? 0 : 1);
            return one;
        }

        @Override
        public int read(byte[] bytes, int from, int length) throws IOException {
            int some = in.read(bytes, from, length);
            count(Math.max(some, 0));
            return some;
        }

        private void count(int more) {
            read += more;
            if (read > most) {
                throw Problem.tooLarge(tooLarge(most));
            }
        }

        @Override
        public boolean isFinished() {
            return in.isFinished();
        }

        @Override
        public boolean isReady() {
            return in.isReady();
        }

        @Override
        public void setReadListener(ReadListener listener) {
            in.setReadListener(listener);
        }
    }
}
