package org.goldthistle.quality;

import com.fasterxml.jackson.databind.JsonNode;
import jakarta.annotation.PreDestroy;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import javax.sql.DataSource;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.core.reading.Certainty;
import org.goldthistle.core.reading.ValuesObserved;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.StateScale;
import org.goldthistle.library.LibraryService;
import org.goldthistle.platform.KeptJson;
import org.goldthistle.survey.SurveyService;
import org.goldthistle.survey.SurveyedTree;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.RowCallbackHandler;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** Reckons how far the observers of a survey agree. */
@Service
class AgreementService {
    /** The last blind signature of each observer on each tree that two or more signed so and the caller may see. */
    private static final String SIGNED = "with last as materialized (select distinct on (d.tree_id, d.observer_id)"
            + " d.tree_id, d.observer_id, d.entry_order, d.outcome, d.taxon_id, d.sheet_version_id,"
            + " coalesce(t.group_id, v.group_id) group_id from determination d"
            + " join sheet_version v on v.id = d.sheet_version_id join tree t on t.id = d.tree_id join plot p on p.id = t.plot_id"
            + " where p.survey_id = :survey and d.settles is null and d.signed_blind"
            + " and " + SurveyedTree.SHOWN
            + " order by d.tree_id, d.observer_id, d.entry_order desc),"
            + " twice as (select *, count(*) over (partition by tree_id) readers from last"
            + " where outcome in ('taxon', 'group'))";

    private static final int FETCHED_AT_ONCE = 2000; // so that the readings of a large survey need no room

    private final SurveyService surveys;
    private final LibraryService library;
    private final JdbcClient jdbc;
    private final TransactionTemplate reading;
    private final KeptJson json;
    private final ExecutorService hand = Executors.newSingleThreadExecutor(work -> new Thread(work, "agreement"));

    AgreementService(
            SurveyService surveys,
            LibraryService library,
            DataSource database,
            PlatformTransactionManager transactions,
            KeptJson json) {
        this.surveys = surveys;
        this.library = library;
        JdbcTemplate template = new JdbcTemplate(database);
        template.setFetchSize(FETCHED_AT_ONCE);
        this.jdbc = JdbcClient.create(template);
        this.reading = new TransactionTemplate(transactions);
        this.reading.setReadOnly(true);
        this.json = json;
    }

    @PreDestroy
    void rest() {
        hand.shutdownNow();
    }

    /**
     * What was signed and what was read are fetched at once, each on a connection of its own.
     *
     * @throws org.goldthistle.platform.Problem if the observer does not belong to the survey
     */
    AgreementDto of(UUID surveyId, UUID observerId) {
        surveys.requireMember(surveyId, observerId);
        Map<String, GroupAnswers> groups = new LinkedHashMap<>();
        library.newest().forEach(stored -> groups.put(stored.sheet().id(), new GroupAnswers(stored)));
        CompletableFuture<Void> readings =
                CompletableFuture.runAsync(() -> fetchReadings(groups, surveyId, observerId), hand);
        Map<UUID, String> callSigns = fetchSigned(groups, surveyId, observerId);
        readings.join();
        List<GroupAnswers> found = new ArrayList<>(
                groups.values().stream().filter(one -> !one.isEmpty()).toList());
        found.sort(Comparator.comparingInt(GroupAnswers::trees).reversed());
        return new AgreementDto(
                found.stream().mapToInt(GroupAnswers::trees).sum(),
                found.stream().map(one -> one.agreement(callSigns)).toList());
    }

    /** Takes in what was signed, and answers the call signs of who did. */
    private Map<UUID, String> fetchSigned(Map<String, GroupAnswers> groups, UUID surveyId, UUID observerId) {
        Map<UUID, String> callSigns = new HashMap<>();
        fetch(
                " select w.*, o.call_sign from twice w join observer o on o.id = w.observer_id"
                        + " where readers > 1 order by w.tree_id, w.entry_order",
                surveyId,
                observerId,
                row -> {
                    callSigns.put(row.getObject("observer_id", UUID.class), row.getString("call_sign"));
                    signed(groups, row);
                });
        return callSigns;
    }

    private void fetchReadings(Map<String, GroupAnswers> groups, UUID surveyId, UUID observerId) {
        Map<String, Integer> seen = new HashMap<>();
        fetch(
                " select w.tree_id, w.group_id, r.character_id, r.observed from twice w"
                        + " join call c on c.tree_id = w.tree_id and c.observer_id = w.observer_id"
                        + " and c.group_id = w.group_id, lateral (select distinct on (character_id collate \"C\")"
                        + " character_id, observed from reading where call_id = c.id"
                        + " order by character_id collate \"C\", entry_order desc) r where w.readers > 1",
                surveyId,
                observerId,
                row -> read(groups, seen, row));
    }

    private void fetch(String what, UUID surveyId, UUID observerId, RowCallbackHandler take) {
        reading.executeWithoutResult(status -> {
            jdbc.sql("set local work_mem = '64MB'").update(); // sorted in memory, for this transaction alone
            jdbc.sql(SIGNED + what)
                    .param("survey", surveyId)
                    .param("observer", observerId)
                    .query(take);
        });
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

    /** @param seen what states were made of before, by group, character and text; there are few different ones */
    private void read(Map<String, GroupAnswers> groups, Map<String, Integer> seen, ResultSet row) throws SQLException {
        GroupAnswers answers = groups.get(row.getString("group_id"));
        String character = row.getString("character_id");
        DiagnosticCharacter known = answers.sheet().sheet().character(character).orElse(null);
        if (known == null) {
            return; // the newest sheet has it no more
        }
        String text = row.getString("observed");
        int category = known.scale() instanceof StateScale
                ? seen.computeIfAbsent(
                        answers.sheet().sheet().id() + character + text,
                        one -> category(answers.sheet(), known, json.tree(text)))
                : category(answers.sheet(), known, json.tree(text));
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
}
