package org.goldthistle.e2e;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.UUID;
import java.util.function.IntFunction;

/**
 * Requests drawn from the document of the API: real addresses with real and made-up ids, bodies that fit, nearly fit or do
 * not, in every order. The same seed draws the same.
 */
final class MadeUpRequests {
    private static final List<String> METHODS = List.of("GET", "PUT", "POST", "DELETE", "PATCH");

    /** What a text may be that nobody foresaw. */
    private static final List<String> TEXTS = List.of(
            "",
            " ",
            "a",
            "Kettle Moss 07",
            "birches",
            "larches",
            "crew",
            "taxon",
            "record",
            "mature",
            "wild",
            "x".repeat(5000),
            "'; drop table tree; --",
            "%s%n{}${7*7}",
            "\u202Egnal",
            "🌿",
            "../../..",
            "0",
            "-1",
            "NaN",
            "true",
            "null");

    private final JsonNode document;
    private final List<String> paths = new ArrayList<>();
    private final List<UUID> ids = new ArrayList<>();
    private final String surveyId;
    private final Random drawn;

    MadeUpRequests(JsonNode document, String survey, long seed) {
        this.document = document;
        this.surveyId = survey.substring(survey.lastIndexOf('/') + 1);
        this.drawn = new Random(seed);
        document.path("paths").fieldNames().forEachRemaining(paths::add);
        for (int i = 0; i < 12; i++) {
            ids.add(new UUID(drawn.nextLong(), drawn.nextLong()));
        }
    }

    /**
     * Sends many.
     *
     * @param by somebody who is signed in, by number
     */
    void send(int many, IntFunction<ApiClient> by, Tally tally) {
        ApiClient caller = by.apply(0);
        for (int i = 0; i < many; i++) {
            String path = paths.get(drawn.nextInt(paths.size()));
            if (path.contains("news") || path.endsWith("/session") || path.endsWith("everywhere")) {
                path = "/api/today"; // streams never end, and sessions would at once
            }
            JsonNode operations = document.path("paths").path(path);
            String method = operations.isEmpty() || drawn.nextInt(8) == 0
                    ? METHODS.get(drawn.nextInt(METHODS.size()))
                    : anOf(operations).toUpperCase(Locale.ROOT);
            JsonNode operation = operations.path(method.toLowerCase(Locale.ROOT));
            ApiClient.Answer answer = caller.send(method, filled(path) + query(operation), body(operation));
            tally.add(answer.status(), method + " " + path + " " + answer.text());
            if (answer.status() == 401 || answer.status() == 0) {
                caller = by.apply(i);
            }
        }
    }

    private String anOf(JsonNode object) {
        List<String> names = new ArrayList<>();
        object.fieldNames().forEachRemaining(names::add);
        return names.get(drawn.nextInt(names.size()));
    }

    private String filled(String path) {
        StringBuilder filled = new StringBuilder();
        for (String part : path.split("/")) {
            if (!part.isEmpty()) {
                filled.append('/').append(part.startsWith("{") ? id(part) : part);
            }
        }
        return filled.toString();
    }

    private String id(String name) {
        return switch (drawn.nextInt(10)) {
            case 0 -> encoded(text());
            case 1 -> UUID.randomUUID().toString();
            default -> name.equals("{surveyId}") ? surveyId : name.equals("{groupId}") ? "birches" : anId();
        };
    }

    private String anId() {
        return ids.get(drawn.nextInt(ids.size())).toString();
    }

    private String query(JsonNode operation) {
        StringBuilder query = new StringBuilder();
        for (JsonNode parameter : operation.path("parameters")) {
            if (parameter.path("in").asText().equals("query") && drawn.nextInt(4) > 0) {
                query.append(query.isEmpty() ? '?' : '&')
                        .append(parameter.path("name").asText())
                        .append('=')
                        .append(encoded(text()));
            }
        }
        return query.toString();
    }

    private String body(JsonNode operation) {
        JsonNode schema = operation.at("/requestBody/content/application~1json/schema");
        return switch (drawn.nextInt(12)) {
            case 0 -> null;
            case 1 -> "{";
            case 2 -> "[[]]";
            default -> value(schema, 0).toString();
        };
    }

    private JsonNode value(JsonNode asked, int depth) {
        JsonNode schema =
                asked.has("$ref") ? document.at(asked.path("$ref").asText().substring(1)) : asked;
        if (drawn.nextInt(14) == 0) {
            return odd();
        }
        switch (schema.path("type").asText()) {
            case "integer", "number":
                return drawn.nextInt(3) == 0
                        ? number()
                        : ApiClient.JSON.getNodeFactory().numberNode(drawn.nextInt(40));
            case "boolean":
                return ApiClient.JSON.getNodeFactory().booleanNode(drawn.nextBoolean());
            case "array":
                ArrayNode many = ApiClient.JSON.createArrayNode();
                for (int i = drawn.nextInt(4); i > 0 && depth < 6; i--) {
                    many.add(value(schema.path("items"), depth + 1));
                }
                return many;
            case "string":
                return ApiClient.JSON
                        .getNodeFactory()
                        .textNode(schema.path("format").asText().equals("uuid") ? anId() : text());
            default:
                ObjectNode object = ApiClient.JSON.createObjectNode();
                schema.path("properties").properties().forEach(one -> {
                    if (drawn.nextInt(10) > 0 && depth < 6) {
                        object.set(one.getKey(), value(one.getValue(), depth + 1));
                    }
                });
                return object;
        }
    }

    private JsonNode number() {
        List<Double> odd = List.of(-1.0, 0.0, 1e308, -1e308, 0.1, 1e-300, 2147483648.0, 9e18, 361.0);
        return ApiClient.JSON.getNodeFactory().numberNode(odd.get(drawn.nextInt(odd.size())));
    }

    private JsonNode odd() {
        return switch (drawn.nextInt(5)) {
            case 0 -> ApiClient.JSON.nullNode();
            case 1 -> ApiClient.JSON.createArrayNode();
            case 2 -> ApiClient.JSON.createObjectNode();
            case 3 -> number();
            default -> ApiClient.JSON.getNodeFactory().textNode(text());
        };
    }

    private String text() {
        return TEXTS.get(drawn.nextInt(TEXTS.size()));
    }

    private static String encoded(String text) {
        return URLEncoder.encode(text.substring(0, Math.min(200, text.length())), StandardCharsets.UTF_8)
                .replace("+", "%20");
    }
}
