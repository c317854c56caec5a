package org.goldthistle.browser;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import org.goldthistle.call.CallInHand;
import org.goldthistle.call.CallState;
import org.goldthistle.call.Circumstances;
import org.goldthistle.call.OnRecord;
import org.goldthistle.call.PracticeTreeView;
import org.goldthistle.call.PracticeTry;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.call.SurveyRules;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.practice.Pair;
import org.goldthistle.core.practice.PracticeTree;
import org.goldthistle.core.reading.TreeOrigin;
import org.goldthistle.core.verdict.Tier;

/** Draws practice trees and tells what became of them; plain values in and out. */
final class PracticeDesk {
    /** A practice tree may be wounded, which costs its minutes as in life; nothing of it goes anywhere. */
    private static final SurveyRules RULES =
            new SurveyRules(false, null, Tier.TALLY.code(), null, null, true, false, false, false, Map.of());

    private final Function<String, StoredSheet> sheets;

    /** @param sheets by the id of their version */
    PracticeDesk(Function<String, StoredSheet> sheets) {
        this.sheets = sheets;
    }

    /**
     * What a practice tree shows, and a call of it that nobody has begun.
     *
     * @return {@code tree}, as {@link PracticeTreeView}, and {@code state}, as {@link CallState}; or {@code refused}: why the
     *     pair cannot be practised
     */
    Map<String, Object> tree(String versionId, int seed, String one, String other) {
        StoredSheet sheet = sheets.apply(versionId);
        Map<String, Object> told = new LinkedHashMap<>();
        try {
            PracticeTree tree = PracticeTree.draw(sheet.model(), seed, new Pair(one, other));
            told.put("tree", Plain.write(PracticeTreeView.of(tree, seed)));
            var circumstances =
                    new Circumstances(tree.month(), tree.stage().code(), TreeOrigin.UNKNOWN.code(), List.of());
            CallInHand call = CallInHand.untouched(sheet, circumstances, RULES, Set.of());
            told.put("state", Plain.write(CallState.of(call, OnRecord.NOTHING)));
        } catch (RefusedException refused) {
            told.put("refused", refused.getMessage());
        }
        return told;
    }

    /**
     * What became of a practice tree.
     *
     * @param made as {@link PracticeTry}
     * @return as {@link org.goldthistle.call.PracticeResult}
     */
    Object result(String versionId, Object made) {
        return Plain.write(Plain.read(PracticeTry.class, made).result(sheets.apply(versionId)));
    }
}
