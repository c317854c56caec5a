package org.goldthistle.core.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.goldthistle.core.Sheets;
import org.goldthistle.core.balance.Balance;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.balance.Weighing;
import org.goldthistle.core.reading.Evidence;
import org.goldthistle.core.reading.Observation;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Harm;
import org.junit.jupiter.api.Test;

/** Section 9 where the smallest set can be told by hand. */
class ConfirmingSetTest {

    @Test
    void of_sets_that_carry_it_alike_the_gentlest_stands() {
        Balance balance = read(strong("pith", Harm.WOUND), strong("twig", Harm.SAMPLE), strong("bark", Harm.NONE));

        assertThat(new ConfirmingSet(balance, 0.95).find()).containsExactly(2);
    }

    @Test
    void of_sets_that_are_alike_in_all_the_earliest_stands() {
        Balance balance = read(strong("bark", Harm.NONE), strong("twig", Harm.NONE), strong("leaf", Harm.NONE));

        // one reading leaves 0.97; at 0.99 it takes two
        assertThat(new ConfirmingSet(balance, 0.95).find()).containsExactly(0);
        assertThat(new ConfirmingSet(balance, 0.985).find()).containsExactly(0, 1);
    }

    @Test
    void the_strongest_of_one_size_stands_wherever_it_is() {
        Balance balance = read(weak("bark", 0.8), strong("twig", Harm.WOUND), weak("leaf", 0.8));

        assertThat(new ConfirmingSet(balance, 0.8).find()).containsExactly(1);
    }

    @Test
    void beyond_twenty_readings_the_set_grows_by_the_strongest() {
        List<DiagnosticCharacter> characters = new ArrayList<>();
        for (int c = 0; c < 22; c++) {
            characters.add(weak("c" + c, c == 7 || c == 15 ? 0.9 : 0.6));
        }
        Balance balance = read(characters.toArray(new DiagnosticCharacter[0]));

        int[] set = new ConfirmingSet(balance, 0.95).find();

        assertThat(set).contains(7, 15).isSorted();
        assertThat(Confirmation.of(balance, 0.95).exact()).isFalse();
        assertThat(Confirmation.of(read(strong("bark", Harm.NONE)), 0.95).exact())
                .isTrue();
    }

    @Test
    void a_set_that_does_not_exist_is_empty() {
        assertThat(new ConfirmingSet(read(weak("bark", 0.6)), 0.99).find()).isEmpty();
    }

    @Test
    void leaving_a_reading_out_leaves_the_others_as_they_were() {
        Balance both = read(weak("bark", 0.9), weak("twig", 0.7));
        Balance twig = read(weak("twig", 0.7));

        ConfirmingSet set = new ConfirmingSet(both, 0.8);

        assertEquals(twig.posterior(0), set.posteriorWithout(0), 1e-12); // rounding
        assertThat(set.leadsWithout(0)).isTrue();
    }

    @Test
    void without_the_reading_that_made_it_lead_another_leads() {
        DiagnosticCharacter against = Sheets.character("leaf")
                .states("x", "y")
                .in("a", 0.3, 0.7)
                .in("b", 0.7, 0.3)
                .build();
        Balance balance = read(weak("bark", 0.9), against);

        assertThat(new ConfirmingSet(balance, 0.6).leadsWithout(0)).isFalse();
    }

    private static DiagnosticCharacter strong(String id, Harm harm) {
        return Sheets.character(id)
                .states("x", "y")
                .in("a", 1, 0)
                .in("b", 0, 1)
                .effort(1, harm)
                .build();
    }

    private static DiagnosticCharacter weak(String id, double frequency) {
        return Sheets.character(id)
                .states("x", "y")
                .in("a", frequency, 1 - frequency)
                .in("b", 1 - frequency, frequency)
                .build();
    }

    /** Every character seen as x. */
    private static Balance read(DiagnosticCharacter... characters) {
        GroupSheet sheet = Sheets.sheet(Sheets.pair(), characters);
        List<Observation> readings = new ArrayList<>();
        for (DiagnosticCharacter character : characters) {
            readings.add(Sheets.saw(character.id(), "x"));
        }
        return Weighing.of(GroupModel.of(sheet), Evidence.of(sheet, Sheets.wildInJune(), readings), Optional.empty())
                .featuresAlone();
    }
}
