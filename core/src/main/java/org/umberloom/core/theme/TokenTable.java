package org.umberloom.core.theme;

import java.util.AbstractMap;
import java.util.AbstractSet;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Set;
import org.umberloom.core.token.TokenPath;

/** Results by path, as a view on rows that versions of a graph share. A row without a result is no entry. */
final class TokenTable extends AbstractMap<TokenPath, Resolved> {
    private final TokenIndex index;
    private final Resolved[] rows;
    private int size = -1;

    TokenTable(TokenIndex index, Resolved[] rows) {
        this.index = index;
        this.rows = rows;
    }

    boolean sharesIndexWith(TokenTable other) {
        return index == other.index;
    }

    /** Both tables share one index. */
    void compare(TokenTable before, List<Resolved> changed, List<TokenPath> gone) {
        for (int id = 0; id < rows.length; id++) {
            if (rows[id] == before.rows[id]) continue;
            if (rows[id] == null) gone.add(index.path(id));
            else if (!rows[id].equals(before.rows[id])) changed.add(rows[id]);
        }
    }

    @Override
    public Resolved get(Object path) {
        int id = path instanceof TokenPath wanted ? index.id(wanted) : -1;
        return id < 0 ? null : rows[id];
    }

    @Override
    public boolean containsKey(Object path) {
        return get(path) != null;
    }

    @Override
    public int size() {
        if (size < 0) {
            int count = 0;
            for (Resolved row : rows) if (row != null) count++;
            size = count;
        }
        return size;
    }

    @Override
    public Set<Map.Entry<TokenPath, Resolved>> entrySet() {
        return new AbstractSet<>() {
            @Override
            public Iterator<Map.Entry<TokenPath, Resolved>> iterator() {
                return new Rows();
            }

            @Override
            public int size() {
                return TokenTable.this.size();
            }
        };
    }

    private final class Rows implements Iterator<Map.Entry<TokenPath, Resolved>> {
        private int next = following(0);

        private int following(int from) {
            int at = from;
            while (at < rows.length && rows[at] == null) at++;
            return at;
        }

        @Override
        public boolean hasNext() {
            return next < rows.length;
        }

        @Override
        public Map.Entry<TokenPath, Resolved> next() {
            if (!hasNext()) throw new NoSuchElementException();
            Resolved row = rows[next];
            next = following(next + 1);
            return Map.entry(row.path(), row);
        }
    }
}
