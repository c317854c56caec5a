package org.goldthistle.formats;

import java.util.List;

/**
 * A tree that was approved for control, as it leaves in a file.
 *
 * @param latitude of the stem, degrees north, WGS 84; null, as the next: its plot has no position
 * @param observers who signed it
 * @param approvedAt in ISO 8601
 * @param look code of what the last look said; null: none was taken
 * @param work code of what was done; null, as the next: nothing
 * @param near what stands near and must not be touched
 */
public record ControlledTree(
        String plot,
        int tag,
        Double latitude,
        Double longitude,
        double azimuthDegrees,
        double distanceMetres,
        int diameterMillimetres,
        String commonName,
        String scientificName,
        List<String> observers,
        String approvedBy,
        String approvedAt,
        String look,
        String work,
        String doneOn,
        List<Near> near) {

    /** A stem near it, in metres and degrees clockwise from north. */
    public record Near(int tag, String kind, String name, double metres, double degrees) {
        /** As a cell tells it: "31 keep bird cherry 2.4 m 118°". */
        String words() {
            return tag + " " + kind + (name.isEmpty() ? "" : " " + name) + " " + Math.round(10 * metres) / 10.0 + " m "
                    + Math.round(degrees) + "°";
        }
    }
}
