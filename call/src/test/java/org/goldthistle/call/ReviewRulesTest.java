package org.goldthistle.call;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Set;
import org.goldthistle.core.verdict.Tier;
import org.junit.jupiter.api.Test;

/** What comes to review. */
class ReviewRulesTest {
    @Test
    void a_call_that_says_nothing_yet_is_not_reviewed() {
        for (Outcome outcome : Set.of(Outcome.COME_BACK, Outcome.LABORATORY)) {
            assertThat(reasons(outcome, Tier.CONTROL, true, true, true)).isEmpty();
        }
    }

    @Test
    void contested_is_reviewed_at_every_tier_named_or_not() {
        for (Tier tier : Tier.values()) {
            assertThat(reasons(Outcome.TAXON, tier, true, false, true)).contains(CaseReason.CONTESTED);
            assertThat(reasons(Outcome.GROUP, tier, true, true, true)).containsExactly(CaseReason.CONTESTED);
        }
    }

    @Test
    void every_name_for_control_is_and_for_the_record_those_that_matter() {
        assertThat(reasons(Outcome.TAXON, Tier.CONTROL, false, false, false)).containsExactly(CaseReason.CONTROL);
        assertThat(reasons(Outcome.TAXON, Tier.RECORD, false, true, false)).containsExactly(CaseReason.TIER);
        assertThat(reasons(Outcome.TAXON, Tier.RECORD, false, false, false)).isEmpty();
        assertThat(reasons(Outcome.TAXON, Tier.TALLY, false, true, false)).isEmpty();
        assertThat(reasons(Outcome.GROUP, Tier.CONTROL, false, true, false)).isEmpty();
    }

    @Test
    void lots_are_drawn_among_plain_names_alone() {
        assertThat(reasons(Outcome.TAXON, Tier.TALLY, false, false, true)).containsExactly(CaseReason.DRAWN);
        assertThat(reasons(Outcome.GROUP, Tier.TALLY, false, false, true)).isEmpty();
        ReviewRules.Signed contested = new ReviewRules.Signed(Outcome.TAXON, Tier.TALLY, true, false, false);
        assertThat(ReviewRules.reasons(contested, () -> {
                    throw new AssertionError("no lot is drawn where something else decides");
                }))
                .containsExactly(CaseReason.CONTESTED);
    }

    @Test
    void who_has_not_practised_as_the_survey_asks_is_read_again_where_a_name_is_given() {
        assertThat(ReviewRules.reasons(
                        new ReviewRules.Signed(Outcome.TAXON, Tier.TALLY, false, false, true), () -> false))
                .containsExactly(CaseReason.PRACTICE);
        assertThat(ReviewRules.reasons(
                        new ReviewRules.Signed(Outcome.GROUP, Tier.TALLY, false, false, true), () -> false))
                .isEmpty();
        assertThat(ReviewRules.reasons(
                        new ReviewRules.Signed(Outcome.COME_BACK, Tier.TALLY, true, false, true), () -> false))
                .isEmpty();
    }

    private static Set<CaseReason> reasons(
            Outcome outcome, Tier tier, boolean contested, boolean matters, boolean drawn) {
        return ReviewRules.reasons(new ReviewRules.Signed(outcome, tier, contested, matters, false), () -> drawn);
    }
}
