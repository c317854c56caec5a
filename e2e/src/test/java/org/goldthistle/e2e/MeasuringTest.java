package org.goldthistle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Two rulers laid on a leaf: the page divides, keeps what was laid, and does not ask for the same twice. */
class MeasuringTest extends BrowserTest {
    private static final int SALLOW = 9;
    private static final int BIRCH = 23;
    private static final String RATIO = "Leaf length divided by leaf width";
    private static final String WIDTH = "Greatest width of the blade";
    private static final String LENGTH_PART = "length of the blade";
    private static final String WIDTH_PART = "greatest width of the blade";

    @Test
    void parts_are_divided_kept_with_the_reading_and_asked_for_once() {
        Page wren = signedIn("Wren");
        BenchOnScreen bench =
                BenchOnScreen.open(wren, SALLOW).month("July").fitTheGate().takeUp(RATIO);

        leaf(wren, "48", "20");
        assertThat(values(wren)).containsText("2.4");
        assertThat(values(wren)).containsText("48 / 20");
        part(wren, LENGTH_PART).fill("45 18"); // several in one field go on into the next
        assertThat(part(wren, WIDTH_PART)).hasValue("18");
        assertThat(wren.getByLabel("What comes of them")).hasText("= 2.5");
        part(wren, WIDTH_PART).press("Enter");
        assertThat(values(wren)).containsText("2.5");
        Locator field = wren.getByLabel(Pattern.compile("^(Count|Measure)"));
        field.pressSequentially("52/20");
        for (int i = 0; i < 3; i++) {
            field.press("Enter");
        }
        field.pressSequentially("50/20");
        field.press("Enter");
        assertThat(values(wren)).containsText("52 / 20");
        assertThat(values(wren)).containsText("50 / 20");
        assertThat(values(wren).getByRole(AriaRole.LISTITEM)).hasCount(4);
        assertAccessible(wren);
        bench.settled();
        wren.reload();
        assertThat(values(wren)).containsText("52 / 20");

        bench.takeUp(WIDTH);
        wren.getByText("Take the 4 measured already").click();
        assertThat(values(wren)).containsText("18");
        assertThat(wren.getByText("Take the 4 measured already")).isHidden();
        bench.settled();
    }

    @Test
    void what_is_counted_by_touch_stands_until_it_is_kept_and_two_sorts_are_taken_from_each_other() {
        Page wren = signedIn("Wren");
        BenchOnScreen bench = BenchOnScreen.open(wren, BIRCH).month("July").takeUp("LTF, leaf tooth factor");

        wren.getByText("Count by touch").click();
        Locator dialog = wren.getByRole(AriaRole.DIALOG);
        Locator one =
                dialog.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^[+]1")));
        for (int i = 0; i < 5; i++) {
            one.click();
        }
        dialog.getByText("Take the last one back").click();
        assertAccessible(wren);
        wren.reload();
        wren.getByText("Count by touch").click();
        assertThat(dialog.getByRole(AriaRole.STATUS)).containsText("4");
        dialog.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Now ")))
                .click();
        one.click();
        dialog.getByText("Keep this count").dblclick();

        assertThat(values(wren)).containsText("3");
        assertThat(values(wren).getByRole(AriaRole.LISTITEM)).hasCount(1);
        assertThat(values(wren)).containsText("4 / 1");
        bench.settled();
    }

    @Test
    void a_caliper_that_types_like_a_keyboard_needs_no_more_than_the_cursor() {
        Page siskin = signedIn("Siskin");
        BenchOnScreen bench = BenchOnScreen.open(siskin, SALLOW).month("July").takeUp(RATIO);

        part(siskin, LENGTH_PART).focus();
        for (String pressed : new String[] {"+0044.10\n", "+0021.00\n", "+0046.20\n", "+0021.00\n"}) {
            siskin.keyboard().type(pressed);
        }

        assertThat(values(siskin).getByText("44.1 / 21")).isVisible();
        assertThat(values(siskin).getByText("46.2 / 21")).isVisible();
        bench.takeUp(WIDTH);
        siskin.getByLabel("Measure in mm").focus();
        siskin.keyboard().type("+0019.55\n");
        assertThat(values(siskin)).containsText("19.55");
        bench.settled();
    }

    @Test
    void what_cannot_be_is_said_and_what_is_odd_is_asked_once() {
        Page wren = signedIn("Wren");
        BenchOnScreen.open(wren, SALLOW).month("July").takeUp(RATIO);

        leaf(wren, "20", "60");
        Locator said = wren.getByRole(AriaRole.STATUS)
                .filter(new Locator.FilterOptions().setHasText(Pattern.compile("other way round")));
        assertThat(said).containsText("Is that length of the blade first?");
        assertThat(part(wren, LENGTH_PART)).hasValue("20");
        part(wren, LENGTH_PART).fill("");
        part(wren, WIDTH_PART).fill("");
        leaf(wren, "20", "0");
        assertThat(wren.getByText("a length above 0")).isVisible();
        assertThat(part(wren, LENGTH_PART)).hasValue("20");
        wren.reload();
        assertThat(part(wren, LENGTH_PART)).hasValue("20"); // nothing typed is lost
    }

    private static void leaf(Page page, String length, String width) {
        part(page, LENGTH_PART).fill(length);
        part(page, LENGTH_PART).press("Enter");
        part(page, WIDTH_PART).fill(width);
        part(page, WIDTH_PART).press("Enter");
    }

    private static Locator part(Page page, String words) {
        return page.getByRole(AriaRole.FORM, new Page.GetByRoleOptions().setName("Part by part"))
                .getByLabel(words);
    }

    private static Locator values(Page page) {
        return page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Values"));
    }
}
