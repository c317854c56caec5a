package org.goldthistle.browser;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.call.Circumstances;
import org.goldthistle.call.Entry;
import org.goldthistle.call.Mark;
import org.goldthistle.call.Marking;
import org.goldthistle.call.NewReading;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PlainTest {
    private static final Instant NOON = Instant.parse("2026-06-01T12:00:00.123456Z");

    @Test
    void a_record_is_written_by_the_names_of_its_components_and_read_again() {
        var reading =
                new NewReading("warts", List.of("few", "many"), null, false, null, "sure", null, null, null, 6, null);
        var entry = new Entry(UUID.randomUUID(), 1, reading, NOON, NOON);

        Object plain = Plain.write(entry);

        assertThat(plain).isInstanceOf(Map.class);
        assertThat((Object) ((Map<?, ?>) plain).get("readAt")).isEqualTo("2026-06-01T12:00:00.123456Z");
        Map<?, ?> read = (Map<?, ?>) ((Map<?, ?>) plain).get("reading");
        assertThat(read.containsKey("values")).isFalse(); // nothing stands for what is not there
        assertThat(read).hasSize(5);
        assertThat(Plain.read(Entry.class, plain)).isEqualTo(entry);
    }

    @Test
    void codes_stand_for_closed_choices_both_ways() {
        var marking = new Marking("leaves-opposite", Mark.TAKEN_BACK, NOON);

        assertThat((Object) ((Map<?, ?>) Plain.write(marking)).get("mark")).isEqualTo("taken-back");
        assertThat(Plain.read(Marking.class, Plain.write(marking))).isEqualTo(marking);
        assertThatThrownBy(() -> Plain.read(
                        Marking.class, Map.of("item", "a", "mark", "perhaps", "recordedAt", NOON.toString())))
                .hasMessageContaining("perhaps");
    }

    @Test
    void numbers_may_come_as_any_kind_and_unknown_keys_are_left_out() {
        Map<String, Object> plain =
                Map.of("month", 6.0, "stage", "pole", "origin", "wild", "habitat", List.of("wet"), "more", 1);

        assertThat(Plain.read(Circumstances.class, plain))
                .isEqualTo(new Circumstances(6, "pole", "wild", List.of("wet")));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "2026-06-01T12:00:00Z",
                "2026-06-01T12:00:00.500Z",
                "2026-06-01T12:00:00.120340Z",
                "2026-06-01T12:00:00.000100Z",
                "2024-02-29T23:59:59.999999999Z",
                "1969-12-31T23:59:59.000001Z"
            })
    void moments_are_spelt_as_the_platform_spells_them(String text) {
        Instant moment = Moments.read(text);

        assertThat(moment).isEqualTo(Instant.parse(text));
        assertThat(Moments.write(moment)).isEqualTo(moment.toString());
    }

    @Test
    void what_differs_is_told_with_its_place_and_a_last_digit_does_not_differ() {
        Object here = Map.of("figures", List.of(Map.of("points", 1.0)), "lead", "pendula");

        assertThat(SameFigures.difference(
                        here, Map.of("figures", List.of(Map.of("points", 1.0 + 1e-12)), "lead", "pendula", "more", 1)))
                .isEmpty();
        assertThat(SameFigures.difference(here, Map.of("figures", List.of(Map.of("points", 1.1)), "lead", "pendula")))
                .isEqualTo(".figures[0].points: 1.0 here, 1.1 there");
        assertThat(SameFigures.difference(here, Map.of("figures", List.of(), "lead", "pendula")))
                .startsWith(".figures: ");
    }
}
