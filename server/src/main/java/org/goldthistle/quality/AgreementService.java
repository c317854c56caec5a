package org.goldthistle.quality;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import javax.sql.DataSource;
import org.goldthistle.account.AccountService;
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
    /** The last blind signature of each observer on each tree that the caller may see. */
    private static final String LAST = "with last as materialized (select distinct on (d.tree_id, d.observer_id)"
            + " d.tree_id, d.observer_id, d.entry_order,"
            + " d.outcome in ('taxon', 'group') named, d.taxon_id, d.sheet_version_id,"
            + " coalesce(t.group_id, v.group_id) group_id from determination d"
            + " join sheet_version v on v.id = d.sheet_version_id join tree t on t.id = d.tree_id join plot p on p.id = t.plot_id"
            + " where p.survey_id = :survey and d.settles is null and d.signed_blind"
            + " and " + SurveyedTree.SHOWN
            + " order by d.tree_id, d.observer_id, d.entry_order desc)";

    /** What two or more signed for a tree, with what each saw last of each character, and of how many trees just so. */
    private static final String TWICE = LAST
            + ", given as (select l.*, c.seen::text seen from last l"
            + " left join call c on c.tree_id = l.tree_id and c.observer_id = l.observer_id and c.group_id = l.group_id"
            + " where l.named order by l.tree_id, l.group_id, l.entry_order)," // in which order they are gathered next
            + " tree as (select array_agg(seen collate \"C\") seen, array_agg(taxon_id) taxa, array_agg(observer_id) observers,"
            + " array_agg(sheet_version_id) versions, group_id from given group by tree_id, group_id having count(*) > 1)"
            + " select *, count(*) alike from tree group by seen, taxa, observers, versions, group_id"
            + " order by seen, taxa, observers, versions, group_id";

    private static final int FETCHED_AT_ONCE = 2000; // so that a large survey needs no room

    private final AccountService accounts;
    private final ControlQuality control;
    private final SurveyService surveys;
    private final LibraryService library;
    private final JdbcClient jdbc;
    private final Counting counting;
    private final KeptJson json;

    AgreementService(
            AccountService accounts,
            ControlQuality control,
            SurveyService surveys,
            LibraryService library,
            DataSource database,
            Counting counting,
            KeptJson json) {
        this.accounts = accounts;
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
        List<UUID> observers = counting.counted(() -> fetch(groups, surveyId, observerId));
        Map<UUID, String> callSigns = accounts.callSigns(observers);
        List<GroupAnswers> found = new ArrayList<>(
                groups.values().stream().filter(one -> !one.isEmpty()).toList());
        found.sort(Comparator.comparingInt(GroupAnswers::trees).reversed());
        return new AgreementDto(
                found.stream().mapToInt(GroupAnswers::trees).sum(),
                found.stream().map(one -> one.agreement(callSigns)).toList(),
                control.of(surveyId, observerId).orElse(null));
    }

    /** Takes in what was signed and what was seen, and answers who did. */
    private List<UUID> fetch(Map<String, GroupAnswers> groups, UUID surveyId, UUID observerId) {
        Set<UUID> who = new HashSet<>();
        Map<Named, String> names = new HashMap<>();
        Map<Seen, Map<String, Integer>> categories = new HashMap<>();
        jdbc.sql(TWICE).param("survey", surveyId).param("observer", observerId).query(row -> {
            String group = row.getString("group_id");
            GroupAnswers answers = groups.get(group);
            UUID[] observers = (UUID[]) row.getArray("observers").getArray();
            UUID[] versions = (UUID[]) row.getArray("versions").getArray();
            String[] taxa = (String[]) row.getArray("taxa").getArray();
            String[] seen = (String[]) row.getArray("seen").getArray();
            who.addAll(List.of(observers));
            List<GroupAnswers.Signed> all = new ArrayList<>();
            for (int i = 0; i < observers.length; i++) {
                all.add(new GroupAnswers.Signed(
                        observers[i],
                        names.computeIfAbsent(new Named(versions[i], taxa[i]), this::name),
                        seen[i] == null // it was signed on another group's sheet
                                ? Map.of()
                                : categories.computeIfAbsent(
                                        new Seen(group, seen[i]), of -> categories(answers.sheet(), of.text()))));
            }
            answers.read(all, row.getLong("alike"));
        });
        return List.copyOf(who);
    }

    /** A taxon of a sheet, null: its group alone; the same few are signed again and again, as the same things are seen. */
    private record Named(UUID sheetVersion, @Nullable String taxon) {}

    private record Seen(String group, String text) {}

    private String name(Named of) {
        GroupSheet sheet = library.find(of.sheetVersion()).sheet();
        return of.taxon() == null
                ? sheet.fallback().commonName()
                : sheet.taxon(of.taxon()).orElseThrow().name().commonName();
    }

    private Map<String, Integer> categories(StoredSheet sheet, String text) {
        Map<String, Integer> all = new HashMap<>();
        json.tree(text)
                .properties()
                .forEach(one -> sheet.sheet()
                        .character(one.getKey()) // the newest sheet may have it no more
                        .map(character -> category(sheet, character, one.getValue()))
                        .filter(category -> category >= 0)
                        .ifPresent(category -> all.put(one.getKey(), category)));
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
