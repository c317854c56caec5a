package org.goldthistle.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.util.regex.Pattern;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.servlet.HandlerExceptionResolver;

/**
 * No more is read of a request than its endpoint can need, before anybody looks who sends it: 256 kB. Files and drafts are
 * taken in by {@link LargeBodies} once it is known who sends them. Signs that no text has are refused here once for all, and so are more requests at once of one address than leave room for others.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1) // after the request has its id
class RequestLimits extends OncePerRequestFilter {
    /** Bytes of a request that is no file. */
    static final long MOST = 256 * 1024;

    private static final long MOST_OF_THE_REST = 16 * 1024 * 1024;

    /** Requests of one address at once: three quarters of those that are worked on. */
    private static final int MOST_OF_ONE = 36;

    /** Browsers send a photo under whatever type they take it for, or none. */
    private static final Pattern PHOTO = Pattern.compile("/api/surveys/[^/]+/trees/[^/]+/photos/[^/]+");

    private final HandlerExceptionResolver problems;
    private final Reception reception = new Reception(24, 12);
    private final Busy going = new Busy(MOST_OF_ONE);

    RequestLimits(HandlerExceptionResolver handlerExceptionResolver) {
        this.problems = handlerExceptionResolver;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String address = request.getRemoteAddr();
        if (!going.enter(address)) {
            refuse(request, response, Problem.busy());
            return;
        }
        try {
            HttpServletRequest taken = received(request);
            chain.doFilter(taken, response);
            if (taken == request && hasBody(request)) {
                takeTheRest(request);
            }
        } catch (Problem problem) {
            refuse(request, response, problem);
        } catch (RuntimeException broken) { // such as the session that cannot be looked up
            if (response.isCommitted() || DatabaseTrouble.of(broken).isEmpty()) {
                throw broken;
            }
            problems.resolveException(request, response, null, broken);
        } finally {
            going.leave(address);
        }
    }

    private void refuse(HttpServletRequest request, HttpServletResponse response, Problem problem) {
        response.setHeader("Connection", "close");
        UnreadBodies.leave(request);
        problems.resolveException(request, response, null, problem);
    }

    /** What was not read of a large body, as of one whose sender is not signed in: so that they get their answer. */
    private void takeTheRest(HttpServletRequest request) {
        try {
            if (reception.take(request, MOST_OF_THE_REST, OutputStream.nullOutputStream()) > MOST_OF_THE_REST) {
                UnreadBodies.leave(request);
            }
        } catch (Problem | IOException tooMuch) {
            UnreadBodies.leave(request);
        }
    }

    private HttpServletRequest received(HttpServletRequest request) throws IOException {
        if (request.getQueryString() != null && request.getQueryString().contains("%00")) {
            throw Problem.noText();
        }
        if (isLarge(request) || !hasBody(request)) {
            return request;
        }
        if (request.getContentLengthLong() > MOST) {
            throw Problem.tooLarge(MOST);
        }
        var body = new ByteArrayOutputStream();
        if (reception.take(request, MOST, body) > MOST) {
            throw Problem.tooLarge(MOST);
        }
        byte[] bytes = body.toByteArray();
        TextSigns.requireText(bytes);
        return new ReceivedRequest(request, new ByteArrayInputStream(bytes));
    }

    static boolean hasBody(HttpServletRequest request) {
        return request.getContentLengthLong() > 0 || request.getHeader("Transfer-Encoding") != null;
    }

    /** Whether it may be larger than others; endpoints of JSON take no file, so a file's type gets nobody past them. */
    static boolean isLarge(HttpServletRequest request) {
        return isFile(request) || isDraft(request);
    }

    static boolean isDraft(HttpServletRequest request) {
        return !isFile(request) && request.getRequestURI().startsWith("/api/drafts/");
    }

    private static boolean isFile(HttpServletRequest request) {
        String type = request.getContentType();
        boolean saysSo = type != null
                && (type.startsWith(MediaType.APPLICATION_OCTET_STREAM_VALUE) || type.startsWith("image/"));
        return saysSo || PHOTO.matcher(request.getRequestURI()).matches();
    }
}
