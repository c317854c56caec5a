package org.goldthistle.formats;

import java.io.Closeable;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** Writes a survey as a table: a row a tree with what its plot is beside it, and a row for each plot without trees. */
public final class SurveyCsv implements Closeable {
    /** Headings of what is told besides, and not read back. */
    private static final List<String> BESIDES = List.of("stands as", "determination", "determined by", "determined on");

    /** What a spreadsheet would take for a formula, also behind apostrophes that guard it already. */
    private static final Pattern FORMULA = Pattern.compile("^'*[=+\\-@\\t\\r].*", Pattern.DOTALL);

    private final CSVPrinter printer;

    /** Begins the table on a writer of UTF-8. */
    public SurveyCsv(Appendable to) throws IOException {
        List<String> headings = new ArrayList<>();
        for (SurveyField field : SurveyField.values()) {
            headings.add(field.heading());
        }
        headings.addAll(BESIDES);
        printer = new CSVPrinter(to, CSVFormat.RFC4180);
        printer.printRecord(headings);
    }

    /** Writes one row. */
    public void write(SurveyRecord row, Determined determined) throws IOException {
        printer.printRecord(
                guarded(row.plot()),
                number(row.latitude()),
                number(row.longitude()),
                number(row.radiusMetres()),
                number(row.altitudeMetres()),
                words(row.plotHabitat()),
                guarded(row.plotNotes()),
                row.tag(),
                number(row.azimuthDegrees()),
                number(row.distanceMetres()),
                row.diameterMillimetres(),
                row.heightDecimetres(),
                row.stage(),
                row.origin(),
                words(row.habitat()),
                guarded(row.condition()),
                row.group(),
                guarded(row.taxon()),
                row.cloneOf(),
                words(leaders(row.vigour())),
                row.vigour().dieback(),
                row.vigour().crown(),
                row.vigour().form(),
                words(row.vigour().damages()),
                yes(row.vigour().dead()),
                yes(row.vigour().favoured()),
                determined.standsAs(),
                determined.name(),
                guarded(determined.by()),
                determined.on());
    }

    private static List<String> leaders(NotedVigour vigour) {
        return vigour.leaders() == null
                ? null
                : vigour.leaders().stream().map(String::valueOf).toList();
    }

    private static String yes(Boolean said) {
        return Boolean.TRUE.equals(said) ? "yes" : "";
    }

    static String number(Double value) {
        if (value == null) {
            return "";
        }
        String text = Double.toString(value);
        return text.endsWith(".0") ? text.substring(0, text.length() - 2) : text;
    }

    private static String words(List<String> words) {
        return words == null ? "" : String.join(";", words);
    }

    /** Text that no spreadsheet takes for a formula: an apostrophe is put before what it would. */
    static String guarded(String text) {
        return text != null && FORMULA.matcher(text).matches() ? "'" + text : text;
    }

    /** Text as it was before it was guarded. */
    static String unguarded(String text) {
        return text.startsWith("'") && FORMULA.matcher(text).matches() ? text.substring(1) : text;
    }

    @Override
    public void close() throws IOException {
        printer.close(true);
    }
}
