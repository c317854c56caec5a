package org.goldthistle.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.Caller;
import org.goldthistle.ServerTest;
import org.junit.jupiter.api.BeforeEach;

/** A survey of each test’s own, into which files are brought. */
abstract class ImportedSurvey extends ServerTest {
    protected static final String HEADING =
            "plot,lat,lon,radius m,tag,azimuth,distance,dbh cm,stage,origin,group,taxon,clone of\n";

    protected final UUID survey = UUID.randomUUID();
    protected Caller lead;

    @BeforeEach
    void an_empty_survey() {
        lead = signedIn("Treecreeper");
        newSurvey(survey);
    }

    protected String checked(String content, int problems) {
        JsonNode sent = sendBytes(content.getBytes(StandardCharsets.UTF_8)).expect(200);
        String file = path() + "/imports/" + sent.path("id").asText();
        lead.put(file + "/columns", Map.of("columns", sent.path("columns"))).expect(200);
        JsonNode checked = ended(file, "checked");
        assertThat(checked.path("problemCount").asInt())
                .as("problems %s", checked.path("problems"))
                .isEqualTo(problems);
        return file;
    }

    protected Caller.Answer sendBytes(byte[] content) {
        return lead.putBytes(path() + "/imports/" + UUID.randomUUID() + "?name=trees", content);
    }

    protected JsonNode ended(String file, String state) {
        JsonNode ended = await().atMost(Duration.ofMinutes(5))
                .until(
                        () -> lead.get(file).expect(200),
                        now -> !now.path("state").asText().endsWith("ing"));
        assertThat(ended.path("state").asText()).as(ended.path("told").asText()).isEqualTo(state);
        return ended;
    }

    protected String path() {
        return "/api/surveys/" + survey;
    }

    protected void newSurvey(UUID id) {
        for (JsonNode one : lead.get("/api/surveys").expect(200)) {
            if (one.path("id").asText().equals(demoId("survey Tarnholt").toString())) {
                ObjectNode settings = one.deepCopy();
                settings.remove(List.of("id", "closedAt", "version"));
                lead.put("/api/surveys/" + id, settings.put("name", "Exchange " + id))
                        .expect(200);
            }
        }
    }
}
