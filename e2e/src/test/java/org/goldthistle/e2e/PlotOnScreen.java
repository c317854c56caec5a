package org.goldthistle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;

/** A plot as an observer uses it. */
final class PlotOnScreen {
    private final Page page;

    PlotOnScreen(Page page) {
        this.page = page;
    }

    /** A plot of the demo, from the list of plots. */
    static PlotOnScreen open(Page page, String code) {
        toPlots(page);
        page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Plots"))
                .waitFor();
        page.getByText(code, new Page.GetByTextOptions().setExact(true)).click();
        page.getByRole(
                        AriaRole.HEADING,
                        new Page.GetByRoleOptions().setName(code).setLevel(1))
                .waitFor();
        return new PlotOnScreen(page);
    }

    /** The page of plots; on a phone the pages are behind the menu. */
    static void toPlots(Page page) {
        Locator menu = page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Menu"));
        if (menu.isVisible()) {
            menu.click();
            page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("Plots"))
                    .click();
        } else {
            page.getByRole(
                            AriaRole.LINK,
                            new Page.GetByRoleOptions().setName("Plots").setExact(true))
                    .click();
        }
    }

    /** Types a line of quick entry without entering it. */
    PlotOnScreen type(String line) {
        line().fill(line);
        return this;
    }

    /** Types a line, enters it, and waits until the tree is there. */
    PlotOnScreen enter(String line, int tag) {
        type(line);
        assertThat(page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("Enter").setExact(true)))
                .isEnabled(); // once the names of groups and taxa are there
        page.keyboard().press("Enter");
        row(tag).waitFor();
        return this;
    }

    /** Waits until the names are there that lines are read by. */
    PlotOnScreen named() {
        page.getByText("A whole plot can be pasted.").waitFor();
        return this;
    }

    /** Pastes lines into quick entry. */
    PlotOnScreen paste(String lines) {
        line().evaluate(
                        "(field, text) => { const data = new DataTransfer(); data.setData('text', text);"
                                + " field.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true,"
                                + " cancelable: true })) }",
                        lines);
        return this;
    }

    Locator line() {
        return page.getByLabel("New tree, in one line");
    }

    /** What the line is taken for, and what is still wanted. */
    Locator parse() {
        return page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("What the line is taken for"));
    }

    Locator row(int tag) {
        return page.getByRole(
                AriaRole.BUTTON,
                new Page.GetByRoleOptions().setName("Tree " + tag).setExact(true));
    }

    Locator map() {
        return page.getByRole(AriaRole.LISTBOX);
    }

    /** The mark of a tree on the map. */
    Locator mark(int tag) {
        return map().getByRole(
                        AriaRole.OPTION,
                        new Locator.GetByRoleOptions()
                                .setName(Pattern.compile("^" + tag + "\\b.*: tree " + tag + ",")));
    }

    Locator chosen() {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Chosen tree"));
    }
}
