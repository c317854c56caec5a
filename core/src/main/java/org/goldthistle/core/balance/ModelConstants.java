package org.goldthistle.core.balance;

/** The constants of {@code docs/model.md}, each named once with the section it comes from; tiers have their own. */
public final class ModelConstants {
    private ModelConstants() {}

    /** S of section 2: how many trees the sheet's own abundance is worth against local records. */
    public static final double SHEET_TREES = 20;

    /** Section 2: no taxon of the sheet starts lower than this before normalising. */
    public static final double LEAST_PRIOR = 0.001;

    /** π_out of section 2 for wild trees: the prior of none-of-these. */
    public static final double NONE_OF_THESE_WILD = 0.02;

    /** π_out of section 2 where people may have planted. */
    public static final double NONE_OF_THESE_ELSEWHERE = 0.05;

    /** ε of section 3: the share of readings that are plain slips. */
    public static final double LAPSE = 0.02;

    /** Section 3: the share of an ordered state that is read as each of its neighbours. */
    public static final double BLUR_TO_EACH_SIDE = 0.05;

    /** Section 3: the share of an ordered state that is read as itself. */
    public static final double BLUR_KEPT = 1 - 2 * BLUR_TO_EACH_SIDE;

    /** Section 3: quantile of the standard normal below which 95 % lie; the usual pair spans 90 %. */
    public static final double USUAL_QUANTILE = 1.644854;

    /** Section 3: quantile of the standard normal below which 99.5 % lie; the rare pair spans 99 %. */
    public static final double RARE_QUANTILE = 2.575829;

    /** Section 3: how much the usual pair counts in a spread; the rare pair has the rest. */
    public static final double USUAL_SHARE = 0.75;

    /** Section 3: a spread is at least this part of the mean spread of all taxa. */
    public static final double SPREAD_FLOOR = 0.2;

    /** Section 3: no spread and no span is smaller than this. */
    public static final double LEAST_SPREAD = 1e-9;

    /** Section 3: the density of none-of-these over a span, as a part of the even one. */
    public static final double NONE_OF_THESE_NUMBERS = 0.5;

    /** Section 4: multiplier of a weak absence. */
    public static final double WEAK_ABSENCE = 0.25;

    /** Section 4: multiplier of a character read outside its months. */
    public static final double OUT_OF_SEASON = 0.25;

    /** Section 4: multiplier of a site character where the tree's habitat already speaks through the prior. */
    public static final double SITE_WITH_HABITAT = 0.5;

    /** Section 4: multiplier of a check that asks for what the observer said they do not have. */
    public static final double FACULTY_LACKING = 0.25;

    /** Section 4: how alike the readings of one cluster are taken to be. */
    public static final double CLUSTER_LIKENESS = 0.8;

    /** Section 5a: how alike the readings of one character by several observers are taken to be. */
    public static final double OBSERVER_LIKENESS = 0.6;

    /** Section 10: equal bins into which a measure's span is cut when a check is planned. */
    public static final int PLANNED_BINS = 48;

    /** Section 10: readings that a year played through may need to be drawn. */
    public static final double MOST_DRAWN_READINGS = 2e8;

    /** Section 5: decibans in a nat. */
    public static final double DECIBANS_PER_NAT = 10 / Math.log(10);

    /** Section 11: what a hybrid's usual pair is wider by, in distances of its parents' centres. */
    public static final double USUAL_WIDENING = 0.1;

    /** Section 11: the same of its rare pair. */
    public static final double RARE_WIDENING = 0.25;

    /** Section 6: what the lead must have from features alone at the tally. */
    public static final double TALLY_FROM_FEATURES = 0.60;

    /** Section 8: a chance to settle above which it is worth going on. */
    public static final double WORTH_GOING_ON = 0.05;

    /** Section 8: a chance to settle from which a month is worth coming back in. */
    public static final double WORTH_COMING_BACK = 0.5;

    /** Section 6: points at or below which a contrary reading wants a written reason. */
    public static final double WANTS_A_REASON = -5;

    /** Section 8: points at or below which a reading contests the call. */
    public static final double STRONG_CONTRARY = -10;

    /** Section 8: share of none-of-these above which the call is contested. */
    public static final double CONTESTED_BY_NONE_OF_THESE = 0.2;

    /** Section 8: z above which the readings are too strange for the lead. */
    public static final double SURPRISING = 2;

    /** Section 8: share of a hybrid from which it contests the call of another. */
    public static final double LIKELY_HYBRID = 0.3;

    /** Section 7: least weight of a giveaway. */
    public static final double GIVEAWAY_WEIGHT = 0.9;

    /** Section 7: points that a giveaway has against every other species. */
    public static final double GIVEAWAY_POINTS = 12;

    /** Section 7: points at or below which another reading contradicts a giveaway. */
    public static final double GIVEAWAY_CONTRARY = -7;

    /** Section 7: summed points from which an organ supports the lead, or opposes it. */
    public static final double ORGAN_POINTS = 3;

    /** Section 9: points at or below which a reading is contrary. */
    public static final double CONTRARY_POINTS = -1;

    /** Section 8: no single replicate of a measure surprises more than this, in nats. */
    public static final double MOST_SURPRISE = 8;

    /** Section 11: what is believed of each pure parent before a reading. */
    public static final double PURE_PARENT = 0.3;

    /** Section 11: share above which a tree is told as most likely the pure parent. */
    public static final double LIKELY_PURE = 0.5;

    /** Section 11: what the interval of an ancestry holds. */
    public static final double ANCESTRY_INTERVAL = 0.90;

    /** Section 12: verified trees below which nothing is proposed and a reliability is shown with "too few". */
    public static final int FEWEST_VERIFIED = 40;

    /** Section 12: pseudo-trees that a sheet's own profile is worth against verified trees. */
    public static final double PSEUDO_TREES = 20;

    /** Section 12: verified trees of a taxon below which its ranges stay as they are. */
    public static final int FEWEST_FOR_A_RANGE = 12;

    /** Section 12: a character that was decisive in a settled case keeps at least this weight. */
    public static final double LEAST_DECISIVE_WEIGHT = 0.05;

    /** Section 12: folds by which a proposal is tried on trees that it was not made from. */
    public static final int FOLDS = 5;

    /** Section 12: times that all weights are gone through. */
    public static final int MOST_ROUNDS = 20;

    /** Section 12: equal bins of a reliability curve. */
    public static final int RELIABILITY_BINS = 10;

    /** Section 10: what each hazard to the observer is worth, in minutes. */
    public static final double HAZARD_COST = 1;

    /** Section 10: a wound is shown only when no gentler check has this part of its gain. */
    public static final double GENTLE_ENOUGH = 0.25;

    /** Section 10: weight at or below which a check is not worth offering. */
    public static final double LEAST_PLANNED_WEIGHT = 0.05;

    /** Section 5a: expected points below which a character is not worth a second walk. */
    public static final double LEAST_EXPECTED_POINTS = 0.5;
}
