package org.goldthistle.formats;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.goldthistle.core.Refusal;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.region.RegionOverlay;
import org.goldthistle.core.region.RegionOverlay.Occurrence;
import org.goldthistle.core.sheet.Habitat;
import org.goldthistle.core.sheet.Standing;
import org.goldthistle.core.sheet.TaxonOrigin;
import org.goldthistle.formats.plain.Fields;

/** What is different about a group in another region, as JSON. */
public final class RegionOverlayJson {
    private static final String FORMAT = "goldthistle-region/1";

    private RegionOverlayJson() {}

    /** The overlay as text. */
    public static String text(RegionOverlay overlay) {
        ObjectNode top = JsonFile.MAPPER.createObjectNode();
        top.put("format", FORMAT);
        top.put("of", overlay.of());
        top.put("id", overlay.id());
        top.put("title", overlay.title());
        top.put("region", overlay.region());
        ObjectNode taxa = top.putObject("taxa");
        overlay.taxa().forEach((id, own) -> {
            ObjectNode one = taxa.putObject(id);
            own.abundance().ifPresent(value -> one.put("abundance", value));
            own.plantedAbundance().ifPresent(value -> one.put("plantedAbundance", value));
            own.habitat().ifPresent(multipliers -> {
                ObjectNode habitat = one.putObject("habitat");
                multipliers.forEach((key, value) -> habitat.put(key.code(), value));
            });
            own.origin().ifPresent(origin -> one.put("origin", origin.code()));
            own.standing().ifPresent(standing -> one.put("standing", standing.code()));
        });
        ObjectNode characters = top.putObject("characters");
        overlay.months()
                .forEach((id, months) -> months.stream()
                        .sorted()
                        .forEach(characters.putObject(id).putArray("months")::add));
        return top.toString();
    }

    /** @throws RefusedException with every place where the text breaks the format */
    public static RegionOverlay read(String text) {
        List<Refusal> refusals = new ArrayList<>();
        Fields fields = Fields.top(JsonFile.plain(JsonFile.parse(text)), refusals);
        if (!fields.text("format").equals(FORMAT)) {
            fields.refuses("format", "\"" + fields.text("format") + "\"", "\"" + FORMAT + "\"");
        }
        String of = fields.text("of");
        String id = fields.text("id");
        String title = fields.text("title");
        String region = fields.text("region");
        Map<String, Occurrence> taxa = new LinkedHashMap<>();
        fields.objectsByKey("taxa").forEach((taxon, own) -> taxa.put(taxon, occurrence(own)));
        Map<String, Set<Integer>> months = new LinkedHashMap<>();
        fields.objectsByKey("characters")
                .forEach((character, own) -> months.put(character, new HashSet<>(own.integers("months"))));
        if (!refusals.isEmpty()) {
            throw new RefusedException(refusals);
        }
        return new RegionOverlay(of, id, title, region, taxa, months);
    }

    private static Occurrence occurrence(Fields own) {
        return new Occurrence(
                own.has("abundance") ? Optional.of(own.number("abundance")) : Optional.empty(),
                own.has("plantedAbundance") ? Optional.of(own.number("plantedAbundance")) : Optional.empty(),
                own.has("habitat") ? Optional.of(own.numbersByCode("habitat", Habitat.values())) : Optional.empty(),
                own.optionalCoded("origin", TaxonOrigin.values()),
                own.optionalCoded("standing", Standing.values()));
    }
}
