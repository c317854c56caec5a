package org.goldthistle.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.goldthistle.core.Refusal;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.sheet.Caution;
import org.goldthistle.core.sheet.CautionTopic;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.Faculty;
import org.goldthistle.core.sheet.GateItem;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Organ;
import org.goldthistle.core.sheet.State;
import org.goldthistle.core.sheet.StateScale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.FieldSource;

class GroupSheetJsonTest {
    static final List<String> GROUPS = BuiltInLibrary.GROUPS;

    @ParameterizedTest
    @FieldSource("GROUPS")
    void every_built_in_sheet_keeps_the_rules(String group) {
        GroupSheet sheet = GroupSheetJson.read(BuiltInLibrary.sheetText(group));

        assertThat(sheet.id()).isEqualTo(group);
        assertThat(sheet.characters()).isNotEmpty();
    }

    @ParameterizedTest
    @FieldSource("GROUPS")
    void what_lives_on_a_tree_is_told_to_be_carried_to_the_next(String group) {
        GroupSheet sheet = GroupSheetJson.read(BuiltInLibrary.sheetText(group));

        for (DiagnosticCharacter character : sheet.characters()) {
            if (character.organ() == Organ.ASSOCIATE) {
                assertThat(character.cautionTopics())
                        .contains(CautionTopic.DISEASE_SPREAD)
                        .containsAll(character.effort().hazards());
                assertThat(sheet.cautions()).extracting(Caution::topic).contains(CautionTopic.DISEASE_SPREAD);
            } else {
                assertThat(character.cautionTopics())
                        .isEqualTo(character.effort().hazards());
            }
        }
    }

    @ParameterizedTest
    @FieldSource("GROUPS")
    void every_built_in_sheet_has_a_gate_whose_other_groups_are_in_the_library(String group) {
        GroupSheet sheet = GroupSheetJson.read(BuiltInLibrary.sheetText(group));

        assertThat(sheet.gate()).isNotEmpty();
        assertThat(sheet.gate())
                .allSatisfy(item -> assertThat(item.otherwiseGroup())
                        .satisfiesAnyOf(
                                other -> assertThat(other).isEmpty(),
                                other -> assertThat(GROUPS).contains(other.orElseThrow())));
        assertThat(sheet.gate()).extracting(GateItem::otherwiseGroup).doesNotContain(Optional.of(group));
    }

    @ParameterizedTest
    @FieldSource("GROUPS")
    void every_state_is_drawn_and_no_two_of_a_character_alike(String group) {
        GroupSheet sheet = GroupSheetJson.read(BuiltInLibrary.sheetText(group));

        assertThat(sheet.gate())
                .isNotEmpty()
                .allSatisfy(item -> assertThat(item.drawing()).isPresent().isNotEqualTo(item.otherwiseDrawing()));
        for (DiagnosticCharacter character : sheet.characters()) {
            if (character.scale() instanceof StateScale scale) {
                assertThat(scale.states())
                        .as(character.id())
                        .allSatisfy(state -> assertThat(state.drawing()).isPresent());
                assertThat(scale.states()).extracting(State::drawing).doesNotHaveDuplicates();
            }
        }
    }

    @ParameterizedTest(name = "{0}")
    @FieldSource("GROUPS")
    void every_character_has_a_short_name_of_its_own(String group) {
        GroupSheet sheet = GroupSheetJson.read(BuiltInLibrary.sheetText(group));

        assertThat(sheet.characters())
                .extracting(DiagnosticCharacter::shortName)
                .doesNotContain(Optional.empty());
        assertThat(sheet.characters())
                .extracting(character -> character.brief().toLowerCase(Locale.ROOT))
                .doesNotHaveDuplicates();
    }

    @Test
    void what_is_told_apart_by_red_and_green_says_so() {
        GroupSheet larches = GroupSheetJson.read(BuiltInLibrary.sheetText("larches"));

        assertThat(larches.characters().stream()
                        .filter(character -> character.effort().needs(Faculty.RED_GREEN))
                        .map(DiagnosticCharacter::id))
                .containsExactlyInAnyOrder("winter-crown-colour", "twig-colour", "young-cone-colour");
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(
            delimiter = '|',
            value = {
                "\"weight\": 0.58 | \"weight\": \"0.58\" | characters[0].weight | \"0.58\"",
                "\"weight\": 0.58 | \"weight\": 1.58 | characters[0].weight | 1.58",
                "\"hanging\": 0.6 | \"hanging\": 0.5 | characters[0].profiles.pendula | 0.9",
                "\"kind\": \"ordered\" | \"kind\": \"sorted\" | characters[0].kind | \"sorted\"",
                "\"sense\": \"sight\" | \"sense\": \"taste\" | characters[0].sense | \"taste\"",
                "\"rank\": \"hybrid\" | \"rank\": \"species\" | taxa[2].parents | two",
                "\"part\": \"habit\" | \"part\": \"Habit!\" | characters[0].states[0].draw.part | Habit!",
                "\"twigs\": \"hanging\" | \"twigs\": \"upside-down\" | characters[0].states[0].draw.twigs | upside-down",
                "\"twigs\": \"hanging\" | \"leaves\": true | characters[0].states[0].draw.leaves | true",
                "\"twigs\": \"hanging\" | \"twigs\": [1] | characters[0].states[0].draw.twigs | [1]",
                "\"otherwiseGroup\": \"buckthorns\" | \"otherwiseGroup\": 3 | gate[0].otherwiseGroup | 3",
                "\"arrangement\": \"alternate\" | \"arrangement\": \"heaped\" | gate[0].draw.arrangement | heaped",
                "\"arrangement\": \"opposite\" | \"pairs\": 2 | gate[0].drawOtherwise.pairs | 2",
                "\"format\": \"goldthistle-group/1\" | \"format\": \"2\" | format | \"2\"",
                "\"short\": \"Outer twigs\" | \"short\": \"The outermost of all twigs\" | characters[0].short | 26 letters",
                "\"short\": \"Outer twigs\" | \"short\": \" \" | characters[0].short | \" \"",
                "\"minutes\": 1, | \"minutes\": 0, | characters[0].minutes | 0.0",
                "\"mature\": 0.9 | \"mature\": 1.9 | characters[13].borne.mature | 1.9",
                "\"as\": \"difference\" | \"as\": \"guess\" | characters[8].measured.as | \"guess\"",
                "\"as\": \"difference\" | \"as\": \"line\" | characters[8].measured.as | \"line\"",
                "\"at\": 0.25 | \"at\": 2 | characters[12].measured.at | 2.0"
            })
    void a_broken_place_is_named_with_what_was_found(String sound, String broken, String key, String found) {
        String text = BuiltInLibrary.sheetText("birches");
        assertThat(text).contains(sound);

        assertThatExceptionOfType(RefusedException.class)
                .isThrownBy(() -> GroupSheetJson.read(firstReplaced(text, sound, broken)))
                .satisfies(refused -> assertThat(refused.refusals())
                        .extracting(Refusal::key, Refusal::found)
                        .anySatisfy(tuple -> assertThat(tuple.toList())
                                .satisfies(
                                        pair -> assertThat(pair.get(0)).isEqualTo(key),
                                        pair -> assertThat((String) pair.get(1)).contains(found))));
    }

    @Test
    void several_broken_places_are_all_named() {
        String text = BuiltInLibrary.sheetText("birches")
                .replace("\"sense\": \"touch\"", "\"sense\": \"taste\"")
                .replace("\"region\":", "\"regoin\":");

        assertThatExceptionOfType(RefusedException.class)
                .isThrownBy(() -> GroupSheetJson.read(text))
                .withMessageContaining("region: found nothing")
                .withMessageContaining("taste");
    }

    @Test
    void text_that_is_no_json_is_refused_with_its_place() {
        assertThatExceptionOfType(RefusedException.class)
                .isThrownBy(() -> GroupSheetJson.read("{\n  \"format\": oops }"))
                .withMessageContaining("line 2");
    }

    @Test
    void a_key_twice_is_refused() {
        assertThatExceptionOfType(RefusedException.class)
                .isThrownBy(() -> GroupSheetJson.read("{\"id\": \"a\", \"id\": \"b\"}"))
                .withMessageContaining("twice in one object");
    }

    private static String firstReplaced(String text, String sound, String broken) {
        int at = text.indexOf(sound);
        return text.substring(0, at) + broken + text.substring(at + sound.length());
    }
}
