package org.goldthistle.library;

import java.util.ArrayList;
import java.util.List;
import org.goldthistle.core.plan.Separability;

/**
 * How well a sheet's taxa can be told apart through the year by somebody who reads all that can be read.
 *
 * @param threshold share of belief at which a tree counts as named, in [0, 1]
 * @param trees that were drawn of each taxon a month
 * @param error the largest standard error of the shares that are named rightly or wrongly
 * @param months from January to December
 */
public record SeasonDto(double threshold, int trees, double error, List<MonthChart> months) {

    static SeasonDto of(Separability separability, double threshold) {
        List<MonthChart> months = new ArrayList<>();
        for (Separability.Month month : separability.months()) {
            List<TaxonFate> fates = new ArrayList<>();
            for (int k = 0; k < month.taxa().size(); k++) {
                Separability.Fate fate = month.taxa().get(k);
                fates.add(
                        new TaxonFate(fate.chanceToSettle(k), fate.chanceToMislead(k), fate.named(), fate.unsettled()));
            }
            months.add(new MonthChart(month.month(), fates));
        }
        return new SeasonDto(threshold, Separability.TREES, separability.largestError(), months);
    }

    /** One month, 1-12, with what becomes of trees of each taxon, in the sheet's order. */
    public record MonthChart(int month, List<TaxonFate> taxa) {}

    /**
     * What becomes of trees of one taxon: a row of the confusion matrix.
     *
     * @param settles share that is rightly named
     * @param misleads share that is wrongly named
     * @param named share that is named as each taxon, in the sheet's order
     * @param unsettled share that is not named
     */
    public record TaxonFate(double settles, double misleads, List<Double> named, double unsettled) {}
}
