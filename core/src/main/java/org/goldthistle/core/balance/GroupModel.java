package org.goldthistle.core.balance;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.NumberScale;
import org.goldthistle.core.sheet.StateScale;

/** A sheet made ready for reckoning: profiles completed, likelihoods tabulated. Made once a sheet, used for every tree. */
public final class GroupModel {
    /** Stands for the cluster of a character that stands alone. */
    public static final int ALONE = -1;

    private final GroupSheet sheet;
    private final Map<String, Integer> characterIndex = new HashMap<>();
    private final Likelihood[] likelihoods;
    private final int[] clusters; // by character, the number of its cluster or ALONE
    private final int clusterCount;

    private GroupModel(GroupSheet sheet) {
        this.sheet = sheet;
        List<DiagnosticCharacter> characters = sheet.characters();
        this.likelihoods = new Likelihood[characters.size()];
        this.clusters = new int[characters.size()];
        Map<String, Integer> clusterNumbers = new HashMap<>();
        for (int i = 0; i < likelihoods.length; i++) {
            DiagnosticCharacter character = characters.get(i);
            characterIndex.put(character.id(), i);
            likelihoods[i] = likelihood(sheet, character);
            clusters[i] = character
                    .cluster()
                    .map(name -> clusterNumbers.computeIfAbsent(name, first -> clusterNumbers.size()))
                    .orElse(ALONE);
        }
        this.clusterCount = clusterNumbers.size();
    }

    /** The model of a sheet. */
    public static GroupModel of(GroupSheet sheet) {
        return new GroupModel(sheet);
    }

    private static Likelihood likelihood(GroupSheet sheet, DiagnosticCharacter character) {
        return character.scale() instanceof StateScale states
                ? StateLikelihood.of(sheet, character, states)
                : NumberLikelihood.of(sheet, character, (NumberScale) character.scale());
    }

    /** The sheet it was made of. */
    public GroupSheet sheet() {
        return sheet;
    }

    /** K, the number of taxa; also the place of none-of-these in every array that runs over taxa. */
    public int taxonCount() {
        return sheet.taxa().size();
    }

    /**
     * The place of a character in the sheet.
     *
     * @throws IllegalArgumentException if the sheet has no such character
     */
    public int characterIndex(String id) {
        Integer index = characterIndex.get(id);
        if (index == null) {
            throw new IllegalArgumentException("sheet " + sheet.id() + " has no character " + id);
        }
        return index;
    }

    /** The likelihood of a character. */
    public Likelihood likelihood(int character) {
        return likelihoods[character];
    }

    /**
     * φ of section 4 for each of the readings used in one balance: g of one cluster count as
     * {@code g/(1 + (g−1)·0.8)} of one, so that the same signal does not count twice.
     */
    double[] clusterShares(List<WeighedReading> readings) {
        int[] used = new int[clusterCount];
        for (WeighedReading reading : readings) {
            int cluster = clusters[reading.characterIndex()];
            if (cluster != ALONE) {
                used[cluster]++;
            }
        }
        double[] shares = new double[readings.size()];
        for (int j = 0; j < shares.length; j++) {
            int cluster = clusters[readings.get(j).characterIndex()];
            shares[j] = cluster == ALONE ? 1 : clusterShare(used[cluster]);
        }
        return shares;
    }

    /** The number of a character's cluster, or -1 if it stands alone. */
    public int cluster(int character) {
        return clusters[character];
    }

    /** φ of section 4 for each of so many readings of one cluster, {@code 1/(1 + (g−1)·0.8)}. */
    public static double clusterShare(int together) {
        return 1 / (1 + (together - 1) * ModelConstants.CLUSTER_LIKENESS);
    }
}
