package org.umberloom.app.kit;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.security.Principal;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;
import org.umberloom.app.account.AccountService;
import org.umberloom.app.web.Downloads;
import org.umberloom.app.web.HeavyWork;
import org.umberloom.app.web.Uploads;
import org.umberloom.core.format.ThemeFiles;
import org.umberloom.core.format.TokenFiles;

/** Exporting and importing kits. */
@RestController
@RequestMapping("/api")
class KitController {
    private static final int MOST_FILES = 40;

    /** What a file is to be in the theme; a set where no modifier is named. */
    record PartSaid(
            @NotNull @Size(max = 400) String file,
            @NotNull @Size(max = 100) String modifier,
            @NotNull @Size(max = 100) String context) {}

    /**
     * What is said of files beside what they hold.
     *
     * @param parts of several token files; none to go by what is proposed
     * @param page  a selector whose custom properties are those of the page
     */
    record ImportSaid(@Size(max = 400) List<@NotNull @Valid PartSaid> parts, @Size(max = 400) String page) {}

    private final KitService kits;
    private final AccountService accounts;
    private final HeavyWork heavy;

    KitController(KitService kits, AccountService accounts, HeavyWork heavy) {
        this.heavy = heavy;
        this.kits = kits;
        this.accounts = accounts;
    }

    @GetMapping("/themes/{id}/kit")
    KitService.KitView contents(@PathVariable long id, @ParameterObject KitAsked asked) {
        return heavy.make(() -> kits.contents(id, asked));
    }

    @GetMapping("/themes/{id}/kit/file")
    KitService.FileText file(@PathVariable long id, @ParameterObject KitAsked asked, @RequestParam String name) {
        return heavy.make(() -> kits.text(id, asked, name));
    }

    @GetMapping("/themes/{id}/kit.zip")
    ResponseEntity<byte[]> archive(@PathVariable long id, @ParameterObject KitAsked asked) {
        KitService.Archive archive = heavy.make(() -> kits.archive(id, asked));
        return Downloads.archive(archive.name(), archive.content());
    }

    /** What would come in; nothing is stored. */
    @PostMapping(value = "/kits/preview", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    KitService.Preview preview(
            @RequestPart List<MultipartFile> file, @RequestPart(required = false) @Valid ImportSaid said) {
        return heavy.read(() -> kits.preview(contents(file), said(said)));
    }

    @PostMapping(value = "/kits", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    KitService.Imported take(
            @RequestPart List<MultipartFile> file,
            @RequestPart(required = false) @Valid ImportSaid said,
            Principal principal) {
        return heavy.read(() -> kits.take(contents(file), said(said), accounts.get(principal.getName())));
    }

    private static ThemeFiles.Said said(ImportSaid said) {
        if (said == null) return ThemeFiles.Said.NOTHING;
        return new ThemeFiles.Said(
                said.parts() == null
                        ? List.of()
                        : said.parts().stream()
                                .map(part -> new TokenFiles.Part(part.file(), part.modifier(), part.context(), 0))
                                .toList(),
                said.page() == null ? "" : said.page());
    }

    private static Map<String, byte[]> contents(List<MultipartFile> files) {
        if (files.size() > MOST_FILES)
            throw new IllegalArgumentException(
                    "Up to " + MOST_FILES + " files are read at once. Nothing was imported and nothing was changed.");
        Map<String, byte[]> contents = new LinkedHashMap<>();
        for (MultipartFile file : files) {
            String name = Uploads.name(file, "a file");
            // Files of several folders may have one name.
            for (int i = 2; contents.containsKey(name); i++) name = i + "-" + Uploads.name(file, "a file");
            contents.put(name, Uploads.bytes(file));
        }
        return contents;
    }
}
