package org.goldthistle.formats.plain;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.goldthistle.core.Refusal;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.sheet.Absence;
import org.goldthistle.core.sheet.Bearing;
import org.goldthistle.core.sheet.Caution;
import org.goldthistle.core.sheet.CautionTopic;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.DiscriminantIndex;
import org.goldthistle.core.sheet.Drawing;
import org.goldthistle.core.sheet.Effort;
import org.goldthistle.core.sheet.Fallback;
import org.goldthistle.core.sheet.FirstLook;
import org.goldthistle.core.sheet.GateItem;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Guidance;
import org.goldthistle.core.sheet.Habitat;
import org.goldthistle.core.sheet.Harm;
import org.goldthistle.core.sheet.LifeStage;
import org.goldthistle.core.sheet.Material;
import org.goldthistle.core.sheet.Measure;
import org.goldthistle.core.sheet.Measured;
import org.goldthistle.core.sheet.NumberScale;
import org.goldthistle.core.sheet.Organ;
import org.goldthistle.core.sheet.Parents;
import org.goldthistle.core.sheet.Position;
import org.goldthistle.core.sheet.Profile;
import org.goldthistle.core.sheet.Range;
import org.goldthistle.core.sheet.RangeProfile;
import org.goldthistle.core.sheet.Rank;
import org.goldthistle.core.sheet.Replication;
import org.goldthistle.core.sheet.Scale;
import org.goldthistle.core.sheet.School;
import org.goldthistle.core.sheet.Sense;
import org.goldthistle.core.sheet.Standing;
import org.goldthistle.core.sheet.State;
import org.goldthistle.core.sheet.StateProfile;
import org.goldthistle.core.sheet.StateScale;
import org.goldthistle.core.sheet.Taxon;
import org.goldthistle.core.sheet.TaxonName;
import org.goldthistle.core.sheet.TaxonOrigin;
import org.goldthistle.core.sheet.Trait;
import org.goldthistle.core.sheet.Trust;
import org.goldthistle.core.sheet.Zone;

/** Reads a group sheet from plain values; the format is described in {@code docs/group-sheet.md}. */
public final class SheetReader {
    /** The word in {@code format} that a sheet of this kind starts with. */
    public static final String FORMAT = "goldthistle-group/1";

    private final DrawingCheck drawings;

    /** @param drawings what they may ask for */
    public SheetReader(DrawingCheck drawings) {
        this.drawings = drawings;
    }

    /** @throws RefusedException with every place where it breaks the format or a rule of the sheet */
    public GroupSheet read(Object value) {
        List<Refusal> refusals = new ArrayList<>();
        GroupSheet sheet = sheet(Fields.top(value, refusals));
        if (!refusals.isEmpty()) {
            throw new RefusedException(refusals);
        }
        return sheet;
    }

    private GroupSheet sheet(Fields fields) {
        String format = fields.text("format");
        if (!format.equals(FORMAT)) {
            fields.refuses("format", "\"" + format + "\"", "\"" + FORMAT + "\"");
        }
        String id = fields.text("id");
        String title = fields.text("title");
        Optional<String> shortName = fields.optionalText("short");
        String region = fields.text("region");
        String why = fields.text("why");
        List<Taxon> taxa = fields.objects("taxa", false, this::taxon);
        Fallback fallback = fallback(fields.object("fallback"));
        FirstLook firstLook = firstLook(fields);
        List<GateItem> gate = fields.objects("gate", true, this::gateItem);
        List<DiagnosticCharacter> characters = fields.objects("characters", false, this::character);
        List<DiscriminantIndex> indices = fields.objects("indices", true, this::index);
        List<Caution> cautions = fields.objects("cautions", true, this::caution);
        List<String> sources = fields.texts("sources");
        return fields.build(() -> new GroupSheet(
                id,
                title,
                shortName,
                region,
                why,
                taxa,
                fallback,
                firstLook,
                gate,
                characters,
                indices,
                cautions,
                sources));
    }

    private Fallback fallback(Fields fields) {
        String scientificName = fields.text("scientificName");
        String commonName = fields.text("commonName");
        return fields.build(() -> new Fallback(scientificName, commonName));
    }

    private FirstLook firstLook(Fields sheet) {
        if (!sheet.has("firstLook")) {
            return FirstLook.SILENT;
        }
        Fields fields = sheet.object("firstLook");
        Map<Trait, List<String>> shown = fields.textsByCode(Trait.values());
        return fields.build(() -> new FirstLook(shown));
    }

    private Taxon taxon(Fields fields) {
        String id = fields.text("id");
        String scientificName = fields.text("scientificName");
        String authorship = fields.optionalText("authorship").orElse("");
        String commonName = fields.text("commonName");
        List<String> alsoCalled = fields.has("alsoCalled") ? fields.texts("alsoCalled") : List.of();
        Rank rank = fields.coded("rank", Rank.values());
        Optional<Parents> parents = fields.has("parents") ? parents(fields) : Optional.empty();
        TaxonOrigin origin = fields.coded("origin", TaxonOrigin.values());
        Standing standing = fields.coded("standing", Standing.values());
        double abundance = fields.number("abundance");
        double planted = fields.number("plantedAbundance");
        Map<Habitat, Double> habitat = fields.numbersByCode("habitat", Habitat.values());
        return fields.build(() -> new Taxon(
                id,
                new TaxonName(scientificName, authorship, commonName, alsoCalled),
                rank,
                parents,
                origin,
                standing,
                abundance,
                planted,
                habitat));
    }

    private Optional<Parents> parents(Fields fields) {
        List<String> ids = fields.texts("parents");
        if (ids.size() != 2) {
            fields.refuses("parents", ids.size() + " of them", "the ids of two taxa");
            return Optional.empty();
        }
        return Optional.ofNullable(fields.build(() -> new Parents(ids.get(0), ids.get(1))));
    }

    private GateItem gateItem(Fields fields) {
        String id = fields.text("id");
        String name = fields.text("name");
        Organ organ = fields.coded("organ", Organ.values());
        Zone zone = fields.coded("zone", Zone.values());
        String howTo = fields.text("howTo");
        String otherwise = fields.text("otherwise");
        Optional<String> otherwiseGroup = fields.optionalText("otherwiseGroup");
        Optional<Drawing> drawing = optionalDrawing(fields, "draw");
        Optional<Drawing> otherwiseDrawing = optionalDrawing(fields, "drawOtherwise");
        return fields.build(
                () -> new GateItem(id, name, organ, zone, howTo, otherwise, otherwiseGroup, drawing, otherwiseDrawing));
    }

    private DiagnosticCharacter character(Fields fields) {
        String id = fields.text("id");
        String name = fields.text("name");
        Optional<String> shortName = fields.optionalText("short");
        Organ organ = fields.coded("organ", Organ.values());
        Zone zone = fields.coded("zone", Zone.values());
        Scale scale = scale(fields);
        Map<String, Profile> profiles = profiles(fields, scale);
        Trust trust = trust(fields);
        Bearing bearing = bearing(fields);
        Replication replication = replication(fields);
        Optional<String> cluster = fields.optionalText("cluster");
        Effort effort = effort(fields);
        Absence absence = fields.coded("absence", Absence.values());
        String howTo = fields.text("howTo");
        Optional<String> pitfall = fields.optionalText("pitfall");
        Optional<Drawing> figure = optionalDrawing(fields, "draw");
        return fields.build(() -> new DiagnosticCharacter(
                id,
                name,
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
                new Guidance(howTo, pitfall, figure)));
    }

    private Scale scale(Fields fields) {
        String kind = fields.text("kind");
        boolean ordered = kind.equals(StateScale.ORDERED);
        if (ordered || kind.equals(StateScale.UNORDERED)) {
            List<State> states = fields.objects("states", false, state -> {
                String id = state.text("id");
                String name = state.text("name");
                Optional<Drawing> drawing = optionalDrawing(state, "draw");
                return state.build(() -> new State(id, name, drawing));
            });
            return fields.build(() -> new StateScale(ordered, states));
        }
        Measure measure = fields.coded("kind", Measure.values());
        Optional<String> unit = fields.optionalText("unit");
        if (measure != null && unit.isPresent() && !unit.equals(unit(measure))) {
            fields.refuses("unit", "\"" + unit.get() + "\"", unit(measure).orElse("none") + " for a " + kind);
        }
        Optional<Measured> measured = MeasuredReader.read(fields);
        return fields.build(() -> new NumberScale(measure, measured));
    }

    /** The unit of a measure, if it has one. */
    public static Optional<String> unit(Measure measure) {
        return switch (measure) {
            case LENGTH -> Optional.of("mm");
            case ANGLE -> Optional.of("degrees");
            case COUNT, RATIO -> Optional.empty();
        };
    }

    private Optional<Drawing> optionalDrawing(Fields fields, String key) {
        return fields.has(key) ? Optional.ofNullable(drawing(fields.object(key))) : Optional.empty();
    }

    private Drawing drawing(Fields fields) {
        String part = fields.text("part");
        Map<String, Object> parameters = fields.scalars();
        parameters.remove("part");
        fields.refuseBreaksOf(drawings);
        return fields.build(() -> new Drawing(part, parameters));
    }

    private Map<String, Profile> profiles(Fields fields, Scale scale) {
        Map<String, Profile> profiles = new LinkedHashMap<>();
        if (scale != null) {
            fields.objectsByKey("profiles").forEach((taxon, profile) -> profiles.put(taxon, profile(profile, scale)));
        }
        return profiles;
    }

    private Profile profile(Fields fields, Scale scale) {
        if (scale instanceof StateScale) {
            Map<String, Double> frequencies = fields.numbersByKey();
            return fields.build(() -> new StateProfile(frequencies));
        }
        List<Double> limits = fields.numbers("range");
        if (limits.size() != 4) {
            fields.refuses(
                    "range", limits.size() + " numbers", "four: rarely low, usually low, usually high, rarely high");
            return null;
        }
        return fields.build(
                () -> new RangeProfile(new Range(limits.get(0), limits.get(1), limits.get(2), limits.get(3))));
    }

    private Trust trust(Fields fields) {
        double weight = fields.number("weight");
        Map<School, Double> schools = fields.numbersByCode("schools", School.values());
        List<Integer> months = fields.integers("months");
        Map<LifeStage, Double> stages = fields.numbersByCode("stages", LifeStage.values());
        Map<Material, Double> materials = fields.numbersByCode("materials", Material.values());
        Map<Position, Double> positions = fields.numbersByCode("positions", Position.values());
        return fields.build(() -> new Trust(weight, schools, new HashSet<>(months), stages, materials, positions));
    }

    private Bearing bearing(Fields fields) {
        Map<LifeStage, Double> shares = fields.numbersByCode("borne", LifeStage.values());
        return fields.buildWithin("borne", () -> new Bearing(shares));
    }

    private Replication replication(Fields fields) {
        int replicates = fields.integer("replicates");
        double likeness = fields.number("likeness");
        return fields.build(() -> new Replication(replicates, likeness));
    }

    private Effort effort(Fields fields) {
        double minutes = fields.number("minutes");
        Harm harm = fields.coded("harm", Harm.values());
        List<CautionTopic> hazards = fields.codedList("hazard", CautionTopic.values());
        Sense sense = fields.coded("sense", Sense.values());
        boolean redGreen = fields.has("redGreen") && fields.flag("redGreen");
        return fields.build(() -> new Effort(minutes, harm, hazards, sense, redGreen));
    }

    private DiscriminantIndex index(Fields fields) {
        String id = fields.text("id");
        String name = fields.text("name");
        String source = fields.text("source");
        List<String> taxa = fields.texts("taxa");
        if (taxa.size() != 2) {
            fields.refuses("taxa", taxa.size() + " of them", "two: the positive and the negative taxon");
        }
        List<DiscriminantIndex.Term> terms = fields.objects("terms", false, term -> {
            String character = term.text("character");
            double coefficient = term.number("coefficient");
            return term.build(() -> new DiscriminantIndex.Term(character, coefficient));
        });
        double constant = fields.number("constant");
        double undecided = fields.number("undecided");
        String reading = fields.text("reading");
        return fields.build(() ->
                new DiscriminantIndex(id, name, source, taxa.get(0), taxa.get(1), terms, constant, undecided, reading));
    }

    private Caution caution(Fields fields) {
        CautionTopic topic = fields.coded("topic", CautionTopic.values());
        String text = fields.text("text");
        return fields.build(() -> new Caution(topic, text));
    }
}
