package org.umberloom.app.site;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.security.Principal;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.umberloom.app.account.Account;
import org.umberloom.app.account.AccountService;
import org.umberloom.core.format.PageChangeJson;
import org.umberloom.core.site.SiteEdits;
import org.umberloom.core.site.SitePieces;

/** One page of a site, what it is laid out of, and the pieces that pages share. */
@RestController
@RequestMapping("/api/sites/{site}")
class PageWorkController {
    /** @param change what to do, as {@link PageChangeJson} reads it */
    record PageChanged(@NotNull Integer base, @NotNull Map<String, Object> change) {}

    /** @param at where the element stands in the page's body */
    record PieceBegun(
            @NotNull Integer base,
            @NotBlank String page,
            @NotNull Integer at,
            @NotBlank @Size(max = 120) String title,
            boolean everywhere,
            @NotNull @Size(max = 50) List<@NotBlank String> kinds) {}

    record PieceSpread(Integer base, boolean everywhere, @NotNull @Size(max = 50) List<@NotBlank String> kinds) {}

    record PieceNamed(Integer base, @NotBlank @Size(max = 120) String title) {}

    private final SiteWork work;
    private final PageViews views;
    private final AccountService accounts;

    PageWorkController(SiteWork work, PageViews views, AccountService accounts) {
        this.work = work;
        this.views = views;
        this.accounts = accounts;
    }

    private Account by(Principal principal) {
        return accounts.get(principal.getName());
    }

    @GetMapping("/pages/{page}")
    PageViews.PageLaid page(@PathVariable String site, @PathVariable String page) {
        return views.page(site, page);
    }

    /** Changes what a page is laid out of, so that its looks can be tried. */
    @PostMapping("/pages/{page}/change")
    SiteDrafts.Stacks change(
            @PathVariable String site,
            @PathVariable String page,
            @Valid @RequestBody PageChanged changed,
            Principal principal) {
        return work.edit(
                site,
                changed.base(),
                old -> SiteEdits.change(old, page, PageChangeJson.read(changed.change())),
                by(principal));
    }

    /** Makes an element a piece, and puts it where it belongs. */
    @PostMapping("/pieces")
    SiteDrafts.Stacks begin(@PathVariable String site, @Valid @RequestBody PieceBegun piece, Principal principal) {
        return work.edit(
                site,
                piece.base(),
                old -> SitePieces.begin(
                        old,
                        piece.page(),
                        piece.at(),
                        piece.title(),
                        piece.everywhere(),
                        new LinkedHashSet<>(piece.kinds())),
                by(principal));
    }

    /** Where a piece stands from now on. */
    @PutMapping("/pieces/{piece}/spread")
    SiteDrafts.Stacks spread(
            @PathVariable String site,
            @PathVariable String piece,
            @Valid @RequestBody PieceSpread spread,
            Principal principal) {
        return work.edit(
                site,
                spread.base(),
                old -> SitePieces.spread(old, piece, spread.everywhere(), new LinkedHashSet<>(spread.kinds())),
                by(principal));
    }

    @PutMapping("/pieces/{piece}/title")
    SiteDrafts.Stacks rename(
            @PathVariable String site,
            @PathVariable String piece,
            @Valid @RequestBody PieceNamed named,
            Principal principal) {
        return work.edit(site, named.base(), old -> SitePieces.rename(old, piece, named.title()), by(principal));
    }

    @PutMapping("/pieces/{piece}/pages/{page}")
    SiteDrafts.Stacks put(
            @PathVariable String site, @PathVariable String piece, @PathVariable String page, Principal principal) {
        return work.edit(site, null, old -> SitePieces.place(old, piece, page, true), by(principal));
    }

    @DeleteMapping("/pieces/{piece}/pages/{page}")
    SiteDrafts.Stacks takeOff(
            @PathVariable String site, @PathVariable String piece, @PathVariable String page, Principal principal) {
        return work.edit(site, null, old -> SitePieces.place(old, piece, page, false), by(principal));
    }

    /** Gives a piece to the theme, so that every site that wears it shows the piece; edits in any site are then edits in all. */
    @PutMapping("/pieces/{piece}/shared")
    SiteDrafts.Stacks share(@PathVariable String site, @PathVariable String piece, Principal principal) {
        return work.share(site, piece, true, by(principal));
    }

    /** Takes a piece from the theme: every site keeps it as its own. */
    @DeleteMapping("/pieces/{piece}/shared")
    SiteDrafts.Stacks unshare(@PathVariable String site, @PathVariable String piece, Principal principal) {
        return work.share(site, piece, false, by(principal));
    }

    /** No piece any more: on every page what it was is markup of that page's own. */
    @DeleteMapping("/pieces/{piece}")
    SiteDrafts.Stacks dissolve(@PathVariable String site, @PathVariable String piece, Principal principal) {
        return work.edit(site, null, old -> SitePieces.dissolve(old, piece), by(principal));
    }
}
