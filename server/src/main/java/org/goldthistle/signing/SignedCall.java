package org.goldthistle.signing;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.goldthistle.call.Outcome;
import org.goldthistle.call.SignedView;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.call.Thistle;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.balance.Weighing;
import org.goldthistle.core.reading.Context;
import org.goldthistle.core.reading.Evidence;

/**
 * A signed call as a review looks at it.
 *
 * @param determination as it is shown
 * @param thistle the call at a glance
 * @param sheet it was signed on
 * @param weighing of its readings
 * @param taxon place of the signed taxon in the sheet; empty: no taxon was signed
 * @param tier code of the tier that held
 * @param contested whether there was a reason to contest it when it was signed
 * @param matters whether the lead is a hybrid, scarce, protected or invasive
 * @param blind whether it was signed without having been shown what others made of the tree
 * @param photos those on which nothing was measured
 * @param school code of whose weights counted; empty: the sheet's own
 * @param evidence what it was weighed from
 * @param specimen the same readings in the format of specimens, under the observer's call sign
 */
public record SignedCall(
        UUID id,
        UUID observerId,
        Outcome outcome,
        SignedView determination,
        Thistle thistle,
        StoredSheet sheet,
        Weighing weighing,
        Optional<Integer> taxon,
        String tier,
        boolean contested,
        boolean matters,
        boolean blind,
        List<UUID> photos,
        Optional<String> school,
        Evidence evidence,
        Map<String, Object> specimen) {

    /** The model that it was weighed with. */
    public GroupModel model() {
        return sheet.model();
    }

    /** The circumstances in which it was read. */
    public Context context() {
        return determination.circumstances().toContext(Map.of(), Set.of());
    }

    /** The scientific name of the signed taxon; empty: no taxon was signed. */
    public Optional<String> taxonName() {
        return taxon.map(k -> model().sheet().taxa().get(k).name().scientificName());
    }
}
