package org.goldthistle.formats;

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
    private final PointFeatures features;
    private JsonGenerator json; // of the feature that is being written

    /** Begins the map. */
    public SurveyGeoJson(OutputStream to) throws IOException {
        features = new PointFeatures(to);
    }

    /** Writes a plot; its tree, if the row has one, is left out. */
    public void writePlot(SurveyRecord row) throws IOException {
        begin(position(row));
        json.writeStringField(SurveyField.PLOT.heading(), row.plot());
        put(SurveyField.RADIUS, row.radiusMetres());
        put(SurveyField.ALTITUDE, row.altitudeMetres());
        put(SurveyField.PLOT_HABITAT, row.plotHabitat());
        put(SurveyField.PLOT_NOTES, row.plotNotes());
        features.end();
    }

    /**
     * Writes a tree where it stands; a plot without a position leaves its trees without one.
     *
     * @param readings that who asks may see; a list of objects, which is not read back
     */
    public void writeTree(SurveyRecord row, Determined determined, List<WrittenReading> readings) throws IOException {
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
        write(row.vigour());
        put("stands as", determined.standsAs());
        put("determination", determined.name());
        put("determined by", determined.by());
        put("determined on", determined.on());
        if (!readings.isEmpty()) {
            json.writeArrayFieldStart("readings");
            for (WrittenReading reading : readings) {
                write(reading);
            }
            json.writeEndArray();
        }
        features.end();
    }

    private void write(NotedVigour vigour) throws IOException {
        if (vigour.leaders() != null) {
            json.writeArrayFieldStart(SurveyField.LEADERS.heading());
            for (int leader : vigour.leaders()) {
                json.writeNumber(leader);
            }
            json.writeEndArray();
        }
        if (vigour.dieback() != null) {
            json.writeNumberField(SurveyField.DIEBACK.heading(), vigour.dieback());
        }
        put(SurveyField.CROWN, vigour.crown());
        put(SurveyField.FORM, vigour.form());
        put(SurveyField.DAMAGE, vigour.damages());
        put(SurveyField.DEAD, Boolean.TRUE.equals(vigour.dead()) ? "yes" : null);
        put(SurveyField.FAVOURED, Boolean.TRUE.equals(vigour.favoured()) ? "yes" : null);
    }

    private void write(WrittenReading reading) throws IOException {
        json.writeStartObject();
        json.writeStringField("group", reading.group());
        json.writeNumberField("sheet version", reading.sheetVersion());
        json.writeStringField("character", reading.character().id());
        json.writeStringField("character name", reading.character().name());
        put("unit", reading.unit());
        json.writeStringField("read by", reading.by());
        json.writeStringField("read on", reading.on());
        json.writeStringField("seen", reading.seen());
        put("certainty", reading.certainty());
        put("material", reading.material());
        put("position", reading.position());
        if (!reading.looks().isEmpty()) {
            json.writeArrayFieldStart("looks");
            for (WrittenReading.Look look : reading.looks()) {
                write(look);
            }
            json.writeEndArray();
        }
        json.writeEndObject();
    }

    private void write(WrittenReading.Look look) throws IOException {
        json.writeStartObject();
        if (look.state() != null) {
            json.writeStringField("state", look.state().id());
            json.writeStringField("state name", look.state().name());
        }
        put("value", look.value());
        put("error", look.error());
        if (!look.parts().isEmpty()) {
            json.writeArrayFieldStart("parts");
            for (double part : look.parts()) {
                json.writeNumber(part);
            }
            json.writeEndArray();
        }
        json.writeEndObject();
    }

    private static GeoPosition position(SurveyRecord row) {
        return row.latitude() == null || row.longitude() == null
                ? null
                : new GeoPosition(row.latitude(), row.longitude());
    }

    private void begin(GeoPosition at) throws IOException {
        json = features.begin(at);
    }

    private void put(SurveyField field, Object value) throws IOException {
        put(field.heading(), value);
    }

    private void put(String key, Object value) throws IOException {
        features.put(key, value);
    }

    @Override
    public void close() throws IOException {
        features.close();
    }
}
