package org.goldthistle.batch;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.PrintWriter;
import java.util.List;
import java.util.Optional;
import org.goldthistle.core.balance.Balance;
import org.goldthistle.core.balance.WeighedReading;
import org.goldthistle.core.hybrid.Ancestry;
import org.goldthistle.core.plan.NextCheck;
import org.goldthistle.core.sheet.Taxon;
import org.goldthistle.core.verdict.Assessment;
import org.goldthistle.core.verdict.Confirmation;
import org.goldthistle.core.verdict.Need;
import org.goldthistle.core.verdict.Reason;
import org.goldthistle.core.verdict.Rules;

/** One line of JSON a specimen, figures with all their digits. */
final class JsonLines implements SpecimenLines {
    private static final JsonMapper MAPPER = new JsonMapper();

    private final PrintWriter out;
    private final boolean featuresAlone;

    JsonLines(PrintWriter out, boolean featuresAlone) {
        this.out = out;
        this.featuresAlone = featuresAlone;
    }

    @Override
    public void add(String id, Assessment assessment) {
        ObjectNode line = MAPPER.createObjectNode();
        line.put("id", id);
        line.put("tier", assessment.tier().code());
        addBalance(line, featuresAlone ? assessment.featuresAlone() : assessment.withSurroundings());
        ObjectNode weights = line.putObject("weights");
        assessment.readings().forEach(reading -> weights.put(reading.character().id(), reading.weight()));
        addRules(line.putObject("rules"), assessment.rules());
        List<Reason> reasons = assessment.reasons();
        line.put("verdict", assessment.verdict().code());
        line.put("contested", !reasons.isEmpty());
        addTexts(line.putArray("reasons"), reasons.stream().map(Reason::code).toList());
        addTexts(
                line.putArray("stillNeeded"),
                assessment.stillNeeded().stream().map(Need::code).toList());
        line.put("recommended", assessment.recommended(SEED).code());
        Confirmation confirmation = assessment.confirmation();
        addTexts(line.putArray("confirming"), ids(confirmation.confirming()));
        addTexts(line.putArray("pivotal"), ids(confirmation.pivotal()));
        addTexts(line.putArray("contrary"), ids(confirmation.contrary()));
        ArrayNode next = line.putArray("next");
        assessment.offered().forEach(check -> addCheck(next.addObject(), check));
        Optional<Ancestry> ancestry = assessment.ancestries().stream().findFirst();
        ancestry.ifPresentOrElse(
                found -> addAncestry(line.putObject("ancestry"), found), () -> line.putNull("ancestry"));
        line.put("surprise", assessment.surprise());
        write(line);
    }

    @Override
    public void addBroken(String id, String error) {
        write(MAPPER.createObjectNode().put("id", id).put("error", error));
    }

    private static void addBalance(ObjectNode line, Balance balance) {
        List<Taxon> taxa = balance.model().sheet().taxa();
        line.put("lead", taxa.get(balance.lead()).id());
        line.put("rival", taxa.get(balance.rival()).id());
        ObjectNode posterior = line.putObject("posterior");
        for (int k = 0; k < taxa.size(); k++) {
            posterior.put(taxa.get(k).id(), balance.posterior(k));
        }
        posterior.put("none-of-these", balance.noneOfThese());
        ObjectNode points = line.putObject("points");
        for (int j = 0; j < balance.readings().size(); j++) {
            points.put(balance.readings().get(j).character().id(), balance.points(j, balance.lead(), balance.rival()));
        }
    }

    private static void addRules(ObjectNode node, Rules rules) {
        node.put("balance", rules.balance().map(Taxon::id).orElse(null));
        node.put("giveaway", rules.giveaway().map(Taxon::id).orElse(null));
        node.put("quorum", rules.quorum().map(Taxon::id).orElse(null));
    }

    private static void addCheck(ObjectNode node, NextCheck check) {
        node.put("character", check.character().id());
        node.put("gain", check.gain());
        node.put("settle", check.chanceToSettle());
        node.put("cost", check.cost());
    }

    private static void addAncestry(ObjectNode node, Ancestry ancestry) {
        node.put("mean", ancestry.mean());
        node.put("low", ancestry.low());
        node.put("high", ancestry.high());
        node.put("first", ancestry.pureFirst());
        node.put("second", ancestry.pureSecond());
        node.put("index", ancestry.index().orElse(null));
        node.put("mosaic", ancestry.mosaic().orElse(null));
    }

    private static void addTexts(ArrayNode array, List<String> texts) {
        texts.forEach(array::add);
    }

    private static List<String> ids(List<WeighedReading> readings) {
        return readings.stream().map(reading -> reading.character().id()).toList();
    }

    private void write(ObjectNode line) {
        try {
            out.println(MAPPER.writeValueAsString(line));
        } catch (JsonProcessingException impossible) {
            throw new IllegalStateException(impossible);
        }
    }
}
