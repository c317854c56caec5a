package org.goldthistle.review;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.Caller;
import org.goldthistle.SmallPicture;
import org.junit.jupiter.api.Test;

/** Who is to read a tree again learns nothing of the first reading until they have signed. */
class BlindReadingTest extends TreeUnderReview {
    @Test
    void until_the_second_reading_is_signed_nothing_of_the_first_is_sent() {
        sign(signedIn("Siskin"), "taxon", "serotina");
        Caller redpoll = signedIn("Redpoll");
        JsonNode row = rowOf(redpoll);

        redpoll.put(casePath(row) + "/taken", Map.of()).expect(200);

        for (String address : addressesOf(row)) {
            Caller.Answer answer = redpoll.get(address);
            assertThat(answer.status()).as(address).isIn(200, 204);
            boolean ofTheTree = address.contains(tree.toString()) || address.contains(plot.toString());
            assertThat(answer.text()).as(address).doesNotContain(ofTheTree ? SECRETS : WORDS);
        }
        JsonNode bench = redpoll.get(treePath() + "/bench").expect(200);
        assertThat(bench.path("blind").asBoolean()).isTrue();
        assertThat(bench.path("determinations")).isEmpty();
        assertThat(bench.path("readings")).isEmpty();
        JsonNode inPlot = redpoll.get(surveyPath() + "/plots/" + plot + "/trees")
                .expect(200)
                .get(0);
        assertThat(inPlot.path("standsAs").asText()).isEqualTo("review");
        assertThat(inPlot.path("contested").asBoolean()).isFalse();
        assertThat(row.path("reasons")).isEmpty();
        assertThat(row.path("calls")).isEmpty();
        // the first reader sees their own
        assertThat(signedIn("Siskin").get(treePath() + "/bench").expect(200).path("determinations"))
                .hasSize(1);

        sign(redpoll, "taxon", "serotina");

        assertThat(redpoll.get(treePath() + "/bench").expect(200).path("determinations"))
                .hasSize(2);
        assertThat(redpoll.get(treePath() + "/history").expect(200).toString()).contains("Siskin");
    }

    @Test
    void a_blind_reader_is_told_what_would_settle_it_and_not_who_leads() {
        sign(signedIn("Siskin"), "taxon", "serotina");
        Caller redpoll = signedIn("Redpoll");

        JsonNode blind =
                redpoll.put(casePath(rowOf(redpoll)) + "/taken", Map.of()).expect(200);

        assertThat(blind.path("mine").asBoolean()).isTrue();
        assertThat(blind.path("blind").asBoolean()).isTrue();
        assertThat(blind.at("/proposal/characters")).isNotEmpty();
        assertThat(blind.path("readings")).isEmpty();
        assertThat(blind.path("mayDecide").asBoolean()).isFalse();
    }

    @Test
    void a_photo_that_bears_its_measure_is_kept_from_who_reads_blind() {
        Caller siskin = signedIn("Siskin");
        siskin.putBytes(treePath() + "/photos/" + UUID.randomUUID(), SmallPicture.png(1))
                .expect(200);
        siskin.putBytes(treePath() + "/photos/" + UUID.randomUUID() + "?character=leaf-length", SmallPicture.png(2))
                .expect(200);
        siskin.put(
                        treePath() + "/readings/" + UUID.randomUUID(),
                        Map.of(
                                "character",
                                "leaf-length",
                                "notSeen",
                                false,
                                "values",
                                List.of(81.2),
                                "taken",
                                List.of(Map.of("error", 0.3))))
                .expect(200);
        siskin.put(treePath() + "/determinations/" + UUID.randomUUID(), signature(siskin))
                .expect(200);
        Caller redpoll = signedIn("Redpoll");

        JsonNode blind =
                redpoll.put(casePath(rowOf(redpoll)) + "/taken", Map.of()).expect(200);

        assertThat(blind.path("photos")).hasSize(1);
    }

    @Test
    void agreement_leaves_out_what_is_still_to_be_read_blind() {
        sign(signedIn("Siskin"), "taxon", "serotina");
        Caller redpoll = signedIn("Redpoll");
        JsonNode row = rowOf(redpoll);
        sign(redpoll, "group", null);
        int seen = cherries(signedIn("Nuthatch"));
        int seenByReader = cherries(redpoll);

        redpoll.put(
                        decision(row),
                        decision("third-look", redpoll.get(casePath(row)).expect(200), "", 0))
                .expect(200);

        assertThat(cherries(signedIn("Nuthatch"))).isEqualTo(seen - 1);
        assertThat(cherries(redpoll)).isEqualTo(seenByReader);
        redpoll.get(casePath(row) + "/file").expectProblem(409, "not-settled");
    }

    private static int cherries(Caller caller) {
        for (JsonNode group :
                caller.get(surveyPath() + "/agreement").expect(200).path("groups")) {
            if (group.path("groupId").asText().equals("bird-cherries")) {
                return group.path("trees").asInt();
            }
        }
        return 0;
    }

    @Test
    void a_third_look_is_blind_to_the_third_and_open_to_the_first_two() {
        sign(signedIn("Siskin"), "taxon", "serotina");
        Caller redpoll = signedIn("Redpoll");
        JsonNode row = rowOf(redpoll);
        sign(redpoll, "group", null);

        JsonNode asked = redpoll.put(
                        decision(row),
                        decision("third-look", redpoll.get(casePath(row)).expect(200), "", 0))
                .expect(200);

        assertThat(asked.path("state").asText()).isEqualTo("waiting");
        assertThat(asked.path("looks").asInt()).isEqualTo(2);
        assertThat(asked.path("readings")).hasSize(2);
        assertThat(signedIn("Siskin")
                        .get(casePath(row))
                        .expect(200)
                        .path("blind")
                        .asBoolean())
                .isFalse();
        Caller nuthatch = signedIn("Nuthatch");
        assertThat(nuthatch.get(casePath(row)).text()).doesNotContain(SECRETS);
        nuthatch.put(casePath(row) + "/words/" + UUID.randomUUID(), Map.of("body", "Let me see."))
                .expectProblem(403, "read-first");

        nuthatch.put(casePath(row) + "/taken", Map.of()).expect(200);
        sign(nuthatch, "taxon", "serotina");

        assertThat(nuthatch.get(casePath(row)).expect(200).path("readings")).hasSize(3);
    }

    @Test
    void only_two_blind_signatures_second_a_control_call() {
        Caller siskin = signedIn("Siskin");
        sign(siskin, "taxon", "serotina");
        Caller redpoll = signedIn("Redpoll");
        sign(redpoll, "taxon", "serotina"); // blind, since a case waits
        Caller wren = signedIn("Wren");
        sign(wren, "taxon", "serotina"); // after both faced each other on the table
        changeSurvey(signedIn("Treecreeper"), set -> set.put("controlUsed", true))
                .expect(200);

        for (Caller one : List.of(siskin, redpoll, wren)) {
            JsonNode bench =
                    one.put(treePath() + "/tier", Map.of("tier", "control")).expect(200);
            boolean asked = bench.at("/judgement/stillNeeded").toString().contains("second-observer");
            assertThat(asked).isEqualTo(one == wren);
        }
    }

    private List<String> addressesOf(JsonNode row) {
        List<String> all = new ArrayList<>(List.of(
                casePath(row),
                surveyPath() + "/review",
                surveyPath() + "/review?plot=" + plot,
                surveyPath() + "/review?reason=tier&plot=" + plot,
                surveyPath() + "/review?settled=true",
                surveyPath() + "/export.csv",
                surveyPath() + "/export.geojson",
                surveyPath() + "/readings.csv",
                surveyPath() + "/today",
                surveyPath() + "/plots",
                surveyPath() + "/plots/" + plot,
                surveyPath() + "/plots/" + plot + "/trees",
                surveyPath() + "/along?plot=" + plot,
                surveyPath() + "/trees?find=churn%207",
                treePath(),
                treePath() + "/review",
                treePath() + "/history",
                treePath() + "/outlook"));
        return all;
    }
}
