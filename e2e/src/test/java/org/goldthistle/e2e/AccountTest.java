package org.goldthistle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** What an observer is told of their own account, and what a lead sets for everybody's. */
class AccountTest extends BrowserTest {
    @Test
    void whoever_signs_in_is_told_of_failed_tries_once() {
        ApiClient guesser = new ApiClient(application.url());
        guesser.send("GET", "/api/session", null);
        for (int i = 0; i < 3; i++) {
            guesser.send("POST", "/api/session", Map.of("callSign", "Wren", "passphrase", "guess " + i));
        }

        Page wren = signedIn("Wren");

        Locator told = wren.getByText("tried to sign in as Wren with a wrong passphrase, 3 times");
        assertThat(told).isVisible();
        wren.getByRole(AriaRole.NAVIGATION).getByText("Plots").click();
        assertThat(told).isVisible(); // until it is put away
        wren.getByText("I have read this").click();
        assertThat(told).isHidden();
        wren.reload();
        assertThat(wren.getByRole(AriaRole.BANNER)).isVisible();
        assertThat(told).isHidden();
    }

    @Test
    void a_lead_sets_for_how_long_sessions_may_lie_still() {
        Page lead = signedIn("Treecreeper");
        lead.navigate(application.url() + "/people");
        Locator limit = lead.getByLabel("A session ends after lying still for");
        assertThat(limit).hasValue("720");

        limit.selectOption("240");

        lead.reload();
        assertThat(limit).hasValue("240");
        limit.selectOption("720");
    }

    @Test
    void an_observer_makes_a_token_for_a_script_and_takes_it_back() {
        Page siskin = signedInByTouch("Siskin");
        siskin.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Siskin"))
                .click();
        siskin.getByText("Tokens for scripts").click();
        siskin.getByLabel("Name").fill("tally of the week");
        siskin.getByText("Make a token").click();

        Locator secret =
                siskin.locator("code").filter(new Locator.FilterOptions().setHasText(Pattern.compile("^\\S{40,}$")));
        assertThat(secret).isVisible();
        Locator row =
                siskin.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText("tally of the week"));
        assertThat(row).containsText("for reading");
        assertAccessible(siskin);

        siskin.reload();
        siskin.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Siskin"))
                .click();
        siskin.getByText("Tokens for scripts").click();
        assertThat(row).isVisible();
        assertThat(secret).isHidden(); // it was shown that once
        row.getByText("Take back").click();
        assertThat(row).isHidden();
    }

    @Test
    void a_secret_goes_with_its_token_and_a_token_that_could_not_be_taken_back_stays_and_says_so() {
        Page siskin = signedInByTouch("Siskin");
        siskin.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Siskin"))
                .click();
        siskin.getByText("Tokens for scripts").click();
        siskin.getByLabel("Name").fill("calipers");
        siskin.getByText("Make a token").click();
        Locator row = siskin.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText("calipers"));
        Locator shown = siskin.getByText("Shown this once");
        assertThat(shown).isVisible();

        siskin.context().setOffline(true);
        row.getByText("Take back").click();
        assertThat(siskin.getByRole(AriaRole.ALERT).getByText("The server cannot be reached"))
                .isVisible(); // beside the page behind it, which may say so of what it still waits for
        assertThat(row).isVisible();
        siskin.context().setOffline(false);
        row.getByText("Take back").click();

        assertThat(row).isHidden();
        assertThat(shown).isHidden();
    }
}
