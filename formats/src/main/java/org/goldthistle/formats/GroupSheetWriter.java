package org.goldthistle.formats;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.util.DefaultIndenter;
import com.fasterxml.jackson.core.util.DefaultPrettyPrinter;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.goldthistle.core.Coded;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.DiscriminantIndex;
import org.goldthistle.core.sheet.Drawing;
import org.goldthistle.core.sheet.GateItem;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Habitat;
import org.goldthistle.core.sheet.LifeStage;
import org.goldthistle.core.sheet.Material;
import org.goldthistle.core.sheet.NumberScale;
import org.goldthistle.core.sheet.Parents;
import org.goldthistle.core.sheet.Position;
import org.goldthistle.core.sheet.Profile;
import org.goldthistle.core.sheet.Range;
import org.goldthistle.core.sheet.RangeProfile;
import org.goldthistle.core.sheet.School;
import org.goldthistle.core.sheet.State;
import org.goldthistle.core.sheet.StateProfile;
import org.goldthistle.core.sheet.StateScale;
import org.goldthistle.core.sheet.Taxon;
import org.goldthistle.formats.plain.SheetReader;

/**
 * Writes a group sheet as JSON, its keys in the order in which {@code docs/group-sheet.md} explains them. What is
 * written reads as an equal sheet, and equal sheets are written alike.
 */
public final class GroupSheetWriter {
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;
    private static final double LARGEST_WHOLE = 1e15; // beyond it a double is no exact whole number to a reader
    private static final DefaultPrettyPrinter PRINTER = new DefaultPrettyPrinter()
            .withObjectIndenter(new DefaultIndenter("  ", "\n"))
            .withArrayIndenter(new DefaultIndenter("  ", "\n"));

    private GroupSheetWriter() {}

    /** The sheet as the text of a file. */
    public static String text(GroupSheet sheet) {
        try {
            return JsonFile.MAPPER.writer(PRINTER).writeValueAsString(tree(sheet)) + "\n";
        } catch (JsonProcessingException broken) {
            throw new IllegalStateException("a tree of JSON can be written", broken);
        }
    }

    /** The sheet as a tree. */
    public static ObjectNode tree(GroupSheet sheet) {
        ObjectNode top = JSON.objectNode();
        top.put("format", GroupSheetJson.FORMAT);
        top.put("id", sheet.id());
        top.put("title", sheet.title());
        sheet.shortName().ifPresent(brief -> top.put("short", brief));
        top.put("region", sheet.region());
        top.put("why", sheet.why());
        sheet.taxa().forEach(taxon -> top.withArray("taxa").add(taxon(taxon)));
        top.putObject("fallback")
                .put("scientificName", sheet.fallback().scientificName())
                .put("commonName", sheet.fallback().commonName());
        ObjectNode firstLook = top.putObject("firstLook");
        sheet.firstLook().shown().forEach((trait, answers) -> answers.forEach(firstLook.putArray(trait.code())::add));
        ArrayNode gate = top.putArray("gate");
        sheet.gate().forEach(item -> gate.add(gateItem(item)));
        ArrayNode characters = top.putArray("characters");
        sheet.characters().forEach(character -> characters.add(character(character)));
        ArrayNode indices = top.putArray("indices");
        sheet.indices().forEach(index -> indices.add(index(index)));
        ArrayNode cautions = top.putArray("cautions");
        sheet.cautions()
                .forEach(caution -> cautions.addObject()
                        .put("topic", caution.topic().code())
                        .put("text", caution.text()));
        ArrayNode sources = top.putArray("sources");
        sheet.sources().forEach(sources::add);
        return top;
    }

    private static ObjectNode taxon(Taxon taxon) {
        ObjectNode node = JSON.objectNode();
        node.put("id", taxon.id());
        node.put("scientificName", taxon.name().scientificName());
        node.put("authorship", taxon.name().authorship());
        node.put("commonName", taxon.name().commonName());
        if (!taxon.name().alsoCalled().isEmpty()) {
            ArrayNode others = node.putArray("alsoCalled");
            taxon.name().alsoCalled().forEach(others::add);
        }
        node.put("rank", taxon.rank().code());
        if (taxon.parents().isPresent()) {
            Parents parents = taxon.parents().get();
            node.putArray("parents").add(parents.first()).add(parents.second());
        }
        node.put("origin", taxon.origin().code());
        node.put("standing", taxon.standing().code());
        number(node, "abundance", taxon.abundance());
        number(node, "plantedAbundance", taxon.plantedAbundance());
        byCode(node, "habitat", Habitat.values(), taxon.habitat());
        return node;
    }

    private static ObjectNode gateItem(GateItem item) {
        ObjectNode node = JSON.objectNode();
        node.put("id", item.id());
        node.put("name", item.name());
        node.put("organ", item.organ().code());
        node.put("zone", item.zone().code());
        node.put("howTo", item.howTo());
        node.put("otherwise", item.otherwise());
        item.otherwiseGroup().ifPresent(group -> node.put("otherwiseGroup", group));
        item.drawing().ifPresent(drawing -> node.set("draw", drawing(drawing)));
        item.otherwiseDrawing().ifPresent(drawing -> node.set("drawOtherwise", drawing(drawing)));
        return node;
    }

    /** One character as it stands in a sheet. */
    public static ObjectNode character(DiagnosticCharacter character) {
        ObjectNode node = JSON.objectNode();
        node.put("id", character.id());
        node.put("name", character.name());
        character.shortName().ifPresent(brief -> node.put("short", brief));
        node.put("organ", character.organ().code());
        node.put("zone", character.zone().code());
        node.put("kind", character.scale().kind());
        if (character.scale() instanceof StateScale scale) {
            ArrayNode states = node.putArray("states");
            scale.states().forEach(state -> states.add(state(state)));
        } else if (character.scale() instanceof NumberScale number) {
            SheetReader.unit(number.measure()).ifPresent(unit -> node.put("unit", unit));
            number.measured().ifPresent(taken -> node.set("measured", MeasuredJson.write(taken)));
        }
        character.guidance().figure().ifPresent(figure -> node.set("draw", drawing(figure)));
        ObjectNode profiles = node.putObject("profiles");
        character.profiles().forEach((taxon, profile) -> profiles.set(taxon, profile(profile, character)));
        number(node, "weight", character.trust().weight());
        byCode(node, "schools", School.values(), character.trust().schools());
        ArrayNode months = node.putArray("months");
        character.trust().months().stream().sorted().forEach(months::add);
        byCode(node, "stages", LifeStage.values(), character.trust().stages());
        if (!character.bearing().shares().isEmpty()) {
            byCode(node, "borne", LifeStage.values(), character.bearing().shares());
        }
        byCode(node, "materials", Material.values(), character.trust().materials());
        byCode(node, "positions", Position.values(), character.trust().positions());
        node.put("replicates", character.replication().replicates());
        number(node, "likeness", character.replication().likeness());
        putOrNull(node, "cluster", character.cluster());
        number(node, "minutes", character.effort().minutes());
        node.put("harm", character.effort().harm().code());
        ArrayNode hazards = node.putArray("hazard");
        character.effort().hazards().forEach(topic -> hazards.add(topic.code()));
        node.put("sense", character.effort().sense().code());
        if (character.effort().redGreen()) {
            node.put("redGreen", true);
        }
        node.put("absence", character.absence().code());
        node.put("howTo", character.guidance().howTo());
        putOrNull(node, "pitfall", character.guidance().pitfall());
        return node;
    }

    private static void putOrNull(ObjectNode node, String key, Optional<String> text) {
        text.ifPresentOrElse(there -> node.put(key, there), () -> node.putNull(key));
    }

    private static ObjectNode state(State state) {
        ObjectNode node = JSON.objectNode();
        node.put("id", state.id());
        node.put("name", state.name());
        state.drawing().ifPresent(drawing -> node.set("draw", drawing(drawing)));
        return node;
    }

    private static ObjectNode drawing(Drawing drawing) {
        ObjectNode node = JSON.objectNode();
        node.put("part", drawing.part());
        drawing.parameters().forEach((name, value) -> {
            if (value instanceof Number figure) {
                number(node, name, figure.doubleValue());
            } else {
                node.set(name, JsonFile.MAPPER.valueToTree(value));
            }
        });
        return node;
    }

    private static ObjectNode profile(Profile profile, DiagnosticCharacter character) {
        ObjectNode node = JSON.objectNode();
        if (profile instanceof StateProfile states && character.scale() instanceof StateScale scale) {
            for (State state : scale.states()) {
                if (states.frequencies().containsKey(state.id())) {
                    number(node, state.id(), states.frequency(state.id()));
                }
            }
        } else {
            Range range = ((RangeProfile) profile).range();
            ArrayNode limits = node.putArray("range");
            for (double limit :
                    List.of(range.rarelyLow(), range.usuallyLow(), range.usuallyHigh(), range.rarelyHigh())) {
                if (isWhole(limit)) {
                    limits.add((long) limit);
                } else {
                    limits.add(limit);
                }
            }
        }
        return node;
    }

    private static ObjectNode index(DiscriminantIndex index) {
        ObjectNode node = JSON.objectNode();
        node.put("id", index.id());
        node.put("name", index.name());
        node.put("source", index.source());
        node.putArray("taxa").add(index.positive()).add(index.negative());
        ArrayNode terms = node.putArray("terms");
        for (DiscriminantIndex.Term term : index.terms()) {
            ObjectNode one = terms.addObject();
            one.put("character", term.character());
            number(one, "coefficient", term.coefficient());
        }
        number(node, "constant", index.constant());
        number(node, "undecided", index.undecided());
        node.put("reading", index.reading());
        return node;
    }

    private static <K extends Coded> void byCode(ObjectNode node, String key, K[] order, Map<K, Double> numbers) {
        ObjectNode inner = node.putObject(key);
        for (K code : order) {
            if (numbers.containsKey(code)) {
                number(inner, code.code(), numbers.get(code));
            }
        }
    }

    /** A whole number is written without a point, as people write it. */
    private static void number(ObjectNode node, String key, double value) {
        if (isWhole(value)) {
            node.put(key, (long) value);
        } else {
            node.put(key, value);
        }
    }

    private static boolean isWhole(double value) {
        return value == Math.rint(value) && Math.abs(value) < LARGEST_WHOLE;
    }
}
