package org.goldthistle.platform;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Component;

/** JSON that the database keeps: written by this application, so that it can be read; nothing stays nothing. */
@Component
public class KeptJson {
    private final ObjectMapper json;

    KeptJson(ObjectMapper json) {
        this.json = json;
    }

    public @Nullable String text(@Nullable Object value) {
        return value == null ? null : attempt(() -> json.writeValueAsString(value));
    }

    public @Nullable JsonNode tree(@Nullable String text) {
        return text == null ? null : attempt(() -> json.readTree(text));
    }

    public @Nullable <T> T read(@Nullable String text, Class<T> type) {
        return text == null ? null : attempt(() -> json.readValue(text, type));
    }

    public @Nullable <T> T read(@Nullable String text, TypeReference<T> type) {
        return text == null ? null : attempt(() -> json.readValue(text, type));
    }

    private interface Step<T> {
        T take() throws JsonProcessingException;
    }

    private static <T> T attempt(Step<T> step) {
        try {
            return step.take();
        } catch (JsonProcessingException broken) {
            throw new IllegalStateException("what is kept was written by this application", broken);
        }
    }
}
