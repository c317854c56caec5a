package org.goldthistle.core.sheet;

import java.util.List;
import org.goldthistle.core.Coded;

/** The ways in which a number is taken, with what a sheet says of each. */
public enum MeasuringWay implements Coded {
    /** The length of one line. */
    LINE("line", Measure.LENGTH, "the length of a line", Asked.words("of", "what the line is laid along", 0)),
    /** One line over another. */
    RATIO(
            "ratio",
            Measure.RATIO,
            "one line divided by another",
            Asked.words("over", "the line above", 0),
            Asked.words("under", "the line below", 1)),
    /** The angle at a corner. */
    ANGLE(
            "angle",
            Measure.ANGLE,
            "the angle at a corner",
            Asked.words("corner", "the corner", Asked.NO_PART),
            Asked.ends("arms", "where its two arms go", Asked.NO_PART)),
    /** How many. */
    COUNT("count", Measure.COUNT, "how many there are", Asked.words("of", "what is counted", 0)),
    /** How many of one sort, less those of another. */
    DIFFERENCE(
            "difference",
            Measure.COUNT,
            "how many of one sort, less those of another",
            Asked.words("of", "what is counted", 0),
            Asked.words("less", "what is taken from it", 1)),
    /** The distance across an axis. */
    WIDTH_AT(
            "width-at",
            Measure.LENGTH,
            "the width across an axis, at a place of it",
            Asked.ends("axis", "where the axis begins and ends", Asked.NO_PART),
            Asked.share("at", "where on it, 0 to 1 from its beginning"),
            Asked.words("of", "what it lies between", 0)),
    /** How far along an axis. */
    PLACE(
            "place",
            Measure.RATIO,
            "how far along an axis something stands",
            Asked.ends("axis", "where the axis begins and ends", 1),
            Asked.words("of", "what stands there", 0)),
    /** How far a notch goes in. */
    DEPTH(
            "depth",
            Measure.RATIO,
            "how far a notch goes in towards an axis",
            Asked.ends("axis", "where the axis begins and ends", Asked.NO_PART),
            Asked.words("notch", "the bottom of the notch", 1),
            Asked.words("lobe", "the tip of the lobe", 0));

    private final String code;
    private final Measure gives;
    private final String words;
    private final List<Asked> asked;

    MeasuringWay(String code, Measure gives, String words, Asked... asked) {
        this.code = code;
        this.gives = gives;
        this.words = words;
        this.asked = List.of(asked);
    }

    @Override
    public String code() {
        return code;
    }

    /** What kind of number comes out. */
    public Measure gives() {
        return gives;
    }

    /** What it is, for whoever writes a sheet. */
    public String words() {
        return words;
    }

    /** What a sheet says of it, in the order in which it is asked for. */
    public List<Asked> asked() {
        return asked;
    }

    /**
     * Something that a sheet says of how a number is taken.
     *
     * @param key in the file
     * @param shape what is said there
     * @param words for whoever writes it
     * @param part which part of the figure shows it, from 0; -1: no single one
     */
    public record Asked(String key, Shape shape, String words, int part) {
        private static final int NO_PART = -1;

        private static Asked words(String key, String words, int part) {
            return new Asked(key, Shape.WORDS, words, part);
        }

        private static Asked ends(String key, String words, int part) {
            return new Asked(key, Shape.ENDS, words, part);
        }

        private static Asked share(String key, String words) {
            return new Asked(key, Shape.SHARE, words, NO_PART);
        }
    }

    /** What is said. */
    public enum Shape implements Coded {
        /** A text. */
        WORDS("words"),
        /** Two texts. */
        ENDS("ends"),
        /** A number, 0-1. */
        SHARE("share");

        private final String code;

        Shape(String code) {
            this.code = code;
        }

        @Override
        public String code() {
            return code;
        }
    }
}
