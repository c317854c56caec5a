package org.goldthistle.core.region;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.Sheets;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Habitat;
import org.goldthistle.core.sheet.Taxon;
import org.goldthistle.core.sheet.Trust;
import org.junit.jupiter.api.Test;

class RegionOverlayTest {
    private static final Trust SPRING = new Trust(1, Map.of(), Set.of(3, 4), Map.of(), Map.of(), Map.of());
    private static final Trust LATER = new Trust(1, Map.of(), Set.of(4, 5), Map.of(), Map.of(), Map.of());

    @Test
    void what_makes_a_regional_sheet_makes_it_again() {
        GroupSheet original = sheet(Sheets.pair(), bark(1, SPRING));
        GroupSheet regional = sheet(
                List.of(Sheets.taxon("a", 80, Map.of(Habitat.COASTAL, 0.5)), Sheets.taxon("b", 20)), bark(1, LATER));

        RegionOverlay overlay = RegionOverlay.between(original, regional);

        assertThat(overlay.over(original)).isEqualTo(regional);
        assertThat(overlay.months()).containsOnlyKeys("bark");
    }

    @Test
    void what_the_region_leaves_alone_follows_the_original() {
        GroupSheet original = sheet(Sheets.pair(), bark(1, SPRING));
        GroupSheet regional = sheet(List.of(Sheets.taxon("a", 80), Sheets.taxon("b", 20)), bark(1, SPRING));
        GroupSheet newer = sheet(Sheets.pair(), bark(0.9, LATER));

        GroupSheet followed = RegionOverlay.between(original, regional).over(newer);

        assertThat(followed.taxa()).isEqualTo(regional.taxa());
        assertThat(followed.characters()).isEqualTo(newer.characters());
    }

    @Test
    void any_other_difference_is_refused_and_named() {
        assertThatExceptionOfType(RefusedException.class)
                .isThrownBy(() -> RegionOverlay.between(
                        sheet(Sheets.pair(), bark(1, SPRING)), sheet(Sheets.pair(), bark(0.9, SPRING))))
                .withMessageContaining("the bark")
                .withMessageContaining("abundance, origin, standing, habitat or months");
    }

    @Test
    void an_original_that_has_moved_too_far_is_refused() {
        GroupSheet original = sheet(Sheets.pair(), bark(1, SPRING));
        RegionOverlay overlay = RegionOverlay.between(
                original, sheet(List.of(Sheets.taxon("a", 80), Sheets.taxon("b", 20)), bark(1, SPRING)));
        GroupSheet newer = sheet(
                List.of(Sheets.taxon("a", 50), Sheets.taxon("b", 30), Sheets.taxon("c", 20)),
                Sheets.character("bark")
                        .states("x", "y")
                        .in("a", 1, 0)
                        .in("b", 0, 1)
                        .in("c", 0, 1)
                        .build());

        assertThatExceptionOfType(RefusedException.class)
                .isThrownBy(() -> overlay.over(newer))
                .withMessageContaining("a total of 120");
    }

    private static GroupSheet sheet(List<Taxon> taxa, DiagnosticCharacter character) {
        return Sheets.sheet(taxa, character);
    }

    private static DiagnosticCharacter bark(double share, Trust trust) {
        return Sheets.character("bark")
                .states("x", "y")
                .in("a", share, 1 - share)
                .in("b", 0, 1)
                .trust(trust)
                .build();
    }
}
