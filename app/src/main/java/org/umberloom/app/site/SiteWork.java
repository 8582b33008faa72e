package org.umberloom.app.site;

import jakarta.validation.constraints.NotNull;
import java.time.Clock;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.Supplier;
import org.springframework.stereotype.Service;
import org.umberloom.app.account.Account;
import org.umberloom.app.theme.Commits;
import org.umberloom.app.theme.Draft;
import org.umberloom.app.theme.DraftService;
import org.umberloom.app.web.Conflict;
import org.umberloom.core.contract.Worn;
import org.umberloom.core.format.SiteArchive;
import org.umberloom.core.page.Nameplate;
import org.umberloom.core.page.PageMarkup;
import org.umberloom.core.site.SchemePolicy;
import org.umberloom.core.site.SiteDocument;
import org.umberloom.core.site.SiteEdit;
import org.umberloom.core.site.SiteEdits;
import org.umberloom.core.site.SiteLook;
import org.umberloom.core.site.SitePage;
import org.umberloom.core.site.SitePieces;
import org.umberloom.core.site.Strays;
import org.umberloom.core.site.ThemeSwitch;
import org.umberloom.core.site.Wearing;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.SharedPiece;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.kit.SitePicture;
import org.umberloom.kit.SiteSquares;
import org.umberloom.kit.picture.PictureReader;

/** What people do to sites. */
@Service
class SiteWork {
    private final SiteDrafts drafts;
    private final SiteMapper sites;
    private final DraftService themes;
    private final PictureReader reader;
    private final PiecesOfThemes pieces;
    private final Commits commits;
    private final Clock clock;

    SiteWork(
            SiteDrafts drafts,
            SiteMapper sites,
            DraftService themes,
            PictureReader reader,
            PiecesOfThemes pieces,
            Commits commits,
            Clock clock) {
        this.commits = commits;
        this.pieces = pieces;
        this.reader = reader;
        this.drafts = drafts;
        this.sites = sites;
        this.themes = themes;
        this.clock = clock;
    }

    /** @param kinds of the pages that it begins with; a front page where none are named */
    record Wanted(String name, long theme, List<String> kinds, Map<String, String> look, SchemePolicy scheme) {}

    /** Who is faster has the address: then it is done again with another. */
    String create(Wanted wanted, Account by) {
        return commits.together(() -> created(wanted, by));
    }

    private String created(Wanted wanted, Account by) {
        String name = wanted.name();
        List<String> kinds = wanted.kinds();
        String slug = SiteEdits.slug(name, slugs());
        List<SitePage> pages = new ArrayList<>();
        for (String kind : kinds.isEmpty() ? List.of("landing") : kinds) {
            String title = pages.isEmpty() ? name.trim() : kind.substring(0, 1).toUpperCase() + kind.substring(1);
            pages.add(new SitePage(
                    pages.isEmpty() ? "index" : SiteEdits.slug(title, taken(pages)),
                    title,
                    kind,
                    pages.isEmpty()
                            ? PageMarkup.first(name.trim(), kind, title)
                            : PageMarkup.like(pages.get(0).html(), kind, title)));
        }
        SiteDocument bare = SiteEdits.look(wanted.look(), wanted.scheme())
                .applyTo(SiteDocument.of(slug, name.trim(), pages))
                .site();
        drafts.create(wearing(bare, wanted.theme()), wanted.theme(), "new site", by);
        return slug;
    }

    private SiteDocument wearing(SiteDocument site, long theme) {
        return SitePieces.wearing(site, SharedPiece.of(themes.newest(theme).theme()));
    }

    private static Set<String> taken(List<SitePage> pages) {
        Set<String> taken = new HashSet<>();
        pages.forEach(page -> taken.add(page.slug()));
        return taken;
    }

    private Set<String> slugs() {
        Set<String> slugs = new TreeSet<>();
        sites.all().forEach(site -> slugs.add(site.slug()));
        return slugs;
    }

    /** A site of its own that begins as another is now, with its pictures. */
    String copy(String slug, String name, Account by) {
        return commits.together(() -> copied(slug, name, by));
    }

    private String copied(String slug, String name, Account by) {
        SiteDraft from = drafts.newest(slug);
        String called = name.isBlank() ? "Copy of " + from.site().name() : name.trim();
        String other = SiteEdits.slug(called, slugs());
        SiteDraft copy = drafts.create(
                from.site().called(other, called),
                from.themeId(),
                "copied from " + from.site().name(),
                by);
        sites.pictures(from.id()).forEach(picture -> sites.addPicture(copy.id(), picture));
        return other;
    }

    /** What came in, with what was converted, taken out or passed over. @param slug of the first site */
    record Arrived(String slug, List<String> notes) {}

    /**
     * Takes in a site from an archive or from single files, or every site of a kit. Pictures are read and written anew; those that
     * cannot be are said.
     */
    Arrived take(String name, Map<String, byte[]> files, long theme, Account by) {
        themes.newest(theme);
        List<SiteArchive.Reading> all = SiteArchive.readAll(name, files);
        return commits.together(() -> taken(all, theme, by));
    }

    private Arrived taken(List<SiteArchive.Reading> all, long theme, Account by) {
        List<String> notes = new ArrayList<>();
        List<String> slugs = new ArrayList<>();
        for (SiteArchive.Reading reading : all) {
            slugs.add(take(reading, theme, notes, by));
            if (all.size() > 1)
                notes.add("“" + reading.site().name() + "” came in with its "
                        + reading.site().pages().size() + " pages.");
        }
        return new Arrived(slugs.get(0), notes);
    }

    private String take(SiteArchive.Reading reading, long theme, List<String> notes, Account by) {
        notes.addAll(reading.notes());
        String slug = SiteEdits.slug(reading.site().name(), slugs());
        SiteDocument site = reading.site().called(slug, reading.site().name());
        long id = drafts.create(wearing(site, theme), theme, "taken in", by).id();
        reading.pictures().forEach((called, picture) -> {
            try {
                PictureReader.Seen seen = reader.read(picture.content());
                sites.addPicture(id, SitePicture.of(called, seen, picture.facts()));
            } catch (IllegalArgumentException e) {
                notes.add("The picture “" + called + "” was left out: " + e.getMessage());
            }
        });
        return slug;
    }

    /**
     * What the site shows of itself.
     *
     * @throws IllegalArgumentException where it names a picture that the site does not have, or an icon that cannot be drawn
     */
    SiteDrafts.Stacks nameplate(String slug, Integer base, Nameplate plate, Account by) {
        SiteDraft draft = drafts.newest(slug);
        Set<String> known = new HashSet<>(sites.pictureNames(draft.id()));
        for (String picture : List.of(plate.logo(), plate.logoDark(), plate.icon()))
            if (!picture.isEmpty() && !known.contains(picture))
                throw new IllegalArgumentException("This site has no picture “" + picture + "”. Add it first.");
        if (!plate.icon().equals(draft.site().plate().icon()))
            sites.picture(slug, plate.icon()).ifPresent(SiteSquares::mustBeDrawn);
        return edit(slug, base, site -> SiteEdits.nameplate(site, plate), by);
    }

    /** Off every bench and out of the cloth, or back; nothing of it is lost. */
    void putAway(String slug, boolean away) {
        drafts.row(slug);
        sites.putAway(slug, away ? LocalDateTime.now(clock) : null);
    }

    List<SiteMapper.AwayRow> away() {
        return sites.away();
    }

    /** For good, with its pages, its pictures and its history. @param name as it stands, so that nothing goes by mistake */
    void delete(String slug, String name) {
        commits.together(() -> {
            Site site = drafts.row(slug);
            if (!site.name().equals(name))
                throw new Conflict("“" + site.name() + "” was not deleted: write its name to say that it is meant.");
            sites.removeParts(site.id());
            sites.removeLog(site.id());
            sites.removePictures(site.id());
            sites.removeWore(site.id());
            sites.remove(site.id());
            drafts.forget(site.id());
        });
    }

    /**
     * What would become of a site under another theme.
     *
     * @param unfit  what does not fit
     * @param pieces that come, go or change
     */
    record Switch(List<Wearing.Unfit> unfit, List<ThemeSwitch.PieceChange> pieces) {}

    Switch trial(String slug, long theme) {
        SiteDraft draft = drafts.newest(slug);
        return new Switch(
                Wearing.of(
                        draft.site(),
                        themes.newest(draft.themeId()).theme(),
                        themes.newest(theme).theme()),
                ThemeSwitch.pieces(draft.site(), under(draft, theme, false).site()));
    }

    /** A site as it would be under a theme. @param fitted whether what does not fit is replaced by what is nearest */
    SiteDraft under(SiteDraft draft, long theme, boolean fitted) {
        if (draft.themeId() == theme) return draft;
        SiteDocument site =
                switching(draft, theme, fitted).applyTo(draft.site()).site();
        return new SiteDraft(draft.id(), theme, draft.revision(), site);
    }

    private SiteEdit switching(SiteDraft draft, long theme, boolean fitted) {
        return ThemeSwitch.of(
                draft.site(),
                drafts.arrival(draft),
                themes.newest(draft.themeId()).theme(),
                themes.newest(theme).theme(),
                fitted);
    }

    /**
     * Gives a site another theme; what it overrides stays, and the theme before is kept to return to.
     *
     * @param fitted whether what does not fit is replaced by what is nearest
     */
    void wear(String slug, long theme, boolean fitted, Account by) {
        commits.together(() -> {
            SiteDraft draft = drafts.newest(slug);
            if (draft.themeId() == theme) return;
            SiteDraft after = drafts.edit(slug, Optional.empty(), now -> switching(now, theme, fitted), by);
            sites.keepWore(draft.id(), draft.themeId(), LocalDateTime.now(clock));
            sites.removeOneWore(draft.id(), theme);
            sites.wear(draft.id(), theme, after.revision() == draft.revision() ? null : after.revision());
            drafts.forget(draft.id());
        });
    }

    /** What it wore before is not kept any longer. */
    void forgetWore(String slug, long theme) {
        sites.removeOneWore(drafts.newest(slug).id(), theme);
    }

    SiteDrafts.Stacks edit(String slug, Integer base, Function<SiteDocument, SiteEdit> asked, Account by) {
        return told(
                slug, by, () -> drafts.edit(slug, Optional.ofNullable(base), draft -> asked.apply(draft.site()), by));
    }

    SiteDrafts.Stacks undo(String slug, Account by) {
        return told(slug, by, () -> drafts.undo(slug, by));
    }

    SiteDrafts.Stacks redo(String slug, Account by) {
        return told(slug, by, () -> drafts.redo(slug, by));
    }

    /** What it does to pieces of the theme goes to the theme. */
    private SiteDrafts.Stacks told(String slug, Account by, Supplier<SiteDraft> work) {
        return commits.together(() -> {
            SiteDocument before = drafts.newest(slug).site();
            pieces.tell(before, work.get(), by);
            return drafts.rail(drafts.newest(slug));
        });
    }

    SiteDrafts.Stacks share(String slug, String piece, boolean shared, Account by) {
        return commits.together(() -> {
            pieces.share(slug, piece, shared, by);
            return drafts.rail(drafts.newest(slug));
        });
    }

    SiteDrafts.Stacks look(String slug, Integer base, Map<String, String> contexts, String scheme, Account by) {
        return edit(slug, base, site -> SiteEdits.look(contexts, SchemePolicy.byId(scheme)), by);
    }

    SiteDrafts.Stacks follow(String slug, Integer base, String place, String path, Account by) {
        if (!(Place.parse(place) instanceof Place.InScope at))
            throw new IllegalArgumentException("“" + place + "” is no place of a site.");
        Optional<TokenPath> one = path == null || path.isBlank() ? Optional.empty() : Optional.of(TokenPath.of(path));
        return edit(slug, base, site -> SiteEdits.follow(site, at, one), by);
    }

    /** Strays back to the theme. @throws Conflict when one of them is no longer there */
    SiteDrafts.Stacks giveBack(String slug, Integer base, List<String> ids, Account by) {
        return edit(slug, base, site -> Strays.returned(site, named(site, ids)), by);
    }

    /** An entry in the log of a site; of a theme where no site is named. */
    record Entry(@NotNull String site, long theme, int revision) {
        static Entry of(SiteDraft draft) {
            return new Entry(draft.site().slug(), 0, draft.revision());
        }
    }

    /** Strays of several sites back to the theme. */
    List<Entry> giveBack(Map<String, List<String>> bySite, Account by) {
        return inEach(bySite, (draft, strays) -> Strays.returned(draft.site(), strays), by);
    }

    /**
     * Strays of several sites as one token of the theme, which those spots take from then on.
     *
     * @throws IllegalArgumentException when the path is taken, or the strays cannot be one token
     */
    List<Entry> lift(long theme, String path, String reason, Map<String, List<String>> bySite, Account by) {
        TokenPath to = TokenPath.of(path.trim());
        ThemeDocument document = themes.newest(theme).theme();
        for (Place place : document.places())
            if (document.at(place).find(to).isPresent())
                throw new IllegalArgumentException(
                        "There is already something called “" + to + "” in the theme. Choose another name.");
        List<Strays.Stray> all = new ArrayList<>();
        bySite.forEach((site, ids) -> all.addAll(named(drafts.newest(site).site(), ids)));
        Token token = Strays.lifted(all);
        Token said =
                reason.isBlank() ? token : new Token(token.value(), token.meta().described(reason));
        // What would be refused in a site is refused before the theme has a token that nothing takes.
        bySite.forEach((site, ids) -> {
            SiteDraft draft = drafts.newest(site);
            kept(draft, named(draft.site(), ids), reason, Optional.of(to));
        });
        return commits.together(() -> {
            Draft with = themes.amend(
                    theme,
                    newest -> new Edit.Put(
                            Place.set(newest.sets().keySet().iterator().next()), to, said, -1),
                    by);
            List<Entry> entries = new ArrayList<>(
                    inEach(bySite, (draft, strays) -> kept(draft, strays, reason, Optional.of(to)), by));
            entries.add(new Entry("", theme, with.revision()));
            return entries;
        });
    }

    private List<Entry> inEach(
            Map<String, List<String>> bySite, BiFunction<SiteDraft, List<Strays.Stray>, SiteEdit> does, Account by) {
        return commits.together(() -> {
            List<Entry> entries = new ArrayList<>();
            // Always in one order, so that two who do this at one time do not wait for each other.
            new TreeMap<>(bySite)
                    .forEach((site, ids) -> entries.add(Entry.of(drafts.edit(
                            site, Optional.empty(), draft -> does.apply(draft, named(draft.site(), ids)), by))));
            return entries;
        });
    }

    /**
     * What a token was lifted for goes before the token: where some of it stays, it stays too.
     *
     * @throws Conflict when something else was done since in one of them; then nothing is taken back anywhere
     */
    void takeBack(List<Entry> entries, Account by) {
        commits.together(() -> {
            List<String> changed = new ArrayList<>();
            for (Entry entry : entries) {
                if (entry.site().isBlank()) {
                    Draft now = themes.newest(entry.theme());
                    if (now.revision() != entry.revision())
                        changed.add("the theme “" + now.theme().name() + "”");
                } else {
                    SiteDraft now = drafts.newest(entry.site());
                    if (now.revision() != entry.revision())
                        changed.add("“" + now.site().name() + "”");
                }
            }
            if (!changed.isEmpty())
                throw new Conflict(
                        "In " + String.join(", ", changed)
                                + " something else was done since, so nothing was taken back; use undo in each of them instead.");
            for (Entry entry : entries) if (!entry.site().isBlank()) drafts.undo(entry.site(), by);
            for (Entry entry : entries) if (entry.site().isBlank()) themes.takeBack(themes.newest(entry.theme()), by);
        });
    }

    /** Strays into the system, each as the value of its role at its own element. */
    SiteDrafts.Stacks keep(String slug, Integer base, List<String> ids, String reason, Account by) {
        return drafts.rail(drafts.edit(
                slug,
                Optional.ofNullable(base),
                draft -> kept(draft, named(draft.site(), ids), reason, Optional.empty()),
                by));
    }

    private SiteEdit kept(SiteDraft draft, List<Strays.Stray> strays, String reason, Optional<TokenPath> lifted) {
        ThemeDocument theme =
                themes.newest(draft.themeId()).theme().worn(draft.site().written());
        Worn worn = Worn.of(Resolution.of(theme, SiteLook.of(theme, draft.site())));
        return Strays.kept(draft.site(), strays, reason, lifted, worn);
    }

    private static List<Strays.Stray> named(SiteDocument site, List<String> ids) {
        Set<String> wanted = new HashSet<>(ids);
        List<Strays.Stray> found = Strays.in(site).stream()
                .filter(stray -> wanted.contains(stray.id()))
                .toList();
        if (found.size() != wanted.size() || found.isEmpty())
            throw new Conflict("The page changed since you looked, and " + (wanted.size() - found.size())
                    + " of these strays are not there any more. Nothing was changed; look again.");
        return found;
    }
}
