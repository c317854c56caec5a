package org.goldthistle.survey;

import jakarta.persistence.Embeddable;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import java.util.Comparator;

/**
 * Verified trees of the district, which weigh in what is believed before looking at a tree.
 *
 * @param taxonId of the group's sheet
 * @param trees how many were verified
 */
@Embeddable
public record LocalRecord(
        @NotNull String groupId,
        @NotNull String taxonId,
        @Min(0) int trees) implements Comparable<LocalRecord> {
    @Override
    public int compareTo(LocalRecord other) {
        return Comparator.comparing(LocalRecord::groupId)
                .thenComparing(LocalRecord::taxonId)
                .compare(this, other);
    }
}
