package org.goldthistle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
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
    void two_tabs_without_a_network_lose_nothing_of_each_other() {
        Page left = signedIn("Wren");
        BrowserContext browser = left.context();
        Page right = browser.newPage();
        BenchOnScreen here = BenchOnScreen.open(left, 24);
        BenchOnScreen there = BenchOnScreen.open(right, 24);
        browser.setOffline(true);

        here.takeUp(BARK).see("some dark shallow cracks");
        there.takeUp("How the outer twigs hang").see("long thin twigs hang straight down");
        here.takeUp("Resin warts on one-year twigs").see("scattered warts");
        assertThat(here.row(BARK)).containsText("unsent");
        assertThat(here.row("How the outer twigs hang")).containsText("unsent"); // each shows what the other entered
        browser.setOffline(false);

        for (BenchOnScreen bench : new BenchOnScreen[] {here, there}) {
            assertThat(bench.points(BARK)).hasCount(1, new LocatorAssertions.HasCountOptions().setTimeout(20_000));
            assertThat(bench.points("How the outer twigs hang")).hasCount(1);
            assertThat(bench.points("Resin warts")).hasCount(1);
            assertThat(bench.row(BARK)).not().containsText("unsent", IN_ITS_OWN_TIME);
        }
    }

    @Test
    void a_session_that_ended_loses_nothing() {
        Page siskin = signedIn("Siskin");
        BenchOnScreen bench = BenchOnScreen.open(siskin, 31);
        siskin.context().clearCookies(new BrowserContext.ClearCookiesOptions().setName("goldthistle"));

        bench.takeUp("How thorny the outer shoots are").see("many, on most shoots");
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
        BenchOnScreen bench = BenchOnScreen.open(treecreeper, 31);
        assertFits(treecreeper);
        assertAccessible(treecreeper);
        bench.button("Stations").click();
        assertFits(treecreeper);
        assertAccessible(treecreeper);
        bench.button("Hand").click();
        bench.takeUp("How thorny the outer shoots are")
                .see("many, on most shoots")
                .settled();
        assertFits(treecreeper);
        assertAccessible(treecreeper);
        treecreeper
                .getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Parts"))
                .getByRole(AriaRole.BUTTON)
                .last()
                .click();
        assertThat(bench.points("How thorny")).hasCount(1);
        assertFits(treecreeper);
        assertAccessible(treecreeper);
    }

    @Test
    void a_number_outside_every_range_is_asked_about_once() {
        Page redpoll = signedIn("Redpoll");
        BenchOnScreen bench = BenchOnScreen.open(redpoll, 23);
        bench.takeUp("DFT").type("90");

        assertThat(redpoll.getByText("Really 90 mm?")).isVisible();
        assertThat(bench.row("DFT")).not().containsText("90");
        redpoll.getByLabel("Measure in mm").press("Enter");
        assertThat(bench.row("DFT")).containsText("90 mm");
    }

    @Test
    void one_observer_on_two_devices_sees_the_later_reading_on_both() {
        BenchOnScreen first = BenchOnScreen.open(signedIn("Siskin"), 4);
        BenchOnScreen second = BenchOnScreen.open(signedIn("Siskin"), 4);
        String bark = "Bark at chest height";
        first.takeUp(bark).see("dark brown to blackish").settled();
        second.takeUp(bark);
        assertThat(second.row(bark)).containsText("dark brown to blackish", IN_ITS_OWN_TIME);

        second.see("shallow cracks").settled();

        assertThat(first.row(bark)).containsText("shallow cracks", IN_ITS_OWN_TIME);
        assertThat(second.row(bark)).containsText("shallow cracks");
    }

    private static void assertFits(Page page) {
        var overflow = page.evaluate("() => document.documentElement.scrollWidth - window.innerWidth");
        org.assertj.core.api.Assertions.assertThat(overflow)
                .as("pixels off the side")
                .isEqualTo(0);
    }

    @Test
    void a_page_whose_code_is_gone_from_the_server_is_loaded_anew() {
        Page lead = signedIn("Treecreeper");
        lead.navigate("/today");
        lead.route("**/assets/SamplesPage-*.js", route -> route.fulfill(new Route.FulfillOptions().setStatus(404)));
        lead.getByText("All samples").click();

        assertThat(lead.getByRole(AriaRole.ALERT)).containsText("another one on the server");
        assertThat(lead.getByRole(AriaRole.BANNER)).isVisible();
        lead.unroute("**/assets/SamplesPage-*.js");
        lead.getByText("Load it anew").click();
        assertThat(lead.getByRole(AriaRole.HEADING, named("Samples", lead)).first())
                .isVisible();
    }

    @Test
    void a_page_that_breaks_leaves_the_rest_in_place_and_is_opened_again() {
        Page lead = signedIn("Treecreeper");
        lead.navigate("/today");
        lead.route(
                "**/season",
                route -> route.fulfill(new Route.FulfillOptions()
                        .setContentType("application/json")
                        .setBody("{}")));
        lead.getByRole(AriaRole.BANNER)
                .getByRole(AriaRole.LINK, named("Season"))
                .click();

        assertThat(lead.getByText("This page broke").last()).isVisible();
        assertAccessible(lead);
        lead.getByRole(AriaRole.BANNER).getByRole(AriaRole.LINK, named("Plots")).click();
        assertThat(lead.getByRole(AriaRole.HEADING, named("Plots", lead)).first())
                .isVisible();
        lead.unroute("**/season");
        lead.goBack();
        assertThat(lead.getByText("Contested, by group")).isVisible();
    }

    @Test
    void a_sheet_whose_code_does_not_come_says_so_and_can_be_closed() {
        Page wren = signedInByTouch("Wren");
        wren.navigate("/groups");
        wren.getByText("Which group?").waitFor();
        wren.context().setOffline(true);
        wren.getByText("Which group?").click();
        Locator sheet = wren.getByRole(AriaRole.DIALOG);
        assertThat(sheet).containsText("comes by itself once it answers");
        assertAccessible(wren);

        wren.context().setOffline(false);
        assertThat(sheet).containsText("groups remain");
        assertThat(sheet).not().containsText("comes by itself");
        wren.keyboard().press("Escape");
        assertThat(sheet).hasCount(0);
    }
}
