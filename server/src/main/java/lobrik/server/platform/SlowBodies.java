package lobrik.server.platform;

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
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Gives up a body that does not come. Each single wait is limited by the server itself ({@code
 * server.tomcat.connection-timeout}); this limits all of them together, for whoever sends a byte now and then.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 20)
class SlowBodies extends OncePerRequestFilter {

    private static final Duration LONGEST = Duration.ofSeconds(20);

    /** 12 MB at 1 Mbit a second. */
    private static final Duration LONGEST_OF_A_FILE = Duration.ofSeconds(100);

    /** 1 GB at 5 Mbit a second. */
    private static final Duration LONGEST_OF_A_SCHOOL = Duration.ofMinutes(30);

    private static final long SMALL_BYTES = 64 * 1024;

    /** A body that did not come in time. */
    static final class TooSlow extends IOException {

        private static final long serialVersionUID = 1L;

        TooSlow() {
            super("the body did not come in time");
        }
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Duration longest = BodyLimit.isSchool(request)
                ? LONGEST_OF_A_SCHOOL
                : request.getContentLengthLong() > SMALL_BYTES ? LONGEST_OF_A_FILE : LONGEST;
        chain.doFilter(new Timed(request, System.nanoTime() + longest.toNanos()), response);
    }

    private static final class Timed extends HttpServletRequestWrapper {

        private final long end;

        Timed(HttpServletRequest request, long end) {
            super(request);
            this.end = end;
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            return new TimedStream(super.getInputStream(), end);
        }

        @Override
        public BufferedReader getReader() throws IOException {
            return new BufferedReader(new InputStreamReader(getInputStream(), StandardCharsets.UTF_8));
        }
    }

    private static final class TimedStream extends ServletInputStream {

        private final ServletInputStream stream;
        private final long end;

        TimedStream(ServletInputStream stream, long end) {
            this.stream = stream;
            this.end = end;
        }

        private void check() throws TooSlow {
            if (System.nanoTime() - end > 0) {
                throw new TooSlow();
            }
        }

        @Override
        public int read() throws IOException {
            check();
            return stream.read();
        }

        @Override
        public int read(byte[] bytes, int from, int length) throws IOException {
            check();
            return stream.read(bytes, from, length);
        }

        @Override
        public boolean isFinished() {
            return stream.isFinished();
        }

        @Override
        public boolean isReady() {
            return stream.isReady();
        }

        @Override
        public void setReadListener(ReadListener listener) {
            stream.setReadListener(listener);
        }
    }
}
