package org.umberloom.app.site;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.security.Principal;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;
import org.umberloom.app.account.Account;
import org.umberloom.app.account.AccountService;
import org.umberloom.app.web.Downloads;
import org.umberloom.app.web.HeavyWork;
import org.umberloom.app.web.Uploads;
import org.umberloom.core.format.KitArchive;
import org.umberloom.core.page.Nameplate;
import org.umberloom.core.page.PageMarkup;
import org.umberloom.core.site.SchemePolicy;
import org.umberloom.core.site.SiteEdits;
import org.umberloom.core.site.ThemeSwitch;

/** Sites: the cloth of all, one as a whole, and what is done to it. An edit names the revision it was made on. */
@RestController
@RequestMapping("/api")
class SiteWorkController {
    /**
     * @param look   contexts that it stands in, by modifier; the theme's defaults where none are named
     * @param scheme reader, light or dark; reader where none is named
     */
    record NewSite(
            @NotBlank @Size(max = 120) String name,
            @NotNull Long theme,
            @Size(max = 20) List<@NotBlank String> kinds,
            @Size(max = 20) Map<String, String> look,
            String scheme) {
        SiteWork.Wanted wanted() {
            return new SiteWork.Wanted(
                    name,
                    theme,
                    kinds == null ? List.of() : kinds,
                    look == null ? Map.of() : look,
                    scheme == null || scheme.isBlank() ? SchemePolicy.READER : SchemePolicy.byId(scheme));
        }
    }

    record SiteNamed(@Size(max = 120) String name) {}

    /** Pictures by their names; empty for none. */
    record Plate(
            Integer base,
            @NotBlank @Size(max = 120) String name,
            @NotNull @Size(max = 300) String tagline,
            @NotNull @Size(max = 120) String logo,
            @NotNull @Size(max = 120) String logoDark,
            @NotNull @Size(max = 120) String icon) {
        Nameplate nameplate() {
            return new Nameplate(name.trim(), tagline.trim(), logo, logoDark, icon);
        }
    }

    record LookWanted(Integer base, @NotNull Map<String, String> contexts, @NotBlank String scheme) {}

    /** @param fitted whether what does not fit is changed to what is nearest */
    record ThemeWanted(@NotNull Long theme, boolean fitted) {}

    /** @param remedy what would fit, in words; empty where nothing does or needs to */
    record UnfitView(String what, String why, String remedy) {}

    record ThemeTrial(List<UnfitView> unfit, List<ThemeSwitch.PieceChange> pieces) {}

    record NewPage(Integer base, @NotBlank @Size(max = 60) String kind, @NotBlank @Size(max = 120) String title) {}

    record Described(Integer base, @NotBlank @Size(max = 120) String title, @NotBlank @Size(max = 60) String kind) {}

    record Ordered(Integer base, @NotNull @Size(max = 500) List<@NotBlank String> pages) {}

    record Followed(Integer base, @NotBlank @Size(max = 600) String place, @Size(max = 600) String path) {}

    record SiteCreated(String slug) {}

    private final SiteWork work;
    private final SiteService sites;
    private final SiteViews views;
    private final ClothService cloth;
    private final AccountService accounts;
    private final HeavyWork heavy;

    SiteWorkController(
            SiteWork work,
            SiteService sites,
            SiteViews views,
            ClothService cloth,
            AccountService accounts,
            HeavyWork heavy) {
        this.sites = sites;
        this.heavy = heavy;
        this.work = work;
        this.views = views;
        this.cloth = cloth;
        this.accounts = accounts;
    }

    private Account by(Principal principal) {
        return accounts.get(principal.getName());
    }

    /** Every site against the groups of roles. */
    @GetMapping("/cloth")
    ClothService.Cloth cloth() {
        return cloth.cloth();
    }

    /** The kinds that a new page can begin as. */
    @GetMapping("/page-kinds")
    List<String> kinds() {
        return PageMarkup.kinds();
    }

    @GetMapping("/sites/{site}")
    SiteViews.WholeSite site(@PathVariable String site) {
        return views.site(site);
    }

    @PostMapping("/sites")
    SiteCreated create(@Valid @RequestBody NewSite wanted, Principal principal) {
        return new SiteCreated(work.create(wanted.wanted(), by(principal)));
    }

    @PostMapping("/sites/{site}/copy")
    SiteCreated copy(@PathVariable String site, @Valid @RequestBody SiteNamed wanted, Principal principal) {
        return new SiteCreated(work.copy(site, wanted.name() == null ? "" : wanted.name(), by(principal)));
    }

    /** The site as files in one archive, from which it comes in again as it is. */
    @GetMapping(value = "/sites/{site}/archive.zip", produces = "application/zip")
    ResponseEntity<byte[]> archive(@PathVariable String site) {
        return Downloads.archive(site + ".zip", KitArchive.write(sites.files(sites.get(site))));
    }

    /** What is stored of a site, as it is: for one that cannot be shown. */
    @GetMapping(value = "/sites/{site}/stored.zip", produces = "application/zip")
    ResponseEntity<byte[]> stored(@PathVariable String site) {
        return Downloads.archive(site + "-as-stored.zip", KitArchive.write(sites.stored(sites.get(site))));
    }

    /** Takes in a site: an archive of one, an archive of plain pages, or pages by themselves. */
    @PostMapping(value = "/sites/archive", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    SiteWork.Arrived take(@RequestPart List<MultipartFile> file, @RequestParam long theme, Principal principal) {
        return heavy.read(() -> {
            Map<String, byte[]> files = new LinkedHashMap<>();
            for (MultipartFile one : file) {
                String name = Uploads.name(one, "a file");
                if (name.toLowerCase(Locale.ROOT).endsWith(".zip"))
                    files.putAll(KitArchive.read(Uploads.bytes(one), KitArchive.Of.PAGES));
                else files.put(name, Uploads.bytes(one));
            }
            String called = Uploads.name(file.get(0), "A site").replaceFirst("\\.[^.]*$", "");
            return work.take(called, files, theme, by(principal));
        });
    }

    /** @param at when it was put away */
    record AwayView(String slug, String name, String at) {}

    /** The sites that are put away, the latest first. */
    @GetMapping("/sites-away")
    List<AwayView> away() {
        return work.away().stream()
                .map(row -> new AwayView(row.slug(), row.name(), row.at() + "Z"))
                .toList();
    }

    /** Off every bench and out of the cloth; nothing of it is lost. */
    @PutMapping("/sites/{site}/away")
    void putAway(@PathVariable String site) {
        work.putAway(site, true);
    }

    @DeleteMapping("/sites/{site}/away")
    void bringBack(@PathVariable String site) {
        work.putAway(site, false);
    }

    /** For good. @param name of the site, so that nothing goes by mistake */
    @DeleteMapping("/sites/{site}")
    void delete(@PathVariable String site, @RequestParam String name) {
        work.delete(site, name);
    }

    /** What was done to a site, the newest first. @param before the number of an entry; those before it are listed */
    @GetMapping("/sites/{site}/history")
    List<SiteViews.DoneView> history(
            @PathVariable String site,
            @RequestParam(required = false) Integer before,
            @RequestParam(defaultValue = "50") @Max(200) int most) {
        return views.history(site, before == null ? Integer.MAX_VALUE : before, most);
    }

    @PutMapping("/sites/{site}/nameplate")
    SiteDrafts.Stacks nameplate(@PathVariable String site, @Valid @RequestBody Plate plate, Principal principal) {
        return work.nameplate(site, plate.base(), plate.nameplate(), by(principal));
    }

    @PutMapping("/sites/{site}/look")
    SiteDrafts.Stacks look(@PathVariable String site, @Valid @RequestBody LookWanted look, Principal principal) {
        return work.look(site, look.base(), look.contexts(), look.scheme(), by(principal));
    }

    /** What would become of the site under a theme. */
    @GetMapping("/sites/{site}/unfit")
    ThemeTrial unfit(@PathVariable String site, @RequestParam long theme) {
        SiteWork.Switch trial = work.trial(site, theme);
        return new ThemeTrial(
                trial.unfit().stream()
                        .map(one -> new UnfitView(one.what(), one.why(), one.remedy()))
                        .toList(),
                trial.pieces());
    }

    @PutMapping("/sites/{site}/theme")
    void wear(@PathVariable String site, @Valid @RequestBody ThemeWanted wanted, Principal principal) {
        work.wear(site, wanted.theme(), wanted.fitted(), by(principal));
    }

    /** What the site wore before is not kept any longer. */
    @DeleteMapping("/sites/{site}/wore/{theme}")
    void forgetWore(@PathVariable String site, @PathVariable long theme) {
        work.forgetWore(site, theme);
    }

    @PostMapping("/sites/{site}/pages")
    SiteDrafts.Stacks addPage(@PathVariable String site, @Valid @RequestBody NewPage page, Principal principal) {
        return work.edit(site, page.base(), old -> SiteEdits.addPage(old, page.kind(), page.title()), by(principal));
    }

    @PostMapping("/sites/{site}/pages/{page}/copy")
    SiteDrafts.Stacks copyPage(@PathVariable String site, @PathVariable String page, Principal principal) {
        return work.edit(site, null, old -> SiteEdits.copyPage(old, page), by(principal));
    }

    @PutMapping("/sites/{site}/pages/{page}")
    SiteDrafts.Stacks describePage(
            @PathVariable String site,
            @PathVariable String page,
            @Valid @RequestBody Described described,
            Principal principal) {
        return work.edit(
                site,
                described.base(),
                old -> SiteEdits.describePage(old, page, described.title(), described.kind()),
                by(principal));
    }

    @DeleteMapping("/sites/{site}/pages/{page}")
    SiteDrafts.Stacks removePage(@PathVariable String site, @PathVariable String page, Principal principal) {
        return work.edit(site, null, old -> SiteEdits.removePage(old, page), by(principal));
    }

    @PutMapping("/sites/{site}/order")
    SiteDrafts.Stacks order(@PathVariable String site, @Valid @RequestBody Ordered ordered, Principal principal) {
        return work.edit(site, ordered.base(), old -> SiteEdits.order(ordered.pages()), by(principal));
    }

    /** What is written at a place follows what is wider again: one path, or everything. */
    @PostMapping("/sites/{site}/follow")
    SiteDrafts.Stacks follow(@PathVariable String site, @Valid @RequestBody Followed followed, Principal principal) {
        return work.follow(site, followed.base(), followed.place(), followed.path(), by(principal));
    }
}
