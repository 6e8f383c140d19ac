package org.halfdusk.web.kit;

import org.halfdusk.exposure.FNumber;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.Converter;
import org.halfdusk.optics.Lens;
import org.halfdusk.shoot.Kept;
import org.halfdusk.web.layout.Words;

/** A piece of kit in the list. */
record KitLine(long id, String name, String figures) {
    static KitLine of(Kept<Camera> kept) {
        Camera c = kept.it();
        String figures = Words.plain(c.sensor().widthMm()) + " × "
                + Words.plain(c.sensor().heightMm()) + " mm, "
                + Words.plain(c.sensor().pixelPitchMicrometres()) + " µm pixels, crop "
                + Words.plain(c.sensor().cropFactor()) + ", ISO " + c.lowestIso() + "–" + c.highestIso()
                + (c.bulb() ? ", bulb" : "");
        return new KitLine(kept.id(), c.name(), figures);
    }

    static KitLine ofLens(Kept<Lens> kept) {
        Lens l = kept.it();
        String focal = l.zoom()
                ? Words.plain(l.shortestMm()) + "–" + Words.plain(l.longestMm()) + " mm"
                : Words.plain(l.shortestMm()) + " mm";
        String widest = FNumber.label(l.widestAtShortest())
                + (l.widestAtLongest() > l.widestAtShortest()
                        ? "–" + FNumber.label(l.widestAtLongest()).substring(2)
                        : "");
        return new KitLine(
                kept.id(),
                l.name(),
                focal + ", opens to " + widest + ", best at " + FNumber.label(l.sharpestAperture()));
    }

    static KitLine ofConverter(Kept<Converter> kept) {
        Converter c = kept.it();
        return new KitLine(kept.id(), c.name(), "× " + Words.plain(c.factor()) + ", costs " + Words.stops(c.stops()));
    }
}
