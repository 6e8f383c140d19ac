package org.halfdusk.web.standin;

import com.drew.metadata.exif.ExifDirectoryBase;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.halfdusk.exposure.Setting;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.Frame;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.programme.Programme;
import org.halfdusk.shoot.simulated.Conditions;
import org.halfdusk.shoot.simulated.SimulatedFrame;
import org.halfdusk.store.Facts;
import org.halfdusk.web.layout.files.DataHome;
import org.halfdusk.web.layout.files.WholeFile;
import org.halfdusk.web.picture.Previews;
import org.halfdusk.web.picture.RgbImage;
import org.halfdusk.web.picture.tags.ExifOut;
import org.springframework.stereotype.Component;

/**
 * Frames of two nights on Vesper Isle, made up by the simulator when they are first asked for: as a camera would have taken them, with
 * something to find in each.
 */
@Component
public class SimulatedNights {
    /** What the file says of a shoot whose frames there are, the shoot's number after it. */
    public static final String FACT = "demo frames of shoot ";

    private static final int LONG_PX = 1800;
    private static final float QUALITY = 0.95f;
    private static final DateTimeFormatter EXIF = DateTimeFormatter.ofPattern("yyyy:MM:dd HH:mm:ss", Locale.ROOT);

    /** Exif's number for resolutions per centimetre. */
    private static final int CENTIMETRE = 3;

    private final Facts facts;
    private final Path folder;

    SimulatedNights(Facts facts, DataHome home) {
        this.facts = facts;
        this.folder = home.folder().resolve("simulated-frames");
    }

    /** What there is to find in a night. */
    enum Story {
        /** A lens wide open, a camera that comes out lighter, one frame lost, an aircraft and a lamp. */
        COMA,
        /** The ring slipped in the middle, and the camera's clock was ahead. */
        FOCUS_SLIPPED;

        /** How far the camera's clock was ahead. */
        Duration ahead() {
            return this == FOCUS_SLIPPED ? Duration.ofSeconds(62) : Duration.ZERO;
        }
    }

    /** A frame that is made when it is asked for. */
    public final class Made {
        private final Shot shot;
        private final Plan plan;
        private final ZoneId zone;
        private final Story story;

        private Made(Shot shot, Plan plan, ZoneId zone, Story story) {
            this.shot = shot;
            this.plan = plan;
            this.zone = zone;
            this.story = story;
        }

        public String name() {
            return shot.name;
        }

        /** Its file; made where it is not there yet. */
        public Path file() throws IOException {
            Path file = folder.resolve(plan.night().date() + "-" + shot.name);
            if (!Files.exists(file)) {
                WholeFile.write(file, taken());
            }
            return file;
        }

        private byte[] taken() throws IOException {
            SimulatedFrame f = SimulatedFrame.of(plan, shot.setting, shot.open, shot.how, LONG_PX);
            byte[] jpeg = Previews.jpeg(RgbImage.of(f.width(), f.height(), f.codes()), QUALITY);
            return exif().in(jpeg, f.width(), f.height());
        }

        private ExifOut exif() {
            LocalDateTime shown = LocalDateTime.ofInstant(shot.open.plus(story.ahead()), zone);
            double perCentimetre = LONG_PX / plan.rig().camera().sensor().widthMm() * 10;
            ExifOut exif =
                    ExifOut.by("Half Dusk, simulated").iso(shot.setting.iso().value());
            exif.exposure()
                    .text(ExifDirectoryBase.TAG_DATETIME_ORIGINAL, EXIF.format(shown))
                    .text(
                            ExifDirectoryBase.TAG_SUBSECOND_TIME_ORIGINAL,
                            String.format(Locale.ROOT, "%03d", shown.getNano() / 1_000_000))
                    .text(
                            ExifDirectoryBase.TAG_TIME_ZONE_ORIGINAL,
                            zone.getRules().getOffset(shot.open).toString())
                    .rational(
                            ExifDirectoryBase.TAG_EXPOSURE_TIME,
                            shot.setting.shutter().nominalSeconds())
                    .rational(
                            ExifDirectoryBase.TAG_FNUMBER,
                            shot.setting.fNumber().value())
                    .rational(ExifDirectoryBase.TAG_FOCAL_LENGTH, plan.rig().focalMm())
                    .rational(ExifDirectoryBase.TAG_FOCAL_PLANE_X_RESOLUTION, perCentimetre)
                    .shorts(ExifDirectoryBase.TAG_FOCAL_PLANE_RESOLUTION_UNIT, CENTIMETRE);
            return exif;
        }
    }

    /** The files of all frames that were made, each named by its night and then as its camera would. */
    public List<Path> files() {
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        try (Stream<Path> all = Files.list(folder)) {
            return all.toList();
        } catch (IOException e) {
            return List.of();
        }
    }

    private record Shot(String name, Instant open, Setting setting, Conditions how) {}

    /** The frames of a shoot of the demo's that nobody has asked for yet; they are not offered twice. */
    public List<Made> once(long shootId, Plan plan, Programme programme) {
        Optional<Story> story = facts.get(FACT + shootId).flatMap(SimulatedNights::story);
        if (story.isEmpty()) {
            return List.of();
        }
        facts.put(FACT + shootId, "made");
        ZoneId zone = plan.place().zone();
        return shots(plan, programme, story.get()).stream()
                .map(s -> new Made(s, plan, zone, story.get()))
                .toList();
    }

    private static Optional<Story> story(String text) {
        for (Story s : Story.values()) {
            if (s.name().equals(text)) {
                return Optional.of(s);
            }
        }
        return Optional.empty();
    }

    private static final double COMA_PX = 7;
    private static final double LIGHTER = 0.27;
    private static final double RIGHT = 1.2;
    private static final double ASKEW = 0.4;
    private static final double FALL = 0.25;
    private static final double SLIPPED_SIGMA = 3.1;

    /** What befell a frame. @param inStack its number in the stack, from 1 */
    private static Conditions happened(Conditions how, Block.Kind kind, Story story, int inStack) {
        boolean stacked = kind == Block.Kind.STACK;
        if (kind == Block.Kind.DARK_FRAME) {
            return how.withCap();
        }
        if (stacked && story == Story.COMA && inStack == 5) {
            return how.with(new Conditions.Line(0.05, 0.36, 0.98, 0.21));
        }
        if (stacked && story == Story.COMA && inStack == 10) {
            return how.withLamp();
        }
        return stacked && story == Story.FOCUS_SLIPPED && inStack > 6 ? how.withSigma(SLIPPED_SIGMA) : how;
    }

    private static List<Shot> shots(Plan plan, Programme programme, Story story) {
        List<Block> blocks = programme.blocks();
        List<Shot> all = new ArrayList<>();
        int number = 4107;
        Conditions usual = story == Story.COMA
                ? new Conditions(1.0, COMA_PX, LIGHTER, RIGHT, -0.5, ASKEW, FALL, false, Optional.empty(), false, 1)
                : Conditions.good(1);
        List<Frame> stack = blocks.stream()
                .filter(b -> b.kind() == Block.Kind.STACK)
                .flatMap(b -> b.frames().stream())
                .toList();
        if (story == Story.COMA && !stack.isEmpty()) {
            Instant first = stack.get(0).open();
            for (int i = 0; i < 3; i++) {
                Instant at = first.minusSeconds(420 - 31L * i);
                all.add(new Shot(name(number), at, plan.setting(), usual.withSeed(number++)));
            }
        }
        int inStack = 0;
        for (Block b : blocks) {
            for (Frame f : b.frames()) {
                boolean stacked = b.kind() == Block.Kind.STACK;
                inStack += stacked ? 1 : 0;
                Setting s = new Setting(
                        f.shutter(), f.fNumber(), f.iso(), plan.setting().kelvin());
                Conditions how = happened(usual.withSeed(number), b.kind(), story, inStack);
                boolean lost = stacked && story == Story.COMA && inStack == 9;
                if (!lost) {
                    all.add(new Shot(name(number), f.open().plusMillis(140), s, how));
                }
                number++;
            }
        }
        return all.size() > MOST ? all.subList(0, MOST) : all;
    }

    private static final int MOST = 40;

    private static String name(int number) {
        return "DUSK" + number + ".JPG";
    }
}
