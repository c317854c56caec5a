package org.goldthistle.formats;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.goldthistle.core.Coded;

/** A column of a survey's file. The code is the heading that we write; others are recognised too. */
public enum SurveyField implements Coded {
    /** Code of the plot; every row has one. */
    PLOT("plot", List.of(), "plot code", "plot id", "plot name"),
    /** Degrees north of the plot's centre, WGS 84. */
    LATITUDE("latitude", List.of(), "lat", "plot latitude"),
    /** Degrees east of it. */
    LONGITUDE("longitude", List.of(), "lon", "lng", "long", "plot longitude"),
    /** Radius of the plot. */
    RADIUS("radius", List.of("m", "dm", "cm"), "plot radius"),
    /** Altitude of the plot. */
    ALTITUDE("altitude", List.of("m"), "elevation", "alt"),
    /** Keys of the plot's ground, parted by semicolons or spaces. */
    PLOT_HABITAT("plot habitat", List.of(), "plot ground"),
    /** What was noted of the plot. */
    PLOT_NOTES("plot notes", List.of(), "plot remarks"),
    /** Number on the stem; a row without one tells of a plot alone. */
    TAG("tag", List.of(), "tree", "tree tag", "tree number", "tree no", "stem"),
    /** Degrees clockwise from north. */
    AZIMUTH("azimuth", List.of("deg", "gon"), "az", "bearing"),
    /** From the plot's centre. */
    DISTANCE("distance", List.of("m", "dm", "cm"), "dist"),
    /** At breast height. */
    DIAMETER("diameter", List.of("mm", "cm"), "dbh", "d"),
    /** Of the tree, if measured. */
    HEIGHT("height", List.of("dm", "m", "cm"), "h", "tree height"),
    /** Code of its life stage. */
    STAGE("stage", List.of(), "life stage"),
    /** Code of how it came to stand there. */
    ORIGIN("origin", List.of()),
    /** Keys of its own ground; empty: as its plot. */
    HABITAT("habitat", List.of(), "ground"),
    /** What was noted of its condition. */
    CONDITION("condition", List.of(), "remarks", "notes"),
    /** Id of the confusable group it belongs to. */
    GROUP("group", List.of(), "group id"),
    /** Scientific name of a taxon that nobody doubts. */
    TAXON("taxon", List.of(), "species", "scientific name", "plain taxon"),
    /** Tag of the stem that bears the call of its clone. */
    CLONE_OF("clone of", List.of(), "clone");

    private final String code;
    private final List<String> units;
    private final List<String> others;

    SurveyField(String code, List<String> units, String... others) {
        this.code = code;
        this.units = units;
        this.others = List.of(others);
    }

    @Override
    public String code() {
        return code;
    }

    /** The units in which it may be given, ours first; empty: it has none. */
    public List<String> units() {
        return units;
    }

    /** The heading under which we write it, with its unit. */
    public String heading() {
        return units.isEmpty() ? code : code + " " + units.get(0);
    }

    /** The field that a heading most likely stands for, with or without a unit behind it. */
    public static Optional<SurveyField> ofHeading(String heading) {
        String plain = plain(heading);
        for (SurveyField field : values()) {
            if (field.isCalled(plain) || unitIn(field, plain).isPresent()) {
                return Optional.of(field);
            }
        }
        return Optional.empty();
    }

    /** The unit that a heading names: "distance dm" is in decimetres. */
    public Optional<String> unitIn(String heading) {
        return unitIn(this, plain(heading));
    }

    private static Optional<String> unitIn(SurveyField field, String plain) {
        return field.units.stream()
                .filter(unit -> plain.endsWith(" " + unit)
                        && field.isCalled(plain.substring(0, plain.length() - unit.length() - 1)))
                .findFirst();
    }

    private boolean isCalled(String plain) {
        return plain.equals(code) || others.contains(plain);
    }

    private static String plain(String heading) {
        return heading.toLowerCase(Locale.ROOT)
                .replaceAll("[_()\\[\\],.°-]+", " ")
                .strip()
                .replaceAll("\\s+", " ");
    }
}
