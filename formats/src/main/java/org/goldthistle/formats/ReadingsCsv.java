package org.goldthistle.formats;

import java.io.Closeable;
import java.io.IOException;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** Writes what was read on the trees of a survey as a table: a row a look, and one for what could not be seen. */
public final class ReadingsCsv implements Closeable {
    private static final List<String> HEADINGS = List.of(
            "plot",
            "tag",
            "group",
            "sheet version",
            "character",
            "character name",
            "read by",
            "read on",
            "seen",
            "look",
            "state",
            "state name",
            "value",
            "unit",
            "error",
            "part 1",
            "part 2",
            "certainty",
            "material",
            "position");

    private final CSVPrinter printer;

    /** Begins the table on a writer of UTF-8. */
    public ReadingsCsv(Appendable to) throws IOException {
        printer = new CSVPrinter(to, CSVFormat.RFC4180);
        printer.printRecord(HEADINGS);
    }

    /** Writes what was read on a tree. */
    public void write(String plot, int tag, WrittenReading reading) throws IOException {
        if (reading.looks().isEmpty()) {
            write(plot, tag, reading, null, new WrittenReading.Look(null, null, null, List.of()));
        }
        for (int i = 0; i < reading.looks().size(); i++) {
            write(plot, tag, reading, i + 1, reading.looks().get(i));
        }
    }

    private void write(String plot, int tag, WrittenReading reading, Integer place, WrittenReading.Look look)
            throws IOException {
        printer.printRecord(
                SurveyCsv.guarded(plot),
                tag,
                reading.group(),
                reading.sheetVersion(),
                reading.character().id(),
                SurveyCsv.guarded(reading.character().name()),
                SurveyCsv.guarded(reading.by()),
                reading.on(),
                reading.seen(),
                place,
                look.state() == null ? null : look.state().id(),
                look.state() == null ? null : SurveyCsv.guarded(look.state().name()),
                SurveyCsv.number(look.value()),
                look.value() == null ? null : reading.unit(),
                SurveyCsv.number(look.error()),
                SurveyCsv.number(part(look, 0)),
                SurveyCsv.number(part(look, 1)),
                reading.certainty(),
                reading.material(),
                reading.position());
    }

    private static Double part(WrittenReading.Look look, int i) {
        return i < look.parts().size() ? look.parts().get(i) : null;
    }

    @Override
    public void close() throws IOException {
        printer.close(true);
    }

    /** Whether a table with such headings is one of these; a reading belongs to whoever made it, so it is not read back. */
    public static boolean isOne(List<String> headings) {
        return headings.containsAll(HEADINGS);
    }
}
