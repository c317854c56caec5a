package org.goldthistle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** What an observer is told: before a call can be signed, with each entry, and once it is signed. */
class AfterSigningTest extends BrowserTest {

    @Test
    void a_signature_is_told_once_with_what_follows_and_enter_goes_to_the_next_tree() {
        Page dipper = signedIn("Dipper");
        BenchOnScreen bench = silverBirch(dipper);
        Keyboard keys = dipper.keyboard();

        keys.press("g");
        Locator told = dipper.getByRole(AriaRole.DIALOG);
        told.waitFor();
        keys.press("Control+Enter");

        assertThat(told).containsText("Signed: silver birch");
        assertThat(told).containsText("From leaf teeth");
        assertThat(told).containsText(Pattern.compile("It stands|It goes to review"));
        assertThat(told).containsText(Pattern.compile("Next tree \\d+.*m, \\d+°"));
        assertAccessible(dipper);
        String next =
                told.getByText(Pattern.compile("^Next tree")).innerText().replaceAll("(?s)Next tree (\\d+).*", "$1");
        keys.press("Enter");
        assertThat(dipper.getByRole(
                        AriaRole.HEADING,
                        new Page.GetByRoleOptions().setName(Pattern.compile("Kettle Moss 07 · tree " + next + "$"))))
                .isVisible();

        BenchOnScreen.open(dipper, 23);
        bench.button("Signed silver birch, look again").click();
        assertThat(told).containsText("Signed: silver birch");
        bench.stay();
        keys.press("z");
        assertThat(dipper.getByText("What is signed is not undone")).isVisible();
    }

    @Test
    void an_unread_tree_never_looks_ready_however_sure_its_ground_makes_it() {
        Page wren = signedIn("Wren");
        BenchOnScreen bench = BenchOnScreen.open(wren, "Tarnholt", "Heron Carr 02", 11);

        assertThat(bench.button(Pattern.compile("^Not yet: read one character")))
                .isVisible();
        assertThat(wren.getByText("short of the")).isVisible();
        assertThat(bench.button(Pattern.compile("^Sign "))).hasCount(0);
    }

    @Test
    void each_entry_is_told_in_one_line_in_one_place() {
        Page siskin = signedIn("Siskin");
        BenchOnScreen bench = BenchOnScreen.open(siskin, 24).month("September");
        Locator said = siskin.locator("[data-guide=look-next] [role=status]");
        bench.takeUp("Hairs on one-year twigs");
        assertThat(said).hasText("");

        bench.see("velvety all along").settled();
        assertThat(said).hasText(Pattern.compile("^For downy birch, \\+\\d+\\.\\d\\..* of 9\\.5 points now\\.$"));
        bench.notSeen().settled();
        assertThat(said).hasText("Not seen: nothing is weighed.");
        siskin.keyboard().press("z");
        assertThat(said).containsText("Taken back");
    }

    private static BenchOnScreen silverBirch(Page page) {
        BenchOnScreen bench = BenchOnScreen.open(page, 23).month("September");
        bench.takeUp("How the outer twigs hang")
                .see("long thin twigs hang straight down")
                .settled();
        bench.takeUp("Double or single leaf teeth")
                .see("big teeth")
                .see("big teeth")
                .see("big teeth")
                .settled();
        bench.takeUp("Rough black bark").see("thick black bosses").settled();
        return bench;
    }
}
