package org.goldthistle.demo;

import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * A made-up plot: what grows there, and how.
 *
 * @param east metres from the forest's corner, as the next
 * @param habitat codes of the ground
 * @param groups trees of each confusable group
 * @param plain trees that nobody doubts
 * @param planted share of them that was planted, in [0, 1]
 * @param wanderer taxon, as group:taxon, that is commoner here than anywhere else; empty: none
 * @param wandering its share of its group here, in [0, 1]
 */
record DemoPlot(
        String code,
        int season,
        double east,
        double north,
        List<String> habitat,
        Map<String, Integer> groups,
        int plain,
        double planted,
        String wanderer,
        double wandering) {

    static final int CLOSED_EARLIER = 2024;
    static final int CLOSED_LATER = 2025;
    static final int OPEN = 2026;

    /** Plots that were walked in each of the three seasons, so that these can be compared. */
    static final Set<String> WALKED_EVERY_YEAR = Set.of("Sallow Beck 02", "Churn Edge 05", "Heron Carr 02");

    /**
     * Tarnholt Forest as its crews walked it in three seasons. Sallow Beck has a zone of hybrids that widens
     * downstream; black cherry moves out of Old Nursery towards Churn Edge; Old Nursery's trees stand on ground that is
     * not theirs.
     */
    static List<DemoPlot> all(ObjectMapper json) {
        return read(json, "/demo-plots.json");
    }

    /** Plots of the open season that were laid out last, where oaks, ashes, poplars, pines and whitebeams grow. */
    static List<DemoPlot> later(ObjectMapper json) {
        return read(json, "/demo-later-plots.json");
    }

    /** The same plot in another season. */
    DemoPlot in(int year) {
        return new DemoPlot(code, year, east, north, habitat, groups, plain, planted, wanderer, wandering);
    }

    /** Whether it stands for an earlier walk of a plot of the open season. */
    boolean isEarlierWalk() {
        return season != OPEN && WALKED_EVERY_YEAR.contains(code);
    }

    private static List<DemoPlot> read(ObjectMapper json, String name) {
        try (InputStream file = DemoPlot.class.getResourceAsStream(name)) {
            return json.readValue(file, new TypeReference<List<DemoPlot>>() {});
        } catch (IOException broken) {
            throw new UncheckedIOException("the demo's plots ship with the application", broken);
        }
    }
}
