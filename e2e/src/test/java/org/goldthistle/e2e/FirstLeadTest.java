package org.goldthistle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.StateScale;
import org.junit.jupiter.api.Test;

/** From an empty database to a signed call, by what each page offers next and nothing else; every press is counted. */
class FirstLeadTest extends BrowserTest {
    private static final String LEAD = "Goldcrest";
    private static final int READINGS = 5;

    private Page page;
    private int presses;

    @Override
    protected Application started() {
        return Application.startEmpty(LEAD);
    }

    @Test
    void the_first_lead_comes_from_nothing_to_a_signed_call() {
        page = signedIn(LEAD);
        assertThat(page.getByRole(AriaRole.HEADING, level(1))).hasText("Begin with a survey");
        assertAccessible(page);

        click(link("New survey"));
        type("Name", "Sallow Beck round");
        type("District", "Sallow Beck");
        click(button("Set the survey up"));

        assertThat(steps()).containsText("Sallow Beck round is set up.");
        assertAccessible(page);
        click(link("Invite somebody"));
        type("Call sign", "Whinchat");
        click(button("Make the link"));
        assertThat(page.getByRole(AriaRole.DIALOG)).containsText("/welcome#");
        String address = page.getByText("/welcome#").innerText();
        page.keyboard().press("Escape");
        presses++;

        click(link("Today")); // what comes first stands there too
        assertThat(steps().getByLabel("done")).hasCount(2);
        click(link("Record the first plot"));
        type("Code", "Sallow Beck 01");
        click(button("Record the plot"));

        type("New tree, in one line", "1 40 6.5 212 mature wild birches");
        assertThat(button("Enter")).isEnabled(); // once the names of groups and taxa are there
        key("Enter");
        click(link("Bench"));
        read(new TypicalTree("birches", "pendula"));
        assertThat(page.getByRole(AriaRole.DIALOG)).containsText("Signed");
        System.out.println("from nothing to a signed call: " + presses + " presses");

        Page invited = stranger(390, 844);
        invited.navigate(address);
        invited.getByLabel("Passphrase", new Page.GetByLabelOptions().setExact(true))
                .fill(Application.PASSPHRASE);
        invited.getByLabel("The same again").fill(Application.PASSPHRASE);
        invited.getByText("Choose it, and sign in").click();
        assertThat(invited.getByRole(AriaRole.HEADING, level(1))).hasText("Today, Whinchat");
    }

    private void read(TypicalTree tree) {
        page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Checks"))
                .waitFor();
        var bench = new BenchOnScreen(page);
        bench.month("September"); // so that there are leaves, whenever this is run
        presses += 3;
        click(bench.button(Pattern.compile("^All of it fits")));
        for (int i = 0; i < READINGS; i++) {
            bench.settled();
            click(bench.button(Pattern.compile("^take it up")));
            read(bench, tree, tree.check(bench));
        }
        bench.settled();
        click(bench.button(Pattern.compile("^Sign silver birch")));
        click(page.getByRole(AriaRole.DIALOG)
                .getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("Sign").setExact(true)));
    }

    private void read(BenchOnScreen bench, TypicalTree tree, DiagnosticCharacter character) {
        if (character.scale() instanceof StateScale) {
            key(String.valueOf(1 + tree.likeliest(character)));
            if (character.replication().replicates() > 1) {
                key("a");
            }
        } else {
            for (char one : tree.typed(character).toCharArray()) {
                key(one == ' ' ? "Space" : String.valueOf(one));
            }
            key("Enter");
        }
    }

    private Locator steps() {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("What comes first"));
    }

    private Locator link(String name) {
        return page.getByRole(
                AriaRole.LINK, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private Locator button(String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private static Page.GetByRoleOptions level(int level) {
        return new Page.GetByRoleOptions().setLevel(level);
    }

    private void click(Locator target) {
        target.click();
        presses++;
    }

    private void type(String label, String text) {
        page.getByLabel(label, new Page.GetByLabelOptions().setExact(true)).fill(text);
        presses += 1 + text.length();
    }

    private void key(String key) {
        page.keyboard().press(key);
        presses++;
    }
}
