package org.goldthistle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** What verified trees teach, from the review that a lead verifies to the draft that a reviewer takes a figure into. */
class VerifiedTreesTest extends BrowserTest {

    @Test
    void a_figure_that_verified_trees_speak_for_is_taken_into_a_draft_which_shows_what_it_changes() {
        Page redpoll = signedIn("Redpoll");
        redpoll.navigate("/quality");
        redpoll.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("What the record teaches"))
                .click();
        Locator larches = region(redpoll, "European, Japanese and hybrid larch");
        assertThat(larches).containsText("160 verified trees");
        larches.getByRole(AriaRole.BUTTON, named(Pattern.compile("^Believed [56]\\d %")))
                .first()
                .hover();
        assertThat(larches).containsText(Pattern.compile("names? believed [56]\\d % on average"));
        assertThat(larches.getByText("not true").first()).isVisible();
        Locator take = larches.getByRole(AriaRole.BUTTON, named(Pattern.compile("into a draft$")))
                .first();
        take.waitFor();
        assertAccessible(redpoll);

        take.click();
        redpoll.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Open it and see what would change"))
                .click();

        Locator effects = region(redpoll, "What would change");
        assertThat(effects).containsText("In the sheet, against version");
        assertThat(region(redpoll, "If it were something else")).containsText("hybrid larch");
        assertThat(redpoll.getByText("Nothing is different.")).hasCount(0);
        redpoll.reload();
        assertThat(redpoll.getByText(Pattern.compile("^Kept"))).isVisible(); // what was taken is kept
    }

    @Test
    void a_lead_marks_a_settled_review_as_verified_and_takes_that_back() {
        Page lead = signedIn("Treecreeper");
        lead.navigate("/review");
        lead.getByText("settled", new Page.GetByTextOptions().setExact(true))
                .first()
                .click();
        lead.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("tree \\d+")))
                .filter(new Locator.FilterOptions().setHasText("agreed")) // the open ones may still stand there
                .first()
                .click();
        Locator stands = region(lead, "What stands");
        stands.waitFor();

        if (stands.getByText("Mark as verified").isVisible()) {
            stands.getByText("Mark as verified").click();
        }
        assertThat(stands.getByText("verified", new Locator.GetByTextOptions().setExact(true)))
                .isVisible();
        lead.reload();
        stands.getByText("Take that back").click();

        assertThat(stands.getByText("Mark as verified")).isVisible();
    }

    @Test
    void a_file_that_does_not_fit_is_refused_in_words_and_one_that_does_is_counted_until_it_is_taken_out() {
        Page redpoll = signedIn("Redpoll");
        redpoll.navigate("/quality/lessons");
        Locator add = region(redpoll, "Add verified trees");
        add.getByLabel("Group").selectOption("birches");
        Locator file = add.getByLabel("File of specimens (JSON)");

        file.setInputFiles(payload("wrong.json", "[{\"id\": \"t\"}]"));
        assertThat(add).containsText("Nothing of it was taken");

        file.setInputFiles(
                payload(
                        "one birch.json",
                        "[{\"id\": \"row 1\", \"context\": {\"month\": 7, \"stage\": \"mature\", \"origin\": \"wild\"},"
                                + " \"observations\": [{\"character\": \"ltf\", \"values\": [3, 2]}], \"truth\": \"pendula\"}]"));
        Locator files = region(redpoll, "Files");
        assertThat(files).containsText("one birch.json");
        files.getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText("one birch.json"))
                .getByRole(AriaRole.BUTTON)
                .click();
        assertThat(files).not().containsText("one birch.json");
    }

    @Test
    void a_tree_without_cones_closes_all_that_is_read_from_them_with_one_press() {
        Page wren = signedIn("Wren", 390, 844);
        BenchOnScreen.open(wren, 38).month("September");
        wren.navigate(wren.url().replaceFirst("check=[a-z-]+", "check=cone-length"));
        wren.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("None on this tree"))
                .click();

        assertThat(wren.locator("[data-guide=look-next] [role=status]")).containsText("3 more checks closed");
        wren.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Stations"))
                .click();
        wren.getByText(Pattern.compile("^Not now")).click();
        assertThat(wren.getByText("none on this tree")).hasCount(4);
        wren.reload();
        assertThat(wren.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("None on this tree")))
                .hasAttribute("aria-pressed", "true");
    }

    @Test
    void a_record_that_lacks_only_the_gate_says_so_and_takes_it_in_hand() {
        Page dipper = signedIn("Dipper");
        BenchOnScreen bench = BenchOnScreen.open(dipper, 11).month("September").tier("record");
        bench.takeUp("What is left of the flower under the fruit")
                .see("dry collar with small lobes")
                .settled();
        bench.takeUp("Hairs along the midrib, underside").see("dense pale").settled();
        bench.takeUp("Shape of the teeth on the leaf edge")
                .see("low teeth curved inwards")
                .settled();

        assertThat(bench.button(Pattern.compile("^Not yet: the gate"))).isVisible();
        dipper.keyboard().press("n");
        assertThat(bench.heading()).hasText("The gate");
        bench.fitTheGate();
        assertThat(bench.button(Pattern.compile("^Sign black cherry"))).isVisible();
    }

    private static FilePayload payload(String name, String text) {
        return new FilePayload(name, "application/json", text.getBytes(StandardCharsets.UTF_8));
    }
}
