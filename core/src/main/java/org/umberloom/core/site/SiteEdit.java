package org.umberloom.core.site;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
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
