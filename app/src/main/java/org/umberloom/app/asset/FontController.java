package org.umberloom.app.asset;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.Size;
import java.security.Principal;
import java.time.Duration;
import java.util.List;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;
import org.umberloom.app.web.HeavyWork;
import org.umberloom.app.web.Uploads;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.font.Pairing;
import org.umberloom.kit.font.FontCatalog;
import org.umberloom.kit.font.FontFiles;

/** The families that can be chosen, and those that people bring. */
@RestController
class FontController {
    private static final int MOST_AT_ONCE = 40;
    private static final Duration FOR_EVER = Duration.ofDays(365);

    record RemovalRequest(@NotBlank @Size(max = 120) String family) {}

    /** @param files that were taken away, to be put back with */
    record RemovedFamily(String family, List<String> files) {}

    record PutBackRequest(@NotEmpty @Size(max = 400) List<@NotBlank @Size(max = 160) String> files) {}

    private final FontShelf shelf;
    private final OwnFonts own;
    private final FontFaces faces;
    private final HeavyWork heavy;

    FontController(FontShelf shelf, OwnFonts own, FontFaces faces, HeavyWork heavy) {
        this.shelf = shelf;
        this.own = own;
        this.faces = faces;
        this.heavy = heavy;
    }

    @GetMapping("/api/fonts")
    List<FontCatalog.Family> fonts() {
        return shelf.atHand().catalog().families();
    }

    /** Families for headings that go with one for text, with the reason. */
    @GetMapping("/api/fonts/pairs")
    List<Pairing> pairs(@RequestParam String text) {
        return shelf.atHand().pairs(text);
    }

    /** What they are like, to be chosen by. @param like the family that those most like it come first to; none for no order */
    @GetMapping("/api/fonts/facts")
    List<FontFiles.FamilyFacts> facts(@RequestParam(defaultValue = "") String like) {
        return shelf.atHand().alike(like);
    }

    /** Names of the families that have every character of a text upright. */
    @GetMapping("/api/fonts/covering")
    List<String> covering(@RequestParam @Size(max = 2000) String text) {
        return shelf.atHand().covering(text);
    }

    /** The faces of those that people brought. */
    @GetMapping(value = "/api/fonts/own.css", produces = "text/css;charset=UTF-8")
    ResponseEntity<String> ownFaces() {
        return ResponseEntity.ok().cacheControl(CacheControl.noCache()).body(Stylesheet.faces(faces.own()));
    }

    /** Each file is read by itself: those that are fonts are kept, the others refused with a reason. */
    @PostMapping(value = "/api/fonts/own", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    List<OwnFonts.Brought> bring(@RequestPart List<MultipartFile> file, Principal principal) {
        if (file.size() > MOST_AT_ONCE)
            throw new IllegalArgumentException("These are " + file.size() + " files; bring at most " + MOST_AT_ONCE
                    + " at once. Nothing was kept.");
        List<OwnFonts.Brought> brought = file.stream()
                .map(one -> heavy.read(
                        () -> own.bring(Uploads.name(one, "a font"), Uploads.bytes(one), principal.getName())))
                .toList();
        shelf.now();
        return brought;
    }

    @PostMapping("/api/fonts/own/removed")
    RemovedFamily remove(@Valid @RequestBody RemovalRequest request) {
        List<String> files = own.remove(request.family());
        shelf.now();
        return new RemovedFamily(request.family(), files);
    }

    @PostMapping("/api/fonts/own/put-back")
    void putBack(@Valid @RequestBody PutBackRequest request) {
        own.putBack(request.files());
        shelf.now();
    }

    @GetMapping("/fonts/own/{file}")
    ResponseEntity<byte[]> file(@PathVariable String file) {
        boolean text = file.endsWith(".txt");
        return ResponseEntity.ok()
                .contentType(
                        text
                                ? new MediaType("text", "plain", java.nio.charset.StandardCharsets.UTF_8)
                                : new MediaType("font", "woff2"))
                .cacheControl(
                        text
                                ? CacheControl.noCache()
                                : CacheControl.maxAge(FOR_EVER).cachePrivate().immutable())
                .header("Content-Security-Policy", Uploads.PICTURE_POLICY)
                .body(own.read(OwnFonts.FOLDER + file));
    }
}
