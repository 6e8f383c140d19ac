package org.halfdusk.show;

import java.util.List;
import java.util.Optional;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.angle.Vector;
import org.halfdusk.exposure.SkyExposure;
import org.halfdusk.exposure.lamps.PointLight;
import org.halfdusk.optics.Sensor;
import org.halfdusk.optics.framing.Projection;
import org.halfdusk.photometry.Stops;
import org.halfdusk.show.shells.Cue;
import org.halfdusk.show.shells.Spark;
import org.halfdusk.show.shells.Tint;
import org.halfdusk.show.smoke.Puff;
import org.halfdusk.show.smoke.Veil;
import org.halfdusk.sky.HorizontalPosition;

/**
 * Develops what a shutter takes of a display.
 *
 * <p>1. A spark of I candela gives I/d² lux at the lens; what the aperture gathers, π/4 (f/N)² of it, falls on the stroke that the
 * spark draws meanwhile, as wide as its flame and the lens's blur: so the brightness of strokes depends on aperture, ISO,
 * distance and how fast a spark flies, and not on the time. 2. Each stroke is clipped as the sensor clips it, pixel by pixel, and
 * only then made smaller to the cells of the picture; what is far over the top bleeds to its sides. 3. What hung in the air
 * before the shutter opened still draws by its afterglow. 4. Smoke takes light away by its optical depth and gives some back,
 * lit by the breaks among it. 5. Sky, moon, lamps and the water's mirror lie behind, and grow with the time.
 */
public final class Development {
    /** Longest side of a picture, cells. */
    public static final int MOST_CELLS = 1600;

    /** Across a lamp or a lit window†, m. */
    private static final double LAMP_METRES = 1.2;

    /** Blur of a lens stopped down, across, pixels. */
    private static final double BLUR_PIXELS = 2;

    /** A stroke grows to its sides by so much of its width for each stop over the top†. */
    private static final double BLEEDING = 0.35;

    /** Of smoke's light what is scattered, not swallowed†. */
    private static final double WHITENESS = 0.8;

    /** Cells of the veil and of lit smoke are so much coarser than the picture's. */
    private static final int COARSE = 8;

    /** Of what glows the share that comes from the water, and how far waves draw it out†. */
    private static final double MIRRORED = 0.14;

    private static final double WAVES = 0.5;
    private static final int WAVE_PARTS = 5;

    /** Ground against the sky above it†. */
    private static final double GROUND_SHARE = 0.06;

    private static final double AFTERGLOWS = 3;
    private static final int MOST_STEPS = 40;

    private final Display display;
    private final Shutter shutter;
    private final Take take;
    private final Projection projection;
    private final Sensor sensor;
    private final int width;
    private final int height;
    private final double cellMm;
    private final double cosRoll;
    private final double sinRoll;
    private final float[][] light;
    private double stroked;
    private double drawn;

    private Development(Display display, Shutter shutter, Take take, int longest) {
        this.display = display;
        this.shutter = shutter;
        this.take = take;
        projection = take.projection();
        sensor = take.rig().camera().sensor();
        boolean upright = take.framing().upright();
        double wide = upright ? sensor.heightMm() : sensor.widthMm();
        double high = upright ? sensor.widthMm() : sensor.heightMm();
        cellMm = Math.max(wide, high) / longest;
        width = (int) Math.round(wide / cellMm);
        height = (int) Math.round(high / cellMm);
        double roll = Math.toRadians(take.framing().shownRollDegrees());
        cosRoll = Math.cos(roll);
        sinRoll = Math.sin(roll);
        light = new float[3][width * height];
    }

    /**
     * The frame.
     *
     * @param longest side of the picture in cells, 16 to {@link #MOST_CELLS}
     * @throws IllegalArgumentException where it is outside
     */
    public static Developed of(Display display, Shutter shutter, Take take, int longest) {
        if (!(longest >= 16 && longest <= MOST_CELLS)) {
            throw new IllegalArgumentException("a picture of " + longest + " cells is outside 16 to " + MOST_CELLS);
        }
        Development d = new Development(display, shutter, take, longest);
        d.behind();
        d.smoke();
        d.sparks();
        return new Developed(d.width, d.height, d.light, d.drawn == 0 ? 0 : d.stroked / d.drawn);
    }

    /** A place in the picture, cells from its upper left corner. */
    private record Cell(double x, double y) {
        double distance(Cell other) {
            return Math.hypot(x - other.x, y - other.y);
        }
    }

    private Optional<Cell> cell(Spark.Point p) {
        return cell(display.from().of(p));
    }

    private Optional<Cell> cell(Vector direction) {
        return projection.of(direction).map(this::cell);
    }

    private Cell cell(Projection.Point p) {
        double x = p.x() * cosRoll + p.y() * sinRoll;
        double y = -p.x() * sinRoll + p.y() * cosRoll;
        return new Cell(width / 2.0 + x / cellMm, height / 2.0 - y / cellMm);
    }

    private HorizontalPosition direction(double cellX, double cellY) {
        double x = (cellX - width / 2.0) * cellMm;
        double y = (height / 2.0 - cellY) * cellMm;
        return projection.direction(new Projection.Point(x * cosRoll - y * sinRoll, x * sinRoll + y * cosRoll));
    }

    /** Share of full that a luminance through a time gives, cd·s/m². */
    private double even(double luminanceSeconds) {
        return SkyExposure.shareOfFull(
                SkyExposure.focalPlane(luminanceSeconds * take.passed(), take.fNumber()), take.iso());
    }

    // Behind: 5.

    private void behind() {
        Backdrop behind = display.behind();
        for (int y = 0; y < height; y += COARSE) {
            for (int x = 0; x < width; x += COARSE) {
                HorizontalPosition at = direction(x + COARSE / 2.0, y + COARSE / 2.0);
                fill(x, y, at.altitude().degrees(), behind);
            }
        }
        cut(behind);
        behind.moon().ifPresent(this::moon);
        lamps(behind);
    }

    private void fill(int left, int top, double altitude, Backdrop behind) {
        float value = (float) even(behind.luminance(Math.max(0, altitude)) * shutter.seconds());
        for (int y = top; y < Math.min(height, top + COARSE); y++) {
            for (int x = left; x < Math.min(width, left + COARSE); x++) {
                add(y * width + x, value, 1, 1, 1);
            }
        }
    }

    /** What lies under the skyline is dark but for what the sky lays on it. */
    private void cut(Backdrop behind) {
        for (int x = 0; x < width; x++) {
            double azimuth = direction(x + 0.5, height / 2.0).azimuth().degrees();
            double edge = Math.max(behind.skyline().at(azimuth), 0);
            double y = projection
                    .of(Azimuth.ofDegrees(azimuth), edge)
                    .map(p -> cell(p).y())
                    .orElse((double) height);
            for (int row = (int) Math.max(0, Math.ceil(y)); row < height; row++) {
                for (float[] channel : light) {
                    channel[row * width + x] *= (float) GROUND_SHARE;
                }
            }
        }
    }

    private void moon(Backdrop.Moon moon) {
        cell(moon.at().direction()).ifPresent(at -> {
            double radius = projection.across(moon.radiusDegrees()) / cellMm;
            double share = Math.min(1, even(moon.luminance() * shutter.seconds()));
            stroke(at, at, 2 * radius, share, share, share);
        });
    }

    private void lamps(Backdrop behind) {
        behind.lamps()
                .forEach(l -> point(
                        l.at(), l.candela() * shutter.seconds(), 1, 0.62 + 0.2 * l.warm(), 0.25 + 0.4 * l.warm()));
    }

    private void point(Spark.Point at, double candelaSeconds, double red, double green, double blue) {
        cell(at).filter(this::near).ifPresent(c -> {
            double d = display.from().distance(at);
            double w = strokeMm(d, LAMP_METRES);
            double share = share(candelaSeconds / (d * d), w * w);
            laid(c, c, w, share, red, green, blue);
        });
        if (display.behind().water()) {
            mirrored(at, strokeMm(display.from().distance(at), LAMP_METRES), candelaSeconds, red, green, blue);
        }
    }

    // Smoke: 4.

    private void smoke() {
        double middle = (shutter.open() + shutter.close()) / 2;
        List<Puff> puffs = display.smoke(shutter.close());
        List<Cue> cues = display.sheet().between(shutter.open(), shutter.close());
        if (puffs.isEmpty() || cues.isEmpty()) {
            return;
        }
        int wide = width / COARSE + 2;
        int high = height / COARSE + 2;
        float[][] lit = new float[3][wide * high];
        for (Puff puff : puffs) {
            lit(puff, middle, cues, lit, wide, high);
        }
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                spread(lit, wide, x, y);
            }
        }
    }

    private void lit(Puff puff, double middle, List<Cue> cues, float[][] lit, int wide, int high) {
        double at = Math.max(middle, puff.born());
        Spark.Point centre = puff.at(at, display.drift().wind());
        double sigma = puff.sigmaAt(at);
        double[] light = lightOn(centre, sigma, cues);
        Optional<Cell> middleCell = cell(centre);
        if (middleCell.isEmpty() || light[0] + light[1] + light[2] == 0) {
            return;
        }
        double d = display.from().distance(centre);
        double cells = projection.across(Math.toDegrees(sigma / d)) / cellMm / COARSE;
        double scattered = WHITENESS * puff.depthAt(at) / (4 * Math.PI);
        double x = middleCell.get().x / COARSE;
        double y = middleCell.get().y / COARSE;
        int reach = (int) Math.ceil(3 * cells);
        for (int j = Math.max(0, (int) y - reach); j <= Math.min(high - 1, (int) y + reach); j++) {
            for (int i = Math.max(0, (int) x - reach); i <= Math.min(wide - 1, (int) x + reach); i++) {
                double off = ((i - x) * (i - x) + (j - y) * (j - y)) / (2 * cells * cells);
                double share = even(scattered * Math.exp(-off));
                for (int c = 0; c < 3; c++) {
                    lit[c][j * wide + i] += (float) (share * light[c]);
                }
            }
        }
    }

    /** What the breaks of the frame lay on a puff, lux·s in each channel. */
    private double[] lightOn(Spark.Point centre, double sigma, List<Cue> cues) {
        double[] light = new double[3];
        for (Cue cue : cues) {
            List<Spark> sparks = display.sparks(cue);
            Spark one = sparks.get(sparks.size() - 1);
            double seconds = one.candelaSeconds(shutter.open(), shutter.close())
                    * cue.kind().stars();
            double away = centre.distance(cue.breakPoint());
            double lux = seconds / (away * away + sigma * sigma);
            light[0] += lux * one.tint().red();
            light[1] += lux * one.tint().green();
            light[2] += lux * one.tint().blue();
        }
        return light;
    }

    private void spread(float[][] lit, int wide, int x, int y) {
        double u = (double) x / COARSE;
        double v = (double) y / COARSE;
        int i = (int) u;
        int j = (int) v;
        double a = u - i;
        double b = v - j;
        int at = j * wide + i;
        for (int c = 0; c < 3; c++) {
            float[] from = lit[c];
            light[c][y * width + x] += (float) ((1 - b) * ((1 - a) * from[at] + a * from[at + 1])
                    + b * ((1 - a) * from[at + wide] + a * from[at + wide + 1]));
        }
    }

    // Sparks: 1 to 3.

    private void sparks() {
        Veil veil = display.veil((shutter.open() + shutter.close()) / 2);
        for (Cue cue : display.sheet().between(shutter.open(), shutter.close())) {
            double through = veil.through(cue.breakPoint());
            for (Spark spark : display.sparks(cue)) {
                draw(spark, through);
            }
        }
    }

    private void draw(Spark spark, double through) {
        double from = Math.max(spark.born(), shutter.open() - AFTERGLOWS * spark.afterglowSeconds());
        double to = Math.min(spark.dies(), shutter.close());
        if (to <= from) {
            return;
        }
        Spark.Point begins = spark.at(from, display.drift().wind());
        Spark.Point ends = spark.at(to, display.drift().wind());
        Optional<Cell> a = cell(begins);
        Optional<Cell> b = cell(ends);
        if (a.isEmpty() || b.isEmpty()) {
            return;
        }
        int steps = (int) Math.max(3, Math.min(MOST_STEPS, Math.ceil(a.get().distance(b.get()) / 3)));
        Cell last = a.get();
        Spark.Point was = begins;
        for (int i = 1; i <= steps; i++) {
            double begin = from + (to - from) * (i - 1) / steps;
            double end = from + (to - from) * i / steps;
            Spark.Point is = spark.at(end, display.drift().wind());
            Optional<Cell> next = cell(is);
            if (next.isEmpty()) {
                return;
            }
            double light = through * spark.candelaSeconds(begin, end) * glowing(spark, (begin + end) / 2);
            piece(last, next.get(), was.plus(is).times(0.5), light, spark);
            last = next.get();
            was = is;
        }
    }

    /** Share of the light of dust left at a time that falls into the opening. */
    private double glowing(Spark spark, double left) {
        double t = spark.afterglowSeconds();
        double before = left >= shutter.open() ? 1 : Math.exp((left - shutter.open()) / t);
        return before - Math.exp((left - shutter.close()) / t);
    }

    private void piece(Cell a, Cell b, Spark.Point middle, double candelaSeconds, Spark spark) {
        if (candelaSeconds <= 0) {
            return;
        }
        Tint tint = spark.tint();
        double d = display.from().distance(middle);
        double w = strokeMm(d, spark.flameMetres());
        double length = Math.max(w, a.distance(b) * cellMm);
        if (near(a) || near(b)) {
            double share = share(candelaSeconds / (d * d), w * length);
            stroked += share * length;
            drawn += length;
            laid(a, b, w, share, tint.red(), tint.green(), tint.blue());
        }
        if (display.behind().water()) {
            mirrored(middle, w, candelaSeconds, tint.red(), tint.green(), tint.blue());
        }
    }

    /** The same from the water, drawn out up and down by waves. */
    private void mirrored(Spark.Point at, double w, double candelaSeconds, double red, double green, double blue) {
        double d = display.from().distance(at);
        if (candelaSeconds <= 0) {
            return;
        }
        for (int i = 0; i < WAVE_PARTS; i++) {
            double drawn = 1 + WAVES * (2.0 * i / (WAVE_PARTS - 1) - 1);
            Spark.Point mirror = new Spark.Point(at.x(), -at.y() * drawn, at.z());
            cell(mirror).filter(this::near).ifPresent(c -> {
                double share = share(MIRRORED / WAVE_PARTS * candelaSeconds / (d * d), w * w * 3);
                laid(c, c, 3 * Math.min(w, cellMm), share / 3, red, green, blue);
            });
        }
    }

    /** How wide a stroke is on the sensor, mm. */
    private double strokeMm(double metres, double flameMetres) {
        double flame = flameMetres / metres * projection.focalMm();
        return Math.hypot(flame, BLUR_PIXELS * sensor.pixelPitchMicrometres() / 1000);
    }

    /** Share of full where light at the lens, lux·s, falls on so many mm². */
    private double share(double luxSeconds, double squareMm) {
        double lumenSeconds = PointLight.gathered(luxSeconds, projection.focalMm(), take.fNumber()) * take.passed();
        return SkyExposure.shareOfFull(lumenSeconds / (squareMm * 1e-6), take.iso());
    }

    private boolean near(Cell c) {
        return c.x > -3 && c.y > -3 && c.x < width + 3 && c.y < height + 3;
    }

    /** Lays a stroke whose strongest channel has a share of full, clipped as the sensor clips it, bleeding where it does. */
    private void laid(Cell a, Cell b, double wMm, double share, double red, double green, double blue) {
        double over = share > 1 ? Stops.between(share, 1) : 0;
        double w = wMm / cellMm * (1 + BLEEDING * over);
        stroke(a, b, w, Math.min(1, share * red), Math.min(1, share * green), Math.min(1, share * blue));
    }

    /** A stroke of a width in cells, and of its light in each channel. */
    private void stroke(Cell a, Cell b, double w, double red, double green, double blue) {
        double distance = a.distance(b);
        int n = (int) Math.max(1, Math.ceil(distance * 2));
        double step = Math.max(distance, w) / n;
        for (int i = 0; i < n; i++) {
            double t = (i + 0.5) / n;
            double x = a.x + t * (b.x - a.x);
            double y = a.y + t * (b.y - a.y);
            if (w <= 1.5) {
                thin(x, y, w * step, red, green, blue);
            } else {
                thick(x, y, w / 2, step / w, red, green, blue);
            }
        }
    }

    private void thin(double x, double y, double area, double red, double green, double blue) {
        int i = (int) Math.floor(x - 0.5);
        int j = (int) Math.floor(y - 0.5);
        double a = x - 0.5 - i;
        double b = y - 0.5 - j;
        for (int k = 0; k < 4; k++) {
            int cx = i + (k & 1);
            int cy = j + (k >> 1);
            if (cx >= 0 && cy >= 0 && cx < width && cy < height) {
                double share = ((k & 1) == 0 ? 1 - a : a) * ((k >> 1) == 0 ? 1 - b : b);
                add(cy * width + cx, area * share, red, green, blue);
            }
        }
    }

    private void thick(double x, double y, double radius, double weight, double red, double green, double blue) {
        double soft = radius + 0.5;
        for (int j = Math.max(0, (int) (y - soft)); j <= Math.min(height - 1, (int) (y + soft)); j++) {
            for (int i = Math.max(0, (int) (x - soft)); i <= Math.min(width - 1, (int) (x + soft)); i++) {
                double inside = soft - Math.hypot(i + 0.5 - x, j + 0.5 - y);
                if (inside > 0) {
                    add(j * width + i, weight * Math.min(1, inside), red, green, blue);
                }
            }
        }
    }

    private void add(int at, double amount, double red, double green, double blue) {
        light[0][at] += (float) (amount * red);
        light[1][at] += (float) (amount * green);
        light[2][at] += (float) (amount * blue);
    }
}
