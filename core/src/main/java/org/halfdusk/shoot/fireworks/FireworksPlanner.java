package org.halfdusk.shoot.fireworks;

import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.exposure.Burst;
import org.halfdusk.optics.Framing;
import org.halfdusk.optics.Lens;
import org.halfdusk.optics.Rig;
import org.halfdusk.place.ForegroundObject;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.Packing;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.Site;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.SubjectPlanner;
import org.halfdusk.shoot.SubjectWish;
import org.halfdusk.shoot.Traits;
import org.halfdusk.shoot.WishField;
import org.halfdusk.shoot.Wishes;

/** The planner of fireworks. */
public record FireworksPlanner() implements SubjectPlanner<FireworksNight> {
    public static final WishField START = WishField.time("FIREWORKS_START", "show begins at", "22:30");
    public static final WishField MINUTES =
            WishField.number("FIREWORKS_MINUTES", "length of the show", "min", 1, 240, 20);
    public static final WishField FINALE = WishField.number("FIREWORKS_FINALE", "finale at its end", "min", 0, 60, 2);
    public static final WishField DISTANCE =
            WishField.number("FIREWORKS_DISTANCE", "distance to the launching site", "m", 1, 50_000, 420);
    public static final WishField AZIMUTH =
            WishField.number("FIREWORKS_AZIMUTH", "direction of the site", "°", 0, 360, 180);
    public static final WishField ABOVE =
            WishField.number("FIREWORKS_ABOVE", "site above the camera", "m", -2000, 2000, 0);
    public static final WishField SHELLS = WishField.choice(
            "FIREWORKS_SHELLS",
            "shells",
            new WishField.Option("TOWN", "town: 75 to 150 mm"),
            new WishField.Option("VILLAGE", "village: 50 to 75 mm"),
            new WishField.Option("GREAT", "great show: 75 to 300 mm"),
            new WishField.Option("OWN", "largest as given beside"));
    public static final WishField CALIBRE =
            WishField.number("FIREWORKS_CALIBRE", "largest calibre", "mm", 20, 610, 150);
    public static final WishField CELSIUS =
            WishField.number("FIREWORKS_CELSIUS", "temperature expected", "°C", -50, 50, 20);

    /** What can be wished of this subject. */
    public static final List<WishField> FIELDS =
            List.of(START, MINUTES, FINALE, DISTANCE, AZIMUTH, ABOVE, SHELLS, CALIBRE, CELSIUS);

    /** What all the rest asks of it. */
    public static final Traits TRAITS = new Traits(
            Traits.Dating.OF_PEOPLE,
            false,
            true,
            false,
            false,
            Body.MOON,
            Optional.of(CELSIUS),
            Set.of(Packing.Item.EAR_PROTECTION, Packing.Item.CHAIR));

    @Override
    public Subject subject() {
        return Subject.FIREWORKS;
    }

    @Override
    public Class<FireworksNight> nightType() {
        return FireworksNight.class;
    }

    @Override
    public FireworksNight night(Site site, LocalDate date, SubjectWish wish) {
        return FireworksNight.of(site, date, wish.time(START), minutes(wish, MINUTES));
    }

    private static Duration minutes(SubjectWish wish, WishField field) {
        return Duration.ofSeconds(Math.round(wish.number(field) * 60));
    }

    @Override
    public Plan plan(
            Site site, FireworksNight night, Rig rig, Optional<Framing> framing, Wishes wishes, SubjectWish wish) {
        return FireworksPlan.of(site.place(), night, rig, framing, wishes, show(wish));
    }

    static Show show(SubjectWish wish) {
        double largest = switch (wish.text(SHELLS)) {
            case "VILLAGE" -> 75;
            case "GREAT" -> 300;
            case "OWN" -> wish.number(CALIBRE);
            default -> 150;
        };
        double smallest = wish.is(SHELLS, "VILLAGE") ? 50 : 75;
        return new Show(
                Azimuth.ofDegrees(wish.number(AZIMUTH) % 360),
                wish.number(DISTANCE),
                wish.number(ABOVE),
                new Burst(Math.min(smallest, largest)),
                new Burst(largest),
                minutes(wish, FINALE),
                wish.number(CELSIUS));
    }

    /** A zoom about 35 mm: shells rise higher than one thinks. */
    @Override
    public double unfitness(Lens lens) {
        double reach = Math.abs(Math.log(focalMm(lens) / 35));
        return reach - (lens.zoom() ? 0.2 : 0);
    }

    @Override
    public double focalMm(Lens lens) {
        return Math.max(lens.shortestMm(), Math.min(lens.longestMm(), 35));
    }

    /** Where a place names a site among its objects, the show is there. */
    @Override
    public SubjectWish initialWish(Place place) {
        return place.objects().stream().findFirst().map(FireworksPlanner::over).orElse(SubjectWish.NONE);
    }

    private static SubjectWish over(ForegroundObject site) {
        double metres = Math.max(DISTANCE.least(), Math.min(DISTANCE.most(), site.distanceMetres()));
        return SubjectWish.NONE
                .with(AZIMUTH, Double.toString(site.azimuth().degrees()))
                .with(DISTANCE, Double.toString(metres));
    }

    @Override
    public String title(Place place) {
        return "Fireworks from " + place.shortName();
    }
}
