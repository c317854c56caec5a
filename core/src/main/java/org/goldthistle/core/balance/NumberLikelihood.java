package org.goldthistle.core.balance;

import static org.goldthistle.core.balance.ModelConstants.LAPSE;
import static org.goldthistle.core.balance.ModelConstants.LEAST_SPREAD;
import static org.goldthistle.core.balance.ModelConstants.MOST_SURPRISE;
import static org.goldthistle.core.balance.ModelConstants.NONE_OF_THESE_NUMBERS;
import static org.goldthistle.core.balance.ModelConstants.PLANNED_BINS;
import static org.goldthistle.core.balance.ModelConstants.SPREAD_FLOOR;

import org.goldthistle.core.reading.Certainty;
import org.goldthistle.core.reading.Observed;
import org.goldthistle.core.reading.ValuesObserved;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.NumberScale;
import org.goldthistle.core.sheet.Range;
import org.goldthistle.core.sheet.RangeProfile;

/**
 * Likelihood of a character that is counted or measured: a two-piece normal a taxon, over which slips are spread
 * evenly. A measure has a density, a count the density's integral over the unit around it.
 */
public final class NumberLikelihood implements Likelihood {
    private static final int MOST_COUNTS_KEPT = 256;

    private final boolean count;
    private final Range[] ranges;
    private final TwoPieceNormal[] spreads;
    private final double floor;
    private final double evenly; // what a slip is worth, per unit or per count
    private final double[][][] countLogs; // ln p'' of the likeliest counts, by certainty and count less firstCount
    private final int firstCount;
    private final Outcomes outcomes;

    private NumberLikelihood(boolean count, Range[] ranges) {
        this.count = count;
        this.ranges = ranges;
        this.floor = floorOf(ranges);
        this.spreads = new TwoPieceNormal[ranges.length];
        double lowest = Double.POSITIVE_INFINITY;
        double highest = Double.NEGATIVE_INFINITY;
        for (int k = 0; k < ranges.length; k++) {
            spreads[k] = TwoPieceNormal.of(ranges[k]).raisedTo(floor);
            lowest = Math.min(lowest, ranges[k].rarelyLow());
            highest = Math.max(highest, ranges[k].rarelyHigh());
        }
        double span = Math.max(LEAST_SPREAD, highest - lowest);
        this.evenly = 1 / (count ? span + 1 : span);
        this.firstCount = (int) Math.max(0, Math.min(Integer.MAX_VALUE, Math.floor(lowest - span)));
        double kept = count ? Math.min(MOST_COUNTS_KEPT, Math.ceil(highest + span) + 1 - firstCount) : 0;
        this.countLogs = new double[Certainty.values().length][(int) Math.max(0, kept)][];
        this.outcomes = count
                ? Outcomes.ofNumbers(wholeNumbers(lowest, highest), this::probabilities, noneOfThese())
                : Outcomes.ofNumbers(midpoints(lowest, highest), this::probabilities, noneOfThese());
        for (Certainty certainty : Certainty.values()) {
            double[][] logs = countLogs[certainty.ordinal()];
            for (int i = 0; i < logs.length; i++) {
                logs[i] = Doubt.logs(probabilities(firstCount + i), noneOfThese(), certainty);
            }
        }
    }

    static NumberLikelihood of(GroupSheet sheet, DiagnosticCharacter character, NumberScale scale) {
        Range[] ranges = new Range[sheet.taxa().size()];
        for (int k = 0; k < ranges.length; k++) {
            ranges[k] =
                    ((RangeProfile) sheet.profile(character, sheet.taxa().get(k).id())).range();
        }
        return new NumberLikelihood(scale.isCount(), ranges);
    }

    /** The spread of a taxon, raised to the floor. */
    public TwoPieceNormal spread(int taxon) {
        return spreads[taxon];
    }

    /** The narrowest spread of any taxon on either side of its centre, raised to the floor. */
    public double narrowestSpread() {
        double narrowest = Double.POSITIVE_INFINITY;
        for (TwoPieceNormal spread : spreads) {
            narrowest = Math.min(narrowest, Math.min(spread.left(), spread.right()));
        }
        return narrowest;
    }

    private static double[] wholeNumbers(double lowest, double highest) {
        double first = Math.ceil(lowest);
        double[] numbers = new double[(int) (Math.floor(highest) - first) + 1];
        for (int i = 0; i < numbers.length; i++) {
            numbers[i] = first + i;
        }
        return numbers;
    }

    private static double[] midpoints(double lowest, double highest) {
        double[] midpoints = new double[PLANNED_BINS];
        double width = (highest - lowest) / PLANNED_BINS;
        for (int i = 0; i < midpoints.length; i++) {
            midpoints[i] = lowest + (i + 0.5) * width;
        }
        return midpoints;
    }

    /** 0.2 × the mean of all 2K spreads of the character, so that no taxon is taken to be ever so precise. */
    private static double floorOf(Range[] ranges) {
        double sum = 0;
        for (Range range : ranges) {
            TwoPieceNormal raw = TwoPieceNormal.of(range);
            sum += raw.left() + raw.right();
        }
        return Math.max(LEAST_SPREAD, SPREAD_FLOOR * sum / (2 * ranges.length));
    }

    /** p′ of a value by taxon; per unit for a measure, a probability for a count. */
    double[] probabilities(double value) {
        double[] probability = new double[spreads.length];
        for (int k = 0; k < probability.length; k++) {
            probability[k] = probability(spreads[k], value);
        }
        return probability;
    }

    private double probability(TwoPieceNormal spread, double value) {
        double own = count ? spread.mass(value - 0.5, value + 0.5) : spread.density(value);
        return (1 - LAPSE) * own + LAPSE * evenly;
    }

    private double noneOfThese() {
        return NONE_OF_THESE_NUMBERS * evenly;
    }

    @Override
    public Outcomes outcomes() {
        return outcomes;
    }

    /** s = min(8, ½((x−c)/σ)²), of which mean and variance are taken as ½ each. */
    @Override
    public Surprise surprise(Observed observed, int taxon) {
        var values = ((ValuesObserved) observed).values();
        double found = 0;
        for (double value : values) {
            double z = (value - spreads[taxon].centre()) / spreads[taxon].spreadAt(value);
            found += Math.min(MOST_SURPRISE, 0.5 * z * z) / values.size();
        }
        return new Surprise(found, 0.5, 0.5);
    }

    @Override
    public double[] meanLogOfCross(Observed observed, Certainty certainty, int first, int second, double[] shares) {
        var values = ((ValuesObserved) observed).values();
        double[] amongTaxa = new double[values.size()];
        for (int n = 0; n < amongTaxa.length; n++) {
            amongTaxa[n] = Doubt.meanOf(probabilities(values.get(n)));
        }
        double[] mean = new double[shares.length];
        for (int i = 0; i < shares.length; i++) {
            TwoPieceNormal cross = TwoPieceNormal.of(ranges[first].towards(ranges[second], shares[i]))
                    .raisedTo(floor);
            for (int n = 0; n < amongTaxa.length; n++) {
                mean[i] += Doubt.log(probability(cross, values.get(n)), amongTaxa[n], certainty) / amongTaxa.length;
            }
        }
        return mean;
    }

    @Override
    public double[] meanLog(Observed observed, Certainty certainty) {
        var values = ((ValuesObserved) observed).values();
        double[] mean = new double[spreads.length + 1];
        for (double value : values) {
            addLogs(mean, value, certainty);
        }
        for (int k = 0; k < mean.length; k++) {
            mean[k] /= values.size();
        }
        return mean;
    }

    private void addLogs(double[] sum, double value, Certainty certainty) {
        double[][] kept = countLogs[certainty.ordinal()];
        double place = value - firstCount;
        if (place >= 0 && place < kept.length) {
            double[] logs = kept[(int) place];
            for (int k = 0; k < sum.length; k++) {
                sum[k] += logs[k];
            }
        } else {
            Doubt.addLogs(sum, probabilities(value), noneOfThese(), certainty);
        }
    }
}
