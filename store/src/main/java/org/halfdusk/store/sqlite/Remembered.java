package org.halfdusk.store.sqlite;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.function.Function;
import java.util.function.Supplier;

/**
 * What was read of the file, given again while nothing in it has changed: a page asks for the same rows a dozen
 * times, and putting a query together takes longer than it takes SQLite to answer.
 *
 * <p>In a transaction the file is read: what the thread sees there may never come to be. Values are shared by threads, so
 * they must not change; and they stay in memory, so lists without a bound are not for here.
 *
 * @param <K> what is asked for
 * @param <V> what was read
 */
final class Remembered<K, V> implements Function<K, V> {
    private final Database database;
    private final Function<K, V> read;
    private final Supplier<?> version;
    private final Cache<K, Known<V>> known;

    private record Known<V>(Object version, V value) {}

    /** @param version of what is read; the same only where nothing in that has changed */
    Remembered(Database database, Function<K, V> read, int most, Supplier<?> version) {
        this.version = version;
        this.known = Caffeine.newBuilder().maximumSize(most).build();
        this.database = database;
        this.read = read;
    }

    @Override
    public V apply(K key) {
        if (database.within()) {
            return read.apply(key);
        }
        // Asked before reading: what is written meanwhile is another version, and is read by whoever asks next.
        Object now = version.get();
        Known<V> last = known.getIfPresent(key);
        if (last != null && last.version().equals(now)) {
            return last.value();
        }
        V fresh = read.apply(key);
        known.put(key, new Known<>(now, fresh));
        return fresh;
    }
}
