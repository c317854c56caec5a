package org.goldthistle.formats;

import java.io.Closeable;
import java.io.IOException;
import java.util.List;
import java.util.Locale;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** Writes what was signed of the trees of a survey as a table: a row a signature, the oldest of a tree first. */
public final class DeterminationsCsv implements Closeable {
    private static final List<String> HEADINGS = List.of(
            "plot",
            "tag",
            "determination id",
            "group",
            "sheet version",
            "outcome",
            "scientific name",
            "authorship",
            "rank",
            "common name",
            "tier",
            "share",
            "confirming",
            "contrary",
            "contested",
            "determined by",
            "determined on",
            "blind",
            "review",
            "note");

    private final CSVPrinter printer;

    /** Begins the table on a writer of UTF-8. */
    public DeterminationsCsv(Appendable to) throws IOException {
        printer = new CSVPrinter(to, CSVFormat.RFC4180);
        printer.printRecord(HEADINGS);
    }

    /** Writes one row. */
    public void write(WrittenDetermination one) throws IOException {
        WrittenDetermination.WrittenName name = one.name();
        printer.printRecord(
                SurveyCsv.guarded(one.plot()),
                one.tag(),
                one.id(),
                one.group(),
                one.sheetVersion(),
                one.outcome(),
                name == null ? null : SurveyCsv.guarded(name.scientific()),
                name == null ? null : SurveyCsv.guarded(name.authorship()),
                name == null ? null : name.rank(),
                name == null ? null : SurveyCsv.guarded(name.common()),
                one.tier(),
                one.share() == null ? null : String.format(Locale.ROOT, "%.6f", one.share()),
                SurveyCsv.guarded(String.join("; ", one.confirming())),
                SurveyCsv.guarded(String.join("; ", one.contrary())),
                String.join(";", one.reasons()),
                SurveyCsv.guarded(one.by()),
                one.on(),
                one.blind() ? "yes" : "no",
                one.review() ? "yes" : "no",
                SurveyCsv.guarded(one.note()));
    }

    @Override
    public void close() throws IOException {
        printer.close(true);
    }

    /** Whether a table with such headings is one of these; nobody signs for somebody else, so it is not read back. */
    public static boolean isOne(List<String> headings) {
        return headings.containsAll(HEADINGS);
    }
}
