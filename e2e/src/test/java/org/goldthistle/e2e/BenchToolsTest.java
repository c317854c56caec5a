package org.goldthistle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

class BenchToolsTest extends BrowserTest {

    @Test
    void a_failed_gate_stops_the_call_and_leads_to_the_other_group_and_back() {
        Page siskin = signedIn("Siskin");
        BenchOnScreen bench = BenchOnScreen.open(siskin, 11).month("September");
        bench.takeUp("Bud with or without scales").see("covered by overlapping").settled();
        bench.button(Pattern.compile("^Shared by all")).click();
        bench.button(Pattern.compile("^fails.*Leaves and buds stand singly")).click();
        bench.settled();

        assertThat(siskin.getByText("Then it is not of this group:")).isVisible();
        assertThat(bench.contested()).containsText("it fails what every member of the group shares");
        assertAccessible(siskin);
        bench.button(Pattern.compile("^Look among")).click();
        siskin.getByText("Buckthorns and dogwood").waitFor();
        assertThat(siskin.getByText("Leaves undivided").first()).isVisible();

        bench.button(Pattern.compile("^fails.*Leaves undivided")).click();
        siskin.getByText("It was a mistake").click();
        bench.settled();
        bench.takeUp("Twig ends turned into thorns").see("no thorn found").settled();
        siskin.getByText("Kettle Moss 07").click();
        assertThat(siskin.getByText("moved by you to the buckthorns")).isVisible();
    }

    @Test
    void a_wound_asks_for_the_survey_s_leave_and_for_the_caution_to_be_read() {
        Page lead = signedIn("Treecreeper");
        lead.navigate("/surveys/" + BenchOnScreen.demoId("survey Tarnholt") + "/settings");
        lead.getByLabel("Trees may be wounded for a check").check();
        lead.getByText("Keep the settings").click();
        lead.getByText("Kept.").waitFor();
        Page dipper = signedIn("Dipper");
        BenchOnScreen bench = BenchOnScreen.open(dipper, 16).month("September");
        bench.takeUp("Colour under the scratched bark");
        assertThat(dipper.getByText("This wounds the tree.")).isVisible();
        assertThat(dipper.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("States")))
                .isHidden();
        assertAccessible(dipper);

        dipper.getByText("I have read this, for this tree").click();
        bench.settled().see("deep orange-yellow").settled();

        assertThat(bench.row("Colour under the scratched bark")).containsText("deep orange-yellow");
        dipper.reload();
        assertThat(dipper.getByText("I have read this")).isHidden();
    }

    @Test
    void what_an_observer_lacks_counts_a_quarter_and_is_said() {
        Page redpoll = signedIn("Redpoll");
        BenchOnScreen bench = BenchOnScreen.open(redpoll, 11).month("September");
        bench.takeUp("Smell of a freshly scratched twig")
                .see("clear bitter almond")
                .settled();
        Locator weight = redpoll.getByText(Pattern.compile("^Counts with weight"));
        String before = weight.innerText();

        bench.button("Redpoll").click();
        redpoll.getByLabel("I do not smell").click();
        assertThat(redpoll.getByLabel("I do not smell")).isChecked();
        assertAccessible(redpoll);
        redpoll.keyboard().press("Escape");

        assertThat(redpoll.getByText("You said that you do not smell")).isVisible();
        assertThat(weight).not().hasText(before);
        assertThat(bench.row("Smell of a freshly")).not().containsText("counts a quarter"); // it is read already
        bench.button("Undo").click();
        bench.settled();
        assertThat(bench.row("Smell of a freshly")).containsText("counts a quarter for you");
    }

    @Test
    void how_it_is_read_may_be_said_before_what_is_seen_and_is_not_forgotten_when_the_check_is_left() {
        Page nuthatch = signedIn("Nuthatch");
        BenchOnScreen bench = BenchOnScreen.open(nuthatch, 23).month("September");
        bench.takeUp("Hairs on one-year twigs");

        manner(nuthatch, "shade").click();
        manner(nuthatch, "unsure").click();
        bench.takeUp("Rub a one-year twig").takeUp("Hairs on one-year twigs");
        assertThat(manner(nuthatch, "shade")).isChecked();
        bench.see("velvety all along").settled();
        nuthatch.reload();

        assertThat(manner(nuthatch, "shade")).isChecked();
        assertThat(manner(nuthatch, "unsure")).isChecked();
        assertThat(manner(nuthatch, "attached (assumed)")).not().isChecked();
    }

    private static Locator manner(Page page, String word) {
        return page.getByRole(
                AriaRole.RADIO, new Page.GetByRoleOptions().setName(word).setExact(true));
    }

    @Test
    void what_speaks_against_a_call_confirms_nothing_and_its_reason_is_kept() {
        Page wren = signedIn("Wren");
        BenchOnScreen bench = BenchOnScreen.open(wren, 23).month("September");
        bench.takeUp("How the outer twigs hang")
                .see("long thin twigs hang straight down")
                .settled();
        bench.takeUp("Rough black bark").see("thick black bosses").settled();
        bench.takeUp("Double or single leaf teeth")
                .see("big teeth")
                .settled()
                .see("big teeth")
                .settled();
        bench.takeUp("Resin warts").see("scattered warts").settled();

        Locator sheet = bench.openSigning("Sign silver birch");
        assertThat(sheet).containsText("; against it: resin warts on one-year twigs.");
        assertThat(sheet.getByRole(AriaRole.CHECKBOX)).hasCount(3);
        assertThat(sheet.getByLabel("Resin warts").and(sheet.getByRole(AriaRole.CHECKBOX)))
                .hasCount(0);
        Locator reason = sheet.getByLabel(Pattern.compile("^Against it: Resin warts"));
        reason.fill("A slow-grown tree.");
        wren.keyboard().press("Escape");
        wren.reload();
        bench.openSigning("Sign silver birch");
        assertThat(reason).hasValue("A slow-grown tree.");
        assertAccessible(wren);
    }

    @Test
    void values_drop_on_the_ruler_and_can_be_taken_back() {
        Page siskin = signedIn("Siskin");
        BenchOnScreen bench = BenchOnScreen.open(siskin, 23).month("September");
        bench.takeUp("LTW");
        Locator ruler = siskin.getByRole(AriaRole.IMG, new Page.GetByRoleOptions().setName(Pattern.compile("rarely")));
        assertThat(ruler).hasAccessibleName(Pattern.compile("silver birch 6 to 13 mm, rarely 4 to 17"));

        ruler.click();
        bench.settled();
        bench.type("8").settled();

        assertThat(siskin.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Values"))
                        .getByRole(AriaRole.LISTITEM))
                .hasCount(2);
        assertThat(ruler).containsText("mean");
        siskin.getByLabel("Take back 8").click();
        bench.settled();
        siskin.getByLabel(Pattern.compile("^Take back")).click();
        bench.settled();
        assertThat(bench.points("LTW")).hasCount(0);
    }

    @Test
    void a_file_that_is_no_picture_is_refused_and_nothing_else_is_lost() {
        Page dipper = signedIn("Dipper");
        BenchOnScreen bench = BenchOnScreen.open(dipper, 23).month("September");
        bench.takeUp("Rough black bark").see("thick black bosses").settled();

        dipper.getByLabel("Photo")
                .setInputFiles(new FilePayload(
                        "bark.png", "image/png", "<svg onload=alert(1)>".getBytes(StandardCharsets.UTF_8)));

        assertThat(dipper.getByText("is not a JPEG, PNG or WebP picture")).isVisible();
        assertThat(bench.row("Rough black bark")).containsText("thick black bosses");
    }

    @Test
    void side_by_side_shows_what_parts_the_taxa_and_what_was_read_and_prints_on_one_page() {
        Page treecreeper = signedIn("Treecreeper");
        BenchOnScreen bench = BenchOnScreen.open(treecreeper, 23).month("September");
        bench.takeUp("Hairs on one-year twigs").see("velvety all along").settled();
        bench.button("Side by side").click();
        Locator rows = treecreeper.getByRole(AriaRole.ROW);
        assertThat(rows.nth(1)).containsText("LTF, leaf tooth factor");
        assertThat(treecreeper.getByText("read here").first()).isVisible();
        assertAccessible(treecreeper);

        treecreeper
                .getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("trunk"))
                .click();
        assertThat(rows).hasCount(2);
        treecreeper
                .getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("all"))
                .click();
        treecreeper.getByLabel("hybrid birch").uncheck();
        assertThat(rows.first().getByRole(AriaRole.COLUMNHEADER)).hasCount(3);

        String pdf = new String(
                treecreeper.pdf(new Page.PdfOptions().setPreferCSSPageSize(true)), StandardCharsets.ISO_8859_1);
        org.assertj.core.api.Assertions.assertThat(pdf).containsPattern("/Count 1\\b");
        treecreeper.getByText("Groups").first().click();
        treecreeper.getByText("Black cherry, bird cherry and alder buckthorn").click();
        assertThat(treecreeper.getByText("% parted").first()).isVisible();
    }

    @Test
    void a_sheet_that_got_a_new_version_is_told_and_the_call_stays_on_its_own() {
        Page siskin = signedIn("Siskin");
        BenchOnScreen bench = BenchOnScreen.open(siskin, 40);
        bench.fitTheGate().settled();

        application.addVersionOfSheet("firs");

        assertThat(siskin.getByText("The library has version 2 of this sheet."))
                .isVisible(
                        new LocatorAssertions.IsVisibleOptions().setTimeout(20_000)); // it is looked for now and then
        assertThat(siskin.getByText("This call stays on version 1")).isVisible();
        siskin.getByText("Go on with version 2").click();
        assertThat(siskin.getByText("This call stays on version 1")).hasCount(0);
        assertThat(bench.row("Shared by all")).isVisible();
    }

    @Test
    void which_group_it_is_instead_is_found_at_the_gate_by_first_looks() {
        Page wren = signedIn("Wren");
        BenchOnScreen bench = BenchOnScreen.open(wren, 16);
        bench.button(Pattern.compile("Which group\\?$")).click();
        Locator dialog = wren.getByRole(AriaRole.DIALOG);
        Locator thorns = dialog.getByText("thorns", new Locator.GetByTextOptions().setExact(true));
        Locator unknown = dialog.getByText("I cannot tell");
        unknown.click(); // whichever is asked first in this month
        while (!thorns.or(unknown).first().innerText().equals("thorns")) {
            unknown.click();
        }
        thorns.click();
        assertThat(dialog.getByLabel("What was seen")).isVisible();
        assertAccessible(wren);
        dialog.getByLabel("What was seen").getByRole(AriaRole.BUTTON).click();
        dialog.getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("Look among: Common, midland and hybrid hawthorn"))
                .click();
        assertThat(wren.getByText("Common, midland and hybrid hawthorn").first())
                .isVisible();
        assertThat(wren.getByText("Thorns somewhere").first()).isVisible();
    }
}
