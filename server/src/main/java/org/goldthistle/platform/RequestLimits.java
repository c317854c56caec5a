package org.goldthistle.platform;

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
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.servlet.HandlerExceptionResolver;

/**
 * No more is read of a request than its endpoint can need, before anybody looks who sends it: 256 kB, and a draft's sheet
 * 5 MB. Files come as they are and have limits of their own, which their readers keep without holding more.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class RequestLimits extends OncePerRequestFilter {
    /** Bytes of a request that is no file. */
    static final long MOST = 256 * 1024;

    /** Bytes of a draft's sheet. */
    static final long MOST_OF_A_DRAFT = 5 * 1024 * 1024;

    private final HandlerExceptionResolver problems;

    RequestLimits(HandlerExceptionResolver handlerExceptionResolver) {
        this.problems = handlerExceptionResolver;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (isFile(request)) {
            chain.doFilter(request, response);
            return;
        }
        long most = request.getRequestURI().startsWith("/api/drafts/") ? MOST_OF_A_DRAFT : MOST;
        if (request.getContentLengthLong() > most) {
            response.setHeader("Connection", "close"); // so that what is still to come is not waited for
            problems.resolveException(request, response, null, Problem.tooLarge(most));
            return;
        }
        chain.doFilter(new Limited(request, most), response);
    }

    private static boolean isFile(HttpServletRequest request) {
        String type = request.getContentType();
        return type != null && type.startsWith(MediaType.APPLICATION_OCTET_STREAM_VALUE);
    }

    /** What was sent is more than is read. */
    static final class TooLarge extends IOException {
        private static final long serialVersionUID = 1L;

        private final long most;

        private TooLarge(long most) {
            super("more than " + most + " bytes");
            this.most = most;
        }

        Problem problem() {
            return Problem.tooLarge(most);
        }
    }

    /** A request whose body breaks off where it grows too large, whatever it says of its length. */
    private static final class Limited extends HttpServletRequestWrapper {
        private final long most;
        private ServletInputStream body;

        private Limited(HttpServletRequest request, long most) {
            super(request);
            this.most = most;
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            if (body == null) {
                body = new LimitedBody(super.getInputStream(), most);
            }
            return body;
        }

        @Override
        public BufferedReader getReader() throws IOException {
            return new BufferedReader(new InputStreamReader(getInputStream(), StandardCharsets.UTF_8));
        }
    }

    private static final class LimitedBody extends ServletInputStream {
        private final ServletInputStream body;
        private final long most;
        private long read;

        private LimitedBody(ServletInputStream body, long most) {
            this.body = body;
            this.most = most;
        }

        @Override
        public int read() throws IOException {
            int one = body.read();
            count(one < 0 ? 0 : 1);
            return one;
        }

        @Override
        public int read(byte[] into, int from, int length) throws IOException {
            int many = body.read(into, from, length);
            count(Math.max(0, many));
            return many;
        }

        private void count(int more) throws TooLarge {
            read += more;
            if (read > most) {
                throw new TooLarge(most);
            }
        }

        @Override
        public boolean isFinished() {
            return body.isFinished();
        }

        @Override
        public boolean isReady() {
            return body.isReady();
        }

        @Override
        public void setReadListener(ReadListener listener) {
            body.setReadListener(listener);
        }
    }
}
