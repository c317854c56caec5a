package org.goldthistle.core.verdict;

import java.util.List;
import java.util.Optional;
import org.goldthistle.core.Sheets;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.balance.WeighedReading;
import org.goldthistle.core.reading.Evidence;
import org.goldthistle.core.reading.Observation;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.DiscriminantIndex;
import org.goldthistle.core.sheet.Fallback;
import org.goldthistle.core.sheet.FirstLook;
import org.goldthistle.core.sheet.GateItem;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Harm;
import org.goldthistle.core.sheet.Measure;
import org.goldthistle.core.sheet.Organ;
import org.goldthistle.core.sheet.Zone;

/** Small assessments and their codes, so that a test shows only what it is about. */
final class Assessed {
    // one reading of x: p' = 0.98·p + 0.01, so 0.99 against 0.01 is 10·log10(0.9802/0.0198) = 16.9 points
    static final GroupSheet SHARP = Sheets.sheet(
            Sheets.pair(),
            clear("bark", Organ.BARK, Zone.TRUNK),
            clear("twig", Organ.TWIG, Zone.HAND),
            clear("leaf", Organ.LEAF, Zone.LENS));

    private Assessed() {}

    static Assessment assess(GroupSheet sheet, Tier tier, Observation... observations) {
        return Assessment.of(
                GroupModel.of(sheet),
                Evidence.of(sheet, Sheets.wildInJune(), List.of(observations)),
                new Terms(tier, Optional.empty(), Harm.SAMPLE, Optional.empty()),
                CallRecord.EMPTY);
    }

    static DiagnosticCharacter clear(String id, Organ organ, Zone zone) {
        return clear(id, organ, zone, 1);
    }

    static DiagnosticCharacter clear(String id, Organ organ, Zone zone, double weight) {
        return Sheets.character(id)
                .organ(organ, zone)
                .states("x", "y")
                .in("a", 0.99, 0.01)
                .in("b", 0.01, 0.99)
                .weight(weight)
                .build();
    }

    static GroupSheet withGate(GroupSheet sheet) {
        return Sheets.gated(
                sheet,
                new GateItem(
                        "paired",
                        "leaves in pairs",
                        Organ.LEAF,
                        Zone.HAND,
                        "look",
                        "another group",
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty()));
    }

    static GroupSheet withIndex() {
        var function = new DiscriminantIndex(
                "function",
                "function",
                "made up",
                "a",
                "b",
                List.of(new DiscriminantIndex.Term("length", 2)),
                -20,
                2,
                "work it");
        return new GroupSheet(
                "test",
                "Test",
                Optional.empty(),
                "nowhere",
                "made up",
                Sheets.pair(),
                new Fallback("T. sp.", "test"),
                FirstLook.SILENT,
                List.of(),
                List.of(
                        clear("bark", Organ.BARK, Zone.TRUNK),
                        Sheets.character("length")
                                .numbers(Measure.LENGTH)
                                .range("a", 0, 5, 15, 20)
                                .range("b", 0, 5, 15, 20)
                                .build()),
                List.of(function),
                List.of(),
                List.of("made up"));
    }

    static List<String> codes(List<Need> needs) {
        return needs.stream().map(Need::code).toList();
    }

    static List<String> codesOf(List<Reason> reasons) {
        return reasons.stream().map(Reason::code).toList();
    }

    static List<String> ids(List<WeighedReading> readings) {
        return readings.stream().map(reading -> reading.character().id()).toList();
    }

    static DiagnosticCharacter fair(String id, Organ organ) {
        return Sheets.character(id)
                .organ(organ, Zone.HAND)
                .states("x", "y")
                .in("a", 0.8, 0.2)
                .in("b", 0.2, 0.8)
                .build();
    }
}
