package org.goldthistle.core.practice;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.drawn.Borne;
import org.goldthistle.core.drawn.TreeStream;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.GateItem;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.LifeStage;
import org.goldthistle.core.sheet.Organ;
import org.goldthistle.core.sheet.Taxon;

/**
 * A tree to practise on: section 14. Whoever has the sheet and the seed has the same tree, in whichever order its
 * characters are looked at.
 */
public final class PracticeTree {
    private static final int ONE_IN = 8; // that is none of these
    private static final int WITHIN_GATE = 2; // one of so many of those gets through the gate
    private static final double OF_THE_PAIR = 0.9; // of the others
    private static final double[] STAGES = {0.7, 0.9}; // up to which it is mature, a pole, else a sapling
    private static final int FEWEST_APART = 2; // characters that tell the pair apart in a month that is used
    private static final int STRANGE = 0x5EED;

    private final GroupModel model;
    private final long seed;
    private final Pair pair;
    private final int taxon;
    private final Optional<GateItem> gateBroken;
    private final LifeStage stage;
    private final int month;
    private final Borne borne;

    private PracticeTree(GroupModel model, long seed, Pair pair) {
        this.model = model;
        this.seed = seed;
        this.pair = pair;
        var stream = new TreeStream(seed, 0, 0);
        boolean strange = stream.next() < 1.0 / ONE_IN;
        boolean ofPair = stream.next() < OF_THE_PAIR;
        double which = stream.next();
        double gated = stream.next();
        double item = stream.next();
        this.taxon = strange ? model.taxonCount() : ofPair ? ofPair(which) : any(which);
        List<GateItem> gate = sheet().gate();
        this.gateBroken = strange && !gate.isEmpty() && gated * WITHIN_GATE < 1
                ? Optional.of(gate.get((int) (item * gate.size())))
                : Optional.empty();
        double grown = stream.next();
        this.stage = grown < STAGES[0] ? LifeStage.MATURE : grown < STAGES[1] ? LifeStage.POLE : LifeStage.SAPLING;
        List<Integer> months = months();
        this.month = months.get((int) (stream.next() * months.size()));
        this.borne = new Borne(stream);
    }

    /**
     * Draws one.
     *
     * @param model of the sheet
     * @param seed of the tree
     * @param pair that it is to practise
     * @throws RefusedException if the pair is not of the sheet, or nothing tells it apart
     */
    public static PracticeTree draw(GroupModel model, long seed, Pair pair) {
        requireApart(model, pair);
        return new PracticeTree(model, seed, pair);
    }

    /**
     * Requires that some check tells two taxa apart.
     *
     * @throws RefusedException if the pair is not of the sheet, or none does
     */
    public static void requireApart(GroupModel model, Pair pair) {
        for (String one : List.of(pair.one(), pair.other())) {
            if (model.sheet().taxonIndex(one) < 0) {
                throw RefusedException.of("pair", "\"" + one + "\"", "two of the sheet's taxa");
            }
        }
        if (!Pairs.areToldApart(model, pair)) {
            throw RefusedException.of(
                    "pair",
                    "a pair that cannot be practised: nothing tells them apart",
                    "two taxa that differ in something that is read from a tree");
        }
    }

    private int ofPair(double which) {
        return sheet().taxonIndex(which < 0.5 ? pair.one() : pair.other());
    }

    private int any(double which) {
        return (int) (which * model.taxonCount());
    }

    /** The months in which the most tells the pair apart at this stage, all in which enough does. */
    private List<Integer> months() {
        List<Integer> enough = new ArrayList<>();
        int best = 1;
        int most = -1;
        for (int m = 1; m <= 12; m++) {
            int telling = 0;
            for (DiagnosticCharacter character : sheet().characters()) {
                if (character.trust().months().contains(m)
                        && character.trust().factor(stage) > 0
                        && character.borne(stage) > 0
                        && Pairs.tells(model, character, pair)) {
                    telling++;
                }
            }
            if (telling >= FEWEST_APART) {
                enough.add(m);
            }
            if (telling > most) {
                most = telling;
                best = m;
            }
        }
        return enough.isEmpty() ? List.of(best) : enough;
    }

    /** The sheet that it is of. */
    public GroupSheet sheet() {
        return model.sheet();
    }

    /** The model of it. */
    public GroupModel model() {
        return model;
    }

    /** What it was drawn to practise. */
    public Pair pair() {
        return pair;
    }

    /** The place of its taxon in the sheet; the place after the last: none of these. */
    public int taxon() {
        return taxon;
    }

    /** Its taxon; empty: none of these. */
    public Optional<Taxon> truth() {
        return taxon < model.taxonCount() ? Optional.of(sheet().taxa().get(taxon)) : Optional.empty();
    }

    /** The item of the gate that it does not fit; empty: it fits all of it. */
    public Optional<GateItem> gateBroken() {
        return gateBroken;
    }

    /** How far it is grown. */
    public LifeStage stage() {
        return stage;
    }

    /** The month of the visit, 1-12. */
    public int month() {
        return month;
    }

    /** The minutes that a check takes from the day: its work, and what one would rather work than wound a tree. */
    public static double minutes(DiagnosticCharacter character) {
        return character.effort().minutes() + character.effort().harm().minutesWorth();
    }

    /**
     * What it shows of a character.
     *
     * @throws RefusedException if the sheet has no such character
     */
    public Specimen specimen(String characterId) {
        DiagnosticCharacter character = sheet().character(characterId)
                .orElseThrow(() -> RefusedException.of(
                        "character", "\"" + characterId + "\"", "the id of a character of the sheet"));
        if (!borne.has(character, stage)) {
            return Specimen.NOT_BORNE;
        }
        int c = model.characterIndex(characterId);
        return Specimen.draw(model, character, showing(character.organ()), new TreeStream(seed, 1, c));
    }

    /** The taxon whose profile an organ shows: its own, or of a tree of none of these any, the same for all of the organ. */
    private int showing(Organ organ) {
        return taxon < model.taxonCount() ? taxon : any(new TreeStream(seed ^ STRANGE, 2, organ.ordinal()).next());
    }
}
