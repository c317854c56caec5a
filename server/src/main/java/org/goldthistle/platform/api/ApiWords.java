package org.goldthistle.platform.api;

import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.Operation;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.parameters.Parameter;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Properties;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/**
 * Says what fields and parameters mean whose Javadoc says nothing of its own: the terms of the job, each written once in
 * {@code api-words.properties}. What Javadoc says stands.
 */
@Component
@Order(2)
class ApiWords implements OpenApiCustomizer {
    private static final int LONGEST_SUMMARY = 120;

    private final Properties words = new Properties();

    ApiWords() {
        try (InputStream in = ApiWords.class.getResourceAsStream("/api-words.properties");
                Reader reader = new InputStreamReader(in, StandardCharsets.UTF_8)) {
            words.load(reader);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    @Override
    public void customise(OpenAPI api) {
        api.getComponents().getSchemas().forEach(this::describe);
        api.getPaths().values().forEach(path -> path.readOperations().forEach(this::describe));
    }

    @SuppressWarnings({"rawtypes", "unchecked"})
    private void describe(String name, Schema schema) {
        Map<String, Schema> properties = schema.getProperties();
        if (properties != null) {
            properties.forEach((field, property) -> {
                if (property.getDescription() == null) {
                    property.setDescription(words.getProperty(name + "." + field, words.getProperty(field)));
                }
            });
        }
    }

    private void describe(Operation operation) {
        String summary = operation.getSummary();
        if (summary != null) {
            operation.setSummary(shortened(summary));
        }
        if (operation.getParameters() != null) {
            for (Parameter parameter : operation.getParameters()) {
                if (parameter.getDescription() == null) {
                    parameter.setDescription(words.getProperty(parameter.getName()));
                }
            }
        }
    }

    /** The first sentence, without its full stop; the description has the rest. */
    private static String shortened(String text) {
        String first = text.strip().replaceFirst("(?s)[.;:] .*$", "").replaceFirst("\\.$", "");
        return first.length() <= LONGEST_SUMMARY ? first : first.substring(0, LONGEST_SUMMARY);
    }
}
