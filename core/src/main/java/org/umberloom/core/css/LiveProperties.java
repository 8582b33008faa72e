package org.umberloom.core.css;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.contract.Role;
import org.umberloom.core.contract.Worn;
import org.umberloom.core.ground.Grounds;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Resolved;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.TypographyValue;

/**
 * All properties that the whole base layer needs in one combination, for a live page. It knows in which property each
 * token's own value stands, so that after an edit of values only those are written anew.
 */
public final class LiveProperties {
    private record Spot(String block, String name) {}

    private final Resolution resolution;
    private final CustomProperties properties;
    private final Map<TokenPath, List<Spot>> spots;
    private final Map<Spot, Role> computed;

    private LiveProperties(
            Resolution resolution,
            CustomProperties properties,
            Map<TokenPath, List<Spot>> spots,
            Map<Spot, Role> computed) {
        this.resolution = resolution;
        this.properties = properties;
        this.spots = spots;
        this.computed = computed;
    }

    public static LiveProperties of(Resolution resolution) {
        Map<TokenPath, List<Spot>> spots = new HashMap<>();
        Map<Spot, Role> computed = new LinkedHashMap<>();
        CustomProperties properties = CustomProperties.of(
                resolution,
                Contract.standard().readings(),
                Stylesheet.furtherSurfaces(resolution),
                new CustomProperties.Standing() {
                    @Override
                    public void at(TokenPath token, String block, String name) {
                        spots.computeIfAbsent(token, key -> new ArrayList<>(1)).add(new Spot(block, name));
                    }

                    @Override
                    public void computed(Role role, String block, String name) {
                        computed.put(new Spot(block, name), role);
                    }
                });
        return new LiveProperties(resolution, properties, spots, computed);
    }

    /** The same combination after an edit; equal to what {@link #of} makes of it. */
    public LiveProperties after(Resolution next) {
        Resolution.Changes changes = next.since(resolution);
        if (!changes.gone().isEmpty() || !changes.changed().stream().allMatch(this::onlyItsValueChanged))
            return of(next);
        Map<String, Map<String, String>> blocks = new LinkedHashMap<>(properties.blocks());
        for (Resolved token : changes.changed()) {
            // Its parts are written as before: what changed are values that they refer to.
            if (token.value() instanceof TypographyValue) continue;
            for (Spot spot : spots.getOrDefault(token.path(), List.of()))
                put(blocks, spot, CustomProperties.text(spot.name, token.value()));
        }
        if (!computed.isEmpty()) {
            Worn worn = Worn.of(next);
            computed.forEach((spot, role) -> put(
                    blocks,
                    spot,
                    CustomProperties.text(
                            spot.name,
                            worn.at(role, CustomProperties.surfaceOf(spot.block))
                                    .value())));
        }
        return new LiveProperties(next, new CustomProperties(blocks), spots, computed);
    }

    private void put(Map<String, Map<String, String>> blocks, Spot spot, String value) {
        if (value.equals(blocks.get(spot.block).get(spot.name))) return;
        if (blocks.get(spot.block) == properties.blocks().get(spot.block))
            blocks.put(spot.block, new LinkedHashMap<>(blocks.get(spot.block)));
        blocks.get(spot.block).put(spot.name, value);
    }

    /**
     * Whether a token is written with the same references, and is as fit for roles, as before; then its properties are
     * the same, if not their values.
     */
    private boolean onlyItsValueChanged(Resolved token) {
        Resolved before = resolution.tokens().get(token.path());
        if (before == null || before.type() != token.type()) return false;
        TokenValue now = token.written().value();
        TokenValue then = before.written().value();
        if (token.value() instanceof TypographyValue || before.value() instanceof TypographyValue)
            return now instanceof TypographyValue && now.equals(then);
        return now.equals(then) || !(now instanceof Alias) && !(then instanceof Alias);
    }

    /** With the ground of every surface; one that was taken away is written as none. */
    public CustomProperties on(Map<String, Grounds.Placed> grounds) {
        return properties.standingOn(grounds, resolution);
    }
}
