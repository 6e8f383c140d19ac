package org.halfdusk.shoot;

import java.util.Optional;
import org.halfdusk.light.DarkSite;
import org.halfdusk.light.SkyLight;
import org.halfdusk.place.Place;
import org.halfdusk.sky.Sky;
import org.halfdusk.weather.Forecast;

/** Where a plan is made for: a place, the sky over it, that sky's dark, and the weather as far as it is forecast. */
public record Site(Place place, Sky sky, DarkSite dark, Optional<Forecast> forecast) {
    /** Without a forecast. */
    public Site(Place place, Sky sky, DarkSite dark) {
        this(place, sky, dark, Optional.empty());
    }

    /** The light of the sky over it. */
    public SkyLight light() {
        return new SkyLight(sky, dark);
    }
}
