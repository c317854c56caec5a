package org.goldthistle.plotlist;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.Caller;
import org.goldthistle.ServerTest;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Everything that happened to a tree, for whoever may see it. */
class TreeHistoryTest extends ServerTest {
    private UUID tree;

    @BeforeEach
    void a_birch_of_its_own() {
        tree = UUID.randomUUID();
        plant(signedIn("Siskin"), UUID.randomUUID(), tree, "birches");
    }

    @Test
    void readings_marks_and_what_was_taken_back_are_told_in_words_the_latest_first() {
        Caller siskin = signedIn("Siskin");
        later(Duration.ofMinutes(1));
        siskin.put(path("/gate/" + UUID.randomUUID()), Map.of("item", gateItem(siskin), "mark", "fits"))
                .expect(200);
        for (Map<String, Object> reading : List.<Map<String, Object>>of(
                Map.of("character", "dft", "values", List.of(11, 9.5), "certainty", "fairly", "notSeen", false),
                Map.of("character", "twig-warts", "notSeen", true),
                Map.of("character", "dft", "notSeen", false, "withdrawn", true))) {
            later(Duration.ofMinutes(1));
            siskin.put(path("/readings/" + UUID.randomUUID()), reading).expect(200);
        }

        List<String> told = told(siskin);

        assertThat(told.get(0)).startsWith("Siskin took back what was read of “DFT");
        assertThat(told.get(1)).startsWith("Siskin could not see “");
        assertThat(told.get(2)).startsWith("Siskin read “DFT").endsWith(": 11, 9.5 mm, fairly");
        assertThat(told.get(3)).startsWith("Siskin found that it fits: ");
        assertThat(told.get(4)).startsWith("Siskin recorded the tree");
    }

    @Test
    void what_somebody_else_reads_is_there_once_they_signed() {
        Caller siskin = signedIn("Siskin");
        siskin.put(
                        path("/readings/" + UUID.randomUUID()),
                        Map.of("character", "dft", "values", List.of(11), "notSeen", false))
                .expect(200);

        siskin.put(path("/tier"), Map.of("tier", "record")).expect(200);

        assertThat(told(signedIn("Treecreeper")))
                .noneMatch(one -> one.contains("DFT") || one.contains("what the call is for"));
        assertThat(told(siskin)).anyMatch(one -> one.contains("what the call is for"));

        List<String> ids = new ArrayList<>();
        siskin.get(path("/bench"))
                .expect(200)
                .path("readings")
                .forEach(one -> ids.add(one.path("id").asText()));
        siskin.put(path("/determinations/" + UUID.randomUUID()), signature("laboratory", ids))
                .expect(200);
        assertThat(told(siskin)).anyMatch(one -> one.startsWith("Siskin signed the call"));
        assertThat(told(siskin)).anyMatch(one -> one.contains("DFT"));
    }

    @Test
    void the_demo_s_trees_were_recorded_before_they_were_read_and_read_before_they_were_signed() {
        Caller redpoll = signedIn("Redpoll");
        int signed = 0;
        for (JsonNode plot : redpoll.get(surveyPath() + "/plots").expect(200)) {
            JsonNode trees = redpoll.get(
                            surveyPath() + "/plots/" + plot.path("id").asText() + "/trees")
                    .expect(200);
            for (JsonNode one : trees) {
                if (one.path("standsAs").asText().equals("taxon") && signed < 20) {
                    signed++;
                    assertInOrder(redpoll.get(
                                    surveyPath() + "/trees/" + one.path("id").asText() + "/history")
                            .expect(200));
                }
            }
        }
        assertThat(signed).isPositive();
    }

    private static void assertInOrder(JsonNode latestFirst) {
        List<String> done = new ArrayList<>();
        Instant after = Instant.MAX;
        for (JsonNode one : latestFirst) {
            Instant at = Instant.parse(one.path("at").asText());
            assertThat(at).isBeforeOrEqualTo(after);
            after = at;
            done.add(one.path("what").asText());
        }
        assertThat(done.get(done.size() - 1)).as("the first of %s", done).isEqualTo("recorded the tree");
        assertThat(done.indexOf("signed the call"))
                .as("signed after everything that was read: %s", done)
                .isNotNegative();
    }

    private List<String> told(Caller caller) {
        List<String> told = new ArrayList<>();
        for (JsonNode one : caller.get(path("/history")).expect(200)) {
            told.add(one.path("observer").asText() + " " + one.path("what").asText()
                    + (one.path("after").isTextual() ? ": " + one.path("after").asText() : ""));
        }
        return told;
    }

    private static String gateItem(Caller caller) {
        JsonNode groups = caller.get("/api/sheets").expect(200);
        for (JsonNode group : groups) {
            if (group.path("groupId").asText().equals("birches")) {
                return caller.get("/api/sheets/" + group.path("versionId").asText())
                        .expect(200)
                        .at("/gate/0/id")
                        .asText();
            }
        }
        throw new AssertionError("the library has birches");
    }

    private String path(String of) {
        return surveyPath() + "/trees/" + tree + of;
    }
}
