package org.goldthistle.formats;

import com.fasterxml.jackson.databind.JsonNode;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import com.networknt.schema.ValidationMessage;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.Spliterator;
import java.util.Spliterators;
import java.util.stream.StreamSupport;
import org.apache.commons.text.similarity.LevenshteinDistance;
import org.goldthistle.core.Refusal;

/** A published JSON Schema of this module, and what breaks it. */
final class SchemaFile {
    private static final String UNKNOWN = "additionalProperties"; // as the validator calls the rule
    private static final LevenshteinDistance LETTERS = new LevenshteinDistance(3); // more make another word

    private final JsonSchema schema;

    private SchemaFile(JsonSchema schema) {
        this.schema = schema;
    }

    /** The schema in a resource of this module. */
    static SchemaFile of(String resource) {
        return new SchemaFile(
                JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012).getSchema(text(resource)));
    }

    /** The text of the resource. */
    static String text(String resource) {
        try (InputStream in = SchemaFile.class.getResourceAsStream(resource)) {
            if (in == null) {
                throw new IllegalArgumentException("no resource " + resource);
            }
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    /** What a validator says of a file, in its own terms. */
    Set<ValidationMessage> messages(JsonNode file) {
        return schema.validate(file);
    }

    /** Every place where a file breaks the schema. */
    List<Refusal> breaks(JsonNode file) {
        return messages(file).stream().map(SchemaFile::refusal).toList();
    }

    /** The same, but for keys that it does not know. */
    List<Refusal> breaksOfKnownKeys(JsonNode file) {
        return messages(file).stream()
                .filter(message -> !message.getType().equals(UNKNOWN))
                .map(SchemaFile::refusal)
                .toList();
    }

    private static Refusal refusal(ValidationMessage message) {
        String place = place(message);
        if (message.getType().equals("required")) {
            return new Refusal(
                    (place.isEmpty() ? "" : place + ".") + message.getProperty(), "nothing", "that it says something");
        }
        return new Refusal(place, "something else", said(message));
    }

    /** Keys of a file that the schema does not know, in their order. */
    List<UnknownKey> unknownKeys(JsonNode file) {
        return messages(file).stream()
                .filter(message -> message.getType().equals(UNKNOWN))
                .map(message -> new UnknownKey(place(message), message.getProperty(), nearest(message.getProperty())))
                .toList();
    }

    /** The key, anywhere in the schema, that differs by the fewest letters, the first of several. */
    private Optional<String> nearest(String key) {
        return schema.getSchemaNode().findValues("properties").stream()
                .flatMap(known -> StreamSupport.stream(
                        Spliterators.spliteratorUnknownSize(known.fieldNames(), Spliterator.ORDERED), false))
                .filter(known -> LETTERS.apply(known, key) >= 0)
                .min(Comparator.comparingInt(known -> LETTERS.apply(known, key)));
    }

    private static String place(ValidationMessage message) {
        return message.getInstanceLocation().toString().replaceFirst("^\\$\\.?", "");
    }

    /** The rule alone; the place stands before it. */
    private static String said(ValidationMessage message) {
        String text = message.getMessage();
        return text.substring(text.indexOf(": ") + 1).strip();
    }
}
