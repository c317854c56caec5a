package org.goldthistle.core.sheet;

import java.util.Optional;
import org.goldthistle.core.Refusals;

/**
 * One state of a character.
 *
 * @param id short, unique in its character; {@link #ABSENT} means that the thing is not there
 * @param name the state in field words
 * @param drawing how it is drawn, if it is
 */
public record State(String id, String name, Optional<Drawing> drawing) {
    /** The id of the state that says a thing is not there; see {@link Absence}. */
    public static final String ABSENT = "absent";

    /** @throws org.goldthistle.core.RefusedException if id or name is blank */
    public State {
        var refusals = new Refusals();
        refusals.requireText(id, "id");
        refusals.requireText(name, "name");
        refusals.throwIfAny();
    }

    /** A state without a drawing. */
    public State(String id, String name) {
        this(id, name, Optional.empty());
    }
}
