package org.umberloom.app.release;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.umberloom.app.account.Account;
import org.umberloom.app.account.AccountService;
import org.umberloom.app.site.Site;
import org.umberloom.app.site.SiteService;
import org.umberloom.app.theme.Draft;
import org.umberloom.app.theme.DraftService;
import org.umberloom.core.theme.Difference;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Resolved;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.ValueText;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Gives the demo a past: earlier states of its theme, released and taken by its sites; its draft ends as it was loaded. */
@Component
@Order(2)
class DemoHistory implements ApplicationRunner {
    private final SiteService sites;
    private final DraftService drafts;
    private final ReleaseService releases;
    private final StandingService standing;
    private final AccountService accounts;
    private final JsonMapper json;
    private final String demo;
    private final boolean wanted;
    private final String email;

    DemoHistory(
            SiteService sites,
            DraftService drafts,
            ReleaseService releases,
            StandingService standing,
            AccountService accounts,
            JsonMapper json,
            @Value("${umberloom.demo}") String demo,
            @Value("${umberloom.demo-history}") boolean wanted,
            @Value("${LOOM_LEAD_EMAIL:lead@localhost}") String email) {
        this.sites = sites;
        this.drafts = drafts;
        this.releases = releases;
        this.standing = standing;
        this.accounts = accounts;
        this.json = json;
        this.demo = demo;
        this.wanted = wanted;
        this.email = email;
    }

    /** Only where the demo was loaded and nobody has worked on it yet. */
    @Override
    public void run(ApplicationArguments arguments) throws IOException {
        if (!wanted || demo.isEmpty()) return;
        Optional<Site> first = sites.all().stream().findFirst();
        if (first.isEmpty()) return;
        long theme = first.get().themeId();
        Draft loaded = drafts.newest(theme);
        if (loaded.revision() > 1 || !releases.numbers(theme).isEmpty()) return;
        Account lead = accounts.get(email);
        for (JsonNode step : json.readTree(Files.readString(Path.of(demo, "history.json")))) {
            if (step.has("label")) edit(theme, loaded.theme(), step, lead);
            else release(theme, step, lead);
        }
    }

    private void edit(long theme, ThemeDocument loaded, JsonNode step, Account lead) {
        String label = step.get("label").asString();
        drafts.amend(
                theme,
                now -> step.get("values").isEmpty()
                        ? Difference.edit(label, now, loaded)
                        : new Edit.Batch(label, values(now, step.get("values"))),
                lead);
    }

    private static List<Edit> values(ThemeDocument now, JsonNode values) {
        Resolution resolution = Resolution.of(now, now.defaults());
        List<Edit> edits = new ArrayList<>();
        values.properties().forEach(value -> {
            Resolved token = resolution.find(value.getKey()).orElseThrow();
            Place place = token.winner();
            edits.add(new Edit.SetValue(
                    place,
                    TokenPath.of(value.getKey()),
                    ValueText.parse(token.type(), value.getValue().asString())));
        });
        return edits;
    }

    private void release(long theme, JsonNode step, Account lead) {
        String number = step.get("release").asString();
        releases.release(
                theme,
                States.DRAFT,
                drafts.newest(theme).revision(),
                number,
                step.get("notes").asString(),
                "the demo’s past",
                lead);
        List<StandingService.StagePlan> stages = new ArrayList<>();
        for (JsonNode stage : step.get("stages")) {
            List<String> slugs = new ArrayList<>();
            stage.forEach(site -> slugs.add(site.asString()));
            stages.add(new StandingService.StagePlan(slugs, 0));
        }
        StandingService.RolloutView rollout = standing.start(theme, number, stages, lead);
        for (int more = 1; more < stages.size(); more++) standing.next(rollout.id(), lead);
    }
}
