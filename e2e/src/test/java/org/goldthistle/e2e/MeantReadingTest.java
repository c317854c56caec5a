package org.goldthistle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Every press lands where it was meant, and nothing is stored that nobody said. */
class MeantReadingTest extends BrowserTest {
    private static final String TWIGS = "Hairs on one-year twigs";

    @Test
    void what_is_in_hand_stays_in_hand_until_its_observer_moves() {
        Page siskin = signedIn("Siskin");
        BenchOnScreen bench = BenchOnScreen.open(siskin, 23).month("September").fitTheGate();
        bench.takeUp("How the outer twigs hang")
                .see("long thin twigs hang straight down")
                .settled();
        BenchOnScreen.open(siskin, 23); // begun, and opened without a check in its address
        String check = bench.heading().innerText();

        for (int i = 0; i < 3; i++) {
            siskin.keyboard().press("2");
            bench.settled();
        }
        assertThat(bench.heading()).hasText(check);
        assertThat(siskin.locator("[aria-label=States] [aria-pressed=true]")).containsText("×3");
        siskin.reload();
        assertThat(bench.heading()).hasText(check);
    }

    @Test
    void six_numbers_of_one_measure_stay_with_it() {
        Page siskin = signedIn("Siskin");
        BenchOnScreen bench = BenchOnScreen.open(siskin, 38).month("September").fitTheGate();
        bench.takeUp("Length of ripe cones");
        Locator values = siskin.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Values"))
                .getByRole(AriaRole.LISTITEM);

        for (String length : new String[] {"28", "31", "25", "30", "27", "29"}) {
            siskin.keyboard().type(length);
            siskin.keyboard().press("Enter");
            bench.settled();
        }

        assertThat(bench.heading()).hasText("Length of ripe cones");
        assertThat(values).hasCount(6);
    }

    @Test
    void a_note_takes_what_is_typed_and_stores_no_reading() {
        Page dipper = signedIn("Dipper");
        BenchOnScreen bench = BenchOnScreen.open(dipper, 23).month("September").takeUp(TWIGS);

        bench.button("Note something for yourself").click();
        dipper.keyboard().type("1 lens, b and j 2");

        assertThat(dipper.getByLabel(Pattern.compile("^Your own note"))).hasValue("1 lens, b and j 2");
        assertThat(bench.heading()).hasText(TWIGS);
        assertThat(dipper.locator("[aria-label=States] [aria-pressed=true]")).hasCount(0);
        assertThat(dipper.getByText("those who trust field marks")).isHidden();
    }

    @Test
    void a_small_leaf_is_changed_or_taken_out_and_no_card_takes_one_back() {
        Page dipper = signedIn("Dipper");
        BenchOnScreen bench = BenchOnScreen.open(dipper, 24).month("September").takeUp(TWIGS);
        bench.see("no hairs").see("no hairs").see("velvety all along").settled();
        Locator looks = dipper.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Looked at so far"));

        looks.getByRole(AriaRole.BUTTON).first().click();
        dipper.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("velvety all along"))
                .click();
        bench.settled();
        assertThat(bench.row(TWIGS)).containsText("1 × no hairs, 2 × velvety all along");
        looks.getByRole(AriaRole.BUTTON).nth(1).click();
        dipper.getByText("Take it out").click();
        bench.settled();

        assertThat(bench.row(TWIGS)).containsText("2 × velvety all along");
        assertThat(bench.row(TWIGS)).not().containsText("no hairs");
        assertThat(dipper.getByLabel(Pattern.compile("^One less"))).hasCount(0);
    }

    @Test
    void the_rest_is_as_the_last_one_by_one_key() {
        Page wren = signedIn("Wren");
        BenchOnScreen bench = BenchOnScreen.open(wren, 24).month("September").takeUp(TWIGS);

        wren.keyboard().press("2");
        wren.keyboard().press("a");
        wren.keyboard().press("a"); // there is nothing left to fill
        bench.settled();

        assertThat(bench.row(TWIGS)).containsText("3 × scattered hairs");
    }

    @Test
    void a_letter_takes_the_number_first_and_does_nothing_while_it_is_doubtful() {
        Page redpoll = signedIn("Redpoll");
        BenchOnScreen bench = BenchOnScreen.open(redpoll, 23).month("September").takeUp("DFT");
        Locator field = redpoll.getByLabel("Measure in mm");

        redpoll.keyboard().type("90");
        redpoll.keyboard().press("n");
        assertThat(redpoll.getByText("Really 90 mm?")).isVisible();
        assertThat(field).hasValue("90");
        assertThat(bench.heading()).hasText("DFT, stalk to first tooth");
        field.fill("");
        assertThat(redpoll.getByText("Really 90 mm?")).isHidden();

        redpoll.keyboard().type("11 9");
        redpoll.keyboard().press("n");
        bench.settled();
        assertThat(bench.heading()).not().hasText("DFT, stalk to first tooth");
        assertThat(bench.row("DFT")).containsText("11, 9 mm");
    }

    @Test
    void long_rubbish_in_a_number_widens_nothing() {
        Page phone = signedInByTouch("Redpoll");
        BenchOnScreen bench = BenchOnScreen.open(phone, 24).month("September");
        bench.button("Stations").click();
        bench.button("Hand").click();
        bench.takeUp("LTW").type("9".repeat(30) + "x".repeat(30));

        assertThat(phone.getByText("is not a number")).isVisible();
        org.assertj.core.api.Assertions.assertThat(
                        phone.evaluate("() => document.documentElement.scrollWidth - window.innerWidth"))
                .isEqualTo(0);
    }

    @Test
    void what_nobody_said_is_not_stored_and_is_marked_as_assumed() {
        Page nuthatch = signedIn("Nuthatch");
        BenchOnScreen bench =
                BenchOnScreen.open(nuthatch, 23).month("September").takeUp(TWIGS);
        assertThat(nuthatch.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("sure (assumed)")))
                .isVisible();

        bench.see("no hairs").settled();

        Object stored = nuthatch.evaluate("async () => (await (await fetch(location.pathname.replace('/surveys',"
                + " '/api/surveys') + '/bench')).json()).readings[0].reading");
        org.assertj.core.api.Assertions.assertThat(String.valueOf(stored))
                .contains("absent")
                .doesNotContain("sure", "attached", "sun");
    }

    @Test
    void a_reason_goes_with_the_reading_that_it_was_written_for() {
        Page wren = signedIn("Wren");
        BenchOnScreen bench = BenchOnScreen.open(wren, 23).month("September");
        bench.takeUp("How the outer twigs hang").see("long thin twigs").settled();
        bench.takeUp("Rough black bark").see("thick black bosses").settled();
        bench.takeUp("Double or single leaf teeth")
                .see("big teeth")
                .see("big teeth")
                .settled();
        bench.takeUp("Resin warts").see("scattered warts").settled();
        Locator sheet = bench.openSigning("Sign silver birch");
        Locator reason = sheet.getByLabel(Pattern.compile("^Against it: Resin warts"));
        reason.fill("A slow-grown tree.");
        wren.keyboard().press("Escape");

        wren.keyboard().press("z");
        bench.settled().see("scattered warts").settled();

        bench.openSigning("Sign silver birch");
        assertThat(reason).hasValue("");
    }
}
