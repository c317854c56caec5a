package org.goldthistle.quality;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.ServerTest;
import org.junit.jupiter.api.Test;

/** The demo's trees that were read twice, held against a count of their signatures one by one. */
class AgreementTest extends ServerTest {
    private static final String SIGNATURES = "select d.tree_id, d.observer_id, d.outcome,"
            + " coalesce(d.taxon_id, d.outcome) answer, coalesce(t.group_id, v.group_id) group_id from determination d"
            + " join sheet_version v on v.id = d.sheet_version_id join tree t on t.id = d.tree_id"
            + " join plot p on p.id = t.plot_id where p.survey_id = ? and d.settles is null and d.signed_blind"
            + " and (t.shown_to is null or (select id from observer where call_sign = 'Treecreeper') = any(t.shown_to))"
            + " order by d.entry_order";

    private record Signature(UUID tree, UUID observer, String group, String outcome, String answer) {}

    @Test
    void every_tree_that_two_signed_blind_counts_once_in_its_group() {
        Map<String, Signature> last = new LinkedHashMap<>();
        jdbc.sql(SIGNATURES).params(demoId("survey Tarnholt")).query(row -> {
            var one = new Signature(
                    row.getObject("tree_id", UUID.class),
                    row.getObject("observer_id", UUID.class),
                    row.getString("group_id"),
                    row.getString("outcome"),
                    row.getString("answer"));
            String key = one.tree() + " " + one.observer();
            last.remove(key); // what is signed anew comes last
            last.put(key, one);
        });
        Map<String, Map<UUID, List<String>>> groups = new LinkedHashMap<>();
        last.values().stream()
                .filter(one -> List.of("taxon", "group").contains(one.outcome()))
                .forEach(one -> groups.computeIfAbsent(one.group(), id -> new LinkedHashMap<>())
                        .computeIfAbsent(one.tree(), id -> new ArrayList<>())
                        .add(one.answer()));
        groups.values().forEach(trees -> trees.values().removeIf(answers -> answers.size() < 2));
        groups.values().removeIf(Map::isEmpty);

        JsonNode told = signedIn("Treecreeper").get(surveyPath() + "/agreement").expect(200);

        assertThat(groups).hasSizeGreaterThanOrEqualTo(5);
        assertThat(told.path("groups").findValuesAsText("groupId"))
                .containsExactlyInAnyOrderElementsOf(groups.keySet());
        told.path("groups").forEach(group -> {
            Map<UUID, List<String>> trees = groups.get(group.path("groupId").asText());
            long alike = trees.values().stream()
                    .filter(answers -> answers.get(0).equals(answers.get(1)))
                    .count();
            assertThat(group.path("trees").asInt()).isEqualTo(trees.size());
            assertThat(Math.round(group.path("percent").asDouble() * trees.size() / 100))
                    .isEqualTo(alike);
        });
    }
}
