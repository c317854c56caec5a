package org.goldthistle.core.laboratory;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.goldthistle.core.Refusals;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Taxon;

/** What a laboratory found of a sample. */
public sealed interface Finding permits Finding.Ploidy, Finding.MarkerShare, Finding.Sequenced {
    /** The largest share of the second parent at which a tree is still taken for the first: section 11's pure end. */
    double PURE = 0.1;

    /**
     * The places in a sheet that it fits, none-of-these after the last.
     *
     * @return empty: it fits nothing that could be meant
     */
    Set<Integer> fits(GroupSheet sheet);

    /**
     * How many sets of chromosomes there are, by flow cytometry.
     *
     * @param sets 2-12
     * @param variation coefficient of variation of the peak, in [0, 1]
     * @param known by scientific name, which numbers of sets a taxon has; a taxon that is not named may have any
     */
    record Ploidy(int sets, double variation, Map<String, Set<Integer>> known) implements Finding {
        private static final int MOST = 12;

        /** @throws org.goldthistle.core.RefusedException if a number is out of range */
        public Ploidy {
            var refusals = new Refusals();
            refusals.require(sets >= 2 && sets <= MOST, "sets", sets, "2 to 12 sets of chromosomes");
            refusals.require(variation >= 0 && variation <= 1, "variation", variation, "a share from 0 to 1");
            refusals.throwIfAny();
            known = Map.copyOf(known);
        }

        /** Trees of other taxa may have it as well, so none-of-these always fits. */
        @Override
        public Set<Integer> fits(GroupSheet sheet) {
            Set<Integer> fitting = new HashSet<>();
            for (int k = 0; k < sheet.taxa().size(); k++) {
                Set<Integer> has = known.get(sheet.taxa().get(k).name().scientificName());
                if (has == null || has.contains(sets)) {
                    fitting.add(k);
                }
            }
            fitting.add(sheet.taxa().size());
            return fitting;
        }
    }

    /**
     * The share of the second of two parents, by markers.
     *
     * @param first scientific name of the first parent
     * @param second of the other
     * @param share in [0, 1]
     * @param low of the 95 % interval, at most the share
     * @param high of it, at least the share
     */
    record MarkerShare(String first, String second, double share, double low, double high) implements Finding {
        /** @throws org.goldthistle.core.RefusedException if the parents are one, or the numbers not in order within [0, 1] */
        public MarkerShare {
            var refusals = new Refusals();
            refusals.requireText(first, "first");
            refusals.require(!second.equalsIgnoreCase(first), "second", second, "another parent than the first");
            refusals.require(
                    low >= 0 && low <= share && share <= high && high <= 1,
                    "share",
                    share + " within " + low + " to " + high,
                    "a share within its interval, all from 0 to 1");
            refusals.throwIfAny();
        }

        /** Each class of descent that the interval touches: the pure parents up to 0.1 from their end, hybrids between. */
        @Override
        public Set<Integer> fits(GroupSheet sheet) {
            Set<Integer> fitting = new HashSet<>();
            place(sheet, first).filter(k -> low <= PURE).ifPresent(fitting::add);
            place(sheet, second).filter(k -> high >= 1 - PURE).ifPresent(fitting::add);
            if (high > PURE && low < 1 - PURE) {
                for (int k = 0; k < sheet.taxa().size(); k++) {
                    if (isCross(sheet, sheet.taxa().get(k))) {
                        fitting.add(k);
                    }
                }
            }
            return fitting;
        }

        private boolean isCross(GroupSheet sheet, Taxon taxon) {
            Set<Optional<Integer>> meant = new HashSet<>(List.of(place(sheet, first), place(sheet, second)));
            return taxon.parents()
                    .map(two -> Set.of(
                            Optional.of(sheet.taxonIndex(two.first())), Optional.of(sheet.taxonIndex(two.second()))))
                    .filter(meant::equals)
                    .isPresent();
        }
    }

    /**
     * A taxon by a sequence.
     *
     * @param scientificName as the laboratory has it
     * @param support in [0, 1]
     */
    record Sequenced(String scientificName, double support) implements Finding {
        /** @throws org.goldthistle.core.RefusedException if the support is none */
        public Sequenced {
            var refusals = new Refusals();
            refusals.requireText(scientificName, "scientificName");
            refusals.require(support >= 0 && support <= 1, "support", support, "a share from 0 to 1");
            refusals.throwIfAny();
        }

        /** A name that the sheet does not have is one of none of these. */
        @Override
        public Set<Integer> fits(GroupSheet sheet) {
            return Set.of(place(sheet, scientificName).orElse(sheet.taxa().size()));
        }
    }

    private static Optional<Integer> place(GroupSheet sheet, String scientificName) {
        for (int k = 0; k < sheet.taxa().size(); k++) {
            if (sheet.taxa().get(k).name().scientificName().equalsIgnoreCase(scientificName)) {
                return Optional.of(k);
            }
        }
        return Optional.empty();
    }
}
