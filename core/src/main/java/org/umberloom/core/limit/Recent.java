package org.umberloom.core.limit;

import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Function;

/** What was last worked out from texts, so that a text that is still the same is not read again. Bounded by the texts' letters. */
public final class Recent<V> {
    private static final long MOST_LETTERS = 4L << 20;

    private final Map<String, V> known = new LinkedHashMap<>(64, 0.75f, true);
    private long letters;

    /** @param read works it out; what it gives must not change any more */
    public V get(String text, Function<String, V> read) {
        synchronized (this) {
            V value = known.get(text);
            if (value != null) return value;
        }
        V value = read.apply(text);
        synchronized (this) {
            if (known.put(text, value) == null) letters += text.length();
            Iterator<String> oldest = known.keySet().iterator();
            while (letters > MOST_LETTERS && oldest.hasNext()) {
                letters -= oldest.next().length();
                oldest.remove();
            }
        }
        return value;
    }
}
