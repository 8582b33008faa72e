package org.umberloom.kit.picture;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.awt.Font;
import java.awt.FontFormatException;
import java.awt.Graphics2D;
import java.awt.font.FontRenderContext;
import java.awt.font.TextAttribute;
import java.awt.font.TextLayout;
import java.awt.font.TextMeasurer;
import java.awt.geom.AffineTransform;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.text.AttributedString;
import java.text.BreakIterator;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import org.umberloom.core.font.Cut;
import org.umberloom.kit.font.FontCatalog;
import org.umberloom.kit.font.FontFiles;

/** Text drawn in the very fonts that pages are set in, broken into lines and shaped as its script asks for. */
public final class Lettering {
    private static final int MOST_FONTS = 48;
    /** Whole outlines, wherever they begin. */
    private static final FontRenderContext EXACT = new FontRenderContext(null, true, true);

    private static final Pattern APOSTROPHE = Pattern.compile("(?<=\\p{L})’(?=\\p{L})");

    /** By file and cut: a font is made once, since the platform keeps a file for each. */
    private static final Cache<String, Font> FONTS =
            Caffeine.newBuilder().maximumSize(MOST_FONTS).build();

    /**
     * How letters are set.
     *
     * @param tracking between letters, in em
     * @param line     height of a line, by the size of the letters
     */
    public record Setting(Cut cut, boolean italic, double tracking, double line) {}

    /** Lines of a text at one size, px. */
    public static final class Lines {
        private final List<TextLayout> layouts;
        private final double height;
        private final boolean rightToLeft;

        private Lines(List<TextLayout> layouts, double height, boolean rightToLeft) {
            this.layouts = layouts;
            this.height = height;
            this.rightToLeft = rightToLeft;
        }

        public int count() {
            return layouts.size();
        }

        public double height() {
            return layouts.size() * height;
        }

        public double width() {
            return layouts.stream()
                    .mapToDouble(TextLayout::getVisibleAdvance)
                    .max()
                    .orElse(0);
        }

        /** @param start where lines begin: their left end, or their right one where they are read from there */
        public void draw(Graphics2D graphics, double start, double top) {
            double y = top;
            for (TextLayout layout : layouts) {
                double leading = height - layout.getAscent() - layout.getDescent();
                double x = rightToLeft ? start - layout.getVisibleAdvance() : start;
                graphics.fill(layout.getOutline(
                        AffineTransform.getTranslateInstance(x, y + leading / 2 + layout.getAscent())));
                y += height;
            }
        }
    }

    private final FontFiles files;

    public Lettering(FontFiles files) {
        this.files = files;
    }

    /**
     * A text in lines.
     *
     * @param size of the letters, px
     * @param room width of the lines, px
     * @return none where no family of the stack has some character of it
     */
    public Optional<Lines> lines(String text, Setting setting, double size, double room, boolean rightToLeft) {
        AttributedString set = new AttributedString(text);
        set.addAttribute(TextAttribute.RUN_DIRECTION, rightToLeft);
        Font before = null;
        for (int at = 0; at < text.length(); at += Character.charCount(text.codePointAt(at))) {
            int character = text.codePointAt(at);
            Optional<Font> font = font(character, setting, size);
            // Spaces and joiners go with what they stand between.
            boolean letter = !Character.isWhitespace(character) && Character.getType(character) != Character.FORMAT;
            if (font.isEmpty() && letter) return Optional.empty();
            before = letter || before == null ? font.orElse(before) : before;
            if (before != null) set.addAttribute(TextAttribute.FONT, before, at, at + Character.charCount(character));
        }
        return Optional.of(new Lines(broken(text, set, room), size * setting.line(), rightToLeft));
    }

    private static List<TextLayout> broken(String text, AttributedString set, double room) {
        BreakIterator breaks = BreakIterator.getLineInstance(Locale.ROOT);
        // The apostrophe in a word is no quotation mark, after which a line may end.
        breaks.setText(APOSTROPHE.matcher(text).replaceAll("x"));
        TextMeasurer measurer = new TextMeasurer(set.getIterator(), EXACT);
        List<TextLayout> layouts = new ArrayList<>();
        for (int at = 0; at < text.length(); ) {
            int most = measurer.getLineBreakIndex(at, (float) room);
            // A space may hang over the end of a line.
            while (most < text.length() && Character.isWhitespace(text.charAt(most))) most++;
            int end = most == text.length() || breaks.isBoundary(most) ? most : breaks.preceding(most);
            if (end <= at) end = Math.max(at + 1, most);
            layouts.add(measurer.getLayout(at, end));
            at = end;
        }
        return layouts;
    }

    private Optional<Font> font(int character, Setting setting, double size) {
        return files.drawing(character, setting.cut(), setting.italic())
                .map(part -> FONTS.get(part.file() + setting.cut().axes(), key -> made(part, setting.cut()))
                        .deriveFont((float) size)
                        .deriveFont(Map.of(
                                TextAttribute.KERNING,
                                TextAttribute.KERNING_ON,
                                TextAttribute.LIGATURES,
                                TextAttribute.LIGATURES_ON,
                                TextAttribute.TRACKING,
                                (float) setting.tracking())));
    }

    private Font made(FontCatalog.FontPart part, Cut cut) {
        try {
            return Font.createFont(Font.TRUETYPE_FONT, new ByteArrayInputStream(files.fixed(part, cut)));
        } catch (FontFormatException e) {
            throw new IllegalArgumentException("The font file " + part.file() + " cannot be drawn with.", e);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
