package org.goldthistle.review;

import com.fasterxml.jackson.core.type.TypeReference;
import java.sql.Array;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.goldthistle.account.Role;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.call.CaseReason;
import org.goldthistle.call.Thistle;
import org.goldthistle.core.Coded;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.library.LibraryService;
import org.goldthistle.platform.KeptJson;
import org.goldthistle.platform.Problem;
import org.goldthistle.platform.ProblemType;
import org.goldthistle.sight.Scope;
import org.goldthistle.sight.Sights;
import org.goldthistle.survey.SurveyService;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The queue of reviews: rows straight from the database, and of what an observer is to read blind no more than where it is. */
@Service
class Queue {
    private static final int PAGE = 30;

    /** Whether the observer may see what was read, as {@link CaseRights#sees()} has it. */
    private static final String SEEN = "(k.state not in ('waiting', 'reading') or :observer = any(k.readers))";

    /** Whether the observer may do what the case waits for, as {@link CaseRights#toDo()} has it. */
    private static final String FOR_ME = "(k.state = 'waiting' and not :observer = any(k.readers)"
            + " and " + Sights.notAmongSeen(":observer", "k.tree_id")
            + " or k.state = 'reading' and k.taken_by = :observer"
            + " or :decides and k.state in ('table', 'laboratory') and k.readers[1] <> :observer)";

    private static final String STUCK =
            "(k.state = 'waiting' and not " + Sights.readableBlind("k.survey_id", "k.tree_id") + ")";

    private static final String JOINED = " from review_case k join tree t on t.id = k.tree_id"
            + " join plot p on p.id = k.plot_id join survey s on s.id = k.survey_id"
            + " left join observer o on o.id = k.taken_by";

    /**
     * What each reader signed last; the names are looked up in the library, since a sheet is large. The call at a glance is
     * left out where more was read since, as it is not what was signed then.
     */
    private static final String SAID = "(select json_agg(json_build_object('observer', r.call_sign, 'version',"
            + " d.sheet_version_id, 'taxon', d.taxon_id, 'thistle', c.thistle) order by d.entry_order)"
            + " from (select distinct on (observer_id) * from determination where tree_id = k.tree_id"
            + " and settles is null order by observer_id, entry_order desc) d"
            + " join observer r on r.id = d.observer_id"
            + " left join call_state c on c.tree_id = d.tree_id and c.observer_id = d.observer_id"
            + " and not exists (select 1 from reading later where later.call_id = c.call_id"
            + " and later.recorded_at > d.recorded_at))";

    private final SurveyService surveys;
    private final LibraryService library;
    private final Sights sights;
    private final JdbcClient jdbc;
    private final KeptJson json;
    private final Clock clock;

    Queue(SurveyService surveys, LibraryService library, Sights sights, JdbcClient jdbc, KeptJson json, Clock clock) {
        this.surveys = surveys;
        this.library = library;
        this.sights = sights;
        this.jdbc = jdbc;
        this.json = json;
        this.clock = clock;
    }

    /**
     * What is asked for.
     *
     * @param settled whether those that are settled are shown, or all others
     * @param mine whether only those that the observer may do something for are shown
     * @param group id, or null for all, as the next
     * @param reason code; cases whose reasons are kept from the observer are then left out
     * @param days that it has been open at least
     * @param from the first row, from 0
     */
    record Asked(boolean settled, boolean mine, String group, UUID plot, String reason, Integer days, int from) {}

    /** @throws Problem if the observer does not belong to the survey, or there is no such reason */
    @Transactional
    QueueDto page(UUID surveyId, SignedInObserver observer, Asked asked) {
        surveys.requireMember(surveyId, observer.id());
        if (asked.reason() != null
                && Coded.find(CaseReason.values(), asked.reason()).isEmpty()) {
            throw Problem.unfit(
                    ProblemType.NO_SUCH_REASON,
                    "\"" + asked.reason() + "\" is no reason for a review. Choose one of "
                            + Coded.codes(CaseReason.values()) + ".");
        }
        Map<String, String> titles = library.newest().stream()
                .collect(Collectors.toMap(
                        stored -> stored.sheet().id(), stored -> stored.sheet().title()));
        String order = asked.settled() ? "k.changed_at desc, k.id" : "k.opened_at, k.id";
        List<QueueDto.Row> rows = bound(
                        "select k.*, " + STUCK + " stuck, " + Sights.seen(":observer", "k.tree_id")
                                + " seen_before, p.code, t.tag, o.call_sign taken_sign, s.closed_at is not null closed,"
                                + " case when " + SEEN + " then " + SAID
                                + " end said"
                                + JOINED + where(asked) + " order by " + order + " limit " + (PAGE + 1)
                                + " offset :from",
                        surveyId,
                        observer,
                        asked)
                .query((row, i) -> row(row, observer, titles))
                .list();
        boolean more = rows.size() > PAGE;
        List<QueueDto.Row> shown = more ? rows.subList(0, PAGE) : rows;
        sights.shown(
                observer.id(),
                Scope.QUEUE,
                shown.stream()
                        .filter(row -> !row.blind())
                        .map(QueueDto.Row::treeId)
                        .toList());
        return new QueueDto(
                shown,
                count(surveyId, observer, asked),
                more ? asked.from() + PAGE : null,
                count(surveyId, observer, new Asked(false, true, null, null, null, null, 0)));
    }

    private int count(UUID surveyId, SignedInObserver observer, Asked asked) {
        return bound("select count(*) from review_case k" + where(asked), surveyId, observer, asked)
                .query(Integer.class)
                .single();
    }

    /** The conditions that were asked for and no others, so that the database can go by its indexes. */
    private static String where(Asked asked) {
        return " where k.survey_id = :survey and k.state " + (asked.settled() ? "=" : "<>") + " 'settled'"
                + (asked.group() == null ? "" : " and k.group_id = :group")
                + (asked.plot() == null ? "" : " and k.plot_id = :plot")
                + (asked.reason() == null ? "" : " and :reason = any(k.reasons) and " + SEEN)
                + (asked.days() == null ? "" : " and k.opened_at <= :before")
                + (asked.mine() ? " and " + FOR_ME : "");
    }

    private JdbcClient.StatementSpec bound(String sql, UUID surveyId, SignedInObserver observer, Asked asked) {
        int days = asked.days() == null ? 0 : asked.days();
        return jdbc.sql(sql)
                .param("survey", surveyId)
                .param("observer", observer.id())
                .param("decides", observer.role() != Role.CREW)
                .param("group", asked.group())
                .param("plot", asked.plot())
                .param("reason", asked.reason())
                .param("before", Timestamp.from(clock.instant().minus(Duration.ofDays(days))))
                .param("from", asked.from());
    }

    private QueueDto.Row row(ResultSet row, SignedInObserver observer, Map<String, String> titles) throws SQLException {
        CaseState state = Coded.find(CaseState.values(), row.getString("state")).orElseThrow();
        boolean mine = observer.id().equals(row.getObject("taken_by", UUID.class));
        List<UUID> readers = List.of((UUID[]) row.getArray("readers").getArray());
        boolean reader = readers.contains(observer.id());
        CaseRights rights = new CaseRights(
                state,
                row.getBoolean("closed"),
                reader,
                readers.get(0).equals(observer.id()),
                mine,
                state.isBlind() && !reader && row.getBoolean("seen_before"),
                observer.role(),
                false);
        boolean seen = rights.sees();
        Optional<Hindrance> whyNot = rights.toDo();
        String groupId = row.getString("group_id");
        return new QueueDto.Row(
                row.getObject("id", UUID.class),
                row.getObject("tree_id", UUID.class),
                row.getObject("plot_id", UUID.class),
                row.getString("code"),
                row.getInt("tag"),
                groupId,
                titles.getOrDefault(groupId, groupId),
                state,
                row.getInt("looks"),
                needs(state),
                state != CaseState.SETTLED && whyNot.isEmpty(),
                whyNot.orElse(null),
                mine,
                row.getString("taken_sign"),
                !seen,
                row.getBoolean("stuck"),
                seen ? words(row.getArray("reasons")) : List.of(),
                said(row.getString("said")),
                row.getString("outcome"),
                row.getTimestamp("opened_at").toInstant());
    }

    /** What a case waits for. */
    static CaseNeed needs(CaseState state) {
        return switch (state) {
            case WAITING, READING -> CaseNeed.BLIND_READING;
            case TABLE -> CaseNeed.DECISION;
            case LABORATORY -> CaseNeed.LABORATORY;
            case SETTLED -> CaseNeed.NOTHING;
        };
    }

    private static List<String> words(Array array) throws SQLException {
        return Arrays.asList((String[]) array.getArray());
    }

    private List<QueueDto.Said> said(String text) {
        List<Signed> signed = json.read(text, new TypeReference<List<Signed>>() {});
        return signed == null
                ? List.of()
                : signed.stream()
                        .map(one -> new QueueDto.Said(one.observer(), name(one), one.thistle()))
                        .toList();
    }

    private String name(Signed one) {
        GroupSheet sheet = library.find(one.version()).sheet();
        return one.taxon() == null
                ? sheet.fallback().commonName()
                : sheet.taxon(one.taxon()).orElseThrow().name().commonName();
    }

    /**
     * Who signed which taxon of which sheet version.
     *
     * @param taxon null: none
     * @param thistle null: not as it was signed
     */
    private record Signed(String observer, UUID version, String taxon, Thistle thistle) {}
}
