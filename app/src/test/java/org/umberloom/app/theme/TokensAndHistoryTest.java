package org.umberloom.app.theme;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyInt;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.umberloom.app.account.Account;
import org.umberloom.app.account.LiveSessions;
import org.umberloom.core.check.Contrasts;
import org.umberloom.core.check.Likeness;
import org.umberloom.core.format.EditJson;
import org.umberloom.core.format.ThemeJson;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Seen;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.theme.ThemeGraph;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.TokenPath;

/** Single tokens, history and announcements, on the demo theme. */
class TokensAndHistoryTest {
    private static final Account LEAD = new Account(7, "lead@example.org", "Lead", "", "lead");
    private static final ThemeDocument DEMO = demo();

    private final DraftService drafts = mock(DraftService.class);
    private final WornSites sites = mock(WornSites.class);

    private static ThemeDocument demo() {
        Path folder =
                Path.of(System.getenv().getOrDefault("UMBERLOOM_HOME", "..")).resolve("demo/themes/tern-passage");
        try {
            return ThemeJson.read(Files.readString(folder.resolve("theme.resolver.json")), file -> {
                try {
                    return Files.readString(folder.resolve(file));
                } catch (IOException e) {
                    throw new UncheckedIOException(e);
                }
            });
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Nested
    class TheDemoTheme {
        @Test
        void isReadableInEveryCombinationAndItsStatesStayApart() {
            assertThat(DEMO.combinationCount()).isEqualTo(12);
            for (Combination combination : DEMO.combinations(100)) {
                Resolution resolution = Resolution.of(DEMO, combination);
                assertThat(resolution.findings()).as(combination.key()).isEmpty();
                assertThat(Contrasts.findings(DEMO, resolution))
                        .as(combination.key())
                        .isEmpty();
                assertThat(Likeness.statesThatMeet(resolution))
                        .as(combination.key())
                        .isEmpty();
            }
        }

        @Test
        void holdsEveryTypeOfToken() {
            assertThat(Resolution.of(DEMO, DEMO.defaults()).tokens().values().stream()
                            .map(token -> token.type().id())
                            .distinct())
                    .hasSize(13);
        }
    }

    @Nested
    class Tokens {
        private final TokenService tokens = new TokenService(drafts, new ThemeGraphs(), sites);

        Tokens() {
            when(drafts.newest(1)).thenReturn(new Draft(1, 4, DEMO));
            when(sites.lay(any(), any())).thenReturn(new WornSites.Worn(DEMO, Map.of()));
        }

        private TokenService.TokenRow row(String combo, String path) {
            return tokens.list(1, combo).tokens().stream()
                    .filter(row -> row.path().equals(path))
                    .findFirst()
                    .orElseThrow();
        }

        @Test
        void theListShowsWhatIsWrittenAndWhatItComesToInTheCombination() {
            assertThat(row("", "family.heading").written()).startsWith("Bricolage");
            assertThat(row("look=heritage", "family.heading").written()).startsWith("Fraunces");
            assertThat(row("look=heritage", "family.heading").place()).isEqualTo("context:look/heritage");
            assertThat(row("", "shadow.card").written()).isEqualTo("{shadow.low}");
            assertThat(row("", "shadow.card").css()).startsWith("0px 1px 2px 0px #");
        }

        @Test
        void marksSayHowATokenCameToBe() {
            assertThat(row("", "color.sea.60").marks()).containsExactly("recipe");
            assertThat(row("", "shade.soft").marks()).containsExactly("derived");
            assertThat(row("", "color.sea.seed").marks()).isEmpty();
            assertThat(row("", "surface.page.link").marks()).contains("role");
        }

        @Test
        void aTokenTellsItsChainItsDependentsAndItsRoles() {
            TokenService.TokenView view = tokens.token(1, "scheme=dark", "color.sea.seed");
            assertThat(view.dependentCount()).isGreaterThan(14);
            assertThat(view.roles())
                    .contains("surface.deep.ground")
                    .allMatch(role -> role.matches("(surface|type|gap|width|shape|shadow|motion)\\..*"));
            assertThat(view.contexts())
                    .extracting(TokenService.PlaceView::place)
                    .contains("set:base", "context:look/freight");
            assertThat(tokens.token(1, "", "shadow.high").hops())
                    .extracting(TokenService.HopView::path)
                    .startsWith("shadow.high", "shade.soft", "color.ink.115")
                    .contains("shadow.low");
        }

        @Test
        void membersThatTheFormatDoesNotKnowAreNamedAlsoBesideReferences() {
            ThemeDocument odd = ThemeJson.readInline(
                    """
                    {"name": "T", "version": "2025.10", "sets": {"base": {"sources": [{"c": {"$type": "color",
                      "a": {"$value": {"colorSpace": "srgb", "components": [0.5, 0.2, 0.1]}},
                      "b": {"$value": {"colorSpace": "srgb", "glow": 3,
                        "components": [{"$ref": "#/c/a/$value/components/0"}, 0, 0]}}}}]}},
                     "resolutionOrder": [{"$ref": "#/sets/base"}]}""");
            when(drafts.newest(2)).thenReturn(new Draft(2, 0, odd));
            when(sites.lay(any(), any())).thenReturn(new WornSites.Worn(odd, Map.of()));
            assertThat(tokens.token(2, "", "c.b").unknown()).containsExactly("glow");
            assertThat(tokens.token(2, "", "c.a").unknown()).isEmpty();
        }

        @Test
        void aTokenThatIsNotThereHasNoChain() {
            assertThat(tokens.token(1, "", "no.such").hops()).isEmpty();
        }

        @Test
        void everyFixOfWhatIsUntidyCanBeApplied() {
            List<ThemeViews.FindingView> untidy = tokens.untidy(1);
            assertThat(untidy).isNotEmpty();
            for (ThemeViews.FindingView finding : untidy)
                for (ThemeViews.FixView fix : finding.fixes()) {
                    ThemeDocument changed = EditJson.asked(fix.edit())
                            .in(new Seen(DEMO, Resolution.of(DEMO, DEMO.defaults())))
                            .applyTo(DEMO)
                            .theme();
                    assertThat(changed)
                            .as("%s: %s", finding.path(), fix.label())
                            .isNotEqualTo(DEMO);
                }
        }
    }

    @Nested
    class Graphs {
        private final ThemeGraphs graphs = new ThemeGraphs();
        private final ThemeDocument edited = new Edit.SetValue(
                        Place.set("base"), TokenPath.of("shape.radius"), DimensionValue.px(3))
                .applyTo(DEMO)
                .theme();

        @Test
        void aGraphIsCarriedAlongAndOnlyWhatTheEditReachesIsComputed() {
            ThemeGraph first = graphs.of(new Draft(1, 0, DEMO), DEMO.defaults());
            assertThat(graphs.of(new Draft(1, 0, DEMO), DEMO.defaults())).isSameAs(first);
            ThemeGraph next = graphs.of(new Draft(1, 1, edited), DEMO.defaults());
            assertThat(next.recomputed()).isBetween(1, 5);
            assertThat(next.resolution().tokens())
                    .isEqualTo(Resolution.of(edited, DEMO.defaults()).tokens());
        }

        @Test
        void anEarlierStateDoesNotTakeThePlaceOfALaterOne() {
            graphs.of(new Draft(1, 5, edited), DEMO.defaults());
            ThemeGraph earlier = graphs.of(new Draft(1, 2, DEMO), DEMO.defaults());
            assertThat(earlier.resolution().tokens())
                    .isEqualTo(Resolution.of(DEMO, DEMO.defaults()).tokens());
            assertThat(graphs.of(new Draft(1, 5, edited), DEMO.defaults()).recomputed())
                    .isGreaterThan(100);
        }

        @Test
        void aProbeIsComputedFromTheDraftAndNotKept() {
            Draft draft = new Draft(1, 0, DEMO);
            ThemeGraph before = graphs.of(draft, DEMO.defaults());
            assertThat(graphs.probing(draft, edited)
                            .apply(DEMO.defaults())
                            .resolution()
                            .find("shape.radius")
                            .orElseThrow()
                            .value())
                    .isEqualTo(DimensionValue.px(3));
            assertThat(graphs.of(draft, DEMO.defaults())).isSameAs(before);
        }
    }

    @Nested
    class History {
        private final ThemeMapper themes = mock(ThemeMapper.class);
        private final HistoryService history =
                new HistoryService(themes, drafts, Clock.fixed(Instant.parse("2026-01-02T03:04:05Z"), ZoneOffset.UTC));

        @Test
        void aStateIsNamedAndItsNameTakenAway() {
            when(themes.revision(1, 3)).thenReturn(Optional.of(mock(RevisionRow.class)));
            history.mark(1, 3, "  Before the board ", LEAD);
            verify(themes).mark(eq(1L), eq(3), eq("Before the board"), eq(7L), any());
            history.mark(1, 3, "", LEAD);
            verify(themes).unmark(1, 3);
        }

        @Test
        void aStateThatIsNotThereAndANameThatIsTooLongAreRefused() {
            assertThatThrownBy(() -> history.mark(1, 9, "x", LEAD)).hasMessageContaining("no revision 9");
            when(themes.revision(1, 3)).thenReturn(Optional.of(mock(RevisionRow.class)));
            assertThatThrownBy(() -> history.mark(1, 3, "x".repeat(121), LEAD)).hasMessageContaining("at most 120");
            verify(themes, never()).mark(anyLong(), anyInt(), any(), anyLong(), any());
        }

        @Test
        void twoStatesAreComparedTokenByTokenWithTheirColors() {
            ThemeDocument after = new Edit.SetValue(
                            Place.context("look", "freight"),
                            TokenPath.of("color.sea.seed"),
                            new org.umberloom.core.token.ColorValue(org.umberloom.core.color.Color.rgb(1, 2, 3)))
                    .applyTo(DEMO)
                    .theme();
            when(drafts.stateAt(1, 2)).thenReturn(DEMO);
            when(drafts.stateAt(1, 6)).thenReturn(after);
            HistoryService.CompareView view = history.compare(1, 2, 6);
            assertThat(view.structure()).isFalse();
            assertThat(view.changes().get(0))
                    .isEqualTo(new HistoryService.ChangeView(
                            "context:look/freight", "color.sea.seed", "#3d4f5c", "#010203", "#3d4f5c", "#010203"));
            assertThat(view.count()).isEqualTo(view.changes().size()).isGreaterThan(10);
        }
    }

    @Nested
    class Announcements {
        private final ThemeMapper themes = mock(ThemeMapper.class);

        private final LiveSessions sessions = mock(LiveSessions.class);
        private final java.util.concurrent.BlockingQueue<Integer> told =
                new java.util.concurrent.LinkedBlockingQueue<>();
        private final java.util.concurrent.BlockingQueue<Long> stamps =
                new java.util.concurrent.LinkedBlockingQueue<>();
        private final CountDownLatch signedOut = new CountDownLatch(1);

        private ThemeWatch.Listener listener(long theme) {
            return new ThemeWatch.Listener() {
                @Override
                public long theme() {
                    return theme;
                }

                @Override
                public String session() {
                    return "mine";
                }

                @Override
                public void tell(int revision) {
                    told.add(revision);
                }

                @Override
                public void tellSites(long stamp) {
                    stamps.add(stamp);
                }

                @Override
                public void ping() {}

                @Override
                public void signedOut() {
                    signedOut.countDown();
                }
            };
        }

        /** Whoever comes is told the newest at once, so that what was stored while they came is not missed. */
        @Test
        void whoComesIsToldTheNewestAndThenWhatFollows() throws InterruptedException {
            when(themes.revisionsOf(any())).thenReturn(List.of(new ThemeMapper.At(1, 3)));
            when(sites.stamps(any())).thenReturn(Map.of(1L, 17L));
            ThemeWatch watch = new ThemeWatch(themes, sites, sessions, 3_600_000);
            watch.add(listener(1));
            assertThat(told.poll(20, TimeUnit.SECONDS)).isEqualTo(3);
            assertThat(stamps.poll(20, TimeUnit.SECONDS)).isEqualTo(17);
            watch.changed(new ThemeChanged(2, 9));
            watch.changed(new ThemeChanged(1, 4));
            assertThat(told.poll(20, TimeUnit.SECONDS)).isEqualTo(4);
            watch.stop();
        }

        @Test
        void allThemesAreLookedAtInOneQuestionAndEndedSessionsEndTheirs() throws InterruptedException {
            when(themes.revisionsOf(any())).thenReturn(List.of(new ThemeMapper.At(1, 3)));
            when(sessions.holding(any())).thenReturn(java.util.Set.of());
            ThemeWatch watch = new ThemeWatch(themes, sites, sessions, 5);
            for (long theme = 1; theme <= 300; theme++) watch.add(listener(theme));
            assertThat(signedOut.await(20, TimeUnit.SECONDS)).isTrue();
            verify(themes, org.mockito.Mockito.timeout(20_000).atLeastOnce())
                    .revisionsOf(org.mockito.ArgumentMatchers.argThat(ids -> ids != null && ids.size() == 300));
            watch.stop();
        }

        @Test
        void aSessionThatIsSignedOutHereEndsAtOnce() throws InterruptedException {
            when(themes.revisionsOf(any())).thenReturn(List.of());
            ThemeWatch watch = new ThemeWatch(themes, sites, sessions, 3_600_000);
            watch.add(listener(1));
            watch.signedOut(new org.umberloom.app.account.SignedOut("mine"));
            assertThat(signedOut.await(20, TimeUnit.SECONDS)).isTrue();
            watch.stop();
        }
    }
}
