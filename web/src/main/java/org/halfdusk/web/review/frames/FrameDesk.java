package org.halfdusk.web.review.frames;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.InputStream;
import java.io.InterruptedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Semaphore;
import org.halfdusk.ephemeris.Ephemeris;
import org.halfdusk.frame.FrameReading;
import org.halfdusk.frame.points.StarSheet;
import org.halfdusk.shoot.kept.done.Frames;
import org.halfdusk.shoot.review.taken.FrameFile;
import org.halfdusk.shoot.review.taken.Meant;
import org.halfdusk.shoot.review.taken.TakenFrame;
import org.halfdusk.typed.PlainText;
import org.halfdusk.web.layout.files.DataHome;
import org.halfdusk.web.layout.files.Sha256;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.picture.PictureFile;
import org.halfdusk.web.picture.Previews;
import org.halfdusk.web.shoot.ShootDesk;
import org.springframework.stereotype.Component;
import org.springframework.web.multipart.MultipartFile;

/** Brings one frame in: reads its file, keeps its figures and small pictures; the file itself stays as and where it is. */
@Component
public class FrameDesk {
    /** Pixels of a star as it is drawn large, each way. */
    static final int STAR_SIDE = 25;

    private final Frames frames;
    private final PictureStore pictures;
    private final Ephemeris ephemeris;
    private final DataHome home;
    private final Clock clock;

    /** As many are read at once as there are processors: more would only wait for each other. */
    private final Semaphore processors =
            new Semaphore(Math.max(1, Runtime.getRuntime().availableProcessors()), true);

    FrameDesk(Frames frames, PictureStore pictures, Ephemeris ephemeris, DataHome home, Clock clock) {
        this.home = home;
        this.frames = frames;
        this.pictures = pictures;
        this.ephemeris = ephemeris;
        this.clock = clock;
    }

    /** What became of a file. @param known whether it was there already */
    record Brought(long id, boolean known) {}

    /**
     * Reads a file and keeps what it shows.
     *
     * @param name as it is shown
     * @param open the shoot that it belongs to; nothing for a picture that is only looked at
     * @throws IllegalArgumentException in a sentence, where it cannot be read
     */
    Brought bring(Path file, String name, Optional<ShootDesk.Open> open) throws IOException {
        String hash = hash(file);
        Optional<Long> shoot = open.map(o -> o.shoot().id());
        int rig = open.map(ShootDesk.Open::rig).orElse(0);
        Optional<Long> known = frames.known(shoot, rig, hash);
        if (known.isPresent()) {
            return new Brought(known.get(), true);
        }
        TakenFrame frame = read(file, name, hash, open);
        long id = frames.add(frame);
        pictures.trim(frames::rejected);
        return new Brought(id, false);
    }

    /** What became of a file that was sent. @param refused in a sentence; empty where it was read */
    public record Sent(String name, boolean known, String refused) {
        /** What a page says of all that were sent; empty where nothing was refused. */
        public static String wrong(List<Sent> all) {
            return all.isEmpty()
                    ? "No picture was chosen; JPEG, TIFF or raw files as the camera wrote them are allowed."
                    : String.join(
                            " ",
                            all.stream()
                                    .map(Sent::refused)
                                    .filter(r -> !r.isEmpty())
                                    .toList());
        }
    }

    /** Files that were sent by a form, each kept as soon as it is read. */
    public List<Sent> sent(Optional<List<MultipartFile>> files, Optional<ShootDesk.Open> open) throws IOException {
        List<Sent> all = new ArrayList<>();
        for (MultipartFile file : files.orElseGet(List::of)) {
            if (!file.isEmpty()) {
                all.add(sent(file, open));
            }
        }
        return all;
    }

    private Sent sent(MultipartFile file, Optional<ShootDesk.Open> open) throws IOException {
        String name = PlainText.shortened(
                Optional.ofNullable(file.getOriginalFilename()).orElse("").replaceAll(".*[/\\\\]", ""),
                FrameFile.LONGEST_NAME,
                "frame");
        Files.createDirectories(home.folder());
        Path kept = Files.createTempFile(home.folder(), "sent", ".part");
        try {
            file.transferTo(kept);
            return new Sent(name, bring(kept, name, open).known(), "");
        } catch (IllegalArgumentException e) {
            return new Sent(name, false, Words.sentence(String.valueOf(e.getMessage())));
        } finally {
            Files.deleteIfExists(kept);
        }
    }

    private TakenFrame read(Path file, String name, String hash, Optional<ShootDesk.Open> open) throws IOException {
        try {
            processors.acquire();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new InterruptedIOException("reading was stopped");
        }
        try {
            return PictureFile.read(file, name, p -> {
                FrameFile f = new FrameFile(
                        name,
                        hash,
                        Files.size(file),
                        p.pixels().width(),
                        p.pixels().height(),
                        p.exif().shot());
                Optional<Meant.Asked> asked = open.flatMap(
                        o -> Meant.of(o.plan(), o.clock()).asked(f.shot(), f.width(), f.height(), ephemeris));
                FrameReading r = FrameReading.of(p.pixels(), f.shot().exposed(), asked.map(Meant.Asked::guess));
                keep(p, hash, r);
                return new TakenFrame(
                        open.map(o -> o.shoot().id()),
                        open.map(ShootDesk.Open::rig).orElse(0),
                        f,
                        r,
                        clock.instant(),
                        TakenFrame.Judgement.NONE);
            });
        } finally {
            processors.release();
        }
    }

    private void keep(PictureFile p, String hash, FrameReading r) throws IOException {
        BufferedImage large = Previews.fitted(p.pixels(), PictureStore.PREVIEW);
        pictures.put(hash, PictureStore.PREVIEW + ".jpg", Previews.jpeg(large));
        pictures.put(
                hash, PictureStore.THUMBNAIL + ".jpg", Previews.jpeg(Previews.smaller(large, PictureStore.THUMBNAIL)));
        List<Optional<StarSheet.At>> stars = r.sheet().typical();
        for (int i = 0; i < stars.size(); i++) {
            Optional<StarSheet.At> at = stars.get(i);
            if (at.isPresent()) {
                pictures.put(
                        hash,
                        "star" + i + ".png",
                        Previews.png(Previews.about(
                                p.pixels(), at.get().x(), at.get().y(), STAR_SIDE)));
            }
        }
    }

    private static String hash(Path file) throws IOException {
        try (InputStream in = Files.newInputStream(file)) {
            return HexFormat.of().formatHex(Sha256.of(in));
        }
    }
}
