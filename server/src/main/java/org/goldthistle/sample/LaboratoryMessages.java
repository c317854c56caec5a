package org.goldthistle.sample;

import java.sql.Timestamp;
import java.time.Clock;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.laboratory.Finding;
import org.goldthistle.core.laboratory.SampleStep;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.formats.LaboratoryJson;
import org.goldthistle.formats.LaboratoryMethods;
import org.goldthistle.formats.LaboratoryResult;
import org.goldthistle.library.LibraryService;
import org.goldthistle.platform.Turn;
import org.goldthistle.platform.Turns;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * What came of the laboratory. Every message is kept as it came, once; what counts for nothing is kept with why.
 */
@Service
class LaboratoryMessages {
    /** Where a sample may be when a result of it counts. */
    private static final Set<SampleStep> SENT =
            EnumSet.of(SampleStep.PACKED, SampleStep.RECEIVED, SampleStep.ANSWERED, SampleStep.WEIGHED);

    private final JdbcClient jdbc;
    private final SampleStore store;
    private final LibraryService library;
    private final Turns turns;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    LaboratoryMessages(
            JdbcClient jdbc,
            SampleStore store,
            LibraryService library,
            Turns turns,
            ApplicationEventPublisher events,
            Clock clock) {
        this.jdbc = jdbc;
        this.store = store;
        this.library = library;
        this.turns = turns;
        this.events = events;
        this.clock = clock;
    }

    /** The number of the last message that came; 0: none did. */
    long last() {
        return jdbc.sql("select coalesce(max(number), 0) from laboratory_message")
                .query(Long.class)
                .single();
    }

    /** What the laboratory published last; empty: nothing yet. */
    Optional<LaboratoryMethods> methods() {
        return kept().map(Kept::methods);
    }

    private record Kept(long id, String body) {
        LaboratoryMethods methods() {
            return LaboratoryJson.methods(body);
        }
    }

    private Optional<Kept> kept() {
        return jdbc.sql("select id, body from laboratory_methods order by id desc limit 1")
                .query(Kept.class)
                .optional();
    }

    /**
     * Keeps what the laboratory publishes, if that is new.
     *
     * @throws RefusedException if it cannot be understood; nothing is kept then
     */
    @Transactional
    public void publish(String body) {
        LaboratoryJson.methods(body);
        turns.take(Turn.alone(Turn.Thing.ENTRY, "laboratory"));
        if (!kept().map(Kept::body).equals(Optional.of(body))) {
            jdbc.sql("insert into laboratory_methods (body, came_at) values (?, ?)")
                    .params(body, Timestamp.from(clock.instant()))
                    .update();
        }
    }

    /** Keeps a message unless it is known, and lets its sample go on. */
    @Transactional
    public void take(LaboratoryJson.Numbered message) {
        turns.take(Turn.alone(Turn.Thing.ENTRY, "laboratory"));
        boolean known = jdbc.sql("select count(*) > 0 from laboratory_message where number = ?")
                .param(message.number())
                .query(Boolean.class)
                .single();
        Kept methods = kept().orElseThrow();
        if (known) {
            return;
        }
        LaboratoryResult result;
        try {
            result = LaboratoryJson.result(message.text(), methods.methods());
        } catch (RefusedException unread) {
            keep(message, methods, null, false, "It cannot be understood: " + unread.getMessage() + ".");
            return;
        }
        Optional<SampleDto> sample = store.labelled(result.sample());
        if (sample.isEmpty()) {
            keep(message, methods, null, false, "No sample of ours bears the label " + result.sample() + ".");
            return;
        }
        turns.take(
                Turn.alone(Turn.Thing.TREE, sample.get().treeId()),
                Turn.alone(Turn.Thing.ENTRY, sample.get().id()));
        weigh(message, methods, store.find(sample.get().id()).orElseThrow(), result);
    }

    private void weigh(LaboratoryJson.Numbered message, Kept methods, SampleDto sample, LaboratoryResult result) {
        if (!SENT.contains(sample.step())) {
            keep(
                    message,
                    methods,
                    sample.id(),
                    false,
                    "The sample was " + sample.step().code() + " when this came; it counts for nothing.");
            return;
        }
        if (!methods.methods().errors().containsKey(result.analysis())) {
            keep(
                    message,
                    methods,
                    sample.id(),
                    false,
                    "The laboratory publishes no error rate of "
                            + result.analysis().code() + ", so nobody can say what this is worth.");
            return;
        }
        if (result.finding().isEmpty()) {
            failed(message, methods, sample, result);
            return;
        }
        Optional<String> foreign = foreign(sample, result.finding().get());
        boolean counts = !(result.finding().get() instanceof Finding.MarkerShare) || foreign.isEmpty();
        String again = again(sample.step());
        keep(message, methods, sample.id(), counts, (again + foreign.orElse("")).strip());
        if (counts && sample.step() != SampleStep.ANSWERED && sample.step() != SampleStep.WEIGHED) {
            step(sample, SampleStep.ANSWERED, "");
        }
        events.publishEvent(new ResultCame(sample.treeId()));
    }

    private static String again(SampleStep step) {
        return switch (step) {
            case ANSWERED -> "It was answered before; two of one analysis count as their mean. ";
            case WEIGHED -> "It came after its review was decided; it counts at the table if that is opened again. ";
            default -> "";
        };
    }

    private void failed(LaboratoryJson.Numbered message, Kept methods, SampleDto sample, LaboratoryResult result) {
        keep(message, methods, sample.id(), false, "The laboratory found nothing: " + result.failed());
        if (sample.step() == SampleStep.PACKED || sample.step() == SampleStep.RECEIVED) {
            step(sample, SampleStep.SPOILT, "The laboratory: " + result.failed());
        }
        events.publishEvent(new ResultCame(sample.treeId()));
    }

    private void step(SampleDto sample, SampleStep to, String note) {
        store.step(UUID.randomUUID(), sample.id(), to, note, null);
    }

    /** Why a finding speaks of other taxa than were asked for; empty: it does not. */
    private Optional<String> foreign(SampleDto sample, Finding finding) {
        GroupSheet sheet = library.newest(sample.groupId()).sheet();
        if (finding instanceof Finding.Sequenced named && !hasName(sheet, named.scientificName())) {
            return Optional.of("The sheet has no " + named.scientificName() + ", so it counts for none of these.");
        }
        if (finding instanceof Finding.MarkerShare share
                && !(hasName(sheet, share.first()) && hasName(sheet, share.second()))) {
            return Optional.of("Its parents are " + share.first() + " and " + share.second()
                    + ", and the sheet does not have both; it counts for nothing.");
        }
        return Optional.empty();
    }

    private static boolean hasName(GroupSheet sheet, String name) {
        return sheet.taxa().stream()
                .anyMatch(taxon -> taxon.name().scientificName().equalsIgnoreCase(name));
    }

    private void keep(
            LaboratoryJson.Numbered message, Kept methods, @Nullable UUID sampleId, boolean counts, String told) {
        jdbc.sql("insert into laboratory_message (number, body, methods_id, sample_id, counts, told, came_at)"
                        + " values (?, ?, ?, ?, ?, ?, ?)")
                .params(Arrays.asList(
                        message.number(),
                        message.text(),
                        methods.id(),
                        sampleId,
                        counts,
                        told,
                        Timestamp.from(clock.instant())))
                .update();
    }
}
