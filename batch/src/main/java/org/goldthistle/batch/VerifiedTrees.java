package org.goldthistle.batch;

import java.io.IOException;
import java.util.List;
import java.util.Optional;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.learning.VerifiedTree;
import org.goldthistle.core.sheet.School;
import org.goldthistle.core.verdict.Tier;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** A sheet, and trees whose taxon is known. */
final class VerifiedTrees {
    @Parameters(index = "0", paramLabel = "SHEET.json", description = "the group sheet; it stays as it is")
    private String sheet;

    @Parameters(
            index = "1",
            paramLabel = "VERIFIED.json",
            description = "specimens, each with its truth; - for standard input")
    private String verified;

    @Option(
            names = "--tier",
            defaultValue = "record",
            converter = Codes.OfTier.class,
            description = "what the trees were read for: tally, record (the default) or control")
    private Tier tier;

    GroupModel model() throws IOException {
        return Files.model(sheet);
    }

    List<VerifiedTree> of(GroupModel model, Optional<School> school) throws IOException {
        return VerifiedFile.read(verified, model, tier, school);
    }
}
