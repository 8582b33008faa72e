package org.umberloom.app.site;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.umberloom.app.color.ColorView;
import org.umberloom.app.looking.Combos;
import org.umberloom.app.theme.Draft;
import org.umberloom.app.theme.DraftService;
import org.umberloom.app.theme.ThemeViews;
import org.umberloom.core.font.Families;
import org.umberloom.core.ground.Pictures;
import org.umberloom.core.site.RoleGroups;
import org.umberloom.core.site.SiteLook;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.theme.ThemeGraph;

/** All sites against the groups of roles: what follows, what differs on purpose, and what by accident. */
@Service
public class ClothService {
    /** One site's crossing with a group of roles: how many values of its own, and how many strays. */
    record Crossing(String group, int overrides, int strays) {}

    /**
     * A site as a row of the cloth.
     *
     * @param look  the contexts it stands in that leave the theme's default, in words
     * @param weave its theme's plaid in its own combination
     */
    record ClothRow(
            String slug,
            String name,
            long themeId,
            String theme,
            String look,
            int pages,
            ThemeViews.Weave weave,
            List<Crossing> crossings,
            String fault) {}

    record Cloth(List<String> groups, List<ClothRow> rows) {}

    private record Looked(long theme, Map<String, String> contexts) {}

    private final SiteService sites;
    private final DraftService themes;

    ClothService(SiteService sites, DraftService themes) {
        this.sites = sites;
        this.themes = themes;
    }

    Cloth cloth() {
        Map<Long, Optional<Draft>> known = new HashMap<>();
        Map<Looked, ThemeViews.Weave> weaves = new HashMap<>();
        List<ClothRow> rows = new ArrayList<>();
        for (SiteService.Counted site : sites.counted()) {
            SiteMapper.CountedRow row = site.row();
            SiteFacts facts = site.facts();
            Optional<Draft> theme = known.computeIfAbsent(row.themeId(), this::find);
            List<Crossing> crossings = RoleGroups.ALL.stream()
                    .map(group -> new Crossing(
                            group,
                            facts.overrides().getOrDefault(group, 0),
                            facts.strays().getOrDefault(group, 0)))
                    .toList();
            Map<String, String> contexts = theme.map(
                            draft -> SiteLook.chosen(draft.theme(), facts.look(), facts.scheme()))
                    .orElse(Map.of());
            ThemeViews.Weave weave = theme.map(draft -> weaves.computeIfAbsent(
                            new Looked(draft.id(), contexts), key -> weave(draft.theme(), contexts)))
                    .orElse(new ThemeViews.Weave(List.of(), List.of()));
            rows.add(new ClothRow(
                    row.slug(),
                    row.name(),
                    row.themeId(),
                    theme.map(draft -> draft.theme().name()).orElse("a theme that cannot be shown"),
                    String.join(" · ", contexts.values()),
                    facts.pages().size(),
                    weave,
                    crossings,
                    site.fault()));
        }
        return new Cloth(RoleGroups.ALL, rows);
    }

    /** One theme that cannot be read takes no other site down. */
    private Optional<Draft> find(long theme) {
        try {
            return Optional.of(themes.newest(theme));
        } catch (NoSuchElementException | IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    private static ThemeViews.Weave weave(ThemeDocument theme, Map<String, String> contexts) {
        return ThemeViews.Weave.of(ColorView.of(Combos.of(
                theme,
                new Combination(contexts),
                List.of(),
                Pictures.NONE,
                Families.NONE,
                combination -> ThemeGraph.of(theme, combination),
                Map.of())));
    }
}
