package org.umberloom.core.site;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.umberloom.core.color.Ciede2000;
import org.umberloom.core.color.Color;
import org.umberloom.core.contract.Worn;
import org.umberloom.core.page.PageChanges;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.References;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.ValueText;

/** What of a site does not fit another theme, and what would: nothing of it is lost, for it may wear the old one again. */
public final class Wearing {
    /**
     * One thing that does not fit.
     *
     * @param what   for people
     * @param why    it does not fit
     * @param remedy what would, for people; empty where there is none
     */
    public record Unfit(String what, String why, String remedy, SiteEdit edit) {}

    private static final SiteEdit NONE = new SiteEdit("", List.of());

    private final SiteDocument site;
    /** The site with the remedies so far: each builds on those before it. */
    private SiteDocument fitted;

    private final ThemeDocument old;
    private final ThemeDocument next;
    private final Resolution wasWorn;
    private final Worn wouldBe;

    private Wearing(SiteDocument site, ThemeDocument old, ThemeDocument next) {
        this.site = site;
        fitted = site;
        this.old = old;
        this.next = next;
        ThemeDocument worn = old.worn(site.written());
        wasWorn = Resolution.of(worn, new Combination(site.look()).completedFor(worn));
        wouldBe = Worn.of(Resolution.of(next, next.defaults()));
    }

    /** @param old that it wears; may be the same */
    public static List<Unfit> of(SiteDocument site, ThemeDocument old, ThemeDocument next) {
        Wearing wearing = new Wearing(site, old, next);
        List<Unfit> all = new ArrayList<>();
        all.addAll(wearing.contexts());
        all.addAll(wearing.surfaces());
        all.addAll(wearing.references());
        all.addAll(wearing.conditions());
        return all;
    }

    /** The remedies of all that do not fit, as one edit. */
    public static SiteEdit remedied(SiteDocument site, List<Unfit> all) {
        SiteDocument changed = site;
        for (Unfit one : all) changed = one.edit.applyTo(changed).site();
        List<SitePart> parts = new ArrayList<>();
        Set<String> seen = new HashSet<>();
        for (Unfit one : all)
            for (SitePart part : one.edit.parts()) if (seen.add(part.key())) parts.add(part.from(changed));
        return new SiteEdit("fitted to another theme", parts);
    }

    private boolean knows(String modifier, String context) {
        return next.modifiers().containsKey(modifier)
                && next.modifiers().get(modifier).contexts().containsKey(context);
    }

    /** Contexts that the site stands in and the theme does not have. It then stands at the default; that needs no remedy. */
    private List<Unfit> contexts() {
        List<Unfit> found = new ArrayList<>();
        site.look().forEach((modifier, context) -> {
            if (knows(modifier, context)) return;
            found.add(new Unfit(
                    modifier + ": " + context,
                    "“" + next.name() + "” has no such "
                            + (next.modifiers().containsKey(modifier) ? "context" : "modifier")
                            + ", so the site stands as the theme does by default",
                    "",
                    NONE));
        });
        return found;
    }

    /** Surfaces that pages name and the theme does not have: the one whose ground is nearest. */
    private List<Unfit> surfaces() {
        Set<String> known = new TreeSet<>(wouldBe.surfaces());
        Map<String, List<String>> named = new TreeMap<>();
        for (SitePage page : site.pages())
            PageChanges.surfaces(page.html()).stream()
                    .filter(surface -> !known.contains(surface))
                    .forEach(surface -> named.computeIfAbsent(surface, key -> new ArrayList<>())
                            .add(page.slug()));
        List<Unfit> found = new ArrayList<>();
        named.forEach((surface, pages) -> {
            Optional<Color> ground = wasWorn.value(Surfaces.path(surface, "ground"), ColorValue.class)
                    .map(ColorValue::color);
            Optional<String> nearest = ground.flatMap(color -> known.stream()
                    .filter(one -> !one.equals(Surfaces.PAGE))
                    .filter(one -> wouldBe.color(Surfaces.path(one, "ground")).isPresent())
                    .min(Comparator.comparingDouble(one -> Ciede2000.between(
                            color, wouldBe.color(Surfaces.path(one, "ground")).orElseThrow()))));
            found.add(new Unfit(
                    "the surface “" + surface + "”, " + pages.size() + (pages.size() == 1 ? " time" : " times"),
                    "“" + next.name() + "” has no such surface, so those sections stand on the page’s",
                    nearest.map(one -> "stand on “" + one + "”").orElse(""),
                    nearest.map(one -> fit(standingOn(surface, one))).orElse(NONE)));
        });
        return found;
    }

    private SiteEdit standingOn(String surface, String other) {
        List<SitePart> parts = new ArrayList<>();
        for (SitePage page : fitted.pages()) {
            String html = PageChanges.restood(page.html(), surface, other);
            if (!html.equals(page.html())) parts.add(SitePart.Page.of(page.withHtml(html)));
        }
        return new SiteEdit(surface + " to " + other, parts);
    }

    /** Values that refer to tokens which the theme does not have: the token that is nearest, or what they came to. */
    private List<Unfit> references() {
        List<Unfit> found = new ArrayList<>();
        site.written()
                .forEach((place, tokens) -> tokens.forEachToken((path, token, type) -> {
                    Set<TokenPath> lost = new TreeSet<>();
                    for (TokenPath to : References.of(token.value()))
                        if (!has(next, to)
                                && site.written().values().stream()
                                        .noneMatch(own -> own.token(to).isPresent())) lost.add(to);
                    if (lost.isEmpty()) return;
                    Optional<TokenValue> remedy = remedy(place, path, token.value());
                    found.add(new Unfit(
                            path + " at " + place.scope().words(),
                            "it refers to " + lost.iterator().next() + ", which “" + next.name() + "” does not have",
                            remedy.map(value -> "say " + ValueText.write(value)).orElse(""),
                            remedy.map(value -> fit(new SiteEdit(
                                            path.dotted(),
                                            List.of(new SitePart.Written(
                                                    place,
                                                    fitted.written()
                                                            .getOrDefault(place, tokens)
                                                            .with(path, new Token(value, token.meta())))))))
                                    .orElse(NONE)));
                }));
        return found;
    }

    private SiteEdit fit(SiteEdit edit) {
        fitted = edit.applyTo(fitted).site();
        return edit;
    }

    private static boolean has(ThemeDocument theme, TokenPath path) {
        return theme.places().stream()
                .anyMatch(place -> theme.at(place).token(path).isPresent());
    }

    private Optional<TokenValue> remedy(Place.InScope place, TokenPath path, TokenValue value) {
        ThemeDocument worn = old.worn(site.written());
        Optional<TokenValue> was = Resolution.of(
                        worn, new Combination(site.look()).at(place.scope()).completedFor(worn))
                .find(path.dotted())
                .map(resolved -> resolved.value());
        if (was.isEmpty() || !(was.get() instanceof ColorValue color) || !(value instanceof Alias)) return was;
        return Resolution.of(next, next.defaults()).tokens().entrySet().stream()
                .filter(entry -> entry.getValue().value() instanceof ColorValue
                        && !entry.getKey().dotted().startsWith(Surfaces.GROUP + "."))
                .min(Comparator.comparingDouble(entry -> Ciede2000.between(
                        color.color(), ((ColorValue) entry.getValue().value()).color())))
                .<TokenValue>map(entry -> new Alias(entry.getKey()))
                .or(() -> was);
    }

    /** Values that hold only in contexts which the theme does not have: they wait until it is worn again. */
    private List<Unfit> conditions() {
        List<Unfit> found = new ArrayList<>();
        site.written().forEach((place, tokens) -> place.under().ifPresent(under -> {
            if (!knows(under.modifier(), under.context()) && !tokens.equals(Group.EMPTY))
                found.add(new Unfit(
                        tokens.tokenCount() + " of its own at " + place.scope().words() + ", only in "
                                + under.context(),
                        "“" + next.name() + "” has no such context, so they are kept and do not hold",
                        "",
                        NONE));
        }));
        return found;
    }
}
