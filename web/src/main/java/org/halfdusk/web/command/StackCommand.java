package org.halfdusk.web.command;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.stream.Stream;
import org.halfdusk.web.command.stack.StackFigures;
import org.halfdusk.web.command.stack.StackJob;
import org.halfdusk.web.command.stack.StackMode;
import org.halfdusk.web.command.stack.StackOrder;
import org.halfdusk.web.command.stack.Told;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import tools.jackson.databind.json.JsonMapper;

/** Makes frames one picture. */
@Command(
        name = "stack",
        mixinStandardHelpOptions = true,
        sortOptions = false,
        description = {
            "Makes frames one picture. JPEG, TIFF of 8 and 16 bits, and raw files by the picture in them are read; they are never changed.",
            "Exit codes: 0 done, 1 nothing done, 2 wrong use, 3 done in part: standard error says what is not in it. Stopped, it goes on"
                    + " where it was when it is asked the same again."
        })
public final class StackCommand implements Callable<Integer> {
    /** Whether frames are turned to lie star on star. */
    enum Align {
        STARS,
        NONE
    }

    @Spec
    @SuppressWarnings("NullAway.Init")
    private CommandSpec spec;

    @Option(
            names = "--mode",
            required = true,
            paramLabel = "MODE",
            description = "lightest (trails), mean, clipped (mean without aircraft and lamps), median, bursts.")
    @SuppressWarnings("NullAway.Init")
    private StackMode mode;

    @Option(
            names = "--out",
            required = true,
            paramLabel = "FILE",
            description = "The picture: .tif for 16 bits, .jpg. A file that is there is not overwritten.")
    @SuppressWarnings("NullAway.Init")
    private Path out;

    @Option(
            names = "--align",
            paramLabel = "stars|none",
            description = "stars for mean, clipped and median where it is left out; none for lightest and bursts.")
    private @Nullable Align align;

    @Option(
            names = "--dark",
            paramLabel = "DIR",
            description = "A folder of dark frames, or such a file: same time, ISO and air. May be said again.")
    private List<Path> dark = new ArrayList<>();

    @Option(
            names = "--fill-gaps",
            description =
                    "Draws trails on over the pauses by the sky's own turn; the frames must say when they were taken.")
    private boolean fillGaps;

    @Option(names = "--fade", description = "Trails fade towards their beginning.")
    private boolean fade;

    @Option(
            names = "--ground",
            paramLabel = "DIR",
            description = "A folder of frames of the land, or such a file: averaged as they lie.")
    private List<Path> ground = new ArrayList<>();

    @Option(
            names = "--mask",
            paramLabel = "FILE",
            description = "A picture of greys of the frames' size, white where the sky is, that joins sky and ground.")
    private @Nullable Path mask;

    @Option(
            names = "--work",
            paramLabel = "DIR",
            description = "Where what is kept meanwhile lies; beside the picture where it is left out.")
    private @Nullable Path work;

    @Option(names = "--preview", paramLabel = "FILE", description = "A small JPEG that grows meanwhile.")
    private @Nullable Path preview;

    @Option(names = "--json", description = "What came of it as JSON, and progress as JSON lines on standard error.")
    private boolean json;

    @Parameters(arity = "1..*", paramLabel = "FRAMES", description = "Files, or folders of them.")
    private List<Path> frames = new ArrayList<>();

    @Override
    public Integer call() {
        PrintWriter err = spec.commandLine().getErr();
        try {
            StackOrder order = order();
            Told told = new Told(err, json, Optional.ofNullable(preview));
            StackFigures done = StackJob.run(order, told);
            told.over();
            done.left().forEach(l -> err.println(l.name() + " " + l.why()));
            print(done);
            return done.left().isEmpty() ? Commands.DONE : Commands.IN_PART;
        } catch (IllegalArgumentException e) {
            err.println(e.getMessage());
            return Commands.NOTHING;
        } catch (FileSystemException e) {
            err.println("the disk refused “" + e.getFile() + "”: "
                    + Optional.ofNullable(e.getReason()).orElse(e.getClass().getSimpleName()) + "; " + kept());
            return Commands.NOTHING;
        } catch (IOException e) {
            err.println("the disk or the files failed: " + e.getMessage() + "; " + kept());
            return Commands.NOTHING;
        }
    }

    /** What is left of a run that failed: on a full disk nothing may have found room. */
    private String kept() {
        try (Stream<Path> files = Files.list(unfinished())) {
            if (files.findAny().isPresent()) {
                return "what was reached is kept, and the same again goes on from there";
            }
            Files.deleteIfExists(unfinished());
        } catch (IOException e) {
            // Nothing to be seen there: the answer below holds.
        }
        return "nothing of it could be kept, and no picture was written: free some space and start again";
    }

    private StackOrder order() throws IOException {
        boolean trails = mode == StackMode.LIGHTEST;
        if (fillGaps && !trails || fade && !trails) {
            throw wrong((fade ? "--fade" : "--fill-gaps") + " goes with --mode lightest, not with " + mode);
        }
        if (fillGaps && (align == Align.STARS || fade)) {
            throw wrong("--fill-gaps goes with trails as they are: without --align stars and --fade");
        }
        if (ground.isEmpty() != (mask == null)) {
            throw wrong("--ground and --mask go together: the mask says where the sky is");
        }
        return new StackOrder(
                mode,
                files(frames),
                files(dark),
                files(ground),
                Optional.ofNullable(mask),
                align == null ? mode.points() : align == Align.STARS,
                fillGaps,
                fade,
                out,
                Optional.ofNullable(preview),
                unfinished());
    }

    /** The folder of what is reached before the picture is done. */
    private Path unfinished() {
        Path place = work == null
                ? Optional.ofNullable(out.toAbsolutePath().getParent()).orElse(out)
                : work;
        return place.resolve("." + out.getFileName() + ".half-dusk");
    }

    private ParameterException wrong(String words) {
        return new ParameterException(spec.commandLine(), words);
    }

    private List<Path> files(List<Path> named) throws IOException {
        List<Path> all = new ArrayList<>();
        for (Path p : named) {
            all.addAll(files(p));
        }
        return all;
    }

    /** A file, or those in a folder that are named as pictures are. */
    private List<Path> files(Path p) throws IOException {
        if (Files.isRegularFile(p)) {
            return List.of(p);
        }
        if (!Files.isDirectory(p)) {
            throw wrong("“" + p + "” is not there; a file or a folder is allowed");
        }
        try (Stream<Path> all = Files.list(p)) {
            List<Path> pictures = all.filter(Files::isRegularFile)
                    .filter(f ->
                            f.getFileName().toString().toLowerCase(Locale.ROOT).matches(PICTURES))
                    .sorted()
                    .toList();
            if (pictures.isEmpty()) {
                throw wrong("the folder “" + p + "” has no pictures in it; JPEG, TIFF and raw files are read");
            }
            return pictures;
        }
    }

    private static final String PICTURES = "[^.].*\\.(jpe?g|tiff?|dng|nef|cr2|cr3|arw|orf|rw2|raf|crw)";

    private void print(StackFigures done) {
        PrintWriter to = spec.commandLine().getOut();
        if (json) {
            to.println(new JsonMapper().writeValueAsString(done));
            return;
        }
        to.println(done.out() + ": " + done.used() + (done.used() == 1 ? " frame" : " frames") + " of " + done.width()
                + " by "
                + done.height() + ", " + one(done.exposedSeconds()) + " s of light, made in " + one(done.seconds())
                + " s ("
                + one(done.megapixelsPerSecond()) + " megapixels a second)");
        if (done.aligned() != null) {
            to.println("aligned to " + done.aligned().reference() + " by "
                    + done.aligned().leastStars()
                    + " stars or more, within " + two(done.aligned().worstPx()) + " px; the middle moved up to "
                    + one(done.aligned().movedPx()) + " px");
        }
        if (done.noise() != null) {
            to.println("noise fell by " + two(done.noise().gain()) + " times; the root of " + done.used() + " is "
                    + two(done.noise().expected()));
        }
        if (done.hotPixels() != null) {
            to.println(done.hotPixels() + " hot pixels taken off");
        }
        for (StackFigures.Gap g : done.gaps()) {
            to.println("gap after " + g.after() + ": " + one(g.seconds()) + " s, up to " + two(g.px()) + " px"
                    + (g.before() == null || g.filled() == null
                            ? ""
                            : ", " + percent(g.before()) + " deep, now " + percent(g.filled())));
        }
    }

    private static String one(double v) {
        return String.format(Locale.ROOT, "%.1f", v);
    }

    private static String two(double v) {
        return String.format(Locale.ROOT, "%.2f", v);
    }

    private static String percent(double share) {
        return Math.round(share * 100) + " %";
    }
}
