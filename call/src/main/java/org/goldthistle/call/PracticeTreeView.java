package org.goldthistle.call;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.drawn.TreeStream;
import org.goldthistle.core.practice.PracticeTree;
import org.goldthistle.core.practice.Specimen;
import org.goldthistle.core.practice.Variation;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.Drawing;
import org.goldthistle.core.sheet.LifeStage;
import org.goldthistle.core.sheet.State;
import org.goldthistle.core.sheet.StateScale;

/**
 * A practice tree as it is shown to whoever reads it.
 *
 * @param month of the visit, 1-12
 * @param gateBroken id of the gate item that it does not fit; empty: it fits all of it
 * @param shown by id of each character
 */
public record PracticeTreeView(
        int month, @CodeOf(LifeStage.class) String stage, String gateBroken, Map<String, Shown> shown) {

    /**
     * What it shows of a character, one for each leaf, cone … that is looked at.
     *
     * @param minutes that the check takes from the day
     * @param states ids of states, or none
     * @param values numbers, or none; where there are neither, the tree bears none of it
     * @param drawings of the states, each a little different; empty where one of them is not drawn
     */
    public record Shown(double minutes, List<String> states, List<Double> values, List<Drawn> drawings) {}

    /** How it is drawn: the part and its parameters, and whether the other way round. */
    public record Drawn(String part, Map<String, Object> parameters, boolean turned) {
        static Drawn of(Drawing drawing, boolean turned) {
            return new Drawn(drawing.part(), drawing.parameters(), turned);
        }
    }

    private static final int DRAWING = 3; // the stream of how specimens differ
    private static final double HALF = 0.5;

    /** What a tree shows. */
    public static PracticeTreeView of(PracticeTree tree, int seed) {
        Map<String, Shown> shown = new LinkedHashMap<>();
        int place = 0;
        for (DiagnosticCharacter character : tree.sheet().characters()) {
            place++;
            if (!character.isSite()) {
                shown.put(character.id(), shown(tree, character, new TreeStream(seed, DRAWING, place)));
            }
        }
        return new PracticeTreeView(
                tree.month(),
                tree.stage().code(),
                tree.gateBroken().map(item -> item.id()).orElse(""),
                shown);
    }

    private static Shown shown(PracticeTree tree, DiagnosticCharacter character, TreeStream stream) {
        Specimen specimen = tree.specimen(character.id());
        List<Drawn> drawings = new ArrayList<>();
        if (character.scale() instanceof StateScale scale) {
            for (String id : specimen.states()) {
                State state = scale.states().get(scale.indexOf(id));
                state.drawing()
                        .ifPresent(any ->
                                drawings.add(Drawn.of(Variation.of(scale, state, stream), stream.next() < HALF)));
            }
        }
        boolean all = drawings.size() == specimen.states().size();
        return new Shown(
                PracticeTree.minutes(character), specimen.states(), specimen.values(), all ? drawings : List.of());
    }
}
