package org.goldthistle.batch;

import java.io.PrintWriter;
import java.util.List;
import java.util.Locale;
import org.goldthistle.core.balance.Balance;
import org.goldthistle.core.balance.WeighedReading;
import org.goldthistle.core.sheet.Taxon;
import org.goldthistle.core.verdict.Assessment;
import org.goldthistle.core.verdict.Reason;

/** A table for people: who leads, by how much, and what to do. */
final class TableLines implements SpecimenLines {
    private static final String ROW = "%-18s %-8s %-26s %7s   %-26s %6s %-10s %-14s %s%n";

    private final PrintWriter out;
    private final boolean featuresAlone;
    private boolean headed;

    TableLines(PrintWriter out, boolean featuresAlone) {
        this.out = out;
        this.featuresAlone = featuresAlone;
    }

    @Override
    public void add(String id, Assessment assessment) {
        head();
        Balance balance = featuresAlone ? assessment.featuresAlone() : assessment.withSurroundings();
        List<Taxon> taxa = balance.model().sheet().taxa();
        out.printf(
                Locale.ROOT,
                ROW,
                id,
                assessment.tier().code(),
                taxa.get(balance.lead()).name().commonName(),
                percent(balance.posterior(balance.lead())),
                taxa.get(balance.rival()).name().commonName(),
                String.format(Locale.ROOT, "%+.1f", balance.totalPoints(balance.lead(), balance.rival())),
                assessment.verdict().code(),
                assessment.recommended(SEED).code(),
                remarks(assessment));
    }

    @Override
    public void addBroken(String id, String error) {
        head();
        out.printf(Locale.ROOT, "%-18s broken: %s%n", id, error);
    }

    private void head() {
        if (!headed) {
            out.printf(
                    Locale.ROOT,
                    ROW,
                    "specimen",
                    "tier",
                    "lead",
                    "share",
                    "rival",
                    "points",
                    "verdict",
                    "do",
                    "because");
            headed = true;
        }
    }

    private static String percent(double share) {
        return String.format(Locale.ROOT, "%.2f %%", 100 * share);
    }

    private static String remarks(Assessment assessment) {
        List<WeighedReading> confirming = assessment.confirmation().confirming();
        List<Reason> reasons = assessment.reasons();
        var text = new StringBuilder();
        confirming.forEach(reading -> text.append(text.isEmpty() ? "" : ", ")
                .append(reading.character().id()));
        if (!reasons.isEmpty()) {
            text.append(text.isEmpty() ? "" : "; ").append("contested: ");
            text.append(String.join(", ", reasons.stream().map(Reason::code).toList()));
        }
        return text.toString();
    }
}
