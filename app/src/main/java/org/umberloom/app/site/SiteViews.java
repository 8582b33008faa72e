package org.umberloom.app.site;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.umberloom.app.theme.Draft;
import org.umberloom.app.theme.DraftService;
import org.umberloom.core.contract.Choices;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.contract.Worn;
import org.umberloom.core.css.CustomProperties;
import org.umberloom.core.page.Nameplate;
import org.umberloom.core.site.RoleGroups;
import org.umberloom.core.site.SiteDocument;
import org.umberloom.core.site.SiteLook;
import org.umberloom.core.site.SitePage;
import org.umberloom.core.site.Strays;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TypographyValue;
import org.umberloom.core.token.ValueText;

/** What is shown of one site, and of the strays of all. */
@Service
class SiteViews {
    /** How unlike strays may be in a group that is named after one of them; sizes are grouped when they are the same. */
    private static final double ALIKE = Strays.SAME_COLOR;

    record WholePage(String slug, String title, String kind, int strays, int overrides) {}

    /**
     * Something that is written at a place of a site.
     *
     * @param written as people write it
     * @param css     what it comes to, to draw it with; empty where there is no single form
     * @param reason  why it differs; may be empty
     * @param instead what would hold without it, as people write it
     */
    record OwnView(String path, String group, String written, String css, String reason, String instead) {}

    /** @param place as edits name it; {@code under} the context it holds in alone, in words */
    record WholePlace(String place, String level, String words, String page, String under, List<OwnView> own) {}

    /**
     * A value written by hand that hides a role.
     *
     * @param css      the value where it is a color, else empty
     * @param role     that would govern there, and what it comes to
     * @param nearest  the role that is most like it; empty for none
     * @param distance ΔE00 of colors, percent of sizes
     */
    record StrayView(
            String site,
            String id,
            String page,
            String title,
            String tag,
            String words,
            String property,
            String value,
            String css,
            String group,
            String role,
            String roleCss,
            String nearest,
            String nearestCss,
            double distance) {}

    /** Strays that are one to the eye. @param words such as {@code #0a5c7e on 14 links in 3 sites} */
    record LikeView(
            String words,
            String group,
            String css,
            String nearest,
            String nearestCss,
            double distance,
            List<StrayView> strays) {}

    record WholeSite(
            String slug,
            String name,
            Nameplate plate,
            List<String> pictures,
            long themeId,
            String theme,
            Map<String, String> look,
            String scheme,
            String css,
            String combo,
            int revision,
            String undo,
            String redo,
            List<WholePage> pages,
            List<WholePlace> places,
            List<StrayView> strays,
            List<PageViews.PieceView> pieces,
            List<WoreView> wore) {}

    /** A theme that a site wore before, and until when. */
    record WoreView(long themeId, String theme, String until) {}

    /** An entry of a site's log. */
    record DoneView(int number, String kind, String label, String person, String at) {}

    private final SiteDrafts drafts;
    private final SiteService sites;
    private final SiteMapper mapper;
    private final DraftService themes;
    private final WornBySites worn;

    SiteViews(SiteDrafts drafts, SiteService sites, SiteMapper mapper, DraftService themes, WornBySites worn) {
        this.worn = worn;
        this.drafts = drafts;
        this.sites = sites;
        this.mapper = mapper;
        this.themes = themes;
    }

    List<DoneView> history(String slug, int before, int most) {
        return mapper.history(drafts.newest(slug).id(), before, most).stream()
                .map(row -> new DoneView(row.number(), row.kind(), row.label(), row.person(), row.at() + "Z"))
                .toList();
    }

    WholeSite site(String slug) {
        SiteDraft draft = drafts.newest(slug);
        SiteDocument site = draft.site();
        Draft theme = themes.newest(draft.themeId());
        SiteDrafts.Stacks rail = drafts.rail(draft);
        List<StrayView> strays = strays(draft, theme.theme());
        Combination look = SiteLook.of(theme.theme(), site);
        return new WholeSite(
                site.slug(),
                site.name(),
                site.plate(),
                mapper.pictureNames(draft.id()),
                theme.id(),
                theme.theme().name(),
                site.look(),
                site.scheme().id(),
                site.css(),
                look.key(),
                draft.revision(),
                rail.undo(),
                rail.redo(),
                site.pages().stream().map(page -> page(site, page, strays)).toList(),
                places(draft, theme.theme(), look),
                strays,
                PageViews.pieces(site),
                mapper.wore(draft.id()).stream()
                        .map(one -> new WoreView(one.themeId(), one.theme(), one.until() + "Z"))
                        .toList());
    }

    private static WholePage page(SiteDocument site, SitePage page, List<StrayView> strays) {
        int own = site.written().entrySet().stream()
                .filter(entry -> page.slug().equals(pageOf(entry.getKey().scope())))
                .mapToInt(entry -> RoleGroups.in(entry.getValue()).values().stream()
                        .mapToInt(Integer::intValue)
                        .sum())
                .sum();
        return new WholePage(
                page.slug(),
                page.title(),
                page.kind(),
                (int) strays.stream()
                        .filter(stray -> stray.page.equals(page.slug()))
                        .count(),
                own);
    }

    private static String pageOf(Scope scope) {
        if (scope.level() == Scope.Level.PAGE) return scope.name();
        return scope.level().isSpot() ? org.umberloom.core.page.Spots.pageIn(scope.name()) : "";
    }

    /** Everything that the site writes itself, from wide to narrow. */
    private List<WholePlace> places(SiteDraft draft, ThemeDocument theme, Combination look) {
        SiteDocument site = draft.site();
        ThemeDocument dressed = worn.of(theme, site.written());
        List<WholePlace> places = new ArrayList<>();
        site.written().forEach((place, tokens) -> {
            Combination around = look.where(place.under().<Place>map(in -> in).orElse(Place.set("")))
                    .unscoped();
            Resolution without = Resolution.of(theme, around.completedFor(theme));
            Worn standing = Worn.of(without);
            Resolution here = Resolution.of(dressed, around.at(place.scope()).completedFor(dressed));
            List<OwnView> own = new ArrayList<>();
            tokens.forEachToken((path, token, type) -> {
                if (RoleGroups.grows(tokens, path)) return;
                own.add(new OwnView(
                        path.dotted(),
                        RoleGroups.of(
                                path.dotted(),
                                type.or(() -> token.value().type()).orElse(org.umberloom.core.token.TokenType.NUMBER)),
                        ValueText.write(token.value()),
                        css(here, path),
                        token.meta().description().orElse(""),
                        instead(standing, without, path)));
            });
            tokens.group(TokenPath.of(Choices.GROUP))
                    .ifPresent(group -> group.children().forEach((name, node) -> Optional.ofNullable(
                                    Contract.standard().choices().get(name))
                            .flatMap(choice -> Choices.at(dressed, place, choice))
                            .ifPresent(value -> own.add(new OwnView(
                                    Choices.path(name).dotted(),
                                    RoleGroups.CHOICE,
                                    value,
                                    "",
                                    "",
                                    Choices.of(theme, around).get(name))))));
            places.add(new WholePlace(
                    place.toString(),
                    place.scope().level().id(),
                    words(site, place.scope()),
                    pageOf(place.scope()),
                    place.under().map(Place.InContext::context).orElse(""),
                    own));
        });
        return places;
    }

    static String words(SiteDocument site, Scope scope) {
        return switch (scope.level()) {
            case SITE -> "all of " + site.name();
            case SITE_KIND -> scope.name() + " pages";
            case PAGE ->
                site.find(scope.name()).map(page -> "“" + page.title() + "”").orElse(scope.name());
            default -> SitesOnTheBench.words(site, scope);
        };
    }

    private static String instead(Worn standing, Resolution without, TokenPath path) {
        return standing.find(path.dotted())
                .map(role -> ValueText.write(role.value()))
                .or(() -> without.find(path.dotted()).map(resolved -> ValueText.write(resolved.value())))
                .orElse("");
    }

    private static String css(Resolution here, TokenPath path) {
        return here.find(path.dotted())
                .map(resolved -> resolved.value() instanceof ColorValue color
                        ? color.color().hex()
                        : resolved.value() instanceof TypographyValue ? "" : CustomProperties.text(resolved.value()))
                .orElse("");
    }

    /** The strays of one site, each matched to what its theme says there. */
    List<StrayView> strays(SiteDraft draft, ThemeDocument theme) {
        SiteDocument site = draft.site();
        ThemeDocument dressed = worn.of(theme, site.written());
        Combination look = SiteLook.of(theme, site);
        Map<List<Scope>, Worn> known = new HashMap<>();
        List<StrayView> views = new ArrayList<>();
        for (Strays.Stray stray : Strays.in(site)) {
            SitePage page = site.page(stray.page());
            List<Scope> reaching = page.reaching(site.slug()).stream()
                    .filter(dressed::writesAt)
                    .toList();
            Worn there = known.computeIfAbsent(
                    reaching,
                    scopes -> Worn.of(Resolution.of(dressed, look.at(scopes).completedFor(dressed))));
            views.add(view(site, page, stray, there));
        }
        return views;
    }

    private static StrayView view(SiteDocument site, SitePage page, Strays.Stray stray, Worn worn) {
        Strays.Match nearest = Strays.nearest(stray, worn);
        boolean color = stray.group().equals(RoleGroups.COLOR);
        return new StrayView(
                site.slug(),
                stray.id(),
                page.slug(),
                page.title(),
                stray.hand().tag(),
                stray.hand().words(),
                stray.hand().property(),
                stray.hand().value(),
                color ? Strays.shown(stray).orElse("") : "",
                stray.group(),
                stray.role(),
                Strays.governing(stray, worn),
                nearest.role(),
                nearest.css(),
                nearest.role().isEmpty()
                        ? -1
                        : Math.round((color ? nearest.distance() : 100 * nearest.distance()) * 10) / 10.0);
    }

    /** The strays of every site that wears a theme, those that are one to the eye together, the most first. */
    List<LikeView> alike(long theme) {
        ThemeDocument document = themes.newest(theme).theme();
        Map<String, List<StrayView>> groups = new LinkedHashMap<>();
        for (SiteService.Counted site : sites.counted())
            if (site.row().themeId() == theme && !site.facts().strays().isEmpty())
                mapper.bySlug(site.row().slug()).flatMap(drafts::find).ifPresent(draft -> strays(draft, document)
                        .forEach(stray -> groups.computeIfAbsent(likeness(groups, stray), key -> new ArrayList<>())
                                .add(stray)));
        return groups.values().stream()
                .map(SiteViews::like)
                .sorted((one, other) -> other.strays.size() - one.strays.size())
                .toList();
    }

    /** The group that a stray joins: that of the first color it cannot be told from, or that of the same value. */
    private static String likeness(Map<String, List<StrayView>> groups, StrayView stray) {
        if (!stray.css.isEmpty())
            for (Map.Entry<String, List<StrayView>> group : groups.entrySet()) {
                StrayView first = group.getValue().get(0);
                if (!first.css.isEmpty() && Strays.between(first.css, stray.css) < ALIKE) return group.getKey();
            }
        return stray.group + " " + (stray.css.isEmpty() ? stray.property + " " + stray.value : stray.css);
    }

    private static LikeView like(List<StrayView> strays) {
        StrayView first = strays.get(0);
        long sites = strays.stream().map(StrayView::site).distinct().count();
        List<String> tags = strays.stream().map(StrayView::tag).distinct().toList();
        String what = tags.size() == 1 ? "<" + tags.get(0) + ">" : "elements";
        return new LikeView(
                (first.css.isEmpty() ? first.property + " " + first.value : first.value) + " on " + strays.size() + " "
                        + what + " in " + sites + (sites == 1 ? " site" : " sites"),
                first.group,
                first.css,
                first.nearest,
                first.nearestCss,
                first.distance,
                strays);
    }
}
