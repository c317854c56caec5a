package org.goldthistle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ForcedColors;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Every light, every size, every hand: nothing that axe finds, nothing cut, nothing told by colour alone. */
class ForEverybodyTest extends BrowserTest {
    private static final String SMALLEST = "() => Math.min(...[...document.querySelectorAll('main *, header *')]"
            + ".filter((one) => [...one.childNodes].some((node) => node.nodeType === 3 && node.data.trim() !== '')"
            + " && one.getClientRects().length > 0 && getComputedStyle(one).visibility === 'visible'"
            + " && !one.closest('.sr-only'))"
            + ".map((one) => { const svg = one.closest('svg'); const size = parseFloat(getComputedStyle(one).fontSize);"
            + " const scale = svg?.viewBox.baseVal.width ? svg.getBoundingClientRect().width / svg.viewBox.baseVal.width : 1;"
            + " return size * scale }))";

    @ParameterizedTest
    @CsvSource({"day, Siskin", "dusk, Wren", "sun, Redpoll"})
    void the_bench_has_nothing_for_axe_in_any_state(String light, String observer) {
        Page siskin = signedIn(observer);
        in(siskin, light);
        BenchOnScreen bench = BenchOnScreen.open(siskin, 23).month("September");
        assertNothingForAxe(siskin, light + ", gate");
        bench.fitTheGate();
        bench.takeUp("Hairs on one-year twigs").see("no hairs").settled();
        assertNothingForAxe(siskin, light + ", states");
        bench.takeUp("DFT").type("11").settled().type("90");
        assertNothingForAxe(siskin, light + ", numbers");
        bench.openSigning("Sign silver birch|Not yet").waitFor();
        assertNothingForAxe(siskin, light + ", signing");
        siskin.keyboard().press("Escape");
        siskin.keyboard().press("?");
        siskin.getByRole(AriaRole.DIALOG)
                .getByText("notch", new Locator.GetByTextOptions().setExact(true))
                .waitFor();
        assertNothingForAxe(siskin, light + ", keys and words");
    }

    @ParameterizedTest
    @ValueSource(strings = {"day", "dusk", "sun"})
    void the_bench_on_a_phone_has_nothing_for_axe_in_any_part(String light) {
        Page phone = signedInByTouch("Siskin");
        in(phone, light);
        BenchOnScreen bench = BenchOnScreen.open(phone, 9).month("September");
        for (String part : List.of("Stations", "Check", "not yet|can be signed|signed")) {
            bench.button(Pattern.compile(part)).last().click();
            assertNothingForAxe(phone, light + ", " + part);
        }
    }

    private static void in(Page page, String light) {
        page.evaluate("(light) => localStorage.setItem('goldthistle.theme', JSON.stringify(light))", light);
        page.reload();
        assertThat(page.locator("html")).hasAttribute("data-theme", light);
    }

    @Test
    void no_text_is_smaller_than_twelve_pixels_or_thirteen_on_a_phone() {
        Page laptop = signedIn("Redpoll");
        BenchOnScreen.open(laptop, 23)
                .month("September")
                .takeUp("DFT")
                .type("11")
                .settled();
        org.assertj.core.api.Assertions.assertThat(((Number) laptop.evaluate(SMALLEST)).doubleValue())
                .isGreaterThanOrEqualTo(12);
        Page phone = signedInByTouch("Redpoll");
        BenchOnScreen bench = BenchOnScreen.open(phone, 23);
        for (String part : List.of("Stations", "Check", "not yet|can be signed")) {
            bench.button(Pattern.compile(part)).last().click();
            org.assertj.core.api.Assertions.assertThat(((Number) phone.evaluate(SMALLEST)).doubleValue())
                    .as(part)
                    .isGreaterThanOrEqualTo(13);
        }
    }

    @Test
    void all_that_a_decision_needs_and_all_open_checks_are_on_one_screen() {
        Page laptop = signedIn("Nuthatch");
        for (DemoTree tree : DemoTree.ofEachGroup()) {
            BenchOnScreen bench = tree.open(laptop).month("September");
            for (String place : List.of("candidates", "notch", "beam", "open", "sign")) {
                assertThat(laptop.locator("[data-guide=" + place + "]"))
                        .isInViewport(new com.microsoft.playwright.assertions.LocatorAssertions.IsInViewportOptions()
                                .setRatio(1));
            }
            Locator rows = laptop.locator("nav[aria-label=Checks] ol button");
            assertThat(rows.last())
                    .isInViewport(new com.microsoft.playwright.assertions.LocatorAssertions.IsInViewportOptions()
                            .setRatio(1));
            assertThat(rows.first()).isInViewport();
            assertThat(bench.heading()).isInViewport();
        }
    }

    @Test
    void in_forced_colours_what_is_chosen_is_told_by_more_than_its_ground() {
        Page wren = signedIn("Wren");
        BenchOnScreen bench = BenchOnScreen.open(wren, 23).month("September").takeUp("Hairs on one-year twigs");
        bench.see("no hairs").settled();
        wren.emulateMedia(new Page.EmulateMediaOptions().setForcedColors(ForcedColors.ACTIVE));

        Locator chosen = wren.locator("[aria-label=States] [aria-pressed=true]");
        assertThat(chosen).hasCSS("outline-style", "solid");
        assertThat(wren.locator("[aria-current=step]")).hasCSS("outline-style", "solid");
        assertThat(wren.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("sure (assumed)")))
                .hasCSS("outline-style", "dashed");
    }

    @Test
    void at_twice_the_size_two_thirds_of_the_height_are_the_page_s() {
        Page magnified = signedIn("Wren", 640, 400); // 1280 by 800 at 200 %
        BenchOnScreen.open(magnified, 23);

        Object fixed = magnified.evaluate("() => [...document.querySelectorAll('body *')]"
                + ".filter((one) => ['fixed', 'sticky'].includes(getComputedStyle(one).position)"
                + " && one.getClientRects().length > 0)"
                + ".reduce((sum, one) => sum + one.getBoundingClientRect().height, 0)");

        org.assertj.core.api.Assertions.assertThat(((Number) fixed).doubleValue())
                .isLessThanOrEqualTo(400 / 3.0);
    }

    @Test
    void a_word_explains_itself_to_a_pointer_a_key_and_a_finger() {
        Page laptop = signedIn("Redpoll");
        BenchOnScreen.open(laptop, 23);
        Locator notch = laptop.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName("notch").setExact(true));
        notch.hover();
        assertThat(laptop.getByRole(AriaRole.TOOLTIP)).containsText("How far the bar must reach");
        laptop.mouse().move(300, 300);
        laptop.evaluate("() => new Promise((seen) => requestAnimationFrame(() => requestAnimationFrame(seen)))");
        laptop.mouse().move(290, 300); // a hand does not leap: the page sees where the pointer went
        assertThat(laptop.getByRole(AriaRole.TOOLTIP)).hasCount(0);
        notch.focus();
        assertThat(laptop.getByRole(AriaRole.TOOLTIP)).containsText("How far the bar must reach");

        Page phone = signedInByTouch("Redpoll");
        BenchOnScreen bench = BenchOnScreen.open(phone, 23);
        bench.button(Pattern.compile("not yet|can be signed")).last().click();
        phone.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("notch").setExact(true))
                .tap();
        assertThat(phone.getByRole(AriaRole.TOOLTIP)).containsText("How far the bar must reach");
    }

    @Test
    void an_address_that_leads_nowhere_says_so() {
        Page dipper = signedIn("Dipper");
        dipper.navigate("/thistles/12");

        assertThat(dipper.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("There is no such page")))
                .isVisible();
        assertThat(dipper.getByText("/thistles/12")).isVisible();
        assertNothingForAxe(dipper, "no such page");
    }
}
