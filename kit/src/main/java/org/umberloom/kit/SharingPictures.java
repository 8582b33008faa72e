package org.umberloom.kit;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import javax.imageio.ImageIO;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.umberloom.core.color.Color;
import org.umberloom.core.color.Contrast;
import org.umberloom.core.contract.Choices;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.contract.Worn;
import org.umberloom.core.font.Cut;
import org.umberloom.core.page.Sharing;
import org.umberloom.core.page.StandsOn;
import org.umberloom.core.site.SiteDocument;
import org.umberloom.core.site.SitePage;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Fingerprint;
import org.umberloom.core.token.FluidValue;
import org.umberloom.core.token.Manner;
import org.umberloom.core.token.NumberValue;
import org.umberloom.core.token.TypographyValue;
import org.umberloom.kit.font.FontFiles;
import org.umberloom.kit.picture.DrawnSquares;
import org.umberloom.kit.picture.Lettering;

/**
 * The pictures that stand for pages where they are shared: the title in the theme's letters and colors, on the surface that the page
 * opens with, under the name of the site.
 */
public final class SharingPictures {
    private static final int MOST_KEPT = 256;
    private static final int MARGIN = 80;
    private static final int EDGE = 24;
    private static final int LOGO = 72;
    private static final int AFTER_LOGO = 20;
    private static final double NAME = 40;
    private static final double TAGLINE = 30;
    private static final int AIR = 16;
    private static final int MOST_LINES = 4;
    private static final double NARROWER = 0.04;
    /** The title is as large as its words let it be, px. */
    private static final List<Double> TITLE = List.of(116.0, 100.0, 88.0, 76.0, 64.0, 54.0);
    /** Relative luminance below which white is seen better than black: sqrt(1.05 · 0.05) − 0.05, from the contrast ratio of WCAG 2.2. */
    private static final double DARK = 0.179;

    /** Of which lengths in windows are taken. */
    private static final double DESK = 1280;

    private final Cache<String, byte[]> made =
            Caffeine.newBuilder().maximumSize(MOST_KEPT).build();

    /**
     * What is drawn.
     *
     * @param name     of the site; empty where that is the title
     * @param under    a smaller line, under the name or under the title
     * @param surface  that it stands on
     * @param backward whether it is read from the right
     */
    private record Words(String title, String name, String under, String surface, boolean backward) {
        static Words of(SiteDocument site, String title, Document page, boolean whole) {
            String surface = Optional.ofNullable(page.selectFirst("main > :first-child[data-surface]"))
                    .map(opening -> opening.attr("data-surface"))
                    .orElse(Surfaces.PAGE);
            Element root = page.selectFirst("html");
            boolean backward = root != null && root.attr("dir").equals("rtl");
            return whole
                    ? new Words(site.name(), "", site.plate().tagline(), surface, backward)
                    : new Words(title, site.name(), site.plate().tagline(), surface, backward);
        }
    }

    /**
     * As PNG.
     *
     * @param theme    as the site wears it
     * @param page     whose picture it is; of the site as a whole, its first one, whose surface that takes
     * @param whole    whether it is that of the site
     * @param pictures those on the site's shelf, by their names
     * @return none where the fonts of the theme have not all of its letters
     */
    public Optional<byte[]> png(
            FontFiles files,
            SiteDocument site,
            ThemeDocument theme,
            SitePage page,
            boolean whole,
            Function<String, Optional<SitePicture>> pictures) {
        Combination look = SiteSquares.look(site, theme).at(page.reaching(site.slug()));
        String html = StandsOn.in(page.html(), Choices.of(theme, look));
        Words words = Words.of(site, page.title(), Jsoup.parse(html), whole);
        Worn worn = Worn.of(Resolution.of(theme, look));
        Drawing drawing = new Drawing(files, worn, words, logo(site, worn, words, pictures));
        byte[] known = made.get(drawing.key(), key -> drawing.png().orElse(new byte[0]));
        return known.length == 0 ? Optional.empty() : Optional.of(known);
    }

    /** The logo for such a ground. */
    private static Optional<SitePicture> logo(
            SiteDocument site, Worn worn, Words words, Function<String, Optional<SitePicture>> pictures) {
        boolean dark = Contrast.luminance(color(worn, words.surface, "ground")) < DARK;
        String name = dark && !site.plate().logoDark().isEmpty()
                ? site.plate().logoDark()
                : site.plate().logo();
        return name.isEmpty() ? Optional.empty() : pictures.apply(name);
    }

    private static Color color(Worn worn, String surface, String role) {
        return worn.color(Surfaces.path(worn.surfaces().contains(surface) ? surface : Surfaces.PAGE, role))
                .orElseThrow();
    }

    /** One picture, with all that it is made of. */
    private record Drawing(FontFiles files, Worn worn, Words words, Optional<SitePicture> logo) {
        private Lettering.Setting setting(String style) {
            TypographyValue value = (TypographyValue)
                    worn.at(Contract.standard().role(style), Surfaces.PAGE).value();
            double size = FluidValue.pxAt(value.fontSize(), DESK);
            double line = value.lineHeight() instanceof NumberValue times ? times.number() : 1.2;
            return new Lettering.Setting(
                    Cut.of(value).orElseThrow(),
                    manner(value, Manner.SLOPE).equals("italic"),
                    size > 0 ? FluidValue.pxAt(value.letterSpacing(), DESK) / size : 0,
                    line);
        }

        private static String manner(TypographyValue style, Manner manner) {
            return style.manner().containsKey(manner)
                    ? style.manner().get(manner).css()
                    : "";
        }

        private String cased(String style, String text) {
            TypographyValue value = (TypographyValue)
                    worn.at(Contract.standard().role(style), Surfaces.PAGE).value();
            return switch (manner(value, Manner.CASE)) {
                case "uppercase" -> text.toUpperCase(Locale.ROOT);
                case "lowercase" -> text.toLowerCase(Locale.ROOT);
                default -> text;
            };
        }

        /** Everything that it depends on. */
        String key() {
            StringBuilder said = new StringBuilder(words.toString());
            for (String role : List.of("ground", "heading", "muted", "accent"))
                said.append(color(worn, words.surface, role).hex());
            for (String style : List.of("type.h1", "type.wordmark", "type.tagline"))
                said.append(setting(style)).append(cased(style, "aA"));
            logo.ifPresent(one -> said.append(Fingerprint.of(one.content())));
            return said.toString();
        }

        Optional<byte[]> png() {
            BufferedImage picture = new BufferedImage(Sharing.WIDTH, Sharing.HEIGHT, BufferedImage.TYPE_INT_RGB);
            Graphics2D graphics = picture.createGraphics();
            try {
                graphics.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
                graphics.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
                graphics.setRenderingHint(
                        RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
                if (!draw(graphics)) return Optional.empty();
            } finally {
                graphics.dispose();
            }
            try (ByteArrayOutputStream out = new ByteArrayOutputStream()) {
                ImageIO.write(picture, "png", out);
                return Optional.of(out.toByteArray());
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }

        private boolean draw(Graphics2D graphics) {
            Lettering letters = new Lettering(files);
            boolean back = words.backward;
            double room = Sharing.WIDTH - EDGE - 2.0 * MARGIN;
            double start = back ? Sharing.WIDTH - EDGE - MARGIN : EDGE + MARGIN;
            paint(graphics, "ground");
            graphics.fillRect(0, 0, Sharing.WIDTH, Sharing.HEIGHT);
            paint(graphics, "accent");
            graphics.fillRect(back ? Sharing.WIDTH - EDGE : 0, 0, EDGE, Sharing.HEIGHT);

            double beside = start;
            if (logo.isPresent()) beside = placed(graphics, logo.get(), start, back);
            String above = words.name.isEmpty() ? "" : cased("type.wordmark", words.name);
            Optional<Lettering.Lines> name =
                    letters.lines(above.isEmpty() ? " " : above, setting("type.wordmark"), NAME, room, back);
            Optional<Lettering.Lines> under = letters.lines(
                    words.under.isEmpty() ? " " : cased("type.tagline", words.under),
                    setting("type.tagline"),
                    TAGLINE,
                    room,
                    back);
            Optional<Lettering.Lines> title = title(letters, room, back);
            if (name.isEmpty() || under.isEmpty() || title.isEmpty()) return false;
            paint(graphics, "heading");
            if (!above.isEmpty())
                name.get().draw(graphics, beside, MARGIN + (LOGO - name.get().height()) / 2);
            double bottom = Sharing.HEIGHT
                    - MARGIN
                    - (words.under.isEmpty() ? 0 : under.get().height());
            double air = words.under.isEmpty() ? 0 : AIR;
            title.get().draw(graphics, start, bottom - air - title.get().height());
            paint(graphics, "muted");
            if (!words.under.isEmpty()) under.get().draw(graphics, start, bottom);
            return true;
        }

        /** As large as it can be in as many lines as there is room for. */
        private Optional<Lettering.Lines> title(Lettering letters, double room, boolean back) {
            Optional<Lettering.Lines> lines = Optional.empty();
            for (double size : TITLE) {
                lines = letters.lines(cased("type.h1", words.title), setting("type.h1"), size, room, back);
                if (lines.isEmpty()) return lines;
                boolean fits = lines.get().count() <= MOST_LINES
                        && lines.get().height() <= Sharing.HEIGHT - 2.0 * MARGIN - LOGO - TAGLINE * 2
                        && lines.get().width() <= room;
                if (fits && (lines.get().count() <= 2 || size <= TITLE.get(2)))
                    return balanced(letters, size, room, lines.get().count(), back);
            }
            return lines;
        }

        /** In no more lines, of lengths as alike as they can be. */
        private Optional<Lettering.Lines> balanced(
                Lettering letters, double size, double room, int count, boolean back) {
            Optional<Lettering.Lines> best = Optional.empty();
            for (double share = 1; share >= 1.0 / count; share -= NARROWER) {
                Optional<Lettering.Lines> lines =
                        letters.lines(cased("type.h1", words.title), setting("type.h1"), size, room * share, back);
                if (best.isPresent()
                        && lines.filter(one -> one.count() == count).isEmpty()) break;
                best = lines;
            }
            return best;
        }

        /** @return where what stands beside it begins */
        private static double placed(Graphics2D graphics, SitePicture logo, double start, boolean back) {
            try {
                BufferedImage drawn = ImageIO.read(new java.io.ByteArrayInputStream(
                        new DrawnSquares(logo.content(), logo.mediaType()).png(2 * LOGO, 1, Optional.empty())));
                int x = (int) Math.round(back ? start - LOGO : start);
                graphics.drawImage(drawn, x, MARGIN, LOGO, LOGO, null);
                return back ? start - LOGO - AFTER_LOGO : start + LOGO + AFTER_LOGO;
            } catch (IOException | IllegalArgumentException undrawn) {
                // What cannot be drawn is left out; the name says what it would.
                return start;
            }
        }

        private void paint(Graphics2D graphics, String role) {
            graphics.setPaint(java.awt.Color.decode(
                    color(worn, words.surface, role).toSrgb8().hex()));
        }
    }
}
