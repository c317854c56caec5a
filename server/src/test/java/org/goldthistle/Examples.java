package org.goldthistle;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.regex.Pattern;

/**
 * Keeps one real exchange of each operation for the API's document, when the server's tests run with
 * {@code -Dgoldthistle.examples.write=true}: what was sent and what came back, lists cut to their first, secrets blotted out.
 */
final class Examples {
    private static final boolean ON = Boolean.getBoolean("goldthistle.examples.write");
    private static final Path KEPT = Path.of("src/main/resources/api-examples.json");
    private static final Path DOCUMENT = Path.of("../web/openapi.json");
    private static final int LONGEST = 6000; // characters of an example
    private static final int LONGEST_TEXT = 160;
    private static final Set<String> SECRETS = Set.of("passphrase", "token", "secret");
    private static final ObjectMapper JSON =
            JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();
    private static final SortedMap<String, ObjectNode> FOUND = new TreeMap<>();
    private static final List<Operation> OPERATIONS = ON ? operations() : List.of();

    static {
        if (ON) {
            Runtime.getRuntime().addShutdownHook(new Thread(Examples::write));
        }
    }

    private Examples() {}

    private record Operation(String id, String method, Pattern path) {}

    /** Notes an exchange that went well, unless there is one of its operation already. */
    static void note(String method, String address, String sent, Caller.Answer answer) {
        if (!ON || answer.status() / 100 != 2) {
            return;
        }
        String path = address.replaceFirst("\\?.*", "");
        for (Operation one : OPERATIONS) {
            if (one.method().equals(method) && one.path().matcher(path).matches()) {
                synchronized (FOUND) {
                    FOUND.merge(
                            one.id(),
                            example(sent, answer.body()),
                            (known, more) -> known.has("response") ? known : more);
                }
                return;
            }
        }
    }

    private static ObjectNode example(String sent, JsonNode answered) {
        ObjectNode example = JSON.createObjectNode();
        try {
            JsonNode body = sent == null || sent.isBlank() ? JSON.missingNode() : JSON.readTree(sent);
            put(example, "request", body);
        } catch (IOException noJson) {
            // a file; it is told by its type
        }
        put(example, "response", answered);
        return example;
    }

    private static void put(ObjectNode example, String as, JsonNode what) {
        if (!what.isContainerNode()) {
            return;
        }
        JsonNode shortened = shortened(what);
        if (shortened.toString().length() <= LONGEST) {
            example.set(as, shortened);
        }
    }

    private static JsonNode shortened(JsonNode from) {
        if (from instanceof ObjectNode object) {
            ObjectNode to = JSON.createObjectNode();
            object.properties()
                    .forEach(field -> to.set(
                            field.getKey(),
                            SECRETS.contains(field.getKey()) && field.getValue().isTextual()
                                    ? to.textNode("…")
                                    : shortened(field.getValue())));
            return to;
        }
        if (from instanceof ArrayNode array) {
            ArrayNode to = JSON.createArrayNode();
            boolean plain = !array.isEmpty() && !array.get(0).isContainerNode();
            for (int i = 0; i < array.size() && (plain || i < 1); i++) {
                to.add(shortened(array.get(i)));
            }
            return to;
        }
        return from.isTextual() && from.asText().length() > LONGEST_TEXT
                ? JSON.getNodeFactory().textNode(from.asText().substring(0, LONGEST_TEXT) + "…")
                : from;
    }

    private static List<Operation> operations() {
        List<Operation> all = new ArrayList<>();
        try {
            for (Map.Entry<String, JsonNode> path :
                    JSON.readTree(Files.readString(DOCUMENT)).path("paths").properties()) {
                Pattern pattern = Pattern.compile(path.getKey().replaceAll("\\{[^}]*}", "[^/]+"));
                path.getValue()
                        .properties()
                        .forEach(method -> all.add(new Operation(
                                method.getValue().path("operationId").asText(),
                                method.getKey().toUpperCase(Locale.ROOT),
                                pattern)));
            }
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
        // an address without a variable goes before one that would take its last word for an id
        all.sort(Comparator.comparing(one -> one.path().pattern().contains("[^/]+")));
        return all;
    }

    private static void write() {
        try {
            ObjectNode all = JSON.createObjectNode();
            if (Files.exists(KEPT)) {
                JSON.readTree(Files.readString(KEPT))
                        .properties()
                        .forEach(one -> FOUND.putIfAbsent(one.getKey(), (ObjectNode) one.getValue()));
            }
            FOUND.forEach((id, example) -> {
                if (!example.isEmpty()) {
                    all.set(id, example);
                }
            });
            Files.writeString(KEPT, JSON.writeValueAsString(all) + "\n");
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
    }
}
