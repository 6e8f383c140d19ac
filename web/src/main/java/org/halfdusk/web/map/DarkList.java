package org.halfdusk.web.map;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.halfdusk.light.map.DarkerGround;
import org.halfdusk.light.map.GlowTiles;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.place.Observer;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Places;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.layout.words.Numbers;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.page.Table;
import org.springframework.stereotype.Component;

/** The nearest ground that is darker than asked, and the user's own places that are. */
@Component
class DarkList {
    private static final String USUAL_DARKNESS = "21.3";
    private static final String USUAL_WITHIN = "40";
    private static final double VERY_NEAR_KM = 1;
    private static final double HERE_KM = 0.1;

    private final GlowTiles tiles;
    private final Places places;
    private final MapSheets sheets;

    DarkList(GlowTiles tiles, Places places, MapSheets sheets) {
        this.tiles = tiles;
        this.places = places;
        this.sheets = sheets;
    }

    /**
     * What was asked and what there is.
     *
     * @param nothing why there is none; empty where there are some
     */
    record Found(Map<String, String> typed, FormErrors errors, String nothing, List<Table> tables) {}

    private record Row(double km, Table.Row row) {}

    Found around(double latitude, double longitude, Map<String, String> query) {
        Map<String, String> typed = Map.of(
                "darker", query.getOrDefault("darker", USUAL_DARKNESS),
                "within", query.getOrDefault("within", USUAL_WITHIN));
        FormErrors errors = new FormErrors(typed);
        double darkness = errors.number(
                "darker", "darkness", DarkerGround.DARKNESS.least(), DarkerGround.DARKNESS.most(), "mag/arcsec²");
        double within =
                errors.number("within", "within", DarkerGround.WITHIN.least(), DarkerGround.WITHIN.most(), "km");
        if (errors.any()) {
            return new Found(typed, errors, "", List.of());
        }
        List<Row> rows = new ArrayList<>();
        List<Kept<Place>> mine = places.list();
        for (Kept<Place> k : mine) {
            own(k, latitude, longitude, darkness, within).ifPresent(rows::add);
        }
        for (DarkerGround.Spot s : DarkerGround.around(tiles, latitude, longitude, darkness, within, sheets.land())) {
            if (mine.stream().noneMatch(k -> near(k.it(), s))) {
                rows.add(new Row(s.distanceKm(), spot(s)));
            }
        }
        rows.sort(Comparator.comparingDouble(Row::km));
        String nothing = rows.isEmpty()
                ? "No ground within " + Words.plain(within) + " km is darker than " + Words.plain(darkness) + "."
                : "";
        Table table = Table.of(
                "Darker than " + Words.plain(darkness) + " within " + Words.plain(within) + " km",
                "Nearest ground of each side and your own places, by the model of town light; access, cliffs and tide are not in it.",
                rows.stream().map(Row::row).toList(),
                "where",
                "zenith#",
                "from here#");
        return new Found(typed, errors, nothing, rows.isEmpty() ? List.of() : List.of(table));
    }

    /** Where a place of the user's stands, its own row says all. */
    private static boolean near(Place p, DarkerGround.Spot s) {
        return p.observer().distanceKm(s.latitudeDegrees(), s.longitudeDegrees()) < VERY_NEAR_KM;
    }

    private static Optional<Row> own(Kept<Place> k, double latitude, double longitude, double darkness, double within) {
        Observer o = k.it().observer();
        SkyBrightness sky = k.it().skyBrightness();
        double km = o.distanceKm(latitude, longitude);
        if (sky.magnitude() < darkness || km > within) {
            return Optional.empty();
        }
        double bearing = Observer.of(latitude, longitude, 0).bearingDegrees(o.latitudeDegrees(), o.longitudeDegrees());
        return Optional.of(new Row(
                km,
                Table.Row.of(km == 0, k.it().shortName(), Words.tenths(sky.magnitude()), from(km, bearing))
                        .to("/map?place=" + k.id())));
    }

    private static Table.Row spot(DarkerGround.Spot s) {
        String at = "latitude=" + Numbers.degrees(s.latitudeDegrees()) + "&longitude="
                + Numbers.degrees(s.longitudeDegrees());
        return Table.Row.of(false, named(s), Words.tenths(s.zenith()), from(s.distanceKm(), s.bearingDegrees()))
                .to("/places/new?" + at);
    }

    private static String named(DarkerGround.Spot s) {
        if (s.near().isEmpty()) {
            return "open country";
        }
        return s.nearKm() < VERY_NEAR_KM
                ? "at " + s.near()
                : Words.plain(Math.rint(s.nearKm())) + " km " + Words.compass(s.fromNearDegrees()) + " of " + s.near();
    }

    private static String from(double km, double bearing) {
        if (km < HERE_KM) {
            return "here";
        }
        String away = km < 1 ? Words.metres(km * 1000) : Words.tenths(km) + " km";
        return away + " " + Words.compass(bearing);
    }
}
