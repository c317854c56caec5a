package org.goldthistle.review;

import java.sql.Timestamp;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.platform.Problem;
import org.goldthistle.platform.ProblemType;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;

/** Which settled cases a lead marked as verified, so that what is believed can be held against what they came to. */
@Service
public class Verifications {
    private static final String LAST =
            "select distinct on (case_id) case_id, verified from verification order by case_id, entry_order desc";

    private static final String LATEST = " order by entry_order desc limit 1";

    private final JdbcClient jdbc;
    private final Clock clock;

    Verifications(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /**
     * A tree whose taxon is known by a review, or by a laboratory.
     *
     * @param caseId null: a laboratory says so, and no case does
     * @param groupId of the sheet that it was settled on
     * @param truth id of the taxon that stands
     */
    public record Verified(
            @Nullable UUID caseId, UUID treeId, String plotCode, int tag, String groupId, String truth) {}

    /** The verified trees of a survey, in the order in which their cases were opened. */
    public List<Verified> of(UUID surveyId) {
        return jdbc.sql(
                        "select c.id case_id, c.tree_id, p.code, t.tag, v.group_id, d.taxon_id from review_case c"
                                + " join (" + LAST + ") l on l.case_id = c.id and l.verified"
                                + " cross join lateral (select taxon_id, sheet_version_id from determination where settles = c.id"
                                + LATEST + ") d"
                                + " join sheet_version v on v.id = d.sheet_version_id"
                                + " join tree t on t.id = c.tree_id join plot p on p.id = t.plot_id"
                                + " where c.survey_id = :survey and c.state = 'settled' and d.taxon_id is not null order by c.opened_at, c.id")
                .param("survey", surveyId)
                .query((row, i) -> new Verified(
                        row.getObject("case_id", UUID.class),
                        row.getObject("tree_id", UUID.class),
                        row.getString("code"),
                        row.getInt("tag"),
                        row.getString("group_id"),
                        row.getString("taxon_id")))
                .list();
    }

    boolean isVerified(UUID caseId) {
        return jdbc.sql("select verified from verification where case_id = ? order by entry_order desc limit 1")
                .param(caseId)
                .query(Boolean.class)
                .optional()
                .orElse(false);
    }

    /** Whether a case has come to a taxon. */
    boolean canBe(ReviewCase of) {
        return of.state() == CaseState.SETTLED
                && jdbc.sql("select taxon_id is not null from determination where settles = ?" + LATEST)
                        .param(of.id())
                        .query(Boolean.class)
                        .optional()
                        .orElse(false);
    }

    /**
     * Marks a case.
     *
     * @return whether anything was stored
     * @throws Problem if the case has not come to a taxon, or the id belongs to another mark
     */
    boolean mark(ReviewCase of, UUID id, boolean verified, SignedInObserver observer) {
        if (!canBe(of)) {
            throw Problem.conflict(
                    ProblemType.NOT_SETTLED,
                    "Only a review that was settled with a taxon can be verified. Nothing was stored; decide it first.");
        }
        Optional<Boolean> there = jdbc.sql("select case_id = ? and verified = ? from verification where id = ?")
                .params(of.id(), verified, id)
                .query(Boolean.class)
                .optional();
        if (there.isPresent()) {
            if (!there.get()) {
                throw Problem.conflict(
                        ProblemType.ID_TAKEN,
                        "The id of this mark belongs to another one. Nothing was changed; send it anew.");
            }
            return false;
        }
        if (isVerified(of.id()) == verified) {
            return false;
        }
        jdbc.sql("insert into verification (id, case_id, verified, observer_id, recorded_at) values (?, ?, ?, ?, ?)")
                .params(id, of.id(), verified, observer.id(), Timestamp.from(clock.instant()))
                .update();
        return true;
    }
}
