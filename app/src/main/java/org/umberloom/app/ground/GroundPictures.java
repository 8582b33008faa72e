package org.umberloom.app.ground;

import java.awt.Dimension;
import java.text.Normalizer;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.umberloom.app.account.Account;
import org.umberloom.app.picture.PictureStore;
import org.umberloom.app.picture.PictureUsers;
import org.umberloom.app.picture.ShelvedPicture;
import org.umberloom.app.theme.DraftService;
import org.umberloom.core.ground.Grounds;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Picture;
import org.umberloom.core.theme.PictureFacts;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Names;

/**
 * The pictures that surfaces of a theme can stand on. Each coming and going is an edit of the theme, so it is in the history
 * and can be undone; contents are kept by {@link PictureStore}.
 */
@Service
public class GroundPictures {
    private static final int MOST_NAME = 80;
    private static final int MOST_PICTURES = 200;
    private static final Map<String, String> ENDINGS =
            Map.of("image/jpeg", ".jpg", "image/png", ".png", "image/webp", ".webp", "image/svg+xml", ".svg");

    /** A picture with its content. */
    public record Shown(String mediaType, byte[] content) {}

    private final DraftService drafts;
    private final PictureStore store;
    private final List<PictureUsers> users;

    GroundPictures(DraftService drafts, PictureStore store, List<PictureUsers> users) {
        this.drafts = drafts;
        this.store = store;
        this.users = users;
    }

    /** All pictures of a theme, with the surfaces that stand on each. */
    List<ShelvedPicture> shelf(long theme) {
        ThemeDocument document = drafts.newest(theme).theme();
        // Who wears the theme is only asked where there is something to stand on.
        if (Picture.of(document).isEmpty()) return List.of();
        Map<String, List<ShelvedPicture.UsedView>> used = used(theme, document);
        return Picture.of(document).values().stream()
                .map(picture -> {
                    Dimension size = store.size(picture.hash());
                    return ShelvedPicture.of(
                            picture.name(),
                            picture.mediaType(),
                            picture.facts(),
                            size.width,
                            size.height,
                            picture.bytes(),
                            List.of(),
                            used.getOrDefault(picture.name(), List.of()));
                })
                .toList();
    }

    /** Where each picture stands: in the theme, and for whoever wears it. */
    private Map<String, List<ShelvedPicture.UsedView>> used(long theme, ThemeDocument document) {
        Map<String, List<ShelvedPicture.UsedView>> used = new LinkedHashMap<>();
        Grounds.standing(document)
                .forEach((picture, surfaces) ->
                        surfaces.forEach(surface -> used.computeIfAbsent(picture, key -> new ArrayList<>())
                                .add(new ShelvedPicture.UsedView("", "the surface " + surface))));
        users.forEach(one -> one.using(theme)
                .forEach((picture, places) ->
                        used.computeIfAbsent(picture, key -> new ArrayList<>()).addAll(places)));
        return used;
    }

    /** Says something else of a picture, as an edit of the theme. */
    void describe(long theme, String name, PictureFacts facts, Account by) {
        drafts.amend(
                theme,
                newest -> Optional.ofNullable(Picture.of(newest).get(name))
                        .map(picture -> new Edit.SetPicture(name, Optional.of(picture.said(facts))))
                        .orElseThrow(() ->
                                new NoSuchElementException("This theme has no picture “" + Names.shown(name) + "”.")),
                by);
    }

    /** As a state of the theme has it. @throws NoSuchElementException when it has no such picture */
    public Shown get(ThemeDocument theme, String name) {
        return Optional.ofNullable(Picture.of(theme).get(name))
                .flatMap(picture ->
                        store.content(picture.hash()).map(content -> new Shown(picture.mediaType(), content)))
                .orElseThrow(
                        () -> new NoSuchElementException("This theme has no picture “" + Names.shown(name) + "”."));
    }

    Shown get(long theme, String name) {
        return get(drafts.newest(theme).theme(), name);
    }

    /**
     * Keeps a picture and gives it to a theme. One that the theme has already stays as it is; another of a name that is taken
     * gets a name of its own.
     *
     * @return the picture as the theme has it from now on
     * @throws NoSuchElementException when there is no such theme
     * @throws IllegalArgumentException with a sentence for people when it is no picture, too large, damaged or hostile
     */
    Picture add(long theme, String fileName, String license, byte[] content, Account by) {
        drafts.newest(theme);
        PictureStore.Kept kept = store.keep(fileName, content);
        Picture[] named = new Picture[1];
        drafts.amend(
                theme,
                newest -> {
                    Map<String, Picture> known = Picture.of(newest);
                    if (known.size() >= MOST_PICTURES)
                        throw new IllegalArgumentException("A theme may have " + MOST_PICTURES
                                + " pictures. This one was not kept; take away one that is not used.");
                    named[0] = named(known, fileName, license, kept);
                    return new Edit.SetPicture(named[0].name(), Optional.of(named[0]));
                },
                by);
        return named[0];
    }

    /**
     * What a picture is called among others: its file's name in small letters, with the ending of what it really is.
     *
     * @param known the pictures that are there
     */
    public static Picture named(Map<String, Picture> known, String fileName, String license, PictureStore.Kept kept) {
        String base = base(fileName);
        String ending = ENDINGS.get(kept.mediaType());
        for (int i = 1; ; i++) {
            Picture picture = new Picture(
                    base + (i == 1 ? "" : "-" + i) + ending, kept.hash(), kept.mediaType(), license, kept.bytes());
            Picture there = known.get(picture.name());
            if (there == null) return picture;
            if (there.hash().equals(kept.hash())) return there;
        }
    }

    /** @throws IllegalArgumentException while a surface stands on it, in any set or context, or at a site */
    void remove(long theme, String name, Account by) {
        drafts.amend(theme, newest -> removal(newest, name, used(theme, newest).getOrDefault(name, List.of())), by);
    }

    private static Edit removal(ThemeDocument theme, String name, List<ShelvedPicture.UsedView> used) {
        if (!Picture.of(theme).containsKey(name))
            throw new NoSuchElementException("This theme has no picture “" + Names.shown(name) + "”.");
        if (!used.isEmpty())
            throw new IllegalArgumentException("On the picture “" + name + "” stands "
                    + used.stream().map(ShelvedPicture.UsedView::words).collect(Collectors.joining(", "))
                    + ", so it was not taken away. Give that another ground first.");
        return new Edit.SetPicture(name, Optional.empty());
    }

    /** Letters with marks lose them, all else becomes a dash; nothing here takes longer for a long name. */
    private static String base(String fileName) {
        String file = fileName.substring(Math.max(fileName.lastIndexOf('/'), fileName.lastIndexOf('\\')) + 1);
        int dot = file.lastIndexOf('.');
        String plain = Normalizer.normalize(
                (dot > 0 ? file.substring(0, dot) : file)
                        .toLowerCase(Locale.ROOT)
                        .replace("ß", "ss"),
                Normalizer.Form.NFKD);
        StringBuilder base = new StringBuilder();
        for (int i = 0; i < plain.length() && base.length() < MOST_NAME; i++) {
            char c = plain.charAt(i);
            if (c >= 'a' && c <= 'z' || c >= '0' && c <= '9') base.append(c);
            else if (Character.getType(c) != Character.NON_SPACING_MARK
                    && !base.isEmpty()
                    && base.charAt(base.length() - 1) != '-') base.append('-');
        }
        while (!base.isEmpty() && base.charAt(base.length() - 1) == '-') base.setLength(base.length() - 1);
        return base.isEmpty() ? "picture" : base.toString();
    }
}
