package org.goldthistle.signing;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.Caller;
import org.goldthistle.ServerTest;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.StateProfile;
import org.goldthistle.formats.BuiltInLibrary;
import org.goldthistle.formats.GroupSheetJson;
import org.junit.jupiter.api.Test;

class SigningTest extends ServerTest {

    @Test
    void what_one_observer_signs_another_sees_with_all_its_reasons() {
        Caller siskin = signedIn("Siskin");
        List<String> ids = readCherry(siskin, 11);
        siskin.put(determination(11), signed("taxon", "serotina", "collar on every fruit", ids))
                .expect(200);

        JsonNode seen =
                signedIn("Siskin").get(treePath(11) + "/bench").expect(200).at("/determinations/0");

        assertThat(seen.path("observer").asText()).isEqualTo("Siskin");
        assertThat(seen.path("signedAt").asText()).startsWith("2026-09-14T09:00");
        assertThat(seen.path("taxonId").asText()).isEqualTo("serotina");
        assertThat(seen.path("note").asText()).isEqualTo("collar on every fruit");
        assertThat(seen.at("/readings/0/character").asText()).isEqualTo("fruit-collar");
        assertThat(seen.path("sheetVersion").asInt()).isEqualTo(1);
        assertThat(seen.path("recomputes").asBoolean()).isTrue();
    }

    @Test
    void sent_twice_it_is_signed_once() {
        Caller redpoll = signedIn("Redpoll");
        List<String> ids = readCherry(redpoll, 11);
        String path = determination(11);

        redpoll.put(path, signed("taxon", "serotina", "", ids)).expect(200);
        redpoll.put(path, signed("taxon", "serotina", "", ids)).expect(200);

        assertThat(count("determination where id = '" + id(path) + "'")).isEqualTo(1);
        redpoll.put(path, signed("group", null, "", ids)).expectProblem(409, "id-taken");
        for (Map<String, ?> other : List.of(
                Map.of("voucher", "twig in press 12"),
                Map.of("confirming", List.of("midrib-hairs")),
                Map.of("reasons", Map.of("tooth-shape", "rubbed")))) {
            Map<String, Object> changed = signed("taxon", "serotina", "", ids);
            changed.putAll(other);
            redpoll.put(path, changed).expectProblem(409, "id-taken");
        }
    }

    @Test
    void a_later_signature_supersedes_and_the_earlier_stays() {
        Caller treecreeper = signedIn("Treecreeper");
        List<String> ids = readCherry(treecreeper, 11);
        String first = determination(11);
        treecreeper.put(first, signed("taxon", "serotina", "first", ids)).expect(200);

        JsonNode bench = treecreeper
                .put(determination(11), signed("group", null, "could not part them", ids))
                .expect(200);

        JsonNode earlier = null;
        for (JsonNode one : bench.path("determinations")) {
            if (one.path("id").asText().equals(id(first))) {
                earlier = one;
            }
        }
        assertThat(bench.at("/determinations/0/superseded").asBoolean()).isFalse();
        assertThat(bench.at("/determinations/0/taxonId").isMissingNode()
                        || bench.at("/determinations/0/taxonId").isNull())
                .isTrue();
        assertThat(earlier).isNotNull();
        assertThat(earlier.path("superseded").asBoolean()).isTrue();
    }

    @Test
    void readings_that_the_signer_has_not_seen_stop_the_signature() {
        Caller dipper = signedIn("Dipper");
        List<String> before = readCherry(dipper, 11);
        dipper.put(treePath(11) + "/readings/" + UUID.randomUUID(), Map.of("character", "stone", "notSeen", true))
                .expect(200);

        dipper.put(determination(11), signed("taxon", "serotina", "", before)).expectProblem(409, "readings-changed");
    }

    @Test
    void nothing_read_is_nothing_to_sign_but_the_group_can_be_recorded() {
        Caller redpoll = signedIn("Redpoll");

        JsonNode problem = redpoll.put(determination(40), signed("taxon", "nordmanniana", "", List.of()))
                .expectProblem(422, "not-signable");
        assertThat(problem.path("detail").asText())
                .contains("read one character", "% for ", "% now")
                .doesNotContain("threshold", "nordmanniana");

        redpoll.put(determination(40), signed("group", null, "crown out of sight", List.of()))
                .expect(200);
    }

    @Test
    void a_control_call_is_refused_with_every_missing_condition_named() {
        Caller dipper = signedIn("Dipper");
        List<String> ids = readCherry(dipper, 11);
        dipper.put(treePath(11) + "/tier", Map.of("tier", "control")).expect(200);

        JsonNode problem = dipper.put(determination(11), signed("taxon", "serotina", "", ids))
                .expectProblem(422, "not-signable");
        dipper.put(treePath(11) + "/tier", Map.of("tier", "tally")).expect(200);

        assertThat(problem.path("detail").asText()).contains("three organs that agree, none against");
        assertThat(problem.path("refusals").findValuesAsText("key"))
                .contains("quorum")
                .doesNotContain("second-observer"); // who is asked for once it is signed
    }

    @Test
    void a_tally_of_an_invader_is_a_record_and_wants_a_voucher() {
        Caller siskin = signedIn("Siskin");
        List<String> ids = readCherry(siskin, 11);
        Map<String, Object> bare = signed("taxon", "serotina", "", ids);
        bare.put("voucher", " ");

        JsonNode problem = siskin.put(determination(11), bare).expectProblem(422, "not-signable");

        assertThat(problem.path("refusals").findValuesAsText("key")).containsExactly("photo");
    }

    @Test
    void a_record_wants_the_whole_gate_looked_at_and_says_how_much_of_it_is_left() {
        Caller wren = signedIn("Wren");
        List<String> ids = readCherry(wren, 11);
        String item =
                wren.get(treePath(11) + "/bench").expect(200).at("/gate/0/item").asText();
        wren.put(treePath(11) + "/gate/" + UUID.randomUUID(), Map.of("item", item, "mark", "taken-back"))
                .expect(200);

        JsonNode problem = wren.put(determination(11), signed("taxon", "serotina", "", ids))
                .expectProblem(422, "not-signable");
        JsonNode bench = wren.get(treePath(11) + "/bench").expect(200);

        assertThat(problem.path("refusals").findValuesAsText("key")).containsExactly("gate");
        assertThat(problem.path("detail").asText()).contains("1 of 3 to look at");
        assertThat(bench.path("missing").toString()).contains("1 of 3 to look at");
        assertThat(bench.at("/judgement/verdict").asText()).isEqualTo("signable"); // it is a condition on the record
    }

    @Test
    void a_reason_whose_reading_was_taken_back_is_not_signed() {
        Caller wren = signedIn("Wren");
        List<String> ids = readCherry(wren, 11);
        Map<String, Object> body = signed("taxon", "serotina", "", ids);
        body.put("reasons", Map.of("leaf-gloss", "A shaded branch."));

        JsonNode problem = wren.put(determination(11), body).expectProblem(422, "reason-without-reading");

        assertThat(problem.path("detail").asText())
                .contains("“gloss of the upper leaf face”", "Nothing was signed", "kept")
                .doesNotContain("leaf-gloss");
    }

    @Test
    void a_call_is_as_it_was_signed_until_something_is_read_again() {
        Caller nuthatch = signedIn("Nuthatch");
        List<String> ids = readCherry(nuthatch, 11);
        assertThat(nuthatch.get(treePath(11) + "/bench")
                        .expect(200)
                        .path("signedAs")
                        .isTextual())
                .isFalse();
        String path = determination(11);

        JsonNode signed =
                nuthatch.put(path, signed("taxon", "serotina", "", ids)).expect(200);
        JsonNode readOn = nuthatch.put(
                        treePath(11) + "/readings/" + UUID.randomUUID(), Map.of("character", "stone", "notSeen", true))
                .expect(200);

        assertThat(signed.path("signedAs").asText()).isEqualTo(id(path));
        assertThat(readOn.path("signedAs").isTextual()).isFalse();
    }

    @Test
    void from_a_tree_one_goes_on_to_the_nearest_that_nobody_signed() {
        Caller redpoll = signedIn("Redpoll");

        JsonNode next = redpoll.get(treePath(16) + "/next").expect(200);

        assertThat(next.path("metres").asDouble()).isPositive();
        assertThat(next.path("degrees").asDouble()).isBetween(0.0, 360.0);
        int left = next.path("left").asInt();
        String nearest = treePath(next.path("tag").asInt());
        redpoll.put(
                        nearest + "/determinations/" + UUID.randomUUID(),
                        signed("group", null, "crown out of sight", List.of()))
                .expect(200);
        JsonNode after = redpoll.get(treePath(16) + "/next").expect(200);
        assertThat(after.path("tag").asInt()).isNotEqualTo(next.path("tag").asInt());
        assertThat(after.path("left").asInt()).isEqualTo(left - 1);
        assertThat(after.path("metres").asDouble())
                .isGreaterThanOrEqualTo(next.path("metres").asDouble());
    }

    @Test
    void coming_back_wants_a_month_and_a_taxon_does_not_go_with_it() {
        Caller redpoll = signedIn("Redpoll");
        Map<String, Object> comeBack = signed("come-back", null, "no fruit yet", List.of());

        redpoll.put(determination(9), comeBack).expectProblem(422, "unfit-outcome");
        comeBack.put("month", 7);
        JsonNode bench = redpoll.put(determination(9), comeBack).expect(200);

        assertThat(bench.at("/determinations/0/outcome").asText()).isEqualTo("come-back");
        assertThat(bench.at("/determinations/0/month").asInt()).isEqualTo(7);
        assertThat(bench.at("/determinations/0/year").asInt()).isEqualTo(2027); // it is September 2026
    }

    @Test
    void the_outlook_tells_every_month() {
        JsonNode months = signedIn("Redpoll").get(treePath(9) + "/outlook").expect(200);

        assertThat(months).hasSize(12);
        assertThat(months.get(6).path("chanceToSettle").asDouble()).isBetween(0.0, 1.0);
    }

    @Test
    void a_taxon_of_another_group_is_refused() {
        Caller siskin = signedIn("Siskin");
        List<String> ids = readCherry(siskin, 11);

        siskin.put(determination(11), signed("taxon", "pendula", "", ids)).expectProblem(422, "no-such-taxon");
    }

    /** Fruit and leaf read as black cherry's, so that a record of it can be signed. */
    private List<String> readCherry(Caller caller, int tag) {
        markGate(caller, treePath(tag));
        read(caller, tag, "fruit-collar");
        read(caller, tag, "midrib-hairs");
        return read(caller, tag, "tooth-shape").path("readings").findValuesAsText("id");
    }

    private JsonNode read(Caller caller, int tag, String character) {
        return caller.put(
                        treePath(tag) + "/readings/" + UUID.randomUUID(),
                        Map.of(
                                "character",
                                character,
                                "states",
                                Collections.nCopies(8, likeliest("serotina", character)),
                                "certainty",
                                "sure",
                                "notSeen",
                                false))
                .expect(200);
    }

    private static String likeliest(String taxon, String character) {
        GroupSheet sheet = GroupSheetJson.read(BuiltInLibrary.sheetText("bird-cherries"));
        var profile = (StateProfile) sheet.profile(sheet.character(character).orElseThrow(), taxon);
        return profile.frequencies().entrySet().stream()
                .max(Map.Entry.comparingByValue())
                .orElseThrow()
                .getKey();
    }

    private static String determination(int tag) {
        return treePath(tag) + "/determinations/" + UUID.randomUUID();
    }

    private static String id(String path) {
        return path.substring(path.lastIndexOf('/') + 1);
    }

    private static Map<String, Object> signed(String outcome, String taxonId, String note, List<String> readingIds) {
        Map<String, Object> body = new HashMap<>();
        body.put("outcome", outcome);
        body.put("taxonId", taxonId);
        body.put("note", note);
        body.put("confirming", List.of("fruit-collar"));
        body.put("reasons", Map.of());
        body.put("voucher", "twig in press 11");
        body.put("readingIds", readingIds);
        return body;
    }

    private int count(String from) {
        return jdbc.sql("select count(*) from " + from).query(Integer.class).single();
    }
}
