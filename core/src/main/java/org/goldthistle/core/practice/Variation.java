package org.goldthistle.core.practice;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.goldthistle.core.drawn.TreeStream;
import org.goldthistle.core.sheet.Drawing;
import org.goldthistle.core.sheet.State;
import org.goldthistle.core.sheet.StateScale;

/**
 * No two leaves are alike: a state's drawing with its numbers moved a little towards those of another state that is drawn as
 * the same part, at most by a quarter of the way to the nearest one, so that it stays nearer to its own and within what can
 * be drawn.
 */
public final class Variation {
    private static final double FURTHEST = 0.25; // of the way to the nearest sibling

    private Variation() {}

    /**
     * The drawing of one leaf, cone … that shows a state.
     *
     * @param scale of the character
     * @param state that is shown, which has a drawing
     */
    public static Drawing of(StateScale scale, State state, TreeStream stream) {
        Drawing own = state.drawing().orElseThrow();
        Map<String, Object> varied = new LinkedHashMap<>();
        own.parameters().forEach((name, value) -> {
            List<Double> others = value instanceof Double number ? others(scale, own, name, number) : List.of();
            varied.put(name, others.isEmpty() ? value : between((Double) value, others, stream));
        });
        return new Drawing(own.part(), varied);
    }

    private static List<Double> others(StateScale scale, Drawing own, String name, double number) {
        List<Double> others = new ArrayList<>();
        for (State sibling : scale.states()) {
            sibling.drawing()
                    .filter(drawing -> drawing.part().equals(own.part()))
                    .map(drawing -> drawing.parameters().get(name))
                    .filter(other -> other instanceof Double && (Double) other != number)
                    .ifPresent(other -> others.add((Double) other));
        }
        return others;
    }

    private static double between(double own, List<Double> others, TreeStream stream) {
        double nearest = others.stream()
                .mapToDouble(other -> Math.abs(other - own))
                .min()
                .orElseThrow();
        double other = others.get((int) (stream.next() * others.size()));
        double moved = own + FURTHEST * stream.next() * nearest * Math.signum(other - own);
        boolean whole = own == Math.rint(own) && others.stream().allMatch(one -> one == Math.rint(one));
        return whole ? Math.rint(moved) : moved;
    }
}
