package org.goldthistle.core.balance;

/** The constants of {@code docs/model.md}, each named once with the section it comes from. */
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

    /** Section 5: decibans in a nat. */
    public static final double DECIBANS_PER_NAT = 10 / Math.log(10);
}
