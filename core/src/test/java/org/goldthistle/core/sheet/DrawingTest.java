package org.goldthistle.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import org.goldthistle.core.RefusedException;
import org.junit.jupiter.api.Test;

class DrawingTest {
    @Test
    void a_parameter_is_a_number_a_word_or_yes_and_no() {
        assertThat(new Drawing("leaf", Map.of("teeth", 12.0, "stalked", true, "outline", "round")).parameters())
                .hasSize(3);
        assertThatThrownBy(() -> new Drawing("leaf", Map.of("teeth", List.of())))
                .isInstanceOf(RefusedException.class)
                .hasMessageContaining("teeth");
        assertThatThrownBy(() -> new Drawing("leaf", Map.of("teeth", Double.NaN)))
                .isInstanceOf(RefusedException.class);
        assertThatThrownBy(() -> new Drawing("Leaf", Map.of())).isInstanceOf(RefusedException.class);
    }
}
