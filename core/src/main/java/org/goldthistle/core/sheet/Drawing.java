package org.goldthistle.core.sheet;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.goldthistle.core.KebabCase;
import org.goldthistle.core.Refusals;

/**
 * How a state is drawn: a part of the plant and its parameters, for whoever draws it. The core only keeps it.
 *
 * @param part in kebab-case, such as {@code leaf} or {@code bark}
 * @param parameters by name: numbers, words or yes and no
 */
public record Drawing(String part, Map<String, Object> parameters) {
    private static final String OWN_PICTURE = "own-picture";
    private static final String IMAGE = "image";

    /** @throws org.goldthistle.core.RefusedException if the part is no word or a parameter no number, word or flag */
    public Drawing {
        parameters = Collections.unmodifiableMap(new LinkedHashMap<>(parameters));
        var refusals = new Refusals();
        refusals.require(KebabCase.is(part), "part", part, "lower-case words joined by hyphens");
        parameters.forEach((name, value) -> refusals.require(
                value instanceof String
                        || value instanceof Boolean
                        || value instanceof Double number && !number.isNaN(),
                name,
                value,
                "a number, a word or true or false"));
        refusals.throwIfAny();
    }

    /** The print of a picture of the sheet's own, in hex, where it is shown instead of a drawing. */
    public Optional<String> ownPicture() {
        return part.equals(OWN_PICTURE) && parameters.get(IMAGE) instanceof String print
                ? Optional.of(print)
                : Optional.empty();
    }
}
