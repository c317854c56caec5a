package org.goldthistle.exchange;

import java.util.List;

/**
 * What the database is asked of a file that was read: each question finds place, heading and problem of the rows of
 * {@code :import} that do not go together, or not with the survey {@code :survey}. Each goes through the rows once: they were
 * only just written, so that the database knows nothing of how they are spread.
 */
final class ImportQuestions {
    /** A tag once in a plot. */
    private static final String TAG_TWICE =
            "select place, 'tag', 'tree ' || tag || ' stands in row ' || first || ' already: each tag once in a plot' from"
                    + " (select place, tag, min(place) over (partition by plot_code, tag) first from import_row"
                    + " where import_id = :import and tag is not null) r where place > first";

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
            "select place, 'plot', plot_code || ' is described otherwise than in row ' || first from"
                    + " (select place, plot_code, plot, first_value(place) over told first, first_value(plot) over told as_told"
                    + " from import_row where import_id = :import and plot is not null"
                    + " window told as (partition by plot_code order by place)) r where plot <> as_told";

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
            "select place, 'distance', trim_scale((tree #>> '{body,distanceMetres}')::numeric) || ' m: it must be within the plot,"
                    + " whose radius is ' || radius || ' m' from (select r.place, r.tree, coalesce(p.radius_metres,"
                    + " (first_value(r.plot) over (partition by r.plot_code order by r.plot is null, r.place)"
                    + " ->> 'radiusMetres')::float8, 15) radius from import_row r"
                    + " left join plot p on p.survey_id = :survey and p.code = r.plot_code where r.import_id = :import) r"
                    + " where tree is not null and (tree #>> '{body,distanceMetres}')::float8 > radius";

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
