package org.halfdusk.web.stack;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.halfdusk.frame.solved.Solution;
import org.halfdusk.shoot.camera.ClockOffset;
import org.halfdusk.shoot.kept.done.Frames;
import org.halfdusk.shoot.review.SkyMask;
import org.halfdusk.shoot.review.taken.FrameFile;
import org.halfdusk.shoot.review.taken.PlannedAndTaken;
import org.halfdusk.shoot.review.taken.Stackable;
import org.halfdusk.shoot.review.taken.TakenFrame;
import org.halfdusk.typed.Codec;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.shoot.ShootDesk;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** What a rig's frames can be made to, and what is being made of them. */
@Component
class StackDesk {
    private final Frames frames;
    private final Originals originals;
    private final OutFolder out;
    private final StackJobs jobs;
    private final JsonMapper mapper = new JsonMapper();

    StackDesk(Frames frames, Originals originals, OutFolder out, StackJobs jobs) {
        this.frames = frames;
        this.originals = originals;
        this.out = out;
        this.jobs = jobs;
    }

    /** How frames are made one, as the command calls it. */
    enum Mode {
        LIGHTEST("Lightest", "Each pixel keeps its brightest frame: whole trails.", Stackable.As.TRAILS, true),
        MEAN("Mean, aligned to the stars", "Points, not trails.", Stackable.As.POINTS, false),
        CLIPPED(
                "Mean without what stands apart",
                "Aligned; an aircraft or lamp in one frame vanishes.",
                Stackable.As.POINTS,
                false),
        MEDIAN(
                "Middle value, aligned to the stars",
                "Against aircraft in many frames; a little noisier.",
                Stackable.As.POINTS,
                false),
        BURSTS(
                "Bursts in one picture",
                "The frames that are kept beside each other, all where none is.",
                Stackable.As.BURSTS,
                false);

        private final String name;
        private final String words;
        private final Stackable.As as;
        private final boolean fills;

        Mode(String name, String words, Stackable.As as, boolean fills) {
            this.name = name;
            this.words = words;
            this.as = as;
            this.fills = fills;
        }

        /** @param gain what a mean of the frames would gain, in words */
        private StackPage.Mode shown(String gain, boolean chosen) {
            String said = as == Stackable.As.POINTS ? words + " " + gain : words;
            return new StackPage.Mode(name(), name, said, chosen, fills);
        }
    }

    static final Codec<Mode> MODE = Codec.constant("mode", Mode.class);

    PlannedAndTaken both(ShootDesk.Open open) {
        return PlannedAndTaken.of(
                open.programme(),
                open.plan().rig().focalMm(),
                frames.of(open.shoot().id(), open.rig()),
                open.plan().place().zone(),
                open.clock().map(ClockOffset::seconds).orElse(0.0));
    }

    /** Trails where the subject draws them, else points. */
    private static Mode usual(ShootDesk.Open open) {
        if (!open.plan().timeBrightens()) {
            return Mode.BURSTS;
        }
        return open.subject().drawnAsTrails() ? Mode.LIGHTEST : Mode.CLIPPED;
    }

    /** @param asked of the address or a form that was refused @param wrong what was */
    StackPage page(ShootDesk.Open open, Optional<Mode> asked, String name, String wrong) {
        Mode mode = asked.orElse(usual(open));
        PlannedAndTaken both = both(open);
        Stackable stackable = Stackable.of(both, mode.as);
        ZoneId zone = open.plan().place().zone();
        int n = stackable.used().size();
        String why = why(stackable);
        String gain = StackWords.gain(
                mode.as == Stackable.As.POINTS
                        ? n
                        : Stackable.of(both, Stackable.As.POINTS).used().size());
        List<StackPage.Mode> modes =
                Arrays.stream(Mode.values()).map(m -> m.shown(gain, m == mode)).toList();
        String action = open.address("stack");
        String key = StackJobs.key(open.shoot().id(), open.rig());
        return new StackPage(
                action,
                n == 0 ? "No frames to make one of" : Words.count(n, "frame") + " to one picture",
                modes,
                strip(both, stackable, zone),
                stackable.left().stream()
                        .map(l -> new StackPage.Left(
                                l.frame().frame().id(), StackWords.label(l.frame(), zone), StackWords.why(l)))
                        .toList(),
                keptAnyway(stackable, zone),
                StackWords.cost(n, stackable.left().size()),
                why.isEmpty(),
                why,
                name.isEmpty() ? proposed(open) : name,
                wrong,
                stackable.darks().isEmpty()
                        ? ""
                        : Words.count(stackable.darks().size(), "dark frame") + ", same exposure",
                stackable.ground().isEmpty()
                        ? ""
                        : Words.count(stackable.ground().size(), "ground frame"),
                stackable.middle().map(t -> new StackPage.One(t.frame().id(), StackWords.label(t, zone))),
                jobs.of(key).map(s -> job(s, action, Files.exists(jobs.preview(key)))));
    }

    /** Frames with a fault that are in it all the same. */
    private static List<StackPage.Left> keptAnyway(Stackable s, ZoneId zone) {
        return s.used().stream()
                .filter(t -> t.frame().it().judgement().choice() == TakenFrame.Choice.KEEP
                        && t.frame().it().reading().faults().stream().anyMatch(f -> f.likely()))
                .map(t -> new StackPage.Left(t.frame().id(), StackWords.label(t, zone), "kept by you"))
                .toList();
    }

    private static String proposed(ShootDesk.Open open) {
        String title = open.shoot()
                .it()
                .title()
                .replaceAll("[^\\p{L}\\p{N} ,_()-]", " ")
                .strip();
        String first = title.isEmpty() ? "picture" : title;
        return first.substring(0, Math.min(first.length(), 60)) + " "
                + open.plan().night().date();
    }

    /** Why it cannot begin; empty where it can. */
    private String why(Stackable s) {
        if (!out.named()) {
            return "A folder for pictures is needed, named at start: --halfdusk.out=FOLDER.";
        }
        if (s.used().size() < 2) {
            return "Two frames or more are needed: bring them in on Review.";
        }
        Originals.Found found = originals.look();
        long there =
                s.used().stream().filter(t -> found.of(file(t)).isPresent()).count();
        return there >= 2
                ? ""
                : "The frames' files are needed, and Review keeps figures alone: they are looked for in the folder that is named at start, --halfdusk.frames=FOLDER.";
    }

    private static List<StackPage.Cell> strip(PlannedAndTaken both, Stackable s, ZoneId zone) {
        record At(long millis, StackPage.Cell cell) {}
        List<At> all = new ArrayList<>();
        s.used().forEach(t -> all.add(new At(millis(t), new StackPage.Cell("used", StackWords.label(t, zone)))));
        s.left()
                .forEach(l -> all.add(new At(
                        millis(l.frame()),
                        new StackPage.Cell("left", StackWords.label(l.frame(), zone) + ": " + StackWords.why(l)))));
        both.planned().stream()
                .filter(p -> p.taken().isEmpty())
                .forEach(p -> all.add(new At(
                        p.frame().open().toEpochMilli(),
                        new StackPage.Cell(
                                "missing", Times.clockSeconds(p.frame().open(), zone) + ": never taken"))));
        all.sort(Comparator.comparingLong(At::millis));
        return all.stream().map(At::cell).toList();
    }

    private static long millis(PlannedAndTaken.Taken t) {
        return t.opened().map(Instant::toEpochMilli).orElse(Long.MAX_VALUE);
    }

    private StackPage.Job job(StackJobs.Status s, String action, boolean shown) {
        StackJobs.Order o = s.order();
        boolean running = s.state() == StackJobs.State.RUNNING;
        String file = String.valueOf(Path.of(o.out()).getFileName());
        String headline = switch (s.state()) {
            case RUNNING -> s.line().map(StackWords::progress).orElse("Starting");
            case STOPPED -> "Stopped; what was reached is kept";
            case DONE -> file;
            case FAILED -> "Not made";
        };
        boolean done = s.state() == StackJobs.State.DONE;
        return new StackPage.Job(
                running,
                s.state() == StackJobs.State.STOPPED,
                s.state() == StackJobs.State.FAILED,
                headline,
                running ? s.line().map(StackWords::pace).orElse("") : o.words(),
                running ? s.line().map(l -> l.get("done").asInt()).orElse(0) : 0,
                running ? s.line().map(l -> l.get("of").asInt()).orElse(1) : 1,
                shown ? action + "/preview.jpg" : "",
                done ? action + "/picture" : "",
                file,
                done ? StackWords.figures(mapper.readTree(o.figures())) : List.of(),
                o.said());
    }

    private void possible(Stackable s) {
        String why = why(s);
        if (!why.isEmpty()) {
            throw new IllegalArgumentException(why);
        }
    }

    /** @throws IllegalArgumentException naming what is wrong */
    void begin(ShootDesk.Open open, StackForm f) throws IOException {
        Mode mode = f.mode();
        String key = StackJobs.key(open.shoot().id(), open.rig());
        Stackable s = Stackable.of(both(open), mode.as);
        possible(s);
        Path file = out.free(f.name(), f.jpeg() ? ".jpg" : ".tif");
        Originals.Found lie = originals.look();
        List<String> arguments = new ArrayList<>(List.of("stack", "--mode", mode.name(), "--json"));
        arguments.addAll(List.of("--out", file.toString()));
        arguments.addAll(List.of("--work", jobs.work().toString()));
        arguments.addAll(List.of("--preview", jobs.preview(key).toString()));
        if (mode.fills) {
            (f.fade() ? Stream.of("--fade") : f.fill() ? Stream.of("--fill-gaps") : Stream.<String>empty())
                    .forEach(arguments::add);
        }
        if (f.dark()) {
            named("--dark", s.darks(), lie, arguments);
        }
        if (f.ground() && !s.ground().isEmpty()) {
            arguments.addAll(List.of("--mask", mask(open, s, key).toString()));
            named("--ground", s.ground(), lie, arguments);
        }
        List<Path> found =
                s.used().stream().flatMap(t -> lie.of(file(t)).stream()).toList();
        found.forEach(p -> arguments.add(p.toString()));
        Files.deleteIfExists(jobs.preview(key));
        String what = mode.name + ", " + Words.count(found.size(), "frame");
        jobs.begin(key, new StackJobs.Order(arguments, file.toString(), what, found.size(), null, List.of(), ""));
    }

    /** Frames that are there, each after an option. */
    private static void named(
            String option, List<PlannedAndTaken.Taken> frames, Originals.Found lie, List<String> arguments) {
        frames.forEach(f -> lie.of(file(f)).ifPresent(p -> arguments.addAll(List.of(option, p.toString()))));
    }

    private static FrameFile file(PlannedAndTaken.Taken t) {
        return t.frame().it().file();
    }

    /** A picture of greys of where the frames show sky, by the aim of the first that was solved. */
    private Path mask(ShootDesk.Open open, Stackable s, String key) throws IOException {
        Optional<Solution> solved = s.used().stream()
                .flatMap(t -> t.frame().it().reading().solved().stream())
                .findFirst();
        FrameFile f = file(s.used().get(0));
        double pitch = f.shot()
                .pitchMicrons()
                .orElse(open.plan().rig().camera().sensor().widthMm() * PER_MM / Math.max(f.width(), f.height()));
        SkyMask mask = SkyMask.of(open.plan(), solved, f.width(), f.height(), pitch);
        BufferedImage image = new BufferedImage(f.width(), f.height(), BufferedImage.TYPE_BYTE_GRAY);
        for (int y = 0; y < f.height(); y++) {
            for (int x = 0; x < f.width(); x++) {
                image.getRaster().setSample(x, y, 0, (int) Math.round(WHITE * mask.at(x, y)));
            }
        }
        Path file = jobs.mask(key);
        ImageIO.write(image, "png", file.toFile());
        return file;
    }

    private static final int WHITE = 255;
    private static final double PER_MM = 1000;

    void stop(ShootDesk.Open open) {
        jobs.stop(StackJobs.key(open.shoot().id(), open.rig()));
    }

    void again(ShootDesk.Open open) throws IOException {
        jobs.again(StackJobs.key(open.shoot().id(), open.rig()));
    }

    /** The small picture as it is by now. */
    Optional<Path> preview(ShootDesk.Open open) {
        return Optional.of(jobs.preview(StackJobs.key(open.shoot().id(), open.rig())))
                .filter(Files::exists);
    }

    /** The picture that was made last. */
    Optional<Path> picture(ShootDesk.Open open) throws IOException {
        Optional<StackJobs.Status> s =
                jobs.of(StackJobs.key(open.shoot().id(), open.rig())).filter(o -> o.state() == StackJobs.State.DONE);
        return s.isEmpty()
                ? Optional.empty()
                : out.find(String.valueOf(Path.of(s.get().order().out()).getFileName()));
    }
}
