package org.goldthistle.formats;

import com.fasterxml.jackson.databind.JsonNode;
import com.networknt.schema.ValidationMessage;
import java.util.Comparator;
import java.util.List;

/** The published schema of drawings: which parts are drawn, and with which parameters. An unknown part passes. */
final class DrawingSchema {
    private static final SchemaFile SCHEMA = SchemaFile.of("/drawing.schema.json");

    private DrawingSchema() {}

    /** One place where a drawing breaks the schema: the parameter, and what was expected of it. */
    record Break(String parameter, String expected) {}

    /** Every place where a drawing breaks the schema, by parameter. */
    static List<Break> breaks(JsonNode drawing) {
        return SCHEMA.messages(drawing).stream()
                .map(DrawingSchema::brokenAt)
                .sorted(Comparator.comparing(Break::parameter))
                .toList();
    }

    private static Break brokenAt(ValidationMessage message) {
        String parameter = message.getProperty() != null
                ? message.getProperty()
                : message.getInstanceLocation().getName(-1);
        String text = message.getMessage();
        String expected = text.substring(text.indexOf(':') + 1).strip();
        return new Break(parameter == null ? "" : parameter, expected);
    }
}
