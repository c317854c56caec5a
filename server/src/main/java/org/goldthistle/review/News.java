package org.goldthistle.review;

import java.util.UUID;
import org.goldthistle.platform.KeptJson;
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
    private final KeptJson json;

    News(JdbcClient jdbc, KeptJson json) {
        this.jdbc = jdbc;
        this.json = json;
    }

    void changed(ReviewCase of) {
        jdbc.sql("select pg_notify(?, ?)")
                .params(CHANNEL, json.text(new Changed(of.surveyId(), of.id(), of.treeId())))
                .query((row, i) -> i)
                .list();
    }

    /** What is told. */
    record Changed(UUID surveyId, UUID caseId, UUID treeId) {}
}
