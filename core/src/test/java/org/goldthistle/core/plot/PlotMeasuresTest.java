package org.goldthistle.core.plot;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.goldthistle.core.Refusal;
import org.goldthistle.core.RefusedException;
import org.junit.jupiter.api.Test;

/** Where plots and stems are, and which measures of them are refused. */
class PlotMeasuresTest {
    private static final String SEED = "20261125";

    @Property(tries = 300, seed = SEED)
    void a_stem_is_found_again_from_its_position(
            @ForAll @DoubleRange(min = -80, max = 80) double latitude,
            @ForAll @DoubleRange(min = -180, max = 180) double longitude,
            @ForAll @DoubleRange(min = 0, max = 359.9) double azimuth,
            @ForAll @DoubleRange(min = 0.5, max = 200) double distance) {
        GeoPosition plot = new GeoPosition(latitude, longitude);

        GeoPosition stem = plot.at(azimuth, distance);

        assertEquals(distance, plot.distanceTo(stem), 1e-6); // micrometres: the digits of a degree run out there
        double off = Math.abs(azimuth - plot.azimuthTo(stem));
        assertTrue(Math.min(off, 360 - off) < 1e-4, () -> azimuth + " against " + plot.azimuthTo(stem));
    }

    @Test
    void a_degree_of_latitude_is_sixty_sea_miles_of_the_mean_sphere() {
        double metres = new GeoPosition(55, -20).distanceTo(new GeoPosition(56, -20));

        assertEquals(Math.PI / 180 * 6_371_008.8, metres, 1e-3);
        assertEquals(0, new GeoPosition(55, -20).azimuthTo(new GeoPosition(56, -20)), 1e-9);
    }

    @Test
    void everything_that_cannot_be_true_of_a_stem_is_told_at_once() {
        RefusedException refused =
                assertThrows(RefusedException.class, () -> new Stem(0, 400, Double.NaN, 3200, OptionalInt.of(2000)));

        assertEquals(
                "tag azimuthDegrees distanceMetres diameterMillimetres heightDecimetres",
                refused.refusals().stream().map(Refusal::key).collect(Collectors.joining(" ")));
    }

    @Test
    void a_stem_on_the_edge_is_inside_and_one_beyond_is_not() {
        Stem edge = new Stem(1, 0, 15, 200, OptionalInt.empty());

        edge.requireWithin(15);

        assertThrows(RefusedException.class, () -> edge.requireWithin(14.9));
    }

    @Test
    void a_plot_has_a_code_a_radius_and_an_altitude_that_can_be() {
        RefusedException refused = assertThrows(
                RefusedException.class, () -> new PlotGround("  ", Optional.empty(), 0.5, OptionalDouble.of(9001)));

        assertEquals(3, refused.refusals().size());
        assertEquals(
                "Kettle Moss 07",
                new PlotGround(" Kettle Moss 07 ", Optional.empty(), 15, OptionalDouble.empty()).code());
    }

    @Test
    void a_position_off_the_globe_is_refused() {
        assertThrows(RefusedException.class, () -> new GeoPosition(90.1, 0));
        assertThrows(RefusedException.class, () -> new GeoPosition(0, Double.NaN));
    }

    @Test
    void the_way_from_stem_to_stem_has_a_length_and_a_direction() {
        var north = new PolarPosition(0, 10);
        var east = new PolarPosition(90, 10);

        assertEquals(Math.sqrt(200), north.metresTo(east), 1e-9);
        assertEquals(135, north.degreesTo(east), 1e-9);
        assertEquals(315, east.degreesTo(north), 1e-9);
        assertEquals(0, north.metresTo(north), 1e-12);
    }

    @Property(tries = 200, seed = SEED)
    void the_way_back_is_as_long_and_the_other_way_round(
            @ForAll @DoubleRange(min = 0, max = 359.9) double azimuth,
            @ForAll @DoubleRange(min = 0.5, max = 30) double distance,
            @ForAll @DoubleRange(min = 0, max = 359.9) double otherAzimuth) {
        var here = new PolarPosition(azimuth, distance);
        var there = new PolarPosition(otherAzimuth, distance + 1);

        assertEquals(here.metresTo(there), there.metresTo(here), 1e-9);
        double turn = Math.abs(here.degreesTo(there) - there.degreesTo(here));
        assertEquals(180, turn, 1e-6);
    }
}
