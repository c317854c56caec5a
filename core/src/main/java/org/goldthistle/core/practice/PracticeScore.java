package org.goldthistle.core.practice;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.goldthistle.core.Coded;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.balance.Balance;
import org.goldthistle.core.balance.NumberLikelihood;
import org.goldthistle.core.balance.Weighing;
import org.goldthistle.core.plan.NextCheck;
import org.goldthistle.core.plan.NextChecks;
import org.goldthistle.core.plan.PlanTerms;
import org.goldthistle.core.reading.Certainty;
import org.goldthistle.core.reading.Context;
import org.goldthistle.core.reading.Evidence;
import org.goldthistle.core.reading.NotSeen;
import org.goldthistle.core.reading.Observation;
import org.goldthistle.core.reading.Observed;
import org.goldthistle.core.reading.Reading;
import org.goldthistle.core.reading.StatesObserved;
import org.goldthistle.core.reading.TreeOrigin;
import org.goldthistle.core.reading.ValuesObserved;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.Harm;
import org.goldthistle.core.sheet.Measure;
import org.goldthistle.core.sheet.NumberScale;
import org.goldthistle.core.sheet.School;
import org.goldthistle.core.verdict.Tier;

/**
 * How well a practice tree was read: section 14. What the tree would have told a perfect reader stands beside what it told
 * this one, so that bad luck is not blamed.
 */
public final class PracticeScore {
    private static final double COARSE = 0.05; // of a value, by which a measure may be off
    private static final double OF_SPREAD = 0.25; // of the character's narrowest spread, or by which

    private final PracticeTree tree;
    private final PracticeCall call;
    private final Evidence asRead;
    private final List<Observation> perfect = new ArrayList<>();
    private final Balance read; // of what was read, from features alone
    private List<String> best; // once it is asked for

    /**
     * @throws RefusedException if the call does not fit the tree's sheet
     */
    public PracticeScore(PracticeTree tree, PracticeCall call) {
        this.tree = tree;
        this.call = call;
        this.asRead = Evidence.of(tree.sheet(), context(), call.observations(), call.gate());
        call.named().ifPresent(named -> {
            if (tree.sheet().taxonIndex(named) < 0) {
                throw RefusedException.of("named", "\"" + named + "\"", "a taxon of the sheet");
            }
        });
        this.read = balance(asRead.readings());
        for (Reading reading : asRead.readings()) {
            perfect(reading.character(), looks(reading.observed())).ifPresent(perfect::add);
        }
    }

    /** The circumstances in which the tree is read: attached, from the sun, its origin not known. */
    public static Context contextOf(PracticeTree tree) {
        return new Context(
                tree.month(), tree.stage(), TreeOrigin.UNKNOWN, Set.of(), Optional.empty(), Optional.empty(), Map.of());
    }

    private Context context() {
        return contextOf(tree);
    }

    /** A look that was read as something else: a state's id, or a number. */
    public record Mistaken(String shown, String read) {}

    /**
     * A reading, held against what the tree shows.
     *
     * @param looks how many leaves, cones … were looked at
     * @param right how many of them were read as they are
     * @param mistaken the others, in their order; where the tree bears none at all what was shown is empty
     */
    public record Scored(String character, int looks, int right, List<Mistaken> mistaken) {
        /** Whether all was read as it is. */
        public boolean isRight() {
            return mistaken.isEmpty();
        }
    }

    /** What became of the call. */
    public enum Verdict implements Coded {
        /** It names what the tree is. */
        RIGHT("right"),
        /** It names something else. */
        WRONG("wrong"),
        /** It names nothing. */
        OPEN("open");

        private final String code;

        Verdict(String code) {
            this.code = code;
        }

        @Override
        public String code() {
            return code;
        }
    }

    /** Every reading, in the order in which they were made. */
    public List<Scored> readings() {
        List<Scored> scored = new ArrayList<>();
        for (Reading reading : asRead.readings()) {
            scored.add(scored(reading));
        }
        return scored;
    }

    private Scored scored(Reading reading) {
        Specimen shown = tree.specimen(reading.character());
        List<Mistaken> mistaken = new ArrayList<>();
        if (reading.observed() instanceof StatesObserved states) {
            List<String> real = again(shown.states(), states.states().size());
            for (int i = 0; i < states.states().size(); i++) {
                String read = states.states().get(i);
                String state = shown.isBorne() ? real.get(i) : "";
                if (!state.equals(read)) {
                    mistaken.add(new Mistaken(state, read));
                }
            }
        } else {
            List<Double> values = ((ValuesObserved) reading.observed()).values();
            List<Double> real = again(shown.values(), values.size());
            for (int i = 0; i < values.size(); i++) {
                String value = shown.isBorne() ? String.valueOf(real.get(i)) : "";
                if (!shown.isBorne()
                        || Math.abs(values.get(i) - real.get(i)) > mayBeOff(reading.character(), real.get(i))) {
                    mistaken.add(new Mistaken(value, String.valueOf(values.get(i))));
                }
            }
        }
        int looks = looks(reading.observed());
        return new Scored(reading.character(), looks, looks - mistaken.size(), mistaken);
    }

    /** By how much a number may be off: counts by nothing, measures by a twentieth or a quarter of the narrowest spread. */
    private double mayBeOff(String characterId, double value) {
        DiagnosticCharacter character = tree.sheet().character(characterId).orElseThrow();
        if (((NumberScale) character.scale()).measure() == Measure.COUNT) {
            return 0;
        }
        var likelihood = (NumberLikelihood) tree.model().likelihood(tree.model().characterIndex(characterId));
        return Math.max(COARSE * value, OF_SPREAD * likelihood.narrowestSpread());
    }

    private static int looks(Observed observed) {
        return observed instanceof StatesObserved states
                ? states.states().size()
                : ((ValuesObserved) observed).values().size();
    }

    /** What a perfect reader reads of a character in so many looks; empty: the tree bears none. */
    private Optional<Reading> perfect(String character, int looks) {
        Specimen shown = tree.specimen(character);
        if (!shown.isBorne()) {
            return Optional.empty();
        }
        Observed observed = shown.states().isEmpty()
                ? new ValuesObserved(again(shown.values(), looks))
                : new StatesObserved(again(shown.states(), looks));
        return Optional.of(new Reading(character, observed, Certainty.SURE, Optional.empty(), Optional.empty()));
    }

    private static <T> List<T> again(List<T> shown, int looks) {
        List<T> all = new ArrayList<>();
        for (int i = 0; i < looks && !shown.isEmpty(); i++) {
            all.add(shown.get(i % shown.size()));
        }
        return all;
    }

    /** Whether the gate's marks are those that the tree deserves, as far as it was looked at. */
    public boolean isGateRight() {
        return asRead.gate().entrySet().stream()
                .allMatch(mark -> mark.getValue()
                        != tree.gateBroken()
                                .filter(item -> item.id().equals(mark.getKey()))
                                .isPresent());
    }

    /** Whether it was signed rightly, wrongly or left open. */
    public Verdict verdict() {
        if (call.isOpen()) {
            return Verdict.OPEN;
        }
        boolean right = tree.truth()
                .map(taxon -> call.named().filter(taxon.id()::equals).isPresent())
                .orElse(call.noneOfThese());
        return right ? Verdict.RIGHT : Verdict.WRONG;
    }

    /** The share of belief that the readings give to what the tree is, in [0, 1]. */
    public double share() {
        return read.posterior(tree.taxon());
    }

    /** ln of that, in nats: 0 is best. */
    public double logScore() {
        return read.logPosterior(tree.taxon());
    }

    /** The share of the taxon that the readings speak for, in [0, 1]. */
    public double leadShare() {
        return read.posterior(read.lead());
    }

    /** Whether the taxon that the readings speak for is what the tree is. */
    public boolean isLeadRight() {
        return read.lead() == tree.taxon();
    }

    /** What a perfect reader would have had after the same checks. */
    public double perfectShare() {
        return balance(perfect).posterior(tree.taxon());
    }

    private Balance balance(List<? extends Observation> observations) {
        return balance(observations, Optional.empty());
    }

    private Balance balance(List<? extends Observation> observations, Optional<School> school) {
        Evidence evidence = Evidence.of(tree.sheet(), context(), observations);
        return Weighing.of(tree.model(), evidence, school).featuresAlone();
    }

    /** The schools whose weights would have led to another taxon from the same readings, where the sheet's own lead to the right one. */
    public List<School> ledAstray() {
        List<School> astray = new ArrayList<>();
        Optional<Integer> truth = tree.truth().map(taxon -> tree.taxon());
        if (truth.isEmpty() || !isLeadRight()) {
            return astray;
        }
        for (School school : School.values()) {
            if (balance(asRead.readings(), Optional.of(school)).lead() != truth.get()) {
                astray.add(school);
            }
        }
        return astray;
    }

    /** Minutes that the checks took, those among them that could not be seen; a wound costs as in life. */
    public double minutes() {
        return order().stream()
                .mapToDouble(
                        id -> PracticeTree.minutes(tree.sheet().character(id).orElseThrow()))
                .sum();
    }

    /**
     * How well the checks were chosen: what they could be expected to bring, each when it was chosen, over what the best
     * ones could in the same minutes, both for a perfect reader; in [0, 1], 1 where nothing could be chosen.
     */
    public double choice() {
        double most = course(bestChecks()).gain();
        return most <= 0 ? 1 : Math.min(1, course(order()).gain() / most);
    }

    /** The best checks for the minutes that were spent, each the most promising after what the ones before it show. */
    public List<String> bestChecks() {
        if (best == null) {
            best = List.copyOf(chooseBest());
        }
        return best;
    }

    private List<String> chooseBest() {
        double left = minutes();
        List<Observation> read = new ArrayList<>();
        List<String> chosen = new ArrayList<>();
        Set<String> passed = new LinkedHashSet<>();
        while (true) {
            Optional<NextCheck> next = Optional.empty();
            for (NextCheck check : NextChecks.suggested(offered(read))) {
                if (PracticeTree.minutes(check.character()) <= left
                        && !passed.contains(check.character().id())) {
                    next = Optional.of(check);
                    break;
                }
            }
            if (next.isEmpty()) {
                return chosen;
            }
            DiagnosticCharacter character = next.get().character();
            left -= PracticeTree.minutes(character);
            passed.add(character.id());
            chosen.add(character.id());
            read.add(shown(character));
        }
    }

    /** What a perfect reader would have had after the best checks for the same minutes. */
    public double bestShare() {
        return course(bestChecks()).share();
    }

    private List<String> order() {
        Set<String> looked = new LinkedHashSet<>();
        for (Observation one : call.observations()) {
            looked.add(one.character());
        }
        return List.copyOf(looked);
    }

    private record Course(double gain, double share) {}

    /** Goes through checks as a perfect reader. */
    private Course course(List<String> checks) {
        double gain = 0;
        List<Observation> read = new ArrayList<>();
        for (String id : checks) {
            Map<String, Double> gains = new LinkedHashMap<>();
            for (NextCheck check : offered(read)) {
                gains.put(check.character().id(), check.gain());
            }
            gain += gains.getOrDefault(id, 0.0);
            read.add(shown(tree.sheet().character(id).orElseThrow()));
        }
        return new Course(gain, balance(read).posterior(tree.taxon()));
    }

    private Observation shown(DiagnosticCharacter character) {
        return perfect(character.id(), character.replication().replicates())
                .<Observation>map(reading -> reading)
                .orElseGet(() -> new NotSeen(character.id()));
    }

    private List<NextCheck> offered(List<Observation> read) {
        Evidence evidence = Evidence.of(tree.sheet(), context(), read);
        Balance deciding = Weighing.of(tree.model(), evidence, Optional.empty()).featuresAlone();
        var terms =
                new PlanTerms(Tier.TALLY.threshold(), Optional.empty(), Harm.WOUND, false, evidence.unseen(), Set.of());
        return NextChecks.offered(deciding, context(), terms);
    }
}
