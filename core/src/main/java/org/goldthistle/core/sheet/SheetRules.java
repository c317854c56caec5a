package org.goldthistle.core.sheet;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import org.goldthistle.core.Refusals;

/** The rules that hold between the parts of a sheet; what concerns one part alone is checked by that part. */
final class SheetRules {
    private static final int MOST_TAXA = 64;
    private static final int MOST_CHARACTERS = 256;
    private static final double ABUNDANCE_TOTAL = 100;
    private static final double ABUNDANCE_TOLERANCE = 0.5;

    private final List<Taxon> taxa;
    private final List<DiagnosticCharacter> characters;
    private final List<GateItem> gate;
    private final List<DiscriminantIndex> indices;
    private final Set<String> taxonIds = new HashSet<>();

    SheetRules(
            List<Taxon> taxa,
            List<DiagnosticCharacter> characters,
            List<GateItem> gate,
            List<DiscriminantIndex> indices) {
        this.taxa = taxa;
        this.characters = characters;
        this.gate = gate;
        this.indices = indices;
    }

    void check(Refusals refusals) {
        requireTaxa(refusals);
        requireParents(refusals);
        requireCharacters(refusals);
        requireIndices(refusals);
        Set<String> gateIds = new HashSet<>();
        for (GateItem item : gate) {
            refusals.require(gateIds.add(item.id()), "gate", "\"" + item.id() + "\" twice", "each id once");
        }
    }

    private void requireTaxa(Refusals refusals) {
        refusals.require(
                taxa.size() >= 2 && taxa.size() <= MOST_TAXA,
                "taxa",
                taxa.size() + " of them",
                "2 to " + MOST_TAXA + " taxa");
        for (Taxon taxon : taxa) {
            refusals.require(taxonIds.add(taxon.id()), "taxa", "\"" + taxon.id() + "\" twice", "each id once");
        }
        requireTotal(refusals, "taxa.abundance", Taxon::abundance);
        requireTotal(refusals, "taxa.plantedAbundance", Taxon::plantedAbundance);
    }

    private void requireTotal(Refusals refusals, String key, ToDoubleFunction<Taxon> abundance) {
        double total = taxa.stream().mapToDouble(abundance).sum();
        refusals.require(
                Math.abs(total - ABUNDANCE_TOTAL) <= ABUNDANCE_TOLERANCE,
                key,
                "a total of " + total,
                "figures of all taxa that add up to 100");
    }

    private void requireParents(Refusals refusals) {
        for (Taxon taxon : taxa) {
            String key = "taxa." + taxon.id() + ".parents";
            if (taxon.parents().isPresent()) {
                Parents parents = taxon.parents().get();
                requireTaxon(refusals, key, parents.first());
                requireTaxon(refusals, key, parents.second());
                refusals.require(
                        !descendsFrom(parents.first(), taxon.id(), taxa.size())
                                && !descendsFrom(parents.second(), taxon.id(), taxa.size()),
                        key,
                        "a hybrid that descends from itself",
                        "parents that do not descend from their child");
            }
        }
    }

    private boolean descendsFrom(String taxonId, String ancestorId, int generationsLeft) {
        if (taxonId.equals(ancestorId)) {
            return true;
        }
        Optional<Parents> parents = taxa.stream()
                .filter(taxon -> taxon.id().equals(taxonId))
                .findFirst()
                .flatMap(Taxon::parents);
        return generationsLeft > 0
                && parents.isPresent()
                && (descendsFrom(parents.get().first(), ancestorId, generationsLeft - 1)
                        || descendsFrom(parents.get().second(), ancestorId, generationsLeft - 1));
    }

    private void requireCharacters(Refusals refusals) {
        refusals.require(!characters.isEmpty(), "characters", "none", "at least one character");
        refusals.require(
                characters.size() <= MOST_CHARACTERS,
                "characters",
                characters.size() + " of them",
                MOST_CHARACTERS + " characters at most");
        Set<String> ids = new HashSet<>();
        for (DiagnosticCharacter character : characters) {
            refusals.require(ids.add(character.id()), "characters", "\"" + character.id() + "\" twice", "each id once");
            Map<String, Profile> profiles = character.profiles();
            String key = "characters." + character.id() + ".profiles";
            for (String taxonId : profiles.keySet()) {
                requireTaxon(refusals, key, taxonId);
            }
            for (Taxon taxon : taxa) {
                refusals.require(
                        taxon.isHybrid() || profiles.containsKey(taxon.id()),
                        key,
                        "no profile of \"" + taxon.id() + "\"",
                        "a profile of every taxon that is not a hybrid");
            }
        }
    }

    private void requireIndices(Refusals refusals) {
        for (DiscriminantIndex index : indices) {
            String key = "indices." + index.id();
            requireTaxon(refusals, key + ".taxa", index.positive());
            requireTaxon(refusals, key + ".taxa", index.negative());
            for (DiscriminantIndex.Term term : index.terms()) {
                boolean numeric = characters.stream()
                        .anyMatch(character ->
                                character.id().equals(term.character()) && character.scale() instanceof NumberScale);
                refusals.require(numeric, key + ".terms", "\"" + term.character() + "\"", "ids of numeric characters");
            }
        }
    }

    private void requireTaxon(Refusals refusals, String key, String taxonId) {
        refusals.require(taxonIds.contains(taxonId), key, "\"" + taxonId + "\"", "ids of this sheet's taxa");
    }
}
