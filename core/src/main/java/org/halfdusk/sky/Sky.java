package org.halfdusk.sky;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.halfdusk.angle.Altitude;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.angle.LevelFrame;
import org.halfdusk.angle.Rotation;
import org.halfdusk.angle.Vector;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.ephemeris.Ephemeris;
import org.halfdusk.ephemeris.Galaxy;
import org.halfdusk.ephemeris.coordinates.EarthMotion;
import org.halfdusk.ephemeris.coordinates.EquatorialOfDate;
import org.halfdusk.ephemeris.stars.Planet;
import org.halfdusk.ephemeris.stars.Planets;
import org.halfdusk.ephemeris.stars.Star;
import org.halfdusk.ephemeris.stars.StarFrame;
import org.halfdusk.place.Observer;
import org.halfdusk.time.DeltaT;
import org.halfdusk.time.Moment;
import org.halfdusk.time.SiderealTime;

/** The sky over one observer. Positions within 0.5″ of JPL-based references, 2015–2045. */
public final class Sky {
    /** Radius of the Sun, km: 959.63″ at 1 au, the eclipse tables' value. */
    public static final double SUN_RADIUS_KM = 696_000;

    /** Mean radius of the Moon, km. */
    public static final double MOON_RADIUS_KM = 1737.4;

    private static final double LIGHT_KM_PER_SECOND = 299_792.458;

    private final Observer observer;
    private final Ephemeris ephemeris;
    private final DeltaT deltaT;
    private final double sinLatitude;
    private final double cosLatitude;
    private final double longitudeRad;
    private final double axisKm;
    private final double equatorKm;
    private final double eastwardOverLight;

    private Sky(Observer observer, Ephemeris ephemeris, DeltaT deltaT) {
        this.observer = observer;
        this.ephemeris = ephemeris;
        this.deltaT = deltaT;
        double lat = Math.toRadians(observer.latitudeDegrees());
        sinLatitude = Math.sin(lat);
        cosLatitude = Math.cos(lat);
        longitudeRad = Math.toRadians(observer.longitudeDegrees());
        axisKm = observer.axisDistanceKm();
        equatorKm = observer.equatorDistanceKm();
        eastwardOverLight = SiderealTime.EARTH_RATE_RAD_PER_SECOND * axisKm / LIGHT_KM_PER_SECOND;
    }

    /** Over a place by an ephemeris. @param deltaT between Terrestrial and Universal Time, see {@link DeltaT} */
    public static Sky over(Observer observer, Ephemeris ephemeris, DeltaT deltaT) {
        return new Sky(observer, ephemeris, deltaT);
    }

    /** The same sky from another place. */
    public Sky from(Observer other) {
        return new Sky(other, ephemeris, deltaT);
    }

    /** What it is computed from. */
    public Ephemeris ephemeris() {
        return ephemeris;
    }

    /** By which terrestrial time follows from the clock's. */
    public DeltaT deltaT() {
        return deltaT;
    }

    /** Who stands under it. */
    public Observer observer() {
        return observer;
    }

    /** A moment of the clock in both times. */
    public Moment moment(Instant instant) {
        return Moment.of(instant, deltaT);
    }

    /** The same by days of Universal Time from J2000.0. */
    public Moment moment(double utDays) {
        return Moment.ofUtDays(utDays, deltaT);
    }

    /** Local apparent sidereal time, radians, not wrapped. */
    public double siderealTimeRad(Moment m) {
        return SiderealTime.greenwichMeanRad(m.utDays(), m.ttDays())
                + ephemeris.equationOfEquinoxesRad(m.ttDays())
                + longitudeRad;
    }

    /**
     * Topocentric place in the turning equatorial frame: x in the meridian above the south point of the equator, y to
     * the east, z to the celestial north pole; km, or a direction for bodies at infinity.
     */
    public Vector meridian(Body body, Moment m) {
        return meridian(body, m, siderealTimeRad(m));
    }

    private Vector meridian(Body body, Moment m, double siderealRad) {
        if (body == Body.CELESTIAL_POLE) {
            return new Vector(0, 0, observer.latitudeDegrees() < 0 ? -1 : 1);
        }
        if (body == Body.BAND_TOP) {
            Vector top = bandTop(horizon(meridian(Body.GALACTIC_NORTH_POLE, m, siderealRad)));
            return new Vector(
                    cosLatitude * top.z() - sinLatitude * top.x(),
                    top.y(),
                    cosLatitude * top.x() + sinLatitude * top.z());
        }
        Vector v = ephemeris.apparent(body, m.ttDays());
        boolean near = body == Body.SUN || body == Body.MOON;
        return turned(v, siderealRad, near);
    }

    /** A direction or place in the true equator of date, turned to the meridian and seen from the tripod. */
    private Vector turned(Vector v, double siderealRad, boolean near) {
        return turned(v, Math.sin(siderealRad), Math.cos(siderealRad), near);
    }

    private Vector turned(Vector v, double sin, double cos, boolean near) {
        double x = cos * v.x() + sin * v.y();
        double y = cos * v.y() - sin * v.x();
        double z = v.z();
        if (near) {
            x -= axisKm;
            z -= equatorKm;
        }
        double length = Math.sqrt(x * x + y * y + z * z);
        return new Vector(x, y + eastwardOverLight * length, z);
    }

    /** Topocentric place as north, east, up; km, or a direction for bodies at infinity. */
    public Vector northEastUp(Body body, Moment m) {
        return horizon(meridian(body, m));
    }

    /** An apparent direction in the true equator and equinox of date, as north, east, up from here. */
    public Vector northEastUp(Vector apparentDirection, Moment m) {
        return horizon(turned(apparentDirection, siderealTimeRad(m), false));
    }

    /** The highest direction at right angles to the plane's pole, as north, east, up; due north where all are level. */
    private static Vector bandTop(Vector pole) {
        Vector p = pole.unit();
        Vector top = new Vector(-p.z() * p.x(), -p.z() * p.y(), 1 - p.z() * p.z());
        return top.length() > 0 ? top.unit() : new Vector(1, 0, 0);
    }

    private Vector horizon(Vector v) {
        return new Vector(cosLatitude * v.z() - sinLatitude * v.x(), v.y(), cosLatitude * v.x() + sinLatitude * v.z());
    }

    /** Sun and Moon at one moment, sharing the sidereal time. */
    public record Pair(Vector sun, Vector moon) {}

    /** Both as north, east, up in km. */
    public Pair sunAndMoon(Moment m) {
        double sidereal = siderealTimeRad(m);
        double sin = Math.sin(sidereal);
        double cos = Math.cos(sidereal);
        return new Pair(
                horizon(turned(ephemeris.apparent(Body.SUN, m.ttDays()), sin, cos, true)),
                horizon(turned(ephemeris.apparent(Body.MOON, m.ttDays()), sin, cos, true)));
    }

    /** Where a body stands, airless and as refraction lifts it. */
    public HorizontalPosition at(Body body, Instant instant) {
        return HorizontalPosition.of(northEastUp(body, moment(instant)));
    }

    /** Airless topocentric altitude, degrees. */
    public double altitudeDegrees(Body body, double utDays) {
        Vector v = meridian(body, moment(utDays));
        double up = cosLatitude * v.x() + sinLatitude * v.z();
        return Math.toDegrees(Math.asin(Math.max(-1, Math.min(1, up / v.length()))));
    }

    /** Airless altitude of the Moon's upper limb, degrees, seen from here. */
    public double moonUpperLimbDegrees(double utDays) {
        Vector v = meridian(Body.MOON, moment(utDays));
        double r = v.length();
        double up = cosLatitude * v.x() + sinLatitude * v.z();
        return Math.toDegrees(Math.asin(up / r) + Math.asin(MOON_RADIUS_KM / r));
    }

    /**
     * Apparent diameter from here, degrees; Sun and Moon only.
     *
     * @throws IllegalArgumentException for a body that is a point
     */
    public double diameterDegrees(Body body, Instant instant) {
        double radius = switch (body) {
            case SUN -> SUN_RADIUS_KM;
            case MOON -> MOON_RADIUS_KM;
            default -> throw new IllegalArgumentException(body + " has no diameter");
        };
        return Math.toDegrees(
                2 * Math.asin(radius / meridian(body, moment(instant)).length()));
    }

    /** Apparent geocentric place. */
    public EquatorialOfDate geocentric(Body body, Instant instant) {
        return ephemeris.place(body, moment(instant).ttDays());
    }

    /** How the Earth's turning moves the sky over the place at a time. */
    public EarthMotion earth(Instant instant) {
        return ephemeris.earth(moment(instant).ttDays());
    }

    /** Where a star stands. For many stars at one moment see {@link #stars}. */
    public HorizontalPosition at(Star star, Instant instant) {
        Moment m = moment(instant);
        return HorizontalPosition.of(
                northEastUp(StarFrame.at(ephemeris, m.ttDays()).apparent(star), m));
    }

    /** Unit directions of stars as north, east, up, in the order given; one frame serves all. */
    public List<Vector> stars(List<Star> stars, Instant instant) {
        Moment m = moment(instant);
        StarFrame frame = StarFrame.at(ephemeris, m.ttDays());
        double sidereal = siderealTimeRad(m);
        return stars.stream()
                .map(s -> horizon(turned(frame.apparent(s), sidereal, false)))
                .toList();
    }

    /**
     * From the true equator and equinox of date to north, east, up for things at infinity; the diurnal aberration, 0.3″ at
     * most, is left out.
     */
    public Rotation turning(Instant instant) {
        double sidereal = siderealTimeRad(moment(instant));
        double s = Math.sin(sidereal);
        double c = Math.cos(sidereal);
        return new Rotation(
                -sinLatitude * c,
                -sinLatitude * s,
                cosLatitude,
                -s,
                c,
                0,
                cosLatitude * c,
                cosLatitude * s,
                sinLatitude);
    }

    /** Apparent directions of stars in the true equator and equinox of date. */
    public List<Vector> apparent(List<Star> stars, Instant instant) {
        StarFrame frame = StarFrame.at(ephemeris, moment(instant).ttDays());
        return stars.stream().map(frame::apparent).toList();
    }

    /** A planet as it is seen at a moment, and where it stands. */
    public record PlanetPosition(Planet planet, HorizontalPosition position, double magnitude, double distanceAu) {
        private static final double BRIGHT = 2;

        /** Whether it stands out among the stars: brighter than magnitude 2. */
        public boolean bright() {
            return magnitude < BRIGHT;
        }
    }

    /** The bright planets; parallax, 30″ at most, is left out. */
    public List<PlanetPosition> planets(Instant instant) {
        Moment m = moment(instant);
        StarFrame frame = StarFrame.at(ephemeris, m.ttDays());
        List<PlanetPosition> planets = new ArrayList<>();
        for (Planet planet : Planet.values()) {
            Planets.Seen seen = Planets.seen(planet, m.ttDays());
            planets.add(new PlanetPosition(
                    planet,
                    HorizontalPosition.of(northEastUp(frame.apparent(seen.asStar()), m)),
                    seen.asStar().magnitude(),
                    seen.distanceAu()));
        }
        return planets;
    }

    /** The middle of the Milky Way: unit directions as north, east, up along the galactic equator, from its centre on. */
    public List<Vector> galacticEquator(Instant instant, int points) {
        List<Star> along = new ArrayList<>();
        for (int i = 0; i <= points; i++) {
            Vector galactic = Vector.ofSpherical(2 * Math.PI * i / points, 0, 1);
            Vector j2000 = Galaxy.fromEquatorJ2000().inverse().apply(galactic);
            along.add(Star.fixed(j2000));
        }
        return stars(along, instant);
    }

    /** The celestial pole above the horizon: the southern one from the southern hemisphere. Airless. */
    public HorizontalPosition pole() {
        double latitude = observer.latitudeDegrees();
        return new HorizontalPosition(
                Altitude.ofDegrees(Math.abs(latitude)), Azimuth.ofDegrees(latitude < 0 ? 180 : 0), 1);
    }

    /** How the Moon's disc is turned, seen from here. */
    public MoonAspect moonAspect(Instant instant) {
        Moment m = moment(instant);
        double sidereal = siderealTimeRad(m);
        Vector sun = meridian(Body.SUN, m, sidereal).aboutZ(-sidereal);
        Vector moon = meridian(Body.MOON, m, sidereal).aboutZ(-sidereal);
        return MoonAspect.of(sun, moon, ephemeris.earth(m.ttDays()).trueObliquityRad(), m.ttCenturies());
    }

    /** Angle at a body between the directions to the celestial north pole and to the zenith, degrees, west positive. */
    public double parallacticAngleDegrees(Body body, Instant instant) {
        Vector v = meridian(body, moment(instant));
        double hourAngle = Math.atan2(-v.y(), v.x());
        double dec = v.latitudeRad();
        return Math.toDegrees(Math.atan2(
                cosLatitude * Math.sin(hourAngle),
                sinLatitude * Math.cos(dec) - cosLatitude * Math.sin(dec) * Math.cos(hourAngle)));
    }

    /** How the Moon is lit, seen from the Earth's centre. */
    public MoonPhase moonPhase(Instant instant) {
        double tt = moment(instant).ttDays();
        return MoonPhase.of(ephemeris.apparent(Body.SUN, tt), ephemeris.apparent(Body.MOON, tt));
    }

    /**
     * Where on the band a part of it is, degrees from its centre, −180 to 180; the top's changes with the hour.
     *
     * @throws IllegalArgumentException for what is no part of the Milky Way's band
     */
    public double galacticLongitudeDegrees(Body part, Instant instant) {
        if (part.galacticLongitudeDegrees().isPresent()) {
            return part.galacticLongitudeDegrees().getAsDouble();
        }
        if (part != Body.BAND_TOP) {
            throw new IllegalArgumentException(part + " is no part of the Milky Way's band");
        }
        Moment m = moment(instant);
        // North, east, up is a left-handed frame: the product is turned round.
        Vector centre = northEastUp(Body.GALACTIC_CENTRE, m).unit();
        Vector pole = northEastUp(Body.GALACTIC_NORTH_POLE, m).unit();
        Vector top = northEastUp(Body.BAND_TOP, m).unit();
        return Math.toDegrees(Math.atan2(top.dot(centre.cross(pole)), top.dot(centre)));
    }

    /** How the band lies at its centre. */
    public double bandLeanDegrees(Instant instant) {
        return bandLeanDegrees(Body.GALACTIC_CENTRE, instant);
    }

    /**
     * How the Milky Way's band lies at a part of it: degrees from the vertical, −90 to 90, negative where its upper part
     * leans left as seen, ±90 flat. Uses the plane's direction 10° of galactic longitude away; mean places serve.
     */
    public double bandLeanDegrees(Body part, Instant instant) {
        double longitudeRad = Math.toRadians(galacticLongitudeDegrees(part, instant));
        Moment m = moment(instant);
        Rotation toDate = ephemeris.earth(m.ttDays()).fromJ2000();
        Rotation fromGalaxy = Galaxy.fromEquatorJ2000().inverse();
        Vector core = northEastUp(toDate.apply(fromGalaxy.apply(Vector.ofSpherical(longitudeRad, 0, 1))), m);
        Vector along = northEastUp(
                toDate.apply(fromGalaxy.apply(Vector.ofSpherical(longitudeRad + Math.toRadians(10), 0, 1))), m);
        LevelFrame.Offset lean = LevelFrame.towards(core).offset(along);
        double sign = lean.up() < 0 ? -1 : 1;
        return Math.toDegrees(Math.atan2(sign * lean.right(), sign * lean.up()));
    }
}
