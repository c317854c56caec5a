package org.goldthistle.exchange;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.Taxon;
import org.goldthistle.formats.WrittenDetermination;
import org.goldthistle.formats.WrittenDetermination.WrittenName;
import org.goldthistle.library.LibraryService;
import org.springframework.stereotype.Component;

/** What was signed of a survey's trees, told in the words of its sheets: an observer's own, and others' where they are open to them. */
@Component
class SignaturesOfSurvey {
    /** By plot, tag and in the order of signing; its parameters are the observer twice, and the survey. */
    static final String QUERY =
            "select p.code, t.tag, t.id tree_id, d.id, d.sheet_version_id, d.outcome, d.taxon_id, d.note,"
                    + " d.confirming, d.signed_blind, d.settles is not null review, o.call_sign,"
                    + " to_char(d.signed_at at time zone 'UTC', 'YYYY-MM-DD') as day, d.snapshot #>> '{judgement,tier}' tier,"
                    + " array(select jsonb_array_elements_text(d.snapshot #> '{judgement,contrary}')) contrary,"
                    + " array(select jsonb_array_elements_text(d.snapshot #> '{judgement,reasons}')) contested,"
                    + " (select cast(s ->> 'posterior' as float8) from"
                    + " jsonb_array_elements(d.snapshot #> '{figures,withSurroundings,shares}') s where s ->> 'taxon' ="
                    + " coalesce(d.taxon_id, d.snapshot #>> '{figures,withSurroundings,lead}')) share"
                    + " from determination d join observer o on o.id = d.observer_id join tree t on t.id = d.tree_id"
                    + " join plot p on p.id = t.plot_id where (" + SurveyRows.SHOWN
                    + " or d.observer_id = ?) and p.survey_id = ?"
                    + " order by p.code, t.tag, d.entry_order";

    private final LibraryService library;

    SignaturesOfSurvey(LibraryService library) {
        this.library = library;
    }

    /** @param called what an observer is called, by their call sign */
    WrittenDetermination written(ResultSet row, UnaryOperator<String> called) throws SQLException {
        StoredSheet sheet = library.find(row.getObject("sheet_version_id", UUID.class));
        return new WrittenDetermination(
                row.getString("id"),
                row.getString("tree_id"),
                row.getString("code"),
                row.getInt("tag"),
                sheet.sheet().id(),
                sheet.version(),
                row.getString("outcome"),
                name(sheet, row.getString("taxon_id")),
                row.getString("tier"),
                row.getObject("share", Double.class),
                names(sheet, row, "confirming"),
                names(sheet, row, "contrary"),
                List.of((String[]) row.getArray("contested").getArray()),
                called.apply(row.getString("call_sign")),
                row.getString("day"),
                row.getBoolean("signed_blind"),
                row.getBoolean("review"),
                row.getString("note"));
    }

    /** Of a taxon, or of its group where none was named. */
    static WrittenName name(StoredSheet sheet, String taxonId) {
        Optional<Taxon> taxon =
                Optional.ofNullable(taxonId).flatMap(id -> sheet.sheet().taxon(id));
        return taxon.map(one -> new WrittenName(
                        one.name().scientificName(),
                        one.name().authorship(),
                        one.rank().code(),
                        one.name().commonName()))
                .orElseGet(() -> new WrittenName(
                        sheet.sheet().fallback().scientificName(),
                        "",
                        "group",
                        sheet.sheet().fallback().commonName()));
    }

    private static List<String> names(StoredSheet sheet, ResultSet row, String column) throws SQLException {
        return List.of((String[]) row.getArray(column).getArray()).stream()
                .map(id -> sheet.sheet()
                        .character(id)
                        .map(DiagnosticCharacter::name)
                        .orElse(id))
                .toList();
    }
}
