package org.goldthistle.browser;

import jakarta.annotation.Nullable;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.call.NextTree;
import org.goldthistle.call.Outcome;
import org.goldthistle.call.TreeLook;
import org.goldthistle.call.TreeStanding;
import org.goldthistle.core.Coded;
import org.goldthistle.core.plot.PolarPosition;

/** Says of the trees of a plot what their table and map show; plain values in and out. */
final class PlotDesk {
    private PlotDesk() {}

    /**
     * How a tree stands and looks after what was entered on a device.
     *
     * @param tree as {@link Row}
     * @return {@code standsAs}, {@code look} and {@code toDo}, as in the server's rows
     */
    static Map<String, Object> look(Object tree) {
        Row row = Plain.read(Row.class, tree);
        TreeStanding standing = row.standing();
        TreeLook look = TreeLook.of(row.cloneOf() != null, standing, row.contested(), row.readings() > 0);
        Map<String, Object> plain = new LinkedHashMap<>();
        plain.put("standsAs", standing.code());
        plain.put("look", look.code());
        plain.put("toDo", look.isToDo());
        return plain;
    }

    /** Where an observer goes on to from a tree, among all trees of its plot. */
    static Object next(String hereId, List<?> trees) {
        List<Row> rows = trees.stream().map(tree -> Plain.read(Row.class, tree)).toList();
        PolarPosition here = rows.stream()
                .filter(row -> row.id().toString().equals(hereId))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("the plot has no tree " + hereId))
                .at();
        return Plain.write(NextTree.from(
                here,
                rows.stream()
                        .filter(row -> !row.id().toString().equals(hereId))
                        .filter(row -> NextTree.isOpen(row.groupId() != null, row.cloneOf() != null, row.standing()))
                        .map(row -> new NextTree.OpenStem(row.id(), row.tag(), row.at(), row.readings() > 0))
                        .toList()));
    }

    /**
     * A tree of a plot as it was entered and worked on.
     *
     * @param standsAs as it stood before; null: it was entered here
     * @param signedAs outcome that was signed here since; null: none
     * @param readings 0: its observer has read nothing of it
     */
    private record Row(
            UUID id,
            int tag,
            double azimuthDegrees,
            double distanceMetres,
            @Nullable String groupId,
            @Nullable UUID cloneOf,
            @Nullable String standsAs,
            @Nullable String signedAs,
            boolean contested,
            int readings) {
        PolarPosition at() {
            return new PolarPosition(azimuthDegrees, distanceMetres);
        }

        TreeStanding standing() {
            if (signedAs != null) {
                return TreeStanding.signed(
                        Coded.find(Outcome.values(), signedAs).orElseThrow());
            }
            return standsAs == null
                    ? TreeStanding.entered(groupId != null)
                    : Coded.find(TreeStanding.values(), standsAs).orElseThrow().changed(groupId != null);
        }
    }
}
