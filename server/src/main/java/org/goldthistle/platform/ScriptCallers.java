package org.goldthistle.platform;

import jakarta.servlet.http.HttpServletRequest;
import org.springframework.security.core.Authentication;

/** Knows the observers whose scripts call with a token. */
public interface ScriptCallers {
    /**
     * Who calls.
     *
     * @param secret of the token
     * @throws Problem if no token has it, or that token is not for such a request
     */
    Authentication caller(String secret, HttpServletRequest request);
}
