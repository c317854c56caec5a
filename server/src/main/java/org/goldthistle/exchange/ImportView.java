package org.goldthistle.exchange;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.goldthistle.core.RefusedException;
import org.goldthistle.formats.FileRow;
import org.goldthistle.formats.RowFile;
import org.goldthistle.formats.SurveyField;
import org.goldthistle.formats.TextEncoding;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Lays out a file on its way in: its first rows, what its columns hold, and what is wrong with it. */
@Component
class ImportView {
    private static final Logger LOG = LoggerFactory.getLogger(ImportView.class);
    private static final int SAMPLE_ROWS = 4;
    private static final int SHOWN_PROBLEMS = 200;

    private final SentFiles sent;
    private final KeptFile files;
    private final JdbcClient jdbc;

    ImportView(SentFiles sent, KeptFile files, JdbcClient jdbc) {
        this.sent = sent;
        this.files = files;
        this.jdbc = jdbc;
    }

    /** A file as it stands. */
    ImportDto of(UUID surveyId, UUID importId, UUID observerId) {
        SentFile kept = sent.own(surveyId, importId, observerId);
        List<String> headings = kept.headings();
        List<List<String>> sample = new ArrayList<>();
        try (RowFile rows = files.rows(importId, kept.format(), kept.encoding(), read -> {})) {
            while (sample.size() < SAMPLE_ROWS) {
                Optional<FileRow> row = rows.next();
                if (row.isEmpty()) {
                    break;
                }
                sample.add(headings.stream()
                        .map(heading -> row.get().cells().getOrDefault(heading, ""))
                        .toList());
            }
        } catch (IOException | RefusedException brokenFurtherOn) {
            LOG.debug(
                    "import {} cannot be read to the end of its sample; its check tells where",
                    importId,
                    brokenFurtherOn);
        }
        return new ImportDto(
                importId,
                kept.name(),
                kept.format(),
                kept.encoding().code(),
                Arrays.stream(TextEncoding.values()).map(TextEncoding::code).toList(),
                kept.state(),
                headings,
                sample,
                kept.columns(),
                fields(),
                kept.rowsDone(),
                kept.shareDone(),
                kept.plotsNew(),
                kept.treesNew(),
                kept.problems(),
                problems(importId),
                kept.oddMedian(),
                kept.told());
    }

    private static List<ImportDto.FieldDto> fields() {
        List<ImportDto.FieldDto> fields = new ArrayList<>();
        for (SurveyField field : SurveyField.values()) {
            fields.add(new ImportDto.FieldDto(field.code(), field.units()));
        }
        return fields;
    }

    private List<ImportDto.ProblemDto> problems(UUID importId) {
        return jdbc.sql("select place, heading, problem from import_problem where import_id = ? order by place, heading"
                        + " limit " + SHOWN_PROBLEMS)
                .param(importId)
                .query((row, i) -> new ImportDto.ProblemDto(
                        row.getLong("place"), row.getString("heading"), row.getString("problem")))
                .list();
    }
}
