package org.goldthistle.core.sheet;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.goldthistle.core.Refusals;

/**
 * A character that separates taxa of a group.
 *
 * @param id kebab-case, unique in the sheet
 * @param name what to look at, in plain field language
 * @param shortName the same in at most 22 letters, for lists and prints; empty: the name is short enough
 * @param organ it is read from
 * @param zone how near one must be
 * @param scale states or numbers
 * @param profiles what it looks like, by taxon id; a hybrid may be missing and is then derived from its parents
 * @param trust how far it counts, and when
 * @param bearing how many trees have what it is read from
 * @param replication how many looks make a reading
 * @param cluster name shared by characters that are really one signal
 * @param effort what the check costs
 * @param absence whether not seeing it tells much
 * @param guidance how to look
 */
public record DiagnosticCharacter(
        String id,
        String name,
        Optional<String> shortName,
        Organ organ,
        Zone zone,
        Scale scale,
        Map<String, Profile> profiles,
        Trust trust,
        Bearing bearing,
        Replication replication,
        Optional<String> cluster,
        Effort effort,
        Absence absence,
        Guidance guidance) {

    /** Letters of a short name; more would be cut in a list beside the figures. */
    public static final int LONGEST_SHORT_NAME = 22;

    private static final double MOST_COUNTED = 10_000; // nobody counts further, and every count is tabulated

    /** @throws org.goldthistle.core.RefusedException if a profile does not fit the scale */
    public DiagnosticCharacter {
        profiles = Collections.unmodifiableMap(new LinkedHashMap<>(profiles));
        var refusals = new Refusals();
        refusals.requireText(id, "id");
        refusals.requireText(name, "name");
        requireShort(shortName, refusals);
        for (Map.Entry<String, Profile> entry : profiles.entrySet()) {
            requireFit(refusals, scale, "profiles." + entry.getKey(), entry.getValue());
        }
        refusals.throwIfAny();
    }

    /** Notes a short name that says nothing or would be cut. */
    static void requireShort(Optional<String> shortName, Refusals refusals) {
        String brief = shortName.orElse("brief");
        refusals.requireText(brief, "short");
        refusals.require(
                brief.length() <= LONGEST_SHORT_NAME,
                "short",
                "\"" + brief + "\", " + brief.length() + " letters",
                "at most " + LONGEST_SHORT_NAME + " letters");
    }

    /** What lists call it. */
    public String brief() {
        return shortName.orElse(name);
    }

    /** Whether it tells of the place rather than of the tree. */
    public boolean isSite() {
        return organ == Organ.SITE;
    }

    /** The share of trees at a life stage that bear what it is read from, in [0, 1]. */
    public double borne(LifeStage stage) {
        return bearing.share(stage);
    }

    /**
     * What is to be known before it is checked: its hazards, and, where it is something that lives on the tree, that it is
     * carried to the next one on hands and tools.
     */
    public List<CautionTopic> cautionTopics() {
        List<CautionTopic> topics = new ArrayList<>(effort.hazards());
        if (organ == Organ.ASSOCIATE && !topics.contains(CautionTopic.DISEASE_SPREAD)) {
            topics.add(CautionTopic.DISEASE_SPREAD);
        }
        return List.copyOf(topics);
    }

    /** Whether it is read from something that a tree may bear none of. */
    public boolean mayBearNone() {
        return organ.isBorne() || !bearing.shares().isEmpty();
    }

    /** The same with other profiles. */
    public DiagnosticCharacter withProfiles(Map<String, Profile> others) {
        return new DiagnosticCharacter(
                id,
                name,
                shortName,
                organ,
                zone,
                scale,
                others,
                trust,
                bearing,
                replication,
                cluster,
                effort,
                absence,
                guidance);
    }

    /** The same with another trust. */
    public DiagnosticCharacter withTrust(Trust other) {
        return new DiagnosticCharacter(
                id,
                name,
                shortName,
                organ,
                zone,
                scale,
                profiles,
                other,
                bearing,
                replication,
                cluster,
                effort,
                absence,
                guidance);
    }

    private static void requireFit(Refusals refusals, Scale scale, String key, Profile profile) {
        if (scale instanceof StateScale states && profile instanceof StateProfile frequencies) {
            for (String state : frequencies.frequencies().keySet()) {
                refusals.require(
                        states.indexOf(state) >= 0, key, "\"" + state + "\"", "ids of this character's states");
            }
        } else if (scale instanceof NumberScale number && profile instanceof RangeProfile limits) {
            refusals.require(
                    !number.isCount()
                            || limits.range().holdsWholeNumber()
                                    && limits.range().rarelyLow() >= -MOST_COUNTED
                                    && limits.range().rarelyHigh() <= MOST_COUNTED,
                    key,
                    "limits " + limits.range().rarelyLow() + " to "
                            + limits.range().rarelyHigh(),
                    "limits of a count that span a whole number, up to 10000");
        } else {
            boolean wantsStates = scale instanceof StateScale;
            refusals.require(
                    false,
                    key,
                    wantsStates ? "a range" : "frequencies of states",
                    wantsStates ? "frequencies of states" : "{\"range\": [four numbers]}");
        }
    }
}
