package org.umberloom.app.kit;

import java.security.Principal;
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
    record FileText(String name, String text) {
    }

    private final KitService kits;
    private final AccountService accounts;
    private final HeavyWork heavy;

    KitController(KitService kits, AccountService accounts, HeavyWork heavy) {
        this.heavy = heavy;
        this.kits = kits;
        this.accounts = accounts;
    }

    @GetMapping("/themes/{id}/kit")
    KitService.KitView contents(@PathVariable long id, @RequestParam(defaultValue = "") String site) {
        return kits.contents(id, site);
    }

    @GetMapping("/themes/{id}/kit/file")
    FileText file(@PathVariable long id, @RequestParam(defaultValue = "") String site, @RequestParam String name) {
        return new FileText(name, kits.text(id, site, name));
    }

    @GetMapping("/themes/{id}/kit.zip")
    ResponseEntity<byte[]> archive(@PathVariable long id, @RequestParam(defaultValue = "") String site) {
        return ResponseEntity.ok().contentType(MediaType.parseMediaType("application/zip"))
                .header(HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(kits.fileName(id)).build().toString())
                .body(kits.archive(id, site));
    }

    @PostMapping(value = "/kits", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    KitService.Imported take(@RequestPart MultipartFile file, Principal principal) {
        return heavy.read(() -> kits.take(Uploads.name(file, "a file"), Uploads.bytes(file), accounts.get(principal.getName())));
    }
}
