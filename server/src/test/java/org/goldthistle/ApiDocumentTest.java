package org.goldthistle;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Properties;
import java.util.Set;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What the API's document says to somebody who has nothing else. */
class ApiDocumentTest extends ServerTest {
    private JsonNode document;

    @BeforeEach
    void fetch() {
        document = stranger().get("/api/docs").expect(200);
    }

    private record Operation(String address, JsonNode says) {}

    private List<Operation> operations() {
        List<Operation> found = new ArrayList<>();
        document.path("paths")
                .properties()
                .forEach(path -> path.getValue()
                        .properties()
                        .forEach(method ->
                                found.add(new Operation(method.getKey() + " " + path.getKey(), method.getValue()))));
        return found;
    }

    @Test
    void every_operation_and_all_that_it_takes_is_told_in_words() {
        List<String> silent = new ArrayList<>();
        for (Operation one : operations()) {
            if (one.says().path("summary").asText().isBlank()
                    || one.says().path("description").asText().isBlank()) {
                silent.add(one.address());
            }
            for (JsonNode parameter : one.says().path("parameters")) {
                if (parameter.path("description").asText().isBlank()) {
                    silent.add(one.address() + " " + parameter.path("name").asText());
                }
            }
        }

        assertThat(silent).isEmpty();
        assertThat(operations()).hasSizeGreaterThan(90);
    }

    @Test
    void every_field_is_told_in_words() {
        List<String> silent = new ArrayList<>();
        for (Map.Entry<String, JsonNode> schema :
                document.path("components").path("schemas").properties()) {
            for (Map.Entry<String, JsonNode> field :
                    schema.getValue().path("properties").properties()) {
                if (field.getValue().path("description").asText().isBlank()) {
                    silent.add(schema.getKey() + "." + field.getKey());
                }
            }
        }

        assertThat(silent)
                .as("say it in the Javadoc, or once in api-words.properties")
                .isEmpty();
    }

    @Test
    void every_word_of_the_list_says_something() throws IOException {
        var words = new Properties();
        try (Reader list = new InputStreamReader(
                getClass().getResourceAsStream("/api-words.properties"), StandardCharsets.UTF_8)) {
            words.load(list);
        }
        Set<String> said = new HashSet<>();
        document.path("components")
                .path("schemas")
                .properties()
                .forEach(schema -> schema.getValue()
                        .path("properties")
                        .properties()
                        .forEach(field -> {
                            String means = field.getValue().path("description").asText();
                            said.add(schema.getKey() + "." + field.getKey() + "=" + means);
                            said.add(field.getKey() + "=" + means);
                        }));
        operations()
                .forEach(one -> one.says()
                        .path("parameters")
                        .forEach(parameter -> said.add(parameter.path("name").asText() + "="
                                + parameter.path("description").asText())));

        List<String> unsaid = words.stringPropertyNames().stream()
                .filter(key -> !said.contains(key + "=" + words.getProperty(key)))
                .toList();

        assertThat(unsaid).as("take it out of api-words.properties").isEmpty();
    }

    @Test
    void every_answer_that_refuses_lists_the_problems_that_it_can_have() {
        JsonNode signing =
                document.at("/paths/~1api~1surveys~1{surveyId}~1trees~1{treeId}~1determinations~1{determinationId}"
                        + "/put/responses");
        assertThat(signing.at("/422/x-problem-types").toString())
                .contains("/problems/not-signable", "/problems/reason-without-reading");
        assertThat(signing.at("/409/x-problem-types").toString())
                .contains("/problems/readings-changed", "/problems/survey-closed");
        assertThat(signing.at("/404/description").asText())
                .contains("`/problems/no-such-tree`: The survey has no such tree");
        for (Operation one : operations()) {
            boolean reads = one.address().startsWith("get ");
            assertThat(one.says().path("responses").has("409") || reads)
                    .as(one.address())
                    .isTrue();
            for (Map.Entry<String, JsonNode> answer :
                    one.says().path("responses").properties()) {
                if (answer.getKey().matches("[45].*")) {
                    assertThat(answer.getValue().path("x-problem-types"))
                            .as("%s %s", one.address(), answer.getKey())
                            .isNotEmpty();
                }
            }
        }
    }

    @Test
    void every_closed_choice_is_an_enum_whose_codes_are_told() {
        JsonNode schemas = document.at("/components/schemas");
        List<String> silent = new ArrayList<>();
        for (Map.Entry<String, JsonNode> schema : schemas.properties()) {
            for (JsonNode code : schema.getValue().path("enum")) {
                if (!schema.getValue().path("description").asText().matches("(?s).*`" + code.asText() + "`: \\S.*")) {
                    silent.add(schema.getKey() + " " + code.asText());
                }
            }
        }

        assertThat(silent).as("say it in the enum's Javadoc").isEmpty();
        assertThat(schemas.at("/LifeStage/enum").toString())
                .isEqualTo("[\"seedling\",\"sapling\",\"pole\",\"mature\"]");
        assertThat(schemas.at("/Circumstances/properties/stage/$ref").asText()).endsWith("/LifeStage");
        assertThat(schemas.at("/Circumstances/properties/habitat/items/$ref").asText())
                .endsWith("/Habitat");
        assertThat(schemas.at("/NewReading/properties/certainty/oneOf/0/$ref").asText())
                .endsWith("/Certainty");
        assertThat(schemas.at("/SurveyDto/properties/school").toString()).contains("/School");
    }

    @Test
    void each_operation_shows_what_was_once_sent_and_what_came_back() {
        List<String> silent = new ArrayList<>();
        for (Operation one : operations()) {
            JsonNode answered = one.says().at("/responses/200/content/application~1json");
            JsonNode sent = one.says().at("/requestBody/content/application~1json");
            boolean file = answered.at("/schema/type").asText().equals("string");
            if (!answered.isMissingNode() && !file && !answered.has("example")
                    || !sent.isMissingNode() && !sent.has("example")) {
                silent.add(one.says().path("operationId").asText());
            }
        }

        silent.remove("exportCase"); // whose file holds a whole sheet
        assertThat(silent)
                .as("run the server's tests with -Dgoldthistle.examples.write=true, then ./goldthistle openapi")
                .isEmpty();
    }

    @Test
    void ids_speak_and_stay() {
        List<String> ids = operations().stream()
                .map(one -> one.says().path("operationId").asText())
                .toList();

        assertThat(ids).doesNotHaveDuplicates().allMatch(id -> id.matches("[a-z]+([A-Z][a-z]*)*"));
        assertThat(ids).noneMatch(id -> id.matches(".*_\\d+"));
    }

    @Test
    void every_refusal_is_a_problem_and_whoever_must_sign_in_is_told() {
        for (Operation one : operations()) {
            JsonNode answers = one.says().path("responses");
            boolean forAnybody = one.says().path("security").isArray()
                    && one.says().path("security").isEmpty();
            assertThat(answers.at("/401/x-problem-types").toString().contains("not-signed-in"))
                    .as(one.address())
                    .isNotEqualTo(forAnybody);
            for (Map.Entry<String, JsonNode> answer : answers.properties()) {
                if (answer.getKey().startsWith("4")) {
                    assertThat(answer.getValue()
                                    .at("/content/application~1problem+json/schema/$ref")
                                    .asText())
                            .as("%s %s", one.address(), answer.getKey())
                            .endsWith("/Problem");
                }
            }
        }
    }

    @Test
    void streams_and_files_say_what_they_are() {
        assertThat(document.at("/components/schemas").has("SseEmitter")).isFalse();
        assertThat(document.at("/components/schemas").has("StreamingResponseBody"))
                .isFalse();
        assertThat(document.toString()).contains("server-sent events").contains("\"text/csv");
    }
}
