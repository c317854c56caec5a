package org.goldthistle.season;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.goldthistle.audit.AuditTrail;
import org.goldthistle.audit.Place;
import org.goldthistle.core.Refusals;
import org.goldthistle.core.RefusedException;
import org.goldthistle.learning.VerifiedTrees;
import org.goldthistle.platform.Problem;
import org.goldthistle.platform.ProblemType;
import org.goldthistle.platform.Turn;
import org.goldthistle.platform.Turns;
import org.goldthistle.review.Verifications;
import org.goldthistle.survey.LocalRecord;
import org.goldthistle.survey.SurveyService;
import org.goldthistle.survey.SurveySettings;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Begins a survey's next season: how it is set up, its plots and the stems that still stand, with their tags. Nothing that
 * was read or signed goes with them; verified trees count among the district's records from then on.
 */
@Service
class NextSeason {
    private static final String NOT_CUT = " and not exists (select 1 from control_work w where w.tree_id = t.id"
            + " and w.what = 'cut' and w.entry_order = (select max(entry_order) from control_work where tree_id = t.id))";

    private final SurveyService surveys;
    private final VerifiedTrees verified;
    private final AuditTrail audit;
    private final Turns turns;
    private final JdbcClient jdbc;

    NextSeason(SurveyService surveys, VerifiedTrees verified, AuditTrail audit, Turns turns, JdbcClient jdbc) {
        this.surveys = surveys;
        this.verified = verified;
        this.audit = audit;
        this.turns = turns;
        this.jdbc = jdbc;
    }

    /**
     * Begins it; sent again, it changes nothing.
     *
     * @throws Problem if the lead does not belong to the survey, the season is no later one, or another survey of that
     *     name and season is there
     */
    @Transactional
    SeasonBegunDto begin(UUID surveyId, UUID leadId, NewSeason asked) {
        turns.take(Turn.alone(Turn.Thing.SURVEY, surveyId), Turn.alone(Turn.Thing.SURVEY, asked.id()));
        SurveySettings before = surveys.settingsOf(surveyId, leadId);
        refuseUnfit(before, asked);
        Optional<UUID> there = jdbc.sql("select id from survey where id = :id or district = :district"
                        + " and season = :season and lower(name) = lower(:name) order by id = :id desc limit 1")
                .param("id", asked.id())
                .param("district", before.district())
                .param("season", asked.season())
                .param("name", asked.name().strip())
                .query(UUID.class)
                .optional();
        if (there.isPresent()) {
            return begunBefore(there.get(), leadId, asked);
        }
        SurveySettings set = before.inSeason(asked.season(), asked.name(), records(surveyId, leadId, before.records()));
        surveys.create(asked.id(), leadId, set);
        carry(surveyId, asked.id());
        carryRules(surveyId, asked.id());
        audit.note(
                Optional.of(leadId), "began it as the next season of", Place.survey(asked.id()), null, before.name());
        return begun(asked.id());
    }

    private SeasonBegunDto begunBefore(UUID there, UUID leadId, NewSeason asked) {
        SurveySettings stored = there.equals(asked.id()) ? surveys.settingsOf(there, leadId) : null;
        if (stored == null || !stored.name().equalsIgnoreCase(asked.name().strip())) {
            throw Problem.conflict(
                    ProblemType.SEASON_BEGUN,
                    "This season is begun already" + (stored == null ? "" : " as “" + stored.name() + "”")
                            + ". Nothing was stored; go on with that survey, whose name can be changed among its settings.");
        }
        if (stored.season() != asked.season()) {
            throw Problem.conflict(
                    ProblemType.ID_TAKEN,
                    "The id of this season belongs to another survey. Nothing was changed; send it anew.");
        }
        return begun(there);
    }

    private static void refuseUnfit(SurveySettings before, NewSeason asked) {
        Refusals refusals = new Refusals();
        refusals.require(
                asked.season() > before.season(),
                "season",
                asked.season(),
                "a year after " + before.season() + ", the season that it follows");
        try {
            refusals.throwIfAny();
        } catch (RefusedException refused) {
            throw Problem.unfit(ProblemType.UNFIT_SURVEY, refused);
        }
    }

    /** A stem, by what stays with it from season to season. */
    private record Stem(String plotCode, int tag) {
        static Stem of(Verifications.Verified one) {
            return new Stem(one.plotCode(), one.tag());
        }
    }

    /** What was known of the district, and the trees that this season verified and no earlier one had. */
    private List<LocalRecord> records(UUID surveyId, UUID leadId, List<LocalRecord> known) {
        record Taxon(String group, String taxon) {}

        Map<Taxon, Integer> trees = new LinkedHashMap<>();
        known.forEach(one -> trees.put(new Taxon(one.groupId(), one.taxonId()), one.trees()));
        Set<Stem> before = new HashSet<>();
        jdbc.sql(
                        "select e.id from survey s join survey e on e.district = s.district and e.season < s.season where s.id = ?")
                .param(surveyId)
                .query(UUID.class)
                .list()
                .forEach(earlier -> verified.of(earlier, leadId).forEach(one -> before.add(Stem.of(one))));
        verified.of(surveyId, leadId).stream()
                .filter(one -> !before.contains(Stem.of(one)))
                .forEach(one -> trees.merge(new Taxon(one.groupId(), one.truth()), 1, Integer::sum));
        List<LocalRecord> all = new ArrayList<>();
        trees.forEach((of, count) -> all.add(new LocalRecord(of.group(), of.taxon(), count)));
        return all;
    }

    /** What its lead set beside its settings: the archive's rules, the lines of the map, how much practice a group asks for. */
    private void carryRules(UUID from, UUID to) {
        for (String rules : List.of(
                "insert into exchange_rule select cast(:to as uuid), license, rights_holder, pseudonyms, coarse_metres,"
                        + " coarse_taxa, set_by, set_at from exchange_rule where survey_id = :from",
                "insert into season_lines select cast(:to as uuid), lines, set_by, set_at from season_lines"
                        + " where survey_id = :from",
                "insert into practice_rule (id, survey_id, group_id, needed, of_trees, set_by, recorded_at)"
                        + " select gen_random_uuid(), cast(:to as uuid), group_id, needed, of_trees, set_by, recorded_at from"
                        + " (select distinct on (group_id) * from practice_rule where survey_id = :from"
                        + " order by group_id, entry_order desc) r where needed > 0")) {
            jdbc.sql(rules).param("from", from).param("to", to).update();
        }
    }

    private void carry(UUID from, UUID to) {
        jdbc.sql(
                        "insert into plot (id, survey_id, code, latitude, longitude, radius_metres, altitude_metres, habitat, notes)"
                                + " select gen_random_uuid(), cast(:to as uuid), code, latitude, longitude, radius_metres,"
                                + " altitude_metres, habitat, notes from plot where survey_id = :from")
                .param("from", from)
                .param("to", to)
                .update();
        jdbc.sql("insert into tree (id, plot_id, tag, azimuth_degrees, distance_metres, diameter_millimetres,"
                        + " height_decimetres, stage, origin, habitat, condition_notes, group_id, plain_taxon, favoured,"
                        + " stands_as) select gen_random_uuid(), n.id, t.tag, t.azimuth_degrees, t.distance_metres,"
                        + " t.diameter_millimetres, t.height_decimetres, t.stage, t.origin, t.habitat, t.condition_notes,"
                        + " t.group_id, t.plain_taxon, t.favoured, case when t.group_id is null then 'plain' else 'open' end"
                        + " from tree t join plot p on p.id = t.plot_id join plot n on n.survey_id = :to and n.code = p.code"
                        + " where p.survey_id = :from" + NOT_CUT)
                .param("from", from)
                .param("to", to)
                .update();
        jdbc.sql("update tree c set clone_of = b.id from plot n, tree o, plot p, tree a, plot q, plot m, tree b"
                        + " where n.id = c.plot_id and n.survey_id = :to and p.survey_id = :from and p.code = n.code"
                        + " and o.plot_id = p.id and o.tag = c.tag and a.id = o.clone_of and q.id = a.plot_id"
                        + " and m.survey_id = :to and m.code = q.code and b.plot_id = m.id and b.tag = a.tag")
                .param("from", from)
                .param("to", to)
                .update();
    }

    private SeasonBegunDto begun(UUID surveyId) {
        return jdbc.sql(
                        "select cast(:survey as uuid) survey_id, (select count(*) from plot where survey_id = :survey) plots,"
                                + " (select count(*) from tree t join plot p on p.id = t.plot_id where p.survey_id = :survey) stems,"
                                + " (select coalesce(sum(trees), 0) from survey_record where survey_id = :survey) records")
                .param("survey", surveyId)
                .query(SeasonBegunDto.class)
                .single();
    }
}
