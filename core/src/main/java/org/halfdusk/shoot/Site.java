package org.halfdusk.shoot;

import org.halfdusk.light.DarkSite;
import org.halfdusk.light.SkyLight;
import org.halfdusk.place.Place;
import org.halfdusk.sky.Sky;

/** Where a plan is made for: a place, the sky over it, and that sky's dark. */
public record Site(Place place, Sky sky, DarkSite dark) {
    public SkyLight light() {
        return new SkyLight(sky, dark);
    }
}
