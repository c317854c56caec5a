package org.goldthistle.platform;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Map;
import java.util.function.Supplier;
import org.springframework.boot.autoconfigure.web.ServerProperties;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.DelegatingPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfFilter;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.security.web.csrf.CsrfTokenRequestAttributeHandler;
import org.springframework.security.web.csrf.XorCsrfTokenRequestAttributeHandler;
import org.springframework.web.servlet.HandlerExceptionResolver;

/**
 * Who may call what: everything under /api but signing in asks for a session; writes ask for the CSRF token too. Beyond
 * that each endpoint states by an annotation of this package who may call it.
 */
@Configuration
class SecurityConfiguration {
    /** The services of instruments are on the device that shows the page, each on a port of its own. */
    private static final String CONTENT_POLICY =
            "default-src 'self'; connect-src 'self' http://127.0.0.1:*; style-src 'self' 'unsafe-inline'; img-src 'self' data: blob:; object-src 'none';"
                    + " base-uri 'none'; frame-ancestors 'none'; form-action 'self'";

    @Bean
    SecurityFilterChain security(
            HttpSecurity http,
            HandlerExceptionResolver handlerExceptionResolver,
            ScriptCallers scripts,
            ServerProperties server)
            throws Exception {
        http.authorizeHttpRequests(requests -> requests.dispatcherTypeMatchers(DispatcherType.ASYNC)
                .permitAll() // the rest of an answer that was allowed when it began
                .requestMatchers(HttpMethod.POST, "/api/session", "/api/welcome")
                .permitAll()
                .requestMatchers(HttpMethod.PUT, "/api/welcome")
                .permitAll()
                .requestMatchers(HttpMethod.DELETE, "/api/session")
                .permitAll()
                .requestMatchers(HttpMethod.GET, "/api/session", "/api/docs", "/api/reach", "/api/reach/authority")
                .permitAll()
                .requestMatchers("/api/**")
                .authenticated()
                .requestMatchers(HttpMethod.GET, "/**")
                .permitAll()
                .anyRequest()
                .denyAll());
        CookieCsrfTokenRepository tokens = CookieCsrfTokenRepository.withHttpOnlyFalse();
        boolean onlyOverTls =
                Boolean.TRUE.equals(server.getServlet().getSession().getCookie().getSecure());
        tokens.setCookieCustomizer(cookie -> cookie.secure(onlyOverTls).sameSite("Strict"));
        http.csrf(csrf -> csrf.csrfTokenRepository(tokens)
                .csrfTokenRequestHandler(new SinglePageTokens())
                .ignoringRequestMatchers(request -> TokenFilter.tokenOf(request).isPresent()));
        http.addFilterBefore(new TokenFilter(scripts, handlerExceptionResolver), CsrfFilter.class);
        http.formLogin(form -> form.disable())
                .httpBasic(basic -> basic.disable())
                .logout(out -> out.disable());
        http.requestCache(cache -> cache.disable());
        http.securityContext(context -> context.securityContextRepository(contexts()));
        http.headers(headers -> headers.contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT_POLICY))
                .referrerPolicy(policy -> {}));
        http.exceptionHandling(handling -> handling.authenticationEntryPoint(
                        (request, response, missing) -> handlerExceptionResolver.resolveException(
                                request,
                                response,
                                null,
                                Problem.unknownCaller(
                                        ProblemType.NOT_SIGNED_IN,
                                        "You are not signed in, or your session has ended. Nothing was stored; sign in"
                                                + " and send again.")))
                .accessDeniedHandler((request, response, denied) -> handlerExceptionResolver.resolveException(
                        request,
                        response,
                        null,
                        Problem.forbidden(
                                ProblemType.FORBIDDEN,
                                "This was not allowed, or the page is too old to be trusted. Nothing was stored;"
                                        + " reload the page and send again."))));
        return http.build();
    }

    @Bean
    SecurityContextRepository contexts() {
        return new HttpSessionSecurityContextRepository();
    }

    @Bean
    PasswordEncoder passphraseEncoder(Settings settings) {
        return new DelegatingPasswordEncoder(
                "bcrypt", Map.of("bcrypt", new BCryptPasswordEncoder(settings.hashCost())));
    }

    /** Keeps Spring Boot from making a user of its own. */
    @Bean
    AuthenticationManager noOtherAuthentication() {
        return authentication -> {
            throw new IllegalStateException("observers sign in through /api/session");
        };
    }

    /** Single-page applications send the cookie's token back as it is; pages get one that defies guessing by size. */
    private static final class SinglePageTokens extends CsrfTokenRequestAttributeHandler {
        private final XorCsrfTokenRequestAttributeHandler masked = new XorCsrfTokenRequestAttributeHandler();

        @Override
        public void handle(HttpServletRequest request, HttpServletResponse response, Supplier<CsrfToken> token) {
            masked.handle(request, response, token);
            token.get(); // so that the cookie is there before the first write
        }

        @Override
        public String resolveCsrfTokenValue(HttpServletRequest request, CsrfToken token) {
            boolean byHeader = request.getHeader(token.getHeaderName()) != null;
            return byHeader
                    ? super.resolveCsrfTokenValue(request, token)
                    : masked.resolveCsrfTokenValue(request, token);
        }
    }
}
