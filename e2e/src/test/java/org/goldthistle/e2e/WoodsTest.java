package org.goldthistle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Random;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

/** A crew in the woods: what was taken along is worked on without a network, and handed in at the edge. */
class WoodsTest extends InTheWoods {
    @Override
    protected Application started() {
        return Application.startAfresh(false); // one of its own, which the tests stop and start
    }

    @Test
    void a_walk_without_a_network_is_handed_in_once() throws IOException {
        Page dipper = inTheWoods("Dipper");
        dipper.context().setOffline(true);
        dipper.reload();

        walk(dipper, 301);
        dipper.context().setOffline(false);

        handedIn(dipper);
        checkWalk("Dipper", 301);
    }

    @Test
    void the_same_while_the_server_is_away_and_the_page_is_closed_and_opened_again() throws IOException {
        Page siskin = inTheWoods("Siskin");
        application.stop();
        try {
            Page again = siskin.context().newPage();
            siskin.close();
            again.navigate("/plots");
            walk(again, 302);
            application.start();
            handedIn(again);
        } finally {
            application.start();
        }
        checkWalk("Siskin", 302);
    }

    /** A new tree by quick entry, its gate, readings, a photo, a signature, and a second tree to come back to. */
    private void walk(Page page, int tag) throws IOException {
        PlotOnScreen.toPlots(page);
        page.getByText("Kettle Moss 07", new Page.GetByTextOptions().setExact(true))
                .click();
        Locator line = page.getByLabel("New tree, in one line");
        for (int one : new int[] {tag, tag + 50}) { // several in a row
            line.fill(one + " " + (one % 300) + " 6.5 210 mature birches");
            assertThat(page.getByRole(
                            AriaRole.BUTTON,
                            new Page.GetByRoleOptions().setName("Enter").setExact(true)))
                    .isEnabled();
            line.press("Enter");
            assertThat(chosen(page)).containsText(one + " one of the birches");
        }
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("Tree " + tag).setExact(true))
                .first()
                .click();
        chosen(page).getByText("Bench").click();
        BenchOnScreen bench = new BenchOnScreen(page);
        bench.button(Pattern.compile("^All of it fits")).click();
        bench.takeUp(BARK).see("thick black bosses");
        bench.takeUp("How the outer twigs hang").see("long thin twigs hang");
        bench.takeUp("Resin warts on one-year twigs").see("warts thick on the twig");
        assertThat(bench.points(BARK)).hasCount(1);
        page.reload();
        assertThat(bench.points("Resin warts")).hasCount(1);
        bench.takeUp(BARK);
        page.getByLabel("Photo").setInputFiles(OutcomesTest.photo());
        page.getByAltText("No. 1 of this check").waitFor();
        Locator sheet = bench.openSigning("group only");
        sheet.getByLabel("Note").fill("by the beck");
        BenchOnScreen.sign(sheet);
        assertThat(sheet).containsText("kept on this device");
        sheet.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Next tree")))
                .click();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)))
                .not()
                .containsText("tree " + tag);
        page.goBack();
        page.goBack();
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions()
                                .setName("Tree " + (tag + 50))
                                .setExact(true))
                .first()
                .click();
        chosen(page).getByText("Bench").click();
        bench.takeUp(BARK).notSeen();
        comeBack(bench);
    }

    private static void comeBack(BenchOnScreen bench) {
        Locator later = bench.openSigning("come back");
        later.getByLabel(Pattern.compile("^July")).check();
        BenchOnScreen.sign(later);
        assertThat(later).containsText("on your list again in July");
        bench.stay();
    }

    private static Locator chosen(Page page) {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Chosen tree"));
    }

    /** All that was entered is on the server, each thing once, with the figures that the device showed. */
    private void checkWalk(String callSign, int tag) {
        ApiClient api = new ApiClient(application.url()).signedIn(callSign, Application.PASSPHRASE);
        JsonNode first = bench(api, tag);
        assertThat(first.path("readings")).hasSize(3);
        assertThat(first.at("/state/entries")).hasSize(3);
        assertThat(first.at("/state/photos")).hasSize(1);
        assertThat(first.path("determinations")).hasSize(1);
        JsonNode signed = first.at("/determinations/0");
        assertThat(signed.path("outcome").asText()).isEqualTo("group");
        assertThat(signed.path("note").asText()).isEqualTo("by the beck");
        assertThat(signed.path("recomputes").asBoolean()).isTrue();
        JsonNode shares = first.at("/figures/withSurroundings/shares");
        for (int k = 0; k < shares.size(); k++) {
            assertThat(signed.at("/figures/withSurroundings/shares/" + k + "/posterior")
                            .asDouble())
                    .isCloseTo(shares.get(k).path("posterior").asDouble(), within(1e-9));
        }
        JsonNode second = bench(api, tag + 50);
        assertThat(second.at("/determinations/0/outcome").asText()).isEqualTo("come-back");
        assertThat(second.at("/determinations/0/month").asInt()).isEqualTo(7);
    }

    @Test
    void two_devices_of_one_observer_both_hand_in_and_nobody_signs_what_they_have_not_seen() {
        Page away = inTheWoods("Redpoll");
        BenchOnScreen there = BenchOnScreen.open(away, 24);
        away.context().setOffline(true);
        there.takeUp(BARK).see("some dark shallow cracks");
        Locator sheet = there.openSigning("group only");
        BenchOnScreen.sign(sheet);
        assertThat(sheet).containsText("kept on this device");
        there.stay();

        BenchOnScreen.open(signedIn("Redpoll"), 24)
                .takeUp("How the outer twigs hang")
                .see("long thin twigs hang")
                .settled();
        away.context().setOffline(false);

        pill(away, Pattern.compile("1 refused")).click();
        assertThat(away.getByRole(AriaRole.DIALOG)).containsText("have changed since you last saw them");
        JsonNode both = bench(new ApiClient(application.url()).signedIn("Redpoll", Application.PASSPHRASE), 24);
        assertThat(both.path("readings")).hasSize(2);
    }

    @Test
    void a_sheet_that_has_a_newer_version_meanwhile_changes_nothing_of_what_was_read() {
        Page wren = inTheWoods("Wren");
        BenchOnScreen bench = BenchOnScreen.open(wren, 24);
        bench.takeUp("How the outer twigs hang").see("long thin twigs hang").settled();
        wren.context().setOffline(true);
        application.addVersionOfSheet("birches");
        bench.takeUp(BARK).see("thick black bosses");
        wren.context().setOffline(false);

        bench.settled();
        assertThat(wren.getByText("The library has version 2 of this sheet")).isVisible();
        assertThat(bench.points(BARK)).hasCount(1);
        assertThat(wren.getByText("reckoned other figures")).hasCount(0);
    }

    @Test
    void a_server_that_is_restarted_in_the_middle_of_handing_in_gets_the_rest_too() {
        Page redpoll = inTheWoods("Redpoll");
        BenchOnScreen bench = BenchOnScreen.open(redpoll, 23);
        redpoll.context().setOffline(true);
        bench.takeUp("Resin warts on one-year twigs");
        for (int i = 0; i < 12; i++) {
            bench.see(i % 2 == 0 ? "scattered warts" : "warts thick on the twig");
        }
        bench.takeUp(BARK).see("thick black bosses");
        int[] answered = {0};
        redpoll.onResponse(response -> answered[0] += response.url().contains("/readings/") ? 1 : 0);
        redpoll.context().setOffline(false);
        redpoll.waitForCondition(() -> answered[0] > 3);
        application.stop();
        application.start();

        handedIn(redpoll);
        JsonNode there = bench(new ApiClient(application.url()).signedIn("Redpoll", Application.PASSPHRASE), 23);
        assertThat(there.path("readings")).hasSize(2);
        assertThat(there.at("/readings/0/reading/states")).hasSize(12);
    }

    @Test
    void a_large_photo_that_is_cut_in_the_middle_arrives_in_the_end() throws IOException {
        Page dipper = inTheWoods("Dipper");
        BenchOnScreen bench = BenchOnScreen.open(dipper, 23);
        int[] tries = {0};
        dipper.route("**/photos/**", route -> {
            if (route.request().method().equals("PUT") && tries[0]++ < 2) {
                route.abort("connectionreset");
            } else {
                route.resume();
            }
        });
        bench.takeUp(BARK);
        dipper.getByLabel("Photo").setInputFiles(largePhoto());
        dipper.getByAltText("No. 1 of this check").waitFor();

        bench.settled();
        assertThat(tries[0]).isGreaterThan(2);
        JsonNode there = bench(new ApiClient(application.url()).signedIn("Dipper", Application.PASSPHRASE), 23);
        assertThat(there.at("/state/photos")).hasSize(1);
    }

    /** Twelve megapixels of leaves, as far as a picture can say so: noise, which cannot be made small. */
    private static FilePayload largePhoto() throws IOException {
        var picture = new BufferedImage(1800, 1800, BufferedImage.TYPE_INT_RGB);
        var random = new Random(20);
        for (int x = 0; x < picture.getWidth(); x++) {
            for (int y = 0; y < picture.getHeight(); y++) {
                picture.setRGB(x, y, random.nextInt());
            }
        }
        var content = new ByteArrayOutputStream();
        ImageIO.write(picture, "png", content);
        return new FilePayload("leaf.png", "image/png", content.toByteArray());
    }
}
