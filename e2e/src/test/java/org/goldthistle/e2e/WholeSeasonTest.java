package org.goldthistle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;

/** The season at a glance, as a lead looks at it in the morning. */
class WholeSeasonTest extends BrowserTest {
    @Test
    void a_lead_plans_and_draws_lines_and_every_figure_leads_to_its_trees() {
        Page lead = signedIn("Treecreeper");
        lead.navigate("/season");
        Locator weeks = region(lead, "Week by week");
        weeks.getByText("Plan and lines of the map").click();
        weeks.getByLabel("Trees to sign").fill("300");
        weeks.getByLabel("from").fill("2026-05-01");
        weeks.getByLabel("to", new Locator.GetByLabelOptions().setExact(true)).fill("2026-04-01");
        weeks.getByText("Keep the plan").click();
        assertThat(weeks.getByText("a day after 2026-05-01")).isVisible();
        assertThat(weeks.getByLabel("Trees to sign")).hasValue("300");
        weeks.getByLabel("to", new Locator.GetByLabelOptions().setExact(true)).fill("2026-10-31");
        weeks.getByText("Keep the plan").click();
        assertThat(weeks.getByText("planned:")).isVisible();
        assertThat(weeks.getByText("Somebody else planned meanwhile")).hasCount(0);

        lines(weeks, "not a map");
        assertThat(weeks.getByText("The lines that were there stay.")).isVisible();
        lines(weeks, "{\"type\":\"LineString\",\"coordinates\":[[-20.4,55.0],[-20.38,55.03]]}");
        assertThat(weeks.getByText("Kept: 2 points.")).isVisible();
        assertThat(lead.locator("[data-lines]")).hasCount(1);

        Locator waits = region(lead, "What waits");
        String words = waits.getByRole(AriaRole.LINK).first().textContent();
        waits.getByRole(AriaRole.LINK).first().click();
        assertThat(lead.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)))
                .hasText(words.replaceFirst("^\\d+ trees?", "Trees"));
        int trees = Integer.parseInt(words.replaceFirst(" .*", ""));
        Locator listed = lead.getByRole(AriaRole.MAIN).getByRole(AriaRole.LISTITEM);
        assertThat(listed).hasCount(trees);
        lead.reload();
        assertThat(listed).hasCount(trees);
        listed.first().getByRole(AriaRole.LINK).click();
        assertThat(region(lead, "Trees")).isVisible();
    }

    @Test
    void of_two_who_plan_the_second_is_told_and_loses_nothing() {
        Page lead = planning();
        Page tablet = planning();
        Locator mine = region(tablet, "Week by week");
        mine.getByLabel("Trees to sign").fill("444");

        Locator theirs = region(lead, "Week by week");
        theirs.getByLabel("Trees to sign").fill("222");
        theirs.getByLabel("from").fill("2026-06-01");
        theirs.getByLabel("to", new Locator.GetByLabelOptions().setExact(true)).fill("2026-09-30");
        theirs.getByText("Keep the plan").click();
        assertThat(theirs.getByText("planned:")).isVisible();
        mine.getByLabel("Coast, tracks or bounds")
                .setInputFiles(new FilePayload(
                        "coast.geojson",
                        "application/geo+json",
                        "{\"type\":\"LineString\",\"coordinates\":[[-20.4,55.0],[-20.3,55.0]]}"
                                .getBytes(StandardCharsets.UTF_8))); // after which the season is fetched anew

        assertThat(mine.getByText("Somebody else planned meanwhile: 222 trees")).isVisible();
        assertThat(mine.getByLabel("Trees to sign")).hasValue("444");
    }

    private Page planning() {
        Page lead = signedIn("Treecreeper");
        lead.navigate("/season");
        region(lead, "Week by week").getByText("Plan and lines of the map").click();
        return lead;
    }

    @Test
    void a_crew_sees_its_own_on_a_small_screen_and_has_nothing_to_plan() {
        Page dipper = signedInByTouch("Dipper");
        dipper.navigate("/season");

        assertThat(dipper.getByText("Calls, weeks and minutes are your own.")).isVisible();
        Locator walked = region(dipper, "Who was out").getByRole(AriaRole.ROWHEADER);
        assertThat(walked).hasCount(1);
        assertThat(walked).hasText("Dipper");
        assertThat(dipper.getByText("Plan and lines of the map")).hasCount(0);
        assertAccessible(dipper);
    }

    private static void lines(Locator weeks, String text) {
        weeks.getByLabel("Coast, tracks or bounds")
                .setInputFiles(new FilePayload(
                        "coast.geojson", "application/geo+json", text.getBytes(StandardCharsets.UTF_8)));
    }
}
