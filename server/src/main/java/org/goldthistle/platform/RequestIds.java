package org.goldthistle.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Optional;
import java.util.UUID;
import org.slf4j.MDC;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Gives every request an id of its own, which stands in each line of the log that it causes, in the answer's header and in a
 * problem: so that what somebody was told is found in the log. What a client calls its request is not believed.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class RequestIds extends OncePerRequestFilter {
    private static final String KEY = "request"; // as the log's pattern names it
    private static final String ATTRIBUTE = RequestIds.class.getName();
    private static final String HEADER = "X-Request-Id";
    private static final int LENGTH = 8; // of a UUID's digits: enough to find a line of a day

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String id =
                request.getAttribute(ATTRIBUTE) instanceof String given // when it is taken up again, by another thread
                        ? given
                        : UUID.randomUUID().toString().substring(0, LENGTH);
        request.setAttribute(ATTRIBUTE, id);
        MDC.put(KEY, id);
        response.setHeader(HEADER, id);
        try {
            chain.doFilter(request, response);
        } finally {
            MDC.remove(KEY);
        }
    }

    @Override
    protected boolean shouldNotFilterAsyncDispatch() {
        return false;
    }

    @Override
    protected boolean shouldNotFilterErrorDispatch() {
        return false; // what the container refuses is told with an id too
    }

    /** The id of the request that is worked on; empty: none is. */
    static Optional<String> current() {
        return Optional.ofNullable(MDC.get(KEY));
    }
}
