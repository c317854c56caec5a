package org.goldthistle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.goldthistle.e2e.BenchOnScreen.demoId;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import java.util.HashMap;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** What goes wrong on the way: each has words, and none loses an entry. */
class HandingInTest extends InTheWoods {
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
    void a_browser_that_keeps_nothing_says_so_and_works_while_there_is_a_network() {
        Page wren = stranger(1280, 800);
        wren.addInitScript("Object.defineProperty(window, 'indexedDB', { value: { open() {"
                + " throw new DOMException('private', 'SecurityError') } } })");
        wren.reload();
        signIn(wren, "Wren");
        wren.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Take .*along$")))
                .click();
        assertThat(wren.getByText("This browser keeps nothing on this device")).isVisible();

        BenchOnScreen bench = BenchOnScreen.open(wren, 24);
        bench.takeUp(BARK).see("some dark shallow cracks").settled();
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
            if (route.request().url().endsWith("/news")) {
                route.resume(); // it is told line by line and has no end
                return;
            }
            var answer = route.fetch();
            Map<String, String> headers = new HashMap<>(answer.headers());
            headers.put("x-goldthistle-api", "99");
            route.fulfill(new Route.FulfillOptions().setResponse(answer).setHeaders(headers));
        });
        dipper.reload();
        assertThat(dipper.getByText("of another version than the server")).isVisible();
    }
}
