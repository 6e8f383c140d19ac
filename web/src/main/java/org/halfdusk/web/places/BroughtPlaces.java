package org.halfdusk.web.places;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.halfdusk.place.Observer;
import org.halfdusk.place.Track;
import org.halfdusk.shoot.kept.AllOrNothing;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Places;
import org.halfdusk.shoot.kept.Tracks;
import org.halfdusk.shoot.planning.Recent;
import org.halfdusk.web.exchange.map.MapFile;
import org.halfdusk.web.exchange.map.PlaceTexts;
import org.halfdusk.web.ground.GroundFolder;
import org.springframework.stereotype.Component;

/** Files of places that were read and not yet taken, what of them is taken, and how that is taken back. */
@Component
class BroughtPlaces {
    /** Nearer than this and of the same name, a point is the place that is there already, km. */
    private static final double SAME_KM = 0.03;

    /** Files that wait to be taken: of more the oldest is forgotten. */
    private static final int MOST_WAITING = 8;

    private final Places places;
    private final Tracks tracks;
    private final AllOrNothing atOnce;
    private final GroundFolder ground;
    private final Recent<String, MapFile> waiting = new Recent<>(MOST_WAITING);

    BroughtPlaces(Places places, Tracks tracks, AllOrNothing atOnce, GroundFolder ground) {
        this.ground = ground;
        this.places = places;
        this.tracks = tracks;
        this.atOnce = atOnce;
    }

    /** Keeps a file until it is taken. @return its ticket */
    String wait(MapFile file) {
        String ticket = UUID.randomUUID().toString();
        waiting.keep(ticket, file);
        return ticket;
    }

    Optional<MapFile> waiting(String ticket) {
        return waiting.get(ticket);
    }

    /** Height of a point of which its file knows none: by the user's own heights, else that of the sea. */
    double metres(MapFile.Waypoint w) {
        return Math.rint(
                ground.metres(w.latitudeDegrees(), w.longitudeDegrees()).orElse(0.0));
    }

    /** Numbers of points that are places already, or come before in the same file. */
    Set<Integer> knownPlaces(MapFile file) {
        Map<String, List<Observer>> there = new HashMap<>();
        places.list().forEach(k -> named(there, k.it().name()).add(k.it().observer()));
        Set<Integer> known = new HashSet<>();
        for (int i = 0; i < file.waypoints().size(); i++) {
            MapFile.Waypoint w = file.waypoints().get(i);
            List<Observer> alike = named(there, w.name());
            if (alike.stream().anyMatch(o -> o.distanceKm(w.latitudeDegrees(), w.longitudeDegrees()) < SAME_KM)) {
                known.add(i);
            } else {
                alike.add(Observer.of(w.latitudeDegrees(), w.longitudeDegrees(), 0));
            }
        }
        return known;
    }

    private static List<Observer> named(Map<String, List<Observer>> there, String name) {
        return there.computeIfAbsent(name, k -> new ArrayList<>());
    }

    Set<Integer> knownTracks(MapFile file) {
        List<Track> there = tracks.list().stream().map(Kept::it).toList();
        Set<Integer> known = new HashSet<>();
        for (int i = 0; i < file.tracks().size(); i++) {
            Track t = file.tracks().get(i);
            if (there.contains(t) || file.tracks().indexOf(t) < i) {
                known.add(i);
            }
        }
        return known;
    }

    /** What was brought in, by the numbers under which it is kept. */
    record Taken(List<Long> places, List<Long> tracks) {}

    /**
     * In one transaction: all that were chosen are kept, or none.
     *
     * @param chosenPlaces numbers of points in the file, others are left out
     */
    Taken take(MapFile file, Set<Integer> chosenPlaces, Set<Integer> chosenTracks) {
        return atOnce.of(() -> {
            List<Long> p = new ArrayList<>();
            List<Long> t = new ArrayList<>();
            for (int i = 0; i < file.waypoints().size(); i++) {
                if (chosenPlaces.contains(i)) {
                    MapFile.Waypoint w = file.waypoints().get(i);
                    p.add(places.add(PlaceTexts.place(w, metres(w))));
                }
            }
            for (int i = 0; i < file.tracks().size(); i++) {
                if (chosenTracks.contains(i)) {
                    t.add(tracks.add(file.tracks().get(i)));
                }
            }
            return new Taken(p, t);
        });
    }

    /** Takes back what was brought in; what a shoot uses meanwhile stays. @return how many of it are gone */
    int undo(Taken taken) {
        return atOnce.of(() -> {
            int gone = 0;
            for (long id : taken.places()) {
                gone += places.usedBy(id).isEmpty() && places.delete(id) ? 1 : 0;
            }
            for (long id : taken.tracks()) {
                gone += tracks.delete(id) ? 1 : 0;
            }
            return gone;
        });
    }
}
