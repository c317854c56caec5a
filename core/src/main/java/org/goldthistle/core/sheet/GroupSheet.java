package org.goldthistle.core.sheet;

import java.util.List;
import java.util.Optional;
import org.goldthistle.core.KebabCase;
import org.goldthistle.core.Refusals;

/**
 * One confusable group: the taxa that get mixed up and the characters that separate them.
 *
 * @param id kebab-case, unique in the library
 * @param title what a crew member would call the group
 * @param shortName the same in at most 22 letters, for quick entry and tables, such as "birches"; empty: the words of the id
 * @param region where the figures hold
 * @param why these get confused and what is at stake
 * @param taxa two or more; ties go to the earlier
 * @param fallback what to record when they cannot be separated
 * @param firstLook what anybody sees before knowing the group
 * @param gate what every member shares, looked at first; may be empty
 * @param characters at least one
 * @param indices published functions; may be empty
 * @param cautions may be empty
 * @param sources literature, one line each; at least one
 */
public record GroupSheet(
        String id,
        String title,
        Optional<String> shortName,
        String region,
        String why,
        List<Taxon> taxa,
        Fallback fallback,
        FirstLook firstLook,
        List<GateItem> gate,
        List<DiagnosticCharacter> characters,
        List<DiscriminantIndex> indices,
        List<Caution> cautions,
        List<String> sources) {

    /** @throws org.goldthistle.core.RefusedException with every rule that the sheet breaks */
    public GroupSheet {
        taxa = List.copyOf(taxa);
        gate = List.copyOf(gate);
        characters = List.copyOf(characters);
        indices = List.copyOf(indices);
        cautions = List.copyOf(cautions);
        sources = List.copyOf(sources);
        var refusals = new Refusals();
        refusals.require(KebabCase.is(id), "id", id, "lower-case words joined by hyphens");
        refusals.requireText(title, "title");
        DiagnosticCharacter.requireShort(shortName, refusals);
        refusals.requireText(region, "region");
        refusals.requireText(why, "why");
        refusals.require(!sources.isEmpty(), "sources", "none", "at least one source");
        new SheetRules(taxa, characters, gate, indices).check(refusals);
        refusals.throwIfAny();
    }

    /** The same with other characters. */
    public GroupSheet withCharacters(List<DiagnosticCharacter> others) {
        return new GroupSheet(
                id, title, shortName, region, why, taxa, fallback, firstLook, gate, others, indices, cautions, sources);
    }

    /** What a crew calls the group in a list: its short name, or the words of its id. */
    public String brief() {
        return shortName.orElse(id.replace('-', ' '));
    }

    /** The place of a taxon in the sheet's order, or -1 if the sheet has no such taxon. */
    public int taxonIndex(String taxonId) {
        for (int i = 0; i < taxa.size(); i++) {
            if (taxa.get(i).id().equals(taxonId)) {
                return i;
            }
        }
        return -1;
    }

    /** The taxon of that id, if the sheet has it. */
    public Optional<Taxon> taxon(String taxonId) {
        int index = taxonIndex(taxonId);
        return index < 0 ? Optional.empty() : Optional.of(taxa.get(index));
    }

    /** The character of that id, if the sheet has it. */
    public Optional<DiagnosticCharacter> character(String characterId) {
        for (DiagnosticCharacter character : characters) {
            if (character.id().equals(characterId)) {
                return Optional.of(character);
            }
        }
        return Optional.empty();
    }

    /**
     * What a character looks like in a taxon: as the sheet gives it, or for a hybrid without one derived from its
     * parents.
     *
     * @throws IllegalArgumentException if the taxon is not one of this sheet's
     */
    public Profile profile(DiagnosticCharacter character, String taxonId) {
        Profile given = character.profiles().get(taxonId);
        if (given != null) {
            return given;
        }
        Parents parents = taxon(taxonId)
                .flatMap(Taxon::parents)
                .orElseThrow(() -> new IllegalArgumentException("no taxon " + taxonId + " in sheet " + id));
        return DerivedProfile.of(
                character.scale(), profile(character, parents.first()), profile(character, parents.second()));
    }
}
