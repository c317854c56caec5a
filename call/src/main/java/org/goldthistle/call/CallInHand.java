package org.goldthistle.call;

import jakarta.annotation.Nullable;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.goldthistle.core.Coded;
import org.goldthistle.core.balance.Weighing;
import org.goldthistle.core.plan.SeasonOutlook;
import org.goldthistle.core.reading.Evidence;
import org.goldthistle.core.reading.GateMark;
import org.goldthistle.core.reading.Observation;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.Faculty;
import org.goldthistle.core.sheet.School;
import org.goldthistle.core.verdict.Assessment;
import org.goldthistle.core.verdict.CallRecord;
import org.goldthistle.core.verdict.Costs;
import org.goldthistle.core.verdict.Terms;
import org.goldthistle.core.verdict.Tier;

/**
 * A call as it stands: the sheet, the circumstances and every entry in order. Unsaved for a tree that the observer
 * has not touched yet.
 *
 * @param visit in hand, with the circumstances
 * @param lacking what the observer said they do not have
 * @param rules of the survey
 * @param cautionRead whether the observer has read what wounding this tree means
 */
public record CallInHand(
        StoredSheet sheet,
        Visit visit,
        Tier tier,
        Set<Faculty> lacking,
        SurveyRules rules,
        boolean cautionRead,
        List<Entry> entries,
        List<Marking> markings,
        List<KeptPhoto> photos) {

    private static final long OUTLOOK_SEED = 1;

    /** As a call begins: the tree as it stands, on its first visit, with nothing read. */
    public static CallInHand untouched(
            StoredSheet sheet, Circumstances circumstances, SurveyRules rules, Set<Faculty> lacking) {
        return new CallInHand(
                sheet,
                Visit.first(circumstances),
                Coded.find(Tier.values(), rules.defaultTier()).orElseThrow(),
                lacking,
                rules,
                false,
                List.of(),
                List.of(),
                List.of());
    }

    /** The circumstances, in the month of the visit in hand. */
    public Circumstances circumstances() {
        return visit.circumstances();
    }

    /** What an entry says, with its month where it was made on an earlier visit. */
    public NewReading reading(Entry entry) {
        return entry.reading().madeIn(visit.monthOf(entry.visit()));
    }

    /** Whether an entry says no more than that something could not be seen on an earlier visit. */
    public boolean isToBeLookedForAgain(Entry entry) {
        return entry.reading().notSeen() && visit.monthOf(entry.visit()) != null;
    }

    /** The entries that count: the last read of each character unless it was withdrawn, in the order of reading. */
    public List<Entry> counting() {
        List<Entry> byTime = new ArrayList<>(entries);
        byTime.sort(Comparator.comparing(Entry::readAt)); // stable: at one time the later entry counts
        Map<String, Entry> last = new LinkedHashMap<>();
        for (Entry entry : byTime) {
            String character = entry.reading().character();
            last.remove(character);
            last.put(character, entry);
        }
        return last.values().stream()
                .filter(entry -> !entry.reading().takesBack())
                .toList();
    }

    /** The gate items that are marked, whether the tree fits, in the order in which they were last marked. */
    public List<GateMark> gate() {
        Map<String, Marking> last = new LinkedHashMap<>();
        for (Marking entry : markings) {
            last.remove(entry.item());
            last.put(entry.item(), entry);
        }
        return last.values().stream()
                .filter(entry -> entry.mark() != Mark.TAKEN_BACK)
                .map(entry -> new GateMark(entry.item(), entry.mark() == Mark.FITS))
                .toList();
    }

    public Evidence evidence() {
        return evidenceOf(
                sheet,
                circumstances(),
                records(),
                lacking,
                counting().stream().map(this::reading).toList(),
                gate());
    }

    /** What the evidence amounts to, beside what is on record. */
    public Assessment assessment(CallRecord onRecord) {
        return Assessment.of(
                sheet.model(), evidence(), new Terms(tier, school(), rules.mostHarm(), costs(rules)), onRecord);
    }

    /**
     * What the evidence amounts to beside a signature that is about to be stored.
     *
     * @throws CallRefusedException if it cannot be stored
     */
    public Assessment checked(Signing signing, OnRecord onRecord) {
        Assessment assessment = assessment(onRecord.of(this, signing));
        SigningRules.check(this, assessment, signing);
        return assessment;
    }

    /** Whether the survey lets a character be read on this tree: not where that wounds and wounding is not allowed. */
    public boolean mayBeRead(DiagnosticCharacter character) {
        return character.effort().harm().isWithin(rules.mostHarm());
    }

    /** In which months it could be settled, by what is read so far; the same readings always give the same. */
    public List<SeasonOutlook.Month> outlook(CallRecord onRecord) {
        return assessment(onRecord).outlook(OUTLOOK_SEED).months();
    }

    /** The school whose weights the survey uses; empty: the sheet's own. */
    public Optional<School> school() {
        return schoolOf(rules.school());
    }

    public static Optional<School> schoolOf(@Nullable String code) {
        return code == null
                ? Optional.empty()
                : Optional.of(Coded.find(School.values(), code).orElseThrow());
    }

    public static Optional<Costs> costs(SurveyRules rules) {
        return rules.wrongYes() == null || rules.wrongNo() == null
                ? Optional.empty()
                : Optional.of(new Costs(rules.wrongYes(), rules.wrongNo()));
    }

    /** The district's verified trees of this group, as far as the sheet knows their taxa. */
    public Map<String, Integer> records() {
        Map<String, Integer> known = new LinkedHashMap<>();
        rules.recordsOf(sheet.sheet().id()).forEach((taxon, trees) -> {
            if (sheet.sheet().taxonIndex(taxon) >= 0) {
                known.put(taxon, trees);
            }
        });
        return known;
    }

    /** The same call as it would be on a visit in another month. */
    public CallInHand inMonth(int month) {
        return new CallInHand(sheet, visit.in(month), tier, lacking, rules, cautionRead, entries, markings, photos);
    }

    /** The same call as it would be on another sheet of its group; marks of gate items that are no more are left out. */
    public CallInHand on(StoredSheet other) {
        return new CallInHand(
                other,
                visit,
                tier,
                lacking,
                rules,
                cautionRead,
                entries,
                markings.stream()
                        .filter(mark -> other.sheet().gate().stream()
                                .anyMatch(item -> item.id().equals(mark.item())))
                        .toList(),
                photos);
    }

    /** The same call with one more entry. */
    CallInHand with(Entry entry) {
        return new CallInHand(sheet, visit, tier, lacking, rules, cautionRead, and(entries, entry), markings, photos);
    }

    /** The same call with one more mark of the gate. */
    CallInHand with(Marking marking) {
        return new CallInHand(sheet, visit, tier, lacking, rules, cautionRead, entries, and(markings, marking), photos);
    }

    /** The same call with one more photo. */
    CallInHand with(KeptPhoto photo) {
        return new CallInHand(sheet, visit, tier, lacking, rules, cautionRead, entries, markings, and(photos, photo));
    }

    /** The same call of a tree that stands otherwise. */
    CallInHand with(Circumstances other) {
        return new CallInHand(sheet, visit.under(other), tier, lacking, rules, cautionRead, entries, markings, photos);
    }

    /** The same call for something else. */
    CallInHand with(Tier other) {
        return new CallInHand(sheet, visit, other, lacking, rules, cautionRead, entries, markings, photos);
    }

    /** The same call whose observer has read the caution about wounding. */
    CallInHand withCautionRead() {
        return new CallInHand(sheet, visit, tier, lacking, rules, true, entries, markings, photos);
    }

    private static <T> List<T> and(List<T> all, T more) {
        List<T> longer = new ArrayList<>(all);
        longer.add(more);
        return List.copyOf(longer);
    }

    /** The balances under one school's weights. */
    public Weighing weighing(Optional<School> school) {
        return Weighing.of(sheet.model(), evidence(), school);
    }

    public static Figures figuresOf(StoredSheet sheet, Evidence evidence, Optional<School> school) {
        return Figures.of(Weighing.of(sheet.model(), evidence, school));
    }

    /** @throws org.goldthistle.core.RefusedException if a reading or a mark does not fit the sheet */
    public static Evidence evidenceOf(
            StoredSheet sheet,
            Circumstances circumstances,
            Map<String, Integer> records,
            Set<Faculty> lacking,
            List<NewReading> readings,
            List<GateMark> gate) {
        List<Observation> observations =
                readings.stream().map(NewReading::toObservation).toList();
        return Evidence.of(sheet.sheet(), circumstances.toContext(records, lacking), observations, gate);
    }
}
