package org.goldthistle;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import javax.imageio.ImageIO;

/** Pictures with a position in them, written here byte by byte as cameras do. */
public final class PlacedPicture {
    /** Of the eight ways in which Exif turns a picture. */
    public static final int TURNED = 6;

    private PlacedPicture() {}

    /** A picture of 16 by 12 pixels, each of another colour. */
    public static byte[] encoded(String format) throws IOException {
        var picture = new BufferedImage(16, 12, BufferedImage.TYPE_INT_RGB);
        for (int i = 0; i < 16 * 12; i++) {
            picture.setRGB(i % 16, i / 16, i * 52_301);
        }
        var content = new ByteArrayOutputStream();
        ImageIO.write(picture, format, content);
        return content.toByteArray();
    }

    /** A TIFF directory with an orientation and one of position with a latitude's letter. */
    public static byte[] exif() {
        return ByteBuffer.allocate(56)
                .put("MM".getBytes(StandardCharsets.US_ASCII))
                .putShort((short) 42)
                .putInt(8)
                .putShort((short) 2)
                .put(entry(0x0112, 3, TURNED << 16))
                .put(entry(0x8825, 4, 38)) // the position's directory follows this one
                .putInt(0)
                .putShort((short) 1)
                .put(entry(0x0001, 2, 'N' << 24))
                .array();
    }

    /** A JPEG that says where it was taken. */
    public static byte[] jpeg() throws IOException {
        byte[] exif = exif();
        byte[] head = ByteBuffer.allocate(10 + exif.length)
                .putShort((short) 0xFFE1)
                .putShort((short) (8 + exif.length))
                .put("Exif\0\0".getBytes(StandardCharsets.US_ASCII))
                .put(exif)
                .array();
        return after(encoded("jpg"), 2, head);
    }

    /** A file with more parts put in after its head. */
    public static byte[] after(byte[] file, int header, byte[]... parts) {
        var whole = new ByteArrayOutputStream();
        whole.write(file, 0, header);
        for (byte[] part : parts) {
            whole.writeBytes(part);
        }
        whole.write(file, header, file.length - header);
        return whole.toByteArray();
    }

    private static byte[] entry(int tag, int type, int value) {
        return ByteBuffer.allocate(12)
                .putShort((short) tag)
                .putShort((short) type)
                .putInt(type == 2 ? 2 : 1)
                .putInt(value)
                .array();
    }
}
