package org.umberloom.core.font;

import java.awt.geom.GeneralPath;
import java.io.IOException;
import java.util.BitSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.regex.Pattern;
import org.apache.fontbox.ttf.CmapLookup;
import org.apache.fontbox.ttf.HeaderTable;
import org.apache.fontbox.ttf.HorizontalHeaderTable;
import org.apache.fontbox.ttf.NamingTable;
import org.apache.fontbox.ttf.OS2WindowsMetricsTable;
import org.apache.fontbox.ttf.OTFParser;
import org.apache.fontbox.ttf.OpenTypeFont;
import org.apache.fontbox.ttf.PostScriptTable;
import org.apache.pdfbox.io.RandomAccessReadBuffer;

/**
 * One font as its file describes it. Lengths are in em. Source: OpenType 1.9.1, tables head, hhea, OS/2, name, post, fvar, GSUB.
 */
public final class FontFile {
    /** The first article of the Universal Declaration of Human Rights (United Nations, 1948): running text of which widths are told. */
    public static final String RUNNING =
            "All human beings are born free and equal in dignity and rights. They are endowed with reason and conscience and"
                    + " should act towards one another in a spirit of brotherhood.";

    /** Sizes that letters are drawn for. */
    private static final Pattern SIZES = Pattern.compile("( \\d+pt)+$");

    private static final Pattern ENDINGS = Pattern.compile(
            "(?i)([ -](\\d+pt|thin|hairline|(extra|ultra|semi|demi)[ -]?(light|bold|condensed|expanded)|light|regular|book|"
                    + "medium|bold|black|heavy|condensed|expanded|italic|oblique))+$");

    private static final int FAMILY = 1;
    private static final int SUBFAMILY = 2;
    private static final int LICENSE = 13;
    private static final int LICENSE_AT = 14;
    private static final int TYPOGRAPHIC_FAMILY = 16;
    private static final int ITALIC = 1;
    private static final int TYPOGRAPHIC_METRICS = 1 << 7;
    private static final int MOST_FEATURES = 2_000;
    private static final double USUAL_WIDTH = 100;
    private static final double[] WIDTHS = {50, 62.5, 75, 87.5, USUAL_WIDTH, 112.5, 125, 150, 200};

    /**
     * Lengths that lines of text are made of, in em.
     *
     * @param ascent  above the baseline
     * @param descent below it, positive
     * @param gap     between lines, besides
     */
    public record Metrics(double ascent, double descent, double gap, double xHeight, double capHeight) {}

    private final FontTables tables;
    private final Variations variations;
    private final Kerning kerning;
    private final Ligatures ligatures;
    private final CmapLookup characters;
    private final int[] widths;
    private final int unitsPerEm;
    private final Metrics metrics;
    private final BitSet coverage = new BitSet();
    private final String family;
    private final boolean typographic;
    private final String subfamily;
    private final Optional<String> license;
    private final Optional<String> licenseAt;
    private final Embedding embedding;
    private final boolean italic;
    private final int weight;
    private final double strokes;
    private final SortedSet<String> features;
    private final double stretch;
    private final String generic;

    private FontFile(FontTables tables) throws IOException {
        this.tables = tables;
        variations = Variations.of(tables);
        kerning = Kerning.of(tables);
        ligatures = Ligatures.of(tables);
        features = features(tables);
        try (OpenTypeFont font = new OTFParser().parse(new RandomAccessReadBuffer(tables.file()))) {
            HeaderTable head = font.getHeader();
            unitsPerEm = head.getUnitsPerEm();
            if (unitsPerEm < 16 || unitsPerEm > 16_384)
                throw new BadFont("it says that an em has " + unitsPerEm + " units; there are 16 to 16,384");
            OS2WindowsMetricsTable os2 = font.getOS2Windows();
            if (os2 == null) throw new BadFont("it has no part “OS/2”, which says its weight and how it may be used");
            NamingTable names = font.getNaming();
            typographic = first(names, TYPOGRAPHIC_FAMILY).isPresent();
            family = first(names, TYPOGRAPHIC_FAMILY)
                    .or(() -> first(names, FAMILY))
                    .orElseThrow(() -> new BadFont("it does not say its family’s name"));
            subfamily = first(names, SUBFAMILY).orElse("Regular");
            license = first(names, LICENSE);
            licenseAt = first(names, LICENSE_AT);
            embedding = Embedding.of(os2.getFsType());
            PostScriptTable post = font.getPostScript();
            italic = (os2.getFsSelection() & ITALIC) != 0
                    || (head.getMacStyle() & HeaderTable.MAC_STYLE_ITALIC) != 0
                    || post != null && post.getItalicAngle() != 0;
            weight = os2.getWeightClass();
            stretch = stretch(os2.getWidthClass());
            characters = font.getUnicodeCmapLookup(false);
            if (characters == null) throw new BadFont("it does not say which characters it has");
            widths = new int[font.getNumberOfGlyphs()];
            for (int glyph = 0; glyph < widths.length; glyph++) {
                widths[glyph] = font.getHorizontalMetrics().getAdvanceWidth(glyph);
                List<Integer> codes = glyph == 0 ? null : characters.getCharCodes(glyph);
                if (codes != null) codes.forEach(coverage::set);
            }
            strokes = Strokes.contrast(outline(font, characters.getGlyphId('o')));
            metrics = metrics(
                    font.getHorizontalHeader(),
                    os2,
                    top(os2.getHeight(), outline(font, characters.getGlyphId('x'))),
                    top(os2.getCapHeight(), outline(font, characters.getGlyphId('H'))));
            generic = Generic.of(
                    os2.getPanose(),
                    os2.getFamilyClass() >> Byte.SIZE,
                    post != null && post.getIsFixedPitch() != 0,
                    outline(font, characters.getGlyphId('H')));
        }
    }

    /** Any of the four forms of a font file. @throws BadFont that says what is wrong with it */
    public static FontFile read(byte[] file) {
        FontTables tables = FontTables.read(file);
        try {
            return new FontFile(tables);
        } catch (BadFont e) {
            throw e;
        } catch (IOException | RuntimeException | StackOverflowError e) {
            throw new BadFont("its parts do not fit together");
        }
    }

    /** How high a letter stands, in units: as the file says, or as it is drawn where an older file does not say. */
    private static double top(int said, Optional<GeneralPath> letter) {
        return said > 0 ? said : letter.map(one -> one.getBounds2D().getMaxY()).orElse(0.0);
    }

    private Metrics metrics(HorizontalHeaderTable hhea, OS2WindowsMetricsTable os2, double xHeight, double capHeight) {
        boolean typographic = (os2.getFsSelection() & TYPOGRAPHIC_METRICS) != 0
                || hhea.getAscender() == 0 && hhea.getDescender() == 0;
        double em = unitsPerEm;
        double ascent = typographic ? os2.getTypoAscender() : hhea.getAscender();
        double descent = typographic ? os2.getTypoDescender() : hhea.getDescender();
        double gap = typographic ? os2.getTypoLineGap() : hhea.getLineGap();
        return new Metrics(ascent / em, -descent / em, Math.max(0, gap) / em, xHeight / em, capHeight / em);
    }

    private static Optional<String> first(NamingTable names, int id) {
        return names == null
                ? Optional.empty()
                : names.getNameRecords().stream()
                        .filter(record -> record.getNameId() == id && record.getString() != null)
                        .max(java.util.Comparator.comparing(
                                record -> record.getPlatformId() == 3 && record.getLanguageId() == 0x409))
                        .map(record -> record.getString().strip())
                        .filter(text -> !text.isEmpty());
    }

    private static Optional<GeneralPath> outline(OpenTypeFont font, int glyph) throws IOException {
        if (glyph == 0) return Optional.empty();
        if (font.isPostScript() && font.getTableMap().containsKey("CFF "))
            return Optional.of(font.getCFF().getFont().getType2CharString(glyph).getPath());
        return Optional.ofNullable(font.getGlyph())
                .flatMap(glyphs -> {
                    try {
                        return Optional.ofNullable(glyphs.getGlyph(glyph));
                    } catch (IOException e) {
                        return Optional.empty();
                    }
                })
                .map(org.apache.fontbox.ttf.GlyphData::getPath);
    }

    private static SortedSet<String> features(FontTables tables) {
        SortedSet<String> features = new TreeSet<>();
        if (tables.table("GSUB").isEmpty()) return features;
        Bytes in = tables.reading("GSUB");
        in.skip(6);
        in.seek(in.u16());
        int count = in.u16();
        if (count > MOST_FEATURES) throw in.ended();
        for (int i = 0; i < count; i++) {
            features.add(in.tag());
            in.skip(2);
        }
        return features;
    }

    /** Percent of the usual width for one of nine classes. Source: OpenType 1.9.1, OS/2, usWidthClass. */
    private static double stretch(int widthClass) {
        return widthClass >= 1 && widthClass <= WIDTHS.length ? WIDTHS[widthClass - 1] : USUAL_WIDTH;
    }

    public FontTables tables() {
        return tables;
    }

    public String family() {
        return family;
    }

    /**
     * The name that all weights, widths and slopes of it share. Files without a typographic family’s name carry them at the
     * end of the family’s: “Figtree Light”, some also the size that they are drawn for. Source: OpenType 1.9.1, name, IDs 1,
     * 2, 16 and 17; common practice for the words.
     */
    public String commonFamily() {
        String common = (typographic ? SIZES : ENDINGS).matcher(family).replaceFirst("");
        return common.replaceAll("\\s+", " ").strip();
    }

    public String subfamily() {
        return subfamily;
    }

    public Optional<String> license() {
        return license;
    }

    public Optional<String> licenseAt() {
        return licenseAt;
    }

    public Embedding embedding() {
        return embedding;
    }

    public boolean italic() {
        return italic;
    }

    public Metrics metrics() {
        return metrics;
    }

    public int unitsPerEm() {
        return unitsPerEm;
    }

    public List<Axis> axes() {
        return variations.axes();
    }

    /** Tags of the substitutions that it offers, such as {@code tnum} for figures of one width. */
    public SortedSet<String> features() {
        return features;
    }

    /** The weights it has, 1 to 1000: a range where it varies, else one. */
    public int lightest() {
        return axis("wght").map(axis -> (int) Math.round(axis.least())).orElse(weight);
    }

    public int heaviest() {
        return axis("wght").map(axis -> (int) Math.round(axis.most())).orElse(weight);
    }

    /** How wide it can be set, in percent of its usual width, as CSS {@code font-stretch}: a range where it varies, else one. */
    public double narrowest() {
        return width().map(Axis::least).orElse(stretch);
    }

    public double widest() {
        return width().map(Axis::most).orElse(stretch);
    }

    public Optional<Axis> width() {
        return axis("wdth");
    }

    /** The generic family of CSS that is most like it. */
    public String generic() {
        return generic;
    }

    private Optional<Axis> axis(String tag) {
        return axes().stream().filter(axis -> axis.tag().equals(tag)).findFirst();
    }

    /** The thickest part of a round stroke by its thinnest, at least 1; 0 where that cannot be told. */
    public double strokeContrast() {
        return strokes;
    }

    /** The characters that it has, as code points. */
    public BitSet coverage() {
        return (BitSet) coverage.clone();
    }

    public boolean has(int codePoint) {
        return coverage.get(codePoint);
    }

    /**
     * A TTF or OTF file that does not vary, as this one is at one place on the axes; with outlines of CFF as it is.
     *
     * @param at in the axes' own units, by their tags; those not named stand as usual
     */
    public byte[] file(Map<String, Double> at) {
        return Instance.of(tables, variations.normalized(at), widths).file();
    }

    /** Tells how wide text is at one place on the axes. @param at in the axes' own units, by their tags */
    public Advances advances(Map<String, Double> at) {
        return new Advances(this, variations.normalized(at));
    }

    /** At a weight. */
    public Advances advances(int atWeight) {
        return advances(Map.of("wght", (double) atWeight));
    }

    /** In em; 0 for a character that it has not. */
    double advance(int codePoint, double[] where) {
        return advanceOf(glyph(codePoint), where);
    }

    /** The glyph of a character; 0 for one that it has not. */
    int glyph(int codePoint) {
        return characters.getGlyphId(codePoint);
    }

    /** Of a glyph, in em; 0 for the one that stands for what is missing. */
    double advanceOf(int glyph, double[] where) {
        if (glyph <= 0 || glyph >= widths.length) return 0;
        return (widths[glyph] + Math.round(variations.wider(glyph, where))) / (double) unitsPerEm;
    }

    /** How much closer two glyphs stand than their widths say, in em, negative. */
    double kerning(int first, int second, double[] where) {
        return kerning == Kerning.NONE ? 0 : kerning.of(first, second, variations, where) / unitsPerEm;
    }

    Ligatures ligatures() {
        return ligatures;
    }

    @Override
    public String toString() {
        return String.format(Locale.ROOT, "%s %s", family, subfamily);
    }
}
