package org.goldthistle.call;

import java.util.ArrayList;
import java.util.List;
import org.goldthistle.core.balance.Balance;
import org.goldthistle.core.balance.WeighedReading;
import org.goldthistle.core.balance.Weighing;
import org.goldthistle.core.sheet.Taxon;
import org.goldthistle.core.verdict.Assessment;

/** What the readings of one tree amount to: both balances, and how each reading was weighed. */
public record Figures(BalanceFigures withSurroundings, BalanceFigures featuresAlone, List<Weighed> weighed) {

    public static Figures of(Assessment assessment) {
        return new Figures(
                BalanceFigures.of(assessment.withSurroundings()),
                BalanceFigures.of(assessment.featuresAlone()),
                assessment.readings().stream().map(Weighed::of).toList());
    }

    public static Figures of(Weighing weighing) {
        return new Figures(
                BalanceFigures.of(weighing.withSurroundings()),
                BalanceFigures.of(weighing.featuresAlone()),
                weighing.readings().stream().map(Weighed::of).toList());
    }

    /**
     * One balance; points are decibans for the lead against the rival.
     *
     * @param lead id of the taxon with the highest share
     * @param rival id of the next taxon
     * @param shares of every taxon in the sheet's order, in [0, 1]
     * @param noneOfThese share of none of them
     * @param surroundingsPoints of the prior; 0 from features alone
     * @param totalPoints of prior and readings
     * @param points of each reading that this balance uses
     */
    public record BalanceFigures(
            String lead,
            String rival,
            List<Share> shares,
            double noneOfThese,
            double surroundingsPoints,
            double totalPoints,
            List<Points> points) {

        static BalanceFigures of(Balance balance) {
            List<Taxon> taxa = balance.model().sheet().taxa();
            int lead = balance.lead();
            int rival = balance.rival();
            List<Share> shares = new ArrayList<>();
            for (int k = 0; k < taxa.size(); k++) {
                shares.add(new Share(taxa.get(k).id(), balance.prior(k), balance.posterior(k)));
            }
            List<Points> points = new ArrayList<>();
            for (int j = 0; j < balance.readings().size(); j++) {
                points.add(new Points(balance.readings().get(j).character().id(), balance.points(j, lead, rival)));
            }
            return new BalanceFigures(
                    taxa.get(lead).id(),
                    taxa.get(rival).id(),
                    shares,
                    balance.noneOfThese(),
                    balance.surroundingsPoints(lead, rival),
                    balance.totalPoints(lead, rival),
                    points);
        }
    }

    /** A taxon's share of belief before and after the readings. */
    public record Share(String taxon, double prior, double posterior) {}

    /** How far one reading speaks for the lead against the rival. */
    public record Points(String character, double points) {}

    /** The weight of a reading in [0, 1], and the independent looks its replicates are worth. */
    public record Weighed(String character, double weight, double looks, boolean inSeason) {
        static Weighed of(WeighedReading reading) {
            return new Weighed(reading.character().id(), reading.weight(), reading.looks(), reading.inSeason());
        }
    }
}
