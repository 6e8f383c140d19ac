package org.halfdusk.web.settings;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import org.halfdusk.exposure.IsoSchool;
import org.halfdusk.shoot.choices.Preferences;
import org.halfdusk.shoot.kept.KeptSettings;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.time.YearlyDate;
import org.halfdusk.typed.TypedNumber;
import org.halfdusk.web.exchange.backup.SettingTexts;
import org.halfdusk.web.layout.words.Units;
import org.halfdusk.web.layout.words.Words;
import org.springframework.stereotype.Component;

/** The settings as they stand, kept in the file; a change is used everywhere at once. */
@Component
public class Settings implements Supplier<Preferences> {
    private final KeptSettings stored;
    private volatile Preferences preferences;
    private volatile Units units = Units.METRIC;
    private volatile List<String> unread = List.of();

    Settings(KeptSettings stored) {
        this.stored = stored;
        this.preferences = use(stored.all());
    }

    @Override
    public Preferences get() {
        return preferences;
    }

    /** What lengths, temperatures and times of day are said in. */
    Units units() {
        return units;
    }

    /** Keeps them all at once. */
    void keep(Units said, Preferences chosen) {
        Map<String, String> values = new HashMap<>();
        values.put("feet", Boolean.toString(said.feet()));
        values.put("fahrenheit", Boolean.toString(said.fahrenheit()));
        values.put("twelveHours", Boolean.toString(said.twelveHours()));
        values.put("budget", Double.toString(chosen.wishes().budgetPx()));
        values.put("isoSchool", chosen.wishes().isoSchool().name());
        values.put("lowestCore", Double.toString(chosen.lowestCoreDegrees()));
        chosen.placeId().ifPresent(id -> values.put("place", Long.toString(id)));
        chosen.rigId().ifPresent(id -> values.put("rig", Long.toString(id)));
        if (!chosen.dates().isEmpty()) {
            values.put("dates", YearlyDate.LINES.write(chosen.dates()));
        }
        stored.replace(values);
        preferences = use(values);
    }

    /** Reads again what a backup has brought. */
    public void reread() {
        preferences = use(stored.all());
    }

    /** What of the kept settings cannot be read, in sentences; the usual counts in its place until it is saved again. */
    List<String> unread() {
        return unread;
    }

    /** Settings that cannot be read are as if they were not kept: never a start that fails. */
    private Preferences use(Map<String, String> kept) {
        Map<String, String> values = new HashMap<>();
        List<String> wrong = new ArrayList<>();
        kept.forEach((name, value) -> {
            try {
                SettingTexts.check(name, value);
                values.put(name, value);
            } catch (IllegalArgumentException e) {
                wrong.add(Words.sentence(String.valueOf(e.getMessage())));
            }
        });
        unread = List.copyOf(wrong);
        units = new Units(
                Boolean.parseBoolean(values.get("feet")),
                Boolean.parseBoolean(values.get("fahrenheit")),
                Boolean.parseBoolean(values.get("twelveHours")));
        Preferences usual = Preferences.USUAL;
        return new Preferences(
                Wishes.of(
                        number(values, "budget").orElse(usual.wishes().budgetPx()),
                        text(values, "isoSchool")
                                .map(IsoSchool::valueOf)
                                .orElse(usual.wishes().isoSchool())),
                number(values, "lowestCore").orElse(usual.lowestCoreDegrees()),
                text(values, "place").map(Long::valueOf),
                text(values, "rig").map(Long::valueOf),
                text(values, "dates").map(YearlyDate.LINES::read).orElse(List.of()));
    }

    private static Optional<Double> number(Map<String, String> values, String name) {
        return text(values, name).map(t -> TypedNumber.written(name, t));
    }

    private static Optional<String> text(Map<String, String> values, String name) {
        return Optional.<String>ofNullable(values.get(name));
    }
}
