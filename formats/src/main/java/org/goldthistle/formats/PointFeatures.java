package org.goldthistle.formats;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonGenerator;
import java.io.Closeable;
import java.io.IOException;
import java.io.OutputStream;
import java.util.List;
import org.goldthistle.core.plot.GeoPosition;

/** Writes a feature collection of RFC 7946 whose features are points, or nowhere. */
final class PointFeatures implements Closeable {
    private final JsonGenerator json;

    PointFeatures(OutputStream to) throws IOException {
        json = new JsonFactory().createGenerator(to);
        json.writeStartObject();
        json.writeStringField("type", "FeatureCollection");
        json.writeArrayFieldStart("features");
    }

    /** Begins a feature; its properties follow, up to {@link #end}. */
    JsonGenerator begin(GeoPosition at) throws IOException {
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
        return json;
    }

    void end() throws IOException {
        json.writeEndObject();
        json.writeEndObject();
    }

    /** Writes a property that is a number, words, or a text; what is not there is left out. */
    void put(String key, Object value) throws IOException {
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
