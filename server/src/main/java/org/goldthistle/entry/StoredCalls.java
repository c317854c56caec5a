package org.goldthistle.entry;

import jakarta.persistence.EntityManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javax.sql.DataSource;
import org.goldthistle.account.AccountService;
import org.goldthistle.call.CallInHand;
import org.goldthistle.call.Entry;
import org.goldthistle.call.Marking;
import org.goldthistle.call.SurveyRules;
import org.goldthistle.core.sheet.Faculty;
import org.goldthistle.library.LibraryService;
import org.goldthistle.survey.SurveyService;
import org.goldthistle.survey.SurveyedTree;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Every call on a group that an observer may see, to be read on another sheet; begun ones and signed ones alike. */
@Service
public class StoredCalls {
    private static final int AT_ONCE = 1000; // so that the calls of a large survey need no room

    /** Calls with a reading, in the surveys of the observer: their own, and what others signed that is not kept from them. */
    private static final String SEEN = " from call c join tree t on t.id = c.tree_id join plot p on p.id = t.plot_id"
            + " join survey_member m on m.survey_id = p.survey_id and m.observer_id = :observer"
            + " where c.group_id = :group and (c.observer_id = :observer or " + SurveyedTree.SHOWN
            + " and exists (select 1 from determination s where s.tree_id = c.tree_id"
            + " and s.observer_id = c.observer_id and s.settles is null))"
            + " and exists (select 1 from reading r where r.call_id = c.id)";

    private final CallRepository calls;
    private final ReadingRepository readings;
    private final GateRepository gates;
    private final LibraryService library;
    private final AccountService accounts;
    private final SurveyService surveys;
    private final Clock clock;
    private final JdbcClient jdbc;
    private final JdbcClient streamed; // row by row from the database
    private final EntityManager entities;

    StoredCalls(
            CallRepository calls,
            ReadingRepository readings,
            GateRepository gates,
            LibraryService library,
            AccountService accounts,
            SurveyService surveys,
            Clock clock,
            JdbcClient jdbc,
            DataSource database,
            EntityManager entities) {
        this.calls = calls;
        this.readings = readings;
        this.gates = gates;
        this.library = library;
        this.accounts = accounts;
        this.surveys = surveys;
        this.clock = clock;
        this.jdbc = jdbc;
        JdbcTemplate template = new JdbcTemplate(database);
        template.setFetchSize(AT_ONCE);
        this.streamed = JdbcClient.create(template);
        this.entities = entities;
    }

    /** How many there are. */
    @Transactional(readOnly = true)
    public int count(String groupId, UUID observerId) {
        return jdbc.sql("select count(*)" + SEEN)
                .param("group", groupId)
                .param("observer", observerId)
                .query(Integer.class)
                .single();
    }

    /** Hands out calls one after the other, a thousand at a time, so that whoever takes them can use several hands. */
    @Transactional(readOnly = true, propagation = Propagation.REQUIRES_NEW)
    public void read(String groupId, UUID observerId, Consumer<List<StoredCall>> take) {
        Map<UUID, SurveyRules> rules = surveys.rulesOfTheirs(observerId);
        Map<UUID, Set<Faculty>> lacking = new HashMap<>();
        List<Place> places = new ArrayList<>(AT_ONCE);
        streamed.sql("select c.id, c.tree_id, t.tag, p.code, p.survey_id, c.observer_id, o.call_sign,"
                        + " exists (select 1 from determination d where d.tree_id = c.tree_id"
                        + " and d.observer_id = c.observer_id and d.settles is null) signed"
                        + SEEN.replace(" where ", " join observer o on o.id = c.observer_id where "))
                .param("group", groupId)
                .param("observer", observerId)
                .query(row -> {
                    places.add(place(row));
                    if (places.size() == AT_ONCE) {
                        take.accept(laidOut(places, rules, lacking));
                        places.clear();
                        entities.clear();
                    }
                });
        if (!places.isEmpty()) {
            take.accept(laidOut(places, rules, lacking));
        }
    }

    private static Place place(ResultSet row) throws SQLException {
        return new Place(
                row.getObject("id", UUID.class),
                new StoredCall.Whose(
                        row.getObject("survey_id", UUID.class),
                        row.getObject("tree_id", UUID.class),
                        row.getString("code"),
                        row.getInt("tag"),
                        row.getString("call_sign"),
                        row.getBoolean("signed")),
                row.getObject("observer_id", UUID.class));
    }

    private List<StoredCall> laidOut(
            List<Place> places, Map<UUID, SurveyRules> rules, Map<UUID, Set<Faculty>> lacking) {
        Collection<UUID> ids = places.stream().map(Place::callId).toList();
        Map<UUID, Call> byId = calls.findAllById(ids).stream().collect(Collectors.toMap(Call::id, one -> one));
        Map<UUID, List<Entry>> entries = readings.findStanding(ids.toArray(UUID[]::new)).stream()
                .collect(Collectors.groupingBy(
                        ReadingEntry::callId, Collectors.mapping(ReadingEntry::entry, Collectors.toList())));
        Map<UUID, List<Marking>> marks = gates.findByCallIdInOrderByEntryOrder(ids).stream()
                .collect(Collectors.groupingBy(
                        GateEntry::callId, Collectors.mapping(GateEntry::marking, Collectors.toList())));
        return places.stream()
                .map(place -> {
                    Call call = byId.get(place.callId());
                    return new StoredCall(
                            place.whose(),
                            new CallInHand(
                                    library.find(call.sheetVersionId()),
                                    call.visit(clock.instant(), clock.getZone()),
                                    call.tier(),
                                    lacking.computeIfAbsent(place.observerId(), accounts::lacking),
                                    rules.get(place.whose().surveyId()),
                                    false,
                                    entries.get(call.id()),
                                    marks.getOrDefault(call.id(), List.of()),
                                    List.of()));
                })
                .toList();
    }

    private record Place(UUID callId, StoredCall.Whose whose, UUID observerId) {}
}
