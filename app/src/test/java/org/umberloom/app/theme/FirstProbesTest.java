package org.umberloom.app.theme;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.atLeast;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.verifyNoInteractions;
import static org.mockito.Mockito.when;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.mockito.ArgumentCaptor;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Seen;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.kit.font.FontFiles;
import tools.jackson.databind.json.JsonMapper;

class FirstProbesTest {
    private static final ThemeDocument THEME = Starter.ALL.get(0).theme("T");

    private final ThemeService themes = mock(ThemeService.class);
    private final LiveProbes line = mock(LiveProbes.class);
    private final JsonMapper json = JsonMapper.shared();
    private final FirstProbes first = new FirstProbes(themes, line, json);

    private void thereIs(ThemeDocument theme) {
        when(themes.lastChanged()).thenReturn(Optional.of(7L));
        when(themes.bench(anyLong(), any()))
                .thenReturn(new ThemeViews.Bench(
                        7,
                        "T",
                        "",
                        3,
                        "",
                        null,
                        List.of(),
                        null,
                        null,
                        ThemeViews.Instruments.of(theme, FontFiles.shipped())));
    }

    @Test
    void theyAskAsAPointerWouldOfTheThemeThatWasChangedLast() {
        thereIs(THEME);
        first.ask();
        ArgumentCaptor<String> asked = ArgumentCaptor.forClass(String.class);
        verify(line, atLeast(100)).probe(eq(7L), asked.capture());
        assertThat(asked.getAllValues().stream().distinct().count()).isGreaterThan(100);
        assertThat(asked.getAllValues()).allSatisfy(message -> {
            EditRequest request = json.readValue(message, EditRequest.class);
            assertThat(request.base()).isEqualTo(3);
            assertThat(request.lean()).isTrue();
            // One that the theme takes: a problem would be answered without the code that a drag needs.
            assertThatCode(() -> request.asked()
                            .in(new Seen(THEME, Resolution.of(THEME, THEME.defaults())))
                            .applyTo(THEME))
                    .doesNotThrowAnyException();
        });
    }

    @Test
    void withoutAThemeThereIsNothingToAsk() {
        when(themes.lastChanged()).thenReturn(Optional.empty());
        first.ask();
        verifyNoInteractions(line);
    }

    @Test
    void theyEndWithTheApplication() {
        thereIs(THEME);
        first.end();
        first.ask();
        verify(line, never()).probe(anyLong(), any());
    }

    @Test
    void whatGoesWrongIsNobodysConcern() {
        when(themes.lastChanged()).thenThrow(new IllegalStateException("no database"));
        assertThatCode(first::ask).doesNotThrowAnyException();
    }
}
