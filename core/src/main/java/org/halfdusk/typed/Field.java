package org.halfdusk.typed;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.BiFunction;
import java.util.function.Function;

/**
 * A part of something that a person can change by itself: where it stands, and how it is written.
 *
 * @param name under which it is kept and sent
 * @param label in a sentence, and with a capital over a form's input
 * @param <S> what it is a part of
 * @param <T> its value
 */
public record Field<S, T>(String name, String label, Codec<T> codec, Function<S, T> get, BiFunction<S, T, S> with) {
    /** A number in a range, labelled as the range names it. */
    public static <S> Field<S, Double> number(
            String name, Range range, Function<S, Double> get, BiFunction<S, Double, S> with) {
        return new Field<>(name, range.what(), Codec.number(range), get, with);
    }

    /** What stands in it. */
    public T of(S whole) {
        return get.apply(whole);
    }

    /** The whole with something else in it. */
    public S with(S whole, T value) {
        return with.apply(whole, value);
    }

    /** What stands in it, in its one written form. */
    public String text(S whole) {
        return codec.write(of(whole));
    }

    /**
     * The same whole with what a text says.
     *
     * @throws IllegalArgumentException naming the text and what is allowed
     */
    public S read(S whole, String text) {
        return with(whole, codec.read(text));
    }

    /**
     * A whole with what texts say, by the fields' names; what they do not hold stays.
     *
     * @param what a text is, for the message: "wish"
     * @throws IllegalArgumentException naming all values that are not allowed, and names that are not known
     */
    public static <S> S read(S whole, List<Field<S, ?>> fields, Map<String, String> texts, String what) {
        Faults faults = new Faults();
        S read = whole;
        Set<String> unknown = new TreeSet<>(texts.keySet());
        for (Field<S, ?> f : fields) {
            if (unknown.remove(f.name())) {
                S before = read;
                read = faults.or(before, () -> f.read(before, texts.getOrDefault(f.name(), "")));
            }
        }
        unknown.forEach(name -> faults.add(what + " “" + TypedNumber.shown(name) + "” is not known here; allowed are "
                + String.join(", ", fields.stream().map(Field::name).toList())));
        faults.refuse();
        return read;
    }

    /** @throws IllegalArgumentException where what stands in it is not allowed */
    public void check(S whole) {
        codec.read(text(whole));
    }

    /** The same as a part of something larger that holds the whole. */
    public <R> Field<R, T> in(Function<R, S> part, BiFunction<R, S, R> put) {
        return new Field<>(name, label, codec, r -> of(part.apply(r)), (r, v) -> put.apply(r, with(part.apply(r), v)));
    }
}
