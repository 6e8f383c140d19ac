package org.halfdusk.web.api;

import java.time.Duration;
import java.time.Instant;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.halfdusk.angle.Altitude;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.angle.Vector;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.ephemeris.Ephemeris;
import org.halfdusk.ephemeris.coordinates.EquatorialOfDate;
import org.halfdusk.ephemeris.stars.Star;
import org.halfdusk.ephemeris.stars.StarCatalogue;
import org.halfdusk.light.DarkSite;
import org.halfdusk.light.SkyLight;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.place.MagneticField;
import org.halfdusk.place.Observer;
import org.halfdusk.sky.HorizontalPosition;
import org.halfdusk.sky.MoonPhase;
import org.halfdusk.sky.Refraction;
import org.halfdusk.sky.Sky;
import org.halfdusk.sky.events.EventType;
import org.halfdusk.sky.events.LunarEvents;
import org.halfdusk.sky.events.SkyEvents;
import org.halfdusk.time.DeltaT;
import org.halfdusk.time.Interval;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Where bodies stand and when they cross the horizon. */
@RestController
@RequestMapping("/api/v1")
class SkyApi {
    private static final Duration LONGEST_PHASES = Duration.ofDays(4000);

    private final Ephemeris ephemeris;

    SkyApi(Ephemeris ephemeris) {
        this.ephemeris = ephemeris;
    }

    record Place(double altitude, double azimuth) {}

    record SunPlace(
            double altitude,
            double azimuth,
            double refractedAltitude,
            double rightAscension,
            double declination,
            double distanceKm,
            double diameter) {}

    record MoonPlace(
            double altitude,
            double azimuth,
            double refractedAltitude,
            double rightAscension,
            double declination,
            double distanceKm,
            double diameter,
            double illuminatedFraction,
            double phaseAngle) {}

    record SkyAnswer(
            SunPlace sun, MoonPlace moon, Place galacticCentre, Place galacticNorthPole, Map<String, Place> stars) {}

    record PhaseAnswer(LunarEvents.Phase phase, Instant at) {}

    record ApsisAnswer(LunarEvents.Apsis apsis, Instant at, double distanceKm) {}

    record MoonAnswer(List<PhaseAnswer> phases, List<ApsisAnswer> apsides) {}

    record EventAnswer(EventType type, Instant at, double azimuth, double altitude) {}

    @GetMapping("/sky")
    SkyAnswer sky(@RequestParam MultiValueMap<String, String> parameters) {
        Query query = new Query(parameters);
        var observer = query.observer();
        Instant at = query.instant("at");
        DeltaT deltaT = query.deltaT();
        query.check();
        Sky sky = Sky.over(observer.orElseThrow(), ephemeris, deltaT);
        return new SkyAnswer(
                sun(sky, at),
                moon(sky, at),
                place(sky, Body.GALACTIC_CENTRE, at),
                place(sky, Body.GALACTIC_NORTH_POLE, at),
                stars(sky, at));
    }

    private static SunPlace sun(Sky sky, Instant at) {
        HorizontalPosition p = sky.at(Body.SUN, at);
        EquatorialOfDate v = sky.geocentric(Body.SUN, at);
        return new SunPlace(
                p.altitude().degrees(),
                p.azimuth().degrees(),
                Refraction.STANDARD.apparent(p.altitude().degrees()),
                v.rightAscension().degrees(),
                v.declination().degrees(),
                v.distance(),
                sky.diameterDegrees(Body.SUN, at));
    }

    private static MoonPlace moon(Sky sky, Instant at) {
        HorizontalPosition p = sky.at(Body.MOON, at);
        EquatorialOfDate v = sky.geocentric(Body.MOON, at);
        MoonPhase phase = sky.moonPhase(at);
        return new MoonPlace(
                p.altitude().degrees(),
                p.azimuth().degrees(),
                Refraction.STANDARD.apparent(p.altitude().degrees()),
                v.rightAscension().degrees(),
                v.declination().degrees(),
                v.distance(),
                sky.diameterDegrees(Body.MOON, at),
                phase.illuminatedFraction(),
                phase.phaseAngleDegrees());
    }

    private static Map<String, Place> stars(Sky sky, Instant at) {
        List<Star> bright = StarCatalogue.instance().bright();
        List<Vector> directions = sky.stars(bright, at);
        Map<String, Place> places = new LinkedHashMap<>();
        for (int i = 0; i < bright.size(); i++) {
            HorizontalPosition p = HorizontalPosition.of(directions.get(i));
            places.put(
                    bright.get(i).name(),
                    new Place(p.altitude().degrees(), p.azimuth().degrees()));
        }
        return places;
    }

    /** @param natural and the other parts: shares of the flux, their sum 1 */
    record BrightnessAnswer(
            double magnitude,
            double natural,
            double towns,
            double twilight,
            double moon,
            double milkyWay,
            double darkZenith) {}

    @GetMapping("/sky/brightness")
    BrightnessAnswer brightness(@RequestParam MultiValueMap<String, String> parameters) {
        Query query = new Query(parameters);
        var observer = query.observer();
        Instant at = query.instant("at");
        double altitude = query.number("altitude", -5, 90);
        double azimuth = query.number("azimuth", 0, 360);
        double zenith = query.number("zenithDark", 15, 22.2, Double.NaN);
        query.check();
        Observer here = observer.orElseThrow();
        DarkSite site = Double.isNaN(zenith) ? DarkSite.estimated(here) : DarkSite.of(here, SkyBrightness.of(zenith));
        Sky sky = Sky.over(here, ephemeris, DeltaT.model());
        SkyLight.At light = new SkyLight(sky, site).at(at);
        Vector direction =
                new HorizontalPosition(Altitude.ofDegrees(altitude), Azimuth.ofDegrees(azimuth % 360), 1).direction();
        SkyLight.Brightness b = light.framed(direction);
        double sum = b.natural() + b.towns() + b.twilight() + b.moon() + b.band();
        return new BrightnessAnswer(
                b.magnitude(),
                b.natural() / sum,
                b.towns() / sum,
                b.twilight() / sum,
                b.moon() / sum,
                b.band() / sum,
                light.zenith().dark().magnitude());
    }

    record DeclinationAnswer(
            double declination, double inclination, double horizontalNanotesla, String model, boolean valid) {}

    @GetMapping("/declination")
    DeclinationAnswer declination(@RequestParam MultiValueMap<String, String> parameters) {
        Query query = new Query(parameters);
        var observer = query.observer();
        Instant at = query.instant("at");
        query.check();
        MagneticField f = MagneticField.at(observer.orElseThrow(), at);
        return new DeclinationAnswer(
                f.declinationDegrees(),
                f.inclinationDegrees(),
                f.horizontalNanotesla(),
                MagneticField.MODEL,
                f.valid());
    }

    @GetMapping("/moon/phases")
    MoonAnswer phases(@RequestParam MultiValueMap<String, String> parameters) {
        Query query = new Query(parameters);
        Instant from = query.instant("from");
        Instant to = query.instant("to");
        DeltaT deltaT = query.deltaT();
        query.refuseIf(
                !from.isBefore(to) || Duration.between(from, to).compareTo(LONGEST_PHASES) > 0,
                "to",
                "after from, at most " + LONGEST_PHASES.toDays() + " days");
        query.check();
        Interval interval = Interval.of(from, to);
        return new MoonAnswer(
                LunarEvents.phases(ephemeris, deltaT, interval).stream()
                        .map(e -> new PhaseAnswer(e.phase(), e.at()))
                        .toList(),
                LunarEvents.apsides(ephemeris, deltaT, interval).stream()
                        .map(e -> new ApsisAnswer(e.apsis(), e.at(), e.distanceKm()))
                        .toList());
    }

    private static Place place(Sky sky, Body body, Instant at) {
        HorizontalPosition p = sky.at(body, at);
        return new Place(p.altitude().degrees(), p.azimuth().degrees());
    }

    @GetMapping("/events")
    Map<String, List<EventAnswer>> events(@RequestParam MultiValueMap<String, String> parameters) {
        Query query = new Query(parameters);
        var observer = query.observer();
        Instant from = query.instant("from");
        Instant to = query.instant("to");
        DeltaT deltaT = query.deltaT();
        List<EventType> types = query.list("types", EventType.class);
        query.refuseIf(
                !from.isBefore(to) || Duration.between(from, to).compareTo(Duration.ofDays(SkyEvents.LONGEST_DAYS)) > 0,
                "to",
                "after from, at most " + SkyEvents.LONGEST_DAYS + " days");
        query.check();
        Observer place = observer.orElseThrow();
        Sky sky = Sky.over(place, ephemeris, deltaT);
        EnumSet<EventType> wanted = EnumSet.noneOf(EventType.class);
        wanted.addAll(types);
        List<EventAnswer> events = SkyEvents.find(sky, Interval.of(from, to), wanted).stream()
                .map(e -> new EventAnswer(
                        e.type(),
                        e.at(),
                        e.position().azimuth().degrees(),
                        e.position().altitude().degrees()))
                .toList();
        return Map.of("events", events);
    }
}
