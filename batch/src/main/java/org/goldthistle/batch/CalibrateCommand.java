package org.goldthistle.batch;

import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.PrintWriter;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Callable;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.balance.ModelConstants;
import org.goldthistle.core.learning.Reliability;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/** Holds what a sheet makes one believe against trees whose taxon is known. */
@Command(
        name = "calibrate",
        mixinStandardHelpOptions = true,
        description = "Hold what a sheet makes one believe against trees whose taxon is known.")
final class CalibrateCommand implements Callable<Integer> {
    @Spec
    private CommandSpec spec;

    @Mixin
    private VerifiedTrees trees;

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
        GroupModel model = trees.model();
        Reliability found = Reliability.of(model, trees.of(model, whose.school()));
        PrintWriter out = spec.commandLine().getOut();
        if (format == OutputFormat.JSON) {
            out.println(json(model, found));
        } else {
            table(out, found);
        }
        out.flush();
        return 0;
    }

    private static String json(GroupModel model, Reliability found) {
        ObjectNode root = new JsonMapper().createObjectNode();
        root.put("sheet", model.sheet().id());
        root.put("trees", found.trees());
        root.put("enough", found.isOfEnough());
        putOrNull(root, "calibrationError", found.calibrationError());
        putOrNull(root, "brier", found.brier());
        putOrNull(root, "logLoss", found.logLoss());
        ArrayNode bins = root.putArray("bins");
        for (Reliability.Bin bin : found.bins()) {
            ObjectNode node = bins.addObject();
            node.put("from", bin.from()).put("to", bin.to());
            node.put("shares", bin.points().size());
            putOrNull(node, "meanShare", bin.meanShare());
            putOrNull(node, "observed", bin.observed());
        }
        return root.toString();
    }

    private static void putOrNull(ObjectNode node, String key, Optional<Double> figure) {
        figure.ifPresentOrElse(there -> node.put(key, there), () -> node.putNull(key));
    }

    private static void table(PrintWriter out, Reliability found) {
        out.printf(
                Locale.ROOT,
                "%d verified trees%s%n",
                found.trees(),
                found.isOfEnough() ? "" : ": too few, it takes " + ModelConstants.FEWEST_VERIFIED);
        out.println("expected calibration error " + figure(found.calibrationError()));
        out.println("Brier score                " + figure(found.brier()));
        out.println("log loss                   " + figure(found.logLoss()));
        out.printf(Locale.ROOT, "%n%-11s %8s %10s %10s%n", "believed", "shares", "mean", "came true");
        for (Reliability.Bin bin : found.bins()) {
            out.printf(
                    Locale.ROOT,
                    "%.1f to %.1f  %8d %10s %10s%n",
                    bin.from(),
                    bin.to(),
                    bin.points().size(),
                    figure(bin.meanShare()),
                    figure(bin.observed()));
        }
    }

    private static String figure(Optional<Double> figure) {
        return figure.map(there -> String.format(Locale.ROOT, "%.4f", there)).orElse("-");
    }
}
