package org.goldthistle.today;

import java.sql.Timestamp;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.goldthistle.core.Refusals;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.library.LibraryService;
import org.goldthistle.survey.SurveyService;
import org.goldthistle.survey.TimeAtTree;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What an observer did in a day, and what is left of it. */
@Service
class DayEnd {
    private static final Duration LONGEST = Duration.ofHours(25); // the day on which clocks go back

    private static final String READ_AT = "coalesce(r.read_at, r.recorded_at)";

    private static final String READ_THAT_DAY = " from reading r join call c on c.id = r.call_id"
            + " join tree t on t.id = c.tree_id join plot p on p.id = t.plot_id where p.survey_id = :survey"
            + " and c.observer_id = :observer and " + READ_AT + " >= :from and " + READ_AT + " < :to";

    private static final String SIGNED_THAT_DAY =
            " from determination d join tree t on t.id = d.tree_id join plot p on p.id = t.plot_id"
                    + " where p.survey_id = :survey and d.observer_id = :observer and d.settles is null"
                    + " and d.signed_at >= :from and d.signed_at < :to";

    private final SurveyService surveys;
    private final LibraryService library;
    private final JdbcClient jdbc;

    DayEnd(SurveyService surveys, LibraryService library, JdbcClient jdbc) {
        this.surveys = surveys;
        this.library = library;
        this.jdbc = jdbc;
    }

    /**
     * @param from when the day began where the observer is
     * @param to when it ended
     * @throws org.goldthistle.platform.Problem if the observer does not belong to the survey
     * @throws org.goldthistle.core.RefusedException if that is no day
     */
    @Transactional(readOnly = true)
    DayEndDto of(UUID surveyId, UUID observerId, @Nullable Instant from, @Nullable Instant to) {
        surveys.requireMember(surveyId, observerId);
        Refusals refusals = new Refusals();
        refusals.require(
                from != null && to != null && from.isBefore(to) && !to.isAfter(from.plus(LONGEST)),
                "from",
                from + " to " + to,
                "when a day begins, and \"to\" when it ends, within " + LONGEST.toHours() + " hours");
        refusals.throwIfAny();
        Asked asked = new Asked(surveyId, observerId, from, to);
        Span span = span(asked);
        return new DayEndDto(span.began(), span.ended(), minutes(asked), plots(asked), unsigned(asked), carried(asked));
    }

    private record Asked(UUID surveyId, UUID observerId, Instant from, Instant to) {}

    private record Span(Instant began, Instant ended) {}

    private JdbcClient.StatementSpec asked(String sql, Asked of) {
        return jdbc.sql(sql)
                .param("survey", of.surveyId())
                .param("observer", of.observerId())
                .param("from", Timestamp.from(of.from()))
                .param("to", Timestamp.from(of.to()));
    }

    private Span span(Asked of) {
        return asked(
                        "select min(at) began, max(at) ended from (select " + READ_AT + " at" + READ_THAT_DAY
                                + " union all select d.signed_at" + SIGNED_THAT_DAY + ") s",
                        of)
                .query((row, i) -> new Span(instant(row.getTimestamp("began")), instant(row.getTimestamp("ended"))))
                .single();
    }

    private static Instant instant(Timestamp at) {
        return at == null ? null : at.toInstant();
    }

    private int minutes(Asked of) {
        return asked(
                        "select coalesce(sum(minutes), 0) from (select extract(epoch from s.signed - w.began) / 60 minutes from"
                                + " (select c.tree_id, min(" + READ_AT + ") began" + READ_THAT_DAY
                                + " group by c.tree_id) w join (select d.tree_id, max(d.signed_at) signed"
                                + SIGNED_THAT_DAY + " group by d.tree_id) s on s.tree_id = w.tree_id) m"
                                + " where minutes between 0 and " + TimeAtTree.LONGEST,
                        of)
                .query((row, i) -> (int) Math.round(row.getDouble(1)))
                .single();
    }

    private List<DayEndDto.PlotOfDay> plots(Asked of) {
        Map<UUID, List<DayEndDto.SignedOfDay>> signed = signed(of);
        return asked(
                        "select p.id, p.code, count(distinct w.tree_id) read, (select count(*) from tree o where o.plot_id = p.id"
                                + " and o.clone_of is null and o.stands_as = 'open') open from (select t.plot_id, c.tree_id"
                                + READ_THAT_DAY + " union select t.plot_id, null" + SIGNED_THAT_DAY
                                + ") w join plot p on p.id = w.plot_id group by p.id order by p.code",
                        of)
                .query((row, i) -> new DayEndDto.PlotOfDay(
                        row.getObject("id", UUID.class),
                        row.getString("code"),
                        row.getInt("read"),
                        row.getInt("open"),
                        signed.getOrDefault(row.getObject("id", UUID.class), List.of())))
                .list();
    }

    /** By plot and tag; of a tree that was signed more than once, the last signature. */
    private Map<UUID, List<DayEndDto.SignedOfDay>> signed(Asked of) {
        Map<UUID, List<DayEndDto.SignedOfDay>> found = new LinkedHashMap<>();
        asked(
                        "select x.*, coalesce(s.contested, false) contested from (select distinct on (t.plot_id, t.tag)"
                                + " t.plot_id, t.id, t.tag, d.outcome, d.come_back_month, d.taxon_id, d.sheet_version_id"
                                + SIGNED_THAT_DAY + " order by t.plot_id, t.tag, d.entry_order desc) x"
                                + " left join call_state s on s.tree_id = x.id and s.observer_id = :observer"
                                + " order by x.plot_id, x.tag",
                        of)
                .query(row -> {
                    found.computeIfAbsent(row.getObject("plot_id", UUID.class), plot -> new ArrayList<>())
                            .add(new DayEndDto.SignedOfDay(
                                    row.getObject("id", UUID.class),
                                    row.getInt("tag"),
                                    row.getString("outcome"),
                                    row.getObject("come_back_month", Integer.class),
                                    name(row.getObject("sheet_version_id", UUID.class), row.getString("taxon_id")),
                                    row.getBoolean("contested")));
                });
        return found;
    }

    private String name(UUID version, @Nullable String taxonId) {
        GroupSheet sheet = library.find(version).sheet();
        return Optional.ofNullable(taxonId)
                .flatMap(sheet::taxon)
                .map(taxon -> taxon.name().commonName())
                .orElseGet(() -> sheet.fallback().commonName());
    }

    private List<DayEndDto.UnsignedTree> unsigned(Asked of) {
        return asked(
                        "select t.id, p.code, t.tag, c.group_id, s.readings, t.id in (select c.tree_id" + READ_THAT_DAY
                                + ") today from call_state s join tree t on t.id = s.tree_id join plot p on p.id = t.plot_id"
                                + " join call c on c.id = s.call_id where s.survey_id = :survey and s.observer_id = :observer"
                                + " and s.readings > 0 and t.stands_as = 'open' and t.clone_of is null and p.closed_at is null"
                                + " order by today desc, p.code, t.tag",
                        of)
                .query((row, i) -> new DayEndDto.UnsignedTree(
                        row.getObject("id", UUID.class),
                        row.getString("code"),
                        row.getInt("tag"),
                        library.newest(row.getString("group_id")).sheet().title(),
                        row.getInt("readings"),
                        row.getBoolean("today")))
                .list();
    }

    private List<DayEndDto.SampleCarried> carried(Asked of) {
        return asked(
                        "select t.id, p.code plot, t.tag, x.code, x.tissue from sample x join tree t on t.id = x.tree_id"
                                + " join plot p on p.id = t.plot_id cross join lateral (select step, observer_id from sample_step"
                                + " where sample_id = x.id order by entry_order desc limit 1) l"
                                + " where x.survey_id = :survey and l.step = 'taken' and l.observer_id = :observer"
                                + " order by p.code, t.tag, x.code",
                        of)
                .query((row, i) -> new DayEndDto.SampleCarried(
                        row.getObject("id", UUID.class),
                        row.getString("plot"),
                        row.getInt("tag"),
                        row.getString("code"),
                        row.getString("tissue")))
                .list();
    }
}
