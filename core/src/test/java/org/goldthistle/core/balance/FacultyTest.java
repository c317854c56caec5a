package org.goldthistle.core.balance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.goldthistle.core.Sheets;
import org.goldthistle.core.plan.NextCheck;
import org.goldthistle.core.plan.NextChecks;
import org.goldthistle.core.plan.PlanTerms;
import org.goldthistle.core.reading.Context;
import org.goldthistle.core.reading.Evidence;
import org.goldthistle.core.reading.TreeOrigin;
import org.goldthistle.core.reading.Unseen;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.Effort;
import org.goldthistle.core.sheet.Faculty;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Habitat;
import org.goldthistle.core.sheet.Harm;
import org.goldthistle.core.sheet.LifeStage;
import org.goldthistle.core.sheet.Sense;
import org.junit.jupiter.api.Test;

/** What an observer does not have counts a quarter and comes last. */
class FacultyTest {
    private static final DiagnosticCharacter SMELL =
            check("scent", new Effort(1, Harm.NONE, List.of(), Sense.SMELL, false));
    private static final DiagnosticCharacter COLOUR =
            check("hue", new Effort(1, Harm.NONE, List.of(), Sense.SIGHT, true));
    private static final DiagnosticCharacter PLAIN =
            check("bark", new Effort(9, Harm.NONE, List.of(), Sense.SIGHT, false));
    private static final GroupSheet SHEET = Sheets.sheet(Sheets.pair(), SMELL, COLOUR, PLAIN);

    @Test
    void only_what_asks_for_it_counts_a_quarter() {
        assertEquals(List.of(1.0, 1.0, 1.0), weights(Set.of()));
        assertEquals(List.of(0.25, 1.0, 1.0), weights(Set.of(Faculty.SMELL)));
        assertEquals(List.of(1.0, 0.25, 1.0), weights(Set.of(Faculty.RED_GREEN)));
        assertEquals(List.of(0.25, 0.25, 1.0), weights(EnumSet.allOf(Faculty.class)));
    }

    @Test
    void it_is_offered_last_however_good_it_is() {
        assertThat(suggested(Set.of())).endsWith("bark");
        assertThat(suggested(Set.of(Faculty.SMELL))).containsExactly("hue", "bark", "scent");
        assertThat(suggested(EnumSet.allOf(Faculty.class))).startsWith("bark");
    }

    private static List<Double> weights(Set<Faculty> lacking) {
        Evidence evidence = Evidence.of(
                SHEET,
                context(lacking),
                List.of(Sheets.saw("scent", "x"), Sheets.saw("hue", "x"), Sheets.saw("bark", "x")));
        return Weighing.of(GroupModel.of(SHEET), evidence, Optional.empty()).readings().stream()
                .map(WeighedReading::weight)
                .toList();
    }

    private static List<String> suggested(Set<Faculty> lacking) {
        Context context = context(lacking);
        Balance nothing = Weighing.of(GroupModel.of(SHEET), Evidence.of(SHEET, context, List.of()), Optional.empty())
                .featuresAlone();
        List<NextCheck> offered = NextChecks.offered(
                nothing, context, new PlanTerms(0.95, Optional.empty(), Harm.SAMPLE, false, Unseen.NOTHING, Set.of()));
        return NextChecks.suggested(offered).stream()
                .map(check -> check.character().id())
                .toList();
    }

    private static Context context(Set<Faculty> lacking) {
        return new Context(
                6,
                LifeStage.MATURE,
                TreeOrigin.WILD,
                EnumSet.noneOf(Habitat.class),
                Optional.empty(),
                Optional.empty(),
                Map.of(),
                lacking);
    }

    private static DiagnosticCharacter check(String id, Effort effort) {
        return Sheets.character(id)
                .states("x", "y")
                .in("a", 1, 0)
                .in("b", 0, 1)
                .effort(effort)
                .build();
    }
}
