package org.halfdusk.web;

import java.security.SecureRandom;
import java.time.Clock;
import java.util.function.Supplier;
import java.util.random.RandomGenerator;
import org.halfdusk.ephemeris.ChebyshevEphemeris;
import org.halfdusk.ephemeris.Ephemeris;
import org.halfdusk.ephemeris.SeriesEphemeris;
import org.halfdusk.place.terrain.RasterMap;
import org.halfdusk.shoot.choices.Preferences;
import org.halfdusk.shoot.kept.AllOrNothing;
import org.halfdusk.shoot.kept.Forecasts;
import org.halfdusk.shoot.kept.KeptSettings;
import org.halfdusk.shoot.kept.Places;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.shoot.kept.Tracks;
import org.halfdusk.shoot.kept.done.Frames;
import org.halfdusk.shoot.kept.done.Learning;
import org.halfdusk.shoot.kept.done.PackLists;
import org.halfdusk.shoot.kept.done.PracticeLog;
import org.halfdusk.shoot.kept.done.RunLog;
import org.halfdusk.shoot.kept.kit.FocusMarks;
import org.halfdusk.shoot.kept.kit.Kits;
import org.halfdusk.shoot.kept.kit.Rigs;
import org.halfdusk.shoot.planning.Planner;
import org.halfdusk.shoot.search.CalendarEvents;
import org.halfdusk.store.Facts;
import org.halfdusk.store.StoredSettings;
import org.halfdusk.store.kit.StoredFocusMarks;
import org.halfdusk.store.kit.StoredKits;
import org.halfdusk.store.kit.StoredRigs;
import org.halfdusk.store.places.StoredPlaces;
import org.halfdusk.store.places.StoredRasterMap;
import org.halfdusk.store.places.StoredTracks;
import org.halfdusk.store.shoots.StoredCalendarEvents;
import org.halfdusk.store.shoots.StoredForecasts;
import org.halfdusk.store.shoots.StoredFrames;
import org.halfdusk.store.shoots.StoredLearning;
import org.halfdusk.store.shoots.StoredPackLists;
import org.halfdusk.store.shoots.StoredPracticeLog;
import org.halfdusk.store.shoots.StoredRunLog;
import org.halfdusk.store.shoots.StoredShoots;
import org.halfdusk.store.sqlite.Database;
import org.halfdusk.store.sqlite.Transactions;
import org.halfdusk.web.layout.MachineClock;
import org.halfdusk.web.layout.files.DataHome;
import org.halfdusk.web.standin.DemoClock;
import org.halfdusk.web.standin.SimulatedForecasts;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.env.Environment;
import org.springframework.core.env.Profiles;

/** The wiring of the house: which clock, which file, which sky. */
@Configuration(proxyBeanMethods = false)
class Composition {
    /** Asked when it starts and not by a condition: the wiring is the same whatever the profile, and worked out when built. */
    @Bean
    Clock clock(Environment environment) {
        boolean demo = environment.acceptsProfiles(Profiles.of("demo"));
        return demo ? DemoClock.startingNow(Clock.systemUTC()) : Clock.systemUTC();
    }

    @Bean
    Ephemeris ephemeris() {
        return new ChebyshevEphemeris(new SeriesEphemeris());
    }

    @Bean
    MachineClock machineClock() {
        return new MachineClock(Clock.systemUTC());
    }

    @Bean
    DataHome dataHome(Environment environment) {
        return new DataHome(DataFolder.of(environment));
    }

    @Bean(destroyMethod = "close")
    Database database(Opening opening) {
        return opening.database();
    }

    @Bean
    Places places(Database database, Clock clock) {
        return new StoredPlaces(database, clock);
    }

    @Bean
    Tracks tracks(Database database, Clock clock) {
        return new StoredTracks(database, clock);
    }

    @Bean
    Rigs rigs(Database database, Clock clock) {
        return new StoredRigs(database, clock);
    }

    @Bean
    PracticeLog practiceLog(Database database) {
        return new StoredPracticeLog(database);
    }

    @Bean
    RunLog runLog(Database database) {
        return new StoredRunLog(database);
    }

    @Bean
    PackLists packLists(Database database, Clock clock) {
        return new StoredPackLists(database, clock);
    }

    @Bean
    Kits kits(Database database, Clock clock) {
        return new StoredKits(database, clock);
    }

    @Bean
    Shoots shoots(Database database, Clock clock) {
        return new StoredShoots(database, clock);
    }

    @Bean
    Forecasts forecasts(Database database, Environment environment, Clock clock) {
        Forecasts kept = new StoredForecasts(database);
        boolean demo = environment.acceptsProfiles(Profiles.of("demo"));
        return demo ? new SimulatedForecasts(kept, clock) : kept;
    }

    @Bean
    KeptSettings keptSettings(Database database) {
        return new StoredSettings(database);
    }

    @Bean
    Planner planner(
            Places places,
            Kits kits,
            Rigs rigs,
            Forecasts forecasts,
            Supplier<Preferences> preferences,
            Learning learning,
            Ephemeris ephemeris) {
        return new Planner(places, kits, rigs, forecasts, preferences, () -> learning.knowledge(places), ephemeris);
    }

    @Bean
    Learning learning(Database database) {
        return new StoredLearning(database);
    }

    @Bean
    FocusMarks focusMarks(Database database, Clock clock) {
        return new StoredFocusMarks(database, clock);
    }

    @Bean
    Frames frames(Database database) {
        return new StoredFrames(database);
    }

    @Bean
    AllOrNothing allOrNothing(Database database) {
        return new Transactions(database);
    }

    @Bean
    CalendarEvents calendarEvents(Database database) {
        return new StoredCalendarEvents(database);
    }

    @Bean
    RandomGenerator randomness() {
        return new SecureRandom();
    }

    @Bean
    Facts facts(Database database) {
        return new Facts(database);
    }

    @Bean
    RasterMap.Opener rasterMaps() {
        return StoredRasterMap::open;
    }
}
