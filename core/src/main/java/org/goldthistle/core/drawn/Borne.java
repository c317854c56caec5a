package org.goldthistle.core.drawn;

import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.LifeStage;
import org.goldthistle.core.sheet.Organ;

/** What one drawn tree bears: section 10. Whatever is read from one organ is borne or missing together. */
public final class Borne {
    private final double[] points; // by organ, in the order of the format's list

    /** The next tree of a stream. */
    public Borne(TreeStream stream) {
        points = new double[Organ.values().length];
        for (int organ = 0; organ < points.length; organ++) {
            points[organ] = stream.next();
        }
    }

    /** Whether the tree bears what a character is read from. */
    public boolean has(DiagnosticCharacter character, LifeStage stage) {
        return points[character.organ().ordinal()] < character.borne(stage);
    }
}
