package org.goldthistle.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.sheet.Measured;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Points laid on a plane, seen by a pinhole camera that is held askew, tapped, and reckoned back. */
class PhotoValueTest {
    private static final Measured.Ends AXIS = new Measured.Ends("foot", "tip");
    private static final List<Point> CROSSES =
            List.of(new Point(0, 0), new Point(90, 0), new Point(90, 60), new Point(0, 60));

    /** A camera above the middle of the card, turned and tilted; what lies on the plane in mm it sees in pixels. */
    private record Camera(double turn, double tilt, double lens, double height) {
        static Camera any(Random random, double steepest) {
            return new Camera(
                    2 * Math.PI * random.nextDouble(),
                    Math.toRadians(steepest * random.nextDouble()),
                    2400 + 800 * random.nextDouble(),
                    260 + 160 * random.nextDouble());
        }

        Point sees(Point p) {
            double x = p.x() - 45;
            double y = p.y() - 30;
            double across = Math.cos(turn) * x - Math.sin(turn) * y;
            double up = Math.sin(turn) * x + Math.cos(turn) * y;
            double away = height + Math.sin(tilt) * up;
            return new Point(2000 + lens * across / away, 1500 + lens * Math.cos(tilt) * up / away);
        }

        List<Point> sees(List<Point> points) {
            return points.stream().map(this::sees).toList();
        }
    }

    /** What is laid on the plane, and what must come out. */
    private record Laid(Measured measured, List<List<Point>> parts, double value) {}

    private static List<Laid> laid(Random random) {
        Point a = place(random);
        Point b = new Point(a.x() + 12 + 40 * random.nextDouble(), a.y() + 9 * random.nextDouble());
        Point c = new Point(a.x() + 3, a.y() + 12 + 20 * random.nextDouble());
        Point d = new Point(b.x() - 2, b.y() + 5 + 9 * random.nextDouble());
        double ab = a.to(b);
        Point along = new Point((b.x() - a.x()) / ab, (b.y() - a.y()) / ab);
        double notch = Math.abs(along.cross(d.minus(a)));
        double lobe = Math.abs(along.cross(c.minus(a)));
        double corner = Math.abs(Math.atan2(b.y() - a.y(), b.x() - a.x()) - Math.atan2(c.y() - a.y(), c.x() - a.x()));
        return List.of(
                new Laid(new Measured.Line("leaf"), List.of(List.of(a, b, d)), ab + b.to(d)),
                new Laid(new Measured.Ratio("leaf", "width"), List.of(List.of(a, b), List.of(c, d)), ab / c.to(d)),
                new Laid(
                        new Measured.Angle("base", AXIS),
                        List.of(List.of(a), List.of(b), List.of(c)),
                        Math.toDegrees(corner)),
                new Laid(new Measured.Count("teeth"), List.of(List.of(a, b, c)), 3),
                new Laid(new Measured.Difference("teeth", "veins"), List.of(List.of(a, b, c), List.of(d)), 2),
                new Laid(
                        new Measured.WidthAt(AXIS, 0.25, "the width"),
                        List.of(List.of(a), List.of(b), List.of(c, d)),
                        Math.abs(along.cross(d.minus(c)))),
                new Laid(
                        new Measured.Place(AXIS, "widest"),
                        List.of(List.of(a), List.of(b), List.of(c)),
                        along.dot(c.minus(a)) / ab),
                new Laid(
                        new Measured.Depth(AXIS, "notch", "lobe"),
                        List.of(List.of(a), List.of(b), List.of(d), List.of(c)),
                        (lobe - notch) / lobe));
    }

    private static Point place(Random random) {
        return new Point(10 + 20 * random.nextDouble(), 10 + 12 * random.nextDouble());
    }

    @Property(tries = 1000)
    void a_slanted_photo_with_the_card_is_no_fault(
            @ForAll long seed, @ForAll @DoubleRange(min = 0, max = 50) double steepest) {
        Random random = new Random(seed);
        Camera camera = Camera.any(random, steepest);
        List<Point> crosses = new ArrayList<>(camera.sees(CROSSES));
        Collections.shuffle(crosses, random);
        if (looksSquare(camera)) {
            assertThat(camera.tilt()).isGreaterThan(Math.toRadians(44));
            assertThatExceptionOfType(RefusedException.class)
                    .isThrownBy(() -> PhotoScale.card(crosses))
                    .withMessageContaining("a card that looks square");
            return;
        }
        PhotoScale card = PhotoScale.card(crosses);

        for (Laid laid : laid(random)) {
            List<List<Point>> taps = laid.parts().stream().map(camera::sees).toList();
            double value =
                    new PhotoValue(laid.measured(), taps, card).estimate(1).value();
            assertThat(value)
                    .as(laid.measured().way().code())
                    .isCloseTo(laid.value(), within(1e-9 * (1 + Math.abs(laid.value()))));
        }
    }

    @Property(tries = 100)
    void a_card_seen_so_steeply_that_its_sides_may_be_taken_for_each_other_is_refused(
            @ForAll long seed, @ForAll @DoubleRange(min = 48, max = 50) double tilt) {
        Camera along = new Camera(Math.PI / 2, Math.toRadians(tilt), 2800, 260 + 100 * new Random(seed).nextDouble());

        assertThat(looksSquare(along)).isTrue();
        assertThatExceptionOfType(RefusedException.class)
                .isThrownBy(() -> PhotoScale.card(along.sees(CROSSES)))
                .withMessageContaining("from further above");
    }

    /** Whether the longer sides of the card look less than 4 % longer, or shorter, than the others. */
    private static boolean looksSquare(Camera camera) {
        List<Point> seen = camera.sees(CROSSES);
        return seen.get(0).to(seen.get(1)) + seen.get(2).to(seen.get(3))
                < 1.04 * (seen.get(1).to(seen.get(2)) + seen.get(3).to(seen.get(0)));
    }

    @Property(tries = 100)
    void a_ruler_tells_lengths_on_a_photo_from_straight_above(
            @ForAll long seed, @ForAll @IntRange(min = 3, max = 18) int perMillimetre) {
        Random random = new Random(seed);
        Laid line = laid(random).get(0);
        List<List<Point>> taps = line.parts().stream()
                .map(part -> part.stream()
                        .map(p -> new Point(perMillimetre * p.x(), perMillimetre * p.y()))
                        .toList())
                .toList();
        PhotoScale ruler = PhotoScale.ruler(new Point(5, 5), new Point(5 + 30.0 * perMillimetre, 5), 30);

        assertThat(new PhotoValue(line.measured(), taps, ruler).estimate(1).value())
                .isCloseTo(line.value(), within(1e-9 * line.value()));
    }

    static List<Arguments> ways() {
        return laid(new Random(7)).stream()
                .filter(laid -> !(laid.measured() instanceof Measured.Count)
                        && !(laid.measured() instanceof Measured.Difference))
                .map(laid -> Arguments.of(laid.measured().way().code(), laid))
                .toList();
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("ways")
    void the_error_that_is_told_is_the_spread_of_taps_that_are_off(String as, Laid laid) {
        Random random = new Random(11);
        Camera camera = new Camera(0.4, Math.toRadians(30), 2800, 300);
        List<List<Point>> taps = laid.parts().stream().map(camera::sees).toList();
        List<Point> crosses = camera.sees(CROSSES);
        List<List<Double>> zooms =
                taps.stream().map(part -> zooms(part, random)).toList();
        List<Double> ofCrosses = zooms(crosses, random);
        double told = new PhotoValue(laid.measured(), taps, PhotoScale.card(crosses))
                .estimate(Stream.concat(zooms.stream(), Stream.of(ofCrosses))
                        .flatMap(List::stream)
                        .toList())
                .error();

        int draws = 2000;
        double sum = 0;
        double squares = 0;
        for (int i = 0; i < draws; i++) {
            double value = new PhotoValue(
                            laid.measured(),
                            IntStream.range(0, taps.size())
                                    .mapToObj(part -> shaken(taps.get(part), zooms.get(part), random))
                                    .toList(),
                            PhotoScale.card(shaken(crosses, ofCrosses, random)))
                    .estimate(1)
                    .value();
            sum += value;
            squares += value * value;
        }
        double spread = Math.sqrt(squares / draws - sum / draws * sum / draws);

        assertThat(told).isCloseTo(spread, within(0.1 * spread));
    }

    /** Each point was tapped as near or far as came to hand. */
    private static List<Double> zooms(List<Point> points, Random random) {
        return points.stream()
                .map(point -> Math.exp(2.5 * random.nextDouble() - 0.5))
                .toList();
    }

    private static List<Point> shaken(List<Point> points, List<Double> zooms, Random random) {
        return IntStream.range(0, points.size())
                .mapToObj(i -> points.get(i)
                        .plus(
                                PhotoValue.TAP / zooms.get(i) * random.nextGaussian(),
                                PhotoValue.TAP / zooms.get(i) * random.nextGaussian()))
                .toList();
    }

    @Test
    void nearer_taps_mend_what_was_tapped_near_and_no_more() {
        PhotoValue line = new PhotoValue(
                new Measured.Line("leaf"),
                List.of(List.of(new Point(0, 0), new Point(400, 0))),
                PhotoScale.ruler(new Point(0, 50), new Point(500, 50), 50));
        double ends = PhotoValue.TAP * Math.sqrt(2) * 50 / 500; // mm, of two taps along the line
        double ruler = PhotoValue.TAP * Math.sqrt(2) * 40 / 500;

        assertThat(line.estimate(List.of(1.0, 1.0, 1e9, 1e9)).error()).isCloseTo(ends, within(1e-6));
        assertThat(line.estimate(List.of(1e9, 1e9, 1.0, 1.0)).error()).isCloseTo(ruler, within(1e-6));
        assertThat(line.estimate(1).error()).isCloseTo(Math.hypot(ends, ruler), within(1e-6));
    }

    @Test
    void a_photo_that_was_enlarged_twice_is_off_by_half() {
        PhotoValue line = new PhotoValue(
                new Measured.Line("leaf"),
                List.of(List.of(new Point(0, 0), new Point(400, 0))),
                PhotoScale.ruler(new Point(0, 50), new Point(500, 50), 50));

        assertThat(line.estimate(2).error()).isCloseTo(line.estimate(1).error() / 2, within(1e-12));
        assertThat(line.estimate(1).value()).isCloseTo(40, within(1e-9));
    }

    static List<Arguments> unfit() {
        Point a = new Point(100, 100);
        Point b = new Point(400, 100);
        Measured line = new Measured.Line("leaf");
        Measured ratio = new Measured.Ratio("leaf", "width");
        PhotoScale ruler = PhotoScale.ruler(new Point(0, 50), new Point(500, 50), 50);
        return List.of(
                unfit(
                        "a length without a scale",
                        "scale",
                        () -> new PhotoValue(line, List.of(List.of(a, b)), PhotoScale.NONE)),
                unfit("taps on one place", "parts[0]", () -> new PhotoValue(line, List.of(List.of(a, a)), ruler)),
                unfit(
                        "a tap that is nowhere",
                        "parts[0]",
                        () -> new PhotoValue(line, List.of(List.of(a, new Point(Double.NaN, 0))), ruler)),
                unfit("a part too few", "parts", () -> new PhotoValue(ratio, List.of(List.of(a, b)), ruler)),
                unfit("a line of one tap", "parts[0]", () -> new PhotoValue(line, List.of(List.of(a)), ruler)),
                unfit("no zoom", "zoom", () -> new PhotoValue(line, List.of(List.of(a, b)), ruler).estimate(0)),
                unfit(
                        "a zoom too few",
                        "zoom",
                        () -> new PhotoValue(line, List.of(List.of(a, b)), ruler).estimate(List.of(1.0, 1.0, 1.0))),
                unfit(
                        "a lobe on the axis",
                        "parts",
                        () -> new PhotoValue(
                                        new Measured.Depth(AXIS, "notch", "lobe"),
                                        List.of(List.of(a), List.of(b), List.of(a), List.of(new Point(200, 100))),
                                        PhotoScale.NONE)
                                .estimate(1)),
                unfit(
                        "fewer teeth than veins",
                        "parts",
                        () -> new PhotoValue(
                                        new Measured.Difference("teeth", "veins"),
                                        List.of(List.of(), List.of(a)),
                                        PhotoScale.NONE)
                                .estimate(1)),
                unfit("three taps of a ruler", "scale", () -> new PhotoScale(List.of(a, b, a), 10)),
                unfit("a stretch of no length", "scale", () -> PhotoScale.ruler(a, b, 0)),
                unfit("a stretch on one place", "scale", () -> PhotoScale.ruler(a, a, 10)),
                unfit("a stretch far too fine", "scale", () -> PhotoScale.ruler(a, b, 0.5)),
                unfit(
                        "crosses on one line",
                        "crosses",
                        () -> PhotoScale.card(List.of(a, b, new Point(250, 100), new Point(250, 400)))),
                unfit(
                        "a cross between the others",
                        "crosses",
                        () -> PhotoScale.card(
                                List.of(new Point(0, 0), new Point(600, 0), new Point(300, 500), new Point(300, 160)))),
                unfit(
                        "a card as large as a barn door",
                        "scale",
                        () -> PhotoScale.card(List.of(
                                new Point(0, 0), new Point(90000, 0), new Point(90000, 60000), new Point(0, 60000)))));
    }

    private static Arguments unfit(String what, String key, Runnable make) {
        return Arguments.of(what, key, make);
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("unfit")
    void what_cannot_be_measured_is_refused_in_words(String what, String key, Runnable make) {
        RefusedException refused = catchThrowableOfType(RefusedException.class, make::run);

        assertThat(refused).as(what).isNotNull();
        assertThat(refused.refusals()).extracting(one -> one.key()).containsExactly(key);
    }

    @Test
    void the_line_on_which_a_width_is_taken_stands_across_the_axis_on_the_leaf_not_on_the_photo() {
        Camera camera = new Camera(0.7, Math.toRadians(40), 2800, 300);
        Measured width = new Measured.WidthAt(AXIS, 0.25, "the two edges");
        List<List<Point>> axis =
                List.of(List.of(camera.sees(new Point(20, 10))), List.of(camera.sees(new Point(60, 10))));
        PhotoScale card = PhotoScale.card(camera.sees(CROSSES));

        List<Point> line = Guide.across(width, axis, card).orElseThrow();

        assertThat(line.get(0).to(camera.sees(new Point(30, 30)))).isCloseTo(0, within(1e-6));
        assertThat(line.get(1).to(camera.sees(new Point(30, -10)))).isCloseTo(0, within(1e-6));
        assertThat(Guide.across(width, axis.subList(0, 1), card)).isEmpty();
        assertThat(Guide.across(new Measured.Line("leaf"), axis, card)).isEmpty();
    }

    @Test
    void an_error_of_more_than_a_quarter_of_the_narrowest_spread_settles_nothing() {
        assertThat(new Estimate(24, 0.5).isCoarse(2)).isFalse();
        assertThat(new Estimate(24, 0.51).isCoarse(2)).isTrue();
    }

    @Test
    void the_bar_tells_a_card_that_was_printed_at_another_size() {
        Camera camera = new Camera(0.2, 0.5, 2800, 300);
        PhotoScale card = PhotoScale.card(camera.sees(CROSSES));
        Point from = camera.sees(new Point(20, 52));

        assertThat(card.checkBar(from, camera.sees(new Point(70, 52)))).isCloseTo(50, within(1e-9));

        assertThat(catchThrowableOfType(
                        RefusedException.class, () -> card.checkBar(from, camera.sees(new Point(68.5, 52)))))
                .hasMessageContaining("48.5 mm");
    }

    @Test
    void two_rulers_across_each_other_tell_a_slant() {
        PhotoScale along = PhotoScale.ruler(new Point(0, 0), new Point(500, 0), 50);

        along.checkAcross(PhotoScale.ruler(new Point(0, 0), new Point(0, 490), 50));
        PhotoScale shorter = PhotoScale.ruler(new Point(0, 0), new Point(0, 480), 50);

        assertThat(catchThrowableOfType(RefusedException.class, () -> along.checkAcross(shorter)))
                .hasMessageContaining("differ by 4 %");
        assertThat(catchThrowableOfType(RefusedException.class, () -> shorter.checkAcross(along)))
                .hasMessageContaining("slanted");
    }
}
