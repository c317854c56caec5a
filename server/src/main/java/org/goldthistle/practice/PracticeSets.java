package org.goldthistle.practice;

import com.fasterxml.jackson.core.type.TypeReference;
import java.nio.ByteBuffer;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.call.PracticeResult;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.core.practice.Pair;
import org.goldthistle.core.practice.Pairs;
import org.goldthistle.core.practice.PracticeScore;
import org.goldthistle.core.sheet.StateScale;
import org.goldthistle.library.LibraryService;
import org.goldthistle.platform.KeptJson;
import org.goldthistle.platform.Problem;
import org.goldthistle.platform.ProblemType;
import org.goldthistle.platform.Turn;
import org.goldthistle.platform.Turns;
import org.goldthistle.survey.SurveyService;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Sets of ten trees that a crew calls together: the same for all, and what came of them by character, not by name. */
@Service
class PracticeSets {
    private static final int TREES = 10;
    private static final int WORST = 3;
    private static final int FEWEST_LOOKS = 2;
    private static final String ALL = "select s.id, s.survey_id, s.group_id, s.sheet_version_id, s.trees, o.call_sign,"
            + " s.opened_at, s.closed_at from practice_set s join observer o on o.id = s.opened_by";

    private final JdbcClient jdbc;
    private final Tries tries;
    private final LibraryService library;
    private final SurveyService surveys;
    private final KeptJson json;
    private final Turns turns;
    private final Clock clock;

    PracticeSets(
            JdbcClient jdbc,
            Tries tries,
            LibraryService library,
            SurveyService surveys,
            KeptJson json,
            Turns turns,
            Clock clock) {
        this.jdbc = jdbc;
        this.tries = tries;
        this.library = library;
        this.surveys = surveys;
        this.json = json;
        this.turns = turns;
        this.clock = clock;
    }

    /** The sets of a survey, the latest first. */
    @Transactional(readOnly = true)
    public List<SetDto> of(UUID surveyId, SignedInObserver observer) {
        surveys.requireMember(surveyId, observer.id());
        return jdbc.sql(ALL + " where s.survey_id = ? order by s.opened_at desc, s.id")
                .param(surveyId)
                .query((row, i) -> dto(row, observer))
                .list();
    }

    /** @throws Problem if the survey has no such set, or the observer does not belong to it */
    @Transactional(readOnly = true)
    public SetDto find(UUID surveyId, UUID setId, SignedInObserver observer) {
        surveys.requireMember(surveyId, observer.id());
        return jdbc.sql(ALL + " where s.survey_id = ? and s.id = ?")
                .params(surveyId, setId)
                .query((row, i) -> dto(row, observer))
                .optional()
                .orElseThrow(PracticeSets::noSuchSet);
    }

    private static Problem noSuchSet() {
        return Problem.missing(
                ProblemType.NO_SUCH_SET, "This survey has no such practice set. Look at the list of its sets.");
    }

    /**
     * Opens a set on the newest sheet of a group. Sent again with the same id, it changes nothing.
     *
     * @throws Problem if there is no such group, or the id belongs to another set
     */
    @Transactional
    public void open(UUID surveyId, UUID setId, String groupId, SignedInObserver lead) {
        turns.take(Turn.alone(Turn.Thing.ENTRY, setId));
        surveys.requireOpen(surveyId, lead.id());
        StoredSheet sheet = library.newest(groupId);
        Optional<Boolean> there = jdbc.sql("select survey_id = ? and group_id = ? from practice_set where id = ?")
                .params(surveyId, groupId, setId)
                .query(Boolean.class)
                .optional();
        if (there.isPresent()) {
            if (!there.get()) {
                throw Problem.conflict(
                        ProblemType.ID_TAKEN,
                        "The id of this set belongs to another one. Nothing was changed; send it anew.");
            }
            return;
        }
        List<Pair> pairs = Pairs.of(sheet.model());
        if (pairs.isEmpty()) {
            throw Problem.unfit(
                    ProblemType.UNFIT_TRY,
                    "No two taxa of this sheet are told apart by anything that is read from a tree, so they cannot be"
                            + " practised. Nothing was opened.");
        }
        int seed = ByteBuffer.allocate(Long.BYTES)
                        .putLong(setId.getLeastSignificantBits())
                        .getInt(Integer.BYTES)
                & (Integer.MAX_VALUE >> 1);
        List<SetDto.SeededDto> trees = new ArrayList<>();
        for (int i = 0; i < TREES; i++) {
            Pair pair = pairs.get(i % Math.min(pairs.size(), TREES / 2));
            trees.add(new SetDto.SeededDto(seed + i, pair.one(), pair.other()));
        }
        jdbc.sql("insert into practice_set (id, survey_id, group_id, sheet_version_id, trees, opened_by, opened_at)"
                        + " values (?, ?, ?, ?, ?::jsonb, ?, ?)")
                .params(
                        setId,
                        surveyId,
                        groupId,
                        sheet.id(),
                        json.text(trees),
                        lead.id(),
                        Timestamp.from(clock.instant()))
                .update();
    }

    /** Closes a set, so that everybody sees what came of it; closed once more, it changes nothing. */
    @Transactional
    public void close(UUID surveyId, UUID setId, SignedInObserver lead) {
        turns.take(Turn.alone(Turn.Thing.ENTRY, setId));
        surveys.requireMember(surveyId, lead.id());
        jdbc.sql("update practice_set set closed_at = coalesce(closed_at, ?) where id = ? and survey_id = ?")
                .params(Timestamp.from(clock.instant()), setId, surveyId)
                .update();
        find(surveyId, setId, lead);
    }

    private SetDto dto(ResultSet row, SignedInObserver observer) throws SQLException {
        UUID id = row.getObject("id", UUID.class);
        StoredSheet sheet = library.find(row.getObject("sheet_version_id", UUID.class));
        List<KeptTry> all = firstOfEach(tries.ofSet(id));
        Timestamp closed = row.getTimestamp("closed_at");
        Map<UUID, Long> called = all.stream()
                .collect(Collectors.groupingBy(KeptTry::observerId, LinkedHashMap::new, Collectors.counting()));
        List<SetDto.SetReaderDto> readers = new ArrayList<>();
        called.forEach((reader, trees) -> readers.add(new SetDto.SetReaderDto(
                jdbc.sql("select call_sign from observer where id = ?")
                        .param(reader)
                        .query(String.class)
                        .single(),
                trees.intValue())));
        List<SetDto.SeededDto> trees = json.read(row.getString("trees"), new TypeReference<>() {});
        return new SetDto(
                id,
                row.getString("group_id"),
                sheet.sheet().title(),
                sheet.id(),
                row.getString("call_sign"),
                row.getTimestamp("opened_at").toInstant(),
                closed == null ? null : closed.toInstant(),
                trees,
                readers,
                called.getOrDefault(observer.id(), 0L).intValue(),
                closed == null ? List.of() : results(trees, all),
                closed == null ? List.of() : worst(sheet, all));
    }

    /** The first call of each reader on each tree counts; who tries once more knows it. */
    private static List<KeptTry> firstOfEach(List<KeptTry> all) {
        Map<String, KeptTry> first = new LinkedHashMap<>();
        all.forEach(one -> first.putIfAbsent(one.observerId() + " " + one.made().seed(), one));
        return List.copyOf(first.values());
    }

    private static List<SetDto.SetResultDto> results(List<SetDto.SeededDto> trees, List<KeptTry> all) {
        List<SetDto.SetResultDto> results = new ArrayList<>();
        for (SetDto.SeededDto tree : trees) {
            List<PracticeResult> of = all.stream()
                    .filter(one -> one.made().seed() == tree.seed())
                    .map(KeptTry::result)
                    .toList();
            if (!of.isEmpty()) {
                results.add(new SetDto.SetResultDto(
                        tree.seed(),
                        of.get(0).truth(),
                        count(of, PracticeScore.Verdict.RIGHT),
                        count(of, PracticeScore.Verdict.WRONG),
                        count(of, PracticeScore.Verdict.OPEN)));
            }
        }
        return results;
    }

    private static int count(List<PracticeResult> all, PracticeScore.Verdict verdict) {
        return (int)
                all.stream().filter(one -> one.verdict().equals(verdict.code())).count();
    }

    private static List<SetDto.SetWorstDto> worst(StoredSheet sheet, List<KeptTry> all) {
        Map<String, int[]> looks = new HashMap<>(); // looks, and those that were right
        Map<String, Map<PracticeResult.MistakenLook, Integer>> mistaken = new HashMap<>();
        for (KeptTry one : all) {
            for (PracticeResult.ScoredReading scored : one.result().readings()) {
                int[] counts = looks.computeIfAbsent(scored.character(), any -> new int[2]);
                counts[0] += scored.looks();
                counts[1] += scored.right();
                scored.mistaken()
                        .forEach(look -> mistaken.computeIfAbsent(scored.character(), any -> new HashMap<>())
                                .merge(look, 1, Integer::sum));
            }
        }
        return looks.entrySet().stream()
                .filter(one -> one.getValue()[0] >= FEWEST_LOOKS && one.getValue()[1] < one.getValue()[0])
                .sorted(Comparator.comparingDouble(
                                (Map.Entry<String, int[]> one) -> (double) one.getValue()[1] / one.getValue()[0])
                        .thenComparing(Map.Entry::getKey))
                .limit(WORST)
                .map(one -> {
                    PracticeResult.MistakenLook most = mistaken.get(one.getKey()).entrySet().stream()
                            .max(Map.Entry.<PracticeResult.MistakenLook, Integer>comparingByValue()
                                    .thenComparing(look -> look.getKey().toString()))
                            .orElseThrow()
                            .getKey();
                    boolean states =
                            sheet.sheet().character(one.getKey()).orElseThrow().scale() instanceof StateScale;
                    return new SetDto.SetWorstDto(
                            one.getKey(),
                            one.getValue()[0],
                            one.getValue()[1],
                            states ? most.shown() : "",
                            most.read());
                })
                .toList();
    }
}
