package org.umberloom.app.check;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.umberloom.app.account.Account;
import org.umberloom.app.asset.FontShelf;
import org.umberloom.app.picture.PictureStore;
import org.umberloom.app.picture.ShelvedPicture;
import org.umberloom.app.site.ReadingService;
import org.umberloom.app.site.Site;
import org.umberloom.app.site.SitePictures;
import org.umberloom.app.site.SiteService;
import org.umberloom.app.theme.Draft;
import org.umberloom.app.theme.DraftService;
import org.umberloom.app.theme.Fixes;
import org.umberloom.app.theme.ThemeViews;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.contract.Role;
import org.umberloom.core.finding.AllFindings;
import org.umberloom.core.page.Alternatives;
import org.umberloom.core.page.Headings;
import org.umberloom.core.page.PagePictures;
import org.umberloom.core.site.SiteDocument;
import org.umberloom.core.site.SitePage;
import org.umberloom.core.site.Strays;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Finding;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Fingerprint;
import org.umberloom.kit.font.FontFiles;

/** Every check of a theme and of the sites that wear it, in one list. */
@Service
public class FindingsService implements Fixes {
    private static final int MOST_COMBINATIONS = 12;
    private static final int MOST_SITES = 60;
    private static final String SITES = "site";

    /** @param by who, empty where nobody accepted it */
    record Acceptance(String reason, String by, String at) {
        private static final Acceptance NONE = new Acceptance("", "", "");
    }

    /**
     * One finding, wherever it comes from.
     *
     * @param id      the same as long as it says the same
     * @param kind    what sort of check found it
     * @param combo   key of the combination that it holds in; empty for all
     * @param part    that shows it; empty for none
     * @param surface that it is on
     * @param site    short name of the site it is on; empty for one of the theme
     * @param page    short name of the page; empty for none
     * @param spots   where it is on the page, places in its body as the served page numbers them; none for the page as a whole
     */
    record FindingEntry(
            String id,
            String kind,
            String weight,
            String path,
            String message,
            String remedy,
            List<ThemeViews.FixView> fixes,
            String combo,
            String part,
            String surface,
            String site,
            String siteName,
            String page,
            String pageTitle,
            List<Integer> spots,
            Acceptance accepted) {
        private FindingEntry accepted(Acceptance acceptance) {
            return new FindingEntry(
                    id,
                    kind,
                    weight,
                    path,
                    message,
                    remedy,
                    fixes,
                    combo,
                    part,
                    surface,
                    site,
                    siteName,
                    page,
                    pageTitle,
                    spots,
                    acceptance);
        }
    }

    /**
     * @param undo  what undo would take back in the theme, and redo make again; empty where there is nothing
     * @param sites that were looked at
     * @param more  sites that were not
     */
    record FindingsReport(
            String theme, int revision, String undo, String redo, List<FindingEntry> entries, int sites, int more) {}

    private static final int MOST_STATES = 8;

    /** What was found of a state with the fonts that were at hand. */
    private record Checked(FontFiles fonts, List<Finding> findings) {}

    private final Cache<ThemeDocument, Checked> checked =
            Caffeine.newBuilder().maximumSize(MOST_STATES).weakKeys().build();

    private final DraftService drafts;
    private final SiteService sites;
    private final ReadingService reading;
    private final SitePictures shelf;
    private final FontShelf fonts;
    private final PictureStore kept;
    private final AcceptedMapper accepted;

    FindingsService(
            DraftService drafts,
            SiteService sites,
            ReadingService reading,
            SitePictures shelf,
            FontShelf fonts,
            PictureStore kept,
            AcceptedMapper accepted) {
        this.shelf = shelf;
        this.drafts = drafts;
        this.sites = sites;
        this.reading = reading;
        this.fonts = fonts;
        this.kept = kept;
        this.accepted = accepted;
    }

    FindingsReport of(long theme) {
        Draft draft = drafts.newest(theme);
        List<FindingEntry> entries = new ArrayList<>();
        for (Finding finding : ofTheme(draft.theme())) entries.add(entry(finding));
        List<Site> wearing = sites.wearing(theme);
        for (Site site : wearing.stream().limit(MOST_SITES).toList()) ofSite(site, entries);
        // What holds in several combinations is told once.
        Map<String, FindingEntry> each = new LinkedHashMap<>();
        entries.forEach(entry -> each.putIfAbsent(entry.id, entry));
        for (AcceptedMapper.Row row : accepted.all(theme))
            each.computeIfPresent(
                    row.finding(),
                    (id, entry) ->
                            entry.accepted(new Acceptance(row.reason(), row.acceptedBy(), row.acceptedAt() + "Z")));
        ThemeViews.Rail rail = drafts.rail(theme, draft.revision());
        return new FindingsReport(
                draft.theme().name(),
                draft.revision(),
                rail.undo(),
                rail.redo(),
                each.values().stream()
                        .sorted(Comparator.comparing(
                                (FindingEntry entry) -> Finding.Weight.valueOf(entry.weight.toUpperCase(Locale.ROOT))))
                        .toList(),
                Math.min(MOST_SITES, wearing.size()),
                Math.max(0, wearing.size() - MOST_SITES));
    }

    /** What is wrong with a state of a theme with the heaviest weight, and not lived with, in sentences. */
    public List<String> heavy(long theme, ThemeDocument state) {
        Set<String> livedWith =
                accepted.all(theme).stream().map(AcceptedMapper.Row::finding).collect(Collectors.toSet());
        return ofTheme(state).stream()
                .filter(finding -> finding.weight() == Finding.Weight.MUST)
                .map(FindingsService::entry)
                .filter(entry -> !livedWith.contains(entry.id))
                .map(FindingEntry::message)
                .distinct()
                .toList();
    }

    @Override
    public Edit fix(ThemeDocument theme, String finding, int index) {
        List<Finding.Fix> found = ofTheme(theme).stream()
                .filter(one -> entry(one).id().equals(finding))
                .findFirst()
                .map(Finding::fixes)
                .orElse(List.of());
        if (index < 0 || index >= found.size())
            throw new NoSuchElementException("This finding is not there any more, or has no such fix.");
        return found.get(index).edit();
    }

    /** A bench asks again with every look; what was checked is checked anew when the theme or the fonts at hand are others. */
    private List<Finding> ofTheme(ThemeDocument theme) {
        FontFiles files = fonts.atHand();
        Checked known = checked.getIfPresent(theme);
        if (known != null && known.fonts == files) return known.findings;
        List<Finding> found = AllFindings.everywhere(theme, files, kept.of(theme), MOST_COMBINATIONS);
        checked.put(theme, new Checked(files, found));
        return found;
    }

    private static FindingEntry entry(Finding finding) {
        Optional<Role> role = Contract.standard().filledBy(finding.path());
        String surface = role.filter(Role::ofSurfaces)
                .map(one -> finding.path().split("\\.")[1])
                .orElse(Surfaces.PAGE);
        return new FindingEntry(
                Fingerprint.of((finding.code() + '\n' + finding.path() + '\n' + finding.message())
                        .getBytes(StandardCharsets.UTF_8)),
                finding.code(),
                finding.weight().name().toLowerCase(Locale.ROOT),
                finding.path(),
                finding.message(),
                finding.remedy(),
                ThemeViews.FindingView.of(finding).fixes(),
                finding.combination().contexts().isEmpty()
                        ? ""
                        : finding.combination().key(),
                role.map(Role::part).orElse(""),
                surface,
                "",
                "",
                "",
                "",
                List.of(),
                Acceptance.NONE);
    }

    private void ofSite(Site site, List<FindingEntry> entries) {
        Optional<SiteDocument> found = sites.find(site);
        if (found.isEmpty()) {
            entries.add(unreadable(site));
            return;
        }
        SiteDocument document = found.get();
        Map<String, PagePictures.Known> known = shelf.known(site.id());
        List<ShelvedPicture> pictures = shelf.shelf(site.slug());
        for (SitePage page : document.pages()) {
            List<Alternatives.Silent> silent = Alternatives.missing(page.html());
            // Those that the shelf has words for are only asked where something is missing.
            if (!silent.isEmpty()) silent = Alternatives.missing(PagePictures.on(page.html(), known));
            if (!silent.isEmpty())
                entries.add(entry(
                        site,
                        page,
                        "alternative",
                        Finding.Weight.MUST,
                        count(silent.size(), "picture has", "pictures have") + " no text in their place: "
                                + silent.stream()
                                        .map(Alternatives.Silent::address)
                                        .collect(Collectors.joining(", "))
                                + ". WCAG 2.2, 1.1.1, failure F65.",
                        "Say what each shows, or give it an empty alternative where it only adorns.",
                        silent.stream().map(Alternatives.Silent::at).toList()));
            ofPictures(site, page, pictures, entries);
            Headings.Order headings = Headings.of(page.html());
            List<Integer> faults = headings.headings().stream()
                    .filter(heading -> heading.fault().isPresent())
                    .map(Headings.Heading::at)
                    .toList();
            if (!faults.isEmpty() || headings.missing().isPresent())
                entries.add(entry(
                        site,
                        page,
                        "headings",
                        Finding.Weight.SHOULD,
                        headings.missing().isPresent()
                                ? "The page has no heading of level 1."
                                : count(faults.size(), "heading stands", "headings stand") + " out of order.",
                        "Put them in order in the plan of the page; their look can stay.",
                        faults));
        }
        List<Strays.Stray> strays = Strays.in(document);
        if (!strays.isEmpty()) {
            String first = strays.get(0).page();
            entries.add(entry(
                    site,
                    document.page(first),
                    "strays",
                    Finding.Weight.SHOULD,
                    count(strays.size(), "value is", "values are") + " written by hand where the theme has a role.",
                    "Return them to the theme, or keep them with a reason, on the site’s own screen.",
                    strays.stream()
                            .filter(stray -> stray.page().equals(first))
                            .map(stray -> stray.hand().at())
                            .toList()));
        }
        ReadingService.SiteReading lines = reading.of(site.slug());
        Map<String, List<ReadingService.LinesOfBlock>> tooLong = lines.blocks().stream()
                .filter(block -> block.characters().stream().anyMatch(one -> one > lines.most()))
                .collect(Collectors.groupingBy(
                        ReadingService.LinesOfBlock::page, LinkedHashMap::new, Collectors.toList()));
        tooLong.forEach((page, blocks) -> entries.add(entry(
                site,
                document.page(page),
                "long-lines",
                Finding.Weight.SHOULD,
                count(blocks.size(), "text has", "texts have") + " more than " + lines.most()
                        + " characters in a line, such as “" + blocks.get(0).words() + "”. WCAG 2.2, 1.4.8.",
                "Set the text’s width by its characters, under Type.",
                blocks.stream().map(ReadingService.LinesOfBlock::at).toList())));
        for (ReadingService.LackingLetters lacking : lines.lacking())
            entries.add(entry(
                    site,
                    document.pages().stream()
                            .filter(page -> page.title().equals(lacking.pages().get(0)))
                            .findFirst()
                            .orElse(document.pages().get(0)),
                    "letters",
                    Finding.Weight.NOTE,
                    lacking.family() + " has not all letters of this page: "
                            + lacking.letters()
                                    .substring(0, Math.min(60, lacking.letters().length())) + ".",
                    "Another font stands in for them; take a family that has them if that is seen.",
                    List.of()));
    }

    /** Who uses a picture has to say by what right, and room that is kept is not yet a page. */
    private static void ofPictures(
            Site site, SitePage page, List<ShelvedPicture> pictures, List<FindingEntry> entries) {
        List<ShelvedPicture> here = pictures.stream()
                .filter(one ->
                        one.used().stream().anyMatch(place -> place.page().equals(page.slug())))
                .toList();
        List<String> unsaid = here.stream()
                .filter(one -> !one.placeholder() && one.license().isEmpty())
                .map(ShelvedPicture::name)
                .toList();
        if (!unsaid.isEmpty())
            entries.add(entry(
                    site,
                    page,
                    "license",
                    Finding.Weight.SHOULD,
                    "Nobody said how these pictures may be used: " + String.join(", ", unsaid) + ".",
                    "Say it on the shelf of the site, or put others in their place there.",
                    where(page, unsaid)));
        List<String> room = here.stream()
                .filter(ShelvedPicture::placeholder)
                .map(ShelvedPicture::name)
                .toList();
        if (!room.isEmpty())
            entries.add(entry(
                    site,
                    page,
                    "placeholder",
                    Finding.Weight.SHOULD,
                    "Room is kept for pictures that are still to come: " + String.join(", ", room)
                            + ". The page goes out without them.",
                    "Put pictures in their place on the shelf of the site.",
                    where(page, room)));
    }

    private static List<Integer> where(SitePage page, List<String> pictures) {
        return pictures.stream()
                .flatMap(picture -> PagePictures.where(page.html(), picture).stream())
                .toList();
    }

    private static String count(int count, String one, String several) {
        return count + " " + (count == 1 ? one : several);
    }

    private static FindingEntry entry(
            Site site,
            SitePage page,
            String kind,
            Finding.Weight weight,
            String message,
            String remedy,
            List<Integer> spots) {
        return entry(site, page.slug(), page.title(), kind, weight, message, remedy, spots);
    }

    /** A site that cannot be read keeps no other from being looked at, and is told. */
    private static FindingEntry unreadable(Site site) {
        return entry(
                site,
                "",
                "",
                "site",
                Finding.Weight.MUST,
                "What is stored of this site cannot be read, so its pages were not looked at.",
                "Open the site’s own screen: what is stored can be exported, archived or deleted there.",
                List.of());
    }

    private static FindingEntry entry(
            Site site,
            String page,
            String title,
            String kind,
            Finding.Weight weight,
            String message,
            String remedy,
            List<Integer> spots) {
        return new FindingEntry(
                Fingerprint.of((SITES + '\n' + site.slug() + '\n' + page + '\n' + kind + '\n' + message)
                        .getBytes(StandardCharsets.UTF_8)),
                kind,
                weight.name().toLowerCase(Locale.ROOT),
                "",
                message,
                remedy,
                List.of(),
                "",
                "",
                "",
                site.slug(),
                site.name(),
                page,
                title,
                spots,
                Acceptance.NONE);
    }

    /** @throws NoSuchElementException when there is no such finding now */
    void accept(long theme, String finding, String reason, Account by) {
        if (of(theme).entries().stream().noneMatch(entry -> entry.id.equals(finding)))
            throw new NoSuchElementException("This finding is not there any more. Nothing was accepted.");
        accepted.accept(theme, finding, reason, by.name());
    }

    void reopen(long theme, String finding) {
        accepted.reopen(theme, finding);
    }
}
