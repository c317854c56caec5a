package org.goldthistle.formats;

import java.io.Closeable;
import java.io.IOException;
import java.util.List;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** Writes the trees that were approved for control as a table: a row a tree. */
public final class ControlCsv implements Closeable {
    private static final List<String> HEADINGS = List.of(
            "plot",
            "tag",
            "latitude",
            "longitude",
            "azimuth [°]",
            "distance [m]",
            "diameter [mm]",
            "name",
            "scientific name",
            "called by",
            "approved by",
            "approved at",
            "last look",
            "done",
            "done on",
            "do not touch");

    private final CSVPrinter printer;

    /** Begins the table on a writer of UTF-8. */
    public ControlCsv(Appendable to) throws IOException {
        printer = new CSVPrinter(to, CSVFormat.RFC4180);
        printer.printRecord(HEADINGS);
    }

    /** Writes a tree. */
    public void write(ControlledTree tree) throws IOException {
        printer.printRecord(
                SurveyCsv.guarded(tree.plot()),
                tree.tag(),
                SurveyCsv.number(tree.latitude()),
                SurveyCsv.number(tree.longitude()),
                SurveyCsv.number(tree.azimuthDegrees()),
                SurveyCsv.number(tree.distanceMetres()),
                tree.diameterMillimetres(),
                SurveyCsv.guarded(tree.commonName()),
                SurveyCsv.guarded(tree.scientificName()),
                SurveyCsv.guarded(String.join(", ", tree.observers())),
                SurveyCsv.guarded(tree.approvedBy()),
                tree.approvedAt(),
                tree.look(),
                tree.work(),
                tree.doneOn(),
                SurveyCsv.guarded(
                        tree.near().stream().map(ControlledTree.Near::words).collect(Collectors.joining("; "))));
    }

    @Override
    public void close() throws IOException {
        printer.close(true);
    }
}
