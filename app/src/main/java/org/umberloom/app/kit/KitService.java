package org.umberloom.app.kit;

import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.umberloom.app.account.Account;
import org.umberloom.app.asset.FontShelf;
import org.umberloom.app.ground.GroundPictures;
import org.umberloom.app.picture.PictureStore;
import org.umberloom.app.release.States;
import org.umberloom.app.site.Site;
import org.umberloom.app.site.SiteService;
import org.umberloom.app.theme.DraftService;
import org.umberloom.app.theme.ThemeViews;
import org.umberloom.app.web.Compressed;
import org.umberloom.core.css.CustomProperties;
import org.umberloom.core.dress.Dressing;
import org.umberloom.core.format.Incoming;
import org.umberloom.core.format.KitArchive;
import org.umberloom.core.format.KitManifest;
import org.umberloom.core.format.ThemeFiles;
import org.umberloom.core.format.ThemeJson;
import org.umberloom.core.format.TokenFiles;
import org.umberloom.core.format.form.Form;
import org.umberloom.core.json.FormatException;
import org.umberloom.core.propose.MeaningProposal;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Picture;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Names;
import org.umberloom.kit.Kit;

/** Kits: what goes in, the archive, and the way back. */
@Service
class KitService {
    private static final String KEPT = "Nothing was imported and nothing was changed.";
    private static final int LONGEST_FILE = 80;
    private static final byte[] ZIP_START = {'P', 'K'};

    /** A file of a kit with its size as it is, and as a web server would send it compressed. */
    record FileView(String name, long bytes, long compressed, boolean readable) {}

    /** A form that can go in. */
    record FormView(String id, String title) {}

    /** A context that can stay out; its code is how it is asked for. */
    record ContextOfKit(String modifier, String context, String code) {}

    /** @param leftOut a sentence for each family whose files may not travel */
    record KitView(
            String theme,
            String state,
            String site,
            List<String> sites,
            List<FormView> forms,
            List<ContextOfKit> contexts,
            List<FileView> files,
            long bytes,
            long archive,
            List<String> leftOut) {}

    /**
     * @param notes   a sentence for each kind of thing that was converted or passed over while it was read
     * @param lacking how many core roles it leaves unset
     */
    record Imported(long id, List<String> notes, int lacking) {}

    private final DraftService drafts;
    private final SiteService sites;
    private final KitFiles kits;
    private final PictureStore grounds;
    private final FontShelf fonts;
    private final States states;

    KitService(
            DraftService drafts,
            States states,
            SiteService sites,
            KitFiles kits,
            PictureStore grounds,
            FontShelf fonts) {
        this.states = states;
        this.fonts = fonts;
        this.grounds = grounds;
        this.drafts = drafts;
        this.sites = sites;
        this.kits = kits;
    }

    KitView contents(long theme, KitAsked asked) {
        States.State state = states.of(theme, asked.state());
        List<Site> shown = shown(asked.site());
        ThemeDocument narrowed = asked.narrowed(state.theme());
        Map<String, byte[]> files = kits.of(narrowed, shown, parts(state, asked));
        List<String> readable = KitFiles.readable(files);
        List<FileView> views = new ArrayList<>();
        files.forEach((name, content) ->
                views.add(new FileView(name, content.length, Compressed.size(content), readable.contains(name))));
        List<String> leftOut = new ArrayList<>(KitManifest.leftOut(files).stream()
                .map(KitManifest.LeftOut::said)
                .toList());
        for (String one : asked.without())
            Combination.parse(one)
                    .contexts()
                    .forEach((modifier, context) -> leftOut.add("“" + context + "” of " + modifier
                            + ", as you chose. Its token files and its part of the style sheet stay here."));
        if (!asked.tokens())
            leftOut.add("The token files, as you chose. Pages do not need them; it cannot be read as a theme again.");
        if (!asked.fonts()) leftOut.add("All fonts, as you chose. Pages show what the reader’s device has.");
        return new KitView(
                state.theme().name(),
                state.name(),
                asked.site(),
                sites.all().stream().map(Site::slug).toList(),
                Form.ALL.stream()
                        .map(form -> new FormView(form.id(), form.title()))
                        .toList(),
                contexts(state.theme()),
                views,
                views.stream().mapToLong(FileView::bytes).sum(),
                KitArchive.write(files).length,
                leftOut);
    }

    /** Contexts that can stay out: of every modifier that has more than one. */
    private static List<ContextOfKit> contexts(ThemeDocument theme) {
        List<ContextOfKit> all = new ArrayList<>();
        theme.modifiers().forEach((name, modifier) -> {
            if (modifier.contexts().size() > 1)
                modifier.contexts()
                        .keySet()
                        .forEach(context ->
                                all.add(new ContextOfKit(name, context, new Combination(Map.of(name, context)).key())));
        });
        return all;
    }

    private static Kit.Parts parts(States.State state, KitAsked asked) {
        return new Kit.Parts(
                state.release().isPresent() ? state.name() : "",
                asked.fonts(),
                asked.tokens(),
                asked.forms().stream().map(Form::byId).toList());
    }

    private Map<String, byte[]> files(States.State state, KitAsked asked) {
        return kits.of(asked.narrowed(state.theme()), shown(asked.site()), parts(state, asked));
    }

    /** @param tokens paths by the custom properties that the text declares */
    record FileText(String name, String text, Map<String, String> tokens) {}

    /** The text of one file; of a style sheet with where its values come from. */
    FileText text(long theme, KitAsked asked, String name) {
        States.State state = states.of(theme, asked.state());
        Map<String, byte[]> files = files(state, asked);
        if (!KitFiles.readable(files).contains(name))
            throw new NoSuchElementException("The kit has no file “" + name + "” that can be shown as text.");
        String text = new String(files.get(name), StandardCharsets.UTF_8);
        Map<String, String> tokens = new LinkedHashMap<>();
        if (name.endsWith(".css")) {
            ThemeDocument document = state.theme();
            CustomProperties.origins(Resolution.of(document, document.defaults()))
                    .forEach((property, path) -> {
                        if (text.contains(property + ":")) tokens.put(property, path);
                    });
        }
        return new FileText(name, text, tokens);
    }

    /** A kit as it is taken. @param name of its file */
    record Archive(String name, byte[] content) {}

    Archive archive(long theme, KitAsked asked) {
        States.State state = states.of(theme, asked.state());
        return new Archive(fileName(theme, state), KitArchive.write(files(state, asked)));
    }

    private String fileName(long theme, States.State state) {
        StringBuilder name = new StringBuilder();
        drafts.newest(theme)
                .theme()
                .name()
                .toLowerCase(Locale.ROOT)
                .chars()
                .limit(LONGEST_FILE)
                .forEach(c -> {
                    if (c >= 'a' && c <= 'z' || c >= '0' && c <= '9') name.append((char) c);
                    else if (!name.isEmpty() && name.charAt(name.length() - 1) != '-') name.append('-');
                });
        return (name.isEmpty() ? "theme" : name) + (state.release().isPresent() ? "-" + state.name() : "") + ".kit.zip";
    }

    /**
     * A theme as it would come in; nothing of it is stored.
     *
     * @param parts     what each of several token files would be in it; empty for other files
     * @param selectors whose custom properties are passed over, since they stand on a part of pages, by how many they declare
     */
    record Preview(
            String name,
            List<TypeCount> types,
            List<String> sets,
            List<String> contexts,
            ThemeViews.Weave weave,
            List<String> families,
            List<String> notes,
            int lacking,
            int proposed,
            List<TokenFiles.Part> parts,
            List<SelectorCount> selectors) {}

    record SelectorCount(String selector, int count) {}

    record TypeCount(String type, int count) {}

    private record Read(
            ThemeDocument theme, List<String> notes, List<TokenFiles.Part> parts, Map<String, Integer> selectors) {}

    /** Reads as {@link #take} does, and says what would come in. */
    Preview preview(Map<String, byte[]> given, ThemeFiles.Said said) {
        Read read = read(given, said, false);
        ThemeDocument theme = read.theme;
        Map<String, Integer> types = new LinkedHashMap<>();
        Resolution resolution = Resolution.of(theme, theme.defaults());
        resolution.tokens().values().forEach(token -> types.merge(token.type().id(), 1, Integer::sum));
        ThemeViews.Instruments instruments = ThemeViews.Instruments.of(theme, fonts.atHand());
        List<String> contexts = new ArrayList<>();
        theme.modifiers()
                .forEach((name, modifier) -> contexts.add(name + ": "
                        + modifier.contexts().entrySet().stream()
                                .map(one -> one.getKey() + " (" + one.getValue().tokenCount() + ")")
                                .collect(Collectors.joining(", "))));
        return new Preview(
                theme.name(),
                types.entrySet().stream()
                        .map(entry -> new TypeCount(entry.getKey(), entry.getValue()))
                        .toList(),
                List.copyOf(theme.sets().keySet()),
                contexts,
                ThemeViews.Weave.of(instruments.color()),
                instruments.type().families().stream()
                        .map(family -> family.value().split(",")[0])
                        .distinct()
                        .toList(),
                read.notes,
                Dressing.lacking(theme).size(),
                Dressing.propose(theme).size(),
                read.parts,
                read.selectors.entrySet().stream()
                        .map(one -> new SelectorCount(one.getKey(), one.getValue()))
                        .toList());
    }

    /**
     * Reads a kit archive, or a theme in any open form that is known, and keeps it as a new theme. Nothing is stored, and no
     * connection to the database is held, until all of it was read.
     */
    Imported take(Map<String, byte[]> given, ThemeFiles.Said said, Account by) {
        Read read = read(given, said, true);
        long id = refusing(() -> drafts.create(
                read.theme, "imported from " + given.keySet().iterator().next(), by));
        return new Imported(id, read.notes, Dressing.lacking(read.theme).size());
    }

    private Read read(Map<String, byte[]> given, ThemeFiles.Said said, boolean keeping) {
        byte[] first = given.isEmpty() ? new byte[0] : given.values().iterator().next();
        String name = given.isEmpty() ? "" : given.keySet().iterator().next();
        Map<String, byte[]> files = given.size() == 1 ? files(first) : Map.of();
        ThemeFiles.Read read = refusing(() -> {
            if (given.size() == 1 && ThemeFiles.isBinaryPalette(first))
                return new ThemeFiles.Read(ThemeFiles.binaryPalette(name, first), List.of(), Map.of());
            if (files.containsKey(KitManifest.FILE)) return KitManifest.read(files, said);
            if (!files.isEmpty()) return settled(KitManifest.read(files, said), jsonTexts(files));
            Map<String, String> texts = texts(given);
            return settled(ThemeFiles.read(texts, said), texts.values());
        });
        ThemeJson.Reading reading = read.reading();
        List<String> notes = new ArrayList<>(reading.notes());
        notes.addAll(KitManifest.faults(files));
        ThemeDocument theme = keeping ? withPictures(reading.theme(), files, notes) : reading.theme();
        return new Read(MeaningProposal.recorded(theme, notes), notes, read.parts(), read.selectors());
    }

    private static ThemeFiles.Read settled(ThemeFiles.Read read, Iterable<String> texts) {
        return new ThemeFiles.Read(Incoming.settled(read.reading(), texts), read.parts(), read.selectors());
    }

    private static List<String> jsonTexts(Map<String, byte[]> files) {
        return files.entrySet().stream()
                .filter(file -> file.getKey().endsWith(".json"))
                .map(file -> new String(file.getValue(), StandardCharsets.UTF_8))
                .toList();
    }

    private static Map<String, String> texts(Map<String, byte[]> given) {
        Map<String, String> texts = new LinkedHashMap<>();
        given.forEach((name, content) -> {
            try {
                texts.put(
                        name,
                        StandardCharsets.UTF_8
                                .newDecoder()
                                .decode(ByteBuffer.wrap(content))
                                .toString());
            } catch (CharacterCodingException e) {
                throw new IllegalArgumentException(
                        "“" + name + "” is neither a kit archive nor a text file, or it is " + "damaged. " + KEPT
                                + " Export it again, or choose another file.",
                        e);
            }
        });
        return texts;
    }

    /** The document with the pictures that came with it, as they really are; one that did not come or was refused is said. */
    private ThemeDocument withPictures(ThemeDocument theme, Map<String, byte[]> files, List<String> notes) {
        Map<String, Picture> named = Picture.of(theme);
        Map<String, Picture> kept = new LinkedHashMap<>();
        for (KitManifest.Picture picture : KitManifest.pictures(files)) {
            String file = picture.file().substring(picture.file().lastIndexOf('/') + 1);
            try {
                PictureStore.Kept content = grounds.keep(picture.file(), files.get(picture.file()));
                Picture said = named.get(file);
                Picture there = said != null && said.hash().equals(content.hash())
                        ? said
                        : Picture.isName(file) && !kept.containsKey(file)
                                ? new Picture(
                                        file, content.hash(), content.mediaType(), picture.license(), content.bytes())
                                : GroundPictures.named(kept, file, picture.license(), content);
                kept.put(there.name(), there);
            } catch (IllegalArgumentException refused) {
                notes.add("The picture “" + Names.shown(picture.file()) + "” was left out: " + refused.getMessage());
            }
        }
        for (String name : named.keySet())
            if (!kept.containsKey(name))
                notes.add(
                        "The picture “" + name + "” did not come with it; surfaces that stand on it show their color.");
        return Picture.with(theme, kept);
    }

    /** The files of an archive; none when it is no archive. */
    private static Map<String, byte[]> files(byte[] content) {
        boolean archive = content.length >= 2 && content[0] == ZIP_START[0] && content[1] == ZIP_START[1];
        return archive ? refusing(() -> KitArchive.read(content)) : Map.of();
    }

    /** Every refusal ends with what became of the file. */
    private static <T> T refusing(Supplier<T> read) {
        try {
            return read.get();
        } catch (IllegalArgumentException e) {
            String said = String.valueOf(e.getMessage());
            if (said.toLowerCase(Locale.ROOT).contains("nothing was changed")) throw e;
            throw new FormatException(said + (said.endsWith(".") ? " " : ". ") + KEPT, e);
        }
    }

    private List<Site> shown(String site) {
        return site.isEmpty() ? List.of() : List.of(sites.get(site));
    }
}
