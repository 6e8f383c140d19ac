package org.halfdusk.time;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.Month;
import java.time.MonthDay;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.halfdusk.typed.Codec;
import org.halfdusk.typed.Faults;
import org.halfdusk.typed.PlainText;
import org.halfdusk.typed.TypedNumber;

/**
 * A date of one's own that comes back each year, a feast with its show say. The 29th of February is kept on the 28th in other years.
 *
 * @param name up to 80 characters
 */
public record YearlyDate(MonthDay day, String name) {
    private static final int LONGEST = 80;
    private static final int MOST = 60;

    /** "15 August Lantern night", "15.8. Lantern night" or "08-15 Lantern night". */
    private static final Pattern LINE = Pattern.compile(
            "(?:(\\d{1,2})\\.?\\s+(\\p{L}{3,})|(\\d{1,2})\\.(\\d{1,2})\\.?|(\\d{2})-(\\d{2}))[\\s,:]+(\\S.*)");

    /** Several, one a line, in the order of the year. */
    public static final Codec<List<YearlyDate>> LINES = Codec.of(YearlyDate::read, YearlyDate::write);

    /** @throws IllegalArgumentException naming a name that is empty or too long */
    public YearlyDate {
        name = PlainText.line("name of a date", name, LONGEST);
        if (name.isBlank()) {
            throw new IllegalArgumentException("name of a date is empty; at least one letter is wanted");
        }
    }

    /** On which date it falls from a date on, within a year. */
    public LocalDate next(LocalDate from) {
        LocalDate thisYear = day.atYear(from.getYear());
        return thisYear.isBefore(from) ? day.atYear(from.getYear() + 1) : thisYear;
    }

    private static List<YearlyDate> read(String text) {
        Faults faults = new Faults();
        List<YearlyDate> all = new ArrayList<>();
        for (String line : text.split("\\R")) {
            if (!line.isBlank()) {
                faults.or(Optional.<YearlyDate>empty(), () -> Optional.of(line(line.strip())))
                        .ifPresent(all::add);
            }
        }
        if (all.size() > MOST) {
            faults.add("dates of your own are " + all.size() + "; " + MOST + " are allowed");
        }
        faults.refuse();
        all.sort(Comparator.comparing(YearlyDate::day));
        return List.copyOf(all);
    }

    private static YearlyDate line(String line) {
        Matcher m = LINE.matcher(line);
        IllegalArgumentException no = new IllegalArgumentException("date of your own “" + TypedNumber.shown(line)
                + "” is not understood; write day, month and name, as 15 August Lantern night");
        if (!m.matches()) {
            throw no;
        }
        try {
            MonthDay day = m.group(2) != null
                    ? MonthDay.of(month(m.group(2)).orElseThrow(() -> no), Integer.parseInt(m.group(1)))
                    : m.group(3) != null
                            ? MonthDay.of(Integer.parseInt(m.group(4)), Integer.parseInt(m.group(3)))
                            : MonthDay.of(Integer.parseInt(m.group(5)), Integer.parseInt(m.group(6)));
            return new YearlyDate(day, m.group(7));
        } catch (DateTimeException e) {
            throw new IllegalArgumentException(
                    "date of your own “" + TypedNumber.shown(line)
                            + "” is no day of a year; 1 January to 31 December is allowed",
                    e);
        }
    }

    /** By its English name or the first letters of it, three and more. */
    private static Optional<Month> month(String name) {
        String lower = name.toLowerCase(Locale.ROOT);
        for (Month m : Month.values()) {
            if (m.getDisplayName(TextStyle.FULL, Locale.ENGLISH)
                    .toLowerCase(Locale.ROOT)
                    .startsWith(lower)) {
                return Optional.of(m);
            }
        }
        return Optional.empty();
    }

    private static String write(List<YearlyDate> all) {
        return String.join(
                "\n",
                all.stream()
                        .map(d -> d.day().getDayOfMonth() + " "
                                + d.day().getMonth().getDisplayName(TextStyle.FULL, Locale.ENGLISH) + " " + d.name())
                        .toList());
    }
}
