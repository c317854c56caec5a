package org.goldthistle.core.change;

import static org.goldthistle.core.change.SheetChange.Part;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.goldthistle.core.Coded;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.DiscriminantIndex;
import org.goldthistle.core.sheet.Drawing;
import org.goldthistle.core.sheet.FirstLook;
import org.goldthistle.core.sheet.GateItem;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Measured;
import org.goldthistle.core.sheet.NumberScale;
import org.goldthistle.core.sheet.Parents;
import org.goldthistle.core.sheet.Profile;
import org.goldthistle.core.sheet.RangeProfile;
import org.goldthistle.core.sheet.State;
import org.goldthistle.core.sheet.StateProfile;
import org.goldthistle.core.sheet.StateScale;
import org.goldthistle.core.sheet.Taxon;
import org.goldthistle.core.sheet.Trust;

/** Tells two versions of a sheet apart: sheets that are not equal have a change, equal ones have none. */
public final class SheetDifference {
    private static final String DERIVED = "derived from its parents";

    private final GroupSheet before;
    private final GroupSheet after;
    private final Changes changes = new Changes();

    private SheetDifference(GroupSheet before, GroupSheet after) {
        this.before = before;
        this.after = after;
    }

    /** Everything that is different, in the order of the newer sheet. */
    public static List<SheetChange> between(GroupSheet before, GroupSheet after) {
        return new SheetDifference(before, after).all();
    }

    private List<SheetChange> all() {
        changes.on(Part.SHEET, "")
                .text("id", before.id(), after.id())
                .text("title", before.title(), after.title())
                .optional("short name", before.shortName(), after.shortName())
                .text("region", before.region(), after.region())
                .text("why they are confused", before.why(), after.why())
                .aspect(
                        "name recorded when they cannot be separated",
                        before.fallback(),
                        after.fallback(),
                        one -> one.commonName() + ", " + one.scientificName())
                .aspect("first look", before.firstLook(), after.firstLook(), SheetDifference::firstLook);
        changes.things(
                Part.TAXON,
                before.taxa(),
                after.taxa(),
                Taxon::id,
                one -> one.name().commonName(),
                this::taxon);
        changes.things(Part.GATE, before.gate(), after.gate(), GateItem::id, GateItem::name, this::gateItem);
        changes.things(
                Part.CHARACTER,
                before.characters(),
                after.characters(),
                DiagnosticCharacter::id,
                DiagnosticCharacter::name,
                this::character);
        changes.things(
                Part.INDEX,
                before.indices(),
                after.indices(),
                DiscriminantIndex::id,
                DiscriminantIndex::name,
                this::index);
        changes.on(Part.CAUTION, "")
                .aspect(
                        "cautions",
                        before.cautions(),
                        after.cautions(),
                        all -> all.stream()
                                .map(one -> Spelling.words(one.topic()) + ": " + one.text())
                                .collect(Collectors.joining("; ")));
        changes.on(Part.SOURCE, "").aspect("sources", before.sources(), after.sources(), all -> String.join("; ", all));
        return changes.found();
    }

    private static String firstLook(FirstLook look) {
        String text = look.shown().entrySet().stream()
                .map(one -> Spelling.words(one.getKey()) + " " + String.join(" or ", one.getValue()))
                .collect(Collectors.joining(", "));
        return text.isEmpty() ? "nothing said" : text;
    }

    private void taxon(Taxon was, Taxon is) {
        changes.text("scientific name", was.name().scientificName(), is.name().scientificName())
                .text("author", was.name().authorship(), is.name().authorship())
                .text("common name", was.name().commonName(), is.name().commonName())
                .aspect("rank", was.rank(), is.rank(), Spelling::words)
                .aspect("parents", was.parents(), is.parents(), SheetDifference::parents)
                .aspect("origin", was.origin(), is.origin(), Spelling::words)
                .aspect("standing", was.standing(), is.standing(), Spelling::words)
                .number("of 100 wild trees", was.abundance(), is.abundance())
                .number("of 100 planted trees", was.plantedAbundance(), is.plantedAbundance())
                .aspect("habitat", was.habitat(), is.habitat(), Spelling::multipliers);
    }

    private static String parents(Optional<Parents> parents) {
        return parents.map(one -> one.first() + " and " + one.second()).orElse("none");
    }

    private void gateItem(GateItem was, GateItem is) {
        changes.text("wording", was.name(), is.name())
                .aspect("organ", was.organ(), is.organ(), Spelling::words)
                .aspect("station", was.zone(), is.zone(), Spelling::words)
                .text("how to look", was.howTo(), is.howTo())
                .text("otherwise", was.otherwise(), is.otherwise())
                .optional("group to look in otherwise", was.otherwiseGroup(), is.otherwiseGroup())
                .aspect("drawing", was.drawing(), is.drawing(), SheetDifference::drawn)
                .aspect("drawing otherwise", was.otherwiseDrawing(), is.otherwiseDrawing(), SheetDifference::drawn);
    }

    private void index(DiscriminantIndex was, DiscriminantIndex is) {
        Function<DiscriminantIndex, String> formula = one -> one.terms().stream()
                        .map(term -> Spelling.number(term.coefficient()) + " " + term.character())
                        .collect(Collectors.joining(" + "))
                + " + " + Spelling.number(one.constant());
        changes.text("wording", was.name(), is.name())
                .text("source", was.source(), is.source())
                .text("speaks for", was.positive() + " or " + was.negative(), is.positive() + " or " + is.negative())
                .text("formula", formula.apply(was), formula.apply(is))
                .number("undecided below", was.undecided(), is.undecided())
                .text("how to work it", was.reading(), is.reading());
    }

    private void character(DiagnosticCharacter was, DiagnosticCharacter is) {
        changes.text("wording", was.name(), is.name())
                .optional("short name", was.shortName(), is.shortName())
                .aspect("organ", was.organ(), is.organ(), Spelling::words)
                .aspect("station", was.zone(), is.zone(), Spelling::words)
                .text("kind", was.scale().kind(), is.scale().kind())
                .aspect("how it is taken", measured(was), measured(is), SheetDifference::taken);
        if (was.scale() instanceof StateScale old && is.scale() instanceof StateScale now) {
            states(old, now);
        }
        for (Taxon taxon : after.taxa()) {
            profile(
                    taxon.name().commonName(),
                    Optional.ofNullable(was.profiles().get(taxon.id())),
                    Optional.ofNullable(is.profiles().get(taxon.id())),
                    is);
        }
        trust(was.trust(), is.trust());
        changes.aspect(
                "borne by",
                was.bearing().shares(),
                is.bearing().shares(),
                shares -> shares.isEmpty() ? "every tree" : Spelling.multipliers(shares));
        changes.number(
                        "how many make a reading",
                        was.replication().replicates(),
                        is.replication().replicates())
                .number(
                        "likeness of those of one tree",
                        was.replication().likeness(),
                        is.replication().likeness())
                .optional("one signal with", was.cluster(), is.cluster())
                .number("minutes", was.effort().minutes(), is.effort().minutes())
                .aspect("harm", was.effort().harm(), is.effort().harm(), Spelling::words)
                .aspect("hazards", was.effort().hazards(), is.effort().hazards(), SheetDifference::hazards)
                .aspect("sense", was.effort().sense(), is.effort().sense(), Spelling::words)
                .aspect(
                        "needs red told from green",
                        was.effort().redGreen(),
                        is.effort().redGreen(),
                        one -> one ? "yes" : "no")
                .aspect("not seeing it", was.absence(), is.absence(), Spelling::words)
                .text("how to look", was.guidance().howTo(), is.guidance().howTo())
                .optional("pitfall", was.guidance().pitfall(), is.guidance().pitfall())
                .aspect("drawing", was.guidance().figure(), is.guidance().figure(), SheetDifference::drawn);
    }

    private static Optional<Measured> measured(DiagnosticCharacter character) {
        return character.scale() instanceof NumberScale number ? number.measured() : Optional.empty();
    }

    private static String taken(Optional<Measured> measured) {
        return measured.map(one -> one.as().replace('-', ' ') + ": " + String.join("; ", one.parts()) + at(one))
                .orElse("typed as a number");
    }

    private static String at(Measured measured) {
        return measured instanceof Measured.WidthAt width ? ", at " + Spelling.number(width.at()) : "";
    }

    private static String hazards(List<? extends Coded> hazards) {
        return hazards.isEmpty()
                ? "none"
                : hazards.stream().map(Spelling::words).collect(Collectors.joining(", "));
    }

    private void states(StateScale was, StateScale is) {
        for (State state : is.states()) {
            int index = was.indexOf(state.id());
            if (index < 0) {
                changes.optional("state", Optional.empty(), Optional.of(state.name()));
            } else {
                State old = was.states().get(index);
                changes.text("state", old.name(), state.name());
                changes.aspect(
                        "drawing of \"" + state.name() + "\"", old.drawing(), state.drawing(), SheetDifference::drawn);
            }
        }
        for (State state : was.states()) {
            if (is.indexOf(state.id()) < 0) {
                changes.optional("state", Optional.of(state.name()), Optional.empty());
            }
        }
        List<String> order = was.states().stream()
                .map(State::id)
                .filter(id -> is.indexOf(id) >= 0)
                .toList();
        List<String> now = is.states().stream()
                .map(State::id)
                .filter(id -> was.indexOf(id) >= 0)
                .toList();
        changes.aspect("order of states", order, now, ids -> String.join(", ", ids));
    }

    private static String drawn(Optional<Drawing> drawing) {
        return drawing.map(one -> one.part().replace('-', ' ')
                        + one.parameters().entrySet().stream()
                                .map(parameter -> ", " + parameter.getKey() + " " + parameter.getValue())
                                .collect(Collectors.joining()))
                .orElse("none");
    }

    private void profile(String taxon, Optional<Profile> was, Optional<Profile> is, DiagnosticCharacter character) {
        if (was.equals(is)) {
            return;
        }
        if (was.orElse(null) instanceof StateProfile old
                && is.orElse(null) instanceof StateProfile now
                && character.scale() instanceof StateScale scale) {
            for (State state : scale.states()) {
                changes.aspect(
                        taxon + ", " + state.name(),
                        old.frequency(state.id()),
                        now.frequency(state.id()),
                        Spelling::percent);
            }
        } else {
            changes.text(taxon, spelt(was), spelt(is));
        }
    }

    private static String spelt(Optional<Profile> profile) {
        return profile.map(one -> one instanceof RangeProfile limits
                        ? Spelling.range(limits.range())
                        : ((StateProfile) one)
                                .frequencies().entrySet().stream()
                                        .sorted(Map.Entry.comparingByKey())
                                        .map(share -> share.getKey() + " " + Spelling.percent(share.getValue()))
                                        .collect(Collectors.joining(", ")))
                .orElse(DERIVED);
    }

    private void trust(Trust was, Trust is) {
        changes.number("weight", was.weight(), is.weight())
                .aspect("weight by school", was.schools(), is.schools(), Spelling::multipliers)
                .aspect("months", was.months(), is.months(), Spelling::months)
                .aspect("multipliers by stage", was.stages(), is.stages(), Spelling::multipliers)
                .aspect("multipliers by material", was.materials(), is.materials(), Spelling::multipliers)
                .aspect("multipliers by place in the crown", was.positions(), is.positions(), Spelling::multipliers);
    }
}
