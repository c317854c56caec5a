package org.goldthistle.demo;

import java.util.List;
import java.util.Map;

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

    /**
     * Tarnholt Forest as its crews walked it in three seasons. Sallow Beck has a zone of hybrids that widens
     * downstream; black cherry moves out of Old Nursery towards Churn Edge; Old Nursery's trees stand on ground that is
     * not theirs.
     */
    static List<DemoPlot> all() {
        return List.of(
                new DemoPlot(
                        "Heron Carr 01",
                        CLOSED_EARLIER,
                        900,
                        2400,
                        List.of("waterlogged"),
                        Map.of("alders", 8, "sallows", 6, "birches", 5),
                        9,
                        0.05,
                        "alders:incana",
                        0.2),
                new DemoPlot(
                        "Old Nursery 01",
                        CLOSED_EARLIER,
                        2600,
                        1500,
                        List.of("mesic", "edge"),
                        Map.of("larches", 7, "firs", 8, "limes", 4),
                        8,
                        0.9,
                        "firs:nordmanniana",
                        0.5),
                new DemoPlot(
                        "Long Ride 01",
                        CLOSED_EARLIER,
                        3400,
                        3100,
                        List.of("mesic", "edge"),
                        Map.of("limes", 5, "hawthorns", 8, "buckthorns", 4),
                        9,
                        0.5,
                        "hawthorns:media",
                        0.45),
                new DemoPlot(
                        "Sallow Beck 01",
                        CLOSED_LATER,
                        1500,
                        3600,
                        List.of("wet", "riparian"),
                        Map.of("sallows", 10, "alders", 6, "bird-cherries", 3),
                        8,
                        0,
                        "sallows:reichardtii",
                        0.1),
                new DemoPlot(
                        "Kettle Moss 05",
                        CLOSED_LATER,
                        800,
                        1300,
                        List.of("wet", "acid"),
                        Map.of("birches", 13, "buckthorns", 5, "sallows", 4),
                        7,
                        0,
                        "birches:aurata",
                        0.2),
                new DemoPlot(
                        "Churn Edge 02",
                        CLOSED_LATER,
                        4700,
                        900,
                        List.of("dry", "coastal"),
                        Map.of("bird-cherries", 6, "hawthorns", 8, "birches", 5),
                        9,
                        0.1,
                        "bird-cherries:serotina",
                        0.15),
                new DemoPlot(
                        "Sallow Beck 02",
                        OPEN,
                        1700,
                        3200,
                        List.of("wet", "riparian"),
                        Map.of("sallows", 11, "alders", 6, "bird-cherries", 3),
                        8,
                        0,
                        "sallows:reichardtii",
                        0.3),
                new DemoPlot(
                        "Sallow Beck 03",
                        OPEN,
                        1900,
                        2700,
                        List.of("wet", "riparian"),
                        Map.of("sallows", 12, "alders", 7),
                        7,
                        0,
                        "sallows:reichardtii",
                        0.55),
                new DemoPlot(
                        "Old Nursery 03",
                        OPEN,
                        2700,
                        1300,
                        List.of("wet", "acid"),
                        Map.of("larches", 8, "firs", 7, "alders", 5, "birches", 4),
                        6,
                        0.95,
                        "larches:marschlinsii",
                        0.45),
                new DemoPlot(
                        "Churn Edge 04",
                        OPEN,
                        3600,
                        1000,
                        List.of("mesic", "coastal"),
                        Map.of("bird-cherries", 11, "hawthorns", 7, "buckthorns", 4),
                        8,
                        0.1,
                        "bird-cherries:serotina",
                        0.6),
                new DemoPlot(
                        "Churn Edge 05",
                        OPEN,
                        4100,
                        950,
                        List.of("dry", "coastal"),
                        Map.of("bird-cherries", 9, "hawthorns", 8, "birches", 4),
                        8,
                        0.05,
                        "bird-cherries:serotina",
                        0.3),
                new DemoPlot(
                        "Long Ride 03",
                        OPEN,
                        3500,
                        2700,
                        List.of("mesic", "calcareous", "edge"),
                        Map.of("limes", 8, "hawthorns", 6, "buckthorns", 5),
                        9,
                        0.6,
                        "limes:europaea",
                        0.6),
                new DemoPlot(
                        "Heron Carr 02",
                        OPEN,
                        1000,
                        2200,
                        List.of("waterlogged", "shade"),
                        Map.of("alders", 11, "sallows", 7, "birches", 5),
                        8,
                        0,
                        "alders:hybrida",
                        0.15),
                new DemoPlot(
                        "Stony Rigg 01",
                        OPEN,
                        2200,
                        4100,
                        List.of("dry", "acid"),
                        Map.of("birches", 14, "larches", 6, "hawthorns", 4),
                        7,
                        0.3,
                        "birches:aurata",
                        0.2));
    }
}
