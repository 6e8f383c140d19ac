package org.halfdusk.shoot;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import org.halfdusk.exposure.MeterReading;
import org.halfdusk.exposure.Setting;
import org.halfdusk.optics.Lens;
import org.halfdusk.photometry.Stops;
import org.halfdusk.reference.ReferenceTable;
import org.halfdusk.shoot.choices.RigChoices;
import org.halfdusk.shoot.setting.wished.Metered;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** A meter's word, and more or less light, for every subject. */
class MeteredTest {
    private static final Map<Subject, LocalDate> NIGHTS = Map.of(
            Subject.MILKY_WAY, LocalDate.of(2027, 6, 4),
            Subject.STAR_TRAILS, LocalDate.of(2027, 1, 8),
            Subject.MOON, LocalDate.of(2027, 7, 18),
            Subject.LUNAR_ECLIPSE, LocalDate.of(2028, 12, 31),
            Subject.SOLAR_ECLIPSE, LocalDate.of(2027, 8, 2),
            Subject.FIREWORKS, LocalDate.of(2027, 8, 15),
            Subject.TOWN, LocalDate.of(2027, 6, 11));

    private static Plan plan(Subject subject, Wishes wishes) {
        SubjectPlanner<?, ?> planner = SubjectPlanner.all(ReferenceTable.EPHEMERIS).stream()
                .filter(p -> p.subject() == subject)
                .findFirst()
                .orElseThrow();
        Lens lens = planner.traits().wide() ? Isle.STANDARD : Isle.TELE;
        LocalDate night = NIGHTS.getOrDefault(subject, LocalDate.of(2027, 6, 4));
        return Isle.plan(planner, night, Isle.rig(lens, planner.focalMm(lens)), wishes);
    }

    private static double light(Setting s) {
        return Stops.between(
                s.shutter().realSeconds() * s.iso().value(), s.fNumber().squared());
    }

    private static Wishes given(double stops) {
        return Wishes.DEFAULT.with(new Metered(Optional.empty(), stops));
    }

    @ParameterizedTest
    @EnumSource(Subject.class)
    void aStopMoreIsAStopMore(Subject subject) {
        double usual = light(plan(subject, Wishes.DEFAULT).setting());
        assertEquals(1, light(plan(subject, given(1)).setting()) - usual, 0.35, "within marks of the dial");
        assertEquals(-1, light(plan(subject, given(-1)).setting()) - usual, 0.35);
    }

    /** What is given more is wanted: the plan does not say that it misses its target. */
    @ParameterizedTest
    @EnumSource(Subject.class)
    void moreIsNotAMiss(Subject subject) {
        assertEquals(0, plan(subject, given(1)).stopsOff(), 0.35);
    }

    /** A reading two stops over the model takes two stops of light away, where one reading can say it. */
    @ParameterizedTest
    @EnumSource(Subject.class)
    void aReadingTakesTheModelsPlace(Subject subject) {
        Plan usual = plan(subject, Wishes.DEFAULT);
        double ev = subject == Subject.MOON ? 11 : subject == Subject.TOWN ? 2 : -9.5;
        Plan dark = plan(subject, Wishes.DEFAULT.with(new Metered(Optional.of(new MeterReading(ev)), 0)));
        Plan bright = plan(subject, Wishes.DEFAULT.with(new Metered(Optional.of(new MeterReading(ev + 2)), 0)));
        if (usual.readingCounts()) {
            assertEquals(-2, light(bright.setting()) - light(dark.setting()), 0.35, "within marks of the dial");
        } else {
            assertEquals(usual.setting(), bright.setting());
        }
    }

    /** The forms in which people type what a meter shows. */
    @ParameterizedTest
    @CsvSource({
        "EV 3, 3",
        "3, 3",
        "1/2 f/4 ISO 400, 3",
        "0.5 4 400, 3",
        "ev -2.5, -2.5",
        "1/128 16 100, 15",
        "2 s f/1 ISO 100, -1"
    })
    void readingsAsTheyAreTyped(String typed, double ev) {
        RigChoices c = RigChoices.of(Map.of("METER", typed));
        assertEquals(ev, c.scene().metered().reading().orElseThrow().ev(), 1e-9);
        assertEquals(c, RigChoices.of(c.texts()), "kept and read back");
    }

    @ParameterizedTest
    @CsvSource({"bright", "1/2 f/4", "EV 40", "1/0 4 100", "1 4 100 200"})
    void whatIsNoReadingIsRefused(String typed) {
        assertThrows(IllegalArgumentException.class, () -> RigChoices.of(Map.of("METER", typed)));
    }

    @Test
    void lampsAsTheyAreTyped() {
        assertEquals(95, lux("95 lux"), 1e-9);
        assertEquals(95, lux("95lx"), 1e-9);
        assertEquals(300 / (2 * Math.PI * (1 - Math.cos(Math.toRadians(20)))), lux("300 lm 40°"), 0.01);
        assertEquals(lux("300 lm 40"), lux("300 lm"), 1e-9, "the usual beam");
        assertThrows(IllegalArgumentException.class, () -> lux("bright"));
        assertThrows(IllegalArgumentException.class, () -> lux("300 lm 400°"));
    }

    private static double lux(String typed) {
        return RigChoices.of(Map.of("LAMP", typed))
                .scene()
                .own()
                .beam()
                .power()
                .orElseThrow()
                .luxAtOneMetre();
    }

    /** Thin cloud shifts the plan by so much, and again, until no more can be given. */
    @Test
    void thinCloudShiftsThePlan() {
        Plan usual = plan(Subject.MILKY_WAY, Wishes.DEFAULT);
        Symptom.Remedy r = Symptom.THIN_CLOUD.remedy(usual);
        assertEquals("0.7", r.change().orElseThrow().text());
        assertEquals("PLUS", r.change().orElseThrow().field().name());
        assertEquals(Symptom.THIN_CLOUD_STOPS, r.stops(), 1e-9);
        assertTrue(Symptom.THIN_CLOUD
                .remedy(plan(Subject.MILKY_WAY, given(5)))
                .change()
                .isEmpty());
    }
}
