package org.umberloom.core.site;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.umberloom.core.page.Pieces;
import org.umberloom.core.theme.SharedPiece;
import org.umberloom.core.theme.ThemeDocument;

/**
 * What changes in a site when it is given another theme: what the switch to the theme before had changed is taken back, what does not
 * fit is fitted where that is wanted, and the pieces of the new theme are added. So a site that returns to a theme is as it was.
 */
public final class ThemeSwitch {
    /** The edit with which a site came to its theme, and the edit that takes it back. */
    public record Arrival(SiteEdit edit, SiteEdit inverse) {}

    /** What happens to a piece, in words. */
    public record PieceChange(String title, String what) {}

    private ThemeSwitch() {}

    /**
     * @param arrival how the site came to the old theme; none where that changed nothing
     * @param fitted  whether what does not fit the next theme is replaced by what is nearest
     */
    public static SiteEdit of(
            SiteDocument site, Optional<Arrival> arrival, ThemeDocument old, ThemeDocument next, boolean fitted) {
        SiteDocument after = arrival.map(one -> takenBack(site, one)).orElse(site);
        if (fitted)
            after = Wearing.remedied(after, Wearing.of(after, old, next))
                    .applyTo(after)
                    .site();
        after = SitePieces.following(after, SharedPiece.of(next)).applyTo(after).site();
        return SiteEdit.between("changes for the theme “" + next.name() + "”", site, after);
    }

    /** What becomes of pieces between a site and the same site after a switch. */
    public static List<PieceChange> pieces(SiteDocument before, SiteDocument after) {
        Set<String> names = new TreeSet<>(before.pieces().keySet());
        names.addAll(after.pieces().keySet());
        List<PieceChange> changes = new ArrayList<>();
        for (String name : names) {
            SitePiece was = before.pieces().get(name);
            SitePiece is = after.pieces().get(name);
            if (was == null) changes.add(new PieceChange(is.title(), "is added to " + pages(after.holding(name))));
            else if (is == null)
                changes.add(new PieceChange(was.title(), "is removed from " + pages(before.holding(name))));
            else if (was.ofTheme() && !is.ofTheme())
                changes.add(new PieceChange(was.title(), "stays, as a piece of this site alone"));
            else if (!was.equals(is))
                changes.add(
                        new PieceChange(is.title(), "is shown as the theme has it, on " + pages(after.holding(name))));
        }
        return changes;
    }

    private static String pages(List<SitePage> pages) {
        return pages.size() + (pages.size() == 1 ? " page" : " pages");
    }

    /** What was changed since stays; pages among it lose the pieces that came with the theme. */
    private static SiteDocument takenBack(SiteDocument site, Arrival arrival) {
        Map<String, SitePart> before = new HashMap<>();
        arrival.inverse.parts().forEach(part -> before.put(part.key(), part));
        Set<String> leaving = new HashSet<>();
        for (SitePart part : arrival.edit.parts())
            if (part instanceof SitePart.Piece piece
                    && before.get(part.key()) instanceof SitePart.Piece was
                    && was.piece().isEmpty()
                    && Optional.ofNullable(site.pieces().get(piece.name()))
                            .filter(SitePiece::ofTheme)
                            .isPresent()) leaving.add(piece.name());
        List<SitePart> parts = new ArrayList<>();
        for (SitePart part : arrival.edit.parts()) {
            SitePart was = before.get(part.key());
            boolean came = part instanceof SitePart.Piece piece && leaving.contains(piece.name());
            if (was != null && (came || part.from(site).equals(part))) parts.add(was);
        }
        SiteDocument after = new SiteEdit("", parts).applyTo(site).site();
        for (SitePage page : after.pages()) {
            String html = page.html();
            for (String name : leaving) if (Pieces.of(html).containsKey(name)) html = Pieces.takenOff(html, name);
            if (!html.equals(page.html())) after = after.withPage(page.withHtml(html));
        }
        return after;
    }
}
