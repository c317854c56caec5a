package org.goldthistle.exchange;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Pattern;
import org.goldthistle.core.Refusal;
import org.goldthistle.core.Refusals;
import org.goldthistle.core.RefusedException;
import org.goldthistle.formats.FileRow;
import org.goldthistle.formats.SurveyField;
import org.goldthistle.formats.SurveyRecordReader;

/** What is wrong with the rows of a file, in the words of whoever made it: by its headings and with what its cells hold. */
final class ImportProblems {
    private static final String WHOLE_POSITION = "position"; // latitude and longitude together
    private static final Pattern QUOTES = Pattern.compile("^\"|\"$");
    private static final Map<String, SurveyField> OF_TREE = Map.of(
            "tag", SurveyField.TAG,
            "azimuthDegrees", SurveyField.AZIMUTH,
            "distanceMetres", SurveyField.DISTANCE,
            "diameterMillimetres", SurveyField.DIAMETER,
            "heightDecimetres", SurveyField.HEIGHT,
            "stage", SurveyField.STAGE,
            "origin", SurveyField.ORIGIN,
            "habitat", SurveyField.HABITAT,
            "groupId", SurveyField.GROUP,
            "group", SurveyField.GROUP);
    private static final Map<String, SurveyField> OF_PLOT = Map.of(
            "code",
            SurveyField.PLOT,
            "latitude",
            SurveyField.LATITUDE,
            "longitude",
            SurveyField.LONGITUDE,
            WHOLE_POSITION,
            SurveyField.LATITUDE,
            "radiusMetres",
            SurveyField.RADIUS,
            "altitudeMetres",
            SurveyField.ALTITUDE,
            "habitat",
            SurveyField.PLOT_HABITAT,
            "notes",
            SurveyField.PLOT_NOTES);

    private final UUID importId;
    private final SurveyRecordReader reader;
    private final List<Object[]> found = new ArrayList<>();

    ImportProblems(UUID importId, SurveyRecordReader reader) {
        this.importId = importId;
        this.reader = reader;
    }

    /** Notes what is wrong with a row, once for each of its cells. */
    void note(FileRow row, Refusals ofPlot, Refusals ofTree) {
        Set<String> told = new HashSet<>();
        note(row, ofTree, OF_TREE, told);
        note(row, ofPlot, OF_PLOT, told);
    }

    private void note(FileRow row, Refusals refusals, Map<String, SurveyField> fields, Set<String> told) {
        try {
            refusals.throwIfAny();
        } catch (RefusedException refused) {
            for (Refusal one : refused.refusals()) {
                Optional<SurveyField> field = Optional.ofNullable(fields.get(one.key()));
                String heading = field.map(this::heading).orElse(one.key());
                if (told.add(heading)) {
                    found.add(new Object[] {importId, row.place(), heading, words(row, one, field)});
                }
            }
        }
    }

    private String words(FileRow row, Refusal one, Optional<SurveyField> field) {
        Optional<String> cell =
                one.key().equals(WHOLE_POSITION) ? Optional.empty() : field.flatMap(is -> cell(row, is));
        String found = cell.orElseGet(() -> QUOTES.matcher(one.found()).replaceAll(""));
        return found.isEmpty() || found.equals("nothing")
                ? "empty; it must be " + one.expected()
                : found + ": it must be " + one.expected();
    }

    /** What stands in a cell, with the unit that it is read in. */
    private Optional<String> cell(FileRow row, SurveyField field) {
        return Optional.ofNullable(reader.columns().get(field))
                .flatMap(column -> Optional.ofNullable(row.cells().get(column.heading()))
                        .map(text -> column.unit().isEmpty() ? text : text + " " + column.unit()));
    }

    /** The file's own heading of a field; ours where it has none. */
    String heading(SurveyField field) {
        SurveyRecordReader.Column column = reader.columns().get(field);
        return column == null ? field.code() : column.heading();
    }

    /** What was noted since this was asked last, as rows of the table of problems. */
    List<Object[]> taken() {
        List<Object[]> all = List.copyOf(found);
        found.clear();
        return all;
    }
}
