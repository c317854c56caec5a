package org.goldthistle.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.DoubleFunction;
import java.util.function.Function;
import java.util.stream.Stream;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.Sheets;
import org.goldthistle.core.reading.Context;
import org.goldthistle.core.reading.TreeOrigin;
import org.goldthistle.core.verdict.Costs;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Each figure at its limit, which is legal, and just beyond it, which is not; each text with and without words. */
class RuleLimitsTest {
    private static final double JUST = 1e-6;

    static Stream<Arguments> figures() {
        return Stream.of(
                within("weight", 0, 1, value -> trust(value, Set.of(1), Map.of(), Map.of(), Map.of(), Map.of())),
                within(
                        "schools.field-marks",
                        0,
                        1,
                        value -> trust(1, Set.of(1), Map.of(School.FIELD_MARKS, value), Map.of(), Map.of(), Map.of())),
                within(
                        "stages.pole",
                        0,
                        10,
                        value -> trust(1, Set.of(1), Map.of(), Map.of(LifeStage.POLE, value), Map.of(), Map.of())),
                within(
                        "materials.litter",
                        0,
                        10,
                        value -> trust(1, Set.of(1), Map.of(), Map.of(), Map.of(Material.LITTER, value), Map.of())),
                within(
                        "positions.shade",
                        0,
                        10,
                        value -> trust(1, Set.of(1), Map.of(), Map.of(), Map.of(), Map.of(Position.SHADE, value))),
                within("likeness", 0, 1, value -> new Replication(1, value)),
                within("x", 0, 1, value -> new StateProfile(Map.of("x", value, "y", 1 - value))),
                within("abundance", 0, 100, value -> taxon(value, 1, Map.of())),
                within("plantedAbundance", 0, 100, value -> taxon(1, value, Map.of())),
                within("habitat.wet", 0, 1000, value -> taxon(1, 1, Map.of(Habitat.WET, value))),
                within("undecided", 0, 1e9, value -> index("i", "n", "s", "a", "b", 1, 0, value)));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("figures")
    void a_figure_is_legal_up_to_its_limits_and_refused_beyond(
            String key, double least, double most, DoubleFunction<Object> make) {
        assertThatCode(() -> make.apply(least)).doesNotThrowAnyException();
        assertThatCode(() -> make.apply(most)).doesNotThrowAnyException();
        assertRefused(key, () -> make.apply(least - JUST));
        assertRefused(key, () -> make.apply(Double.NaN));
        assertRefused(key, () -> make.apply(most < 1e9 ? most + JUST : Double.POSITIVE_INFINITY));
    }

    static Stream<Arguments> texts() {
        return Stream.of(
                text("id", value -> new State(value, "n")),
                text("name", value -> new State("i", value)),
                text("scientificName", value -> new TaxonName(value, "", "c")),
                text("commonName", value -> new TaxonName("s", "", value)),
                text("alsoCalled[1]", value -> new TaxonName("s", "", "c", List.of("o", value))),
                text("scientificName", value -> new Fallback(value, "c")),
                text("commonName", value -> new Fallback("s", value)),
                text("howTo", value -> new Guidance(value, Optional.empty())),
                text("text", value -> new Caution(CautionTopic.SAP, value)),
                text("id", value -> gate(value, "n", "h", "o")),
                text("name", value -> gate("i", value, "h", "o")),
                text("howTo", value -> gate("i", "n", value, "o")),
                text("otherwise", value -> gate("i", "n", "h", value)),
                text("id", value -> index(value, "n", "s", "a", "b", 1, 0, 0)),
                text("name", value -> index("i", value, "s", "a", "b", 1, 0, 0)),
                text("source", value -> index("i", "n", value, "a", "b", 1, 0, 0)),
                text("id", value -> sheet(value.isBlank() ? value : "kebab-case-2", "t", "r", "w", List.of("s"))),
                text("title", value -> sheet("i", value, "r", "w", List.of("s"))),
                text("region", value -> sheet("i", "t", value, "w", List.of("s"))),
                text("why", value -> sheet("i", "t", "r", value, List.of("s"))),
                text("id", value -> Sheets.character(value).states("x", "y").build()));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("texts")
    void a_text_must_say_something(String key, Function<String, Object> make) {
        assertThatCode(() -> make.apply("words")).doesNotThrowAnyException();
        assertRefused(key, () -> make.apply(" "));
    }

    static Stream<Arguments> refusals() {
        return Stream.of(
                Arguments.of("months", (Runnable) () -> trust(1, Set.of(0), Map.of(), Map.of(), Map.of(), Map.of())),
                Arguments.of("month", (Runnable) () -> context(0, Map.of())),
                Arguments.of("month", (Runnable) () -> context(13, Map.of())),
                Arguments.of("records.a", (Runnable) () -> context(1, Map.of("a", -1))),
                Arguments.of("alsoCalled[1]", (Runnable) () -> new TaxonName("s", "", "c", List.of("abele", "Abele "))),
                Arguments.of("minutes", (Runnable) () -> effort(-JUST)),
                Arguments.of("minutes", (Runnable) () -> effort(Double.POSITIVE_INFINITY)),
                Arguments.of("", (Runnable) () -> new StateProfile(Map.of("x", 0.5, "y", 0.4989))),
                Arguments.of("range", (Runnable) () -> new Range(Double.NEGATIVE_INFINITY, 1, 2, 3)),
                Arguments.of("range", (Runnable) () -> new Range(0, 1, 2, Double.POSITIVE_INFINITY)),
                Arguments.of("range", (Runnable) () -> new Range(2, 1, 2, 3)),
                Arguments.of("range", (Runnable) () -> new Range(1, 1, 3, 2)),
                Arguments.of("constant", (Runnable) () -> index("i", "n", "s", "a", "b", 1, Double.NaN, 0)),
                Arguments.of("terms.c", (Runnable) () -> index("i", "n", "s", "a", "b", Double.NaN, 0, 0)),
                Arguments.of("taxa", (Runnable) () -> index("i", "n", "s", "a", "a", 1, 0, 0)),
                Arguments.of(
                        "terms", (Runnable) () -> new DiscriminantIndex("i", "n", "s", "a", "b", List.of(), 0, 0, "r")),
                Arguments.of("parents", (Runnable) RuleLimitsTest::speciesWithParents),
                Arguments.of("sources", (Runnable) () -> sheet("i", "t", "r", "w", List.of())),
                Arguments.of("id", (Runnable) () -> sheet("Not Kebab", "t", "r", "w", List.of("s"))),
                Arguments.of("characters", (Runnable) () -> Sheets.sheet(Sheets.pair())),
                Arguments.of("taxa", (Runnable)
                        () -> Sheets.sheet(List.of(Sheets.taxon("a", 50), Sheets.taxon("a", 50)), leaf("a"))),
                Arguments.of("taxa", (Runnable) () -> Sheets.sheet(List.of(Sheets.taxon("a", 100)), leaf("a"))),
                Arguments.of("gate", (Runnable)
                        () -> sheetWith(List.of(gate("g", "n", "h", "o"), gate("g", "n", "h", "o")), List.of())),
                Arguments.of("indices.i.taxa", (Runnable)
                        () -> sheetWith(List.of(), List.of(index("i", "n", "s", "z", "b", 1, 0, 0)))),
                Arguments.of("indices.i.taxa", (Runnable)
                        () -> sheetWith(List.of(), List.of(index("i", "n", "s", "a", "z", 1, 0, 0)))),
                Arguments.of("indices.i.terms", (Runnable)
                        () -> sheetWith(List.of(), List.of(index("i", "n", "s", "a", "b", 1, 0, 0)))),
                Arguments.of("profiles.a", (Runnable) () -> Sheets.character("c")
                        .states("x", "y")
                        .range("a", 1, 2, 3, 4)
                        .build()),
                Arguments.of("profiles.a", (Runnable) () -> Sheets.character("c")
                        .states("x", "y")
                        .in("a", 1, 0)
                        .numbers(Measure.LENGTH)
                        .build()),
                Arguments.of("profiles.a", (Runnable) () -> Sheets.character("c")
                        .states("x", "z")
                        .in("a", 0.5, 0.5)
                        .states("x", "y")
                        .build()),
                Arguments.of("profiles.a", (Runnable) () -> Sheets.character("c")
                        .numbers(Measure.COUNT)
                        .range("a", 0, 0, 1, 10_001)
                        .build()),
                Arguments.of("wrongYes", (Runnable) () -> new Costs(0, 1)),
                Arguments.of("wrongNo", (Runnable) () -> new Costs(1, 0)),
                Arguments.of("wrongNo", (Runnable) () -> new Costs(1, Double.POSITIVE_INFINITY)));
    }

    @ParameterizedTest(name = "{index} {0}")
    @MethodSource("refusals")
    void other_broken_rules(String key, Runnable make) {
        assertRefused(key, make);
    }

    private static void assertRefused(String key, Runnable make) {
        RefusedException refused = catchThrowableOfType(RefusedException.class, make::run);
        assertThat(refused).as("refusal of " + key).isNotNull();
        assertThat(refused.refusals()).anyMatch(one -> one.key().equals(key));
    }

    private static Arguments within(String key, double least, double most, DoubleFunction<Object> make) {
        return Arguments.of(key, least, most, make);
    }

    private static Arguments text(String key, Function<String, Object> make) {
        return Arguments.of(key, make);
    }

    private static Trust trust(
            double weight,
            Set<Integer> months,
            Map<School, Double> schools,
            Map<LifeStage, Double> stages,
            Map<Material, Double> materials,
            Map<Position, Double> positions) {
        return new Trust(weight, schools, months, stages, materials, positions);
    }

    private static Effort effort(double minutes) {
        return new Effort(minutes, Harm.NONE, List.of(), Sense.SIGHT, false);
    }

    private static Context context(int month, Map<String, Integer> records) {
        return new Context(
                month, LifeStage.MATURE, TreeOrigin.WILD, Set.of(), Optional.empty(), Optional.empty(), records);
    }

    private static Taxon taxon(double abundance, double planted, Map<Habitat, Double> habitat) {
        return new Taxon(
                "a",
                new TaxonName("s", "", "c"),
                Rank.SPECIES,
                Optional.empty(),
                TaxonOrigin.NATIVE,
                Standing.COMMON,
                abundance,
                planted,
                habitat);
    }

    private static void speciesWithParents() {
        new Taxon(
                "a",
                new TaxonName("s", "", "c"),
                Rank.SPECIES,
                Optional.of(new Parents("b", "c")),
                TaxonOrigin.NATIVE,
                Standing.COMMON,
                1,
                1,
                Map.of());
    }

    private static GateItem gate(String id, String name, String howTo, String otherwise) {
        return new GateItem(
                id,
                name,
                Organ.LEAF,
                Zone.HAND,
                howTo,
                otherwise,
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    private static DiscriminantIndex index(
            String id,
            String name,
            String source,
            String positive,
            String negative,
            double coefficient,
            double constant,
            double undecided) {
        return new DiscriminantIndex(
                id,
                name,
                source,
                positive,
                negative,
                List.of(new DiscriminantIndex.Term("c", coefficient)),
                constant,
                undecided,
                "r");
    }

    private static DiagnosticCharacter leaf(String... taxa) {
        Sheets.CharacterBuilder leaf = Sheets.character("leaf").states("x", "y");
        for (String taxon : taxa) {
            leaf.in(taxon, 1, 0);
        }
        return leaf.build();
    }

    private static GroupSheet sheet(String id, String title, String region, String why, List<String> sources) {
        return new GroupSheet(
                id,
                title,
                Optional.empty(),
                region,
                why,
                Sheets.pair(),
                new Fallback("s", "c"),
                FirstLook.SILENT,
                List.of(),
                List.of(leaf("a", "b")),
                List.of(),
                List.of(),
                sources);
    }

    private static GroupSheet sheetWith(List<GateItem> gate, List<DiscriminantIndex> indices) {
        return new GroupSheet(
                "i",
                "t",
                Optional.empty(),
                "r",
                "w",
                Sheets.pair(),
                new Fallback("s", "c"),
                FirstLook.SILENT,
                gate,
                List.of(leaf("a", "b")),
                indices,
                List.of(),
                List.of("s"));
    }
}
