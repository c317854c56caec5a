package org.goldthistle.formats;

import java.io.IOException;
import java.io.StringWriter;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** Writes what lies in a parcel as a table: a row a sample. */
public final class ParcelCsv {
    /** Its columns, in order. */
    public static final List<String> HEADINGS = List.of("label", "plot", "tree", "tissue", "taken on", "analysis");

    private ParcelCsv() {}

    /** The table of rows that each have a cell for every heading. */
    public static String of(List<List<String>> rows) throws IOException {
        StringWriter text = new StringWriter();
        try (CSVPrinter printer = new CSVPrinter(text, CSVFormat.RFC4180)) {
            printer.printRecord(HEADINGS);
            for (List<String> row : rows) {
                printer.printRecord(row.stream().map(SurveyCsv::guarded).toList());
            }
        }
        return text.toString();
    }
}
