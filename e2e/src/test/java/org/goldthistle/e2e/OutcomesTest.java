package org.goldthistle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

class OutcomesTest extends BrowserTest {

    @Test
    void a_tree_that_cannot_be_settled_today_is_signed_to_come_back() {
        Page siskin = signedIn("Siskin");
        BenchOnScreen bench = BenchOnScreen.open(siskin, 24).month("January");
        bench.takeUp("Rough black bark").see("some dark shallow cracks").settled();

        Locator sheet = bench.openSigning("Come back");
        sheet.getByLabel(Pattern.compile("^July")).check();
        assertAccessible(siskin);
        sign(sheet);

        assertThat(bench.signedCalls()).containsText("Siskin comes back in July");
        siskin.getByText("Today").click();
        assertThat(siskin.getByText("Siskin comes back in July")).isVisible();
    }

    @Test
    void a_control_call_names_what_is_missing_and_is_refused() {
        Page dipper = signedIn("Dipper");
        BenchOnScreen bench = BenchOnScreen.open(dipper, 24).month("September").tier("control");
        bench.takeUp("Hairs on one-year twigs").see("velvety all along").settled();

        Locator sheet = bench.openSigning("Sign downy birch");
        Locator conditions = sheet.getByRole(AriaRole.REGION, new Locator.GetByRoleOptions().setName("Conditions"));
        assertThat(conditions).containsText("a second observer's blind agreement, still missing");
        assertThat(conditions).containsText("at least one reading, met");
        sign(sheet);

        assertThat(sheet.getByRole(AriaRole.ALERT)).containsText("Still needed:");
        assertThat(sheet.getByRole(AriaRole.ALERT)).containsText("second-observer");
    }

    @Test
    void the_best_next_check_is_offered_with_its_reason() {
        Page redpoll = signedIn("Redpoll");
        BenchOnScreen bench = BenchOnScreen.open(redpoll, 23).month("September");

        bench.takeUp("Ground right under the stem");

        assertThat(redpoll.getByText(Pattern.compile("Best next: ."))).isVisible();
        redpoll.getByText("Take it up").click();
        assertThat(redpoll.getByText(Pattern.compile("^Best next\\."))).isVisible();
    }

    @Test
    void a_check_that_wounds_is_off_where_the_survey_says_nothing() {
        BenchOnScreen bench = BenchOnScreen.open(signedIn("Treecreeper"), 23);

        assertThat(bench.row("Orange clouding")).isDisabled();
        assertThat(bench.row("Orange clouding")).containsText("wounds the tree; off in this survey");
    }

    private static void sign(Locator sheet) {
        sheet.getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("Sign").setExact(true))
                .click();
    }
}
