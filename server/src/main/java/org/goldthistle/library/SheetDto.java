package org.goldthistle.library;

import java.util.List;
import java.util.UUID;
import org.goldthistle.core.sheet.CautionTopic;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Measure;
import org.goldthistle.core.sheet.NumberScale;
import org.goldthistle.core.sheet.StateScale;
import org.goldthistle.core.sheet.Taxon;
import org.springframework.lang.Nullable;

/** A sheet version as the browser reads it: words and order, not the figures that are reckoned with. */
record SheetDto(
        UUID versionId,
        String groupId,
        int version,
        String title,
        String why,
        String region,
        List<TaxonDto> taxa,
        FallbackDto fallback,
        List<CharacterDto> characters,
        List<String> sources) {

    static SheetDto of(StoredSheet stored) {
        GroupSheet sheet = stored.sheet();
        return new SheetDto(
                stored.id(),
                sheet.id(),
                stored.version(),
                sheet.title(),
                sheet.why(),
                sheet.region(),
                sheet.taxa().stream().map(TaxonDto::of).toList(),
                new FallbackDto(
                        sheet.fallback().scientificName(), sheet.fallback().commonName()),
                sheet.characters().stream()
                        .map(character -> CharacterDto.of(sheet, character))
                        .toList(),
                sheet.sources());
    }

    /** One of the taxa that get mixed up. */
    record TaxonDto(
            String id, String scientificName, String commonName, boolean hybrid, String origin, String standing) {
        static TaxonDto of(Taxon taxon) {
            return new TaxonDto(
                    taxon.id(),
                    taxon.name().scientificName(),
                    taxon.name().commonName(),
                    taxon.isHybrid(),
                    taxon.origin().code(),
                    taxon.standing().code());
        }
    }

    /** What is recorded when the group cannot be separated. */
    record FallbackDto(String scientificName, String commonName) {}

    /** One state of a character. */
    record StateDto(String id, String name) {}

    /** A caution that applies while checking. */
    record HazardDto(String topic, String text) {}

    /**
     * One character; numeric ones have a unit (empty for counts and ratios) and no states. Material and position
     * matter when its weight depends on them.
     */
    record CharacterDto(
            String id,
            String name,
            String organ,
            String zone,
            String kind,
            @Nullable String unit,
            List<StateDto> states,
            int replicates,
            double minutes,
            String harm,
            List<HazardDto> hazards,
            List<Integer> months,
            boolean materialMatters,
            boolean positionMatters,
            String howTo,
            @Nullable String pitfall) {

        static CharacterDto of(GroupSheet sheet, DiagnosticCharacter character) {
            List<StateDto> states = character.scale() instanceof StateScale scale
                    ? scale.states().stream()
                            .map(state -> new StateDto(state.id(), state.name()))
                            .toList()
                    : List.of();
            return new CharacterDto(
                    character.id(),
                    character.name(),
                    character.organ().code(),
                    character.zone().code(),
                    character.scale().kind(),
                    character.scale() instanceof NumberScale number ? unit(number.measure()) : null,
                    states,
                    character.replication().replicates(),
                    character.effort().minutes(),
                    character.effort().harm().code(),
                    character.effort().hazards().stream()
                            .map(topic -> new HazardDto(topic.code(), caution(sheet, topic)))
                            .toList(),
                    character.trust().months().stream().sorted().toList(),
                    !character.trust().materials().isEmpty(),
                    !character.trust().positions().isEmpty(),
                    character.guidance().howTo(),
                    character.guidance().pitfall().orElse(null));
        }

        private static String unit(Measure measure) {
            return switch (measure) {
                case LENGTH -> "mm";
                case ANGLE -> "°";
                case COUNT, RATIO -> "";
            };
        }

        private static String caution(GroupSheet sheet, CautionTopic topic) {
            return sheet.cautions().stream()
                    .filter(caution -> caution.topic() == topic)
                    .map(caution -> caution.text())
                    .findFirst()
                    .orElse("");
        }
    }
}
