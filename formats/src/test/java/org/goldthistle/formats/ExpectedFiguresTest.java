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
import org.goldthistle.core.balance.Balance;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.balance.WeighedReading;
import org.goldthistle.core.balance.Weighing;
import org.goldthistle.core.reading.Evidence;
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
    void balance_with_surroundings(Expected expected) {
        assertBalance(expected.figures(), expected.weighing().withSurroundings());
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("expected")
    void balance_that_decides(Expected expected) {
        boolean surroundingsDecide = expected.figures().get("tier").asText().equals("tally");
        Weighing weighing = expected.weighing();

        Balance deciding = surroundingsDecide ? weighing.withSurroundings() : weighing.featuresAlone();

        assertBalance(expected.figures().get("deciding"), deciding);
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("expected")
    void weights(Expected expected) {
        List<Executable> claims = new ArrayList<>();
        for (WeighedReading reading : expected.weighing().readings()) {
            JsonNode weight =
                    expected.figures().get("weights").path(reading.character().id());
            claims.add(() -> assertEquals(
                    weight.asDouble(Double.NaN),
                    reading.weight(),
                    TOLERANCE,
                    reading.character().id()));
        }

        assertAll(claims);
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
        Weighing weighing() {
            String group = figures.get("group").asText();
            GroupModel model = MODELS.computeIfAbsent(
                    group, id -> GroupModel.of(GroupSheetJson.read(BuiltInLibrary.sheetText(id))));
            Specimen specimen = SpecimenJson.readAll(BuiltInLibrary.specimensText(group)).stream()
                    .filter(one -> one.id().equals(figures.get("id").asText()))
                    .findFirst()
                    .orElseThrow();
            return Weighing.of(
                    model,
                    Evidence.of(model.sheet(), specimen.context(), specimen.observations(), specimen.gate()),
                    Optional.empty());
        }

        @Override
        public String toString() {
            return figures.get("id").asText() + " at " + tier;
        }
    }
}
