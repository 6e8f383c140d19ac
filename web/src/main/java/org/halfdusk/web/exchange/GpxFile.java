package org.halfdusk.web.exchange;

import io.jenetics.jpx.GPX;
import io.jenetics.jpx.Length;
import io.jenetics.jpx.TrackSegment;
import io.jenetics.jpx.WayPoint;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.halfdusk.place.Observer;
import org.halfdusk.place.Track;

/** GPX 1.1: waypoints, tracks and routes. */
public final class GpxFile {
    private GpxFile() {}

    public static byte[] write(MapFile file) {
        GPX.Builder gpx = GPX.builder("Half Dusk");
        for (MapFile.Waypoint w : file.waypoints()) {
            gpx.addWayPoint(WayPoint.builder()
                    .lat(w.position().latitudeDegrees())
                    .lon(w.position().longitudeDegrees())
                    .ele(w.position().elevationMetres())
                    .name(w.name())
                    .desc(w.notes())
                    .build());
        }
        for (Track t : file.tracks()) {
            gpx.addTrack(track -> {
                track.name(t.name());
                for (List<Track.Point> line : t.lines()) {
                    track.addSegment(segment -> line.forEach(p -> segment.addPoint(
                            point -> point.lat(p.latitudeDegrees()).lon(p.longitudeDegrees()))));
                }
            });
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            GPX.Writer.DEFAULT.write(gpx.build(), out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    static MapFile read(String text) {
        GPX gpx;
        try {
            gpx = GPX.Reader.of(GPX.Reader.Mode.LENIENT)
                    .read(new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8)));
        } catch (IOException | RuntimeException e) {
            throw new IllegalArgumentException("the file is no GPX: " + e.getMessage(), e);
        }
        List<MapFile.Waypoint> waypoints = new ArrayList<>();
        gpx.wayPoints()
                .forEach(w -> waypoints.add(new MapFile.Waypoint(
                        MapFile.shortened(w.getName().orElse(""), 120, "Point " + (waypoints.size() + 1)),
                        Observer.of(
                                w.getLatitude().doubleValue(),
                                w.getLongitude().doubleValue(),
                                MapFile.elevation(w.getElevation()
                                        .map(Length::doubleValue)
                                        .orElse(0.0))),
                        w.getDescription().or(w::getComment).orElse(""))));
        List<Track> tracks = new ArrayList<>();
        gpx.tracks()
                .forEach(t -> add(
                        tracks,
                        t.getName().orElse(""),
                        t.segments().map(TrackSegment::getPoints).toList()));
        gpx.routes().forEach(r -> add(tracks, r.getName().orElse(""), List.of(r.getPoints())));
        return new MapFile(waypoints, tracks);
    }

    private static void add(List<Track> tracks, String name, List<List<WayPoint>> lines) {
        List<List<Track.Point>> points = lines.stream()
                .filter(l -> l.size() > 1)
                .map(l -> l.stream()
                        .map(p -> new Track.Point(
                                p.getLongitude().doubleValue(), p.getLatitude().doubleValue()))
                        .toList())
                .toList();
        if (!points.isEmpty()) {
            tracks.add(new Track(MapFile.shortened(name, 200, "Track " + (tracks.size() + 1)), points));
        }
    }
}
