package org.goldthistle.library;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import org.goldthistle.Caller;
import org.goldthistle.ServerTest;
import org.goldthistle.formats.BuiltInLibrary;
import org.goldthistle.formats.GroupSheetJson;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;

class SheetTest extends ServerTest {
    @Autowired
    private LibraryService library;

    @Test
    void a_sheet_tells_profiles_gate_drawings_and_looks() {
        Caller dipper = signedIn("Dipper");
        JsonNode sheet =
                dipper.get("/api/sheets/" + versionOf(dipper, "birches")).expect(200);

        assertThat(sheet.at("/gate/0/otherwiseGroup").asText()).isEqualTo("buckthorns");
        assertThat(sheet.at("/characters/0/states/0/draw/part").asText()).isEqualTo("habit");
        assertThat(sheet.at("/characters/0/profiles/2/derived").asBoolean()).isFalse();
        JsonNode dft = character(sheet, "dft");
        assertThat(dft.at("/profiles/0/range").toString()).isEqualTo("[4.0,7.0,16.0,22.0]");
        assertThat(dft.at("/profiles/2/derived").asBoolean()).isTrue();
        assertThat(dft.at("/looks/0").asDouble()).isEqualTo(1);
        assertThat(dft.at("/looks/4").asDouble()).isBetween(1.0, 5.0);
    }

    @Test
    void separation_is_ordered_and_wants_two_taxa_of_the_sheet() {
        Caller dipper = signedIn("Dipper");
        String path = "/api/sheets/" + versionOf(dipper, "birches") + "/separation?stage=mature";
        List<Double> bits = new ArrayList<>();
        dipper.get(path + "&month=9&taxa=pendula,pubescens")
                .expect(200)
                .forEach(one -> bits.add(one.path("bits").asDouble()));

        assertThat(bits).hasSize(16).isSortedAccordingTo((a, b) -> Double.compare(b, a));
        dipper.get(path + "&month=9&taxa=pendula,oak").expectProblem(422, "no-such-taxa");
        dipper.get(path + "&month=13&taxa=pendula,pubescens").expectProblem(422, "no-such-month");
        dipper.get(path + "&month=9&school=old&taxa=pendula,pubescens").expectProblem(422, "no-such-word");
    }

    @Test
    void a_season_tells_who_is_taken_for_whom_and_wounds_only_help() {
        Caller dipper = signedIn("Dipper");
        String path = "/api/sheets/" + versionOf(dipper, "alders") + "/season";

        JsonNode season = dipper.get(path + "?stage=mature").expect(200);
        JsonNode wounding = dipper.get(path + "?stage=mature&wounding=true").expect(200);

        assertThat(season.path("months")).hasSize(12);
        double settled = 0;
        double settledByWounds = 0;
        for (int month = 0; month < 12; month++) {
            for (int k = 0; k < 4; k++) {
                JsonNode fate = season.at("/months/" + month + "/taxa/" + k);
                double named = fate.path("unsettled").asDouble();
                for (JsonNode share : fate.path("named")) {
                    named += share.asDouble();
                }
                assertThat(named).isCloseTo(1, within(1e-9));
                assertThat(fate.path("settles").asDouble()
                                + fate.path("misleads").asDouble())
                        .isCloseTo(1 - fate.path("unsettled").asDouble(), within(1e-9));
                settled += fate.path("settles").asDouble();
                settledByWounds += wounding.at("/months/" + month + "/taxa/" + k)
                        .path("settles")
                        .asDouble();
            }
        }
        assertThat(settledByWounds).isGreaterThanOrEqualTo(settled - 0.5); // of 48; drawn trees differ a little
        dipper.get(path + "?stage=old").expectProblem(422, "no-such-word");
    }

    @Test
    void names_are_found_in_both_languages_and_with_a_slip() {
        Caller dipper = signedIn("Dipper");

        for (String typed : List.of("silver%20birch", "betula%20pendula", "slver%20birch", "pendla")) {
            JsonNode found = dipper.get("/api/sheets/names?find=" + typed).expect(200);
            assertThat(found.at("/0/name").asText()).as(typed).isEqualTo("silver birch");
            assertThat(found.at("/0/groupId").asText()).isEqualTo("birches");
        }
        JsonNode state = dipper.get("/api/sheets/names?find=star%20collar").expect(200);
        assertThat(state.findValuesAsText("characterId")).contains("fruit-collar");
        assertThat(dipper.get("/api/sheets/names?find=xylophone").expect(200)).isEmpty();
        assertThat(dipper.get("/api/sheets/names?find=%20").expect(200)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "Kreuzdorn,common buckthorn",
        "abele,white poplar",
        "R%C3%B6nn,rowan",
        "Quercus%20pedunculata,pedunculate oak"
    })
    void a_taxon_is_found_by_what_it_is_called_elsewhere_and_the_answer_says_so(String typed, String name) {
        JsonNode found = signedIn("Dipper")
                .get("/api/sheets/names?find=" + typed)
                .expect(200)
                .get(0);

        assertThat(found.get("name").asText()).isEqualTo(name);
        assertThat(found.get("kind").asText()).isEqualTo("taxon");
        assertThat(found.get("foundBy").asText())
                .containsIgnoringCase(URLDecoder.decode(typed, StandardCharsets.UTF_8));
    }

    @Test
    void a_tree_that_no_sheet_holds_leads_to_the_groups_that_come_near() {
        JsonNode found =
                signedIn("Dipper").get("/api/sheets/names?find=hornbeam").expect(200);

        assertThat(found.findValuesAsText("kind")).startsWith("other", "other", "other");
        assertThat(found.findValuesAsText("groupId")).contains("alders", "birches", "whitebeams");
        assertThat(found.at("/0/name").asText()).isEqualTo("hornbeam");
        assertThat(found.at("/0/beside").asText()).isEqualTo("Carpinus betulus");
    }

    @Test
    void every_group_that_comes_near_another_tree_is_in_the_library() {
        assertThat(new OtherTaxa(new ObjectMapper()).all().values())
                .allSatisfy(other -> assertThat(BuiltInLibrary.GROUPS).containsAll(other.near()));
    }

    @Test
    void a_version_is_handed_out_as_the_file_that_it_came_from() {
        Caller dipper = signedIn("Dipper");
        JsonNode versions = dipper.get("/api/sheets/versions?groupId=firs").expect(200);

        String text = dipper.get("/api/sheets/" + versions.at("/0/id").asText() + "/file")
                .text();

        assertThat(GroupSheetJson.read(text)).isEqualTo(GroupSheetJson.read(BuiltInLibrary.sheetText("firs")));
        assertThat(versions.at("/0/builtIn").asBoolean()).isTrue();
    }

    @Test
    void first_looks_leave_the_groups_that_show_them() {
        Caller dipper = signedIn("Dipper");

        JsonNode all = dipper.get("/api/sheets/which").expect(200);
        JsonNode needles =
                dipper.get("/api/sheets/which?look=foliage:needle-tufts").expect(200);

        assertThat(all.path("next").asText()).isNotBlank();
        assertThat(all.path("traits").findValuesAsText("trait")).contains("foliage", "fruit");
        assertThat(needles.path("remaining").toString()).contains("larches").doesNotContain("firs");
        assertThat(needles.path("ruledOut").findValuesAsText("trait")).contains("foliage");
        dipper.get("/api/sheets/which?look=foliage:blue").expectProblem(422, "no-such-look");
        dipper.get("/api/sheets/which?look=foliage:broad&look=foliage:broad").expectProblem(422, "no-such-look");
    }

    @Test
    void the_schema_of_sheets_is_published() {
        assertThat(signedIn("Dipper").get("/api/sheets/schema").text()).isEqualTo(GroupSheetJson.schema());
    }

    @Test
    void a_sheet_that_ships_anew_is_a_new_version_unless_a_person_has_made_one() {
        String text = BuiltInLibrary.sheetText("limes").replace("\"id\": \"limes\"", "\"id\": \"limes-of-ours\"");
        assertThat(library.keepUpToDate(text)).isEqualTo(OptionalInt.of(1));
        assertThat(library.keepUpToDate(text)).isEmpty();
        assertThat(library.keepUpToDate(text.replace("\"region\": \"", "\"region\": \"Anew: ")))
                .isEqualTo(OptionalInt.of(2));
        assertThat(library.keepUpToDate(text)).isEmpty(); // an older program does not undo a newer one's sheet

        jdbc.sql("insert into sheet_version (id, group_id, version, sha256, body, created_at, built_in) select"
                        + " gen_random_uuid(), group_id, 3, 'own', body, now(), false from sheet_version where group_id ="
                        + " 'limes-of-ours' and version = 2")
                .update();

        assertThat(library.keepUpToDate(text.replace("\"region\": \"", "\"region\": \"Once more: ")))
                .isEmpty();
        assertThat(library.newest("limes-of-ours").version()).isEqualTo(3);
    }

    private static String versionOf(Caller caller, String group) {
        for (JsonNode one : caller.get("/api/sheets").expect(200)) {
            if (one.path("groupId").asText().equals(group)) {
                return one.path("versionId").asText();
            }
        }
        throw new AssertionError("no sheet of " + group);
    }

    private static JsonNode character(JsonNode sheet, String id) {
        for (JsonNode one : sheet.path("characters")) {
            if (one.path("id").asText().equals(id)) {
                return one;
            }
        }
        throw new AssertionError("no character " + id);
    }
}
