package org.goldthistle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.goldthistle.e2e.BenchOnScreen.demoId;

import com.fasterxml.jackson.databind.JsonNode;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.ServiceWorkerPolicy;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.HashMap;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

/** A crew in the woods: what was taken along is worked on without a network, and handed in at the edge. */
class WoodsTest extends BrowserTest {
    private static final String SURVEY = "/api/surveys/" + demoId("survey Tarnholt");
    private static final UUID PLOT = demoId("plot Kettle Moss 07");
    private static final String BARK = "Rough black bark at the foot of the stem";
    private static final LocatorAssertions.ContainsTextOptions IN_ITS_OWN_TIME =
            new LocatorAssertions.ContainsTextOptions().setTimeout(30_000); // the longest pause between two tries

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
        sheet.getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("Sign").setExact(true))
                .click();
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
        later.getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("Sign").setExact(true))
                .click();
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

    private static JsonNode bench(ApiClient api, int tag) {
        for (JsonNode tree : api.get(SURVEY + "/plots/" + PLOT + "/trees")) {
            if (tree.path("tag").asInt() == tag) {
                return api.get(SURVEY + "/trees/" + tree.path("id").asText() + "/bench");
            }
        }
        throw new AssertionError("no tree " + tag);
    }

    @Test
    void what_the_server_refuses_waits_with_its_reason_until_it_is_dropped() {
        Page dipper = inTheWoods("Dipper");
        BenchOnScreen bench = BenchOnScreen.open(dipper, 24);
        dipper.context().setOffline(true);
        bench.takeUp(BARK).see("some dark shallow cracks");
        closePlot(true);
        dipper.context().setOffline(false);

        Locator pill = pill(dipper, Pattern.compile("1 refused"));
        pill.click();
        Locator sheet = dipper.getByRole(AriaRole.DIALOG);
        assertThat(sheet).containsText("Kettle Moss 07, tree 24");
        assertThat(sheet).containsText("some dark shallow cracks");
        assertThat(sheet).containsText("closed");
        dipper.reload();
        pill(dipper, Pattern.compile("1 refused")).click();
        closePlot(false);
        dipper.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Send again"))
                .click();
        assertThat(sheet).not().containsText("Not handed in");
        sheet.getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("Close").setExact(true))
                .click();
        assertThat(bench.points(BARK)).hasCount(1);
    }

    private static void closePlot(boolean closed) {
        E2eDatabase.execute(
                "update plot set closed_at = " + (closed ? "now()" : "null") + " where id = '" + PLOT + "'");
    }

    @Test
    void a_survey_that_was_left_meanwhile_refuses_and_loses_nothing() {
        Page wren = inTheWoods("Wren");
        BenchOnScreen bench = BenchOnScreen.open(wren, 23);
        wren.context().setOffline(true);
        bench.takeUp(BARK).see("some dark shallow cracks");
        String member = " survey_id = '" + demoId("survey Tarnholt") + "' and observer_id ="
                + " (select id from observer where call_sign = 'Wren')";
        E2eDatabase.execute("delete from survey_member where" + member);
        wren.context().setOffline(false);

        pill(wren, Pattern.compile("1 refused")).click();
        assertThat(wren.getByRole(AriaRole.DIALOG)).containsText("you do not belong to it");
        E2eDatabase.execute("insert into survey_member (survey_id, observer_id) select '" + demoId("survey Tarnholt")
                + "', id from observer where call_sign = 'Wren'");
        wren.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Send again"))
                .click();
        assertThat(wren.getByRole(AriaRole.DIALOG)).not().containsText("Not handed in");
    }

    @Test
    void signing_out_with_something_waiting_asks_twice_and_nobody_else_sees_it() {
        Page siskin = inTheWoods("Siskin");
        BenchOnScreen bench = BenchOnScreen.open(siskin, 4);
        siskin.route("**/readings/**", Route::abort);
        bench.takeUp("Bark at chest height").see("dark brown to blackish");
        pill(siskin, Pattern.compile("1 to hand in"));

        siskin.getByText("Siskin", new Page.GetByTextOptions().setExact(true))
                .last()
                .click();
        siskin.getByText("Sign out", new Page.GetByTextOptions().setExact(true)).click();
        Locator asked =
                siskin.getByRole(AriaRole.DIALOG).filter(new Locator.FilterOptions().setHasText("Not handed in yet"));
        assertThat(asked).containsText("1 reading");
        asked.getByText("Sign out all the same").click();
        asked.getByText("Yes, sign out").click();
        siskin.getByLabel("Call sign").waitFor();
        signIn(siskin, "Wren");
        assertThat(siskin.getByText("to hand in")).hasCount(0);
        assertThat(siskin.getByText("Nothing is along")).isVisible();
        siskin.unroute("**/readings/**");
        siskin.getByText("Wren", new Page.GetByTextOptions().setExact(true))
                .last()
                .click();
        siskin.getByText("Sign out", new Page.GetByTextOptions().setExact(true)).click();
        siskin.getByLabel("Call sign").waitFor();
        signIn(siskin, "Siskin");

        BenchOnScreen.open(siskin, 4).settled();
        assertThat(siskin.getByText(Pattern.compile("^Along: "))).hasCount(0);
        assertThat(bench.points("Bark at chest height")).hasCount(1);
    }

    @Test
    void a_device_that_is_full_says_so_and_hands_in_what_the_page_holds() {
        Page redpoll = inTheWoods("Redpoll");
        BenchOnScreen bench = BenchOnScreen.open(redpoll, 23);
        redpoll.evaluate("() => { Storage.prototype.setItem = () => { throw new DOMException('full',"
                + " 'QuotaExceededError') } }");
        redpoll.context().setOffline(true);
        bench.takeUp(BARK).see("some dark shallow cracks");

        pill(redpoll, Pattern.compile("1 to hand in")).click();
        assertThat(redpoll.getByRole(AriaRole.DIALOG)).containsText("This device has no room left");
        redpoll.context().setOffline(false);
        assertThat(redpoll.getByRole(AriaRole.DIALOG)).containsText("Handed in", IN_ITS_OWN_TIME);
        redpoll.reload();
        assertThat(bench.points(BARK)).hasCount(1);
    }

    @Test
    void without_the_core_the_figures_come_from_the_server_and_the_page_says_so() {
        Page redpoll = signedIn("Redpoll");
        redpoll.route("**/assets/worker-*.js", Route::abort);
        BenchOnScreen bench = BenchOnScreen.open(redpoll, 24);

        assertThat(redpoll.getByText("cannot reckon by itself")).isVisible();
        bench.takeUp("How the outer twigs hang").see("long thin twigs hang").settled();
        assertThat(bench.points("How the outer twigs hang")).hasCount(1);
    }

    @Test
    void figures_that_differ_are_told_and_those_of_the_server_stand() {
        Page dipper = signedIn("Dipper");
        String[] told = new String[1];
        dipper.route("**/bench", route -> {
            var answer = route.fetch();
            route.fulfill(new Route.FulfillOptions()
                    .setResponse(answer)
                    .setBody(answer.text().replaceFirst("\"threshold\":0\\.\\d+", "\"threshold\":0.5001")));
        });
        dipper.onRequest(request -> {
            if (request.url().endsWith("/figure-differences")) {
                told[0] = request.postData();
            }
        });
        BenchOnScreen.open(dipper, 31);

        assertThat(dipper.getByText("reckoned other figures than the server")).isVisible();
        assertThat(told[0]).contains("threshold").contains("0.5001 there");
    }

    @Test
    void a_clock_that_is_a_day_off_and_a_server_of_another_version_are_told() {
        Page dipper = stranger(1280, 800);
        dipper.addInitScript("{ const now = Date.now.bind(Date); Date.now = () => now() + 24 * 3600 * 1000 }");
        dipper.reload();
        signIn(dipper, "Dipper");
        assertThat(dipper.getByText("The clock of this device is 1 d ahead")).isVisible();

        dipper.route("**/api/**", route -> {
            var answer = route.fetch();
            Map<String, String> headers = new HashMap<>(answer.headers());
            headers.put("x-goldthistle-api", "99");
            route.fulfill(new Route.FulfillOptions().setResponse(answer).setHeaders(headers));
        });
        dipper.reload();
        assertThat(dipper.getByText("of another version than the server")).isVisible();
    }

    @Test
    void two_devices_of_one_observer_both_hand_in_and_nobody_signs_what_they_have_not_seen() {
        Page away = inTheWoods("Redpoll");
        BenchOnScreen there = BenchOnScreen.open(away, 24);
        away.context().setOffline(true);
        there.takeUp(BARK).see("some dark shallow cracks");
        Locator sheet = there.openSigning("group only");
        sheet.getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("Sign").setExact(true))
                .click();
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

    /** A device that has what it needs, its plots along. */
    private Page inTheWoods(String callSign) {
        Page page = stranger(1280, 800, ServiceWorkerPolicy.ALLOW);
        signIn(page, callSign);
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Take .*along$")))
                .click();
        page.getByText(Pattern.compile("^Along: ")).waitFor(new Locator.WaitForOptions().setTimeout(60_000));
        page.waitForFunction("() => navigator.serviceWorker.ready.then(() => true)");
        return page;
    }

    private static Locator pill(Page page, Pattern words) {
        Locator pill = page.getByRole(AriaRole.BANNER)
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(words));
        pill.waitFor(new Locator.WaitForOptions().setTimeout(40_000));
        return pill;
    }

    /** Waits until nothing waits. */
    private static void handedIn(Page page) {
        pill(page, Pattern.compile("all handed in"));
        new BenchOnScreen(page).settled();
    }
}
