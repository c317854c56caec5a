package org.goldthistle.core.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.Sheets;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Measure;
import org.junit.jupiter.api.Test;

class EvidenceTest {
    private static final GroupSheet SHEET = Sheets.sheet(
            Sheets.pair(),
            Sheets.character("bark")
                    .states("x", "y")
                    .in("a", 1, 0)
                    .in("b", 0, 1)
                    .build(),
            Sheets.character("lobes")
                    .numbers(Measure.COUNT)
                    .range("a", 1, 2, 3, 4)
                    .range("b", 3, 4, 5, 6)
                    .build());

    @Test
    void a_second_look_replaces_the_first_and_stands_where_it_was_made() {
        Evidence evidence = Evidence.of(
                SHEET,
                Sheets.wildInJune(),
                List.of(Sheets.saw("bark", "x"), Sheets.measured("lobes", 3.0), Sheets.saw("bark", "y")));

        assertThat(evidence.readings()).extracting(Reading::character).containsExactly("lobes", "bark");
        assertThat(evidence.readings().get(1).observed()).isEqualTo(new StatesObserved(List.of("y")));
    }

    @Test
    void not_seen_takes_an_earlier_reading_back() {
        Evidence evidence =
                Evidence.of(SHEET, Sheets.wildInJune(), List.of(Sheets.saw("bark", "x"), new NotSeen("bark")));

        assertThat(evidence.readings()).isEmpty();
        assertThat(evidence.unseen().months()).containsOnlyKeys("bark");
    }

    @Test
    void everything_that_does_not_fit_the_sheet_is_refused_at_once() {
        var observations = List.of(
                Sheets.saw("bark", "z"),
                Sheets.measured("lobes", 2.5),
                Sheets.saw("ears", "long"),
                Sheets.measured("bark", 3.0));

        assertThatExceptionOfType(RefusedException.class)
                .isThrownBy(() -> Evidence.of(SHEET, Sheets.wildInJune(), observations))
                .withMessageContainingAll(
                        "observations[0].states", "observations[1].values", "observations[2].character", "numbers");
    }

    @Test
    void a_negative_measure_cannot_even_be_made() {
        assertThatExceptionOfType(RefusedException.class)
                .isThrownBy(() -> Sheets.measured("lobes", -1.0))
                .withMessageContaining("-1.0");
    }

    @Test
    void what_could_not_be_seen_is_known_with_its_month() {
        Evidence evidence = Evidence.of(
                SHEET, Sheets.wildInJune(), List.of(new NotSeen("bark"), new NotSeen("lobes", OptionalInt.of(2))));

        assertThat(evidence.unseen().months()).containsOnly(Map.entry("bark", 6), Map.entry("lobes", 2));
    }

    @Test
    void a_month_of_no_year_is_refused() {
        assertThatExceptionOfType(RefusedException.class)
                .isThrownBy(() -> Sheets.saw("bark", "x").madeIn(13))
                .withMessageContaining("month");
        assertThatExceptionOfType(RefusedException.class)
                .isThrownBy(() -> new NotSeen("bark", OptionalInt.of(0)))
                .withMessageContaining("month");
    }
}
