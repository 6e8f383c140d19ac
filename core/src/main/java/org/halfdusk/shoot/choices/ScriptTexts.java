package org.halfdusk.shoot.choices;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.halfdusk.exposure.Ladder;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.BlockSpec;
import org.halfdusk.sequence.PhaseChoice;
import org.halfdusk.sequence.Phases;
import org.halfdusk.sequence.ScriptRow;
import org.halfdusk.typed.Codec;
import org.halfdusk.typed.TypedNumber;

/** How the changes of a computed script are written. */
final class ScriptTexts {
    /** "SHADOW every=120 time=0.5 f=8 iso=400 bracket=5x2 files=RAW; TOTALITY iso=200". */
    static final Codec<List<PhaseChoice>> PHASES = Codec.of(
            t -> new Phases(false, several(t, ScriptTexts::phase)).choices(),
            all -> new Phases(false, all)
                    .choices().stream().map(ScriptTexts::text).collect(Collectors.joining("; ")));

    /** "PARTIAL_SUN 2027-08-02T07:45:00Z 0.004 8 100; SHADOW 2028-12-31T17:10:00Z -" where one is taken away. */
    static final Codec<List<ScriptRow>> ROWS = Codec.of(
            t -> ScriptRow.inOrder(several(t, ScriptTexts::row)),
            all -> ScriptRow.inOrder(all).stream().map(ScriptTexts::text).collect(Collectors.joining("; ")));

    private static final String AWAY = "-";

    /** Parts of a row that is taken away, and of one that is set. */
    private static final int AWAY_PARTS = 3;

    private static final int SET_PARTS = 5;

    private ScriptTexts() {}

    private static <T> List<T> several(String text, Function<String, T> one) {
        return Arrays.stream(text.split(";"))
                .map(String::strip)
                .filter(t -> !t.isEmpty())
                .map(one)
                .toList();
    }

    private static String text(PhaseChoice c) {
        List<String> parts = new ArrayList<>(List.of(c.kind().name()));
        c.everySeconds().ifPresent(v -> parts.add("every=" + TypedNumber.plain(v)));
        c.seconds().ifPresent(v -> parts.add("time=" + TypedNumber.plain(v)));
        c.fNumber().ifPresent(n -> parts.add("f=" + TypedNumber.plain(n.value())));
        c.iso().ifPresent(i -> parts.add("iso=" + i));
        c.frames().ifPresent(v -> parts.add("bracket=" + v + "x" + c.thirds()));
        c.jpeg().ifPresent(j -> parts.add("files=" + PhaseChoice.FILES.write(j)));
        return String.join(" ", parts);
    }

    private static PhaseChoice phase(String text) {
        String[] parts = text.split("\\s+");
        PhaseChoice c =
                PhaseChoice.none(Codec.constant("phase", Block.Kind.class).read(parts[0]));
        for (int i = 1; i < parts.length; i++) {
            int is = parts[i].indexOf('=');
            c = with(c, is < 0 ? parts[i] : parts[i].substring(0, is), parts[i].substring(is + 1));
        }
        return c;
    }

    private static PhaseChoice with(PhaseChoice c, String name, String value) {
        return switch (name) {
            case "every" -> c.every(OptionalDouble.of(PhaseChoice.EVERY.read(value)));
            case "time" -> c.timed(OptionalDouble.of(BlockSpec.SECONDS.read(value)));
            case "f" -> c.at(Optional.of(FNumber.of(FNumber.RANGE.read(value))));
            case "iso" -> c.by(Optional.of(Iso.of(Iso.RANGE.whole(value))));
            case "bracket" -> {
                String[] p = value.split("x", 2);
                yield c.bracketed(
                        OptionalInt.of(PhaseChoice.FRAMES.whole(p[0])),
                        p.length < 2 ? c.thirds() : Ladder.THIRDS.whole(p[1]));
            }
            case "files" -> c.writing(Optional.of(PhaseChoice.FILES.read(value)));
            default ->
                throw new IllegalArgumentException("choice “" + TypedNumber.shown(name)
                        + "” of a phase is not known; allowed are every, time, f, iso, bracket, files");
        };
    }

    private static String text(ScriptRow r) {
        return r.kind() + " " + r.at() + " "
                + r.set()
                        .map(s -> TypedNumber.plain(s.seconds()) + " "
                                + TypedNumber.plain(s.fNumber().value()) + " " + s.iso())
                        .orElse(AWAY);
    }

    private static ScriptRow row(String text) {
        String[] p = text.split("\\s+");
        boolean away = p.length == AWAY_PARTS && p[2].equals(AWAY);
        if (!away && p.length != SET_PARTS) {
            throw new IllegalArgumentException("row “" + TypedNumber.shown(text)
                    + "” is not a phase, a moment, and time, aperture and ISO, or “" + AWAY + "” for none");
        }
        return new ScriptRow(
                Codec.constant("phase", Block.Kind.class).read(p[0]),
                BlockSpec.instant(p[1]),
                away
                        ? Optional.empty()
                        : Optional.of(new ScriptRow.Shot(
                                BlockSpec.SECONDS.read(p[2]),
                                FNumber.of(FNumber.RANGE.read(p[3])),
                                Iso.of(Iso.RANGE.whole(p[4])))));
    }
}
