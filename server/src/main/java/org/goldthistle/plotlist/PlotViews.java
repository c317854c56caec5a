package org.goldthistle.plotlist;

import java.sql.Array;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Types;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.goldthistle.call.NextTree;
import org.goldthistle.call.Thistle;
import org.goldthistle.call.TreeLook;
import org.goldthistle.call.TreeStanding;
import org.goldthistle.core.Coded;
import org.goldthistle.core.plot.PolarPosition;
import org.goldthistle.platform.KeptJson;
import org.goldthistle.platform.Problem;
import org.goldthistle.platform.ProblemType;
import org.goldthistle.sight.Scope;
import org.goldthistle.sight.Sights;
import org.goldthistle.survey.SurveyService;
import org.goldthistle.survey.SurveyedTree;
import org.goldthistle.survey.VigourBody;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Plots and their trees as lists and maps show them: rows straight from the database, nothing reckoned. */
@Service
public class PlotViews {
    /** How the tree of that plot and tag did in the last season in which it was noted, of a survey that is the observer's too. */
    private static final String EARLIER =
            "select w.vigour, y.season from tree w join plot q on q.id = w.plot_id join survey y on y.id = q.survey_id"
                    + " join survey_member m on m.survey_id = y.id and m.observer_id = :observer"
                    + " join survey here on here.id = p.survey_id and here.district = y.district and y.season < here.season"
                    + " where q.code = p.code and w.tag = t.tag and w.vigour is not null order by y.season desc limit 1";

    private static final int MOST_FOUND = 30;

    private static final Pattern PLOT_AND_TAG = Pattern.compile("^(.*?)\\s*(?:tree\\s*)?(\\d{1,5})?$");

    private final SurveyService surveys;
    private final Sights sights;
    private final JdbcClient jdbc;
    private final KeptJson json;

    PlotViews(SurveyService surveys, Sights sights, JdbcClient jdbc, KeptJson json) {
        this.surveys = surveys;
        this.sights = sights;
        this.jdbc = jdbc;
        this.json = json;
    }

    /** The plots of a survey by code. */
    @Transactional(readOnly = true)
    List<PlotRow> plots(UUID surveyId, UUID observerId) {
        surveys.requireMember(surveyId, observerId);
        return jdbc.sql("select p.id, p.code, p.latitude, p.longitude, p.closed_at is not null closed,"
                        + " c.* from plot p cross join lateral (select count(*) stems,"
                        + " count(*) filter (where t.stands_as = 'open' and t.clone_of is null) open,"
                        + " count(*) filter (where t.stands_as = 'come-back' and " + SurveyedTree.SHOWN + ") come_back,"
                        + " count(*) filter (where t.contested and " + SurveyedTree.SHOWN + ") contested"
                        + " from tree t where t.plot_id = p.id) c where p.survey_id = :survey order by p.code")
                .param("survey", surveyId)
                .param("observer", observerId)
                .query((row, i) -> new PlotRow(
                        row.getObject("id", UUID.class),
                        row.getString("code"),
                        row.getObject("latitude", Double.class),
                        row.getObject("longitude", Double.class),
                        row.getBoolean("closed"),
                        row.getInt("stems"),
                        row.getInt("open"),
                        row.getInt("come_back"),
                        row.getInt("contested")))
                .list();
    }

    /** The trees of a plot by tag, each with what the observer made of it. */
    @Transactional
    public List<TreeRow> trees(UUID surveyId, UUID plotId, UUID observerId) {
        surveys.requireMember(surveyId, observerId);
        Pressure pressure = Pressure.in(plotId, jdbc);
        List<TreeRow> rows = jdbc.sql("select t.*, " + SurveyedTree.SHOWN
                        + " seen, e.vigour before, e.season before_season, s.readings, c.group_id read_as, s.verdict, s.thistle from tree t"
                        + " join plot p on p.id = t.plot_id"
                        + " left join call_state s on s.tree_id = t.id and s.observer_id = :observer"
                        + " left join call c on c.id = s.call_id"
                        + " left join lateral (" + EARLIER + ") e on true"
                        + " where t.plot_id = :plot and p.survey_id = :survey order by t.tag")
                .param("observer", observerId)
                .param("plot", plotId)
                .param("survey", surveyId)
                .query((row, i) -> treeRow(row, pressure))
                .list();
        sights.shown(
                observerId,
                Scope.PLOT,
                rows.stream()
                        .filter(row -> row.standsAs() != TreeStanding.REVIEW)
                        .map(TreeRow::id)
                        .toList());
        return rows;
    }

    /** The tree of the plot that an observer goes on to from another: the nearest that nobody has signed. */
    @Transactional(readOnly = true)
    NextTree next(UUID surveyId, UUID treeId, UUID observerId) {
        surveys.requireMember(surveyId, observerId);
        List<Stem> stems = jdbc.sql("select t.id, t.tag, t.azimuth_degrees, t.distance_metres, t.id = :tree here,"
                        + " coalesce(s.readings, 0) > 0 begun from tree t join plot p on p.id = t.plot_id"
                        + " left join call_state s on s.tree_id = t.id and s.observer_id = :observer"
                        + " where p.survey_id = :survey and t.plot_id = (select plot_id from tree where id = :tree)"
                        + " and (t.id = :tree or t.group_id is not null and t.clone_of is null"
                        + " and t.stands_as = 'open' and " + SurveyedTree.SHOWN + ") order by t.tag")
                .param("tree", treeId)
                .param("observer", observerId)
                .param("survey", surveyId)
                .query((row, i) -> new Stem(
                        new NextTree.OpenStem(
                                row.getObject("id", UUID.class),
                                row.getInt("tag"),
                                new PolarPosition(row.getDouble("azimuth_degrees"), row.getDouble("distance_metres")),
                                row.getBoolean("begun")),
                        row.getBoolean("here")))
                .list();
        PolarPosition here = stems.stream()
                .filter(Stem::here)
                .map(stem -> stem.stem().at())
                .findFirst()
                .orElseThrow(() -> Problem.missing(
                        ProblemType.NO_SUCH_TREE, "This survey has no such tree any more. Nothing was changed."));
        return NextTree.from(
                here,
                stems.stream().filter(stem -> !stem.here()).map(Stem::stem).toList());
    }

    /** A stem of a plot; those that are not here are open. */
    private record Stem(NextTree.OpenStem stem, boolean here) {}

    /** Trees whose plot and tag fit what was typed, such as "kettle 23" or "23". */
    @Transactional(readOnly = true)
    List<FoundTree> find(UUID surveyId, UUID observerId, String typed) {
        surveys.requireMember(surveyId, observerId);
        Matcher parts = PLOT_AND_TAG.matcher(typed.strip().toLowerCase(Locale.ROOT));
        String plot = parts.matches() ? parts.group(1) : typed;
        Integer tag = parts.matches() && parts.group(2) != null ? Integer.valueOf(parts.group(2)) : null;
        return jdbc.sql("select t.id, t.plot_id, p.code, t.tag, t.group_id from tree t join plot p on p.id = t.plot_id"
                        + " where p.survey_id = :survey and t.clone_of is null"
                        + " and ((lower(p.code) like :plot || '%' or lower(p.code) like '% ' || :plot || '%')"
                        + " and (cast(:tag as int) is null or t.tag = :tag) or lower(p.code) like :typed || '%') order by t.plain_taxon is not null, p.code,"
                        + " t.tag limit "
                        + MOST_FOUND)
                .param("survey", surveyId)
                .param("plot", plot.replaceAll("[%_\\\\]", ""))
                .param("typed", typed.strip().toLowerCase(Locale.ROOT).replaceAll("[%_\\\\]", ""))
                .param("tag", tag, Types.INTEGER)
                .query((row, i) -> new FoundTree(
                        row.getObject("id", UUID.class),
                        row.getObject("plot_id", UUID.class),
                        row.getString("code"),
                        row.getInt("tag"),
                        row.getString("group_id")))
                .list();
    }

    private TreeRow treeRow(ResultSet row, Pressure pressure) throws SQLException {
        boolean seen = row.getBoolean("seen");
        TreeStanding standsAs = seen
                ? Coded.find(TreeStanding.values(), row.getString("stands_as")).orElseThrow()
                : TreeStanding.REVIEW;
        UUID cloneOf = row.getObject("clone_of", UUID.class);
        boolean contested = seen && row.getBoolean("contested");
        VigourBody vigour = json.read(row.getString("vigour"), VigourBody.class);
        TreeLook look = TreeLook.of(cloneOf != null, standsAs, contested, row.getInt("readings") > 0);
        return new TreeRow(
                row.getObject("id", UUID.class),
                row.getInt("tag"),
                row.getDouble("azimuth_degrees"),
                row.getDouble("distance_metres"),
                row.getInt("diameter_millimetres"),
                row.getObject("height_decimetres", Integer.class),
                row.getString("stage"),
                row.getString("origin"),
                words(row.getArray("habitat")),
                row.getString("condition_notes"),
                row.getString("group_id"),
                row.getString("plain_taxon"),
                cloneOf,
                vigour,
                vigour != null && vigour.toVigour().seemsBackwards(),
                row.getString("before") == null
                        ? null
                        : new TreeRow.VigourBefore(
                                row.getInt("before_season"), json.read(row.getString("before"), VigourBody.class)),
                row.getBoolean("favoured"),
                pressure.index(row.getInt("tag")),
                pressure.on(row.getInt("tag")),
                row.getInt("version"),
                standsAs,
                look,
                look.isToDo(),
                seen ? row.getString("stands_name") : null,
                seen ? row.getObject("come_back_month", Integer.class) : null,
                contested,
                seen && row.getBoolean("reviewed"),
                row.getInt("readings"),
                row.getString("read_as"),
                row.getString("verdict"),
                json.read(row.getString("thistle"), Thistle.class));
    }

    private static List<String> words(Array array) throws SQLException {
        return array == null ? null : List.of((String[]) array.getArray());
    }
}
