package org.goldthistle.batch;

import java.io.PrintWriter;
import java.util.Map;
import org.goldthistle.core.balance.Balance;
import org.goldthistle.core.verdict.Assessment;
import org.goldthistle.formats.CaseFileJson;

/** Compares what a case file recorded with what comes out of it now. */
final class CaseCheck {
    private static final double DRIFT = 1e-9; // figures are promised to nine digits

    private final CaseFileJson.CaseFile file;
    private double furthest;

    CaseCheck(CaseFileJson.CaseFile file) {
        this.file = file;
    }

    void add(String observer, Assessment now) {
        Map<String, Double> then = file.shares().getOrDefault(observer, Map.of());
        Balance balance = now.withSurroundings();
        for (int k = 0; k < balance.model().taxonCount(); k++) {
            String taxon = balance.model().sheet().taxa().get(k).id();
            double recorded = then.getOrDefault(taxon, Double.NaN);
            double apart = Math.abs(recorded - balance.posterior(k));
            furthest = Double.isNaN(apart) ? Double.POSITIVE_INFINITY : Math.max(furthest, apart);
        }
    }

    /** Says whether the file is as it was written and gives the same figures; false: it is not, or does not. */
    boolean report(PrintWriter err) {
        boolean same = furthest <= DRIFT;
        err.println(
                file.intact()
                        ? "The file is as it was written: its print fits its data."
                        : "The file was changed after it was written: its print does not fit its data.");
        err.println(
                same
                        ? "The recorded figures come out again, to nine digits."
                        : "Other figures come out than were recorded; they differ by up to " + furthest + ".");
        return file.intact() && same;
    }
}
