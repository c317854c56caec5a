package org.goldthistle.platform;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.regex.Pattern;
import org.springframework.boot.autoconfigure.web.ServerProperties;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.session.web.http.CookieSerializer;
import org.springframework.session.web.http.DefaultCookieSerializer;

/** The cookie of a session; what is no session's id in it counts as none. */
@Configuration
class SessionCookie {
    private static final Pattern ID = Pattern.compile("[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}");

    @Bean
    CookieSerializer sessionCookies(ServerProperties server) {
        var asked = server.getServlet().getSession().getCookie();
        DefaultCookieSerializer cookies = new DefaultCookieSerializer() {
            @Override
            public List<String> readCookieValues(HttpServletRequest request) {
                return super.readCookieValues(request).stream()
                        .filter(id -> ID.matcher(id).matches())
                        .toList();
            }
        };
        cookies.setCookieName(asked.getName());
        cookies.setUseHttpOnlyCookie(true);
        cookies.setSameSite("Strict");
        if (asked.getSecure() != null) {
            cookies.setUseSecureCookie(asked.getSecure());
        }
        return cookies;
    }
}
