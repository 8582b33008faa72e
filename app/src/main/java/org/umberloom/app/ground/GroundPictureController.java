package org.umberloom.app.ground;

import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;
import org.umberloom.core.ground.Pattern;

/** Pictures and patterns that surfaces can stand on. */
@RestController
@RequestMapping("/api")
class GroundPictureController {
    private static final String INK = "currentColor";

    record PictureView(String name, String license, long bytes) {
    }

    /** A pattern as CSS background images, drawn in the current color. */
    record PatternView(String id, String words, String image, String size) {
    }

    private final GroundPictures pictures;

    GroundPictureController(GroundPictures pictures) {
        this.pictures = pictures;
    }

    @GetMapping("/patterns")
    List<PatternView> patterns() {
        return Arrays.stream(Pattern.values()).map(pattern -> new PatternView(pattern.id(), pattern.words(),
                String.join(", ", pattern.layers().stream().map(layer -> layer.in(INK)).toList()),
                String.join(", ", pattern.layers().stream().map(Pattern.Layer::size).toList()))).toList();
    }

    @GetMapping("/themes/{id}/pictures")
    List<PictureView> all(@PathVariable long id) {
        return pictures.all(id).stream().map(row -> new PictureView(row.name(), row.license(), row.bytes())).toList();
    }

    @PostMapping(value = "/themes/{id}/pictures", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    PictureView add(@PathVariable long id, @RequestPart MultipartFile file, @RequestParam(defaultValue = "not stated") String license)
            throws IOException {
        String name = pictures.add(id, file.getOriginalFilename() == null ? "picture" : file.getOriginalFilename(), license, file.getBytes());
        return new PictureView(name, license, file.getSize());
    }

    @DeleteMapping("/themes/{id}/pictures/{name}")
    void remove(@PathVariable long id, @PathVariable String name) {
        pictures.remove(id, name);
    }

    /** A vector picture is served so that nothing in it can run or load anything. */
    @GetMapping("/themes/{id}/pictures/{name}")
    ResponseEntity<byte[]> content(@PathVariable long id, @PathVariable String name) {
        GroundPicture picture = pictures.get(id, name);
        return ResponseEntity.ok().contentType(MediaType.parseMediaType(picture.mediaType())).cacheControl(CacheControl.noCache())
                .header("Content-Security-Policy", "default-src 'none'; style-src 'unsafe-inline'; sandbox").body(picture.content());
    }
}
