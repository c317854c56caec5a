package org.goldthistle.call;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.goldthistle.call.Birch.notSeen;
import static org.goldthistle.call.Birch.states;
import static org.goldthistle.call.Birch.values;

import java.util.Collections;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.assertj.core.api.ThrowableAssert.ThrowingCallable;
import org.goldthistle.core.verdict.CallRecord;
import org.goldthistle.core.verdict.Tier;
import org.junit.jupiter.api.Test;

/** What may be entered and what may be signed. */
class RulesTest {
    private static final Circumstances SEPTEMBER = new Circumstances(9, "mature", "wild", List.of());

    @Test
    void a_reading_that_does_not_fit_the_sheet_is_refused() {
        assertRefused(CallRefusal.UNFIT_READING, () -> fit(states("twig-warts", "plenty")));
        assertRefused(CallRefusal.UNFIT_READING, () -> fit(values("ltw", -3.0)));
        assertRefused(CallRefusal.UNFIT_READING, () -> fit(states("", "dense")));
        assertRefused(CallRefusal.UNFIT_READING, () -> fit(Birch.takenBack("ears")));
        assertRefused(
                CallRefusal.UNFIT_READING,
                () -> fit(values("ltw", Collections.nCopies(201, 20.0).toArray(Double[]::new))));
        assertThatThrownBy(() -> fit(states("twig-warts", "plenty")))
                .hasMessageContaining("was not stored")
                .hasMessageContaining("plenty");
        fit(states("twig-warts", "dense"));
    }

    @Test
    void a_value_is_what_comes_of_its_parts() {
        Taken wing = new Taken(List.of(3.0, 2.0), null);
        assertThatCode(() -> fit(Birch.taken("nutlet-wing-ratio", List.of(1.5), List.of(wing))))
                .doesNotThrowAnyException();
        assertThatCode(() ->
                        fit(Birch.taken("nutlet-wing-ratio", List.of(1.5, 1.2), List.of(wing, new Taken(null, 0.1)))))
                .doesNotThrowAnyException();

        assertRefused(
                CallRefusal.UNFIT_READING, () -> fit(Birch.taken("nutlet-wing-ratio", List.of(1.6), List.of(wing))));
        assertRefused(
                CallRefusal.UNFIT_READING,
                () -> fit(Birch.taken("nutlet-wing-ratio", List.of(1.5, 1.2), List.of(wing))));
        assertRefused(
                CallRefusal.UNFIT_READING,
                () -> fit(Birch.taken("nutlet-wing-ratio", List.of(1.5), List.of(new Taken(List.of(3.0, 0.0), null)))));
        assertRefused(
                CallRefusal.UNFIT_READING,
                () -> fit(Birch.taken("nutlet-wing-ratio", List.of(1.5), List.of(new Taken(null, -0.1)))));
    }

    @Test
    void circumstances_with_unknown_codes_or_without_any_are_refused() {
        assertRefused(
                CallRefusal.UNFIT_CONTEXT,
                () -> EntryRules.requireFit(new Circumstances(9, "old", "wild", List.of("mars"))));
        assertRefused(
                CallRefusal.UNFIT_CONTEXT,
                () -> EntryRules.requireFit(new Circumstances(13, "mature", "wild", List.of())));
        assertRefused(CallRefusal.UNFIT_CONTEXT, () -> EntryRules.requireFit(new Circumstances(9, null, null, null)));
    }

    @Test
    void whoever_wounds_a_tree_may_and_has_read_what_that_means() {
        NewReading cut = states("inner-bark-test", "clouding");
        SurveyRules forbids = Birch.inSeptember().rules();
        SurveyRules allows = Birch.inSeptember().woundsAllowed().rules();

        assertRefused(CallRefusal.WOUNDING_OFF, () -> EntryRules.requireHarmless(Birch.SHEET, forbids, true, cut));
        assertRefused(CallRefusal.CAUTION_UNREAD, () -> EntryRules.requireHarmless(Birch.SHEET, allows, false, cut));
        EntryRules.requireHarmless(Birch.SHEET, allows, true, cut);
        EntryRules.requireHarmless(Birch.SHEET, forbids, false, notSeen("inner-bark-test"));
    }

    @Test
    void a_tier_is_one_that_the_survey_uses() {
        assertRefused(
                CallRefusal.NO_SUCH_TIER,
                () -> EntryRules.tier("guess", Birch.inSeptember().rules()));
        assertRefused(
                CallRefusal.CONTROL_UNUSED,
                () -> EntryRules.tier("control", Birch.inSeptember().rules()));
        assertThat(EntryRules.tier("control", Birch.inSeptember().controlUsed().rules()))
                .isEqualTo(Tier.CONTROL);
    }

    @Test
    void a_call_is_signed_for_what_leads_and_only_once_it_is_carried() {
        Birch silver = Birch.inSeptember().plainlySilver();

        sign(silver, taxon("pendula", silver));
        assertRefused(CallRefusal.NOT_SIGNABLE, () -> sign(silver, taxon("pubescens", silver)));
        assertRefused(CallRefusal.NO_SUCH_TAXON, () -> sign(silver, taxon("nobody", silver)));
        Birch barely = Birch.inSeptember().read(states("bark-base", "cracked"));
        assertThatThrownBy(() -> sign(barely, taxon("pubescens", barely)))
                .hasMessageContaining("Still missing")
                .hasMessageContaining("all readings are kept");
    }

    @Test
    void nobody_signs_readings_that_they_have_not_seen() {
        Birch silver = Birch.inSeptember().plainlySilver();
        Signing seen = taxon("pendula", silver);

        assertThatThrownBy(() -> sign(silver.read(states("twig-feel", "rough")), seen))
                .isInstanceOfSatisfying(
                        CallRefusedException.class,
                        refused -> assertThat(refused.type()).isEqualTo(CallRefusal.READINGS_CHANGED));
    }

    @Test
    void an_outcome_has_what_belongs_to_it_and_nothing_else() {
        Birch birch = Birch.inSeptember().read(states("bark-base", "cracked"));
        List<UUID> seen = ids(birch);

        assertRefused(
                CallRefusal.NO_SUCH_OUTCOME,
                () -> sign(birch, new Signing("perhaps", null, null, false, Set.of(), seen)));
        assertRefused(
                CallRefusal.UNFIT_OUTCOME, () -> sign(birch, new Signing("taxon", null, null, false, Set.of(), seen)));
        assertRefused(
                CallRefusal.UNFIT_OUTCOME, () -> sign(birch, new Signing("group", null, 5, false, Set.of(), seen)));
        assertRefused(
                CallRefusal.LABORATORY_UNUSED,
                () -> sign(birch, new Signing("laboratory", null, null, false, Set.of(), seen)));
        sign(birch.laboratoryUsed(), new Signing("laboratory", null, null, false, Set.of(), seen));
        sign(birch, new Signing("come-back", null, 5, false, Set.of(), seen));
        assertRefused(
                CallRefusal.REASON_WITHOUT_READING,
                () -> sign(birch, new Signing("group", null, null, false, Set.of("twig-warts"), seen)));
    }

    private static void fit(NewReading reading) {
        EntryRules.requireFit(Birch.SHEET, SEPTEMBER, reading);
    }

    private static Signing taxon(String id, Birch birch) {
        return new Signing("taxon", id, null, false, Set.of(), ids(birch));
    }

    private static List<UUID> ids(Birch birch) {
        return birch.call().counting().stream().map(Entry::id).collect(Collectors.toList());
    }

    private static void sign(Birch birch, Signing signing) {
        CallInHand call = birch.call();
        SigningRules.check(call, call.assessment(CallRecord.EMPTY), signing);
    }

    private static void assertRefused(CallRefusal type, ThrowingCallable what) {
        assertThatThrownBy(what)
                .isInstanceOfSatisfying(
                        CallRefusedException.class,
                        refused -> assertThat(refused.type()).isEqualTo(type));
    }
}
