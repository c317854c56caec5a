package org.goldthistle.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.laboratory.Analysis;
import org.goldthistle.core.laboratory.Finding;
import org.goldthistle.core.laboratory.Tissue;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What is sent to a laboratory, and what of its words is understood. */
class LaboratoryJsonTest {
    private static final LaboratoryMethods METHODS = LaboratoryJson.methods(
            "{\"version\":1,\"laboratory\":\"Saltmarsh\",\"methods\":[{\"analysis\":\"ploidy\",\"error\":0.02},"
                    + "{\"analysis\":\"of another kind\",\"error\":0.1}],\"sets\":{\"Betula pendula\":[2]}}");

    @Test
    void its_file_tells_the_errors_of_what_is_known_here_and_the_sets_of_taxa() {
        assertThat(METHODS.errors()).isEqualTo(Map.of(Analysis.PLOIDY, 0.02));
        assertThat(METHODS.sets()).isEqualTo(Map.of("Betula pendula", Set.of(2)));
        assertThatExceptionOfType(RefusedException.class)
                .isThrownBy(() -> LaboratoryJson.methods(
                        "{\"version\":1,\"laboratory\":\"S\",\"methods\":[{\"analysis\":\"ploidy\",\"error\":0.9}]}"))
                .withMessageContaining("below 0.5");
    }

    @Test
    void a_parcel_says_what_each_sample_may_be() {
        String sent = LaboratoryJson.parcel(
                "P2026-003",
                List.of(new SampleSent(
                        "KM07-23-A",
                        Tissue.LEAF,
                        "2026-09-14",
                        Analysis.MARKERS,
                        List.of("Betula pendula", "Betula pubescens"),
                        List.of("Betula pendula", "Betula pubescens"))));

        assertThat(sent)
                .isEqualTo(
                        "{\"version\":1,\"parcel\":\"P2026-003\",\"samples\":[{\"code\":\"KM07-23-A\",\"tissue\":\"leaf\","
                                + "\"takenOn\":\"2026-09-14\",\"analysis\":\"markers\",\"taxa\":[\"Betula pendula\",\"Betula pubescens\"],"
                                + "\"parents\":[\"Betula pendula\",\"Betula pubescens\"]}]}");
    }

    @Test
    void a_result_is_a_finding_or_why_there_is_none() {
        LaboratoryResult found = LaboratoryJson.result(
                "{\"sample\":\"A\",\"analysis\":\"ploidy\",\"found\":{\"sets\":4,\"variation\":0.03}}", METHODS);
        assertThat(found.finding()).contains(new Finding.Ploidy(4, 0.03, METHODS.sets()));
        LaboratoryResult failed = LaboratoryJson.result(
                "{\"sample\":\"A\",\"analysis\":\"ploidy\",\"failed\":\"the bag was empty\"}", METHODS);
        assertThat(failed.finding()).isEmpty();
        assertThat(failed.failed()).isEqualTo("the bag was empty");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '\'',
            value = {
                "{\"sample\":\"A\",\"analysis\":\"smell\"} | analysis",
                "{\"analysis\":\"ploidy\",\"failed\":\"x\"} | sample",
                "{\"sample\":\"A\",\"analysis\":\"ploidy\"} | found.sets",
                "{\"sample\":\"A\",\"analysis\":\"ploidy\",\"found\":{\"sets\":\"four\",\"variation\":0.1}} | found.sets",
                "{\"sample\":\"A\",\"analysis\":\"ploidy\",\"found\":{\"sets\":4.9,\"variation\":0.1}} | a whole number",
                "{\"sample\":\"A\",\"analysis\":\"markers\",\"found\":{\"first\":\"B a\",\"second\":\"b A\",\"share\":0,\"low\":0,\"high\":0}} | another parent",
                "{\"sample\":\"A\",\"analysis\":\"ploidy\",\"found\":{\"sets\":40,\"variation\":0.1}} | 2 to 12",
                "{\"sample\":\"A\",\"analysis\":\"sequence\",\"found\":{\"taxon\":7,\"support\":1}} | found.taxon",
                "{\"sample\":\"A\\u0000\",\"analysis\":\"ploidy\",\"failed\":\"x\"} | sample",
                "{\"sample\":\"A\",\"analysis\":\"ploidy\",\"failed\":\"x\\u0000\"} | failed",
                "{\"sample\":\"A\" | end of the text"
            })
    void what_cannot_be_understood_is_refused_in_words(String message, String words) {
        assertThatExceptionOfType(RefusedException.class)
                .isThrownBy(() -> LaboratoryJson.result(message, METHODS))
                .withMessageContaining(words);
    }

    @Test
    void messages_are_told_apart_by_their_numbers_before_any_is_understood() {
        List<LaboratoryJson.Numbered> messages =
                LaboratoryJson.results("{\"version\":1,\"results\":[{\"number\":7,\"nonsense\":true},{\"number\":9}]}");

        assertThat(messages).extracting(LaboratoryJson.Numbered::number).containsExactly(7L, 9L);
        assertThat(messages.get(0).text()).contains("nonsense");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "{\"version\":2,\"results\":[]}",
                "{\"version\":1}",
                "{\"version\":1,\"results\":[{\"number\":\"seven\"}]}",
                "<html>away for lunch</html>",
                ""
            })
    void an_answer_that_is_no_list_of_messages_is_refused_whole(String answer) {
        assertThatExceptionOfType(RefusedException.class).isThrownBy(() -> LaboratoryJson.results(answer));
    }

    @Test
    void a_receipt_says_its_number() {
        assertThat(LaboratoryJson.receipt("{\"version\":1,\"receipt\":\"R-7\"}"))
                .isEqualTo("R-7");
        assertThatExceptionOfType(RefusedException.class)
                .isThrownBy(() -> LaboratoryJson.receipt("{\"version\":1,\"receipt\":\" \"}"));
    }
}
