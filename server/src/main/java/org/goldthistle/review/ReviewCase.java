package org.goldthistle.review;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import org.goldthistle.call.CaseReason;
import org.goldthistle.core.Coded;
import org.goldthistle.signing.SignedCall;
import org.goldthistle.survey.SurveyedTree;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** The review of one tree, from the signature that asks for it to what stands. */
@Entity
class ReviewCase {
    @Id
    private UUID id;

    private UUID surveyId;
    private UUID plotId;
    private UUID treeId;
    private String groupId;

    @JdbcTypeCode(SqlTypes.ARRAY)
    private List<String> reasons;

    private String state;
    private int looks;

    @JdbcTypeCode(SqlTypes.ARRAY)
    private List<UUID> readers;

    @JdbcTypeCode(SqlTypes.ARRAY)
    private List<UUID> blindReaders;

    private UUID takenBy;
    private Instant takenAt;
    private boolean changedMeanwhile;
    private String outcome;
    private Instant openedAt;
    private Instant changedAt;

    @Version
    private int version;

    protected ReviewCase() {}

    /**
     * A case of a tree that some have signed; where a second reader did so blind, or says otherwise, or something else than a
     * signature speaks against it, they face each other at once.
     *
     * @param calls the last one of each observer, in the order of their first
     */
    ReviewCase(SurveyedTree tree, Set<CaseReason> reasons, List<SignedCall> calls, Instant now) {
        this.id = UUID.randomUUID();
        this.surveyId = tree.surveyId();
        this.plotId = tree.plotId();
        this.treeId = tree.id();
        this.groupId = tree.groupId();
        this.reasons = codes(reasons);
        this.readers =
                new ArrayList<>(calls.stream().map(SignedCall::observerId).toList());
        this.blindReaders = new ArrayList<>(calls.stream()
                .skip(1)
                .filter(SignedCall::blind)
                .map(SignedCall::observerId)
                .toList());
        boolean face = !blindReaders.isEmpty()
                || readers.size() > 1 && reasons.contains(CaseReason.CONTESTED)
                || reasons.stream().anyMatch(CaseReason::isDoubt);
        this.state = (face ? CaseState.TABLE : CaseState.WAITING).code();
        this.looks = 1;
        this.openedAt = now;
        this.changedAt = now;
    }

    private static List<String> codes(Set<CaseReason> reasons) {
        return new ArrayList<>(new TreeSet<>(reasons).stream().map(Coded::code).toList());
    }

    /** An observer begins the blind reading. */
    void take(UUID observerId, Instant now) {
        go(CaseState.READING, now);
        takenBy = observerId;
        takenAt = now;
    }

    /** The reading is left to somebody else. */
    void release(Instant now) {
        go(CaseState.WAITING, now);
    }

    /** Somebody signed the tree without having seen the others: it comes to the table unless another is at it. */
    void readBlind(UUID observerId, Instant now) {
        readers = added(readers, observerId);
        blindReaders = added(blindReaders, observerId);
        if (takenBy == null || takenBy.equals(observerId)) {
            go(CaseState.TABLE, now);
        }
        changedAt = now;
    }

    /** Somebody who could see the others signed the tree too. */
    void readOpenly(UUID observerId, Instant now) {
        readers = added(readers, observerId);
        changedAt = now;
    }

    /** An earlier reader signed anew. */
    void signedAnew(Set<CaseReason> now, Instant at) {
        if (state() == CaseState.READING) {
            changedMeanwhile = true;
        }
        if (!now.isEmpty()) {
            Set<CaseReason> all = EnumSet.copyOf(now);
            for (CaseReason before : CaseReason.values()) {
                if (before.isDoubt() && reasons.contains(before.code())) {
                    all.add(before); // which no signature takes away
                }
            }
            reasons = codes(all);
        }
        changedAt = at;
    }

    /** Something else than a signature speaks against what was signed. */
    void doubted(CaseReason reason, Instant now) {
        if (!reasons.contains(reason.code())) {
            reasons = new ArrayList<>(reasons);
            reasons.add(reason.code());
        }
        changedAt = now;
    }

    void thirdLook(Instant now) {
        looks++;
        go(CaseState.WAITING, now);
    }

    void laboratory(Instant now) {
        outcome = ReviewOutcome.LABORATORY.code();
        go(CaseState.LABORATORY, now);
    }

    void settle(ReviewOutcome how, Instant now) {
        outcome = how.code();
        go(CaseState.SETTLED, now);
    }

    private void go(CaseState to, Instant now) {
        state = to.code();
        takenBy = null;
        takenAt = null;
        changedAt = now;
    }

    private static List<UUID> added(List<UUID> to, UUID observerId) {
        List<UUID> all = new ArrayList<>(to);
        if (!all.contains(observerId)) {
            all.add(observerId);
        }
        return all;
    }

    UUID id() {
        return id;
    }

    UUID surveyId() {
        return surveyId;
    }

    UUID treeId() {
        return treeId;
    }

    String groupId() {
        return groupId;
    }

    List<String> reasons() {
        return List.copyOf(reasons);
    }

    CaseState state() {
        return Coded.find(CaseState.values(), state).orElseThrow();
    }

    /** How many blind readings were asked for so far. */
    int looks() {
        return looks;
    }

    /** Who has signed the tree, in that order. */
    List<UUID> readers() {
        return List.copyOf(readers);
    }

    /** Who of them signed without having seen the others. */
    List<UUID> blindReaders() {
        return List.copyOf(blindReaders);
    }

    /** Who reads it blind now; null: nobody. */
    UUID takenBy() {
        return takenBy;
    }

    boolean changedMeanwhile() {
        return changedMeanwhile;
    }

    /** How it was decided; null: it was not. */
    String outcome() {
        return outcome;
    }

    Instant openedAt() {
        return openedAt;
    }

    int version() {
        return version;
    }
}
