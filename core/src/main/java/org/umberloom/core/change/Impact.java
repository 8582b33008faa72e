package org.umberloom.core.change;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.umberloom.core.check.Contrasts;
import org.umberloom.core.check.Pair;
import org.umberloom.core.contract.Choices;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.contract.Worn;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.TokenValue;

/**
 * What two states of a theme make of pages in one combination, also at scopes: there what is written at narrower places has its say,
 * so that what is overridden is none of it.
 *
 * @param roles    that come to another value, by the paths at which pages take them
 * @param choices  that are made otherwise, by name
 * @param crossing pairs that were readable and no longer are, or the other way round
 */
public record Impact(Map<String, Moved> roles, Map<String, Chosen> choices, List<Crossing> crossing) {
    /** What a role came to and comes to. */
    public record Moved(TokenValue old, TokenValue fresh, Size size) {}

    /** The value of a choice before and after. */
    public record Chosen(String old, String fresh) {}

    /** A pair that crosses the ratio that it needs. */
    public record Crossing(Pair pair, double old, double fresh) {
        public boolean lost() {
            return fresh < pair.needed();
        }
    }

    /** @param look with the scopes that reach the page or the spot that is looked at */
    public static Impact between(ThemeDocument before, ThemeDocument after, Combination look) {
        Combination there = look.completedFor(before);
        Combination here = look.completedFor(after);
        Resolution old = Resolution.of(before, there);
        Resolution fresh = Resolution.of(after, here);
        Map<String, String> chosenBefore = Choices.of(before, there);
        Map<String, String> chosenAfter = Choices.of(after, here);
        Map<String, Chosen> choices = new TreeMap<>();
        chosenAfter.forEach((name, value) -> {
            String was = chosenBefore.getOrDefault(name, "");
            if (!was.equals(value)) choices.put(name, new Chosen(was, value));
        });
        return new Impact(
                moved(Worn.of(old), Worn.of(fresh)), choices, crossing(old, fresh, chosenBefore, chosenAfter));
    }

    private static Map<String, Moved> moved(Worn before, Worn after) {
        Map<String, TokenValue> was = new LinkedHashMap<>();
        before.all().forEach(standing -> was.put(standing.path(), standing.value()));
        Map<String, Moved> moved = new LinkedHashMap<>();
        // A surface that is new shows what the page did; one that is gone does from now on.
        for (Worn.Standing standing : after.all()) {
            TokenValue old = Optional.ofNullable(was.remove(standing.path()))
                    .orElseGet(() -> before.at(standing.role(), Surfaces.PAGE).value());
            put(moved, standing.path(), old, standing.value());
        }
        was.forEach((path, old) -> Contract.standard()
                .filledBy(path)
                .ifPresent(role ->
                        put(moved, path, old, after.at(role, Surfaces.PAGE).value())));
        return moved;
    }

    private static void put(Map<String, Moved> moved, String path, TokenValue old, TokenValue fresh) {
        if (!old.equals(fresh)) moved.put(path, new Moved(old, fresh, Size.between(old, fresh)));
    }

    private static List<Crossing> crossing(
            Resolution old, Resolution fresh, Map<String, String> chosenBefore, Map<String, String> chosenAfter) {
        Map<Pair, Double> before = new LinkedHashMap<>();
        Contrasts.measure(old, chosenBefore).forEach(one -> before.put(one.pair(), one.ratio()));
        List<Crossing> crossing = new ArrayList<>();
        for (Pair.Measured one : Contrasts.measure(fresh, chosenAfter)) {
            Double was = before.get(one.pair());
            if (was != null && was >= one.pair().needed() != one.passes())
                crossing.add(new Crossing(one.pair(), was, one.ratio()));
        }
        return crossing;
    }
}
