package org.goldthistle.platform;

import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ValveBase;
import org.apache.coyote.ActionCode;
import org.springframework.boot.web.embedded.tomcat.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.stereotype.Component;

/**
 * Lets the connection of a refused request be closed at once. The container would wait for the rest of its body, and whoever
 * never sends that would hold one of those who serve pages.
 */
@Component
class UnreadBodies implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {
    private static final String UNREAD = UnreadBodies.class.getName();

    /** Says of a request that the rest of its body is not waited for. */
    static void leave(HttpServletRequest request) {
        request.setAttribute(UNREAD, true);
    }

    @Override
    public void customize(TomcatServletWebServerFactory container) {
        container.addEngineValves(new Close());
    }

    private static final class Close extends ValveBase {
        private Close() {
            super(true); // takes requests that are answered later too
        }

        @Override
        public void invoke(Request request, Response response) throws IOException, ServletException {
            getNext().invoke(request, response);
            if (request.getAttribute(UNREAD) != null) {
                request.getCoyoteRequest().action(ActionCode.DISABLE_SWALLOW_INPUT, null);
            }
        }
    }
}
