package org.goldthistle.signing;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.goldthistle.account.AccountService;
import org.goldthistle.audit.AuditTrail;
import org.goldthistle.audit.Place;
import org.goldthistle.call.CallInHand;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.verdict.Assessment;
import org.goldthistle.core.verdict.CallRecord;
import org.goldthistle.entry.CallEntries;
import org.goldthistle.entry.TreeOfObserver;
import org.goldthistle.platform.Turn;
import org.goldthistle.sight.Sights;
import org.goldthistle.survey.SurveyedTree;
import org.goldthistle.survey.TreeService;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Signs calls. Every signature may be sent twice. */
@Service
public class SigningService {
    /** What the trail says of a signature. */
    public static final String SIGNED = "signed the call";

    private final CallEntries entries;
    private final TreeSignatures onTree;
    private final DeterminationRepository determinations;
    private final CallStates states;
    private final Signatures signatures;
    private final TreeService trees;
    private final AccountService accounts;
    private final Sights sights;
    private final AuditTrail audit;
    private final Clock clock;

    SigningService(
            CallEntries entries,
            TreeSignatures onTree,
            DeterminationRepository determinations,
            CallStates states,
            Signatures signatures,
            TreeService trees,
            AccountService accounts,
            Sights sights,
            AuditTrail audit,
            Clock clock) {
        this.entries = entries;
        this.onTree = onTree;
        this.determinations = determinations;
        this.states = states;
        this.signatures = signatures;
        this.trees = trees;
        this.accounts = accounts;
        this.sights = sights;
        this.audit = audit;
        this.clock = clock;
    }

    /**
     * Signs the observer's call. Sent again with the same id, it changes nothing.
     *
     * @param heldBack how long it waited on the observer's device
     * @throws org.goldthistle.platform.Problem if the id belongs to another signature
     * @throws org.goldthistle.call.CallRefusedException if it cannot be signed so, or the readings are not those seen
     */
    @Transactional
    public void sign(TreeOfObserver of, UUID determinationId, NewDetermination signed, Duration heldBack) {
        Instant now = clock.instant();
        Instant signedAt = entries.timeOf(heldBack, now);
        CallEntries.Written opened = entries.open(
                of,
                signedAt,
                Turn.alone(Turn.Thing.TREE, of.treeId()), // what was signed before is seen, and there is one review
                Turn.alone(Turn.Thing.ENTRY, determinationId));
        Optional<Determination> known = determinations.findById(determinationId);
        if (known.isPresent()) {
            CallEntries.requireSame(known.get().isSameAs(of, signed), "determination");
            return;
        }
        SurveyedTree tree = opened.tree();
        CallInHand call = opened.call().inHand();
        Assessment assessment = call.checked(signed.signing(), onTree.onRecord(tree, of.observerId()));
        var made = new Made(determinationId, of.observerId(), accounts.wasResetLately(of.observerId()), signedAt, now);
        store(tree, call, assessment, signed, made);
        states.keepAll(trees.tree(of.surveyId(), of.treeId(), of.observerId())); // others' may be contested by it now
    }

    /** Puts a signature on record that was made at another time; the states of the tree's calls are kept with it. */
    @Transactional
    public void signEarlier(
            SurveyedTree tree, UUID observerId, CallInHand call, Instant when, NewDetermination signed) {
        Set<String> standing = onTree.onRecord(tree, observerId).signedTaxa();
        Assessment assessment =
                call.assessment(new CallRecord(true, signed.writtenReasons().keySet(), false, standing));
        store(tree, call, assessment, signed, new Made(UUID.randomUUID(), observerId, false, when, when));
    }

    /** What a signature has beside its words. */
    private record Made(UUID id, UUID observerId, boolean soonAfterReset, Instant at, Instant recordedAt) {}

    private void store(SurveyedTree tree, CallInHand call, Assessment assessment, NewDetermination signed, Made made) {
        determinations.saveAndFlush(new Determination(
                made.id(),
                tree.id(),
                made.observerId(),
                signed,
                Snapshot.of(call, assessment),
                !sights.hasSeen(made.observerId(), tree.id()),
                made.soonAfterReset(),
                made.at(),
                made.recordedAt()));
        GroupSheet sheet = call.sheet().sheet();
        String name = signed.taxonId() == null
                ? sheet.fallback().commonName()
                : sheet.taxon(signed.taxonId()).orElseThrow().name().commonName();
        trees.stands(tree.id(), signed.outcome(), name, signed.month());
        audit.note(
                made.at(),
                Optional.of(made.observerId()),
                SIGNED,
                new Place(tree.surveyId(), tree.plotId(), tree.id()),
                null,
                new Signed(signed.outcome(), name, signed.month()));
        signatures.signed(new Signature(tree, made.observerId(), made.id(), made.at()));
    }

    /** What the trail keeps of a signature. */
    record Signed(String outcome, String name, @Nullable Integer month) {}
}
