package org.umberloom.kit;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.umberloom.core.color.Color;
import org.umberloom.core.contract.Worn;
import org.umberloom.core.page.SiteIcons;
import org.umberloom.core.site.SchemePolicy;
import org.umberloom.core.site.SiteDocument;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Meaning;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Fingerprint;
import org.umberloom.kit.picture.DrawnSquares;

/** What browsers show of sites outside their pages, drawn in all sizes that they ask for; each once while it stays the same. */
public final class SiteSquares {
    private static final int MOST_SITES = 64;
    private static final Color WHITE = Color.rgb(255, 255, 255);

    private final Cache<String, Map<String, byte[]>> made =
            Caffeine.newBuilder().maximumSize(MOST_SITES).build();

    /** What heads of pages say of them; none for a site without an icon. @param theme as the site wears it */
    public static Optional<SiteIcons> of(SiteDocument site, ThemeDocument theme) {
        String picture = site.plate().icon();
        if (picture.isEmpty()) return Optional.empty();
        Optional<Meaning.Scheme> scheme = Meaning.scheme(theme);
        Combination look = look(site, theme);
        return Optional.of(new SiteIcons(
                site.name(),
                picture,
                picture.endsWith(".svg"),
                ground(theme, look),
                scheme.filter(one -> site.scheme() == SchemePolicy.READER)
                        .map(one -> ground(theme, look.with(one.modifier(), one.dark())))));
    }

    /** The look that a site itself stands in; in the light, where its readers choose. */
    static Combination look(SiteDocument site, ThemeDocument theme) {
        Combination look = new Combination(site.look()).completedFor(theme);
        boolean dark = site.scheme() == SchemePolicy.DARK;
        return Meaning.scheme(theme)
                .map(one -> look.with(one.modifier(), dark ? one.dark() : one.light()))
                .orElse(look);
    }

    private static Color ground(ThemeDocument theme, Combination look) {
        return Worn.of(Resolution.of(theme, look))
                .color(Surfaces.path(Surfaces.PAGE, "ground"))
                .orElse(WHITE);
    }

    /** @throws IllegalArgumentException where a picture cannot be made an icon of */
    public static void mustBeDrawn(SitePicture picture) {
        try {
            new DrawnSquares(picture.content(), picture.mediaType())
                    .png(SiteIcons.TAB_SIZES.get(0), 1, Optional.empty());
        } catch (IllegalArgumentException e) {
            throw new IllegalArgumentException(
                    "“" + picture.name()
                            + "” cannot be the icon: it cannot be drawn in the sizes that browsers ask for. "
                            + "The nameplate stays as it was. Choose a PNG picture, or save the drawing with plain shapes.",
                    e);
        }
    }

    /**
     * Every file by its name, to lie in {@link SiteIcons#FOLDER}; none for a site without an icon, or with one that cannot be drawn.
     *
     * @param theme    as the site wears it
     * @param pictures those on its shelf, by their names
     */
    public Map<String, byte[]> files(
            SiteDocument site, ThemeDocument theme, Function<String, Optional<SitePicture>> pictures) {
        return of(site, theme)
                .flatMap(icons -> pictures.apply(icons.picture()).map(picture -> files(icons, picture)))
                .orElse(Map.of());
    }

    private Map<String, byte[]> files(SiteIcons icons, SitePicture picture) {
        String key = Fingerprint.of(picture.content()) + icons.light().hex() + icons.manifest();
        return made.get(key, seen -> make(icons, picture));
    }

    private static Map<String, byte[]> make(SiteIcons icons, SitePicture picture) {
        try {
            return drawn(icons, picture);
        } catch (IllegalArgumentException undrawn) {
            // It came with a site from elsewhere; everything else of that site goes out.
            return Map.of();
        }
    }

    private static Map<String, byte[]> drawn(SiteIcons icons, SitePicture picture) {
        DrawnSquares squares = new DrawnSquares(picture.content(), picture.mediaType());
        Map<String, byte[]> files = new LinkedHashMap<>();
        files.put(SiteIcons.TAB, squares.ico(SiteIcons.TAB_SIZES));
        files.put(SiteIcons.TOUCH, squares.png(SiteIcons.TOUCH_SIZE, SiteIcons.SAFE, Optional.of(icons.light())));
        for (int size : SiteIcons.SIZES) files.put(SiteIcons.file(size), squares.png(size, 1, Optional.empty()));
        files.put(SiteIcons.MASKABLE, squares.png(SiteIcons.MASKABLE_SIZE, SiteIcons.SAFE, Optional.of(icons.light())));
        files.put(SiteIcons.MANIFEST, icons.manifest().getBytes(StandardCharsets.UTF_8));
        return files;
    }
}
