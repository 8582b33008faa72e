package org.umberloom.core.page;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.umberloom.core.contract.Paint;

class PaintTest {
    private static List<Paint> of(String selector) {
        return Paint.all(Map.of()).stream()
                .filter(paint -> paint.selector().equals(selector))
                .toList();
    }

    private static Paint only(String selector, Paint.State state) {
        return of(selector).stream()
                .filter(paint -> paint.state() == state && !paint.color().isEmpty())
                .findFirst()
                .orElseThrow();
    }

    @Test
    void everyRuleThatPaintsIsThereWithItsRoles() {
        assertThat(only("body", Paint.State.REST))
                .extracting(Paint::color, Paint::background, Paint::type)
                .containsExactly("text", "ground", "body");
        assertThat(only("button", Paint.State.REST))
                .extracting(Paint::color, Paint::background)
                .containsExactly("on-accent", "accent");
        assertThat(of("button")).extracting(Paint::type).contains("button");
        assertThat(only("input", Paint.State.REST))
                .extracting(Paint::color, Paint::background, Paint::border)
                .containsExactly("field-text", "field-ground", "field-border");
        assertThat(Paint.all(Map.of()))
                .noneMatch(paint -> (paint.color() + paint.background() + paint.border() + paint.type()).isEmpty());
    }

    @Test
    void statesThatAPersonBringsAboutAreTakenOffTheSelector() {
        assertThat(only("a", Paint.State.HOVER).color()).isEqualTo("link-hover");
        assertThat(only("a", Paint.State.VISITED).color()).isEqualTo("link-visited");
        assertThat(only("*", Paint.State.SELECTED).color()).isEqualTo("on-selection");
        assertThat(of("*").stream()
                        .filter(paint -> paint.state() == Paint.State.FOCUS)
                        .map(Paint::border))
                .containsExactly("focus");
        assertThat(Paint.all(Map.of()))
                .extracting(Paint::selector)
                .noneMatch(selector -> selector.contains(":hover") || selector.contains(":visited"));
    }

    @Test
    void whatMerelyDividesIsNoBorderThatMustBeSeen() {
        assertThat(of("fieldset")).allMatch(paint -> paint.border().isEmpty());
    }

    /** Source: Selectors 4, section 17; Cascade 5, section 6.4. */
    @Test
    void ranksFollowLayerSpecificityAndOrder() {
        assertThat(only("nav a", Paint.State.REST).rank())
                .as("two elements before one")
                .isGreaterThan(only("a", Paint.State.REST).rank());
        assertThat(only("a", Paint.State.VISITED).rank())
                .as(":where() adds nothing, later wins")
                .isGreaterThan(only("a", Paint.State.REST).rank())
                .isLessThan(only("nav a", Paint.State.REST).rank());
        assertThat(only("[data-part=\"button\"]", Paint.State.REST).rank())
                .as("a later layer before specificity")
                .isGreaterThan(
                        only("body > header > a:first-child", Paint.State.REST).rank());
        assertThat(only("[data-part=\"notice\"][data-state=\"bad\"]", Paint.State.REST)
                        .rank())
                .isGreaterThan(only("[data-state=\"bad\"]", Paint.State.REST).rank());
    }
}
