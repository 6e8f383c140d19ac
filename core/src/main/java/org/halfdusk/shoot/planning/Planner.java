package org.halfdusk.shoot.planning;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.halfdusk.ephemeris.Ephemeris;
import org.halfdusk.light.DarkSite;
import org.halfdusk.light.MeasuredDark;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.Lens;
import org.halfdusk.optics.Rig;
import org.halfdusk.optics.kit.Accessory;
import org.halfdusk.optics.kit.Card;
import org.halfdusk.optics.kit.Converter;
import org.halfdusk.optics.kit.Support;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.place.Observer;
import org.halfdusk.place.Place;
import org.halfdusk.place.Skyline;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.Site;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.SubjectNight;
import org.halfdusk.shoot.SubjectPlanner;
import org.halfdusk.shoot.Traits;
import org.halfdusk.shoot.Wish;
import org.halfdusk.shoot.choices.Preferences;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.shoot.choices.ShootField;
import org.halfdusk.shoot.kept.Forecasts;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Places;
import org.halfdusk.shoot.kept.kit.Kits;
import org.halfdusk.shoot.kept.kit.Rigs;
import org.halfdusk.shoot.review.learnt.Knowledge;
import org.halfdusk.shoot.review.learnt.Learnt;
import org.halfdusk.sky.Sky;
import org.halfdusk.time.DeltaT;
import org.halfdusk.trailing.Mount;
import org.halfdusk.weather.Forecast;

/** Plans from what is kept: looks places and kit up and lets the subject's planner put the rooms together. */
public final class Planner {
    /** Nights kept for being asked again, some 3 kB each: a year of three places for six subjects and more. */
    private static final int MOST_NIGHTS = 8000;

    private static final int MOST_SITES = 200;

    private final Places places;
    private final Kits kits;
    private final Forecasts forecasts;
    private final Rigs rigs;
    private final Supplier<Preferences> preferences;
    private final Supplier<Knowledge> learnt;
    private final Ephemeris ephemeris;
    private final Map<Subject, SubjectPlanner<?, ?>> subjects = new EnumMap<>(Subject.class);
    private final Recent<SiteKey, DarkSite> sites = new Recent<>(MOST_SITES);
    private final Recent<PlaceKey, Long> numbers = new Recent<>(MOST_SITES);
    private final Recent<NightKey, SubjectNight> nights = new Recent<>(MOST_NIGHTS);
    private final AtomicLong lastNumber = new AtomicLong();

    /**
     * @param preferences asked each time, so that a change holds at once
     * @param learnt what was taken over from frames, asked likewise
     */
    public Planner(
            Places places,
            Kits kits,
            Rigs rigs,
            Forecasts forecasts,
            Supplier<Preferences> preferences,
            Supplier<Knowledge> learnt,
            Ephemeris ephemeris) {
        this.learnt = learnt;
        this.rigs = rigs;
        this.preferences = preferences;
        this.places = places;
        this.kits = kits;
        this.forecasts = forecasts;
        this.ephemeris = ephemeris;
        SubjectPlanner.all(ephemeris).forEach(p -> subjects.put(p.subject(), p));
    }

    /** The planner of a subject. */
    public SubjectPlanner<?, ?> of(Subject subject) {
        return Optional.<SubjectPlanner<?, ?>>ofNullable(subjects.get(subject)).orElseThrow();
    }

    /** The sky over a place. */
    public Sky sky(Place place) {
        return sky(place.observer());
    }

    /** Of a point that is no place of anybody's. */
    public Sky sky(Observer observer) {
        return Sky.over(observer, ephemeris, DeltaT.model());
    }

    /** A place with its sky, its forecast and the towns around it; looking the towns up takes milliseconds, so that is kept. */
    public Site site(Place place) {
        return site(place, learnt.get().place(place.observer()));
    }

    private Site site(Place place, MeasuredDark measured) {
        SiteKey key = new SiteKey(place.observer(), place.skyBrightness());
        DarkSite dark =
                sites.get(key).orElseGet(() -> sites.keep(key, DarkSite.of(place.observer(), place.skyBrightness())));
        return new Site(
                place, sky(place), measured.known() ? dark.with(measured) : dark, forecasts.near(place.observer()));
    }

    /** The weather ahead of a place, where any is known. */
    public Optional<Forecast> forecast(Place place) {
        return forecasts.near(place.observer());
    }

    private record SiteKey(Observer observer, SkyBrightness skyBrightness) {}

    /** A night of a place for a subject; asked again for the same, the one computed before. */
    public SubjectNight night(Subject subject, Place place, LocalDate date, Wish wish) {
        return night(of(subject), here(place, learnt.get()), date, wish);
    }

    private <N extends SubjectNight, W extends Wish> N night(
            SubjectPlanner<N, W> planner, Here here, LocalDate date, Wish wished) {
        W wish = planner.wishes().type().cast(wished);
        NightKey key = new NightKey(planner.subject(), here.number(), wish, date);
        SubjectNight found = nights.get(key).orElseGet(() -> nights.keep(key, planner.night(here.site(), date, wish)));
        return planner.nightType().cast(weathered(found, here.site()));
    }

    /** The night with the weather of its windows in the score, where all of the longest is forecast. */
    private static SubjectNight weathered(SubjectNight night, Site site) {
        return site.forecast()
                .flatMap(f -> night.main().flatMap(f::during))
                .map(w -> night.withScore(night.score().withWeather(w.clear())))
                .orElse(night);
    }

    /** What a night follows from, apart from the sky itself; the place by a number, since a skyline is long. */
    private record NightKey(Subject subject, long place, Wish wish, LocalDate date) {}

    /** What of a place its nights follow from. */
    private record PlaceKey(
            Observer observer,
            ZoneId zone,
            SkyBrightness skyBrightness,
            List<?> objects,
            Skyline skyline,
            MeasuredDark measured) {
        PlaceKey(Place place, MeasuredDark measured) {
            this(place.observer(), place.zone(), place.skyBrightness(), place.objects(), place.skyline(), measured);
        }
    }

    /** A place as it stands, under a number that no other has: changed, it has another. */
    private record Here(Site site, long number) {}

    private Here here(Place place, Knowledge known) {
        MeasuredDark measured = known.place(place.observer());
        PlaceKey key = new PlaceKey(place, measured);
        return new Here(
                site(place, measured),
                numbers.get(key).orElseGet(() -> numbers.keep(key, lastNumber.incrementAndGet())));
    }

    /**
     * Nights of a place that are worth a look for a subject from a date on, in order; fewer where the last night that can
     * be planned comes before.
     */
    public List<SubjectNight> nights(Subject subject, Place place, LocalDate from, int count) {
        Here here = here(place, learnt.get());
        SubjectPlanner<?, ?> planner = of(subject);
        Wish wish = initialWish(subject, place);
        return planner.dates(here.site(), from, count).stream()
                .filter(d -> !d.isBefore(ShootField.FIRST_NIGHT) && !d.isAfter(ShootField.LAST_NIGHT))
                .<SubjectNight>map(d -> night(planner, here, d, wish))
                .toList();
    }

    /** Every night from a date on, whether or not anything happens in it; fewer at the end of the years. */
    public List<SubjectNight> everyNight(Subject subject, Place place, LocalDate from, int count) {
        Here here = here(place, learnt.get());
        SubjectPlanner<?, ?> planner = of(subject);
        Wish wish = initialWish(subject, place);
        return Stream.iterate(from, d -> d.plusDays(1))
                .limit(count)
                .filter(d -> !d.isBefore(ShootField.FIRST_NIGHT) && !d.isAfter(ShootField.LAST_NIGHT))
                .<SubjectNight>map(d -> night(planner, here, d, wish))
                .toList();
    }

    /** The best first: by score, of equals the weekend's, then that with more hours, then the earliest; no window last. */
    public static final Comparator<SubjectNight> BEST_FIRST = Comparator.comparing(
                    (SubjectNight n) -> n.main().isEmpty())
            .thenComparing(n -> -n.score().total())
            .thenComparing(n -> !n.beforeFreeDay())
            .thenComparing(n -> -n.windowHours())
            .thenComparing(SubjectNight::date);

    /** The best of some nights; nothing where none has a window. */
    public static Optional<SubjectNight> best(List<SubjectNight> nights) {
        return nights.stream().filter(n -> n.main().isPresent()).min(BEST_FIRST);
    }

    /** The rig of a shoot, from the kit as it is now. */
    public Rig rig(Shoot.ShootRig rig) {
        return rig(rig, learnt.get());
    }

    private Rig rig(Shoot.ShootRig rig, Knowledge known) {
        Camera camera =
                kits.camera(rig.cameraId()).orElseThrow(() -> missing("camera")).it();
        Lens lens = kits.lens(rig.lensId()).orElseThrow(() -> missing("lens")).it();
        Optional<Converter> converter =
                rig.converterId().flatMap(kits::converter).map(Kept::it);
        return Rig.of(camera, lens, converter, rig.focalMm())
                .with(card(rig))
                .with(known.rig(rig.cameraId(), rig.lensId()));
    }

    /** The card of the standing rig that has this camera and lens, or this camera at least. */
    private Optional<Card> card(Shoot.ShootRig kept) {
        return rigs.rigs().stream()
                .map(Kept::it)
                .filter(r -> r.cameraId() == kept.cameraId() && r.cardId().isPresent())
                .sorted(Comparator.comparing(r -> r.lensId() != kept.lensId()))
                .flatMap(r -> r.cardId().flatMap(rigs::accessory).stream())
                .map(Kept::it)
                .filter(Card.class::isInstance)
                .map(Card.class::cast)
                .findFirst();
    }

    private static IllegalArgumentException missing(String what) {
        return new IllegalArgumentException(what + " of this shoot is not in the kit any more");
    }

    /** The plan of a shoot, by the models and by what was taken over from frames. */
    public Plan plan(Shoot shoot) {
        return plan(shoot, learnt.get());
    }

    /** By the models alone, without what was taken over from frames: what further frames are held against. */
    public Plan modelled(Shoot shoot) {
        return plan(shoot, Knowledge.NONE);
    }

    private Plan plan(Shoot shoot, Knowledge known) {
        Place place = places.find(shoot.placeId())
                .orElseThrow(() -> new IllegalArgumentException("place of this shoot is not known any more"))
                .it();
        return plan(of(shoot.subject()), here(place, known), shoot, known);
    }

    private <N extends SubjectNight, W extends Wish> Plan plan(
            SubjectPlanner<N, W> planner, Here here, Shoot shoot, Knowledge known) {
        Shoot.ShootRig kept = shoot.rig();
        N night = night(planner, here, shoot.night(), shoot.wish());
        Rig rig = rig(kept, known);
        return planner.plan(
                here.site(),
                night,
                rig,
                kept.framing(),
                kept.wishes(
                        rig.camera().sensor(),
                        supports(kept).stream().map(s -> shown(s, known)).toList()),
                planner.wishes().type().cast(shoot.wish()));
    }

    /** The mount of the kit that turns this rig. */
    public Optional<Long> mount(Shoot.ShootRig kept) {
        Mount mount = kept.choices().limits().mount();
        return supports(kept).stream()
                .filter(s -> s.it() instanceof Support own && mount.is(own))
                .map(Kept::id)
                .findFirst();
    }

    /** With the axis as far off as frames have shown it. */
    private static Support shown(Kept<Accessory> kept, Knowledge known) {
        Support support = (Support) kept.it();
        return known.of(Learnt.Figure.MOUNT_AXIS, kept.id(), "")
                .map(m -> support.withAlignment(Math.min(Support.MOST_ARCMIN, Math.max(0, m.value()))))
                .orElse(support);
    }

    /** Tripods and mounts of the kit; first that which a standing rig has under this camera and lens. */
    private List<Kept<Accessory>> supports(Shoot.ShootRig kept) {
        if (!kept.choices().limits().mount().turns()) {
            return List.of();
        }
        Set<Long> under = rigs.rigs().stream()
                .map(Kept::it)
                .filter(r -> r.cameraId() == kept.cameraId() && r.lensId() == kept.lensId())
                .flatMap(r -> r.supportId().stream())
                .collect(Collectors.toSet());
        return rigs.accessories().stream()
                .filter(a -> a.it() instanceof Support)
                .sorted(Comparator.comparing(a -> !under.contains(a.id())))
                .toList();
    }

    /** How a night of a place would be planned with a rig that nobody has kept yet. */
    public Plan trial(Subject subject, Place place, LocalDate date, Rig rig) {
        return trial(of(subject), here(place, learnt.get()), date, rig);
    }

    private <N extends SubjectNight, W extends Wish> Plan trial(
            SubjectPlanner<N, W> planner, Here here, LocalDate date, Rig rig) {
        W wish = planner.initialWish(here.site().place(), preferences.get());
        return planner.plan(
                here.site(),
                night(planner, here, date, wish),
                rig,
                Optional.empty(),
                preferences.get().wishes(),
                wish);
    }

    /** The wishes that a new shoot begins with, by the subject and what the person has settled. */
    public Wish initialWish(Subject subject, Place place) {
        return of(subject).initialWish(place, preferences.get());
    }

    /** Where a person usually goes, if they have settled that and the place is still there. */
    public Optional<Kept<Place>> usualPlace() {
        Optional<Long> id = preferences.get().placeId();
        return places.list().stream()
                .filter(p -> id.filter(i -> i == p.id()).isPresent())
                .findFirst();
    }

    /** The rig that a person usually takes, where it suits the subject. */
    private Optional<Shoot.ShootRig> usualRig(Subject subject) {
        return preferences
                .get()
                .rigId()
                .filter(id -> Traits.of(subject).wide())
                .flatMap(rigs::rig)
                .map(Kept::it)
                .map(r -> new Shoot.ShootRig(
                        r.cameraId(),
                        r.lensId(),
                        r.converterId(),
                        r.focalMm(),
                        Optional.empty(),
                        preferences.get().wishes()));
    }

    /** The kit that suits a subject: the usual rig, or the largest sensor, the lens that its planner finds fittest. */
    public Shoot.ShootRig suggestedRig(Subject subject) {
        return usualRig(subject).orElseGet(() -> fittestRig(subject));
    }

    private Shoot.ShootRig fittestRig(Subject subject) {
        SubjectPlanner<?, ?> planner = of(subject);
        Kept<Camera> camera = kits.cameras().stream()
                // One film of one speed is for who asks for it.
                .max(Comparator.comparing((Kept<Camera> c) -> !c.it().film())
                        .thenComparing(c -> c.it().sensor().diagonalMm()))
                .orElseThrow(() -> new IllegalArgumentException(
                        "there is no camera in the kit yet; add one before planning a shoot"));
        Kept<Lens> lens = kits.lenses().stream()
                .min(Comparator.comparingDouble((Kept<Lens> l) -> planner.unfitness(l.it()))
                        .thenComparing(Kept::id))
                .orElseThrow(() -> new IllegalArgumentException(
                        "there is no lens in the kit yet; add one before planning a shoot"));
        return rig(subject, camera.id(), lens);
    }

    /** A rig of a person's own choice, set as the subject begins with. */
    public Shoot.ShootRig rig(Subject subject, long cameraId, Kept<Lens> lens) {
        return new Shoot.ShootRig(
                cameraId,
                lens.id(),
                Optional.empty(),
                of(subject).focalMm(lens.it()),
                Optional.empty(),
                preferences.get().wishes());
    }

    /** A new shoot for a night, named after what is to be seen. */
    public Shoot newShoot(Subject subject, Kept<Place> place, Shoot.ShootRig rig, LocalDate night, Instant now) {
        SubjectPlanner<?, ?> planner = of(subject);
        String title = planner.title(place.it());
        String fitting = title.substring(0, Math.min(title.length(), Shoot.LONGEST_TITLE));
        return new Shoot(subject, place.id(), night, fitting, rig, initialWish(subject, place.it()), "", now);
    }
}
