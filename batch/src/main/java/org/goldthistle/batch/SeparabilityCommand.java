package org.goldthistle.batch;

import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.PrintWriter;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Callable;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.plan.PlanTerms;
import org.goldthistle.core.plan.Separability;
import org.goldthistle.core.sheet.Harm;
import org.goldthistle.core.sheet.LifeStage;
import org.goldthistle.core.sheet.School;
import org.goldthistle.core.sheet.Taxon;
import org.goldthistle.core.verdict.Tier;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** How well the taxa of a sheet can be told apart in each month, and what is taken for what. */
@Command(
        name = "separability",
        mixinStandardHelpOptions = true,
        description = "Tell in which months the taxa of a sheet can be told apart.")
final class SeparabilityCommand implements Callable<Integer> {
    @Spec
    private CommandSpec spec;

    @Parameters(index = "0", paramLabel = "SHEET.json", description = "the group sheet; - for standard input")
    private String sheet;

    @Option(
            names = "--stage",
            defaultValue = "mature",
            converter = Codes.OfStage.class,
            description = "seedling, sapling, pole or mature (the default)")
    private LifeStage stage;

    @Option(names = "--no-wounding", description = "leave out checks that wound the tree")
    private boolean noWounding;

    @Option(
            names = "--tier",
            defaultValue = "record",
            converter = Codes.OfTier.class,
            description = "how sure a tree must be: tally, record (the default) or control")
    private Tier tier;

    @Option(
            names = "--school",
            converter = Codes.OfSchool.class,
            description = "whose weights: field-marks or close-characters; otherwise the sheet's own")
    private School school;

    @Option(
            names = "--format",
            defaultValue = "table",
            converter = Codes.OfFormat.class,
            description = "table (the default) or json")
    private OutputFormat format;

    @Override
    public Integer call() throws IOException {
        GroupModel model = Files.model(sheet);
        PlanTerms terms = new PlanTerms(
                tier.threshold(),
                Optional.ofNullable(school),
                noWounding ? Harm.SAMPLE : Harm.WOUND,
                false,
                Map.of(),
                Set.of());
        Separability separability = Separability.of(model, stage, terms, SpecimenLines.SEED);
        PrintWriter out = spec.commandLine().getOut();
        if (format == OutputFormat.JSON) {
            out.println(json(model, separability));
        } else {
            table(out, model.sheet().taxa(), separability);
        }
        out.flush();
        return 0;
    }

    private String json(GroupModel model, Separability separability) {
        List<Taxon> taxa = model.sheet().taxa();
        ObjectNode root = new JsonMapper().createObjectNode();
        root.put("sheet", model.sheet().id());
        root.put("stage", stage.code());
        root.put("tier", tier.code());
        root.put("trees", Separability.TREES);
        ArrayNode months = root.putArray("months");
        for (Separability.Month month : separability.months()) {
            ObjectNode node = months.addObject().put("month", month.month());
            ObjectNode byTaxon = node.putObject("taxa");
            ObjectNode confusion = node.putObject("confusion");
            for (int truth = 0; truth < taxa.size(); truth++) {
                Separability.Fate fate = month.taxa().get(truth);
                byTaxon.putObject(taxa.get(truth).id())
                        .put("settle", fate.chanceToSettle(truth))
                        .put("settleError", Separability.standardError(fate.chanceToSettle(truth)))
                        .put("mislead", fate.chanceToMislead(truth));
                ObjectNode row = confusion.putObject(taxa.get(truth).id());
                for (int name = 0; name < taxa.size(); name++) {
                    row.put(taxa.get(name).id(), fate.named().get(name));
                }
                row.put("unsettled", fate.unsettled());
            }
        }
        return root.toString();
    }

    private static void table(PrintWriter out, List<Taxon> taxa, Separability separability) {
        out.printf(
                Locale.ROOT,
                "rightly settled, and wrongly, of 100 trees of each taxon; %d were played, ± %.1f at most (one standard error)%n%-6s",
                Separability.TREES,
                100 * separability.largestError(),
                "month");
        taxa.forEach(taxon -> out.printf(Locale.ROOT, " %16s", taxon.id()));
        out.println();
        for (Separability.Month month : separability.months()) {
            out.printf(Locale.ROOT, "%5d ", month.month());
            for (int k = 0; k < taxa.size(); k++) {
                Separability.Fate fate = month.taxa().get(k);
                out.printf(Locale.ROOT, " %10.0f %5.1f", 100 * fate.chanceToSettle(k), 100 * fate.chanceToMislead(k));
            }
            out.println();
        }
        for (Separability.Month month : separability.months()) {
            out.printf(Locale.ROOT, "%nmonth %d: trees of the taxon at the left end as%n%-16s", month.month(), "");
            taxa.forEach(taxon -> out.printf(Locale.ROOT, " %14s", taxon.id()));
            out.printf(Locale.ROOT, " %14s%n", "unsettled");
            for (int truth = 0; truth < taxa.size(); truth++) {
                Separability.Fate fate = month.taxa().get(truth);
                out.printf(Locale.ROOT, "%-16s", taxa.get(truth).id());
                fate.named().forEach(share -> out.printf(Locale.ROOT, " %14.1f", 100 * share));
                out.printf(Locale.ROOT, " %14.1f%n", 100 * fate.unsettled());
            }
        }
    }
}
