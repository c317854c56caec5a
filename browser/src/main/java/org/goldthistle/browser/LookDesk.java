package org.goldthistle.browser;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Function;
import org.goldthistle.call.LookAsked;
import org.goldthistle.call.LookMade;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.core.RefusedException;

/** Tells what a last look at a tree says before anything is cut; plain values in and out. */
final class LookDesk {
    private final Function<String, StoredSheet> sheets;

    /** @param sheets by the id of their version */
    LookDesk(Function<String, StoredSheet> sheets) {
        this.sheets = sheets;
    }

    /**
     * What a look says.
     *
     * @param asked as {@link LookAsked}
     * @param month of the look, 1-12
     * @param made as {@link LookMade}
     * @return {@code result}, as {@link LookAsked.LookResult}; or {@code refused}: why it cannot be told
     */
    Map<String, Object> result(String versionId, Object asked, int month, Object made) {
        Map<String, Object> told = new LinkedHashMap<>();
        try {
            LookAsked card = Plain.read(LookAsked.class, asked);
            told.put(
                    "result",
                    Plain.write(card.result(sheets.apply(versionId), month, Plain.read(LookMade.class, made))));
        } catch (RefusedException refused) {
            told.put("refused", refused.getMessage());
        }
        return told;
    }
}
