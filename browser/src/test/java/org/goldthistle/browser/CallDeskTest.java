package org.goldthistle.browser;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

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

    @Test
    void typed_parts_become_a_value_or_say_why_not() {
        String birches = Cases.version("birches").toString();

        assertThat(desk.taken(birches, "nutlet-wing-ratio", List.of(3, 2)))
                .isEqualTo(Map.of("value", 1.5, "turned", 2 / 3.0));
        assertThat(desk.taken(birches, "ltf", List.of(7, 5))).isEqualTo(Map.of("value", 2.0));
        assertThat(desk.taken(birches, "nutlet-wing-ratio", List.of(3, 0)).get("refused"))
                .asString()
                .contains("above 0");
    }

    @Test
    void taps_on_a_photo_become_a_value_with_its_error() {
        String birches = Cases.version("birches").toString();
        Map<String, Object> ruler = Map.of(
                "scale",
                List.of(at(0, 0), at(500, 0)),
                "millimetres",
                50,
                "taps",
                List.of(List.of(at(100, 100), at(300, 100))));

        Map<String, Object> told = desk.onPhoto(birches, "dft", ruler);

        assertThat((double) told.get("value")).isEqualTo(20);
        assertThat((double) told.get("error")).isBetween(0.1, 0.4);
        assertThat(told.get("coarse")).isEqualTo(false);
        assertThat(desk.onPhoto(
                                birches,
                                "dft",
                                Map.of("scale", List.of(), "millimetres", 0, "taps", List.of(List.of())))
                        .get("refused"))
                .asString()
                .contains("taps");
        Map<String, Object> axis = Map.of(
                "scale",
                ruler.get("scale"),
                "millimetres",
                50,
                "taps",
                List.of(List.of(at(100, 100)), List.of(at(100, 500)), List.of()));
        assertThat(desk.onPhoto(birches, "ltw", axis).get("guide"))
                .isEqualTo(List.of(Map.of("x", -100.0, "y", 200.0), Map.of("x", 300.0, "y", 200.0)));
    }

    @Test
    void a_scale_is_held_against_the_cards_bar_or_a_ruler_across() {
        String birches = Cases.version("birches").toString();
        Map<String, Object> card = new HashMap<>(Map.of(
                "scale",
                List.of(at(0, 0), at(900, 0), at(900, 600), at(0, 600)),
                "millimetres",
                0,
                "taps",
                List.of(List.of())));
        card.put("check", List.of(at(200, 700), at(700, 700)));

        assertThat((double) desk.onPhoto(birches, "dft", card).get("bar")).isCloseTo(50, within(1e-9));
        card.put("check", List.of(at(200, 700), at(680, 700)));
        assertThat(desk.onPhoto(birches, "dft", card).get("scaleRefused"))
                .asString()
                .contains("a bar of 48");

        Map<String, Object> ruler = new HashMap<>(
                Map.of("scale", List.of(at(0, 0), at(500, 0)), "millimetres", 50, "taps", List.of(List.of())));
        ruler.put("check", List.of(at(0, 0), at(0, 300)));
        ruler.put("checkMillimetres", 30);
        assertThat(desk.onPhoto(birches, "dft", ruler)).doesNotContainKey("scaleRefused");
        ruler.put("check", List.of(at(0, 0), at(0, 270)));
        assertThat(desk.onPhoto(birches, "dft", ruler).get("scaleRefused"))
                .asString()
                .contains("slanted");
    }

    private static Map<String, Object> at(double x, double y) {
        return Map.of("x", x, "y", y, "zoom", 1);
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
