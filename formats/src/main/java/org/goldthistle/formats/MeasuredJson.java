package org.goldthistle.formats;

import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import org.goldthistle.core.sheet.Measured;
import org.goldthistle.core.sheet.Measured.Ends;

/** Writes how a number is taken: {@code measured} in {@code docs/group-sheet.md}. */
final class MeasuredJson {
    private MeasuredJson() {}

    static ObjectNode write(Measured measured) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("as", measured.way().code());
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
