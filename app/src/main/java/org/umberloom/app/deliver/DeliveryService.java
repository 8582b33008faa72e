package org.umberloom.app.deliver;

import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.umberloom.app.account.Account;
import org.umberloom.app.publish.PublishService;
import org.umberloom.app.site.Site;
import org.umberloom.app.site.SiteService;
import org.umberloom.app.theme.Commits;
import org.umberloom.app.web.ApplicationClock;
import org.umberloom.core.delivery.Build;
import org.umberloom.core.delivery.Delivery;
import org.umberloom.core.delivery.DeliveryPlan;
import org.umberloom.core.delivery.HostFault;

/** Brings builds of sites to their hosts, one at a time for each site, while people look on. A build that arrived is live. */
@Service
class DeliveryService implements PublishService.Elsewhere {
    private static final Logger LOG = LoggerFactory.getLogger(DeliveryService.class);
    private static final int AT_ONCE = 3;
    /** One that was silent for so long was broken off: its process says four times a second that it is there. */
    private static final Duration LONGEST_SILENCE = Duration.ofSeconds(5);

    private static final Duration BEAT = Duration.ofMillis(250);
    private static final int LONGEST_SAID = 1_000;
    private static final String GOING = "going";
    private static final String BROKEN = "broken";

    /**
     * @param state going, done, stopped, failed or broken
     * @param files of {@code ofFiles} that are there
     * @param sent  how many had to be sent; the others were there
     */
    record DeliveryView(
            long id,
            String host,
            int number,
            String state,
            String said,
            int files,
            int ofFiles,
            long bytes,
            long ofBytes,
            int sent,
            String person,
            String startedAt,
            String endedAt) {}

    /**
     * @param host  none where readers see the site from here; then the others are empty
     * @param place its folder there
     * @param seen  where readers see it
     */
    record SiteDelivery(Long host, String name, String place, String seen, List<DeliveryView> deliveries) {}

    record FileSent(String path, long bytes) {}

    /**
     * What a delivery would do.
     *
     * @param folder that the build stands in there
     * @param there  whether the whole build is there already
     * @param live   the folder that is live; empty for none
     * @param linked how many files the build that is live has, too
     * @param bytes  that would be sent
     * @param remove folders of builds that would be removed
     */
    record PlanView(
            String folder,
            boolean there,
            String live,
            List<FileSent> send,
            int linked,
            long bytes,
            List<String> remove) {}

    private final DeliveryMapper deliveries;
    private final HostService hosts;
    private final SiteService sites;
    private final PublishService publishing;
    private final Commits commits;
    private final Clock clock;
    private final ExecutorService work = Executors.newFixedThreadPool(AT_ONCE, task -> thread(task, "delivery"));
    private final ScheduledExecutorService beating =
            Executors.newSingleThreadScheduledExecutor(task -> thread(task, "delivery-beat"));

    DeliveryService(
            DeliveryMapper deliveries,
            HostService hosts,
            SiteService sites,
            PublishService publishing,
            Commits commits,
            Clock clock) {
        this.deliveries = deliveries;
        this.hosts = hosts;
        this.sites = sites;
        this.publishing = publishing;
        this.commits = commits;
        this.clock = clock;
    }

    private static Thread thread(Runnable task, String name) {
        Thread thread = new Thread(task, name);
        thread.setDaemon(true);
        return thread;
    }

    @PreDestroy
    void end() {
        work.shutdownNow();
        beating.shutdownNow();
    }

    @Override
    public boolean serves(long site) {
        return hosts.place(site).isPresent();
    }

    SiteDelivery of(String slug) {
        Site site = sites.get(slug);
        List<DeliveryView> before =
                deliveries.all(site.id()).stream().map(this::view).toList();
        return hosts.place(site.id())
                .map(place -> {
                    HostMapper.HostRow host = hosts.get(place.hostId());
                    return new SiteDelivery(
                            host.id(), host.name(), place.place(), HostService.seen(host, place), before);
                })
                .orElse(new SiteDelivery(null, "", "", "", before));
    }

    private DeliveryView view(DeliveryMapper.DeliveryRow row) {
        boolean broken = row.state().equals(GOING) && row.beatAt().isBefore(now().minus(LONGEST_SILENCE));
        return new DeliveryView(
                row.id(),
                row.host(),
                row.number(),
                broken ? BROKEN : row.state(),
                broken
                        ? "The application ended while it went on. What is live there is one whole build, the one before or "
                                + "this one; deliver again, and what was sent is found there."
                        : row.said(),
                row.files(),
                row.ofFiles(),
                row.bytes(),
                row.ofBytes(),
                row.sent(),
                row.person(),
                row.startedAt() + "Z",
                row.endedAt() == null ? "" : row.endedAt() + "Z");
    }

    /** @param place the site’s folder there; empty for one with its own name */
    SiteDelivery serve(String slug, long host, String place) {
        Site site = sites.get(slug);
        hosts.serve(site, host, place.isBlank() ? slug : place.trim());
        return of(slug);
    }

    SiteDelivery takeOff(String slug) {
        hosts.takeOff(sites.get(slug));
        return of(slug);
    }

    private HostMapper.PlaceRow place(Site site) {
        return hosts.place(site.id())
                .orElseThrow(() -> new IllegalArgumentException(
                        "“" + site.name() + "” has no host yet. Choose one first. Nothing was sent."));
    }

    private Build build(String slug, int number) {
        return new Build(number, publishing.files(slug, number));
    }

    /** What a delivery would do; the host is only looked at. @throws HostFault when it is away */
    PlanView plan(String slug, int number) {
        HostMapper.PlaceRow place = place(sites.get(slug));
        Build build = build(slug, number);
        DeliveryPlan plan = hosts.at(hosts.get(place.hostId()), place.place(), files -> DeliveryPlan.of(files, build));
        return new PlanView(
                plan.folder(),
                plan.there(),
                plan.live().orElse(""),
                plan.send().stream()
                        .map(file -> new FileSent(file.path(), file.bytes()))
                        .toList(),
                plan.linked().size(),
                plan.bytes(),
                plan.remove());
    }

    /** Begins one; it goes on by itself. @throws IllegalArgumentException while another goes on */
    SiteDelivery start(String slug, int number, Account by) {
        Site site = sites.get(slug);
        HostMapper.PlaceRow place = place(site);
        HostMapper.HostRow host = hosts.get(place.hostId());
        Build build = build(slug, number);
        long id = commits.store(() -> {
            deliveries.lock(site.id()).orElseThrow();
            if (deliveries.going(site.id(), now().minus(LONGEST_SILENCE)) > 0)
                throw new IllegalArgumentException(
                        "A delivery of “" + site.name() + "” goes on. Wait for it, or stop it. Nothing was begun.");
            DeliveryMapper.NewDelivery row = new DeliveryMapper.NewDelivery(
                    site.id(), host.id(), number, build.files().size(), build.bytes(), by.id(), now());
            deliveries.add(row);
            return row.id();
        });
        Beat beat = new Beat(id);
        // Also while it waits for its turn, and while one large file is on its way.
        Future<?> beats =
                beating.scheduleWithFixedDelay(beat::note, BEAT.toMillis(), BEAT.toMillis(), TimeUnit.MILLISECONDS);
        work.execute(() -> {
            try {
                run(beat, slug, build, host, place.place(), by);
            } finally {
                beats.cancel(false);
            }
        });
        return of(slug);
    }

    /** Asks the one that goes on to stop. @throws NoSuchElementException when that one does not go on */
    SiteDelivery stop(String slug, long id) {
        if (deliveries.askToStop(sites.get(slug).id(), id) == 0)
            throw new NoSuchElementException("That delivery does not go on any more.");
        return of(slug);
    }

    private void run(Beat beat, String slug, Build build, HostMapper.HostRow host, String place, Account by) {
        long id = beat.id;
        String state = "failed";
        String said;
        int sent = 0;
        try {
            Delivery.Done done = hosts.at(host, place, files -> Delivery.run(files, build, beat));
            publishing.putLive(slug, build.number(), by);
            state = "done";
            said = done.left();
            sent = done.plan().send().size();
        } catch (Delivery.Stopped e) {
            state = "stopped";
            said = e.getMessage();
        } catch (HostFault | IllegalArgumentException e) {
            said = e.getMessage();
        } catch (RuntimeException e) {
            LOG.error("delivery {} of {} failed", id, slug, e);
            said =
                    "Something went wrong here. What is live there is one whole build; look at the site, and deliver again.";
        }
        beat.note();
        try {
            deliveries.end(
                    id, state, said.length() > LONGEST_SAID ? said.substring(0, LONGEST_SAID) : said, sent, now());
        } catch (RuntimeException e) {
            LOG.warn("how delivery {} ended could not be noted: {}", id, e.toString());
        }
    }

    /** Notes how far it is, and whether somebody asked to stop. */
    private final class Beat implements Delivery.Watch {
        private final long id;
        private volatile int files;
        private volatile long bytes;
        private volatile boolean stops;

        Beat(long id) {
            this.id = id;
        }

        @Override
        public void there(int now, long length) {
            files = now;
            bytes = length;
        }

        @Override
        public boolean stops() {
            return stops || Thread.currentThread().isInterrupted();
        }

        /** A database that is away for a moment does not end a delivery. */
        private void note() {
            try {
                deliveries.beat(id, files, bytes, now());
                stops = deliveries.stopAsked(id);
            } catch (RuntimeException e) {
                LOG.warn("how far delivery {} is could not be noted: {}", id, e.toString());
            }
        }
    }

    private LocalDateTime now() {
        return ApplicationClock.now(clock);
    }
}
