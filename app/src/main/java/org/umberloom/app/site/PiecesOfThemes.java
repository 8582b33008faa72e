package org.umberloom.app.site;

import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionPhase;
import org.springframework.transaction.event.TransactionalEventListener;
import org.umberloom.app.account.Account;
import org.umberloom.app.theme.Draft;
import org.umberloom.app.theme.DraftService;
import org.umberloom.app.theme.PiecesChanged;
import org.umberloom.app.web.Unreadable;
import org.umberloom.core.site.SiteDocument;
import org.umberloom.core.site.SitePiece;
import org.umberloom.core.site.SitePieces;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.SharedPiece;

/**
 * Keeps the pieces of a theme alike in all sites that wear it: what a theme's log says of them is brought into the sites, and what
 * is changed in one site goes to the theme and from there to the others.
 */
@Component
class PiecesOfThemes {
    private static final Logger LOG = LoggerFactory.getLogger(PiecesOfThemes.class);

    private final SiteDrafts drafts;
    private final SiteMapper sites;
    private final DraftService themes;

    PiecesOfThemes(SiteDrafts drafts, SiteMapper sites, DraftService themes) {
        this.drafts = drafts;
        this.sites = sites;
        this.themes = themes;
    }

    /** Also where they were changed, or taken back, on the bench of the theme: in one transaction, with every site or not at all. */
    @TransactionalEventListener(phase = TransactionPhase.BEFORE_COMMIT)
    void changed(PiecesChanged change) {
        followAll(change.theme(), change.pieces(), change.by());
    }

    private void followAll(long theme, Map<String, SharedPiece> pieces, long by) {
        for (Site site : sites.all()) if (site.themeId() == theme) follow(site.slug(), pieces, by);
    }

    /** A site with its theme's pieces as they are now; one that cannot be brought along keeps no other from it. */
    private void follow(String site, Map<String, SharedPiece> pieces, long by) {
        try {
            drafts.edit(site, Optional.empty(), draft -> SitePieces.following(draft.site(), pieces), by);
        } catch (IllegalArgumentException | NoSuchElementException | Unreadable e) {
            LOG.warn("the site {} did not take the pieces of its theme: {}", site, e.getMessage());
        }
    }

    /** What was changed of the theme's pieces in one site, to the theme, from which all others take it. */
    void tell(SiteDocument before, SiteDraft after, Account by) {
        Map<String, SharedPiece> ofTheme =
                SharedPiece.of(themes.newest(after.themeId()).theme());
        boolean another = false;
        for (SitePiece piece : after.site().pieces().values()) {
            SitePiece was = before.pieces().get(piece.name());
            if (!piece.ofTheme() || piece.equals(was)) continue;
            // A piece of the theme before, back by an undo across the switch, is none of this theme.
            if (!ofTheme.containsKey(piece.name())) another = true;
            else if (!ofTheme.get(piece.name()).equals(piece.shared()))
                set(after.themeId(), piece.name(), Optional.of(piece.shared()), by);
        }
        if (another) follow(after.site().slug(), ofTheme, by.id());
    }

    /** Gives a piece of a site to the theme, or takes it back: then every site keeps it as its own. */
    void share(String site, String name, boolean shared, Account by) {
        SiteDraft draft = drafts.newest(site);
        SitePiece piece = draft.site().piece(name);
        for (Site other : sites.all())
            if (shared && other.themeId() == draft.themeId() && !other.slug().equals(site)) {
                SitePiece own = drafts.find(other)
                        .map(found -> found.site().pieces().get(name))
                        .orElse(null);
                if (own != null && !own.ofTheme())
                    throw new IllegalArgumentException("“" + other.name() + "” has a piece “" + own.title()
                            + "” of its own under the same short name. Dissolve it there first.");
            }
        set(draft.themeId(), name, shared ? Optional.of(piece.shared()) : Optional.empty(), by);
    }

    /** The sites have it when this returns. */
    private void set(long theme, String name, Optional<SharedPiece> piece, Account by) {
        Draft now = themes.amend(theme, newest -> new Edit.SetPiece(name, piece), by);
        followAll(theme, SharedPiece.of(now.theme()), by.id());
    }
}
