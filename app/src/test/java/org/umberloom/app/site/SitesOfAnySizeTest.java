package org.umberloom.app.site;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import javax.sql.DataSource;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.support.TransactionOperations;
import org.umberloom.app.RealDatabase;
import org.umberloom.app.account.Account;
import org.umberloom.app.theme.Commits;
import org.umberloom.app.web.Unreadable;
import org.umberloom.core.format.SiteArchive;
import org.umberloom.core.limit.Sizes;
import org.umberloom.core.site.SiteDocument;
import org.umberloom.core.site.SiteEdit;
import org.umberloom.core.site.SitePage;
import org.umberloom.core.site.SitePart;

/** Whatever is accepted can be read, listed, exported, taken back, copied and deleted; and whatever a row holds harms no other. */
class SitesOfAnySizeTest {
    private static final String BEFORE = "<html><head></head><body><p>";
    private static final String AFTER = "</p></body></html>";

    private final RealDatabase database = RealDatabase.shared();
    private final SiteMapper sites = database.bean(SiteMapper.class);
    private final JdbcTemplate sql = new JdbcTemplate(database.bean(DataSource.class));
    private final SiteDrafts drafts = service();
    private final SiteService service = new SiteService(sites, drafts);
    private final SiteWork work = new SiteWork(drafts, sites, null, null, null, commits(), Clock.systemUTC());
    private final String slug = "s" + UUID.randomUUID().toString().replace("-", "");
    private Account lead;
    private long theme;

    private Commits commits() {
        return new Commits(database.bean(TransactionOperations.class));
    }

    private SiteDrafts service() {
        return new SiteDrafts(sites, commits(), Clock.systemUTC());
    }

    @BeforeEach
    void aTheme() {
        lead = database.lead();
        theme = database.bareTheme();
    }

    private static SitePage page(String name, int letters, char filler) {
        int room = letters - BEFORE.length() - AFTER.length();
        return new SitePage(
                name, name, "article", BEFORE + String.valueOf(filler).repeat(room) + AFTER);
    }

    private SiteDocument site(SitePage... pages) {
        return SiteDocument.of(slug, "Quay", List.of(pages));
    }

    /** What another process does with a site that was accepted. */
    private void goesThroughEverything(SiteDocument expected) {
        SiteDrafts other = service();
        SiteDraft draft = other.newest(slug);
        assertThat(draft.site()).isEqualTo(expected);
        assertThat(new SiteService(sites, other).counted())
                .filteredOn(one -> one.row().slug().equals(slug))
                .singleElement()
                .satisfies(one -> assertThat(one.fault()).isEmpty());
        Map<String, byte[]> files = service.files(sites.bySlug(slug).orElseThrow());
        assertThat(SiteArchive.read("x", files).site()).isEqualTo(expected);
        if (other.rail(draft).undo().isEmpty()) return;
        other.undo(slug, lead);
        other.redo(slug, lead);
        assertThat(service().newest(slug).site()).isEqualTo(expected);
    }

    /** Around the limit of texts before, around that of now, and letters that take two and six in JSON. */
    @ParameterizedTest
    @ValueSource(ints = {199_999, 200_001, 1_000_000, Sizes.TEXT})
    void aPageThatIsAcceptedIsReadAgain(int letters) {
        for (char filler : new char[] {'a', '"'}) {
            SiteDocument wanted = site(page("index", letters, filler));
            if (sites.bySlug(slug).isEmpty()) drafts.create(wanted, theme, "begun", lead);
            else
                drafts.edit(
                        slug,
                        Optional.empty(),
                        draft ->
                                new SiteEdit("another page", List.of(SitePart.Page.of(page("index", letters, filler)))),
                        lead);
            goesThroughEverything(wanted);
        }
        work.putAway(slug, true);
        work.putAway(slug, false);
        work.delete(slug, "Quay");
        assertThat(sites.bySlug(slug)).isEmpty();
    }

    @Test
    void whatIsLargerThanIsReadIsRefusedWithBothNumbers() {
        assertThatThrownBy(() -> page("index", Sizes.TEXT + 100_000, 'a')).hasMessageContaining("at most 2,097,152");
        assertThatThrownBy(() -> site(
                        page("a", Sizes.TEXT, 'a'),
                        page("b", Sizes.TEXT, 'a'),
                        page("c", Sizes.TEXT, 'a'),
                        page("d", 99, 'a')))
                .hasMessageContaining("a site holds at most 6,291,456");
        assertThat(sites.bySlug(slug)).isEmpty();
    }

    /** Random sizes and letters on both sides of each limit: refused without a trace, or whole. */
    @Test
    void anythingIsEitherRefusedOrWhole() {
        Random random = new Random(28);
        drafts.create(site(page("index", 100, 'a')), theme, "begun", lead);
        int kept = 0;
        for (int i = 0; i < 8; i++) {
            List<SitePart> parts = new ArrayList<>();
            SiteDocument before = drafts.newest(slug).site();
            try {
                int pages = 1 + random.nextInt(4);
                for (int p = 0; p < pages; p++)
                    parts.add(SitePart.Page.of(page(
                            "p" + p,
                            100 + random.nextInt(Sizes.TEXT + Sizes.TEXT / 8),
                            "a\"\n<é\u0001".charAt(random.nextInt(6)))));
                if (random.nextBoolean())
                    parts.add(new SitePart.OwnCss("p { color: red }\n".repeat(random.nextInt(4_000))));
                drafts.edit(slug, Optional.empty(), draft -> new SiteEdit("random", parts), lead);
                kept++;
            } catch (IllegalArgumentException refused) {
                assertThat(refused.getMessage()).isNotBlank();
                assertThat(service().newest(slug).site()).isEqualTo(before);
            }
            SiteDraft now = service().newest(slug);
            if (now.revision() > 0) {
                service().undo(slug, lead);
                service().redo(slug, lead);
                assertThat(service().newest(slug).site()).isEqualTo(now.site());
            }
        }
        assertThat(kept).as("some are accepted").isBetween(2, 7);
    }

    @Test
    void aRowThatCannotBeReadHarmsNoOtherAndCanBeTakenOutArchivedAndDeleted() {
        drafts.create(site(page("index", 100, 'a')), theme, "begun", lead);
        String torn = "{\"title\": \"torn";
        sql.update(
                "update site_part set content = ? where name = 'page/index' and site_id = (select id from site where slug = ?)",
                torn,
                slug);
        sql.update("update site set facts = null, uses = null, revision = 1 where slug = ?", slug);
        SiteDrafts fresh = service();
        assertThatThrownBy(() -> fresh.newest(slug))
                .isInstanceOf(Unreadable.class)
                .hasMessageContaining("“Quay” is stored, but cannot be shown")
                .hasMessageContaining("export, archive or delete");
        SiteService listing = new SiteService(sites, fresh);
        assertThat(listing.counted())
                .filteredOn(one -> one.row().slug().equals(slug))
                .singleElement()
                .satisfies(one -> assertThat(one.fault()).contains("cannot be shown"));
        Site row = sites.bySlug(slug).orElseThrow();
        assertThat(listing.find(row)).isEmpty();
        assertThat(listing.wearing(theme)).contains(row);
        assertThat(new String(listing.stored(row).get("stored/page.index.json"), StandardCharsets.UTF_8))
                .isEqualTo(torn);
        SiteWork others = new SiteWork(fresh, sites, null, null, null, commits(), Clock.systemUTC());
        others.putAway(slug, true);
        assertThat(sites.away()).extracting(SiteMapper.AwayRow::slug).contains(slug);
        others.putAway(slug, false);
        assertThatThrownBy(() -> others.delete(slug, "Key")).hasMessageContaining("write its name");
        others.delete(slug, "Quay");
        assertThat(sites.bySlug(slug)).isEmpty();
    }
}
