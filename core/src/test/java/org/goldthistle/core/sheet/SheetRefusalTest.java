package org.goldthistle.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.Sheets;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.function.Executable;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

class SheetRefusalTest {

    static Stream<Arguments> broken() {
        var leaf = Sheets.character("leaf").states("x", "y").in("a", 1, 0).in("b", 0, 1);
        return Stream.of(
                refused("range", "NaN", () -> new Range(1, Double.NaN, 3, 4)),
                refused("range", "3.0, 2.0", () -> new Range(1, 3, 2, 4)),
                refused("", "0.9", () -> new StateProfile(Map.of("x", 0.5, "y", 0.4))),
                refused("x", "1.5", () -> new StateProfile(Map.of("x", 1.5, "y", -0.5))),
                refused("months", "13", () -> trust(0.5, Set.of(13))),
                refused("months", "none", () -> trust(0.5, Set.of())),
                refused("weight", "NaN", () -> trust(Double.NaN, Set.of(1))),
                refused("minutes", "0.0", () -> new Effort(0, Harm.NONE, List.of(), Sense.SIGHT, false)),
                refused("replicates", "0", () -> new Replication(0, 0.5)),
                refused("likeness", "1.1", () -> new Replication(3, 1.1)),
                refused("states", "1 of them", () -> new StateScale(true, List.of(new State("x", "x")))),
                refused("parents", "none", () -> orphan()),
                refused("parents", "\"a\" twice", () -> new Parents("a", "a")),
                refused(
                        "profiles.b",
                        "limits 1.2 to 1.8",
                        () -> Sheets.character("n")
                                .numbers(Measure.COUNT)
                                .range("b", 1.2, 1.3, 1.4, 1.8)
                                .build()),
                refused(
                        "characters.leaf.profiles",
                        "\"b\"",
                        () -> Sheets.sheet(
                                Sheets.pair(),
                                Sheets.character("leaf")
                                        .states("x", "y")
                                        .in("a", 1, 0)
                                        .build())),
                refused("characters", "\"leaf\" twice", () -> Sheets.sheet(Sheets.pair(), leaf.build(), leaf.build())),
                refused(
                        "taxa.abundance",
                        "80",
                        () -> Sheets.sheet(List.of(Sheets.taxon("a", 40), Sheets.taxon("b", 40)), leaf.build())),
                refused(
                        "taxa.h.parents",
                        "\"z\"",
                        () -> Sheets.sheet(
                                List.of(Sheets.taxon("a", 50), Sheets.taxon("b", 30), Sheets.hybrid("h", "a", "z", 20)),
                                leaf.build())),
                refused(
                        "taxa.h.parents",
                        "descends from itself",
                        () -> Sheets.sheet(
                                List.of(
                                        Sheets.taxon("a", 50),
                                        Sheets.taxon("b", 30),
                                        Sheets.hybrid("h", "a", "i", 10),
                                        Sheets.hybrid("i", "b", "h", 10)),
                                leaf.build())));
    }

    @ParameterizedTest(name = "{0}: {1}")
    @MethodSource("broken")
    void what_breaks_a_rule_is_refused_with_key_and_finding(String key, String found, Executable making) {
        assertThatExceptionOfType(RefusedException.class)
                .isThrownBy(making::execute)
                .satisfies(refused -> assertThat(refused.refusals()).anySatisfy(one -> {
                    assertThat(one.key()).isEqualTo(key);
                    assertThat(one.found()).contains(found);
                    assertThat(one.expected()).isNotBlank();
                }));
    }

    @Test
    void everything_wrong_is_said_at_once() {
        assertThatExceptionOfType(RefusedException.class)
                .isThrownBy(() -> new Replication(0, 7))
                .satisfies(refused -> assertThat(refused.refusals()).hasSize(2))
                .withMessageContaining("replicates")
                .withMessageContaining("likeness");
    }

    @Test
    void a_range_without_width_is_legal() {
        assertThatCode(() -> new Range(3, 3, 3, 3)).doesNotThrowAnyException();
    }

    private static Taxon orphan() {
        return new Taxon(
                "h",
                new TaxonName("Testus × h", "", "hybrid"),
                Rank.HYBRID,
                Optional.empty(),
                TaxonOrigin.NATIVE,
                Standing.COMMON,
                1,
                1,
                Map.of());
    }

    private static Trust trust(double weight, Set<Integer> months) {
        return new Trust(weight, Map.of(), months, Map.of(), Map.of(), Map.of());
    }

    private static Arguments refused(String key, String found, Executable making) {
        return Arguments.of(key, found, making);
    }
}
