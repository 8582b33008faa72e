package org.umberloom.kit.picture;

import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;

/** Pictures of fewer pixels. */
final class Shrinking {
    private Shrinking() {}

    /** Halved as long as it can be, so that each pixel of the result has seen all of its own. @param width px; a narrower one stays */
    static BufferedImage to(BufferedImage image, int width) {
        BufferedImage smaller = image;
        while (smaller.getWidth() >= 2 * width) smaller = scaled(smaller, smaller.getWidth() / 2);
        return smaller.getWidth() > width ? scaled(smaller, width) : smaller;
    }

    private static BufferedImage scaled(BufferedImage image, int width) {
        int height = Math.max(1, (int) Math.round(image.getHeight() * (double) width / image.getWidth()));
        boolean alpha = image.getColorModel().hasAlpha();
        BufferedImage to =
                new BufferedImage(width, height, alpha ? BufferedImage.TYPE_INT_ARGB : BufferedImage.TYPE_INT_RGB);
        Graphics2D draw = to.createGraphics();
        draw.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
        draw.drawImage(image, 0, 0, width, height, null);
        draw.dispose();
        return to;
    }
}
