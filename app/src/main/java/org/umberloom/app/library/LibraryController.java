package org.umberloom.app.library;

import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.Principal;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.umberloom.app.account.AccountService;
import org.umberloom.app.web.Downloads;
import org.umberloom.app.web.HeavyWork;

/** The library: finding, copying, putting away and deleting themes, and taking everything home. */
@RestController
@RequestMapping("/api")
class LibraryController {
    record CopyRequest(String name) {}

    record PutAwayRequest(@NotNull Boolean away) {}

    record Copied(long id) {}

    private final LibraryService library;
    private final EverythingService everything;
    private final AccountService accounts;
    private final HeavyWork heavy;

    LibraryController(LibraryService library, EverythingService everything, AccountService accounts, HeavyWork heavy) {
        this.library = library;
        this.everything = everything;
        this.accounts = accounts;
        this.heavy = heavy;
    }

    @GetMapping("/themes")
    LibraryService.Page page(
            @RequestParam(defaultValue = "false") boolean putAway,
            @RequestParam(defaultValue = "") String search,
            @RequestParam(defaultValue = "0") int from) {
        return library.page(putAway, search, from);
    }

    @GetMapping("/themes/{id}/card")
    LibraryService.Card card(@PathVariable long id) {
        return library.card(id);
    }

    @PostMapping("/themes/{id}/copy")
    Copied copy(@PathVariable long id, @RequestBody CopyRequest request, Principal principal) {
        return new Copied(
                library.copy(id, request.name() == null ? "" : request.name(), accounts.get(principal.getName())));
    }

    @PutMapping("/themes/{id}/put-away")
    void putAway(@PathVariable long id, @Valid @RequestBody PutAwayRequest request) {
        library.putAway(id, request.away());
    }

    @GetMapping("/themes/{id}/losses")
    LibraryService.Losses losses(@PathVariable long id) {
        return library.losses(id);
    }

    @DeleteMapping("/themes/{id}")
    void delete(@PathVariable long id) {
        library.delete(id);
    }

    /** The document as it is stored: a resolver document in the open format. */
    @GetMapping("/themes/{id}/document")
    ResponseEntity<String> document(@PathVariable long id) {
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_JSON)
                .header(HttpHeaders.CONTENT_DISPOSITION, Downloads.named("theme-" + id + ".resolver.json"))
                .body(library.document(id));
    }

    private static String fileName(int asStored) {
        return asStored == 0 ? "umber-loom-everything.zip" : "umber-loom-everything-" + asStored + "-as-stored.zip";
    }

    /**
     * Everything that is kept here, in open formats, in one archive. What cannot be shown is in it as it is stored; the name of the
     * archive and {@code contents.json} in it say so.
     */
    @GetMapping(value = "/everything.zip", produces = "application/zip")
    void everything(HttpServletResponse response) {
        heavy.write(() -> {
            Path file = null;
            try {
                // Whole before anything of it is sent, so that what fails is an error and no shorter archive.
                file = Files.createTempFile("umber-loom", ".zip");
                int asStored;
                try (OutputStream out = Files.newOutputStream(file)) {
                    asStored = everything.write(out);
                }
                response.setContentType("application/zip");
                response.setContentLengthLong(Files.size(file));
                response.setHeader(HttpHeaders.CONTENT_DISPOSITION, Downloads.named(fileName(asStored)));
                Files.copy(file, response.getOutputStream());
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            } finally {
                if (file != null) file.toFile().delete();
            }
        });
    }
}
