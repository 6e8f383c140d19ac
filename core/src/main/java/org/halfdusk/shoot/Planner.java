package org.halfdusk.shoot;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;
import org.halfdusk.ephemeris.Ephemeris;
import org.halfdusk.light.DarkSite;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.Converter;
import org.halfdusk.optics.Lens;
import org.halfdusk.optics.Rig;
import org.halfdusk.place.Observer;
import org.halfdusk.place.Place;
import org.halfdusk.sky.Sky;
import org.halfdusk.time.DeltaT;

/** Plans from what is kept: looks places and kit up and puts the rooms together. */
public final class Planner {
    /** Nights kept for being asked again, some 3 kB each; then all are forgotten. */
    private static final int MOST_NIGHTS = 2000;

    private static final int MOST_SITES = 200;

    private final Places places;
    private final Kits kits;
    private final Ephemeris ephemeris;
    private final Map<SiteKey, DarkSite> sites = new ConcurrentHashMap<>();
    private final Map<NightKey, MilkyWayNight> nights = new ConcurrentHashMap<>();

    public Planner(Places places, Kits kits, Ephemeris ephemeris) {
        this.places = places;
        this.kits = kits;
        this.ephemeris = ephemeris;
    }

    public Sky sky(Place place) {
        return Sky.over(place.observer(), ephemeris, DeltaT.model());
    }

    /** The dark sky of a place with the towns around it; looking the towns up takes milliseconds, so it is kept. */
    public DarkSite site(Place place) {
        if (sites.size() > MOST_SITES) {
            sites.clear();
        }
        return sites.computeIfAbsent(
                new SiteKey(place.observer(), place.skyBrightness()),
                k -> DarkSite.of(k.observer(), k.skyBrightness()));
    }

    private record SiteKey(Observer observer, double skyBrightness) {}

    /** A night of a place; asked again for the same place and date, the one computed before. */
    public MilkyWayNight night(Place place, LocalDate date) {
        if (nights.size() > MOST_NIGHTS) {
            nights.clear();
        }
        return nights.computeIfAbsent(
                new NightKey(place.observer(), place.zone(), place.skyBrightness(), date),
                k -> MilkyWayNight.of(
                        sky(place), site(place), date, k.zone(), MilkyWayNight.DEFAULT_LOWEST_CORE_DEGREES));
    }

    /** What a night follows from, apart from the sky itself. */
    private record NightKey(Observer observer, ZoneId zone, double skyBrightness, LocalDate date) {}

    /** The nights of a place from a date on, in order; fewer where the last night that can be planned comes before. */
    public List<MilkyWayNight> nights(Place place, LocalDate from, int count) {
        return Stream.iterate(from, d -> d.plusDays(1))
                .limit(count)
                .filter(d -> !d.isBefore(ShootField.FIRST_NIGHT) && !d.isAfter(ShootField.LAST_NIGHT))
                .map(d -> night(place, d))
                .toList();
    }

    /** The best of some nights, of equals that with more hours, then the earliest; nothing where none has a window. */
    public static Optional<MilkyWayNight> best(List<MilkyWayNight> nights) {
        return nights.stream()
                .filter(n -> n.main().isPresent())
                .max(Comparator.comparingInt((MilkyWayNight n) -> n.score().total())
                        .thenComparingDouble(MilkyWayNight::windowHours)
                        .thenComparing(n -> n.night().date(), Comparator.reverseOrder()));
    }

    /** The rig of a shoot, from the kit as it is now. */
    public Rig rig(Shoot.ShootRig rig) {
        Camera camera =
                kits.camera(rig.cameraId()).orElseThrow(() -> missing("camera")).it();
        Lens lens = kits.lens(rig.lensId()).orElseThrow(() -> missing("lens")).it();
        Optional<Converter> converter =
                rig.converterId().flatMap(kits::converter).map(Kept::it);
        return Rig.of(camera, lens, converter, rig.focalMm());
    }

    private static IllegalArgumentException missing(String what) {
        return new IllegalArgumentException(what + " of this shoot is not in the kit any more");
    }

    public MilkyWayPlan plan(Shoot shoot) {
        Place place = places.find(shoot.placeId())
                .orElseThrow(() -> new IllegalArgumentException("place of this shoot is not known any more"))
                .it();
        return MilkyWayPlan.of(
                place,
                night(place, shoot.night()),
                rig(shoot.rig()),
                shoot.rig().framing(),
                shoot.rig().wishes());
    }

    /** A new shoot for a night, with the first camera and the widest lens of the kit, named after what is to be seen. */
    public Shoot newShoot(Kept<Place> place, LocalDate night, Instant now) {
        Kept<Camera> camera = kits.cameras().stream()
                .max(Comparator.comparingDouble(c -> c.it().sensor().diagonalMm()))
                .orElseThrow(() -> new IllegalArgumentException(
                        "there is no camera in the kit yet; add one before planning a shoot"));
        Kept<Lens> lens = kits.lenses().stream()
                .min(Comparator.comparingDouble((Kept<Lens> l) -> speed(l.it())).thenComparing(Kept::id))
                .orElseThrow(() -> new IllegalArgumentException(
                        "there is no lens in the kit yet; add one before planning a shoot"));
        Shoot.ShootRig rig = new Shoot.ShootRig(
                camera.id(), lens.id(), Optional.empty(), lens.it().shortestMm(), Optional.empty(), Wishes.DEFAULT);
        return new Shoot(Subject.MILKY_WAY, place.id(), night, title(place.it()), rig, "", now);
    }

    /** Night skies want short and fast: focal length times f-number, smallest first. */
    private static double speed(Lens lens) {
        return lens.shortestMm() * lens.widestAtShortest();
    }

    private static String title(Place place) {
        String over = place.objects().isEmpty()
                ? place.name().split(",", 2)[0]
                : "the " + lowerFirst(place.objects().get(0).name());
        String title = "Core over " + over;
        return title.substring(0, Math.min(title.length(), Shoot.LONGEST_TITLE));
    }

    private static String lowerFirst(String name) {
        return Character.toLowerCase(name.charAt(0)) + name.substring(1);
    }
}
