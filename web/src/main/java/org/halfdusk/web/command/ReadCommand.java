package org.halfdusk.web.command;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import org.halfdusk.web.picture.FrameAnswer;
import org.halfdusk.web.picture.PictureFile;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import tools.jackson.databind.json.JsonMapper;

/** Reads frames: a line of JSON each. */
@Command(
        name = "read",
        mixinStandardHelpOptions = true,
        description = {
            "Reads frames: light, stars and their shapes, what spoilt them. A line of JSON each, as the application's own answer.",
            "Exit codes: 0 done, 1 nothing done, 2 wrong use, 3 done in part: standard error says which could not be read."
        })
final class ReadCommand implements Callable<Integer> {
    @Spec
    @SuppressWarnings("NullAway.Init")
    private CommandSpec spec;

    @Parameters(arity = "1..*", paramLabel = "FRAMES", description = "Files.")
    private List<Path> frames = new ArrayList<>();

    /** @param file as it was named */
    record Line(String file, FrameAnswer read) {}

    @Override
    public Integer call() {
        PrintWriter out = spec.commandLine().getOut();
        PrintWriter err = spec.commandLine().getErr();
        JsonMapper mapper = new JsonMapper();
        int done = 0;
        for (Path file : frames) {
            try {
                if (!Files.isRegularFile(file)) {
                    throw new IllegalArgumentException("“" + file + "” is not there; a picture's file is allowed");
                }
                Line line = PictureFile.read(
                        file,
                        file.getFileName().toString(),
                        p -> new Line(
                                file.toString(),
                                FrameAnswer.of(p.pixels(), p.exif().shot(), Optional.empty())));
                out.println(mapper.writeValueAsString(line));
                done++;
            } catch (IllegalArgumentException e) {
                err.println(e.getMessage());
            } catch (IOException e) {
                err.println(file + " cannot be read: " + e.getMessage());
            }
        }
        return done == frames.size() ? Commands.DONE : done == 0 ? Commands.NOTHING : Commands.IN_PART;
    }
}
