package org.halfdusk.web.picture;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.util.Arrays;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import org.halfdusk.shoot.review.taken.Shot;
import org.junit.jupiter.api.Test;

class ExifTest {
    private static Exif read(byte[] file) throws Exception {
        return Exif.read(new ByteArrayInputStream(file));
    }

    @Test
    void whatACameraHasWritten() throws Exception {
        Shot e = read(PictureFiles.taken("2027:08:02 10:48:12", "37")).shot();
        assertEquals(Optional.of(LocalDateTime.parse("2027-08-02T10:48:12.37")), e.taken());
        assertEquals(0.005, e.seconds().orElseThrow(), 1e-6);
        assertEquals(8, e.aperture().orElseThrow(), 1e-9);
        assertEquals(OptionalInt.of(100), e.iso());
        assertEquals(400, e.focalMm().orElseThrow(), 1e-9);
        assertEquals(5.1216, e.pitchMicrons().orElseThrow(), 1e-3, "1952.5 pixels to the centimetre");
    }

    @Test
    void whatItHasNotIsNothing() throws Exception {
        assertEquals(Exif.NOTHING, read(PictureFiles.jpeg(8, 8)));
        assertEquals(Exif.NOTHING, read("no picture".getBytes(StandardCharsets.UTF_8)));
        assertEquals(Exif.NOTHING, read(new byte[0]));
        assertEquals(
                Optional.empty(),
                read(PictureFiles.taken("0000:00:00 00:00:00", "")).shot().taken());
    }

    /** Whatever is flipped or cut: something or nothing is read, and no fault of the reader's comes out. */
    @Test
    void damagedFilesAreReadOrNot() throws Exception {
        byte[] whole = PictureFiles.taken("2027:08:02 10:48:12", "37");
        Random random = new Random(5);
        int read = 0;
        for (int i = 0; i < 400; i++) {
            byte[] damaged = Arrays.copyOf(whole, i % 2 == 0 ? whole.length : random.nextInt(whole.length));
            for (int k = 0; k < 5 && damaged.length > 0; k++) {
                damaged[random.nextInt(Math.min(300, damaged.length))] = (byte) random.nextInt();
            }
            read += read(damaged).shot().taken().isPresent() ? 1 : 0;
        }
        assertTrue(read > 20 && read < 400, "read " + read);
    }
}
