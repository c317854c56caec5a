package org.goldthistle.call;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.UUID;
import org.goldthistle.core.plot.PolarPosition;
import org.junit.jupiter.api.Test;

class NextTreeTest {
    private static final PolarPosition HERE = new PolarPosition(0, 10);

    @Test
    void the_nearest_that_is_not_begun_comes_first_and_of_two_as_near_the_lower_tag() {
        NextTree next = NextTree.from(
                HERE,
                List.of(stem(1, 0, 11, true), stem(9, 0, 12, false), stem(7, 0, 8, false), stem(3, 180, 5, false)));

        assertThat(next.tag()).isEqualTo(7);
        assertThat(next.metres()).isCloseTo(2, within(1e-9));
        assertThat(next.degrees()).isCloseTo(180, within(1e-9));
        assertThat(next.left()).isEqualTo(4);
    }

    @Test
    void where_none_is_left_there_is_none() {
        assertThat(NextTree.from(HERE, List.of())).isEqualTo(new NextTree(null, null, null, null, 0));
    }

    private static NextTree.OpenStem stem(int tag, double azimuth, double distance, boolean begun) {
        return new NextTree.OpenStem(UUID.randomUUID(), tag, new PolarPosition(azimuth, distance), begun);
    }
}
