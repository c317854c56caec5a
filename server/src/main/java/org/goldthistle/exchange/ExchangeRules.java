package org.goldthistle.exchange;

import com.fasterxml.jackson.core.type.TypeReference;
import java.time.Clock;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.goldthistle.audit.AuditTrail;
import org.goldthistle.audit.Place;
import org.goldthistle.core.Refusals;
import org.goldthistle.library.LibraryService;
import org.goldthistle.platform.KeptJson;
import org.goldthistle.platform.Turn;
import org.goldthistle.platform.Turns;
import org.goldthistle.survey.SurveyService;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a lead says of a survey's archive. */
@Service
class ExchangeRules {
    private final SurveyService surveys;
    private final LibraryService library;
    private final AuditTrail audit;
    private final Turns turns;
    private final JdbcClient jdbc;
    private final KeptJson json;
    private final Clock clock;

    ExchangeRules(
            SurveyService surveys,
            LibraryService library,
            AuditTrail audit,
            Turns turns,
            JdbcClient jdbc,
            KeptJson json,
            Clock clock) {
        this.surveys = surveys;
        this.library = library;
        this.audit = audit;
        this.turns = turns;
        this.jdbc = jdbc;
        this.json = json;
        this.clock = clock;
    }

    /** @throws org.goldthistle.platform.Problem if the observer does not belong to the survey */
    @Transactional(readOnly = true)
    ExchangeRulesDto of(UUID surveyId, UUID observerId) {
        surveys.requireMember(surveyId, observerId);
        return of(surveyId);
    }

    private ExchangeRulesDto of(UUID surveyId) {
        return jdbc.sql("select license, rights_holder, pseudonyms, coarse_metres, coarse_taxa from exchange_rule"
                        + " where survey_id = ?")
                .param(surveyId)
                .query((row, i) -> new ExchangeRulesDto(
                        row.getString("license"),
                        row.getString("rights_holder"),
                        row.getBoolean("pseudonyms"),
                        row.getInt("coarse_metres"),
                        json.read(
                                row.getString("coarse_taxa"),
                                new TypeReference<List<ExchangeRulesDto.KeptTaxon>>() {})))
                .optional()
                .orElse(ExchangeRulesDto.NONE);
    }

    /**
     * Sets them; sent again, it changes nothing.
     *
     * @throws org.goldthistle.platform.Problem if the observer does not belong to the survey
     * @throws org.goldthistle.core.RefusedException if a taxon is unknown
     */
    @Transactional
    void set(UUID surveyId, UUID observerId, ExchangeRulesDto asked) {
        turns.take(Turn.alone(Turn.Thing.SURVEY, surveyId));
        surveys.requireMember(surveyId, observerId);
        refuseUnfit(asked);
        ExchangeRulesDto before = of(surveyId);
        if (before.equals(asked)) {
            return;
        }
        jdbc.sql("insert into exchange_rule (survey_id, license, rights_holder, pseudonyms, coarse_metres, coarse_taxa,"
                        + " set_by, set_at) values (?, ?, ?, ?, ?, cast(? as jsonb), ?, ?) on conflict (survey_id) do update set"
                        + " license = excluded.license, rights_holder = excluded.rights_holder,"
                        + " pseudonyms = excluded.pseudonyms, coarse_metres = excluded.coarse_metres,"
                        + " coarse_taxa = excluded.coarse_taxa, set_by = excluded.set_by, set_at = excluded.set_at")
                .params(
                        surveyId,
                        asked.license(),
                        asked.rightsHolder(),
                        asked.pseudonyms(),
                        asked.coarseMetres(),
                        json.text(asked.coarseTaxa()),
                        observerId,
                        clock.instant().atOffset(ZoneOffset.UTC))
                .update();
        audit.note(Optional.of(observerId), "changed the rules of the archive", Place.survey(surveyId), before, asked);
    }

    private void refuseUnfit(ExchangeRulesDto asked) {
        Refusals refusals = new Refusals();
        for (int i = 0; i < asked.coarseTaxa().size(); i++) {
            ExchangeRulesDto.KeptTaxon one = asked.coarseTaxa().get(i);
            boolean known = library.newest().stream()
                    .filter(stored -> stored.sheet().id().equals(one.groupId()))
                    .anyMatch(stored -> stored.sheet().taxon(one.taxonId()).isPresent());
            refusals.require(
                    known,
                    "coarseTaxa[" + i + "]",
                    one.groupId() + ", " + one.taxonId(),
                    "a group of the library and a taxon of its sheet");
        }
        refusals.throwIfAny();
    }
}
