package org.halfdusk.place;

import java.util.List;

/** Several sources of heights as one: of those that know a point the first one counts. */
public record HeightTiles(List<HeightSource> sources) implements HeightSource {
    public HeightTiles {
        sources = List.copyOf(sources);
    }

    @Override
    public double at(double latitude, double longitude) {
        for (HeightSource s : sources) {
            double metres = s.at(latitude, longitude);
            if (!Double.isNaN(metres)) {
                return metres;
            }
        }
        return Double.NaN;
    }

    @Override
    public double stepDegrees(double latitude, double longitude) {
        for (HeightSource s : sources) {
            double step = s.stepDegrees(latitude, longitude);
            if (!Double.isNaN(step)) {
                return step;
            }
        }
        return Double.NaN;
    }

    @Override
    public double farthestKm(double latitude, double longitude) {
        return sources.stream()
                .mapToDouble(s -> s.farthestKm(latitude, longitude))
                .max()
                .orElse(0);
    }
}
