package org.umberloom.app.release;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.umberloom.app.asset.FontFaces;
import org.umberloom.app.site.ReadingService;
import org.umberloom.app.site.SiteService;
import org.umberloom.app.site.WornBySites;
import org.umberloom.app.web.Compressed;
import org.umberloom.core.contract.Worn;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.css.Usage;
import org.umberloom.core.page.PageUse;
import org.umberloom.core.site.RoleGroups;
import org.umberloom.core.site.SiteDocument;
import org.umberloom.core.site.SiteLook;
import org.umberloom.core.site.SitePage;
import org.umberloom.core.site.Strays;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.kit.font.FontCatalog;

/** What a state of a theme would do to one site beyond what its roles come to: lines, weight, and strays that it catches up with. */
@Service
class SiteImpact {
    private static final int MOST = 40;
    /** From how near on a stray says what a role says: half of what is just seen of a color, a two-hundredth of a length. */
    private static final double SAME_COLOR = 0.5;

    private static final double SAME_SIZE = 0.005;

    /** A text that would take more lines or fewer in a window. */
    record OtherLines(String page, String title, String words, int window, int before, int after) {}

    /** A value written by hand that a role would say, too. */
    record CaughtStray(String page, String words, String value, String role) {}

    /**
     * @param before  of the style sheet, compressed
     * @param more    texts with other lines that are not listed
     * @param fonts   families that come
     * @param without families that go
     */
    record SiteDetail(
            String site,
            long before,
            long after,
            List<String> fonts,
            List<String> without,
            List<OtherLines> lines,
            int more,
            List<CaughtStray> caught) {}

    private final States states;
    private final SiteService sites;
    private final WornBySites worn;
    private final ReadingService reading;
    private final FontFaces faces;

    SiteImpact(States states, SiteService sites, WornBySites worn, ReadingService reading, FontFaces faces) {
        this.states = states;
        this.sites = sites;
        this.worn = worn;
        this.reading = reading;
        this.faces = faces;
    }

    SiteDetail of(long theme, String from, String to, String slug) {
        SiteDocument site = sites.document(sites.get(slug));
        ThemeDocument old = states.of(theme, from).theme();
        ThemeDocument fresh = states.of(theme, to).theme();
        ThemeDocument before = worn.of(old, site.written());
        ThemeDocument after = worn.of(fresh, site.written());
        Set<String> familiesBefore = families(before);
        Set<String> familiesAfter = families(after);
        List<OtherLines> lines = otherLines(slug, old, fresh);
        return new SiteDetail(
                slug,
                weight(site, before),
                weight(site, after),
                familiesAfter.stream()
                        .filter(one -> !familiesBefore.contains(one))
                        .toList(),
                familiesBefore.stream()
                        .filter(one -> !familiesAfter.contains(one))
                        .toList(),
                lines.stream().limit(MOST).toList(),
                Math.max(0, lines.size() - MOST),
                caught(site, before, after));
    }

    private Set<String> families(ThemeDocument theme) {
        return faces.familiesOf(theme).stream().map(FontCatalog.Family::name).collect(Collectors.toSet());
    }

    private List<OtherLines> otherLines(String slug, ThemeDocument old, ThemeDocument fresh) {
        List<ReadingService.TakenLines> before = reading.linesIn(slug, old);
        List<ReadingService.TakenLines> after = reading.linesIn(slug, fresh);
        List<OtherLines> other = new ArrayList<>();
        // Where a font came that lacks the letters of a text, the two lists cannot be laid beside each other.
        if (before.size() != after.size()) return other;
        for (int i = 0; i < before.size(); i++) {
            ReadingService.TakenLines was = before.get(i);
            int now = after.get(i).lines();
            if (was.lines() != now)
                other.add(new OtherLines(was.page(), was.title(), was.words(), was.window(), was.lines(), now));
        }
        return other;
    }

    private static long weight(SiteDocument site, ThemeDocument theme) {
        PageUse use = PageUse.of(site.pages().stream().map(SitePage::html).toList());
        String css = Stylesheet.compile(theme, Usage.of(use).in(site.places()), List.of()) + Stylesheet.own(site.css());
        return Compressed.size(css.getBytes(StandardCharsets.UTF_8));
    }

    private static List<CaughtStray> caught(SiteDocument site, ThemeDocument before, ThemeDocument after) {
        List<Strays.Stray> strays = Strays.in(site);
        if (strays.isEmpty()) return List.of();
        Worn old = worn(before, site);
        Worn fresh = worn(after, site);
        List<CaughtStray> caught = new ArrayList<>();
        for (Strays.Stray stray : strays) {
            double same = stray.group().equals(RoleGroups.COLOR) ? SAME_COLOR : SAME_SIZE;
            Strays.Match now = Strays.nearest(stray, fresh);
            if (now.distance() <= same && Strays.nearest(stray, old).distance() > same)
                caught.add(new CaughtStray(
                        stray.page(), stray.hand().words(), stray.hand().value(), now.role()));
        }
        return caught.stream().limit(MOST).toList();
    }

    private static Worn worn(ThemeDocument theme, SiteDocument site) {
        Combination look = SiteLook.of(theme, site.look(), site.scheme());
        return Worn.of(Resolution.of(theme, look));
    }
}
