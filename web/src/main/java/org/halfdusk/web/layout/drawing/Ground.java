package org.halfdusk.web.layout.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.optics.framing.Projection;
import org.halfdusk.place.ForegroundObject;
import org.halfdusk.place.Place;
import org.halfdusk.place.Skyline;
import org.halfdusk.web.layout.words.Numbers;

/**
 * The horizon and what stands on it in a picture of the frame, to scale.
 *
 * @param land everything below the horizon, a path; empty where the horizon is not in the picture
 */
public record Ground(String land, List<Shape> shapes) {
    /** A silhouette. */
    public record Shape(String path, String name, String nameX, String nameY) {}

    private static final double STEP_DEGREES = 2;
    private static final double FINE_STEP_DEGREES = 0.25;

    public static Ground of(Scene scene, Place place) {
        return of(scene, place.skyline(), place.objects());
    }

    public static Ground of(Scene scene, Skyline skyline, List<ForegroundObject> objects) {
        Drawing d = new Drawing(scene, skyline);
        return new Ground(
                d.land(), objects.stream().flatMap(o -> d.shape(o).stream()).toList());
    }

    private record Drawing(Scene scene, Skyline skyline) {
        private double halfWidth() {
            return scene.halfWidthMm();
        }

        private double halfHeight() {
            return scene.halfHeightMm();
        }

        String x(double mm) {
            return Numbers.tenths(scene.x(Math.max(-3 * halfWidth(), Math.min(3 * halfWidth(), mm))));
        }

        String y(double mm) {
            return Numbers.tenths(scene.y(Math.max(-3 * halfHeight(), Math.min(3 * halfHeight(), mm))));
        }

        /** The horizon from left to right, then along the lower edge back. */
        String land() {
            StringBuilder path = new StringBuilder();
            double middle = scene.projection().framing().azimuth().degrees();
            boolean inside = false;
            double step = skyline.flat() ? STEP_DEGREES : FINE_STEP_DEGREES;
            for (double turn = -80; turn <= 80; turn += step) {
                Optional<Projection.Point> p = scene.of(azimuth(middle + turn), skyline.at(middle + turn));
                if (p.isEmpty()) {
                    continue;
                }
                inside |= p.get().y() > -halfHeight();
                path.append(path.length() == 0 ? 'M' : 'L')
                        .append(x(p.get().x()))
                        .append(' ')
                        .append(y(p.get().y()));
            }
            if (!inside || path.length() == 0) {
                return "";
            }
            String bottom = y(-3 * halfHeight());
            return path + "L" + x(3 * halfWidth()) + " " + bottom + "L" + x(-3 * halfWidth()) + " " + bottom + "Z";
        }

        private static Azimuth azimuth(double degrees) {
            return Azimuth.ofDegrees(((degrees % 360) + 360) % 360);
        }

        /** A box from the horizon to its top; a tower tapers a little. */
        Optional<Shape> shape(ForegroundObject o) {
            double half = o.widthDegrees() / 2;
            double az = o.azimuth().degrees();
            List<Projection.Point> corners = new ArrayList<>();
            double[][] around = {{-half, -1}, {-half * 0.85, o.topDegrees()}, {half * 0.85, o.topDegrees()}, {half, -1}
            };
            for (double[] c : around) {
                scene.of(azimuth(az + c[0]), Math.max(-89, c[1])).ifPresent(corners::add);
            }
            Optional<Projection.Point> top = scene.of(o.azimuth(), o.topDegrees());
            if (corners.size() < 4 || top.isEmpty() || Math.abs(top.get().x()) > halfWidth() * 1.2) {
                return Optional.empty();
            }
            StringBuilder path = new StringBuilder();
            for (Projection.Point p : corners) {
                path.append(path.length() == 0 ? 'M' : 'L')
                        .append(x(p.x()))
                        .append(' ')
                        .append(y(p.y()));
            }
            return Optional.of(new Shape(
                    path + "Z",
                    o.name(),
                    x(top.get().x()),
                    y(Math.min(halfHeight() * 0.9, top.get().y() + halfHeight() * 0.04))));
        }
    }
}
