package org.goldthistle.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.goldthistle.Caller;
import org.goldthistle.SmallPicture;
import org.goldthistle.account.AccountService;
import org.goldthistle.account.Role;
import org.goldthistle.call.PracticeTreeView;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.core.practice.Pair;
import org.goldthistle.core.practice.PracticeTree;
import org.goldthistle.library.LibraryService;
import org.goldthistle.review.TreeUnderReview;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Practice trees, what is remembered of them, and what a survey asks for. */
class PracticeTest extends TreeUnderReview {
    private static final Pair BIRCHES = new Pair("pendula", "pubescens");
    private static final Instant TODAY = Instant.parse("2026-09-14T07:00:00Z");
    private static final Instant EARLY = Instant.parse("2026-03-01T08:00:00Z");

    @Autowired
    private LibraryService library;

    @Autowired
    private AccountService accounts;

    @Test
    void a_try_is_reckoned_here_kept_once_and_remembered_by_its_pair() {
        Caller wren = newcomer();
        String path = "/api/practice/tries/" + UUID.randomUUID();
        int seed = treeOf("pendula");
        Map<String, Object> sent = readAsShown(seed, "pendula", 0.8, EARLY);

        JsonNode result = wren.put(path, sent).expect(200);
        wren.put(path, sent).expect(200);
        sent.put("taxonId", "pubescens");
        wren.put(path, sent).expectProblem(409, "id-taken");

        assertThat(result.path("truth").asText()).isEqualTo("pendula");
        assertThat(result.path("verdict").asText()).isEqualTo("right");
        assertThat(result.path("share").asDouble())
                .isEqualTo(result.path("perfectShare").asDouble());
        JsonNode practice = wren.get("/api/practice").expect(200);
        assertThat(practice.path("tries").asInt()).isEqualTo(1);
        JsonNode pair = practice.at("/pairs/0");
        assertThat(pair.path("one").asText()).isEqualTo("pendula");
        assertThat(pair.at("/items/0/halfLifeDays").asDouble()).isEqualTo(2.2);
        assertThat(pair.at("/items/0/due").asBoolean()).isTrue(); // months ago
        assertThat(practice.at("/next/0/why").asText()).isEqualTo("due");
        assertThat(practice.at("/next/0/groupId").asText()).isEqualTo("birches");
        assertThat(practice.path("next").size()).isGreaterThan(5);
        assertThat(practice.at("/own/8/right").asInt()).isEqualTo(1);
        assertThat(signedIn("Treecreeper").get("/api/practice").text()).doesNotContain(path);
    }

    @Test
    void what_is_misread_shrinks_and_is_told_with_what_it_was_taken_for() {
        Caller wren = newcomer();
        int seed = treeOf("pendula");
        Map<String, Object> sent = readAsShown(seed, "pubescens", 0.95, EARLY);
        List<Map<String, Object>> readings = new ArrayList<>();
        String shown = tree(seed).shown().get("twig-hairs").states().get(0);
        String other = shown.equals("dense") ? "absent" : "dense";
        readings.add(Map.of("character", "twig-hairs", "notSeen", false, "states", List.of(other)));
        sent.put("readings", readings);

        JsonNode result =
                wren.put("/api/practice/tries/" + UUID.randomUUID(), sent).expect(200);

        assertThat(result.path("verdict").asText()).isEqualTo("wrong");
        JsonNode practice = wren.get("/api/practice").expect(200);
        assertThat(practice.at("/pairs/0/items/0/halfLifeDays").asDouble()).isEqualTo(0.5);
        assertThat(practice.at("/mistaken/0/shown").asText()).isEqualTo(shown);
        assertThat(practice.at("/mistaken/0/read").asText()).isEqualTo(other);
        assertThat(practice.at("/own/9/tries").asInt()).isEqualTo(1);
        assertThat(practice.at("/own/9/right").asInt()).isZero();
    }

    @Test
    void what_is_remembered_goes_on_in_a_new_version_of_the_sheet() {
        Caller wren = newcomer();
        wren.put("/api/practice/tries/" + UUID.randomUUID(), readAsShown(treeOf("pendula"), "pendula", 0.8, EARLY))
                .expect(200);
        JsonNode before = wren.get("/api/practice").expect(200).at("/pairs/0");
        StoredSheet old = library.newest("birches");
        StoredSheet next =
                library.save(old.sheet().withCharacters(old.sheet().characters()), Optional.empty(), lead(), "again");

        JsonNode after = wren.get("/api/practice").expect(200).at("/pairs/0");

        assertThat(after.path("versionId").asText())
                .isEqualTo(next.id().toString())
                .isNotEqualTo(old.id().toString());
        assertThat(after.path("items")).isEqualTo(before.path("items"));
    }

    private UUID lead() {
        return demoId("observer Treecreeper");
    }

    @Test
    void who_is_right_in_80_of_100_and_says_so_lies_on_the_line() {
        Caller wren = newcomer();
        int seed = 0;
        for (int i = 0; i < 10; i++) {
            seed = treeOf("pendula", seed + 1);
            wren.put(
                            "/api/practice/tries/" + UUID.randomUUID(),
                            readAsShown(seed, i % 5 == 0 ? "pubescens" : "pendula", 0.8, EARLY))
                    .expect(200);
        }

        JsonNode bin = wren.get("/api/practice").expect(200).at("/own/8");

        assertThat(bin.path("tries").asInt()).isEqualTo(10);
        assertThat(bin.path("right").asInt()).isEqualTo(8);
        assertThat(bin.path("meanBelief").asDouble()).isCloseTo(0.8, within(1e-12));
    }

    @Test
    void what_does_not_fit_is_refused() {
        Caller wren = newcomer();
        Map<String, Object> sent = readAsShown(3, "pendula", 0.8, EARLY);
        sent.put("one", "nobody");
        wren.put("/api/practice/tries/" + UUID.randomUUID(), sent).expectProblem(422, "unfit-try");
        sent.put("one", "pendula");
        sent.put("outcome", "open");
        wren.put("/api/practice/tries/" + UUID.randomUUID(), sent).expectProblem(422, "unfit-try");
        assertThat(wren.get("/api/practice").expect(200).path("tries").asInt()).isZero();
    }

    @Test
    void until_a_group_is_practised_as_the_survey_asks_each_name_is_read_again() {
        Caller lead = signedIn("Treecreeper");
        String rule = surveyPath() + "/practice/birches";
        lead.put(rule, Map.of("needed", 3, "of", 2)).expectProblem(422, "unfit-sign-off");
        lead.put(rule, Map.of("needed", 2, "of", 2)).expect(204);
        lead.put(rule, Map.of("needed", 2, "of", 2)).expect(204); // sent again
        signedIn("Siskin").put(rule, Map.of("needed", 0, "of", 2)).expectProblem(403, "not-yours-to-do");
        Caller siskin = signedIn("Siskin");
        UUID birch = UUID.randomUUID();
        plant(siskin, UUID.randomUUID(), birch, "birches");

        assertThat(reasonsAfterSigning(siskin, birch)).contains("practice");

        for (int i = 0; i < 2; i++) {
            int seed = treeOf("pendula", 100 * i);
            siskin.put("/api/practice/tries/" + UUID.randomUUID(), readAsShown(seed, "pendula", 0.9, TODAY))
                    .expect(200);
        }
        JsonNode mine = siskin.get("/api/practice").expect(200).path("signedOff");
        assertThat(mine.at("/0/passed").asBoolean()).isTrue();
        assertThat(siskin.get(surveyPath() + "/practice").expect(200).path("standings"))
                .hasSize(1); // nobody else's
        JsonNode crew = lead.get(surveyPath() + "/practice").expect(200);
        assertThat(crew.path("standings").size()).isGreaterThan(2);
        assertThat(crew.at("/usual/needed").asInt()).isEqualTo(18);
        UUID second = UUID.randomUUID();
        plant(siskin, UUID.randomUUID(), second, "birches");
        assertThat(reasonsAfterSigning(siskin, second)).doesNotContain("practice");
        lead.put(rule, Map.of("needed", 0, "of", 1)).expect(204);
        assertThat(lead.get(surveyPath() + "/practice").expect(200).path("standings"))
                .isEmpty();
    }

    @Test
    void a_crew_calls_the_same_ten_trees_and_sees_what_came_of_them_once_the_set_is_closed() {
        Caller lead = signedIn("Treecreeper");
        UUID id = UUID.randomUUID();
        String path = surveyPath() + "/practice-sets/" + id;
        JsonNode opened = lead.put(path, Map.of("groupId", "birches")).expect(200);
        lead.put(path, Map.of("groupId", "birches")).expect(200); // sent again
        lead.put(path, Map.of("groupId", "limes")).expectProblem(409, "id-taken");
        assertThat(opened.path("trees")).hasSize(10);
        JsonNode first = opened.at("/trees/0");
        Pair pair = new Pair(first.path("one").asText(), first.path("other").asText());
        for (String reader : List.of("Siskin", "Wren")) {
            Map<String, Object> sent = new HashMap<>(Map.of(
                    "sheetVersionId", opened.path("versionId").asText(),
                    "setId", id.toString(),
                    "begunAt", EARLY.toString(),
                    "endedAt", EARLY.plusSeconds(300).toString(),
                    "seed", first.path("seed").asInt(),
                    "one", pair.one(),
                    "other", pair.other(),
                    "readings",
                            List.of(Map.of(
                                    "character", "twig-hairs", "notSeen", false, "states", List.of("dense", "absent"))),
                    "gate", List.of(),
                    "outcome", "open"));
            signedIn(reader)
                    .put("/api/practice/tries/" + UUID.randomUUID(), sent)
                    .expect(200);
        }

        Map<String, Object> elsewhere = readAsShown(3, "pendula", 0.8, EARLY);
        elsewhere.put("setId", UUID.randomUUID().toString());
        signedIn("Siskin")
                .put("/api/practice/tries/" + UUID.randomUUID(), elsewhere)
                .expectProblem(404, "no-such-set");
        elsewhere.put("setId", id.toString()); // a tree that is none of the set's
        signedIn("Siskin")
                .put("/api/practice/tries/" + UUID.randomUUID(), elsewhere)
                .expectProblem(404, "no-such-set");
        JsonNode going = signedIn("Siskin").get(path).expect(200);
        assertThat(going.path("mine").asInt()).isEqualTo(1);
        assertThat(going.path("readers")).hasSize(2);
        assertThat(going.path("results")).isEmpty();
        signedIn("Siskin").put(path + "/closed", Map.of()).expectProblem(403, "not-yours-to-do");
        JsonNode closed = lead.put(path + "/closed", Map.of()).expect(200);
        lead.put(path + "/closed", Map.of()).expect(200);

        assertThat(closed.at("/results/0/open").asInt()).isEqualTo(2);
        assertThat(closed.at("/worst/0/character").asText()).isEqualTo("twig-hairs");
        assertThat(signedIn("Wren")
                        .get(surveyPath() + "/practice-sets")
                        .expect(200)
                        .toString())
                .contains(id.toString());
        lead.get(surveyPath() + "/practice-sets/" + UUID.randomUUID()).expectProblem(404, "no-such-set");
    }

    @Test
    void a_settled_case_with_a_photo_is_practice_for_whoever_had_no_part_in_it() {
        Caller siskin = signedIn("Siskin");
        siskin.putBytes(treePath() + "/photos/" + UUID.randomUUID(), SmallPicture.png(5))
                .expect(200);
        sign(siskin, "taxon", "serotina");
        Caller redpoll = signedIn("Redpoll");
        JsonNode row = rowOf(redpoll);
        sign(redpoll, "taxon", "serotina");
        JsonNode table = redpoll.get(casePath(row)).expect(200);
        redpoll.put(decision(row), decision("agree", table, "", 0)).expect(200);
        String caseId = row.path("id").asText();
        Caller nuthatch = signedIn("Nuthatch");
        JsonNode open = find(nuthatch, caseId);
        assertThat(open.path("photos")).hasSize(1);
        assertThat(open.toString()).doesNotContain("serotina", "Siskin");
        assertThat(find(siskin, caseId)).isNull();
        Caller lead = signedIn("Treecreeper");
        String withheld = surveyPath() + "/practice-withheld";
        lead.put(withheld + "/" + caseId, Map.of("withheld", true)).expect(204);
        assertThat(find(nuthatch, caseId)).isNull();
        assertThat(lead.get(withheld).expect(200).toString()).contains(caseId);
        lead.put(withheld + "/" + UUID.randomUUID(), Map.of("withheld", true)).expectProblem(404, "no-such-case");
        lead.put(withheld + "/" + caseId, Map.of("withheld", false)).expect(204);

        String path = "/api/practice/cases/" + caseId + "/tries/" + UUID.randomUUID();
        Map<String, Object> sent = new HashMap<>(
                Map.of("endedAt", TODAY.toString(), "outcome", "taxon", "taxonId", "padus", "belief", 0.7));
        JsonNode result = nuthatch.put(path, sent).expect(200);
        nuthatch.put(path, sent).expect(200);

        assertThat(result.path("verdict").asText()).isEqualTo("wrong");
        assertThat(result.path("truth").asText()).isEqualTo("serotina");
        assertThat(result.path("readers")).hasSize(2);
        assertThat(open.path("result").isMissingNode() || open.path("result").isNull())
                .isTrue();
        assertThat(find(nuthatch, caseId).at("/result/verdict").asText())
                .as("told again to who called it")
                .isEqualTo("wrong");
        sent.put("taxonId", "nobody");
        nuthatch.put("/api/practice/cases/" + caseId + "/tries/" + UUID.randomUUID(), sent)
                .expectProblem(422, "unfit-try");
        sent.put("outcome", "whim");
        nuthatch.put("/api/practice/cases/" + caseId + "/tries/" + UUID.randomUUID(), sent)
                .expectProblem(422, "unfit-try");
        sent.put("outcome", "taxon");
        sent.put("taxonId", "serotina");
        nuthatch.put(path, sent).expectProblem(409, "id-taken");
        siskin.put("/api/practice/cases/" + caseId + "/tries/" + UUID.randomUUID(), sent)
                .expectProblem(404, "no-such-case");
    }

    private static JsonNode find(Caller caller, String caseId) {
        for (JsonNode one : caller.get("/api/practice/cases").expect(200)) {
            if (one.path("caseId").asText().equals(caseId)) {
                return one;
            }
        }
        return null;
    }

    private String reasonsAfterSigning(Caller caller, UUID birch) {
        String path = surveyPath() + "/trees/" + birch;
        List<String> ids = new ArrayList<>();
        markGate(caller, path);
        for (Map<String, Object> reading : readingsThatSettle()) {
            caller.put(path + "/readings/" + UUID.randomUUID(), reading).expect(200);
        }
        caller.get(path + "/bench")
                .expect(200)
                .path("readings")
                .forEach(one -> ids.add(one.path("id").asText()));
        caller.put(path + "/determinations/" + UUID.randomUUID(), signature("taxon", "pendula", ids))
                .expect(200);
        return jdbc.sql("select coalesce(max(array_to_string(reasons, ' ')), '') from review_case where tree_id = ?")
                .param(birch)
                .query(String.class)
                .single();
    }

    /** What a silver birch shows. */
    private List<Map<String, Object>> readingsThatSettle() {
        return readings(treeOf("pendula")).stream()
                .filter(reading -> !reading.get("character").equals("inner-bark-test")) // which wounds the tree
                .toList();
    }

    /** Somebody who has not practised yet. */
    private Caller newcomer() {
        String callSign = "Finch " + UUID.randomUUID().toString().substring(0, 8);
        accounts.create(UUID.randomUUID(), callSign, PASSPHRASE, Role.CREW);
        return signedIn(callSign);
    }

    private StoredSheet birches() {
        return library.newest("birches");
    }

    private PracticeTreeView tree(int seed) {
        return PracticeTreeView.of(PracticeTree.draw(birches().model(), seed, BIRCHES), seed);
    }

    private int treeOf(String taxon) {
        return treeOf(taxon, 0);
    }

    /** The first seed from there whose tree is of a taxon and shows twig hairs. */
    private int treeOf(String taxon, int from) {
        for (int seed = from; ; seed++) {
            PracticeTree tree = PracticeTree.draw(birches().model(), seed, BIRCHES);
            if (tree.truth().filter(one -> one.id().equals(taxon)).isPresent()
                    && tree.specimen("twig-hairs").isBorne()) {
                return seed;
            }
        }
    }

    private Map<String, Object> readAsShown(int seed, String named, double belief, Instant ended) {
        Map<String, Object> sent = new HashMap<>();
        sent.put("sheetVersionId", birches().id().toString());
        sent.put("begunAt", ended.minusSeconds(600).toString());
        sent.put("endedAt", ended.toString());
        sent.put("seed", seed);
        sent.put("one", BIRCHES.one());
        sent.put("other", BIRCHES.other());
        sent.put("readings", readings(seed));
        sent.put("gate", List.of());
        sent.put("outcome", "taxon");
        sent.put("taxonId", named);
        sent.put("belief", belief);
        return sent;
    }

    private List<Map<String, Object>> readings(int seed) {
        List<Map<String, Object>> readings = new ArrayList<>();
        tree(seed).shown().forEach((character, shown) -> {
            if (!shown.states().isEmpty()) {
                readings.add(Map.of("character", character, "notSeen", false, "states", shown.states()));
            }
        });
        return readings;
    }
}
