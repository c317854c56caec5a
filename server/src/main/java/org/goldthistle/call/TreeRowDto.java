package org.goldthistle.call;

import java.util.List;
import java.util.UUID;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Taxon;
import org.goldthistle.survey.SurveyedTree;
import org.springframework.lang.Nullable;

/**
 * A tree in a survey's list.
 *
 * @param groupTitle the confusable group it belongs to
 * @param readings how many characters this observer has entered
 * @param lead the taxon that leads by them; null before the first
 * @param share of the lead, in [0, 1]; null before the first
 * @param signed what observers signed last, the newest first
 */
record TreeRowDto(
        UUID id,
        String plotCode,
        int tag,
        String groupId,
        String groupTitle,
        String stage,
        int diameterMillimetres,
        int readings,
        @Nullable LeadDto lead,
        @Nullable Double share,
        List<SignedDto> signed) {

    static TreeRowDto of(SurveyedTree tree, CallRecord mine, List<DeterminationDto> determinations) {
        GroupSheet sheet = mine.sheet().sheet();
        int entered = mine.counting().size();
        Figures.BalanceFigures balance = mine.figures().withSurroundings();
        int lead = sheet.taxonIndex(balance.lead());
        return new TreeRowDto(
                tree.id(),
                tree.plotCode(),
                tree.tag(),
                sheet.id(),
                sheet.title(),
                tree.stage(),
                tree.diameterMillimetres(),
                entered,
                entered == 0 ? null : LeadDto.of(sheet.taxa().get(lead)),
                entered == 0 ? null : balance.shares().get(lead).posterior(),
                determinations.stream()
                        .filter(one -> !one.superseded())
                        .map(one -> new SignedDto(one.observer(), one.commonName(), one.scientificName()))
                        .toList());
    }

    /** The taxon that leads. */
    record LeadDto(String commonName, String scientificName) {
        static LeadDto of(Taxon taxon) {
            return new LeadDto(taxon.name().commonName(), taxon.name().scientificName());
        }
    }

    /** What an observer signed. */
    record SignedDto(String observer, String commonName, String scientificName) {}
}
