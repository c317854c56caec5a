package org.goldthistle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;

class TroubleTest extends BrowserTest {
    private static final String BARK = "Rough black bark at the foot of the stem";
    private static final LocatorAssertions.ContainsTextOptions IN_ITS_OWN_TIME =
            new LocatorAssertions.ContainsTextOptions().setTimeout(20_000); // the longest pause between two tries

    @Test
    void a_reading_survives_a_server_that_is_away_and_a_reload() {
        Page siskin = signedIn("Siskin");
        BenchOnScreen bench = BenchOnScreen.open(siskin, 24);
        siskin.route("**/readings/**", Route::abort);

        bench.takeUp(BARK).see("some dark shallow cracks");
        assertThat(bench.row(BARK)).containsText("unsent");
        siskin.reload();
        assertThat(bench.row(BARK)).containsText("some dark shallow cracks");
        assertThat(bench.row(BARK)).containsText("unsent");
        siskin.unroute("**/readings/**");

        assertThat(bench.points(BARK)).hasCount(1, new LocatorAssertions.HasCountOptions().setTimeout(20_000));
        assertThat(bench.row(BARK)).not().containsText("unsent", IN_ITS_OWN_TIME);
    }

    @Test
    void a_session_that_ended_loses_nothing() {
        Page siskin = signedIn("Siskin");
        BenchOnScreen bench = BenchOnScreen.open(siskin, 31);
        siskin.context().clearCookies(new BrowserContext.ClearCookiesOptions().setName("goldthistle"));

        bench.takeUp("How thorny the outer shoots are")
                .see(siskin.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("States"))
                        .getByRole(AriaRole.BUTTON)
                        .first()
                        .innerText()
                        .strip());
        siskin.getByLabel("Call sign").waitFor();
        signIn(siskin, "Siskin");

        assertThat(bench.points("How thorny the outer shoots are")).hasCount(1);
    }

    @Test
    void a_refused_reading_says_why_and_stays_until_it_is_dropped() {
        Page dipper = signedIn("Dipper");
        BenchOnScreen bench = BenchOnScreen.open(dipper, 24);
        dipper.route(
                "**/readings/**",
                route -> route.resume(new Route.ResumeOptions()
                        .setPostData("{\"character\":\"bark-base\",\"states\":[\"furry\"],\"certainty\":\"sure\","
                                + "\"notSeen\":false}")));

        bench.takeUp(BARK).see("some dark shallow cracks");

        assertThat(bench.row(BARK)).containsText("refused");
        assertThat(dipper.getByText("found \"furry\"")).isVisible();
        dipper.getByText("Drop it").click();
        assertThat(bench.row(BARK)).not().containsText("refused");
    }

    @Test
    void what_is_typed_and_is_no_number_stays_in_the_field() {
        Page redpoll = signedIn("Redpoll");
        BenchOnScreen bench = BenchOnScreen.open(redpoll, 24);

        bench.takeUp("LTF").type("two");

        assertThat(redpoll.getByText("is not a whole number")).isVisible();
        assertThat(redpoll.getByLabel("Count")).hasValue("two");
        redpoll.reload();
        assertThat(redpoll.getByLabel("Count")).hasValue("two");
    }

    @Test
    void at_390_wide_nothing_is_cut_off() {
        Page treecreeper = signedIn("Treecreeper", 390, 800);
        assertFits(treecreeper);
        BenchOnScreen.open(treecreeper, 31).takeUp("How thorny the outer shoots are");
        assertFits(treecreeper);
        assertAccessible(treecreeper);
    }

    private static void assertFits(Page page) {
        var overflow = page.evaluate("() => document.documentElement.scrollWidth - window.innerWidth");
        org.assertj.core.api.Assertions.assertThat(overflow)
                .as("pixels off the side")
                .isEqualTo(0);
    }
}
