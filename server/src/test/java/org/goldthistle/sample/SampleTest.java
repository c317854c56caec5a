package org.goldthistle.sample;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.lowagie.text.pdf.PdfReader;
import com.lowagie.text.pdf.parser.PdfTextExtractor;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.Caller;
import org.goldthistle.TestLaboratory;
import org.goldthistle.review.TreeUnderReview;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** A sample from being asked for to being weighed, and what goes wrong with laboratories. */
class SampleTest extends TreeUnderReview {
    private static final ObjectMapper JSON = new ObjectMapper();

    @Autowired
    private LaboratoryPost post;

    private Caller siskin;
    private Caller redpoll;

    @BeforeEach
    void people() {
        siskin = signedIn("Siskin");
        redpoll = signedIn("Redpoll");
    }

    @Test
    void a_sample_goes_from_the_table_to_the_laboratory_and_back() {
        sign(siskin, "taxon", "serotina");
        sign(redpoll, "group", null);
        Caller lead = signedIn("Treecreeper");
        JsonNode row = rowOf(lead);
        JsonNode table = lead.get(casePath(row)).expect(200);
        lead.put(decision(row), decision("laboratory", table, "", 0)).expect(200);

        JsonNode asked = sampleOf(siskin);
        assertThat(asked.path("step").asText()).isEqualTo("asked");
        assertThat(asked.at("/life/0/by").asText()).isEqualTo("Treecreeper");
        assertThat(codes(siskin.get(surveyPath() + "/today").expect(200).path("samples")))
                .contains(asked.path("code").asText());
        JsonNode taken = step(siskin, asked, "taken").expect(200);
        JsonNode parcel = pack(siskin, taken).expect(200);
        post.goRound();
        assertThat(sampleOf(siskin).path("step").asText()).isEqualTo("received");
        later(TestLaboratory.TAKES);
        post.goRound();

        JsonNode answered = sampleOf(signedIn("Siskin"));
        assertThat(answered.path("step").asText()).isIn("answered", "spoilt"); // some samples fail
        assertThat(answered.path("results"))
                .hasSize(answered.path("step").asText().equals("answered") ? 1 : 0);
        assertThat(answered.path("parcel")).isEqualTo(parcel.path("code"));
    }

    @Test
    void a_result_is_evidence_at_the_table_and_is_weighed_with_the_decision() {
        sign(siskin, "taxon", "serotina");
        sign(redpoll, "group", null);
        Caller lead = signedIn("Treecreeper");
        JsonNode row = rowOf(lead);
        JsonNode table = lead.get(casePath(row)).expect(200);
        lead.put(decision(row), decision("laboratory", table, "", 0)).expect(200);
        String label = sent().path("code").asText();
        say(sequence(label, "Prunus padus"));
        post.goRound();

        JsonNode found = lead.get(casePath(row)).expect(200);
        assertThat(found.at("/laboratory/results/0/fits").toString()).isEqualTo("[\"bird cherry\"]");
        assertThat(found.at("/laboratory/results/0/error").asDouble()).isBetween(0.001, 0.1);
        assertThat(found.at("/joint/withSurroundings/shares"))
                .as("the laboratory speaks against what was read")
                .isNotEqualTo(table.at("/joint/withSurroundings/shares"));
        assertThat(codes(lead.get(surveyPath() + "/today").expect(200).path("samples")))
                .contains(label);
        Map<String, Object> result = new HashMap<>(decision("laboratory-result", found, "report " + label, 0));
        result.put("taxon", "padus");
        lead.put(decision(row), result).expect(200);
        assertThat(sampleOf(lead).path("step").asText()).isEqualTo("weighed");
        assertThat(sampleOf(lead).path("ended").asBoolean()).isTrue();
        JsonNode lessons = lead.get(surveyPath() + "/lessons").expect(200);
        assertThat(lessons.toString()).contains("bird-cherries");
    }

    @Test
    void a_tree_that_it_makes_certain_counts_among_the_records_of_the_next_season() {
        Caller lead = signedIn("Treecreeper");
        int before = recordsOfNextSeason(lead);
        say(sequence(sent().path("code").asText(), "Prunus serotina"));
        post.goRound();

        assertThat(recordsOfNextSeason(lead)).isEqualTo(before + 1);
    }

    private static int recordsOfNextSeason(Caller lead) {
        UUID next = UUID.randomUUID();
        return lead.put(
                        surveyPath() + "/season/next",
                        Map.of("id", next, "name", "Kettle Moss round " + next, "season", 2027))
                .expect(200)
                .path("records")
                .asInt();
    }

    @Test
    void what_the_laboratory_says_of_others_or_in_no_words_of_ours_is_told_and_nothing_is_lost() throws IOException {
        String label = sent().path("code").asText();
        say(sequence("NOBODY-1-A", "Prunus padus"));
        say((ObjectNode) JSON.readTree("{\"sample\":\"" + label + "\",\"analysis\":\"smell\"}"));
        say((ObjectNode)
                JSON.readTree("{\"sample\":\"" + label + "\",\"analysis\":\"sequence\",\"found\":{\"taxon\":7}}"));
        say(sequence(label + "\u0000", "Prunus padus")); // nothing a database keeps
        say(sequence("<script>alert(1)</script>", "Prunus padus"));
        ObjectNode foreign = JSON.createObjectNode().put("sample", label).put("analysis", "markers");
        foreign.putObject("found")
                .put("first", "Quercus robur")
                .put("second", "Quercus petraea")
                .put("share", 0.5)
                .put("low", 0.4)
                .put("high", 0.6);
        say(foreign);
        say(sequence(label, "Quercus robur"));
        say(sequence(label, "Prunus serotina"));
        post.goRound();

        JsonNode all = siskin.get(surveyPath() + "/samples").expect(200);
        assertThat(all.path("troubles").findValuesAsText("why"))
                .anyMatch(why -> why.contains("NOBODY-1-A"))
                .anyMatch(why -> why.contains("ploidy") && why.contains("sequence"))
                .anyMatch(why -> why.contains("found.taxon"))
                .anyMatch(why -> why.contains("the code on its label"))
                .anyMatch(why -> why.contains("<script>"))
                .anyMatch(why -> why.contains("counts for nothing"));
        JsonNode results = sampleOf(siskin).path("results");
        assertThat(results.findValuesAsText("told"))
                .hasSize(2)
                .anyMatch(told -> told.contains("no Quercus robur"))
                .anyMatch(told -> told.contains("answered before"));
        int messages = all.path("troubles").size();
        post.goRound();
        assertThat(siskin.get(surveyPath() + "/samples").expect(200).path("troubles"))
                .as("nothing is taken twice")
                .hasSize(messages);
    }

    @Test
    void a_result_of_a_withdrawn_sample_counts_for_nothing() {
        JsonNode sample = sent();
        step(siskin, sample, "withdrawn").expect(200);
        say(sequence(sample.path("code").asText(), "Prunus padus"));
        post.goRound();

        assertThat(sampleOf(siskin).path("results")).isEmpty();
        assertThat(siskin.get(surveyPath() + "/samples")
                        .expect(200)
                        .path("troubles")
                        .findValuesAsText("why"))
                .anyMatch(why -> why.contains("withdrawn"));
    }

    @Test
    void steps_go_forward_from_where_they_were_seen_and_a_step_sent_twice_is_one() {
        JsonNode asked = ask(siskin, "leaf", "sequence").expect(200);
        String path = surveyPath() + "/samples/" + asked.path("id").asText() + "/steps/" + UUID.randomUUID();
        Map<String, Object> taken = Map.of("step", "taken", "from", "asked", "note", "");
        siskin.put(path, taken).expect(200);
        assertThat(siskin.put(path, taken).expect(200).path("life")).hasSize(2);
        step(redpoll, asked, "withdrawn").expectProblem(409, "stale");
        JsonNode now = sampleOf(siskin);
        step(siskin, now, "weighed").expectProblem(422, "unfit-sample");
        step(siskin, now, "packed").expectProblem(422, "unfit-sample");
        ask(siskin, "root", "sequence").expectProblem(422, "unfit-sample");
        ask(siskin, "leaf", "markers").expectProblem(422, "unfit-sample"); // bird cherries have no hybrid
        siskin.put(
                        surveyPath() + "/samples/" + UUID.randomUUID() + "/steps/" + UUID.randomUUID(),
                        Map.of("step", "taken", "from", "asked", "note", ""))
                .expectProblem(404, "no-such-sample");
        assertThat(ask(redpoll, "bud", "ploidy").expect(200).path("code").asText())
                .isNotEqualTo(asked.path("code").asText());
    }

    @Test
    void labels_and_the_parcels_list_are_pages_to_print() throws IOException {
        JsonNode taken = step(siskin, ask(siskin, "leaf", "sequence").expect(200), "taken")
                .expect(200);
        String label = taken.path("code").asText();
        PdfReader labels = new PdfReader(siskin.bytes(surveyPath() + "/samples/labels.pdf"));
        StringBuilder text = new StringBuilder();
        for (int page = 1; page <= labels.getNumberOfPages(); page++) {
            text.append(new PdfTextExtractor(labels).getTextFromPage(page));
        }
        assertThat(text.toString().replaceAll("\\s", "")).contains(label);
        String parcel = surveyPath() + "/parcels/"
                + pack(siskin, taken).expect(200).path("id").asText();
        assertThat(new PdfTextExtractor(new PdfReader(siskin.bytes(parcel + "/list.pdf")))
                        .getTextFromPage(1)
                        .replaceAll("\\s", ""))
                .contains(label)
                .contains("2026-09-14");
        assertThat(new String(siskin.bytes(parcel + "/list.csv"), StandardCharsets.UTF_8))
                .startsWith("label,plot,tree")
                .contains(label);
        pack(siskin, taken).expectProblem(422, "unfit-sample");
        JsonNode other = step(siskin, ask(siskin, "bud", "sequence").expect(200), "taken")
                .expect(200);
        siskin.put(parcel, Map.of("sampleIds", List.of(other.path("id").asText())))
                .expectProblem(409, "id-taken"); // nothing of it would have been packed
        step(siskin, sampleWith(label), "lost").expect(200);
        assertThat(new String(siskin.bytes(parcel + "/list.csv"), StandardCharsets.UTF_8))
                .as("it was lost with its parcel")
                .contains(label);
    }

    @Test
    void a_tree_of_which_a_sample_was_asked_for_is_not_struck_and_stays_in_its_group() {
        ask(siskin, "leaf", "sequence").expect(200);
        siskin.delete(treePath()).expectProblem(422, "already-read");
        assertThat(sampleOf(siskin).path("step").asText()).isEqualTo("asked");
    }

    @Test
    void whoever_reads_the_tree_blind_is_not_told_what_came() {
        callForReview();
        JsonNode sample = sent();
        say(sequence(sample.path("code").asText(), "Prunus padus"));
        ObjectNode foreign = JSON.createObjectNode()
                .put("sample", sample.path("code").asText())
                .put("analysis", "markers");
        foreign.putObject("found")
                .put("first", "Prunus padus")
                .put("second", "Quercus pyrenaica")
                .put("share", 0.02)
                .put("low", 0)
                .put("high", 0.05);
        say(foreign);
        post.goRound();
        assertThat(siskin.get(surveyPath() + "/samples").expect(200).toString())
                .contains("Quercus pyrenaica", "serotina of " + tree);
        assertThat(redpoll.get(surveyPath() + "/samples").expect(200).toString())
                .doesNotContain("Quercus pyrenaica", "serotina of " + tree);

        assertThat(sampleOf(siskin).path("results")).hasSize(1);
        assertThat(sampleOf(redpoll).path("results")).isEmpty();
        assertThat(siskin.get(surveyPath() + "/lessons").expect(200).toString()).contains(tree.toString());
        assertThat(redpoll.get(surveyPath() + "/lessons").expect(200).toString())
                .doesNotContain(tree.toString());
        assertThat(rowOf(redpoll).has("whyNot"))
                .as("they can still read it blind")
                .isFalse();
    }

    /** Siskin names an invader, which others are to read blind. */
    private void callForReview() {
        sign(siskin, "taxon", "serotina");
        assertThat(rowOf(redpoll).path("needs").asText()).isEqualTo("blind-reading");
    }

    private JsonNode sent() {
        JsonNode there = sampleOf(siskin);
        JsonNode asked = there == null ? ask(siskin, "leaf", "sequence").expect(200) : there;
        pack(siskin, step(siskin, asked, "taken").expect(200)).expect(200);
        return sampleOf(siskin);
    }

    private Caller.Answer ask(Caller caller, String tissue, String analysis) {
        return caller.put(
                surveyPath() + "/samples/" + UUID.randomUUID(),
                Map.of("treeId", tree, "tissue", tissue, "analysis", analysis, "note", "serotina of " + tree));
    }

    private Caller.Answer step(Caller caller, JsonNode sample, String step) {
        return caller.put(
                surveyPath() + "/samples/" + sample.path("id").asText() + "/steps/" + UUID.randomUUID(),
                Map.of("step", step, "from", sample.path("step").asText(), "note", ""));
    }

    private Caller.Answer pack(Caller caller, JsonNode sample) {
        return caller.put(
                surveyPath() + "/parcels/" + UUID.randomUUID(),
                Map.of("sampleIds", List.of(sample.path("id").asText())));
    }

    private JsonNode sampleOf(Caller caller) {
        JsonNode last = null;
        for (JsonNode one : caller.get(surveyPath() + "/samples").expect(200).path("samples")) {
            if (one.path("treeId").asText().equals(tree.toString())) {
                last = last == null || last.path("ended").asBoolean() ? one : last;
            }
        }
        return last;
    }

    private JsonNode sampleWith(String label) {
        for (JsonNode one : siskin.get(surveyPath() + "/samples").expect(200).path("samples")) {
            if (one.path("code").asText().equals(label)) {
                return one;
            }
        }
        throw new AssertionError("there is no sample " + label);
    }

    private static List<String> codes(JsonNode samples) {
        List<String> codes = new ArrayList<>();
        samples.forEach(one -> codes.add(one.path("code").asText()));
        return codes;
    }

    private static ObjectNode sequence(String label, String taxon) {
        ObjectNode message = JSON.createObjectNode().put("sample", label).put("analysis", "sequence");
        message.putObject("found").put("taxon", taxon).put("support", 0.98);
        return message;
    }

    private static void say(ObjectNode message) {
        TestLaboratory.standIn().say(message);
    }
}
