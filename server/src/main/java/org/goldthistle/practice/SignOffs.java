package org.goldthistle.practice;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.practice.PracticeScore;
import org.goldthistle.core.practice.SignedOff;
import org.goldthistle.core.sheet.TaxonOrigin;
import org.goldthistle.library.LibraryService;
import org.goldthistle.platform.Problem;
import org.goldthistle.platform.ProblemType;
import org.goldthistle.platform.Turn;
import org.goldthistle.platform.Turns;
import org.goldthistle.review.Unproven;
import org.goldthistle.survey.SurveyService;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What surveys ask their observers to practise first, and who has. A rule counts from when it was set, never backwards. */
@Service
class SignOffs implements Unproven {
    private static final String RULES = "select distinct on (r.survey_id, r.group_id) r.survey_id, s.name, s.season,"
            + " r.group_id, r.needed, r.of_trees from practice_rule r join survey s on s.id = r.survey_id";
    private static final String LATEST = " order by r.survey_id, r.group_id, r.entry_order desc";

    private final JdbcClient jdbc;
    private final Tries tries;
    private final LibraryService library;
    private final SurveyService surveys;
    private final Turns turns;
    private final Clock clock;

    SignOffs(JdbcClient jdbc, Tries tries, LibraryService library, SurveyService surveys, Turns turns, Clock clock) {
        this.jdbc = jdbc;
        this.tries = tries;
        this.library = library;
        this.surveys = surveys;
        this.turns = turns;
        this.clock = clock;
    }

    private record Rule(UUID surveyId, String surveyName, int season, String groupId, SignedOff asked) {}

    /** Where somebody stands, under their call sign. */
    record Standing(String callSign, SignedOffDto standing) {}

    /**
     * What an observer's open surveys ask of them.
     *
     * @param all their tries
     */
    List<SignedOffDto> of(UUID observerId, List<KeptTry> all) {
        return rules(jdbc.sql(RULES + " join survey_member m on m.survey_id = s.id where m.observer_id = ?"
                                + " and s.closed_at is null" + LATEST)
                        .param(observerId))
                .stream()
                .map(rule -> standing(rule, all, clock.instant()))
                .toList();
    }

    /**
     * Where the crew of a survey stands.
     *
     * @param only the one that is asked for; empty: everybody
     */
    List<Standing> ofCrew(UUID surveyId, Optional<UUID> only) {
        List<Rule> rules = rules(jdbc.sql(RULES + " where s.id = ?" + LATEST).param(surveyId));
        List<Standing> standings = new ArrayList<>();
        jdbc.sql(
                        "select o.id, o.call_sign from survey_member m join observer o on o.id = m.observer_id"
                                + " where m.survey_id = ? and o.role <> 'contractor' and (?::uuid is null or o.id = ?) order by o.call_sign")
                .params(Arrays.asList(surveyId, only.orElse(null), only.orElse(null)))
                .query((row, i) -> Map.entry(row.getObject("id", UUID.class), row.getString("call_sign")))
                .list()
                .forEach(person -> {
                    List<KeptTry> all = tries.of(person.getKey());
                    rules.forEach(rule ->
                            standings.add(new Standing(person.getValue(), standing(rule, all, clock.instant()))));
                });
        return standings;
    }

    private static List<Rule> rules(JdbcClient.StatementSpec asked) {
        return asked
                .query((row, i) -> new Rule(
                        row.getObject("survey_id", UUID.class),
                        row.getString("name"),
                        row.getInt("season"),
                        row.getString("group_id"),
                        new SignedOff(row.getInt("needed"), row.getInt("of_trees"))))
                .list()
                .stream()
                .filter(rule -> rule.asked().needed() > 0)
                .toList();
    }

    private SignedOffDto standing(Rule rule, List<KeptTry> all, Instant at) {
        List<SignedOff.Tried> tried = inSeason(rule, all, at);
        return new SignedOffDto(
                rule.surveyId(),
                rule.surveyName(),
                rule.groupId(),
                library.newest(rule.groupId()).sheet().title(),
                rule.asked().needed(),
                rule.asked().of(),
                tried.size(),
                rule.asked().best(tried),
                rule.asked().isPassed(tried));
    }

    private List<SignedOff.Tried> inSeason(Rule rule, List<KeptTry> all, Instant at) {
        Instant from =
                LocalDate.of(rule.season(), 1, 1).atStartOfDay(ZoneOffset.UTC).toInstant();
        return all.stream()
                .filter(one -> one.groupId().equals(rule.groupId())
                        && !one.endedAt().isBefore(from)
                        && !one.endedAt().isAfter(at))
                .map(this::tried)
                .toList();
    }

    private SignedOff.Tried tried(KeptTry one) {
        boolean wrong = one.result().verdict().equals(PracticeScore.Verdict.WRONG.code());
        boolean invader = Optional.ofNullable(one.made().taxonId())
                .flatMap(named -> library.find(one.sheetVersionId()).sheet().taxa().stream()
                        .filter(taxon -> taxon.id().equals(named))
                        .findFirst())
                .filter(taxon -> taxon.origin() == TaxonOrigin.INVASIVE)
                .isPresent();
        return new SignedOff.Tried(one.result().verdict().equals(PracticeScore.Verdict.RIGHT.code()), wrong && invader);
    }

    @Override
    @Transactional(readOnly = true)
    public boolean isUnproven(UUID surveyId, String groupId, UUID observerId, Instant at) {
        return rules(jdbc.sql(RULES + " where s.id = ? and r.group_id = ? and r.recorded_at <= ?" + LATEST)
                        .params(surveyId, groupId, Timestamp.from(at)))
                .stream()
                .anyMatch(rule -> !rule.asked().isPassed(inSeason(rule, tries.of(observerId), at)));
    }

    /**
     * Sets what a survey asks for in a group, from now on.
     *
     * @throws Problem if the observer does not belong to the survey, or the numbers do not go together
     */
    @Transactional
    public void set(UUID surveyId, String groupId, SignedInObserver lead, int needed, int of) {
        turns.take(Turn.alone(Turn.Thing.SURVEY, surveyId));
        surveys.requireOpen(surveyId, lead.id());
        library.newest(groupId);
        SignedOff asked = asked(needed, of);
        Optional<SignedOff> before = jdbc.sql("select needed, of_trees from practice_rule where survey_id = ?"
                        + " and group_id = ? order by entry_order desc limit 1")
                .params(surveyId, groupId)
                .query((row, i) -> new SignedOff(row.getInt("needed"), row.getInt("of_trees")))
                .optional();
        if (before.filter(asked::equals).isPresent()) {
            return; // sent again
        }
        jdbc.sql("insert into practice_rule (id, survey_id, group_id, needed, of_trees, set_by, recorded_at)"
                        + " values (?, ?, ?, ?, ?, ?, ?)")
                .params(UUID.randomUUID(), surveyId, groupId, needed, of, lead.id(), Timestamp.from(clock.instant()))
                .update();
    }

    private static SignedOff asked(int needed, int of) {
        try {
            return new SignedOff(needed, of);
        } catch (RefusedException refused) {
            throw Problem.unfit(ProblemType.UNFIT_SIGN_OFF, refused);
        }
    }
}
