package org.goldthistle.formats;

import com.fasterxml.jackson.core.JsonLocation;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.StreamReadFeature;
import com.fasterxml.jackson.core.io.JsonEOFException;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.goldthistle.core.RefusedException;

/** Text to JSON tree, strictly: no key twice, nothing after the end. */
final class JsonFile {
    static final JsonMapper MAPPER = JsonMapper.builder()
            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .build();

    private static final Pattern KEY_TWICE = Pattern.compile("^Duplicate (?:field|Object property) \"?'?(.*?)'?\"?$");
    private static final Pattern UNEXPECTED =
            Pattern.compile("^(?:Unexpected character \\('(.)'|Unrecognized token '([^']{1,20}))");

    private JsonFile() {}

    /** @throws RefusedException with line and column if the text is not JSON */
    static JsonNode parse(String text) {
        try {
            return MAPPER.readTree(text);
        } catch (JsonProcessingException broken) {
            throw refusal(broken);
        }
    }

    /** The same as plain values: maps, lists, text, numbers. */
    static Object plain(JsonNode node) {
        return MAPPER.convertValue(node, Object.class);
    }

    /** What is wrong with a text that is no JSON, in words. */
    static RefusedException refusal(JsonProcessingException broken) {
        JsonLocation at = broken.getLocation();
        String place = at == null ? "" : "line " + at.getLineNr() + ", column " + at.getColumnNr();
        return RefusedException.of(place, found(broken), "well-formed JSON");
    }

    private static String found(JsonProcessingException broken) {
        String message = broken.getOriginalMessage();
        Matcher twice = KEY_TWICE.matcher(message);
        if (twice.find()) {
            return "the key \"" + twice.group(1) + "\" twice in one object";
        }
        if (broken instanceof JsonEOFException || message.startsWith("Unexpected end-of-input")) {
            return "the end of the text in the middle of something";
        }
        if (message.startsWith("Trailing token")) {
            return "something behind the end";
        }
        Matcher unexpected = UNEXPECTED.matcher(message);
        if (!unexpected.find()) {
            return "something that is no JSON";
        }
        return "\"" + (unexpected.group(1) == null ? unexpected.group(2) : unexpected.group(1)) + "\"";
    }
}
