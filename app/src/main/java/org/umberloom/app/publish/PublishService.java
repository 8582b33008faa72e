package org.umberloom.app.publish;

import java.security.SecureRandom;
import java.time.Clock;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.TreeMap;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Service;
import org.umberloom.app.account.Account;
import org.umberloom.app.kit.KitFiles;
import org.umberloom.app.release.ReleaseService;
import org.umberloom.app.release.States;
import org.umberloom.app.site.Site;
import org.umberloom.app.site.SiteDrafts;
import org.umberloom.app.site.SiteService;
import org.umberloom.app.theme.Commits;
import org.umberloom.app.web.ApplicationClock;
import org.umberloom.core.format.KitManifest;
import org.umberloom.core.token.Fingerprint;

/** Sites as they are published: builds that stay as they were made, and which of them is live. */
@Service
public class PublishService {
    private static final int TOKEN_BYTES = 16;
    private static final int FILES_AT_ONCE = 200;

    /**
     * @param address of its first page, which others can be given
     * @param same    whether the site and its release are still what it was made of
     */
    public record BuildView(
            int number,
            String release,
            int siteRevision,
            String address,
            long bytes,
            String person,
            String at,
            boolean live,
            boolean same) {}

    /** From when a build was live. */
    public record WasLive(int number, String person, String since) {}

    /**
     * @param standsOn the release that the next build is made of; empty where there is none
     * @param live     the number of the build that is live; 0 for none
     * @param edits    of the site since that one was made
     */
    public record Published(String standsOn, int live, int edits, List<BuildView> builds, List<WasLive> before) {}

    /** Who brings sites to other machines. */
    public interface Elsewhere {
        /** Whether readers see a site from somewhere else than from here. */
        boolean serves(long site);
    }

    private final BuildMapper builds;
    private final SiteService sites;
    private final SiteDrafts drafts;
    private final ReleaseService releases;
    private final KitFiles kits;
    private final Commits commits;
    private final ObjectProvider<Elsewhere> elsewhere;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    PublishService(
            BuildMapper builds,
            SiteService sites,
            SiteDrafts drafts,
            ReleaseService releases,
            KitFiles kits,
            Commits commits,
            ObjectProvider<Elsewhere> elsewhere,
            Clock clock) {
        this.builds = builds;
        this.sites = sites;
        this.drafts = drafts;
        this.releases = releases;
        this.kits = kits;
        this.commits = commits;
        this.elsewhere = elsewhere;
        this.clock = clock;
    }

    Published of(String slug) {
        Site site = sites.get(slug);
        int revision = drafts.newest(slug).revision();
        Optional<States.State> stands = releases.standing(slug);
        Map<Long, String> numbers = releases.numbers(site.themeId());
        List<BuildMapper.LiveRow> live = builds.live(site.id());
        int now = live.stream().findFirst().map(BuildMapper.LiveRow::number).orElse(0);
        List<BuildView> views = new ArrayList<>();
        int edits = 0;
        for (BuildMapper.BuildRow row : builds.all(site.id())) {
            boolean same = row.siteRevision() == revision
                    && stands.flatMap(States.State::release).equals(Optional.of(row.releaseId()));
            if (row.number() == now) edits = revision - row.siteRevision();
            views.add(new BuildView(
                    row.number(),
                    numbers.getOrDefault(row.releaseId(), ""),
                    row.siteRevision(),
                    "/builds/" + row.token() + "/pages/" + slug + "/",
                    row.bytes(),
                    row.person(),
                    row.madeAt() + "Z",
                    row.number() == now,
                    same));
        }
        return new Published(
                stands.map(States.State::name).orElse(""),
                now,
                edits,
                views,
                live.stream()
                        .map(row -> new WasLive(row.number(), row.person(), row.since() + "Z"))
                        .toList());
    }

    /**
     * Makes a build of a site as it is, in the release that it stands on. It is not live by that.
     *
     * @throws IllegalArgumentException where it stands on none, or has no page to begin with
     */
    public Published build(String slug, Account by) {
        Site site = sites.get(slug);
        States.State stands = releases.standing(slug)
                .orElseThrow(() -> new IllegalArgumentException("“" + site.name()
                        + "” stands on no release yet. Take one first; a draft is never published. Nothing was made."));
        int revision = drafts.newest(slug).revision();
        if (sites.document(site).find("index").isEmpty())
            throw new IllegalArgumentException("“" + site.name()
                    + "” has no page “index”, which an address without a page would show. Nothing was made.");
        Map<String, byte[]> files = kits.ofRelease(stands.theme(), site, stands.name());
        Map<String, String> hashes = new LinkedHashMap<>();
        files.forEach((name, content) -> hashes.put(name, Fingerprint.of(content)));
        commits.store(() -> {
            long id = builds.lock(slug).orElseThrow();
            BuildMapper.NewBuild row = new BuildMapper.NewBuild(
                    id,
                    builds.nextNumber(id),
                    stands.release().orElseThrow(),
                    revision,
                    hashes.get(KitManifest.FILE),
                    token(),
                    files.values().stream().mapToLong(content -> content.length).sum(),
                    by.id(),
                    now());
            builds.add(row);
            files.forEach((name, content) -> builds.keep(new BuildMapper.Content(hashes.get(name), content)));
            List<BuildMapper.FileRow> rows = hashes.entrySet().stream()
                    .map(file -> new BuildMapper.FileRow(file.getKey(), file.getValue()))
                    .toList();
            for (int from = 0; from < rows.size(); from += FILES_AT_ONCE)
                builds.addFiles(row.id(), rows.subList(from, Math.min(from + FILES_AT_ONCE, rows.size())));
            return null;
        });
        return of(slug);
    }

    /**
     * Puts a build of a site live that readers see from here.
     *
     * @throws IllegalArgumentException where they see it from somewhere else
     */
    Published putLiveHere(String slug, int number, Account by) {
        Site site = sites.get(slug);
        if (elsewhere.stream().anyMatch(one -> one.serves(site.id())))
            throw new IllegalArgumentException("Readers see “" + site.name()
                    + "” on its host: a build is live when it is delivered there. Nothing was changed.");
        return putLive(slug, number, by);
    }

    /** The files of a build by their names. @throws NoSuchElementException when there is no such build */
    public Map<String, byte[]> files(String slug, int number) {
        Site site = sites.get(slug);
        Map<String, byte[]> files = new TreeMap<>();
        builds.whole(site.id(), number).forEach(file -> files.put(file.name(), file.content()));
        if (files.isEmpty()) throw none(site, number);
        return files;
    }

    private static NoSuchElementException none(Site site, int number) {
        return new NoSuchElementException("“" + site.name() + "” has no build " + number + ". Nothing was changed.");
    }

    /** Notes that a build is live, an earlier one too. @throws NoSuchElementException when there is no such build */
    public Published putLive(String slug, int number, Account by) {
        Site site = sites.get(slug);
        BuildMapper.BuildRow row = builds.all(site.id()).stream()
                .filter(one -> one.number() == number)
                .findFirst()
                .orElseThrow(() -> none(site, number));
        commits.store(() -> {
            builds.lock(slug);
            boolean already = builds.live(site.id()).stream()
                    .findFirst()
                    .map(live -> live.buildId() == row.id())
                    .orElse(false);
            if (!already) builds.putLive(site.id(), row.id(), by.id(), now());
            return null;
        });
        return of(slug);
    }

    /** A file of a build by what stands in its address. @throws NoSuchElementException when there is none */
    byte[] file(String token, String name) {
        return builds.file(token, name)
                .map(BuildMapper.Held::content)
                .orElseThrow(() -> new NoSuchElementException("There is nothing at this address."));
    }

    private String token() {
        byte[] bytes = new byte[TOKEN_BYTES];
        random.nextBytes(bytes);
        return HexFormat.of().formatHex(bytes);
    }

    private LocalDateTime now() {
        return ApplicationClock.now(clock);
    }
}
