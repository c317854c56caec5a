package org.goldthistle.demo;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import org.goldthistle.call.NewReading;
import org.goldthistle.call.PracticeResult;
import org.goldthistle.call.PracticeTreeView;
import org.goldthistle.call.PracticeTry;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.core.practice.Pair;
import org.goldthistle.core.practice.Pairs;
import org.goldthistle.core.practice.PracticeTree;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.Harm;
import org.goldthistle.core.sheet.StateScale;
import org.goldthistle.library.LibraryService;
import org.goldthistle.practice.PracticeArchive;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** Some weeks of practice behind each of the demo's observers, who misread what people misread and learn a little. */
@Component
@ConditionalOnProperty("goldthistle.demo")
class DemoPractice {
    private static final long SEED = 20_261_129;
    private static final List<String> GROUPS = List.of("birches", "alders", "bird-cherries", "sallows", "hawthorns");
    private static final int OF_EACH = 2; // groups
    private static final int PAIRS = 2; // of each group
    private static final int DAYS = 26; // up to yesterday
    private static final int CHECKS = 5; // on each
    private static final double MISREAD = 0.28; // of looks, at first
    private static final double LEARNT = 0.94; // of that a day later
    private static final Duration A_TREE = Duration.ofMinutes(6);

    private final PracticeArchive archive;
    private final LibraryService library;
    private final Clock clock;

    DemoPractice(PracticeArchive archive, LibraryService library, Clock clock) {
        this.archive = archive;
        this.library = library;
        this.clock = clock;
    }

    void add(Map<String, UUID> crew) {
        int person = 0;
        for (Map.Entry<String, UUID> one : crew.entrySet()) {
            practise(one.getKey(), one.getValue(), new Random(SEED + person), person % GROUPS.size());
            person++;
        }
    }

    private void practise(String name, UUID observer, Random random, int first) {
        double misread = MISREAD * (0.7 + 0.6 * random.nextDouble());
        for (int day = 0; day < DAYS; day++) {
            StoredSheet sheet = library.newest(GROUPS.get((first + day % OF_EACH) % GROUPS.size()));
            List<Pair> pairs = Pairs.of(sheet.model());
            Pair pair = pairs.get(day / OF_EACH % Math.min(PAIRS, pairs.size()));
            Instant begun =
                    clock.instant().minus(Duration.ofDays(DAYS - day)).plus(Duration.ofMinutes(random.nextInt(300)));
            call(name + " " + day, observer, sheet, pair, begun, misread, random);
            misread *= LEARNT;
        }
    }

    private void call(
            String name, UUID observer, StoredSheet sheet, Pair pair, Instant begun, double misread, Random random) {
        int seed = random.nextInt(Integer.MAX_VALUE);
        PracticeTree tree = PracticeTree.draw(sheet.model(), seed, pair);
        PracticeTreeView view = PracticeTreeView.of(tree, seed);
        List<NewReading> readings = new ArrayList<>();
        List<DiagnosticCharacter> characters = new ArrayList<>(sheet.sheet().characters());
        Collections.shuffle(characters, random);
        for (DiagnosticCharacter character : characters) {
            boolean offered = readings.size() < CHECKS
                    && !character.isSite()
                    && character.effort().harm() != Harm.WOUND
                    && character.trust().months().contains(tree.month());
            if (offered && !view.shown().get(character.id()).states().isEmpty()) {
                readings.add(reading(character, view.shown().get(character.id()).states(), misread, random));
            }
        }
        var open = new PracticeTry(seed, pair.one(), pair.other(), readings, List.of(), "open", null);
        PracticeResult seen = open.result(sheet);
        boolean sure = seen.leadShare() > 0.6;
        String lead = seen.leadRight() && !seen.truth().isEmpty()
                ? seen.truth()
                : seen.truth().equals(pair.one()) ? pair.other() : pair.one();
        double belief = Math.max(0.5, Math.min(0.99, Math.round(10 * seen.leadShare()) / 10.0));
        archive.keep(
                DemoData.id("practice " + name),
                observer,
                sheet.id(),
                begun,
                begun.plus(A_TREE),
                sure ? new PracticeTry(seed, pair.one(), pair.other(), readings, List.of(), "taxon", lead) : open,
                sure ? belief : null);
    }

    private static NewReading reading(
            DiagnosticCharacter character, List<String> shown, double misread, Random random) {
        StateScale scale = (StateScale) character.scale();
        List<String> read = new ArrayList<>();
        for (String state : shown) {
            int other = Math.max(0, scale.indexOf(state) - 1 + 2 * random.nextInt(2));
            read.add(
                    random.nextDouble() < misread
                            ? scale.states()
                                    .get(Math.min(other, scale.states().size() - 1))
                                    .id()
                            : state);
        }
        return new NewReading(character.id(), read, null, false, null, "sure", null, null, null, null, null);
    }
}
