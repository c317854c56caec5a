package org.goldthistle.call;

import java.util.List;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.control.Clearance;

/**
 * What keeps a tree off the control list, as people say it.
 *
 * @param kind its code
 * @param words what is missing, as it can stand in a list
 */
public record ClearanceWords(@CodeOf(Clearance.Kind.class) String kind, String words) {
    /** All that is missing. */
    public static List<ClearanceWords> of(Clearance clearance) {
        return clearance.missing().stream()
                .map(missing -> new ClearanceWords(missing.kind().code(), words(clearance, missing)))
                .toList();
    }

    private static String words(Clearance clearance, Clearance.Missing missing) {
        return switch (missing.kind()) {
            case CALL -> "no call that stands carries this name";
            case TIER -> "it was not called for control";
            case CONDITION ->
                new ConditionWords(clearance.assessment().orElseThrow())
                        .missing(missing.condition().orElseThrow());
            case SECOND_OBSERVER -> "a second observer’s blind agreement";
            case REVIEW -> "its review is open";
            case VERSION -> "the newest version of the sheet would not carry it";
        };
    }
}
