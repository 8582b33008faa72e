package org.umberloom.bench;

import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.FormData;
import com.microsoft.playwright.options.RequestOptions;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import javax.imageio.ImageIO;

/** From sending a photograph-like picture of 12 megapixels to its main colors, by the running application. */
final class PictureTime {
    private static final int WIDTH = 4_000;
    private static final int HEIGHT = 3_000;
    private static final int WARM_UP = 2;
    private static final int TIMES = 9;

    private PictureTime() {}

    /** Seconds, one for each time. */
    static List<Double> measure(String address) throws IOException {
        byte[] picture = picture();
        List<Double> seconds = new ArrayList<>();
        try (Playwright playwright = Playwright.create();
                Browser browser = Browsing.launch(playwright)) {
            Page page = Browsing.signedIn(browser, address);
            String token = (String) page.evaluate("() => /XSRF-TOKEN=([^;]*)/.exec(document.cookie)[1]");
            for (int i = 0; i < WARM_UP + TIMES; i++) {
                long start = System.nanoTime();
                APIResponse answer = page.request()
                        .post(
                                address + "/api/palette/picture",
                                RequestOptions.create()
                                        .setHeader("X-XSRF-TOKEN", token)
                                        .setMultipart(FormData.create()
                                                .set("file", new FilePayload("large.jpg", "image/jpeg", picture))));
                if (!answer.ok()) throw new IOException("the picture was refused: " + answer.text());
                if (i >= WARM_UP) seconds.add((System.nanoTime() - start) / 1e9);
            }
        }
        return seconds;
    }

    private static byte[] picture() throws IOException {
        Random random = new Random(7);
        BufferedImage image = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
        for (int y = 0; y < HEIGHT; y++)
            for (int x = 0; x < WIDTH; x++) {
                int noise = random.nextInt(24);
                image.setRGB(
                        x,
                        y,
                        (40 + x * 160 / WIDTH + noise) << 16
                                | (60 + y * 120 / HEIGHT + noise) << 8
                                | (200 - y * 150 / HEIGHT + noise));
            }
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        ImageIO.write(image, "jpg", bytes);
        return bytes.toByteArray();
    }
}
