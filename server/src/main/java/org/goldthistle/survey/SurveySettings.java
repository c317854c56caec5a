package org.goldthistle.survey;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Positive;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.sheet.School;
import org.goldthistle.core.verdict.Tier;
import org.springframework.lang.Nullable;

/**
 * A survey as its lead sets it up; words are the codes of a group sheet.
 *
 * @param season a year
 * @param groups ids of the groups that it calls; empty: every group of the library
 * @param school whose weights count; null: the sheet's own
 * @param defaultTier what a call is for until its observer says otherwise
 * @param wrongYes what naming a wrong taxon costs; null, as the next: each tier's own threshold holds
 * @param wrongNo what not naming the right one costs, in the same unit
 * @param controlUsed whether calls may be for felling, treatment, removal
 * @param laboratoryUsed whether samples can be sent to a laboratory
 * @param plainShare of the calls that nothing speaks against, how many a review looks at all the same, in [0, 1]
 * @param area the district's outline, points of longitude and latitude in degrees, WGS 84; null: not given
 * @param members ids of the observers who belong to it
 * @param records verified trees of the district
 * @param version of what was changed, so that nobody overwrites what they have not seen; null: a new survey
 */
public record SurveySettings(
        @NotBlank @Size(max = 120) String name,
        @NotBlank @Size(max = 120) String district,
        @Min(1900) @Max(2200) int season,
        @NotNull List<@NotNull String> groups,
        @Nullable @CodeOf(School.class) String school,
        @NotNull @CodeOf(Tier.class) String defaultTier,
        @Nullable @Positive Double wrongYes,
        @Nullable @Positive Double wrongNo,
        boolean woundingAllowed,
        boolean photoPositionKept,
        boolean controlUsed,
        boolean laboratoryUsed,

        @DecimalMin("0") @DecimalMax("1") @Schema(defaultValue = "" + USUAL_PLAIN_SHARE)
        double plainShare,

        @Nullable List<List<Double>> area,
        @NotNull List<@NotNull UUID> members,
        @NotNull List<@NotNull @Valid LocalRecord> records,
        @Nullable Integer version) {

    private static final double USUAL_PLAIN_SHARE = 0.05;

    /** A survey of all groups that calls for the tally and forbids wounds. */
    public static SurveySettings plain(
            String name, String district, int season, List<UUID> members, @Nullable List<List<Double>> area) {
        return new SurveySettings(
                name,
                district,
                season,
                List.of(),
                null,
                "tally",
                null,
                null,
                false,
                false,
                true,
                true,
                USUAL_PLAIN_SHARE,
                area,
                members,
                List.of(),
                null);
    }

    /** The same without its version, to compare what is set. */
    SurveySettings unversioned() {
        return of(members.stream());
    }

    /** The same with one more member. */
    SurveySettings with(UUID member) {
        return of(Stream.concat(members.stream(), Stream.of(member)));
    }

    /** The same for another season, with its name and what is known of the district by then. */
    public SurveySettings inSeason(int later, String called, List<LocalRecord> known) {
        return of(called, later, known, members.stream());
    }

    private SurveySettings of(Stream<UUID> who) {
        return of(name, season, records, who);
    }

    private SurveySettings of(String called, int year, List<LocalRecord> known, Stream<UUID> who) {
        return new SurveySettings(
                called.strip(),
                district.strip(),
                year,
                groups,
                school,
                defaultTier,
                wrongYes,
                wrongNo,
                woundingAllowed,
                photoPositionKept,
                controlUsed,
                laboratoryUsed,
                plainShare,
                area,
                who.distinct().sorted().toList(),
                known.stream().sorted().toList(),
                null);
    }
}
