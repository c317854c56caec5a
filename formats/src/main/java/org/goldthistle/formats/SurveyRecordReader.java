package org.goldthistle.formats;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.goldthistle.core.Refusals;
import org.goldthistle.core.plot.GeoPosition;

/**
 * Reads rows as plots and trees.
 *
 * @param columns which heading holds which field, and in which unit
 */
public record SurveyRecordReader(Map<SurveyField, Column> columns) {
    private static final Set<String> YES = Set.of("yes", "y", "true", "1", "x", "ja", "oui", "si");
    private static final Set<String> NO = Set.of("", "no", "n", "false", "0", "nein", "non");
    private static final String STAGE_UNSAID = "mature";
    private static final String ORIGIN_UNSAID = "unknown";

    /** A heading, and the unit of what stands below it; the unit is empty for what has none. */
    public record Column(String heading, String unit) {}

    /** Copies the map. */
    public SurveyRecordReader {
        columns = Map.copyOf(columns);
    }

    /**
     * Reads one row.
     *
     * @param refusals notes what cannot be read, by heading
     */
    public SurveyRecord read(FileRow row, Refusals refusals) {
        row.broken().ifPresent(why -> refusals.require(false, "", why, "a row like the others"));
        String plot = text(row, SurveyField.PLOT);
        refusals.require(!plot.isEmpty(), heading(SurveyField.PLOT), "nothing", "the code of a plot");
        Integer tag = whole(row, SurveyField.TAG, refusals);
        boolean isPlotAlone = tag == null;
        Double latitude = number(row, SurveyField.LATITUDE, refusals);
        Double longitude = number(row, SurveyField.LONGITUDE, refusals);
        Optional<GeoPosition> point = point(row, refusals);
        if (isPlotAlone && latitude == null && point.isPresent()) {
            latitude = point.get().latitude();
            longitude = point.get().longitude();
        }
        Double azimuth = number(row, SurveyField.AZIMUTH, refusals);
        Double distance = number(row, SurveyField.DISTANCE, refusals);
        if (!isPlotAlone
                && azimuth == null
                && distance == null
                && point.isPresent()
                && latitude != null
                && longitude != null) {
            GeoPosition centre = new GeoPosition(latitude, longitude);
            azimuth = rounded(centre.azimuthTo(point.get()), 100) % 360;
            distance = rounded(centre.distanceTo(point.get()), 100);
        }
        if (!isPlotAlone) {
            requireThere(refusals, SurveyField.AZIMUTH, azimuth);
            requireThere(refusals, SurveyField.DISTANCE, distance);
        }
        Integer diameter = whole(row, SurveyField.DIAMETER, refusals);
        if (!isPlotAlone) {
            requireThere(refusals, SurveyField.DIAMETER, diameter);
        }
        return new SurveyRecord(
                plot,
                latitude,
                longitude,
                number(row, SurveyField.RADIUS, refusals),
                number(row, SurveyField.ALTITUDE, refusals),
                words(row, SurveyField.PLOT_HABITAT),
                textOrNull(row, SurveyField.PLOT_NOTES),
                tag,
                azimuth,
                distance,
                diameter,
                whole(row, SurveyField.HEIGHT, refusals),
                isPlotAlone ? null : code(row, SurveyField.STAGE, STAGE_UNSAID),
                isPlotAlone ? null : code(row, SurveyField.ORIGIN, ORIGIN_UNSAID),
                words(row, SurveyField.HABITAT),
                textOrNull(row, SurveyField.CONDITION),
                isPlotAlone ? null : code(row, SurveyField.GROUP, null),
                textOrNull(row, SurveyField.TAXON),
                whole(row, SurveyField.CLONE_OF, refusals),
                isPlotAlone ? NotedVigour.NONE : vigour(row, refusals));
    }

    private NotedVigour vigour(FileRow row, Refusals refusals) {
        return new NotedVigour(
                leaders(row, refusals),
                whole(row, SurveyField.DIEBACK, refusals),
                code(row, SurveyField.CROWN, null),
                code(row, SurveyField.FORM, null),
                words(row, SurveyField.DAMAGE),
                yes(row, SurveyField.DEAD, refusals),
                yes(row, SurveyField.FAVOURED, refusals));
    }

    private List<Integer> leaders(FileRow row, Refusals refusals) {
        String text = text(row, SurveyField.LEADERS);
        if (text.isEmpty()) {
            return null;
        }
        List<Integer> leaders = new ArrayList<>();
        for (String one : text.strip().split("[;/\\s]+")) {
            Optional<Double> value = CsvFile.number(one).filter(number -> number == Math.rint(number));
            refusals.require(value.isPresent(), heading(SurveyField.LEADERS), one, "a whole number of mm");
            value.ifPresent(number -> leaders.add(number.intValue()));
        }
        return leaders;
    }

    /** Yes or nothing, as tables say it. */
    private Boolean yes(FileRow row, SurveyField field, Refusals refusals) {
        String text = text(row, field).strip().toLowerCase(Locale.ROOT);
        boolean said = YES.contains(text);
        refusals.require(said || NO.contains(text), heading(field), text, "yes, or an empty cell");
        return said ? true : null;
    }

    private String heading(SurveyField field) {
        return columns.containsKey(field) ? columns.get(field).heading() : field.code();
    }

    private static Optional<GeoPosition> point(FileRow row, Refusals refusals) {
        String latitude = row.cells().get(GeoJsonFile.POINT_LATITUDE);
        String longitude = row.cells().get(GeoJsonFile.POINT_LONGITUDE);
        if (latitude == null || longitude == null) {
            return Optional.empty();
        }
        return refusals.attempt(
                "geometry",
                () -> Optional.of(new GeoPosition(Double.parseDouble(latitude), Double.parseDouble(longitude))),
                Optional.empty());
    }

    private void requireThere(Refusals refusals, SurveyField field, Object value) {
        boolean alreadyRefused = columns.containsKey(field) && value == null && !refusals.isEmpty();
        refusals.require(value != null || alreadyRefused, heading(field), "nothing", "a number");
    }

    private String text(FileRow row, SurveyField field) {
        Column column = columns.get(field);
        String cell = column == null ? null : row.cells().get(column.heading());
        return cell == null ? "" : SurveyCsv.unguarded(cell);
    }

    private String textOrNull(FileRow row, SurveyField field) {
        String text = text(row, field);
        return text.isEmpty() ? null : text;
    }

    private String code(FileRow row, SurveyField field, String unsaid) {
        String text = text(row, field);
        return text.isEmpty() ? unsaid : text.toLowerCase(Locale.ROOT);
    }

    private List<String> words(FileRow row, SurveyField field) {
        String text = text(row, field);
        if (text.isEmpty()) {
            return null;
        }
        List<String> words = new ArrayList<>();
        for (String word : text.toLowerCase(Locale.ROOT).split("[;,\\s]+")) {
            if (!word.isEmpty()) {
                words.add(word);
            }
        }
        return words;
    }

    private Integer whole(FileRow row, SurveyField field, Refusals refusals) {
        Double number = number(row, field, refusals);
        if (number == null) {
            return null;
        }
        long rounded = Math.round(number);
        boolean isWhole = Math.abs(number - rounded) < 1e-6 && Math.abs(number) < Integer.MAX_VALUE;
        refusals.require(isWhole, heading(field), text(row, field), "a whole number of " + unitWords(field));
        return isWhole ? (int) rounded : null;
    }

    private static String unitWords(SurveyField field) {
        return field.units().isEmpty() ? "these" : field.units().get(0);
    }

    /** In our own unit. */
    private Double number(FileRow row, SurveyField field, Refusals refusals) {
        String text = text(row, field);
        if (text.isEmpty()) {
            return null;
        }
        Optional<Double> value = CsvFile.number(text);
        refusals.require(value.isPresent(), heading(field), text, "a number");
        return value.map(one -> inOurUnit(one, field)).orElse(null);
    }

    private double inOurUnit(double value, SurveyField field) {
        String unit = columns.get(field).unit();
        String ours = field.units().isEmpty() ? "" : field.units().get(0);
        if (unit.equals(ours) || unit.isEmpty()) {
            return value;
        }
        return unit.equals("gon") ? rounded(value * 0.9, 1000) : rounded(value * metres(unit) / metres(ours), 1000);
    }

    private static double metres(String unit) {
        return switch (unit) {
            case "mm" -> 0.001;
            case "cm" -> 0.01;
            case "dm" -> 0.1;
            default -> 1;
        };
    }

    private static double rounded(double value, int parts) {
        return (double) Math.round(value * parts) / parts;
    }
}
