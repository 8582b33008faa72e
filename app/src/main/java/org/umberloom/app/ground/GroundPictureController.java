package org.umberloom.app.ground;

import jakarta.validation.Valid;
import java.security.Principal;
import java.util.Arrays;
import java.util.List;
import org.springframework.http.CacheControl;
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
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;
import org.umberloom.app.account.AccountService;
import org.umberloom.app.picture.PictureSaid;
import org.umberloom.app.picture.ShelvedPicture;
import org.umberloom.app.web.HeavyWork;
import org.umberloom.app.web.Uploads;
import org.umberloom.core.color.Blend;
import org.umberloom.core.ground.Ground;
import org.umberloom.core.ground.Pattern;

/** Pictures and patterns that surfaces can stand on. */
@RestController
@RequestMapping("/api")
class GroundPictureController {
    private static final String INK = "currentColor";

    /** What a picture is called in the theme. */
    record PictureKept(String name) {}

    /** A pattern as CSS background images, drawn in the current color. */
    record PatternView(String id, String words, String image, String size) {}

    private final GroundPictures pictures;
    private final AccountService accounts;
    private final HeavyWork heavy;

    GroundPictureController(GroundPictures pictures, AccountService accounts, HeavyWork heavy) {
        this.pictures = pictures;
        this.accounts = accounts;
        this.heavy = heavy;
    }

    /** What grounds can be made of. */
    record GroundsView(
            List<String> kinds,
            List<String> sizes,
            List<String> repeats,
            List<String> blends,
            List<PatternView> patterns) {}

    @GetMapping("/grounds")
    GroundsView grounds() {
        return new GroundsView(
                Arrays.stream(Ground.Kind.values()).map(Ground.Kind::id).toList(),
                Ground.SIZES,
                Ground.REPEATS,
                Arrays.stream(Blend.values()).map(Blend::css).toList(),
                patterns());
    }

    private static List<PatternView> patterns() {
        return Arrays.stream(Pattern.values())
                .map(pattern -> new PatternView(
                        pattern.id(),
                        pattern.words(),
                        String.join(
                                ", ",
                                pattern.layers().stream()
                                        .map(layer -> layer.in(INK))
                                        .toList()),
                        String.join(
                                ", ",
                                pattern.layers().stream()
                                        .map(Pattern.Layer::size)
                                        .toList())))
                .toList();
    }

    @GetMapping("/themes/{id}/pictures")
    List<ShelvedPicture> all(@PathVariable long id) {
        return pictures.shelf(id);
    }

    @PutMapping("/themes/{id}/pictures/{name}")
    void describe(
            @PathVariable long id,
            @PathVariable String name,
            @Valid @RequestBody PictureSaid said,
            Principal principal) {
        pictures.describe(id, name, said.facts(), accounts.get(principal.getName()));
    }

    @PostMapping(value = "/themes/{id}/pictures", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    PictureKept add(
            @PathVariable long id,
            @RequestPart MultipartFile file,
            @RequestParam(defaultValue = "") String license,
            Principal principal) {
        return heavy.read(() -> new PictureKept(pictures.add(
                        id,
                        Uploads.name(file, "picture"),
                        license,
                        Uploads.bytes(file),
                        accounts.get(principal.getName()))
                .name()));
    }

    @DeleteMapping("/themes/{id}/pictures/{name}")
    void remove(@PathVariable long id, @PathVariable String name, Principal principal) {
        pictures.remove(id, name, accounts.get(principal.getName()));
    }

    /** A picture is served so that nothing in it can run or load anything, however it is opened. */
    @GetMapping("/themes/{id}/pictures/{name}")
    ResponseEntity<byte[]> content(@PathVariable long id, @PathVariable String name) {
        GroundPictures.Shown picture = pictures.get(id, name);
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(picture.mediaType()))
                .cacheControl(CacheControl.noCache())
                .header("Content-Security-Policy", Uploads.PICTURE_POLICY)
                .body(picture.content());
    }
}
