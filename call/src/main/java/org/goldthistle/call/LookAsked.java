package org.goldthistle.call;

import jakarta.annotation.Nullable;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.control.LastLook;
import org.goldthistle.core.control.LookPlan;
import org.goldthistle.core.reading.GateMark;
import org.goldthistle.core.reading.Observation;
import org.goldthistle.core.reading.Reading;
import org.goldthistle.core.sheet.GateItem;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.verdict.Tier;

/**
 * What is read again at a tree before it is cut, as it is taken along: what is believed without the features that are asked
 * for, and nothing of what was read of them.
 *
 * @param taxonId what the tree stands as
 * @param rivalId what it would be next
 * @param circumstances of the tree, in the month for which the features were chosen
 * @param threshold share of belief that is asked for, in (0, 1)
 * @param steps one after the other; fewer than two: nothing can be read in that month
 */
public record LookAsked(
        String taxonId, String rivalId, Circumstances circumstances, double threshold, List<LookStep> steps) {
    private static final String NOT_ON_LIST = "this tree is not on the list, or not any more";

    /**
     * One feature.
     *
     * @param character its id
     * @param share of its weight that counts beside what else was read of the same thing, in (0, 1]
     * @param features ln of belief by taxon, none of these last, from features alone without this and those before it
     * @param surroundings the same with the surroundings
     */
    public record LookStep(String character, double share, List<Double> features, List<Double> surroundings) {}

    /**
     * Why a look does not confirm.
     *
     * @param kind its code
     * @param words the same for people
     */
    public record LookReason(@CodeOf(LastLook.Kind.class) String kind, String words) {}

    /**
     * What a look says.
     *
     * @param verdict what to do with the tree
     * @param reasons why it is not confirmed; empty: it is
     * @param share of belief in the taxon from features alone, in [0, 1]
     * @param next the character that is looked at next; null: none
     * @param enough whether as much was read as must be
     */
    public record LookResult(
            @CodeOf(LastLook.Verdict.class) String verdict,
            List<LookReason> reasons,
            double share,
            @Nullable String next,
            boolean enough) {}

    /** Lays out a plan that was made on a sheet. */
    public static LookAsked of(GroupSheet sheet, LookPlan plan, Circumstances circumstances, double threshold) {
        return new LookAsked(
                sheet.taxa().get(plan.taxon()).id(),
                sheet.taxa().get(plan.rival()).id(),
                circumstances,
                threshold,
                plan.steps().stream()
                        .map(step -> new LookStep(step.character(), step.share(), step.features(), step.surroundings()))
                        .toList());
    }

    /** The characters that are asked for, in their order. */
    public List<String> characters() {
        return steps.stream().map(LookStep::character).toList();
    }

    /**
     * What a look at the tree says.
     *
     * @param sheet that the features were chosen on
     * @param month of the look, 1-12
     * @throws org.goldthistle.core.RefusedException if something that was read does not fit the sheet
     */
    public LookResult result(StoredSheet sheet, int month, LookMade made) {
        GroupSheet group = sheet.sheet();
        List<LookPlan.Step> kept = new ArrayList<>();
        for (LookStep step : steps) {
            kept.add(new LookPlan.Step(step.character(), step.share(), step.features(), step.surroundings()));
        }
        LookPlan plan = new LookPlan(group.taxonIndex(taxonId), group.taxonIndex(rivalId), kept);
        Map<String, Observation> last = new LinkedHashMap<>();
        for (NewReading reading : made.readings()) {
            last.remove(reading.character());
            if (!reading.takesBack()) {
                last.put(reading.character(), reading.toObservation());
            }
        }
        List<Observation> observations = List.copyOf(last.values());
        LastLook look = LastLook.of(
                sheet.model(),
                plan,
                circumstances.inMonth(month).toContext(Map.of(), Set.of()),
                observations,
                made.gate().stream()
                        .map(mark -> new GateMark(mark.item(), mark.fits()))
                        .toList(),
                threshold);
        int read = 0;
        String next = null;
        for (LookStep step : steps) {
            Observation there = last.get(step.character());
            if (there instanceof Reading) {
                read++;
            }
            if (there == null && next == null) {
                next = step.character();
            }
        }
        boolean enough = read >= LookPlan.TO_READ;
        return new LookResult(
                look.verdict().code(),
                look.reasons().stream()
                        .map(reason -> new LookReason(reason.kind().code(), words(group, reason)))
                        .toList(),
                look.share(),
                enough ? null : next,
                enough);
    }

    /** The look at a tree that is not on the list. */
    public static LookResult notOnList() {
        LastLook look = LastLook.notOnList();
        return new LookResult(
                look.verdict().code(),
                look.reasons().stream()
                        .map(reason -> new LookReason(reason.kind().code(), NOT_ON_LIST))
                        .toList(),
                0,
                null,
                true);
    }

    private String words(GroupSheet sheet, LastLook.Reason reason) {
        String about = reason.about().orElse("");
        return switch (reason.kind()) {
            case GATE -> "what all of the group share fails: " + gateItem(sheet, about);
            case CONTRARY -> "“" + character(sheet, about) + "” speaks against " + ConditionWords.name(sheet, taxonId);
            case NOT_CARRIED ->
                "with what was read now, " + ConditionWords.name(sheet, taxonId) + " could not be signed for "
                        + Tier.CONTROL.code();
            case TOO_LITTLE -> "two features must be read";
            case GATE_OPEN -> "not looked at yet: " + gateItem(sheet, about);
            case NOT_ON_LIST -> NOT_ON_LIST;
        };
    }

    private static String gateItem(GroupSheet sheet, String id) {
        return sheet.gate().stream()
                .filter(item -> item.id().equals(id))
                .map(GateItem::name)
                .map(ConditionWords::amid)
                .findFirst()
                .orElse(id);
    }

    private static String character(GroupSheet sheet, String id) {
        return sheet.character(id).map(one -> ConditionWords.amid(one.name())).orElse(id);
    }
}
