package org.umberloom.app.site;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.Mockito.mock;

import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import javax.sql.DataSource;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.support.TransactionOperations;
import org.umberloom.app.RealDatabase;
import org.umberloom.app.account.Account;
import org.umberloom.app.theme.Commits;
import org.umberloom.app.theme.WornSites;
import org.umberloom.app.web.Conflict;
import org.umberloom.core.color.Color;
import org.umberloom.core.page.Nameplate;
import org.umberloom.core.site.SiteDocument;
import org.umberloom.core.site.SiteEdit;
import org.umberloom.core.site.SiteEdits;
import org.umberloom.core.site.SitePage;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;

/** Sites and their log as MariaDB keeps them; a second service stands for a second process. */
class SitesInTheDatabaseTest {
    private final RealDatabase database = RealDatabase.shared();
    private final SiteMapper sites = database.bean(SiteMapper.class);
    private final JdbcTemplate sql = new JdbcTemplate(database.bean(DataSource.class));
    private final SiteDrafts drafts = service();
    private final String slug = "s" + UUID.randomUUID().toString().replace("-", "");
    private Account lead;
    private long theme;

    private SiteDrafts service() {
        return new SiteDrafts(sites, new Commits(database.bean(TransactionOperations.class)), Clock.systemUTC());
    }

    @BeforeEach
    void aSite() {
        lead = database.lead();
        theme = database.bareTheme();
        drafts.create(
                SiteDocument.of(
                        slug,
                        "Quay",
                        List.of(
                                new SitePage(
                                        "index", "Quay", "landing", "<html><head></head><body><p>a</p></body></html>"),
                                new SitePage(
                                        "fares",
                                        "Fares",
                                        "listing",
                                        "<html><head></head><body><p>b</p></body></html>"))),
                theme,
                "begun",
                lead);
    }

    private static SiteEdit plate(SiteDraft draft, String name, String tagline) {
        return SiteEdits.nameplate(draft.site(), new Nameplate(name, tagline, "", "", ""));
    }

    private SiteDocument stored() {
        return service().newest(slug).site();
    }

    @Test
    void whatWasStoredIsReadByAnotherProcessAsItWas() {
        assertThat(stored()).isEqualTo(drafts.newest(slug).site());
        drafts.edit(slug, Optional.of(0), draft -> plate(draft, "The quay", "By the water"), lead);
        assertThat(stored().plate().tagline()).isEqualTo("By the water");
        assertThat(sites.bySlug(slug).orElseThrow().name()).isEqualTo("The quay");
    }

    @Test
    void undoAndRedoReachBackThroughEverythingAndSurviveAProcess() {
        SiteDocument first = stored();
        drafts.edit(slug, Optional.empty(), draft -> SiteEdits.removePage(draft.site(), "index"), lead);
        drafts.edit(slug, Optional.empty(), draft -> SiteEdits.addPage(draft.site(), "form", "Ask"), lead);
        SiteDocument last = stored();
        SiteDrafts other = service();
        assertThat(other.rail(other.newest(slug)).undo()).isEqualTo("new page “Ask”");
        other.undo(slug, lead);
        other.undo(slug, lead);
        assertThat(stored()).isEqualTo(first);
        assertThatThrownBy(() -> other.undo(slug, lead)).hasMessageContaining("nothing left to undo");
        other.redo(slug, lead);
        other.redo(slug, lead);
        assertThat(stored()).isEqualTo(last);
        assertThatThrownBy(() -> other.redo(slug, lead)).hasMessageContaining("nothing to redo");
    }

    @Test
    void whoChangesWhatSomebodyElseChangedMeanwhileIsTold() {
        drafts.edit(slug, Optional.of(0), draft -> plate(draft, "One", ""), lead);
        assertThatThrownBy(() -> service().edit(slug, Optional.of(0), draft -> plate(draft, "Two", ""), lead))
                .isInstanceOf(Conflict.class)
                .hasMessageContaining("changed since you read it");
        assertThat(stored().name()).isEqualTo("One");
        service()
                .edit(
                        slug,
                        Optional.of(0),
                        draft -> SiteEdits.describePage(draft.site(), "fares", "Prices", "listing"),
                        lead);
        assertThat(stored().page("fares").title()).isEqualTo("Prices");
    }

    @Test
    void aBenchThatWritesOverAValueOfSomebodyElseIsTold() {
        SitesOnTheBench bench = new SitesOnTheBench(drafts, sites, mock(WornBySites.class));
        ThemeDocument bare = Starter.ALL.get(0).theme("T");
        Place.InScope place = Place.scope(Scope.site(slug));
        TokenPath link = TokenPath.of("surface.page.link");
        Group ten = Group.EMPTY.with(link, Token.of(new ColorValue(Color.rgb(10, 0, 0))));
        Group twenty = Group.EMPTY.with(link, Token.of(new ColorValue(Color.rgb(20, 0, 0))));
        Group both = ten.with(TokenPath.of("surface.page.text"), Token.of(new ColorValue(Color.rgb(5, 5, 5))));
        bench.store(change(bare, Map.of(), Map.of(place, ten)), lead);
        assertThatThrownBy(() -> bench.store(change(bare, Map.of(place, ten), Map.of(place, twenty)), lead))
                .isInstanceOf(Conflict.class)
                .hasMessageContaining("surface.page.link at all of Quay was changed since you read it");
        // Another value at the same place is nobody else's business.
        bench.store(change(bare, Map.of(place, ten), Map.of(place, both)), lead);
        assertThat(stored().written()).containsEntry(place, both);
    }

    private WornSites.Change change(
            ThemeDocument bare, Map<Place.InScope, Group> before, Map<Place.InScope, Group> after) {
        return new WornSites.Change(slug, Optional.of(0), bare.worn(before), bare.worn(after), "a value");
    }

    @Test
    void anEarlierStateIsFoundThroughEditsUndoneAndMadeAgain() {
        List<SiteDocument> states = new ArrayList<>(List.of(stored()));
        for (String name : List.of("One", "Two", "Three")) {
            drafts.edit(slug, Optional.empty(), draft -> plate(draft, name, ""), lead);
            states.add(stored());
        }
        drafts.undo(slug, lead);
        states.add(stored());
        drafts.redo(slug, lead);
        states.add(stored());
        drafts.undo(slug, lead);
        states.add(stored());
        for (int revision = 0; revision < states.size(); revision++)
            assertThat(drafts.before(drafts.newest(slug), revision))
                    .as("revision " + revision)
                    .isEqualTo(states.get(revision));
    }

    @Test
    void manyAtOnceLeaveEveryEditInTheLogOnce() throws Exception {
        int writers = 4;
        int edits = 6;
        ExecutorService threads = Executors.newFixedThreadPool(writers);
        List<Future<?>> all = new ArrayList<>();
        for (int writer = 0; writer < writers; writer++) {
            SiteDrafts own = service();
            String name = "w" + writer;
            all.add(threads.submit(() -> {
                for (int i = 0; i < edits; i++) {
                    String title = name + " " + i;
                    own.edit(slug, Optional.empty(), draft -> SiteEdits.addPage(draft.site(), "article", title), lead);
                }
            }));
        }
        for (Future<?> one : all) one.get();
        threads.shutdown();
        assertThat(stored().pages()).hasSize(2 + writers * edits);
        assertThat(drafts.newest(slug).revision()).isEqualTo(writers * edits);
        for (int i = 0; i < writers * edits; i++) drafts.undo(slug, lead);
        assertThat(stored().pages().stream().map(SitePage::slug)).containsExactly("index", "fares");
    }

    /** What was cached of a change that was taken back would be shown as stored, and be what the next one is made from. */
    @Test
    void severalChangesAreStoredTogetherOrNotAtAll() {
        Commits commits = new Commits(database.bean(TransactionOperations.class));
        SiteDrafts own = new SiteDrafts(sites, commits, Clock.systemUTC());
        SiteDocument before = own.newest(slug).site();
        assertThatThrownBy(() -> commits.together(() -> {
                    own.edit(slug, Optional.empty(), draft -> plate(draft, "One", ""), lead);
                    assertThat(own.newest(slug).site().name()).isEqualTo("One");
                    own.edit(slug, Optional.empty(), draft -> plate(draft, "Two", ""), lead);
                    throw new IllegalArgumentException("no");
                }))
                .hasMessage("no");
        assertThat(own.newest(slug).site()).isEqualTo(before);
        assertThat(stored()).isEqualTo(before);
        own.edit(slug, Optional.of(0), draft -> plate(draft, "Three", ""), lead);
        assertThat(stored().name()).isEqualTo("Three");
        commits.together(() -> {
            own.edit(slug, Optional.empty(), draft -> plate(draft, "Four", ""), lead);
            return own.edit(slug, Optional.empty(), draft -> SiteEdits.addPage(draft.site(), "form", "Ask"), lead);
        });
        assertThat(stored().name()).isEqualTo("Four");
        assertThat(own.newest(slug).revision()).isEqualTo(3);
        assertThat(own.newest(slug).site()).isEqualTo(stored());
    }

    @Test
    void whatIsCountedFollowsEveryEdit() {
        SiteService service = new SiteService(sites, drafts);
        drafts.edit(
                slug,
                Optional.empty(),
                draft -> new org.umberloom.core.site.SiteEdit(
                        "a stray",
                        List.of(
                                new org.umberloom.core.site.SitePart.Page(
                                        "fares",
                                        Optional.of(
                                                draft.site()
                                                        .page("fares")
                                                        .withHtml(
                                                                "<html><head></head><body><p style=\"color: red\">b</p></body></html>"))))),
                lead);
        SiteFacts facts = service.counted().stream()
                .filter(site -> site.row().slug().equals(slug))
                .findFirst()
                .orElseThrow()
                .facts();
        assertThat(facts.strays()).containsEntry("color", 1);
        assertThat(facts.kinds()).containsExactly("landing", "listing");
    }
}
