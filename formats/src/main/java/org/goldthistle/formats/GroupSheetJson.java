package org.goldthistle.formats;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.List;
import org.goldthistle.core.Refusal;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.formats.plain.SheetReader;

/** Reads a group sheet from its JSON; the format is described in {@code docs/group-sheet.md}. */
public final class GroupSheetJson {
    /** The word in {@code format} that a sheet of this kind starts with. */
    public static final String FORMAT = SheetReader.FORMAT;

    private static final String SCHEMA_FILE = "/group-sheet.schema.json";
    private static final SchemaFile SCHEMA = SchemaFile.of(SCHEMA_FILE);

    private static final SheetReader READER = new SheetReader(DrawingSchema::breaks);

    private GroupSheetJson() {}

    /**
     * Reads one sheet.
     *
     * @throws RefusedException with every place where the text breaks the format or a rule of the sheet
     */
    public static GroupSheet read(String text) {
        return READER.read(JsonFile.plain(JsonFile.parse(text)));
    }

    /**
     * Reads a sheet that somebody made elsewhere: beside what {@link #read(String)} refuses, whatever breaks the schema.
     * Keys that the format does not know are not used; {@link #unknownKeys} tells them.
     *
     * @throws RefusedException with every place where the text breaks the format, a rule of the sheet or the schema
     */
    public static GroupSheet readStrictly(String text) {
        JsonNode node = JsonFile.parse(text);
        GroupSheet sheet = READER.read(JsonFile.plain(node));
        List<Refusal> breaks = SCHEMA.breaksOfKnownKeys(node);
        if (!breaks.isEmpty()) {
            throw new RefusedException(breaks);
        }
        return sheet;
    }

    /**
     * The keys of a sheet that the format does not know: what they say is not used.
     *
     * @throws RefusedException if the text is no JSON
     */
    public static List<UnknownKey> unknownKeys(String text) {
        return SCHEMA.unknownKeys(JsonFile.parse(text));
    }

    /** The published JSON Schema of sheets. */
    public static String schema() {
        return SchemaFile.text(SCHEMA_FILE);
    }
}
