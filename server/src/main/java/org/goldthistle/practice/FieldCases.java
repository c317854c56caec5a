package org.goldthistle.practice;

import java.sql.Timestamp;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.call.PracticeTry;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.core.Coded;
import org.goldthistle.core.practice.PracticeScore;
import org.goldthistle.library.LibraryService;
import org.goldthistle.platform.Problem;
import org.goldthistle.platform.ProblemType;
import org.goldthistle.platform.Turn;
import org.goldthistle.platform.Turns;
import org.goldthistle.signing.SignedCall;
import org.goldthistle.signing.SignedCalls;
import org.goldthistle.survey.SurveyService;
import org.goldthistle.survey.TreeService;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Settled cases with photos, as practice for the members of their survey who had no part in them. */
@Service
class FieldCases {
    private static final int MOST = 24;
    private static final String OPEN_TO =
            "select c.id, c.survey_id, c.tree_id, t.stage, d.taxon_id, d.sheet_version_id, f.verdict called"
                    + " from review_case c join tree t on t.id = c.tree_id"
                    + " join survey_member m on m.survey_id = c.survey_id and m.observer_id = :observer"
                    + " cross join lateral (select taxon_id, sheet_version_id from determination where settles = c.id"
                    + " order by entry_order desc limit 1) d"
                    + " left join lateral (select verdict from practice_field_try where case_id = c.id and observer_id = :observer"
                    + " order by entry_order limit 1) f on true"
                    + " where c.state = 'settled' and d.taxon_id is not null and not (:observer = any (c.readers))"
                    + " and not exists (select 1 from review_word w where w.case_id = c.id and w.observer_id = :observer)"
                    + " and not exists (select 1 from review_decision e where e.case_id = c.id and e.observer_id = :observer)"
                    + " and not exists (select 1 from determination o where o.tree_id = c.tree_id and o.observer_id = :observer)"
                    + " and not exists (select 1 from practice_withheld h where h.case_id = c.id)"
                    + " and exists (select 1 from call k join photo p on p.call_id = k.id where k.tree_id = c.tree_id)";

    private final JdbcClient jdbc;
    private final LibraryService library;
    private final SignedCalls calls;
    private final TreeService trees;
    private final SurveyService surveys;
    private final Turns turns;
    private final Clock clock;

    FieldCases(
            JdbcClient jdbc,
            LibraryService library,
            SignedCalls calls,
            TreeService trees,
            SurveyService surveys,
            Turns turns,
            Clock clock) {
        this.jdbc = jdbc;
        this.library = library;
        this.calls = calls;
        this.trees = trees;
        this.surveys = surveys;
        this.turns = turns;
        this.clock = clock;
    }

    private record Open(
            UUID caseId,
            UUID surveyId,
            UUID treeId,
            String stage,
            String truth,
            UUID versionId,
            Optional<String> called) {}

    /** Those that are open to an observer, those that they have not called yet first. */
    @Transactional(readOnly = true)
    public List<FieldCaseDto> of(SignedInObserver observer) {
        return open(" order by f.verdict is not null, c.opened_at desc, c.id limit " + MOST, observer).stream()
                .map(one -> dto(one, observer))
                .toList();
    }

    private List<Open> open(String which, SignedInObserver observer) {
        return jdbc.sql(OPEN_TO + which)
                .param("observer", observer.id())
                .query((row, i) -> new Open(
                        row.getObject("id", UUID.class),
                        row.getObject("survey_id", UUID.class),
                        row.getObject("tree_id", UUID.class),
                        row.getString("stage"),
                        row.getString("taxon_id"),
                        row.getObject("sheet_version_id", UUID.class),
                        Optional.ofNullable(row.getString("called"))))
                .list();
    }

    private FieldCaseDto dto(Open one, SignedInObserver observer) {
        StoredSheet sheet = library.find(one.versionId());
        List<SignedCall> signed = calls.of(trees.tree(one.surveyId(), one.treeId(), observer.id()));
        List<FieldCaseDto.FieldPhotoDto> photos = new ArrayList<>();
        Set<UUID> shown = new HashSet<>();
        signed.forEach(call -> call.determination().photos().stream()
                .filter(photo -> shown.add(photo.id()))
                .forEach(photo -> photos.add(new FieldCaseDto.FieldPhotoDto(photo.id(), photo.character()))));
        return new FieldCaseDto(
                one.surveyId(),
                one.caseId(),
                one.treeId(),
                sheet.sheet().id(),
                sheet.sheet().title(),
                sheet.id(),
                signed.get(0).determination().circumstances().month(),
                one.stage(),
                photos,
                one.called().map(verdict -> result(one, verdict, signed)).orElse(null));
    }

    /**
     * Keeps what an observer called a case. Sent again with the same id, it changes nothing.
     *
     * @throws Problem if the case is not open to them, the name is none of its sheet's, or the id belongs to another try
     */
    @Transactional
    public FieldTry.FieldResult keep(UUID caseId, UUID tryId, SignedInObserver observer, FieldTry sent) {
        turns.take(Turn.alone(Turn.Thing.ENTRY, tryId));
        Open open = open("", observer).stream()
                .filter(one -> one.caseId().equals(caseId))
                .findFirst()
                .orElseThrow(() -> Problem.missing(
                        ProblemType.NO_SUCH_CASE,
                        "There is no such case to practise on: it is not settled, has no photo, is withheld, or you had a"
                                + " part in it. Nothing was stored; choose another one."));
        requireName(library.find(open.versionId()), sent);
        PracticeScore.Verdict verdict = verdict(open, sent);
        if (!isThere(caseId, tryId, observer, sent)) {
            jdbc.sql("insert into practice_field_try (id, observer_id, case_id, outcome, taxon_id, belief, verdict,"
                            + " ended_at, recorded_at) values (?, ?, ?, ?, ?, ?, ?, ?, ?)")
                    .params(
                            tryId,
                            observer.id(),
                            caseId,
                            sent.outcome(),
                            sent.taxonId(),
                            sent.belief(),
                            verdict.code(),
                            Timestamp.from(sent.endedAt()),
                            Timestamp.from(clock.instant()))
                    .update();
        }
        return result(open, verdict.code(), calls.of(trees.tree(open.surveyId(), open.treeId(), observer.id())));
    }

    private static void requireName(StoredSheet sheet, FieldTry sent) {
        boolean named = PracticeTry.Named.TAXON.code().equals(sent.outcome());
        boolean known = Coded.find(PracticeTry.Named.values(), sent.outcome()).isPresent();
        if (!known
                || named != (sent.taxonId() != null)
                || named && sheet.sheet().taxonIndex(sent.taxonId()) < 0) {
            throw Problem.unfit(
                    ProblemType.UNFIT_TRY,
                    "What the case was called is none of its sheet's taxa. Nothing was stored; choose one of them, or leave"
                            + " it open.");
        }
    }

    private static PracticeScore.Verdict verdict(Open open, FieldTry sent) {
        if (PracticeTry.Named.OPEN.code().equals(sent.outcome())) {
            return PracticeScore.Verdict.OPEN;
        }
        return open.truth().equals(sent.taxonId()) ? PracticeScore.Verdict.RIGHT : PracticeScore.Verdict.WRONG;
    }

    /** Whether the same try is on record. */
    private boolean isThere(UUID caseId, UUID tryId, SignedInObserver observer, FieldTry sent) {
        Optional<Boolean> same = jdbc.sql("select case_id = ? and observer_id = ? and outcome = ?"
                        + " and taxon_id is not distinct from ? from practice_field_try where id = ?")
                .params(caseId, observer.id(), sent.outcome(), sent.taxonId(), tryId)
                .query(Boolean.class)
                .optional();
        if (same.isPresent() && !same.get()) {
            throw Problem.conflict(
                    ProblemType.ID_TAKEN,
                    "The id of this try belongs to another one. Nothing was changed; send it anew.");
        }
        return same.isPresent();
    }

    private static FieldTry.FieldResult result(Open open, String verdict, List<SignedCall> signed) {
        return new FieldTry.FieldResult(
                open.surveyId(),
                open.caseId(),
                verdict,
                open.truth(),
                signed.stream().map(FieldCases::reader).toList());
    }

    private static FieldTry.FieldReaderDto reader(SignedCall call) {
        return new FieldTry.FieldReaderDto(
                call.determination().observer(),
                call.taxon().map(k -> call.model().sheet().taxa().get(k).id()).orElse(null),
                call.determination().readings());
    }

    /**
     * Withholds a case from practice, or gives it free again.
     *
     * @throws Problem if the survey has no such case, or the lead does not belong to it
     */
    @Transactional
    public void withhold(UUID surveyId, UUID caseId, SignedInObserver lead, boolean withheld) {
        turns.take(Turn.alone(Turn.Thing.ENTRY, caseId));
        surveys.requireMember(surveyId, lead.id());
        boolean there = jdbc.sql("select count(*) > 0 from review_case where id = ? and survey_id = ?")
                .params(caseId, surveyId)
                .query(Boolean.class)
                .single();
        if (!there) {
            throw Problem.missing(
                    ProblemType.NO_SUCH_CASE, "This survey has no such review. Look at the list of its reviews.");
        }
        if (withheld) {
            jdbc.sql("insert into practice_withheld values (?, ?, ?) on conflict (case_id) do nothing")
                    .params(caseId, lead.id(), Timestamp.from(clock.instant()))
                    .update();
        } else {
            jdbc.sql("delete from practice_withheld where case_id = ?")
                    .param(caseId)
                    .update();
        }
    }

    /** Cases of a survey that are withheld. */
    List<UUID> withheld(UUID surveyId) {
        return jdbc.sql("select h.case_id from practice_withheld h join review_case c on c.id = h.case_id"
                        + " where c.survey_id = ? order by h.recorded_at, h.case_id")
                .param(surveyId)
                .query(UUID.class)
                .list();
    }
}
