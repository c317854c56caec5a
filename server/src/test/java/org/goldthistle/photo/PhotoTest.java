package org.goldthistle.photo;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Random;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.goldthistle.Caller;
import org.goldthistle.ServerTest;
import org.goldthistle.SmallPicture;
import org.junit.jupiter.api.Test;

class PhotoTest extends ServerTest {

    @Test
    void a_photo_is_kept_once_with_its_print_and_shown_to_its_observer() throws IOException {
        Caller siskin = signedIn("Siskin");
        String path = photo(31);
        siskin.putBytes(path + "?character=thorns", SmallPicture.png(1)).expect(200);

        JsonNode bench =
                siskin.putBytes(path + "?character=thorns", SmallPicture.png(1)).expect(200);

        assertThat(bench.at("/state/photos")).hasSize(1);
        assertThat(bench.at("/state/photos/0/character").asText()).isEqualTo("thorns");
        assertThat(bench.at("/state/photos/0/sha256").asText()).matches("[0-9a-f]{64}");
        assertThat(siskin.get(path).contentType()).isEqualTo("image/png");
        siskin.putBytes(path + "?character=thorns", SmallPicture.png(2)).expectProblem(409, "id-taken");
    }

    @Test
    void a_call_has_no_more_photos_than_are_kept() throws IOException {
        Caller siskin = signedIn("Siskin");
        byte[] picture = SmallPicture.png(7);
        for (int i = 0; i < 60; i++) {
            siskin.putBytes(photo(16), picture).expect(200);
        }

        siskin.putBytes(photo(16), picture).expectProblem(422, "too-many-photos");
    }

    @Test
    void a_photo_comes_in_under_whatever_type_a_browser_takes_it_for() throws IOException {
        Caller siskin = signedIn("Siskin");

        for (String type : new String[] {"image/jpeg", "image/png", "application/json", "text/plain"}) {
            siskin.putBytes(type, photo(9), SmallPicture.png(1)).expect(200);
        }
    }

    @Test
    void a_photo_of_an_unsigned_call_is_nobody_else_s_and_a_signed_one_is_the_crew_s() throws IOException {
        Caller siskin = signedIn("Siskin");
        String path = photo(24);
        siskin.putBytes(path, SmallPicture.png(3)).expect(200);
        Caller dipper = signedIn("Dipper");
        dipper.get(path).expectProblem(404, "no-such-photo");

        JsonNode seen = siskin.put(treePath(24) + "/determinations/" + UUID.randomUUID(), signature("group"))
                .expect(200);

        assertThat(seen.at("/determinations/0/photos")).hasSize(1);
        assertThat(dipper.get(path).contentType()).isEqualTo("image/png");
    }

    @Test
    void what_does_not_fit_is_refused_in_words() throws IOException {
        Caller dipper = signedIn("Dipper");
        dipper.putBytes(photo(4), "no picture".getBytes()).expectProblem(422, "unfit-photo");
        dipper.putBytes(photo(4), new byte[13 * 1024 * 1024]).expectProblem(422, "unfit-photo");
        dipper.putBytes(photo(4) + "?character=ears", SmallPicture.png(4)).expectProblem(422, "no-such-character");
        dipper.putBytes(photo(4).replace("/trees/", "/trees/" + UUID.randomUUID() + "/x"), SmallPicture.png(4))
                .expect(404);
    }

    @Test
    void a_photo_of_many_pieces_comes_back_as_it_went_in() throws IOException {
        var large = new BufferedImage(700, 700, BufferedImage.TYPE_INT_RGB);
        var noise = new Random(5);
        for (int i = 0; i < 700 * 700; i++) {
            large.setRGB(i % 700, i / 700, noise.nextInt());
        }
        var content = new ByteArrayOutputStream();
        ImageIO.write(large, "png", content);
        assertThat(content.size()).isGreaterThan(1024 * 1024);
        Caller dipper = signedIn("Dipper");
        String path = photo(4);

        dipper.putBytes(path, content.toByteArray()).expect(200);

        BufferedImage back = ImageIO.read(new ByteArrayInputStream(dipper.bytes(path)));
        assertThat(back.getRGB(699, 699)).isEqualTo(large.getRGB(699, 699));
        assertThat(dipper.bytes(path)).isEqualTo(dipper.bytes(path));
        dipper.putBytes(path, content.toByteArray()).expect(200); // sent twice
    }

    private static String photo(int tag) {
        return treePath(tag) + "/photos/" + UUID.randomUUID();
    }
}
