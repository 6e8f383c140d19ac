package org.halfdusk.shoot.choices;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.SubjectPlanner;
import org.halfdusk.shoot.WishKind;
import org.halfdusk.shoot.fireworks.FireworksWish;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.shoot.moon.MoonWish;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.trailing.Mount;
import org.halfdusk.typed.Codec;
import org.halfdusk.typed.Field;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Every field of every subject is a part of its own: written and read alike, and nothing else moves with it. */
class ShootFieldTest {
    /** Texts of which every field takes one. */
    private static final List<String> TRIED = List.of(
            "7",
            "3",
            "1",
            "60",
            "23:15",
            "Other",
            "2027-07-02",
            "LIFT_AT_CAMERA",
            "GREAT",
            "HAND",
            "OUTSIDE",
            "CYGNUS",
            "95 lux",
            "CRESCENT",
            "ND4",
            "LUNAR",
            "STANDS",
            "RAW_JPEG",
            "ON",
            "FULL",
            "3 1",
            "171.2 40 -90",
            "10.5 100 30 2 1",
            "PAUSE 2027-06-05T00:00:00Z 0 60 0 8 100 0",
            "SHADOW every=60 bracket=3x3",
            "SHADOW 2028-12-31T17:10:00Z -");

    private static Shoot shoot(Subject subject) {
        return new Shoot(
                subject,
                1,
                LocalDate.of(2027, 6, 4),
                "Title",
                new Shoot.ShootRig(1, 1, Optional.empty(), 14, Optional.empty(), Wishes.DEFAULT),
                SubjectPlanner.wishes(subject).usual(),
                "",
                Instant.EPOCH);
    }

    @ParameterizedTest
    @EnumSource(Subject.class)
    void aFieldIsAPartOfItsOwn(Subject subject) {
        Shoot shoot = shoot(subject);
        Map<String, String> before = ShootField.texts(shoot);
        assertEquals(ShootField.of(subject).size(), before.size(), "names are unique");
        for (Field<Shoot, ?> field : ShootField.of(subject)) {
            String text = Stream.concat(TRIED.stream(), options(field))
                    .filter(t -> taken(field, t) && !field.codec().normal(t).equals(before.get(field.name())))
                    .findFirst()
                    .orElseThrow(() -> new AssertionError("nothing to try in " + field.name()));
            Shoot changed = field.read(shoot, text);
            Map<String, String> after = new HashMap<>(ShootField.texts(changed));
            assertEquals(field.codec().normal(text), after.get(field.name()), field.name());
            assertNotEquals(shoot, changed);
            after.put(field.name(), before.getOrDefault(field.name(), ""));
            assertEquals(before, after, "only " + field.name() + " has changed");
            assertEquals(shoot, field.read(changed, before.getOrDefault(field.name(), "")), field.name());
            assertEquals(changed, set(field, shoot, changed));
        }
    }

    private static <T> Shoot set(Field<Shoot, T> field, Shoot from, Shoot to) {
        return field.with(from, field.of(to));
    }

    /** What a choice offers is tried too. */
    private static Stream<String> options(Field<Shoot, ?> field) {
        return field.codec().asked() instanceof Codec.Asked.Choice c
                ? c.options().stream().map(Codec.Option::text)
                : Stream.empty();
    }

    private static boolean taken(Field<Shoot, ?> field, String text) {
        try {
            field.codec().read(text);
            return true;
        } catch (IllegalArgumentException e) {
            return false;
        }
    }

    @ParameterizedTest
    @EnumSource(Subject.class)
    void textsReadBackAsTheSameWish(Subject subject) {
        WishKind<?> kind = SubjectPlanner.wishes(subject);
        assertEquals(kind.usual(), kind.of(Map.of()));
        assertEquals(kind.usual(), kind.of(kind.texts(kind.usual())));
    }

    /** All that is wrong is said at once, and a name that nobody knows is said too. */
    @Test
    void allFaultsAtOnce() {
        Map<String, String> texts = Map.of("MOON_LOWEST", "99", "MOON_SUPPORT", "BALLOON", "CORE_LOWEST", "10");
        String said = String.valueOf(assertThrows(IllegalArgumentException.class, () -> MoonWish.KIND.of(texts))
                .getMessage());
        assertTrue(said.contains("moon not under 99 ° is outside 0 to 60 °"), said);
        assertTrue(said.contains("“BALLOON” is not known; allowed are tripod, hand"), said);
        assertTrue(said.contains("wish “CORE_LOWEST” is not known here"), said);
        String ofRig = String.valueOf(assertThrows(
                        IllegalArgumentException.class,
                        () -> RigChoices.of(Map.of("FOCUS", "0", "PRINT", "1", "PANORAMA", "400 0 30 1 1")))
                .getMessage());
        assertTrue(ofRig.contains("focus distance 0 m is outside 0.05 to 100000 m"), ofRig);
        assertTrue(ofRig.contains("start of the panorama 400 ° is outside 0 to 360 °"), ofRig);
        assertTrue(ofRig.contains("span of the panorama 0 ° is outside 1 to 360 °"), ofRig);
        assertTrue(ofRig.contains("choice “PRINT” is not known"), ofRig);
    }

    /** A shoot holds a wish of its own subject, within what is allowed. */
    @Test
    void aShootRefusesAnothersWish() {
        Shoot moon = shoot(Subject.MOON);
        assertThrows(IllegalArgumentException.class, () -> moon.with(FireworksWish.KIND.usual()));
        MoonWish low = MoonWish.LOWEST.with(MoonWish.KIND.usual(), -1.0);
        assertThrows(IllegalArgumentException.class, () -> moon.with(low));
    }

    /** Only what was chosen is a row; a mount that is named counts. */
    @Test
    void choicesAreKeptAsTheyDiffer() {
        assertEquals(Map.of(), RigChoices.NONE.texts());
        RigChoices lunar = RigChoices.MOUNT.with(RigChoices.NONE, Mount.LUNAR);
        assertEquals(Map.of("MOUNT", "LUNAR"), lunar.texts());
        assertEquals(lunar, RigChoices.of(lunar.texts()));
    }

    /** What was seen decides: the same again changes nothing, another's change is a clash, the same change is none. */
    @Test
    void editsAgainstWhatStandsThere() {
        Shoot now = shoot(Subject.MOON);
        Shoots.Edit<String> same = Shoots.Edit.read(ShootField.TITLE, Optional.of("Title"), " Title ");
        assertEquals(false, same.changes(now));
        Shoots.Edit<String> mine = Shoots.Edit.read(ShootField.TITLE, Optional.of("Title"), "Mine");
        assertTrue(mine.changes(now) && !mine.clashes(now));
        Shoot theirs = ShootField.TITLE.with(now, "Theirs");
        assertTrue(mine.changes(theirs) && mine.clashes(theirs));
        assertEquals(false, mine.changes(ShootField.TITLE.with(now, "Mine")));
        Shoots.Edit<Double> unseen = Shoots.Edit.read(ShootField.FOCAL, Optional.of("much"), "20");
        assertTrue(unseen.was().isEmpty() && unseen.clashes(now));
    }
}
