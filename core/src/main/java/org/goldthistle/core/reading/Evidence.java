package org.goldthistle.core.reading;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.goldthistle.core.Refusals;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.GateItem;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.NumberScale;
import org.goldthistle.core.sheet.Scale;
import org.goldthistle.core.sheet.StateScale;

/**
 * Everything known of one tree from one observer, checked against a sheet. A character entered again replaces
 * its earlier entry, seen or not.
 */
public final class Evidence {
    private final Context context;
    private final List<Reading> readings;
    private final Unseen unseen;
    private final Map<String, Boolean> gate;

    private Evidence(Context context, List<Reading> readings, Unseen unseen, Map<String, Boolean> gate) {
        this.context = context;
        this.readings = List.copyOf(readings);
        this.unseen = unseen;
        this.gate = Map.copyOf(gate);
    }

    /** Evidence without gate marks. */
    public static Evidence of(GroupSheet sheet, Context context, List<? extends Observation> observations) {
        return of(sheet, context, observations, List.of());
    }

    /**
     * @param observations in the order in which they were entered
     * @param gate marks in the order in which they were made
     * @throws org.goldthistle.core.RefusedException with every entry that does not fit the sheet
     */
    public static Evidence of(
            GroupSheet sheet, Context context, List<? extends Observation> observations, List<GateMark> gate) {
        var refusals = new Refusals();
        for (String taxon : context.records().keySet()) {
            refusals.require(sheet.taxonIndex(taxon) >= 0, "records", "\"" + taxon + "\"", "ids of the sheet's taxa");
        }
        Map<String, Observation> latest = new LinkedHashMap<>();
        for (int i = 0; i < observations.size(); i++) {
            Observation observation = observations.get(i);
            requireFit(refusals, sheet, "observations[" + i + "]", observation);
            latest.remove(observation.character()); // so that a second look stands where it was made
            latest.put(observation.character(), observation);
        }
        Map<String, Boolean> marks = new LinkedHashMap<>();
        for (GateMark mark : gate) {
            refusals.require(isGateItem(sheet, mark.item()), "gate", mark.item(), "ids of the sheet's gate items");
            marks.put(mark.item(), mark.fits());
        }
        refusals.throwIfAny();
        List<Reading> readings = new ArrayList<>(latest.size());
        List<NotSeen> notSeen = new ArrayList<>();
        for (Observation observation : latest.values()) {
            if (observation instanceof Reading reading) {
                readings.add(reading);
            } else if (observation instanceof NotSeen passed) {
                notSeen.add(passed);
            }
        }
        return new Evidence(context, readings, Unseen.of(sheet, notSeen, context), marks);
    }

    /**
     * The same as it counts on another version of its sheet; items of the gate and verified trees of taxa that are no more
     * are left out.
     *
     * @throws org.goldthistle.core.RefusedException if a reading is not known there
     */
    public Evidence on(GroupSheet other) {
        Map<String, Integer> records = new LinkedHashMap<>(context.records());
        records.keySet().removeIf(taxon -> other.taxonIndex(taxon) < 0);
        Context there = new Context(
                context.month(),
                context.stage(),
                context.origin(),
                context.habitat(),
                context.material(),
                context.position(),
                records,
                context.lacking());
        List<GateMark> marks = new ArrayList<>();
        gate.forEach((item, fits) -> {
            if (isGateItem(other, item)) {
                marks.add(new GateMark(item, fits));
            }
        });
        return of(other, there, readings, marks);
    }

    /** The circumstances. */
    public Context context() {
        return context;
    }

    /** The readings that count, one a character, in the order of their last entry. */
    public List<Reading> readings() {
        return readings;
    }

    /** What was looked for in vain. */
    public Unseen unseen() {
        return unseen;
    }

    /** By gate item that was looked at, whether the tree fits it. */
    public Map<String, Boolean> gate() {
        return gate;
    }

    private static boolean isGateItem(GroupSheet sheet, String id) {
        return sheet.gate().stream().map(GateItem::id).anyMatch(id::equals);
    }

    private static void requireFit(Refusals refusals, GroupSheet sheet, String key, Observation observation) {
        DiagnosticCharacter character = sheet.character(observation.character()).orElse(null);
        refusals.require(
                character != null, key + ".character", observation.character(), "ids of the sheet's characters");
        if (character != null && observation instanceof Reading reading) {
            requireFit(refusals, key, character.scale(), reading.observed());
        }
    }

    private static void requireFit(Refusals refusals, String key, Scale scale, Observed observed) {
        if (scale instanceof StateScale states && observed instanceof StatesObserved seen) {
            for (String state : seen.states()) {
                refusals.require(states.indexOf(state) >= 0, key + ".states", state, "one of " + idsOf(states));
            }
        } else if (scale instanceof NumberScale number && observed instanceof ValuesObserved seen) {
            for (double value : seen.values()) {
                refusals.require(
                        !number.isCount() || value == Math.rint(value),
                        key + ".values",
                        value,
                        "a whole number, since this is counted");
            }
        } else {
            boolean wantsStates = scale instanceof StateScale;
            refusals.require(
                    false, key, wantsStates ? "numbers" : "states", wantsStates ? "states" : "numbers in \"values\"");
        }
    }

    private static String idsOf(StateScale scale) {
        var ids = new StringBuilder();
        scale.states()
                .forEach(state -> ids.append(ids.length() == 0 ? "" : ", ").append(state.id()));
        return ids.toString();
    }
}
