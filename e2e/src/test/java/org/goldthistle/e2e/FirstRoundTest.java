package org.goldthistle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The first tree of somebody who has never seen the Bench. */
class FirstRoundTest extends BrowserTest {

    @Test
    void the_first_tree_of_a_new_observer_is_led_through_by_doing() {
        Page pipit = newcomer("Pipit");
        BenchOnScreen bench = BenchOnScreen.open(pipit, 23);
        Locator said = note(pipit);
        assertThat(said).containsText("First the gate");
        assertAccessible(pipit);

        bench.fitTheGate();
        assertThat(said).containsText("what to look at next");
        said.getByText("Go on").click();
        assertThat(said).not().containsText("what to look at next");
        bench.takeUp("How the outer twigs hang");
        bench.see("long thin twigs hang straight down").settled();
        assertThat(said).containsText("All checks, from far to near");
        pipit.reload(); // it goes on where it was
        assertThat(said).containsText("All checks, from far to near");
        for (String next : new String[] {"as a block", "At the notch", "Here you sign"}) {
            said.getByText("Go on").click();
            assertThat(said).containsText(next);
        }
        said.getByText("I see").click();
        assertThat(said).hasCount(0);

        BenchOnScreen.open(pipit, 24);
        assertThat(said).hasCount(0);
        pipit.keyboard().press("?");
        pipit.getByText("Show me round the Bench again").click();
        assertThat(said).containsText("First the gate");
        said.getByText("Skip this").click();
        assertThat(said).hasCount(0);
    }

    @Test
    void nobody_who_has_read_a_tree_is_led_round() {
        Page redpoll = signedIn("Redpoll");
        BenchOnScreen.open(redpoll, 23);

        assertThat(redpoll.getByText(Pattern.compile("^Look next"))).isVisible();
        assertThat(note(redpoll)).hasCount(0);
    }

    private static Locator note(Page page) {
        return page.getByRole(AriaRole.NOTE, new Page.GetByRoleOptions().setName("First round"));
    }

    private Page newcomer(String callSign) {
        Page lead = signedIn("Treecreeper");
        lead.navigate("/people");
        lead.getByText("Invite somebody").click();
        lead.getByLabel("Call sign").fill(callSign);
        lead.getByRole(AriaRole.DIALOG).getByLabel("Survey").selectOption("Kettle Moss round, Tarnholt Forest 2026");
        lead.getByText("Make the link").click();
        String link = lead.getByText(Pattern.compile("/welcome#")).innerText();
        Page newcomer = stranger(1280, 800);
        newcomer.navigate(link);
        newcomer.getByLabel("Passphrase").fill(Application.PASSPHRASE);
        newcomer.getByLabel("The same again").fill(Application.PASSPHRASE);
        newcomer.getByText("Choose it, and sign in").click();
        newcomer.getByText("Today, " + callSign).waitFor();
        return newcomer;
    }
}
