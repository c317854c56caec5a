package org.goldthistle;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import javax.imageio.ImageIO;

/** Pictures of a few pixels, where it does not matter what they show. */
public final class SmallPicture {
    private SmallPicture() {}

    /** A PNG that differs from those of other colours. */
    public static byte[] png(int colour) {
        var picture = new BufferedImage(8, 8, BufferedImage.TYPE_INT_RGB);
        picture.setRGB(3, 3, colour * 99_991);
        var content = new ByteArrayOutputStream();
        try {
            ImageIO.write(picture, "png", content);
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
        return content.toByteArray();
    }
}
