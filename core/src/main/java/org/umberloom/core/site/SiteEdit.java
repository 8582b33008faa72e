package org.umberloom.core.site;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Group;

/** A change of a site: parts that take the place of others, all or none. */
public record SiteEdit(String label, List<SitePart> parts) {
    /** A site after an edit, and the edit that takes it back exactly. */
    public record Applied(SiteDocument site, SiteEdit inverse) {}

    public SiteEdit {
        parts = List.copyOf(parts);
    }

    /** @throws IllegalArgumentException when what it leads to is no site */
    public Applied applyTo(SiteDocument site) {
        SiteDocument changed = site;
        List<SitePart> back = new ArrayList<>();
        for (SitePart part : parts) {
            back.add(0, part.from(changed));
            changed = part.in(changed);
        }
        // A page that comes back comes back to where it stood.
        SitePart order = new SitePart.Order(List.of());
        if (!order.from(site).equals(order.from(changed))) back.add(order.from(site));
        return new Applied(changed, new SiteEdit(label, back));
    }

    /** Whether another changes a part of the site that this one changes too. */
    public boolean meets(SiteEdit other) {
        Set<String> keys = new HashSet<>();
        parts.forEach(part -> keys.add(part.key()));
        return other.parts.stream().anyMatch(part -> keys.contains(part.key()));
    }

    /** The edit that leads from one state of a site to another. */
    public static SiteEdit between(String label, SiteDocument from, SiteDocument to) {
        List<SitePart> parts = new ArrayList<>(List.of(
                new SitePart.OfPlate(to.plate()),
                new SitePart.Look(to.look(), to.scheme()),
                new SitePart.OwnCss(to.css())));
        both(from.pages(), to.pages(), SitePage::slug)
                .forEach(slug -> parts.add(new SitePart.Page(slug, to.find(slug))));
        both(from.pieces().keySet(), to.pieces().keySet(), name -> name)
                .forEach(name -> parts.add(
                        new SitePart.Piece(name, Optional.ofNullable(to.pieces().get(name)))));
        both(from.written().keySet(), to.written().keySet(), place -> place)
                .forEach(place ->
                        parts.add(new SitePart.Written(place, to.written().getOrDefault(place, Group.EMPTY))));
        SitePart order = new SitePart.Order(List.of()).from(to);
        parts.add(order);
        return new SiteEdit(
                label,
                parts.stream().filter(part -> !part.from(from).equals(part)).toList());
    }

    private static <T, K> Set<K> both(Collection<T> from, Collection<T> to, Function<T, K> key) {
        return Stream.concat(from.stream(), to.stream()).map(key).collect(Collectors.toCollection(LinkedHashSet::new));
    }

    /** What an edit of a theme as it is worn changed at the places of a site. */
    public static SiteEdit between(String label, SiteDocument site, ThemeDocument worn) {
        Map<Place.InScope, Group> after = worn.ofSites();
        Set<Place.InScope> places = new TreeSet<>(site.written().keySet());
        after.keySet().stream()
                .filter(place -> place.scope().site().equals(site.slug()))
                .forEach(places::add);
        List<SitePart> parts = new ArrayList<>();
        for (Place.InScope place : places) {
            Group tokens = after.getOrDefault(place, Group.EMPTY);
            if (!tokens.equals(site.written().getOrDefault(place, Group.EMPTY)))
                parts.add(new SitePart.Written(place, tokens));
        }
        return new SiteEdit(label, parts);
    }
}
