package org.goldthistle.core.key;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.Sheets;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.FirstLook;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Trait;
import org.junit.jupiter.api.Test;

class WhichGroupTest {
    private static final int JUNE = 6;
    private static final GroupSheet FIRS = sheet("firs", Map.of(Trait.FOLIAGE, List.of("single-needles")));
    private static final GroupSheet ELMS =
            sheet("elms", Map.of(Trait.FOLIAGE, List.of("broad"), Trait.LEAF_SET, List.of("singly")));
    private static final GroupSheet MAPLES =
            sheet("maples", Map.of(Trait.FOLIAGE, List.of("broad"), Trait.LEAF_SET, List.of("pairs", "singly")));
    private static final GroupSheet UNTOLD = sheet("untold", Map.of());
    private static final List<GroupSheet> LIBRARY = List.of(FIRS, ELMS, MAPLES, UNTOLD);

    @Test
    void a_group_is_ruled_out_by_what_its_members_never_show() {
        WhichGroup which = WhichGroup.of(LIBRARY, Map.of(Trait.FOLIAGE, "broad", Trait.LEAF_SET, "pairs"), JUNE);

        assertThat(which.remaining()).containsExactly(MAPLES, UNTOLD);
        assertThat(which.ruledOut())
                .containsEntry("firs", Trait.FOLIAGE)
                .containsEntry("elms", Trait.LEAF_SET)
                .hasSize(2);
    }

    @Test
    void the_next_look_is_the_one_that_narrows_most() {
        assertThat(WhichGroup.of(LIBRARY, Map.of(), JUNE).next()).contains(Trait.FOLIAGE);
        assertThat(WhichGroup.of(LIBRARY, Map.of(Trait.FOLIAGE, "broad"), JUNE).next())
                .contains(Trait.LEAF_SET);
    }

    @Test
    void what_few_trees_show_in_a_month_is_asked_for_later() {
        List<GroupSheet> library = List.of(
                sheet("one", Map.of(Trait.FRUIT, List.of("haws"), Trait.LEAF_SET, List.of("singly"))),
                sheet("two", Map.of(Trait.FRUIT, List.of("berries"), Trait.LEAF_SET, List.of("pairs"))),
                sheet("three", Map.of(Trait.FRUIT, List.of("nuts-on-a-wing"), Trait.LEAF_SET, List.of("pairs"))));

        assertThat(WhichGroup.of(library, Map.of(), 9).next()).contains(Trait.FRUIT);
        assertThat(WhichGroup.of(library, Map.of(), 2).next()).contains(Trait.LEAF_SET);
        // and is asked for all the same where nothing else is left to look at
        assertThat(WhichGroup.of(library, Map.of(Trait.LEAF_SET, "pairs"), 2).next())
                .contains(Trait.FRUIT);
    }

    @Test
    void where_no_look_parts_what_remains_none_is_asked_for() {
        assertThat(WhichGroup.of(List.of(UNTOLD, sheet("other", Map.of())), Map.of(), JUNE)
                        .next())
                .isEmpty();
        assertThat(WhichGroup.of(List.of(), Map.of(), JUNE).next()).isEmpty();
        assertThat(WhichGroup.of(LIBRARY, Map.of(Trait.FOLIAGE, "broad", Trait.LEAF_SET, "singly"), JUNE)
                        .next())
                .isEmpty();
    }

    @Test
    void an_answer_that_the_trait_does_not_have_is_refused() {
        assertThatExceptionOfType(RefusedException.class)
                .isThrownBy(() -> new FirstLook(Map.of(Trait.THORNS, List.of("many"), Trait.BUD, List.of())))
                .withMessageContaining("thorns")
                .withMessageContaining("\"many\"")
                .withMessageContaining("bud: found []");
    }

    private static GroupSheet sheet(String id, Map<Trait, List<String>> shown) {
        DiagnosticCharacter any = Sheets.character("c")
                .states("x", "y")
                .in("a", 1, 0)
                .in("b", 0, 1)
                .build();
        GroupSheet sheet = Sheets.sheet(Sheets.pair(), any);
        return new GroupSheet(
                id,
                sheet.title(),
                Optional.empty(),
                sheet.region(),
                sheet.why(),
                sheet.taxa(),
                sheet.fallback(),
                new FirstLook(shown),
                sheet.gate(),
                sheet.characters(),
                sheet.indices(),
                sheet.cautions(),
                sheet.sources());
    }
}
