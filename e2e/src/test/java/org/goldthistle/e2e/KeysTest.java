package org.goldthistle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

class KeysTest extends BrowserTest {
    /** What a plain silver birch shows, as keys: states by their place, numbers as they are typed. */
    private static final Map<String, List<String>> SILVER_BIRCH = Map.ofEntries(
            Map.entry("How the outer twigs hang", List.of("1")),
            Map.entry("Rough black bark at the foot of the stem", List.of("3")),
            Map.entry("Ground right under the stem", List.of("1")),
            Map.entry("Rub a one-year twig", List.of("1", "1", "1")),
            Map.entry("Resin warts on one-year twigs", List.of("3", "3", "3")),
            Map.entry("Hairs on one-year twigs", List.of("1", "1", "1")),
            Map.entry("Hairs on the leaf stalk and in the vein forks beneath", List.of("1", "1")),
            Map.entry("Double or single leaf teeth", List.of("1", "1", "1")),
            Map.entry("Shape of the leaf base", List.of("2", "2")),
            Map.entry("Leaf outline and tip", List.of("1", "1")),
            Map.entry("Side lobes of the fruit-catkin scales", List.of("1", "1")),
            Map.entry("LTF, leaf tooth factor", List.of("3", "Enter", "4")),
            Map.entry("DFT, stalk to first tooth", List.of("1", "2", "Enter", "9")),
            Map.entry("LTW, leaf tip width", List.of("8", "Enter", "9")),
            Map.entry("Width of one fruit wing over width of the nutlet", List.of("2", ".", "4")));

    private static final int MOST_CHECKS = 8;

    @Test
    void the_command_line_finds_a_plot_and_a_check_of_the_tree_in_hand() {
        Page wren = signedIn("Wren");
        BenchOnScreen bench = BenchOnScreen.open(wren, 24).month("September");
        Keyboard keys = wren.keyboard();
        Locator chosen = wren.locator("[role=option][aria-selected=true]");

        keys.press("/");
        keys.type("hairs on one");
        assertThat(chosen).containsText("Hairs on one-year twigs");
        keys.press("Enter");
        assertThat(bench.heading()).hasText("Hairs on one-year twigs");
        keys.press("j"); // and goes on from there
        assertThat(bench.heading()).not().hasText("Hairs on one-year twigs");

        keys.press("/");
        keys.type("churn edge 04");
        wren.locator("[role=option]")
                .filter(new Locator.FilterOptions().setHasText(Pattern.compile("^Churn Edge 04\\s*plot$")))
                .click();
        assertThat(wren.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Churn Edge 04")))
                .isVisible();
    }

    @Test
    void a_clear_tree_is_found_read_and_signed_without_a_pointer() {
        Page dipper = signedIn("Dipper");
        BenchOnScreen bench = BenchOnScreen.open(dipper, 23).month("September");
        dipper.navigate(application.url()); // from here on by keys alone
        dipper.getByText("Kettle Moss 07").first().waitFor();
        Keyboard keys = dipper.keyboard();

        keys.press("/");
        keys.type("kettle moss 07 tree 23");
        assertThat(dipper.locator("[role=option][aria-selected=true]")).containsText("Kettle Moss 07, tree 23");
        keys.press("Enter");
        assertThat(bench.heading()).hasText("The gate");
        keys.press("a");
        int made = 0;
        while (dipper.getByText("Still needed:").isVisible() || made < 3) {
            org.assertj.core.api.Assertions.assertThat(made++).isLessThan(MOST_CHECKS);
            String before = bench.heading().innerText();
            keys.press("n");
            assertThat(bench.heading()).not().hasText(before);
            String check = bench.heading().innerText();
            for (String key : SILVER_BIRCH.get(check)) {
                keys.press(key);
            }
            bench.settled();
        }
        keys.press("g");
        dipper.getByRole(AriaRole.DIALOG).waitFor();
        keys.press("Control+Enter");
        assertThat(dipper.getByRole(AriaRole.DIALOG)).containsText("Signed: silver birch");
        bench.stay();

        assertThat(bench.signedCalls()).containsText("Dipper signed silver birch");
    }

    @Test
    void the_keys_are_told_and_do_what_is_told() {
        Page siskin = signedIn("Siskin");
        BenchOnScreen bench = BenchOnScreen.open(siskin, 24).month("September");
        Keyboard keys = siskin.keyboard();
        keys.press("?");
        assertThat(siskin.getByRole(AriaRole.DIALOG)).containsText("take the last entry back");
        assertAccessible(siskin);
        keys.press("Escape");
        bench.takeUp("Rough black bark");

        keys.press("2");
        bench.settled();
        keys.press("u");
        bench.settled();
        assertThat(siskin.getByRole(
                        AriaRole.RADIO,
                        new Page.GetByRoleOptions().setName("fairly").setExact(true)))
                .isChecked();
        keys.press("0");
        bench.settled();
        assertThat(bench.row("Rough black bark")).containsText("not seen");
        keys.press("z");
        bench.settled();
        assertThat(bench.row("Rough black bark")).containsText("some dark shallow cracks");
        keys.press("z");
        keys.press("z");
        bench.settled();
        assertThat(bench.row("Rough black bark")).not().containsText("cracks");

        keys.press("j");
        assertThat(bench.heading()).hasText("Rub a one-year twig");
        keys.press("k");
        assertThat(bench.heading()).hasText("Rough black bark at the foot of the stem");
        keys.press("b");
        assertThat(siskin.getByText("those who trust field marks").first()).isVisible();
        keys.press("b");
        keys.press("b");
        assertThat(siskin.getByText("those who trust field marks")).isHidden();
        Locator rival = bench.button(Pattern.compile("another rival"));
        String before = rival.innerText();
        keys.press("r");
        assertThat(rival).not().hasText(before);
        keys.press("c");
        assertThat(siskin.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("States")))
                .not()
                .containsText("%");
        keys.press("s");
        assertThat(siskin.getByText("% parted").first()).isVisible();
    }
}
