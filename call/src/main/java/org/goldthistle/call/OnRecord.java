package org.goldthistle.call;

import java.util.Set;
import org.goldthistle.core.verdict.CallRecord;
import org.goldthistle.core.verdict.Tier;

/**
 * What was signed for a tree, as far as an observer may know, and what that means for a call of theirs.
 *
 * @param signedTaxa scientific names of the taxa that stand signed, since ids are those of a sheet
 * @param agreedBlind those of them that this observer and another each signed without having been shown the other's call
 */
public record OnRecord(Set<String> signedTaxa, Set<String> agreedBlind) {

    /** Nothing signed yet. */
    public static final OnRecord NOTHING = new OnRecord(Set.of(), Set.of());

    /** Copies the sets. */
    public OnRecord {
        signedTaxa = Set.copyOf(signedTaxa);
        agreedBlind = Set.copyOf(agreedBlind);
    }

    /** What is on record beside the readings of a call that is in hand. */
    public CallRecord of(CallInHand call) {
        return new CallRecord(!call.photos().isEmpty(), Set.of(), isSeconded(call), signedTaxa);
    }

    /** The same with what its observer signs now. */
    public CallRecord of(CallInHand call, Signing signing) {
        return new CallRecord(
                signing.hasVoucher() || !call.photos().isEmpty(), signing.reasoned(), isSeconded(call), signedTaxa);
    }

    /** Whether this observer and another each signed what leads here without having been shown the other's call. */
    private boolean isSeconded(CallInHand call) {
        if (call.tier() != Tier.CONTROL
                || agreedBlind.isEmpty()
                || call.counting().isEmpty()) {
            return false;
        }
        int lead = call.weighing(call.school()).featuresAlone().lead();
        return agreedBlind.contains(call.sheet().sheet().taxa().get(lead).name().scientificName());
    }
}
