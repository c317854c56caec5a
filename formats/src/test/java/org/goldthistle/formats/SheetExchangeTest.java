package org.goldthistle.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.change.SheetDifference;
import org.goldthistle.core.key.WhichGroup;
import org.goldthistle.core.region.RegionOverlay;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Profile;
import org.goldthistle.core.sheet.Trait;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.FieldSource;

/** Sheets go out as files and come back the same; what does not fit is refused with its place. */
class SheetExchangeTest {
    static final List<String> GROUPS = BuiltInLibrary.GROUPS;

    @ParameterizedTest
    @FieldSource("GROUPS")
    void a_sheet_that_was_written_is_read_as_the_same_and_keeps_the_schema(String group) {
        GroupSheet sheet = sheet(group);

        String text = GroupSheetWriter.text(sheet);

        assertThat(GroupSheetJson.readStrictly(text)).isEqualTo(sheet);
        assertThat(GroupSheetWriter.text(GroupSheetJson.read(text))).isEqualTo(text);
        assertThat(GroupSheetJson.readStrictly(BuiltInLibrary.sheetText(group))).isEqualTo(sheet);
    }

    @ParameterizedTest
    @FieldSource("GROUPS")
    void a_matrix_that_was_written_is_read_as_the_same(String group) throws IOException {
        GroupSheet sheet = sheet(group);
        GroupSheet blurred = sheet.withCharacters(sheet.characters().stream()
                .map(one -> one.withProfiles(first(one).profiles()))
                .toList());

        assertThat(SheetDifference.between(sheet, CharacterMatrix.read(stream(matrix(sheet)), blurred)))
                .isEmpty();
    }

    /** The character with the profile of its first taxon for every taxon that has one. */
    private static DiagnosticCharacter first(DiagnosticCharacter character) {
        Map<String, Profile> alike = new LinkedHashMap<>();
        var one = character.profiles().values().iterator().next();
        character.profiles().keySet().forEach(taxon -> alike.put(taxon, one));
        return character.withProfiles(alike);
    }

    @ParameterizedTest(name = "{0} → {1}")
    @CsvSource(
            delimiter = '|',
            value = {
                "crown-twigs,pendula,hanging,0.6 | crown-twigs,pendula,hanging,0,6 | row 2",
                "crown-twigs,pendula,hanging,0.6 | crown-twigs,pendula,hanging,often | row 2, value",
                "crown-twigs,pendula,hanging,0.6 | crown-twigs,pendula,hanging,0.7 | crown-twigs, pendula",
                "crown-twigs,pendula,hanging | crown-twigs,alba,hanging | row 2, taxon",
                "crown-twigs,pendula,hanging | antlers,pendula,hanging | row 2, character",
                "crown-twigs,pendula,hanging | crown-twigs,pendula,rarely-low | row 2, state or limit",
                "crown-twigs,pendula,stiff | crown-twigs,pendula,hanging | row 4",
                "character,taxon | character,species | row 1",
            })
    void a_matrix_that_does_not_fit_is_refused_with_its_row(String was, String is, String place) throws IOException {
        String text = matrix(sheet("birches")).replaceFirst(was, is);

        assertThatExceptionOfType(RefusedException.class)
                .isThrownBy(() -> CharacterMatrix.read(stream(text), sheet("birches")))
                .satisfies(
                        refused -> assertThat(refused.refusals().get(0).key()).startsWith(place));
    }

    @Test
    void a_matrix_with_semicolons_and_decimal_commas_is_the_same() throws IOException {
        GroupSheet sheet = sheet("birches");
        StringBuilder german = new StringBuilder("\uFEFFcharacter;taxon;state or limit;value\r\n");
        try (CsvFile rows = CsvFile.open(stream(matrix(sheet)))) {
            for (Optional<FileRow> row = rows.next(); row.isPresent(); row = rows.next()) {
                Map<String, String> cells = row.get().cells();
                german.append(String.join(
                                ";",
                                cells.get("character"),
                                cells.get("taxon"),
                                cells.get("state or limit"),
                                cells.getOrDefault("value", "").replace('.', ',')))
                        .append("\r\n");
            }
        }

        GroupSheet read = CharacterMatrix.read(
                new ByteArrayInputStream(german.toString().getBytes(StandardCharsets.UTF_16LE)), sheet);

        assertThat(SheetDifference.between(sheet, read)).isEmpty();
    }

    @Test
    void a_matrix_in_an_old_encoding_is_read_in_it() {
        byte[] latin = "character,taxon,state or limit,value\ncrown-twigs,pendula,hängend,1"
                .getBytes(StandardCharsets.ISO_8859_1);

        assertThatExceptionOfType(RefusedException.class)
                .isThrownBy(() -> CharacterMatrix.read(new ByteArrayInputStream(latin), sheet("birches")))
                .withMessageContaining("hängend");
    }

    @Test
    void a_name_that_a_spreadsheet_would_take_for_a_formula_is_guarded() throws IOException {
        String text = BuiltInLibrary.sheetText("birches").replace("How the outer twigs hang", "=1+1");
        GroupSheet sheet = GroupSheetJson.read(text);

        assertThat(matrix(sheet)).contains(",'=1+1,").doesNotContain(",=1+1");
        assertThat(CharacterMatrix.read(stream(matrix(sheet)), sheet)
                        .characters()
                        .get(0)
                        .name())
                .isEqualTo("=1+1");
    }

    @Test
    void a_key_that_the_format_does_not_know_is_told_with_the_nearest_and_not_used() {
        String text = BuiltInLibrary.sheetText("birches")
                .replaceFirst("\"cluster\": null", "\"clusters\": \"hairs\"")
                .replaceFirst("\"region\"", "\"soilChemistry\": 7, \"region\"");

        assertThat(GroupSheetJson.readStrictly(text)).isEqualTo(sheet("birches"));
        assertThat(GroupSheetJson.unknownKeys(text))
                .containsExactlyInAnyOrder(
                        new UnknownKey("", "soilChemistry", Optional.empty()),
                        new UnknownKey("characters[0]", "clusters", Optional.of("cluster")));
        assertThat(GroupSheetJson.unknownKeys(BuiltInLibrary.sheetText("birches")))
                .isEmpty();
    }

    @Test
    void an_overlay_that_was_written_is_read_as_the_same() {
        String regional = BuiltInLibrary.sheetText("birches")
                .replaceFirst("\"id\": \"birches\"", "\"id\": \"birches-drumlin\"")
                .replaceFirst("\"abundance\": 53", "\"abundance\": 33")
                .replaceFirst("\"abundance\": 43", "\"abundance\": 63")
                .replaceFirst("\"dry\": 1.8", "\"dry\": 2.8")
                .replaceFirst("\"standing\": \"common\"", "\"standing\": \"local\"")
                .replaceFirst("\"origin\": \"native\"", "\"origin\": \"introduced\"");
        RegionOverlay overlay = RegionOverlay.between(sheet("birches"), GroupSheetJson.read(regional));

        assertThat(RegionOverlayJson.read(RegionOverlayJson.text(overlay))).isEqualTo(overlay);
        assertThat(overlay.taxa().get("pendula").standing()).isPresent();
        assertThat(overlay.over(sheet("birches"))).isEqualTo(GroupSheetJson.read(regional));
        assertThatExceptionOfType(RefusedException.class)
                .isThrownBy(
                        () -> RegionOverlayJson.read("{\"format\": \"goldthistle-region/2\", \"taxa\": {\"a\": 1}}"))
                .withMessageContaining("goldthistle-region/1")
                .withMessageContaining("taxa.a");
    }

    @RepeatedTest(300)
    void whoever_answers_rightly_is_led_to_the_group_in_a_handful_of_looks(RepetitionInfo run) {
        List<GroupSheet> library = GROUPS.stream().map(SheetExchangeTest::sheet).toList();
        Random random = new Random(run.getCurrentRepetition());
        GroupSheet truth = library.get(run.getCurrentRepetition() % library.size());
        Map<Trait, String> answers = new EnumMap<>(Trait.class);
        int month = 1 + random.nextInt(12);

        WhichGroup which = WhichGroup.of(library, answers, month);
        while (which.next().isPresent()) {
            List<String> shown = truth.firstLook()
                    .shown()
                    .getOrDefault(which.next().get(), which.next().get().answers());
            answers.put(which.next().get(), shown.get(random.nextInt(shown.size())));
            which = WhichGroup.of(library, answers, month);
        }

        assertThat(which.remaining()).contains(truth).hasSizeLessThanOrEqualTo(2);
        assertThat(answers).hasSizeLessThanOrEqualTo(Trait.FRUIT.isShownIn(month) ? 4 : 5);
    }

    @Test
    void every_answer_that_can_be_given_belongs_to_a_group() {
        List<String> shown = new ArrayList<>();
        GROUPS.forEach(group -> sheet(group).firstLook().shown().values().forEach(shown::addAll));

        for (Trait trait : Trait.values()) {
            assertThat(shown).containsAll(trait.answers());
        }
    }

    private static GroupSheet sheet(String group) {
        return GroupSheetJson.read(BuiltInLibrary.sheetText(group));
    }

    private static String matrix(GroupSheet sheet) throws IOException {
        StringBuilder text = new StringBuilder();
        CharacterMatrix.write(sheet, text);
        return text.toString();
    }

    private static ByteArrayInputStream stream(String text) {
        return new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8));
    }
}
