package org.halfdusk.web.map;

import java.util.List;
import org.halfdusk.place.Track;
import org.halfdusk.shoot.kept.Tracks;
import org.halfdusk.web.map.picture.MapShapes;
import org.springframework.stereotype.Component;

/** The user's tracks. */
@Component
class TracksLayer implements MapLayer {
    private final Tracks tracks;

    TracksLayer(Tracks tracks) {
        this.tracks = tracks;
    }

    @Override
    public MapShapes shapes() {
        return new MapShapes(tracks.list().stream().map(k -> feature(k.it())).toList());
    }

    private static MapShapes.Feature feature(Track t) {
        List<double[][]> lines = t.lines().stream()
                .map(l -> l.stream()
                        .map(p -> new double[] {p.longitudeDegrees(), p.latitudeDegrees()})
                        .toArray(double[][]::new))
                .toList();
        return new MapShapes.Feature("track", t.name(), lines, 7);
    }
}
