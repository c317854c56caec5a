package org.goldthistle.formats;

import com.fasterxml.jackson.core.JsonGenerator;
import java.io.Closeable;
import java.io.IOException;
import java.io.OutputStream;
import org.goldthistle.core.plot.GeoPosition;

/** Writes the trees that were approved for control as a map: a feature collection of RFC 7946 with a point for each tree. */
public final class ControlGeoJson implements Closeable {
    private final PointFeatures features;

    /** Begins the map. */
    public ControlGeoJson(OutputStream to) throws IOException {
        features = new PointFeatures(to);
    }

    /** Writes a tree; one whose plot has no position has no geometry. */
    public void write(ControlledTree tree) throws IOException {
        boolean placed = tree.latitude() != null && tree.longitude() != null;
        JsonGenerator json = features.begin(placed ? new GeoPosition(tree.latitude(), tree.longitude()) : null);
        features.put("plot", tree.plot());
        json.writeNumberField("tag", tree.tag());
        features.put("azimuth", tree.azimuthDegrees());
        features.put("distance", tree.distanceMetres());
        json.writeNumberField("diameter", tree.diameterMillimetres());
        features.put("name", tree.commonName());
        features.put("scientific name", tree.scientificName());
        features.put("called by", tree.observers());
        features.put("approved by", tree.approvedBy());
        features.put("approved at", tree.approvedAt());
        features.put("last look", tree.look());
        features.put("done", tree.work());
        features.put("done on", tree.doneOn());
        json.writeArrayFieldStart("do not touch");
        for (ControlledTree.Near near : tree.near()) {
            json.writeStartObject();
            json.writeNumberField("tag", near.tag());
            features.put("why", near.kind());
            features.put("name", near.name());
            features.put("metres", near.metres());
            features.put("degrees", near.degrees());
            json.writeEndObject();
        }
        json.writeEndArray();
        features.end();
    }

    @Override
    public void close() throws IOException {
        features.close();
    }
}
