package org.goldthistle.core.change;

import static org.goldthistle.core.change.SheetChange.Part;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.goldthistle.core.sheet.Caution;
import org.goldthistle.core.sheet.CautionTopic;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.DiscriminantIndex;
import org.goldthistle.core.sheet.Faculty;
import org.goldthistle.core.sheet.GateItem;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Measured;
import org.goldthistle.core.sheet.NumberScale;
import org.goldthistle.core.sheet.Profile;
import org.goldthistle.core.sheet.RangeProfile;
import org.goldthistle.core.sheet.Scale;
import org.goldthistle.core.sheet.State;
import org.goldthistle.core.sheet.StateProfile;
import org.goldthistle.core.sheet.StateScale;
import org.goldthistle.core.sheet.Taxon;
import org.goldthistle.core.sheet.Trait;
import org.goldthistle.core.sheet.Trust;

/** Tells two versions of a sheet apart: sheets that are not equal have a change, equal ones have none. */
public final class SheetDifference {
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
                .text(Aspect.ID, before.id(), after.id())
                .text(Aspect.TITLE, before.title(), after.title())
                .optional(Aspect.SHORT_NAME, before.shortName(), after.shortName())
                .text(Aspect.REGION, before.region(), after.region())
                .text(Aspect.WHY, before.why(), after.why())
                .aspect(
                        Aspect.FALLBACK,
                        before.fallback(),
                        after.fallback(),
                        one -> Stated.list(List.of(one.commonName(), one.scientificName())));
        for (Trait trait : Trait.values()) {
            changes.optional(
                    Aspect.FIRST_LOOK,
                    List.of(trait.code()),
                    Optional.ofNullable(before.firstLook().shown().get(trait)),
                    Optional.ofNullable(after.firstLook().shown().get(trait)),
                    Stated::spelt);
        }
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
        cautions();
        changes.on(Part.SOURCE, "").aspect(Aspect.SOURCES, before.sources(), after.sources(), Stated::list);
        return changes.found();
    }

    private void cautions() {
        changes.on(Part.CAUTION, "");
        boolean same = true;
        for (CautionTopic topic : CautionTopic.values()) {
            Optional<List<String>> was = cautions(before, topic);
            Optional<List<String>> is = cautions(after, topic);
            changes.optional(Aspect.CAUTIONS, List.of(topic.code()), was, is, Stated::list);
            same &= was.equals(is);
        }
        if (same) {
            changes.aspect(Aspect.ORDER, topics(before), topics(after), Stated::codes);
        }
    }

    private static Optional<List<String>> cautions(GroupSheet sheet, CautionTopic topic) {
        return Optional.of(sheet.cautions().stream()
                        .filter(one -> one.topic() == topic)
                        .map(Caution::text)
                        .toList())
                .filter(texts -> !texts.isEmpty());
    }

    private static List<CautionTopic> topics(GroupSheet sheet) {
        return sheet.cautions().stream().map(Caution::topic).toList();
    }

    private void taxon(Taxon was, Taxon is) {
        changes.text(
                        Aspect.SCIENTIFIC_NAME,
                        was.name().scientificName(),
                        is.name().scientificName())
                .text(Aspect.AUTHOR, was.name().authorship(), is.name().authorship())
                .text(Aspect.COMMON_NAME, was.name().commonName(), is.name().commonName())
                .aspect(Aspect.ALSO_CALLED, was.name().alsoCalled(), is.name().alsoCalled(), Stated::list)
                .aspect(Aspect.RANK, was.rank(), is.rank(), Stated::code)
                .optional(
                        Aspect.PARENTS,
                        List.of(),
                        was.parents(),
                        is.parents(),
                        one -> Stated.list(List.of(one.first(), one.second())))
                .aspect(Aspect.ORIGIN, was.origin(), is.origin(), Stated::code)
                .aspect(Aspect.STANDING, was.standing(), is.standing(), Stated::code)
                .number(Aspect.OF_WILD, was.abundance(), is.abundance())
                .number(Aspect.OF_PLANTED, was.plantedAbundance(), is.plantedAbundance())
                .aspect(Aspect.HABITAT, was.habitat(), is.habitat(), Stated::factors);
    }

    private void gateItem(GateItem was, GateItem is) {
        changes.text(Aspect.WORDING, was.name(), is.name())
                .aspect(Aspect.ORGAN, was.organ(), is.organ(), Stated::code)
                .aspect(Aspect.STATION, was.zone(), is.zone(), Stated::code)
                .text(Aspect.HOW_TO, was.howTo(), is.howTo())
                .text(Aspect.OTHERWISE, was.otherwise(), is.otherwise())
                .optional(Aspect.OTHERWISE_GROUP, was.otherwiseGroup(), is.otherwiseGroup())
                .optional(Aspect.DRAWING, List.of(), was.drawing(), is.drawing(), Stated::drawing)
                .optional(
                        Aspect.DRAWING_OTHERWISE,
                        List.of(),
                        was.otherwiseDrawing(),
                        is.otherwiseDrawing(),
                        Stated::drawing);
    }

    private void index(DiscriminantIndex was, DiscriminantIndex is) {
        changes.text(Aspect.WORDING, was.name(), is.name())
                .text(Aspect.PUBLISHED, was.source(), is.source())
                .text(Aspect.POSITIVE, was.positive(), is.positive())
                .text(Aspect.NEGATIVE, was.negative(), is.negative())
                .aspect(Aspect.COEFFICIENTS, was.terms(), is.terms(), SheetDifference::coefficients)
                .number(Aspect.CONSTANT, was.constant(), is.constant())
                .number(Aspect.UNDECIDED, was.undecided(), is.undecided())
                .text(Aspect.WORKING, was.reading(), is.reading());
    }

    private static Stated coefficients(List<DiscriminantIndex.Term> terms) {
        return Stated.named(
                terms.stream().map(DiscriminantIndex.Term::character).toList(),
                terms.stream().map(DiscriminantIndex.Term::coefficient).toList());
    }

    private void character(DiagnosticCharacter was, DiagnosticCharacter is) {
        changes.text(Aspect.WORDING, was.name(), is.name())
                .optional(Aspect.SHORT_NAME, was.shortName(), is.shortName())
                .aspect(Aspect.ORGAN, was.organ(), is.organ(), Stated::code)
                .aspect(Aspect.STATION, was.zone(), is.zone(), Stated::code)
                .aspect(Aspect.KIND, was.scale().kind(), is.scale().kind(), Stated::spelt);
        measured(measured(was), measured(is));
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
        changes.aspect(Aspect.BORNE, was.bearing().shares(), is.bearing().shares(), Stated::factors);
        changes.number(
                        Aspect.REPLICATES,
                        was.replication().replicates(),
                        is.replication().replicates())
                .number(
                        Aspect.LIKENESS,
                        was.replication().likeness(),
                        is.replication().likeness())
                .optional(Aspect.CLUSTER, was.cluster(), is.cluster())
                .number(Aspect.MINUTES, was.effort().minutes(), is.effort().minutes())
                .aspect(Aspect.HARM, was.effort().harm(), is.effort().harm(), Stated::code)
                .aspect(Aspect.HAZARDS, was.effort().hazards(), is.effort().hazards(), Stated::codes)
                .aspect(Aspect.SENSE, was.effort().sense(), is.effort().sense(), Stated::code)
                .optional(Aspect.FACULTY, List.of(), faculty(was), faculty(is), Stated::code)
                .aspect(Aspect.ABSENCE, was.absence(), is.absence(), Stated::code)
                .text(Aspect.HOW_TO, was.guidance().howTo(), is.guidance().howTo())
                .optional(
                        Aspect.PITFALL, was.guidance().pitfall(), is.guidance().pitfall())
                .optional(
                        Aspect.DRAWING,
                        List.of(),
                        was.guidance().figure(),
                        is.guidance().figure(),
                        Stated::drawing);
    }

    private static Optional<Measured> measured(DiagnosticCharacter character) {
        return character.scale() instanceof NumberScale number ? number.measured() : Optional.empty();
    }

    private void measured(Optional<Measured> was, Optional<Measured> is) {
        changes.optional(Aspect.MEASURED, List.of(), was.map(Measured::way), is.map(Measured::way), Stated::code)
                .optional(
                        Aspect.MEASURED_PARTS,
                        List.of(),
                        was.map(Measured::parts),
                        is.map(Measured::parts),
                        Stated::list)
                .optional(
                        Aspect.MEASURED_AT,
                        List.of(),
                        was.flatMap(SheetDifference::at),
                        is.flatMap(SheetDifference::at),
                        Stated::number);
    }

    private static Optional<Double> at(Measured measured) {
        return measured instanceof Measured.WidthAt width ? Optional.of(width.at()) : Optional.empty();
    }

    private static Optional<Faculty> faculty(DiagnosticCharacter character) {
        return character.effort().redGreen() ? Optional.of(Faculty.RED_GREEN) : Optional.empty();
    }

    private void states(StateScale was, StateScale is) {
        for (State state : is.states()) {
            int index = was.indexOf(state.id());
            if (index < 0) {
                changes.optional(Aspect.STATE, Optional.empty(), Optional.of(state.name()));
            } else {
                State old = was.states().get(index);
                changes.text(Aspect.STATE, old.name(), state.name())
                        .optional(
                                Aspect.STATE_DRAWING,
                                List.of(state.name()),
                                old.drawing(),
                                state.drawing(),
                                Stated::drawing);
            }
        }
        for (State state : was.states()) {
            if (is.indexOf(state.id()) < 0) {
                changes.optional(Aspect.STATE, Optional.of(state.name()), Optional.empty());
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
        changes.aspect(Aspect.STATE_ORDER, order, now, Stated::list);
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
                        Aspect.SHARE,
                        List.of(taxon, state.name()),
                        old.frequency(state.id()),
                        now.frequency(state.id()),
                        Stated::share);
            }
        } else {
            changes.optional(Aspect.PROFILE, List.of(taxon), was, is, one -> stated(one, character.scale()));
        }
    }

    private static Stated stated(Profile profile, Scale scale) {
        if (profile instanceof RangeProfile limits) {
            return Stated.range(limits.range());
        }
        Map<String, Double> shares = ((StateProfile) profile).frequencies();
        List<String> states = shares.keySet().stream().sorted().toList();
        return Stated.shares(
                states.stream().map(id -> name(scale, id)).toList(),
                states.stream().map(shares::get).toList());
    }

    /** Of a state; its id where the character that is told has it no more. */
    private static String name(Scale scale, String id) {
        return scale instanceof StateScale named && named.indexOf(id) >= 0
                ? named.states().get(named.indexOf(id)).name()
                : id;
    }

    private void trust(Trust was, Trust is) {
        changes.number(Aspect.WEIGHT, was.weight(), is.weight())
                .aspect(Aspect.SCHOOLS, was.schools(), is.schools(), Stated::factors)
                .aspect(Aspect.MONTHS, was.months(), is.months(), Stated::months)
                .aspect(Aspect.STAGES, was.stages(), is.stages(), Stated::factors)
                .aspect(Aspect.MATERIALS, was.materials(), is.materials(), Stated::factors)
                .aspect(Aspect.POSITIONS, was.positions(), is.positions(), Stated::factors);
    }
}
