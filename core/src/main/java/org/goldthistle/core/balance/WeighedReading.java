package org.goldthistle.core.balance;

import org.goldthistle.core.reading.Reading;
import org.goldthistle.core.sheet.DiagnosticCharacter;

/** A reading with its weight, its independent looks and its likelihood under each taxon. */
public final class WeighedReading {
    private final Reading reading;
    private final DiagnosticCharacter character;
    private final int characterIndex;
    private final double weight;
    private final double looks;
    private final boolean inSeason;
    private final double[] meanLog;

    WeighedReading(
            Reading reading,
            DiagnosticCharacter character,
            int characterIndex,
            double weight,
            boolean inSeason,
            double[] meanLog) {
        this.reading = reading;
        this.character = character;
        this.characterIndex = characterIndex;
        this.weight = weight;
        this.looks = character.replication().looks(reading.observed().replicates());
        this.inSeason = inSeason;
        this.meanLog = meanLog;
    }

    /** What was read. */
    public Reading reading() {
        return reading;
    }

    /** The character it is a reading of. */
    public DiagnosticCharacter character() {
        return character;
    }

    /** w of section 4, in [0, 1]. */
    public double weight() {
        return weight;
    }

    /** n_eff of section 4, at least 1: the independent looks its replicates are worth. */
    public double looks() {
        return looks;
    }

    /** Whether it was read in one of the character's months; if not, it counts at a quarter. */
    public boolean inSeason() {
        return inSeason;
    }

    /** The character's place in the sheet. */
    public int characterIndex() {
        return characterIndex;
    }

    /** The mean of ln p″ under a taxon over the replicates, in nats. */
    public double meanLog(int taxon) {
        return meanLog[taxon];
    }

    /** {@code w·n_eff·φ · mean log p″} by taxon, none-of-these last, in nats. */
    double[] contribution(double clusterShare) {
        double exponent = weight * looks * clusterShare;
        double[] contribution = new double[meanLog.length];
        for (int k = 0; k < contribution.length; k++) {
            contribution[k] = exponent * meanLog[k];
        }
        return contribution;
    }
}
