package org.goldthistle.demo;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Trust;
import org.goldthistle.library.LibraryService;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** What the demo's reviewers have made of two sheets, so that there are versions to compare. */
@Component
@ConditionalOnProperty("goldthistle.demo")
class DemoLibrary {
    private static final double SPROUTS_ARE_MOWN = 0.45;
    private static final double THORNS_ARE_BROWSED = 0.2;

    private final LibraryService library;

    DemoLibrary(LibraryService library) {
        this.library = library;
    }

    /** Makes a second version of the limes and of the hawthorns. */
    void revise(UUID ofLimes, UUID ofHawthorns) {
        GroupSheet limes = library.newest("limes").sheet();
        limes = changed(limes, "base-sprouts", one -> one.withTrust(weighing(one.trust(), SPROUTS_ARE_MOWN)));
        limes = changed(
                limes, "underside-colour", one -> one.withTrust(one.trust().withMonths(Set.of(6, 7, 8))));
        library.save(
                limes,
                Optional.empty(),
                ofLimes,
                "Sprouts are mown off along the avenues, and late leaves lose their bloom.");
        GroupSheet hawthorns = changed(
                library.newest("hawthorns").sheet(),
                "thorns",
                one -> one.withTrust(weighing(one.trust(), THORNS_ARE_BROWSED)));
        library.save(hawthorns, Optional.empty(), ofHawthorns, "On the wood edge the deer take the thorns.");
    }

    private static Trust weighing(Trust trust, double weight) {
        return new Trust(weight, trust.schools(), trust.months(), trust.stages(), trust.materials(), trust.positions());
    }

    private static GroupSheet changed(GroupSheet sheet, String id, UnaryOperator<DiagnosticCharacter> change) {
        List<DiagnosticCharacter> characters = sheet.characters().stream()
                .map(one -> one.id().equals(id) ? change.apply(one) : one)
                .toList();
        return sheet.withCharacters(characters);
    }
}
