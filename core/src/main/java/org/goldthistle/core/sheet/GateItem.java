package org.goldthistle.core.sheet;

import java.util.Optional;
import org.goldthistle.core.Refusals;

/**
 * Something that every member of the group shares, looked at first and never weighed.
 *
 * @param otherwise what the tree is likely to be when the item fails
 * @param otherwiseGroup id of the group to look in then, if the library has one
 * @param drawing what every member shows, drawn, if it is
 * @param otherwiseDrawing what is seen when the item fails, drawn, if it is
 */
public record GateItem(
        String id,
        String name,
        Organ organ,
        Zone zone,
        String howTo,
        String otherwise,
        Optional<String> otherwiseGroup,
        Optional<Drawing> drawing,
        Optional<Drawing> otherwiseDrawing) {
    /** @throws org.goldthistle.core.RefusedException if a text is blank */
    public GateItem {
        var refusals = new Refusals();
        refusals.requireText(id, "id");
        refusals.requireText(name, "name");
        refusals.requireText(howTo, "howTo");
        refusals.requireText(otherwise, "otherwise");
        refusals.throwIfAny();
    }
}
