package org.goldthistle.call;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.balance.Balance;
import org.goldthistle.core.balance.WeighedReading;
import org.goldthistle.core.reading.Certainty;
import org.goldthistle.core.sheet.Organ;
import org.goldthistle.core.verdict.Assessment;

/**
 * A call at a glance, in the balance that decides it.
 *
 * @param lead place of the lead in the sheet, from 0
 * @param share of belief in the lead, in [0, 1]
 * @param contested whether there is a reason to contest it
 * @param spines one a reading, sorted by organ
 */
public record Thistle(
        int lead, String leadName, String rivalName, double share, boolean contested, List<Spine> spines) {

    public static Thistle of(Assessment assessment) {
        Balance deciding = assessment.deciding();
        var taxa = assessment.model().sheet().taxa();
        List<Spine> spines = new ArrayList<>();
        for (int j = 0; j < deciding.readings().size(); j++) {
            WeighedReading weighed = deciding.readings().get(j);
            spines.add(new Spine(
                    weighed.character().organ().code(),
                    deciding.points(j, deciding.lead(), deciding.rival()),
                    weighed.reading().certainty() == Certainty.UNSURE));
        }
        spines.sort(Comparator.comparing(Spine::organ)); // stable: readings of one organ in the order of entry
        return new Thistle(
                deciding.lead(),
                taxa.get(deciding.lead()).name().commonName(),
                taxa.get(deciding.rival()).name().commonName(),
                deciding.posterior(deciding.lead()),
                !assessment.reasons().isEmpty(),
                spines);
    }

    /** The same call, contested or not. */
    public Thistle contested(boolean whether) {
        return new Thistle(lead, leadName, rivalName, share, whether, spines);
    }

    /** A reading: its points for the lead against the rival. */
    public record Spine(@CodeOf(Organ.class) String organ, double points, boolean unsure) {}
}
