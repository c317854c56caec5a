package org.goldthistle.core.learning;

import static org.goldthistle.core.balance.ModelConstants.FEWEST_FOR_A_RANGE;
import static org.goldthistle.core.balance.ModelConstants.PSEUDO_TREES;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.goldthistle.core.reading.Observed;
import org.goldthistle.core.reading.Reading;
import org.goldthistle.core.reading.StatesObserved;
import org.goldthistle.core.reading.ValuesObserved;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.NumberScale;
import org.goldthistle.core.sheet.Profile;
import org.goldthistle.core.sheet.Range;
import org.goldthistle.core.sheet.RangeProfile;
import org.goldthistle.core.sheet.State;
import org.goldthistle.core.sheet.StateProfile;
import org.goldthistle.core.sheet.StateScale;
import org.goldthistle.core.sheet.Taxon;

/**
 * What verified trees say of how a character looks in each taxon: the sheet's own profile counts as twenty trees.
 *
 * @param character with the profiles that the trees make of it
 * @param trees that told, by id of the taxon whose profile is another now
 */
record LearntProfiles(DiagnosticCharacter character, Map<String, Integer> trees) {

    /** The character as it is seen through the trees; a taxon that none of them tells of keeps its profile. */
    static LearntProfiles of(GroupSheet sheet, DiagnosticCharacter character, List<VerifiedTree> verified) {
        Map<String, Profile> profiles = new LinkedHashMap<>(character.profiles());
        Map<String, Integer> told = new LinkedHashMap<>();
        for (int k = 0; k < sheet.taxa().size(); k++) {
            Taxon taxon = sheet.taxa().get(k);
            List<Observed> seen = seen(character, k, verified);
            Profile own = sheet.profile(character, taxon.id());
            Profile learnt = character.scale() instanceof StateScale scale
                    ? counted((StateProfile) own, scale, seen)
                    : measured((NumberScale) character.scale(), (RangeProfile) own, seen);
            if (!learnt.equals(own)) {
                profiles.put(taxon.id(), learnt);
                told.put(taxon.id(), seen.size());
            }
        }
        return new LearntProfiles(character.withProfiles(profiles), told);
    }

    /** What was seen of a character on the trees of a taxon, one entry a tree on which it was read. */
    private static List<Observed> seen(DiagnosticCharacter character, int taxon, List<VerifiedTree> verified) {
        List<Observed> seen = new ArrayList<>();
        for (VerifiedTree tree : verified) {
            if (tree.truth() == taxon) {
                for (Reading reading : tree.evidence().readings()) {
                    if (reading.character().equals(character.id())) {
                        seen.add(reading.observed());
                    }
                }
            }
        }
        return seen;
    }

    /** {@code (20·p + n_s)/(20 + n)} over the first replicate of each tree: a Dirichlet update. */
    private static StateProfile counted(StateProfile own, StateScale scale, List<Observed> seen) {
        if (seen.isEmpty()) {
            return own;
        }
        Map<String, Double> frequencies = new LinkedHashMap<>();
        for (State state : scale.states()) {
            long shown = seen.stream()
                    .filter(one -> ((StatesObserved) one).states().get(0).equals(state.id()))
                    .count();
            double frequency = (PSEUDO_TREES * own.frequency(state.id()) + shown) / (PSEUDO_TREES + seen.size());
            if (frequency > 0) {
                frequencies.put(state.id(), frequency);
            }
        }
        return new StateProfile(frequencies);
    }

    /**
     * The quantiles of the trees' means, mixed into the usual pair; the rare pair stays as far outside it. A count whose
     * limits would then span no whole number keeps its own.
     */
    private static RangeProfile measured(NumberScale scale, RangeProfile own, List<Observed> seen) {
        if (seen.size() < FEWEST_FOR_A_RANGE) {
            return own;
        }
        double[] means = seen.stream()
                .mapToDouble(one -> ((ValuesObserved) one)
                        .values().stream()
                                .mapToDouble(Double::doubleValue)
                                .average()
                                .orElseThrow())
                .sorted()
                .toArray();
        double mix = means.length / (means.length + PSEUDO_TREES);
        Range range = own.range();
        double low = range.usuallyLow() + mix * (quantile(means, 0.05) - range.usuallyLow());
        double high = range.usuallyHigh() + mix * (quantile(means, 0.95) - range.usuallyHigh());
        var learnt = new Range(
                low - (range.usuallyLow() - range.rarelyLow()),
                low,
                high,
                high + (range.rarelyHigh() - range.usuallyHigh()));
        return scale.isCount() && !learnt.holdsWholeNumber() ? own : new RangeProfile(learnt);
    }

    /**
     * The quantile of sorted values that is nearly unbiased for their median.
     *
     * @see "Hyndman & Fan 1996, Sample quantiles in statistical packages, Am. Stat. 50, type 8"
     */
    static double quantile(double[] sorted, double share) {
        double third = 1.0 / 3;
        double place = (sorted.length + third) * share + third; // counted from 1
        int below = (int) Math.floor(place);
        if (below < 1) {
            return sorted[0];
        }
        if (below >= sorted.length) {
            return sorted[sorted.length - 1];
        }
        return sorted[below - 1] + (place - below) * (sorted[below] - sorted[below - 1]);
    }

    /** Trees on which a character was read. */
    static int readOn(String character, List<VerifiedTree> verified) {
        return (int) verified.stream()
                .filter(tree -> tree.evidence().readings().stream()
                        .anyMatch(reading -> reading.character().equals(character)))
                .count();
    }

    /** The frequencies or limits alone. */
    Map<String, Profile> profiles() {
        return character.profiles();
    }
}
