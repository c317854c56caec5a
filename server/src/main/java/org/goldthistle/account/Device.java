package org.goldthistle.account;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.SecureRandom;
import java.time.Duration;
import java.util.Arrays;
import java.util.Base64;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.boot.autoconfigure.web.ServerProperties;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.stereotype.Component;

/** The cookie by which a device is known again that somebody has signed in on; it lets nobody in. */
@Component
class Device {
    private static final Duration KEPT = Duration.ofDays(400); // no browser keeps a cookie longer
    private static final int BYTES = 24;
    private static final int LONGEST = 64;
    private static final SecureRandom RANDOM = new SecureRandom();

    private final String name;
    private final boolean onlyOverTls;

    Device(ServerProperties server) {
        var session = server.getServlet().getSession().getCookie();
        this.name = session.getName() + "-device";
        this.onlyOverTls = Boolean.TRUE.equals(session.getSecure());
    }

    /** A secret that no device has. */
    static String fresh() {
        byte[] bytes = new byte[BYTES];
        RANDOM.nextBytes(bytes);
        return Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
    }

    /** The secret that a device was given; empty: none. */
    Optional<String> of(HttpServletRequest request) {
        return Stream.ofNullable(request.getCookies())
                .flatMap(Arrays::stream)
                .filter(cookie -> cookie.getName().equals(name))
                .map(Cookie::getValue)
                .filter(secret -> !secret.isEmpty() && secret.length() <= LONGEST)
                .findFirst();
    }

    /** Gives a device its secret. */
    void remember(String secret, HttpServletResponse response) {
        response.addHeader(
                HttpHeaders.SET_COOKIE,
                ResponseCookie.from(name, secret)
                        .path("/")
                        .httpOnly(true)
                        .secure(onlyOverTls)
                        .sameSite("Strict")
                        .maxAge(KEPT)
                        .build()
                        .toString());
    }
}
