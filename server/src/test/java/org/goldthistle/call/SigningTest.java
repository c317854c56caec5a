package org.goldthistle.call;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.Caller;
import org.goldthistle.ServerTest;
import org.junit.jupiter.api.Test;
import org.springframework.dao.DataAccessException;

class SigningTest extends ServerTest {

    @Test
    void what_one_observer_signs_another_sees_with_all_its_reasons() {
        Caller siskin = signedIn("Siskin");
        List<String> ids = readCollar(siskin, 11);
        siskin.put(determination(11), signed("serotina", "collar on every fruit", ids))
                .expect(200);

        JsonNode seen =
                signedIn("Redpoll").get(treePath(11) + "/bench").expect(200).at("/determinations/0");

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
        List<String> ids = readCollar(redpoll, 11);
        String path = determination(11);

        redpoll.put(path, signed("padus", "", ids)).expect(200);
        redpoll.put(path, signed("padus", "", ids)).expect(200);

        assertThat(count("determination where id = '" + id(path) + "'")).isEqualTo(1);
        redpoll.put(path, signed("serotina", "", ids)).expectProblem(409, "id-taken");
    }

    @Test
    void a_later_signature_supersedes_and_the_earlier_stays() {
        Caller treecreeper = signedIn("Treecreeper");
        List<String> ids = readCollar(treecreeper, 11);
        String first = determination(11);
        treecreeper.put(first, signed("padus", "first", ids)).expect(200);

        JsonNode bench = treecreeper
                .put(determination(11), signed(null, "could not part them", ids))
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
        List<String> before = readCollar(dipper, 11);
        dipper.put(treePath(11) + "/readings/" + UUID.randomUUID(), Map.of("character", "stone", "notSeen", true))
                .expect(200);

        dipper.put(determination(11), signed("serotina", "", before)).expectProblem(409, "readings-changed");
    }

    @Test
    void nothing_read_is_nothing_to_sign_but_the_group_can_be_recorded() {
        Caller redpoll = signedIn("Redpoll");

        redpoll.put(determination(40), signed("alba", "", List.of())).expectProblem(422, "nothing-read");

        redpoll.put(determination(40), signed(null, "crown out of sight", List.of()))
                .expect(200);
    }

    @Test
    void a_taxon_of_another_group_is_refused() {
        Caller siskin = signedIn("Siskin");
        List<String> ids = readCollar(siskin, 11);

        siskin.put(determination(11), signed("pendula", "", ids)).expectProblem(422, "no-such-taxon");
    }

    @Test
    void what_is_written_once_stays_as_it_is_even_in_the_database() {
        Caller siskin = signedIn("Siskin");
        List<String> ids = readCollar(siskin, 11);
        siskin.put(determination(11), signed("serotina", "stays", ids)).expect(200);

        for (String table : List.of("reading", "determination", "sheet_version")) {
            String column = table.equals("sheet_version") ? "created_at" : "id";
            assertThatThrownBy(() -> jdbc.sql("update " + table + " set " + column + " = " + column)
                            .update())
                    .isInstanceOf(DataAccessException.class)
                    .hasMessageContaining("append-only");
            assertThatThrownBy(() -> jdbc.sql("delete from " + table).update())
                    .isInstanceOf(DataAccessException.class)
                    .hasMessageContaining("append-only");
        }
    }

    private List<String> readCollar(Caller caller, int tag) {
        String reading = UUID.randomUUID().toString();
        JsonNode bench = caller.put(
                        treePath(tag) + "/readings/" + reading,
                        Map.of(
                                "character",
                                "fruit-collar",
                                "states",
                                List.of(firstState("bird-cherries", "fruit-collar")),
                                "certainty",
                                "sure",
                                "notSeen",
                                false))
                .expect(200);
        return bench.path("readings").findValuesAsText("id");
    }

    private String firstState(String group, String character) {
        return jdbc.sql("select jsonb_path_query_first(body, '$.characters[*] ? (@.id == $c).states[0].id',"
                        + " jsonb_build_object('c', ?::text)) #>> '{}' from sheet_version where group_id = ?")
                .params(character, group)
                .query(String.class)
                .single();
    }

    private static String determination(int tag) {
        return treePath(tag) + "/determinations/" + UUID.randomUUID();
    }

    private static String id(String path) {
        return path.substring(path.lastIndexOf('/') + 1);
    }

    private static Map<String, Object> signed(String taxonId, String note, List<String> readingIds) {
        Map<String, Object> body = new HashMap<>();
        body.put("taxonId", taxonId);
        body.put("note", note);
        body.put("readingIds", readingIds);
        return body;
    }

    private int count(String from) {
        return jdbc.sql("select count(*) from " + from).query(Integer.class).single();
    }
}
