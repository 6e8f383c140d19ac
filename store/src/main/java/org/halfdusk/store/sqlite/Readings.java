package org.halfdusk.store.sqlite;

import java.time.DateTimeException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Unread;
import org.halfdusk.shoot.kept.Unreadable;
import org.halfdusk.typed.PlainText;
import org.jspecify.annotations.Nullable;

/** Rows as what they stand for; what no rule of the core lets through stands apart, so that one bad row hides no other. */
public record Readings<T>(List<Kept<T>> kept, List<Unread> unread) {
    private static final int SHOWN = 80;

    /**
     * @param id of a row
     * @param name of a row, for who has to tell it from others
     * @param read a row as what it stands for; throws where it cannot
     */
    public static <R, T> Readings<T> of(
            List<R> rows, Function<R, Long> id, Function<R, @Nullable String> name, Function<R, Kept<T>> read) {
        List<Kept<T>> kept = new ArrayList<>(rows.size());
        List<Unread> unread = new ArrayList<>();
        for (R row : rows) {
            try {
                kept.add(read.apply(row));
            } catch (IllegalArgumentException | DateTimeException | NullPointerException | ArithmeticException e) {
                unread.add(unread(id.apply(row), name.apply(row), e));
            }
        }
        return new Readings<>(List.copyOf(kept), List.copyOf(unread));
    }

    /**
     * One row.
     *
     * @param what it is, for the message
     * @throws Unreadable where it cannot be read
     */
    public static <R, T> Optional<Kept<T>> one(
            String what,
            Optional<R> row,
            Function<R, Long> id,
            Function<R, @Nullable String> name,
            Function<R, Kept<T>> read) {
        return of(row.stream().toList(), id, name, read).only(what);
    }

    /**
     * What was read of one row; nothing where there was none.
     *
     * @param what it is, for the message
     * @throws Unreadable where it cannot be read
     */
    public Optional<Kept<T>> only(String what) {
        if (!unread.isEmpty()) {
            throw new Unreadable(what, unread.get(0));
        }
        return kept.stream().findFirst();
    }

    private static Unread unread(long id, @Nullable String name, RuntimeException e) {
        String why = Optional.ofNullable(e.getMessage())
                .filter(m -> !(e instanceof NullPointerException))
                .orElse("a figure of it is missing");
        return new Unread(id, PlainText.shortened(name == null ? "" : name, SHOWN, "without a name"), why);
    }
}
