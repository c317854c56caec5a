package org.goldthistle.survey;

import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.goldthistle.account.AccountService;
import org.goldthistle.audit.AuditTrail;
import org.goldthistle.audit.Place;
import org.goldthistle.call.SurveyRules;
import org.goldthistle.core.Coded;
import org.goldthistle.core.Refusals;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.plot.GeoPosition;
import org.goldthistle.core.sheet.School;
import org.goldthistle.core.verdict.Tier;
import org.goldthistle.library.LibraryService;
import org.goldthistle.platform.Problem;
import org.goldthistle.platform.ProblemType;
import org.goldthistle.platform.Turn;
import org.goldthistle.platform.Turns;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Surveys and who belongs to them; nobody sees a survey that they do not belong to. */
@Service
public class SurveyService {
    private final SurveyRepository surveys;
    private final LibraryService library;
    private final AccountService accounts;
    private final AuditTrail audit;
    private final Turns turns;
    private final Clock clock;

    SurveyService(
            SurveyRepository surveys,
            LibraryService library,
            AccountService accounts,
            AuditTrail audit,
            Turns turns,
            Clock clock) {
        this.surveys = surveys;
        this.library = library;
        this.accounts = accounts;
        this.audit = audit;
        this.turns = turns;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    List<SurveyDto> surveysOf(UUID observerId) {
        return surveys.findOf(observerId).stream().map(SurveyDto::of).toList();
    }

    /**
     * Sets a survey up, or changes how it is set up. Sent again, it changes nothing.
     *
     * @throws Problem if something does not fit, the observer does not belong to it, it is closed, or somebody
     *     changed it in the meantime
     */
    @Transactional
    SurveyDto save(UUID surveyId, UUID observerId, SurveySettings asked) {
        turns.take(Turn.alone(Turn.Thing.SURVEY, surveyId));
        refuseUnfit(asked);
        Optional<Survey> there = surveys.findById(surveyId);
        if (there.isEmpty()) {
            return SurveyDto.of(created(surveyId, observerId, asked));
        }
        Survey survey = open(surveyId, observerId);
        SurveySettings before = survey.settings();
        if (before.equals(asked.unversioned()) || asked.version() == null && before.equals(asked.with(observerId))) {
            return SurveyDto.of(survey);
        }
        if (!Objects.equals(asked.version(), survey.version())) {
            throw Problem.stale("survey", SurveyDto.of(survey));
        }
        survey.change(asked);
        surveys.flush();
        audit.noteChange(observerId, "changed the survey", Place.survey(surveyId), before, survey.settings());
        return SurveyDto.of(survey);
    }

    /** Sets a survey up for an observer, who belongs to it from then on. */
    @Transactional
    public void create(UUID surveyId, UUID observerId, SurveySettings asked) {
        refuseUnfit(asked);
        created(surveyId, observerId, asked);
    }

    private Survey created(UUID surveyId, UUID observerId, SurveySettings asked) {
        Survey survey = new Survey(surveyId, asked);
        survey.addMember(observerId);
        surveys.saveAndFlush(survey);
        audit.note(Optional.of(observerId), "set the survey up", Place.survey(surveyId), null, survey.settings());
        return survey;
    }

    /**
     * How a survey is set up.
     *
     * @throws Problem if the observer does not belong to it
     */
    @Transactional(readOnly = true)
    public SurveySettings settingsOf(UUID surveyId, UUID observerId) {
        return belongsTo(surveyId, observerId).settings();
    }

    /**
     * What a survey's files are called, without signs that a file may not have: "Kettle Moss round, Tarnholt 2026".
     *
     * @throws Problem if the observer does not belong to it
     */
    @Transactional(readOnly = true)
    public String nameFor(UUID surveyId, UUID observerId) {
        SurveySettings settings = belongsTo(surveyId, observerId).settings();
        return settings.name().replaceAll("[\\\\/:*?\"<>|\\p{Cntrl}]+", " ").strip() + " " + settings.season();
    }

    /** Closes a survey, which is read-only from then on, or opens it again. */
    @Transactional
    public void close(UUID surveyId, UUID observerId, boolean closed) {
        turns.take(Turn.alone(Turn.Thing.SURVEY, surveyId));
        Survey survey = belongsTo(surveyId, observerId);
        if (closed == (survey.closedAt() != null)) {
            return;
        }
        if (closed) {
            survey.close(clock.instant());
        } else {
            survey.reopen();
        }
        surveys.flush();
        audit.note(
                Optional.of(observerId),
                closed ? "closed the survey" : "opened the survey again",
                Place.survey(surveyId),
                null,
                null);
    }

    @Transactional(readOnly = true)
    SurveyDto find(UUID surveyId, UUID observerId) {
        return SurveyDto.of(belongsTo(surveyId, observerId));
    }

    /** Adds an observer to those surveys that another one, who lets them in, belongs to. */
    @Transactional
    public void addMember(List<UUID> surveyIds, UUID newcomer, UUID letInBy) {
        for (UUID id : surveyIds) {
            turns.take(Turn.alone(Turn.Thing.SURVEY, id));
            if (surveys.isMember(id, letInBy)) {
                surveys.getReferenceById(id).addMember(newcomer);
                audit.note(Optional.of(letInBy), "added a member", Place.survey(id), null, newcomer);
            }
        }
    }

    /** Whether a lead answers for an observer: they share a survey, or the observer belongs to none. */
    @Transactional(readOnly = true)
    public boolean isFor(UUID observerId, UUID leadId) {
        List<Survey> theirs = surveys.findOf(observerId);
        return theirs.isEmpty() || theirs.stream().anyMatch(survey -> surveys.isMember(survey.id(), leadId));
    }

    /** What surveys that an observer belongs to allow and ask, by survey. */
    @Transactional(readOnly = true)
    public Map<UUID, SurveyRules> rulesOfTheirs(UUID observerId) {
        Map<UUID, SurveyRules> rules = new LinkedHashMap<>();
        surveys.findOf(observerId).forEach(survey -> rules.put(survey.id(), survey.rules()));
        return rules;
    }

    /** @throws Problem if the observer does not belong to the survey */
    @Transactional(readOnly = true)
    public void requireMember(UUID surveyId, UUID observerId) {
        if (!surveys.isMember(surveyId, observerId)) {
            throw noSuchSurvey();
        }
    }

    /** @throws Problem if the observer does not belong to the survey, or it is closed */
    @Transactional(readOnly = true)
    public void requireOpen(UUID surveyId, UUID observerId) {
        open(surveyId, observerId);
    }

    /** The ids of the groups that a survey calls, the whole library's if it names none. */
    @Transactional(readOnly = true)
    public List<String> groupsOf(UUID surveyId) {
        List<String> named = surveys.findById(surveyId).map(Survey::groups).orElse(List.of());
        return named.isEmpty()
                ? library.newest().stream().map(stored -> stored.sheet().id()).toList()
                : named;
    }

    /** Where the plots of a survey may lie. */
    @Transactional(readOnly = true)
    public PlotLimits limitsOf(UUID surveyId) {
        List<List<Double>> area = surveys.findById(surveyId).orElseThrow().area();
        return new PlotLimits(area == null ? Optional.empty() : Optional.of(DistrictOutline.of(area)));
    }

    /** Where plots may lie. */
    public static final class PlotLimits {
        private final Optional<DistrictOutline> outline;

        private PlotLimits(Optional<DistrictOutline> outline) {
            this.outline = outline;
        }

        /** Notes a place that is not on the district's land; without an outline every place is. */
        public void requireOnLand(GeoPosition place, Refusals refusals) {
            outline.ifPresent(land -> land.requireWithin(place, refusals));
        }
    }

    Survey open(UUID surveyId, UUID observerId) {
        Survey survey = belongsTo(surveyId, observerId);
        requireNotClosed(survey.closedAt() != null);
        return survey;
    }

    Survey belongsTo(UUID surveyId, UUID observerId) {
        requireMember(surveyId, observerId);
        return surveys.getReferenceById(surveyId);
    }

    static void requireNotClosed(boolean closed) {
        if (closed) {
            throw Problem.conflict(
                    ProblemType.SURVEY_CLOSED,
                    "This survey is closed and can only be read. Nothing was stored; a lead can open it again.");
        }
    }

    private static Problem noSuchSurvey() {
        return Problem.missing(
                ProblemType.NO_SUCH_SURVEY,
                "There is no such survey, or you do not belong to it. Nothing was stored. Ask its lead to add you.");
    }

    private void refuseUnfit(SurveySettings asked) {
        var refusals = new Refusals();
        refusals.require(
                asked.school() == null
                        || Coded.find(School.values(), asked.school()).isPresent(),
                "school",
                asked.school(),
                Coded.codes(School.values()) + ", or none");
        refusals.require(
                Coded.find(Tier.values(), asked.defaultTier()).isPresent(),
                "defaultTier",
                asked.defaultTier(),
                Coded.codes(Tier.values()));
        refusals.require(
                asked.controlUsed() || !asked.defaultTier().equals(Tier.CONTROL.code()),
                "defaultTier",
                asked.defaultTier(),
                "a tier that this survey uses: control is switched off");
        refusals.require(
                (asked.wrongYes() == null) == (asked.wrongNo() == null),
                "wrongYes",
                "one cost alone",
                "the costs of a wrong yes and of a wrong no, or neither");
        if (asked.area() != null) {
            DistrictOutline.check(asked.area(), refusals);
        }
        List<UUID> known = new ArrayList<>(accounts.callSigns(asked.members()).keySet());
        refusals.require(
                known.containsAll(asked.members()), "members", "somebody unknown", "observers who have an account");
        asked.groups().forEach(group -> requireGroup(refusals, "groups", group));
        asked.records().forEach(record -> requireRecord(refusals, record));
        try {
            refusals.throwIfAny();
        } catch (RefusedException refused) {
            throw Problem.unfit(ProblemType.UNFIT_SURVEY, refused);
        }
    }

    private void requireRecord(Refusals refusals, LocalRecord record) {
        if (requireGroup(refusals, "records", record.groupId())) {
            refusals.require(
                    library.newest(record.groupId()).sheet().taxonIndex(record.taxonId()) >= 0,
                    "records." + record.groupId(),
                    record.taxonId(),
                    "a taxon of that group's sheet");
        }
    }

    private boolean requireGroup(Refusals refusals, String key, String groupId) {
        boolean known = library.has(groupId);
        refusals.require(known, key, groupId, "a group of the library");
        return known;
    }
}
