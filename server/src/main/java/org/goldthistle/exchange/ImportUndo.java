package org.goldthistle.exchange;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.goldthistle.audit.AuditTrail;
import org.goldthistle.audit.Place;
import org.goldthistle.platform.Problem;
import org.goldthistle.platform.ProblemType;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Takes back what a file brought, as long as nothing of it was read, changed or built upon. */
@Component
class ImportUndo {
    private static final int SHOWN = 5;

    private final AuditTrail audit;
    private final JdbcClient jdbc;

    ImportUndo(AuditTrail audit, JdbcClient jdbc) {
        this.audit = audit;
        this.jdbc = jdbc;
    }

    /** @throws Problem if something of it was touched meanwhile */
    void run(UUID importId, UUID surveyId, UUID observerId, String name) {
        // nobody touches one of them, or adds a tree to its plots, between the look and the deed
        jdbc.sql("select id from plot where imported_by = ? order by id for update")
                .param(importId)
                .query(UUID.class)
                .list();
        jdbc.sql("select id from tree where imported_by = ? order by id for update")
                .param(importId)
                .query(UUID.class)
                .list();
        List<String> touched = touched(importId);
        if (!touched.isEmpty()) {
            throw Problem.conflict(
                    ProblemType.IMPORT_TOUCHED,
                    "This file cannot be taken back any more, since somebody went on with what it brought: "
                            + String.join(", ", touched.subList(0, Math.min(SHOWN, touched.size())))
                            + (touched.size() > SHOWN ? " and " + (touched.size() - SHOWN) + " more" : "")
                            + ". Nothing was changed; strike single trees in their plot.");
        }
        jdbc.sql("update tree set clone_of = null where imported_by = ? and clone_of is not null")
                .param(importId)
                .update();
        int trees = jdbc.sql("delete from tree where imported_by = ?")
                .param(importId)
                .update();
        int plots = jdbc.sql("delete from plot where imported_by = ?")
                .param(importId)
                .update();
        jdbc.sql("update import_file set state = 'taken-back', told = ? where id = ?")
                .params("Taken back: " + plots + " plots and " + trees + " trees are gone again.", importId)
                .update();
        audit.note(
                Optional.of(observerId),
                "took an import back",
                Place.survey(surveyId),
                null,
                name + ": " + plots + " plots, " + trees + " trees");
    }

    /** Trees and plots of a file that somebody read, changed or added to, in words. */
    private List<String> touched(UUID importId) {
        return jdbc.sql("select p.code || ', tree ' || t.tag from tree t join plot p on p.id = t.plot_id"
                        + " where t.imported_by = :import and (t.version > 0 or t.stands_as not in ('open', 'plain')"
                        + " or exists (select 1 from call c where c.tree_id = t.id)"
                        + " or exists (select 1 from sample x where x.tree_id = t.id)"
                        + " or exists (select 1 from tree o where o.clone_of = t.id"
                        + " and o.imported_by is distinct from :import))"
                        + " union all select 'plot ' || p.code from plot p where p.imported_by = :import"
                        + " and (p.version > 0 or p.closed_at is not null or exists (select 1 from tree t"
                        + " where t.plot_id = p.id and t.imported_by is distinct from :import))"
                        + " order by 1")
                .param("import", importId)
                .query(String.class)
                .list();
    }
}
