package org.halfdusk.light;

import java.time.Instant;
import java.util.List;
import java.util.stream.Stream;
import org.halfdusk.angle.Altitude;
import org.halfdusk.angle.Apparent;
import org.halfdusk.angle.Vector;
import org.halfdusk.eclipse.EarthShadow;
import org.halfdusk.eclipse.LocalDiscs;
import org.halfdusk.eclipse.SolarLimb;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.ephemeris.Galaxy;
import org.halfdusk.ephemeris.stars.Star;
import org.halfdusk.light.sources.MilkyWay;
import org.halfdusk.light.sources.Moonlight;
import org.halfdusk.light.sources.Twilight;
import org.halfdusk.photometry.Magnitudes;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.sky.MoonPhase;
import org.halfdusk.sky.Refraction;
import org.halfdusk.sky.Sky;
import org.halfdusk.time.Moment;

/** The light engine: sky brightness over a place, in any direction, at any moment. */
public final class SkyLight {
    private static final List<Star> GALACTIC_AXES = Stream.of(
                    new Vector(1, 0, 0), new Vector(0, 1, 0), new Vector(0, 0, 1))
            .map(v -> Star.fixed(Galaxy.fromEquatorJ2000().inverse().apply(v)))
            .toList();

    /** Sun and Moon nearer than this may touch. */
    private static final double TOUCHING = Math.cos(Math.toRadians(0.7));

    /** A Moon fuller than this, by its phase angle as seen from a place, may touch the Earth's shadow. */
    private static final double NEAR_FULL_DEGREES = 3;

    /** With the Sun lower than this no eclipse of it darkens anything. */
    private static final double NIGHT_DEGREES = -18;

    /** Daylight left in totality overhead, low down, and how it falls off with height: illuminance falls by about 10⁴†. */
    private static final double TOTALITY = 1e-4;

    private static final double HORIZON = 4e-3;
    private static final double HORIZON_DEGREES = 6;
    private static final double DUSK_DEGREES = -11;

    private final Sky sky;
    private final DarkSite site;

    /** @param site how dark it is there without twilight and Moon */
    public SkyLight(Sky sky, DarkSite site) {
        this.sky = sky;
        this.site = site;
    }

    /** The sky over the place, without light. */
    public Sky sky() {
        return sky;
    }

    /** How dark it is there without twilight and Moon. */
    public DarkSite site() {
        return site;
    }

    /**
     * Brightness and its parts as flux in units of magnitude 0 per arcsec².
     *
     * @param natural airglow, starlight, zodiacal light
     * @param band of the Milky Way, over the starlight that every sky has
     */
    public record Brightness(double natural, double towns, double twilight, double moon, double band) {
        /** Without the band. */
        public Brightness(double natural, double towns, double twilight, double moon) {
            this(natural, towns, twilight, moon, 0);
        }

        private double sum() {
            return natural + towns + twilight + moon + band;
        }

        /** All of it together. */
        public SkyBrightness total() {
            return SkyBrightness.ofFlux(sum());
        }

        /** The same as a number for curves and tables, mag/arcsec². */
        public double magnitude() {
            return total().magnitude();
        }

        /** The same without the Moon's part. */
        public Brightness withoutMoon() {
            return new Brightness(natural, towns, twilight, 0, band);
        }

        /** Share of the light that towns give, 0 to 1. */
        public double townShare() {
            return towns / sum();
        }

        /** What it would be without Moon and Sun. */
        public SkyBrightness dark() {
            return SkyBrightness.ofFlux(natural + towns);
        }

        /** Magnitudes by which the Moon alone lifts the sky over what it would be without it. */
        public double moonLift() {
            return Magnitudes.of(sum() - moon) - magnitude();
        }
    }

    /** Sun and Moon at a moment, shared by all directions that are asked of it. */
    public final class At {
        private final Vector sun;
        private final Vector moon;
        private final double sunAltitude;
        private final Apparent moonSeen;
        private final double phaseAngle;
        private final Moment moment;
        private final double sunShare;
        private final double moonShare;

        private At(Moment m) {
            moment = m;
            Sky.Pair pair = sky.sunAndMoon(m);
            sun = pair.sun().unit();
            moon = pair.moon().unit();
            sunAltitude = Math.toDegrees(sun.latitudeRad());
            // The beam's way through the air goes by where the Moon is seen.
            moonSeen = Refraction.STANDARD.seen(Altitude.ofDegrees(Math.toDegrees(moon.latitudeRad())));
            phaseAngle = MoonPhase.of(pair.sun(), pair.moon()).phaseAngleDegrees();
            sunShare = sunAltitude < NIGHT_DEGREES || sun.dot(moon) < TOUCHING ? 1 : sunShare(m);
            moonShare = phaseAngle < NEAR_FULL_DEGREES
                    ? EarthShadow.of(sky).at(m.utDays()).lightLeft()
                    : 1;
        }

        private double sunShare(Moment m) {
            LocalDiscs discs = LocalDiscs.at(sky, Moment.instantOf(m.utDays()));
            return Math.max(TOTALITY, SolarLimb.lightLeft(discs));
        }

        /**
         * Share of the Sun's light that an eclipse leaves to the sky: 1 without one, a ten-thousandth in totality, which is what comes
         * in from outside the shadow†.
         */
        public double sunShare() {
            return sunShare;
        }

        /** Share of the Moon's light that the Earth's shadow leaves, 1 where it stands outside. */
        public double moonShare() {
            return moonShare;
        }

        /**
         * The Sun's altitude in whose light the place seems to lie: its own, or in an eclipse lower the less light is left; totality
         * has the colour of a dusk of −11°†.
         */
        public double lightAltitude() {
            double deep = Math.max(0, Math.min(1, (-Math.log10(sunShare) - 1) / 3));
            return sunAltitude + deep * Math.min(0, DUSK_DEGREES - sunAltitude);
        }

        /** In a unit direction as north, east, up; the horizon's value below it. */
        public Brightness towards(Vector direction) {
            double altitude = Math.toDegrees(direction.latitudeRad());
            return new Brightness(
                    site.naturalFlux(altitude),
                    site.townFlux(direction),
                    twilight(direction),
                    moonlight(direction, altitude));
        }

        /** The same with the Milky Way's own light: what a frame in that direction is exposed by. */
        public Brightness framed(Vector direction) {
            Brightness b = towards(direction);
            return new Brightness(b.natural, b.towns, b.twilight, b.moon, band(direction));
        }

        /** Light of the band over that of the galaxy's pole, which the natural sky holds, dimmed by the air. */
        private double band(Vector direction) {
            List<Vector> axes = sky.stars(GALACTIC_AXES, Moment.instantOf(moment.utDays()));
            double x = direction.dot(axes.get(0));
            double y = direction.dot(axes.get(1));
            double z = direction.dot(axes.get(2));
            double longitude = Math.toDegrees(Math.atan2(y, x));
            double latitude = Math.toDegrees(Math.asin(Math.max(-1, Math.min(1, z))));
            MilkyWay band = MilkyWay.instance();
            double over = band.brightness(longitude, latitude).flux()
                    - band.brightness(0, 90).flux();
            Apparent apparent = Refraction.STANDARD.seen(Altitude.ofDegrees(Math.toDegrees(direction.latitudeRad())));
            return Math.max(0, over) * Math.pow(10, -0.4 * site.extinction().magnitudes(apparent));
        }

        /** Sky where the Moon stands, its own light left out: what it has to stand out from. */
        public SkyBrightness behindMoon() {
            return towards(moon).withoutMoon().total();
        }

        /** The brightness overhead. */
        public Brightness zenith() {
            return towards(new Vector(0, 0, 1));
        }

        private double twilight(Vector direction) {
            if (sunAltitude < -30) {
                return 0;
            }
            // Low down all round the sky stands outside the shadow and stays bright.
            double altitude = Math.max(0, Math.toDegrees(direction.latitudeRad()));
            double outside = HORIZON * Math.exp(-altitude / HORIZON_DEGREES);
            return Math.max(sunShare, Math.min(1, outside)) * Twilight.flux(direction, sun, sunAltitude);
        }

        private double moonlight(Vector direction, double altitude) {
            if (!moonSeen.up()) {
                return 0;
            }
            double nanolamberts = Moonlight.nanolamberts(
                    phaseAngle,
                    Math.toDegrees(direction.separationRad(moon)),
                    moonSeen,
                    90 - Math.max(0, altitude),
                    site.extinction().perAirmass());
            return nanolamberts <= 0 ? 0 : moonShare * Magnitudes.flux(Magnitudes.ofNanolamberts(nanolamberts));
        }

        /** Moonlight on level ground, lux. */
        public double moonOnGroundLux() {
            return moonShare * Moonlight.groundLux(phaseAngle, moonSeen, site.extinction());
        }
    }

    /** Unit direction of a body from here, as north, east, up. */
    Vector direction(Body body, Moment moment) {
        return sky.northEastUp(body, moment).unit();
    }

    Moment moment(double utDays) {
        return sky.moment(utDays);
    }

    /** The light of one moment, for all directions. */
    public At at(Instant instant) {
        return new At(sky.moment(instant));
    }

    /** The light of one moment, for all directions. */
    public At at(Moment moment) {
        return new At(moment);
    }
}
