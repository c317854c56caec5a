package org.goldthistle.formats;

import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Optional;
import org.goldthistle.core.sheet.Measured;
import org.goldthistle.core.sheet.Measured.Ends;

/** Reads and writes how a number is taken: {@code measured} in {@code docs/group-sheet.md}. */
final class MeasuredJson {
    private static final String WAYS = "line, ratio, angle, count, difference, width-at, place, depth";

    private MeasuredJson() {}

    /** What a character says of how it is taken; empty: nothing, or nothing that fits and was refused. */
    static Optional<Measured> read(JsonFields character) {
        return character.has("measured")
                ? Optional.ofNullable(measured(character.object("measured")))
                : Optional.empty();
    }

    private static Measured measured(JsonFields fields) {
        String as = fields.text("as");
        return switch (as) {
            case "line" -> line(fields);
            case "ratio" -> ratio(fields);
            case "angle" -> angle(fields);
            case "count" -> count(fields);
            case "difference" -> difference(fields);
            case "width-at" -> widthAt(fields);
            case "place" -> place(fields);
            case "depth" -> depth(fields);
            default -> {
                fields.refuses("as", "\"" + as + "\"", "one of " + WAYS);
                yield null;
            }
        };
    }

    private static Measured line(JsonFields fields) {
        String of = fields.text("of");
        return fields.build(() -> new Measured.Line(of));
    }

    private static Measured ratio(JsonFields fields) {
        String over = fields.text("over");
        String under = fields.text("under");
        return fields.build(() -> new Measured.Ratio(over, under));
    }

    private static Measured angle(JsonFields fields) {
        String corner = fields.text("corner");
        Ends arms = ends(fields, "arms");
        return fields.build(() -> new Measured.Angle(corner, arms));
    }

    private static Measured count(JsonFields fields) {
        String of = fields.text("of");
        return fields.build(() -> new Measured.Count(of));
    }

    private static Measured difference(JsonFields fields) {
        String of = fields.text("of");
        String less = fields.text("less");
        return fields.build(() -> new Measured.Difference(of, less));
    }

    private static Measured widthAt(JsonFields fields) {
        Ends axis = ends(fields, "axis");
        double at = fields.number("at");
        String of = fields.text("of");
        return fields.build(() -> new Measured.WidthAt(axis, at, of));
    }

    private static Measured place(JsonFields fields) {
        Ends axis = ends(fields, "axis");
        String of = fields.text("of");
        return fields.build(() -> new Measured.Place(axis, of));
    }

    private static Measured depth(JsonFields fields) {
        Ends axis = ends(fields, "axis");
        String notch = fields.text("notch");
        String lobe = fields.text("lobe");
        return fields.build(() -> new Measured.Depth(axis, notch, lobe));
    }

    private static Ends ends(JsonFields fields, String key) {
        List<String> words = fields.texts(key);
        if (words.size() != 2) {
            fields.refuses(key, words.size() + " of them", "two: where it begins and where it ends");
            return null;
        }
        return fields.buildWithin(key, () -> new Ends(words.get(0), words.get(1)));
    }

    static ObjectNode write(Measured measured) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("as", measured.as());
        if (measured instanceof Measured.Line line) {
            node.put("of", line.of());
        } else if (measured instanceof Measured.Ratio ratio) {
            node.put("over", ratio.over()).put("under", ratio.under());
        } else if (measured instanceof Measured.Angle angle) {
            node.put("corner", angle.corner());
            put(node, "arms", angle.arms());
        } else if (measured instanceof Measured.Count count) {
            node.put("of", count.of());
        } else if (measured instanceof Measured.Difference difference) {
            node.put("of", difference.of()).put("less", difference.less());
        } else if (measured instanceof Measured.WidthAt width) {
            put(node, "axis", width.axis());
            node.put("at", width.at()).put("of", width.of());
        } else if (measured instanceof Measured.Place place) {
            put(node, "axis", place.axis());
            node.put("of", place.of());
        } else if (measured instanceof Measured.Depth depth) {
            put(node, "axis", depth.axis());
            node.put("notch", depth.notch()).put("lobe", depth.lobe());
        }
        return node;
    }

    private static void put(ObjectNode node, String key, Ends ends) {
        node.putArray(key).add(ends.from()).add(ends.to());
    }
}
