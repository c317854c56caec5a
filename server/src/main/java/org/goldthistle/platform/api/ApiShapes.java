package org.goldthistle.platform.api;

import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.Operation;
import io.swagger.v3.oas.models.media.Content;
import io.swagger.v3.oas.models.media.JsonSchema;
import io.swagger.v3.oas.models.media.MediaType;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.tags.Tag;
import java.math.BigDecimal;
import java.util.Comparator;
import java.util.Map;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Gives streams and files their types, and features their names. */
@Component
@Order(3)
class ApiShapes implements OpenApiCustomizer {
    private static final String COMPONENTS = "#/components/schemas/";
    private static final Map<String, String> FEATURES = Map.ofEntries(
            Map.entry("along-controller", "Along"),
            Map.entry("bench-controller", "Bench"),
            Map.entry("draft-controller", "Drafts of sheets"),
            Map.entry("exchange-controller", "Import and export"),
            Map.entry("figure-differences", "Figure differences"),
            Map.entry("lesson-controller", "Verified trees"),
            Map.entry("memory-aid-controller", "Memory aids"),
            Map.entry("people-controller", "People"),
            Map.entry("photo-controller", "Photos"),
            Map.entry("plot-controller", "Plots"),
            Map.entry("plot-view-controller", "The walk"),
            Map.entry("quality-controller", "Agreement"),
            Map.entry("reach-controller", "Reach"),
            Map.entry("receiver-controller", "Receiver"),
            Map.entry("review-controller", "Review"),
            Map.entry("session-controller", "Session"),
            Map.entry("sheet-controller", "Groups"),
            Map.entry("survey-controller", "Surveys"),
            Map.entry("taxon-controller", "Taxa"),
            Map.entry("today-controller", "Today"),
            Map.entry("token-controller", "Tokens"),
            Map.entry("tree-controller", "Trees"),
            Map.entry("welcome-controller", "Welcome"));

    @Override
    public void customise(OpenAPI api) {
        api.getPaths()
                .values()
                .forEach(path -> path.readOperations().forEach(operation -> {
                    operation.setTags(operation.getTags().stream()
                            .map(tag -> FEATURES.getOrDefault(tag, tag))
                            .toList());
                    shape(operation);
                }));
        if (api.getTags() != null) {
            api.getTags().forEach(tag -> tag.setName(FEATURES.getOrDefault(tag.getName(), tag.getName())));
            api.getTags().sort(Comparator.comparing(Tag::getName));
        }
        api.getComponents().getSchemas().values().forEach(schema -> {
            shapeDefaults(schema);
            shapeMaps(schema);
        });
        api.getComponents().getSchemas().remove("SseEmitter");
        api.getComponents().getSchemas().remove("StreamingResponseBody");
    }

    private static void shape(Operation operation) {
        operation.getResponses().values().forEach(response -> {
            Content content = response.getContent();
            if (content != null) {
                content.forEach(ApiShapes::shape);
            }
        });
    }

    /** How long each value of a map may be is said of the values. */
    private static void shapeMaps(Schema<?> schema) {
        if (schema.getProperties() != null) {
            schema.getProperties().values().stream()
                    .filter(one -> one.getMaxLength() != null)
                    .filter(one -> one.getAdditionalProperties() instanceof Schema<?>)
                    .forEach(one -> {
                        ((Schema<?>) one.getAdditionalProperties()).setMaxLength(one.getMaxLength());
                        one.setMaxLength(null);
                    });
        }
    }

    /** What a number usually is is a number. */
    @SuppressWarnings({"rawtypes", "unchecked"})
    private static void shapeDefaults(Schema schema) {
        Map<String, Schema> properties = schema.getProperties();
        if (properties != null) {
            properties.values().stream()
                    .filter(one -> one.getDefault() instanceof String && one.getTypes() != null)
                    .filter(one -> one.getTypes().contains("number"))
                    .forEach(one -> one.setDefault(new BigDecimal((String) one.getDefault())));
        }
    }

    private static void shape(String type, MediaType of) {
        Schema<?> schema = of.getSchema();
        if (schema == null || schema.get$ref() == null) {
            return;
        }
        if (schema.get$ref().equals(COMPONENTS + "SseEmitter")) {
            of.setSchema(new JsonSchema().typesItem("string").description("server-sent events, one id a change"));
        } else if (schema.get$ref().equals(COMPONENTS + "StreamingResponseBody")) {
            of.setSchema(new JsonSchema().typesItem("string").description("the file, in " + type));
        }
    }
}
