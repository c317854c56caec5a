package org.goldthistle.platform.api;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.Operation;
import io.swagger.v3.oas.models.media.Content;
import io.swagger.v3.oas.models.media.MediaType;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Shows of each operation what was once sent and what came back, as the tests kept it in {@code api-examples.json}. */
@Component
@Order(4)
class ApiExamples implements OpenApiCustomizer {
    private static final String JSON_TYPE = "application/json";

    private final JsonNode examples;

    ApiExamples(ObjectMapper json) {
        try (InputStream in = ApiExamples.class.getResourceAsStream("/api-examples.json")) {
            this.examples = json.readTree(in);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    @Override
    public void customise(OpenAPI api) {
        api.getPaths().values().forEach(path -> path.readOperations().forEach(this::show));
    }

    private void show(Operation operation) {
        JsonNode example = examples.path(operation.getOperationId());
        if (example.has("request") && operation.getRequestBody() != null) {
            show(operation.getRequestBody().getContent(), example.get("request"));
        }
        if (example.has("response") && operation.getResponses().containsKey("200")) {
            show(operation.getResponses().get("200").getContent(), example.get("response"));
        }
    }

    private static void show(Content content, JsonNode example) {
        MediaType shown = content == null ? null : content.get(JSON_TYPE);
        if (shown != null && !isFile(shown)) {
            shown.setExample(example);
        }
    }

    private static boolean isFile(MediaType shown) {
        return shown.getSchema() != null
                && shown.getSchema().getTypes() != null
                && shown.getSchema().getTypes().contains("string");
    }
}
