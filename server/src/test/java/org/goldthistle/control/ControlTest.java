package org.goldthistle.control;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.Caller;
import org.junit.jupiter.api.Test;

/** From two blind readings to a control list, its approval and its files. */
class ControlTest extends TreeForControl {
    @Test
    void a_tree_that_two_called_blind_for_control_is_clear_and_one_that_lacks_something_says_what() {
        Caller siskin = signedIn("Siskin");
        callForControl(siskin);
        assertThat(rowOfList(signedIn("Wren")))
                .as("kept from who is to read it blind")
                .isNull();
        JsonNode waiting = rowOfList(siskin);
        assertThat(kinds(waiting)).containsExactly("second-observer", "review");

        Caller redpoll = signedIn("Redpoll");
        callForControl(redpoll);
        assertThat(kinds(rowOfList(lead))).containsExactly("review");
        settle();

        JsonNode clear = rowOfList(lead);
        assertThat(clear.path("missing")).isEmpty();
        assertThat(clear.path("commonName").asText()).isEqualTo("black cherry");
        assertThat(clear.path("observers").toString()).isEqualTo("[\"Siskin\",\"Redpoll\"]");
        assertThat(clear.at("/approval/id").isMissingNode()
                        || clear.at("/approval/id").isNull())
                .isTrue();
        assertThat(clear.path("latitude").asDouble()).isGreaterThan(55.03);
    }

    @Test
    void what_stands_near_and_must_not_be_touched_is_told_with_what_must_be_kept_first() {
        clear();
        plain(8, "bird cherry", 15, 5);
        plain(9, "silver birch", 12, 3.2);
        Map<String, Object> unread = stemOf(10, 10, 3.5);
        unread.put("groupId", "birches");
        lead.put(plotAddress() + "/trees/" + UUID.randomUUID(), unread).expect(200);
        plain(11, "bird cherry", 190, 12);

        JsonNode near = rowOfList(lead).path("near");

        assertThat(near).hasSize(2);
        assertThat(near.at("/0/tag").asInt()).isEqualTo(8);
        assertThat(near.at("/0/kind").asText()).isEqualTo("keep");
        assertThat(near.at("/0/metres").asDouble()).isBetween(2.0, 2.1);
        assertThat(near.at("/1/kind").asText()).isEqualTo("unread");
    }

    @Test
    void an_approval_lapses_by_itself_when_the_tree_is_signed_anew() {
        clear();
        approve(true).expect(204);
        assertThat(rowOfList(lead).at("/approval/by").asText()).isEqualTo("Treecreeper");
        assertThat(card()).isNotNull();

        Caller siskin = signedIn("Siskin");
        sign(siskin, "group", null);

        assertThat(rowOfList(lead)).as("it stands as the group").isNull();
        assertThat(card()).isNull();
        approve(true).expectProblem(422, "not-for-control");
    }

    @Test
    void a_tree_that_changed_meanwhile_is_not_approved() {
        clear();
        JsonNode before = rowOfList(lead);
        UUID other = UUID.randomUUID();
        lead.put(approval(), Map.of("determinationId", other, "approved", true)).expectProblem(409, "stale");
        String id = approval();
        Map<String, Object> yes =
                Map.of("determinationId", before.path("determinationId").asText(), "approved", true);
        lead.put(id, yes).expect(204);
        lead.put(id, yes).expect(204);
        lead.put(approval(), yes).expect(204);

        assertThat(rowOfList(lead).at("/approval/id").asText()).isEqualTo(id.substring(id.lastIndexOf('/') + 1));
        signedIn("Siskin").put(approval(), yes).expectProblem(403, "not-yours-to-do");
        approve(false).expect(204);
        assertThat(card()).isNull();
    }

    @Test
    void what_a_call_for_the_record_lacks_is_told_in_words() {
        Caller siskin = signedIn("Siskin");
        sign(siskin, "taxon", "serotina");

        JsonNode row = rowOfList(siskin);

        assertThat(kinds(row)).startsWith("tier");
        assertThat(row.path("missing").toString()).contains("it was not called for control");
        approve(siskin, true).expectProblem(403, "not-yours-to-do");
    }

    @Test
    void the_list_leaves_as_a_table_and_as_a_map() {
        clear();
        plain(8, "bird cherry", 15, 5);
        approve(true).expect(204);

        String table = lead.get(surveyPath() + "/control.csv").text();
        assertThat(table.lines().filter(line -> line.contains(plot.toString())))
                .singleElement()
                .satisfies(line -> assertThat(line).contains("black cherry", "8 keep bird cherry", "Treecreeper"));
        JsonNode map = lead.get(surveyPath() + "/control.geojson").expect(200);
        assertThat(map.path("type").asText()).isEqualTo("FeatureCollection");
        assertThat(map.toString()).contains("\"do not touch\":[{\"tag\":8,\"why\":\"keep\"");
    }
}
