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
import java.util.regex.Pattern;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.servlet.HandlerExceptionResolver;

/**
 * No more is read of a request than its endpoint can need, before anybody looks who sends it: 256 kB, and a draft's sheet
 * 5 MB. Files come as they are and have limits of their own, which their readers keep without holding more. A NUL, which
 * no text has and the database cannot keep, is refused here once for all.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class RequestLimits extends OncePerRequestFilter {
    /** Bytes of a request that is no file. */
    static final long MOST = 256 * 1024;

    /** Browsers send a photo under whatever type they take it for, or none. */
    private static final Pattern PHOTO = Pattern.compile("/api/surveys/[^/]+/trees/[^/]+/photos/[^/]+");

    /** Bytes of a draft's sheet. */
    static final long MOST_OF_A_DRAFT = 5 * 1024 * 1024;

    private final HandlerExceptionResolver problems;

    RequestLimits(HandlerExceptionResolver handlerExceptionResolver) {
        this.problems = handlerExceptionResolver;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (request.getQueryString() != null && request.getQueryString().contains("%00")) {
            problems.resolveException(request, response, null, Problem.nothingInText());
            return;
        }
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

    /** Endpoints of JSON take no other type, so a file's type gets nobody past them. */
    private static boolean isFile(HttpServletRequest request) {
        String type = request.getContentType();
        boolean saysSo = type != null
                && (type.startsWith(MediaType.APPLICATION_OCTET_STREAM_VALUE) || type.startsWith("image/"));
        return saysSo || PHOTO.matcher(request.getRequestURI()).matches();
    }

    /** What was sent is not read on. */
    static final class Unread extends IOException {
        private static final long serialVersionUID = 1L;

        private final Problem problem;

        private Unread(Problem problem) {
            super(problem.getMessage());
            this.problem = problem;
        }

        Problem problem() {
            return problem;
        }
    }

    /** A request whose body breaks off where it grows too large, whatever it says of its length, or holds a NUL. */
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
        private static final String NUL = "\\u0000"; // as JSON writes it

        private final long most;
        private long read;
        private int matched; // of NUL's letters

        private LimitedBody(ServletInputStream body, long most) {
            this.body = body;
            this.most = most;
        }

        @Override
        public int read() throws IOException {
            int one = body.read();
            if (one >= 0) {
                take((byte) one);
            }
            return one;
        }

        @Override
        public int read(byte[] into, int from, int length) throws IOException {
            int many = body.read(into, from, length);
            for (int i = from; i < from + many; i++) {
                take(into[i]);
            }
            return many;
        }

        private void take(byte one) throws Unread {
            if (++read > most) {
                throw new Unread(Problem.tooLarge(most));
            }
            matched = one == NUL.charAt(matched) ? matched + 1 : one == NUL.charAt(0) ? 1 : 0;
            if (one == 0 || matched == NUL.length()) {
                throw new Unread(Problem.nothingInText());
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
