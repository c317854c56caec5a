package org.goldthistle.review;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * Tells every instance of the application that a review changed, once the change is stored: which one, and nothing of
 * it. PostgreSQL carries it.
 */
@Component
class News {
    static final String CHANNEL = "goldthistle_review";

    private final JdbcClient jdbc;
    private final ObjectMapper json;

    News(JdbcClient jdbc, ObjectMapper json) {
        this.jdbc = jdbc;
        this.json = json;
    }

    void changed(ReviewCase of) {
        jdbc.sql("select pg_notify(?, ?)")
                .params(CHANNEL, text(new Changed(of.surveyId(), of.id(), of.treeId())))
                .query((row, i) -> i)
                .list();
    }

    private String text(Changed changed) {
        try {
            return json.writeValueAsString(changed);
        } catch (JsonProcessingException broken) {
            throw new IllegalStateException("ids can be written as JSON", broken);
        }
    }

    /** What is told. */
    record Changed(UUID surveyId, UUID caseId, UUID treeId) {}
}
