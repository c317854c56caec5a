package org.goldthistle.platform;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Holds every endpoint to what it states of who may call it, before anything that was sent is looked at. One that
 * states nothing is closed to all.
 */
@Configuration
class EndpointGuard implements WebMvcConfigurer, HandlerInterceptor {
    private static final String OURS = "org.goldthistle";
    private static final String LEAD = "ROLE_LEAD";
    private static final String CREW = "ROLE_CREW";
    private static final String REVIEWER = "ROLE_REVIEWER";

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this);
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        if (handler instanceof HandlerMethod method
                && method.getBeanType().getPackageName().startsWith(OURS)) {
            requireAdmitted(method);
        }
        return true;
    }

    private static void requireAdmitted(HandlerMethod method) {
        // that somebody is signed in, unless an endpoint is for anybody, the filters before this one saw to
        boolean admitted = method.hasMethodAnnotation(ForAnybody.class)
                || method.hasMethodAnnotation(ForContractors.class)
                || method.hasMethodAnnotation(ForObservers.class) && isOneOf(CREW, REVIEWER, LEAD)
                || method.hasMethodAnnotation(ForReviewers.class) && isOneOf(REVIEWER, LEAD)
                || method.hasMethodAnnotation(ForLeads.class) && isOneOf(LEAD);
        if (!admitted) {
            throw Problem.forbidden(
                    ProblemType.NOT_YOURS_TO_DO, "Your role may not do this. Nothing was stored; ask your lead.");
        }
    }

    private static boolean isOneOf(String... roles) {
        Authentication caller = SecurityContextHolder.getContext().getAuthentication();
        return caller != null
                && caller.getAuthorities().stream()
                        .anyMatch(granted -> List.of(roles).contains(granted.getAuthority()));
    }
}
