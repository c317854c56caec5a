package org.goldthistle.batch;

import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.PrintWriter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Callable;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.plan.PlanTerms;
import org.goldthistle.core.plan.Separability;
import org.goldthistle.core.reading.Unseen;
import org.goldthistle.core.sheet.Harm;
import org.goldthistle.core.sheet.LifeStage;
import org.goldthistle.core.sheet.Taxon;
import org.goldthistle.core.stranger.IfSomethingElse;
import org.goldthistle.core.verdict.Tier;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
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

    @Mixin
    private WhoseWeights whose;

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
                whose.school(),
                noWounding ? Harm.SAMPLE : Harm.WOUND,
                false,
                Unseen.NOTHING,
                Set.of());
        Separability separability = Separability.of(model, stage, terms, SpecimenLines.SEED);
        IfSomethingElse other = IfSomethingElse.of(model, stage, terms.school(), terms.mostHarm(), SpecimenLines.SEED);
        PrintWriter out = spec.commandLine().getOut();
        if (format == OutputFormat.JSON) {
            out.println(json(model, separability, other));
        } else {
            table(out, model.sheet().taxa(), separability);
            table(out, other);
        }
        out.flush();
        return 0;
    }

    private String json(GroupModel model, Separability separability, IfSomethingElse other) {
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
        ObjectNode strangers = root.putObject("ifSomethingElse");
        for (IfSomethingElse.Stranger stranger : other.strangers()) {
            ObjectNode node = strangers.putObject(stranger.taxon().id());
            put(node, "tally", stranger.tally());
            put(node, "record", stranger.record());
        }
        return root.toString();
    }

    private static void put(ObjectNode node, String key, Optional<IfSomethingElse.Misnamed> misnamed) {
        misnamed.ifPresentOrElse(
                found -> {
                    ObjectNode figures = node.putObject(key);
                    figures.put("signable", found.signable());
                    figures.put("flagged", found.flagged());
                    figures.put("mostly", found.mostly().map(Taxon::id).orElse(null));
                },
                () -> node.putNull(key));
    }

    private static void table(PrintWriter out, IfSomethingElse other) {
        out.printf(
                Locale.ROOT,
                "%nif it were something else: of 100 trees of a taxon that the sheet did not know, those that could be signed"
                        + " under a wrong name, and of these the ones that some reason flags%n%-16s %8s %8s %8s %8s  %s%n",
                "taxon",
                "tally",
                "flagged",
                "record",
                "flagged",
                "mostly taken for");
        for (IfSomethingElse.Stranger stranger : other.strangers()) {
            if (stranger.record().isEmpty()) {
                out.printf(
                        Locale.ROOT,
                        "%-16s without it too few taxa are left to compare%n",
                        stranger.taxon().id());
            } else {
                out.printf(
                        Locale.ROOT,
                        "%-16s %s %s  %s%n",
                        stranger.taxon().id(),
                        figures(stranger.tally().orElseThrow()),
                        figures(stranger.record().orElseThrow()),
                        stranger.record()
                                .flatMap(IfSomethingElse.Misnamed::mostly)
                                .or(() -> stranger.tally().flatMap(IfSomethingElse.Misnamed::mostly))
                                .map(Taxon::id)
                                .orElse("-"));
            }
        }
    }

    private static String figures(IfSomethingElse.Misnamed misnamed) {
        return String.format(
                Locale.ROOT,
                "%8.1f %8s",
                100 * misnamed.signable(),
                misnamed.flaggedOfSignable()
                        .map(share -> String.format(Locale.ROOT, "%.0f %%", 100 * share))
                        .orElse("-"));
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
