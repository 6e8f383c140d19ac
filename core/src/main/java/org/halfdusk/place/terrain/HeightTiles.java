package org.halfdusk.place.terrain;

import java.util.List;
import java.util.function.ToDoubleFunction;

/** Several sources of heights as one: of those that know a point the first one counts. */
public record HeightTiles(List<HeightSource> sources) implements HeightSource {
    public HeightTiles {
        sources = List.copyOf(sources);
    }

    @Override
    public double at(double latitude, double longitude) {
        return first(s -> s.at(latitude, longitude));
    }

    @Override
    public double stepDegrees(double latitude, double longitude) {
        return first(s -> s.stepDegrees(latitude, longitude));
    }

    /** What the first source says that knows it; NaN where none does. */
    private double first(ToDoubleFunction<HeightSource> asked) {
        for (HeightSource s : sources) {
            double answer = asked.applyAsDouble(s);
            if (!Double.isNaN(answer)) {
                return answer;
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
