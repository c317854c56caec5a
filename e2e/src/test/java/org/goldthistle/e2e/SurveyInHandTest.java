package org.goldthistle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.UUID;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Which survey a page is about: as its address says, in this tab and in that, here and for whoever gets the link. */
class SurveyInHandTest extends BrowserTest {
    private static final Pattern NOW = Pattern.compile("^Kettle Moss round 2026");
    private static final Pattern BEFORE = Pattern.compile("^Sallow Beck round 2025");

    @Test
    void two_tabs_hold_a_survey_each_from_page_to_page_and_after_a_reload() {
        Page one = signedIn("Treecreeper");
        one.navigate("/season");
        choose(one, NOW);
        Page other = one.context().newPage();
        other.navigate("/season");
        choose(other, BEFORE);

        one.reload();
        assertSeason(one, 2026);
        go(one, "Plots");
        assertSeason(one, 2026);
        go(other, "Plots");
        assertSeason(other, 2025);
        other.goBack();
        assertSeason(other, 2025);
        Page third = one.context().newPage();
        third.navigate("/review"); // a new one begins with what was shown last
        assertSeason(third, 2025);
    }

    @Test
    void a_link_shows_its_own_survey_to_whoever_opens_it_and_signs_in_first() {
        Page lead = signedIn("Treecreeper");
        lead.navigate("/season/trees?figure=waiting&of=decision&words=For%20a%20decision");
        choose(lead, BEFORE);
        String link = lead.url();

        Page siskin = stranger(1280, 800);
        siskin.navigate(link);
        signIn(siskin, "Siskin");
        assertThat(siskin).hasURL(link);
        assertThat(siskin.getByRole(AriaRole.HEADING, named("For a decision", siskin)))
                .isVisible();
        assertSeason(siskin, 2025);
    }

    @Test
    void after_a_plot_come_the_plots_of_its_own_survey() {
        Page lead = signedIn("Treecreeper");
        lead.navigate("/plots");
        choose(lead, BEFORE);
        lead.getByRole(AriaRole.LINK, named("Heron Carr 02", lead)).first().click();
        lead.getByRole(AriaRole.MAIN).getByText("Heron Carr 02").first().waitFor();
        String plot = lead.url();

        Page tab = lead.context().newPage();
        tab.navigate("/plots");
        choose(tab, NOW);
        tab.navigate(plot);
        go(tab, "Plots");
        assertSeason(tab, 2025);
    }

    @Test
    void a_survey_of_others_is_said_to_be_so_and_ones_own_are_a_press_away() {
        Page dipper = signedInByTouch("Dipper");
        dipper.navigate("/plots?survey=" + UUID.randomUUID());
        assertThat(dipper.getByText("You do not belong to the survey")).isVisible();
        assertAccessible(dipper);

        dipper.getByRole(AriaRole.BUTTON, named("Kettle Moss round, Tarnholt Forest, 2026", dipper))
                .click();
        assertSeason(dipper, 2026);
        assertThat(dipper.getByText("You do not belong to the survey")).isHidden();
    }

    @Test
    void what_a_survey_asks_to_be_practised_says_of_which_survey_it_is() {
        Page lead = signedIn("Treecreeper");
        lead.navigate("/season");
        choose(lead, NOW);
        go(lead, "People");
        Locator rules = region(lead, "Practised first");
        assertThat(rules).containsText("Kettle Moss round, Tarnholt Forest, season 2026");
        assertThat(rules.getByText("Ask for it from now on")).isVisible();

        rules.getByLabel("Survey").selectOption(valueOf(rules.getByLabel("Survey"), BEFORE));
        assertThat(rules).containsText("season 2025, closed");
        assertThat(rules.getByText("Ask for it from now on")).isHidden();
        assertThat(lead).hasURL(Pattern.compile("/people$")); // which is about more than one survey
        go(lead, "Practice");
        assertThat(lead.getByRole(AriaRole.MAIN)).containsText("season 2025, closed");
        assertThat(lead.getByText("Open a set of ten trees")).isHidden();
        go(lead, "Season");
        assertSeason(lead, 2025);
    }

    private static void choose(Page page, Pattern survey) {
        String value = valueOf(page.getByLabel("Survey"), survey);
        page.getByLabel("Survey").selectOption(value);
        assertThat(page).hasURL(Pattern.compile("[?&]survey=" + value));
    }

    private static String valueOf(Locator surveys, Pattern survey) {
        return surveys.getByRole(AriaRole.OPTION, named(survey)).getAttribute("value");
    }

    private static void go(Page page, String name) {
        page.getByRole(AriaRole.BANNER).getByRole(AriaRole.LINK, named(name)).click();
    }

    private static void assertSeason(Page page, int season) {
        assertThat(page.getByRole(AriaRole.MAIN)).containsText("Tarnholt Forest, season " + season);
        assertThat(page).hasURL(Pattern.compile("[?&]survey="));
    }
}
