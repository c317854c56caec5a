package org.goldthistle.browser;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;

import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** The same calls, reckoned by the browser's core and by the platform's. */
class SameFiguresTest {
    private static final double TOLERANCE = 1e-9; // the model page promises nine digits
    private static final int YEAR = 2026;
    private static final ObjectMapper JSON = new ObjectMapper();
    private static final Path TARGET = Path.of("target").toAbsolutePath();

    private static final List<Map<String, Object>> MEASURED = List.of(
            ofBirches("nutlet-wing-ratio", "parts", List.of(7, 4)),
            ofBirches("nutlet-wing-ratio", "parts", List.of(7, 0)),
            ofBirches("dft", "photo", photo(List.of(List.of(at(610, 520), at(990, 560), at(1010, 700))))),
            ofBirches("ltw", "photo", photo(List.of(List.of(at(610, 520)), List.of(at(990, 560)), List.of()))));

    private static final List<Map<String, Object>> PRACTISED = PractisedTrees.all();

    private static List<Cases.Case> cases;
    private static List<Map<String, Object>> answers;

    @BeforeAll
    static void the_browsers_core_answers() throws Exception {
        cases = Cases.all();
        Path asked = TARGET.resolve("cases.json");
        Path answered = TARGET.resolve("answers.jsonl");
        JSON.writeValue(
                asked.toFile(),
                Map.of("sheets", Cases.sheets(), "calls", cases, "measured", MEASURED, "practised", PRACTISED));
        Path module = TARGET.resolve("reckoner.mjs"); // a name by which every node knows a module
        Files.copy(TARGET.resolve("js/reckoner.js"), module, StandardCopyOption.REPLACE_EXISTING);
        Process node = new ProcessBuilder(
                        "node", "src/test/js/answer.mjs", module.toString(), asked.toString(), answered.toString())
                .redirectErrorStream(true)
                .start();
        String said = new String(node.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertEquals(0, node.waitFor(), said);
        answers = new ArrayList<>();
        for (String line : Files.readAllLines(answered)) {
            answers.add(JSON.readValue(line, new TypeReference<>() {}));
        }
    }

    @Test
    void every_worked_specimen_at_each_tier_and_two_thousand_drawn_trees_are_among_them() {
        assertThat(cases).filteredOn(one -> one.name().startsWith("specimen")).hasSize(360);
        assertThat(cases).filteredOn(one -> one.name().startsWith("drawn")).hasSize(2000);
        assertThat(answers).hasSameSizeAs(cases);
    }

    @Test
    void all_that_the_bench_shows_is_the_same() {
        CallDesk desk = desk();
        for (int i = 0; i < cases.size(); i++) {
            Cases.Case one = cases.get(i);
            assertSame(
                    one.name(),
                    desk.layOut(one.begun(), one.entered(), one.month()),
                    answers.get(i).get("laidOut"));
        }
    }

    @Test
    void a_signature_or_what_keeps_it_from_being_one_is_the_same() {
        CallDesk desk = desk();
        int tried = 0;
        int signed = 0;
        for (int i = 0; i < cases.size(); i++) {
            Cases.Case one = cases.get(i);
            if (one.signature() != null) {
                Map<String, Object> laidOut = desk.layOut(one.begun(), one.withSignature(), one.month());
                assertSame(one.name(), laidOut, answers.get(i).get("signed"));
                tried++;
                signed += ((List<?>) laidOut.get("signatures")).size();
            }
        }
        assertThat(tried).isGreaterThan(cases.size() / 10);
        assertThat(signed).isBetween(tried / 10, tried * 9 / 10);
    }

    @Test
    void the_months_that_could_settle_it_are_the_same() {
        CallDesk desk = desk();
        for (int i = 0; i < cases.size(); i++) {
            Cases.Case one = cases.get(i);
            if (one.withOutlook()) {
                assertSame(
                        one.name(),
                        desk.outlook(one.begun(), one.entered(), YEAR, one.month()),
                        answers.get(i).get("outlook"));
            }
        }
    }

    @Test
    void what_does_not_fit_is_refused_in_the_same_words() throws IOException {
        Cases.Case one = cases.get(0);
        List<Object> entered = List.of(
                Map.of("kind", "mark", "item", "nothing", "mark", "fits", "at", "2026-06-01T10:00:00Z"),
                Map.of("kind", "tier", "tier", "whim"),
                Map.of("kind", "caution"));
        Map<String, Object> laidOut = desk().layOut(one.begun(), entered, one.month());

        assertThat(laidOut.get("cautionRead")).isEqualTo(true);
        assertThat((Map<?, ?>) laidOut.get("refused")).hasSize(2);
        assertThat(JSON.writeValueAsString(laidOut.get("refused")))
                .contains("unfit-mark", "no-such-tier", "\\\"whim\\\" was sent. Nothing was changed.");
    }

    @Test
    void what_is_measured_is_the_same() throws IOException {
        CallDesk desk = desk();
        List<String> told = Files.readAllLines(TARGET.resolve("answers.jsonl.measured"));
        for (int i = 0; i < MEASURED.size(); i++) {
            Map<String, Object> one = MEASURED.get(i);
            String version = (String) one.get("versionId");
            String character = (String) one.get("character");
            Map<String, Object> here = one.containsKey("parts")
                    ? desk.taken(version, character, (List<?>) one.get("parts"))
                    : desk.onPhoto(version, character, one.get("photo"));
            assertSame(character, here, JSON.readValue(told.get(i), Object.class));
        }
    }

    @Test
    void a_practice_tree_and_what_became_of_it_are_the_same_on_five_hundred_seeds() throws IOException {
        PracticeDesk desk = new PracticeDesk(desk()::sheet);
        List<String> told = Files.readAllLines(TARGET.resolve("answers.jsonl.practised"));
        assertThat(PRACTISED).hasSize(500);
        for (int i = 0; i < PRACTISED.size(); i++) {
            Map<String, Object> one = PRACTISED.get(i);
            String version = (String) one.get("versionId");
            Map<?, ?> made = (Map<?, ?>) one.get("made");
            Map<?, ?> there = JSON.readValue(told.get(i), Map.class);
            assertSame(
                    "tree " + i,
                    desk.tree(version, (int) made.get("seed"), (String) made.get("one"), (String) made.get("other")),
                    there.get("tree"));
            assertSame("result " + i, desk.result(version, made), there.get("result"));
        }
    }

    private static Map<String, Object> ofBirches(String character, String how, Object of) {
        return Map.of("versionId", Cases.version("birches").toString(), "character", character, how, of);
    }

    /** On the scale card, slanted. */
    private static Map<String, Object> photo(List<?> taps) {
        return Map.of(
                "taps",
                taps,
                "scale",
                List.of(at(400, 300), at(1250, 320), at(1190, 900), at(430, 860)),
                "millimetres",
                0);
    }

    private static Map<String, Object> at(double x, double y) {
        return Map.of("x", x, "y", y, "zoom", 0.001 * x);
    }

    static CallDesk desk() {
        CallDesk desk = new CallDesk();
        Cases.sheets().forEach(sheet -> desk.open((String) sheet.get("versionId"), 1, sheet.get("file")));
        return desk;
    }

    private static void assertSame(String where, Object expected, Object found) {
        if (expected instanceof Number number && found instanceof Number other) {
            assertEquals(number.doubleValue(), other.doubleValue(), TOLERANCE, where);
        } else if (expected instanceof Map<?, ?> map && found instanceof Map<?, ?> other) {
            assertEquals(map.keySet(), other.keySet(), where);
            map.forEach((key, value) -> assertSame(where + "." + key, value, other.get(key)));
        } else if (expected instanceof List<?> list && found instanceof List<?> other) {
            assertEquals(list.size(), other.size(), where);
            for (int i = 0; i < list.size(); i++) {
                assertSame(where + "[" + i + "]", list.get(i), other.get(i));
            }
        } else {
            assertEquals(expected, found, where);
        }
    }
}
