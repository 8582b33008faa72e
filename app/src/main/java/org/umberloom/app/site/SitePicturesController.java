package org.umberloom.app.site;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.security.Principal;
import java.util.List;
import org.springframework.http.MediaType;
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

@RestController
@RequestMapping("/api/sites/{site}/pictures")
class SitePicturesController {
    record PictureNamed(String name) {}

    /** In px. */
    record PlaceholderWanted(int width, int height) {}

    record PictureInstead(@NotBlank @Size(max = 120) String name) {}

    private final SitePictures pictures;
    private final PicturesOfThemes ofTheme;
    private final SiteWork work;
    private final AccountService accounts;
    private final HeavyWork heavy;

    SitePicturesController(
            SitePictures pictures, PicturesOfThemes ofTheme, SiteWork work, AccountService accounts, HeavyWork heavy) {
        this.pictures = pictures;
        this.ofTheme = ofTheme;
        this.work = work;
        this.accounts = accounts;
        this.heavy = heavy;
    }

    @GetMapping
    List<ShelvedPicture> shelf(@PathVariable String site) {
        return pictures.shelf(site);
    }

    /** A picture that the site may show from now on; under another name where its own is taken. */
    @PostMapping(consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    PictureNamed addPicture(
            @PathVariable String site,
            @RequestPart MultipartFile file,
            @RequestParam(defaultValue = "") @Size(max = 200) String license) {
        return heavy.read(() ->
                new PictureNamed(pictures.add(site, Uploads.name(file, "picture"), Uploads.bytes(file), license)));
    }

    /** Room for a picture that is still to come. */
    @PostMapping("/placeholders")
    PictureNamed placeholder(@PathVariable String site, @RequestBody PlaceholderWanted wanted) {
        return new PictureNamed(pictures.placeholder(site, wanted.width(), wanted.height()));
    }

    @PutMapping("/{name}")
    void describe(@PathVariable String site, @PathVariable String name, @Valid @RequestBody PictureSaid said) {
        pictures.describe(site, name, said.facts());
    }

    /** A picture of the theme’s shelf on the site’s as well. */
    @PostMapping("/of-theme/{name}")
    PictureNamed take(@PathVariable String site, @PathVariable String name) {
        return new PictureNamed(ofTheme.take(site, name));
    }

    /** Another picture of the site wherever this one stands. */
    @PutMapping("/{name}/instead")
    SiteDrafts.Stacks instead(
            @PathVariable String site,
            @PathVariable String name,
            @Valid @RequestBody PictureInstead other,
            Principal principal) {
        return work.edit(
                site,
                null,
                document -> pictures.instead(document, name, other.name()),
                accounts.get(principal.getName()));
    }

    @DeleteMapping("/{name}")
    void remove(@PathVariable String site, @PathVariable String name) {
        pictures.remove(site, name);
    }
}
