package org.goldthistle.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** What was entered again and again on a device is laid out as what was entered last. */
class CallDeskTest {
    private static final Cases.Case TREE = Cases.all().stream()
            .filter(one -> one.entered().size() > 1)
            .findFirst()
            .orElseThrow();

    private final CallDesk desk = SameFiguresTest.desk();

    @Test
    void of_readings_of_one_character_the_last_counts() {
        Map<?, ?> last = (Map<?, ?>) TREE.entered().get(0);
        List<Object> touched = new ArrayList<>();
        for (int i = 0; i < 50; i++) {
            touched.add(again(last, i, Map.of("notSeen", true)));
        }
        touched.addAll(TREE.entered());

        assertThat(laidOut(touched)).isEqualTo(laidOut(TREE.entered()));
    }

    @Test
    void where_the_last_is_refused_the_one_before_it_stands() {
        Map<?, ?> sound = (Map<?, ?>) TREE.entered().get(0);
        List<Object> entered = new ArrayList<>(TREE.entered());
        entered.add(again(sound, 0, Map.of("notSeen", false, "states", List.of("antlers"))));

        Map<String, Object> laidOut = laidOut(entered);

        assertThat((Object) ((Map<?, ?>) laidOut.get("refused")).keySet())
                .isEqualTo(Set.of(String.valueOf(entered.size() - 1)));
        assertThat(laidOut.get("call")).isEqualTo(laidOut(TREE.entered()).get("call"));
    }

    private Map<String, Object> laidOut(List<?> entered) {
        return desk.layOut(TREE.begun(), entered, TREE.month());
    }

    private static Map<String, Object> again(Map<?, ?> entered, int i, Map<String, Object> seen) {
        Map<String, Object> reading = new HashMap<>(seen);
        reading.put("character", ((Map<?, ?>) entered.get("reading")).get("character"));
        return Map.of("kind", "reading", "id", new UUID(23, i).toString(), "at", entered.get("at"), "reading", reading);
    }
}
