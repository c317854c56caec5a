package org.goldthistle.core.sheet;

import java.util.List;
import org.goldthistle.core.Refusals;

/**
 * How a number is taken, so that nobody reckons by hand: what is laid, pointed at or counted, in the words that a crew
 * member reads beside the drawing.
 */
public sealed interface Measured {

    /** Which of the eight it is. */
    MeasuringWay way();

    /** The words for what is laid, pointed at or counted, in the order asked. */
    List<String> parts();

    /** The length of one line, in mm. */
    record Line(String of) implements Measured {
        /** @throws org.goldthistle.core.RefusedException if nothing is said */
        public Line {
            requireWords("of", of);
        }

        @Override
        public MeasuringWay way() {
            return MeasuringWay.LINE;
        }

        @Override
        public List<String> parts() {
            return List.of(of);
        }
    }

    /** One line over another. */
    record Ratio(String over, String under) implements Measured {
        /** @throws org.goldthistle.core.RefusedException if nothing is said */
        public Ratio {
            requireWords("over", over);
            requireWords("under", under);
        }

        @Override
        public MeasuringWay way() {
            return MeasuringWay.RATIO;
        }

        @Override
        public List<String> parts() {
            return List.of(over, under);
        }
    }

    /** The angle at a corner between two arms, 0-180 degrees. */
    record Angle(String corner, Ends arms) implements Measured {
        /** @throws org.goldthistle.core.RefusedException if nothing is said */
        public Angle {
            requireWords("corner", corner);
        }

        @Override
        public MeasuringWay way() {
            return MeasuringWay.ANGLE;
        }

        @Override
        public List<String> parts() {
            return List.of(corner, arms.from(), arms.to());
        }
    }

    /** How many of one sort. */
    record Count(String of) implements Measured {
        /** @throws org.goldthistle.core.RefusedException if nothing is said */
        public Count {
            requireWords("of", of);
        }

        @Override
        public MeasuringWay way() {
            return MeasuringWay.COUNT;
        }

        @Override
        public List<String> parts() {
            return List.of(of);
        }
    }

    /** How many of one sort, less those of another. */
    record Difference(String of, String less) implements Measured {
        /** @throws org.goldthistle.core.RefusedException if nothing is said */
        public Difference {
            requireWords("of", of);
            requireWords("less", less);
        }

        @Override
        public MeasuringWay way() {
            return MeasuringWay.DIFFERENCE;
        }

        @Override
        public List<String> parts() {
            return List.of(of, less);
        }
    }

    /**
     * The distance across an axis of two points, in mm.
     *
     * @param at where on the axis, 0-1 from its first end
     */
    record WidthAt(Ends axis, double at, String of) implements Measured {
        /** @throws org.goldthistle.core.RefusedException if nothing is said or the place is off the axis */
        public WidthAt {
            var refusals = new Refusals();
            refusals.requireShare(at, "at");
            refusals.requireText(of, "of");
            refusals.throwIfAny();
        }

        @Override
        public MeasuringWay way() {
            return MeasuringWay.WIDTH_AT;
        }

        @Override
        public List<String> parts() {
            return List.of(axis.from(), axis.to(), of);
        }
    }

    /** How far along an axis a point stands, as a part of the axis. */
    record Place(Ends axis, String of) implements Measured {
        /** @throws org.goldthistle.core.RefusedException if nothing is said */
        public Place {
            requireWords("of", of);
        }

        @Override
        public MeasuringWay way() {
            return MeasuringWay.PLACE;
        }

        @Override
        public List<String> parts() {
            return List.of(axis.from(), axis.to(), of);
        }
    }

    /** How far a notch goes in from the tip of a lobe towards an axis, as a part of the way. */
    record Depth(Ends axis, String notch, String lobe) implements Measured {
        /** @throws org.goldthistle.core.RefusedException if nothing is said */
        public Depth {
            requireWords("notch", notch);
            requireWords("lobe", lobe);
        }

        @Override
        public MeasuringWay way() {
            return MeasuringWay.DEPTH;
        }

        @Override
        public List<String> parts() {
            return List.of(axis.from(), axis.to(), notch, lobe);
        }
    }

    /** Two ends of an axis, or of two arms. */
    record Ends(String from, String to) {
        /** @throws org.goldthistle.core.RefusedException if nothing is said */
        public Ends {
            requireWords("from", from);
            requireWords("to", to);
        }
    }

    private static void requireWords(String key, String words) {
        var refusals = new Refusals();
        refusals.requireText(words, key);
        refusals.throwIfAny();
    }
}
