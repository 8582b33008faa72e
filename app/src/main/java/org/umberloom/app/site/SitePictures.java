package org.umberloom.app.site;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.umberloom.app.picture.ShelvedPicture;
import org.umberloom.app.web.Conflict;
import org.umberloom.core.color.Color;
import org.umberloom.core.contract.Worn;
import org.umberloom.core.page.Nameplate;
import org.umberloom.core.page.PagePictures;
import org.umberloom.core.page.Placeholder;
import org.umberloom.core.site.SiteDocument;
import org.umberloom.core.site.SiteEdit;
import org.umberloom.core.site.SiteEdits;
import org.umberloom.core.site.SitePart;
import org.umberloom.core.theme.Picture;
import org.umberloom.core.theme.PictureFacts;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.kit.SitePicture;
import org.umberloom.kit.picture.PictureReader;
import org.umberloom.kit.picture.SmallerPictures;

/** The shelf of a site's pictures. */
@Service
public class SitePictures {
    private static final String PLACEHOLDER = "placeholder";
    private static final String VECTOR = "image/svg+xml";

    private final SiteMapper sites;
    private final SiteDrafts drafts;
    private final PictureReader reader;
    private final SmallerPictures smaller;

    SitePictures(SiteMapper sites, SiteDrafts drafts, PictureReader reader, SmallerPictures smaller) {
        this.sites = sites;
        this.drafts = drafts;
        this.reader = reader;
        this.smaller = smaller;
    }

    public List<ShelvedPicture> shelf(String slug) {
        SiteDraft draft = drafts.newest(slug);
        return sites.pictureRows(draft.id()).stream()
                .map(row -> ShelvedPicture.of(
                        row.name(),
                        row.mediaType(),
                        new PictureFacts(
                                row.license(), row.source(), row.alt(), row.focalX(), row.focalY(), row.placeholder()),
                        row.width(),
                        row.height(),
                        row.bytes(),
                        smaller.of(row.name(), row.mediaType(), row.width()).stream()
                                .map(PagePictures.Sized::width)
                                .toList(),
                        used(draft.site(), row.name())))
                .toList();
    }

    private static List<ShelvedPicture.UsedView> used(SiteDocument site, String name) {
        List<ShelvedPicture.UsedView> used = new ArrayList<>();
        Nameplate plate = site.plate();
        if (Stream.of(plate.logo(), plate.logoDark(), plate.icon()).anyMatch(name::equals))
            used.add(new ShelvedPicture.UsedView("", "the nameplate"));
        site.pages().stream()
                .filter(page -> PagePictures.shows(page.html(), name))
                .forEach(page -> used.add(new ShelvedPicture.UsedView(page.slug(), page.title())));
        return used;
    }

    /** Names of those that only keep room. */
    public Set<String> placeholders(long siteId) {
        return sites.pictureRows(siteId).stream()
                .filter(SiteMapper.PictureRow::placeholder)
                .map(SiteMapper.PictureRow::name)
                .collect(Collectors.toCollection(TreeSet::new));
    }

    /** What pages are told of a site's pictures, by their names. */
    public Map<String, PagePictures.Known> known(long siteId) {
        Map<String, PagePictures.Known> known = new LinkedHashMap<>();
        for (SiteMapper.PictureRow row : sites.pictureRows(siteId))
            known.put(
                    row.name(),
                    new PagePictures.Known(
                            row.width(),
                            row.height(),
                            row.alt(),
                            row.focalX(),
                            row.focalY(),
                            smaller.of(row.name(), row.mediaType(), row.width())));
        return known;
    }

    /** A picture as it is shown: a smaller file by its name, a placeholder in the colors of a theme. */
    public SitePicture shown(String site, String name, ThemeDocument theme) {
        SitePicture picture = sites.picture(site, name)
                .or(() -> smaller.named(name).flatMap(named -> sites.picture(site, named.of())
                        .filter(large -> smaller.of(large.name(), large.mediaType(), large.width()).stream()
                                .anyMatch(size -> size.name().equals(name)))
                        .map(large -> SitePicture.of(
                                name,
                                large.mediaType(),
                                large.facts(),
                                large.width(),
                                large.height(),
                                smaller.made(large.content(), large.mediaType(), named.width())))))
                .orElseThrow(
                        () -> new NoSuchElementException("The site “" + site + "” has no picture “" + name + "”."));
        return picture.placeholder() ? drawn(picture, theme) : picture;
    }

    private static SitePicture drawn(SitePicture picture, ThemeDocument theme) {
        Worn worn = Worn.of(Resolution.of(theme, theme.defaults()));
        return SitePicture.of(
                picture.name(),
                picture.mediaType(),
                picture.facts(),
                picture.width(),
                picture.height(),
                Placeholder.svg(
                                picture.width(),
                                picture.height(),
                                worn.color(Surfaces.path("tint", "ground"))
                                        .or(() -> worn.color(Surfaces.path(Surfaces.PAGE, "ground")))
                                        .orElse(Color.rgb(238, 238, 238)),
                                worn.color(Surfaces.path(Surfaces.PAGE, "muted"))
                                        .orElse(Color.rgb(85, 85, 85)))
                        .getBytes(StandardCharsets.UTF_8));
    }

    /** @return what the picture is called in the site */
    @Transactional
    public String add(String slug, String name, byte[] content, String license) {
        SiteDraft site = drafts.newest(slug);
        PictureReader.Seen seen = reader.read(content);
        String ending =
                "." + MediaType.parseMediaType(seen.mediaType()).getSubtype().replaceAll("\\+.*", "");
        String called = free(site, name, ending);
        sites.addPicture(site.id(), SitePicture.of(called, seen, PictureFacts.licensed(license.trim())));
        return called;
    }

    /** A picture of the theme's shelf on the site's as well, with all that is said of it. @return what it is called there */
    @Transactional
    public String take(String slug, Picture picture, byte[] content) {
        String called = add(slug, picture.name(), content, picture.license());
        describe(slug, called, picture.facts());
        return called;
    }

    private String free(SiteDraft site, String name, String ending) {
        int dot = name.lastIndexOf('.');
        String stem = SiteEdits.slug(dot < 0 ? name : name.substring(0, dot), Set.of());
        Set<String> taken = new HashSet<>(sites.pictureNames(site.id()));
        String called = stem + ending;
        for (int i = 2; taken.contains(called) || smaller.named(called).isPresent(); i++)
            called = stem + "-" + i + ending;
        return called;
    }

    /** Room for a picture that is still to come. @return what it is called in the site */
    @Transactional
    public String placeholder(String slug, int width, int height) {
        SiteDraft site = drafts.newest(slug);
        byte[] content = Placeholder.svg(width, height, Color.rgb(238, 238, 238), Color.rgb(85, 85, 85))
                .getBytes(StandardCharsets.UTF_8);
        String called = free(site, PLACEHOLDER + "-" + width + "x" + height + ".svg", ".svg");
        PictureFacts facts = new PictureFacts("", "", "", PictureFacts.NONE.focalX(), PictureFacts.NONE.focalY(), true);
        sites.addPicture(site.id(), SitePicture.of(called, VECTOR, facts, width, height, content));
        return called;
    }

    @Transactional
    public void describe(String slug, String name, PictureFacts facts) {
        SiteDraft site = drafts.newest(slug);
        if (sites.picture(slug, name).isEmpty())
            throw new NoSuchElementException("The site “" + slug + "” has no picture “" + name + "”.");
        sites.describePicture(site.id(), name, facts);
    }

    /** @throws Conflict while the picture stands somewhere */
    @Transactional
    public void remove(String slug, String name) {
        SiteDraft site = drafts.newest(slug);
        List<ShelvedPicture.UsedView> used = used(site.site(), name);
        if (!used.isEmpty())
            throw new Conflict(
                    "The picture “" + name + "” stands on " + used.get(0).words()
                            + (used.size() > 1 ? " and " + (used.size() - 1) + " more" : "")
                            + ". Put another in its place there first; it was kept.");
        if (sites.removePicture(site.id(), name) == 0)
            throw new NoSuchElementException("The site “" + slug + "” has no picture “" + name + "”.");
    }

    /** One picture of the site wherever another stands; the other stays on the shelf. */
    SiteEdit instead(SiteDocument site, String old, String name) {
        if (sites.picture(site.slug(), name).isEmpty())
            throw new NoSuchElementException("The site “" + site.slug() + "” has no picture “" + name + "”.");
        List<SitePart> parts = new ArrayList<>();
        site.pages().stream()
                .filter(page -> PagePictures.shows(page.html(), old))
                .forEach(page ->
                        parts.add(SitePart.Page.of(page.withHtml(PagePictures.instead(page.html(), old, name)))));
        if (parts.isEmpty())
            throw new IllegalArgumentException("The picture “" + old + "” stands on no page; nothing was changed.");
        return new SiteEdit("“" + name + "” in place of “" + old + "”", parts);
    }
}
