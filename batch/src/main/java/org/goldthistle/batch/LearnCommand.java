package org.goldthistle.batch;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Callable;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.balance.ModelConstants;
import org.goldthistle.core.change.SheetChange;
import org.goldthistle.core.change.SheetDifference;
import org.goldthistle.core.learning.Lesson;
import org.goldthistle.core.learning.Proposal;
import org.goldthistle.core.learning.Ruling;
import org.goldthistle.core.learning.Trial;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.formats.GroupSheetWriter;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/** Writes the sheet as trees whose taxon is known would have it, and says what that rests on. */
@Command(
        name = "learn",
        mixinStandardHelpOptions = true,
        description = "Propose weights and profiles from trees whose taxon is known.")
final class LearnCommand implements Callable<Integer> {
    @Spec
    private CommandSpec spec;

    @Mixin
    private VerifiedTrees trees;

    @Option(
            names = "--out",
            required = true,
            paramLabel = "SHEET2.json",
            description = "where the proposed sheet is written; nothing is written when nothing is proposed")
    private String proposed;

    @Option(
            names = "--decisive",
            split = ",",
            paramLabel = "CHARACTER",
            description = "characters that settled a case: they keep a weight of at least 0.05")
    private List<String> decisive = List.of();

    @Override
    public Integer call() throws IOException {
        if (java.nio.file.Files.exists(Path.of(proposed))) {
            throw new IOException(proposed + ": there is such a file already, and it was left as it is. Name another.");
        }
        GroupModel model = trees.model();
        requireCharacters(model.sheet());
        Set<String> kept = new LinkedHashSet<>(decisive);
        Lesson lesson = Lesson.of(model.sheet(), trees.of(model, Optional.empty()), kept);
        PrintWriter out = spec.commandLine().getOut();
        tell(out, lesson);
        if (lesson.ruling() == Ruling.ACCEPT) {
            java.nio.file.Files.writeString(Path.of(proposed), GroupSheetWriter.text(lesson.proposed()));
            out.println();
            for (Proposal proposal : lesson.proposals()) {
                tell(out, model.sheet(), proposal);
            }
            out.printf(
                    Locale.ROOT, "%nThe proposal is in %s. It is a proposal: read it before you use it.%n", proposed);
        }
        out.flush();
        return lesson.ruling() == Ruling.ACCEPT ? 0 : 1;
    }

    private void requireCharacters(GroupSheet known) throws IOException {
        for (String id : decisive) {
            if (known.character(id).isEmpty()) {
                throw new IOException("--decisive " + id + ": the sheet has no such character");
            }
        }
    }

    private static void tell(PrintWriter out, Lesson lesson) {
        out.printf(Locale.ROOT, "%d verified trees; %s%n", lesson.trees(), words(lesson));
        for (Lesson.Choice choice : Lesson.Choice.values()) {
            if (lesson.trials().containsKey(choice)) {
                Trial trial = lesson.trials().get(choice);
                out.printf(
                        Locale.ROOT,
                        "%-9s log loss %.4f instead of %.4f on trees that were held back, %.4f ± %.4f less: %s%n",
                        choice.code(),
                        trial.after(),
                        trial.before(),
                        trial.gain(),
                        trial.standardError(),
                        trial.ruling().code());
            }
        }
    }

    private static String words(Lesson lesson) {
        return switch (lesson.ruling()) {
            case TOO_FEW -> "not enough trees: nothing is proposed below " + ModelConstants.FEWEST_VERIFIED;
            case NO_GAIN -> "no gain: nothing is proposed";
            case ACCEPT ->
                "proposed: "
                        + switch (lesson.choice().orElseThrow()) {
                            case WEIGHTS -> "other weights";
                            case PROFILES -> "other profiles";
                            case BOTH -> "other profiles, and weights for them";
                        };
        };
    }

    private static void tell(PrintWriter out, GroupSheet sheet, Proposal proposal) {
        DiagnosticCharacter character = proposal.now();
        for (SheetChange change : SheetDifference.between(sheet, with(sheet, proposal.proposed()))) {
            out.printf("%s, %s%n", character.id(), ChangeText.line(change));
        }
        out.printf(
                Locale.ROOT,
                "    from %d trees; alone it changes log loss by %+.4f%n",
                proposal.trees(),
                proposal.lossAlone());
    }

    private static GroupSheet with(GroupSheet sheet, DiagnosticCharacter other) {
        return sheet.withCharacters(sheet.characters().stream()
                .map(one -> one.id().equals(other.id()) ? other : one)
                .toList());
    }
}
