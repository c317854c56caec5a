package org.goldthistle.core.agreement;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** Agreement on published examples and on figures worked by hand. */
class AgreementTest {
    private static final int GONE = -1;

    @Test
    void kappa_of_the_textbook_diagnoses() {
        // Fleiss, Levin & Paik 2003, Statistical Methods for Rates and Proportions, table 18.1
        Confusion table = Confusion.of(new long[][] {{75, 1, 4}, {5, 4, 1}, {0, 0, 10}});

        assertThat(table.agreement()).hasValue(0.89);
        Confusion.Kappa kappa = table.kappa().orElseThrow();
        assertThat(kappa.value()).isCloseTo(0.23 / 0.34, within(1e-12));
        assertThat(kappa.standardError()).isCloseTo(0.087, within(0.001));
        assertThat(kappa.low()).isCloseTo(0.505, within(0.002));
        assertThat(kappa.high()).isCloseTo(0.848, within(0.002));
    }

    @Test
    void two_trees_that_agree_leave_the_interval_open() {
        Confusion.Kappa kappa =
                Confusion.of(new long[][] {{1, 0}, {0, 1}}).kappa().orElseThrow();

        assertThat(kappa.value()).isEqualTo(1);
        assertThat(kappa.hasInterval()).isFalse();
        assertThat(Confusion.of(new long[][] {{20, 5}, {10, 15}})
                        .kappa()
                        .orElseThrow()
                        .hasInterval())
                .isTrue();
    }

    @Test
    void kappa_of_two_answers_by_hand() {
        // p_o = 0.7; rows and columns (0.5, 0.5) and (0.6, 0.4), so p_e = 0.3 + 0.2 = 0.5 and kappa = 0.4
        Confusion table = Confusion.of(new long[][] {{20, 5}, {10, 15}});

        assertThat(table.kappa().orElseThrow().value()).isCloseTo(0.4, within(1e-12));
        // A = 0.4(1 − 1.1·0.6)² + 0.3(1 − 0.9·0.6)² = 0.10972, B = 0.36(0.1·1.1² + … ) below, C = (0.4 − 0.3)² = 0.01
        double b = 0.36 * (0.1 * Math.pow(0.6 + 0.5, 2) + 0.2 * Math.pow(0.4 + 0.5, 2));
        double a = 0.4 * Math.pow(1 - 1.1 * 0.6, 2) + 0.3 * Math.pow(1 - 0.9 * 0.6, 2);
        assertThat(table.kappa().orElseThrow().standardError())
                .isCloseTo(Math.sqrt((a + b - 0.01) / 50) / 0.5, within(1e-12));
    }

    @Test
    void where_everybody_always_said_the_same_there_is_no_kappa_and_no_alpha() {
        assertThat(Confusion.of(new long[][] {{12, 0}, {0, 0}}).kappa()).isEmpty();
        assertThat(Confusion.of(new long[][] {{0, 0}, {0, 0}}).agreement()).isEmpty();
        assertThat(NominalAlpha.of(Map.of(List.of(1, 1), 1L, List.of(1, 1, 1), 1L), 2))
                .isEmpty();
        assertThat(NominalAlpha.of(Map.of(List.of(1), 1L, List.of(0), 1L), 2)).isEmpty();
    }

    @Test
    void a_table_that_is_none_is_refused() {
        assertThatThrownBy(() -> Confusion.of(new long[][] {{1, 2}}))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("square");
        assertThatThrownBy(() -> Confusion.of(new long[][] {{-1}})).hasMessageContaining("-1");
    }

    @Test
    void alpha_of_the_textbook_with_two_observers() {
        // Krippendorff 2011, Computing Krippendorff's Alpha-Reliability, example A: alpha = 0.095
        int[] first = {0, 1, 0, 0, 0, 0, 0, 0, 1, 0};
        int[] second = {1, 1, 1, 0, 0, 1, 0, 0, 0, 0};

        assertThat(NominalAlpha.of(units(first, second), 2).orElseThrow()).isCloseTo(0.095, within(0.0005));
    }

    @Test
    void alpha_of_the_textbook_with_four_observers_and_gaps() {
        // the same, example C: alpha = 0.743
        int[][] observers = {
            {1, 2, 3, 3, 2, 1, 4, 1, 2, GONE, GONE, GONE},
            {1, 2, 3, 3, 2, 2, 4, 1, 2, 5, GONE, 3},
            {GONE, 3, 3, 3, 2, 3, 4, 2, 2, 5, 1, GONE},
            {1, 2, 3, 3, 2, 4, 4, 1, 2, 5, 1, GONE}
        };

        assertThat(NominalAlpha.of(units(observers), 6).orElseThrow()).isCloseTo(0.743, within(0.0005));
    }

    @Test
    void dawid_and_skene_find_the_truth_and_who_errs() {
        Random random = new Random(7);
        int trees = 400;
        double[] mistaken = {0.05, 0.1, 0.35};
        int[] truth = random.ints(trees, 0, 3).toArray();
        List<List<DawidSkene.Answer>> answers = new ArrayList<>();
        for (int tree = 0; tree < trees; tree++) {
            List<DawidSkene.Answer> given = new ArrayList<>();
            for (int observer = 0; observer < mistaken.length; observer++) {
                int said = random.nextDouble() < mistaken[observer]
                        ? (truth[tree] + 1 + random.nextInt(2)) % 3
                        : truth[tree];
                given.add(new DawidSkene.Answer(observer, said));
            }
            answers.add(given);
        }

        DawidSkene found = DawidSkene.of(counted(answers), mistaken.length, 3);

        int right = 0;
        for (int tree = 0; tree < trees; tree++) {
            double sum = 0;
            for (int k = 0; k < 3; k++) {
                sum += found.truth(answers.get(tree), k);
            }
            assertThat(sum).isCloseTo(1, within(1e-9));
            right += found.truth(answers.get(tree), truth[tree]) > 0.5 ? 1 : 0;
        }
        assertThat(right).isGreaterThan((int) (0.95 * trees));
        for (int observer = 0; observer < mistaken.length; observer++) {
            for (int k = 0; k < 3; k++) {
                assertThat(found.errorRate(observer, k, k)).isCloseTo(1 - mistaken[observer], within(0.1));
            }
        }
        assertThat(found.rounds()).isBetween(2, 200);
    }

    /** How many trees got just these answers, from answers by observer, gaps left out. */
    private static Map<List<Integer>, Long> units(int[]... observers) {
        List<List<Integer>> units = new ArrayList<>();
        for (int tree = 0; tree < observers[0].length; tree++) {
            int at = tree;
            units.add(Arrays.stream(observers)
                    .map(observer -> observer[at])
                    .filter(answer -> answer != GONE)
                    .toList());
        }
        return counted(units);
    }

    private static <T> Map<T, Long> counted(List<T> all) {
        return all.stream()
                .collect(Collectors.groupingBy(Function.identity(), LinkedHashMap::new, Collectors.counting()));
    }
}
