package org.umberloom.app.site;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.core.annotation.Order;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.dao.PessimisticLockingFailureException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionOperations;
import org.springframework.transaction.support.TransactionTemplate;
import org.umberloom.app.account.Account;
import org.umberloom.app.account.AccountService;
import org.umberloom.app.picture.PictureStore;
import org.umberloom.app.theme.DraftService;
import org.umberloom.core.format.SiteJson;
import org.umberloom.core.format.ThemeJson;
import org.umberloom.core.site.SiteDocument;
import org.umberloom.core.site.SiteEdits;
import org.umberloom.core.site.SitePage;
import org.umberloom.core.site.SitePieces;
import org.umberloom.core.theme.Picture;
import org.umberloom.core.theme.PictureFacts;
import org.umberloom.core.theme.SharedPiece;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.kit.SitePicture;
import org.umberloom.kit.picture.PictureReader;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Fills an empty database: with the first account, and with the demo data when a folder of it is given. */
@Component
@Order(1)
class DemoLoader implements ApplicationRunner {
    private static final Logger LOG = LoggerFactory.getLogger(DemoLoader.class);

    private final AccountService accounts;
    private final DraftService drafts;
    private final SiteService sites;
    private final PictureReader reader;
    private final PictureStore store;
    private final JsonMapper json;
    private final TransactionOperations transactions;
    private final String demo;
    private final String email;
    private final String name;
    private final String password;

    DemoLoader(
            AccountService accounts,
            DraftService drafts,
            SiteService sites,
            PictureReader reader,
            PictureStore store,
            JsonMapper json,
            TransactionTemplate transactions,
            @Value("${umberloom.demo}") String demo,
            @Value("${LOOM_LEAD_EMAIL:lead@localhost}") String email,
            @Value("${LOOM_LEAD_NAME:Design lead}") String name,
            @Value("${LOOM_LEAD_PASSWORD:}") String password) {
        this.accounts = accounts;
        this.drafts = drafts;
        this.sites = sites;
        this.reader = reader;
        this.store = store;
        this.json = json;
        this.transactions = transactions;
        this.demo = demo;
        this.email = email;
        this.name = name;
        this.password = password;
    }

    /** Where several processes begin on one empty database, one of them fills it and the others go on. */
    @Override
    public void run(ApplicationArguments arguments) {
        if (password.isEmpty()) return;
        if (!accounts.isEmpty()) {
            if (!demo.isEmpty()) keepPasswords();
            return;
        }
        try {
            transactions.executeWithoutResult(status -> fill());
        } catch (DuplicateKeyException | PessimisticLockingFailureException otherWasFaster) {
            LOG.info("another process fills the database");
        }
    }

    /** What the start of a demo prints is true of a database that an earlier start has made, too. */
    private void keepPasswords() {
        accounts.keepPassword(email, password);
        try {
            for (JsonNode person : plan(Path.of(demo)).get("people"))
                accounts.keepPassword(person.get("email").asString(), password);
        } catch (IOException e) {
            throw new UncheckedIOException("the demo data cannot be read", e);
        }
    }

    private JsonNode plan(Path folder) throws IOException {
        return json.readTree(Files.readString(folder.resolve("demo.json")));
    }

    private void fill() {
        accounts.addFirst(email, name, password, "lead");
        if (demo.isEmpty()) return;
        try {
            load(Path.of(demo), accounts.get(email));
        } catch (IOException e) {
            throw new UncheckedIOException("the demo data cannot be read", e);
        }
    }

    private void load(Path folder, Account lead) throws IOException {
        JsonNode plan = plan(folder);
        // Further people, so that several can work on one draft.
        for (JsonNode person : plan.get("people"))
            accounts.addFirst(
                    person.get("email").asString(),
                    person.get("name").asString(),
                    password,
                    person.get("role").asString());
        for (JsonNode themePlan : plan.get("themes")) {
            Path themeFolder = folder.resolve(themePlan.get("folder").asString());
            ThemeDocument theme = ThemeJson.read(
                    Files.readString(themeFolder.resolve("theme.resolver.json")),
                    file -> read(themeFolder.resolve(file)));
            theme = withPictures(theme, themeFolder.resolve("pictures"), themePlan.get("pictures"));
            long id = drafts.create(theme, "demo theme", lead);
            for (JsonNode site : themePlan.get("sites"))
                loadSite(folder.resolve(site.get("folder").asString()), site, id, theme, lead);
        }
        LOG.info("demo data loaded from {}", folder);
    }

    private ThemeDocument withPictures(ThemeDocument theme, Path folder, JsonNode pictures) throws IOException {
        Map<String, Picture> named = new LinkedHashMap<>();
        for (JsonNode picture : pictures) {
            String name = picture.get("name").asString();
            PictureStore.Kept kept = store.keep(name, Files.readAllBytes(folder.resolve(name)));
            PictureFacts facts =
                    PictureFacts.of(name, json.convertValue(picture, new TypeReference<Map<String, Object>>() {}));
            named.put(
                    name, new Picture(name, kept.hash(), kept.mediaType(), facts.license(), kept.bytes()).said(facts));
        }
        return Picture.with(theme, named);
    }

    private void loadSite(Path folder, JsonNode site, long theme, ThemeDocument worn, Account lead) throws IOException {
        List<SitePage> pages = new ArrayList<>();
        for (JsonNode page : site.get("pages")) {
            String name = page.get("slug").asString();
            pages.add(new SitePage(
                    name,
                    page.get("title").asString(),
                    page.get("kind").asString(),
                    read(folder.resolve(name + ".html"))));
        }
        List<SitePicture> pictures = new ArrayList<>();
        for (JsonNode picture : site.get("pictures")) {
            String name = picture.get("name").asString();
            pictures.add(SitePicture.of(
                    name,
                    reader.read(Files.readAllBytes(folder.resolve("pictures").resolve(name))),
                    PictureFacts.of(name, json.convertValue(picture, new TypeReference<Map<String, Object>>() {}))));
        }
        String slug = site.get("slug").asString();
        Map<String, String> parts = new LinkedHashMap<>(
                SiteJson.write(SiteDocument.of(slug, site.get("name").asString(), pages)));
        if (site.has("nameplate")) parts.put("nameplate", json.writeValueAsString(site.get("nameplate")));
        if (site.has("look"))
            parts.put(
                    "look",
                    json.writeValueAsString(Map.of("contexts", site.get("look"), "scheme", site.get("scheme"))));
        if (site.has("written"))
            site.get("written")
                    .properties()
                    .forEach(place -> parts.put("at/" + place.getKey(), json.writeValueAsString(place.getValue())));
        SiteDocument whole = SitePieces.wearing(SiteJson.read(slug, parts), SharedPiece.of(worn));
        if (!whole.plate().logo().isEmpty())
            whole = SiteEdits.nameplate(whole, whole.plate()).applyTo(whole).site();
        sites.add(whole, theme, pictures, lead);
    }

    private static String read(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException e) {
            throw new UncheckedIOException("the demo data lacks " + file, e);
        }
    }
}
