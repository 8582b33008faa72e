package org.umberloom.core.contract;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.umberloom.core.color.Color;
import org.umberloom.core.color.Contrast;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Resolved;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.TypographyValue;

/**
 * What every role of the contract comes to in one combination of a theme. A role without a token stands on its fallback. On
 * a further surface it does so as long as that surface sets something that the fallback speaks of; else it is as on the page.
 */
public final class Worn {
    private static final Color WHITE = Color.rgb(255, 255, 255);
    private static final Color BLACK = Color.rgb(0, 0, 0);

    /**
     * A role, on a surface where it is of surfaces.
     *
     * @param path  of its token, whether it has one or not
     * @param token its own token; none for a role that is unset
     * @param on    path of the role that an unset one stands on; none where it stands on a value
     * @param value what it comes to
     */
    public record Standing(String path, Role role, Optional<Resolved> token, Optional<String> on, TokenValue value) {
        public boolean unset() {
            return token.isEmpty();
        }
    }

    private final Contract contract;
    private final Resolution resolution;
    private final List<String> surfaces = new ArrayList<>();
    private final Map<String, Standing> standings = new LinkedHashMap<>();
    private final Map<String, Boolean> speaks = new HashMap<>();

    private Worn(Contract contract, Resolution resolution) {
        this.contract = contract;
        this.resolution = resolution;
        surfaces.add(Surfaces.PAGE);
        for (String name : Surfaces.names(resolution)) if (!name.equals(Surfaces.PAGE)) surfaces.add(name);
    }

    public static Worn of(Resolution resolution) {
        return of(Contract.standard(), resolution);
    }

    static Worn of(Contract contract, Resolution resolution) {
        return new Worn(contract, resolution);
    }

    /** The page first, then the others that the theme has, in its order. */
    public List<String> surfaces() {
        return List.copyOf(surfaces);
    }

    /** Every role, on every surface where it is of surfaces. */
    public List<Standing> all() {
        List<Standing> all = new ArrayList<>();
        for (String surface : surfaces)
            for (Role role : contract.roles().values()) if (role.ofSurfaces()) all.add(at(role, surface));
        for (Role role : contract.roles().values()) if (!role.ofSurfaces()) all.add(at(role, Surfaces.PAGE));
        return all;
    }

    /** @param surface counts for a role of surfaces only */
    public Standing at(Role role, String surface) {
        String path = role.on(surface);
        Standing known = standings.get(path);
        if (known != null) return known;
        Standing standing = stand(role, surface, path);
        standings.put(path, standing);
        return standing;
    }

    /** A text style as it is written, with its references; one that is unset as what it stands on, with its own members. */
    public TypographyValue asWritten(Role role) {
        Optional<Resolved> own = own(role, role.path());
        if (own.isPresent())
            return own.get().written().value() instanceof TypographyValue style
                    ? style
                    : (TypographyValue) own.get().value();
        Fallback.Style style = (Fallback.Style) role.fallback();
        Map<String, TokenValue> parts = new LinkedHashMap<>(
                style.path().map(path -> asWritten(contract.role(path)).parts()).orElse(Map.of()));
        parts.putAll(style.own());
        return TypographyValue.of(parts);
    }

    /** The role whose token would stand at a path, if the contract has one and the theme that surface. */
    public Optional<Standing> find(String path) {
        return contract.filledBy(path).flatMap(role -> {
            String surface = role.ofSurfaces() ? path.split("\\.", 3)[1] : Surfaces.PAGE;
            return role.ofSurfaces() && !surfaces.contains(surface) ? Optional.empty() : Optional.of(at(role, surface));
        });
    }

    /** The color of a role, by its path on a surface. */
    public Optional<Color> color(String path) {
        return find(path)
                .map(Standing::value)
                .filter(ColorValue.class::isInstance)
                .map(value -> ((ColorValue) value).color());
    }

    private Standing stand(Role role, String surface, String path) {
        Optional<Resolved> own = own(role, path);
        if (own.isPresent())
            return new Standing(path, role, own, Optional.empty(), own.get().value());
        if (role.ofSurfaces() && !surface.equals(Surfaces.PAGE) && !speaks(role, surface)) {
            Standing page = at(role, Surfaces.PAGE);
            return new Standing(path, role, Optional.empty(), Optional.of(page.path()), page.value());
        }
        if (role.fallback() instanceof Fallback.ToRole to) {
            Standing general = at(contract.role(to.path()), surface);
            return new Standing(path, role, Optional.empty(), Optional.of(general.path()), general.value());
        }
        if (role.fallback() instanceof Fallback.Style style) {
            Optional<Standing> general = style.path().map(to -> at(contract.role(to), surface));
            return new Standing(path, role, Optional.empty(), general.map(Standing::path), style(style, general));
        }
        if (role.fallback() instanceof Fallback.Readable readable) return readable(role, path, readable, surface);
        return new Standing(
                path, role, Optional.empty(), Optional.empty(), ((Fallback.Literal) role.fallback()).value());
    }

    private Optional<Resolved> own(Role role, String path) {
        return Optional.ofNullable(resolution.tokens().get(TokenPath.of(path)))
                .filter(token -> token.type() == role.type());
    }

    /** Whether a surface sets something that a role's fallback speaks of. */
    private boolean speaks(Role role, String surface) {
        String key = role.on(surface);
        Boolean known = speaks.get(key);
        if (known != null) return known;
        boolean found = false;
        for (String path : contract.mentioned(role)) {
            Role mentioned = contract.role(path);
            found |= own(mentioned, mentioned.on(surface)).isPresent() || speaks(mentioned, surface);
        }
        speaks.put(key, found);
        return found;
    }

    private static TokenValue style(Fallback.Style style, Optional<Standing> general) {
        Map<String, TokenValue> parts =
                new LinkedHashMap<>(general.map(standing -> ((TypographyValue) standing.value()).parts())
                        .orElse(Map.of()));
        parts.putAll(style.own());
        return TypographyValue.of(parts);
    }

    private Standing readable(Role role, String path, Fallback.Readable readable, String surface) {
        Color ground = ((ColorValue) at(contract.role(readable.on()), surface).value()).color();
        Optional<Standing> preferred = readable.preferred().map(to -> at(contract.role(to), surface));
        Optional<Color> color =
                readable.color().or(() -> preferred.map(standing -> ((ColorValue) standing.value()).color()));
        if (color.isPresent() && Contrast.ratio(color.get(), ground) >= readable.ratio())
            return new Standing(
                    path, role, Optional.empty(), preferred.map(Standing::path), new ColorValue(color.get()));
        Color end = Contrast.ratio(BLACK, ground) >= Contrast.ratio(WHITE, ground) ? BLACK : WHITE;
        return new Standing(path, role, Optional.empty(), Optional.empty(), new ColorValue(end));
    }
}
