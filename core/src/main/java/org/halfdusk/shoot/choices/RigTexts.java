package org.halfdusk.shoot.choices;

import java.util.Locale;
import org.halfdusk.angle.Altitude;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.exposure.Ladder;
import org.halfdusk.exposure.MeterReading;
import org.halfdusk.exposure.lamps.LampPower;
import org.halfdusk.optics.framing.Framing;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.sequence.Panorama;
import org.halfdusk.trailing.Mount;
import org.halfdusk.trailing.Tolerance;
import org.halfdusk.typed.Codec;
import org.halfdusk.typed.Faults;
import org.halfdusk.typed.Range;
import org.halfdusk.typed.TypedNumber;

/** How those choices of a rig are written that are several numbers, or none. */
final class RigTexts {
    /** FULL, SCREEN, or PRINT with width and distance in cm. */
    static final Codec<Tolerance> TOLERANCE = Codec.of(RigTexts::tolerance, RigTexts::text);

    /** By its name; a tripod is nothing. */
    static final Codec<Mount> MOUNT = Codec.of(
            t -> t.isEmpty()
                    ? Mount.TRIPOD
                    : Codec.constant("mount", Mount.class).read(t),
            m -> m == Mount.TRIPOD ? "" : m.name());

    /** Frames and thirds of a stop between them. */
    static final Codec<Ladder> BRACKET = Codec.of(RigTexts::bracket, l -> l.count() + " " + l.thirds());

    /** Start, span, overlap in percent, rows, spare tiles at each end. */
    static final Codec<Panorama.Wish> PANORAMA = Codec.of(RigTexts::panorama, RigTexts::text);

    /** Azimuth, altitude and roll, degrees. */
    static final Codec<Framing> AIM =
            new Codec<>(RigTexts::aim, RigTexts::text, f -> text(f).replace(" ", "° ") + "°", new Codec.Asked.Line(""));

    /** "EV 3", or time, aperture and ISO as a meter shows them: "1/2 f/4 ISO 400". Kept to a hundredth of a stop. */
    static final Codec<MeterReading> READING = Codec.of(
                    RigTexts::reading, (MeterReading r) -> "EV " + TypedNumber.plain(hundredths(r.ev())))
            .like("EV 3, or 1/2 f/4 ISO 400");

    /** "95 lux" as measured at a metre, or what its box says, "300 lm 40°". Kept as lux. */
    static final Codec<LampPower> LAMP = Codec.of(
                    RigTexts::lamp, (LampPower l) -> TypedNumber.plain(hundredths(l.luxAtOneMetre())) + " lux")
            .like("95 lux at 1 m, or 300 lm 40°");

    private static final Range DIVISOR = Range.of("divisor of the metered time", 1, 64_000);

    private RigTexts() {}

    private static double hundredths(double x) {
        return Math.rint(100 * x) / 100;
    }

    private static MeterReading reading(String text) {
        String bare =
                text.replaceAll("(?i)\\b(ev|iso)\\b|f/|″|(?<=[\\d ])s\\b", " ").strip();
        String[] p = bare.split("\\s+");
        if (p.length == 1) {
            return new MeterReading(hundredths(MeterReading.EV.read(p[0])));
        }
        if (p.length != 3) {
            throw new IllegalArgumentException("meter reading “" + TypedNumber.shown(text)
                    + "” is not understood; write EV 3, or time, aperture and ISO as 1/2 f/4 ISO 400");
        }
        Faults faults = new Faults();
        double seconds = faults.or(1.0, () -> seconds(p[0]));
        double aperture = faults.or(1.0, () -> FNumber.RANGE.read(p[1]));
        int iso = faults.or(100, () -> Iso.RANGE.whole(p[2]));
        faults.refuse();
        return new MeterReading(hundredths(
                MeterReading.of(seconds, FNumber.of(aperture), Iso.of(iso)).ev()));
    }

    /** As a dial has it: 4, 0.5 or 1/2. */
    private static double seconds(String text) {
        int bar = text.indexOf('/');
        return bar < 1
                ? MeterReading.SECONDS.read(text)
                : MeterReading.SECONDS.check(
                        DIVISOR.read(text.substring(0, bar)) / DIVISOR.read(text.substring(bar + 1)));
    }

    private static LampPower lamp(String text) {
        String typed = text.toLowerCase(Locale.ROOT);
        if (typed.endsWith("lux") || typed.endsWith("lx")) {
            return new LampPower(hundredths(LampPower.LUX.read(typed.substring(0, typed.lastIndexOf('l')))));
        }
        int unit = typed.indexOf("lm");
        if (unit < 1) {
            throw new IllegalArgumentException("lamp “" + TypedNumber.shown(text)
                    + "” is not understood; write 95 lux as measured at 1 m, or 300 lm 40° from its box");
        }
        String beam = typed.substring(unit + 2).replace("°", "").strip();
        Faults faults = new Faults();
        double lumen = faults.or(1.0, () -> LampPower.LUMEN.read(typed.substring(0, unit)));
        double width = beam.isEmpty()
                ? LampPower.USUAL_BEAM
                : faults.or(LampPower.USUAL_BEAM, () -> LampPower.BEAM.read(beam));
        faults.refuse();
        return new LampPower(hundredths(LampPower.ofLumen(lumen, width).luxAtOneMetre()));
    }

    /** The parts of a text, or a refusal that says what they are. */
    private static String[] parts(String what, String text, int count, String meant) {
        String[] parts = text.split("\\s+");
        if (parts.length != count) {
            throw new IllegalArgumentException(
                    what + " “" + TypedNumber.shown(text) + "” is not " + meant + " numbers are allowed");
        }
        return parts;
    }

    private static Tolerance tolerance(String text) {
        return switch (text.split("\\s+")[0]) {
            case "FULL" -> new Tolerance.At100();
            case "SCREEN" -> new Tolerance.OnScreen(Tolerance.OnScreen.USUAL_PX);
            case "PRINT" -> {
                String[] p = parts("print", text, 3, "its width and the distance of the eye in cm; two");
                Faults faults = new Faults();
                double width = faults.or(Double.NaN, () -> Tolerance.OnPrint.WIDTH.read(p[1]));
                double distance = faults.or(Double.NaN, () -> Tolerance.OnPrint.DISTANCE.read(p[2]));
                faults.refuse();
                yield new Tolerance.OnPrint(width, distance);
            }
            default ->
                throw new IllegalArgumentException("tolerance “" + TypedNumber.shown(text)
                        + "” is not known; allowed are FULL, SCREEN, PRINT with two numbers, or nothing");
        };
    }

    private static String text(Tolerance t) {
        return t instanceof Tolerance.OnPrint p
                ? "PRINT " + TypedNumber.plain(p.widthCm()) + " " + TypedNumber.plain(p.distanceCm())
                : t instanceof Tolerance.OnScreen ? "SCREEN" : "FULL";
    }

    private static Ladder bracket(String text) {
        String[] p = parts("bracket", text, 2, "frames and thirds; two whole");
        Faults faults = new Faults();
        int count = faults.or(0, () -> Ladder.COUNT.whole(p[0]));
        int thirds = faults.or(0, () -> Ladder.THIRDS.whole(p[1]));
        faults.refuse();
        return new Ladder(count, thirds);
    }

    private static Panorama.Wish panorama(String text) {
        String[] p = parts("panorama", text, 5, "start, span, overlap, rows and spare tiles; five");
        Faults faults = new Faults();
        double from = faults.or(Double.NaN, () -> Panorama.Wish.FROM.read(p[0]));
        double span = faults.or(Double.NaN, () -> Panorama.Wish.SPAN.read(p[1]));
        double overlap = faults.or(Double.NaN, () -> Panorama.Wish.OVERLAP_PERCENT.read(p[2]));
        int rows = faults.or(0, () -> Panorama.Wish.ROWS.whole(p[3]));
        int spares = faults.or(0, () -> Panorama.Wish.SPARES.whole(p[4]));
        faults.refuse();
        return new Panorama.Wish(from, span, overlap / 100, rows, spares);
    }

    private static String text(Panorama.Wish w) {
        return String.join(
                " ",
                TypedNumber.plain(w.fromAzimuth()),
                TypedNumber.plain(w.spanDegrees()),
                TypedNumber.plain(w.overlapPercent()),
                Integer.toString(w.rows()),
                Integer.toString(w.spares()));
    }

    private static Framing aim(String text) {
        String[] p = parts("aim", text, 3, "azimuth, altitude and roll; three");
        Faults faults = new Faults();
        double azimuth = faults.or(Double.NaN, () -> new Range("azimuth", 0, 360, "°").read(p[0]));
        double altitude = faults.or(Double.NaN, () -> ShootField.AIM_ALTITUDE.read(p[1]));
        double roll = faults.or(Double.NaN, () -> Framing.ROLL.read(p[2]));
        faults.refuse();
        return new Framing(Azimuth.ofDegrees(azimuth), Altitude.ofDegrees(altitude), roll);
    }

    private static String text(Framing f) {
        return String.join(
                " ",
                TypedNumber.plain(f.azimuth().degrees()),
                TypedNumber.plain(f.altitude().degrees()),
                TypedNumber.plain(f.rollDegrees()));
    }
}
