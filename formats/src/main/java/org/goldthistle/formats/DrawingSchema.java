package org.goldthistle.formats;

import com.networknt.schema.ValidationMessage;
import java.util.Map;
import java.util.TreeMap;

/** The published schema of drawings: which parts are drawn, and with which parameters. An unknown part passes. */
final class DrawingSchema {
    private static final SchemaFile SCHEMA = SchemaFile.of("/drawing.schema.json");

    private DrawingSchema() {}

    private record Break(String parameter, String expected) {}

    /** What was expected of each parameter that breaks the schema, by its name. */
    static Map<String, String> breaks(Map<String, Object> drawing) {
        Map<String, String> found = new TreeMap<>();
        SCHEMA.messages(JsonFile.MAPPER.valueToTree(drawing)).stream()
                .map(DrawingSchema::brokenAt)
                .forEach(one -> found.putIfAbsent(one.parameter(), one.expected()));
        return found;
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
