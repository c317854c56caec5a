package org.goldthistle.account;

import java.util.UUID;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Component;

/** Ends the sessions of an observer, on whichever device and instance they are. */
@Component
class Sessions {
    private final FindByIndexNameSessionRepository<? extends Session> sessions;

    Sessions(FindByIndexNameSessionRepository<? extends Session> sessions) {
        this.sessions = sessions;
    }

    void end(UUID observerId) {
        sessions.findByPrincipalName(observerId.toString()).keySet().forEach(sessions::deleteById);
    }
}
