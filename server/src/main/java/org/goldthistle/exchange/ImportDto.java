package org.goldthistle.exchange;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.goldthistle.core.CodeOf;
import org.goldthistle.formats.SurveyField;
import org.goldthistle.formats.TextEncoding;
import org.springframework.lang.Nullable;

/**
 * A file on its way in.
 *
 * @param format csv or geojson
 * @param encoding that a table is read in
 * @param encodings that a table can be read in
 * @param state sent, checking, checked, storing, stored, stopped, broken or taken-back
 * @param headings of its columns, in their order
 * @param sample its first rows, in the order of the headings
 * @param columns what each heading is taken for
 * @param fields what a heading can be taken for
 * @param rowsDone rows read so far
 * @param shareDone of the work in hand, in [0, 1]
 * @param problemCount rows and cells that cannot be taken over
 * @param problems the first of them
 * @param oddMedian the median diameter in mm where it is so far off that the unit is asked for; null: it is not
 * @param told what is wrong with the file as a whole; empty: nothing
 */
record ImportDto(
        UUID id,
        String name,
        FileFormat format,
        @CodeOf(TextEncoding.class) String encoding,
        @CodeOf(TextEncoding.class) List<String> encodings,
        ImportState state,
        List<String> headings,
        List<List<String>> sample,
        List<ColumnDto> columns,
        List<FieldDto> fields,
        long rowsDone,
        double shareDone,
        int plotsNew,
        int treesNew,
        long problemCount,
        List<ProblemDto> problems,
        @Nullable Integer oddMedian,
        String told) {

    /**
     * A heading, and what it is taken for.
     *
     * @param unit in which it is given; null: it has none
     * @param sure whether somebody said so after they were asked, since the figures look like another unit's
     */
    record ColumnDto(
            String heading,
            @CodeOf(SurveyField.class) String field,
            @Nullable String unit,
            @Nullable Boolean sure) {}

    /** What a heading can be taken for, and the units in which that may be given, ours first. */
    record FieldDto(@CodeOf(SurveyField.class) String field, List<String> units) {}

    /** A file that was stored, with what it brought. */
    record StoredDto(UUID id, String name, int plots, int trees, Instant storedAt) {}

    /** Something that cannot be taken over: row or feature, heading, and why. */
    record ProblemDto(long place, String heading, String problem) {}
}
