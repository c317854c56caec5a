package org.goldthistle.exchange;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.UUID;
import org.goldthistle.sight.Scope;
import org.goldthistle.sight.Sights;
import org.goldthistle.survey.SurveyedTree;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;

/** Reads the rows of a survey one by one, so that its size is of no matter, and as they were at one instant. */
@Component
class SurveyRows {
    /** Whether what was made of {@code tree t} is open to an observer, who is the parameter. */
    static final String SHOWN = SurveyedTree.SHOWN.replace(":observer", "?");

    private static final int FETCHED_AT_ONCE = 1000;
    private static final String OPEN =
            "select t.id from tree t join plot p on p.id = t.plot_id where p.survey_id = ? and " + SHOWN;

    private final Sights sights;
    private final JdbcTemplate jdbc;
    private final TransactionTemplate reading;

    SurveyRows(Sights sights, JdbcTemplate jdbc, PlatformTransactionManager transactions) {
        this.sights = sights;
        this.jdbc = jdbc;
        this.reading = new TransactionTemplate(transactions);
        this.reading.setReadOnly(true);
        this.reading.setIsolationLevel(TransactionDefinition.ISOLATION_REPEATABLE_READ);
    }

    /** Writes one row; what it writes to may break. */
    interface RowWriter {
        void write(ResultSet row) throws IOException, SQLException;
    }

    /** Notes that an observer is shown what was made of all trees that are open to them, before the first row leaves. */
    void note(UUID surveyId, UUID observerId) {
        sights.shown(observerId, Scope.EXPORT, jdbc.queryForList(OPEN, UUID.class, surveyId, observerId));
    }

    /** What is read while a file is written; what it is written to may break. */
    interface Writing {
        void write() throws IOException;
    }

    /** Lets all that is read meanwhile be as it was when this began, so that what is written of it goes together. */
    void atOneInstant(Writing writing) {
        reading.executeWithoutResult(begun -> {
            try {
                writing.write();
            } catch (IOException hungUp) {
                throw new UncheckedIOException(hungUp);
            }
        });
    }

    /** Reads a query, whose last parameter is the survey, and those before it the observer. */
    void read(String query, UUID surveyId, UUID observerId, RowWriter writer) {
        reading.executeWithoutResult(begun -> readNow(query, surveyId, observerId, writer));
    }

    private void readNow(String query, UUID surveyId, UUID observerId, RowWriter writer) {
        jdbc.query(
                (Connection connection) -> {
                    PreparedStatement statement = connection.prepareStatement(query);
                    statement.setFetchSize(FETCHED_AT_ONCE);
                    int last = statement.getParameterMetaData().getParameterCount();
                    for (int i = 1; i < last; i++) {
                        statement.setObject(i, observerId);
                    }
                    statement.setObject(last, surveyId);
                    return statement;
                },
                row -> {
                    try {
                        writer.write(row);
                    } catch (IOException hungUp) {
                        throw new UncheckedIOException(hungUp);
                    }
                });
    }
}
