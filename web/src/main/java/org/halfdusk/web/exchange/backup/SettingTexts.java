package org.halfdusk.web.exchange.backup;

import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import org.halfdusk.shoot.choices.ShootField;
import org.halfdusk.shoot.milkyway.MilkyWayWish;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.time.YearlyDate;
import org.halfdusk.typed.TypedNumber;

/** Settings as they are kept: which there are, and what may stand in each. */
public final class SettingTexts {
    private static final Set<String> YES_OR_NO = Set.of("feet", "fahrenheit", "twelveHours");
    private static final Set<String> THINGS = Set.of("place", "rig");

    private SettingTexts() {}

    /**
     * One setting.
     *
     * @throws IllegalArgumentException naming it, its value and what is allowed
     */
    public static void check(String name, String value) {
        if (YES_OR_NO.contains(name)) {
            if (!value.equals("true") && !value.equals("false")) {
                throw new IllegalArgumentException("setting " + name + " “" + TypedNumber.shown(value)
                        + "” is not known; true or false is allowed");
            }
        } else if (THINGS.contains(name)) {
            TypedNumber.whole("setting " + name, value, 1, Long.MAX_VALUE, "");
        } else {
            switch (name) {
                case "dates" -> YearlyDate.LINES.read(value);
                case "budget" -> Wishes.BUDGET.read(value);
                case "lowestCore" -> MilkyWayWish.LOWEST_CORE_RANGE.read(value);
                case "isoSchool" -> ShootField.ISO_SCHOOL.codec().read(value);
                default ->
                    throw new IllegalArgumentException("setting “" + TypedNumber.shown(name)
                            + "” is not known; those of a backup of Half Dusk are allowed");
            }
        }
    }

    /** All of some settings. */
    static void check(Map<String, String> settings) {
        settings.forEach((name, value) -> {
            if (value == null) {
                throw new IllegalArgumentException("setting " + name + " is null; a text is allowed");
            }
            check(name, value);
        });
    }

    /** Without those that name a thing by its number, which is another here. */
    static Map<String, String> withoutThings(Map<String, String> settings) {
        Map<String, String> own = new HashMap<>(settings);
        own.keySet().removeAll(THINGS);
        return own;
    }
}
