package org.umberloom.app.color;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;
import org.umberloom.app.web.HeavyWork;
import org.umberloom.app.web.Uploads;

/** Sources of palettes, and the ways in which people see colors. Nothing that is sent here is kept. */
@RestController
@RequestMapping("/api")
class PaletteController {
    record TextRequest(@NotNull String text) {}

    private final PaletteService palettes;
    private final HeavyWork heavy;

    PaletteController(PaletteService palettes, HeavyWork heavy) {
        this.heavy = heavy;
        this.palettes = palettes;
    }

    @PostMapping("/palette/text")
    PaletteService.Proposal ofText(@Valid @RequestBody TextRequest request) {
        return palettes.ofText(request.text());
    }

    @PostMapping(value = "/palette/picture", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    PaletteService.Proposal ofPicture(@RequestPart MultipartFile file) {
        return heavy.read(() -> palettes.ofPicture(Uploads.name(file, "a picture"), Uploads.bytes(file)));
    }

    @GetMapping("/palette/harmonies")
    List<PaletteService.Proposal> harmonies(@RequestParam String seed) {
        return palettes.harmonies(seed);
    }

    @GetMapping("/palette/starters")
    List<PaletteService.Proposal> starters() {
        return palettes.starters();
    }

    @GetMapping("/seeing")
    PaletteService.SightView sight() {
        return palettes.sight();
    }
}
