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
import java.util.List;
import java.util.Set;
import org.goldthistle.core.Refusal;

/** A published JSON Schema of this module, and what breaks it. */
final class SchemaFile {
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
        return messages(file).stream()
                .map(message -> new Refusal(place(message), "what breaks the schema", said(message)))
                .toList();
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
