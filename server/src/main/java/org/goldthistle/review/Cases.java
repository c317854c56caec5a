package org.goldthistle.review;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.goldthistle.call.CaseReason;
import org.goldthistle.call.ReviewRules;
import org.goldthistle.core.Coded;
import org.goldthistle.core.verdict.Tier;
import org.goldthistle.platform.Sha256;
import org.goldthistle.sight.Sights;
import org.goldthistle.signing.Signature;
import org.goldthistle.signing.Signatures;
import org.goldthistle.signing.SignedCall;
import org.goldthistle.signing.SignedCalls;
import org.goldthistle.survey.SurveyedTree;
import org.goldthistle.survey.TreeService;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Opens reviews and carries them on as calls are signed. */
@Component
class Cases implements Signatures {
    private final CaseRepository cases;
    private final ObjectProvider<SignedCalls> calls; // which hand signatures on to here
    private final TreeService trees;
    private final Sights sights;
    private final News news;
    private final Unproven unproven;
    private final JdbcClient jdbc;

    Cases(
            CaseRepository cases,
            ObjectProvider<SignedCalls> calls,
            TreeService trees,
            Sights sights,
            News news,
            Unproven unproven,
            JdbcClient jdbc) {
        this.unproven = unproven;
        this.cases = cases;
        this.calls = calls;
        this.trees = trees;
        this.sights = sights;
        this.news = news;
        this.jdbc = jdbc;
    }

    @Override
    public void signed(Signature signature) {
        SurveyedTree tree = signature.tree();
        List<SignedCall> all = calls.getObject().of(tree);
        SignedCall call = all.stream()
                .filter(one -> one.id().equals(signature.determinationId()))
                .findFirst()
                .orElseThrow();
        boolean byPractice =
                unproven.isUnproven(tree.surveyId(), call.sheet().sheet().id(), signature.observerId(), signature.at());
        Set<CaseReason> reasons = reasons(tree, call, all, byPractice);
        Optional<ReviewCase> open = cases.findOpen(tree.id());
        if (open.isPresent()) {
            carryOn(open.get(), signature, call, reasons);
        } else if (!reasons.isEmpty()) {
            open(new ReviewCase(tree, reasons, all, signature.at()));
        }
    }

    /** Brings a tree to the table for a reason that is no signature; one that is under review goes on with it. */
    void doubt(SurveyedTree tree, CaseReason reason, Instant at) {
        Optional<ReviewCase> open = cases.findOpen(tree.id());
        if (open.isPresent()) {
            open.get().doubted(reason, at);
            cases.flush();
            news.changed(open.get());
        } else {
            open(new ReviewCase(tree, Set.of(reason), calls.getObject().of(tree), at));
        }
    }

    private void open(ReviewCase fresh) {
        cases.saveAndFlush(fresh);
        show(fresh);
        news.changed(fresh);
    }

    private void carryOn(ReviewCase open, Signature signature, SignedCall call, Set<CaseReason> reasons) {
        if (open.readers().contains(signature.observerId())) {
            boolean withdrawn = reasons.isEmpty()
                    && call.taxon().isEmpty()
                    && open.readers().size() == 1
                    && open.state() == CaseState.WAITING;
            if (withdrawn) {
                open.settle(ReviewOutcome.WITHDRAWN, signature.at());
            } else {
                open.signedAnew(reasons, signature.at());
            }
        } else if (open.state().isBlind() && !sights.hasSeen(signature.observerId(), open.treeId())) {
            open.readBlind(signature.observerId(), signature.at());
        } else {
            open.readOpenly(signature.observerId(), signature.at());
        }
        cases.flush();
        show(open);
        news.changed(open);
    }

    /** Keeps what was read from those who are to read it blind, and from nobody else. */
    void show(ReviewCase of) {
        trees.showTo(of.treeId(), of.state().isBlind() ? Optional.of(of.readers()) : Optional.empty());
    }

    private Set<CaseReason> reasons(SurveyedTree tree, SignedCall call, List<SignedCall> all, boolean byPractice) {
        boolean differ = all.stream()
                        .map(SignedCall::taxonName)
                        .flatMap(Optional::stream)
                        .distinct()
                        .count()
                > 1;
        ReviewRules.Signed signed = new ReviewRules.Signed(
                call.outcome(),
                Coded.find(Tier.values(), call.tier()).orElseThrow(),
                call.contested() || differ,
                call.matters(),
                byPractice);
        return ReviewRules.reasons(signed, () -> isDrawn(tree));
    }

    /** Whether the lot falls on a tree: by a seed of the survey that nobody is shown, so that nobody can choose. */
    private boolean isDrawn(SurveyedTree tree) {
        return jdbc.sql("select draw_seed, plain_share from survey where id = ?")
                .param(tree.surveyId())
                .query((row, i) -> lot(row.getLong("draw_seed"), tree.id()) < row.getDouble("plain_share"))
                .single();
    }

    /** A number in [0, 1) that a seed and a tree always give, evenly spread. */
    static double lot(long seed, UUID treeId) {
        byte[] print = Sha256.bytes((seed + " " + treeId).getBytes(StandardCharsets.UTF_8));
        long bits = 0;
        for (int i = 0; i < 6; i++) {
            bits = bits << 8 | print[i] & 0xff;
        }
        return bits / (double) (1L << 48);
    }
}
