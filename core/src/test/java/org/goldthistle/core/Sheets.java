package org.goldthistle.core;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.goldthistle.core.reading.Certainty;
import org.goldthistle.core.reading.Context;
import org.goldthistle.core.reading.Reading;
import org.goldthistle.core.reading.StatesObserved;
import org.goldthistle.core.reading.TreeOrigin;
import org.goldthistle.core.reading.ValuesObserved;
import org.goldthistle.core.sheet.Absence;
import org.goldthistle.core.sheet.Bearing;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.Effort;
import org.goldthistle.core.sheet.Fallback;
import org.goldthistle.core.sheet.FirstLook;
import org.goldthistle.core.sheet.GateItem;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Guidance;
import org.goldthistle.core.sheet.Habitat;
import org.goldthistle.core.sheet.Harm;
import org.goldthistle.core.sheet.LifeStage;
import org.goldthistle.core.sheet.Measure;
import org.goldthistle.core.sheet.NumberScale;
import org.goldthistle.core.sheet.Organ;
import org.goldthistle.core.sheet.Parents;
import org.goldthistle.core.sheet.Profile;
import org.goldthistle.core.sheet.Range;
import org.goldthistle.core.sheet.RangeProfile;
import org.goldthistle.core.sheet.Rank;
import org.goldthistle.core.sheet.Replication;
import org.goldthistle.core.sheet.Scale;
import org.goldthistle.core.sheet.Sense;
import org.goldthistle.core.sheet.Standing;
import org.goldthistle.core.sheet.State;
import org.goldthistle.core.sheet.StateProfile;
import org.goldthistle.core.sheet.StateScale;
import org.goldthistle.core.sheet.Taxon;
import org.goldthistle.core.sheet.TaxonName;
import org.goldthistle.core.sheet.TaxonOrigin;
import org.goldthistle.core.sheet.Trust;
import org.goldthistle.core.sheet.Zone;

/** Small made-up sheets and readings, so that a test shows only what it is about. */
public final class Sheets {
    public static final Set<Integer> ALL_YEAR = Set.of(1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12);

    private Sheets() {}

    public static GroupSheet sheet(List<Taxon> taxa, DiagnosticCharacter... characters) {
        return new GroupSheet(
                "test",
                "Test group",
                Optional.empty(),
                "nowhere",
                "made up",
                taxa,
                new Fallback("Testus sp.", "some test"),
                FirstLook.SILENT,
                List.of(),
                List.of(characters),
                List.of(),
                List.of(),
                List.of("made up"));
    }

    /** Two common native species a and b, equally abundant. */
    /** The same sheet with one item at its gate. */
    public static GroupSheet gated(GroupSheet sheet, GateItem item) {
        return new GroupSheet(
                sheet.id(),
                sheet.title(),
                Optional.empty(),
                sheet.region(),
                sheet.why(),
                sheet.taxa(),
                sheet.fallback(),
                sheet.firstLook(),
                List.of(item),
                sheet.characters(),
                sheet.indices(),
                sheet.cautions(),
                sheet.sources());
    }

    public static List<Taxon> pair() {
        return List.of(taxon("a", 50), taxon("b", 50));
    }

    /** The pair and the hybrid h between them, which has no profiles of its own. */
    public static List<Taxon> pairWithHybrid() {
        return List.of(taxon("a", 45), taxon("b", 45), hybrid("h", "a", "b", 10));
    }

    public static Taxon taxon(String id, double abundance) {
        return taxon(id, abundance, Map.of());
    }

    public static Taxon taxon(String id, double abundance, Map<Habitat, Double> habitat) {
        return new Taxon(
                id,
                new TaxonName("Testus " + id, "", "test " + id),
                Rank.SPECIES,
                Optional.empty(),
                TaxonOrigin.NATIVE,
                Standing.COMMON,
                abundance,
                abundance,
                habitat);
    }

    public static Taxon hybrid(String id, String first, String second, double abundance) {
        return new Taxon(
                id,
                new TaxonName("Testus × " + id, "", "hybrid " + id),
                Rank.HYBRID,
                Optional.of(new Parents(first, second)),
                TaxonOrigin.NATIVE,
                Standing.COMMON,
                abundance,
                abundance,
                Map.of());
    }

    /** A builder of characters: a leaf character of full weight, one look, readable all year, unless told otherwise. */
    public static CharacterBuilder character(String id) {
        return new CharacterBuilder(id);
    }

    public static Context wildInJune() {
        return context(6, TreeOrigin.WILD);
    }

    public static Context context(int month, TreeOrigin origin, Habitat... habitat) {
        return new Context(
                month,
                LifeStage.MATURE,
                origin,
                habitat.length == 0 ? EnumSet.noneOf(Habitat.class) : EnumSet.of(habitat[0], habitat),
                Optional.empty(),
                Optional.empty(),
                Map.of());
    }

    public static Reading saw(String character, String... states) {
        return saw(Certainty.SURE, character, states);
    }

    public static Reading saw(Certainty certainty, String character, String... states) {
        return new Reading(
                character, new StatesObserved(List.of(states)), certainty, Optional.empty(), Optional.empty());
    }

    public static Reading measured(String character, Double... values) {
        return measured(Certainty.SURE, character, values);
    }

    public static Reading measured(Certainty certainty, String character, Double... values) {
        return new Reading(
                character, new ValuesObserved(List.of(values)), certainty, Optional.empty(), Optional.empty());
    }

    /** Says only what a test is about; the rest is as {@link #character} promises. */
    public static final class CharacterBuilder {
        private final String id;
        private Organ organ = Organ.LEAF;
        private Zone zone = Zone.HAND;
        private Scale scale;
        private final Map<String, Profile> profiles = new LinkedHashMap<>();
        private Trust trust = new Trust(1, Map.of(), ALL_YEAR, Map.of(), Map.of(), Map.of());
        private Bearing bearing = Bearing.ALWAYS;
        private Replication replication = new Replication(1, 1);
        private Optional<String> cluster = Optional.empty();
        private Effort effort = new Effort(1, Harm.NONE, List.of(), Sense.SIGHT, false);
        private Absence absence = Absence.INFORMATIVE;
        private Optional<String> shortName = Optional.empty();

        private CharacterBuilder(String id) {
            this.id = id;
        }

        public CharacterBuilder states(String... ids) {
            return scale(false, ids);
        }

        public CharacterBuilder ordered(String... ids) {
            return scale(true, ids);
        }

        private CharacterBuilder scale(boolean ordered, String... ids) {
            List<State> states = new ArrayList<>();
            for (String state : ids) {
                states.add(new State(state, "state " + state));
            }
            scale = new StateScale(ordered, states);
            return this;
        }

        public CharacterBuilder numbers(Measure measure) {
            scale = new NumberScale(measure);
            return this;
        }

        /** Frequencies in the order of the states. */
        public CharacterBuilder in(String taxon, double... frequencies) {
            Map<String, Double> map = new LinkedHashMap<>();
            for (int i = 0; i < frequencies.length; i++) {
                map.put(((StateScale) scale).states().get(i).id(), frequencies[i]);
            }
            profiles.put(taxon, new StateProfile(map));
            return this;
        }

        public CharacterBuilder range(String taxon, double r0, double r1, double r2, double r3) {
            profiles.put(taxon, new RangeProfile(new Range(r0, r1, r2, r3)));
            return this;
        }

        public CharacterBuilder organ(Organ of, Zone at) {
            organ = of;
            zone = at;
            return this;
        }

        public CharacterBuilder shortName(String name) {
            shortName = Optional.of(name);
            return this;
        }

        public CharacterBuilder weight(double weight) {
            trust = new Trust(
                    weight, trust.schools(), trust.months(), trust.stages(), trust.materials(), trust.positions());
            return this;
        }

        public CharacterBuilder trust(Trust whole) {
            trust = whole;
            return this;
        }

        /** The share of mature trees that bear it. */
        public CharacterBuilder borne(double share) {
            bearing = new Bearing(Map.of(LifeStage.MATURE, share));
            return this;
        }

        public CharacterBuilder replication(int replicates, double likeness) {
            replication = new Replication(replicates, likeness);
            return this;
        }

        public CharacterBuilder cluster(String name) {
            cluster = Optional.of(name);
            return this;
        }

        public CharacterBuilder effort(double minutes, Harm harm) {
            effort = new Effort(minutes, harm, List.of(), Sense.SIGHT, false);
            return this;
        }

        public CharacterBuilder effort(Effort whole) {
            effort = whole;
            return this;
        }

        public CharacterBuilder absence(Absence tells) {
            absence = tells;
            return this;
        }

        public DiagnosticCharacter build() {
            return new DiagnosticCharacter(
                    id,
                    "the " + id,
                    shortName,
                    organ,
                    zone,
                    scale,
                    profiles,
                    trust,
                    bearing,
                    replication,
                    cluster,
                    effort,
                    absence,
                    new Guidance("look", Optional.empty()));
        }
    }
}
