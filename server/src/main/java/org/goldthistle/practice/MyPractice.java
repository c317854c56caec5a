package org.goldthistle.practice;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.goldthistle.call.PracticeResult;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.core.practice.Item;
import org.goldthistle.core.practice.Pair;
import org.goldthistle.core.practice.Pairs;
import org.goldthistle.core.practice.PracticeScore;
import org.goldthistle.core.practice.Remembered;
import org.goldthistle.core.practice.Schedule;
import org.goldthistle.core.sheet.StateScale;
import org.goldthistle.library.LibraryService;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What an observer's tries come to: what sits, what slips, and what to practise next. */
@Service
class MyPractice {
    private static final int NEXT = 12; // enough for a day without a network
    private static final int MOST_MISTAKEN = 12;
    private static final int BINS = 10;

    private final Tries tries;
    private final SignOffs signOffs;
    private final LibraryService library;
    private final JdbcClient jdbc;
    private final Clock clock;

    MyPractice(Tries tries, SignOffs signOffs, LibraryService library, JdbcClient jdbc, Clock clock) {
        this.tries = tries;
        this.signOffs = signOffs;
        this.library = library;
        this.jdbc = jdbc;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    MyPracticeDto of(UUID observerId) {
        List<KeptTry> all = tries.of(observerId);
        Map<String, StoredSheet> newest = library.newest().stream()
                .collect(Collectors.toMap(one -> one.sheet().id(), one -> one, (a, b) -> a, LinkedHashMap::new));
        Map<Item, Remembered> remembered = remembered(all, newest);
        List<MyPracticeDto.OverruledCallDto> overruled = overruled(observerId);
        return new MyPracticeDto(
                all.size(),
                Schedule.MINUTES_A_DAY,
                all.stream()
                        .filter(one -> Math.floor(one.day()) == Math.floor(today()))
                        .mapToDouble(one -> one.result().minutes())
                        .sum(),
                next(observerId, remembered, overruled, newest),
                pairs(remembered, newest),
                own(all),
                sheets(all),
                mistaken(all, newest),
                overruled,
                signOffs.of(observerId, all));
    }

    private double today() {
        return KeptTry.dayOf(clock.instant());
    }

    /** By item, from the tries on trees of its pair; items that the newest sheet has no more are left out. */
    private static Map<Item, Remembered> remembered(List<KeptTry> all, Map<String, StoredSheet> newest) {
        Map<Item, Remembered> remembered = new LinkedHashMap<>();
        for (KeptTry one : all) {
            Pair pair = new Pair(one.made().one(), one.made().other());
            if (!pair.has(one.result().truth()) || !isOf(newest.get(one.groupId()), pair)) {
                continue;
            }
            for (PracticeResult.ScoredReading scored : one.result().readings()) {
                if (newest.get(one.groupId())
                        .sheet()
                        .character(scored.character())
                        .isPresent()) {
                    boolean right = scored.mistaken().isEmpty();
                    remembered.compute(
                            new Item(one.groupId(), pair, scored.character()),
                            (item, before) -> before == null
                                    ? Remembered.first(right, one.day())
                                    : before.tried(right, one.day()));
                }
            }
        }
        return remembered;
    }

    private static boolean isOf(StoredSheet sheet, Pair pair) {
        return sheet != null
                && sheet.sheet().taxonIndex(pair.one()) >= 0
                && sheet.sheet().taxonIndex(pair.other()) >= 0;
    }

    private List<MyPracticeDto.PracticeNextDto> next(
            UUID observerId,
            Map<Item, Remembered> remembered,
            List<MyPracticeDto.OverruledCallDto> overruled,
            Map<String, StoredSheet> newest) {
        Set<Schedule.Of> byReview = new HashSet<>();
        overruled.forEach(one -> byReview.add(new Schedule.Of(one.groupId(), new Pair(one.named(), one.stands()))));
        List<MyPracticeDto.PracticeNextDto> next = new ArrayList<>();
        Map<Item, Remembered> left = new LinkedHashMap<>(remembered);
        Optional<Schedule.Of> due = Schedule.next(left, byReview, today());
        while (due.isPresent() && next.size() < NEXT) {
            Schedule.Of of = due.get();
            next.add(dto(of, newest, byReview.contains(of) ? MyPracticeDto.Why.OVERRULED : MyPracticeDto.Why.DUE));
            left.keySet()
                    .removeIf(item ->
                            item.group().equals(of.group()) && item.pair().equals(of.pair()));
            due = Schedule.next(left, byReview, today());
        }
        List<Schedule.Of> fresh = fresh(observerId, byReview, newest);
        fresh.removeIf(of -> next.stream().anyMatch(one -> isOf(one, of)));
        while (next.size() < NEXT && !fresh.isEmpty()) {
            Schedule.Of of = Schedule.longestNotSeen(fresh, remembered).orElseThrow();
            fresh.remove(of);
            next.add(dto(of, newest, byReview.contains(of) ? MyPracticeDto.Why.OVERRULED : MyPracticeDto.Why.FRESH));
        }
        return next;
    }

    private static boolean isOf(MyPracticeDto.PracticeNextDto next, Schedule.Of of) {
        return next.groupId().equals(of.group()) && new Pair(next.one(), next.other()).equals(of.pair());
    }

    /** What may be practised where nothing is due: overruled pairs, then those of the groups that wait in the observer's plots. */
    private List<Schedule.Of> fresh(UUID observerId, Set<Schedule.Of> byReview, Map<String, StoredSheet> newest) {
        List<String> groups = new ArrayList<>(jdbc.sql("select t.group_id from tree t join plot p on p.id = t.plot_id"
                        + " join survey_member m on m.survey_id = p.survey_id join survey s on s.id = p.survey_id"
                        + " where m.observer_id = ? and s.closed_at is null and t.stands_as = 'open'"
                        + " and t.group_id is not null group by t.group_id order by count(*) desc, t.group_id")
                .param(observerId)
                .query(String.class)
                .list());
        newest.keySet().stream().filter(group -> !groups.contains(group)).forEach(groups::add);
        List<Schedule.Of> fresh = new ArrayList<>(byReview.stream()
                .filter(of -> isOf(newest.get(of.group()), of.pair()))
                .toList());
        List<List<Pair>> ofGroups = groups.stream()
                .filter(newest::containsKey)
                .map(group -> Pairs.of(newest.get(group).model()))
                .toList();
        List<String> known = groups.stream().filter(newest::containsKey).toList();
        int most = ofGroups.stream().mapToInt(List::size).max().orElse(0);
        for (int i = 0; i < most; i++) { // the most alike of each group first
            for (int g = 0; g < known.size(); g++) {
                if (i < ofGroups.get(g).size()) {
                    var of = new Schedule.Of(known.get(g), ofGroups.get(g).get(i));
                    if (!fresh.contains(of)) {
                        fresh.add(of);
                    }
                }
            }
        }
        return fresh;
    }

    private static MyPracticeDto.PracticeNextDto dto(
            Schedule.Of of, Map<String, StoredSheet> newest, MyPracticeDto.Why why) {
        StoredSheet sheet = newest.get(of.group());
        return new MyPracticeDto.PracticeNextDto(
                of.group(),
                sheet.sheet().title(),
                sheet.id(),
                of.pair().one(),
                of.pair().other(),
                why.code());
    }

    private List<MyPracticeDto.PracticePairDto> pairs(
            Map<Item, Remembered> remembered, Map<String, StoredSheet> newest) {
        Map<Schedule.Of, List<Map.Entry<Item, Remembered>>> byPair = new LinkedHashMap<>();
        remembered
                .entrySet()
                .forEach(one -> byPair.computeIfAbsent(
                                new Schedule.Of(
                                        one.getKey().group(), one.getKey().pair()),
                                any -> new ArrayList<>())
                        .add(one));
        List<MyPracticeDto.PracticePairDto> pairs = new ArrayList<>();
        byPair.forEach((of, items) -> {
            double last = items.stream()
                    .mapToDouble(one -> one.getValue().day())
                    .max()
                    .orElseThrow();
            pairs.add(new MyPracticeDto.PracticePairDto(
                    of.group(),
                    newest.get(of.group()).sheet().title(),
                    newest.get(of.group()).id(),
                    of.pair().one(),
                    of.pair().other(),
                    Instant.ofEpochSecond(Math.round(last * 86_400)),
                    items.stream()
                            .map(one -> new MyPracticeDto.PracticeItemDto(
                                    one.getKey().character(),
                                    one.getValue().halfLife(),
                                    one.getValue().known(today()),
                                    one.getValue().isDue(today())))
                            .toList()));
        });
        pairs.sort(Comparator.comparing(MyPracticeDto.PracticePairDto::lastAt).reversed());
        return pairs;
    }

    private static List<MyPracticeDto.PracticeBinDto> own(List<KeptTry> all) {
        var bins = new Bins();
        for (KeptTry one : all) {
            if (one.belief() != null && !one.result().verdict().equals(PracticeScore.Verdict.OPEN.code())) {
                bins.add(one.belief(), one.result().verdict().equals(PracticeScore.Verdict.RIGHT.code()));
            }
        }
        return bins.told();
    }

    private static List<MyPracticeDto.PracticeBinDto> sheets(List<KeptTry> all) {
        var bins = new Bins();
        all.forEach(one -> bins.add(one.result().leadShare(), one.result().leadRight()));
        return bins.told();
    }

    private static List<MyPracticeDto.MistakenDto> mistaken(List<KeptTry> all, Map<String, StoredSheet> newest) {
        Map<MyPracticeDto.MistakenDto, Integer> times = new HashMap<>();
        for (KeptTry one : all) {
            StoredSheet sheet = newest.get(one.groupId());
            for (PracticeResult.ScoredReading scored : one.result().readings()) {
                boolean drawn = sheet != null
                        && sheet.sheet()
                                .character(scored.character())
                                .filter(character -> character.scale() instanceof StateScale)
                                .isPresent();
                if (drawn) {
                    StateScale scale = (StateScale) sheet.sheet()
                            .character(scored.character())
                            .orElseThrow()
                            .scale();
                    scored.mistaken().stream()
                            .filter(look -> scale.indexOf(look.shown()) >= 0 && scale.indexOf(look.read()) >= 0)
                            .forEach(look -> times.merge(
                                    new MyPracticeDto.MistakenDto(
                                            one.groupId(),
                                            sheet.id(),
                                            scored.character(),
                                            look.shown(),
                                            look.read(),
                                            0),
                                    1,
                                    Integer::sum));
                }
            }
        }
        return times.entrySet().stream()
                .sorted(Map.Entry.<MyPracticeDto.MistakenDto, Integer>comparingByValue()
                        .reversed()
                        .thenComparing(one -> one.getKey().toString()))
                .limit(MOST_MISTAKEN)
                .map(one -> new MyPracticeDto.MistakenDto(
                        one.getKey().groupId(),
                        one.getKey().versionId(),
                        one.getKey().character(),
                        one.getKey().shown(),
                        one.getKey().read(),
                        one.getValue()))
                .toList();
    }

    private List<MyPracticeDto.OverruledCallDto> overruled(UUID observerId) {
        return jdbc.sql("select distinct on (c.id) c.survey_id, c.id, p.code, t.tag, v.group_id, mine.taxon_id named,"
                        + " stands.taxon_id stands from review_case c"
                        + " join determination mine on mine.tree_id = c.tree_id and mine.observer_id = ?"
                        + " and mine.settles is null and mine.taxon_id is not null"
                        + " join determination stands on stands.settles = c.id and stands.taxon_id is not null"
                        + " join sheet_version v on v.id = stands.sheet_version_id"
                        + " join sheet_version w on w.id = mine.sheet_version_id and w.group_id = v.group_id"
                        + " join tree t on t.id = c.tree_id join plot p on p.id = t.plot_id"
                        + " where c.state = 'settled' and stands.taxon_id <> mine.taxon_id"
                        + " order by c.id, stands.entry_order desc, mine.entry_order desc")
                .param(observerId)
                .query((row, i) -> new MyPracticeDto.OverruledCallDto(
                        row.getObject("survey_id", UUID.class),
                        row.getObject("id", UUID.class),
                        row.getString("code"),
                        row.getInt("tag"),
                        row.getString("group_id"),
                        row.getString("named"),
                        row.getString("stands")))
                .list();
    }

    /** A reliability curve. */
    private static final class Bins {
        private final int[] tries = new int[BINS];
        private final int[] right = new int[BINS];
        private final double[] sum = new double[BINS];

        void add(double belief, boolean wasRight) {
            int bin = Math.min(BINS - 1, (int) (belief * BINS));
            tries[bin]++;
            right[bin] += wasRight ? 1 : 0;
            sum[bin] += belief;
        }

        List<MyPracticeDto.PracticeBinDto> told() {
            List<MyPracticeDto.PracticeBinDto> told = new ArrayList<>();
            for (int b = 0; b < BINS; b++) {
                told.add(new MyPracticeDto.PracticeBinDto(
                        (double) b / BINS,
                        (b + 1.0) / BINS,
                        tries[b],
                        right[b],
                        tries[b] == 0 ? null : sum[b] / tries[b]));
            }
            return told;
        }
    }
}
