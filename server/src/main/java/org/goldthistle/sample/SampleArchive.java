package org.goldthistle.sample;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import org.goldthistle.core.laboratory.Analysis;
import org.goldthistle.core.laboratory.SampleStep;
import org.goldthistle.core.laboratory.Tissue;
import org.goldthistle.survey.TreeService;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps samples and what came of them as they were, from an archive. */
@Service
public class SampleArchive {
    private final SampleStore store;
    private final LaboratoryMessages messages;
    private final TreeService trees;
    private final JdbcClient jdbc;
    private final Clock clock;

    SampleArchive(SampleStore store, LaboratoryMessages messages, TreeService trees, JdbcClient jdbc, Clock clock) {
        this.store = store;
        this.messages = messages;
        this.trees = trees;
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** A sample was asked for. */
    @Transactional
    public void ask(UUID sampleId, UUID treeId, Analysis analysis, String why, UUID by, Instant at) {
        store.ask(
                sampleId,
                trees.tree(treeId),
                new NewSample(treeId, Tissue.LEAF.code(), analysis.code(), null, why),
                by,
                at);
    }

    /**
     * A sample went a step on.
     *
     * @param by null: the laboratory said so
     */
    @Transactional
    public void step(UUID sampleId, SampleStep step, String note, @Nullable UUID by, Instant at) {
        store.step(UUID.randomUUID(), sampleId, step, note, by, at);
    }

    /**
     * Samples went into a parcel.
     *
     * @param receipt of the laboratory; null: it has not been told yet
     */
    @Transactional
    public void pack(
            UUID parcelId,
            String code,
            UUID surveyId,
            List<UUID> samples,
            UUID by,
            Instant at,
            @Nullable String receipt) {
        jdbc.sql("insert into parcel (id, survey_id, code) values (?, ?, ?)")
                .params(parcelId, surveyId, code)
                .update();
        jdbc.sql("insert into parcel_post (parcel_id, receipt, tries, trouble, next_at) values (?, ?, ?, '', ?)")
                .params(Arrays.asList(parcelId, receipt, receipt == null ? 0 : 1, Timestamp.from(clock.instant())))
                .update();
        for (UUID sample : samples) {
            store.pack(sample, parcelId, by, at);
            if (receipt != null) {
                store.step(UUID.randomUUID(), sample, SampleStep.RECEIVED, "receipt " + receipt, null, at);
            }
        }
    }

    /** The label of a sample. */
    public String label(UUID sampleId) {
        return store.find(sampleId).orElseThrow().code();
    }

    /** The laboratory published its methods. */
    @Transactional
    public void publish(String methods) {
        messages.publish(methods);
    }

    /** The laboratory said something of a sample; numbers of an archive are not above 0, so that those to come are. */
    @Transactional
    public void say(long number, String body, UUID sampleId, boolean counts, String told, Instant at) {
        jdbc.sql("insert into laboratory_message (number, body, methods_id, sample_id, counts, told, came_at)"
                        + " select ?, ?, max(id), ?, ?, ?, ? from laboratory_methods")
                .params(number, body, sampleId, counts, told, Timestamp.from(at))
                .update();
    }
}
