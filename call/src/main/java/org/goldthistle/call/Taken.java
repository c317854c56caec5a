package org.goldthistle.call;

import jakarta.annotation.Nullable;
import java.util.List;

/**
 * How one value was taken.
 *
 * @param parts what was measured or counted for it, in the order that the sheet asks; null: the value itself was said
 * @param error how far off it may be, one standard deviation; null: nothing is known of that
 */
public record Taken(@Nullable List<Double> parts, @Nullable Double error) {

    /** Whether it was measured on a photo, which then shows the measure. */
    public boolean onPhoto() {
        return parts == null && error != null;
    }
}
