package org.halfdusk.web.standin;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.IntervalTimer;
import org.halfdusk.optics.Lens;
import org.halfdusk.optics.ReadNoise;
import org.halfdusk.optics.Sensor;
import org.halfdusk.optics.kit.BatteryPack;
import org.halfdusk.optics.kit.Card;
import org.halfdusk.optics.kit.Converter;
import org.halfdusk.optics.kit.Filter;
import org.halfdusk.optics.kit.PeriodicError;
import org.halfdusk.optics.kit.Support;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.SubjectPlanner;
import org.halfdusk.shoot.Wish;
import org.halfdusk.shoot.choices.RigChoices;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.shoot.fireworks.FireworksWish;
import org.halfdusk.shoot.kept.AllOrNothing;
import org.halfdusk.shoot.kept.Places;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.shoot.kept.kit.Kits;
import org.halfdusk.shoot.kept.kit.Rigs;
import org.halfdusk.shoot.kept.kit.StandingRig;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.shoot.town.TownWish;
import org.halfdusk.shoot.trails.TrailsWish;
import org.halfdusk.store.Facts;
import org.springframework.stereotype.Component;

/** Vesper Isle, made up: places, kit and a shoot of each subject to look at, sown into an empty file once. */
@Component
public class DemoWorld {
    static final String SOWN = "demo world sown";

    private final Places places;
    private final Kits kits;
    private final Shoots shoots;
    private final Rigs rigs;
    private final Facts facts;
    private final AllOrNothing atOnce;
    private final DemoGround ground;

    DemoWorld(Places places, Kits kits, Shoots shoots, Rigs rigs, Facts facts, AllOrNothing atOnce, DemoGround ground) {
        this.ground = ground;
        this.atOnce = atOnce;
        this.places = places;
        this.kits = kits;
        this.shoots = shoots;
        this.rigs = rigs;
        this.facts = facts;
    }

    /** Sows the world unless that was done before, so that what a person deleted stays deleted. */
    public void sowOnce() {
        atOnce.of(this::sow);
    }

    /** Whole or not at all; whether it was not there before. */
    private boolean sow() {
        if (facts.get(SOWN).isPresent()) {
            return false;
        }
        CompletableFuture<List<Place>> surveyed = CompletableFuture.supplyAsync(DemoPlaces::all);
        // Some megabytes are unpacked and written through to the disk meanwhile.
        CompletableFuture<Void> laid = CompletableFuture.runAsync(ground::lay, work -> new Thread(work).start());
        long camera = sowCameras();
        Lenses lenses = sowLenses();
        kits.add(new Converter("1.4× converter", 1.4));
        kits.add(new Converter("2× converter", 2));
        sowRigs(camera, lenses);
        DemoPlaces.Stands stands = new DemoPlaces(places).sown(surveyed.join());
        sowShoots(stands, camera, lenses);
        laid.join();
        facts.put(SOWN, DemoClock.START.toString());
        return true;
    }

    /** What they look through. */
    private record Lenses(long fast, long wide, long standard, long tele, long street) {}

    private void sowRigs(long camera, Lenses through) {
        long solar = rigs.add(new Filter("Solar film, density 5", Filter.Use.SOLAR, 5));
        rigs.add(new Filter("Neutral density 0.9", Filter.Use.NEUTRAL, 0.9));
        long tripod = rigs.add(new Support("Carbon tripod", Set.of(), 0));
        long mount = rigs.add(new Support(
                "Travel tracking mount",
                Set.of(Support.Rate.SIDEREAL, Support.Rate.LUNAR, Support.Rate.SOLAR, Support.Rate.HALF),
                15,
                new PeriodicError(50, 540)));
        long card = rigs.add(new Card("128 GB card", 128, 250, 2));
        long battery = rigs.add(new BatteryPack("Camera battery", 530, 190, 3));
        rigs.add(new StandingRig(
                "Wide sky",
                camera,
                through.fast(),
                Optional.empty(),
                18,
                Optional.empty(),
                Optional.of(tripod),
                Optional.of(card),
                Optional.of(battery)));
        rigs.add(new StandingRig(
                "Long reach on the mount",
                camera,
                through.tele(),
                Optional.empty(),
                400,
                Optional.of(solar),
                Optional.of(mount),
                Optional.of(card),
                Optional.of(battery)));
    }

    private void sowShoots(DemoPlaces.Stands at, long camera, Lenses through) {
        sowCoreAndFireworks(at, camera, through);
        sowLunarEclipses(at, camera, through);
        sowMoonAndTrails(at, camera, through);
        sowTotality(at, camera, through);
        sowNightsThatWere(at, camera, through);
        sowHarbourOnFilm(at, through);
        sowKeeper(at, camera, through);
    }

    private void sowCoreAndFireworks(DemoPlaces.Stands at, long camera, Lenses through) {
        sow(
                Subject.MILKY_WAY,
                at.tower(),
                LocalDate.of(2027, 6, 4),
                "Core over the watchtower",
                rig(camera, through.fast(), 18),
                SubjectPlanner.wishes(Subject.MILKY_WAY).usual(),
                "Stand on the path below the wall; the tower's lamp is off since the restoration.");
        sow(
                Subject.FIREWORKS,
                at.harbour(),
                LocalDate.of(2027, 8, 15),
                "Lantern night over the harbour",
                rig(camera, through.standard(), 40),
                FireworksWish.AZIMUTH.with(FireworksWish.DISTANCE.with(FireworksWish.KIND.usual(), 420.0), 128.0),
                "Barge off the mole; the harbour master closes the steps at 21:30.");
    }

    private void sowLunarEclipses(DemoPlaces.Stands at, long camera, Lenses through) {
        sow(
                Subject.LUNAR_ECLIPSE,
                at.pans(),
                LocalDate.of(2028, 12, 31),
                "Eclipsed moonrise on New Year's Eve",
                rig(camera, through.tele(), 400),
                SubjectPlanner.wishes(Subject.LUNAR_ECLIPSE).usual(),
                "It rises inside the shadow: look for it with the low eastern horizon free.");
        sow(
                Subject.LUNAR_ECLIPSE,
                at.tower(),
                LocalDate.of(2029, 12, 20),
                "High eclipse over the watchtower",
                rig(camera, through.tele(), 400),
                SubjectPlanner.wishes(Subject.LUNAR_ECLIPSE).usual(),
                "High all through: a chair and a right-angle view of the screen.");
    }

    private void sowMoonAndTrails(DemoPlaces.Stands at, long camera, Lenses through) {
        sow(
                Subject.MOON,
                at.sandbar(),
                LocalDate.of(2027, 7, 18),
                "Moon behind the North Light",
                rig(camera, through.tele(), 400),
                SubjectPlanner.wishes(Subject.MOON).usual(),
                "The sandbar floods with the spring tide: leave by 23:00.");
        sow(
                Subject.STAR_TRAILS,
                at.pans(),
                LocalDate.of(2027, 1, 8),
                "Wheel over the salt pans",
                rig(camera, through.wide(), 15),
                TrailsWish.CELSIUS.with(TrailsWish.KIND.usual(), OptionalDouble.of(4)),
                "Stand on the southern dyke; the windmill's sails are tied.");
    }

    private void sowTotality(DemoPlaces.Stands at, long camera, Lenses through) {
        long totality = sow(
                Subject.SOLAR_ECLIPSE,
                at.light(),
                LocalDate.of(2027, 8, 2),
                "Totality from the North Light",
                rig(camera, through.tele(), 400),
                SubjectPlanner.wishes(Subject.SOLAR_ECLIPSE).usual(),
                "Filters packed twice. The keeper opens the yard at 08:00.");
        shoots.addRig(totality, rig(camera, through.standard(), 24));
    }

    /** Two nights that lie behind the demo's clock: their frames are made when they are first asked for. */
    private void sowNightsThatWere(DemoPlaces.Stands at, long camera, Lenses through) {
        long yard = sow(
                Subject.MILKY_WAY,
                at.light(),
                LocalDate.of(2027, 4, 10),
                "Core from the yard at dawn",
                rig(camera, through.wide(), 15),
                SubjectPlanner.wishes(Subject.MILKY_WAY).usual(),
                "Kicked the tripod once, set it up again.");
        facts.put(SimulatedNights.FACT + yard, SimulatedNights.Story.FOCUS_SLIPPED.name());
        long early = sow(
                Subject.MILKY_WAY,
                at.tower(),
                LocalDate.of(2027, 5, 7),
                "First core of the year",
                rig(camera, through.fast(), 18),
                SubjectPlanner.wishes(Subject.MILKY_WAY).usual(),
                "Wind from the north, dry; a car came up the path at three.");
        facts.put(SimulatedNights.FACT + early, SimulatedNights.Story.COMA.name());
    }

    private void sowHarbourOnFilm(DemoPlaces.Stands at, Lenses through) {
        long film = kits.add(new Camera(
                "Film camera, colour negative 400",
                new Sensor(36, 24, 5400, 3600),
                new Camera.Sensitivity(400, 400, OptionalDouble.of(1.3), ReadNoise.STEADY),
                new Camera.Shutter(1 / 1000.0, 1, true, true, 0, IntervalTimer.USUAL),
                new Camera.Files(0, 0, 1, 0.1),
                new Camera.Power(700, 600, Camera.Power.USUAL_LOSS, Camera.Power.USUAL_LOSS)));
        sow(
                Subject.TOWN,
                at.harbour(),
                LocalDate.of(2027, 6, 11),
                "Harbour at blue hour",
                rig(film, through.street(), 35),
                TownWish.FRAMES_USED.with(TownWish.KIND.usual(), 7),
                "From the end of the wall; the ferry's wash shakes it until 21:50.");
    }

    private void sowKeeper(DemoPlaces.Stands at, long camera, Lenses through) {
        RigChoices portrait = RigChoices.of(Map.of(
                "PERSON", "STANDS",
                "FOCUS", "1.6",
                "OWN_LIGHT", "PAINTED",
                "LAMP", "2 lux",
                "LAMP_METRES", "2",
                "LIT_THING", "FACE",
                "LAMP_SECONDS", "1"));
        sow(
                Subject.MILKY_WAY,
                at.tower(),
                LocalDate.of(2027, 7, 3),
                "Keeper under the stars",
                rig(camera, through.street(), 35).with(portrait),
                SubjectPlanner.wishes(Subject.MILKY_WAY).usual(),
                "The keeper sits on the wall; a lamp behind paper, from the side.");
    }

    private long sow(
            Subject subject, long place, LocalDate date, String title, Shoot.ShootRig rig, Wish wish, String notes) {
        return shoots.add(new Shoot(subject, place, date, title, rig, wish, notes, DemoClock.START));
    }

    private static Shoot.ShootRig rig(long camera, long lens, double focalMm) {
        return new Shoot.ShootRig(camera, lens, Optional.empty(), focalMm, Optional.empty(), Wishes.DEFAULT);
    }

    private long sowCameras() {
        long full = kits.add(camera("Full frame 33 MP", new Sensor(35.9, 23.9, 7008, 4672), 25_600, 34, 90, 530));
        kits.add(camera("APS-C 26 MP", new Sensor(23.5, 15.6, 6240, 4160), 12_800, 26, 42, 380));
        kits.add(camera("Four-thirds 20 MP", new Sensor(17.4, 13.0, 5184, 3888), 12_800, 20, 30, 400));
        return full;
    }

    private static Camera camera(String name, Sensor sensor, int highestIso, double rawMb, int buffer, int battery) {
        return new Camera(
                name,
                sensor,
                Camera.Sensitivity.of(100, highestIso),
                Camera.Shutter.of(1 / 8000.0, 30, true),
                new Camera.Files(rawMb, 11, buffer, 160),
                Camera.Power.of(battery, 190));
    }

    private Lenses sowLenses() {
        long wide = kits.add(new Lens("18 mm f/2", 18, 18, 2, 2, 16, 2.8));
        long zoom = kits.add(new Lens("14–30 mm f/4", 14, 30, 4, 4, 22, 5.6));
        long standard = kits.add(new Lens("24–70 mm f/2.8", 24, 70, 2.8, 2.8, 22, 5.6));
        long tele = kits.add(new Lens("100–400 mm f/4.5–5.6", 100, 400, 4.5, 5.6, 32, 8));
        long street = kits.add(new Lens("35 mm f/2", 35, 35, 2, 2, 16, 5.6));
        return new Lenses(wide, zoom, standard, tele, street);
    }
}
