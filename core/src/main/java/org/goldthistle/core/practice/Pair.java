package org.goldthistle.core.practice;

/** Two taxa of a sheet that are taken for each other, by their ids; which of both stands first makes no difference. */
public record Pair(String one, String other) {
    /** Puts them in the order of the alphabet. */
    public Pair {
        if (one.compareTo(other) > 0) {
            String first = other;
            other = one;
            one = first;
        }
    }

    /** Whether a taxon is one of them. */
    public boolean has(String taxon) {
        return one.equals(taxon) || other.equals(taxon);
    }
}
