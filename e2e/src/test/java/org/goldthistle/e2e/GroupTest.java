package org.goldthistle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The library as a crew member reads it. */
class GroupTest extends BrowserTest {

    @Test
    void a_character_is_found_by_a_name_with_a_slip_and_its_season_is_told() {
        Page dipper = signedIn("Dipper");
        dipper.navigate("/groups");
        assertThat(dipper.getByText("can be named").first())
                .isVisible(
                        new LocatorAssertions.IsVisibleOptions().setTimeout(30_000)); // played through once a version
        dipper.getByLabel("Look for a tree").fill("slver birch");
        Locator found = dipper.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Found"));
        assertThat(found.getByRole(AriaRole.LISTITEM).first()).containsText("Betula pendula");
        assertAccessible(dipper);
        dipper.getByLabel("Look for a tree").fill("Kreuzdorn");
        assertThat(found.getByRole(AriaRole.LISTITEM).first()).containsText("common buckthorn");
        assertThat(found.getByRole(AriaRole.LISTITEM).first()).containsText("also called");
        dipper.getByLabel("Look for a tree").fill("hornbeam");
        assertThat(found.getByRole(AriaRole.LISTITEM).first()).containsText("no sheet holds it; these come near");
        dipper.getByLabel("Look for a tree").fill("fruit collar");
        assertThat(found.getByRole(AriaRole.LISTITEM).first()).containsText("ollar");
        found.getByRole(AriaRole.LINK).first().click();
        assertThat(dipper.getByText("How to look").first()).isVisible();
        assertThat(dipper.locator("#fruit-collar")).isInViewport();
        assertAccessible(dipper);

        page(dipper, "Season");
        Locator july =
                dipper.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("July, who is taken for whom"));
        july.click();
        assertThat(july).hasAttribute("aria-pressed", "true");
        assertThat(dipper.getByText("Who is taken for whom in July")).isVisible();
        assertAccessible(dipper);
        dipper.getByText("with wounds").click();
        assertThat(dipper.getByText("Playing trees")).hasCount(0);

        page(dipper, "Field card");
        dipper.getByLabel("Month").selectOption("September");
        assertThat(dipper.getByRole(AriaRole.ARTICLE, new Page.GetByRoleOptions().setName("Field card")))
                .containsText("otherwise");
        assertAccessible(dipper);
        String pdf =
                new String(dipper.pdf(new Page.PdfOptions().setPreferCSSPageSize(true)), StandardCharsets.ISO_8859_1);
        org.assertj.core.api.Assertions.assertThat(pdf).containsPattern("/Count 1\\b");
        page(dipper, "Cautions");
        assertThat(dipper.getByText("Your own district’s rules come first")).isVisible();
        page(dipper, "Versions");
        assertThat(dipper.getByText("came with the application").first()).isVisible();
        assertAccessible(dipper);
    }

    @Test
    void a_field_card_may_bear_the_scale_card_where_a_length_is_asked_for() {
        Page dipper = signedIn("Dipper");
        dipper.navigate("/groups/birches/card");
        dipper.getByLabel("Month").selectOption("July");
        dipper.getByLabel("with the scale card for photos").check();

        assertThat(dipper.getByAltText(Pattern.compile("^Scale card"))).isVisible();
        assertAccessible(dipper);
        dipper.getByLabel("Month").selectOption("February");
        assertThat(dipper.getByLabel("with the scale card for photos")).hasCount(0); // nothing is measured then
    }

    private static void page(Page page, String name) {
        page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Pages of the group"))
                .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName(name))
                .click();
    }
}
