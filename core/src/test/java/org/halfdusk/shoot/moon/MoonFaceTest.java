package org.halfdusk.shoot.moon;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Comparator;
import org.halfdusk.sky.MoonAspect;
import org.junit.jupiter.api.Test;

/** Tones of the disc, and where seas stand on it. */
class MoonFaceTest {
    private static final MoonAspect STRAIGHT = new MoonAspect(0, 0, 0, 0);

    /** Lommel and Seeliger's law leaves a full disc even. */
    @Test
    void aFullDiscIsEven() {
        MoonFace full = MoonFace.of(0, STRAIGHT, 0, 0);
        double least =
                full.lunes().stream().mapToDouble(MoonFace.Lune::tone).min().orElseThrow();
        double most =
                full.lunes().stream().mapToDouble(MoonFace.Lune::tone).max().orElseThrow();
        assertEquals(most, least, 0.01);
        assertEquals(1, full.lunes().get(0).fraction(), 1e-9, "all of it is lit");
    }

    /** At the quarter the limb shines brightest and the terminator is dark; what is lit is half of the breadth. */
    @Test
    void aQuarterFallsTowardsItsTerminator() {
        MoonFace quarter = MoonFace.of(90, STRAIGHT, 270, 0);
        assertEquals(0.5, quarter.lunes().get(0).fraction(), 1e-9);
        for (int i = 1; i < quarter.lunes().size(); i++) {
            assertTrue(
                    quarter.lunes().get(i).tone() >= quarter.lunes().get(i - 1).tone());
        }
        assertTrue(quarter.lunes().get(0).tone() < 0.3);
        // Lit from the right, as the waxing Moon is in the north: nothing is drawn to the left.
        assertTrue(quarter.spots().stream().allMatch(s -> s.x() > 0));
    }

    /** With north up the Sea of Crises stands near the right limb, north of the middle, and the great rays in the south. */
    @Test
    void seasStandWhereTheyAre() {
        MoonFace full = MoonFace.of(0, STRAIGHT, 0, 0);
        MoonFace.Spot right = full.spots().stream()
                .filter(MoonFace.Spot::sea)
                .max(Comparator.comparing(MoonFace.Spot::x))
                .orElseThrow();
        assertEquals(Math.cos(Math.toRadians(17)) * Math.sin(Math.toRadians(59)), right.x(), 1e-9);
        assertTrue(right.along() < 0.7 * right.across(), "seen aslant");
        MoonFace.Spot rays = full.spots().stream()
                .filter(s -> !s.sea())
                .max(Comparator.comparing(MoonFace.Spot::across))
                .orElseThrow();
        assertTrue(rays.y() < -0.6 && Math.abs(rays.x()) < 0.2);
        assertTrue(rays.tone() > 1.3 && right.tone() < 0.7);
        MoonFace turned = MoonFace.of(0, STRAIGHT, 0, 90);
        assertTrue(
                turned.spots().stream().filter(s -> !s.sea()).anyMatch(s -> Math.abs(s.x() - 0.68) < 0.05),
                "north to the left turns the south to the right");
    }

    /** The libration of a place near the limb moves it to or from there by as much. */
    @Test
    void librationShiftsTheFace() {
        MoonFace.Spot far = rightmost(new MoonAspect(0, -7, 0, 0));
        MoonFace.Spot near = rightmost(new MoonAspect(0, 7, 0, 0));
        assertTrue(far.x() > near.x());
    }

    private static MoonFace.Spot rightmost(MoonAspect aspect) {
        return MoonFace.of(0, aspect, 0, 0).spots().stream()
                .filter(MoonFace.Spot::sea)
                .max(Comparator.comparing(MoonFace.Spot::x))
                .orElseThrow();
    }
}
