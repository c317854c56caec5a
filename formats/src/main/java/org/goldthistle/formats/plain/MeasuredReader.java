package org.goldthistle.formats.plain;

import java.util.List;
import java.util.Optional;
import org.goldthistle.core.Coded;
import org.goldthistle.core.sheet.Measured;
import org.goldthistle.core.sheet.Measured.Ends;
import org.goldthistle.core.sheet.MeasuringWay;

/** Reads how a number is taken: {@code measured} in {@code docs/group-sheet.md}. */
final class MeasuredReader {
    private MeasuredReader() {}

    /** What a character says of how it is taken; empty: nothing, or nothing that fits and was refused. */
    static Optional<Measured> read(Fields character) {
        return character.has("measured")
                ? Optional.ofNullable(measured(character.object("measured")))
                : Optional.empty();
    }

    private static Measured measured(Fields fields) {
        String as = fields.text("as");
        Optional<MeasuringWay> way = Coded.find(MeasuringWay.values(), as);
        if (way.isEmpty()) {
            fields.refuses("as", "\"" + as + "\"", Coded.codes(MeasuringWay.values()));
            return null;
        }
        return switch (way.get()) {
            case LINE -> line(fields);
            case RATIO -> ratio(fields);
            case ANGLE -> angle(fields);
            case COUNT -> count(fields);
            case DIFFERENCE -> difference(fields);
            case WIDTH_AT -> widthAt(fields);
            case PLACE -> place(fields);
            case DEPTH -> depth(fields);
        };
    }

    private static Measured line(Fields fields) {
        String of = fields.text("of");
        return fields.build(() -> new Measured.Line(of));
    }

    private static Measured ratio(Fields fields) {
        String over = fields.text("over");
        String under = fields.text("under");
        return fields.build(() -> new Measured.Ratio(over, under));
    }

    private static Measured angle(Fields fields) {
        String corner = fields.text("corner");
        Ends arms = ends(fields, "arms");
        return fields.build(() -> new Measured.Angle(corner, arms));
    }

    private static Measured count(Fields fields) {
        String of = fields.text("of");
        return fields.build(() -> new Measured.Count(of));
    }

    private static Measured difference(Fields fields) {
        String of = fields.text("of");
        String less = fields.text("less");
        return fields.build(() -> new Measured.Difference(of, less));
    }

    private static Measured widthAt(Fields fields) {
        Ends axis = ends(fields, "axis");
        double at = fields.number("at");
        String of = fields.text("of");
        return fields.build(() -> new Measured.WidthAt(axis, at, of));
    }

    private static Measured place(Fields fields) {
        Ends axis = ends(fields, "axis");
        String of = fields.text("of");
        return fields.build(() -> new Measured.Place(axis, of));
    }

    private static Measured depth(Fields fields) {
        Ends axis = ends(fields, "axis");
        String notch = fields.text("notch");
        String lobe = fields.text("lobe");
        return fields.build(() -> new Measured.Depth(axis, notch, lobe));
    }

    private static Ends ends(Fields fields, String key) {
        List<String> words = fields.texts(key);
        if (words.size() != 2) {
            fields.refuses(key, words.size() + " of them", "two: where it begins and where it ends");
            return null;
        }
        return fields.buildWithin(key, () -> new Ends(words.get(0), words.get(1)));
    }
}
