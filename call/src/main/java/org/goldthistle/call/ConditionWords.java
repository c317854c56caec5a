package org.goldthistle.call;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.goldthistle.core.balance.ModelConstants;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Taxon;
import org.goldthistle.core.verdict.Assessment;
import org.goldthistle.core.verdict.Condition;
import org.goldthistle.core.verdict.Need;
import org.goldthistle.core.verdict.Reason;

/**
 * A tier's conditions as people say them, on the screen and in a refusal alike: taxa by their field names, characters
 * by theirs, shares in percent.
 */
public final class ConditionWords {
    private static final String[] COUNTED = {"no", "one", "two", "three", "four"};

    private final Assessment assessment;
    private final GroupSheet sheet;

    public ConditionWords(Assessment assessment) {
        this.assessment = assessment;
        this.sheet = assessment.model().sheet();
    }

    /** What a condition asks for, to be ticked off: "90 % for silver birch". */
    public String asks(Condition condition) {
        return switch (condition.need().kind()) {
            case READING -> "one character read";
            case THRESHOLD ->
                percent(condition.asked().orElseThrow()) + " for " + name(assessment.lead())
                        + (assessment.tier().isDecidedOnFeaturesAlone() ? ", from the tree alone" : "");
            case SURROUNDINGS -> percent(condition.asked().orElseThrow()) + " with the surroundings too";
            case FEATURES_ALONE -> percent(condition.asked().orElseThrow()) + " from the tree alone";
            case QUORUM -> COUNTED[(int) condition.asked().orElseThrow()] + " organs that agree, none against";
            case ZONE -> "something read in the hand, with a lens or a knife";
            case SAME_LEAD -> "the same name with the surroundings and without";
            case GATE -> "all that the group shares, looked at and fitting";
            case PHOTO -> "a photo on this call, or the label of a voucher that is kept";
            case REASON -> "a written reason against “" + aboutWords(condition.need()) + "”";
            case SECOND_OBSERVER -> "a second observer’s blind agreement, asked for once this is signed";
        };
    }

    /** What is missing of a condition that is not met, with how it stands: "60 % from the tree alone: 41 % now". */
    public String missing(Condition condition) {
        return switch (condition.need().kind()) {
            case READING -> "read one character";
            case THRESHOLD, SURROUNDINGS, FEATURES_ALONE ->
                asks(condition) + ": " + percentBelow(condition.now().orElseThrow()) + " now";
            case QUORUM -> missingOrgans(condition);
            case SAME_LEAD ->
                "with the surroundings it is " + name(withSurroundings()) + ", from the tree alone "
                        + name(fromFeatures());
            case GATE -> missingOfGate();
            case ZONE, PHOTO, REASON, SECOND_OBSERVER -> asks(condition);
        };
    }

    /**
     * Every failed gate and every condition that is not met.
     *
     * @param onRecord whether those are told too that are met while it is signed: a photo, a reason
     */
    public List<Missing> allMissing(boolean onRecord) {
        Stream<Missing> gates = assessment.reasons().stream()
                .filter(reason -> reason.kind() == Reason.Kind.GATE)
                .map(reason -> new Missing(reason.code(), "the gate fails: " + gateItem(reason)));
        Stream<Missing> conditions = assessment.conditions().stream()
                .filter(condition -> !condition.met())
                .filter(condition -> isToldOf(condition.need().kind(), onRecord))
                .map(condition -> new Missing(condition.need().code(), missing(condition)));
        return Stream.concat(gates, conditions).toList();
    }

    /** Whether the call could be signed if all that the group shares were looked at; an item that fails is told by itself. */
    public boolean isGateAllThatLacks() {
        List<Missing> missing = allMissing(false);
        return missing.size() == 1 && missing.get(0).code().equals(Need.Kind.GATE.code());
    }

    /** What is seen on the tree is always told; a failed item of the gate speaks for itself. */
    private boolean isToldOf(Need.Kind kind, boolean onRecord) {
        return switch (kind) {
            case GATE -> assessment.evidence().gate().values().stream().allMatch(fits -> fits);
            case SECOND_OBSERVER -> false; // asked for by signing
            default -> kind.isOnEvidence() || onRecord;
        };
    }

    private String missingOfGate() {
        int marked = assessment.evidence().gate().size();
        int all = sheet.gate().size();
        return "the gate, what all of the group share: " + (all - marked) + " of " + all + " to look at";
    }

    /** What keeps a call from being signed: its code as in {@code docs/model.md}, and in words. */
    public record Missing(String code, String words) {}

    private String gateItem(Reason failed) {
        return sheet.gate().stream()
                .filter(item -> failed.about().equals(Optional.of(item.id())))
                .map(item -> amid(item.name()))
                .collect(Collectors.joining());
    }

    private String missingOrgans(Condition condition) {
        String against = assessment.organPoints().entrySet().stream()
                .filter(organ -> organ.getValue() <= -ModelConstants.ORGAN_POINTS)
                .map(organ -> organ.getKey().code())
                .sorted()
                .collect(Collectors.joining(" and "));
        int now = (int) condition.now().orElseThrow();
        return asks(condition) + ": "
                + (against.isEmpty()
                        ? COUNTED[Math.min(now, COUNTED.length - 1)] + (now == 1 ? " agrees" : " agree") + " so far"
                        : against + (against.contains(" and ") ? " speak" : " speaks") + " against");
    }

    private Taxon withSurroundings() {
        return sheet.taxa().get(assessment.withSurroundings().lead());
    }

    private Taxon fromFeatures() {
        return sheet.taxa().get(assessment.featuresAlone().lead());
    }

    private String aboutWords(Need need) {
        return need.about()
                .flatMap(sheet::character)
                .map(DiagnosticCharacter::name)
                .map(ConditionWords::amid)
                .orElse("");
    }

    public static String name(Taxon taxon) {
        return taxon.name().commonName();
    }

    /** The name of a taxon by its id, or of the nearest thing that is known. */
    public static String name(GroupSheet sheet, String id) {
        return sheet.taxon(id).map(ConditionWords::name).orElse(id);
    }

    private static String percent(double share) {
        return Math.round(100 * share) + " %";
    }

    /** A share rounded down, so that what is not reached never reads as if it were; tenths where they tell apart. */
    private static String percentBelow(double share) {
        double tenths = Math.floor(1000 * share) / 10;
        boolean inWhole = tenths >= 1 && tenths < 90;
        return (inWhole ? String.valueOf((long) tenths) : String.valueOf(tenths)) + " %";
    }

    /** A name as it stands amid a sentence: "rough bark", but "LTF, leaf tooth factor". */
    public static String amid(String name) {
        boolean isWord =
                name.length() > 1 && Character.isUpperCase(name.charAt(0)) && Character.isLowerCase(name.charAt(1));
        return isWord ? Character.toLowerCase(name.charAt(0)) + name.substring(1) : name;
    }
}
