package org.goldthistle.core.sheet;

import java.util.List;
import org.goldthistle.core.Refusals;

/**
 * A published linear function over the means of numeric characters: a second opinion beside the balance, never
 * evidence.
 *
 * @param source where it was published
 * @param positive id of the taxon for which it is positive
 * @param negative id of the taxon for which it is negative
 * @param terms at least one
 * @param undecided it is silent while its absolute value is below this, at least 0
 * @param reading how to work it and what it cannot do
 */
public record DiscriminantIndex(
        String id,
        String name,
        String source,
        String positive,
        String negative,
        List<Term> terms,
        double constant,
        double undecided,
        String reading) {

    /** @throws org.goldthistle.core.RefusedException if a text is blank or a figure not finite */
    public DiscriminantIndex {
        terms = List.copyOf(terms);
        var refusals = new Refusals();
        refusals.requireText(id, "id");
        refusals.requireText(name, "name");
        refusals.requireText(source, "source");
        refusals.require(!positive.equals(negative), "taxa", "\"" + positive + "\" twice", "two different taxa");
        refusals.require(!terms.isEmpty(), "terms", "none", "at least one term");
        refusals.require(Double.isFinite(constant), "constant", constant, "a number");
        refusals.require(undecided >= 0 && Double.isFinite(undecided), "undecided", undecided, "a number of 0 or more");
        for (Term term : terms) {
            refusals.require(
                    Double.isFinite(term.coefficient()), "terms." + term.character(), term.coefficient(), "a number");
        }
        refusals.throwIfAny();
    }

    /** One character's share in the function: its mean value times the coefficient. */
    public record Term(String character, double coefficient) {}
}
