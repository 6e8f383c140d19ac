package org.halfdusk.shoot.planning;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/** What was computed lately: of more than so many, what was not asked for the longest is forgotten. Safe for threads. */
public final class Recent<K, V> {
    private final Map<K, V> kept;

    /** @param most kept, 1 and more */
    public Recent(int most) {
        this.kept = new LinkedHashMap<>(16, 0.75f, true) {
            private static final long serialVersionUID = 1L;

            @Override
            protected boolean removeEldestEntry(Map.Entry<K, V> eldest) {
                return size() > most;
            }
        };
    }

    /** The value that is kept for a key, if it still is. */
    public Optional<V> get(K key) {
        synchronized (kept) {
            return Optional.ofNullable(kept.get(key));
        }
    }

    /** The value, now kept; what another thread has kept meanwhile for the same goes before it. */
    public V keep(K key, V value) {
        synchronized (kept) {
            V there = kept.get(key);
            if (there != null) {
                return there;
            }
            kept.put(key, value);
            return value;
        }
    }

    int size() {
        synchronized (kept) {
            return kept.size();
        }
    }
}
