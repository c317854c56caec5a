package org.goldthistle.call;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.goldthistle.core.Coded;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.measure.HandValue;
import org.goldthistle.core.reading.GateMark;
import org.goldthistle.core.sheet.Faculty;
import org.goldthistle.core.sheet.Harm;
import org.goldthistle.core.sheet.NumberScale;
import org.goldthistle.core.verdict.Tier;

/** What must hold before something is entered on a call; each refusal says what was kept and what to do. */
public final class EntryRules {
    private static final double SAME = 1e-9; // relative, by which a value may be off what its parts give

    private EntryRules() {}

    /** @throws CallRefusedException if a code is unknown or the month out of range */
    public static void requireFit(Circumstances circumstances) {
        CallRefusedException.as(CallRefusal.UNFIT_CONTEXT, () -> circumstances.toContext(Map.of(), Set.of()));
    }

    /** @throws CallRefusedException if nothing is called so, or the survey does not use it */
    public static Tier tier(String code, SurveyRules rules) {
        Tier asked = Coded.find(Tier.values(), code)
                .orElseThrow(() -> CallRefusedException.unfit(
                        CallRefusal.NO_SUCH_TIER,
                        "A call is for " + Coded.codes(Tier.values()) + ", but \"" + code + "\" was sent. Nothing was"
                                + " changed."));
        if (asked == Tier.CONTROL && !rules.controlUsed()) {
            throw CallRefusedException.unfit(
                    CallRefusal.CONTROL_UNUSED,
                    "This survey plans no control, so its calls are for the tally or the record. Nothing was changed;"
                            + " ask your lead.");
        }
        return asked;
    }

    /** @throws CallRefusedException if the reading does not fit the sheet */
    public static void requireFit(StoredSheet sheet, Circumstances circumstances, NewReading reading) {
        if (!reading.takesBack()) {
            CallRefusedException.as(
                    CallRefusal.UNFIT_READING,
                    () -> CallInHand.evidenceOf(
                            sheet, circumstances, Map.of(), Set.<Faculty>of(), List.of(reading), List.of()));
            if (reading.taken() != null) {
                CallRefusedException.as(CallRefusal.UNFIT_READING, () -> requireTaken(sheet, reading));
            }
        } else if (reading.character() == null
                || sheet.sheet().character(reading.character()).isEmpty()) {
            throw CallRefusedException.unfit(
                    CallRefusal.UNFIT_READING,
                    "The sheet has no character \"" + reading.character() + "\" to take back. Nothing was changed.");
        }
    }

    /** Holds each value against the parts that it was taken from. */
    private static void requireTaken(StoredSheet sheet, NewReading reading) {
        NumberScale scale = (NumberScale)
                sheet.sheet().character(reading.character()).orElseThrow().scale();
        for (int i = 0; i < reading.taken().size(); i++) {
            Taken taken = reading.taken().get(i);
            double value = reading.values().get(i);
            if (taken.error() != null && !(taken.error() >= 0 && Double.isFinite(taken.error()))) {
                throw RefusedException.of(reading.character(), taken.error() + " for an error", "0 or more");
            }
            if (taken.parts() == null) {
                continue;
            }
            double reckoned = HandValue.of(
                    scale.measured()
                            .orElseThrow(() -> RefusedException.of(
                                    reading.character(), "parts of a value", "the value itself, as the sheet asks")),
                    taken.parts());
            if (Math.abs(reckoned - value) > SAME * (1 + Math.abs(value))) {
                throw RefusedException.of(
                        reading.character(),
                        value + " of parts that give " + reckoned,
                        "the value that comes of its parts");
            }
        }
    }

    /** @throws CallRefusedException if the check wounds a tree that must not be, or whose caution is not read */
    public static void requireHarmless(StoredSheet sheet, SurveyRules rules, boolean cautionRead, NewReading reading) {
        boolean wounds = sheet.sheet()
                .character(reading.character())
                .filter(character -> character.effort().harm() == Harm.WOUND)
                .isPresent();
        if (!wounds || reading.notSeen() || reading.takesBack()) {
            return;
        }
        if (!Harm.WOUND.isWithin(rules.mostHarm())) {
            throw CallRefusedException.unfit(
                    CallRefusal.WOUNDING_OFF,
                    "This check wounds the tree, and this survey does not allow that. It was not stored; your other"
                            + " readings are kept. Choose another check, or ask your lead.");
        }
        if (!cautionRead) {
            throw CallRefusedException.unfit(
                    CallRefusal.CAUTION_UNREAD,
                    "This check wounds the tree. It was not stored; your other readings are kept. Read the caution and"
                            + " say so first, then enter it again.");
        }
    }

    /** @throws CallRefusedException if the sheet has no such gate item */
    public static void requireGateItem(StoredSheet sheet, Circumstances circumstances, String item) {
        CallRefusedException.as(
                CallRefusal.UNFIT_MARK,
                () -> CallInHand.evidenceOf(
                        sheet,
                        circumstances,
                        Map.of(),
                        Set.<Faculty>of(),
                        List.of(),
                        List.of(new GateMark(item, true))));
    }
}
