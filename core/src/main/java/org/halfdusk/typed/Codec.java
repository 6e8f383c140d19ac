package org.halfdusk.typed;

import java.time.LocalTime;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.function.UnaryOperator;

/**
 * A value as text and back. Text stands in a form and in a row; between them is the value alone. What is written is read back as
 * the same value, and is its one written form.
 *
 * @param reader of a text without space around it; refuses by an IllegalArgumentException that names the value and what is allowed
 * @param wording as a sentence shows the value
 * @param asked how a form asks for it
 */
public record Codec<T>(
        Function<String, T> reader, Function<T, String> writer, Function<T, String> wording, Asked asked) {
    /** How a form asks for a value. */
    public sealed interface Asked {
        /** As a line of text. @param example of what is meant, may be empty */
        record Line(String example) implements Asked {}

        /** As a number; nothing is an answer too where it says so. */
        record Number(String unit, boolean perhaps) implements Asked {}

        /** As a time of day. */
        record Time() implements Asked {}

        /** As one of several. */
        record Choice(List<Option> options) implements Asked {}
    }

    /** One of several: as kept, and in words. */
    public record Option(String text, String words) {}

    /** A value that is one of several. */
    public record Chosen<T>(T value, String text, String words) {}

    /** Asked for as a line, worded as it is written. */
    public static <T> Codec<T> of(Function<String, T> reader, Function<T, String> writer) {
        return new Codec<>(reader, writer, writer, new Asked.Line(""));
    }

    /** The same, asked for with an example. */
    public Codec<T> like(String example) {
        return new Codec<>(reader, writer, wording, new Asked.Line(example));
    }

    /** A text in its one written form. */
    public static Codec<String> text(UnaryOperator<String> normal) {
        return of(normal, t -> t);
    }

    /** A number in a range. */
    public static Codec<Double> number(Range range) {
        return new Codec<>(
                range::read, TypedNumber::plain, v -> united(v, range), new Asked.Number(range.unit(), false));
    }

    /** A whole number in a range. */
    public static Codec<Integer> whole(Range range) {
        return of(range::whole, v -> Integer.toString(v));
    }

    /** A number in a range, or nothing. */
    public static Codec<OptionalDouble> perhaps(Range range) {
        return new Codec<>(
                t -> t.isEmpty() || t.equals(ENDLESS) ? OptionalDouble.empty() : OptionalDouble.of(range.read(t)),
                v -> v.isPresent() ? TypedNumber.plain(v.getAsDouble()) : "",
                v -> v.isPresent() ? united(v.getAsDouble(), range) : "",
                new Asked.Number(range.unit(), true));
    }

    /** How people write that a distance has no end: nothing is fixed then. */
    private static final String ENDLESS = "∞";

    private static String united(double value, Range range) {
        return TypedNumber.plain(value) + (range.unit().isEmpty() ? "" : " " + range.unit());
    }

    /** The same, or nothing at all, which is the empty text. */
    public Codec<Optional<T>> perhaps() {
        return new Codec<>(
                t -> t.isEmpty() ? Optional.empty() : Optional.of(reader.apply(t)),
                v -> v.map(writer).orElse(""),
                v -> v.map(wording).orElse(""),
                asked);
    }

    /** The same, worded otherwise in a sentence. */
    public Codec<T> worded(Function<T, String> words) {
        return new Codec<>(reader, writer, words, asked);
    }

    /** A time of day, 00:00 to 23:59. */
    public static Codec<LocalTime> time(String what) {
        return new Codec<>(t -> time(what, t), LocalTime::toString, LocalTime::toString, new Asked.Time());
    }

    private static LocalTime time(String what, String text) {
        return TypedTime.read(text)
                .map(t -> t.withSecond(0))
                .orElseThrow(() -> new IllegalArgumentException(what + " “" + TypedNumber.shown(text)
                        + "” is not a time of day; write it as 22:30 or 10:30 pm, 00:00 to 23:59"));
    }

    /** One of several. */
    @SafeVarargs
    public static <T> Codec<T> choice(String what, Chosen<T>... several) {
        List<Chosen<T>> all = List.of(several);
        return new Codec<>(
                t -> all.stream()
                        .filter(c -> c.text().equals(t))
                        .map(Chosen::value)
                        .findFirst()
                        .orElseThrow(() ->
                                unknown(what, t, all.stream().map(Chosen::words).toList())),
                v -> of(all, v).text(),
                v -> of(all, v).words(),
                new Asked.Choice(
                        all.stream().map(c -> new Option(c.text(), c.words())).toList()));
    }

    private static <T> Chosen<T> of(List<Chosen<T>> all, T value) {
        return all.stream()
                .filter(c -> c.value().equals(value))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(value + " is none of the allowed values"));
    }

    /** A constant by its name. */
    public static <E extends Enum<E>> Codec<E> constant(String what, Class<E> type) {
        List<E> all = List.of(type.getEnumConstants());
        return of(
                t -> all.stream()
                        .filter(e -> e.name().equals(t))
                        .findFirst()
                        .orElseThrow(() ->
                                unknown(what, t, all.stream().map(Enum::name).toList())),
                Enum::name);
    }

    /** True by a word, false by nothing. */
    public static Codec<Boolean> flag(String what, String word) {
        return of(
                t -> {
                    if (!t.isEmpty() && !t.equals(word)) {
                        throw unknown(what, t, Arrays.asList(word, "nothing"));
                    }
                    return t.equals(word);
                },
                v -> v ? word : "");
    }

    private static IllegalArgumentException unknown(String what, String text, List<String> allowed) {
        return new IllegalArgumentException(
                text.isEmpty()
                        ? what + " is not chosen; allowed are " + String.join(", ", allowed)
                        : what + " “" + TypedNumber.shown(text) + "” is not known; allowed are "
                                + String.join(", ", allowed));
    }

    /** The same value seen as another. */
    public <U> Codec<U> as(Function<T, U> to, Function<U, T> from) {
        return new Codec<>(
                t -> to.apply(reader.apply(t)),
                v -> writer.apply(from.apply(v)),
                v -> wording.apply(from.apply(v)),
                asked);
    }

    /** @throws IllegalArgumentException naming the text and what is allowed */
    public T read(String text) {
        return reader.apply(text.strip());
    }

    /** A value in its one written form, which {@link #read} reads. */
    public String write(T value) {
        return writer.apply(value);
    }

    /** A value as it is told to people. */
    public String words(T value) {
        return wording.apply(value);
    }

    /** A text in its one written form. */
    public String normal(String text) {
        return write(read(text));
    }
}
