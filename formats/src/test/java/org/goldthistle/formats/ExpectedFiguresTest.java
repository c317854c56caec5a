package org.goldthistle.formats;

import static org.junit.jupiter.api.Assertions.assertAll;
import static org.junit.jupiter.api.Assertions.assertEquals;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.goldthistle.core.Coded;
import org.goldthistle.core.balance.Balance;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.balance.WeighedReading;
import org.goldthistle.core.hybrid.Ancestry;
import org.goldthistle.core.plan.NextCheck;
import org.goldthistle.core.reading.Evidence;
import org.goldthistle.core.sheet.Harm;
import org.goldthistle.core.sheet.Taxon;
import org.goldthistle.core.verdict.Assessment;
import org.goldthistle.core.verdict.CallRecord;
import org.goldthistle.core.verdict.Confirmation;
import org.goldthistle.core.verdict.Reason;
import org.goldthistle.core.verdict.Terms;
import org.goldthistle.core.verdict.Tier;
import org.junit.jupiter.api.function.Executable;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The figures of all worked specimens, from two independent implementations of the model page. */
class ExpectedFiguresTest {
    private static final double TOLERANCE = 1e-9; // the model page promises nine digits

    private static final Map<String, GroupModel> MODELS = new HashMap<>();

    static Stream<Expected> expected() throws IOException {
        List<Expected> all = new ArrayList<>();
        for (String tier : List.of("tally", "record", "control")) {
            try (var in = ExpectedFiguresTest.class.getResourceAsStream("/expected/" + tier + ".jsonl")) {
                for (String line : new String(in.readAllBytes(), StandardCharsets.UTF_8).split("\n")) {
                    all.add(new Expected(tier, JsonFile.parse(line)));
                }
            }
        }
        return all.stream();
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("expected")
    void balances_and_weights(Expected expected) {
        Assessment assessment = expected.assessment();

        assertEquals(expected.figures().get("tier").asText(), assessment.tier().code());
        assertBalance(expected.figures(), assessment.withSurroundings());
        assertBalance(expected.figures().get("deciding"), assessment.deciding());
        assertFigures(expected.figures().get("weights"), weights(assessment));
        assertFigures(expected.figures().at("/deciding/organs"), organs(assessment));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("expected")
    void verdict_with_its_reasons(Expected expected) {
        Assessment assessment = expected.assessment();
        JsonNode figures = expected.figures();

        assertEquals(figures.get("verdict").asText(), assessment.verdict().code());
        assertEquals(
                texts(figures.get("reasons")),
                assessment.reasons().stream().map(Reason::code).toList());
        assertEquals(figures.get("contested").asBoolean(), !assessment.reasons().isEmpty());
        assertEquals(
                figures.at("/rules/balance").asText(), idOf(assessment.rules().balance()));
        assertEquals(
                figures.at("/rules/giveaway").asText(), idOf(assessment.rules().giveaway()));
        assertEquals(
                figures.at("/rules/quorum").asText(), idOf(assessment.rules().quorum()));
        assertEquals(figures.get("surprise").asDouble(), assessment.surprise(), TOLERANCE);
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("expected")
    void features_that_confirm(Expected expected) {
        Confirmation confirmation = expected.assessment().confirmation();

        assertEquals(texts(expected.figures().get("confirming")), ids(confirmation.confirming()));
        assertEquals(texts(expected.figures().get("pivotal")), ids(confirmation.pivotal()));
        assertEquals(texts(expected.figures().get("contrary")), ids(confirmation.contrary()));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("expected")
    void next_checks(Expected expected) {
        List<NextCheck> offered = expected.assessment(Harm.WOUND).offered(); // as the file says
        JsonNode next = expected.figures().get("next");

        assertEquals(
                next.findValuesAsText("character"),
                offered.stream().map(check -> check.character().id()).toList());
        for (int i = 0; i < offered.size(); i++) {
            assertEquals(next.get(i).get("gain").asDouble(), offered.get(i).gain(), TOLERANCE);
            assertEquals(next.get(i).get("settle").asDouble(), offered.get(i).chanceToSettle(), TOLERANCE);
            assertEquals(next.get(i).get("cost").asDouble(), offered.get(i).cost(), TOLERANCE);
        }
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("expected")
    void ancestry(Expected expected) {
        List<Ancestry> ancestries = expected.assessment().ancestries();
        JsonNode figures = expected.figures().get("ancestry");

        assertEquals(figures.isNull(), ancestries.isEmpty());
        for (Ancestry ancestry : ancestries) {
            assertEquals(figures.get("mean").asDouble(), ancestry.mean(), TOLERANCE);
            assertEquals(figures.get("low").asDouble(), ancestry.low(), TOLERANCE);
            assertEquals(figures.get("high").asDouble(), ancestry.high(), TOLERANCE);
            assertEquals(figures.get("first").asDouble(), ancestry.pureFirst(), TOLERANCE);
            assertEquals(figures.get("second").asDouble(), ancestry.pureSecond(), TOLERANCE);
            assertOptional(figures.get("index"), ancestry.index());
            assertOptional(figures.get("mosaic"), ancestry.mosaic());
        }
    }

    private static void assertOptional(JsonNode figure, Optional<Double> value) {
        assertEquals(figure.isNull(), value.isEmpty());
        value.ifPresent(present -> assertEquals(figure.asDouble(), present, TOLERANCE));
    }

    private static void assertFigures(JsonNode figures, Map<String, Double> values) {
        assertEquals(figures.size(), values.size());
        values.forEach((key, value) -> assertEquals(figures.path(key).asDouble(Double.NaN), value, TOLERANCE, key));
    }

    private static Map<String, Double> weights(Assessment assessment) {
        Map<String, Double> weights = new HashMap<>();
        assessment.readings().forEach(reading -> weights.put(reading.character().id(), reading.weight()));
        return weights;
    }

    private static Map<String, Double> organs(Assessment assessment) {
        Map<String, Double> organs = new HashMap<>();
        assessment.organPoints().forEach((organ, points) -> organs.put(organ.code(), points));
        return organs;
    }

    private static List<String> texts(JsonNode list) {
        List<String> texts = new ArrayList<>();
        list.forEach(text -> texts.add(text.asText()));
        return texts;
    }

    private static List<String> ids(List<WeighedReading> readings) {
        return readings.stream().map(reading -> reading.character().id()).toList();
    }

    private static String idOf(Optional<Taxon> taxon) {
        return taxon.map(Taxon::id).orElse("null"); // as the file has it
    }

    private static void assertBalance(JsonNode figures, Balance balance) {
        var taxa = balance.model().sheet().taxa();
        List<Executable> claims = new ArrayList<>();
        claims.add(() -> assertEquals(
                figures.get("lead").asText(), taxa.get(balance.lead()).id()));
        claims.add(() -> assertEquals(
                figures.get("rival").asText(), taxa.get(balance.rival()).id()));
        JsonNode posterior = figures.get("posterior");
        for (int k = 0; k < taxa.size(); k++) {
            int taxon = k;
            claims.add(() ->
                    assertEquals(posterior.get(taxa.get(taxon).id()).asDouble(), balance.posterior(taxon), TOLERANCE));
        }
        claims.add(() -> assertEquals(posterior.get("none-of-these").asDouble(), balance.noneOfThese(), TOLERANCE));
        claims.add(() ->
                assertEquals(figures.get("points").size(), balance.readings().size()));
        for (int j = 0; j < balance.readings().size(); j++) {
            int reading = j;
            String character = balance.readings().get(j).character().id();
            claims.add(() -> assertEquals(
                    figures.get("points").path(character).asDouble(Double.NaN),
                    balance.points(reading, balance.lead(), balance.rival()),
                    TOLERANCE,
                    character));
        }
        assertAll(claims);
    }

    record Expected(String tier, JsonNode figures) {
        /** As a survey that says nothing has it. */
        Assessment assessment() {
            return assessment(Harm.SAMPLE);
        }

        Assessment assessment(Harm mostHarm) {
            String group = figures.get("group").asText();
            GroupModel model = MODELS.computeIfAbsent(
                    group, id -> GroupModel.of(GroupSheetJson.read(BuiltInLibrary.sheetText(id))));
            Specimen specimen = SpecimenJson.readAll(BuiltInLibrary.specimensText(group)).stream()
                    .filter(one -> one.id().equals(figures.get("id").asText()))
                    .findFirst()
                    .orElseThrow();
            return Assessment.of(
                    model,
                    Evidence.of(model.sheet(), specimen.context(), specimen.observations(), specimen.gate()),
                    new Terms(
                            Coded.find(Tier.values(), tier).orElseThrow(),
                            Optional.empty(),
                            mostHarm,
                            Optional.empty()),
                    CallRecord.EMPTY);
        }

        @Override
        public String toString() {
            return figures.get("id").asText() + " at " + tier;
        }
    }
}
