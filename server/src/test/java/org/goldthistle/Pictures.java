package org.goldthistle;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.concurrent.ThreadLocalRandom;
import javax.imageio.ImageIO;

/** Small pictures, each another one. */
public final class Pictures {
    private static final int SIDE = 12;

    private Pictures() {}

    /** A PNG. */
    public static byte[] png() {
        BufferedImage image = new BufferedImage(SIDE, SIDE, BufferedImage.TYPE_INT_RGB);
        for (int i = 0; i < SIDE * SIDE; i++) {
            image.setRGB(i % SIDE, i / SIDE, ThreadLocalRandom.current().nextInt(1 << 24));
        }
        var content = new ByteArrayOutputStream();
        try {
            ImageIO.write(image, "png", content);
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
        return content.toByteArray();
    }
}
