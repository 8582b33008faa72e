package org.umberloom.app.theme;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyInt;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.Mockito.lenient;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.withSettings;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.mockito.Mock;
import org.mockito.junit.jupiter.MockitoExtension;
import org.mockito.quality.Strictness;
import org.springframework.transaction.support.TransactionOperations;
import org.umberloom.app.account.Account;
import org.umberloom.app.picture.PictureStore;
import org.umberloom.app.web.Conflict;
import org.umberloom.core.color.Color;
import org.umberloom.core.format.ThemeJson;
import org.umberloom.core.ground.Pictures;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Picture;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.TokenPath;
import org.umberloom.kit.font.FontFiles;
import tools.jackson.databind.json.JsonMapper;

@ExtendWith(MockitoExtension.class)
class DraftServiceTest {
    private static final Account LEAD = new Account(7, "lead@example.org", "Lead", "", "lead");
    private static final Clock CLOCK = Clock.fixed(Instant.parse("2026-01-02T03:04:05Z"), ZoneOffset.UTC);

    @Mock
    private ThemeMapper themes;

    private ThemeRow row;
    private final List<RevisionRow> log = new ArrayList<>();
    private DraftService drafts;

    /** A mapper that keeps one theme and its log in memory. */
    @BeforeEach
    void store() {
        ThemeDocument start = Starter.ALL.get(0).theme("Start");
        row = new ThemeRow(1, "Start", ThemeJson.writeInline(start), 0, LocalDateTime.now(CLOCK));
        log.add(new RevisionRow(
                1, 0, "start", "started", null, null, null, null, null, null, 7, LocalDateTime.now(CLOCK), null));
        lenient().when(themes.revisionOf(1)).thenAnswer(call -> Optional.of(row.revision()));
        lenient().when(themes.find(1)).thenAnswer(call -> Optional.of(row));
        lenient()
                .when(themes.revision(anyLong(), anyInt()))
                .thenAnswer(call -> Optional.of(log.get(call.<Integer>getArgument(1))));
        lenient()
                .when(themes.since(anyLong(), anyInt()))
                .thenAnswer(call -> log.subList(call.<Integer>getArgument(1) + 1, log.size()));
        lenient()
                .when(themes.advance(anyLong(), anyString(), anyString(), anyString(), anyInt(), any()))
                .thenAnswer(call -> {
                    if (row.revision() != call.<Integer>getArgument(4) - 1) return 0;
                    row = new ThemeRow(
                            1, call.getArgument(1), call.getArgument(2), call.getArgument(4), call.getArgument(5));
                    return 1;
                });
        lenient().when(themes.nearestWhole(anyLong(), anyInt())).thenAnswer(call -> log.stream()
                .filter(entry -> entry.number() >= call.<Integer>getArgument(1) && entry.document() != null)
                .map(RevisionRow::number)
                .findFirst());
        lenient().when(themes.history(anyLong(), anyInt(), anyInt())).thenAnswer(call -> {
            RevisionRow entry = log.get(call.<Integer>getArgument(1) - 1);
            return List.of(new ThemeMapper.HistoryRow(
                    entry.number(), entry.kind(), entry.label(), "Lead", entry.madeAt(), null));
        });
        lenient().doAnswer(call -> log.add(call.getArgument(0))).when(themes).log(any());
        drafts = service();
    }

    private DraftService service() {
        ThemeGraphs graphs = new ThemeGraphs();
        PictureStore pictures = mock(PictureStore.class, withSettings().strictness(Strictness.LENIENT));
        lenient().when(pictures.of(any())).thenReturn(Pictures.NONE);
        return new DraftService(
                themes,
                CLOCK,
                event -> {},
                new Commits(TransactionOperations.withoutTransaction()),
                new ShownAgain(
                        graphs, pictures, new ComputedViews(graphs, pictures, FontFiles::shipped), JsonMapper.shared()),
                pictures);
    }

    private Draft undo(DraftService drafts) {
        return drafts.undo(1, row.revision(), draft -> () -> draft, LEAD);
    }

    private Draft redo(DraftService drafts) {
        return drafts.redo(1, row.revision(), draft -> () -> draft, LEAD);
    }

    private static Edit radius(double px) {
        return new Edit.SetValue(Place.set(Starter.BASE), TokenPath.of("shape.radius"), DimensionValue.px(px));
    }

    private double radius() {
        ThemeDocument stored = ThemeJson.readInline(row.document());
        return ((DimensionValue) stored.at(Place.set(Starter.BASE))
                        .token(TokenPath.of("shape.radius"))
                        .orElseThrow()
                        .value())
                .amount();
    }

    @Test
    void editsAreStoredWithTheirInverseAndWhoMadeThem() {
        drafts.edit(1, 0, radius(11), LEAD);
        assertThat(radius()).isEqualTo(11);
        RevisionRow entry = log.get(1);
        assertThat(entry.kind()).isEqualTo("edit");
        assertThat(entry.label()).isEqualTo("Corner radius: 11px");
        assertThat(entry.accountId()).isEqualTo(7);
        assertThat(entry.inverse()).contains("\"op\":\"put\"");
    }

    @Test
    void undoAndRedoGoAllTheWayBothWaysEvenAfterARestart() {
        double start = radius();
        for (int px = 20; px < 30; px++) drafts.edit(1, px - 20, radius(px), LEAD);
        for (int px = 28; px >= 20; px--) {
            undo(service());
            assertThat(radius()).isEqualTo(px);
        }
        undo(drafts);
        assertThat(radius()).isEqualTo(start);
        assertThatThrownBy(() -> undo(drafts)).hasMessageContaining("nothing left to undo");
        for (int px = 20; px < 30; px++) {
            redo(service());
            assertThat(radius()).isEqualTo(px);
        }
        assertThatThrownBy(() -> redo(drafts)).hasMessageContaining("nothing to redo");
    }

    @Test
    void anEditAfterAnUndoEndsRedoAndCanBeUndoneItself() {
        drafts.edit(1, 0, radius(20), LEAD);
        drafts.edit(1, 1, radius(21), LEAD);
        undo(drafts);
        drafts.edit(1, 3, radius(22), LEAD);
        assertThatThrownBy(() -> redo(drafts)).hasMessageContaining("nothing to redo");
        undo(drafts);
        assertThat(radius()).isEqualTo(20);
        redo(drafts);
        assertThat(radius()).isEqualTo(22);
    }

    @Test
    void editsOnDifferentTokensFromTheSameBaseMerge() {
        drafts.edit(1, 0, radius(20), LEAD);
        drafts.edit(
                1,
                0,
                new Edit.SetValue(
                        Place.set(Starter.BASE), TokenPath.of("color.brand.seed"), new ColorValue(Color.rgb(1, 2, 3))),
                LEAD);
        assertThat(radius()).isEqualTo(20);
        assertThat(row.revision()).isEqualTo(2);
    }

    @Test
    void anEditOfATokenThatChangedMeanwhileIsRefused() {
        drafts.edit(1, 0, radius(20), LEAD);
        assertThatThrownBy(() -> drafts.edit(1, 0, radius(21), LEAD))
                .isInstanceOf(Conflict.class)
                .hasMessageContaining("Corner radius: 20px")
                .satisfies(refusal -> {
                    assertThat(((Conflict) refusal).yours()).isEqualTo("21px");
                    assertThat(((Conflict) refusal).theirs()).isEqualTo("20px");
                    assertThat(((Conflict) refusal).path()).isEqualTo("shape.radius");
                });
        assertThat(radius()).isEqualTo(20);
    }

    @Test
    void aBaseThatTheThemeDoesNotHaveIsRefused() {
        assertThatThrownBy(() -> drafts.edit(1, 5, radius(20), LEAD))
                .hasMessageContaining("does not have")
                .hasMessageContaining("newest is 0");
        assertThatThrownBy(() -> drafts.edit(1, -1, radius(20), LEAD)).hasMessageContaining("does not have");
        assertThatThrownBy(() -> drafts.undo(1, 7, draft -> () -> draft, LEAD)).hasMessageContaining("does not have");
        assertThat(log).hasSize(1);
    }

    @Test
    void undoDoesNotTakeBackWhatWasNotSeen() {
        drafts.edit(1, 0, radius(20), LEAD);
        drafts.edit(1, 1, radius(21), LEAD);
        assertThatThrownBy(() -> drafts.undo(1, 1, draft -> () -> draft, LEAD))
                .isInstanceOf(Conflict.class)
                .hasMessageContaining("Corner radius: 21px");
        assertThat(radius()).isEqualTo(21);
        drafts.undo(1, 2, draft -> () -> draft, LEAD);
        assertThat(radius()).isEqualTo(20);
        assertThatThrownBy(() -> drafts.redo(1, 2, draft -> () -> draft, LEAD)).isInstanceOf(Conflict.class);
    }

    @Test
    void whatSomebodyHasBegunToReferToIsNotTakenAwayOnAnOldBase() {
        drafts.edit(
                1,
                0,
                new Edit.SetValue(
                        Place.set(Starter.BASE),
                        TokenPath.of("shape.corner"),
                        new org.umberloom.core.token.Alias(TokenPath.of("shape.radius"))),
                LEAD);
        Edit removal = new Edit.Remove(Place.set(Starter.BASE), TokenPath.of("shape.radius"));
        assertThatThrownBy(() -> drafts.edit(1, 0, removal, LEAD))
                .isInstanceOf(Conflict.class)
                .hasMessageContaining("shape.corner");
        drafts.edit(1, 1, removal, LEAD);
        assertThat(row.revision()).isEqualTo(2);
    }

    @Test
    void aSetInWhichSomebodyWroteMeanwhileIsNotRemovedOnAnOldBase() {
        drafts.edit(1, 0, radius(20), LEAD);
        assertThatThrownBy(
                        () -> drafts.edit(1, 0, new org.umberloom.core.theme.Structure.RemoveSet(Starter.BASE), LEAD))
                .isInstanceOf(Conflict.class);
    }

    /** The view is computed before anything is stored: where it fails, nothing is. */
    @Test
    void whatCannotBeShownIsNotStored() {
        assertThatThrownBy(() -> drafts.edit(
                        1,
                        0,
                        newest -> radius(20),
                        draft -> {
                            throw new IllegalArgumentException("no such combination");
                        },
                        LEAD))
                .hasMessageContaining("no such combination");
        assertThatThrownBy(() -> drafts.edit(1, 0, new Edit.SetDescription("half \ud83d of it"), LEAD))
                .hasMessageContaining("broken character");
        assertThat(log).hasSize(1);
        assertThat(row.revision()).isZero();
    }

    /** Somebody in another process was faster: it is computed again on what they stored. */
    @Test
    void whoIsOvertakenByAnotherTokenIsStoredAllTheSame() {
        DraftService other = service();
        boolean[] once = {false};
        drafts.edit(
                1,
                0,
                newest -> {
                    if (!once[0]) other.edit(1, 0, new Edit.SetName("Renamed"), LEAD);
                    once[0] = true;
                    return radius(20);
                },
                draft -> () -> draft,
                LEAD);
        assertThat(radius()).isEqualTo(20);
        assertThat(row.name()).isEqualTo("Renamed");
    }

    @Test
    void aPictureIsInTheHistory() {
        Picture sea = new Picture("sea.png", "0".repeat(64), "image/png", "CC0", 10);
        drafts.amend(1, newest -> new Edit.SetPicture("sea.png", Optional.of(sea)), LEAD);
        assertThat(Picture.of(ThemeJson.readInline(row.document()))).containsOnlyKeys("sea.png");
        undo(drafts);
        assertThat(Picture.of(ThemeJson.readInline(row.document()))).isEmpty();
        redo(service());
        assertThat(Picture.of(ThemeJson.readInline(row.document()))).containsValue(sea);
    }

    @Test
    void anEditThatChangesNothingLeavesNoEntry() {
        drafts.edit(1, 0, radius(radius()), LEAD);
        assertThat(log).hasSize(1);
    }

    @Test
    void aThemeThatIsNotThereIsSaidToBeMissing() {
        lenient().when(themes.revisionOf(9)).thenReturn(Optional.empty());
        assertThatThrownBy(() -> drafts.newest(9)).hasMessageContaining("no theme with the number 9");
    }

    /** Edits, undos and redos in a random order, over more entries than lie between two whole states. */
    @Test
    void everyEarlierStateComesBackByteForByte() {
        java.util.Random random = new java.util.Random(3);
        List<String> states = new ArrayList<>(List.of(row.document()));
        for (int i = 0; i < 150; i++) {
            try {
                switch (random.nextInt(4)) {
                    case 0 -> undo(drafts);
                    case 1 -> redo(drafts);
                    default -> drafts.edit(1, row.revision(), radius(i + 100), LEAD);
                }
            } catch (IllegalArgumentException nothingThere) {
                continue;
            }
            states.add(row.document());
        }
        assertThat(log.stream().filter(entry -> entry.document() != null)).isNotEmpty();
        DraftService restarted = service();
        for (int number = states.size() - 1; number >= 0; number--)
            assertThat(ThemeJson.writeInline(restarted.stateAt(1, number)))
                    .as("revision %d", number)
                    .isEqualTo(states.get(number));
        assertThatThrownBy(() -> restarted.stateAt(1, states.size())).hasMessageContaining("no revision");
    }

    @Test
    void anOldStateIsRestoredAsANewEditThatCanBeUndone() {
        for (int px = 20; px < 25; px++) drafts.edit(1, px - 20, radius(px), LEAD);
        HistoryService history = new HistoryService(themes, drafts, CLOCK);
        assertThat(history.compare(1, 2, 5).changes()).singleElement().satisfies(change -> {
            assertThat(change.path()).isEqualTo("shape.radius");
            assertThat(change.before()).isEqualTo("21px");
            assertThat(change.after()).isEqualTo("24px");
        });
        history.restore(1, 2, LEAD);
        assertThat(radius()).isEqualTo(21);
        assertThat(log.get(6).label()).isEqualTo("restore revision 2");
        undo(drafts);
        assertThat(radius()).isEqualTo(24);
    }

    @Test
    void theRailSaysWhatAnEntryMovedInEitherDirection() {
        assertThat(drafts.rail(1, 0).moved()).isEmpty();
        drafts.edit(1, 0, new Edit.Move(TokenPath.of("shape.radius"), TokenPath.of("shape.corner")), LEAD);
        assertThat(drafts.rail(1, 1).moved()).containsExactly(new ThemeViews.Moved("shape.radius", "shape.corner"));
        undo(drafts);
        assertThat(drafts.rail(1, 2).moved()).containsExactly(new ThemeViews.Moved("shape.corner", "shape.radius"));
        redo(drafts);
        assertThat(drafts.rail(1, 3).moved()).containsExactly(new ThemeViews.Moved("shape.radius", "shape.corner"));
        undo(drafts);
        drafts.edit(1, 4, radius(11), LEAD);
        assertThat(drafts.rail(1, 5).moved()).isEmpty();
    }
}
