package org.goldthistle.photo;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import org.goldthistle.platform.Problem;
import org.goldthistle.platform.ProblemType;

/**
 * A photo as it is kept.
 *
 * @param kind told by its content
 * @param content the file; a survey that does not keep positions keeps no description of the picture but which way up
 *     it is
 */
public record PhotoFile(PhotoKind kind, byte[] content) {
    /** The largest photo that is kept, in bytes. */
    public static final int LARGEST = 12 * 1024 * 1024;

    private static final long MOST_PIXELS = 50_000_000;

    /**
     * Reads a photo.
     *
     * @param content the file as it was sent
     * @param keepsPosition whether it keeps where it was taken, if its file says so
     * @throws Problem if it is no JPEG, PNG or WebP, or a broken one
     */
    public static PhotoFile read(byte[] content, boolean keepsPosition) {
        PhotoKind kind = PhotoKind.of(content)
                .orElseThrow(() -> unfit("is not a JPEG, PNG or WebP picture, whatever its name says"));
        try {
            CleanPicture clean = switch (kind) {
                case JPEG -> JpegCleaner.clean(content);
                case PNG -> PngCleaner.clean(content);
                case WEBP -> WebpCleaner.clean(content);
            };
            if (clean.pixels() > MOST_PIXELS) {
                throw unfit("has more than " + MOST_PIXELS / 1_000_000 + " million pixels");
            }
            return new PhotoFile(kind, keepsPosition ? content : clean.content());
        } catch (IndexOutOfBoundsException broken) {
            throw unfit("is not a picture that can be read to its end");
        }
    }

    /**
     * The bytes of a photo as it was sent.
     *
     * @throws Problem if they are more than are kept
     */
    public static byte[] bytes(InputStream sent) {
        try {
            byte[] content = sent.readNBytes(LARGEST + 1);
            if (content.length > LARGEST) {
                throw unfit("is larger than 12 MB");
            }
            return content;
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
    }

    private static Problem unfit(String why) {
        return Problem.unfit(
                ProblemType.UNFIT_PHOTO,
                "This file " + why
                        + ". It was not stored; your readings are kept. Choose a JPEG, PNG or WebP picture of"
                        + " up to 12 MB.");
    }
}
