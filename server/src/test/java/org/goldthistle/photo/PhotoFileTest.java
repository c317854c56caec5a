package org.goldthistle.photo;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import com.drew.imaging.ImageMetadataReader;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifIFD0Directory;
import com.drew.metadata.exif.GpsDirectory;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.zip.CRC32;
import java.util.zip.DeflaterOutputStream;
import javax.imageio.ImageIO;
import org.goldthistle.PlacedPicture;
import org.goldthistle.picture.PictureKind;
import org.goldthistle.platform.Problem;
import org.junit.jupiter.api.Test;

/** Photos with a position in them, written here byte by byte as cameras do. */
class PhotoFileTest {
    @Test
    void a_jpeg_loses_its_position_and_keeps_its_picture_and_which_way_up_it_is() throws Exception {
        byte[] sent = PlacedPicture.jpeg();
        assertThat(position(sent)).isNotNull();

        PhotoFile kept = PhotoFile.read(sent, false);

        assertThat(kept.kind()).isEqualTo(PictureKind.JPEG);
        assertThat(position(kept.content())).isNull();
        assertThat(metadata(kept.content())
                        .getFirstDirectoryOfType(ExifIFD0Directory.class)
                        .getInt(ExifIFD0Directory.TAG_ORIENTATION))
                .isEqualTo(PlacedPicture.TURNED);
        assertSamePicture(kept.content(), sent);
    }

    @Test
    void what_hangs_on_behind_a_jpeg_goes_too() throws Exception {
        byte[] picture = PlacedPicture.jpeg();
        byte[] sent = Arrays.copyOf(picture, picture.length + 5000);
        System.arraycopy(picture, 0, sent, picture.length, picture.length);

        assertThat(PhotoFile.read(sent, false).content())
                .isEqualTo(PhotoFile.read(picture, false).content());
    }

    @Test
    void a_png_loses_its_descriptions_and_keeps_its_picture() throws Exception {
        byte[] plain = PlacedPicture.encoded("png");
        byte[] sent = PlacedPicture.after(
                plain,
                33,
                chunk("eXIf", PlacedPicture.exif()),
                chunk("tEXt", "Place\0Tarnholt".getBytes(StandardCharsets.US_ASCII)));
        assertThat(position(sent)).isNotNull();

        PhotoFile kept = PhotoFile.read(sent, false);

        assertThat(kept.kind()).isEqualTo(PictureKind.PNG);
        assertThat(kept.content()).isEqualTo(plain);
    }

    @Test
    void a_webp_loses_its_descriptions_and_says_so_in_its_head() throws Exception {
        byte[] sent = webpWith(PlacedPicture.exif());
        assertThat(position(sent)).isNotNull();

        PhotoFile kept = PhotoFile.read(sent, false);

        assertThat(kept.kind()).isEqualTo(PictureKind.WEBP);
        assertThat(position(kept.content())).isNull();
        assertThat(kept.content()[20] & 0x08).isZero();
        assertThat(ByteBuffer.wrap(kept.content())
                        .order(ByteOrder.LITTLE_ENDIAN)
                        .getInt(4))
                .isEqualTo(kept.content().length - 8);
        assertThat(new String(kept.content(), StandardCharsets.ISO_8859_1))
                .contains("VP8L")
                .doesNotContain("EXIF");
    }

    @Test
    void a_survey_that_keeps_positions_keeps_the_file_as_it_was_sent() throws Exception {
        byte[] sent = PlacedPicture.jpeg();

        assertThat(PhotoFile.read(sent, true).content()).isEqualTo(sent);
    }

    @Test
    void what_is_no_picture_is_refused_whatever_it_is_called() {
        for (String text :
                new String[] {"", "x", "<svg xmlns='http://www.w3.org/2000/svg'/>", "GIF89a......", "%PDF-1.7"}) {
            assertThatExceptionOfType(Problem.class)
                    .isThrownBy(() -> PhotoFile.read(text.getBytes(StandardCharsets.US_ASCII), false))
                    .withMessageContaining("is not a JPEG, PNG or WebP picture");
        }
    }

    @Test
    void a_picture_that_breaks_off_is_refused() throws Exception {
        for (byte[] whole :
                new byte[][] {PlacedPicture.jpeg(), PlacedPicture.encoded("png"), webpWith(PlacedPicture.exif())}) {
            byte[] half = Arrays.copyOf(whole, whole.length - 20);

            assertThatExceptionOfType(Problem.class)
                    .isThrownBy(() -> PhotoFile.read(half, false))
                    .withMessageContaining("It was not stored");
        }
    }

    @Test
    void what_would_unpack_to_more_than_anybody_has_room_for_is_not_unpacked_and_not_kept() throws Exception {
        var packed = new ByteArrayOutputStream();
        try (var deflater = new DeflaterOutputStream(packed)) {
            byte[] zeros = new byte[1 << 20];
            for (int i = 0; i < 200; i++) {
                deflater.write(zeros);
            }
        }
        byte[] plain = PlacedPicture.encoded("png");
        for (String name : new String[] {"zTXt", "iTXt", "iCCP", "prVt"}) {
            byte[] head = (name.equals("iTXt") ? "Note\0\1\0\0\0" : "Note\0\0").getBytes(StandardCharsets.US_ASCII);
            byte[] bomb = ByteBuffer.allocate(head.length + packed.size())
                    .put(head)
                    .put(packed.toByteArray())
                    .array();

            assertThat(PhotoFile.read(PlacedPicture.after(plain, 33, chunk(name, bomb)), false)
                            .content())
                    .isEqualTo(plain);
        }
    }

    @Test
    void a_length_that_cannot_be_and_more_pixels_than_are_kept_are_refused_in_words() throws Exception {
        for (int length : new int[] {Integer.MAX_VALUE, Integer.MAX_VALUE - 11, -1}) {
            byte[] png = PlacedPicture.encoded("png");
            ByteBuffer.wrap(png).putInt(8, length);
            byte[] webp = webpWith(PlacedPicture.exif());
            ByteBuffer.wrap(webp).order(ByteOrder.LITTLE_ENDIAN).putInt(16, length);
            for (byte[] broken : new byte[][] {png, webp}) {
                assertThatExceptionOfType(Problem.class)
                        .isThrownBy(() -> PhotoFile.read(broken, false))
                        .withMessageContaining("not a picture");
            }
        }
        byte[] huge = PlacedPicture.encoded("png");
        ByteBuffer.wrap(huge).putInt(16, 60_000).putInt(20, 60_000);
        assertThatExceptionOfType(Problem.class)
                .isThrownBy(() -> PhotoFile.read(huge, true))
                .withMessageContaining("50 million pixels");
    }

    @Test
    void twelve_megabytes_are_kept_and_one_byte_more_is_not() {
        assertThat(PhotoFile.bytes(new ByteArrayInputStream(new byte[PhotoFile.LARGEST])))
                .hasSize(PhotoFile.LARGEST);
        assertThatExceptionOfType(Problem.class)
                .isThrownBy(() -> PhotoFile.bytes(new ByteArrayInputStream(new byte[PhotoFile.LARGEST + 1])))
                .withMessageContaining("larger than 12 MB");
    }

    private static Object position(byte[] content) throws Exception {
        GpsDirectory gps = metadata(content).getFirstDirectoryOfType(GpsDirectory.class);
        return gps == null ? null : gps.getString(GpsDirectory.TAG_LATITUDE_REF);
    }

    private static Metadata metadata(byte[] content) throws Exception {
        return ImageMetadataReader.readMetadata(new ByteArrayInputStream(content));
    }

    private static void assertSamePicture(byte[] kept, byte[] sent) throws IOException {
        BufferedImage a = ImageIO.read(new ByteArrayInputStream(kept));
        BufferedImage b = ImageIO.read(new ByteArrayInputStream(sent));
        assertThat(a.getRGB(0, 0, 16, 12, null, 0, 16)).isEqualTo(b.getRGB(0, 0, 16, 12, null, 0, 16));
    }

    private static byte[] chunk(String name, byte[] content) {
        var sum = new CRC32();
        sum.update(name.getBytes(StandardCharsets.US_ASCII));
        sum.update(content);
        return ByteBuffer.allocate(12 + content.length)
                .putInt(content.length)
                .put(name.getBytes(StandardCharsets.US_ASCII))
                .put(content)
                .putInt((int) sum.getValue())
                .array();
    }

    /** A lossless WebP of one pixel, in the extended layout that allows for descriptions. */
    private static byte[] webpWith(byte[] exif) {
        byte[] pixel = {0x2F, 0, 0, 0, 0x10, 0x07, 0x10, 0x11, 0x11, (byte) 0x88, (byte) 0x88, (byte) 0xFE, 0x07, 0};
        ByteBuffer file = ByteBuffer.allocate(12 + 18 + 8 + pixel.length + 8 + exif.length)
                .order(ByteOrder.LITTLE_ENDIAN);
        file.put("RIFF".getBytes(StandardCharsets.US_ASCII)).putInt(file.capacity() - 8);
        file.put("WEBPVP8X".getBytes(StandardCharsets.US_ASCII))
                .putInt(10)
                .put((byte) 0x08)
                .put(new byte[9]);
        file.put("VP8L".getBytes(StandardCharsets.US_ASCII))
                .putInt(pixel.length)
                .put(pixel);
        file.put("EXIF".getBytes(StandardCharsets.US_ASCII)).putInt(exif.length).put(exif);
        return file.array();
    }
}
