package org.goldthistle.demo;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Taxon;

/**
 * A made-up tree and what it truly is.
 *
 * @param group null: plain
 * @param taxon id of the true taxon, or the scientific name of a plain one
 */
record DemoStem(
        int tag,
        String group,
        String taxon,
        double azimuth,
        double distance,
        int diameter,
        Integer height,
        String stage,
        boolean planted) {

    static final double RADIUS = 15; // metres
    private static final double CLEARANCE = 0.9; // metres between stems
    private static final List<String> PLAIN = List.of(
            "Carpinus betulus",
            "Fagus sylvatica",
            "Acer campestre",
            "Picea sitchensis",
            "Picea abies",
            "Corylus avellana",
            "Ulmus glabra",
            "Ilex aquifolium",
            "Acer pseudoplatanus");

    /** The trees of a plot, tagged clockwise from north. */
    static List<DemoStem> of(DemoPlot plot, Map<String, GroupSheet> sheets, Random random) {
        List<String> kinds = new ArrayList<>();
        new TreeMap<>(plot.groups()).forEach((group, count) -> {
            for (int i = 0; i < count; i++) {
                kinds.add(group);
            }
        });
        for (int i = 0; i < plot.plain(); i++) {
            kinds.add(null);
        }
        Collections.shuffle(kinds, random);
        List<double[]> places = places(kinds.size(), random);
        List<DemoStem> stems = new ArrayList<>();
        for (int i = 0; i < kinds.size(); i++) {
            stems.add(stem(plot, i, kinds.get(i), places.get(i), sheets, random));
        }
        return stems;
    }

    private static List<double[]> places(int count, Random random) {
        List<double[]> places = new ArrayList<>();
        while (places.size() < count) {
            double azimuth = random.nextInt(3600) / 10.0;
            double distance = Math.round(10 * (RADIUS - 0.3) * Math.sqrt(random.nextDouble())) / 10.0;
            boolean clear = places.stream().allMatch(other -> metres(other, azimuth, distance) > CLEARANCE);
            if (clear && distance > 0.5) {
                places.add(new double[] {azimuth, distance});
            }
        }
        places.sort((a, b) -> Double.compare(a[0], b[0]));
        return places;
    }

    private static double metres(double[] other, double azimuth, double distance) {
        double angle = Math.toRadians(other[0] - azimuth);
        return Math.sqrt(
                Math.max(0, other[1] * other[1] + distance * distance - 2 * other[1] * distance * Math.cos(angle)));
    }

    private static DemoStem stem(
            DemoPlot plot, int i, String group, double[] place, Map<String, GroupSheet> sheets, Random random) {
        boolean planted = random.nextDouble() < plot.planted();
        String stage = stage(random);
        String taxon = group == null
                ? PLAIN.get(random.nextInt(PLAIN.size()))
                : taxon(plot, sheets.get(group), planted, random);
        int diameter = diameter(stage, random);
        Integer height = random.nextDouble() < 0.2 ? 14 + (int) Math.round(Math.sqrt(diameter) * 9) : null;
        return new DemoStem(i + 1, group, taxon, place[0], place[1], diameter, height, stage, planted);
    }

    /** As common as its sheet says, but for the wanderer of this plot; nobody asks whether the ground suits it. */
    private static String taxon(DemoPlot plot, GroupSheet sheet, boolean planted, Random random) {
        String wanderer = sheet.id() + ":";
        if (plot.wanderer().startsWith(wanderer) && random.nextDouble() < plot.wandering()) {
            return plot.wanderer().substring(wanderer.length());
        }
        double left = random.nextDouble() * 100;
        for (Taxon taxon : sheet.taxa()) {
            left -= planted ? taxon.plantedAbundance() : taxon.abundance();
            if (left < 0) {
                return taxon.id();
            }
        }
        return sheet.taxa().get(0).id();
    }

    private static String stage(Random random) {
        double which = random.nextDouble();
        return which < 0.62 ? "mature" : which < 0.88 ? "pole" : "sapling";
    }

    private static int diameter(String stage, Random random) {
        return switch (stage) {
            case "mature" -> 160 + (int) (280 * Math.abs(random.nextGaussian()));
            case "pole" -> 75 + random.nextInt(80);
            default -> 18 + random.nextInt(50);
        };
    }
}
