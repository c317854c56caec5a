package org.goldthistle.call;

import jakarta.annotation.Nullable;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.core.CodeOf;

/**
 * A signed call: who, when, what, from which readings, on which sheet version.
 *
 * @param signedAt by what the observer's device said of its age
 * @param recordedAt when it came into the record
 * @param outcome what was signed: taxon, group, come-back or laboratory
 * @param taxonId null when no taxon was signed; the names are then the group's
 * @param month to come back in, for that outcome
 * @param year in which that month comes next, seen from the day of signing
 * @param share the taxon's share of belief with the surroundings when it was signed; null without a taxon
 * @param confirming characters that the observer says confirmed it
 * @param reasons why they signed all the same, by the character that speaks against it
 * @param judgement as it stood when it was signed
 * @param recomputes whether the same figures come out of the record today
 * @param superseded whether its observer signed again later, or a review settled the tree since
 * @param settles the review that it came out of; null: it was signed on the Bench
 * @param soonAfterReset whether it was signed within an hour after somebody's link had replaced its observer's passphrase
 * @param alsoBy whose names are on it beside the observer's
 */
public record SignedView(
        UUID id,
        String observer,
        Instant signedAt,
        Instant recordedAt,
        @CodeOf(Outcome.class) String outcome,
        @Nullable String taxonId,
        @Nullable Integer month,
        @Nullable Integer year,
        String scientificName,
        String commonName,
        @Nullable Double share,
        String note,
        String voucher,
        List<String> confirming,
        Map<String, String> reasons,
        UUID sheetVersionId,
        int sheetVersion,
        Circumstances circumstances,
        List<NewReading> readings,
        Figures figures,
        Judgement judgement,
        List<KeptPicture> photos,
        boolean recomputes,
        boolean superseded,
        @Nullable UUID settles,
        boolean soonAfterReset,
        List<String> alsoBy) {}
