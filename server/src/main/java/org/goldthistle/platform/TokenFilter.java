package org.goldthistle.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.servlet.HandlerExceptionResolver;

/** Lets scripts in by a token in the header Authorization; whoever sends one is nobody else, whatever cookies come along. */
final class TokenFilter extends OncePerRequestFilter {
    private static final String BEARER = "Bearer ";

    private final ScriptCallers callers;
    private final HandlerExceptionResolver problems;

    TokenFilter(ScriptCallers callers, HandlerExceptionResolver problems) {
        this.callers = callers;
        this.problems = problems;
    }

    /** The token that a request brings; empty: none. No page of another site can make a browser send one. */
    static Optional<String> tokenOf(HttpServletRequest request) {
        return Optional.ofNullable(request.getHeader(HttpHeaders.AUTHORIZATION))
                .filter(header -> header.startsWith(BEARER))
                .map(header -> header.substring(BEARER.length()).strip());
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Optional<String> token = tokenOf(request);
        if (token.isPresent()) {
            SecurityContext context = SecurityContextHolder.createEmptyContext();
            try {
                context.setAuthentication(callers.caller(token.get(), request));
            } catch (RuntimeException refused) { // no controller was reached whose advice would tell of it
                if (problems.resolveException(request, response, null, refused) == null) {
                    throw refused;
                }
                return;
            }
            SecurityContextHolder.setContext(context);
        }
        chain.doFilter(request, response);
    }
}
