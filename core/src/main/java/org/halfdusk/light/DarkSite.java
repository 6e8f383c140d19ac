package org.halfdusk.light;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.halfdusk.angle.Vector;
import org.halfdusk.light.sources.Extinction;
import org.halfdusk.light.sources.Moonlight;
import org.halfdusk.light.sources.TownGlow;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.place.Observer;
import org.halfdusk.place.Place;
import org.halfdusk.place.geodesy.GreatCircle;
import org.halfdusk.place.towns.Settlements;

/**
 * The sky of a place without Sun and Moon: the natural sky and what towns add.
 *
 * <p>The natural sky is 21.9 mag/arcsec² at the zenith, the mean over the Sun's cycle, 22.0 at its quiet; three fifths of it†
 * are airglow, which grows towards the horizon by van Rhijn, 1/√(1 − (R sin z/(R + 90 km))²), less what the longer way through
 * the air takes. Towns are {@link TownGlow}, computed from all places around. A zenith that was measured is honoured exactly:
 * the towns' light is scaled to it, up to eight times; what even that does not explain is spread evenly, as haze would. A
 * zenith darker than the natural sky lowers that. († working figures of ours.)
 */
public final class DarkSite {
    /** Natural dark sky at the zenith, mag/arcsec². */
    public static final SkyBrightness NATURAL = SkyBrightness.of(21.9);

    private static final double AIRGLOW_SHARE = 0.6;
    private static final double AIRGLOW_HEIGHT_KM = 90;

    /** A sky that was measured darker than the natural one still has towns for a twentieth of its light, where there are any. */
    private static final double LEAST_TOWNS = 0.05;

    private static final double MOST_SCALED = 8;
    private static final int LISTED = 12;

    /** Below it the line of sight runs through the town itself, degrees. */
    private static final double LOWEST_DEGREES = 2;

    private static final double FAINTEST_RATIO = 0.002;

    private final SkyBrightness zenith;
    private final double natural;
    private final double evenly;
    private final double scale;
    private final Optional<TownGlow> glow;
    private final List<Dome> domes;
    private final Extinction extinction;
    private final MeasuredDark measured;

    /**
     * A town's glow as the model has it, before it is scaled to a measured zenith.
     *
     * @param distanceKm to its middle
     * @param ratioAt45 its brightness at 45° towards it over the natural sky
     * @param heightDegrees up to which altitude it is at least half as bright as the natural sky, 0 to 90
     */
    public record Dome(
            String name,
            int people,
            double azimuthDegrees,
            double distanceKm,
            double ratioAt45,
            double heightDegrees) {}

    private DarkSite(
            SkyBrightness zenith,
            Optional<TownGlow> glow,
            List<Dome> domes,
            Extinction extinction,
            MeasuredDark known) {
        this.zenith = zenith;
        this.measured = known;
        this.glow = glow;
        this.domes = domes;
        this.extinction = extinction;
        double flux = zenith.flux();
        double modelled = glow.map(TownGlow::zenith).orElse(0.0);
        double least = Math.min(modelled, LEAST_TOWNS * flux);
        double towns = Math.max(least, flux - NATURAL.flux());
        this.scale = modelled > 0 ? Math.min(MOST_SCALED, towns / modelled) : 0;
        this.natural = Math.min(NATURAL.flux(), flux - Math.min(towns, scale * modelled));
        this.evenly = Math.max(0, flux - natural - scale * modelled);
    }

    /** With the glow of all towns within 300 km, scaled to a measured zenith in mag/arcsec². */
    public static DarkSite of(Observer observer, SkyBrightness zenith) {
        TownGlow glow = TownGlow.of(observer);
        return new DarkSite(zenith, Optional.of(glow), domes(observer, glow), Extinction.CLEAR, MeasuredDark.NOTHING);
    }

    /** The same sky as frames have shown it. */
    public DarkSite with(MeasuredDark known) {
        SkyBrightness shown = known.zenith()
                .map(z -> SkyBrightness.of(Math.max(Place.BRIGHTEST, Math.min(Place.DARKEST, z.value()))))
                .orElse(zenith);
        return new DarkSite(shown, glow, domes, extinction, known);
    }

    /** What frames have shown of it. */
    public MeasuredDark measured() {
        return measured;
    }

    /** Far from all towns: a zenith brighter than the natural sky then has no direction. */
    public static DarkSite withoutTowns(SkyBrightness zenith) {
        return new DarkSite(zenith, Optional.empty(), List.of(), Extinction.CLEAR, MeasuredDark.NOTHING);
    }

    private static List<Dome> domes(Observer o, TownGlow glow) {
        double lat = o.latitudeDegrees();
        double lon = o.longitudeDegrees();
        Settlements all = Settlements.instance();
        return TownGlow.foremost(o, LISTED).stream()
                .map(i -> {
                    double km = GreatCircle.distanceKm(lat, lon, all.latitude(i), all.longitude(i));
                    return new Dome(
                            all.name(i),
                            all.people(i),
                            GreatCircle.bearingDegrees(lat, lon, all.latitude(i), all.longitude(i)),
                            km,
                            glow.flux(all.people(i), km, 45) / NATURAL.flux(),
                            height(glow, all.people(i), km));
                })
                .filter(d -> d.ratioAt45() > FAINTEST_RATIO)
                .sorted(Comparator.comparingDouble(Dome::ratioAt45).reversed())
                .toList();
    }

    /** The altitude at which a town's glow is half as bright as the natural sky. */
    private static double height(TownGlow glow, int people, double km) {
        double half = NATURAL.flux() / 2;
        double low = LOWEST_DEGREES;
        double high = 90;
        if (glow.flux(people, km, low) < half) {
            return 0;
        }
        if (glow.flux(people, km, high) >= half) {
            return 90;
        }
        while (high - low > 0.1) {
            double middle = (low + high) / 2;
            boolean bright = glow.flux(people, km, middle) >= half;
            low = bright ? middle : low;
            high = bright ? high : middle;
        }
        return low;
    }

    /** Where nobody measured: as the towns around leave it. */
    public static DarkSite estimated(Observer observer) {
        TownGlow glow = TownGlow.of(observer);
        return new DarkSite(
                estimate(glow), Optional.of(glow), domes(observer, glow), Extinction.CLEAR, MeasuredDark.NOTHING);
    }

    /**
     * Zenith brightness that towns and the natural sky leave, no brighter than a place may be told to have; 0.3 in rms
     * from commonly reported ones.
     */
    public static SkyBrightness estimate(Observer observer) {
        return estimate(TownGlow.of(observer));
    }

    private static SkyBrightness estimate(TownGlow glow) {
        return under(glow.zenith());
    }

    /** The zenith under which towns leave so much flux. */
    public static SkyBrightness under(double towns) {
        SkyBrightness left = SkyBrightness.ofFlux(NATURAL.flux() + towns);
        return SkyBrightness.of(Math.max(Place.BRIGHTEST, left.magnitude()));
    }

    /** The same of this place, whatever was measured. */
    public SkyBrightness estimate() {
        return glow.map(DarkSite::estimate).orElse(NATURAL);
    }

    /** As far as the light of a town of so many people still adds a tenth to the natural sky at 45° towards it, km. */
    public static double reachKm(int people) {
        return TownGlow.reachKm(people, 0.1 * NATURAL.flux());
    }

    /** The towns that show most, brightest first, at most a dozen. */
    public List<Dome> domes() {
        return domes;
    }

    /** Flux of airglow, starlight and zodiacal light at an altitude. */
    public double naturalFlux(double altitudeDegrees) {
        double z = Math.toRadians(90 - Math.max(0, altitudeDegrees));
        double s = GreatCircle.EARTH_RADIUS_KM * Math.sin(z) / (GreatCircle.EARTH_RADIUS_KM + AIRGLOW_HEIGHT_KM);
        double vanRhijn = 1 / Math.sqrt(1 - s * s);
        // What is lost from a sky that is bright all around comes back by scattering: their air mass stops at 5.
        double over = Moonlight.airmass(Math.toDegrees(z)) - 1;
        double air = Math.pow(10, -0.4 * extinction.perAirmass() * over * 0.75);
        return natural * (AIRGLOW_SHARE * vanRhijn + 1 - AIRGLOW_SHARE) * air;
    }

    /** Flux of towns in a direction (north, east, up). */
    public double townFlux(Vector direction) {
        double model = scale * glow.map(g -> g.flux(direction)).orElse(0.0)
                + evenly * (1 + 1.5 * (1 - Math.max(0, direction.z())));
        double darker = measured.darker(direction);
        if (darker == 0) {
            return model;
        }
        // What frames have shown of a direction is the towns' doing: the natural sky is the same all round.
        double whole = naturalFlux(Math.toDegrees(direction.latitudeRad())) + model;
        return Math.max(0, model + whole * (Math.pow(10, -0.4 * darker) - 1));
    }

    Extinction extinction() {
        return extinction;
    }
}
