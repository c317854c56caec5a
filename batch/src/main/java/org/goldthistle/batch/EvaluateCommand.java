package org.goldthistle.batch;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.Reader;
import java.util.Optional;
import java.util.concurrent.Callable;
import org.goldthistle.core.Refusal;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.reading.Evidence;
import org.goldthistle.core.sheet.Harm;
import org.goldthistle.core.verdict.Assessment;
import org.goldthistle.core.verdict.CallRecord;
import org.goldthistle.core.verdict.Terms;
import org.goldthistle.core.verdict.Tier;
import org.goldthistle.formats.CaseFileJson;
import org.goldthistle.formats.Specimen;
import org.goldthistle.formats.SpecimenJson;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/**
 * Weighs every specimen of a file; one that is broken gets a line of its own and the rest go on. The file of a settled
 * review has sheet and readings in it, and is compared with what it recorded.
 */
@Command(name = "evaluate", mixinStandardHelpOptions = true, description = "Weigh every specimen of a file.")
final class EvaluateCommand implements Callable<Integer> {
    @Spec
    private CommandSpec spec;

    @Parameters(index = "0", paramLabel = "SHEET.json", description = "the group sheet; or, alone, the file of a case")
    private String sheet;

    @Parameters(
            index = "1",
            arity = "0..1",
            paramLabel = "SPECIMENS.json",
            description = "the specimens; - for standard input")
    private String specimens;

    @Option(
            names = "--tier",
            defaultValue = "tally",
            converter = Codes.OfTier.class,
            description = "what the calls are for: tally (the default), record, control")
    private Tier tier;

    @Mixin
    private WhoseWeights whose;

    @Option(names = "--features-alone", description = "give lead, rival, posterior and points without the surroundings")
    private boolean featuresAlone;

    @Option(names = "--allow-wounding", description = "offer checks that wound the tree")
    private boolean allowWounding;

    @Option(
            names = "--format",
            defaultValue = "json",
            converter = Codes.OfFormat.class,
            description = "json (the default): one line a specimen; table: for people")
    private OutputFormat format;

    @Override
    public Integer call() throws IOException {
        if (specimens == null) {
            return evaluateCase();
        }
        GroupModel model = Files.model(sheet);
        Terms terms = new Terms(tier, whose.school(), allowWounding ? Harm.WOUND : Harm.SAMPLE, Optional.empty());
        PrintWriter out = spec.commandLine().getOut();
        SpecimenLines lines =
                format == OutputFormat.JSON ? new JsonLines(out, featuresAlone) : new TableLines(out, featuresAlone);
        boolean[] broke = {false};
        try (Reader source = Files.open(specimens)) {
            SpecimenJson.stream(
                    source, specimen -> lines.add(specimen.id(), assessment(model, specimen, terms)), (id, refused) -> {
                        lines.addBroken(id, words(refused));
                        broke[0] = true;
                    });
        } catch (RefusedException noLongerJson) {
            lines.addBroken(specimens, words(noLongerJson) + "; nothing after this place was read");
            broke[0] = true;
        }
        out.flush();
        return broke[0] ? 1 : 0;
    }

    private int evaluateCase() throws IOException {
        String text = Files.text(sheet);
        if (!CaseFileJson.isCaseFile(text)) {
            throw new IOException(
                    sheet + ": a sheet alone cannot be evaluated. Name a file of specimens after it, or the"
                            + " file of a settled case alone.");
        }
        CaseFileJson.CaseFile file = CaseFileJson.read(text);
        GroupModel model = GroupModel.of(file.sheet());
        Terms terms = new Terms(tier, file.school(), allowWounding ? Harm.WOUND : Harm.SAMPLE, Optional.empty());
        PrintWriter out = spec.commandLine().getOut();
        SpecimenLines lines =
                format == OutputFormat.JSON ? new JsonLines(out, featuresAlone) : new TableLines(out, featuresAlone);
        CaseCheck check = new CaseCheck(file);
        for (Specimen specimen : file.specimens()) {
            Assessment now = assessment(model, specimen, terms);
            lines.add(specimen.id(), now);
            check.add(specimen.id(), now);
        }
        out.flush();
        return check.report(spec.commandLine().getErr()) ? 0 : 1;
    }

    private static Assessment assessment(GroupModel model, Specimen specimen, Terms terms) {
        Evidence evidence = Evidence.of(model.sheet(), specimen.context(), specimen.observations(), specimen.gate());
        return Assessment.of(model, evidence, terms, CallRecord.EMPTY);
    }

    private static String words(RefusedException refused) {
        return String.join(
                "; ", refused.refusals().stream().map(Refusal::message).toList());
    }
}
