package org.goldthistle.core.plot;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

/** Places on the sphere, there and back. */
class GeoPositionTest {
    private static final GeoPosition HERE = new GeoPosition(55.03, -20.38);

    @Test
    void a_place_at_a_distance_along_a_bearing_is_that_far_and_lies_there() {
        for (double bearing = 0; bearing < 360; bearing += 37) {
            GeoPosition there = HERE.at(bearing, 250);

            assertThat(HERE.distanceTo(there)).isCloseTo(250, within(1e-6));
            assertThat(HERE.azimuthTo(there)).isCloseTo(bearing, within(1e-6));
        }
        assertThat(HERE.at(0, 100).latitude()).isGreaterThan(HERE.latitude());
        assertThat(HERE.at(90, 100).longitude()).isGreaterThan(HERE.longitude());
    }

    @Test
    void the_date_line_is_crossed_either_way() {
        GeoPosition east = new GeoPosition(10, 179.999).at(90, 1000);
        GeoPosition west = new GeoPosition(10, -179.999).at(270, 1000);

        assertThat(east.longitude()).isBetween(-180.0, -179.9);
        assertThat(west.longitude()).isBetween(179.9, 180.0);
        assertThat(new GeoPosition(10, 179.999).distanceTo(east)).isCloseTo(1000, within(1e-6));
    }

    @Test
    void every_place_of_a_square_is_told_as_its_middle_and_lies_within_half_a_diagonal_of_it() {
        for (double latitude = -89.9; latitude < 90; latitude += 13.7) {
            for (double bearing = 0; bearing < 360; bearing += 29) {
                GeoPosition place = new GeoPosition(latitude, -20.38).at(bearing, 300);
                GeoPosition told = place.inGridOf(1000);

                assertThat(told.distanceTo(place)).isLessThan(1000 / Math.sqrt(2) * 1.01);
                assertThat(told.inGridOf(1000).distanceTo(told)).isLessThan(1e-6);
            }
        }
        assertThat(HERE.at(10, 3).inGridOf(10_000)).isEqualTo(HERE.inGridOf(10_000));
    }

    @Test
    void a_stem_is_the_less_certain_the_farther_it_stands_from_the_centre() {
        double before = 0;
        for (double metres = 0; metres <= 60; metres += 5) {
            double off = new PolarPosition(metres, metres).uncertaintyMetres();

            assertThat(off).isGreaterThan(before).isBetween(10.0, 10.0 + metres * 0.05);
            before = off;
        }
    }
}
