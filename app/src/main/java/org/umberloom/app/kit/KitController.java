package org.umberloom.app.kit;

import java.security.Principal;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
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
import org.umberloom.app.web.HeavyWork;
import org.umberloom.app.web.Uploads;

/** Exporting and importing kits. */
@RestController
@RequestMapping("/api")
class KitController {
    private static final int MOST_FILES = 40;

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
        return kits.contents(id, asked);
    }

    @GetMapping("/themes/{id}/kit/file")
    KitService.FileText file(@PathVariable long id, @ParameterObject KitAsked asked, @RequestParam String name) {
        return kits.text(id, asked, name);
    }

    @GetMapping("/themes/{id}/kit.zip")
    ResponseEntity<byte[]> archive(@PathVariable long id, @ParameterObject KitAsked asked) {
        KitService.Archive archive = kits.archive(id, asked);
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("application/zip"))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(archive.name())
                                .build()
                                .toString())
                .body(archive.content());
    }

    /** What would come in; nothing is stored. */
    @PostMapping(value = "/kits/preview", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    KitService.Preview preview(@RequestPart List<MultipartFile> file) {
        return heavy.read(() -> kits.preview(contents(file)));
    }

    @PostMapping(value = "/kits", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    KitService.Imported take(@RequestPart List<MultipartFile> file, Principal principal) {
        return heavy.read(() -> kits.take(contents(file), accounts.get(principal.getName())));
    }

    private static Map<String, byte[]> contents(List<MultipartFile> files) {
        if (files.size() > MOST_FILES)
            throw new IllegalArgumentException(
                    "Up to " + MOST_FILES + " files are read at once. Nothing was imported and nothing was changed.");
        Map<String, byte[]> contents = new LinkedHashMap<>();
        for (MultipartFile file : files) contents.put(Uploads.name(file, "a file"), Uploads.bytes(file));
        return contents;
    }
}
