package org.goldthistle.call;

import java.time.Instant;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.goldthistle.audit.AuditTrail;
import org.goldthistle.audit.Place;
import org.goldthistle.core.Coded;
import org.goldthistle.core.balance.WeighedReading;
import org.goldthistle.core.sheet.GateItem;
import org.goldthistle.core.verdict.Assessment;
import org.goldthistle.core.verdict.CallRecord;
import org.goldthistle.core.verdict.Need;
import org.goldthistle.core.verdict.Reason;
import org.goldthistle.core.verdict.Tier;
import org.goldthistle.core.verdict.Verdict;
import org.goldthistle.library.LibraryService;
import org.goldthistle.library.StoredSheet;
import org.goldthistle.survey.SurveyedTree;
import org.goldthistle.survey.TreeService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Puts calls on record that were made at another time, signed as the evidence allowed. */
@Service
public class CallArchive {
    private static final int MONTHS = 12;

    private final Desk desk;
    private final CallRepository calls;
    private final ReadingRepository readings;
    private final GateRepository marks;
    private final DeterminationRepository determinations;
    private final CallStates states;
    private final Signatures signatures;
    private final TreeService trees;
    private final LibraryService library;
    private final AuditTrail audit;

    CallArchive(
            Desk desk,
            CallRepository calls,
            ReadingRepository readings,
            GateRepository marks,
            DeterminationRepository determinations,
            CallStates states,
            Signatures signatures,
            TreeService trees,
            LibraryService library,
            AuditTrail audit) {
        this.desk = desk;
        this.calls = calls;
        this.readings = readings;
        this.marks = marks;
        this.determinations = determinations;
        this.states = states;
        this.signatures = signatures;
        this.trees = trees;
        this.library = library;
        this.audit = audit;
    }

    /**
     * Puts a call on record, the whole gate looked at and fitting. Where it is signed, it is for the lead if the evidence carries that, else to come back in
     * the month in which most can be read, or for the group only where nobody comes back.
     */
    @Transactional
    public void keep(ArchivedCall archived) {
        SurveyedTree tree = trees.tree(archived.surveyId(), archived.treeId(), archived.observerId());
        StoredSheet sheet = library.newest(Desk.groupOf(tree));
        int month = archived.begun().atZone(ZoneOffset.UTC).getMonthValue();
        Call call = calls.save(new Call(
                tree.id(),
                archived.observerId(),
                sheet,
                new Circumstances(month, tree.stage(), tree.origin(), tree.habitat()),
                Coded.find(Tier.values(), archived.tier()).orElseThrow(),
                archived.begun()));
        Instant at = archived.begun();
        for (ArchivedCall.Reading one : archived.readings()) {
            at = at.plusSeconds(60);
            readings.save(new ReadingEntry(UUID.randomUUID(), call.id(), 0, reading(one), at, at));
        }
        for (GateItem item : sheet.sheet().gate()) {
            marks.save(new GateEntry(UUID.randomUUID(), call.id(), item.id(), GateEntry.Mark.FITS, archived.begun()));
        }
        desk.flush();
        archived.signed().ifPresent(when -> sign(tree, archived, sheet, when));
        states.keepAll(trees.tree(archived.surveyId(), archived.treeId(), archived.observerId()));
    }

    private static NewReading reading(ArchivedCall.Reading one) {
        boolean seen = one.states() != null || one.values() != null;
        return new NewReading(
                one.character(),
                one.states(),
                one.values(),
                !seen,
                null,
                seen ? one.certainty() : null,
                one.material(),
                one.position(),
                null,
                null);
    }

    private void sign(SurveyedTree tree, ArchivedCall archived, StoredSheet sheet, Instant when) {
        CallInHand call =
                desk.begunCall(tree, archived.observerId()).orElseThrow().inHand();
        List<Determination> shown = desk.shownTo(tree, archived.observerId());
        Set<String> standing = desk.standingTaxa(shown);
        Map<String, String> reasons = new HashMap<>();
        Assessment first = call.assessment(new CallRecord(true, Set.of(), false, standing));
        for (WeighedReading contrary : first.confirmation().contrary()) {
            reasons.put(contrary.character().id(), "Looked at again; the rest of the tree says otherwise.");
        }
        Assessment assessment = call.assessment(new CallRecord(true, reasons.keySet(), false, standing));
        boolean carried = assessment.verdict() == Verdict.SIGNABLE
                && assessment.stillNeeded().stream().map(Need::code).findAny().isEmpty()
                && assessment.reasons().stream().noneMatch(reason -> reason.kind() == Reason.Kind.GATE);
        boolean comesBack = !carried && archived.mayComeBack();
        Outcome outcome = carried ? Outcome.TAXON : comesBack ? Outcome.COME_BACK : Outcome.GROUP;
        NewDetermination signed = new NewDetermination(
                outcome.code(),
                carried ? assessment.lead().id() : null,
                comesBack ? fullestMonth(sheet, call.circumstances().month()) : null,
                archived.note(),
                assessment.confirmation().confirming().stream()
                        .map(one -> one.character().id())
                        .toList(),
                carried ? reasons : Map.of(),
                carried ? "twig in the press, tag " + tree.tag() : "",
                call.counting().stream().map(ReadingEntry::getId).toList());
        UUID id = UUID.randomUUID();
        determinations.saveAndFlush(new Determination(
                id,
                tree.id(),
                archived.observerId(),
                signed,
                Snapshot.of(call, assessment),
                desk.isBlind(archived.observerId(), tree.id()),
                false,
                when));
        String name = carried
                ? assessment.lead().name().commonName()
                : sheet.sheet().fallback().commonName();
        trees.stands(tree.id(), outcome.code(), name, signed.month());
        audit.note(
                when,
                Optional.of(archived.observerId()),
                CallService.SIGNED,
                new Place(tree.surveyId(), tree.plotId(), tree.id()),
                null,
                new CallService.Signed(outcome.code(), name, signed.month()));
        signatures.signed(new Signature(tree, archived.observerId(), id, when));
    }

    /** The month ahead in which most of a sheet's characters can be read, the soonest of several. */
    private static int fullestMonth(StoredSheet sheet, int now) {
        int best = now;
        long most = -1;
        for (int ahead = 1; ahead < MONTHS; ahead++) {
            int month = (now - 1 + ahead) % MONTHS + 1;
            long readable = sheet.sheet().characters().stream()
                    .filter(character -> character.trust().months().contains(month))
                    .count();
            if (readable > most) {
                most = readable;
                best = month;
            }
        }
        return best;
    }
}
