package org.goldthistle.core.stranger;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Profile;
import org.goldthistle.core.sheet.Taxon;

/** A sheet whose authors never heard of one of its taxa. */
final class SheetWithout {
    private static final int FEWEST_TAXA = 2;

    private final GroupSheet sheet;
    private final Set<String> gone = new HashSet<>();

    private SheetWithout(GroupSheet sheet, String taxon) {
        this.sheet = sheet;
        gone.add(taxon);
        boolean grew = true;
        while (grew) { // a hybrid goes with a parent, and its own hybrids with it
            grew = false;
            for (Taxon one : sheet.taxa()) {
                boolean orphan = one.parents()
                        .map(parents -> gone.contains(parents.first()) || gone.contains(parents.second()))
                        .orElse(false);
                grew |= orphan && gone.add(one.id());
            }
        }
    }

    /** The sheet without a taxon and the hybrids derived from it; empty: fewer than two taxa would be left. */
    static Optional<GroupSheet> of(GroupSheet sheet, String taxon) {
        var without = new SheetWithout(sheet, taxon);
        return sheet.taxa().size() - without.gone.size() < FEWEST_TAXA
                ? Optional.empty()
                : Optional.of(without.sheet());
    }

    private GroupSheet sheet() {
        List<Taxon> left = sheet.taxa().stream()
                .filter(taxon -> !gone.contains(taxon.id()))
                .toList();
        return new GroupSheet(
                sheet.id(),
                sheet.title(),
                sheet.shortName(),
                sheet.region(),
                sheet.why(),
                spread(left),
                sheet.fallback(),
                sheet.firstLook(),
                sheet.gate(),
                sheet.characters().stream().map(this::character).toList(),
                sheet.indices().stream()
                        .filter(index -> !gone.contains(index.positive()) && !gone.contains(index.negative()))
                        .toList(),
                sheet.cautions(),
                sheet.sources());
    }

    private DiagnosticCharacter character(DiagnosticCharacter character) {
        Map<String, Profile> profiles = new LinkedHashMap<>(character.profiles());
        profiles.keySet().removeAll(gone);
        return character.withProfiles(profiles);
    }

    /** Those that are left, as common against each other as before; as common as each other where none was found. */
    private static List<Taxon> spread(List<Taxon> left) {
        double wild = total(left, Taxon::abundance);
        double planted = total(left, Taxon::plantedAbundance);
        List<Taxon> spread = new ArrayList<>();
        for (Taxon taxon : left) {
            spread.add(new Taxon(
                    taxon.id(),
                    taxon.name(),
                    taxon.rank(),
                    taxon.parents(),
                    taxon.origin(),
                    taxon.standing(),
                    share(taxon.abundance(), wild, left.size()),
                    share(taxon.plantedAbundance(), planted, left.size()),
                    taxon.habitat()));
        }
        return spread;
    }

    private static double share(double abundance, double total, int among) {
        return total > 0 ? Math.min(100, 100 * abundance / total) : 100.0 / among;
    }

    private static double total(List<Taxon> taxa, ToDoubleFunction<Taxon> abundance) {
        return taxa.stream().mapToDouble(abundance).sum();
    }
}
