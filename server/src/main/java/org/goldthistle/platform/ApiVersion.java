package org.goldthistle.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Tells in every answer which version of the API it is of, so that a page that was opened long ago, or without a network,
 * knows when it is too old to be understood.
 */
@Component
public class ApiVersion extends OncePerRequestFilter {
    /** Goes up when a page that was made for the one before would be misunderstood. */
    public static final String CURRENT = "1";

    private static final String HEADER = "X-Goldthistle-Api";

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        response.setHeader(HEADER, CURRENT);
        chain.doFilter(request, response);
    }
}
