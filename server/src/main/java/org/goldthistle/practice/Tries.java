package org.goldthistle.practice;

import java.nio.charset.StandardCharsets;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.goldthistle.call.PracticeResult;
import org.goldthistle.call.PracticeTry;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.core.RefusedException;
import org.goldthistle.library.LibraryService;
import org.goldthistle.platform.KeptJson;
import org.goldthistle.platform.Problem;
import org.goldthistle.platform.ProblemType;
import org.goldthistle.platform.Sha256;
import org.goldthistle.platform.Turn;
import org.goldthistle.platform.Turns;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what observers made of practice trees; each is reckoned again here, whatever their device made of it. */
@Service
class Tries {
    private static final String ALL =
            "select id, observer_id, sheet_version_id, group_id, ended_at, belief, made, result, sent_sha256 from practice_try";

    private final JdbcClient jdbc;
    private final LibraryService library;
    private final KeptJson json;
    private final Turns turns;
    private final Clock clock;

    Tries(JdbcClient jdbc, LibraryService library, KeptJson json, Turns turns, Clock clock) {
        this.jdbc = jdbc;
        this.library = library;
        this.json = json;
        this.turns = turns;
        this.clock = clock;
    }

    /**
     * Keeps a try. Sent again with the same id, it changes nothing.
     *
     * @return what became of it
     * @throws Problem if it does not fit its sheet, it is of no set of theirs, or the id belongs to another one
     */
    @Transactional
    public PracticeResult keep(UUID observerId, UUID tryId, NewTry sent) {
        turns.take(Turn.alone(Turn.Thing.ENTRY, tryId));
        StoredSheet sheet = library.find(sent.sheetVersionId());
        String print = Sha256.of(json.text(sent).getBytes(StandardCharsets.UTF_8));
        Optional<KeptTry> there = find(tryId);
        if (there.isPresent()) {
            if (!there.get().observerId().equals(observerId)
                    || !there.get().sentSha256().equals(print)) {
                throw Problem.conflict(
                        ProblemType.ID_TAKEN,
                        "The id of this practice tree belongs to another one. Nothing was changed; send it anew.");
            }
            return there.get().result();
        }
        requireSet(observerId, sent);
        Instant now = clock.instant();
        PracticeResult result;
        try {
            result = sent.made().result(sheet);
        } catch (RefusedException refused) {
            throw Problem.unfit(
                    ProblemType.UNFIT_TRY,
                    "What was made of this practice tree does not fit its sheet. Nothing was stored; practise on another"
                            + " tree.",
                    refused.refusals());
        }
        jdbc.sql("insert into practice_try (id, observer_id, sheet_version_id, group_id, set_id, begun_at, ended_at,"
                        + " belief, made, result, sent_sha256, recorded_at)"
                        + " values (?, ?, ?, ?, ?, ?, ?, ?, ?::jsonb, ?::jsonb, ?, ?)")
                .params(
                        tryId,
                        observerId,
                        sheet.id(),
                        sheet.sheet().id(),
                        sent.setId(),
                        Timestamp.from(earlier(sent.begunAt(), now)),
                        Timestamp.from(earlier(sent.endedAt(), now)), // a device's clock may run ahead
                        sent.belief(),
                        json.text(sent.made()),
                        json.text(result),
                        print,
                        Timestamp.from(now))
                .update();
        return result;
    }

    private static Instant earlier(Instant one, Instant other) {
        return one.isBefore(other) ? one : other;
    }

    private void requireSet(UUID observerId, NewTry sent) {
        boolean fits = sent.setId() == null
                || jdbc.sql("select count(*) > 0 from practice_set s"
                                + " join survey_member m on m.survey_id = s.survey_id and m.observer_id = ?"
                                + " where s.id = ? and s.sheet_version_id = ? and s.trees @> ?::jsonb")
                        .params(
                                observerId,
                                sent.setId(),
                                sent.sheetVersionId(),
                                json.text(List.of(new SetDto.SeededDto(sent.seed(), sent.one(), sent.other()))))
                        .query(Boolean.class)
                        .single();
        if (!fits) {
            throw Problem.missing(
                    ProblemType.NO_SUCH_SET,
                    "There is no such practice set for you, or this tree is none of its. It was not stored; take it up from"
                            + " the set's own page.");
        }
    }

    private Optional<KeptTry> find(UUID tryId) {
        return jdbc.sql(ALL + " where id = ?").param(tryId).query(this::kept).optional();
    }

    /** An observer's tries, the earliest first. */
    List<KeptTry> of(UUID observerId) {
        return jdbc.sql(ALL + " where observer_id = ? order by ended_at, entry_order")
                .param(observerId)
                .query(this::kept)
                .list();
    }

    /** The tries of a set, the earliest first. */
    List<KeptTry> ofSet(UUID setId) {
        return jdbc.sql(ALL + " where set_id = ? order by ended_at, entry_order")
                .param(setId)
                .query(this::kept)
                .list();
    }

    private KeptTry kept(ResultSet row, int i) throws SQLException {
        return new KeptTry(
                row.getObject("id", UUID.class),
                row.getObject("observer_id", UUID.class),
                row.getObject("sheet_version_id", UUID.class),
                row.getString("group_id"),
                row.getTimestamp("ended_at").toInstant(),
                row.getObject("belief", Double.class),
                json.read(row.getString("made"), PracticeTry.class),
                json.read(row.getString("result"), PracticeResult.class),
                row.getString("sent_sha256"));
    }
}
