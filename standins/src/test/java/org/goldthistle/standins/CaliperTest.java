package org.goldthistle.standins;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.Iterator;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

class CaliperTest {
    private final HttpClient client = HttpClient.newHttpClient();
    private Caliper caliper;

    @BeforeEach
    void lies_there() throws IOException {
        caliper = Caliper.on(0);
    }

    @AfterEach
    void is_put_away() {
        caliper.close();
    }

    @Test
    void a_press_is_told_to_all_who_listen() throws Exception {
        try (Stream<String> one = listening();
                Stream<String> other = listening()) {
            Iterator<String> first = data(one);
            Iterator<String> second = data(other);

            assertThat(press("mm=12.34&unit=mm&worn=false").body()).isEqualTo("+0012.34 mm");
            press("mm=25.4&unit=in&worn=false");

            assertThat(first.next()).isEqualTo("data: +0012.34 mm");
            assertThat(first.next()).isEqualTo("data: +0001.0000 in");
            assertThat(second.next()).isEqualTo("data: +0012.34 mm");
        }
    }

    @Test
    void a_press_that_cannot_be_is_refused_in_words() throws Exception {
        assertThat(press("mm=151&unit=mm&worn=false").statusCode()).isEqualTo(400);
        assertThat(press("mm=151&unit=mm&worn=false").body()).contains("0 to 150 mm");
        assertThat(press("mm=wide").statusCode()).isEqualTo(400);
        assertThat(press("").statusCode()).isEqualTo(400);
    }

    @Test
    void who_hangs_up_does_not_keep_it_from_others() throws Exception {
        listening().close();
        try (Stream<String> other = listening()) {
            Iterator<String> told = data(other);
            press("mm=1&unit=mm");
            press("mm=2&unit=mm");
            assertThat(told.next()).isEqualTo("data: +0001.00 mm");
            assertThat(told.next()).isEqualTo("data: +0002.00 mm");
        }
    }

    @Test
    void a_worn_one_repeats_and_cuts_short_and_a_sound_one_does_not() {
        var display = new CaliperDisplay();

        assertThat(Stream.generate(() -> display.press(24.35, false, true))
                        .limit(5)
                        .map(lines -> String.join(" | ", lines)))
                .containsExactly("+0024.35 mm", "+0024.35 mm", "+0024.35 mm | +0024.35 mm", "+0024.35 mm", "+0024");
        assertThat(Stream.generate(() -> display.press(24.35, false, false))
                        .limit(15)
                        .distinct())
                .hasSize(1);
        assertThatThrownBy(() -> display.press(Double.NaN, false, false)).hasMessageContaining("jaws");
    }

    @Test
    void its_page_has_the_jaw_and_the_button() throws Exception {
        String page = client.send(
                        HttpRequest.newBuilder(URI.create(caliper.address() + "/"))
                                .build(),
                        HttpResponse.BodyHandlers.ofString())
                .body();
        assertThat(page).contains("id=\"jaw\"", "Send");
    }

    private Stream<String> listening() throws Exception {
        HttpRequest lines =
                HttpRequest.newBuilder(URI.create(caliper.address() + "/lines")).build();
        HttpResponse<Stream<String>> answer = client.send(lines, HttpResponse.BodyHandlers.ofLines());
        assertThat(answer.headers().firstValue("Access-Control-Allow-Origin")).hasValue("*");
        return answer.body();
    }

    /** What comes after it was told that somebody listens. */
    private static Iterator<String> data(Stream<String> lines) {
        Iterator<String> all = lines.filter(line -> !line.isEmpty()).iterator();
        assertThat(all.next()).isEqualTo(": here");
        return all;
    }

    private HttpResponse<String> press(String form) throws Exception {
        return client.send(
                HttpRequest.newBuilder(URI.create(caliper.address() + "/press"))
                        .POST(HttpRequest.BodyPublishers.ofString(form))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
    }
}
