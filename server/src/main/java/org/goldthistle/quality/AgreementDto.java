package org.goldthistle.quality;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.lang.Nullable;

/**
 * How far the observers of a survey agree, over the trees that two or more of them signed; those that the caller is
 * still to read blind are left out.
 *
 * @param trees that were read by two or more
 * @param groups with such trees, the most of them first
 * @param control how the trees fared that were approved for control; null: none was
 */
record AgreementDto(
        int trees, List<OfGroup> groups, @Nullable ControlFared control) {

    /**
     * How trees fared that were approved for control.
     *
     * @param looks trees at which a last look was made
     * @param heldBack of them, those that are not to be cut by the last word about them
     * @param done trees of which it was recorded what was done
     * @param wrong of them, the wrong ones, which should not have been touched
     */
    record ControlFared(int looks, int heldBack, int done, List<WrongTree> wrong) {}

    /** A tree that was cut or treated and was the wrong one. */
    record WrongTree(UUID treeId, UUID plotId, String plotCode, int tag, LocalDate doneOn) {}

    /**
     * The agreement on one group. Figures are null where they are 0/0.
     *
     * @param answers names that were signed, in the order of the sheet; the last may be the group alone
     * @param confusion how often who signed first answered the row and who signed second the column
     * @param tooFew whether so few trees tell little
     * @param percent of trees on which these two agree, in [0, 100]
     * @param alpha Krippendorff's, over all readers
     * @param confused the pairs of answers that were given for one tree, the most frequent first
     * @param observers pairs of observers, those with most trees in common first
     * @param characters that two or more read on one tree, the least agreed on first
     * @param errors of each observer where three or more read the group, by Dawid and Skene; otherwise empty
     */
    record OfGroup(
            String groupId,
            String title,
            int trees,
            boolean tooFew,
            List<String> answers,
            List<List<Long>> confusion,
            @Nullable Double percent,
            @Nullable KappaDto kappa,
            @Nullable Double alpha,
            List<ConfusedPair> confused,
            List<ObserverPair> observers,
            List<CharacterAgreement> characters,
            List<ObserverErrors> errors) {}

    /** Cohen's kappa with its 95 % interval; null where so few trees let its width come out as nothing. */
    record KappaDto(
            double value, @Nullable Double low, @Nullable Double high) {}

    /** Two answers that were given for one tree. */
    record ConfusedPair(String first, String second, long trees) {}

    /** Two observers on the trees that both read. */
    record ObserverPair(
            String first,
            String second,
            long trees,
            @Nullable Double percent,
            @Nullable KappaDto kappa) {}

    /** A character on the trees on which several read it; each pair of readers counts once. */
    record CharacterAgreement(
            String name,
            long pairs,
            @Nullable Double percent,
            @Nullable Double alpha) {}

    /**
     * How often an observer errs, as far as the others can tell.
     *
     * @param right share of their answers that are most likely true, in [0, 1]
     */
    record ObserverErrors(String observer, long trees, double right) {}
}
