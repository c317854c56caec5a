package org.goldthistle.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.FieldSource;

class SpecimenWriterTest {
    static final List<String> GROUPS = BuiltInLibrary.GROUPS;

    @ParameterizedTest(name = "{0}")
    @FieldSource("GROUPS")
    void what_is_written_reads_as_it_was(String group) {
        List<Specimen> specimens = SpecimenJson.readAll(BuiltInLibrary.specimensText(group));

        assertThat(SpecimenJson.readAll(SpecimenWriter.text(specimens))).isEqualTo(specimens);
    }

    @Test
    void what_could_not_be_seen_keeps_why_and_when() {
        String text = """
                [{"id": "t", "context": {"month": 9, "stage": "pole", "origin": "wild", "lacking": ["smell"],
                  "records": {"pendula": 3}},
                  "observations": [{"character": "cone-length", "notSeen": true, "notBorne": true, "month": 4},
                    {"character": "bark", "notSeen": true}],
                  "gate": [{"item": "leaves", "fits": false}]}]""";
        List<Specimen> specimens = SpecimenJson.readAll(text);

        assertThat(SpecimenJson.readAll(SpecimenWriter.text(specimens))).isEqualTo(specimens);
    }
}
