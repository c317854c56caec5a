package org.goldthistle.call;

import java.util.List;
import java.util.Optional;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.Coded;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.practice.Pair;
import org.goldthistle.core.practice.PracticeCall;
import org.goldthistle.core.practice.PracticeScore;
import org.goldthistle.core.practice.PracticeTree;
import org.goldthistle.core.reading.GateMark;

/**
 * A practice tree and what somebody made of it.
 *
 * @param seed of the tree, at least 0
 * @param one taxon of the pair that it was drawn to practise, by id
 * @param other taxon of it
 * @param readings in the order in which they were entered
 * @param gate marks in the order in which they were made
 * @param outcome what it was called
 * @param taxonId the name that was given; null: none
 */
public record PracticeTry(
        int seed,
        String one,
        String other,
        List<NewReading> readings,
        List<MarkedItem> gate,
        @CodeOf(PracticeTry.Named.class) String outcome,
        String taxonId) {

    /** A gate item, and whether the tree fits it. */
    public record MarkedItem(String item, boolean fits) {}

    /** What a practice tree is called. */
    public enum Named implements Coded {
        /** A taxon of the sheet. */
        TAXON("taxon"),
        /** None of them. */
        NONE_OF_THESE("none-of-these"),
        /** Nothing: it is left open. */
        OPEN("open");

        private final String code;

        Named(String code) {
            this.code = code;
        }

        @Override
        public String code() {
            return code;
        }
    }

    /** Copies the lists. */
    public PracticeTry {
        readings = List.copyOf(readings);
        gate = List.copyOf(gate);
    }

    /** The tree. */
    public PracticeTree tree(StoredSheet sheet) {
        return PracticeTree.draw(sheet.model(), seed, new Pair(one, other));
    }

    /**
     * What became of it.
     *
     * @throws RefusedException if it does not fit the sheet
     */
    public PracticeResult result(StoredSheet sheet) {
        Named named = Coded.find(Named.values(), outcome)
                .orElseThrow(() -> RefusedException.of("outcome", outcome, Coded.codes(Named.values())));
        if ((named == Named.TAXON) == (taxonId == null)) {
            throw RefusedException.of(
                    "taxonId", taxonId == null ? "no name" : "a name", "one where the outcome is a taxon, else none");
        }
        PracticeTree tree = tree(sheet);
        var call = new PracticeCall(
                readings.stream()
                        .filter(reading -> !reading.takesBack())
                        .map(NewReading::toObservation)
                        .toList(),
                gate.stream()
                        .map(mark -> new GateMark(mark.item(), mark.fits()))
                        .toList(),
                Optional.ofNullable(taxonId),
                named == Named.NONE_OF_THESE);
        return PracticeResult.of(tree, new PracticeScore(tree, call));
    }
}
