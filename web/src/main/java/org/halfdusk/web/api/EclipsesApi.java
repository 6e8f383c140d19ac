package org.halfdusk.web.api;

import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.halfdusk.eclipse.FilterGuard;
import org.halfdusk.eclipse.LunarEclipse;
import org.halfdusk.eclipse.SolarEclipse;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.ephemeris.Ephemeris;
import org.halfdusk.place.Observer;
import org.halfdusk.sky.HorizontalPosition;
import org.halfdusk.sky.Sky;
import org.halfdusk.time.DeltaT;
import org.halfdusk.time.Interval;
import org.jspecify.annotations.Nullable;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Eclipses, computed. */
@RestController
@RequestMapping("/api/v1/eclipses")
class EclipsesApi {
    private final Ephemeris ephemeris;

    EclipsesApi(Ephemeris ephemeris) {
        this.ephemeris = ephemeris;
    }

    record Place(double altitude, double azimuth) {}

    /** Contacts that do not happen are null; with a place, {@code moonAltitude} has the Moon's at each that does. */
    record Lunar(
            LunarEclipse.Type type,
            Instant greatest,
            Instant p1,
            @Nullable Instant u1,
            @Nullable Instant u2,
            @Nullable Instant u3,
            @Nullable Instant u4,
            Instant p4,
            double umbralMagnitude,
            double penumbralMagnitude,
            @Nullable Map<String, Double> moonAltitude) {}

    record Solar(
            SolarEclipse.Type type,
            Instant c1,
            @Nullable Instant c2,
            Instant maximum,
            @Nullable Instant c3,
            Instant c4,
            double magnitude,
            double obscuration,
            double durationSeconds,
            Map<String, Place> sun,
            @Nullable Off filterOff,
            @Nullable Double insideLimitKm) {}

    /** When a lens may be bare, by the guard with its least margin. */
    record Off(Instant from, Instant to) {}

    private static @Nullable Instant start(Optional<Interval> i) {
        return i.map(Interval::start).orElse(null);
    }

    private static @Nullable Instant end(Optional<Interval> i) {
        return i.map(Interval::end).orElse(null);
    }

    @GetMapping("/lunar")
    Map<String, List<Lunar>> lunar(@RequestParam MultiValueMap<String, String> parameters) {
        Query query = new Query(parameters);
        boolean placed = query.has("lat") || query.has("lon");
        Optional<Observer> observer = placed ? query.observer() : Optional.empty();
        DeltaT deltaT = query.deltaT();
        Interval interval = query.interval("from", "to");
        query.check();
        Optional<Sky> sky = observer.map(o -> Sky.over(o, ephemeris, deltaT));
        return Map.of(
                "eclipses",
                LunarEclipse.find(ephemeris, deltaT, interval).stream()
                        .map(e -> lunar(e, sky))
                        .toList());
    }

    private static Lunar lunar(LunarEclipse e, Optional<Sky> sky) {
        Map<String, Instant> contacts = new LinkedHashMap<>();
        contacts.put("p1", e.penumbra().start());
        e.umbra().ifPresent(u -> contacts.put("u1", u.start()));
        e.totality().ifPresent(t -> contacts.put("u2", t.start()));
        contacts.put("greatest", e.greatest());
        e.totality().ifPresent(t -> contacts.put("u3", t.end()));
        e.umbra().ifPresent(u -> contacts.put("u4", u.end()));
        contacts.put("p4", e.penumbra().end());
        Map<String, Double> altitudes = sky.map(s -> {
                    Map<String, Double> map = new LinkedHashMap<>();
                    contacts.forEach((name, at) ->
                            map.put(name, s.at(Body.MOON, at).altitude().degrees()));
                    return map;
                })
                .orElse(null);
        return new Lunar(
                e.type(),
                e.greatest(),
                e.penumbra().start(),
                start(e.umbra()),
                start(e.totality()),
                end(e.totality()),
                end(e.umbra()),
                e.penumbra().end(),
                e.umbralMagnitude(),
                e.penumbralMagnitude(),
                altitudes);
    }

    @GetMapping("/solar")
    Map<String, List<Solar>> solar(@RequestParam MultiValueMap<String, String> parameters) {
        Query query = new Query(parameters);
        Optional<Observer> observer = query.observer();
        DeltaT deltaT = query.deltaT();
        Interval interval = query.interval("from", "to");
        query.check();
        Sky sky = Sky.over(observer.orElseThrow(), ephemeris, deltaT);
        return Map.of(
                "eclipses",
                SolarEclipse.find(sky, interval).stream()
                        .filter(SolarEclipse::visible)
                        .map(e -> solar(e, sky))
                        .toList());
    }

    private static Solar solar(SolarEclipse e, Sky sky) {
        FilterGuard guard = FilterGuard.of(sky, e);
        Map<String, Place> sun = new LinkedHashMap<>();
        sun.put("c1", place(sky, e.partial().start()));
        e.central().ifPresent(c -> sun.put("c2", place(sky, c.start())));
        sun.put("maximum", place(sky, e.maximum()));
        e.central().ifPresent(c -> sun.put("c3", place(sky, c.end())));
        sun.put("c4", place(sky, e.partial().end()));
        return new Solar(
                e.type(),
                e.partial().start(),
                start(e.central()),
                e.maximum(),
                end(e.central()),
                e.partial().end(),
                e.magnitude(),
                e.obscuration(),
                e.central().map(c -> c.duration().toMillis() / 1000.0).orElse(0.0),
                sun,
                guard.off().map(o -> new Off(o.start(), o.end())).orElse(null),
                guard.insideLimitKm().isPresent() ? guard.insideLimitKm().getAsDouble() : null);
    }

    private static Place place(Sky sky, Instant at) {
        HorizontalPosition p = sky.at(Body.SUN, at);
        return new Place(p.altitude().degrees(), p.azimuth().degrees());
    }
}
