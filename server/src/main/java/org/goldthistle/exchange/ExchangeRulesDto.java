package org.goldthistle.exchange;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;

/**
 * Under what a survey's archive may be used, and what of it is told less exactly than it is known.
 *
 * @param license under which it may be used; empty: not said
 * @param rightsHolder who holds the rights; empty: not said
 * @param pseudonyms whether observers are numbered instead of called by their call signs, in tables and maps too
 * @param coarseMetres side of the squares in whose middle plots are told to lie that have a tree of the next;
 *     0: every position is told as it is known
 * @param coarseTaxa whose places are kept
 */
record ExchangeRulesDto(
        @NotNull @Size(max = 500) String license,
        @NotNull @Size(max = 200) String rightsHolder,
        boolean pseudonyms,
        @Min(0) @Max(100_000) int coarseMetres,
        @NotNull @Size(max = 200) List<@NotNull @Valid KeptTaxon> coarseTaxa) {

    /** Where nobody said anything. */
    static final ExchangeRulesDto NONE = new ExchangeRulesDto("", "", false, 0, List.of());

    /** What observers are called in files: by their call signs, or each by one number for as long as this is held. */
    UnaryOperator<String> observersCalled() {
        if (!pseudonyms) {
            return UnaryOperator.identity();
        }
        Map<String, String> numbers = new HashMap<>();
        return sign -> {
            if (sign != null && !numbers.containsKey(sign)) {
                numbers.put(sign, "observer " + (numbers.size() + 1)); // in the order in which they are met
            }
            return numbers.get(sign);
        };
    }

    /**
     * A taxon whose places are kept.
     *
     * @param taxonId of the group's sheet
     */
    record KeptTaxon(@NotNull String groupId, @NotNull String taxonId) {}
}
