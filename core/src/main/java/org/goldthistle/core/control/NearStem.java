package org.goldthistle.core.control;

import java.util.Comparator;
import java.util.List;
import org.goldthistle.core.Coded;
import org.goldthistle.core.plot.PolarPosition;

/**
 * A stem near a tree that is to be cut, which must not be touched.
 *
 * @param name what it is taken for; empty: nobody has said
 * @param metres from the tree
 * @param degrees from the tree, clockwise from north, in [0, 360)
 */
public record NearStem(int tag, Kind kind, String name, double metres, double degrees) {
    /** How far around a tree stems are told, in metres. */
    public static final double WITHIN = 10;

    /** Why it is told of, what must be kept first. */
    public enum Kind implements Coded {
        /** A look-alike that is native, scarce or protected, or of which only the group is known. */
        KEEP("keep"),
        /** Another look-alike. */
        LOOK_ALIKE("look-alike"),
        /** A tree of which nobody has said what it is. */
        UNREAD("unread"),
        /** A tree that was called the same and that nobody approved. */
        NOT_APPROVED("not-approved");

        private final String code;

        Kind(String code) {
            this.code = code;
        }

        @Override
        public String code() {
            return code;
        }
    }

    /** A stem of the same plot. */
    public record Beside(int tag, Kind kind, String name, PolarPosition at) {}

    /** The stems within 10 m of a tree, those that must be kept first, the nearest first. */
    public static List<NearStem> around(PolarPosition tree, List<Beside> others) {
        return others.stream()
                .map(one -> new NearStem(
                        one.tag(), one.kind(), one.name(), tree.metresTo(one.at()), tree.degreesTo(one.at())))
                .filter(one -> one.metres() <= WITHIN)
                .sorted(Comparator.comparing(NearStem::kind).thenComparingDouble(NearStem::metres))
                .toList();
    }
}
