package org.goldthistle.batch;

import java.io.IOException;
import java.io.OutputStreamWriter;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import org.goldthistle.core.Refusal;
import org.goldthistle.core.RefusedException;
import picocli.CommandLine;
import picocli.CommandLine.Command;

/** {@code ./goldthistle} {@code evaluate}, {@code separability}, {@code calibrate} and {@code learn}. */
@Command(
        name = "./goldthistle",
        subcommands = {EvaluateCommand.class, SeparabilityCommand.class, CalibrateCommand.class, LearnCommand.class},
        synopsisSubcommandLabel = "COMMAND")
public final class BatchMain {
    private BatchMain() {}

    /** Runs one command and ends with its exit code: 0 well, 1 something broke, 2 wrong usage. */
    public static void main(String[] arguments) {
        PrintWriter out = new PrintWriter(new OutputStreamWriter(System.out, StandardCharsets.UTF_8), false);
        PrintWriter err = new PrintWriter(new OutputStreamWriter(System.err, StandardCharsets.UTF_8), true);
        int code = run(out, err, arguments);
        out.flush();
        System.exit(code);
    }

    static int run(PrintWriter out, PrintWriter err, String... arguments) {
        return new CommandLine(new BatchMain())
                .setOut(out)
                .setErr(err)
                .setExecutionExceptionHandler((failure, line, parsed) -> report(failure, err))
                .execute(arguments);
    }

    private static int report(Exception failure, PrintWriter err) {
        if (failure instanceof RefusedException refused) {
            for (Refusal refusal : refused.refusals()) {
                err.println(refusal.message());
            }
            return 1;
        }
        if (failure instanceof IOException) {
            err.println(failure.getMessage());
            return 1;
        }
        err.println("something that was not foreseen: " + failure + "; tell who makes Goldthistle what you asked for");
        return 1;
    }
}
