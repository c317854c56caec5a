package org.goldthistle.core.learning;

import static org.goldthistle.core.balance.ModelConstants.FEWEST_VERIFIED;
import static org.goldthistle.core.balance.ModelConstants.FOLDS;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.goldthistle.core.Coded;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.learning.Proposal.Kind;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.GroupSheet;

/**
 * What the verified trees of a sheet would change in it: section 12. Weights, profiles and both together are each tried
 * on trees that they were not made from; what changes less is proposed unless what changes more does better by more than
 * one standard error.
 *
 * @param trees how many verified trees it is made from
 * @param trials of all that may be proposed, against the sheet as it is; empty: too few trees
 * @param choice what is proposed; empty: nothing
 * @param proposals what that changes, in the sheet's order
 * @param proposed the sheet with all of them; the same sheet without any
 */
public record Lesson(
        int trees, Map<Choice, Trial> trials, Optional<Choice> choice, List<Proposal> proposals, GroupSheet proposed) {

    /** Copies the map and the list. */
    public Lesson {
        trials = Map.copyOf(trials);
        proposals = List.copyOf(proposals);
    }

    /** What may be proposed. */
    public enum Choice implements Coded {
        /** Other weights. */
        WEIGHTS("weights"),
        /** Other frequencies and limits. */
        PROFILES("profiles"),
        /** Both together. */
        BOTH("both");

        private final String code;

        Choice(String code) {
            this.code = code;
        }

        @Override
        public String code() {
            return code;
        }
    }

    /**
     * Learns from trees.
     *
     * @param verified trees with readings that fit the sheet
     * @param decisive ids of characters that settled a case and so keep some weight
     */
    public static Lesson of(GroupSheet sheet, List<VerifiedTree> verified, Set<String> decisive) {
        return verified.size() < FEWEST_VERIFIED
                ? new Lesson(verified.size(), Map.of(), Optional.empty(), List.of(), sheet)
                : new Teacher(sheet, verified, decisive).lesson();
    }

    /** Whether anything is proposed, and why not. */
    public Ruling ruling() {
        if (trials.isEmpty()) {
            return Ruling.TOO_FEW;
        }
        return choice.isPresent() ? Ruling.ACCEPT : Ruling.NO_GAIN;
    }

    /** Goes through the trees, fold by fold. */
    private static final class Teacher {
        private final GroupSheet sheet;
        private final List<VerifiedTree> trees;
        private final Set<String> decisive;
        private final GroupModel model;
        private final int[] folds; // by tree
        private final double[] own; // weights of the sheet by character
        private final double[] lossesNow; // by tree

        Teacher(GroupSheet sheet, List<VerifiedTree> trees, Set<String> decisive) {
            this.sheet = sheet;
            this.trees = trees;
            this.decisive = decisive;
            folds = trees.stream().mapToInt(tree -> fold(tree.id())).toArray();
            model = GroupModel.of(sheet);
            own = WeightAscent.own(model);
            lossesNow = losses(sheet, trees);
        }

        /** By its id alone, so that a tree stays in its fold whatever other trees come. */
        private static int fold(String id) {
            int scattered = id.hashCode() * 0x9E3779B9;
            return Math.floorMod(scattered >>> 16, FOLDS);
        }

        Lesson lesson() {
            double[][] overOwn = new double[FOLDS][]; // weights by fold
            double[][] overLearnt = new double[FOLDS][];
            GroupSheet[] learnt = new GroupSheet[FOLDS];
            Map<Choice, double[]> losses = new EnumMap<>(Choice.class);
            losses.put(Choice.WEIGHTS, byFold((fold, held) -> {
                overOwn[fold] = new WeightAscent(model, others(fold), decisive).from(own);
                return new WeightAscent(model, held, decisive).losses(overOwn[fold]);
            }));
            losses.put(Choice.PROFILES, byFold((fold, held) -> {
                learnt[fold] = learnt(others(fold));
                return losses(learnt[fold], held);
            }));
            losses.put(Choice.BOTH, byFold((fold, held) -> {
                GroupModel over = GroupModel.of(learnt[fold]);
                overLearnt[fold] = new WeightAscent(over, others(fold), decisive).from(own);
                return new WeightAscent(over, held, decisive).losses(overLearnt[fold]);
            }));
            Map<Choice, Trial> trials = new EnumMap<>(Choice.class);
            losses.forEach((one, after) -> trials.put(one, Trial.of(lossesNow, after)));
            Optional<Choice> choice = choice(losses);

            List<Proposal> proposals = new ArrayList<>();
            GroupSheet proposed = sheet;
            if (choice.isPresent() && choice.get() != Choice.WEIGHTS) {
                proposals.addAll(profileProposals(learnt));
                proposed = learnt(trees);
            }
            if (choice.isPresent() && choice.get() != Choice.PROFILES) {
                boolean alone = choice.get() == Choice.WEIGHTS;
                double[] best = new WeightAscent(GroupModel.of(proposed), trees, decisive).from(own);
                proposals.addAll(weightProposals(best, alone ? overOwn : overLearnt));
                proposed = weighed(proposed, best);
            }
            return new Lesson(trees.size(), trials, choice, inOrder(proposals), proposed);
        }

        /** The first that stands its trial, unless a later one does better by more than one standard error. */
        private Optional<Choice> choice(Map<Choice, double[]> losses) {
            double[] best = lossesNow;
            Optional<Choice> choice = Optional.empty();
            for (Map.Entry<Choice, double[]> one : losses.entrySet()) {
                if (Trial.of(best, one.getValue()).ruling() == Ruling.ACCEPT) {
                    choice = Optional.of(one.getKey());
                    best = one.getValue();
                }
            }
            return choice;
        }

        private List<Proposal> inOrder(List<Proposal> proposals) {
            List<Proposal> ordered = new ArrayList<>();
            for (DiagnosticCharacter character : sheet.characters()) {
                for (Proposal proposal : proposals) {
                    if (proposal.now().id().equals(character.id())) {
                        ordered.add(proposal);
                    }
                }
            }
            return ordered;
        }

        private List<Proposal> weightProposals(double[] best, double[][] climbed) {
            WeightAscent[] heldBack = new WeightAscent[FOLDS];
            List<Proposal> proposals = new ArrayList<>();
            for (int c = 0; c < best.length; c++) {
                if (best[c] != own[c]) {
                    int index = c;
                    double[] alone = byFold((fold, held) -> {
                        if (heldBack[fold] == null) {
                            heldBack[fold] = new WeightAscent(model, held, decisive);
                        }
                        double[] one = own.clone();
                        one[index] = climbed[fold][index];
                        return heldBack[fold].losses(one);
                    });
                    DiagnosticCharacter now = sheet.characters().get(c);
                    proposals.add(new Proposal(
                            now,
                            now.withTrust(now.trust().withWeight(best[c])),
                            Kind.WEIGHT,
                            LearntProfiles.readOn(now.id(), trees),
                            Map.of(),
                            mean(alone) - mean(lossesNow)));
                }
            }
            return proposals;
        }

        private List<Proposal> profileProposals(GroupSheet[] learnt) {
            List<Proposal> proposals = new ArrayList<>();
            for (DiagnosticCharacter character : sheet.characters()) {
                LearntProfiles seen = LearntProfiles.of(sheet, character, trees);
                if (!seen.trees().isEmpty()) {
                    double[] alone = byFold((fold, held) -> losses(
                            replaced(character.withProfiles(learnt[fold]
                                    .character(character.id())
                                    .orElseThrow()
                                    .profiles())),
                            held));
                    proposals.add(new Proposal(
                            character,
                            seen.character(),
                            Kind.PROFILES,
                            LearntProfiles.readOn(character.id(), trees),
                            seen.trees(),
                            mean(alone) - mean(lossesNow)));
                }
            }
            return proposals;
        }

        private GroupSheet learnt(List<VerifiedTree> from) {
            return sheet.withCharacters(sheet.characters().stream()
                    .map(character -> LearntProfiles.of(sheet, character, from).character())
                    .toList());
        }

        private GroupSheet replaced(DiagnosticCharacter other) {
            return sheet.withCharacters(sheet.characters().stream()
                    .map(character -> character.id().equals(other.id()) ? other : character)
                    .toList());
        }

        private static GroupSheet weighed(GroupSheet base, double[] weights) {
            List<DiagnosticCharacter> characters = new ArrayList<>();
            for (int c = 0; c < weights.length; c++) {
                DiagnosticCharacter one = base.characters().get(c);
                characters.add(one.withTrust(one.trust().withWeight(weights[c])));
            }
            return base.withCharacters(characters);
        }

        private List<VerifiedTree> others(int fold) {
            List<VerifiedTree> others = new ArrayList<>();
            for (int t = 0; t < folds.length; t++) {
                if (folds[t] != fold) {
                    others.add(trees.get(t));
                }
            }
            return others;
        }

        private static double[] losses(GroupSheet sheet, List<VerifiedTree> held) {
            GroupModel model = GroupModel.of(sheet);
            return held.stream()
                    .mapToDouble(tree -> -tree.balance(model).logPosterior(tree.truth()))
                    .toArray();
        }

        private static double mean(double[] values) {
            return Arrays.stream(values).average().orElseThrow();
        }

        /** Losses of all trees, each fold's reckoned by itself. */
        private double[] byFold(LossesOfFold losses) {
            Map<Integer, List<Integer>> places = new HashMap<>();
            for (int t = 0; t < folds.length; t++) {
                places.computeIfAbsent(folds[t], any -> new ArrayList<>()).add(t);
            }
            double[] all = new double[folds.length];
            places.forEach((fold, members) -> {
                double[] ofFold =
                        losses.of(fold, members.stream().map(trees::get).toList());
                for (int i = 0; i < ofFold.length; i++) {
                    all[members.get(i)] = ofFold[i];
                }
            });
            return all;
        }

        private interface LossesOfFold {
            double[] of(int fold, List<VerifiedTree> held);
        }
    }
}
