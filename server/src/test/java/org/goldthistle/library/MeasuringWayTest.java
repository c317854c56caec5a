package org.goldthistle.library;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import org.goldthistle.ServerTest;
import org.goldthistle.formats.BuiltInLibrary;
import org.junit.jupiter.api.Test;

class MeasuringWayTest extends ServerTest {
    @Test
    void what_is_asked_of_a_way_is_what_the_librarys_sheets_say_of_it() throws IOException {
        Map<String, Set<String>> asked = new HashMap<>();
        for (JsonNode way : signedIn("Siskin").get("/api/measuring-ways").expect(200)) {
            Set<String> keys = new HashSet<>(Set.of("as"));
            way.path("asked").forEach(one -> keys.add(one.path("key").asText()));
            asked.put(way.path("as").asText(), keys);
        }
        Set<String> used = new HashSet<>();

        for (String group : BuiltInLibrary.GROUPS) {
            JsonNode sheet = new ObjectMapper().readTree(BuiltInLibrary.sheetText(group));
            for (JsonNode character : sheet.path("characters")) {
                if (character.has("measured")) {
                    JsonNode measured = character.path("measured");
                    Set<String> keys = new HashSet<>();
                    measured.fieldNames().forEachRemaining(keys::add);
                    used.add(measured.path("as").asText());
                    assertThat(keys).isEqualTo(asked.get(measured.path("as").asText()));
                }
            }
        }

        assertThat(asked).hasSize(8);
        assertThat(asked.keySet()).containsAll(used);
    }
}
