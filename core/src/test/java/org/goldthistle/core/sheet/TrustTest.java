package org.goldthistle.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.goldthistle.core.RefusedException;
import org.junit.jupiter.api.Test;

/** How far a reading is trusted, by school, stage, material and place. */
class TrustTest {
    private static final Trust PLAIN = new Trust(0.8, Map.of(), Set.of(6), Map.of(), Map.of(), Map.of());

    @Test
    void what_is_not_listed_keeps_all_of_the_weight() {
        assertThat(PLAIN.factor(Material.LITTER)).isEqualTo(1);
        assertThat(PLAIN.factor(Position.SPROUT)).isEqualTo(1);
        assertThat(PLAIN.factor(LifeStage.SEEDLING)).isEqualTo(1);
        assertThat(PLAIN.weight(Optional.of(School.FIELD_MARKS))).isEqualTo(0.8);
    }

    @Test
    void where_it_comes_from_matters_once_places_differ() {
        Trust fallen = materials(Map.of(Material.FALLEN, 0.5));
        Trust alike = materials(Map.of(Material.ATTACHED, 0.5, Material.FALLEN, 0.5, Material.LITTER, 0.5));
        Trust sprout = positions(Map.of(Position.SPROUT, 0.2));

        assertThat(PLAIN.materialMatters()).isFalse();
        assertThat(PLAIN.positionMatters()).isFalse();
        assertThat(fallen.materialMatters()).isTrue();
        assertThat(fallen.positionMatters()).isFalse();
        assertThat(alike.materialMatters()).isFalse();
        assertThat(sprout.positionMatters()).isTrue();
        assertThat(fallen.factor(Material.FALLEN)).isEqualTo(0.5);
        assertThat(sprout.factor(Position.SPROUT)).isEqualTo(0.2);
    }

    @Test
    void what_is_assumed_is_the_first_that_keeps_all_of_the_weight() {
        assertThat(PLAIN.assumedMaterial()).contains(Material.ATTACHED);
        assertThat(PLAIN.assumedPosition()).contains(Position.SUN);
        assertThat(materials(Map.of(Material.ATTACHED, 0.5)).assumedMaterial()).contains(Material.FALLEN);
        assertThat(positions(Map.of(Position.SUN, 0.5)).assumedPosition()).contains(Position.SHADE);
        assertThat(materials(Map.of(Material.ATTACHED, 0.5, Material.FALLEN, 0.5, Material.LITTER, 2.0))
                        .assumedMaterial())
                .isEmpty();
    }

    @Test
    void a_multiplier_is_from_0_to_10_and_a_month_from_1_to_12() {
        materials(Map.of(Material.FALLEN, 0.0, Material.LITTER, 10.0));
        assertThatThrownBy(() -> materials(Map.of(Material.FALLEN, 10.1)))
                .isInstanceOf(RefusedException.class)
                .hasMessageContaining("materials.fallen");
        assertThatThrownBy(() -> PLAIN.withMonths(Set.of(13))).isInstanceOf(RefusedException.class);
        assertThatThrownBy(() -> PLAIN.withMonths(Set.of())).isInstanceOf(RefusedException.class);
        assertThat(PLAIN.withMonths(Set.of(1, 12)).months()).containsExactlyInAnyOrder(1, 12);
    }

    private static Trust materials(Map<Material, Double> materials) {
        return new Trust(0.8, Map.of(), Set.of(6), Map.of(), materials, Map.of());
    }

    private static Trust positions(Map<Position, Double> positions) {
        return new Trust(0.8, Map.of(), Set.of(6), Map.of(), Map.of(), positions);
    }
}
