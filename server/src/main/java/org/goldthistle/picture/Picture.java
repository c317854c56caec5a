package org.goldthistle.picture;

/**
 * A picture that can be kept.
 *
 * @param kind told by its content
 * @param content the file as it was sent
 * @param cleaned the file without any description of the picture but which way up it is
 */
public record Picture(PictureKind kind, byte[] content, byte[] cleaned) {
    private static final long MOST_PIXELS = 50_000_000;

    /**
     * Reads a file as it was sent.
     *
     * @throws UnfitPictureException if it is no JPEG, PNG or WebP, a broken one, or far too large on the screen
     */
    public static Picture read(byte[] content) throws UnfitPictureException {
        PictureKind kind = PictureKind.of(content)
                .orElseThrow(
                        () -> new UnfitPictureException("is not a JPEG, PNG or WebP picture, whatever its name says"));
        CleanPicture clean;
        try {
            clean = switch (kind) {
                case JPEG -> JpegCleaner.clean(content);
                case PNG -> PngCleaner.clean(content);
                case WEBP -> WebpCleaner.clean(content);
            };
        } catch (IndexOutOfBoundsException broken) {
            throw new UnfitPictureException("is not a picture that can be read to its end");
        }
        if (clean.pixels() > MOST_PIXELS) {
            throw new UnfitPictureException("has more than " + MOST_PIXELS / 1_000_000 + " million pixels");
        }
        return new Picture(kind, content, clean.content());
    }
}
