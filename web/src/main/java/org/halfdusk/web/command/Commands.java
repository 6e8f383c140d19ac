package org.halfdusk.web.command;

import java.io.PrintStream;
import java.io.PrintWriter;
import java.nio.charset.Charset;
import java.util.Set;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;

/** What the jar does without its server. */
@Command(
        name = "half-dusk",
        mixinStandardHelpOptions = true,
        version = "Half Dusk",
        description = "Without a command it starts the application; these do their work without it.",
        subcommands = {StackCommand.class, ReadCommand.class})
public final class Commands implements Runnable {
    /** Everything asked for was done. */
    public static final int DONE = 0;

    /** Nothing was. */
    public static final int NOTHING = 1;

    /** It was asked wrongly. */
    static final int WRONG_USE = 2;

    /** Some of it was; standard error says which was not. */
    public static final int IN_PART = 3;

    private static final Set<String> NAMES = Set.of("stack", "read");

    @Spec
    @SuppressWarnings("NullAway.Init")
    private CommandSpec spec;

    @Override
    public void run() {
        throw new ParameterException(spec.commandLine(), "no command is named; stack or read is allowed");
    }

    /** Whether what was typed behind the jar's name is for these, not for the server. */
    public static boolean meant(String[] args) {
        return args.length > 0 && NAMES.contains(args[0]);
    }

    /** Does it. @return the exit code: 0 done, 1 nothing done, 2 wrong use, 3 done in part */
    public static int run(String... args) {
        return run(written(System.out), written(System.err), args);
    }

    /** As the terminal writes. */
    private static PrintWriter written(PrintStream stream) {
        return new PrintWriter(stream, true, Charset.defaultCharset());
    }

    static int run(PrintWriter out, PrintWriter err, String... args) {
        return new CommandLine(new Commands())
                .setCaseInsensitiveEnumValuesAllowed(true)
                .setOut(out)
                .setErr(err)
                .execute(args);
    }
}
