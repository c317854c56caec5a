package org.goldthistle.library;

import io.swagger.v3.oas.annotations.media.Schema;
import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.Coded;
import org.goldthistle.core.measure.Taking;
import org.goldthistle.core.reading.Certainty;
import org.goldthistle.core.sheet.Absence;
import org.goldthistle.core.sheet.CautionTopic;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.Drawing;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Harm;
import org.goldthistle.core.sheet.LifeStage;
import org.goldthistle.core.sheet.Material;
import org.goldthistle.core.sheet.Measured;
import org.goldthistle.core.sheet.NumberScale;
import org.goldthistle.core.sheet.Organ;
import org.goldthistle.core.sheet.Position;
import org.goldthistle.core.sheet.Profile;
import org.goldthistle.core.sheet.Range;
import org.goldthistle.core.sheet.RangeProfile;
import org.goldthistle.core.sheet.Scale;
import org.goldthistle.core.sheet.School;
import org.goldthistle.core.sheet.Sense;
import org.goldthistle.core.sheet.State;
import org.goldthistle.core.sheet.StateProfile;
import org.goldthistle.core.sheet.StateScale;
import org.goldthistle.core.sheet.Taxon;
import org.goldthistle.core.sheet.Zone;
import org.springframework.lang.Nullable;

/**
 * One character as the browser reads it; numeric ones have a unit (empty for counts and ratios) and no states.
 * Material and position matter when its weight depends on them.
 *
 * @param shortName in at most 22 letters; the name itself where the sheet has none
 * @param figure what is measured or counted, drawn; null for states
 * @param parts what is asked for one value, in order; none where the value itself is said, or it has states
 * @param tapped what is tapped on a photo for one value, in order; none as with parts
 * @param needsScale whether a photo must tell how large things are
 * @param least of all that the profiles hold for likely; null for states, as the next
 * @param most of all that they hold for likely
 * @param weight the sheet's own, in [0, 1]
 * @param schools other weights by school
 * @param stages what is left of the weight by life stage; unlisted: all of it, as in the next two
 * @param materials by where the material came from
 * @param positions by place in the crown
 * @param borne share of trees that bear what it is read from by life stage; unlisted: all
 * @param mayBearNone whether there is anything that a tree may bear none of
 * @param cluster name shared by characters that are one signal; null: it stands alone
 * @param absence informative or weak: whether not seeing it tells much
 * @param profiles of every taxon in the sheet's order, those of hybrids derived where the sheet has none
 * @param months in which it can be read, 1-12
 * @param looks how many independent looks so many leaves, cones … are worth, the first for one of them
 * @param assumedMaterial what counts as if nothing was said of the material; null: nothing does
 * @param assumedPosition the same of the place in the crown
 * @param assumedCertainty what is assumed of an observer who does not say how sure they are
 * @param redGreen whether its states are told apart by red against green or brown
 */
record CharacterDto(
        String id,
        String name,
        String shortName,
        @CodeOf(Organ.class) String organ,
        @CodeOf(Zone.class) String zone,
        @CodeOf(CharacterKind.class) String kind,
        @Nullable String unit,
        @Nullable DrawingDto figure,
        List<PartDto> parts,
        List<TappedDto> tapped,
        boolean needsScale,
        List<StateDto> states,
        List<ProfileDto> profiles,
        @Nullable Double least,
        @Nullable Double most,
        double weight,
        Map<String, Double> schools,
        Map<String, Double> stages,
        Map<String, Double> materials,
        Map<String, Double> positions,
        Map<String, Double> borne,
        boolean mayBearNone,
        @Nullable String cluster,
        @CodeOf(Absence.class) String absence,
        int replicates,
        List<Double> looks,
        double minutes,
        @CodeOf(Harm.class) String harm,
        List<HazardDto> hazards,
        List<Integer> months,
        boolean materialMatters,
        boolean positionMatters,
        @Nullable @CodeOf(Material.class) String assumedMaterial,
        @Nullable @CodeOf(Position.class) String assumedPosition,
        @CodeOf(Certainty.class) String assumedCertainty,
        @CodeOf(Sense.class) String sense,
        boolean redGreen,
        String howTo,
        @Nullable String pitfall) {

    private static final int FEWEST_LOOKS = 8;

    static CharacterDto of(GroupSheet sheet, DiagnosticCharacter character) {
        List<ProfileDto> profiles = sheet.taxa().stream()
                .map(taxon -> ProfileDto.of(sheet, character, taxon))
                .toList();
        return new CharacterDto(
                character.id(),
                character.name(),
                character.brief(),
                character.organ().code(),
                character.zone().code(),
                character.scale().kind(),
                character.scale() instanceof NumberScale number
                        ? number.measure().sign()
                        : null,
                character.guidance().figure().map(DrawingDto::of).orElse(null),
                PartDto.of(character.scale()),
                TappedDto.of(character.scale()),
                measured(character.scale()).map(Taking::needsScale).orElse(false),
                character.scale() instanceof StateScale scale
                        ? scale.states().stream().map(StateDto::of).toList()
                        : List.of(),
                profiles,
                outermost(profiles, Collections::min),
                outermost(profiles, Collections::max),
                character.trust().weight(),
                byCode(School.values(), character.trust().schools()),
                byCode(LifeStage.values(), character.trust().stages()),
                byCode(Material.values(), character.trust().materials()),
                byCode(Position.values(), character.trust().positions()),
                byCode(LifeStage.values(), character.bearing().shares()),
                character.mayBearNone(),
                character.cluster().orElse(null),
                character.absence().code(),
                character.replication().replicates(),
                looks(character),
                character.effort().minutes(),
                character.effort().harm().code(),
                character.cautionTopics().stream()
                        .map(topic -> new HazardDto(topic.code(), caution(sheet, topic)))
                        .toList(),
                character.trust().months().stream().sorted().toList(),
                character.trust().materialMatters(),
                character.trust().positionMatters(),
                character.trust().assumedMaterial().map(Coded::code).orElse(null),
                character.trust().assumedPosition().map(Coded::code).orElse(null),
                Certainty.ASSUMED.code(),
                character.effort().sense().code(),
                character.effort().redGreen(),
                character.guidance().howTo(),
                character.guidance().pitfall().orElse(null));
    }

    private static @Nullable Double outermost(List<ProfileDto> profiles, Function<List<Double>, Double> which) {
        List<Double> all = profiles.stream()
                .map(ProfileDto::range)
                .filter(Objects::nonNull)
                .flatMap(List::stream)
                .toList();
        return all.isEmpty() ? null : which.apply(all);
    }

    private static <K extends Coded> Map<String, Double> byCode(K[] order, Map<K, Double> numbers) {
        Map<String, Double> coded = new LinkedHashMap<>();
        for (K code : order) {
            if (numbers.containsKey(code)) {
                coded.put(code.code(), numbers.get(code));
            }
        }
        return coded;
    }

    private static List<Double> looks(DiagnosticCharacter character) {
        int most = Math.max(FEWEST_LOOKS, 2 * character.replication().replicates());
        return IntStream.rangeClosed(1, most)
                .mapToObj(character.replication()::looks)
                .toList();
    }

    private static String caution(GroupSheet sheet, CautionTopic topic) {
        return sheet.cautions().stream()
                .filter(caution -> caution.topic() == topic)
                .map(caution -> caution.text())
                .findFirst()
                .orElse("");
    }

    /** One state of a character; without a drawing its words are shown large. */
    record StateDto(String id, String name, @Nullable DrawingDto draw) {
        static StateDto of(State state) {
            return new StateDto(
                    state.id(),
                    state.name(),
                    state.drawing().map(DrawingDto::of).orElse(null));
        }
    }

    /** A part of a plant and the parameters it is drawn with: numbers, words, flags. */
    record DrawingDto(
            String part,

            @Schema(additionalProperties = Schema.AdditionalPropertiesValue.TRUE)
            Map<String, Object> parameters) {
        static DrawingDto of(Drawing drawing) {
            return new DrawingDto(drawing.part(), drawing.parameters());
        }
    }

    /**
     * Something that is measured or counted for a value.
     *
     * @param words what is laid or counted
     * @param counts whether it is counted, so a whole number; else it is measured
     */
    record PartDto(String words, boolean counts) {
        static List<PartDto> of(Scale scale) {
            return measured(scale).stream()
                    .flatMap(measured -> Taking.byHand(measured).stream())
                    .map(part -> new PartDto(part.words(), part.counts()))
                    .toList();
        }
    }

    /**
     * Something that is tapped on a photo for a value.
     *
     * @param words what is tapped
     * @param fewest taps
     * @param most taps
     */
    record TappedDto(String words, int fewest, int most) {
        static List<TappedDto> of(Scale scale) {
            return measured(scale).stream()
                    .flatMap(measured -> Taking.onPhoto(measured).stream())
                    .map(part -> new TappedDto(part.words(), part.fewest(), part.most()))
                    .toList();
        }
    }

    private static Optional<Measured> measured(Scale scale) {
        return scale instanceof NumberScale number ? number.measured() : Optional.empty();
    }

    /** A caution that applies while checking. */
    record HazardDto(@CodeOf(CautionTopic.class) String topic, String text) {}

    /**
     * What a character looks like in one taxon.
     *
     * @param derived whether it was derived from a hybrid's parents
     * @param frequencies one a state, adding up to 1; null for numbers
     * @param range rarely low, usually low, usually high, rarely high; null for states
     */
    record ProfileDto(
            String taxon,
            boolean derived,
            @Nullable List<Double> frequencies,
            @Nullable List<Double> range) {
        private static final int MOST_DECIMALS = 6;
        private static final MathContext THREE_DIGITS = new MathContext(3, RoundingMode.HALF_UP);

        static ProfileDto of(GroupSheet sheet, DiagnosticCharacter character, Taxon taxon) {
            Profile profile = sheet.profile(character, taxon.id());
            boolean derived = !character.profiles().containsKey(taxon.id());
            if (profile instanceof StateProfile states && character.scale() instanceof StateScale scale) {
                List<Double> frequencies = scale.states().stream()
                        .map(state -> states.frequencies().getOrDefault(state.id(), 0.0))
                        .toList();
                return new ProfileDto(taxon.id(), derived, frequencies, null);
            }
            Range range = ((RangeProfile) profile).range();
            return new ProfileDto(
                    taxon.id(),
                    derived,
                    null,
                    Stream.of(range.rarelyLow(), range.usuallyLow(), range.usuallyHigh(), range.rarelyHigh())
                            .map(limit -> readable(limit, (NumberScale) character.scale(), derived))
                            .toList());
        }

        /** What was derived has digits that nobody reads off a ruler; what is the sheet's own loses only dust. */
        private static double readable(double limit, NumberScale scale, boolean derived) {
            BigDecimal figure = BigDecimal.valueOf(limit);
            if (derived) {
                figure = scale.isCount() ? figure.setScale(0, RoundingMode.HALF_UP) : figure.round(THREE_DIGITS);
            }
            return figure.setScale(MOST_DECIMALS, RoundingMode.HALF_UP).doubleValue();
        }
    }
}
