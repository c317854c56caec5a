package org.goldthistle.formats;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.StreamReadFeature;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import org.goldthistle.core.RefusedException;

/** Text to JSON tree, strictly: no key twice, nothing after the end. */
final class JsonFile {
    static final JsonMapper MAPPER = JsonMapper.builder()
            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .build();

    private JsonFile() {}

    /** @throws RefusedException with line and column if the text is not JSON */
    static JsonNode parse(String text) {
        try {
            return MAPPER.readTree(text);
        } catch (JsonProcessingException broken) {
            throw refusal(broken);
        }
    }

    static RefusedException refusal(JsonProcessingException broken) {
        String place = broken.getLocation() == null
                ? ""
                : "line " + broken.getLocation().getLineNr() + ", column "
                        + broken.getLocation().getColumnNr();
        return RefusedException.of(place, broken.getOriginalMessage(), "well-formed JSON");
    }
}
