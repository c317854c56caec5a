package org.goldthistle.core.region;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.change.Aspect;
import org.goldthistle.core.change.SheetChange;
import org.goldthistle.core.change.SheetDifference;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Habitat;
import org.goldthistle.core.sheet.Standing;
import org.goldthistle.core.sheet.Taxon;
import org.goldthistle.core.sheet.TaxonOrigin;

/**
 * What is different about a group in another region: how common its taxa are and where, and when its characters can be
 * read. Everything else is the original's, and follows it when it gains a version.
 *
 * @param of id of the original group
 * @param id of the group in the region
 * @param title of the group in the region
 * @param region where the figures hold
 * @param taxa what is different, by taxon id
 * @param months in which a character can be read there, by character id, where they differ
 */
public record RegionOverlay(
        String of,
        String id,
        String title,
        String region,
        Map<String, Occurrence> taxa,
        Map<String, Set<Integer>> months) {

    /** Copies the maps. */
    public RegionOverlay {
        taxa = Collections.unmodifiableMap(new LinkedHashMap<>(taxa));
        months = Collections.unmodifiableMap(new LinkedHashMap<>(months));
    }

    /** How a taxon occurs in the region; what is empty is as in the original. */
    public record Occurrence(
            Optional<Double> abundance,
            Optional<Double> plantedAbundance,
            Optional<Map<Habitat, Double>> habitat,
            Optional<TaxonOrigin> origin,
            Optional<Standing> standing) {
        boolean isNothing() {
            return abundance.isEmpty()
                    && plantedAbundance.isEmpty()
                    && habitat.isEmpty()
                    && origin.isEmpty()
                    && standing.isEmpty();
        }
    }

    /**
     * What makes a regional sheet of its original.
     *
     * @throws RefusedException if they differ in anything that no overlay changes
     */
    public static RegionOverlay between(GroupSheet original, GroupSheet regional) {
        Map<String, Occurrence> taxa = new LinkedHashMap<>();
        for (Taxon there : regional.taxa()) {
            original.taxon(there.id())
                    .map(here -> occurrence(here, there))
                    .filter(one -> !one.isNothing())
                    .ifPresent(one -> taxa.put(there.id(), one));
        }
        Map<String, Set<Integer>> months = new LinkedHashMap<>();
        for (DiagnosticCharacter there : regional.characters()) {
            original.character(there.id())
                    .filter(here -> !here.trust().months().equals(there.trust().months()))
                    .ifPresent(here -> months.put(there.id(), there.trust().months()));
        }
        RegionOverlay overlay =
                new RegionOverlay(original.id(), regional.id(), regional.title(), regional.region(), taxa, months);
        List<SheetChange> more = SheetDifference.between(overlay.over(original), regional);
        if (!more.isEmpty()) {
            SheetChange first = more.get(0);
            throw RefusedException.of(
                    first.part().code() + (first.name().isEmpty() ? "" : " \"" + first.name() + "\""),
                    "another "
                            + (first.aspect() == Aspect.WHOLE
                                    ? "entry"
                                    : first.aspect().code().replace('-', ' '))
                            + " than in the original",
                    "a difference in abundance, origin, standing, habitat or months alone");
        }
        return overlay;
    }

    private static Occurrence occurrence(Taxon here, Taxon there) {
        return new Occurrence(
                ifOther(here.abundance(), there.abundance()),
                ifOther(here.plantedAbundance(), there.plantedAbundance()),
                ifOther(here.habitat(), there.habitat()),
                ifOther(here.origin(), there.origin()),
                ifOther(here.standing(), there.standing()));
    }

    private static <T> Optional<T> ifOther(T here, T there) {
        return here.equals(there) ? Optional.empty() : Optional.of(there);
    }

    /**
     * The sheet of the region.
     *
     * @throws RefusedException if what comes out breaks a rule of sheets
     */
    public GroupSheet over(GroupSheet original) {
        List<Taxon> there = new ArrayList<>();
        for (Taxon taxon : original.taxa()) {
            Occurrence own = taxa.get(taxon.id());
            there.add(own == null ? taxon : placed(taxon, own));
        }
        List<DiagnosticCharacter> characters = new ArrayList<>();
        for (DiagnosticCharacter character : original.characters()) {
            Set<Integer> own = months.get(character.id());
            characters.add(
                    own == null
                            ? character
                            : character.withTrust(character.trust().withMonths(own)));
        }
        return new GroupSheet(
                id,
                title,
                Optional.empty(),
                region,
                original.why(),
                there,
                original.fallback(),
                original.firstLook(),
                original.gate(),
                characters,
                original.indices(),
                original.cautions(),
                original.sources());
    }

    private static Taxon placed(Taxon taxon, Occurrence own) {
        return new Taxon(
                taxon.id(),
                taxon.name(),
                taxon.rank(),
                taxon.parents(),
                own.origin().orElse(taxon.origin()),
                own.standing().orElse(taxon.standing()),
                own.abundance().orElse(taxon.abundance()),
                own.plantedAbundance().orElse(taxon.plantedAbundance()),
                own.habitat().orElse(taxon.habitat()));
    }
}
