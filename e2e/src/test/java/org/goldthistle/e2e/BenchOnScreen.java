package org.goldthistle.e2e;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.WaitForSelectorState;
import java.nio.charset.StandardCharsets;
import java.util.UUID;
import java.util.regex.Pattern;

/** The Bench as an observer uses it. */
final class BenchOnScreen {
    private static final Pattern CHANGE = Pattern.compile("^Change");

    private final Page page;

    BenchOnScreen(Page page) {
        this.page = page;
    }

    /** The Bench of a tree of Kettle Moss 07, by its address. */
    static BenchOnScreen open(Page page, int tag) {
        return open(page, "Tarnholt", "Kettle Moss 07", tag);
    }

    /** The Bench of a tree of the demo, by its address. */
    static BenchOnScreen open(Page page, String survey, String plot, int tag) {
        page.navigate("/surveys/" + demoId("survey " + survey) + "/trees/"
                + demoId("tree " + demoId("plot " + plot) + " " + tag));
        page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName(Pattern.compile("tree " + tag + "$")))
                .waitFor();
        return new BenchOnScreen(page);
    }

    static UUID demoId(String name) {
        return UUID.nameUUIDFromBytes(("demo " + name).getBytes(StandardCharsets.UTF_8));
    }

    BenchOnScreen month(String month) {
        button(CHANGE).click();
        page.getByLabel("Month").selectOption(month);
        button("Use these").click();
        page.getByRole(AriaRole.DIALOG).waitFor(new Locator.WaitForOptions().setState(WaitForSelectorState.HIDDEN));
        return this;
    }

    BenchOnScreen takeUp(String check) {
        page.getByRole(AriaRole.DIALOG).waitFor(new Locator.WaitForOptions().setState(WaitForSelectorState.HIDDEN));
        checks().waitFor();
        if (!row(check).isVisible()) {
            page.getByText(Pattern.compile("^Not now")).click();
        }
        checks().getByRole(AriaRole.BUTTON, named(check)).click();
        page.getByRole(
                        AriaRole.HEADING,
                        new Page.GetByRoleOptions().setName(check).setLevel(2))
                .waitFor();
        return this;
    }

    BenchOnScreen see(String state) {
        page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("States"))
                .getByRole(AriaRole.BUTTON, named(state))
                .first()
                .click();
        return this;
    }

    BenchOnScreen type(String value) {
        page.getByLabel(Pattern.compile("^(Count|Measure)")).fill(value);
        button("Add").click();
        return this;
    }

    /** Says that the tree fits all of the gate, which is in hand. */
    BenchOnScreen fitTheGate() {
        button(Pattern.compile("^All of it fits")).click();
        return settled();
    }

    /** The name of the check, or the gate item, in hand. */
    Locator heading() {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("The check in hand"))
                .getByRole(AriaRole.HEADING, new Locator.GetByRoleOptions().setLevel(2));
    }

    /** Why the call is contested; hidden when it is not. */
    Locator contested() {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Why it is contested"));
    }

    Locator button(Pattern name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }

    BenchOnScreen certainty(String word) {
        page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName(word).setExact(true))
                .click();
        return this;
    }

    BenchOnScreen notSeen() {
        button("Not seen").click();
        return this;
    }

    /** Waits until the server has all that was entered. */
    BenchOnScreen settled() {
        page.waitForFunction("() => Object.keys(localStorage).filter((key) => key.startsWith('goldthistle.outbox.'))"
                + ".every((key) => JSON.parse(localStorage.getItem(key)).refused)");
        return this;
    }

    /** The row of a check in the path. */
    Locator row(String check) {
        return checks().getByRole(AriaRole.BUTTON, named(check));
    }

    /** The row of a candidate with its share. */
    Locator candidate(String name) {
        return page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Candidates"))
                .getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText(name));
    }

    /** The row of a reading with its points for the lead against the rival. */
    Locator points(String name) {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Points"))
                .getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText(name));
    }

    BenchOnScreen sign(String taxon, String note) {
        button(Pattern.compile("^Sign " + taxon)).click();
        page.getByLabel("Note").fill(note);
        sign(page.getByRole(AriaRole.DIALOG));
        stay();
        signedCalls().getByText(note).waitFor();
        return this;
    }

    /** Presses the button that signs, in the sheet that was opened for it. */
    static void sign(Locator sheet) {
        sheet.getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("Sign").setExact(true))
                .click();
    }

    /** Closes what is told after a signature. */
    BenchOnScreen stay() {
        button("Stay with this tree").click();
        return this;
    }

    BenchOnScreen tier(String tier) {
        button(CHANGE).click();
        page.getByRole(AriaRole.DIALOG)
                .getByRole(
                        AriaRole.RADIO,
                        new Locator.GetByRoleOptions().setName(tier).setExact(true))
                .click();
        button("Use these").click();
        page.getByText(tier + " · sign at").waitFor();
        return this;
    }

    /** Opens the sheet of an outcome that is signed: "come back", "sample", "group only" or "Sign …". */
    Locator openSigning(String button) {
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^" + button)))
                .click();
        return page.getByRole(AriaRole.DIALOG);
    }

    /** What has been signed for the tree. */
    Locator signedCalls() {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Signed calls"));
    }

    private Locator checks() {
        return page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Checks"));
    }

    Locator button(String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private static Locator.GetByRoleOptions named(String text) {
        return new Locator.GetByRoleOptions().setName(text);
    }
}
