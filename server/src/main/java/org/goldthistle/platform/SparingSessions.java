package org.goldthistle.platform;

import java.time.Duration;
import org.springframework.session.config.SessionRepositoryCustomizer;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;
import org.springframework.stereotype.Component;

/**
 * Writes the time of a session's last request down once a minute, not with each request: a session ends after hours
 * without one, and a row written with each would make every answer wait for the disk. Anything else about a session is
 * written at once.
 */
@Component
class SparingSessions implements SessionRepositoryCustomizer<JdbcIndexedSessionRepository> {
    private static final Duration COARSE = Duration.ofMinutes(1);

    @Override
    public void customize(JdbcIndexedSessionRepository sessions) {
        sessions.setUpdateSessionQuery("update %TABLE_NAME% set session_id = now.session_id,"
                + " last_access_time = now.last_access, max_inactive_interval = now.max_inactive,"
                + " expiry_time = now.expiry, principal_name = now.principal"
                + " from (values (cast(? as char(36)), cast(? as bigint), cast(? as int), cast(? as bigint),"
                + " cast(? as varchar))) as now (session_id, last_access, max_inactive, expiry, principal)"
                + " where primary_id = ? and (now.last_access >= last_access_time + " + COARSE.toMillis()
                + " or row(now.session_id, now.max_inactive, now.principal)"
                + " is distinct from row(%TABLE_NAME%.session_id, max_inactive_interval, principal_name))");
    }
}
