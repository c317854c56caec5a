package org.goldthistle.draft;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Map;
import java.util.UUID;
import java.util.function.Consumer;
import org.goldthistle.Caller;
import org.goldthistle.ServerTest;

/** A copy of the larches of its own, and what an editor does to its drafts. */
abstract class DraftCase extends ServerTest {
    static final ObjectMapper JSON = new ObjectMapper();

    final String group = "larches-" + UUID.randomUUID();

    JsonNode copyOfLarches(Caller caller) {
        return begin(
                caller,
                Map.of(
                        "from",
                        "copy",
                        "versionId",
                        versionOf(caller, "larches"),
                        "groupId",
                        group,
                        "title",
                        "Larches again",
                        "region",
                        "Tarnholt Forest"));
    }

    static JsonNode begin(Caller caller, Map<String, Object> how) {
        return begin(caller, 200, how);
    }

    static JsonNode begin(Caller caller, int status, Map<String, Object> how) {
        return caller.put("/api/drafts/" + UUID.randomUUID(), how).expect(status);
    }

    static Caller.Answer change(Caller caller, JsonNode draft, Consumer<ObjectNode> change) {
        ObjectNode sheet = draft.path("sheet").deepCopy();
        change.accept(sheet);
        return caller.put(
                draftPath(draft) + "/sheet",
                Map.of("revision", draft.path("revision").asInt(), "sheet", sheet));
    }

    static JsonNode saved(Caller caller, JsonNode draft) {
        return caller.put(draftPath(draft) + "/version", Map.of("note", "")).expect(200);
    }

    static ObjectNode character(JsonNode sheet, int index) {
        return (ObjectNode) sheet.path("characters").get(index);
    }

    static JsonNode sheetFile(Caller caller, String version) {
        return caller.get("/api/sheets/" + version + "/file").expect(200);
    }

    static String draftPath(JsonNode draft) {
        return "/api/drafts/" + draft.path("id").asText();
    }

    static String versionOf(Caller caller, String group) {
        for (JsonNode one : caller.get("/api/sheets").expect(200)) {
            if (one.path("groupId").asText().equals(group)) {
                return one.path("versionId").asText();
            }
        }
        throw new AssertionError("no sheet of " + group);
    }
}
