package org.halfdusk.place.towns;

import java.text.Normalizer;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.halfdusk.shipped.Shipped;

/** Towns of 15,000 people and more (GeoNames), read on first use. */
public final class Gazetteer {
    private static final double FIRST_REACH_KM = 50;
    private static final double HALF_ROUND_KM = 20_100;

    private final List<Town> towns;
    private final String[] folded;

    /** Towns by the whole degrees of their south-west corner: row of latitude times 360 and column of longitude. */
    private final Map<Integer, List<Town>> cells = new HashMap<>();

    private Gazetteer(List<Town> towns) {
        this.towns = towns;
        this.folded = towns.stream().map(t -> folded(t.name())).toArray(String[]::new);
        towns.forEach(t -> cells.computeIfAbsent(
                        cell((int) Math.floor(t.latitudeDegrees()), (int) Math.floor(t.longitudeDegrees())),
                        k -> new ArrayList<>())
                .add(t));
    }

    private static int cell(int latitude, int longitude) {
        return (latitude + 90) * 360 + Math.floorMod(longitude + 180, 360);
    }

    /** All that ship, read when first asked for. */
    public static Gazetteer instance() {
        return Holder.INSTANCE;
    }

    private static final class Holder {
        static final Gazetteer INSTANCE = read();
    }

    /** All of them. */
    public List<Town> towns() {
        return towns;
    }

    /** The town nearest to a point, which lends it its time zone. */
    public Town nearest(double latitude, double longitude) {
        for (double km = FIRST_REACH_KM; km < HALF_ROUND_KM; km *= 2) {
            Optional<Town> nearest = within(latitude, longitude, km).stream()
                    .min(Comparator.comparingDouble(t -> t.distanceKm(latitude, longitude)));
            if (nearest.isPresent()) {
                return nearest.get();
            }
        }
        return towns.stream()
                .min(Comparator.comparingDouble(t -> t.distanceKm(latitude, longitude)))
                .orElseThrow();
    }

    /** Towns within a distance of a point, in no order. */
    public List<Town> within(double latitude, double longitude, double km) {
        Around reach = Around.of(latitude, km);
        double up = reach.up();
        double aside = reach.aside();
        List<Town> found = new ArrayList<>();
        int last = (int) Math.floor(longitude + aside);
        int first = (int) Math.floor(longitude - aside);
        for (int lat = (int) Math.floor(Math.max(-90, latitude - up)); lat <= Math.min(90, latitude + up); lat++) {
            for (int lon = first; lon <= Math.min(last, first + 359); lon++) {
                for (Town t : cells.getOrDefault(cell(lat, lon), List.of())) {
                    if (t.distanceKm(latitude, longitude) < km) {
                        found.add(t);
                    }
                }
            }
        }
        return found;
    }

    /** Towns whose name begins with some letters, accents left aside, then those that hold them; the largest first. */
    public List<Town> search(String letters, int most) {
        String wanted = folded(letters.trim());
        if (wanted.isEmpty()) {
            return List.of();
        }
        List<Town> begin = new ArrayList<>();
        List<Town> hold = new ArrayList<>();
        for (int i = 0; i < folded.length; i++) {
            int at = folded[i].indexOf(wanted);
            if (at >= 0) {
                (at == 0 ? begin : hold).add(towns.get(i));
            }
        }
        Comparator<Town> largest = Comparator.comparingInt(Town::population).reversed();
        return Stream.concat(begin.stream().sorted(largest), hold.stream().sorted(largest))
                .limit(most)
                .toList();
    }

    /** Lower case without accents. */
    static String folded(String name) {
        return Normalizer.normalize(name, Normalizer.Form.NFD)
                .replaceAll("\\p{M}+", "")
                .toLowerCase(Locale.ROOT);
    }

    private static Gazetteer read() {
        Map<String, ZoneId> zones = new HashMap<>();
        return new Gazetteer(Shipped.lines(Gazetteer.class, "towns.tsv", "the gazetteer").stream()
                .map(line -> town(line.split("\t", -1), zones))
                .toList());
    }

    private static Town town(String[] cells, Map<String, ZoneId> zones) {
        return new Town(
                cells[0],
                cells[1],
                Double.parseDouble(cells[2]),
                Double.parseDouble(cells[3]),
                Integer.parseInt(cells[4]),
                known(Double.parseDouble(cells[5])),
                zones.computeIfAbsent(cells[6], ZoneId::of));
    }

    /** The list has −9999 where it knows no height: ports and islands, so that sea level is near. */
    private static double known(double elevationMetres) {
        return elevationMetres < LOWEST_METRES ? 0 : elevationMetres;
    }

    /** No town lies deeper. */
    private static final double LOWEST_METRES = -430;
}
