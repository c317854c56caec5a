package org.goldthistle.exchange;

import java.util.List;

/**
 * What the database is asked of a file that was read: each question finds place, heading and problem of the rows of
 * {@code :import} that do not go together, or not with the survey {@code :survey}.
 */
final class ImportQuestions {
    /** A tag once in a plot. */
    private static final String TAG_TWICE =
            "select r.place, 'tag', 'tree ' || r.tag || ' stands in row ' || min(o.place) || ' already: each tag"
                    + " once in a plot' from import_row r join import_row o on o.import_id = r.import_id"
                    + " and o.plot_code = r.plot_code and o.tag = r.tag and o.place < r.place"
                    + " where r.import_id = :import group by r.place, r.tag";

    /** No tag that the survey has already. */
    private static final String TAG_TAKEN =
            "select r.place, 'tag', 'tree ' || r.tag || ' of ' || r.plot_code || ' is in the survey already'"
                    + " from import_row r join plot p on p.survey_id = :survey and p.code = r.plot_code"
                    + " join tree t on t.plot_id = p.id and t.tag = r.tag where r.import_id = :import";

    /** Nothing in a closed plot. */
    private static final String PLOT_CLOSED =
            "select r.place, 'plot', 'the plot ' || r.plot_code || ' is closed' from import_row r"
                    + " join plot p on p.survey_id = :survey and p.code = r.plot_code and p.closed_at is not null"
                    + " where r.import_id = :import and r.tag is not null";

    /** A plot is described alike in all its rows. */
    private static final String PLOT_TOLD_TWICE =
            "select r.place, 'plot', r.plot_code || ' is described otherwise than in row ' || f.place"
                    + " from import_row r join lateral (select place, plot from import_row"
                    + " where import_id = r.import_id and plot_code = r.plot_code and plot is not null"
                    + " order by place limit 1) f on true where r.import_id = :import and r.plot is not null"
                    + " and r.plot <> f.plot";

    /** A plot that the survey has already stays as it is. */
    private static final String PLOT_TOLD_OTHERWISE =
            "select r.place, 'plot', r.plot_code || ' is in the survey already and described otherwise there; leave"
                    + " its cells empty, or change the plot first' from import_row r"
                    + " join plot p on p.survey_id = :survey and p.code = r.plot_code"
                    + " where r.import_id = :import and ((r.plot ->> 'latitude')::float8 is distinct from"
                    + " p.latitude and jsonb_exists(r.plot, 'latitude')"
                    + " or (r.plot ->> 'longitude')::float8 is distinct from p.longitude and jsonb_exists(r.plot, 'longitude')"
                    + " or (r.plot ->> 'radiusMetres')::float8 <> p.radius_metres"
                    + " or (r.plot ->> 'altitudeMetres')::float8 is distinct from p.altitude_metres"
                    + " and jsonb_exists(r.plot, 'altitudeMetres') or r.plot ->> 'notes' <> p.notes"
                    + " or jsonb_exists(r.plot, 'habitat') and array(select jsonb_array_elements_text(r.plot -> 'habitat'))"
                    + " <> p.habitat)";

    /** Stems stand within their plot. */
    private static final String OUTSIDE_PLOT =
            "select r.place, 'distance', trim_scale((r.tree #>> '{body,distanceMetres}')::numeric) || ' m: it must be within the plot,"
                    + " whose radius is ' || c.radius || ' m' from import_row r join lateral (select coalesce("
                    + "(select p.radius_metres from plot p where p.survey_id = :survey and p.code = r.plot_code),"
                    + "(select (f.plot ->> 'radiusMetres')::float8 from import_row f where f.import_id = r.import_id"
                    + " and f.plot_code = r.plot_code and f.plot is not null order by place limit 1), 15) radius) c"
                    + " on true where r.import_id = :import and r.tree is not null"
                    + " and (r.tree #>> '{body,distanceMetres}')::float8 > c.radius";

    /** A clone has a stem that bears its call. */
    private static final String NO_BEARER =
            "select r.place, 'clone of', 'tree ' || (r.tree ->> 'cloneOfTag') || ' is no other stem of that plot that"
                    + " bears its own call' from import_row r where r.import_id = :import"
                    + " and r.tree ->> 'cloneOfTag' is not null and not exists (select 1 from import_row b"
                    + " where b.import_id = r.import_id and b.plot_code = r.plot_code"
                    + " and b.tag = (r.tree ->> 'cloneOfTag')::int and b.place <> r.place"
                    + " and b.tree ->> 'cloneOfTag' is null"
                    + " and b.tree #>> '{body,groupId}' = r.tree #>> '{body,groupId}')";

    /** All of them. */
    static final List<String> ALL =
            List.of(TAG_TWICE, TAG_TAKEN, PLOT_CLOSED, PLOT_TOLD_TWICE, PLOT_TOLD_OTHERWISE, OUTSIDE_PLOT, NO_BEARER);

    private ImportQuestions() {}
}
