package org.goldthistle.review;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.stream.Stream;
import org.goldthistle.Caller;
import org.goldthistle.formats.CaseFileJson;
import org.junit.jupiter.api.Test;

/** A call is read again by somebody who does not know it, talked over and settled. */
class ReviewTest extends TreeUnderReview {
    @Test
    void the_queue_the_case_and_what_is_for_me_say_the_same() {
        Caller siskin = signedIn("Siskin");
        sign(siskin, "taxon", "serotina");
        int todo = 0;
        for (String who : List.of("Siskin", "Redpoll", "Nuthatch", "Wren")) {
            Caller caller = signedIn(who);
            Set<String> mine = new HashSet<>();
            rows(caller, "&mine=true").forEach(row -> mine.add(row.path("id").asText()));
            for (JsonNode row : rows(caller, "")) {
                boolean mayDo = row.path("mayDo").asBoolean();
                assertThat(mine.contains(row.path("id").asText()))
                        .as("%s: %s", who, row)
                        .isEqualTo(mayDo);
                JsonNode found = caller.get(casePath(row)).expect(200);
                boolean blind = row.path("needs").asText().equals("blind-reading");
                assertThat(found.path(blind ? "mayRead" : "mayDecide").asBoolean())
                        .as("%s: %s", who, row)
                        .isEqualTo(mayDo);
                assertThat(found.path("blind")).isEqualTo(row.path("blind"));
                todo += mayDo ? 1 : 0;
            }
        }
        assertThat(todo).isPositive();
    }

    private static List<JsonNode> rows(Caller caller, String asked) {
        List<JsonNode> rows = new ArrayList<>();
        for (int from = 0; ; from += 30) {
            JsonNode page =
                    caller.get(surveyPath() + "/review?from=" + from + asked).expect(200);
            page.path("rows").forEach(rows::add);
            if (page.path("next").isMissingNode() || page.path("next").isNull()) {
                return rows;
            }
        }
    }

    @Test
    void a_case_is_read_by_one_at_a_time_and_never_by_its_own_reader() {
        Caller siskin = signedIn("Siskin");
        sign(siskin, "taxon", "serotina");
        JsonNode row = rowOf(siskin);
        assertThat(row.path("whyNot").asText()).isEqualTo("own");

        siskin.put(casePath(row) + "/taken", Map.of()).expectProblem(403, "own-case");
        signedIn("Redpoll").put(casePath(row) + "/taken", Map.of()).expect(200);
        JsonNode told =
                signedIn("Nuthatch").put(casePath(row) + "/taken", Map.of()).expectProblem(409, "case-taken");
        assertThat(told.path("kept").has("next") || told.path("kept").isEmpty()).isTrue();

        signedIn("Redpoll").delete(casePath(row) + "/taken").expect(200);
        signedIn("Nuthatch").put(casePath(row) + "/taken", Map.of()).expect(200);
    }

    @Test
    void two_who_agree_leave_both_names_on_what_stands() {
        sign(signedIn("Siskin"), "taxon", "serotina");
        Caller redpoll = signedIn("Redpoll");
        JsonNode row = rowOf(redpoll);
        redpoll.put(casePath(row) + "/taken", Map.of()).expect(200);
        sign(redpoll, "taxon", "serotina");

        JsonNode table = redpoll.get(casePath(row)).expect(200);
        assertThat(table.path("state").asText()).isEqualTo("table");
        assertThat(table.path("readings")).hasSize(2);
        assertThat(table.at("/readings/1/blind").asBoolean()).isTrue();
        double joint = table.at("/joint/featuresAlone/totalPoints").asDouble();
        double alone = points(table.at("/readings/0/determination/figures/featuresAlone"));
        assertThat(joint).isCloseTo(1.25 * alone, within(1e-6)); // two like readings, 2/(1 + 0.6)

        JsonNode settled = redpoll.put(decision(row), decision("agree", table, "Seen the same.", 0))
                .expect(200);

        assertThat(settled.path("state").asText()).isEqualTo("settled");
        assertThat(settled.at("/stands/observer").asText()).isEqualTo("Redpoll");
        assertThat(settled.at("/stands/alsoBy/0").asText()).isEqualTo("Siskin");
        assertThat(settled.at("/stands/recomputes").asBoolean()).isTrue();
        JsonNode inPlot = signedIn("Wren")
                .get(surveyPath() + "/plots/" + plot + "/trees")
                .expect(200)
                .get(0);
        assertThat(inPlot.path("reviewed").asBoolean()).isTrue();
        assertThat(inPlot.path("standsAs").asText()).isEqualTo("taxon");
        assertThat(signedIn("Wren").get(treePath() + "/bench").expect(200).path("determinations"))
                .hasSize(3);
        redpoll.put(decision(row), decision("agree", settled, "", 0)).expectProblem(409, "not-at-the-table");
        CaseFileJson.CaseFile file =
                CaseFileJson.read(redpoll.get(casePath(row) + "/file").text());
        assertThat(file.intact()).isTrue();
        assertThat(file.specimens()).extracting(one -> one.id()).containsExactly("Siskin", "Redpoll");
        assertThat(file.shares().get("Siskin").get("serotina")).isGreaterThan(0.9);
        JsonNode agreement = redpoll.get(surveyPath() + "/agreement").expect(200);
        assertThat(agreement.path("trees").asInt()).isPositive();
        assertThat(agreement.path("groups").findValuesAsText("groupId")).contains("bird-cherries");
    }

    @Test
    void a_reviewer_overrules_with_reasons_and_not_without() {
        sign(signedIn("Siskin"), "taxon", "serotina");
        Caller redpoll = signedIn("Redpoll");
        JsonNode row = rowOf(redpoll);
        sign(redpoll, "group", null);
        JsonNode table = redpoll.get(casePath(row)).expect(200);

        redpoll.put(decision(row), decision("overrule", table, "  ", 1)).expectProblem(422, "reasons-missing");
        signedIn("Siskin").put(decision(row), decision("agree", table, "", 0)).expectProblem(403, "own-case");
        signedIn("Dipper").put(decision(row), decision("agree", table, "", 0)).expectProblem(403, "role");
        JsonNode settled = redpoll.put(decision(row), decision("overrule", table, "No fruit to be seen.", 1))
                .expect(200);

        assertThat(settled.at("/stands/outcome").asText()).isEqualTo("group");
        assertThat(settled.at("/stands/note").asText()).isEqualTo("No fruit to be seen.");
        assertThat(settled.at("/readings/0/determination/superseded").asBoolean())
                .isTrue();
    }

    @Test
    void what_the_laboratory_found_stands_though_nobody_signed_it() {
        sign(signedIn("Siskin"), "taxon", "serotina");
        Caller redpoll = signedIn("Redpoll");
        JsonNode row = rowOf(redpoll);
        sign(redpoll, "group", null);
        JsonNode table = redpoll.get(casePath(row)).expect(200);

        redpoll.put(decision(row), result(table, "padus", "Report 12")).expectProblem(409, "no-sample-sent");
        JsonNode waiting =
                redpoll.put(decision(row), decision("laboratory", table, "", 0)).expect(200);
        redpoll.put(decision(row), result(waiting, "padus", " ")).expectProblem(422, "reasons-missing");
        redpoll.put(decision(row), result(waiting, "antlers", "Report 12")).expectProblem(422, "no-such-taxon");
        JsonNode settled = redpoll.put(decision(row), result(waiting, "padus", "Report 12"))
                .expect(200);

        assertThat(waiting.path("state").asText()).isEqualTo("laboratory");
        assertThat(settled.path("state").asText()).isEqualTo("settled");
        assertThat(settled.at("/stands/taxonId").asText()).isEqualTo("padus");
        assertThat(settled.at("/stands/confirming")).isEmpty();
        assertThat(settled.at("/stands/note").asText()).isEqualTo("Report 12");
        JsonNode inPlot = redpoll.get(surveyPath() + "/plots/" + plot + "/trees")
                .expect(200)
                .get(0);
        assertThat(inPlot.path("standsName").asText()).isEqualTo("bird cherry");
        CaseFileJson.CaseFile file =
                CaseFileJson.read(redpoll.get(casePath(row) + "/file").text());
        assertThat(file.intact()).isTrue();
    }

    @Test
    void what_does_not_fit_how_a_case_stands_is_refused_and_the_ways_that_do_are_told() {
        sign(signedIn("Siskin"), "taxon", "serotina");
        Caller redpoll = signedIn("Redpoll");
        Caller treecreeper = signedIn("Treecreeper");
        JsonNode row = rowOf(redpoll);
        JsonNode waiting = redpoll.get(casePath(row)).expect(200);
        sign(redpoll, "group", null);
        JsonNode table = treecreeper.get(casePath(row)).expect(200);

        assertThat(waiting.path("ways")).isEmpty();
        assertThat(waiting.path("whyNot").asText()).isEqualTo("unread");
        assertThat(table.path("ways").findValuesAsText("outcome"))
                .containsExactly("agree", "agree", "third-look", "laboratory", "not-separable");
        assertThat(redpoll.get(casePath(row)).expect(200).path("ways").findValuesAsText("outcome"))
                .contains("overrule");
        assertThat(signedIn("Siskin")
                        .get(casePath(row))
                        .expect(200)
                        .path("whyNot")
                        .asText())
                .isEqualTo("own");
        signedIn("Nuthatch").put(casePath(row) + "/taken", Map.of()).expectProblem(409, "no-reading-wanted");
        treecreeper
                .put(decision(row), decision("overrule", table, "Seen better.", 0))
                .expectProblem(422, "own-reading-missing");
        Map<String, Object> nobody = new HashMap<>(decision("agree", table, "", 0));
        nobody.put("stands", UUID.randomUUID());
        treecreeper.put(decision(row), nobody).expectProblem(422, "no-such-call");
        treecreeper.put(decision(row), decision("perhaps", table, "", 0)).expectProblem(422, "no-such-outcome");
        treecreeper.put(decision(row), decision("withdrawn", table, "", 0)).expectProblem(422, "no-such-outcome");
    }

    private static Map<String, Object> result(JsonNode table, String taxon, String reasons) {
        Map<String, Object> found = new HashMap<>(decision("laboratory-result", table, reasons, 0));
        found.put("taxon", taxon);
        return found;
    }

    @Test
    void words_are_said_once_and_a_stale_decision_is_sent_back() {
        sign(signedIn("Siskin"), "taxon", "serotina");
        Caller redpoll = signedIn("Redpoll");
        JsonNode row = rowOf(redpoll);
        sign(redpoll, "taxon", "serotina");
        String word = casePath(row) + "/words/" + UUID.randomUUID();

        redpoll.put(word, Map.of("body", "The collar settles it.", "character", "fruit-collar"))
                .expect(200);
        JsonNode said = redpoll.put(word, Map.of("body", "The collar settles it.", "character", "fruit-collar"))
                .expect(200);
        redpoll.put(casePath(row) + "/words/" + UUID.randomUUID(), Map.of("body", "?", "character", "antlers"))
                .expectProblem(422, "no-such-character");

        assertThat(said.path("words")).hasSize(1);
        Map<String, Object> stale = new HashMap<>(decision("laboratory", said, "", 0));
        stale.put("version", said.path("version").asInt() - 1);
        redpoll.put(decision(row), stale).expectProblem(409, "stale");
    }

    @Test
    void who_signs_anew_while_it_is_read_is_noted_and_who_withdraws_ends_it() {
        Caller siskin = signedIn("Siskin");
        sign(siskin, "taxon", "serotina");
        Caller redpoll = signedIn("Redpoll");
        JsonNode row = rowOf(redpoll);
        redpoll.put(casePath(row) + "/taken", Map.of()).expect(200);

        sign(siskin, "taxon", "serotina");
        sign(redpoll, "taxon", "serotina");

        assertThat(redpoll.get(casePath(row))
                        .expect(200)
                        .path("changedMeanwhile")
                        .asBoolean())
                .isTrue();
    }

    @Test
    void two_who_sign_at_once_open_one_case() {
        Caller siskin = signedIn("Siskin");
        Caller wren = signedIn("Wren");
        Map<String, Object> first = signature(siskin);
        Map<String, Object> second = signature(wren);

        List<Integer> statuses = Stream.of(Map.entry(siskin, first), Map.entry(wren, second))
                .map(one -> CompletableFuture.supplyAsync(() -> one.getKey()
                        .put(treePath() + "/determinations/" + UUID.randomUUID(), one.getValue())
                        .status()))
                .toList()
                .stream()
                .map(CompletableFuture::join)
                .toList();

        assertThat(statuses).containsExactly(200, 200);
        assertThat(jdbc.sql("select count(*) from review_case where tree_id = ?")
                        .param(tree)
                        .query(Integer.class)
                        .single())
                .isEqualTo(1);
        assertThat(jdbc.sql("select cardinality(readers) from review_case where tree_id = ?")
                        .param(tree)
                        .query(Integer.class)
                        .single())
                .isEqualTo(2);
    }

    @Test
    void the_queue_is_narrowed_by_group_plot_reason_and_age() {
        Caller siskin = signedIn("Siskin");
        sign(siskin, "taxon", "serotina");
        String ofPlot = surveyPath() + "/review?plot=" + plot;

        assertThat(siskin.get(ofPlot + "&reason=tier&group=bird-cherries&days=0")
                        .expect(200)
                        .path("inAll")
                        .asInt())
                .isEqualTo(1);
        for (String other : List.of("&reason=control", "&group=limes", "&days=3", "&settled=true", "&mine=true")) {
            assertThat(siskin.get(ofPlot + other).expect(200).path("rows"))
                    .as(other)
                    .isEmpty();
        }
        later(Duration.ofDays(4));
        assertThat(siskin.get(ofPlot + "&days=3").expect(200).path("rows")).hasSize(1);
        assertThat(signedIn("Redpoll").get(ofPlot + "&mine=true").expect(200).path("rows"))
                .hasSize(1);
        siskin.get(surveyPath() + "/review?reason=whim").expectProblem(422, "no-such-reason");
    }

    @Test
    void the_queue_shows_a_call_at_a_glance_until_its_reader_reads_on() {
        Caller siskin = signedIn("Siskin");
        sign(siskin, "taxon", "serotina");

        JsonNode signed = rowOf(siskin).path("calls").get(0);
        assertThat(signed.at("/thistle/leadName").asText()).isEqualTo("black cherry");
        assertThat(signed.at("/thistle/spines")).hasSize(3);
        assertThat(rowOf(signedIn("Redpoll")).path("calls")).isEmpty(); // who may read it blind is shown nothing

        later(Duration.ofMinutes(1));
        read(siskin, "fruit-collar", "plain-disc");
        JsonNode readOn = rowOf(siskin).path("calls").get(0);
        assertThat(readOn.path("name").asText()).isEqualTo("black cherry");
        assertThat(readOn.has("thistle")).isFalse();
    }

    @Test
    void the_lot_cannot_be_foreseen_and_falls_as_often_as_it_should() {
        int drawn = 0;
        for (int i = 0; i < 4000; i++) {
            UUID id = UUID.nameUUIDFromBytes(new byte[] {(byte) i, (byte) (i >> 8)});
            assertThat(Cases.lot(5, id)).isEqualTo(Cases.lot(5, id)).isBetween(0.0, 1.0);
            drawn += Cases.lot(5, id) < 0.05 ? 1 : 0;
        }
        assertThat(drawn).isBetween(140, 260);
    }

    private static double points(JsonNode balance) {
        double sum = 0;
        for (JsonNode one : balance.path("points")) {
            sum += one.path("points").asDouble();
        }
        return sum;
    }
}
