package org.goldthistle.core.vigour;

import java.util.Comparator;
import java.util.List;
import org.goldthistle.core.plot.PolarPosition;

/**
 * How hard a stem is pressed by its neighbours: Hegyi's index, {@code Σ (d_i / d) / (dist_i + 0.3 m)} over the living neighbours
 * within 6 m.
 *
 * @param index 0: nothing stands near
 * @param pressing the neighbours, the one that presses most first
 * @see "Hegyi 1974, A simulation model for managing jack-pine stands, in: Growth models for tree and stand simulation, Stockholm"
 */
public record Competition(double index, List<Pressing> pressing) {
    /** How far a neighbour presses, in metres. */
    public static final double WITHIN = 6;

    private static final double LEAST_APART = 0.3; // metres added, so that stems on one spot press no more than that

    /** Copies the list. */
    public Competition {
        pressing = List.copyOf(pressing);
    }

    /** A stem as it stands. */
    public record Standing(int tag, PolarPosition at, int diameterMillimetres, boolean dead) {}

    /**
     * A neighbour, and what it adds.
     *
     * @param metres from the stem
     * @param share of the index, in (0, 1]
     */
    public record Pressing(int tag, double metres, double adds, double share) {}

    /**
     * What a stem bears.
     *
     * @param others of the same plot; those beyond it are not known, so stems at the edge seem freer than they are
     */
    public static Competition of(Standing stem, List<Standing> others) {
        List<Pressing> near = others.stream()
                .filter(other -> other.tag() != stem.tag() && !other.dead())
                .map(other -> {
                    double metres = stem.at().metresTo(other.at());
                    double adds =
                            (double) other.diameterMillimetres() / stem.diameterMillimetres() / (metres + LEAST_APART);
                    return new Pressing(other.tag(), metres, adds, 0);
                })
                .filter(one -> one.metres() <= WITHIN)
                .toList();
        double index = near.stream().mapToDouble(Pressing::adds).sum();
        return new Competition(
                index,
                near.stream()
                        .map(one -> new Pressing(one.tag(), one.metres(), one.adds(), one.adds() / index))
                        .sorted(Comparator.comparingDouble(Pressing::adds)
                                .reversed()
                                .thenComparingInt(Pressing::tag))
                        .toList());
    }
}
