package org.halfdusk.web.review.log;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.Month;
import java.time.ZoneOffset;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.halfdusk.ephemeris.Ephemeris;
import org.halfdusk.frame.FrameFault;
import org.halfdusk.place.Observer;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Places;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.shoot.kept.done.Frames;
import org.halfdusk.shoot.kept.done.PracticeLog;
import org.halfdusk.shoot.kept.done.RunLog;
import org.halfdusk.shoot.planning.Planner;
import org.halfdusk.shoot.review.Afterwards;
import org.halfdusk.shoot.review.taken.StarsMeasured;
import org.halfdusk.shoot.review.taken.TakenFrame;
import org.halfdusk.shoot.review.taken.TakenFrame.Brief;
import org.halfdusk.shoot.review.taken.TakenFrame.Choice;
import org.halfdusk.shoot.running.RunEntry;
import org.halfdusk.show.practice.PractisedFrame;
import org.halfdusk.show.practice.Reaction;
import org.halfdusk.sky.Sky;
import org.halfdusk.time.DeltaT;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.Subjects;
import org.halfdusk.web.subject.words.FaultWords;
import org.springframework.stereotype.Component;

/** What the log shows. */
@Component
class LogPages {
    private static final int SIDE = 22;

    private final Frames frames;
    private final Shoots shoots;
    private final Places places;
    private final RunLog log;
    private final PracticeLog practice;
    private final Planner planner;
    private final Subjects subjects;
    private final Ephemeris ephemeris;
    private final Clock clock;

    LogPages(
            Frames frames,
            Shoots shoots,
            Places places,
            RunLog log,
            PracticeLog practice,
            Planner planner,
            Subjects subjects,
            Ephemeris ephemeris,
            Clock clock) {
        this.frames = frames;
        this.shoots = shoots;
        this.places = places;
        this.log = log;
        this.practice = practice;
        this.planner = planner;
        this.subjects = subjects;
        this.ephemeris = ephemeris;
        this.clock = clock;
    }

    /** What of the log is asked for. */
    record Asked(String query, Optional<Long> place, Optional<LocalDate> night, Optional<Integer> year) {
        /** Whether a shoot is at the place and in the night that it is narrowed to. */
        boolean here(Shoot s) {
            return place.filter(p -> p != s.placeId()).isEmpty()
                    && night.filter(n -> !n.equals(s.night())).isEmpty();
        }
    }

    private record Whole(Kept<Shoot> shoot, Optional<Place> place, List<Kept<Brief>> frames, Afterwards noted) {
        LocalDate night() {
            return shoot.it().night();
        }
    }

    LogPage page(Asked asked) {
        List<Whole> all = all();
        List<Whole> shown = all.stream().filter(w -> matches(w, asked)).toList();
        boolean narrowed = asked.place().isPresent() || asked.night().isPresent();
        int year = asked.year()
                .orElseGet(() -> all.isEmpty()
                        ? clock.instant().atZone(ZoneOffset.UTC).getYear()
                        : all.get(0).night().getYear());
        String only = asked.place()
                .flatMap(places::find)
                .map(p -> "at " + p.it().name())
                .or(() -> asked.night().map(n -> "in the night of " + Times.longDate(n)))
                .orElse("");
        return new LogPage(
                asked.query(),
                only,
                asked.place()
                        .map(p -> "?place=" + p)
                        .or(() -> asked.night().map(n -> "?night=" + n))
                        .orElse(""),
                shown.stream().map(this::entry).toList(),
                narrowed ? shown.stream().map(this::compared).toList() : List.of(),
                year(year),
                shown.stream().mapToInt(w -> w.frames().size()).sum());
    }

    /** Shoots with frames or notes, the newest night first. */
    private List<Whole> all() {
        Map<Long, List<Kept<Brief>>> byShoot =
                frames.brief().stream().collect(Collectors.groupingBy(f -> f.it().shootId()));
        Map<Long, Afterwards> noted = frames.afterwards();
        return shoots.list("").stream()
                .map(s -> new Whole(
                        s,
                        places.find(s.it().placeId()).map(Kept::it),
                        byShoot.getOrDefault(s.id(), List.of()),
                        noted.getOrDefault(s.id(), Afterwards.NOTHING)))
                .filter(w -> !w.frames().isEmpty()
                        || !w.noted().empty()
                        || !notes(w.shoot().id()).isEmpty()
                        || !practice.frames(w.shoot().id()).isEmpty())
                .sorted(Comparator.comparing(Whole::night).reversed())
                .toList();
    }

    private List<String> notes(long shoot) {
        return log.entries(shoot).stream()
                .filter(e -> e.kind() == RunEntry.Kind.NOTE)
                .map(RunEntry::text)
                .toList();
    }

    /** "Practised 42 frames, 30 of them whole bursts; the hand opens 0.4 s before the break." */
    private static Optional<String> practised(List<PractisedFrame> frames) {
        if (frames.isEmpty()) {
            return Optional.empty();
        }
        long whole = frames.stream().filter(f -> f.verdict().good()).count();
        OptionalDouble before = frames.stream()
                .flatMap(f -> f.reaction().stream())
                .mapToDouble(Reaction::beforeBreak)
                .average();
        return Optional.of("Practised: " + Words.count(frames.size(), "frame") + ", " + whole + " of whole bursts"
                + (before.isPresent()
                        ? "; the hand opens " + Words.tenths(Math.abs(before.getAsDouble())) + " s "
                                + (before.getAsDouble() >= 0 ? "before" : "after") + " the break on average"
                        : "")
                + ".");
    }

    private boolean matches(Whole w, Asked asked) {
        Shoot s = w.shoot().it();
        String q = asked.query().toLowerCase(Locale.ROOT).strip();
        boolean said = q.isEmpty()
                || Stream.concat(
                                Stream.of(
                                        s.title(),
                                        s.notes(),
                                        w.place().map(Place::name).orElse(""),
                                        w.noted().note(),
                                        w.noted().weather(),
                                        w.noted().focusMark(),
                                        subjects.name(s.subject()),
                                        kit(s),
                                        s.night().toString()),
                                notes(w.shoot().id()).stream())
                        .anyMatch(t -> t.toLowerCase(Locale.ROOT).contains(q));
        return said && asked.here(s);
    }

    private String kit(Shoot s) {
        try {
            return Words.rig(planner.rig(s.rig()));
        } catch (IllegalArgumentException e) {
            return "kit that is not there any more";
        }
    }

    private LogPage.Entry entry(Whole w) {
        Shoot s = w.shoot().it();
        return new LogPage.Entry(
                w.shoot().id(),
                s.title(),
                "/shoots/" + w.shoot().id() + "/review",
                Times.longDate(s.night()),
                w.place().map(Place::name).orElse("a place that is not there any more"),
                "/log?place=" + s.placeId(),
                "/log?night=" + s.night(),
                subjects.name(s.subject()),
                kit(s),
                said(w.frames()),
                TakenFrame.best(w.frames(), Brief::judgement).map(Kept::id).orElse(0L),
                w.noted(),
                Stream.concat(
                                notes(w.shoot().id()).stream().map(n -> "In the night: " + n),
                                practised(practice.frames(w.shoot().id())).stream())
                        .toList());
    }

    /** "19 frames, 3 kept; aircraft in 1, coma in 16". */
    private static String said(List<Kept<Brief>> frames) {
        if (frames.isEmpty()) {
            return "no frames";
        }
        long kept = count(frames, Choice.KEEP);
        long rejected = count(frames, Choice.REJECT);
        Map<FrameFault.What, Integer> faults = new EnumMap<>(FrameFault.What.class);
        frames.forEach(f -> f.it().faults().stream()
                .filter(FrameFault::likely)
                .forEach(x -> faults.merge(x.what(), 1, Integer::sum)));
        String found = String.join(
                ", ",
                faults.entrySet().stream()
                        .filter(e -> e.getKey() != FrameFault.What.HOT_PIXELS)
                        .map(e -> FaultWords.what(e.getKey()) + " in " + e.getValue())
                        .toList());
        return Words.count(frames.size(), "frame")
                + (kept > 0 ? ", " + kept + " kept" : "")
                + (rejected > 0 ? ", " + rejected + " rejected" : "")
                + (found.isEmpty() ? "" : "; " + found);
    }

    private static long count(List<Kept<Brief>> frames, Choice choice) {
        return frames.stream()
                .filter(f -> f.it().judgement().choice() == choice)
                .count();
    }

    private LogPage.Compared compared(Whole w) {
        List<Kept<TakenFrame>> whole = frames.of(w.shoot().id());
        List<StarsMeasured> stars = whole.stream()
                .flatMap(
                        f -> StarsMeasured.of(
                                f.it().reading(),
                                f.it().file().width(),
                                f.it().file().height())
                                .stream())
                .toList();
        OptionalDouble sky = median(whole.stream()
                .flatMap(f -> f.it().reading().solved().stream())
                .map(s -> s.middle())
                .filter(OptionalDouble::isPresent)
                .map(OptionalDouble::getAsDouble));
        OptionalDouble width = median(stars.stream().map(StarsMeasured::widthPx));
        OptionalDouble trail = median(stars.stream().map(StarsMeasured::trailPx));
        return new LogPage.Compared(
                w.shoot().it().title(),
                "/shoots/" + w.shoot().id() + "/review",
                Times.longDate(w.night()),
                sky.isPresent() ? Words.tenths(sky.getAsDouble()) + " mag/arcsec²" : "not solved",
                width.isPresent() ? Words.tenths(width.getAsDouble()) + " px" : "no stars",
                trail.isPresent() ? Words.tenths(trail.getAsDouble()) + " px" : "",
                count(w.frames(), Choice.KEEP) + " of " + w.frames().size());
    }

    private static OptionalDouble median(Stream<Double> values) {
        List<Double> sorted = values.sorted().toList();
        return sorted.isEmpty() ? OptionalDouble.empty() : OptionalDouble.of(sorted.get(sorted.size() / 2));
    }

    /** A night of the year. @param read frames of it @param lit share of the moon's disc */
    private static LogPage.Cell cell(LocalDate d, List<Kept<Shoot>> here, int read, double lit) {
        String titles = String.join(", ", here.stream().map(s -> s.it().title()).toList());
        return new LogPage.Cell(
                Integer.toString((d.getDayOfMonth() - 1) * SIDE),
                Integer.toString((d.getMonthValue() - 1) * SIDE),
                String.format(Locale.ROOT, "%.2f", lit),
                here.isEmpty() ? "" : read > 0 ? "read" : "planned",
                here.isEmpty() ? "" : "/log?night=" + d,
                here.isEmpty()
                        ? ""
                        : Times.longDate(d) + ": " + titles
                                + (read > 0 ? ", " + Words.count(read, "frame") : ", planned"));
    }

    private LogPage.Year year(int year) {
        Map<LocalDate, List<Kept<Shoot>>> nights = new TreeMap<>();
        shoots.list("").stream()
                .filter(s -> s.it().night().getYear() == year)
                .forEach(s -> nights.computeIfAbsent(s.it().night(), k -> new ArrayList<>())
                        .add(s));
        Map<Long, Integer> counts = frames.counts();
        Sky sky = Sky.over(Observer.of(0, 0, 0), ephemeris, DeltaT.model());
        List<LogPage.Cell> cells = new ArrayList<>();
        for (LocalDate d = LocalDate.of(year, 1, 1); d.getYear() == year; d = d.plusDays(1)) {
            List<Kept<Shoot>> here = nights.getOrDefault(d, List.of());
            int read =
                    here.stream().mapToInt(s -> counts.getOrDefault(s.id(), 0)).sum();
            Instant midnight = d.plusDays(1).atTime(LocalTime.MIDNIGHT).toInstant(ZoneOffset.UTC);
            cells.add(cell(d, here, read, sky.moonPhase(midnight).illuminatedFraction()));
        }
        long withFrames = nights.values().stream()
                .filter(l -> l.stream().anyMatch(s -> counts.containsKey(s.id())))
                .count();
        return new LogPage.Year(
                year,
                Stream.of(Month.values())
                        .map(m -> m.getDisplayName(TextStyle.SHORT, Locale.ENGLISH))
                        .toList(),
                List.copyOf(cells),
                nights.isEmpty()
                        ? "No shoot in " + year + "."
                        : Words.count(nights.size(), "night") + " with a shoot in " + year + ", frames read of "
                                + withFrames + ".",
                year - 1,
                year + 1);
    }
}
