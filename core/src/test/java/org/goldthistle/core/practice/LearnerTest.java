package org.goldthistle.core.practice;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Somebody who forgets with a half-life of their own for each thing, and practises twenty trees a day for thirty days. */
class LearnerTest {
    private static final int PAIRS = 80;
    private static final List<Schedule.Of> ALL = IntStream.range(0, PAIRS)
            .mapToObj(pair -> new Schedule.Of("" + pair, new Pair("a", "b")))
            .toList();
    private static final int CHARACTERS = 5; // read on one tree
    private static final int DAYS = 30;
    private static final int A_DAY = 20;
    private static final int LATER = 40;
    private static final double WRONG_WHEN_KNOWN = 0.04;
    private static final double WRONG_WHEN_NOT = 0.45;

    @Test
    void who_goes_by_the_schedule_misreads_less_ten_days_later_than_who_takes_pairs_at_random() {
        double bySchedule = 0;
        double atRandom = 0;
        int learners = 20;
        for (int learner = 0; learner < learners; learner++) {
            bySchedule += new Learner(learner)
                    .mistakes((kept, day) -> Schedule.next(kept, Set.of(), day)
                            .map(of -> Integer.parseInt(of.group()))
                            .orElse(-1));
            atRandom += new Learner(learner).mistakes((kept, day) -> -1);
        }

        System.out.printf(
                "learner: misread on day %d by schedule %.1f in 100, at random %.1f%n",
                LATER, 100 * bySchedule / learners, 100 * atRandom / learners);
        assertThat(bySchedule).isLessThan(0.95 * atRandom);
    }

    /** What somebody really knows. */
    private static final class Learner {
        private final Random random;
        private final double[][] halfLife = new double[PAIRS][CHARACTERS]; // days
        private final double[][] growth = new double[PAIRS][CHARACTERS]; // how well it sticks
        private final double[][] last = new double[PAIRS][CHARACTERS];

        Learner(int seed) {
            random = new Random(seed);
            for (int p = 0; p < PAIRS; p++) {
                double hard = Math.exp(0.7 * random.nextGaussian());
                for (int c = 0; c < CHARACTERS; c++) {
                    halfLife[p][c] = 0.7;
                    growth[p][c] = 1 + 1.6 / (hard * Math.exp(0.4 * random.nextGaussian()));
                    last[p][c] = -100;
                }
            }
        }

        /** The share of readings that are wrong on the late day, by what is chosen each time; −1: any pair. */
        double mistakes(BiFunction<Map<Item, Remembered>, Double, Integer> choose) {
            Map<Item, Remembered> kept = new HashMap<>();
            for (int day = 0; day < DAYS; day++) {
                for (int i = 0; i < A_DAY; i++) {
                    double now = day + (double) i / A_DAY / 4;
                    int chosen = choose.apply(kept, now);
                    int pair = chosen >= 0 ? chosen : random.nextInt(PAIRS);
                    for (int c = 0; c < CHARACTERS; c++) {
                        boolean right = random.nextDouble() >= wrong(pair, c, now);
                        Item item = new Item("" + pair, new Pair("a", "b"), "" + c);
                        Remembered before = kept.get(item);
                        kept.put(item, before == null ? Remembered.first(right, now) : before.tried(right, now));
                        halfLife[pair][c] =
                                Math.max(0.7, right ? growth[pair][c] * halfLife[pair][c] : 0.6 * halfLife[pair][c]);
                        last[pair][c] = now;
                    }
                }
            }
            List<Double> wrong = new ArrayList<>();
            for (int p = 0; p < PAIRS; p++) {
                for (int c = 0; c < CHARACTERS; c++) {
                    wrong.add(wrong(p, c, LATER));
                }
            }
            return wrong.stream().mapToDouble(w -> w).average().orElseThrow();
        }

        private double wrong(int pair, int character, double now) {
            double known = Math.pow(2, -(now - last[pair][character]) / halfLife[pair][character]);
            return known * WRONG_WHEN_KNOWN + (1 - known) * WRONG_WHEN_NOT;
        }
    }
}
