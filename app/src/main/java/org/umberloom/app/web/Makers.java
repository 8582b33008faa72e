package org.umberloom.app.web;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.umberloom.kit.SharingPictures;
import org.umberloom.kit.SiteSquares;
import org.umberloom.kit.picture.PictureReader;
import org.umberloom.kit.picture.SmallerPictures;

/** What reads and draws pictures, once for the application: they keep what they made. */
@Configuration(proxyBeanMethods = false)
class Makers {
    @Bean
    PictureReader pictureReader() {
        return new PictureReader();
    }

    @Bean
    SmallerPictures smallerPictures() {
        return new SmallerPictures();
    }

    @Bean
    SiteSquares siteSquares() {
        return new SiteSquares();
    }

    @Bean
    SharingPictures sharingPictures() {
        return new SharingPictures();
    }
}
