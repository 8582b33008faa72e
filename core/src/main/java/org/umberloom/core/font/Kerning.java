package org.umberloom.core.font;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * How much closer pairs of glyphs stand than their widths say. Source: OpenType 1.9.1, GPOS, lookup type 2, as the feature
 * {@code kern} asks for it.
 */
final class Kerning {
    static final Kerning NONE = new Kerning();

    private static final int PAIRS = 2;
    private static final int EXTENSION = 9;
    private static final int ADVANCE = 4;
    private static final int BEFORE_ADVANCE = 3;
    private static final int DEVICE = 0x40;
    private static final int BEFORE_DEVICE = 0x3f;
    private static final int VARIATION = 0x8000;
    private static final int MOST_TABLES = 4_000;
    private static final int MOST_PAIRS = 200_000;

    /** A subtable: what a pair is moved by, or nothing where it does not speak of it. */
    private interface Table {
        Move of(int first, int second);
    }

    /**
     * How a pair is moved.
     *
     * @param part and item in the font’s variations; none where {@code part} is below 0
     */
    private record Move(int advance, int part, int item) {
        static final Move NOT = new Move(0, -1, 0);
    }

    private final List<List<Table>> lookups = new ArrayList<>();
    private final Map<Long, List<Move>> known = new HashMap<>();

    private Kerning() {}

    private Kerning(Bytes in) {
        for (List<Lookups.Subtable> subtables : Lookups.of(in, Set.of("kern"), EXTENSION, MOST_TABLES)) {
            List<Table> lookup = new ArrayList<>();
            for (Lookups.Subtable one : subtables) {
                if (one.type() != PAIRS) continue;
                int format = in.seek(one.at()).u16();
                if (format == 1) lookup.add(single(in, one.at()));
                if (format == 2) lookup.add(classes(in, one.at()));
            }
            lookups.add(lookup);
        }
    }

    static Kerning of(FontTables font) {
        return font.table("GPOS").isEmpty() ? NONE : new Kerning(font.reading("GPOS"));
    }

    /** How far into a value record the advance stands, in bytes; below 0 where it has none. */
    private static int advanceIn(int format) {
        return (format & ADVANCE) == 0 ? -1 : 2 * Integer.bitCount(format & BEFORE_ADVANCE);
    }

    private static int size(int format) {
        return 2 * Integer.bitCount(format & 0xff);
    }

    private static Table single(Bytes in, long at) {
        int coverage = in.u16();
        int one = in.u16();
        int two = in.u16();
        int[] sets = Lookups.offsets(in);
        List<Integer> firsts = Lookups.covered(in, at + coverage);
        Map<Long, Move> pairs = new HashMap<>();
        for (int i = 0; i < sets.length && i < firsts.size(); i++) {
            in.seek(at + sets[i]);
            int count = in.u16();
            for (int n = 0; n < count; n++) {
                int second = in.u16();
                pairs.putIfAbsent(pair(firsts.get(i), second), move(in, one, at + sets[i]));
                in.skip(size(two));
                if (pairs.size() > MOST_PAIRS) throw in.ended();
            }
        }
        return (first, second) -> pairs.get(pair(first, second));
    }

    private static Table classes(Bytes in, long at) {
        int coverage = in.u16();
        int one = in.u16();
        int two = in.u16();
        int firstClasses = in.u16();
        int secondClasses = in.u16();
        int rows = in.u16();
        int columns = in.u16();
        if ((long) rows * columns > MOST_PAIRS || (long) rows * columns * (size(one) + size(two)) > in.left())
            throw in.ended();
        Move[][] moves = new Move[rows][columns];
        for (Move[] row : moves)
            for (int i = 0; i < columns; i++) {
                row[i] = move(in, one, at);
                in.skip(size(two));
            }
        Set<Integer> firsts = new HashSet<>(Lookups.covered(in, at + coverage));
        Map<Integer, Integer> ofFirst = classed(in, at + firstClasses);
        Map<Integer, Integer> ofSecond = classed(in, at + secondClasses);
        return (first, second) -> {
            if (!firsts.contains(first)) return null;
            int row = ofFirst.getOrDefault(first, 0);
            int column = ofSecond.getOrDefault(second, 0);
            return row < rows && column < columns ? moves[row][column] : Move.NOT;
        };
    }

    /** @param parent where the table begins that what it refers to is counted from */
    private static Move move(Bytes in, int format, long parent) {
        int before = advanceIn(format);
        if (before < 0) {
            in.skip(size(format));
            return Move.NOT;
        }
        long record = in.at();
        int advance = in.skip(before).i16();
        int device = 0;
        if ((format & DEVICE) != 0)
            device = in.seek(record + 2L * Integer.bitCount(format & BEFORE_DEVICE))
                    .u16();
        Move move = device == 0 ? new Move(advance, -1, 0) : varying(in.seek(parent + device), advance);
        in.seek(record + size(format));
        return move;
    }

    private static Move varying(Bytes in, int advance) {
        int part = in.u16();
        int item = in.u16();
        return in.u16() == VARIATION ? new Move(advance, part, item) : new Move(advance, -1, 0);
    }

    private static Map<Integer, Integer> classed(Bytes in, long at) {
        in.seek(at);
        boolean ranges = in.u16() == 2;
        Map<Integer, Integer> classes = new HashMap<>();
        int first = ranges ? 0 : in.u16();
        int count = in.u16();
        for (int i = 0; i < count; i++) {
            int from = ranges ? in.u16() : first + i;
            int to = ranges ? in.u16() : from;
            int its = in.u16();
            for (int glyph = from; glyph <= to; glyph++) classes.put(glyph, its);
            if (classes.size() > MOST_PAIRS) throw in.ended();
        }
        return classes;
    }

    private static long pair(int first, int second) {
        return (long) first << 16 | second;
    }

    /** In units of the font, negative where the two stand closer. @param where of each axis, from −1 to 1 */
    double of(int first, int second, Variations variations, double[] where) {
        if (lookups.isEmpty()) return 0;
        List<Move> moves;
        synchronized (known) {
            moves = known.computeIfAbsent(pair(first, second), key -> found(first, second));
        }
        double sum = 0;
        for (Move move : moves)
            sum += move.advance + (move.part < 0 ? 0 : Math.round(variations.moved(move.part, move.item, where)));
        return sum;
    }

    private List<Move> found(int first, int second) {
        List<Move> moves = new ArrayList<>();
        for (List<Table> lookup : lookups)
            for (Table table : lookup) {
                Move moved = table.of(first, second);
                if (moved == null) continue;
                if (moved != Move.NOT) moves.add(moved);
                break;
            }
        return List.copyOf(moves);
    }
}
