package org.umberloom.core.site;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.umberloom.core.color.Ciede2000;
import org.umberloom.core.color.Color;
import org.umberloom.core.color.CssColor;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.contract.Member;
import org.umberloom.core.contract.Role;
import org.umberloom.core.contract.Worn;
import org.umberloom.core.page.HandValues;
import org.umberloom.core.page.HandValues.HandValue;
import org.umberloom.core.page.Pieces;
import org.umberloom.core.page.Spots;
import org.umberloom.core.sheet.OwnSheet;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.theme.SitePlaces;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.FluidValue;
import org.umberloom.core.token.FontFamilyValue;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Meta;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.TypographyValue;
import org.umberloom.core.token.ValueText;

/** Literal values on a site's pages that hide a role: found, matched to what the theme has, and taken back or in. */
public final class Strays {
    /** Two colors nearer than this are one to most people. Source: 3.4 of the model, near-duplicates. */
    public static final double SAME_COLOR = 2;

    /**
     * A value written by hand.
     *
     * @param page it stands on
     * @param group of roles that it hides
     */
    public record Stray(String page, HandValue hand, String group) {
        /** Names it within its site as long as its page stays as it is. */
        public String id() {
            return page + ":" + hand.at() + ":" + hand.source() + ":" + hand.property();
        }

        /** The path of the token that would govern it. */
        public String role() {
            return roleOf(hand).on(hand.surface());
        }
    }

    /**
     * What of the theme a stray is nearest to.
     *
     * @param role     its path; empty where nothing is like it
     * @param distance ΔE00 of colors, the ratio less one of sizes; 0 for a family of the same name
     * @param css      what that role comes to
     */
    public record Match(String role, double distance, String css) {
        static final Match NONE = new Match("", Double.POSITIVE_INFINITY, "");
    }

    private static final int MOST_ELEMENTS = 200;

    private Strays() {}

    /**
     * All strays of a site, page by page; those of a piece once, on the first page that holds it, and those of its own style sheet
     * once, at the first element that they reach.
     */
    public static List<Stray> in(SiteDocument site) {
        return in(site, ofSheet(site));
    }

    /** The same where it is known what the own style sheet reaches. @param sheet as {@link #ofSheet} gives it */
    public static List<Stray> in(SiteDocument site, Map<Integer, List<Stray>> sheet) {
        List<Stray> all = new ArrayList<>();
        sheet.forEach((number, reached) -> all.add(inSheet(number, reached)));
        Set<String> before = new HashSet<>();
        for (SitePage page : site.pages()) {
            for (Stray stray : on(page)) if (!before.contains(stray.hand.piece())) all.add(stray);
            before.addAll(Pieces.of(page.html()).keySet());
        }
        return all;
    }

    /** The strays of one page. */
    public static List<Stray> on(SitePage page) {
        return HandValues.of(page.html()).stream()
                .map(hand -> new Stray(page.slug(), hand, RoleGroups.of(hand.reading())))
                .toList();
    }

    /** What declarations of the own style sheet hide, by their numbers: every element that they reach. */
    public static Map<Integer, List<Stray>> ofSheet(SiteDocument site) {
        Map<String, String> pages = new LinkedHashMap<>();
        site.pages().forEach(page -> pages.put(page.slug(), page.html()));
        Map<Integer, List<Stray>> all = new LinkedHashMap<>();
        HandValues.ofSheet(site.css(), pages)
                .forEach((number, byPage) -> byPage.forEach(
                        (page, hands) -> hands.forEach(hand -> all.computeIfAbsent(number, key -> new ArrayList<>())
                                .add(new Stray(page, hand, RoleGroups.of(hand.reading()))))));
        return all;
    }

    /** A declaration as one stray, which stands where it first reaches something and is found by its number. */
    private static Stray inSheet(int number, List<Stray> reached) {
        Stray first = reached.get(0);
        HandValue hand = first.hand;
        String more = reached.size() == 1 ? "" : ", and " + (reached.size() - 1) + " more";
        return new Stray(
                first.page,
                new HandValue(
                        number,
                        hand.tag(),
                        hand.words() + more,
                        hand.source(),
                        hand.property(),
                        hand.value(),
                        hand.reading(),
                        hand.surface(),
                        hand.piece()),
                first.group);
    }

    private static boolean isOfSheet(Stray stray) {
        return stray.hand.source().equals(HandValues.SHEET);
    }

    private static Role roleOf(HandValue hand) {
        return Contract.standard().ofReading(hand.reading()).orElseThrow();
    }

    /** The role whose value is nearest to a stray, of those that could govern such a property there. */
    public static Match nearest(Stray stray, Worn worn) {
        List<Match> all = new ArrayList<>();
        HandValue hand = stray.hand;
        Optional<Color> color = stray.group.equals(RoleGroups.COLOR) ? color(hand.value()) : Optional.empty();
        Optional<Double> px = px(hand.value());
        for (Role role : Contract.standard().roles().values()) {
            if (role.ofSurfaces() && !worn.surfaces().contains(hand.surface())) continue;
            Worn.Standing standing = worn.at(role, hand.surface());
            String path = role.on(hand.surface());
            if (standing.value() instanceof ColorValue value)
                color.ifPresent(one -> all.add(new Match(
                        path,
                        Ciede2000.between(one, value.color()),
                        value.color().hex())));
            else if (stray.group.equals(RoleGroups.TYPE) && standing.value() instanceof TypographyValue style)
                style(hand, role, style, px).ifPresent(all::add);
            else if (stray.group.equals(RoleGroups.of(role.path())) && !stray.group.equals(RoleGroups.TYPE))
                px.flatMap(one -> length(one, path, standing.value())).ifPresent(all::add);
        }
        // Of several that are as near, the one that governs there is meant.
        return all.stream()
                .min(Comparator.comparingDouble(Match::distance)
                        .thenComparing(match -> match.role.equals(stray.role()) ? 0 : 1))
                .orElse(Match.NONE);
    }

    private static Optional<Match> style(HandValue hand, Role role, TypographyValue style, Optional<Double> px) {
        Member member = Member.of(hand.reading());
        TokenValue part = style.part(member.part());
        String path = role.path() + "." + member.id();
        if (part instanceof FontFamilyValue family) {
            String first = hand.value().split(",")[0].replaceAll("[\"']", "").trim();
            return family.families().get(0).equalsIgnoreCase(first)
                    ? Optional.of(new Match(path, 0, family.families().get(0)))
                    : Optional.empty();
        }
        return px.flatMap(one -> length(one, path, part));
    }

    /** The ratio of two lengths; of a fluid one, of the nearer end. */
    private static Optional<Match> length(double px, String path, TokenValue value) {
        List<Double> ends = value instanceof FluidValue fluid
                ? List.of(fluid.narrow().toPx(), fluid.wide().toPx())
                : value instanceof DimensionValue one ? List.of(one.toPx()) : List.of();
        return ends.stream()
                .filter(end -> end > 0 && px > 0)
                .map(end -> new Match(path, Math.max(end, px) / Math.min(end, px) - 1, number(end) + "px"))
                .min(Comparator.comparingDouble(Match::distance));
    }

    private static String number(double px) {
        return px == Math.rint(px) ? String.valueOf((long) px) : String.format(Locale.ROOT, "%.1f", px);
    }

    /** A stray's color as hex; empty where it is none that can be read. */
    public static Optional<String> shown(Stray stray) {
        return color(stray.hand.value()).map(Color::hex);
    }

    /** ΔE00 of two colors as hex. */
    public static double between(String one, String other) {
        return Ciede2000.between(CssColor.parse(one), CssColor.parse(other));
    }

    /** What the role comes to that a stray hides, as CSS. */
    public static String governing(Stray stray, Worn worn) {
        if (!worn.surfaces().contains(stray.hand.surface())) return "";
        TokenValue value = worn.at(roleOf(stray.hand), stray.hand.surface()).value();
        if (value instanceof TypographyValue style)
            value = style.part(Member.of(stray.hand.reading()).part());
        return value instanceof ColorValue color ? color.color().hex() : ValueText.write(value);
    }

    private static Optional<Color> color(String value) {
        try {
            return Optional.of(CssColor.parse(value));
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    /** Absolute lengths, at the default font size. */
    private static Optional<Double> px(String value) {
        try {
            return Optional.of(value.trim())
                    .filter(text -> text.endsWith("px") || text.endsWith("rem"))
                    .map(text -> text.endsWith("rem")
                            ? 16 * Double.parseDouble(text.substring(0, text.length() - 3))
                            : Double.parseDouble(text.substring(0, text.length() - 2)));
        } catch (NumberFormatException e) {
            return Optional.empty();
        }
    }

    /** The edit that takes strays off their pages, so that their roles govern again. */
    public static SiteEdit returned(SiteDocument site, List<Stray> strays) {
        return new SiteEdit(
                strays.size() == 1
                        ? strays.get(0).hand.property() + " of “"
                                + strays.get(0).hand.words() + "” back to the theme"
                        : strays.size() + " strays back to the theme",
                cleaned(site, strays));
    }

    private static List<SitePart> cleaned(SiteDocument site, List<Stray> strays) {
        Set<Integer> declarations = strays.stream()
                .filter(Strays::isOfSheet)
                .map(stray -> stray.hand.at())
                .collect(Collectors.toSet());
        Map<String, List<Stray>> byPage = strays.stream()
                .filter(stray -> !isOfSheet(stray))
                .collect(Collectors.groupingBy(Stray::page, TreeMap::new, Collectors.toList()));
        List<SitePart> parts = new ArrayList<>();
        byPage.forEach((slug, its) -> {
            SitePage page = site.page(slug);
            String html = page.html();
            // From the end, so that an element that goes does not move those still to come.
            List<Stray> last = new ArrayList<>(its);
            last.sort(Comparator.comparingInt((Stray stray) -> stray.hand.at()).reversed());
            for (Stray stray : last) html = HandValues.without(html, stray.hand);
            parts.add(SitePart.Page.of(page.withHtml(html)));
        });
        if (!declarations.isEmpty()) parts.add(new SitePart.OwnCss(OwnSheet.without(site.css(), declarations)));
        return parts;
    }

    /**
     * The edit that takes strays into the system: each becomes the value of its role at its own element.
     *
     * @param reason why it differs; kept with each
     * @param lifted a token of the theme that holds the value from now on; none where it is written as it is
     * @throws IllegalArgumentException when one of them cannot be said as a token
     */
    public static SiteEdit kept(
            SiteDocument site, List<Stray> strays, String reason, Optional<TokenPath> lifted, Worn worn) {
        Map<String, SitePage> pages = new LinkedHashMap<>();
        List<SitePart> others = new ArrayList<>();
        for (SitePart part : cleaned(site, strays))
            if (part instanceof SitePart.Page page)
                pages.put(page.slug(), page.page().orElseThrow());
            else others.add(part);
        Map<Place.InScope, Group> written = new TreeMap<>();
        for (Stray stray : everyElement(site, strays)) {
            SitePage clean = pages.getOrDefault(stray.page, site.page(stray.page));
            String name = Spots.nameAt(clean.html(), stray.page, stray.hand.at());
            SitePage named = clean.withHtml(Spots.named(clean.html(), name));
            pages.put(stray.page, named);
            Scope scope = Spots.of(site.slug(), named.slug(), named.kind(), named.html()).spots().stream()
                    .map(SitePlaces.Spot::scope)
                    .filter(one -> one.name().equals(name))
                    .findFirst()
                    .orElseThrow();
            Place.InScope place = Place.scope(scope);
            Group tokens = written.getOrDefault(place, site.written().getOrDefault(place, Group.EMPTY));
            TokenPath path = TokenPath.of(stray.role());
            TokenValue value =
                    value(stray, lifted, tokens.token(path).map(Token::value).orElseGet(() -> worn.at(
                                    roleOf(stray.hand), stray.hand.surface())
                            .value()));
            Meta meta = Meta.typed(roleOf(stray.hand).type());
            written.put(place, tokens.with(path, new Token(value, reason.isBlank() ? meta : meta.described(reason))));
        }
        List<SitePart> parts = new ArrayList<>();
        pages.values().forEach(page -> parts.add(SitePart.Page.of(page)));
        parts.addAll(others);
        written.forEach((place, tokens) -> parts.add(new SitePart.Written(place, tokens)));
        String what = strays.size() == 1 ? strays.get(0).hand.value() : strays.size() + " values";
        return new SiteEdit(lifted.map(path -> what + " as " + path).orElse("kept " + what), parts);
    }

    /** Strays on pages as they are; of each in the style sheet every element that it reaches. */
    private static List<Stray> everyElement(SiteDocument site, List<Stray> strays) {
        if (strays.stream().noneMatch(Strays::isOfSheet)) return strays;
        Map<Integer, List<Stray>> reached = ofSheet(site);
        List<Stray> all = new ArrayList<>();
        for (Stray stray : strays)
            if (isOfSheet(stray)) all.addAll(reached.getOrDefault(stray.hand.at(), List.of()));
            else all.add(stray);
        if (all.size() > MOST_ELEMENTS)
            throw new IllegalArgumentException("That would be written at " + all.size() + " elements, of at most "
                    + MOST_ELEMENTS + ". Write the role at a wider place instead: the page, its kind or the site.");
        return all;
    }

    /** What strays of one value are as a token. @throws IllegalArgumentException when they are of several kinds */
    public static Token lifted(List<Stray> strays) {
        List<TokenType> types = strays.stream().map(Strays::type).distinct().toList();
        if (types.size() != 1)
            throw new IllegalArgumentException("These values are of several kinds; lift those of one kind together.");
        return new Token(ValueText.parse(types.get(0), strays.get(0).hand.value()), Meta.typed(types.get(0)));
    }

    private static TokenType type(Stray stray) {
        Role role = roleOf(stray.hand);
        return role.type() == TokenType.TYPOGRAPHY
                ? TypographyValue.typeOf(Member.of(stray.hand.reading()).part())
                : role.type();
    }

    /** A stray as the value of its role; of a text style the one member that it is. */
    private static TokenValue value(Stray stray, Optional<TokenPath> lifted, TokenValue now) {
        TokenValue value =
                lifted.<TokenValue>map(Alias::new).orElseGet(() -> ValueText.parse(type(stray), stray.hand.value()));
        if (now instanceof TypographyValue style) {
            return style.withPart(Member.of(stray.hand.reading()).part(), value);
        }
        return value;
    }
}
