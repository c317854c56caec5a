package org.goldthistle.library;

import java.util.ArrayList;
import java.util.List;
import org.goldthistle.core.plan.Separability;
import org.goldthistle.core.stranger.IfSomethingElse;
import org.springframework.lang.Nullable;

/**
 * How well a sheet's taxa can be told apart through the year by somebody who reads all that can be read.
 *
 * @param threshold share of belief at which a tree counts as named, in [0, 1]
 * @param trees that were drawn of each taxon a month
 * @param error the largest standard error of the shares that are named rightly or wrongly
 * @param months from January to December
 * @param strangers what becomes of trees of each taxon where the sheet lacks it, in the sheet's order
 */
public record SeasonDto(
        double threshold, int trees, double error, List<MonthChart> months, List<StrangerDto> strangers) {

    static SeasonDto of(Seasons.Season season, double threshold) {
        Separability separability = season.separability();
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
        return new SeasonDto(
                threshold,
                Separability.TREES,
                separability.largestError(),
                months,
                season.strangers().strangers().stream().map(StrangerDto::of).toList());
    }

    /**
     * Trees of a taxon, read on the sheet without it.
     *
     * @param taxon id of the taxon
     * @param tally null: too few taxa would be left, as for the next
     * @param record the same on record
     */
    public record StrangerDto(
            String taxon,
            @Nullable MisnamedDto tally,
            @Nullable MisnamedDto record) {
        static StrangerDto of(IfSomethingElse.Stranger stranger) {
            return new StrangerDto(
                    stranger.taxon().id(),
                    stranger.tally().map(MisnamedDto::of).orElse(null),
                    stranger.record().map(MisnamedDto::of).orElse(null));
        }
    }

    /**
     * How often such a tree gets a name.
     *
     * @param signable share that may be signed under a wrong name, in [0, 1]
     * @param flagged share that may be signed and is contested for some reason
     * @param mostly field name that most of them get; null: none gets one
     */
    public record MisnamedDto(
            double signable, double flagged, @Nullable String mostly) {
        static MisnamedDto of(IfSomethingElse.Misnamed misnamed) {
            return new MisnamedDto(
                    misnamed.signable(),
                    misnamed.flagged(),
                    misnamed.mostly().map(taxon -> taxon.name().commonName()).orElse(null));
        }
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
