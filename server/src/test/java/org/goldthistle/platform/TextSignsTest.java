package org.goldthistle.platform;

import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class TextSignsTest {
    @ParameterizedTest
    @ValueSource(
            strings = {
                "{\"a\":\"b\\u0000\"}",
                "{\"a\":\"\u0000\"}",
                "{\"a\":\"\\u0007\"}",
                "{\"a\":\"\\ud83c\"}",
                "{\"a\":\"\\ud83cx\"}",
                "{\"a\":\"\\udf3f\"}",
                "{\"a\":\"\\ud83c\\n\\udf3f\"}",
                "\"\\ud83c"
            })
    void what_no_text_has_is_refused(String json) {
        assertThatThrownBy(() -> TextSigns.requireText(json.getBytes(StandardCharsets.UTF_8)))
                .isInstanceOf(Problem.class)
                .hasMessageContaining("Nothing was stored");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "{\"a\":\"line\\nline\\ttab\\r\"}",
                "{\"a\":\"\\u000a\\u0041\"}",
                "{\"a\":\"\\ud83c\\udf3f \u00e9\"}",
                "{\"a\":\"\\\\u0000 is written so\"}",
                "\"\\u00",
                "\"\\",
                ""
            })
    void what_texts_have_is_taken(String json) {
        assertThatCode(() -> TextSigns.requireText(json.getBytes(StandardCharsets.UTF_8)))
                .doesNotThrowAnyException();
    }
}
