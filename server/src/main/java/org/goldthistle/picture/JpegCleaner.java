package org.goldthistle.picture;

import com.drew.lang.ByteArrayReader;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifIFD0Directory;
import com.drew.metadata.exif.ExifReader;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;

/**
 * Copies a JPEG without its descriptions: Exif, XMP, captions, comments, and whatever hangs on behind the picture.
 * Which way up it is is written anew. The picture itself stays bit for bit.
 *
 * @see "ITU-T T.81, annex B: a file is a row of segments, each with a marker and a length"
 */
final class JpegCleaner {
    private static final int START_OF_SCAN = 0xDA;
    private static final int END_OF_IMAGE = 0xD9;
    private static final int FIRST_RESTART = 0xD0;
    private static final int LAST_RESTART = 0xD7;
    private static final int APP1 = 0xE1;
    private static final int APP2 = 0xE2;
    private static final int APP15 = 0xEF;
    private static final int COMMENT = 0xFE;
    private static final int ADOBE = 0xEE; // tells how the colours are coded, so it stays

    private static final String EXIF = "Exif\0\0";
    private static final int UPRIGHT = 1; // of the eight ways in which Exif turns a picture

    private JpegCleaner() {}

    /** @throws IndexOutOfBoundsException if the file breaks off */
    static CleanPicture clean(byte[] content) {
        var cleaned = new ByteArrayOutputStream(content.length);
        cleaned.write(content, 0, 2); // start of image
        cleaned.writeBytes(orientationSegment(orientation(content)));
        long pixels = 0;
        int at = 2;
        while (true) {
            int marker = content[at + 1] & 0xFF;
            if (marker == END_OF_IMAGE) {
                cleaned.write(content, at, 2);
                return new CleanPicture(cleaned.toByteArray(), pixels);
            }
            int end = at + 2 + twoBytes(content, at + 2);
            if (isFrame(marker)) {
                pixels = Math.max(pixels, (long) twoBytes(content, at + 5) * twoBytes(content, at + 7));
            }
            if (marker == START_OF_SCAN) {
                end = endOfScan(content, end);
            }
            if (!isDescription(content, at, marker)) {
                cleaned.write(content, at, end - at);
            }
            at = end;
        }
    }

    /** Start of a frame, which tells the sides of the picture: C0 to CF but for tables and extensions. */
    private static boolean isFrame(int marker) {
        return marker >= 0xC0 && marker <= 0xCF && marker != 0xC4 && marker != 0xC8 && marker != 0xCC;
    }

    private static int twoBytes(byte[] content, int at) {
        return (content[at] & 0xFF) << 8 | content[at + 1] & 0xFF;
    }

    /** Which way up the picture is, by the first segment of Exif alone, which has 64 kB at most. */
    private static int orientation(byte[] content) {
        for (int at = 2; (content[at + 1] & 0xFF) != START_OF_SCAN && (content[at + 1] & 0xFF) != END_OF_IMAGE; ) {
            int end = at + 2 + twoBytes(content, at + 2);
            boolean isExif = (content[at + 1] & 0xFF) == APP1
                    && end <= content.length
                    && new String(content, at + 4, Math.min(EXIF.length(), end - at - 4), StandardCharsets.US_ASCII)
                            .equals(EXIF);
            if (isExif) {
                return orientationIn(Arrays.copyOfRange(content, at + 4 + EXIF.length(), end));
            }
            at = end;
        }
        return UPRIGHT;
    }

    private static int orientationIn(byte[] tiff) {
        Metadata metadata = new Metadata();
        new ExifReader().extract(new ByteArrayReader(tiff), metadata);
        var exif = metadata.getFirstDirectoryOfType(ExifIFD0Directory.class);
        Integer found = exif == null ? null : exif.getInteger(ExifIFD0Directory.TAG_ORIENTATION);
        return found == null || found < 1 || found > 8 ? UPRIGHT : found;
    }

    private static boolean isDescription(byte[] content, int at, int marker) {
        if (marker == APP2) {
            return content[at + 4] != 'I' || content[at + 5] != 'C' || content[at + 6] != 'C'; // a colour profile stays
        }
        return marker == COMMENT || marker >= APP1 && marker <= APP15 && marker != ADOBE;
    }

    /** The next marker after coded data, in which FF is followed by 00 or by a restart. */
    private static int endOfScan(byte[] content, int from) {
        int at = from;
        while (true) {
            int next = content[at + 1] & 0xFF;
            boolean coded = (content[at] & 0xFF) != 0xFF
                    || next == 0
                    || next == 0xFF
                    || next >= FIRST_RESTART && next <= LAST_RESTART;
            if (!coded) {
                return at;
            }
            at++;
        }
    }

    /** An Exif segment that says which way up the picture is, and nothing else. */
    private static byte[] orientationSegment(int orientation) {
        return new byte[] {
            (byte) 0xFF,
            (byte) APP1,
            0,
            34,
            'E',
            'x',
            'i',
            'f',
            0,
            0, // segment
            'M',
            'M',
            0,
            42,
            0,
            0,
            0,
            8, // TIFF, most significant byte first, directory at 8
            0,
            1,
            0x01,
            0x12,
            0,
            3,
            0,
            0,
            0,
            1,
            0,
            (byte) orientation,
            0,
            0, // one entry: orientation, a short
            0,
            0,
            0,
            0 // no further directory
        };
    }
}
