package org.goldthistle.quality;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import javax.sql.DataSource;
import org.goldthistle.core.reading.Certainty;
import org.goldthistle.core.reading.ValuesObserved;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.StateScale;
import org.goldthistle.library.LibraryService;
import org.goldthistle.library.StoredSheet;
import org.goldthistle.survey.SurveyService;
import org.goldthistle.survey.SurveyedTree;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Reckons how far the observers of a survey agree. */
@Service
class AgreementService {
    /** The last signature of each observer on each tree that two or more signed and the caller may see. */
    private static final String SIGNED = "with last as materialized (select distinct on (d.tree_id, d.observer_id)"
            + " d.tree_id, d.observer_id, d.entry_order, d.outcome, d.taxon_id, d.sheet_version_id,"
            + " coalesce(t.group_id, v.group_id) group_id from determination d"
            + " join sheet_version v on v.id = d.sheet_version_id join tree t on t.id = d.tree_id join plot p on p.id = t.plot_id"
            + " where p.survey_id = :survey and d.settles is null"
            + " and " + SurveyedTree.SHOWN
            + " order by d.tree_id, d.observer_id, d.entry_order desc),"
            + " twice as (select *, count(*) over (partition by tree_id) readers from last"
            + " where outcome in ('taxon', 'group'))";

    private static final int FETCHED_AT_ONCE = 2000; // so that the readings of a large survey need no room

    private final SurveyService surveys;
    private final LibraryService library;
    private final JdbcClient jdbc;
    private final ObjectMapper json;

    AgreementService(SurveyService surveys, LibraryService library, DataSource database, ObjectMapper json) {
        this.surveys = surveys;
        this.library = library;
        JdbcTemplate template = new JdbcTemplate(database);
        template.setFetchSize(FETCHED_AT_ONCE);
        this.jdbc = JdbcClient.create(template);
        this.json = json;
    }

    /** @throws org.goldthistle.platform.Problem if the observer does not belong to the survey */
    @Transactional(readOnly = true)
    AgreementDto of(UUID surveyId, UUID observerId) {
        surveys.requireMember(surveyId, observerId);
        Map<String, GroupAnswers> groups = new LinkedHashMap<>();
        library.newest().forEach(stored -> groups.put(stored.sheet().id(), new GroupAnswers(stored)));
        jdbc.sql("set local work_mem = '64MB'").update(); // sorted in memory, for this transaction alone
        Map<UUID, String> callSigns = new HashMap<>();
        jdbc.sql(SIGNED + " select w.*, o.call_sign from twice w join observer o on o.id = w.observer_id"
                        + " where readers > 1 order by w.tree_id, w.entry_order")
                .param("survey", surveyId)
                .param("observer", observerId)
                .query(row -> {
                    callSigns.put(row.getObject("observer_id", UUID.class), row.getString("call_sign"));
                    signed(groups, row);
                });
        jdbc.sql(SIGNED + " select distinct on (r.call_id, r.character_id) w.tree_id, w.group_id, r.character_id,"
                        + " r.observed from twice w join call c on c.tree_id = w.tree_id and c.observer_id = w.observer_id"
                        + " and c.group_id = w.group_id join reading r on r.call_id = c.id where w.readers > 1"
                        + " order by r.call_id, r.character_id, r.entry_order desc")
                .param("survey", surveyId)
                .param("observer", observerId)
                .query(row -> {
                    read(groups, row);
                });
        List<GroupAnswers> found = new ArrayList<>(
                groups.values().stream().filter(one -> !one.isEmpty()).toList());
        found.sort(Comparator.comparingInt(GroupAnswers::trees).reversed());
        return new AgreementDto(
                found.stream().mapToInt(GroupAnswers::trees).sum(),
                found.stream().map(one -> one.agreement(callSigns)).toList());
    }

    private void signed(Map<String, GroupAnswers> groups, ResultSet row) throws SQLException {
        GroupAnswers answers = groups.get(row.getString("group_id"));
        StoredSheet sheet = library.find(row.getObject("sheet_version_id", UUID.class));
        String taxon = row.getString("taxon_id");
        answers.signed(
                row.getObject("tree_id", UUID.class),
                row.getObject("observer_id", UUID.class),
                taxon == null
                        ? sheet.sheet().fallback().commonName()
                        : sheet.sheet().taxon(taxon).orElseThrow().name().commonName());
    }

    private void read(Map<String, GroupAnswers> groups, ResultSet row) throws SQLException {
        GroupAnswers answers = groups.get(row.getString("group_id"));
        String character = row.getString("character_id");
        DiagnosticCharacter known = answers.sheet().sheet().character(character).orElse(null);
        if (known == null) {
            return; // the newest sheet has it no more
        }
        int category = category(answers.sheet(), known, observed(row.getString("observed")));
        if (category >= 0) {
            answers.read(character, row.getObject("tree_id", UUID.class), category);
        }
    }

    /** What was seen as a number: the state seen most often, or the taxon for which measures speak; -1: nothing. */
    private static int category(StoredSheet sheet, DiagnosticCharacter character, JsonNode observed) {
        if (character.scale() instanceof StateScale scale) {
            int[] seen = new int[scale.states().size()];
            int most = -1;
            for (JsonNode state : observed.path("states")) {
                int index = scale.indexOf(state.asText());
                if (index >= 0) {
                    seen[index]++;
                    most = most < 0 || seen[index] > seen[most] ? index : most;
                }
            }
            return most;
        }
        List<Double> values = new ArrayList<>();
        observed.path("values").forEach(value -> values.add(value.asDouble()));
        if (values.isEmpty()) {
            return -1;
        }
        double[] logs = sheet.model()
                .likelihood(sheet.model().characterIndex(character.id()))
                .meanLog(new ValuesObserved(values), Certainty.SURE);
        int best = 0;
        for (int k = 1; k < logs.length - 1; k++) {
            best = logs[k] > logs[best] ? k : best;
        }
        return best;
    }

    private JsonNode observed(String text) {
        try {
            return json.readTree(text);
        } catch (JsonProcessingException broken) {
            throw new IllegalStateException("the database keeps JSON", broken);
        }
    }
}
