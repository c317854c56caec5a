package org.goldthistle.learning;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.drawn.DrawnTrees;
import org.goldthistle.core.drawn.TreeStream;
import org.goldthistle.core.reading.Context;
import org.goldthistle.core.reading.Observation;
import org.goldthistle.core.reading.TreeOrigin;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Harm;
import org.goldthistle.core.sheet.LifeStage;
import org.goldthistle.core.sheet.Profile;
import org.goldthistle.formats.BuiltInLibrary;
import org.goldthistle.formats.GroupSheetJson;
import org.goldthistle.formats.Specimen;
import org.goldthistle.formats.SpecimenWriter;

/** Alders whose leaf tips tell nothing, whatever the sheet says of them, as a file of verified trees. */
public final class DrawnFile {
    /** The character that is the same on all of them. */
    public static final String SAYS_NOTHING = "leaf-tip";

    private DrawnFile() {}

    /** A file of so many trees. */
    public static byte[] ofAlders(int trees) {
        GroupSheet said = GroupSheetJson.read(BuiltInLibrary.sheetText("alders"));
        GroupModel wood = GroupModel.of(said.withCharacters(said.characters().stream()
                .map(one -> one.id().equals(SAYS_NOTHING) ? alike(said, one) : one)
                .toList()));
        var drawn = new DrawnTrees(wood, LifeStage.MATURE, Harm.SAMPLE);
        var context = new Context(
                7, LifeStage.MATURE, TreeOrigin.UNKNOWN, Set.of(), Optional.empty(), Optional.empty(), Map.of());
        List<Specimen> all = new ArrayList<>();
        for (int t = 0; t < trees; t++) {
            int truth = t % said.taxa().size();
            all.add(new Specimen(
                    "t" + t,
                    context,
                    List.<Observation>copyOf(drawn.read(truth, new TreeStream(1, 0, t))),
                    List.of(),
                    Optional.of(said.taxa().get(truth).id()),
                    Optional.empty()));
        }
        return SpecimenWriter.text(all).getBytes(StandardCharsets.UTF_8);
    }

    private static DiagnosticCharacter alike(GroupSheet sheet, DiagnosticCharacter one) {
        Map<String, Profile> profiles = new LinkedHashMap<>();
        sheet.taxa()
                .forEach(taxon -> profiles.put(
                        taxon.id(), sheet.profile(one, sheet.taxa().get(0).id())));
        return one.withProfiles(profiles);
    }
}
