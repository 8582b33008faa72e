package org.umberloom.kit.font;

import java.util.BitSet;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.stream.Stream;
import org.umberloom.core.font.Advances;
import org.umberloom.core.font.Cut;
import org.umberloom.core.font.Families;
import org.umberloom.core.font.Features;
import org.umberloom.core.font.FontFile;
import org.umberloom.core.font.Likeness;
import org.umberloom.core.font.Matching;
import org.umberloom.core.font.Pairing;
import org.umberloom.core.font.StandIn;

/** What the files of the families of a catalog say. They are read when first asked for; what is small of them is kept. */
public final class FontFiles implements Families {
    private static final FontFiles SHIPPED = new FontFiles(FontCatalog.shipped(), new Known());

    /** As many as four bays with three families each. */
    private static final int MOST_OPEN = 12;

    private static final String TABULAR = "tnum";
    private static final String SMALL_CAPITALS = "smcp";

    /**
     * A family as its files are, for people who choose.
     *
     * @param lightest   weight, 1 to 1000
     * @param heaviest   weight, 1 to 1000
     * @param weights    of its files, the lightest of each
     * @param xHeight    of small letters, in em
     * @param capHeight  of capitals, in em
     * @param width      of a character of running text, in em
     * @param contrast   of thick strokes to thin ones, at least 1; 0 where that cannot be told
     * @param italics    whether it has letters of their own for them
     * @param tabular    whether its figures can be of one width
     * @param bytes      that a page of English loads for it, upright
     * @param alphabet   how many characters it has in all its upright files
     */
    public record FamilyFacts(
            String name,
            String kind,
            String generic,
            String license,
            String licenseFile,
            int lightest,
            int heaviest,
            List<Integer> weights,
            boolean varies,
            double xHeight,
            double capHeight,
            double width,
            double contrast,
            boolean italics,
            boolean tabular,
            boolean smallCapitals,
            int bytes,
            int alphabet,
            String rights,
            boolean travels,
            List<FontCatalog.FontPart> files,
            List<Features.Feature> features,
            double narrowest,
            double widest) {
        private Likeness likeness() {
            return new Likeness(xHeight, width, contrast);
        }

        private Pairing.Candidate candidate() {
            return new Pairing.Candidate(name, kind, generic, xHeight);
        }
    }

    /** What is known of files, by their names, whose contents never change. */
    private static final class Known {
        private final Map<String, Double> means = new ConcurrentHashMap<>();
        private final Map<String, List<StandIn>> standIns = new ConcurrentHashMap<>();
        private final Map<FontCatalog.Family, FamilyFacts> facts = new ConcurrentHashMap<>();
        private final Map<FontCatalog.Family, BitSet> coverage = new ConcurrentHashMap<>();
        private final Map<String, FontFile> open = new LinkedHashMap<>(16, 0.75f, true) {
            private static final long serialVersionUID = 1;

            @Override
            protected boolean removeEldestEntry(Map.Entry<String, FontFile> eldest) {
                return size() > MOST_OPEN;
            }
        };
    }

    private final FontCatalog catalog;
    private final Known known;

    private FontFiles(FontCatalog catalog, Known known) {
        this.catalog = catalog;
        this.known = known;
    }

    /** Of these families alone. @param content of their files, by name */
    public static FontFiles of(List<FontCatalog.Family> families, Function<String, byte[]> content) {
        return new FontFiles(FontCatalog.EMPTY.with(families, content), new Known());
    }

    /** Those of the families that ship. */
    public static FontFiles shipped() {
        return SHIPPED;
    }

    /** These and others, which lead. @param content of their files, by name */
    public FontFiles with(List<FontCatalog.Family> others, Function<String, byte[]> content) {
        return new FontFiles(catalog.with(others, content), known);
    }

    public FontCatalog catalog() {
        return catalog;
    }

    @Override
    public Optional<Weights> weights(String family) {
        return catalog.find(family).map(FontCatalog.Family::weights);
    }

    @Override
    public OptionalDouble mean(Cut cut) {
        return upright(cut)
                .mapToDouble(part -> known.means.computeIfAbsent(
                        part.file() + cut.axes(),
                        key -> open(part).advances(cut.axes()).mean(FontFile.RUNNING)))
                .findFirst();
    }

    /** How wide the letters of the first family that is known are. */
    public Optional<Advances> advances(Cut cut) {
        return upright(cut).map(part -> open(part).advances(cut.axes())).findFirst();
    }

    /** The file that the first family that is known is set in. */
    private Stream<FontCatalog.FontPart> upright(Cut cut) {
        return cut.stack().stream()
                .flatMap(name -> catalog.find(name).stream())
                .limit(1)
                .map(family -> family.upright(cut));
    }

    /**
     * A file that draws a character in a cut, in the first family of its stack that has it; none where none has.
     *
     * @param italic whether slanted letters are asked for, where the family has them
     */
    public Optional<FontCatalog.FontPart> drawing(int codePoint, Cut cut, boolean italic) {
        BitSet wanted = new BitSet();
        wanted.set(codePoint);
        return cut.stack().stream()
                .flatMap(name -> catalog.find(name).stream())
                .flatMap(family -> Stream.of(italic, false)
                        .distinct()
                        .flatMap(slanted -> Matching.of(
                                cut,
                                family.files().stream()
                                        .filter(part -> part.italic() == slanted
                                                && part.serves(wanted)
                                                && open(part).has(codePoint))
                                        .map(part -> Matching.Range.of(part, part.stretch(), part.weights()))
                                        .toList())
                                .stream()))
                .findFirst();
    }

    /** A file as a font that does not vary, in a cut. */
    public byte[] fixed(FontCatalog.FontPart part, Cut cut) {
        return open(part).file(cut.axes());
    }

    /** Which characters the first family of a stack has upright, by code points; none where it is not known. */
    public Optional<BitSet> coverage(List<String> stack) {
        return stack.stream()
                .limit(1)
                .flatMap(name -> catalog.find(name).stream())
                .findFirst()
                .map(family -> known.coverage.computeIfAbsent(family, this::covered));
    }

    /** Names of the families that have every character of a text upright. */
    public List<String> covering(String text) {
        return catalog.families().stream()
                .map(FontCatalog.Family::name)
                .filter(name -> coverage(List.of(name))
                        .filter(has -> text.codePoints().allMatch(has::get))
                        .isPresent())
                .toList();
    }

    private BitSet covered(FontCatalog.Family family) {
        BitSet all = new BitSet();
        for (FontCatalog.FontPart part : family.files())
            if (!part.italic()) all.or(FontFile.read(catalog.read(part.file())).coverage());
        return all;
    }

    /** Of every family, in the order in which they are offered. */
    public List<FamilyFacts> facts() {
        return catalog.families().stream()
                .map(family -> known.facts.computeIfAbsent(family, this::read))
                .toList();
    }

    /** The same, those most like a family first; that one itself leads. */
    public List<FamilyFacts> alike(String name) {
        Optional<FamilyFacts> to =
                facts().stream().filter(one -> one.name().equals(name)).findFirst();
        if (to.isEmpty()) return facts();
        Likeness likeness = to.get().likeness();
        return facts().stream()
                .sorted(Comparator.comparing((FamilyFacts one) -> !one.name().equals(name))
                        .thenComparing(one -> !one.generic().equals(to.get().generic()))
                        .thenComparingDouble(one -> one.likeness().to(likeness)))
                .toList();
    }

    /** Families for headings that go with one for text; none where it is not known. */
    public List<Pairing> pairs(String text) {
        return facts().stream()
                .filter(one -> one.name().equals(text))
                .findFirst()
                .map(one -> Pairing.with(
                        one.candidate(),
                        facts().stream().map(FamilyFacts::candidate).toList()))
                .orElse(List.of());
    }

    private FontFile open(FontCatalog.FontPart part) {
        synchronized (known.open) {
            return known.open.computeIfAbsent(part.file(), name -> FontFile.read(catalog.read(name)));
        }
    }

    List<StandIn> standIns(FontCatalog.Family family) {
        return known.standIns.computeIfAbsent(
                family.basic().file(), file -> StandIn.of(open(family.basic()), family.generic()));
    }

    private FamilyFacts read(FontCatalog.Family family) {
        byte[] bytes = catalog.read(family.basic().file());
        FontFile font = FontFile.read(bytes);
        Weights weights = family.weights();
        int alphabet = family.files().stream()
                .filter(part ->
                        !part.italic() && part.weights().equals(family.basic().weights()))
                .mapToInt(part ->
                        FontFile.read(catalog.read(part.file())).coverage().cardinality())
                .sum();
        return new FamilyFacts(
                family.name(),
                family.kind(),
                family.generic(),
                family.license(),
                family.licenseFile(),
                weights.lightest(),
                weights.heaviest(),
                weights.spans().stream().map(Span::from).toList(),
                !font.axes().isEmpty(),
                rounded(font.metrics().xHeight()),
                rounded(font.metrics().capHeight()),
                rounded(font.advances(Map.of()).mean(FontFile.RUNNING)),
                rounded(font.strokeContrast()),
                family.italics(),
                font.features().contains(TABULAR),
                font.features().contains(SMALL_CAPITALS),
                bytes.length,
                alphabet,
                family.rights(),
                family.travels(),
                family.files(),
                Features.chosenFrom(font.features()),
                font.narrowest(),
                font.widest());
    }

    private static double rounded(double number) {
        return Math.round(number * 1000) / 1000.0;
    }
}
