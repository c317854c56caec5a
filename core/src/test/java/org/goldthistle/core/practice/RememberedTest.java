package org.goldthistle.core.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import java.util.Optional;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

class RememberedTest {
    private static final Pair BIRCHES = new Pair("pendula", "pubescens");
    private static final Pair LARCHES = new Pair("kaempferi", "decidua");

    @Test
    void it_grows_with_what_is_right_and_shrinks_with_what_is_wrong() {
        assertThat(Remembered.first(true, 10).halfLife()).isEqualTo(2.2, within(1e-12));
        assertThat(Remembered.first(false, 10).halfLife()).isEqualTo(0.5);
        Remembered good = Remembered.first(true, 10).tried(true, 20);
        assertThat(good.halfLife()).isEqualTo(22, within(1e-9)); // known for ten days, so for more than ten
        assertThat(good.tried(false, 21).halfLife()).isEqualTo(7.7, within(1e-9));
    }

    @Test
    void it_is_due_once_less_than_85_in_100_is_known() {
        Remembered kept = new Remembered(10, 0);
        double day = -10 * Math.log(0.85) / Math.log(2);
        assertThat(kept.isDue(day - 0.01)).isFalse();
        assertThat(kept.isDue(day + 0.01)).isTrue();
        assertThat(kept.slipped(day - 0.01)).isZero();
        assertThat(kept.known(10)).isEqualTo(0.5, within(1e-12));
    }

    @Property
    void whatever_happens_it_stays_between_half_a_day_and_what_was_passed(
            @ForAll boolean right,
            @ForAll @DoubleRange(min = 0.5, max = 500) double h,
            @ForAll @DoubleRange(min = -5, max = 900) double passed) {
        Remembered after = new Remembered(h, 100).tried(right, 100 + passed);

        assertThat(after.halfLife()).isGreaterThanOrEqualTo(right ? Math.max(1, h) : 0.5);
        assertThat(after.halfLife()).isLessThanOrEqualTo(2.2 * Math.max(h, Math.max(passed, 1)) + 1e-9);
        assertThat(after.known(100 + passed)).isEqualTo(1);
    }

    @Test
    void the_pair_of_which_the_most_slipped_comes_next_and_the_overruled_one_sooner() {
        Map<Item, Remembered> kept = Map.of(
                new Item("birches", BIRCHES, "dft"), new Remembered(2, 0),
                new Item("birches", BIRCHES, "twig"), new Remembered(40, 0),
                new Item("larches", LARCHES, "bloom"), new Remembered(1.5, 0));

        assertThat(Schedule.next(kept, Set.of(), 2)).contains(new Schedule.Of("larches", LARCHES));
        assertThat(Schedule.next(kept, Set.of(new Schedule.Of("birches", BIRCHES)), 2))
                .contains(new Schedule.Of("birches", new Pair("pubescens", "pendula")));
        assertThat(Schedule.next(kept, Set.of(), 0.1)).isEqualTo(Optional.empty());
    }
}
