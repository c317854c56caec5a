package org.goldthistle.sample;

import java.time.Instant;
import java.util.List;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.laboratory.Analysis;
import org.springframework.lang.Nullable;

/**
 * What a laboratory said of a sample.
 *
 * @param number of its message
 * @param sample code on the label
 * @param says what was found, in words
 * @param fits common names of the taxa that it fits, as the newest sheet has them; empty: nothing was found
 * @param taxon id of the taxon that it fits alone; null: none, or several
 * @param error how often such a result is wrong, in (0, 0.5)
 * @param told what is to be known of it, in words; empty: nothing
 * @param cameAt when it came
 */
public record LaboratoryResultDto(
        long number,
        String sample,
        @CodeOf(Analysis.class) String analysis,
        String says,
        List<String> fits,
        @Nullable String taxon,
        double error,
        String told,
        Instant cameAt) {}
