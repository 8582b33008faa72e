package org.umberloom.core.page;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.umberloom.core.contract.Choice;
import org.umberloom.core.contract.Contract;

/** Which elements a choice decides the look of; what Chromium makes of the same is a browser test. */
class ChoiceSpotsTest {
    private static final Map<String, Choice> CHOICES = Contract.standard().choices();

    private static Set<Integer> differing(String markup, String name, String old, String fresh) {
        Set<Integer> at = new TreeSet<>();
        ChoiceSpots.of("<!doctype html><html><head></head><body>" + markup + "</body></html>", Map.of())
                .getOrDefault(name, Map.of())
                .forEach((spot, looks) -> {
                    if (looks.differ(CHOICES.get(name), old, fresh)) at.add(spot);
                });
        return at;
    }

    @Test
    void whatAChoiceSaysOtherwiseIsCounted() {
        String links = "<main><p><a href=\"#\">1</a></p><p>2</p></main>";
        assertThat(differing(links, "links", "always", "never")).containsExactly(3);
        assertThat(differing(links, "links", "always", "always")).isEmpty();
        assertThat(differing("<h2>1</h2><p>2</p>", "heading-case", "as-written", "capitals"))
                .containsExactly(1);
    }

    @Test
    void valuesThatNoPageSaysOfAreNone() {
        assertThat(differing("<h2>1</h2>", "heading-case", "as-written", "mirrored"))
                .isEmpty();
        assertThat(differing("<p>1</p>", "heading-case", "as-written", "capitals"))
                .isEmpty();
    }

    /** At rest both link choices look the same until somebody points. */
    @Test
    void statesThatAPersonBringsAboutAreNoLookAtRest() {
        assertThat(differing("<p><a href=\"#\">1</a></p>", "link-pointed", "color", "thicker"))
                .isEmpty();
    }

    @Test
    void aStrongerRuleKeepsAChoiceFromShowing() {
        // A link that is a button is underlined by no choice of links.
        assertThat(differing("<p><a data-part=\"button\" href=\"#\">1</a></p>", "links", "always", "never"))
                .isEmpty();
    }

    /** Regions of whole pages, and what stands in a page's head. */
    private static final Set<String> NOT_ON_SAMPLES =
            Set.of("bar-place", "bar-surface", "sharing", "sidebar", "sidebar-surface", "site-icon");

    /** Every other choice shows somewhere on the sample pages, but those of states alone. */
    @Test
    void everyChoiceIsCountedSomewhereOnTheSamples() {
        Map<String, Map<Integer, ChoiceSpots.Looks>> spots = ChoiceSpots.of(Specimen.page("page", Map.of()), Map.of());
        Set<String> unseen = new TreeSet<>(CHOICES.keySet());
        unseen.removeAll(spots.keySet());
        // The sample of a further surface opens with what reaches to both edges.
        unseen.removeAll(
                ChoiceSpots.of(Specimen.page("deep", Map.of()), Map.of()).keySet());
        unseen.removeAll(NOT_ON_SAMPLES);
        Set<String> ofStates = new TreeSet<>();
        Map<String, List<Boolean>> states = new LinkedHashMap<>();
        Contract.standard().rules().forEach(rule -> rule.choice()
                .ifPresent(one -> states.computeIfAbsent(one.choice(), key -> new ArrayList<>())
                        .add(rule.rule().selectors().stream()
                                .noneMatch(selector -> selector.states().isEmpty()))));
        states.forEach((name, all) -> {
            if (all.stream().allMatch(one -> one)) ofStates.add(name);
        });
        assertThat(unseen).isEqualTo(ofStates);
    }
}
