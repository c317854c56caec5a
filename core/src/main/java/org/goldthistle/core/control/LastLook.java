package org.goldthistle.core.control;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.goldthistle.core.Coded;
import org.goldthistle.core.balance.Balance;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.balance.ModelConstants;
import org.goldthistle.core.balance.WeighedReading;
import org.goldthistle.core.balance.Weighing;
import org.goldthistle.core.reading.Context;
import org.goldthistle.core.reading.Evidence;
import org.goldthistle.core.reading.GateMark;
import org.goldthistle.core.reading.NotSeen;
import org.goldthistle.core.reading.Observation;
import org.goldthistle.core.sheet.GateItem;

/**
 * What a look at the tree says before anything is cut: section 15. What is read now takes the place of what was read of the
 * same features before.
 *
 * @param verdict what to do
 * @param reasons why; empty where it is confirmed
 * @param share of belief in the taxon from features alone, in [0, 1], with what was read now
 * @param withSurroundings the same with the surroundings
 */
public record LastLook(Verdict verdict, List<Reason> reasons, double share, double withSurroundings) {

    /** Copies the list. */
    public LastLook {
        reasons = List.copyOf(reasons);
    }

    /** What to do with the tree. */
    public enum Verdict implements Coded {
        /** It is still what it was called. */
        CONFIRMED("confirmed"),
        /** Too little was looked at: it stays standing for now. */
        NOT_YET("not-yet"),
        /** Something speaks against it: it must not be cut. */
        DO_NOT_CUT("do-not-cut");

        private final String code;

        Verdict(String code) {
            this.code = code;
        }

        @Override
        public String code() {
            return code;
        }
    }

    /** Why a look does not confirm. */
    public enum Kind implements Coded {
        /** An item of the gate fails. */
        GATE("gate"),
        /** A reading speaks against the taxon by 5 points or more. */
        CONTRARY("contrary"),
        /** With what was read now the call could not be signed. */
        NOT_CARRIED("not-carried"),
        /** Fewer than two features were read. */
        TOO_LITTLE("too-little"),
        /** An item of the gate was not looked at. */
        GATE_OPEN("gate-open"),
        /** The tree is not on the list, or not any more. */
        NOT_ON_LIST("not-on-list");

        private final String code;

        Kind(String code) {
            this.code = code;
        }

        @Override
        public String code() {
            return code;
        }
    }

    /**
     * One reason.
     *
     * @param about the gate's item or the character; empty for the others
     */
    public record Reason(Kind kind, Optional<String> about) {}

    /** A tree that is not on the list, or no longer. */
    public static LastLook notOnList() {
        return new LastLook(Verdict.DO_NOT_CUT, List.of(new Reason(Kind.NOT_ON_LIST, Optional.empty())), 0, 0);
    }

    /**
     * @param model of the sheet that the plan was made on
     * @param context of the look
     * @param observations of what the plan asks, or that it could not be seen; nothing else counts
     * @param gate marks in the order in which they were made
     * @param threshold p* of control, in (0, 1)
     * @throws org.goldthistle.core.RefusedException if an observation or a mark does not fit the sheet
     */
    public static LastLook of(
            GroupModel model,
            LookPlan plan,
            Context context,
            List<? extends Observation> observations,
            List<GateMark> gate,
            double threshold) {
        Evidence evidence = Evidence.of(model.sheet(), context, observations, gate);
        Map<String, WeighedReading> read = new LinkedHashMap<>();
        Weighing.of(model, evidence, Optional.empty())
                .readings()
                .forEach(reading -> read.put(reading.character().id(), reading));
        List<Reason> against = new ArrayList<>();
        List<Reason> open = new ArrayList<>();
        for (GateItem item : model.sheet().gate()) {
            Boolean fits = evidence.gate().get(item.id());
            if (fits == null) {
                open.add(new Reason(Kind.GATE_OPEN, Optional.of(item.id())));
            } else if (!fits) {
                against.add(new Reason(Kind.GATE, Optional.of(item.id())));
            }
        }
        int steps = answered(plan, read, observations);
        double[] features = steps == 0 ? null : logs(plan.steps().get(steps - 1).features());
        double[] surroundings =
                steps == 0 ? null : logs(plan.steps().get(steps - 1).surroundings());
        int count = 0;
        for (int i = 0; i < steps; i++) {
            LookPlan.Step step = plan.steps().get(i);
            WeighedReading reading = read.get(step.character());
            if (reading != null) {
                count++;
                double points = add(reading, step.share(), plan, features, surroundings);
                if (points <= ModelConstants.WANTS_A_REASON) {
                    against.add(new Reason(Kind.CONTRARY, Optional.of(step.character())));
                }
            }
        }
        double share = steps == 0 ? 0 : Balance.toShares(features)[plan.taxon()];
        double withSurroundings = steps == 0 ? 0 : Balance.toShares(surroundings)[plan.taxon()];
        if (count < LookPlan.TO_READ) {
            open.add(new Reason(Kind.TOO_LITTLE, Optional.empty()));
        } else if (share < threshold || withSurroundings < threshold) {
            against.add(new Reason(Kind.NOT_CARRIED, Optional.empty()));
        }
        Verdict verdict =
                !against.isEmpty() ? Verdict.DO_NOT_CUT : open.isEmpty() ? Verdict.CONFIRMED : Verdict.NOT_YET;
        List<Reason> reasons = new ArrayList<>(against);
        reasons.addAll(open);
        return new LastLook(verdict, reasons, share, withSurroundings);
    }

    /** How many steps of the plan were looked at, one after the other. */
    private static int answered(
            LookPlan plan, Map<String, WeighedReading> read, List<? extends Observation> observations) {
        int steps = 0;
        for (LookPlan.Step step : plan.steps()) {
            boolean passed = false;
            for (Observation one : observations) {
                passed |= one instanceof NotSeen && one.character().equals(step.character());
            }
            if (!passed && !read.containsKey(step.character())) {
                return steps;
            }
            steps++;
        }
        return steps;
    }

    private static double[] logs(List<Double> held) {
        double[] logs = new double[held.size()];
        for (int k = 0; k < logs.length; k++) {
            logs[k] = held.get(k);
        }
        return logs;
    }

    /** Adds what a reading says, and tells for how many points it speaks for the taxon against the rival. */
    private static double add(
            WeighedReading reading, double share, LookPlan plan, double[] features, double[] surroundings) {
        double exponent = reading.weight() * reading.looks() * share;
        for (int k = 0; k < features.length; k++) {
            features[k] += exponent * reading.meanLog(k);
            surroundings[k] += exponent * reading.meanLog(k);
        }
        return ModelConstants.DECIBANS_PER_NAT
                * exponent
                * (reading.meanLog(plan.taxon()) - reading.meanLog(plan.rival()));
    }
}
