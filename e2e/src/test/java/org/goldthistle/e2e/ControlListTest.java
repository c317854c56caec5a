package org.goldthistle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ServiceWorkerPolicy;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** From a lead's approval to the last look at the tree: what may be cut, and what stops the saw. */
class ControlListTest extends BrowserTest {
    private static final String PLOT = "Churn Edge 05";

    @Test
    void from_approval_to_do_not_cut_and_back_to_review() {
        Page lead = signedIn("Treecreeper");
        lead.navigate("/control");
        assertThat(lead.getByText("trained, licensed people")).isVisible();
        Locator plot = region(lead, "May be controlled").getByRole(AriaRole.ARTICLE, named(PLOT));
        Locator first = plot.getByRole(AriaRole.REGION, named(PLOT + ", tree 81"));
        assertThat(first).containsText("must not be cut");
        assertThat(first.getByRole(AriaRole.LIST, named("Do not touch"))).containsText("bird cherry, must be kept");
        assertThat(region(lead, "Not on the list")).containsText("it was not called for control");
        assertAccessible(lead);

        plot.getByText(Pattern.compile("^Approve all 3")).click();
        assertThat(first).containsText("Approved by Treecreeper");

        Page contractor = signedInByTouch("Woodcock");
        contractor
                .getByRole(AriaRole.HEADING, named("Trees that may be cut", contractor))
                .waitFor();
        assertAccessible(contractor);
        Locator cards = region(contractor, PLOT);
        cards.getByLabel("Tag on the stem").fill("85");
        cards.getByText("Open its card").tap();
        assertThat(contractor.getByRole(AriaRole.ALERT)).containsText("Tree 85 of Churn Edge 05 is not on the list");
        cards.getByLabel("Tag on the stem").fill("81");
        cards.getByText("Open its card").tap();
        look(contractor, false);
        assertThat(contractor.getByRole(AriaRole.ALERT)).containsText("speaks against black cherry");
        assertAccessible(contractor);
        contractor.reload();
        assertThat(contractor.getByRole(AriaRole.ALERT)).containsText("speaks against"); // nothing read is lost
        contractor.getByText("Sign this look").tap();

        assertThat(contractor.getByRole(AriaRole.ALERT)).containsText("not on the list, or not any more");
        lead.reload();
        assertThat(region(lead, "Not on the list")).containsText("The approval of Treecreeper lapsed");
        lead.navigate("/review");
        lead.getByLabel("Reason").selectOption("last-look");
        region(lead, "Cases")
                .getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText(PLOT))
                .first()
                .getByRole(AriaRole.LINK)
                .first()
                .click();
        assertThat(region(lead, "Before the saw")).containsText("Do not cut: last look of Woodcock");
    }

    @Test
    void without_a_network_a_tree_is_confirmed_and_cut_and_told_at_the_edge() {
        Page lead = signedIn("Treecreeper");
        lead.navigate("/control");
        Locator tree = region(lead, "May be controlled")
                .getByRole(AriaRole.ARTICLE, named("Churn Edge 04"))
                .getByRole(AriaRole.REGION, named(Pattern.compile("tree 83$")));
        assertThat(tree).containsText("Approved by Treecreeper");
        Page contractor = stranger(390, 844, ServiceWorkerPolicy.ALLOW);
        signIn(contractor, "Woodcock");
        contractor.waitForFunction("() => navigator.serviceWorker.ready.then(() => true)");
        region(contractor, "Churn Edge 04")
                .getByRole(AriaRole.LINK, named(Pattern.compile("^83 ")))
                .click();
        contractor.getByLabel("The tag on the stem").fill("81");
        assertThat(contractor.getByRole(AriaRole.ALERT)).containsText("This is tree 81; the card is of tree 83");
        contractor.getByLabel("The tag on the stem").fill("83");
        contractor
                .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^fits")))
                .first()
                .waitFor(); // sheet and core are there
        contractor.context().setOffline(true);

        look(contractor, true);
        assertThat(contractor.getByText("still says black cherry")).isVisible();
        contractor.getByText("Sign this look").dblclick();
        assertThat(contractor.getByText("is still called black cherry")).isVisible();
        contractor
                .getByLabel("cut", new Page.GetByLabelOptions().setExact(true))
                .check();
        contractor.getByLabel("Note").fill("stump marked");
        contractor.getByText("Record it").dblclick(); // a hasty finger records it once
        contractor.reload();
        assertThat(contractor.getByText("2 looks or records wait")).isVisible();
        contractor.context().setOffline(false);

        assertThat(contractor.getByText("2 looks or records wait"))
                .isHidden(new LocatorAssertions.IsHiddenOptions().setTimeout(30_000));
        lead.reload();
        assertThat(region(lead, "Done")).containsText("Churn Edge 04, tree 83");
        assertThat(region(lead, "Done")).containsText("stump marked");
    }

    @Test
    void whoever_records_second_is_told_of_the_first_and_loses_nothing() {
        Page contractor = signedIn("Woodcock", 390, 844);
        Page crew = signedIn("Siskin", 390, 844);
        for (Page page : List.of(contractor, crew)) {
            page.navigate("/control/cards");
            region(page, "Churn Edge 04")
                    .getByRole(AriaRole.LINK, named(Pattern.compile("^81 ")))
                    .click();
            page.getByLabel("left standing").waitFor();
        }
        crew.getByLabel("left standing").check();
        crew.getByText("Record it").click();
        assertThat(form(crew)).containsText("says Siskin");

        contractor.getByLabel("treated").check();
        contractor.getByLabel("Note").fill("ring all round");
        contractor.getByText("Record it").click();

        Locator refused = contractor.getByRole(AriaRole.ALERT);
        assertThat(refused).containsText("ring all round");
        assertThat(refused).containsText("Siskin had recorded before: left standing");
        contractor.reload();
        contractor.getByText("Record mine after it").click();
        assertThat(contractor.getByRole(AriaRole.ALERT)).containsText("not on the list"); // it is done
        Page lead = signedIn("Treecreeper");
        lead.navigate("/control");
        assertThat(region(lead, "Done")).containsText("“ring all round”");
    }

    private static Locator form(Page page) {
        return page.getByRole(AriaRole.FORM, new Page.GetByRoleOptions().setName("What was done"));
    }

    @Test
    void a_contractor_sees_nothing_else_and_a_page_says_so_to_whoever_types_an_address() {
        Page contractor = signedIn("Woodcock");
        contractor.navigate("/plots");
        contractor.waitForURL("**/control/cards");
        assertThat(contractor.getByRole(AriaRole.NAVIGATION)).hasCount(0);
        assertThat(contractor.getByText("Sign out")).isVisible();
    }

    @Test
    void the_list_prints_as_list_plan_and_cards_without_what_was_read() {
        Page lead = signedIn("Treecreeper");
        lead.navigate("/control");
        Locator tree = region(lead, "May be controlled")
                .getByRole(AriaRole.ARTICLE, named(PLOT))
                .getByRole(AriaRole.REGION, named(Pattern.compile("tree 82$")));
        Locator approve = tree.getByRole(AriaRole.BUTTON, named("Approve tree 82"));
        tree.waitFor();
        if (approve.isVisible()) {
            approve.click();
        }
        assertThat(tree).containsText("Approved by Treecreeper");
        lead.getByText("Print list, plans and cards").click();
        Locator card = region(lead, "Card of Churn Edge 05, tree 82");
        assertThat(card).containsText("Do not touch");
        assertThat(card).not().containsText("dry collar");
        assertThat(region(lead, "Plan of Churn Edge 05")).isVisible();
        assertThat(region(lead, "List")).containsText("trained, licensed people");
    }

    /** Marks the gate and reads two features, as the invader shows them or as its look-alike does. */
    private static void look(Page page, boolean invader) {
        Locator look = region(page, "The last look");
        Locator fits = look.getByRole(AriaRole.BUTTON, named(Pattern.compile("^fits")));
        fits.first().waitFor();
        for (int i = 0; i < fits.count(); i++) {
            fits.nth(i).click();
        }
        for (int feature = 0; feature < 2; feature++) {
            Locator states = look.getByRole(AriaRole.LIST, named("States"));
            states.nth(feature).waitFor();
            String shown = states.nth(feature).textContent();
            states.nth(feature)
                    .getByText(Pattern.compile(telling(shown, invader)))
                    .first()
                    .click();
            Locator alike = look.getByText("all alike").nth(feature);
            alike.click();
        }
    }

    private static String telling(String shown, boolean invader) {
        if (shown.contains("collar")) {
            return invader ? "dry collar" : "nothing|bare|no ";
        }
        if (shown.contains("midrib")) {
            return invader ? "rusty band" : "tufts in the vein angles";
        }
        if (shown.contains("teeth") || shown.contains("tooth")) {
            return invader ? "curved" : "sharp";
        }
        throw new AssertionError("the card asks for " + shown);
    }
}
