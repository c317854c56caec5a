package org.goldthistle.call;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.sheet.Faculty;
import org.goldthistle.core.verdict.Tier;
import org.goldthistle.formats.BuiltInLibrary;
import org.goldthistle.formats.GroupSheetJson;

/** A birch of the built-in library's sheet as somebody reads it; a test says what is read. */
final class Birch {
    static final StoredSheet SHEET = new StoredSheet(
            new UUID(0, 1), 1, "print", GroupModel.of(GroupSheetJson.read(BuiltInLibrary.sheetText("birches"))));
    private static final Instant MORNING = Instant.parse("2026-09-14T07:00:00Z");

    private final List<Entry> entries = new ArrayList<>();
    private final List<Marking> markings = new ArrayList<>();
    private Circumstances circumstances = new Circumstances(9, "mature", "wild", List.of());
    private Visit visit = Visit.first(circumstances);
    private Tier tier = Tier.TALLY;
    private Set<Faculty> lacking = Set.of();
    private boolean wounding;
    private boolean laboratory;
    private boolean control;
    private boolean cautionRead;

    static Birch inSeptember() {
        return new Birch();
    }

    Birch in(int month) {
        visit = visit.in(month);
        return this;
    }

    Birch at(String stage) {
        circumstances = new Circumstances(9, stage, "wild", List.of());
        visit = Visit.first(circumstances);
        return this;
    }

    Birch forA(Tier asked) {
        tier = asked;
        return this;
    }

    Birch lacking(Faculty... faculties) {
        lacking = Set.of(faculties);
        return this;
    }

    Birch woundsAllowed() {
        wounding = true;
        return this;
    }

    Birch laboratoryUsed() {
        laboratory = true;
        return this;
    }

    Birch controlUsed() {
        control = true;
        return this;
    }

    Birch read(NewReading reading, int minute) {
        Instant at = MORNING.plusSeconds(60L * minute);
        entries.add(new Entry(
                new UUID(1, entries.size()), visit.earlierMonths().size(), reading, at, MORNING.plusSeconds(36_000)));
        return this;
    }

    Birch read(NewReading reading) {
        return read(reading, entries.size());
    }

    Birch mark(String item, Mark mark) {
        markings.add(new Marking(item, mark, MORNING));
        return this;
    }

    Birch gateFits() {
        SHEET.sheet().gate().forEach(item -> mark(item.id(), Mark.FITS));
        return this;
    }

    SurveyRules rules() {
        return new SurveyRules(false, null, tier.code(), null, null, wounding, false, control, laboratory, Map.of());
    }

    CallInHand call() {
        return new CallInHand(
                SHEET,
                visit,
                tier,
                lacking,
                rules(),
                cautionRead,
                List.copyOf(entries),
                List.copyOf(markings),
                List.of());
    }

    static NewReading states(String character, String... seen) {
        return new NewReading(character, List.of(seen), null, false, null, "sure", null, null, null, null, null);
    }

    static NewReading values(String character, Double... measured) {
        return new NewReading(character, null, List.of(measured), false, null, "sure", null, null, null, null, null);
    }

    /** Values with the parts that they were taken from, one leaf after the other. */
    static NewReading taken(String character, List<Double> values, List<Taken> taken) {
        return new NewReading(character, null, values, false, null, "sure", null, null, null, null, taken);
    }

    static NewReading notSeen(String character) {
        return new NewReading(character, null, null, true, null, null, null, null, null, null, null);
    }

    static NewReading takenBack(String character) {
        return new NewReading(character, null, null, false, null, null, null, null, true, null, null);
    }

    /** A silver birch that nobody would doubt. */
    Birch plainlySilver() {
        return read(states("twig-warts", "dense", "dense", "dense"))
                .read(states("twig-hairs", "absent", "absent", "absent"))
                .read(states("leaf-teeth", "double", "double", "double"))
                .read(states("bark-base", "bosses"))
                .read(states("leaf-outline", "triangular", "triangular", "triangular"))
                .read(states("catkin-scale-lobes", "swept-back", "swept-back", "swept-back"));
    }
}
