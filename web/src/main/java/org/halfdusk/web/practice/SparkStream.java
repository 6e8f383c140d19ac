package org.halfdusk.web.practice;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.Comparator;
import java.util.List;
import org.halfdusk.show.Display;
import org.halfdusk.show.shells.Spark;

/**
 * Sparks of a display as the script plays them: by birth, each of {@value #FIGURES} little-endian floats: born, dies, from x y z, speed
 * x y z, braking, candela, fading, afterglow, red, green, blue.
 */
final class SparkStream {
    static final int FIGURES = 15;

    private SparkStream() {}

    /** Those born between two times of the show. */
    static byte[] of(Display display, double from, double to) {
        List<Spark> sparks = display.sheet().between(from, to).stream()
                .flatMap(c -> display.sparks(c).stream())
                .filter(s -> s.born() >= from && s.born() < to)
                .sorted(Comparator.comparingDouble(Spark::born))
                .toList();
        ByteBuffer out =
                ByteBuffer.allocate(sparks.size() * FIGURES * Float.BYTES).order(ByteOrder.LITTLE_ENDIAN);
        for (Spark s : sparks) {
            put(out, s.born(), s.dies());
            put(out, s.from().x(), s.from().y(), s.from().z());
            put(out, s.speed().x(), s.speed().y(), s.speed().z());
            put(out, s.brakingSeconds(), s.candela(), s.fading(), s.afterglowSeconds());
            put(out, s.tint().red(), s.tint().green(), s.tint().blue());
        }
        return out.array();
    }

    private static void put(ByteBuffer out, double... values) {
        for (double v : values) {
            out.putFloat((float) v);
        }
    }
}
