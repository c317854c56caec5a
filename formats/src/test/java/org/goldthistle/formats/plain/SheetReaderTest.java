package org.goldthistle.formats.plain;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.goldthistle.core.Refusal;
import org.goldthistle.core.RefusedException;
import org.goldthistle.formats.BuiltInLibrary;
import org.goldthistle.formats.GroupSheetJson;
import org.goldthistle.formats.SpecimenJson;
import org.junit.jupiter.api.Test;

/** Sheets and specimens from plain values, as a browser has them. */
class SheetReaderTest {
    private static final ObjectMapper JSON = new ObjectMapper();
    private final SheetReader reader = new SheetReader(DrawingCheck.NONE);

    @Test
    void a_sheet_of_plain_values_is_the_same_as_of_its_file() throws IOException {
        for (String group : BuiltInLibrary.GROUPS) {
            String text = BuiltInLibrary.sheetText(group);

            assertThat(reader.read(JSON.readValue(text, Object.class)))
                    .as(group)
                    .isEqualTo(GroupSheetJson.read(text));
        }
    }

    @Test
    void specimens_are_too_and_numbers_of_any_kind_are_numbers() throws IOException {
        String text = BuiltInLibrary.specimensText("birches");
        List<?> plain = JSON.readValue(text, List.class);

        assertThat(plain.stream().map(SpecimenReader::read).toList()).isEqualTo(SpecimenJson.readAll(text));
        // a browser has no whole numbers of their own
        Map<String, Object> context = Map.of("month", 9.0, "stage", "mature", "origin", "wild");
        assertThat(SpecimenReader.read(Map.of("id", "x", "context", context, "observations", List.of()))
                        .context()
                        .month())
                .isEqualTo(9);
    }

    @Test
    void whatever_does_not_fit_is_refused_with_its_place_as_a_file_spells_it() {
        Map<String, Object> sheet = new HashMap<>(Map.of("format", "other/1", "id", 7, "taxa", Map.of("a", 1)));
        sheet.put("title", null);

        assertThatThrownBy(() -> reader.read(sheet))
                .isInstanceOfSatisfying(
                        RefusedException.class,
                        refused -> assertThat(refused.refusals())
                                .contains(
                                        new Refusal("format", "\"other/1\"", "\"goldthistle-group/1\""),
                                        new Refusal("id", "7", "text in quotes"),
                                        new Refusal("title", "null", "text in quotes"),
                                        new Refusal("region", "nothing", "text in quotes"),
                                        new Refusal("taxa", "{\"a\":1}", "a list in [ ]")));
        assertThatThrownBy(() -> reader.read(List.of(1, 2)))
                .isInstanceOf(RefusedException.class)
                .hasMessageContaining("found [1,2], expected an object in { }");
    }
}
