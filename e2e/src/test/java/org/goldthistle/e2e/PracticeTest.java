package org.goldthistle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Practice before the woods: a tree that nobody grew is read, called, and told. */
class PracticeTest extends BrowserTest {
    private static final String TREE = "7f0c0a3e-0000-4000-8000-000000000001";

    @Test
    void a_whole_try_goes_by_keys_and_nothing_is_told_before_the_call() {
        Page wren = signedIn("Wren");
        wren.navigate("/practice");
        assertThat(wren.getByText("Only you see this page.")).isVisible();
        assertAccessible(wren);
        wren.getByText("Practise a tree").focus();
        wren.keyboard().press("Enter");
        assertThat(wren.getByText("Nothing here enters a survey.")).isVisible();
        assertThat(wren).hasTitle(Pattern.compile("^Practice"));
        assertThat(wren).hasURL(Pattern.compile("/practice/trees/"));
        wren.getByText("All of it fits").click();
        for (int i = 0; i < 4; i++) {
            wren.keyboard().press("n");
            wren.keyboard().press("1");
            wren.keyboard().press("a");
        }
        assertThat(checks(wren)).not().containsText(Pattern.compile("[+−]\\d"));
        assertThat(wren.getByLabel("The call")).not().containsText("for ");
        assertAccessible(wren);
        wren.reload(); // nothing that was read is lost
        assertThat(checks(wren)).containsText("fits");

        wren.getByText("Call it, and see").click();
        assertThat(wren.getByText("Choose what it is, or leave it open.")).isVisible();
        wren.getByLabel("Your call").getByRole(AriaRole.RADIO).first().check();
        wren.getByText("Call it, and see").click();
        assertThat(wren.getByText("Say how sure you are first.")).isVisible();
        wren.getByText("80 %").click();
        wren.getByText("Call it, and see").click();

        assertThat(wren.getByRole(
                        AriaRole.HEADING,
                        new Page.GetByRoleOptions().setName(Pattern.compile("^(Right|Wrong): it is "))))
                .isVisible();
        assertThat(wren.getByText("A perfect reader’s, after the same checks")).isVisible();
        assertAccessible(wren);
        wren.goBack();
        wren.goForward();
        assertThat(wren.getByText("Next tree")).isVisible(); // it is called once
        wren.getByText("Next tree").click();
        assertThat(wren.getByText("Call it, and see")).isVisible();
        wren.navigate("/practice");
        assertThat(wren.getByText("What sits, what slips")).isVisible();
        assertThat(wren.getByText("Go on with the tree in hand")).isVisible();
    }

    @Test
    void on_a_phone_it_goes_by_touch_part_by_part() {
        Page siskin = signedInByTouch("Siskin");
        birch(siskin, "Siskin", "leaf-teeth");
        assertThat(siskin.getByText("What you see: 1 of 5")).isVisible();
        Locator states = siskin.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("States"));
        states.getByRole(AriaRole.BUTTON).first().tap();
        assertThat(siskin.getByText("What you see: 2 of 5")).isVisible();
        assertAccessible(siskin);
        part(siskin, "Call");
        siskin.getByText("leave it open").tap();
        assertThat(siskin.getByText("How sure are you?")).hasCount(0);
        siskin.getByText("Call it, and see").tap();

        assertThat(siskin.getByRole(
                        AriaRole.HEADING, new Page.GetByRoleOptions().setName(Pattern.compile("^Left open"))))
                .isVisible();
        Object tooWide = siskin.evaluate("() => document.documentElement.scrollWidth > innerWidth");
        org.assertj.core.api.Assertions.assertThat(tooWide).isEqualTo(false);
    }

    @Test
    void a_ruler_lies_on_what_is_measured_and_moves_by_keys_and_by_hand() {
        Page siskin = signedIn("Siskin");
        birch(siskin, "Siskin", "dft");
        Locator ruler =
                siskin.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName(Pattern.compile("^Ruler")));
        String before = ruler.getAttribute("transform");

        ruler.focus();
        siskin.keyboard().press("ArrowUp");
        siskin.keyboard().press("]");
        assertThat(ruler).not().hasAttribute("transform", before);
        assertThat(ruler).hasAttribute("aria-valuetext", Pattern.compile("turned by 3 degrees"));
        siskin.getByText("Upright or flat").click();
        assertThat(ruler).hasAttribute("aria-valuetext", Pattern.compile("turned by 0 degrees"));
        double[] at = {ruler.boundingBox().x + 30, ruler.boundingBox().y + 10};
        siskin.mouse().move(at[0], at[1]);
        siskin.mouse().down();
        siskin.mouse().move(at[0] - 20, at[1] - 60);
        siskin.mouse().up();
        siskin.getByLabel("Measure in mm").fill("9");
        siskin.keyboard().press("Enter");
        assertThat(siskin.getByText("What you see: 2 of 5")).isVisible();
        assertAccessible(siskin);
    }

    @Test
    void what_is_called_without_a_network_waits_here_and_arrives() {
        Page dipper = signedIn("Dipper");
        dipper.navigate("/practice");
        dipper.getByText("Practise a tree").waitFor();
        int before = tries(dipper);
        birch(dipper, "Dipper", "leaf-teeth");
        assertThat(dipper.getByText("What you see: 1 of 5")).isVisible();
        dipper.context().setOffline(true);
        dipper.getByText("leave it open").click();
        dipper.getByText("Call it, and see").click();
        assertThat(dipper.getByRole(
                        AriaRole.HEADING, new Page.GetByRoleOptions().setName(Pattern.compile("^Left open"))))
                .isVisible();

        dipper.context().setOffline(false);
        dipper.waitForCondition(() -> tries(dipper) == before + 1);
    }

    @Test
    void a_set_is_called_together_and_told_by_character_once_it_is_closed() {
        Page lead = signedIn("Treecreeper");
        lead.navigate("/practice");
        lead.getByLabel("Group").selectOption("Common, grey, hybrid and Italian alder");
        lead.getByText("Open a set of ten trees").click();
        lead.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Common, grey, hybrid and Italian alder"))
                .first()
                .click();
        assertThat(lead.getByText("Nobody has called a tree yet.")).isVisible();
        String set = lead.url();
        Page wren = signedIn("Wren");
        wren.navigate(set);
        wren.getByText("Call tree 1 of 10").click();
        wren.getByText("leave it open").click();
        wren.getByText("Call it, and see").click();
        wren.getByText("Back to the set").click(); // and not to a tree of another pair
        assertThat(wren).hasURL(set);
        assertThat(wren.getByText("Call tree 2 of 10")).isVisible();
        assertThat(wren.getByText("That is all: close it")).hasCount(0);

        lead.reload();
        assertThat(lead.getByText("Wren 1, of 10 trees.")).isVisible();
        lead.getByText("That is all: close it").click();
        assertThat(lead.getByText("Look at these again")).isVisible();
        assertAccessible(lead);
    }

    @Test
    void what_a_survey_asks_for_is_set_told_today_and_at_the_call() {
        Page lead = signedIn("Treecreeper");
        lead.navigate("/people");
        Locator rules = lead.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Practised first"));
        rules.getByLabel("Group").selectOption("Silver birch, downy birch and their hybrid");
        rules.getByLabel("Right", new Locator.GetByLabelOptions().setExact(true))
                .fill("30");
        rules.getByText("Ask for it from now on").click();
        assertThat(rules).containsText("0 to as many as are practised in a row");
        rules.getByLabel("Right", new Locator.GetByLabelOptions().setExact(true))
                .fill("20");
        rules.getByText("Ask for it from now on").click();
        assertThat(rules.getByText("Silver birch, downy birch and their hybrid: 20 of 20"))
                .isVisible();
        assertThat(rules).containsText("Siskin");
        assertAccessible(lead);

        Page siskin = signedIn("Siskin");
        assertThat(siskin.getByText("Until then each name you sign is read a second time."))
                .isVisible();
        siskin.navigate("/practice");
        assertThat(siskin.getByText("What your surveys ask for")).isVisible();
        rules.getByText("Ask no more").click();
        assertThat(rules.getByText(": 20 of 20")).hasCount(0);
    }

    @Test
    void a_settled_case_is_called_by_its_photos_and_a_lead_may_withhold_it() {
        Page dipper = signedIn("Dipper");
        dipper.navigate("/practice");
        dipper.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("hawthorn, mature")))
                .first()
                .click();
        assertThat(dipper.getByAltText(Pattern.compile("^Photo: "))).isVisible();
        assertThat(dipper.getByText("Wren")).hasCount(0); // whoever read it is not told
        dipper.getByLabel("Your call").getByRole(AriaRole.RADIO).first().check();
        dipper.getByText("Call it, and see").click();
        assertThat(dipper.getByText("Say how sure you are first.")).isVisible();
        dipper.getByText("70 %").click();
        assertAccessible(dipper);
        dipper.getByText("Call it, and see").click();
        assertThat(dipper.getByText(Pattern.compile("it stands as"))).isVisible();
        dipper.reload();
        assertThat(dipper.getByText(Pattern.compile("it stands as"))).isVisible(); // told again
        dipper.getByText("The whole case").click();
        assertThat(dipper.getByText("What they read")).isVisible();

        Page lead = signedIn("Treecreeper");
        lead.navigate(dipper.url());
        lead.getByText("Withhold it from practice").click();
        assertThat(lead.getByText("Let others practise on it")).isVisible();
        Page siskin = signedIn("Siskin");
        siskin.navigate("/practice");
        assertThat(siskin.getByText("What sits, what slips")).isVisible();
        assertThat(siskin.getByText("Cases from the field")).hasCount(0);
    }

    @Test
    void two_tabs_show_one_tree_and_three_presses_call_it_once() {
        Page wren = signedIn("Wren");
        int before = tries(wren);
        birch(wren, "Wren", "leaf-teeth");
        Page other = wren.context().newPage();
        other.navigate(wren.url());
        assertThat(other.getByText("What you see: 1 of 5")).isVisible();
        wren.bringToFront();
        wren.keyboard().press("2");
        assertThat(wren.getByText("What you see: 2 of 5")).isVisible();
        assertThat(other.getByText("What you see: 2 of 5")).isVisible();

        wren.getByText("leave it open").click();
        Locator call = wren.getByText("Call it, and see");
        call.focus();
        for (int i = 0; i < 3; i++) {
            wren.keyboard().press("Enter");
        }

        assertThat(other.getByRole(
                        AriaRole.HEADING, new Page.GetByRoleOptions().setName(Pattern.compile("^Left open"))))
                .isVisible();
        wren.waitForCondition(() -> tries(wren) > before);
        assertThat(wren.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName(Pattern.compile("^Left open"))))
                .isVisible(); // and is not passed over
        wren.waitForTimeout(1000);
        org.assertj.core.api.Assertions.assertThat(tries(wren)).isEqualTo(before + 1);
    }

    @Test
    void a_tree_that_this_device_does_not_know_is_told() {
        Page wren = signedIn("Wren");
        wren.navigate("/practice/trees/" + TREE.replace('1', '2'));
        assertThat(wren.getByText("This device knows no such practice tree.")).isVisible();
    }

    /** A birch of a fixed seed, on this device. */
    static void birch(Page page, String observer, String check) {
        page.evaluate(
                "async ({ observer, id }) => {"
                        + " const sheets = await fetch('/api/sheets').then((answer) => answer.json());"
                        + " const { versionId, groupId } = sheets.find((one) => one.groupId === 'birches');"
                        + " localStorage.setItem('goldthistle.practice.' + observer, JSON.stringify([{ id, versionId, groupId,"
                        + " seed: 3, one: 'pendula', other: 'pubescens', begunAt: Date.now(), entries: [], uncovered: false }])) }",
                Map.of(
                        "observer",
                        observer,
                        "id",
                        TREE.replace("0001", String.format("%04d", observer.length() * 100 + check.length()))));
        page.navigate("/practice/trees/"
                + TREE.replace("0001", String.format("%04d", observer.length() * 100 + check.length())) + "?check="
                + check);
    }

    private static int tries(Page page) {
        return ((Number) page.evaluate(
                        "() => fetch('/api/practice').then((answer) => answer.json()).then((mine) => mine.tries)"))
                .intValue();
    }

    private static Locator checks(Page page) {
        return page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Checks"));
    }

    private static void part(Page page, String name) {
        page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Parts of the try"))
                .getByText(name)
                .tap();
    }
}
