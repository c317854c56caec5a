package org.goldthistle.sample;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.sql.Types;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.goldthistle.core.Coded;
import org.goldthistle.core.laboratory.SampleStep;
import org.goldthistle.platform.Turn;
import org.goldthistle.survey.SurveyedTree;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Component;

/** Samples and the steps of their lives, as the database keeps them. */
@Component
class SampleStore {
    /** No two samples bear the same label, and no two parcels. */
    static final Turn LABELS = Turn.alone(Turn.Thing.ENTRY, "labels");

    private static final int LETTERS = 26;
    private static final int LONGEST_PLOT = 8; // letters of its code on a label

    private final JdbcClient jdbc;
    private final Clock clock;

    SampleStore(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** Those of a survey, the ones that go on first, by plot and tag. */
    List<SampleDto> ofSurvey(UUID surveyId) {
        return found("x.survey_id = ?", surveyId);
    }

    List<SampleDto> ofTree(UUID treeId) {
        return found("x.tree_id = ?", treeId);
    }

    Optional<SampleDto> find(UUID sampleId) {
        return found("x.id = ?", sampleId).stream().findFirst();
    }

    Optional<SampleDto> labelled(String code) {
        return found("x.code = ?", code).stream().findFirst();
    }

    /** Those that lie in a parcel now, or went on from it. */
    List<SampleDto> inParcel(UUID parcelId) {
        return found("l.parcel_id = ?", parcelId);
    }

    private List<SampleDto> found(String where, Object id) {
        List<SampleDto> samples = new ArrayList<>(
                jdbc.sql("select x.*, t.tag, t.plot_id, t.group_id, p.code plot_code, l.parcel from sample x"
                                + " join tree t on t.id = x.tree_id join plot p on p.id = t.plot_id"
                                + " left join lateral (select c.code parcel, s.parcel_id from sample_step s"
                                + " left join parcel c on c.id = s.parcel_id where s.sample_id = x.id"
                                + " order by s.entry_order desc limit 1) l on true where " + where
                                + " order by p.code, t.tag, x.code")
                        .param(id)
                        .query((row, i) -> sample(row))
                        .list());
        Map<UUID, List<SampleDto.LifeStep>> lives = lives(samples);
        samples.replaceAll(sample -> sample.living(lives.get(sample.id())));
        samples.sort(Comparator.comparing(SampleDto::ended)); // stable
        return samples;
    }

    private Map<UUID, List<SampleDto.LifeStep>> lives(List<SampleDto> samples) {
        Map<UUID, List<SampleDto.LifeStep>> lives = new LinkedHashMap<>();
        jdbc.sql("select s.*, o.call_sign from sample_step s left join observer o on o.id = s.observer_id"
                        + " where s.sample_id = any(?) order by s.entry_order")
                .param(samples.stream().map(SampleDto::id).toArray(UUID[]::new))
                .query((row, i) -> Map.entry(row.getObject("sample_id", UUID.class), lifeStep(row)))
                .list()
                .forEach(one -> lives.computeIfAbsent(one.getKey(), any -> new ArrayList<>())
                        .add(one.getValue()));
        return lives;
    }

    private static SampleDto.LifeStep lifeStep(ResultSet row) throws SQLException {
        return new SampleDto.LifeStep(
                Coded.find(SampleStep.values(), row.getString("step")).orElseThrow(),
                row.getString("call_sign"),
                row.getTimestamp("at").toInstant(),
                row.getString("note"));
    }

    /** One whose life is not told yet. */
    private static SampleDto sample(ResultSet row) throws SQLException {
        return new SampleDto(
                row.getObject("id", UUID.class),
                row.getObject("tree_id", UUID.class),
                row.getObject("plot_id", UUID.class),
                row.getString("plot_code"),
                row.getInt("tag"),
                row.getString("group_id"),
                row.getString("code"),
                row.getString("tissue"),
                row.getString("analysis"),
                SampleStep.ASKED,
                false,
                List.of(),
                List.of(),
                row.getString("parcel"),
                List.of());
    }

    /** A sample of a tree is asked for, under a label of its own. */
    void ask(UUID id, SurveyedTree tree, NewSample asked, UUID observerId, Instant at) {
        jdbc.sql(
                        "insert into sample (id, survey_id, tree_id, code, tissue, analysis, hybrid) values (?, ?, ?, ?, ?, ?, ?)")
                .params(Arrays.asList(
                        id, tree.surveyId(), tree.id(), codeFor(tree), asked.tissue(), asked.analysis(), asked.cross()))
                .update();
        step(UUID.randomUUID(), id, SampleStep.ASKED, asked.note(), observerId, at);
    }

    /** Id of the hybrid whose parents' shares are wanted; empty: the sheet's first one. */
    Optional<String> hybrid(UUID sampleId) {
        return jdbc.sql("select hybrid from sample where id = ?")
                .param(sampleId)
                .query((row, i) -> Optional.ofNullable(row.getString("hybrid")))
                .single();
    }

    /** Plot and tag in short, and a letter for each sample of the tree: "KM07-23-B"; unlike any that was written before. */
    private String codeFor(SurveyedTree tree) {
        int place = ofTree(tree.id()).size();
        String letter = place < LETTERS ? String.valueOf((char) ('A' + place)) : "A" + place;
        String shortly = initials(tree.plotCode()) + "-" + tree.tag() + "-" + letter;
        String code = shortly;
        for (int i = 2; isLabelled(code); i++) {
            code = shortly + i;
        }
        return code;
    }

    private static String initials(String plot) {
        StringBuilder letters = new StringBuilder();
        for (String word : plot.split("[^\\p{L}\\p{N}]+")) {
            if (!word.isEmpty()) {
                letters.append(
                        Character.isDigit(word.charAt(0))
                                ? word
                                : word.substring(0, 1).toUpperCase(Locale.ROOT));
            }
        }
        return letters.substring(0, Math.min(LONGEST_PLOT, letters.length()));
    }

    private boolean isLabelled(String code) {
        return jdbc.sql("select count(*) > 0 from sample where code = ?")
                .param(code)
                .query(Boolean.class)
                .single();
    }

    /** The sample that a step belongs to; empty: there is no such step. */
    Optional<UUID> ofStep(UUID stepId) {
        return jdbc.sql("select sample_id from sample_step where id = ?")
                .param(stepId)
                .query(UUID.class)
                .optional();
    }

    /**
     * Keeps a step; whatever comes after a parcel but being taken out of it happens to the sample in that parcel.
     *
     * @param observerId null: the laboratory said so
     */
    void step(UUID id, UUID sampleId, SampleStep step, String note, @Nullable UUID observerId) {
        step(id, sampleId, step, note, observerId, clock.instant());
    }

    /** The same at another time. */
    void step(UUID id, UUID sampleId, SampleStep step, String note, @Nullable UUID observerId, Instant at) {
        jdbc.sql(
                        "insert into sample_step (id, sample_id, step, note, parcel_id, observer_id, at)"
                                + " select cast(:id as uuid), cast(:sample as uuid), :step, :note, case when :step <> 'taken' then (select parcel_id from sample_step"
                                + " where sample_id = :sample order by entry_order desc limit 1) end, cast(:observer as uuid), cast(:at as timestamptz)")
                .param("id", id)
                .param("sample", sampleId)
                .param("step", step.code())
                .param("note", note.strip())
                .param("observer", observerId, Types.OTHER)
                .param("at", Timestamp.from(at))
                .update();
    }

    /** A sample goes into a parcel. */
    void pack(UUID sampleId, UUID parcelId, UUID observerId, Instant at) {
        jdbc.sql("insert into sample_step (id, sample_id, step, note, parcel_id, observer_id, at)"
                        + " values (?, ?, 'packed', '', ?, ?, ?)")
                .params(UUID.randomUUID(), sampleId, parcelId, observerId, Timestamp.from(at))
                .update();
    }
}
