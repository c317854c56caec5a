package org.goldthistle.photo;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import org.goldthistle.picture.Picture;
import org.goldthistle.picture.PictureKind;
import org.goldthistle.picture.UnfitPictureException;
import org.goldthistle.platform.Problem;
import org.goldthistle.platform.ProblemType;

/**
 * A photo as it is kept.
 *
 * @param kind told by its content
 * @param content the file; a survey that does not keep positions keeps no description of the picture but which way up
 *     it is
 */
public record PhotoFile(PictureKind kind, byte[] content) {
    /** The largest photo that is kept, in bytes. */
    public static final int LARGEST = 12 * 1024 * 1024;

    /**
     * Reads a photo.
     *
     * @param content the file as it was sent
     * @param keepsPosition whether it keeps where it was taken, if its file says so
     * @throws Problem if it is no JPEG, PNG or WebP, or a broken one
     */
    public static PhotoFile read(byte[] content, boolean keepsPosition) {
        try {
            Picture picture = Picture.read(content);
            return new PhotoFile(picture.kind(), keepsPosition ? content : picture.cleaned());
        } catch (UnfitPictureException unfit) {
            throw unfit(unfit.why());
        }
    }

    /**
     * A photo that is kept, without any description of the picture but which way up it is.
     *
     * @param kept as it was stored, so it is a picture
     */
    public static byte[] withoutPosition(byte[] kept) {
        try {
            return Picture.read(kept).cleaned();
        } catch (UnfitPictureException broken) {
            throw new IllegalStateException("a photo that was stored is broken", broken);
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
