package org.goldthistle.core.verdict;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.goldthistle.core.reading.Evidence;
import org.goldthistle.core.reading.Reading;
import org.goldthistle.core.reading.ValuesObserved;
import org.goldthistle.core.sheet.DiscriminantIndex;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Taxon;

/**
 * What a published function says of the readings: a second opinion, never evidence.
 *
 * @param index the function
 * @param value of it, the means of the readings put in; empty while one of its characters is not read
 * @param speaksFor the taxon whose side it comes out on; empty while it is undecided
 */
public record IndexOpinion(DiscriminantIndex index, Optional<Double> value, Optional<Taxon> speaksFor) {

    static List<IndexOpinion> all(GroupSheet sheet, Evidence evidence) {
        List<IndexOpinion> opinions = new ArrayList<>();
        for (DiscriminantIndex index : sheet.indices()) {
            Optional<Double> value = value(index, evidence);
            boolean speaks = value.isPresent() && value.get() != 0 && Math.abs(value.get()) >= index.undecided();
            String side = speaks && value.get() < 0 ? index.negative() : index.positive();
            opinions.add(new IndexOpinion(index, value, speaks ? sheet.taxon(side) : Optional.empty()));
        }
        return List.copyOf(opinions);
    }

    private static Optional<Double> value(DiscriminantIndex index, Evidence evidence) {
        double value = index.constant();
        for (DiscriminantIndex.Term term : index.terms()) {
            Optional<Double> mean = mean(evidence, term.character());
            if (mean.isEmpty()) {
                return Optional.empty();
            }
            value += term.coefficient() * mean.get();
        }
        return Optional.of(value);
    }

    private static Optional<Double> mean(Evidence evidence, String character) {
        for (Reading reading : evidence.readings()) {
            if (reading.character().equals(character) && reading.observed() instanceof ValuesObserved seen) {
                return Optional.of(seen.mean());
            }
        }
        return Optional.empty();
    }
}
