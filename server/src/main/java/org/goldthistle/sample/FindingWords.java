package org.goldthistle.sample;

import java.util.Locale;
import org.goldthistle.core.laboratory.Finding;

/** Findings in words. */
final class FindingWords {
    private FindingWords() {}

    static String of(Finding finding) {
        if (finding instanceof Finding.Ploidy ploidy) {
            return String.format(
                    Locale.ROOT,
                    "%d sets of chromosomes (coefficient of variation %.1f %%)",
                    ploidy.sets(),
                    100 * ploidy.variation());
        }
        if (finding instanceof Finding.MarkerShare markers) {
            return String.format(
                    Locale.ROOT,
                    "%.2f of %s against %s (95 %%: %.2f to %.2f)",
                    markers.share(),
                    markers.second(),
                    markers.first(),
                    markers.low(),
                    markers.high());
        }
        Finding.Sequenced named = (Finding.Sequenced) finding;
        return String.format(Locale.ROOT, "%s, support %.2f", named.scientificName(), named.support());
    }
}
