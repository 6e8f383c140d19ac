package org.halfdusk.shoot.simulated;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.halfdusk.angle.Apparent;
import org.halfdusk.angle.Vector;
import org.halfdusk.ephemeris.stars.Star;
import org.halfdusk.ephemeris.stars.StarCatalogue;
import org.halfdusk.exposure.Setting;
import org.halfdusk.exposure.SkyExposure;
import org.halfdusk.exposure.Vignetting;
import org.halfdusk.frame.picture.Pixels;
import org.halfdusk.light.SkyLight;
import org.halfdusk.light.sources.Extinction;
import org.halfdusk.optics.Imaging;
import org.halfdusk.optics.Rig;
import org.halfdusk.optics.framing.Framing;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.photometry.Srgb;
import org.halfdusk.place.ForegroundObject;
import org.halfdusk.shoot.Plan;
import org.halfdusk.sky.Refraction;
import org.halfdusk.sky.Sky;

/**
 * A frame of a plan as its camera would record it.
 *
 * <ol>
 *   <li>The sky's light in each direction is the light engine's, with the band of the Milky Way, on a mesh and evenly between.
 *   <li>Stars stand where the catalogue has them, each drawn along its path while the shutter is open; fainter ones are scattered at random
 *       over the whole sky, the same for the same seed, so that they turn with it.
 *   <li>Light becomes linear values by the model of the camera's own picture ({@link SkyExposure#pictureLinear}), less what the lens loses
 *       off its axis and the air takes.
 *   <li>Land and what stands before the sky are dark up to the skyline.
 *   <li>Noise is that of the photons, of which a pixel holds {@link #FULL} per 26 µm² at ISO 100, and of reading. Then the sRGB curve.
 * </ol>
 */
public final class SimulatedFrame implements Pixels {
    /** Electrons of a full pixel of 5.14 µm at ISO 100†. */
    private static final double FULL = 50_000;

    private static final double FULL_PITCH = 5.14;
    private static final double READ = 3;

    /** Light of land as a share of the sky's above it†. */
    private static final double LAND = 0.07;

    private static final int MESH = 40;
    private static final int FAINT_STARS = 60_000;
    private static final double FAINTEST = 9;
    private static final double CATALOGUE = 6.5;
    private static final double SLOPE = 0.44;

    /** Red, green and blue of a sky of luminance 1: somewhat blue†. */
    private static final double[] TINT = {0.93, 1.0, 1.13};

    /** The magnitude for which the model is asked once; any would do. */
    private static final double REFERENCE = 21;

    private static final double HOT_LEVEL = 0.5;

    /** Cosine of the angle from the axis beyond which nothing is drawn. */
    private static final double BEHIND = 0.1;

    /** More than the air raises anything, 0.6°. */
    private static final double MOST_REFRACTED_RAD = 0.02;

    /** A chord is shorter than its arc, and a fisheye's tile not quite a polygon. */
    private static final double WIDER = 1.1;

    private final int width;
    private final int height;
    private final byte[] codes;

    private SimulatedFrame(int width, int height, byte[] codes) {
        this.width = width;
        this.height = height;
        this.codes = codes;
    }

    /** @param longPx pixels of its long side */
    public static SimulatedFrame of(Plan plan, Setting setting, Instant open, Conditions how, int longPx) {
        Darkroom d = new Darkroom(plan, setting, open, how, longPx);
        if (!how.cap()) {
            d.sky();
            d.stars();
            d.land();
            d.aircraft();
            d.lamp();
        }
        return new SimulatedFrame(d.width, d.height, d.developed());
    }

    /** Red, green and blue of each pixel, row by row, 0 to 255. */
    public byte[] codes() {
        return codes.clone();
    }

    @Override
    public int width() {
        return width;
    }

    @Override
    public int height() {
        return height;
    }

    @Override
    public void row(int y, int x, int n, float[] red, float[] green, float[] blue) {
        int i = 3 * (y * width + x);
        for (int k = 0; k < n; k++) {
            red[k] = Darkroom.LINEAR[codes[i++] & 0xff];
            green[k] = Darkroom.LINEAR[codes[i++] & 0xff];
            blue[k] = Darkroom.LINEAR[codes[i++] & 0xff];
        }
    }

    /** The catalogue's stars, and fainter ones scattered at random, so many more for each magnitude fainter. */
    private static final class Stars {
        static final Stars ALL = new Stars();

        final List<Star> directions = new ArrayList<>(StarCatalogue.instance().stars());
        final List<Double> magnitudes = new ArrayList<>();

        private Stars() {
            directions.forEach(s -> magnitudes.add(s.magnitude()));
            Random random = new Random(FAINT_STARS);
            double span = Math.pow(10, SLOPE * (FAINTEST - CATALOGUE)) - 1;
            for (int i = 0; i < FAINT_STARS; i++) {
                double z = 2 * random.nextDouble() - 1;
                double longitude = 2 * Math.PI * random.nextDouble();
                directions.add(Star.fixed(Vector.ofSpherical(longitude, Math.asin(z), 1)));
                magnitudes.add(CATALOGUE + Math.log10(1 + random.nextDouble() * span) / SLOPE);
            }
        }
    }

    private static final class Darkroom {
        static final float[] LINEAR = Pixels.linearOf(256);

        private final Plan plan;
        private final Setting setting;
        private final Instant open;
        private final Conditions how;
        private final Sky sky;
        private final Rig rig;
        private final Imaging imaging;
        private final double focalPx;
        private final double arcsec;
        private final double pitch;
        private final Vector right;
        private final Vector up;
        private final Vector ahead;
        private final int width;
        private final int height;
        private final float[] light;

        Darkroom(Plan plan, Setting setting, Instant open, Conditions how, int longPx) {
            this.plan = plan;
            this.setting = setting;
            this.open = open;
            this.how = how;
            this.sky = plan.night().sky();
            this.rig = plan.rig();
            this.imaging = rig.lens().imaging();
            Framing f = plan.framing();
            int shortPx = (int) Math.round(longPx
                    * rig.camera().sensor().heightMm()
                    / rig.camera().sensor().widthMm());
            this.width = f.upright() ? shortPx : longPx;
            this.height = f.upright() ? longPx : shortPx;
            this.pitch = rig.camera().sensor().widthMm() * 1000 / longPx;
            this.focalPx = rig.focalMm() * 1000 / pitch;
            this.arcsec = Rig.ARCSEC_PER_MICROMETRE_PER_MM * pitch / rig.focalMm();
            // Upright, the sensor lies on its side: turned back by a right angle it is shown.
            double shown = f.rollDegrees() - (f.upright() ? 90 * Math.signum(f.rollDegrees()) : 0);
            double roll = Math.toRadians(shown + how.rollDegrees());
            double azimuth = f.azimuth().radians()
                    + Math.toRadians(how.rightDegrees()) / Math.cos(f.altitude().radians());
            double altitude = f.altitude().radians() + Math.toRadians(how.upDegrees());
            this.ahead = Vector.ofSpherical(azimuth, altitude, 1);
            Vector along = Vector.ofSpherical(azimuth + Math.PI / 2, 0, 1);
            Vector across = Vector.ofSpherical(azimuth, altitude + Math.PI / 2, 1);
            this.right = along.times(Math.cos(roll)).plus(across.times(Math.sin(roll)));
            this.up = across.times(Math.cos(roll)).minus(along.times(Math.sin(roll)));
            this.light = new float[width * height];
        }

        private Vector direction(double x, double y) {
            double dx = x - (width - 1) / 2.0;
            double dy = (height - 1) / 2.0 - y;
            double r = Math.hypot(dx, dy);
            double angle = imaging.angleRad(r / focalPx);
            double s = r == 0 ? 0 : Math.sin(angle) / r;
            return ahead.times(Math.cos(angle)).plus(right.times(dx * s)).plus(up.times(dy * s));
        }

        /** @return false behind the lens */
        private boolean place(Vector v, double[] out) {
            double c = v.dot(ahead);
            double a = v.dot(right);
            double b = v.dot(up);
            if (c <= BEHIND) {
                return false;
            }
            double r = focalPx * imaging.stretch(c);
            out[0] = (width - 1) / 2.0 + r * a;
            out[1] = (height - 1) / 2.0 - r * b;
            return true;
        }

        private double linear(double magnitude) {
            SkyExposure e = new SkyExposure(
                    SkyBrightness.of(magnitude).exposable(),
                    setting.fNumber(),
                    setting.shutter().realSeconds(),
                    setting.iso());
            return e.pictureLinear() * Math.pow(2, how.stops());
        }

        /** Share of the light that is left at a distance from the axis. */
        private double left(double offAxisRad, double q) {
            return Math.pow(2, -Vignetting.stops(offAxisRad, imaging) - how.fallStops() * q * q);
        }

        private double q(double x, double y) {
            return Math.hypot(x - width / 2.0, y - height / 2.0) / Math.hypot(width / 2.0, height / 2.0);
        }

        void sky() {
            SkyLight.At at = plan.night().light().at(middle());
            int columns = width / MESH + 2;
            int rows = height / MESH + 2;
            double[][] nodes = new double[rows][columns];
            for (int j = 0; j < rows; j++) {
                for (int i = 0; i < columns; i++) {
                    Vector v = direction(i * MESH, j * MESH);
                    double off = Math.acos(Math.min(1, v.dot(ahead)));
                    nodes[j][i] = linear(at.framed(v).magnitude()) * left(off, q(i * MESH, j * MESH));
                }
            }
            for (int y = 0; y < height; y++) {
                int j = y / MESH;
                double t = (double) (y % MESH) / MESH;
                for (int x = 0; x < width; x++) {
                    int i = x / MESH;
                    double s = (double) (x % MESH) / MESH;
                    light[y * width + x] = (float) ((nodes[j][i] * (1 - s) + nodes[j][i + 1] * s) * (1 - t)
                            + (nodes[j + 1][i] * (1 - s) + nodes[j + 1][i + 1] * s) * t);
                }
            }
        }

        private Instant middle() {
            return open.plusMillis(Math.round(500 * setting.shutter().realSeconds()));
        }

        void stars() {
            Stars stars = Stars.ALL;
            // A star of the reference magnitude gives as much light as a square arcsecond of such a sky.
            double z = REFERENCE + 2.5 * Math.log10(linear(REFERENCE) / (arcsec * arcsec));
            List<Vector> airless = sky.stars(stars.directions, open);
            List<Vector> first = new ArrayList<>();
            List<Star> shown = new ArrayList<>();
            List<Double> magnitudes = new ArrayList<>();
            double[] from = new double[2];
            for (int i = 0; i < airless.size(); i++) {
                if (airless.get(i).dot(ahead) > BEHIND - MOST_REFRACTED_RAD) {
                    Vector v = refracted(airless.get(i));
                    if (v.z() > 0 && place(v, from) && inside(from)) {
                        first.add(v);
                        shown.add(stars.directions.get(i));
                        magnitudes.add(stars.magnitudes.get(i));
                    }
                }
            }
            Instant shut = open.plusMillis(Math.round(1000 * setting.shutter().realSeconds()));
            List<Vector> last = sky.stars(shown, shut);
            double[] to = new double[2];
            for (int i = 0; i < first.size(); i++) {
                Vector v = first.get(i);
                if (place(v, from) && place(refracted(last.get(i)), to)) {
                    double air = Extinction.CLEAR.magnitudes(Apparent.ofDegrees(Math.toDegrees(v.latitudeRad())));
                    double off = Math.acos(Math.min(1, v.dot(ahead)));
                    double lost = left(off, q(from[0], from[1])) * cosine(off);
                    draw(from, to, Math.pow(10, -0.4 * (magnitudes.get(i) + air - z)) * lost);
                }
            }
        }

        /**
         * A rectilinear lens shows a square arcsecond of sky ever larger towards its corners, so that of its loss by the fourth power of the
         * cosine a star keeps three: its light lies on one spot whatever its size.
         */
        private double cosine(double off) {
            return imaging == Imaging.RECTILINEAR ? 1 / Math.pow(Math.cos(off), 3) : 1;
        }

        /** Raised by the air; as it is below the horizon. */
        private static Vector refracted(Vector v) {
            double airless = Math.toDegrees(v.latitudeRad());
            return airless < 0
                    ? v
                    : Vector.ofSpherical(v.longitudeRad(), Math.toRadians(Refraction.STANDARD.apparent(airless)), 1);
        }

        private boolean inside(double[] at) {
            return at[0] > -20 && at[1] > -20 && at[0] < width + 20 && at[1] < height + 20;
        }

        /** A star's light along its path, and its flare outward. */
        private void draw(double[] from, double[] to, double sum) {
            double trail = Math.hypot(to[0] - from[0], to[1] - from[1]);
            double q = q(from[0], from[1]);
            double flare = how.comaPx() * q * q;
            double dx = from[0] - width / 2.0;
            double dy = from[1] - height / 2.0;
            double r = Math.max(1e-6, Math.hypot(dx, dy));
            int along = 1 + (int) Math.ceil(2 * trail / how.starSigmaPx());
            int out = 1 + (int) Math.ceil(flare / how.starSigmaPx());
            double weights = 0;
            for (int k = 0; k < out; k++) {
                weights += out - k;
            }
            for (int i = 0; i < along; i++) {
                double t = along == 1 ? 0.5 : (i + 0.5) / along;
                for (int k = 0; k < out; k++) {
                    double far = out == 1 ? 0 : flare * k / (out - 1);
                    spot(
                            from[0] + t * (to[0] - from[0]) + far * dx / r,
                            from[1] + t * (to[1] - from[1]) + far * dy / r,
                            sum / along * (out - k) / weights);
                }
            }
        }

        private void spot(double x, double y, double sum) {
            double sigma = how.starSigmaPx();
            int reach = (int) Math.ceil(4 * sigma);
            int cx = (int) Math.round(x);
            int cy = (int) Math.round(y);
            double norm = sum / (2 * Math.PI * sigma * sigma);
            if (norm < 1e-6) {
                return;
            }
            int fromX = Math.max(0, cx - reach);
            int toX = Math.min(width - 1, cx + reach);
            double[] across = new double[Math.max(0, toX - fromX + 1)];
            for (int px = fromX; px <= toX; px++) {
                across[px - fromX] = Math.exp(-(px - x) * (px - x) / (2 * sigma * sigma));
            }
            for (int py = Math.max(0, cy - reach); py <= Math.min(height - 1, cy + reach); py++) {
                double row = norm * Math.exp(-(py - y) * (py - y) / (2 * sigma * sigma));
                for (int px = fromX; px <= toX; px++) {
                    light[py * width + px] += (float) (row * across[px - fromX]);
                }
            }
        }

        void land() {
            List<ForegroundObject> objects = plan.place().objects();
            double highest = objects.stream()
                    .mapToDouble(ForegroundObject::topDegrees)
                    .reduce(plan.place().skyline().highest(), Math::max);
            for (int y = 0; y < height; y += MESH) {
                for (int x = 0; x < width; x += MESH) {
                    if (lowest(x, y) <= highest + 0.1) {
                        land(x, y, highest, objects);
                    }
                }
            }
        }

        /** No pixel of a tile of the mesh looks lower, in degrees: lower than its middle by as much as a corner is away at most. */
        private double lowest(int left, int top) {
            Vector middle = direction(left + MESH / 2.0, top + MESH / 2.0);
            double away = 0;
            for (int corner = 0; corner < 4; corner++) {
                Vector v = direction(left + (corner & 1) * MESH, top + (corner >> 1) * MESH);
                away = Math.max(away, middle.minus(v).length());
            }
            return Math.toDegrees(middle.latitudeRad() - WIDER * away);
        }

        private void land(int left, int top, double highest, List<ForegroundObject> objects) {
            for (int y = top; y < Math.min(height, top + MESH); y++) {
                for (int x = left; x < Math.min(width, left + MESH); x++) {
                    Vector v = direction(x, y);
                    double altitude = Math.toDegrees(v.latitudeRad());
                    if (altitude <= highest + 0.1 && covered(v, altitude, objects)) {
                        light[y * width + x] *= (float) LAND;
                    }
                }
            }
        }

        private boolean covered(Vector v, double altitude, List<ForegroundObject> objects) {
            double azimuth = (Math.toDegrees(v.longitudeRad()) + 360) % 360;
            if (altitude < plan.place().skyline().at(azimuth)) {
                return true;
            }
            for (ForegroundObject o : objects) {
                double apart = Math.abs((azimuth - o.azimuth().degrees() + 540) % 360 - 180);
                if (apart < o.widthDegrees() / 2 && altitude < o.topDegrees()) {
                    return true;
                }
            }
            return false;
        }

        /** Dashes of a strobe along a faint line. */
        void aircraft() {
            how.aircraft().ifPresent(l -> {
                double length = Math.hypot((l.x2() - l.x1()) * width, (l.y2() - l.y1()) * height);
                for (double s = 0; s < length; s += 0.5) {
                    double t = s / length;
                    boolean dash = s % 60 < 34;
                    spot(
                            (l.x1() + t * (l.x2() - l.x1())) * width,
                            (l.y1() + t * (l.y2() - l.y1())) * height,
                            dash ? 0.35 : 0.02);
                }
            });
        }

        /** Light of a car's lamp over the lower part, with the ground's texture in it. */
        void lamp() {
            if (!how.lamp()) {
                return;
            }
            Random random = new Random(how.seed());
            double[] waves = random.doubles(6, 20, 90).toArray();
            for (int y = height * 2 / 5; y < height; y++) {
                double depth = Math.min(1, (y - height * 0.4) / (height * 0.15));
                for (int x = 0; x < width; x++) {
                    double texture = 1
                            + 0.3 * Math.sin(x / waves[0] + y / waves[1])
                            + 0.2 * Math.sin(x / waves[2] - y / waves[3])
                            + 0.2 * Math.sin((x + y) / waves[4]);
                    light[y * width + x] += (float) (0.14 * depth * depth * Math.max(0.1, texture));
                }
            }
        }

        private static final int BELL = 1 << 16;

        byte[] developed() {
            Random random = new Random(how.seed());
            float[] bell = new float[BELL];
            for (int i = 0; i < BELL; i++) {
                bell[i] = (float) random.nextGaussian();
            }
            double binned = pitch * pitch / (FULL_PITCH * FULL_PITCH);
            double full = FULL * binned * 100 / setting.iso().value();
            double read = READ * Math.sqrt(binned);
            byte[] out = new byte[3 * width * height];
            double[] share = {0.25, 0.5, 0.25};
            long state = how.seed() * 2 + 1;
            for (int i = 0; i < light.length; i++) {
                for (int c = 0; c < 3; c++) {
                    state ^= state << 13;
                    state ^= state >>> 7;
                    state ^= state << 17;
                    double each = full * share[c];
                    double electrons = light[i] * TINT[c] * each;
                    double noise = bell[(int) (state & (BELL - 1))] * Math.sqrt(electrons + read * read * share[c]);
                    out[3 * i + c] = code((electrons + noise) / each);
                }
            }
            hot(out);
            return out;
        }

        /** A few pixels that glow by themselves, always the same. */
        private void hot(byte[] out) {
            Random random = new Random(width);
            for (int k = 0; k < width * height / 150_000; k++) {
                int i = random.nextInt(width * height);
                out[3 * i + random.nextInt(3)] = code(HOT_LEVEL * random.nextDouble());
            }
        }

        private static final int FINE = 8192;
        private static final byte[] CODE = coded();

        private static byte[] coded() {
            byte[] all = new byte[FINE + 1];
            for (int i = 0; i < all.length; i++) {
                double root = (double) i / FINE;
                all[i] = (byte) Math.round(255 * Srgb.code(root * root));
            }
            return all;
        }

        private static byte code(double linear) {
            if (linear <= 0) {
                return CODE[0];
            }
            return linear < 1 ? CODE[(int) (FINE * Math.sqrt(linear))] : CODE[FINE];
        }
    }
}
