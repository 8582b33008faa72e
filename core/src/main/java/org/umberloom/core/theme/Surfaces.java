package org.umberloom.core.theme;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.TokenPath;

/** The surfaces of a theme: the groups {@code surface.NAME}, each a bundle of color roles. */
public final class Surfaces {
    /** First segment of every surface role's path. */
    public static final String GROUP = "surface";
    /** The surface the whole page stands on. */
    public static final String PAGE = "page";

    /** The field of a group’s extensions that says what is chosen there, which can be a surface by its path. */
    public static final String CHOSEN = "choice";

    /** Roles that tell how something stands, and the hues that a starter grows for them. */
    public static final List<String> STATES = List.of("good", "warning", "bad");

    private Surfaces() {}

    /** Names in document order. */
    public static List<String> names(Resolution resolution) {
        Set<String> names = new LinkedHashSet<>();
        for (TokenPath path : resolution.tokens().keySet()) {
            String dotted = path.dotted();
            if (!dotted.startsWith(GROUP + ".")) continue;
            int end = dotted.indexOf('.', GROUP.length() + 1);
            if (end > 0) names.add(dotted.substring(GROUP.length() + 1, end));
        }
        return List.copyOf(names);
    }

    /** Those that some set or context of a theme names, whatever the combination. */
    public static List<String> names(ThemeDocument theme) {
        Set<String> names = new LinkedHashSet<>();
        for (Place place : theme.places())
            theme.at(place).group(TokenPath.of(GROUP)).ifPresent(group -> group.children()
                    .forEach((name, node) -> {
                        if (node instanceof Group) names.add(name);
                    }));
        return List.copyOf(names);
    }

    /** The path of a role on a surface. */
    public static String path(String surface, String role) {
        return GROUP + "." + surface + "." + role;
    }
}
