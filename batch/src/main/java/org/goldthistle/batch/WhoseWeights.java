package org.goldthistle.batch;

import java.util.Optional;
import org.goldthistle.core.sheet.School;
import picocli.CommandLine.Option;

/** The choice of whose weights count. */
final class WhoseWeights {
    @Option(
            names = "--school",
            converter = Codes.OfSchool.class,
            description = "whose weights: field-marks or close-characters; otherwise the sheet's own")
    private School school;

    /** Whose; empty: the sheet's own. */
    Optional<School> school() {
        return Optional.ofNullable(school);
    }
}
