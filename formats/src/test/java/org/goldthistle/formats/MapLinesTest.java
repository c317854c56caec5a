package org.goldthistle.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.goldthistle.core.RefusedException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class MapLinesTest {
    private static MapLines read(String text) throws IOException {
        return MapLines.read(new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8)));
    }

    private static String feature(String geometry) {
        return "{\"type\":\"FeatureCollection\",\"features\":[{\"type\":\"Feature\",\"properties\":{\"name\":\"coast\"},"
                + "\"geometry\":" + geometry + "}]}";
    }

    @Test
    void lines_and_the_rings_of_areas_are_taken_and_points_are_not() throws IOException {
        assertThat(read(feature("{\"type\":\"LineString\",\"coordinates\":[[5,54],[5.12345678,54.5]]}"))
                        .lines())
                .containsExactly(List.of(List.of(5.0, 54.0), List.of(5.123457, 54.5)));
        MapLines areas = read(feature("{\"type\":\"GeometryCollection\",\"geometries\":["
                + "{\"type\":\"MultiPolygon\",\"coordinates\":[[[[1,2],[3,4],[1,2]]],[[[5,6],[7,8],[5,6]]]]},"
                + "{\"type\":\"Point\",\"coordinates\":[9,9]}]}"));
        assertThat(areas.lines()).hasSize(2);
        assertThat(areas.points()).isEqualTo(6);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "no map",
                "[]",
                "{\"type\":\"Point\",\"coordinates\":[1,2]}",
                "{\"type\":\"LineString\",\"coordinates\":[[540000,6000000],[540001,6000001]]}",
                "{\"type\":\"LineString\",\"coordinates\":[[\"a\",1],[2,3]]}",
                "{\"type\":\"LineString\",\"coordinates\":[[1,2]]}"
            })
    void what_is_no_map_of_lines_is_refused_with_words(String text) {
        assertThatThrownBy(() -> read(text)).isInstanceOf(RefusedException.class);
    }

    @Test
    void a_map_that_nobody_could_read_is_refused() {
        String line = "[0,0],".repeat(20_000) + "[1,1]";

        assertThatThrownBy(() -> read("{\"type\":\"LineString\",\"coordinates\":[" + line + "]}"))
                .isInstanceOf(RefusedException.class)
                .hasMessageContaining("20001 points");
    }
}
