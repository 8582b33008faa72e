package org.umberloom.core.ground;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.umberloom.core.color.Blend;
import org.umberloom.core.theme.Picture;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Meta;
import org.umberloom.core.token.Names;
import org.umberloom.core.token.TokenPath;

/**
 * What lies on a surface's ground color: a picture, a gradient or a drawn pattern, and whether a veil of the ground's
 * color lies over it so that text stays readable.
 *
 * @param source   a picture's file name, a gradient token's path, or a pattern's id
 * @param position as CSS {@code background-position}: two keywords, such as {@code center top}, or two percentages from 0 to 100
 * @param repeat   as CSS {@code background-repeat}
 * @param size     {@code cover}, {@code contain}, {@code auto}, or a width from 1 to 4000 px
 * @param blend    with the ground's color
 * @param angle    of a gradient, in degrees, as CSS: 0 runs upward
 * @param role     whose color draws a pattern
 * @param scrim    whether the veil is computed and laid
 */
public record Ground(
        Kind kind,
        String source,
        String position,
        String repeat,
        String size,
        Blend blend,
        double angle,
        String role,
        boolean scrim) {
    /** What kind of image it is. */
    public enum Kind {
        PICTURE,
        GRADIENT,
        PATTERN;

        /** As it is written, such as {@code picture}. */
        public String id() {
            return name().toLowerCase(Locale.ROOT);
        }

        /** @throws IllegalArgumentException that names what there is */
        public static Kind byId(String id) {
            return Arrays.stream(values())
                    .filter(kind -> kind.id().equalsIgnoreCase(id))
                    .findFirst()
                    .orElseThrow(() -> new IllegalArgumentException(
                            "“" + Names.shown(id) + "” is not a kind of ground: it is picture, gradient or pattern."));
        }
    }

    private static final List<String> POSITIONS = List.of(
            "left top",
            "center top",
            "right top",
            "left center",
            "center center",
            "right center",
            "left bottom",
            "center bottom",
            "right bottom");
    public static final List<String> REPEATS = List.of("no-repeat", "repeat", "repeat-x", "repeat-y", "round", "space");
    /** Sizes to choose from; any width in px is one too. */
    public static final List<String> SIZES = List.of("cover", "contain", "auto", "120px", "240px", "480px");

    private static final String FIELD = "ground";
    private static final Map<String, Object> PLAIN = Map.of("kind", "plain");
    private static final java.util.regex.Pattern SHARES =
            java.util.regex.Pattern.compile("(100|\\d{1,2})% (100|\\d{1,2})%");
    private static final java.util.regex.Pattern SIZE =
            java.util.regex.Pattern.compile("cover|contain|auto|([1-9]\\d{0,3})px");
    private static final java.util.regex.Pattern ROLE = java.util.regex.Pattern.compile("[a-z][a-z-]*");

    /** @throws IllegalArgumentException with a sentence for people when a field is out of range */
    public Ground {
        if (kind == Kind.PICTURE && !Picture.isName(source))
            throw new IllegalArgumentException(
                    "“" + source + "” is not the name of a picture: small letters, digits, dots and dashes.");
        if (kind == Kind.GRADIENT) TokenPath.of(source);
        if (kind == Kind.PATTERN) Pattern.byId(source);
        if (!POSITIONS.contains(position) && !SHARES.matcher(position).matches())
            throw new IllegalArgumentException("A ground’s position is one of " + POSITIONS
                    + ", or two percentages such as 40% 0%, was “" + position + "”.");
        if (!REPEATS.contains(repeat))
            throw new IllegalArgumentException("A ground’s repeat is one of " + REPEATS + ", was “" + repeat + "”.");
        if (!SIZE.matcher(size).matches())
            throw new IllegalArgumentException(
                    "A ground’s size is cover, contain, auto or a width such as 240px, was “" + size + "”.");
        if (!(angle >= 0 && angle < 360))
            throw new IllegalArgumentException("A gradient’s angle is from 0 to below 360 degrees, was " + angle + ".");
        if (!ROLE.matcher(role).matches()) throw new IllegalArgumentException("“" + role + "” is not a role.");
    }

    /** The ground of a surface's group. @throws IllegalArgumentException when it has one that cannot be read */
    public static Optional<Ground> of(Group surface) {
        return isPlain(surface) ? Optional.empty() : surface.meta().own(FIELD).map(Ground::read);
    }

    /** Whether a surface's group says that it stands on plain color, whatever a wider place lays there. */
    public static boolean isPlain(Group surface) {
        return surface.meta().own(FIELD).filter(PLAIN::equals).isPresent();
    }

    /** The group's properties saying that. */
    public static Meta plain(Meta meta) {
        return meta.withOwn(FIELD, Optional.of(PLAIN));
    }

    /** The same; one that cannot be read is as good as none, and {@link Grounds#findings} says so. */
    public static Optional<Ground> readable(Group surface) {
        try {
            return of(surface);
        } catch (IllegalArgumentException unreadable) {
            return Optional.empty();
        }
    }

    /** The group's properties with this ground, or without one. */
    public static Meta with(Meta meta, Optional<Ground> ground) {
        return meta.withOwn(FIELD, ground.map(Ground::write));
    }

    /** One of which nothing but its source is said. */
    public static Ground usual(Kind kind, String source) {
        return new Ground(kind, source, "center center", "no-repeat", "cover", Blend.NORMAL, 180, "border", true);
    }

    /** The same with its veil laid. */
    Ground withScrim() {
        return new Ground(kind, source, position, repeat, size, blend, angle, role, true);
    }

    private Map<String, Object> write() {
        Map<String, Object> data = new LinkedHashMap<>();
        data.put("kind", kind.id());
        data.put("source", kind == Kind.GRADIENT ? "{" + source + "}" : source);
        data.put("position", position);
        data.put("repeat", repeat);
        data.put("size", size);
        data.put("blend", blend.css());
        if (kind == Kind.GRADIENT) data.put("angle", angle);
        if (kind == Kind.PATTERN) data.put("role", role);
        data.put("scrim", scrim);
        return data;
    }

    private static Ground read(Object data) {
        if (!(data instanceof Map<?, ?> map))
            throw new IllegalArgumentException("A surface’s “ground” must be an object.");
        Kind kind = Kind.byId(String.valueOf(map.get("kind")));
        String source = text(map, "source", "");
        if (kind == Kind.GRADIENT && source.startsWith("{") && source.endsWith("}"))
            source = source.substring(1, source.length() - 1);
        Ground usual = usual(kind, source);
        return new Ground(
                kind,
                source,
                text(map, "position", usual.position),
                text(map, "repeat", usual.repeat),
                text(map, "size", usual.size),
                Blend.byCss(text(map, "blend", usual.blend.css())),
                map.get("angle") instanceof Number angle ? angle.doubleValue() : usual.angle,
                text(map, "role", usual.role),
                !Boolean.FALSE.equals(map.get("scrim")));
    }

    private static String text(Map<?, ?> map, String field, String standard) {
        return map.get(field) == null ? standard : String.valueOf(map.get(field));
    }
}
