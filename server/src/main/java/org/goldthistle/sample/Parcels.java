package org.goldthistle.sample;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.audit.AuditTrail;
import org.goldthistle.audit.Place;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.laboratory.SampleStep;
import org.goldthistle.platform.Problem;
import org.goldthistle.platform.ProblemType;
import org.goldthistle.platform.Settings;
import org.goldthistle.platform.Turn;
import org.goldthistle.platform.Turns;
import org.goldthistle.survey.SurveyService;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Parcels of samples, and how far the laboratory has been told of them. */
@Service
class Parcels {
    private static final int LONGEST_REST = 10; // as a power of two, in seconds: a quarter of an hour

    private final SampleStore store;
    private final SurveyService surveys;
    private final AuditTrail audit;
    private final Turns turns;
    private final JdbcClient jdbc;
    private final Clock clock;
    private final boolean byHand;

    Parcels(
            SampleStore store,
            SurveyService surveys,
            AuditTrail audit,
            Turns turns,
            JdbcClient jdbc,
            Clock clock,
            Settings settings) {
        this.store = store;
        this.surveys = surveys;
        this.audit = audit;
        this.turns = turns;
        this.jdbc = jdbc;
        this.clock = clock;
        this.byHand = settings.laboratory().url().isEmpty();
    }

    /** Those of a survey, the newest first. */
    @Transactional(readOnly = true)
    List<ParcelDto> of(UUID surveyId) {
        return found("c.survey_id = ?", List.of(surveyId));
    }

    /**
     * One of a survey.
     *
     * @throws Problem if the survey has none of that id, or the observer does not belong to it
     */
    @Transactional(readOnly = true)
    ParcelDto find(UUID surveyId, UUID parcelId, UUID observerId) {
        surveys.requireMember(surveyId, observerId);
        return find(surveyId, parcelId)
                .orElseThrow(() -> Problem.missing(
                        ProblemType.NO_SUCH_SAMPLE, "This survey has no such parcel. Nothing was stored."));
    }

    private Optional<ParcelDto> find(UUID surveyId, UUID parcelId) {
        return found("c.survey_id = ? and c.id = ?", List.of(surveyId, parcelId)).stream()
                .findFirst();
    }

    private List<ParcelDto> found(String where, List<UUID> ids) {
        return jdbc.sql("select c.id, c.code, p.receipt, p.tries, p.trouble, p.next_at = 'infinity' by_hand,"
                        + " array(select x.code from sample x cross join lateral (select parcel_id from sample_step"
                        + " where sample_id = x.id order by entry_order desc limit 1) l"
                        + " where x.survey_id = c.survey_id and l.parcel_id = c.id order by x.code) samples"
                        + " from parcel c join parcel_post p on p.parcel_id = c.id where " + where
                        + " order by c.code desc")
                .params(ids)
                .query((row, i) -> new ParcelDto(
                        row.getObject("id", UUID.class),
                        row.getString("code"),
                        List.of((String[]) row.getArray("samples").getArray()),
                        row.getString("receipt"),
                        row.getInt("tries"),
                        row.getString("trouble"),
                        row.getBoolean("by_hand")))
                .list();
    }

    /** The samples that lie in a parcel. */
    @Transactional(readOnly = true)
    List<SampleDto> samplesIn(UUID parcelId) {
        return store.inParcel(parcelId);
    }

    /**
     * Makes a parcel of samples that were taken. Sent again with the same id, it changes nothing.
     *
     * @throws Problem if one of them was not taken, or lies in a parcel already
     */
    @Transactional
    ParcelDto make(UUID surveyId, UUID parcelId, SignedInObserver observer, NewParcel asked) {
        List<Turn> taken = new ArrayList<>();
        taken.add(Turn.beside(Turn.Thing.SURVEY, surveyId));
        taken.add(Turn.alone(Turn.Thing.ENTRY, parcelId));
        taken.add(SampleStore.LABELS);
        new HashSet<>(asked.sampleIds()).forEach(id -> taken.add(Turn.alone(Turn.Thing.ENTRY, id)));
        turns.take(taken.toArray(Turn[]::new));
        surveys.requireOpen(surveyId, observer.id());
        Optional<ParcelDto> there = find(surveyId, parcelId);
        if (there.isPresent()) {
            requireSame(parcelId, asked);
            return there.get();
        }
        List<SampleDto> samples = taken(surveyId, asked);
        jdbc.sql("insert into parcel (id, survey_id, code) values (?, ?, ?)")
                .params(parcelId, surveyId, nextCode())
                .update();
        jdbc.sql("insert into parcel_post (parcel_id, tries, trouble, next_at)"
                        + " values (?, 0, '', case when ? then 'infinity' else cast(? as timestamptz) end)")
                .params(parcelId, byHand, Timestamp.from(clock.instant()))
                .update();
        for (SampleDto sample : samples) {
            store.pack(sample.id(), parcelId, observer.id(), clock.instant());
        }
        audit.note(Optional.of(observer.id()), "made a parcel", new Place(surveyId, null, null), null, asked);
        return find(surveyId, parcelId).orElseThrow();
    }

    private void requireSame(UUID parcelId, NewParcel asked) {
        Set<UUID> inside =
                new HashSet<>(jdbc.sql("select sample_id from sample_step where parcel_id = ? and step = 'packed'")
                        .param(parcelId)
                        .query(UUID.class)
                        .list());
        if (!inside.equals(new HashSet<>(asked.sampleIds()))) {
            throw Samples.idTaken();
        }
    }

    private List<SampleDto> taken(UUID surveyId, NewParcel asked) {
        List<UUID> wanted = asked.sampleIds().stream().distinct().toList();
        List<SampleDto> found = store.ofSurvey(surveyId).stream()
                .filter(sample -> wanted.contains(sample.id()))
                .toList();
        if (found.size() < wanted.size()) {
            throw Problem.missing(
                    ProblemType.NO_SUCH_SAMPLE, "This survey has not all of these samples. Nothing was stored.");
        }
        List<String> others = found.stream()
                .filter(sample -> sample.step() != SampleStep.TAKEN)
                .map(sample -> sample.code() + " is " + sample.step().code())
                .toList();
        if (!others.isEmpty()) {
            throw Problem.unfit(
                    ProblemType.UNFIT_SAMPLE,
                    RefusedException.of(
                            "sampleIds", String.join(", ", others), "samples that were taken and lie in no parcel"));
        }
        return found;
    }

    private String nextCode() {
        int before =
                jdbc.sql("select count(*) from parcel").query(Integer.class).single();
        return String.format("P%d-%03d", LocalDate.now(clock).getYear(), before + 1);
    }

    /** A parcel that the laboratory is to be told of now. */
    record Due(UUID id, String code, int tries) {}

    /** The parcels that have no receipt, and whose time has come. */
    List<Due> due() {
        return jdbc.sql("select c.id, c.code, p.tries from parcel_post p join parcel c on c.id = p.parcel_id"
                        + " where p.receipt is null and p.next_at <= ? order by c.code")
                .param(Timestamp.from(clock.instant()))
                .query(Due.class)
                .list();
    }

    /** Keeps why the laboratory could not be told, and waits twice as long as before. */
    @Transactional
    public void troubled(Due parcel, String why) {
        Instant next = clock.instant().plusSeconds(1L << Math.min(parcel.tries(), LONGEST_REST));
        jdbc.sql("update parcel_post set tries = tries + 1, trouble = ?, next_at = ? where parcel_id = ?")
                .params(why, Timestamp.from(next), parcel.id())
                .update();
    }

    /** Keeps the laboratory's receipt; what lies in the parcel is there. */
    @Transactional
    public void received(Due parcel, String receipt) {
        List<UUID> inside =
                store.inParcel(parcel.id()).stream().map(SampleDto::id).toList();
        turns.take(inside.stream().map(id -> Turn.alone(Turn.Thing.ENTRY, id)).toArray(Turn[]::new));
        int first = jdbc.sql("update parcel_post set receipt = ?, tries = tries + 1, trouble = ''"
                        + " where parcel_id = ? and receipt is null")
                .params(receipt, parcel.id())
                .update();
        if (first > 0) {
            store.inParcel(parcel.id()).stream()
                    .filter(sample -> sample.step() == SampleStep.PACKED)
                    .forEach(sample -> store.step(
                            UUID.randomUUID(), sample.id(), SampleStep.RECEIVED, "receipt " + receipt, null));
        }
    }
}
