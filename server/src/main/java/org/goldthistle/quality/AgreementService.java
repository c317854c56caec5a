package org.goldthistle.quality;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import javax.sql.DataSource;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.core.reading.Certainty;
import org.goldthistle.core.reading.ValuesObserved;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.StateScale;
import org.goldthistle.library.LibraryService;
import org.goldthistle.platform.Counting;
import org.goldthistle.platform.KeptJson;
import org.goldthistle.survey.SurveyService;
import org.goldthistle.survey.SurveyedTree;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;

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

    /** With what each of them saw last of each character. */
    private static final String TWICE = SIGNED
            + " select w.*, o.call_sign, c.seen from twice w join observer o on o.id = w.observer_id"
            + " left join call c on c.tree_id = w.tree_id and c.observer_id = w.observer_id and c.group_id = w.group_id"
            + " where readers > 1 order by w.tree_id, w.entry_order";

    private static final int FETCHED_AT_ONCE = 2000; // so that a large survey needs no room

    private final ControlQuality control;
    private final SurveyService surveys;
    private final LibraryService library;
    private final JdbcClient jdbc;
    private final Counting counting;
    private final KeptJson json;

    AgreementService(
            ControlQuality control,
            SurveyService surveys,
            LibraryService library,
            DataSource database,
            Counting counting,
            KeptJson json) {
        this.control = control;
        this.surveys = surveys;
        this.library = library;
        JdbcTemplate template = new JdbcTemplate(database);
        template.setFetchSize(FETCHED_AT_ONCE);
        this.jdbc = JdbcClient.create(template);
        this.counting = counting;
        this.json = json;
    }

    /** @throws org.goldthistle.platform.Problem if the observer does not belong to the survey */
    AgreementDto of(UUID surveyId, UUID observerId) {
        surveys.requireMember(surveyId, observerId);
        Map<String, GroupAnswers> groups = new LinkedHashMap<>();
        library.newest().forEach(stored -> groups.put(stored.sheet().id(), new GroupAnswers(stored)));
        Map<UUID, String> callSigns = counting.counted(() -> fetch(groups, surveyId, observerId));
        List<GroupAnswers> found = new ArrayList<>(
                groups.values().stream().filter(one -> !one.isEmpty()).toList());
        found.sort(Comparator.comparingInt(GroupAnswers::trees).reversed());
        return new AgreementDto(
                found.stream().mapToInt(GroupAnswers::trees).sum(),
                found.stream().map(one -> one.agreement(callSigns)).toList(),
                control.of(surveyId, observerId).orElse(null));
    }

    /** Takes in what was signed and what was seen, and answers the call signs of who did. */
    private Map<UUID, String> fetch(Map<String, GroupAnswers> groups, UUID surveyId, UUID observerId) {
        Map<UUID, String> callSigns = new HashMap<>();
        Map<Named, String> names = new HashMap<>();
        Map<Seen, List<Category>> categories = new HashMap<>();
        jdbc.sql(TWICE).param("survey", surveyId).param("observer", observerId).query(row -> {
            UUID tree = row.getObject("tree_id", UUID.class);
            UUID observer = row.getObject("observer_id", UUID.class);
            String group = row.getString("group_id");
            GroupAnswers answers = groups.get(group);
            callSigns.put(observer, row.getString("call_sign"));
            var named = new Named(row.getObject("sheet_version_id", UUID.class), row.getString("taxon_id"));
            answers.signed(tree, observer, names.computeIfAbsent(named, this::name));
            String seen = row.getString("seen");
            if (seen != null) { // else it was signed on another group's sheet
                categories
                        .computeIfAbsent(new Seen(group, seen), of -> categories(answers.sheet(), of.text()))
                        .forEach(one -> answers.read(one.character(), tree, one.category()));
            }
        });
        return callSigns;
    }

    /** A taxon of a sheet, null: its group alone; the same few are signed again and again, as the same things are seen. */
    private record Named(UUID sheetVersion, @Nullable String taxon) {}

    private record Seen(String group, String text) {}

    private record Category(String character, int category) {}

    private String name(Named of) {
        GroupSheet sheet = library.find(of.sheetVersion()).sheet();
        return of.taxon() == null
                ? sheet.fallback().commonName()
                : sheet.taxon(of.taxon()).orElseThrow().name().commonName();
    }

    private List<Category> categories(StoredSheet sheet, String text) {
        List<Category> all = new ArrayList<>();
        json.tree(text)
                .properties()
                .forEach(one -> sheet.sheet()
                        .character(one.getKey()) // the newest sheet may have it no more
                        .map(character -> category(sheet, character, one.getValue()))
                        .filter(category -> category >= 0)
                        .ifPresent(category -> all.add(new Category(one.getKey(), category))));
        return all;
    }

    /** What was seen as a number: the state seen most often, or the taxon for which measures speak; -1: nothing. */
    private static int category(StoredSheet sheet, DiagnosticCharacter character, JsonNode observed) {
        if (character.scale() instanceof StateScale scale) {
            int[] seen = new int[scale.states().size()];
            int most = -1;
            for (JsonNode state : observed) {
                int index = scale.indexOf(state.asText());
                if (index >= 0) {
                    seen[index]++;
                    most = most < 0 || seen[index] > seen[most] ? index : most;
                }
            }
            return most;
        }
        List<Double> values = new ArrayList<>();
        observed.forEach(value -> values.add(value.asDouble()));
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
