package org.goldthistle.core.balance;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import org.goldthistle.core.Sheets;
import org.goldthistle.core.reading.Certainty;
import org.goldthistle.core.reading.ValuesObserved;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Measure;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Section 3 for numbers against a plain numerical integral and other figures that are reckoned another way. */
class NumberLikelihoodTest {
    private static final double INTEGRAL = 1e-9; // the integral's own error, a thousand steps of Simpson's rule
    private static final double EXACT = 1e-12;

    /** In the middle, at both edges, far out, and beyond the counts that are kept in tables. */
    @ParameterizedTest
    @ValueSource(doubles = {0, 1, 4, 5, 9, 13, 40, 400, 70000})
    void a_count_has_the_density_s_mass_over_its_unit(double count) {
        NumberLikelihood likelihood = likelihood(Measure.COUNT);

        double[] logs = likelihood.meanLog(new ValuesObserved(List.of(count)), Certainty.SURE);

        // spans 1 to 14: 13, and a count more
        assertEquals(0.98 * integral(3, 5, 8, 10, count) + 0.02 / 14, Math.exp(logs[0]), INTEGRAL);
        assertEquals(0.5 / 14, Math.exp(logs[2]), EXACT);
    }

    @Test
    void none_of_these_has_half_of_an_even_spread() {
        double[] logs = likelihood(Measure.LENGTH).meanLog(new ValuesObserved(List.of(5.0)), Certainty.SURE);

        assertEquals(0.5 / 13, Math.exp(logs[2]), EXACT);
    }

    @Test
    void the_mean_over_replicates_is_a_mean_of_logarithms() {
        NumberLikelihood likelihood = likelihood(Measure.LENGTH);
        double[] one = likelihood.meanLog(new ValuesObserved(List.of(4.0)), Certainty.UNSURE);
        double[] other = likelihood.meanLog(new ValuesObserved(List.of(9.0)), Certainty.UNSURE);

        double[] both = likelihood.meanLog(new ValuesObserved(List.of(4.0, 9.0)), Certainty.UNSURE);

        for (int k = 0; k < both.length; k++) {
            assertEquals((one[k] + other[k]) / 2, both[k], EXACT);
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"COUNT", "LENGTH"})
    void a_cross_with_none_of_a_parent_is_the_other_parent(String measure) {
        NumberLikelihood likelihood = likelihood(Measure.valueOf(measure));
        var values = new ValuesObserved(List.of(6.0, 7.0));
        double[] parents = likelihood.meanLog(values, Certainty.FAIRLY);

        double[] cross = likelihood.meanLogOfCross(values, Certainty.FAIRLY, 0, 1, new double[] {0, 1});

        assertArrayEquals(new double[] {parents[0], parents[1]}, cross, EXACT);
    }

    @Test
    void a_planned_count_can_be_any_whole_number_of_the_span() {
        Outcomes outcomes = likelihood(Measure.COUNT).outcomes();

        double total = 0;
        for (int x = 0; x < outcomes.count(); x++) {
            total += outcomes.mass(x, 0);
            assertEquals(0.5 / 14, outcomes.mass(x, 2), EXACT);
            assertEquals(Math.log(outcomes.mass(x, 0)), outcomes.logMass(x, 0), EXACT);
        }

        assertEquals(14, outcomes.count()); // 1 to 14
        assertEquals(1, total, EXACT);
        assertEquals(Math.log(0.98 * integral(3, 5, 8, 10, 3) + 0.02 / 14), outcomes.logReading(2, 0), INTEGRAL);
    }

    @Test
    void a_planned_measure_falls_into_one_of_48_bins() {
        NumberLikelihood likelihood = likelihood(Measure.LENGTH);

        Outcomes outcomes = likelihood.outcomes();

        double tenth = 1 + (9 + 0.5) * 13.0 / 48; // the midpoint of the tenth bin of 1 to 14
        double[] there = likelihood.meanLog(new ValuesObserved(List.of(tenth)), Certainty.SURE);
        assertEquals(48, outcomes.count());
        assertEquals(there[0], outcomes.logReading(9, 0), EXACT);
        assertEquals(0.5 / 48, outcomes.mass(9, 2), EXACT);
    }

    @Test
    void surprise_is_half_the_squared_deviation() {
        double spread = 0.75 * 1.5 / 1.644854 + 0.25 * 3.5 / 2.575829; // right of the centre 6.5

        Surprise surprise = likelihood(Measure.LENGTH).surprise(new ValuesObserved(List.of(9.0)), 0);

        assertEquals(0.5 * (2.5 / spread) * (2.5 / spread), surprise.found(), EXACT);
        assertEquals(0.5, surprise.expected(), EXACT);
        assertEquals(0.5, surprise.variance(), EXACT);
    }

    @Test
    void surprise_is_the_mean_over_the_replicates_and_no_slip_is_worth_more_than_eight() {
        Likelihood length = likelihood(Measure.LENGTH);
        double one = length.surprise(new ValuesObserved(List.of(9.0)), 0).found();

        assertEquals(
                (one + 8) / 2,
                length.surprise(new ValuesObserved(List.of(9.0, 5000.0)), 0).found(),
                EXACT);
    }

    private static NumberLikelihood likelihood(Measure measure) {
        DiagnosticCharacter character = Sheets.character("number")
                .numbers(measure)
                .range("a", 3, 5, 8, 10)
                .range("b", 1, 2, 9, 14)
                .build();
        GroupSheet sheet = Sheets.sheet(Sheets.pair(), character);
        return (NumberLikelihood) GroupModel.of(sheet).likelihood(0);
    }

    /** ∫ f over [x − ½, x + ½] by Simpson's rule, f written out anew. */
    private static double integral(double r0, double r1, double r2, double r3, double x) {
        double c = (r1 + r2) / 2;
        double left = 0.75 * (c - r1) / 1.644854 + 0.25 * (c - r0) / 2.575829;
        double right = 0.75 * (r2 - c) / 1.644854 + 0.25 * (r3 - c) / 2.575829;
        int steps = 2000;
        double sum = 0;
        for (int i = 0; i <= steps; i++) {
            double at = x - 0.5 + (double) i / steps;
            double sigma = at < c ? left : right;
            double f = Math.sqrt(2 / Math.PI) / (left + right) * Math.exp(-(at - c) * (at - c) / (2 * sigma * sigma));
            sum += f * (i == 0 || i == steps ? 1 : i % 2 == 1 ? 4 : 2);
        }
        return sum / steps / 3;
    }
}
