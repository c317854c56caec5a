package org.goldthistle.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.time.Duration;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Ends a session that is a month old, however often it was used; comes between the sessions and who they belong to. */
@Component
@Order(SessionAge.AFTER_SESSIONS)
class SessionAge extends OncePerRequestFilter {
    static final int AFTER_SESSIONS = -200;

    private final Duration longest;

    SessionAge(Settings settings) {
        this.longest = settings.sessionsLast();
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        HttpSession session = request.getSession(false);
        if (session != null && System.currentTimeMillis() - session.getCreationTime() > longest.toMillis()) {
            session.invalidate();
        }
        chain.doFilter(request, response);
    }
}
