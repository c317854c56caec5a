package org.goldthistle.exchange;

import java.util.Optional;
import java.util.UUID;
import org.goldthistle.audit.AuditTrail;
import org.goldthistle.audit.Place;
import org.goldthistle.platform.Problem;
import org.goldthistle.platform.ProblemType;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Takes the rows that were checked over into the survey: all of them, or none. */
@Component
class ImportStore {
    private static final int SLICE = 5000; // rows between two looks at whether to stop

    private final ImportProgress progress;
    private final AuditTrail audit;
    private final JdbcClient jdbc;
    private final TransactionTemplate inTransaction;

    ImportStore(ImportProgress progress, AuditTrail audit, JdbcClient jdbc, TransactionTemplate inTransaction) {
        this.progress = progress;
        this.audit = audit;
        this.jdbc = jdbc;
        this.inTransaction = inTransaction;
    }

    /** @throws Problem if somebody recorded one of the trees since the file was checked */
    void run(UUID importId, UUID observerId) {
        try {
            inTransaction.executeWithoutResult(status -> store(importId, observerId));
        } catch (DataIntegrityViolationException overtaken) {
            throw Problem.conflict(
                    ProblemType.OVERTAKEN,
                    "Somebody recorded a plot or a tree of this file after it was checked. Nothing of the file was"
                            + " stored; check it again to see which.");
        }
    }

    private void store(UUID importId, UUID observerId) {
        UUID surveyId = jdbc.sql("select survey_id from import_file where id = ?")
                .param(importId)
                .query(UUID.class)
                .single();
        long last = jdbc.sql("select coalesce(max(place), 0) from import_row where import_id = ?")
                .param(importId)
                .query(Long.class)
                .single();
        storePlots(importId, surveyId);
        for (long from = 0; from <= last; from += SLICE) {
            storeTrees(importId, surveyId, observerId, from);
            progress.note(importId, Math.min(last, from + SLICE), 0.95 * (from + SLICE) / Math.max(last, SLICE));
        }
        jdbc.sql(
                        "update tree t set clone_of = b.tree_id from import_row r join import_row b on b.import_id = r.import_id"
                                + " and b.plot_code = r.plot_code and b.tag = (r.tree ->> 'cloneOfTag')::int"
                                + " where r.import_id = ? and r.tree ->> 'cloneOfTag' is not null and t.id = r.tree_id")
                .param(importId)
                .update();
        String told = jdbc.sql(
                        "select name || ': ' || plots_new || ' plots, ' || trees_new || ' trees' from import_file"
                                + " where id = ?")
                .param(importId)
                .query(String.class)
                .single();
        audit.note(Optional.of(observerId), "imported a file", Place.survey(surveyId), null, told);
        jdbc.sql("delete from import_row where import_id = ?").param(importId).update();
        progress.note(importId, last, 1);
    }

    private void storePlots(UUID importId, UUID surveyId) {
        jdbc.sql(
                        "insert into plot (id, survey_id, code, latitude, longitude, radius_metres, altitude_metres, habitat,"
                                + " notes, imported_by) select gen_random_uuid(), :survey, c.plot_code, (d.plot ->> 'latitude')::float8,"
                                + " (d.plot ->> 'longitude')::float8, coalesce((d.plot ->> 'radiusMetres')::float8, 15),"
                                + " (d.plot ->> 'altitudeMetres')::float8, coalesce((select array_agg(h) from"
                                + " jsonb_array_elements_text(d.plot -> 'habitat') h), '{}'), coalesce(d.plot ->> 'notes', ''), :import"
                                + " from (select distinct plot_code from import_row where import_id = :import) c"
                                + " left join lateral (select plot from import_row where import_id = :import"
                                + " and plot_code = c.plot_code and plot is not null order by place limit 1) d on true"
                                + " where not exists (select 1 from plot p where p.survey_id = :survey and p.code = c.plot_code)")
                .param("import", importId)
                .param("survey", surveyId)
                .update();
    }

    private void storeTrees(UUID importId, UUID surveyId, UUID observerId, long from) {
        jdbc.sql("with stored as (insert into tree (id, plot_id, tag, azimuth_degrees, distance_metres,"
                        + " diameter_millimetres, height_decimetres, stage, origin, habitat, condition_notes, group_id,"
                        + " plain_taxon, vigour, favoured, stands_as, imported_by) select r.tree_id, p.id, r.tag, (b ->> 'azimuthDegrees')::float8,"
                        + " (b ->> 'distanceMetres')::float8, (b ->> 'diameterMillimetres')::int,"
                        + " (b ->> 'heightDecimetres')::int, b ->> 'stage', b ->> 'origin',"
                        + " (select array_agg(h) from jsonb_array_elements_text(case when"
                        + " jsonb_typeof(b -> 'habitat') = 'array' then b -> 'habitat' end) h),"
                        + " b ->> 'conditionNotes', b ->> 'groupId', b ->> 'plainTaxon',"
                        + " nullif(b -> 'vigour', 'null'::jsonb), coalesce((b ->> 'favoured')::boolean, false),"
                        + " case when b ->> 'groupId' is null then 'plain' else 'open' end, :import"
                        + " from import_row r join plot p on p.survey_id = :survey and p.code = r.plot_code"
                        + " cross join lateral (select r.tree -> 'body' b) body"
                        + " where r.import_id = :import and r.place > :from and r.place <= :to and r.tree is not null"
                        + " returning id, plot_id)"
                        + " insert into audit_entry (happened_at, observer_id, what, survey_id, plot_id, tree_id, after)"
                        + " select now(), :observer, 'imported the tree', :survey, s.plot_id, s.id, r.tree -> 'body'"
                        + " from stored s join import_row r on r.import_id = :import and r.tree_id = s.id"
                        + " and r.place > :from and r.place <= :to")
                .param("import", importId)
                .param("survey", surveyId)
                .param("observer", observerId)
                .param("from", from)
                .param("to", from + SLICE)
                .update();
    }
}
