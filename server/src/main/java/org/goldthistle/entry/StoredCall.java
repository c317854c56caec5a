package org.goldthistle.entry;

import java.util.Set;
import java.util.UUID;
import org.goldthistle.call.CallInHand;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.core.verdict.Assessment;
import org.goldthistle.core.verdict.CallRecord;

/** A call in the record, as it reads on one sheet or another. */
public final class StoredCall {
    private static final CallRecord NOTHING_BESIDES = new CallRecord(false, Set.of(), false, Set.of());

    private final Whose whose;
    private final CallInHand call;

    StoredCall(Whose whose, CallInHand call) {
        this.whose = whose;
        this.call = call;
    }

    /**
     * Where a call belongs.
     *
     * @param plot code of it
     * @param observer call sign of who made it
     * @param signed whether they signed the tree
     */
    public record Whose(UUID surveyId, UUID treeId, String plot, int tag, String observer, boolean signed) {}

    /**
     * What a call comes to on the balance that its tier decides on.
     *
     * @param taxon id of the lead
     * @param name of the lead
     * @param share of belief in the lead, in [0, 1]
     * @param signable whether the evidence carries it
     */
    public record Result(String taxon, String name, double share, boolean signable) {}

    /** Where it belongs. */
    public Whose whose() {
        return whose;
    }

    /** What it comes to on the version it was read with. */
    public Result asRead() {
        return standing(call);
    }

    /**
     * What it comes to on another sheet.
     *
     * @throws org.goldthistle.core.RefusedException if something that was read does not fit it
     */
    public Result on(StoredSheet sheet) {
        return standing(call.on(sheet));
    }

    private static Result standing(CallInHand call) {
        Assessment assessment = call.assessment(NOTHING_BESIDES);
        return new Result(
                assessment.lead().id(),
                assessment.lead().name().commonName(),
                assessment.deciding().posterior(assessment.deciding().lead()),
                assessment.isSignable());
    }
}
