package org.goldthistle.library;

import java.util.Arrays;
import java.util.List;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.sheet.Measure;
import org.goldthistle.core.sheet.MeasuringWay;
import org.goldthistle.platform.ForObservers;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** The ways in which a sheet may have a number taken. */
@RestController
class MeasuringWayController {
    private static final List<MeasuringWayDto> ALL =
            Arrays.stream(MeasuringWay.values()).map(MeasuringWayDto::of).toList();

    /** All ways in which a number can be taken, with what a sheet says of each. */
    @GetMapping("/api/measuring-ways")
    @ForObservers
    List<MeasuringWayDto> listMeasuringWays() {
        return ALL;
    }

    /**
     * A way of taking a number.
     *
     * @param as the word that a sheet spells it with
     * @param gives what kind of number comes out; it fits characters of that kind alone
     * @param words what it is
     * @param asked what a sheet says of it, in the order asked
     */
    record MeasuringWayDto(
            @CodeOf(MeasuringWay.class) String as,
            @CodeOf(Measure.class) String gives,
            String words,
            List<AskedDto> asked) {
        static MeasuringWayDto of(MeasuringWay way) {
            return new MeasuringWayDto(
                    way.code(),
                    way.gives().code(),
                    way.words(),
                    way.asked().stream()
                            .map(one -> new AskedDto(one.key(), one.shape().code(), one.words(), one.part()))
                            .toList());
        }
    }

    /**
     * Something that a sheet says of a way.
     *
     * @param key in the file
     * @param shape words: a text; ends: two texts; share: a number, 0-1
     * @param words what to write there
     * @param part which part of the figure shows it, from 0; -1: no single one
     */
    record AskedDto(
            String key, @CodeOf(MeasuringWay.Shape.class) String shape, String words, int part) {}
}
