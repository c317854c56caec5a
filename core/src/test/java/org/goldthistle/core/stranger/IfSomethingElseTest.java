package org.goldthistle.core.stranger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Optional;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.Sheets;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Harm;
import org.goldthistle.core.sheet.LifeStage;
import org.goldthistle.core.sheet.Organ;
import org.goldthistle.core.sheet.Taxon;
import org.goldthistle.core.sheet.Zone;
import org.goldthistle.core.stranger.IfSomethingElse.Stranger;
import org.junit.jupiter.api.Test;

/** Trees that a sheet does not know. */
class IfSomethingElseTest {
    private static final List<Taxon> THREE =
            List.of(Sheets.taxon("a", 60), Sheets.taxon("b", 30), Sheets.taxon("c", 10));

    @Test
    void a_twin_gets_its_twins_name_and_nobody_notices() {
        GroupSheet sheet = Sheets.sheet(
                THREE,
                like("bark", Organ.BARK, 0.01),
                like("twig", Organ.TWIG, 0.01),
                like("leaf", Organ.LEAF, 0.01)); // c looks as b does

        Stranger twin = stranger(sheet, 2);

        assertThat(twin.taxon().id()).isEqualTo("c");
        assertThat(twin.tally().orElseThrow().signable()).isGreaterThan(0.9);
        assertThat(twin.record().orElseThrow().signable()).isGreaterThan(0.9);
        assertThat(twin.record().orElseThrow().mostly().orElseThrow().id()).isEqualTo("b");
        assertThat(twin.record().orElseThrow().unnoticed()).isGreaterThan(0.7);
    }

    @Test
    void a_tree_that_looks_like_nothing_known_gets_no_name_or_is_noticed() {
        DiagnosticCharacter[] odd = {
            odd("bark", Organ.BARK), odd("twig", Organ.TWIG), odd("leaf", Organ.LEAF), odd("bud", Organ.BUD)
        };

        Stranger odder = stranger(Sheets.sheet(THREE, odd), 2);

        assertThat(odder.record().orElseThrow().unnoticed()).isLessThan(0.05);
        assertThat(odder.tally().orElseThrow().unnoticed()).isLessThan(0.05);
    }

    @Test
    void a_hybrid_goes_with_its_parent_and_two_taxa_must_be_left() {
        GroupSheet sheet = Sheets.sheet(
                List.of(Sheets.taxon("a", 60), Sheets.taxon("b", 30), Sheets.hybrid("h", "a", "b", 10)),
                Sheets.character("bark")
                        .states("x", "y")
                        .in("a", 0.9, 0.1)
                        .in("b", 0.1, 0.9)
                        .build());

        List<Stranger> all = of(sheet).strangers();

        assertThat(all.get(0).tally()).isEmpty();
        assertThat(all.get(1).record()).isEmpty();
        assertThat(all.get(2).tally()).isPresent(); // a and b are left
        assertThat(SheetWithout.of(sheet, "a")).isEmpty();
        assertThat(SheetWithout.of(sheet, "h").orElseThrow().taxa())
                .extracting(Taxon::abundance)
                .allSatisfy(abundance -> assertThat(abundance).isPositive());
    }

    @Test
    void the_rest_is_as_common_against_each_other_as_before() {
        GroupSheet left = SheetWithout.of(Sheets.sheet(THREE, like("bark", Organ.BARK, 0.01)), "a")
                .orElseThrow();

        assertThat(left.taxa()).extracting(Taxon::abundance).containsExactly(75.0, 25.0);
        assertThat(left.characters().get(0).profiles()).containsOnlyKeys("b", "c");
    }

    @Test
    void the_same_seed_draws_the_same_trees() {
        GroupSheet sheet = Sheets.sheet(THREE, like("bark", Organ.BARK, 0.3), like("leaf", Organ.LEAF, 0.3));

        assertThat(of(sheet)).isEqualTo(of(sheet));
    }

    @Test
    void what_would_take_for_ever_is_refused() {
        List<DiagnosticCharacter> many = new ArrayList<>();
        for (int i = 0; i < 256; i++) {
            many.add(Sheets.character("c" + i)
                    .states("x", "y")
                    .in("t0", 1, 0)
                    .replication(100, 0.5)
                    .build());
        }
        List<Taxon> taxa = new ArrayList<>(List.of(Sheets.taxon("t0", 100)));
        for (int k = 1; k < 40; k++) {
            taxa.add(Sheets.taxon("t" + k, 0));
        }
        GroupSheet sheet = Sheets.sheet(
                taxa,
                many.stream()
                        .map(one -> {
                            var profiles = new HashMap<>(one.profiles());
                            taxa.forEach(taxon ->
                                    profiles.put(taxon.id(), one.profiles().get("t0")));
                            return one.withProfiles(profiles);
                        })
                        .toArray(DiagnosticCharacter[]::new));

        assertThatThrownBy(() -> of(sheet)).isInstanceOf(RefusedException.class).hasMessageContaining("200 million");
    }

    private static Stranger stranger(GroupSheet sheet, int taxon) {
        return of(sheet).strangers().get(taxon);
    }

    private static IfSomethingElse of(GroupSheet sheet) {
        return IfSomethingElse.of(GroupModel.of(sheet), LifeStage.MATURE, Optional.empty(), Harm.SAMPLE, 5);
    }

    private static DiagnosticCharacter like(String id, Organ organ, double blur) {
        return Sheets.character(id)
                .organ(organ, Zone.HAND)
                .states("x", "y")
                .in("a", 1 - blur, blur)
                .in("b", blur, 1 - blur)
                .in("c", blur, 1 - blur)
                .build();
    }

    /** a and b differ in x and y, and neither ever shows z, which c always does. */
    private static DiagnosticCharacter odd(String id, Organ organ) {
        return Sheets.character(id)
                .organ(organ, Zone.HAND)
                .states("x", "y", "z")
                .in("a", 0.9, 0.1, 0)
                .in("b", 0.1, 0.9, 0)
                .in("c", 0, 0, 1)
                .build();
    }
}
