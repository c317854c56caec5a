package org.goldthistle.call;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.goldthistle.call.Birch.states;

import java.time.Instant;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.goldthistle.core.verdict.Tier;
import org.junit.jupiter.api.Test;

class EnteredTest {
    private static final Instant YESTERDAY = Instant.parse("2026-09-13T07:00:00Z");

    @Test
    void what_is_entered_on_a_device_whose_clock_is_a_day_behind_counts_all_the_same() {
        CallInHand call =
                Birch.inSeptember().read(states("bark-base", "bosses")).call();

        CallInHand after = reading("bark-base", "cracked").on(call);

        assertThat(after.counting()).hasSize(1);
        assertThat(after.counting().get(0).reading().states()).containsExactly("cracked");
        assertThat(after.counting().get(0).recordedAt()).isEqualTo(YESTERDAY);
    }

    @Test
    void a_correction_belongs_to_the_visit_that_it_names_and_there_must_be_one() {
        CallInHand call =
                Birch.inSeptember().read(states("bark-base", "bosses")).in(12).call();

        CallInHand after = new Entered.Read(
                        UUID.randomUUID(), states("bark-base", "cracked").madeIn(9), YESTERDAY)
                .on(call);

        assertThat(after.reading(after.counting().get(0)).month()).isEqualTo(9);
        assertThatThrownBy(() -> new Entered.Read(
                                UUID.randomUUID(),
                                states("bark-base", "cracked").madeIn(4),
                                YESTERDAY)
                        .on(call))
                .isInstanceOfSatisfying(
                        CallRefusedException.class,
                        why -> assertThat(why.type()).isEqualTo(CallRefusal.NO_SUCH_VISIT));
    }

    @Test
    void each_thing_changes_what_it_says_and_no_more() {
        CallInHand call = Birch.inSeptember().woundsAllowed().controlUsed().call();

        assertThat(new Entered.CautionRead().on(call).cautionRead()).isTrue();
        assertThat(new Entered.IsFor("control").on(call).tier()).isEqualTo(Tier.CONTROL);
        assertThat(new Entered.Stands(new Circumstances(5, "pole", "planted", List.of()))
                        .on(call)
                        .circumstances()
                        .stage())
                .isEqualTo("pole");
        String item = Birch.SHEET.sheet().gate().get(0).id();
        assertThat(new Entered.Marked(item, "fails", YESTERDAY).on(call).gate())
                .singleElement()
                .satisfies(mark -> assertThat(mark.fits()).isFalse());
        var photo = new KeptPhoto(UUID.randomUUID(), UUID.randomUUID(), "bark-base", "", 1, YESTERDAY);
        assertThat(new Entered.Pictured(photo).on(call).photos()).containsExactly(photo);
    }

    @Test
    void a_signature_stands_beside_marks_photos_and_a_caution_and_falls_with_the_rest() {
        assertThat(reading("bark-base", "cracked").changesWhatIsSigned()).isTrue();
        assertThat(new Entered.IsFor("record").changesWhatIsSigned()).isTrue();
        assertThat(new Entered.CautionRead().changesWhatIsSigned()).isFalse();
    }

    @Test
    void a_state_of_a_call_gives_the_call_again() {
        CallInHand call = Birch.inSeptember().plainlySilver().gateFits().call();

        assertThat(CallState.of(call, OnRecord.NOTHING).on(Birch.SHEET)).isEqualTo(call);
    }

    @Test
    void two_who_agreed_blind_second_the_call_only_for_control_and_for_what_leads() {
        CallInHand control =
                Birch.inSeptember().plainlySilver().forA(Tier.CONTROL).call();
        CallInHand tally = Birch.inSeptember().plainlySilver().call();
        String silver = Birch.SHEET.sheet().taxa().get(0).name().scientificName();
        String downy = Birch.SHEET.sheet().taxa().get(1).name().scientificName();

        assertThat(new OnRecord(Set.of(silver), Set.of(silver)).of(control).secondObserverAgrees())
                .isTrue();
        assertThat(new OnRecord(Set.of(downy), Set.of(downy)).of(control).secondObserverAgrees())
                .isFalse();
        assertThat(new OnRecord(Set.of(silver), Set.of(silver)).of(tally).secondObserverAgrees())
                .isFalse();
    }

    private static Entered.Read reading(String character, String state) {
        return new Entered.Read(UUID.randomUUID(), states(character, state), YESTERDAY);
    }
}
