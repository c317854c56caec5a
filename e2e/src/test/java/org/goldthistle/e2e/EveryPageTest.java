package org.goldthistle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Every page but the Bench, in every light: nothing for axe with every rule on, and nothing off the side of a phone. */
class EveryPageTest extends BrowserTest {
    private static final String SURVEY = "/surveys/" + BenchOnScreen.demoId("survey Tarnholt");
    private static final String PLOT = "/plots/" + BenchOnScreen.demoId("plot Kettle Moss 07");
    private static final List<String> PAGES = List.of(
            "/today",
            "/plots",
            SURVEY + PLOT,
            SURVEY + "/settings",
            SURVEY + "/exchange",
            "/review",
            "/quality",
            "/quality/lessons",
            "/people",
            "/groups",
            "/groups/birches",
            "/groups/birches/season",
            "/groups/birches/characters",
            "/groups/birches/card",
            "/groups/birches/cautions",
            "/groups/limes/versions",
            "/practice",
            "/samples",
            "/season",
            "/season/compared",
            "/today/end",
            SURVEY + PLOT + "/sheet",
            SURVEY + PLOT + "/labels",
            "/season/trees?figure=waiting&of=decision&words=For%20a%20decision",
            "/control",
            "/control/cards",
            SURVEY + "/control/print",
            "/instruments",
            "/scale-card");

    private static final List<String> LEADS_ONLY = List.of(SURVEY + "/settings", "/people");

    @Test
    void every_page_has_nothing_for_axe_and_can_be_read_in_every_light() {
        Page lead = signedIn("Treecreeper");
        List<String> found = new ArrayList<>();
        for (String address : PAGES) {
            open(lead, address);
            found.addAll(everythingForAxe(lead, address));
            for (String light : List.of("dusk", "sun")) { // in which only the colours are others
                lead.evaluate("(light) => { document.documentElement.dataset.theme = light }", light);
                found.addAll(coloursForAxe(lead, address + " at " + light));
            }
        }

        org.assertj.core.api.Assertions.assertThat(found).isEmpty();
    }

    @Test
    void the_light_that_was_chosen_stays() {
        Page lead = signedIn("Treecreeper");
        lead.evaluate("() => localStorage.setItem('goldthistle.theme', JSON.stringify('dusk'))");
        open(lead, "/plots");

        assertThat(lead.locator("html")).hasAttribute("data-theme", "dusk");
    }

    @ParameterizedTest
    @ValueSource(strings = {"Treecreeper", "Dipper"})
    void no_page_runs_off_the_side_of_a_phone(String observer) {
        Page phone = signedInByTouch(observer);
        List<String> wide = new ArrayList<>();
        for (String address : PAGES) {
            if (!observer.equals("Treecreeper") && LEADS_ONLY.contains(address)) {
                continue;
            }
            open(phone, address);
            Object over = phone.evaluate("() => document.documentElement.scrollWidth - window.innerWidth");
            if (!over.equals(0)) {
                wide.add(address + " by " + over + " px");
            }
        }

        org.assertj.core.api.Assertions.assertThat(wide).isEmpty();
    }

    private static void open(Page page, String address) {
        page.navigate(address);
        page.getByRole(AriaRole.HEADING).first().waitFor();
        page.waitForFunction(
                "() => ![...document.querySelectorAll('[role=status]')]"
                        + ".some((one) => /^(One moment|Fetching|Looking|Weighing|Laying|Counting|Gathering)/.test(one.textContent.trim()))");
    }
}
