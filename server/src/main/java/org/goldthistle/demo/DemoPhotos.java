package org.goldthistle.demo;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import org.goldthistle.call.Taken;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.measure.Estimate;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.Measured;
import org.goldthistle.core.sheet.NumberScale;

/** Lets the demo's readers measure their leaves on a photo. */
final class DemoPhotos {
    /** Length of a blade over its greatest width, or its length alone. */
    private static final List<String> SHAPES = List.of("leaf-ratio", "leaf-length");

    private static final double SLIM = 0.55; // width of a blade over its length, where that is not asked for
    private static final int LEAVES = 3; // that one photo has room for
    private static final double SHORTEST = 46; // mm
    private static final double LONGER = 16; // mm, up to which one is longer

    private DemoPhotos() {}

    /** Whether a sheet has leaves that are measured so. */
    static boolean canMeasure(GroupModel model) {
        return shape(model).isPresent();
    }

    private static Optional<DiagnosticCharacter> shape(GroupModel model) {
        return SHAPES.stream()
                .flatMap(shape -> model.sheet().character(shape).stream())
                .findFirst();
    }

    /**
     * The same call with the shape of its leaves measured on a photo.
     *
     * @param as the taxon whose leaves they look like
     */
    static ArchivedCall measured(ArchivedCall call, GroupModel model, String as, Random random) {
        DiagnosticCharacter character = shape(model).orElseThrow();
        String shape = character.id();
        var way = ((NumberScale) character.scale()).measured().orElseThrow();
        var photo = new DrawnPhoto(random);
        List<Double> values = new ArrayList<>();
        List<Taken> taken = new ArrayList<>();
        List<Double> leaves =
                new DemoReader(model, random).values(character, model.sheet().taxonIndex(as), false);
        for (double value : leaves.subList(0, Math.min(LEAVES, leaves.size()))) {
            boolean ratio = way instanceof Measured.Ratio;
            double length = ratio ? SHORTEST + LONGER * random.nextDouble() : value;
            Estimate estimate = photo.measureLeaf(way, length, ratio ? length / value : length * SLIM);
            values.add(estimate.value());
            taken.add(new Taken(null, estimate.error()));
        }
        var reading = new ArchivedCall.Reading(shape, null, values, "sure", "attached", "sun", taken);
        List<ArchivedCall.Reading> readings = Stream.concat(
                        Stream.of(reading),
                        call.readings().stream().filter(one -> !one.character().equals(shape)))
                .toList();
        var shot = new ArchivedCall.Shot(
                DemoData.id("photo " + call.treeId() + " " + call.observerId()), shape, photo.jpeg());
        return call.with(readings, List.of(shot));
    }
}
