package org.goldthistle.formats;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonGenerator;
import java.io.Closeable;
import java.io.IOException;
import java.io.OutputStream;
import java.util.List;
import org.goldthistle.core.plot.GeoPosition;

/**
 * Writes a survey as a map: a feature collection of RFC 7946 with a point for each plot and for each tree. Properties
 * bear the headings of the table.
 */
public final class SurveyGeoJson implements Closeable {
    private final JsonGenerator json;

    /** Begins the map. */
    public SurveyGeoJson(OutputStream to) throws IOException {
        json = new JsonFactory().createGenerator(to);
        json.writeStartObject();
        json.writeStringField("type", "FeatureCollection");
        json.writeArrayFieldStart("features");
    }

    /** Writes a plot; its tree, if the row has one, is left out. */
    public void writePlot(SurveyRecord row) throws IOException {
        begin(position(row));
        json.writeStringField(SurveyField.PLOT.heading(), row.plot());
        put(SurveyField.RADIUS, row.radiusMetres());
        put(SurveyField.ALTITUDE, row.altitudeMetres());
        put(SurveyField.PLOT_HABITAT, row.plotHabitat());
        put(SurveyField.PLOT_NOTES, row.plotNotes());
        end();
    }

    /** Writes a tree where it stands; a plot without a position leaves its trees without one. */
    public void writeTree(SurveyRecord row, Determined determined) throws IOException {
        GeoPosition centre = position(row);
        begin(centre == null ? null : centre.at(row.azimuthDegrees(), row.distanceMetres()));
        json.writeStringField(SurveyField.PLOT.heading(), row.plot());
        json.writeNumberField(SurveyField.TAG.heading(), row.tag());
        put(SurveyField.AZIMUTH, row.azimuthDegrees());
        put(SurveyField.DISTANCE, row.distanceMetres());
        json.writeNumberField(SurveyField.DIAMETER.heading(), row.diameterMillimetres());
        if (row.heightDecimetres() != null) {
            json.writeNumberField(SurveyField.HEIGHT.heading(), row.heightDecimetres());
        }
        put(SurveyField.STAGE, row.stage());
        put(SurveyField.ORIGIN, row.origin());
        put(SurveyField.HABITAT, row.habitat());
        put(SurveyField.CONDITION, row.condition());
        put(SurveyField.GROUP, row.group());
        put(SurveyField.TAXON, row.taxon());
        if (row.cloneOf() != null) {
            json.writeNumberField(SurveyField.CLONE_OF.heading(), row.cloneOf());
        }
        put("stands as", determined.standsAs());
        put("determination", determined.name());
        put("determined by", determined.by());
        put("determined on", determined.on());
        end();
    }

    private static GeoPosition position(SurveyRecord row) {
        return row.latitude() == null || row.longitude() == null
                ? null
                : new GeoPosition(row.latitude(), row.longitude());
    }

    private void begin(GeoPosition at) throws IOException {
        json.writeStartObject();
        json.writeStringField("type", "Feature");
        if (at == null) {
            json.writeNullField("geometry");
        } else {
            json.writeObjectFieldStart("geometry");
            json.writeStringField("type", "Point");
            json.writeArrayFieldStart("coordinates");
            json.writeNumber(at.longitude());
            json.writeNumber(at.latitude());
            json.writeEndArray();
            json.writeEndObject();
        }
        json.writeObjectFieldStart("properties");
    }

    private void end() throws IOException {
        json.writeEndObject();
        json.writeEndObject();
    }

    private void put(SurveyField field, Object value) throws IOException {
        put(field.heading(), value);
    }

    private void put(String key, Object value) throws IOException {
        if (value instanceof Double number) {
            json.writeNumberField(key, number);
        } else if (value instanceof List<?> words) {
            json.writeArrayFieldStart(key);
            for (Object word : words) {
                json.writeString((String) word);
            }
            json.writeEndArray();
        } else if (value instanceof String text && !text.isEmpty()) {
            json.writeStringField(key, text);
        }
    }

    @Override
    public void close() throws IOException {
        json.writeEndArray();
        json.writeEndObject();
        json.close();
    }
}
