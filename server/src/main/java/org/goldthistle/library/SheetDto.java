package org.goldthistle.library;

import java.util.List;
import java.util.UUID;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.balance.ModelConstants;
import org.goldthistle.core.sheet.Caution;
import org.goldthistle.core.sheet.CautionTopic;
import org.goldthistle.core.sheet.GateItem;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Rank;
import org.goldthistle.core.sheet.Standing;
import org.goldthistle.core.sheet.Taxon;
import org.goldthistle.core.sheet.TaxonOrigin;
import org.springframework.lang.Nullable;

/** A sheet version as the browser reads it. */
record SheetDto(
        UUID versionId,
        String groupId,
        int version,
        String title,
        String why,
        String region,
        List<TaxonDto> taxa,
        FallbackDto fallback,
        List<GateItemDto> gate,
        List<CharacterDto> characters,
        List<CautionDto> cautions,
        List<String> sources,
        CountsDto counts) {

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
                sheet.gate().stream().map(GateItemDto::of).toList(),
                sheet.characters().stream()
                        .map(character -> CharacterDto.of(sheet, character))
                        .toList(),
                sheet.cautions().stream().map(CautionDto::of).toList(),
                sheet.sources(),
                CountsDto.OF_EVERY_SHEET);
    }

    /**
     * What is left of a reading's weight, in [0, 1].
     *
     * @param outOfSeason that was made outside the character's months
     * @param lacking by an observer who lacks what the check asks for
     * @param weakAbsence that says of a character that tells little that it was not seen
     */
    record CountsDto(double outOfSeason, double lacking, double weakAbsence) {
        static final CountsDto OF_EVERY_SHEET = new CountsDto(
                ModelConstants.OUT_OF_SEASON, ModelConstants.FACULTY_LACKING, ModelConstants.WEAK_ABSENCE);
    }

    /**
     * One of the taxa that get mixed up.
     *
     * @param alsoCalled synonyms, other common names, names in other languages
     */
    record TaxonDto(
            String id,
            String scientificName,
            String commonName,
            List<String> alsoCalled,
            @CodeOf(Rank.class) String rank,
            @CodeOf(TaxonOrigin.class) String origin,
            @CodeOf(Standing.class) String standing) {
        static TaxonDto of(Taxon taxon) {
            return new TaxonDto(
                    taxon.id(),
                    taxon.name().scientificName(),
                    taxon.name().commonName(),
                    taxon.name().alsoCalled(),
                    taxon.rank().code(),
                    taxon.origin().code(),
                    taxon.standing().code());
        }
    }

    /** What is recorded when the group cannot be separated. */
    record FallbackDto(String scientificName, String commonName) {}

    /** What every member of the group shares, what a tree is likely to be without it, the group to look in then; drawn. */
    record GateItemDto(
            String id,
            String name,
            String howTo,
            String otherwise,
            @Nullable String otherwiseGroup,
            @Nullable CharacterDto.DrawingDto draw,
            @Nullable CharacterDto.DrawingDto drawOtherwise) {
        static GateItemDto of(GateItem item) {
            return new GateItemDto(
                    item.id(),
                    item.name(),
                    item.howTo(),
                    item.otherwise(),
                    item.otherwiseGroup().orElse(null),
                    item.drawing().map(CharacterDto.DrawingDto::of).orElse(null),
                    item.otherwiseDrawing().map(CharacterDto.DrawingDto::of).orElse(null));
        }
    }

    /** What to be careful of. */
    record CautionDto(@CodeOf(CautionTopic.class) String topic, String text) {
        static CautionDto of(Caution caution) {
            return new CautionDto(caution.topic().code(), caution.text());
        }
    }
}
